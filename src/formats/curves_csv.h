// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/units/units.h"

#include <string>

namespace hillrun {

/// The day's results as a table: rpm, each build's torque and power, each comparison's difference with its bands.
/// Comment lines above say standard, smoothing and what was left out. Blank cells where nothing can be said.
std::string curvesCsv(const TestDay& day, const DayAnalysis& analysis, const DisplayUnits& units);

} // namespace hillrun
