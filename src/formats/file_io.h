// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/budget.h"

#include <filesystem>
#include <string>
#include <string_view>

namespace hillrun {

/// The text of a regular file (a link to one counts). Never blocks on a pipe or a device. Throws DataError
/// (FileMissing, FileUnreadable, NotAPlainFile, TooLarge).
std::string readFileText(const std::filesystem::path& path, size_t most = budget::kFile);
/// The same for a file that belongs to a day: no part of `name` below `folder` may be a link.
std::string readFileInside(const std::filesystem::path& folder, const std::string& name, size_t most = budget::kFile);

/// Writes beside the target under a name that nobody else uses, flushes to disk, renames, flushes the folder. Throws
/// DataError (CannotWrite); the target then is as it was.
void writeFileSafely(const std::filesystem::path& target, std::string_view text);
/// The same, but never over anything: false when something of that name exists.
bool writeNewFile(const std::filesystem::path& target, std::string_view text);
/// Makes a folder with those above it and has each new name flushed. Throws DataError (CannotWrite).
void makeFolders(const std::filesystem::path& folder);
/// Has the names in a folder reach the disk; file systems that cannot are left alone.
void flushFolder(const std::filesystem::path& folder);
/// Removes half-written files that processes left behind which are no more.
void removeStaleParts(const std::filesystem::path& folder);

/// Throws DataError (BadPath, BadName) when this cannot be the name of a file inside a day.
void checkInside(const std::string& name, const std::string& jsonFile);

/// SHA-256 (FIPS 180-4) in lower-case hex.
std::string sha256Hex(std::string_view bytes);

/// Where the program keeps what must survive it: $XDG_STATE_HOME/hillrun, else ~/.local/state/hillrun.
std::filesystem::path stateFolder();

} // namespace hillrun
