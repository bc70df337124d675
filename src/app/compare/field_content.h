// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/compare/compare_content.h"

#include <optional>
#include <QStringList>

// What the field shows, three builds and more held against each other, made from the analysis without any widget.

namespace hillrun {

/// A build among the others, as a row of the ribbon ladder.
struct FieldRow {
    std::string build;
    size_t number = 0;           ///< of its colour
    bool base = false;           ///< has no ribbon: the others are held against it
    std::vector<Region> regions; ///< against the base
    QString gain;                ///< over the base, for the use: "+1.6 ± 0.5 %"
    QString verdict;             ///< "may be best"
    bool mayBeBest = false;
    bool operator==(const FieldRow&) const = default;
};
/// The best first; builds of which nothing can be said last.
std::vector<FieldRow> fieldRows(const TestDay& day, const DayAnalysis& analysis);

/// A piece of the lead strip.
struct LeadPart {
    RpmRange range_rpm;
    QString builds;               ///< "D", "D or E"
    size_t count = 0;             ///< how many they are
    std::optional<size_t> proven; ///< the colour of the one that leads; none where nobody can tell
    bool operator==(const LeadPart&) const = default;
};
std::vector<LeadPart> leadParts(const TestDay& day, const DayAnalysis& analysis);

/// The speeds that some build has.
std::optional<RpmRange> fieldRange(const DayAnalysis& analysis);
/// Every build's curve; `view.from`, the base, and `view.to`, the chosen one, in front.
BoardContent fieldCurves(const TestDay& day, const DayAnalysis& analysis, const CompareView& view, const Theme& theme);
/// Each build over the base, in the day's order, all with the same axes.
std::vector<BoardContent> smallCurves(const TestDay& day, const DayAnalysis& analysis, const CompareView& view,
                                      const Theme& theme);

/// The answer in a sentence or two; without a field why there is none and what to do.
QString fieldText(const DayAnalysis& analysis);
/// "Use: 4 500–7 500 rpm, chosen after looking", when there is a field
QString useText(const TestDay& day, const DayAnalysis& analysis);
/// What is known of one build among the others, line by line.
QStringList fieldLines(const TestDay& day, const DayAnalysis& analysis, const std::string& build);

} // namespace hillrun
