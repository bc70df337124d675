// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "report/sections.h"

namespace hillrun::report {

/// What a report holds of these comparisons (none: of a day that allows none), and then, as far as the day has them and
/// they are wanted: the other curve of the first comparison, the field, the credit, builds of other days (`over`), and
/// the first comparison on the day's course.
Document documentOf(const TestDay& day, const DayAnalysis& analysis, const std::vector<const Comparison*>& comparisons,
                    const Voice& voice, const SheetSections& sections = {}, const FigureStyle& style = {},
                    const OverDays* over = nullptr);

/// Every comparison of the day, and what it has besides.
Document wholeDocument(const TestDay& day, const DayAnalysis& analysis, const Voice& voice,
                       const FigureStyle& style = {}, const OverDays* over = nullptr);

} // namespace hillrun::report
