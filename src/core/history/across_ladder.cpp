// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/across_ladder.h"

#include "core/units/log_percent.h"

#include <algorithm>
#include <set>

namespace hillrun {
namespace {

/// Each by itself would hold on 95 % of ladders; all of them together do with this.
double probabilityOfEach(size_t intervals) { return 1.0 - 0.05 / static_cast<double>(std::max<size_t>(1, intervals)); }

/// The article's builds, those that ran as the net numbers them, in order of their first day.
std::vector<BuildOfDay> buildsOf(const DaysTogether& days, const std::string& article) {
    std::vector<BuildOfDay> out;
    const auto isOfIt = [&](const BuildOfDay& build) { return articleKey(*days.dayOf(build)) == article; };
    for (const std::vector<BuildOfDay>& same : days.net.builds) // by first visit
        if (isOfIt(same.front()))
            out.push_back(same.front());
    for (const PaperBuild& paper : days.papers)
        if (isOfIt(paper.build))
            out.push_back(paper.build);
    std::stable_sort(out.begin(), out.end(), [](const BuildOfDay& a, const BuildOfDay& b) { return a.date < b.date; });
    return out;
}

/// Of each build what it gives over the first one that ran. Differences of these add up, with and without paper.
std::vector<double> heightsOf(const DaysTogether& days, const std::vector<BuildOfDay>& builds) {
    const auto ran =
        std::find_if(builds.begin(), builds.end(), [&](const BuildOfDay& one) { return !days.paperOf(one); });
    const BuildOfDay& base = ran == builds.end() ? builds.front() : *ran;
    std::vector<double> out;
    for (const BuildOfDay& build : builds)
        out.push_back(build == base ? 0.0 : compareAcross(days, base, build).estimate);
    return out;
}

Number inPercent(double log) { return signedDecimals(percentOfLog(log), 1, "%"); }

} // namespace

AcrossLadder acrossLadder(const DaysTogether& days, const std::string& article) {
    AcrossLadder out;
    out.builds = buildsOf(days, article);
    if (out.builds.size() < 2)
        return {};
    for (const BuildOfDay& build : out.builds)
        out.names.push_back(days.recordOf(build)->name);
    const auto bothRan = [&](const BuildOfDay& a, const BuildOfDay& b) { return !days.paperOf(a) && !days.paperOf(b); };
    size_t intervals = 0;
    for (size_t i = 1; i < out.builds.size(); ++i) {
        intervals += bothRan(out.builds[i - 1], out.builds[i]) ? 1 : 0;
        intervals += i > 1 && bothRan(out.builds.front(), out.builds[i]) ? 1 : 0; // the first step is from the base too
    }
    const double each = probabilityOfEach(intervals);
    const bool anyPaper = std::any_of(out.builds.begin(), out.builds.end(),
                                      [&](const BuildOfDay& build) { return days.paperOf(build) != nullptr; });
    const std::vector<double> heights = anyPaper ? heightsOf(days, out.builds) : std::vector<double>();
    const auto between = [&](size_t from, size_t to) {
        AcrossAnswer one = compareAcross(days, out.builds[from], out.builds[to], each);
        if (!one.onPaper.empty())
            one.estimate = heights[to] - heights[from];
        return one;
    };
    for (size_t i = 1; i < out.builds.size(); ++i) {
        out.steps.push_back(between(i - 1, i));
        out.fromBase.push_back(between(0, i));
    }
    return out;
}

std::vector<Statement> ladderSummary(const AcrossLadder& ladder) {
    if (ladder.steps.empty())
        return {{"ladder.none"}};
    const AcrossAnswer& total = ladder.fromBase.back();
    const auto proven =
        std::count_if(ladder.steps.begin(), ladder.steps.end(), [](const AcrossAnswer& step) { return step.proven(); });
    std::vector<Statement> out;
    if (total.interval)
        out.push_back({"ladder.total",
                       {buildPhrase(total.from), buildPhrase(total.to), inPercent(total.estimate),
                        inPercent(total.interval->low), inPercent(total.interval->high)}});
    else
        out.push_back({total.onPaper.empty() ? "ladder.unknown" : "ladder.paper",
                       {buildPhrase(total.from), buildPhrase(total.to), inPercent(total.estimate)}});
    out.push_back(
        {"ladder.steps", {Count{static_cast<long>(ladder.steps.size())}, decimals(static_cast<double>(proven), 0)}});
    return out;
}

std::vector<Statement> ladderNotes(const AcrossLadder& ladder) {
    std::vector<Statement> out;
    if (ladder.steps.empty())
        return out;
    const auto told = std::find_if(ladder.steps.begin(), ladder.steps.end(),
                                   [](const AcrossAnswer& step) { return step.onPaper.empty(); });
    const AcrossAnswer& first = told == ladder.steps.end() ? ladder.steps.front() : *told;
    out.push_back({"ladder.together"});
    out.push_back({"across.over", {first.over}});
    const auto sayDays = [&](const char* id, std::vector<std::string> AcrossAnswer::*ofStep) {
        std::set<std::string> days;
        for (const AcrossAnswer& step : ladder.steps)
            days.insert((step.*ofStep).begin(), (step.*ofStep).end());
        if (!days.empty())
            out.push_back({id, {namesOf({days.begin(), days.end()})}});
    };
    sayDays("across.unprotected", &AcrossAnswer::unprotected);
    sayDays("across.outside_air", &AcrossAnswer::outsideAir);
    std::vector<Statement> papers;
    for (const AcrossAnswer& step : ladder.steps)
        for (const Statement& one : step.onPaper)
            if (std::find(papers.begin(), papers.end(), one) == papers.end())
                papers.push_back(one);
    for (Statement& one : papers)
        out.push_back({"across.paper", {std::move(one)}});
    if (!first.refitKnown)
        out.push_back({"across.refit_unknown"});
    if (!first.leftOut.empty())
        out.push_back({"across.left_out", {namesOf(first.leftOut)}});
    return out;
}

} // namespace hillrun
