// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/days_together.h"

#include "core/errors/data_error.h"
#include "core/pull/derived.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace hillrun {
namespace {

std::string dateOrName(const DayRecord& day) { return day.date.empty() ? day.name : day.date; }

Eigen::VectorXd oneAgainst(int builds, int from, int to) {
    Eigen::VectorXd out = Eigen::VectorXd::Zero(builds);
    out(from) -= 1.0;
    out(to) += 1.0;
    return out;
}

/// All builds of the net that lie off their other days, with the rest of the cell as it is.
std::vector<OddBuild> oddBuilds(const ArticleNet& net, const CellNets& others) {
    WithinVisits within = others.within;
    within += net.within;
    std::vector<OddBuild> out;
    for (const OddDay& odd : oddDays(net.net, others.tables, within, others.nodes)) {
        const DayRecord& day = *net.days[static_cast<size_t>(odd.day)];
        for (const BuildOfDay& one : net.builds[static_cast<size_t>(odd.build)])
            if (one.day == day.id)
                out.push_back({one, odd.off, odd.onlyTwo});
    }
    return out;
}

/// A build's number. A day that was left out for its speeds says so.
int numberOrThrow(const ArticleNet& net, const BuildOfDay& build) {
    if (const auto number = net.find(build))
        return *number;
    for (const DayRecord* day : net.leftOut)
        if (day->id == build.day)
            throw DataError(Problem::NothingToCompare, {Statement{"across.left_out", {namesOf({dateOrName(*day)})}}});
    throw DataError(Problem::UnknownBuild, {build.text()});
}

/// Days of the cell that ran a build which ran on other days too.
int daysThatTaught(const CellNets& cell) {
    int out = 0;
    for (size_t a = 0; a < cell.articles.size(); ++a)
        if (cell.tables[a].of.day > 0)
            out += cell.articles[a].net.days;
    return out;
}

/// Days on which one of these builds ran and drift is not told from the parts.
std::vector<std::string> unprotectedDays(const ArticleNet& net, const std::set<int>& builds) {
    std::set<int> days;
    for (const Visit& visit : net.net.visits)
        if (builds.contains(visit.build))
            days.insert(visit.day);
    std::vector<std::string> out;
    for (const int day : days)
        if (!net.days[static_cast<size_t>(day)]->protectedFromDrift)
            out.push_back(dateOrName(*net.days[static_cast<size_t>(day)]));
    return out;
}

/// Of these builds' days those whose air the standard is not made for.
std::vector<std::string> daysOutsideAir(const ArticleNet& net, const std::set<int>& builds) {
    std::set<std::string> out;
    for (const Visit& visit : net.net.visits)
        if (const DayRecord& day = *net.days[static_cast<size_t>(visit.day)];
            day.outsideAir && builds.contains(visit.build))
            out.insert(dateOrName(day));
    return {out.begin(), out.end()};
}

std::optional<double> meanPressureAtPeak_bar(const DayRecord& day, const BuildRecord& build) {
    if (!day.strokes || !build.peakTorque_nm)
        return std::nullopt;
    return meanEffectivePressure_pa(*build.peakTorque_nm, *day.displacement_cc, *day.strokes) / 1e5;
}

std::optional<ForTheirSize> forTheirSize(const DaysTogether& all, const BuildOfDay& from, const BuildOfDay& to) {
    const DayRecord* const days[] = {all.dayOf(from), all.dayOf(to)};
    const BuildRecord* const builds[] = {all.recordOf(from), all.recordOf(to)};
    for (size_t i = 0; i < 2; ++i)
        if (!builds[i] || !builds[i]->peakPower_w || !(days[i]->displacement_cc.value_or(0.0) > 0.0))
            return std::nullopt;
    // W per cm3 is kW per litre
    return ForTheirSize{*builds[0]->peakPower_w / *days[0]->displacement_cc,
                        *builds[1]->peakPower_w / *days[1]->displacement_cc,
                        meanPressureAtPeak_bar(*days[0], *builds[0]), meanPressureAtPeak_bar(*days[1], *builds[1]),
                        std::log(*days[0]->displacement_cc / *days[1]->displacement_cc)};
}

std::vector<Change> differences(const BuildRecord* from, const BuildRecord* to) {
    if (!from || !to)
        return {};
    return changesBetween({.parts = from->parts, .settings = from->settings},
                          {.parts = to->parts, .settings = to->settings});
}

/// What is known of the two before they are held against each other: days, articles, parts.
AcrossAnswer introduced(const DaysTogether& days, const BuildOfDay& from, const BuildOfDay& to) {
    AcrossAnswer out;
    const DayRecord& first = *days.dayOf(from);
    const DayRecord& second = *days.dayOf(to);
    out.from = {from.day, from.build, first.date};
    out.to = {to.day, to.build, second.date};
    out.otherArticle = articleKey(first) != articleKey(second);
    if (out.otherArticle)
        out.forTheirSize = forTheirSize(days, from, to);
    out.differs = differences(days.recordOf(from), days.recordOf(to));
    for (const DayRecord* day : days.net.leftOut)
        out.leftOut.push_back(dateOrName(*day));
    return out;
}

/// Mean log power of a build of the net, every visit alike.
double plainLevel(const ArticleNet& net, int build, const RpmRange& over) {
    double sum = 0.0;
    double visits = 0.0;
    for (size_t v = 0; v < net.net.visits.size(); ++v) {
        const Visit& visit = net.net.visits[v];
        if (visit.build != build)
            continue;
        double level = 0.0;
        for (const PullRecord* pull : net.pulls[v])
            level += levelOf(*pull, net.days[static_cast<size_t>(visit.day)]->step_rpm, over);
        sum += level / static_cast<double>(net.pulls[v].size());
        visits += 1.0;
    }
    return sum / visits;
}

/// Of two builds at least one of which is not recorded: their plain difference, and no interval.
AcrossAnswer compareOnPaper(const DaysTogether& days, const BuildOfDay& from, const BuildOfDay& to) {
    const PaperBuild* const papers[] = {days.paperOf(from), days.paperOf(to)};
    const int first = papers[0] ? 0 : numberOrThrow(days.net, from);
    const int second = papers[1] ? 0 : numberOrThrow(days.net, to);
    AcrossAnswer out = introduced(days, from, to);
    out.over = days.net.rpm;
    for (const PaperBuild* one : papers)
        if (one) {
            out.over.low = std::max(out.over.low, one->paper->curve.low_rpm);
            out.over.high = std::min(out.over.high, one->paper->curve.high_rpm(one->step_rpm));
            out.onPaper.push_back({"given.build", {buildPhrase(one->build), one->paper->what}});
        }
    const auto level = [&](const PaperBuild* paper, int build) {
        return paper ? levelOf(paper->paper->curve, paper->step_rpm, out.over) : plainLevel(days.net, build, out.over);
    };
    out.estimate = level(papers[1], second) - level(papers[0], first);
    if (!std::isfinite(out.estimate))
        throw DataError(Problem::NothingToCompare,
                        {Statement{"across.left_out", {namesOf({dateOrName(*days.dayOf(papers[0] ? from : to))})}}});
    return out;
}

/// A day's curves off paper that have enough of the net's speeds; else the day is one of those left out.
void addPapers(const DayRecord& day, DaysTogether& out) {
    constexpr double kLeastOfNet = 0.6; // so that any two of them have speeds in common too
    const RpmRange& net = out.net.rpm;
    for (const PaperCurve& paper : day.papers) {
        if (std::none_of(day.builds.begin(), day.builds.end(),
                         [&](const BuildRecord& build) { return build.id == paper.curve.build; }))
            continue; // of a record that somebody else wrote
        const double shared =
            std::min(net.high, paper.curve.high_rpm(day.step_rpm)) - std::max(net.low, paper.curve.low_rpm);
        if (shared >= kLeastOfNet * (net.high - net.low))
            out.papers.push_back({{day.id, paper.curve.build, day.date}, day.step_rpm, &paper});
    }
    const auto isIn = [&](const std::vector<const DayRecord*>& days) {
        return std::find(days.begin(), days.end(), &day) != days.end();
    };
    const bool any = std::any_of(out.papers.begin(), out.papers.end(),
                                 [&](const PaperBuild& one) { return one.build.day == day.id; });
    if (isIn(out.days) || day.papers.empty())
        return;
    if (any)
        out.days.push_back(&day);
    else if (!isIn(out.net.leftOut))
        out.net.leftOut.push_back(&day);
}

/// The plain estimate where nothing repeats.
double estimateOf(const Net& net, const Eigen::VectorXd& builds) {
    const std::vector<VarianceNode> nodes{{1.0, 0.0, 0.0}};
    const std::vector<NodeTable> tables{nodeTable(net, nodes)};
    const auto any = learnCell(tables, {1.0, 1.0}, nodes);
    return any ? acrossDays(net, *any, builds).estimate : 0.0;
}

} // namespace

