// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/road/day_road.h"

#include <optional>

namespace hillrun {

/// A run that was timed on the road; one of both is enough.
struct TimedRun {
    std::optional<double> time_s;
    std::optional<double> endSpeed_ms; ///< used when no time is given
};

/// The one number of the vehicle that is changed until the model drives the run as it was timed.
enum class FittedNumber { DragArea, Launch };

struct RunFit {
    std::optional<double> value; ///< m^2, or rpm
    Statement said;              ///< the number and what the model makes of the run with it, or why there is none
};
/// Drag area between 0.02 and 10 m^2, launch over the range of the curve. A rolling course knows no launch.
RunFit fitToRun(const DayRoad& road, const EngineCurve& engine, FittedNumber what, const TimedRun& timed);

/// Of a build as the course sees it; nothing when the day has no such curve.
std::optional<EngineCurve> courseCurve(const DayRoad& road, const DayAnalysis& analysis, const std::string& build);

} // namespace hillrun
