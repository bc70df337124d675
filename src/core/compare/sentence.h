// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/comparison.h"
#include "core/units/units.h"

#include <string>

namespace hillrun {

/// "What would settle it: 6 pulls a set, about 130 min, to see 1.0 %." Empty when nothing is open.
std::string settleText(const Comparison& comparison, const DisplayUnits& units);
/// "p05 ends at 3 700 rpm: without it the comparison reaches 7 400 rpm."; empty when no pull stands out so.
std::string shortPullText(const Comparison& comparison);
/// One or two plain sentences with numbers, unit and +-; last, the pull that shortens the range. A stretch under 300
/// rpm, or one whose +- is as large as its mean, is never the headline; what else differs is named with the gain.
std::string summary(const Comparison& comparison, const DisplayUnits& units);

/// A number and its half width rounded by that half width: "1.62", "0.45" -> {"1.6", "0.5"}; two digits where the
/// first is 1. Without a finite half width: three significant digits and an empty second text.
struct RoundedPair {
    std::string value;
    std::string half;
};
RoundedPair roundedByInterval(double value, double half);
/// "1.6 ± 0.5 kW"; with `sign` "+1.6 ± 0.5 kW".
std::string withInterval(double value, double half, const std::string& unit, bool sign);
/// An engine speed with a gap that does not break at the thousands: "4 500".
std::string rpmText(double rpm);

} // namespace hillrun
