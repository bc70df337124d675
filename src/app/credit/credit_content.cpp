// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/credit/credit_content.h"

#include "app/look/words.h"
#include "core/answer/stretches.h"
#include "core/compare/day_credit.h"
#include "core/compare/part_words.h"
#include "core/compare/sentence.h"
#include "core/plan/named_use.h"
#include "core/units/log_percent.h"
#include "core/units/nan.h"

#include <algorithm>
#include <bit>
#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

const QString kDash = u"\u2013"_s;

/// "+2.1 ± 0.5 kW"
QString gainText(const CreditAmount& amount, const DisplayUnits& units) {
    if (!std::isfinite(amount.log))
        return kDash;
    return powerDifference(amount.watts(), 0.5 * amount.scale_w * (amount.high - amount.low), units);
}

PartSet fullOf(const Credit& credit) { return (1U << credit.sets.parts.size()) - 1U; }

/// What the view holds against each other for a part: one pair of builds, or more as they were run; none for a fair
/// share.
std::vector<const Comparison*> comparisonsOf(const DayAnalysis& analysis, const CreditLook& look, size_t part) {
    const Credit& credit = *analysis.credit;
    std::vector<const Comparison*> out;
    const auto add = [&](size_t from, size_t to) {
        if (const Comparison* c = analysis.find(credit.builds[from].id, credit.builds[to].id))
            out.push_back(c);
    };
    const auto between = [&](PartSet from, PartSet to) {
        const auto a = buildWith(credit.sets.ofBuild, from);
        const auto b = buildWith(credit.sets.ofBuild, to);
        if (a && b)
            add(static_cast<size_t>(*a), static_cast<size_t>(*b));
    };
    const PartSet own = 1U << part;
    if (look.view == CreditView::AsRun)
        for (const CreditStep* step : stepsOf(credit, part))
            add(step->from, step->to);
    else if (look.view == CreditView::Alone)
        between(0U, own);
    else if (look.view == CreditView::OnTop)
        between(fullOf(credit) & ~own, fullOf(credit));
    return out;
}

/// "+1.1 to +2.7 kW, 2 steps"
QString rangeOfSteps(const std::vector<const CreditStep*>& steps, const DisplayUnits& units) {
    double low = INFINITY;
    double high = -INFINITY;
    for (const CreditStep* step : steps) {
        low = std::min(low, step->amount.watts());
        high = std::max(high, step->amount.watts());
    }
    if (!std::isfinite(low) || !std::isfinite(high))
        return kDash;
    const auto figure = [&](double value_w) {
        return qs(currentVoice().number(signedDecimals(powerIn(units.power, value_w), 1)));
    };
    return QObject::tr("%1 to %2").arg(figure(low), figure(high)) + u"\u00A0"_s +
           QString::fromUtf8(powerUnitText(units.power));
}

std::vector<double> shown(const std::vector<double>& values_w, const DisplayUnits& units) {
    std::vector<double> out;
    for (const double value : values_w)
        out.push_back(powerIn(units.power, value));
    return out;
}

QString powerUnit(const DisplayUnits& units) { return QString::fromUtf8(powerUnitText(units.power)); }

/// "pipe + map"; of no parts "base". Of several long names something of each is left.
QString setText(const Credit& credit, PartSet set) {
    constexpr int kMostLetters = 14;
    QStringList names;
    for (size_t part = 0; part < credit.sets.parts.size(); ++part)
        if ((set >> part & 1U) != 0U)
            names << qs(credit.sets.parts[part].name);
    if (names.size() > 1)
        for (QString& name : names)
            if (name.size() > kMostLetters)
                name = name.left(kMostLetters - 1).trimmed() + u"\u2026"_s;
    return names.isEmpty() ? QObject::tr("base") : names.join(u" + "_s);
}

bool isInFront(const Credit& credit, const CreditLook& look, const NetEdge& edge, PartSet from, PartSet to) {
    switch (look.view) {
    case CreditView::Alone:
        return from == 0U;
    case CreditView::OnTop:
        return to == fullOf(credit);
    case CreditView::AsRun:
    case CreditView::FairShare:
        break;
    }
    return edge.part == look.part;
}

