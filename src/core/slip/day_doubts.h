// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

namespace hillrun {

/// By how much the air pressure may have changed in so many hours, kPa: a quarter of a kPa and 0.35 an hour more
/// (common practice). A larger step is a barometer that was read wrong.
double likelyPressureChange_kpa(double hours);

/// Change of the level from pull to pull in a set, per cent, when it is more than its repeatability explains; else 0.
double settlingSlope_pct(const TestDay& day, const DayAnalysis& analysis, int set);

/// Weather that cannot be (a pressure that no neighbour has, a sea-level figure), a base that was still settling in its
/// first set.
std::vector<DayDoubt> dayDoubts(const TestDay& day, const DayAnalysis& analysis);

} // namespace hillrun