DaysTogether daysTogether(std::span<const DayRecord* const> named, std::span<const DayRecord* const> cell) {
    for (const DayRecord* day : named)
        if (!sameDyno(*day, *named.front()))
            throw DataError(Problem::NotComparable, {Statement{"across.other_dyno"}});
    auto net = articleNet(named);
    if (!net)
        throw DataError(Problem::NothingToCompare, {Statement{"across.no_pulls"}});
    std::set<std::string> inNet;
    for (const DayRecord* day : named)
        inNet.insert(day->id);
    std::vector<const DayRecord*> rest;
    for (const DayRecord* day : cell)
        if (!inNet.contains(day->id))
            rest.push_back(day);
    DaysTogether out;
    out.net = std::move(*net);
    out.days = out.net.days;
    for (const DayRecord* day : named)
        addPapers(*day, out);
    std::stable_sort(out.days.begin(), out.days.end(),
                     [](const DayRecord* a, const DayRecord* b) { return a->date < b->date; });
    out.cell = cellNets(rest);
    out.odd = oddBuilds(out.net, out.cell);
    out.cell.add(out.net);
    out.model = out.cell.learn();
    return out;
}

const DayRecord* DaysTogether::dayOf(const BuildOfDay& build) const {
    const auto day = std::find_if(days.begin(), days.end(), [&](const DayRecord* one) { return one->id == build.day; });
    return day == days.end() ? nullptr : *day;
}