/// Lattices are drawn with their holes as long as they can be taken in at a glance.
constexpr size_t kMostPartsWithHoles = 3;

} // namespace

QString viewText(CreditView view) {
    switch (view) {
    case CreditView::AsRun:
        return QObject::tr("as run");
    case CreditView::Alone:
        return QObject::tr("alone");
    case CreditView::OnTop:
        return QObject::tr("on top of all");
    case CreditView::FairShare:
        return QObject::tr("fair share");
    }
    return {};
}

std::vector<CreditStair> stairsOf(const Credit& credit, const CreditLook& look) {
    std::vector<CreditStair> out;
    for (const Stair& stair : stairsOf(credit, look.view)) {
        QString name = stair.part ? qs(credit.sets.parts[*stair.part].name) : QObject::tr("together");
        if (stair.build)
            name = u"%1  %2"_s.arg(qs(credit.builds[*stair.build].id), name);
        out.push_back({name, gainText(stair.amount, look.units), stair.part, stair.from_w, stair.to_w, stair.low_w,
                       stair.high_w, markOf(stair.amount)});
    }
    return out;
}

CreditNet netOf(const TestDay& day, const Credit& credit, const CreditLook& look) {
    CreditNet out;
    const size_t parts = credit.sets.parts.size();
    for (int size = 0; size <= static_cast<int>(parts); ++size)
        for (PartSet set = 0; set <= fullOf(credit); ++set) {
            const auto run = buildWith(credit.sets.ofBuild, set);
            if (std::popcount(set) != size || (!run && parts > kMostPartsWithHoles))
                continue;
            NetNode node{set, {}, 0, setText(credit, set)};
            if (run) {
                node.build = credit.builds[static_cast<size_t>(*run)].id;
                node.number = buildNumber(day, node.build);
            }
            out.nodes.push_back(std::move(node));
        }
    for (size_t from = 0; from < out.nodes.size(); ++from)
        for (size_t to = 0; to < out.nodes.size(); ++to) {
            const PartSet a = out.nodes[from].parts;
            const PartSet b = out.nodes[to].parts;
            if ((a & ~b) != 0U || std::popcount(b & ~a) != 1)
                continue;
            NetEdge edge{from, to, static_cast<size_t>(std::countr_zero(b & ~a)), {}, GainMark::Open, false};
            for (const CreditStep& step : credit.steps)
                if (credit.sets.ofBuild[step.from] == a && credit.sets.ofBuild[step.to] == b) {
                    edge.gain = gainText(step.amount, look.units);
                    edge.mark = markOf(step.amount);
                }
            edge.inFront = isInFront(credit, look, edge, a, b);
            out.edges.push_back(std::move(edge));
        }
    return out;
}

std::vector<PartRow> partRows(const TestDay& day, const DayAnalysis& analysis, const CreditLook& look) {
    const Credit& credit = *analysis.credit;
    std::vector<PartRow> out;
    for (size_t part = 0; part < credit.sets.parts.size(); ++part) {
        PartRow row;
        row.name = qs(credit.sets.parts[part].name);
        const CreditAmount* amount = amountOf(credit, look.view, part);
        row.gain = amount ? gainText(*amount, look.units) : kDash;
        if (const auto steps = stepsOf(credit, part); look.view == CreditView::AsRun && steps.size() > 1) {
            row.gain = rangeOfSteps(steps, look.units);
            row.share = counted("count.steps", static_cast<qsizetype>(steps.size()));
        }
        row.mark = amount ? markOf(*amount) : GainMark::Open;
        if (amount && std::isfinite(amount->log))
            row.percent = percentText(percentOfLog(amount->log), 1);
        const CreditShare* share = shareOf(credit, part);
        if (look.view == CreditView::FairShare && share && credit.total && credit.total->proven() &&
            std::isfinite(share->amount.log))
            row.share =
                QObject::tr("%1\u00A0% of the whole").arg(numberText(100.0 * share->amount.log / credit.total->log, 0));
        const PartFacts facts = factsOf(credit, day.credit, part, amount ? *amount : CreditAmount{});
        row.price = unbroken(qs(pricePhrase(facts, currencyOf(credit.builds), look.units)));
        if (facts.mass_kg && *facts.mass_kg != 0.0)
            row.mass = qs(currentVoice().number(signedSignificant(*facts.mass_kg, 3, "kg")));
        row.expected = qs(expectedPhrase(facts, look.units));
        if (const auto pairs = comparisonsOf(analysis, look, part); pairs.size() == 1)
            row.regions = pairs.front()->regions;
        else if (share && look.view == CreditView::FairShare && share->curve.curve.delta.size() > 0) {
            const ShareBand band = bandOf(share->curve);
            row.regions = stretchesOf(analysis.rpm, band.value_w, band.edges_w, share->amount.mayClaim);
        }
        out.push_back(std::move(row));
    }
    return out;
}

