// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/settle.h"

#include "core/plan/design.h"
#include "core/plan/pulls_needed.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

/// The build of each set of used pulls, in time order.
std::vector<std::string> setsOf(const std::vector<PullResult>& pulls) {
    std::vector<const PullResult*> used;
    for (const PullResult& pull : pulls)
        if (pull.used)
            used.push_back(&pull);
    std::stable_sort(used.begin(), used.end(), [](const auto* a, const auto* b) { return a->time_h < b->time_h; });
    std::vector<std::string> out;
    for (const PullResult* pull : used)
        if (out.empty() || out.back() != pull->build)
            out.push_back(pull->build);
    return out;
}

PullsToSettle pullsToSee(const Plan& plan, const std::vector<std::string>& sets, const DayModel& model,
                         const Comparison& c, double difference_w) {
    PullsToSettle out;
    out.difference_w = std::abs(difference_w);
    const double effect = out.difference_w / c.bands.front().base_w;
    const double sd = model.levelSd;
    const double refit = std::sqrt(model.input.refit.meanSquare());
    out.pullsPerSet = pullsPerSetNeeded(sets, c.from, c.to, effect, {upperLimit80(sd, model.degreesOfFreedom), refit});
    out.asMeasured = pullsPerSetNeeded(sets, c.from, c.to, effect, {sd, refit});
    std::vector<std::string> order;
    for (const std::string& build : sets)
        order.insert(order.end(), static_cast<size_t>(out.pullsPerSet.value_or(30)), build);
    out.minutes = planMinutes(plan, order);
    return out;
}

} // namespace

std::optional<ToSettle> whatWouldSettle(const TestDay& day, const std::vector<PullResult>& pulls, const DayModel& model,
                                        const Comparison& c) {
    if (c.verdict != VerdictKind::CannotTell || c.bands.empty() || !(model.levelSd > 0.0))
        return std::nullopt;
    std::vector<std::string> sets = setsOf(pulls);
    const bool returns = c.protectedFromDrift;
    if (!returns)
        sets.push_back(sets.front());
    ToSettle out;
    if (c.matters_w)
        out.matters = pullsToSee(day.plan, sets, model, c, *c.matters_w);
    if (std::abs(c.bands.front().delta_w) > 0.0)
        out.seen = pullsToSee(day.plan, sets, model, c, c.bands.front().delta_w);
    for (auto* one : {&out.matters, &out.seen})
        if (*one)
            (*one)->returnAdded = !returns;
    return out;
}

} // namespace hillrun
