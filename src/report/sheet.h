// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/units/units.h"
#include "report/page.h"
#include "words/voice.h"

namespace hillrun::report {

/// What stands on the sheet.
struct SheetSections {
    bool curves = true;
    bool difference = true;
    bool bands = true;
    bool changed = true;
    bool leftOut = true;
    bool method = true;
    bool operator==(const SheetSections&) const = default;
};

/// One page for one comparison: the sentence, the curves, the difference with its band, the numbers, what was left
/// out and how it was worked out.
Page comparisonSheet(const TestDay& day, const DayAnalysis& analysis, const Comparison& comparison, const Voice& voice,
                     const SheetSections& sections = {});

/// One page for a day that allows no comparison: the curves, and why.
Page daySheet(const TestDay& day, const DayAnalysis& analysis, const Voice& voice);

/// A sheet for each comparison of the day; one without comparison when there is none.
std::vector<Page> allSheets(const TestDay& day, const DayAnalysis& analysis, const Voice& voice);

} // namespace hillrun::report
