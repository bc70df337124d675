// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/comparison.h"
#include "core/units/units.h"

#include <vector>

namespace hillrun {

struct DayAnalysis;

/// "What would settle it: 6 pulls a set, about 130 min, to see 1.0 kW." Empty when nothing is open.
Statement settleStatement(const Comparison& comparison);
/// The sd of fitting a build again, %, that alone would take the proof of the mean away that the pair is judged by;
/// nothing where it proves nothing.
std::optional<double> refitThatUndoes_pct(const Comparison& comparison);
/// "holds unless refitting alone moves the engine by 0.8 %", of the mean that the pair is judged by, when refitting was
/// not measured and so is in no interval; empty where it proves nothing. Else what the interval allows for it.
Statement refitStatement(const Comparison& comparison, const DayAnalysis& analysis);

/// What the width of all intervals rests on besides today's repeats: earlier days that count in where those are too few
/// (or would not), and builds that surely repeat worse or better than the others. Empty as a rule.
std::vector<Statement> widthStatements(const DayAnalysis& analysis);
/// "p05 ends at 3 700 rpm: without it the comparison reaches 7 400 rpm."; empty when no pull stands out so.
Statement shortPullStatement(const Comparison& comparison);
/// The answer in one sentence or a few; last, the pull that shortens the range. A stretch under 300 rpm, or one whose
/// +- is as large as its mean (as it is printed in these units), is never the headline; what else differs is named with
/// the gain. Sizes are said in power or torque; a pair that stands on its mean power alone, and a difference that does
/// not matter, are judged in power and said so.
std::vector<Statement> summary(const Comparison& comparison, const DisplayUnits& units,
                               Quantity quantity = Quantity::Power);

} // namespace hillrun
