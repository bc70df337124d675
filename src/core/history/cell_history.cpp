// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/cell_history.h"

#include "core/errors/data_error.h"

#include <algorithm>
#include <boost/math/distributions/chi_squared.hpp>
#include <cmath>
#include <set>

namespace hillrun {
namespace {

using Days = std::vector<const DayRecord*>;

constexpr int kDaysToldFrom = 2; ///< degrees of freedom from which a day-to-day sd is worth printing

/// The nets of all articles of a cell, and what they say together.
struct CellNets {
    std::vector<ArticleNet> articles;
    std::vector<VarianceNode> nodes = varianceNodes();
    std::vector<NodeTable> tables;
    WithinVisits within;

    void add(ArticleNet net) {
        tables.push_back(nodeTable(net.net, nodes));
        within += net.within;
        articles.push_back(std::move(net));
    }
    [[nodiscard]] std::optional<CellModel> learn() const { return learnCell(tables, within, nodes); }
};

CellNets netsOf(std::span<const DayRecord* const> days) {
    CellNets out;
    for (const Days& of : byArticle(days))
        if (auto net = articleNet(of))
            out.add(std::move(*net));
    return out;
}

std::optional<CellFigure> repeatabilityOf(const Days& days) {
    std::vector<DayVariance> variances;
    for (const DayRecord* day : days)
        if (day->levelSd)
            variances.push_back({*day->levelSd * *day->levelSd, day->freedom});
    const auto history = varianceHistory(variances);
    if (!history)
        return std::nullopt;
    const boost::math::chi_squared chi(history->freedom);
    const double squares = history->variance * history->freedom;
    return CellFigure{std::sqrt(history->variance), std::sqrt(squares / boost::math::quantile(chi, 0.9)),
                      std::sqrt(squares / boost::math::quantile(chi, 0.1)), history->freedom};
}

CellFigure figureOf(const LearnedSd& sd, int freedom) { return {sd.median, sd.low, sd.high, double(freedom)}; }

/// Where the reference build stands: its article among the nets, and its number there.
struct Reference {
    const ArticleNet* net = nullptr;
    int build = 0;
    size_t days = 0;
};

std::set<int> daysOfBuild(const Net& net, int build) {
    std::set<int> out;
    for (const Visit& visit : net.visits)
        if (visit.build == build)
            out.insert(visit.day);
    return out;
}

bool saidToBeReference(const ArticleNet& net, int build) {
    const auto& same = net.builds[static_cast<size_t>(build)];
    return std::any_of(net.days.begin(), net.days.end(), [&](const DayRecord* day) {
        return std::any_of(day->builds.begin(), day->builds.end(), [&](const BuildRecord& one) {
            return one.reference && std::find(same.begin(), same.end(), BuildOfDay{day->id, one.id}) != same.end();
        });
    });
}

/// The build that somebody named, else the one that ran on most days, at least two.
Reference referenceOf(const CellNets& cell) {
    Reference best;
    Reference named;
    for (const ArticleNet& article : cell.articles)
        for (int build = 0; build < article.net.builds; ++build) {
            const size_t days = daysOfBuild(article.net, build).size();
            if (days > best.days)
                best = {&article, build, days};
            if (days > named.days && saidToBeReference(article, build))
                named = {&article, build, days};
        }
    if (named.net)
        return named;
    return best.days > 1 ? best : Reference{};
}

void chartReference(const Reference& reference, CellHistory& out) {
    if (!reference.net)
        return;
    const ArticleNet& article = *reference.net;
    out.reference = article.builds[static_cast<size_t>(reference.build)].front();
    std::vector<double> levels;
    double mean = 0.0;
    for (const Visit& visit : article.net.visits) { // in order of date and time
        if (visit.build != reference.build)
            continue;
        const DayRecord& day = *article.days[static_cast<size_t>(visit.day)];
        out.runs.push_back({day.id, day.date, visit.level});
        levels.push_back(visit.level);
        mean += visit.level;
    }
    mean /= static_cast<double>(levels.size());
    for (ReferenceRun& run : out.runs)
        run.level -= mean;
    out.chart = controlChart(levels);
}

Eigen::VectorXd oneAgainst(int builds, int from, int to) {
    Eigen::VectorXd out = Eigen::VectorXd::Zero(builds);
    out(from) -= 1.0;
    out(to) += 1.0;
    return out;
}

/// All builds of the net that lie off their other days, with the rest of the cell as it is.
void addOddDays(const ArticleNet& net, const CellNets& others, AcrossAnswer& out) {
    const Relearn relearn = [&](const Net& changed) {
        std::vector<NodeTable> tables = others.tables;
        tables.push_back(nodeTable(changed, others.nodes));
        WithinVisits within = others.within;
        within += net.within;
        return learnCell(tables, within, others.nodes);
    };
    for (const OddDay& odd : oddDays(net.net, relearn)) {
        const DayRecord& day = *net.days[static_cast<size_t>(odd.day)];
        for (const BuildOfDay& one : net.builds[static_cast<size_t>(odd.build)])
            if (one.day == day.id)
                out.odd.push_back({one, odd.off.estimate, odd.onlyTwo});
    }
}

int numberOrThrow(const ArticleNet& net, const BuildOfDay& build) {
    const auto number = net.find(build);
    if (!number)
        throw DataError(Problem::UnknownBuild, {build.text()});
    return *number;
}

std::string dateOf(const ArticleNet& net, const BuildOfDay& build) {
    for (const DayRecord* day : net.days)
        if (day->id == build.day)
            return day->date;
    return {};
}

} // namespace

CellHistory cellHistory(std::vector<const DayRecord*> days) {
    CellHistory out;
    out.days = std::move(days);
    std::stable_sort(out.days.begin(), out.days.end(),
                     [](const DayRecord* a, const DayRecord* b) { return a->date < b->date; });
    out.repeatability = repeatabilityOf(out.days);
    const CellNets nets = netsOf(out.days);
    if (const auto cell = nets.learn()) {
        if (cell->of.refit >= kRefitKnown)
            out.refit = figureOf(cell->refit, cell->of.refit);
        if (cell->of.day >= kDaysToldFrom)
            out.dayToDay = figureOf(cell->day, cell->of.day);
    }
    chartReference(referenceOf(nets), out);
    return out;
}

AcrossAnswer compareAcross(const BuildOfDay& from, const BuildOfDay& to, std::span<const DayRecord* const> named,
                           std::span<const DayRecord* const> cell) {
    for (const DayRecord* day : named)
        if (!sameDyno(*day, *named.front()))
            throw DataError(Problem::NotComparable, {Statement{"across.other_dyno"}});
    const auto net = articleNet(named);
    if (!net)
        throw DataError(Problem::NothingToCompare, {Statement{"across.no_pulls"}});
    const int first = numberOrThrow(*net, from);
    const int second = numberOrThrow(*net, to);
    if (first == second)
        throw DataError(Problem::NothingToCompare, {Statement{"across.same_build"}});
    std::set<std::string> inNet;
    for (const DayRecord* day : named)
        inNet.insert(day->id);
    Days rest;
    for (const DayRecord* day : cell)
        if (!inNet.contains(day->id))
            rest.push_back(day);
    const CellNets others = netsOf(rest);
    CellNets all = others;
    all.add(*net);
    const auto model = all.learn();

    AcrossAnswer out;
    out.from = from;
    out.to = to;
    out.otherArticle = net->articleOf(from) != net->articleOf(to);
    out.from.date = dateOf(*net, from);
    out.to.date = dateOf(*net, to);
    for (const DayRecord* day : net->days)
        if (!day->protectedFromDrift)
            out.unprotected.push_back(day->date.empty() ? day->name : day->date);
    for (const DayRecord* day : net->leftOut)
        out.leftOut.push_back(day->date.empty() ? day->name : day->date);
    if (const auto path = connection(net->net, first, second))
        for (const int build : *path)
            out.through.push_back(net->builds[static_cast<size_t>(build)].front());
    const Eigen::VectorXd k = oneAgainst(net->net.builds, first, second);
    if (!model) { // one pull a build: nothing repeats
        double estimate = 0.0;
        const std::vector<VarianceNode> nodes{{1.0, 0.0, 0.0}};
        const std::vector<NodeTable> tables{nodeTable(net->net, nodes)};
        if (const auto any = learnCell(tables, {1.0, 1.0}, nodes))
            estimate = acrossDays(net->net, *any, k).estimate;
        out.estimate = estimate;
        return out;
    }
    out.kind = acrossKind(net->net, *model, first, second);
    const AcrossDays found = acrossDays(net->net, *model, k);
    out.estimate = found.estimate;
    if (out.kind != AcrossKind::Unknown)
        out.interval = found;
    out.refitKnown = model->of.refit >= kRefitKnown;
    out.cellDays = model->of.day + 1;
    if (out.kind == AcrossKind::ByTheCell)
        out.daySd = model->day.median;
    addOddDays(*net, others, out);
    return out;
}

} // namespace hillrun
