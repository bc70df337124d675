// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

inline constexpr double kDay_s = 86400.0;

/// A date and clock time as they stand in a cell; what is missing is empty.
struct StampText {
    std::optional<double> day;     ///< days since 1970-01-01
    std::optional<double> clock_s; ///< seconds since midnight
    std::optional<int> offset_min; ///< from UTC
    bool dayOrMonthFirst = false;  ///< "03/04/2026": either
};

/// "2026-05-16T09:12:00.25+01:00", "16.05.2026 09:12", "05/16/2026 9:12:03 PM", "09:12:03,25", "12:03.4" (minutes),
/// "16 May 2026". `monthFirst` settles what may be either. Nothing when it is no time.
std::optional<StampText> stampIn(std::string_view text, bool monthFirst = false);

/// Seconds from the first row on of a column of clock times, with dates or without (midnight may pass); of a second
/// column that holds the dates. NaN for a cell without a time. Nothing when less than nine of ten are times.
std::optional<std::vector<double>> secondsOf(const std::vector<std::string>& clocks,
                                             const std::vector<std::string>* dates = nullptr);

} // namespace hillrun
