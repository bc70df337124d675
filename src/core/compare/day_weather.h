// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

namespace hillrun {

/// The air of one pull, and how its power lay against the other pulls of its build, before and after the factor.
struct WeatherPoint {
    std::string pull;
    std::string build;
    bool used = false;
    double time_h = 0.0;
    HumidAir air;
    double humidity_pct = 0.0;
    double factor = 1.0;
    double observed_pct = 0.0; ///< NaN without a band mean
    double corrected_pct = 0.0;
};

struct DayWeather {
    std::vector<WeatherPoint> points; ///< pulls with known weather, in the order of time
    size_t withoutWeather = 0;
    /// Rms distance of the used pulls from the mean of their build, in per cent; NaN with fewer than two of a build.
    double observedScatter_pct = 0.0;
    double correctedScatter_pct = 0.0;
};
/// Weather through the day against the pulls. Drift is left in: it is in both figures.
DayWeather weatherThroughDay(const TestDay& day, const DayAnalysis& analysis);

} // namespace hillrun
