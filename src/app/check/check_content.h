// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/document/selection.h"
#include "core/compare/analyse.h"

#include <QString>

// What the Check page shows of one pull and its set, made from the analysis without any widget.

namespace hillrun {

struct CheckView {
    std::string pull;
    Quantity quantity = Quantity::Power;
    DisplayUnits units;
    bool operator==(const CheckView&) const = default;
};

/// The pulls of the selected pull's build over one another, the selected one strong, with the spread of one pull.
BoardContent overlayContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme);
/// Each of these pulls against the mean of its build, in per cent, with the spread.
BoardContent deviationContent(const TestDay& day, const DayAnalysis& analysis, const CheckView& view,
                              const Theme& theme);
/// The raw torque of the selected pull over time, its trims shaded.
BoardContent torqueInTime(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme);
/// The raw engine speed of the selected pull over time.
BoardContent speedInTime(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, const Theme& theme);

/// Everything worth saying about a pull, in lines.
QString slipText(const TestDay& day, const DayAnalysis& analysis, const std::string& pull);

const PullResult* findResult(const DayAnalysis& analysis, const std::string& pull);

} // namespace hillrun
