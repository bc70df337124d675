// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/credit.h"
#include "core/compare/analyse.h"

namespace hillrun {

/// The builds that an analysis was worked with, the base first.
std::vector<Build> fittedBuilds(const TestDay& day, const DayAnalysis& analysis);

/// What each part gives on this day, for the analysis' own use, drift and difference that matters.
std::optional<Credit> creditOfDay(const TestDay& day, const DayAnalysis& analysis,
                                  const std::optional<double>& interactionBound_pct, DrawCache& cache);

/// "Pipe and map give 3.8 ± 0.7 kW together ...", or why nothing can be said of parts.
std::vector<Statement> creditSummary(const Credit& credit);

} // namespace hillrun
