// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/compare/compare_content.h"
#include "core/history/over_days.h"

// What Compare shows of a build of another day against one of today's, made without any widget.

namespace hillrun {

/// Both curves: the earlier build's as it was on its day, today's as the day answers it.
BoardContent earlierCurves(const TestDay& day, const DayAnalysis& analysis, const OverDays& over,
                           const BuildOfDay& earlier, const CompareView& view, const Theme& theme);
/// The difference in per cent with its band for the whole curve; empty where there is none along the speeds.
BoardContent earlierDifference(const EarlierPair* pair, const Theme& theme);
/// The difference at a speed, in one line.
QString earlierCursor(const EarlierPair& pair, double rpm);

} // namespace hillrun
