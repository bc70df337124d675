// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/credit.h"
#include "core/compare/analyse.h"

namespace hillrun {

/// What each part gives on this day, for the analysis' own use, drift and difference that matters, and with what the
/// day notes of its parts. Nothing when no pull is repeated, or the pulls do not cover the use.
std::optional<Credit> creditOfDay(const TestDay& day, const DayAnalysis& analysis, DrawCache& cache);

/// "Pipe and map give 3.8 ± 0.7 kW together ...", or why nothing can be said of parts.
std::vector<Statement> creditSummary(const Credit& credit);

/// What gives more for its money, and what would tell more: a combination to be run next, the base again; and what was
/// never run apart.
std::vector<Statement> creditAdvice(const Credit& credit);

} // namespace hillrun
