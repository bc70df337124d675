// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <filesystem>
#include <map>
#include <optional>
#include <string>
#include <string_view>

namespace hillrun {

/// What to do with a pull whose file cannot be read.
enum class BadPulls {
    Throw, ///< the day cannot be read
    Keep,  ///< the pull stays without data and carries the reason
};

/// Reads a day from its folder, its day.json or a zip of the folder. Throws DataError.
TestDay readDay(const std::filesystem::path& path, BadPulls badPulls = BadPulls::Throw);

/// Writes a day to a folder or, by its ending, a zip. Raw files and attachments are taken over from `source` byte for
/// byte where it has them; pulls that came from elsewhere are written anew. Every file is written beside its place,
/// flushed and renamed; nothing is half written. Throws DataError (CannotWrite).
void saveDay(const TestDay& day, const std::filesystem::path& target,
             const std::optional<std::filesystem::path>& source = std::nullopt);

bool isZipPath(const std::filesystem::path& path);
/// The text of a file. Throws DataError (FileMissing, FileUnreadable).
std::string readFileText(const std::filesystem::path& path);
/// Writes beside the target, flushes to disk, renames. Throws DataError (CannotWrite).
void writeFileSafely(const std::filesystem::path& target, std::string_view text);

/// Files of a zip by their name inside it, the folder they share removed. Throws DataError (ArchiveBroken).
std::map<std::string, std::string> readZip(const std::filesystem::path& path);
/// A zip of files; the same files give the same bytes. Throws DataError (CannotWrite).
void writeZip(const std::filesystem::path& target, const std::map<std::string, std::string>& files);

} // namespace hillrun
