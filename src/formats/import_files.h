// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/errors/data_error.h"
#include "formats/gather/gather.h"
#include "formats/gather/gather_mapping.h"

#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// A stranger's file on its way into a day: what was understood, what the user may still change.
struct ImportFile {
    std::string path;
    std::string name;                         ///< for messages; inside an archive "log.zip/run2.csv"
    std::shared_ptr<const std::string> bytes; ///< to be read again with other choices
    GatherChoices choices;
    std::string mapping; ///< the one that knew the file; empty: none
    std::optional<GatheredFile> gathered;
    std::optional<DataError> problem;     ///< why it cannot become pulls; then `gathered` is empty or without pulls
    std::vector<std::string> builds;      ///< id of the build of each pull
    GivenCurve given;                     ///< of a file that holds a curve: what was done to it before
    std::optional<MeasuredAt> measuredAt; ///< likewise; nothing: where the day's cell measures
    std::optional<Atmosphere> weather;
};

/// Whether the file is wanted as a log beside pulls.
inline bool isLog(const ImportFile& file) { return file.choices.purpose == GatherPurpose::Log; }

/// Whether the file is a curve by engine speed.
inline bool isCurve(const ImportFile& file) { return file.choices.purpose == GatherPurpose::Curve; }

/// The files that a path holds (one, or several in an archive), each read as well as can be: what cannot be read has
/// its `problem`. Without a mapping given, one that knows the file is used. A table that tells no time and looks like a
/// curve by engine speed is read as one. Throws DataError when the file itself cannot be opened.
std::vector<ImportFile> openForImport(const std::filesystem::path& path, const TestDay& day,
                                      const GatherMapping* mapping = nullptr, const ReadWatch& watch = {},
                                      GatherPurpose purpose = GatherPurpose::Pulls);
/// What gauge pressures of the file count from: its weather, else the standard atmosphere of ISO 2533.
double ambient_kpa(const ImportFile& file);
/// Reads the file once more with its choices; builds of the same number of pulls stay.
void readAgain(ImportFile& file, const TestDay& day, const ReadWatch& watch = {});

/// The build a name speaks of ("B_pull2", "run-b"): an id of the day, or a single letter A to H, standing as a word of
/// its own; the whole name of a build. Nothing when it speaks of none.
std::optional<std::string> buildNamedIn(const std::string& text, const TestDay& day);

/// Adds the pulls of the file that are to be used (and their builds when the day does not have them); the operator and
/// the article that the file names, where the day names none. `dayPath`: where
/// the day lives, so that no name is used that a file there has. Returns the new pulls' ids. Throws DataError and
/// leaves the day as it was.
std::vector<std::string> addImported(TestDay& day, const ImportFile& file, const std::filesystem::path& dayPath = {});

} // namespace hillrun
