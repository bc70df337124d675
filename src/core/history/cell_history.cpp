// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/cell_history.h"

#include "core/history/cell_nets.h"

#include <algorithm>
#include <boost/math/distributions/chi_squared.hpp>
#include <cmath>
#include <set>

namespace hillrun {
namespace {

using Days = std::vector<const DayRecord*>;

constexpr int kLikelyRefits = 10; ///< enough for an interval of 95 %
constexpr int kDaysToldFrom = 2;  ///< degrees of freedom from which a day-to-day sd is worth printing

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

/// Days made after a check keep the same one.
std::vector<DatedCheck> checksOf(const Days& days) {
    std::vector<DatedCheck> out;
    const auto add = [&](const std::optional<CheckRecord>& check, bool ofLoadCell) {
        if (!check)
            return;
        const DatedCheck one{check->date, ofLoadCell, check->off_pct};
        if (std::find(out.begin(), out.end(), one) == out.end())
            out.push_back(one);
    };
    for (const DayRecord* day : days) {
        add(day->loadCell, true);
        add(day->station, false);
    }
    std::stable_sort(out.begin(), out.end(), [](const DatedCheck& a, const DatedCheck& b) { return a.date < b.date; });
    return out;
}

} // namespace

CellHistory cellHistory(std::vector<const DayRecord*> days) {
    CellHistory out;
    out.days = std::move(days);
    std::erase_if(out.days, [](const DayRecord* day) { return day->pulls.empty(); }); // paper teaches nothing of a dyno
    std::stable_sort(out.days.begin(), out.days.end(),
                     [](const DayRecord* a, const DayRecord* b) { return a->date < b->date; });
    out.repeatability = repeatabilityOf(out.days);
    const CellNets nets = cellNets(out.days);
    if (const auto cell = nets.learn()) {
        if (cell->of.refit >= kRefitKnown) {
            out.refit = figureOf(cell->refit, cell->of.refit);
            out.likelyRefits = likelyRefits(*cell, kLikelyRefits);
        }
        if (cell->of.day >= kDaysToldFrom)
            out.dayToDay = figureOf(cell->day, cell->of.day);
    }
    chartReference(referenceOf(nets), out);
    out.checks = checksOf(out.days);
    return out;
}

} // namespace hillrun
