// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/document/results.h"
#include "app/document/selection.h"
#include "core/compare/analyse.h"

#include <QString>

// What the Check page shows of one pull and its set, made from the analysis without any widget.

namespace hillrun {

struct CheckView {
    std::string pull;
    Quantity quantity = Quantity::Power;
    DisplayUnits units;
    std::string beside{}; ///< a second pull, held beside it; empty for none
    bool raw = false;     ///< the rows as recorded in place of the smoothed curve
    bool operator==(const CheckView&) const = default;
};

/// The pulls shown together: the used ones of the selected pull's build, the one held beside, and the selected one
/// last.
std::vector<const PullResult*> pullsShown(const DayAnalysis& analysis, const CheckView& view);

/// The pulls of the selected pull's build over one another, the selected one strong, with the spread of one pull, its
/// trims and the events found on it.
BoardContent overlayContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme);
/// Each of these pulls against the mean of its build, in per cent, with the spread.
BoardContent deviationContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view,
                              const Theme& theme);
/// The selected pull against the one held beside it, in per cent.
BoardContent pairContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme);
/// The raw torque of the selected pull over time, its trims shaded.
BoardContent torqueInTime(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme);
/// The engine speed of the selected pull over time.
BoardContent speedInTime(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme);
/// Gives two boards one and the same scale, so that what lies higher is more.
void shareScale(BoardContent& one, BoardContent& other);

/// "p06 · build B · 09:51 · air factor 1.0092 · +0.32 % against its set"
QString pullHead(const TestDay& day, const DayAnalysis& analysis, const std::string& pull);

/// Thin for the others, strong for the selected one, dashed for pulls that are left out or held beside.
QPen pullPen(const TestDay& day, const PullResult& pull, const CheckView& view, const Theme& theme);

} // namespace hillrun
