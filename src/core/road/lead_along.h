// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/road/day_road.h"

#include <string>
#include <vector>

namespace hillrun {

/// How much later a build passes each place than another, over the way that both drove, each with its own 95 %
/// interval: the time up to there goes through the day's model. Between two speeds the interval of the whole time is
/// spread in proportion to the time. Without an interval low and high are empty; nothing for builds that do not arrive.
struct LeadAlong {
    std::vector<double> distance_m;
    std::vector<double> later_s;
    std::vector<double> low_s;
    std::vector<double> high_s;
};
LeadAlong leadAlong(const DayAnalysis& analysis, const DayRoad& road, const std::string& from, const std::string& to);

} // namespace hillrun
