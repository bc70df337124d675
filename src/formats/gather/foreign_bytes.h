// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <filesystem>
#include <string>
#include <vector>

namespace hillrun {

/// The text file that a stranger's file is or holds.
struct ForeignBytes {
    std::string name; ///< of the file, or of the one inside ("log.zip/run2.csv")
    std::string bytes;
};

/// The file itself; the text inside a .gz, .bz2, .xz or .zst; every text file of a zip; every sheet of a workbook
/// (.xlsx, .ods) as a table; the tables of a matrix file (.mat); JSON lines or a list of objects as a table. Throws
/// DataError (FileMissing, FileUnreadable, TooLarge, ArchiveBroken; OtherKind for what is recognised and not read).
std::vector<ForeignBytes> foreignBytes(const std::filesystem::path& path);

} // namespace hillrun