QString baseText(const Credit& credit, const DisplayUnits& units) {
    return u"%1  %2"_s.arg(qs(credit.builds.front().id), powerFigure(credit.base_w, units));
}

std::optional<size_t> interactionAfter(const Credit& credit, size_t part, std::optional<size_t> now) {
    for (size_t i = now ? *now + 1 : 0; i < credit.interactions.size(); ++i)
        if ((credit.interactions[i].parts >> part & 1U) != 0U && credit.interactions[i].curve.curve.delta.size() > 0)
            return i;
    return std::nullopt;
}

namespace {

void putInteraction(BoardContent& out, const DayAnalysis& analysis, const CreditInteraction& one, const QPen& pen,
                    const QColor& ground) {
    out.title = QObject::tr("%1 together beyond each by itself, % \u00B7 band: 95\u00A0% over all interactions")
                    .arg(setText(*analysis.credit, one.parts));
    const Eigen::VectorXd& delta = one.curve.curve.delta;
    const auto percents = [&](double side) {
        std::vector<double> values;
        for (Eigen::Index p = 0; p < delta.size(); ++p) {
            const double half = one.curve.familyHalf(p);
            values.push_back(percentOfLog(delta(p) + side * half));
        }
        return values;
    };
    out.bands.push_back({analysis.rpm, percents(-1.0), percents(1.0), ground});
    out.series.push_back({analysis.rpm, percents(0.0), pen, {}});
}

} // namespace

BoardContent partCurve(const DayAnalysis& analysis, const CreditLook& look, const Theme& theme) {
    const Credit& credit = *analysis.credit;
    BoardContent out;
    out.xTitle = u"rpm"_s;
    out.zeroLine = true;
    out.symmetric = true;
    if (look.part >= credit.sets.parts.size())
        return out;
    out.xRange = RpmRange{analysis.rpm.front(), analysis.rpm.back()};
    const QString name = qs(credit.sets.parts[look.part].name);
    QColor ground = theme.quietInk;
    ground.setAlpha(theme.dark ? 80 : 60);
    const QPen pen(theme.ink, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin);
    if (look.interaction && *look.interaction < credit.interactions.size()) {
        putInteraction(out, analysis, credit.interactions[*look.interaction], pen, ground);
        return out;
    }
    out.title = QObject::tr("%1, %2: gain by speed, %3 %4")
                    .arg(name, viewText(look.view), powerUnit(look.units), qs(placePhrase(analysis.place)));
    const auto pairs = comparisonsOf(analysis, look, look.part);
    const QString banded = QObject::tr(" \u00B7 band: 95\u00A0% for the whole curve");
    if (pairs.size() == 1 && pairs.front()->hasInterval) {
        out.title += banded;
        out.bands.push_back({analysis.rpm, shown(pairs.front()->judgedBand().low, look.units),
                             shown(pairs.front()->judgedBand().high, look.units), ground});
    }
    if (!pairs.empty()) {
        for (const Comparison* c : pairs)
            out.series.push_back({c->rpm, shown(c->delta_w, look.units), pen,
                                  pairs.size() > 1 ? u"%1\u2192%2"_s.arg(qs(c->from), qs(c->to)) : QString()});
    } else if (const CreditShare* share = shareOf(credit, look.part);
               share && look.view == CreditView::FairShare && share->curve.curve.delta.size() > 0) {
        const ShareBand band = bandOf(share->curve);
        out.title += banded;
        out.bands.push_back(
            {analysis.rpm, shown(band.edges_w.low, look.units), shown(band.edges_w.high, look.units), ground});
        out.series.push_back({analysis.rpm, shown(band.value_w, look.units), pen, {}});
    }
    return out;
}

