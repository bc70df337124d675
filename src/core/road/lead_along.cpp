// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/lead_along.h"

#include "core/answer/figure.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

/// By how much a difference may be less and more than it looks, s.
struct Reach {
    double less_s = 0.0;
    double more_s = 0.0;
};
std::optional<Reach> reachOf(const DayAnalysis& analysis, const Eigen::VectorXd& contrast, const CourseFigure& figure,
                             double base_s) {
    if (!(figure.answer > 0.0))
        return Reach{}; // no power changes the time up to here
    const auto found = estimateNumber(*analysis.model, contrast, figure.ofPull, analysis.settings.drift);
    if (!found || !std::isfinite(found->half))
        return std::nullopt;
    const double middle = figure.seconds(found->estimate, base_s);
    return Reach{figure.seconds(found->estimate + found->half, base_s) - middle,
                 figure.seconds(found->estimate - found->half, base_s) - middle};
}

/// Between places along straight lines, from nothing at the start.
Reach between(const std::vector<double>& until_m, const std::vector<Reach>& reaches, double at) {
    const auto after = std::lower_bound(until_m.begin(), until_m.end(), at);
    if (after == until_m.end())
        return reaches.back();
    const auto i = static_cast<size_t>(after - until_m.begin());
    const double begin = i == 0 ? 0.0 : until_m[i - 1];
    const Reach first = i == 0 ? Reach{} : reaches[i - 1];
    const double share = (at - begin) / (until_m[i] - begin);
    return {first.less_s + share * (reaches[i].less_s - first.less_s),
            first.more_s + share * (reaches[i].more_s - first.more_s)};
}

/// The reach at each place; empty when it cannot be told at one of them.
std::vector<Reach> reachesAlong(const DayAnalysis& analysis, const DayRoad& road, const RoadBuild& from,
                                const RoadBuild& to) {
    const auto first = analysis.column(from.id);
    const auto second = analysis.column(to.id);
    std::vector<Reach> out;
    if (!first || !second || !road.times)
        return out;
    const Eigen::VectorXd contrast = pairContrast(*analysis.model, *first, *second);
    for (size_t i = 0; i < road.times->until.size(); ++i) {
        const auto reach = reachOf(analysis, contrast, road.times->until[i], from.run.passed_s(road.times->until_m[i]));
        if (!reach)
            return {};
        out.push_back(*reach);
    }
    return out;
}

} // namespace

LeadAlong leadAlong(const DayAnalysis& analysis, const DayRoad& road, const std::string& from, const std::string& to) {
    constexpr int kPoints = 200;
    LeadAlong out;
    const RoadBuild* a = road.build(from);
    const RoadBuild* b = road.build(to);
    const RoadDifference* difference = road.find(from, to);
    if (!a || !b)
        return out;
    const bool known = difference && std::isfinite(difference->low_s);
    const std::vector<Reach> reaches = known ? reachesAlong(analysis, road, *a, *b) : std::vector<Reach>{};
    const double way = std::min(wayOf(road, a->run), wayOf(road, b->run));
    for (int i = 0; i <= kPoints; ++i) {
        const double at = way * i / kPoints;
        const double passed = a->run.passed_s(at);
        const double later = b->run.passed_s(at) - passed;
        out.distance_m.push_back(at);
        out.later_s.push_back(later);
        if (!known || (reaches.empty() && !road.course.isRolling()))
            continue;
        const double share = passed / a->run.time_s;
        const Reach reach = reaches.empty() ? Reach{share * (difference->low_s - difference->delta_s),
                                                    share * (difference->high_s - difference->delta_s)}
                                            : between(road.times->until_m, reaches, at);
        out.low_s.push_back(later + reach.less_s);
        out.high_s.push_back(later + reach.more_s);
    }
    return out;
}

} // namespace hillrun