const BuildRecord* DaysTogether::recordOf(const BuildOfDay& build) const {
    if (const DayRecord* day = dayOf(build))
        for (const BuildRecord& one : day->builds)
            if (one.id == build.build)
                return &one;
    return nullptr;
}

const PaperBuild* DaysTogether::paperOf(const BuildOfDay& build) const {
    const auto paper =
        std::find_if(papers.begin(), papers.end(), [&](const PaperBuild& one) { return one.build == build; });
    return paper == papers.end() ? nullptr : &*paper;
}

AcrossAnswer compareAcross(const DaysTogether& days, const BuildOfDay& from, const BuildOfDay& to, double probability) {
    const ArticleNet& net = days.net;
    if (from == to)
        throw DataError(Problem::NothingToCompare, {Statement{"across.same_build"}});
    if (days.paperOf(from) || days.paperOf(to))
        return compareOnPaper(days, from, to);
    const int first = numberOrThrow(net, from);
    const int second = numberOrThrow(net, to);
    if (first == second)
        throw DataError(Problem::NothingToCompare, {Statement{"across.same_build"}});
    AcrossAnswer out = introduced(days, from, to);
    out.over = net.rpm;
    std::set<int> involved{first, second};
    if (const auto path = connection(net.net, first, second))
        for (const int build : *path) {
            involved.insert(build);
            out.through.push_back(net.builds[static_cast<size_t>(build)].front());
        }
    out.unprotected = unprotectedDays(net, involved);
    out.outsideAir = daysOutsideAir(net, involved);
    const Eigen::VectorXd k = oneAgainst(net.net.builds, first, second);
    if (!days.model) {
        out.estimate = estimateOf(net.net, k);
        return out;
    }
    out.kind = acrossKind(net.net, *days.model, first, second);
    const AcrossDays found = acrossDays(net.net, *days.model, k, probability);
    out.estimate = found.estimate;
    if (out.kind != AcrossKind::Unknown)
        out.interval = found;
    out.refitKnown = days.model->of.refit >= kRefitKnown;
    out.cellDays = daysThatTaught(days.cell);
    if (out.kind == AcrossKind::ByTheCell)
        out.daySd = days.model->day.median;
    out.odd = days.odd;
    return out;
}

AcrossAnswer compareAcross(const BuildOfDay& from, const BuildOfDay& to, std::span<const DayRecord* const> named,
                           std::span<const DayRecord* const> cell) {
    return compareAcross(daysTogether(named, cell), from, to);
}

std::optional<ShapesTogether> shapesTogether(const DaysTogether& days) {
    VisitShapes visits = visitShapes(days.net);
    auto learned = learnShapes(days.cell);
    if (!knowsNoise(visits) || !learned)
        return std::nullopt;
    return ShapesTogether{std::move(visits), std::move(*learned)};
}

std::optional<CurveAcross> curveAcross(const DaysTogether& days, const ShapesTogether& shapes, const BuildOfDay& from,
                                       const BuildOfDay& to, DrawCache& draws) {
    if (days.paperOf(from) || days.paperOf(to))
        return std::nullopt;
    const int first = numberOrThrow(days.net, from);
    const int second = numberOrThrow(days.net, to);
    if (!days.model || acrossKind(days.net.net, *days.model, first, second) == AcrossKind::Unknown)
        return std::nullopt;
    return curveAcross(days.net.net, shapes.visits, *days.model, shapes.model,
                       oneAgainst(days.net.net.builds, first, second), draws);
}

} // namespace hillrun
