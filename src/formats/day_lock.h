// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"

#include <chrono>
#include <filesystem>
#include <optional>
#include <string>

namespace hillrun {

/// Who has a day open for writing.
struct LockOwner {
    std::string host;
    long process = 0;
    std::string since; ///< ISO 8601, UTC
    std::string program;
    bool operator==(const LockOwner&) const = default;
};
/// "hillrun on bench-pc, process 4711, since 2026-05-16T09:12:00Z".
Statement ownerPhrase(const LockOwner& owner);

/// A file that is locked as long as its process lives, with a note of whose it is. The system lets go of the lock when
/// the process ends, however it ends; so what a dead process left is taken without asking. A lock of another host that
/// the file system does not share counts as held until somebody takes it over.
class FileLock {
public:
    FileLock() = default;
    ~FileLock() { release(); }
    FileLock(FileLock&& other) noexcept;
    FileLock& operator=(FileLock&& other) noexcept;
    FileLock(const FileLock&) = delete;
    FileLock& operator=(const FileLock&) = delete;

    /// False when somebody else has it (`other`) or the file cannot be made (`problem`). `takeOver` takes it from
    /// whoever has it.
    bool acquire(const std::filesystem::path& file, const std::string& program, bool takeOver = false);
    /// Still this object's: nobody took it over, and its file is still there.
    [[nodiscard]] bool holds() const;
    /// The folder of the lock is gone: a stick pulled out.
    [[nodiscard]] bool placeGone() const;
    void release();
    [[nodiscard]] const std::optional<LockOwner>& other() const { return m_other; }
    [[nodiscard]] const Statement& problem() const { return m_problem; }

private:
    bool takeFile(const std::filesystem::path& file, const std::string& program);
    bool replaceFile(const std::filesystem::path& file, const std::string& program);
    int m_number = -1;
    std::filesystem::path m_file;
    std::optional<LockOwner> m_other;
    Statement m_problem;
};

/// Where the lock of a day lies: in its folder, or beside its zip.
std::filesystem::path dayLockFile(const std::filesystem::path& dayPath);
/// Who holds a lock now; nothing when nobody does.
std::optional<LockOwner> lockOwner(const std::filesystem::path& lockFile);
/// The lock of a day for a program that comes and goes. While other such programs hold it one after another this waits,
/// `atMost` for each of them; a window is not waited for. Throws DataError (DayInUse, CannotWrite).
FileLock lockDayBriefly(const std::filesystem::path& dayPath,
                        std::chrono::milliseconds atMost = std::chrono::minutes(1));

/// True while some process, this one included, holds the file open with a lock on it (a journal being written).
bool isLockedBySomebody(const std::filesystem::path& file);

inline constexpr const char* kCommandLineProgram = "hillrun-cli";
inline constexpr const char* kWindowProgram = "hillrun";

} // namespace hillrun
