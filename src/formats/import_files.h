// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "formats/pull_file.h"

#include <filesystem>
#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// A logger's file on its way into a day: what was read, what was guessed, what the user may still change.
struct ImportFile {
    std::string path;
    CsvTable table;
    std::vector<ColumnMeaning> meanings;
    std::string build;   ///< id of the build it belongs to
    std::string started; ///< ISO time from the text above the header; empty when there is none
    std::optional<Atmosphere> weather;
};

/// Reads a file and guesses columns, build (from its name) and time. Throws DataError.
ImportFile openForImport(const std::filesystem::path& path, const TestDay& day, const ColumnMapping* mapping = nullptr);

/// The build a file name speaks of ("B_pull2.csv", "run-b.csv"): an id of the day, or a single letter A to H standing
/// by itself; else the first build, or "A".
std::string buildFromFileName(const std::string& stem, const TestDay& day);

/// Adds the file as a pull (and its build when the day does not have it); the pull's raw table is mapped here.
/// `dayPath`: where the day lives, so that no name is used that a file there has. Returns the new pull's id. Throws
/// DataError and leaves the day as it was.
std::string addImported(TestDay& day, const ImportFile& file, const std::filesystem::path& dayPath = {});

/// Where named column mappings are kept.
std::filesystem::path mappingsFolder();
/// Throws DataError (FileMissing) for a name nobody saved.
ColumnMapping loadMapping(const std::string& name);
void saveMapping(const ColumnMapping& mapping);
std::vector<std::string> savedMappings();

} // namespace hillrun
