// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/across_ladder.h"

#include "core/units/log_percent.h"

#include <algorithm>

namespace hillrun {
namespace {

/// Each by itself would hold on 95 % of ladders; all of them together do with this.
double probabilityOfEach(size_t intervals) { return 1.0 - 0.05 / static_cast<double>(intervals); }

Number inPercent(double log) { return signedDecimals(percentOfLog(log), 1, "%"); }

} // namespace

AcrossLadder acrossLadder(const DaysTogether& days, const std::string& article) {
    AcrossLadder out;
    for (const std::vector<BuildOfDay>& same : days.net.builds) // by first visit
        if (days.net.articleOf(same.front()) == article)
            out.builds.push_back(same.front());
    if (out.builds.size() < 2)
        return {};
    for (const BuildOfDay& build : out.builds)
        out.names.push_back(days.net.nameOf(build));
    const double each =
        probabilityOfEach(2 * out.builds.size() - 3); // the first step is a difference from the base too
    for (size_t i = 1; i < out.builds.size(); ++i) {
        out.steps.push_back(compareAcross(days, out.builds[i - 1], out.builds[i], each));
        out.fromBase.push_back(compareAcross(days, out.builds.front(), out.builds[i], each));
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
        out.push_back({"ladder.unknown", {buildPhrase(total.from), buildPhrase(total.to), inPercent(total.estimate)}});
    out.push_back(
        {"ladder.steps", {Count{static_cast<long>(ladder.steps.size())}, decimals(static_cast<double>(proven), 0)}});
    return out;
}

std::vector<Statement> ladderNotes(const AcrossLadder& ladder) {
    std::vector<Statement> out;
    if (ladder.steps.empty())
        return out;
    out.push_back({"ladder.together"});
    out.push_back({"across.over", {ladder.steps.front().over}});
    std::vector<std::string> unprotected;
    for (const AcrossAnswer& step : ladder.steps)
        for (const std::string& day : step.unprotected)
            if (std::find(unprotected.begin(), unprotected.end(), day) == unprotected.end())
                unprotected.push_back(day);
    std::sort(unprotected.begin(), unprotected.end());
    if (!unprotected.empty())
        out.push_back({"across.unprotected", {namesOf(unprotected)}});
    if (!ladder.steps.front().refitKnown)
        out.push_back({"across.refit_unknown"});
    if (!ladder.steps.front().leftOut.empty())
        out.push_back({"across.left_out", {namesOf(ladder.steps.front().leftOut)}});
    return out;
}

} // namespace hillrun