QString creditText(const DayAnalysis* analysis) {
    if (!analysis)
        return QObject::tr("Working the day out \u2026");
    if (!analysis->whyNoComparison.empty() && !analysis->credit)
        return QObject::tr("Nothing to give credit for yet: %1.").arg(qs(analysis->whyNoComparison));
    if (!analysis->credit)
        return QObject::tr("Nothing to give credit for yet: %1.").arg(phrase("credit.no_repeats"));
    return unbroken(qs(said(creditSummary(*analysis->credit))));
}

QStringList creditCautions(const TestDay& day, const DayAnalysis& analysis) {
    QStringList out;
    if (!analysis.credit)
        return out;
    const Credit& credit = *analysis.credit;
    out << QObject::tr("Use: %1").arg(qs(usePhrase(day, credit.use)));
    const bool holes = std::any_of(credit.shares.begin(), credit.shares.end(),
                                   [](const CreditShare& share) { return share.boundFactor > 0.0; });
    if (holes)
        out << (credit.interactionBound_pct
                    ? QObject::tr("fair shares within the declared bound of %1\u00A0%")
                          .arg(numberText(*credit.interactionBound_pct, 1))
                    : QObject::tr("fair shares only if interactions that were not run are nil"));
    std::vector<Statement> besides = creditAdvice(credit);
    for (const EndSpeeds& found : analysis.endSpeeds)
        besides.push_back(endSpeedPhrase(found));
    for (const Statement& one : besides)
        out << qs(one).chopped(1); // they stand in a line
    return out;
}

QStringList partLines(const DayAnalysis& analysis, const CreditLook& look) {
    const Credit& credit = *analysis.credit;
    QStringList out;
    if (look.part >= credit.sets.parts.size())
        return out;
    for (const CreditPart& part : {credit.sets.parts[look.part]})
        for (const auto* changes : {&part.changes, &part.countedWith})
            for (const Change& change : *changes)
                out << u"%1: %2 \u2192 %3"_s.arg(qs(change.part), qs(valuePhrase(change.from)),
                                                 qs(valuePhrase(change.to)));
    for (const CreditStep* step : stepsOf(credit, look.part))
        if (const Statement specific = specificPhrase(analysis, credit.builds[step->from], credit.builds[step->to]);
            !specific.empty())
            out << qs(specific);
    const CreditShare* share = credit.sets.parts.size() > 1 ? shareOf(credit, look.part) : nullptr;
    if (share && share->alone)
        out << QObject::tr("alone %1").arg(gainText(*share->alone, look.units));
    if (share && share->onTop)
        out << QObject::tr("on top of all %1").arg(gainText(*share->onTop, look.units));
    if (share && share->boundFactor > 0.0)
        out << QObject::tr("each %1 of an interaction that was not run moves its fair share by up to %2")
                   .arg(u"1\u00A0%"_s, numberText(share->boundFactor, 2) + u"\u00A0%"_s);
    for (const CreditInteraction& one : credit.interactions)
        if ((one.parts >> look.part & 1U) != 0U && std::isfinite(one.amount.log)) {
            const double half = halfPercent(one.amount.low, one.amount.high);
            out << QObject::tr("%1 together beyond each by itself: %2")
                       .arg(setText(credit, one.parts),
                            qs(currentVoice().interval(percentOfLog(one.amount.log), half, "%", true)));
        }
    return out;
}

} // namespace hillrun
