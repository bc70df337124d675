// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/gather/column_meanings.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// Seconds of each row of one group of columns.
struct TimeAxis {
    std::vector<double> seconds;        ///< from the first row on; NaN where the row has no time
    std::optional<double> startDay;     ///< days since 1970 when the dates are in the table
    std::optional<double> startClock_s; ///< clock time of the first row
    std::optional<size_t> column;       ///< it came from; none: counted from the rate
};

/// What is known of time besides the columns.
struct TimeHints {
    std::optional<double> saidRate_hz; ///< goes before any column
    std::optional<double> fileRate_hz; ///< where there is no time column
    std::optional<bool> monthFirst;
};

/// From a time column in any unit, clock times, dates and clock times, days of a spreadsheet; else from the rate.
/// Nothing when there is neither. May set the unit of the time column where none was given.
std::optional<TimeAxis> timeAxis(const RawTable& table, const ColumnGroup& group, std::vector<GatheredColumn>& columns,
                                 const TimeHints& hints, const std::string& file, GatherNotes& notes);

} // namespace hillrun
