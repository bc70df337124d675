// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/analyse.h"

#include "core/compare/day_stages.h"
#include "core/plan/named_use.h"

#include <algorithm>
#include <fmt/format.h>
#include <utility>

namespace hillrun {

const Comparison* DayAnalysis::find(const std::string& from, const std::string& to) const {
    for (const auto* list : {&comparisons, &otherPairs})
        for (const Comparison& c : *list)
            if (c.from == from && c.to == to)
                return &c;
    return nullptr;
}

const BuildResult* DayAnalysis::findBuild(const std::string& id) const {
    const auto it = std::find_if(builds.begin(), builds.end(), [&](const BuildResult& b) { return b.id == id; });
    return it == builds.end() ? nullptr : &*it;
}

std::optional<BuildColumn> DayAnalysis::column(const std::string& id) const {
    for (int b = 0; model && b < model->input.builds; ++b)
        if (builds[static_cast<size_t>(b)].id == id)
            return b;
    return std::nullopt;
}

std::vector<DayDoubt> DayAnalysis::doubtsAbout(const std::string& pull) const {
    std::vector<DayDoubt> out;
    for (const DayDoubt& doubt : doubts)
        if (std::find(doubt.pulls.begin(), doubt.pulls.end(), pull) != doubt.pulls.end())
            out.push_back(doubt);
    return out;
}

AnalysisSettings settingsFor(const TestDay& day, AnalysisSettings given) {
    if (!given.use)
        given.use = usedSpeeds(day);
    std::vector<RpmRange> bands;
    if (given.use)
        bands.push_back(given.use->range_rpm);
    for (const std::vector<RpmRange>* list : {&day.bands, &std::as_const(given).bands})
        for (const RpmRange& band : *list)
            if (std::find(bands.begin(), bands.end(), band) == bands.end())
                bands.push_back(band);
    given.bands = std::move(bands);
    if (given.pairs.empty())
        for (const auto& pair : day.plan.pairs)
            if (pair.first != pair.second && findBuild(day, pair.first) && findBuild(day, pair.second))
                given.pairs.push_back(pair);
    if (!given.matters_w && !given.matters_pct)
        given.matters_pct = day.plan.matters_pct;
    if (!given.drift.declaredBound_pct)
        given.drift.declaredBound_pct = day.plan.driftBound_pct;
    return given;
}

Statement airPhrase(const DayAnalysis& analysis) {
    const std::string standard = standardInfo(analysis.settings.reduce.standard).title;
    return analysis.school.empty()
               ? Statement{"basis.standard", {standard, placePhrase(analysis.place)}}
               : Statement{"basis.standard_and_school", {standard, analysis.school, placePhrase(analysis.place)}};
}

Statement basisPhrase(const DayAnalysis& analysis) {
    const bool asEarlier = analysis.model && analysis.model->historyFreedom > 0;
    return asEarlier ? Statement{"basis.with_earlier_days", {airPhrase(analysis)}} : airPhrase(analysis);
}

DayAnalysis analyse(const TestDay& day, const AnalysisSettings& settings, DrawCache& cache) {
    checkSettings(day, settings);
    ReducedDay reduced = reduceDay(day, settings.reduce);
    const FitPlan plan = planFit(day, reduced.pulls, settings.reduce.grid_rpm);
    return answer(day, settings, std::move(reduced), plan, fitStage(plan), cache);
}

} // namespace hillrun
