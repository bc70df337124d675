// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/quantity.h"
#include "core/history/over_days.h"
#include "core/road/day_road.h"
#include "core/road/held_speed.h"
#include "report/telling.h"

namespace hillrun::report {

/// What stands on the sheets.
struct SheetSections {
    bool changed = true;
    bool curves = true;
    bool difference = true;
    bool bands = true;
    bool leftOut = true;
    bool checks = true; ///< of the cell's instruments, where the day keeps some
    bool method = true;
    bool field = true;     ///< a page for all builds at once, of a day with three and more
    bool credit = true;    ///< a page for what each part gives, when it was worked out
    bool otherDays = true; ///< a page for builds of other days, when some stand beside the day's
    bool road = true;      ///< a page for what the curves are worth on the course that the day keeps
    bool quantity = true;  ///< a page for another curve of the pair, when one was wanted
    bool operator==(const SheetSections&) const = default;
};

/// One comparison: the sentence, the curves, the difference with its band, the numbers, what was left out and how it
/// was worked out.
Section pairSection(const Telling& t, const Comparison& comparison, const SheetSections& sections);

/// A day that allows no comparison: the curves, and why.
Section daySection(const Telling& t);

/// All builds at once: which is best, which leads where, what each choice gives away. The day has a field.
Section fieldSection(const Telling& t);

/// What each part gives, or the best of a swept setting. The day's credit was worked out.
Section creditSection(const Telling& t);

/// Builds of other days against the day's own, the ladder over days, and which days stand behind these figures.
Section daysSection(const Telling& t, const OverDays& over);

/// What a pair is worth on the course that the day keeps; without a difference it says why.
Section roadSection(const Telling& t, const DayRoad& road, const RoadDifference* difference);
/// The same at one engine speed held.
Section heldSection(const Telling& t, const HeldAnswer& answer, const HeldDifference* difference);

/// Another curve of two builds.
Section quantitySection(const Telling& t, const QuantityAnswer& answer, const QuantityPair& pair);

} // namespace hillrun::report
