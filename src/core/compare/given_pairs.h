// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

namespace hillrun {

/// Why a curve without rows stays out of the fit; empty when it counts (three of a build in the same air make a set)
/// and for a recorded pull.
Statement whyAside(const TestDay& day, const Pull& pull, Standard standard);

/// Builds that only have curves without rows get the mean of these as their curve, and a plain difference to every
/// other build: no interval, nothing proven. Added to what was fitted; `out.rpm` is made where nothing was.
void addGivenPairs(DayAnalysis& out, const TestDay& day);

} // namespace hillrun
