// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/statement/statement.h"
#include "formats/file_io.h"
#include "formats/stored_files.h"
#include "formats/zip.h"

#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// What to do with a pull whose file cannot be read.
enum class BadPulls {
    Throw, ///< the day cannot be read
    Keep,  ///< the pull stays without data and carries the reason
};

/// A day as it was read, and what tells later whether somebody changed it since.
struct OpenedDay {
    TestDay day;
    std::string stamp; ///< see `dayStamp`
};

/// Reads a day from its folder, its day.json or a zip of the folder. Every pull then carries the checksum of its file.
/// A pull whose file does not fit its checksum always stays without data and carries the reason. Throws DataError.
OpenedDay openDay(const std::filesystem::path& path, BadPulls badPulls = BadPulls::Throw);
TestDay readDay(const std::filesystem::path& path, BadPulls badPulls = BadPulls::Throw);

/// Whether a zip holds a day, by the names in it; one that cannot be listed counts as a day, so that opening says why.
bool holdsDay(const std::filesystem::path& zip);

/// A day whose pulls are read one by one, for days whose rows are too many to hold at once.
class DayOnDisk {
public:
    /// The day without rows. Throws DataError.
    explicit DayOnDisk(const std::filesystem::path& path);
    [[nodiscard]] const TestDay& day() const { return m_day; }
    /// The day's pull of that number with its rows and checksum; without rows and with the reason when its file does
    /// not fit its checksum. May be called from several threads. Throws DataError.
    [[nodiscard]] Pull read(size_t number) const;

private:
    std::unique_ptr<const StoredFiles> m_files;
    TestDay m_day;
};

/// What the files below "pulls/" hold together, bytes, without reading any; of a zip 0, for its bytes are in memory
/// anyway.
size_t pullFilesSize(const std::filesystem::path& path);

/// The rows of one pull although its file does not fit its checksum, for somebody who decides to take it as it is; the
/// new checksum is set. Throws DataError.
void takeAsItIs(Pull& pull, const std::filesystem::path& dayPath);
/// The bytes of a pull's file. Throws DataError.
std::string pullFileText(const Pull& pull, const std::filesystem::path& dayPath);

/// A day as it stands on disk after saving.
struct SavedDay {
    TestDay day; ///< with the file name and checksum of every pull and attachment
    std::string stamp;
    std::vector<Statement> leftBehind; ///< what could not be taken along from a source that is gone
};

/// Writes a day to a folder or, by its ending, a zip. Raw files are written once: a file that exists is never changed
/// and never taken for another; a pull whose name is taken gets a new one. Bytes come from `source` where they fit the
/// pull's checksum, else from the rows in memory. day.json comes last and makes it count. Throws DataError
/// (CannotWrite, AnotherDayThere).
SavedDay saveDay(const TestDay& day, const std::filesystem::path& target,
                 const std::optional<std::filesystem::path>& source = std::nullopt);

/// A checksum of the day as it stands on disk: of its day.json or of the whole zip; empty when there is none.
std::string dayStamp(const std::filesystem::path& path);
bool isSameFolder(const std::filesystem::path& a, const std::filesystem::path& b);
/// An id "p07" and file name that no pull of the day has and no file of its folder.
std::string freePullId(const TestDay& day, const std::filesystem::path& dayPath = {});

} // namespace hillrun
