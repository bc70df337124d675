// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/analyse.h"

#include "core/compare/day_stages.h"

#include <algorithm>
#include <fmt/format.h>

namespace hillrun {

const Comparison* DayAnalysis::find(const std::string& from, const std::string& to) const {
    const auto it = std::find_if(comparisons.begin(), comparisons.end(),
                                 [&](const Comparison& c) { return c.from == from && c.to == to; });
    return it == comparisons.end() ? nullptr : &*it;
}

const BuildResult* DayAnalysis::findBuild(const std::string& id) const {
    const auto it = std::find_if(builds.begin(), builds.end(), [&](const BuildResult& b) { return b.id == id; });
    return it == builds.end() ? nullptr : &*it;
}

std::string basisText(const DayAnalysis& analysis) {
    return fmt::format("{}, {}{}", standardInfo(analysis.settings.reduce.standard).title,
                       analysis.school.empty() ? "" : analysis.school + ", ", placeText(analysis.place));
}

DayAnalysis analyse(const TestDay& day, const AnalysisSettings& settings, DrawCache& cache) {
    checkSettings(day, settings);
    ReducedDay reduced = reduceDay(day, settings.reduce);
    const FitPlan plan = planFit(day, reduced.pulls, settings.reduce.grid_rpm);
    return answer(day, settings, std::move(reduced), plan, fitStage(plan), cache);
}

} // namespace hillrun
