// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/document/selection.h"
#include "core/compare/analyse.h"

#include <QString>
#include <QStringList>

// What the Compare page shows, made from the analysis without any widget.

namespace hillrun {

/// What the user looks at, as plain values.
struct CompareView {
    std::string from;
    std::string to;
    Quantity quantity = Quantity::Power;
    CurveSchool school = CurveSchool::Mean;
    DisplayUnits units;
    bool operator==(const CompareView&) const = default;
};

/// Powers (W) at these speeds as the quantity looked at, in its unit.
std::vector<double> inUnits(const std::vector<double>& values_w, const std::vector<double>& rpm,
                            const CompareView& view);
/// "Power at the crank, kW"
QString quantityTitle(const DayAnalysis& analysis, const CompareView& view);
/// The speeds that one of these builds has.
std::optional<RpmRange> rangeOf(const DayAnalysis& analysis, const std::vector<std::string>& builds);

/// The builds' curves; others than the pair stay out of the picture.
BoardContent curvesContent(const TestDay& day, const DayAnalysis& analysis, const CompareView& view,
                           const Theme& theme);
/// The difference with its simultaneous band.
BoardContent differenceContent(const DayAnalysis& analysis, const CompareView& view, const Theme& theme);
/// The curves' and the difference's values at a speed, in one line.
QString cursorText(const DayAnalysis& analysis, const CompareView& view, double rpm);

/// The range of speed that both boards show.
std::optional<RpmRange> boardRange(const DayAnalysis& analysis, const CompareView& view);

/// One row of the bands table.
struct BandRow {
    QString range;
    QString difference;
    QString percent;
    Claim claim = Claim::Unresolved; ///< from the interval of the quantity that is shown
    bool asMore = false;             ///< more and less in place of gain and loss
    int asked = -1;                  ///< number among the bands asked for; -1: always shown
    bool operator==(const BandRow&) const = default;
};
/// "gain", "loss" or "cannot tell"; of what is no gain in itself "more" or "less".
QString claimText(Claim claim, bool asMore = false);
std::vector<BandRow> bandRows(const Comparison& comparison, const CompareView& view);

/// Peaks, their shift and crossovers, in a few lines.
QStringList peakLines(const Comparison& comparison, const CompareView& view);
/// "collector: 450 mm → 600 mm", under "One change" or "3 changes together".
QString changedText(const Comparison& comparison);
/// "12 channels matched" or what differs.
QString likeText(const Comparison& comparison, bool* differs = nullptr);
/// What was left out and why, and what is in use but does not look right.
QString leftOutText(const DayAnalysis& analysis, bool* warns = nullptr);

/// The ground behind the curves where the builds are wanted, darker where a speed counts more; nothing for the whole
/// range.
std::vector<BoardShade> useShades(const DayAnalysis& analysis, const Theme& theme);

} // namespace hillrun
