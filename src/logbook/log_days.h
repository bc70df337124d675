// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "logbook/logbook.h"

#include <filesystem>
#include <vector>

namespace hillrun {

/// A day on disk as it enters the logbook: read, worked out as `analyse` does without options, and summed up. Throws
/// DataError; NothingToCompare for a day without pulls in use and without curves off paper.
LogbookEntry entryOf(const std::filesystem::path& path);

/// The same of a day that is worked out already; its settings must be those of `workedOutAlike`.
LogbookEntry entryOf(const std::filesystem::path& path, const TestDay& day, const DayAnalysis& analysis);
/// Whether an answer was worked out as all days of a logbook are: standard, smoothing and what is allowed for drift.
bool workedOutAlike(const TestDay& day, const DayAnalysis& analysis);

/// The day as it lies on this bench now, for `Logbook::put`; nothing when it is not here any more.
QByteArray packageOf(const LogbookEntry& entry);

/// The place of a day as the logbook notes it: absolute, without detours; of a day.json its folder.
std::string placeOf(const std::filesystem::path& path);

/// All day folders and packages below a folder, in the order of their names; the folder itself when it is one. Links
/// are not followed.
std::vector<std::filesystem::path> daysBelow(const std::filesystem::path& folder);

} // namespace hillrun
