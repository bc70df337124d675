// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "core/answer/credit_views.h"
#include "core/answer/part_facts.h"
#include "core/compare/analyse.h"
#include "core/units/units.h"

#include <optional>
#include <QString>
#include <QStringList>

// What the Credit page shows, made from the analysis without any widget.

namespace hillrun {

QString viewText(CreditView view);

/// What is looked at, as plain values.
struct CreditLook {
    CreditView view = CreditView::FairShare;
    size_t part = 0;
    DisplayUnits units;
    std::optional<size_t> interaction; ///< looked at along rpm instead of the part
    bool operator==(const CreditLook&) const = default;
};

/// One stair: from the height where the last one ended, with its interval around its end.
struct CreditStair {
    QString name;
    QString gain;               ///< "+2.1 ± 0.5 kW"
    std::optional<size_t> part; ///< nothing: the total
    double from_w = 0.0;
    double to_w = 0.0;
    double low_w = 0.0; ///< of its end, were its beginning exact
    double high_w = 0.0;
    GainMark mark = GainMark::Open;
    bool operator==(const CreditStair&) const = default;
};
/// The parts one after the other, the total last; empty where there is nothing that adds up.
std::vector<CreditStair> stairsOf(const Credit& credit, const CreditLook& look);

/// A build in the net; one that was not run has no build.
struct NetNode {
    PartSet parts = 0;
    std::string build;
    size_t number = 0; ///< of its colour
    QString under;     ///< "pipe + map"; of the base "base"
    bool operator==(const NetNode&) const = default;
};
/// Two builds and the part that lies between them.
struct NetEdge {
    size_t from = 0; ///< node
    size_t to = 0;
    size_t part = 0;
    QString gain; ///< empty where a build was not run
    GainMark mark = GainMark::Open;
    bool inFront = false; ///< what the view is about
    bool operator==(const NetEdge&) const = default;
};
struct CreditNet {
    std::vector<NetNode> nodes; ///< by the number of their parts
    std::vector<NetEdge> edges;
    bool operator==(const CreditNet&) const = default;
};
CreditNet netOf(const TestDay& day, const Credit& credit, const CreditLook& look);

/// A row of the table of parts.
struct PartRow {
    QString name;
    QString when;    ///< of a ladder over days: when it first ran
    QString gain;    ///< for the use, as the view has it
    QString percent; ///< of the base
    QString share;   ///< of the whole; a dash while the whole is not proven
    QString price;   ///< "410–760 €/kW"
    QString mass;
    QString expected; ///< "2 to 3 kW: as expected"
    std::vector<Region> regions;
    GainMark mark = GainMark::Open;
    bool operator==(const PartRow&) const = default;
};
std::vector<PartRow> partRows(const TestDay& day, const DayAnalysis& analysis, const CreditLook& look);
/// The next interaction that holds the part and has a curve, nothing after the last one.
std::optional<size_t> interactionAfter(const Credit& credit, size_t part, std::optional<size_t> now);
/// What the chosen part gives along rpm, with its band; of an interaction what its parts give together beyond each.
BoardContent partCurve(const DayAnalysis& analysis, const CreditLook& look, const Theme& theme);
/// "A 62.3 kW"
QString baseText(const Credit& credit, const DisplayUnits& units);

/// The answer and, second, what would tell more.
QString creditText(const DayAnalysis* analysis);
QStringList creditCautions(const TestDay& day, const DayAnalysis& analysis);
/// What is known of one part beside the table, line by line: alone, on top, interactions.
QStringList partLines(const DayAnalysis& analysis, const CreditLook& look);

} // namespace hillrun
