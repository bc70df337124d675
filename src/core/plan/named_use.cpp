// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/named_use.h"

#include "core/errors/data_error.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

UsedSpeeds inGear(int gear, const Article& article) {
    const std::vector<double>& ratios = article.vehicle.gears;
    const auto redLine = article.engine.redLine_rpm;
    if (!redLine)
        return {{}, {"use.no_red_line"}};
    if (gear < 2 || static_cast<size_t>(gear) > ratios.size())
        return {{}, {"use.no_such_gear", {std::to_string(gear)}}};
    const auto own = static_cast<size_t>(gear) - 1;
    const double landing_rpm = *redLine * ratios[own] / ratios[own - 1];
    if (!(landing_rpm < *redLine))
        return {{}, {"use.no_such_gear", {std::to_string(gear)}}};
    return {Use{{landing_rpm, *redLine}, {}}, {}};
}

} // namespace

void nameUse(TestDay& day, WantedUse use) {
    day.plan.useAfterLooking = use != WantedUse{} && !day.pulls.empty();
    day.plan.use = std::move(use);
    day.plan.unknownUseKeys.clear();
}

Use useOf(std::vector<RpmWeight> weights) {
    const auto counts = [](const RpmWeight& one) { return one.weight > 0.0; };
    for (size_t i = 0; i < weights.size(); ++i)
        if (!(weights[i].weight >= 0.0) || !std::isfinite(weights[i].weight) || !(weights[i].rpm >= 0.0) ||
            !std::isfinite(weights[i].rpm) || (i > 0 && !(weights[i].rpm > weights[i - 1].rpm)))
            throw DataError(Problem::BadValue, {std::to_string(weights[i].rpm), Statement{"not_allowed.use_weights"}});
    auto first = std::find_if(weights.begin(), weights.end(), counts);
    if (first == weights.end())
        throw DataError(Problem::BadValue, {std::string("0"), Statement{"not_allowed.use_weights"}});
    auto end = std::find_if(weights.rbegin(), weights.rend(), counts).base();
    if (first != weights.begin())
        --first; // the line rises from nothing there
    if (end != weights.end())
        ++end;
    return {{first->rpm, (end - 1)->rpm}, {first, end}};
}

UsedSpeeds usedSpeeds(const WantedUse& wanted, const Article& article) {
    if (const auto* range = std::get_if<RpmRange>(&wanted))
        return {Use{*range, {}}, {}};
    if (const auto* held = std::get_if<HeldSpeed>(&wanted))
        return {Use{{held->rpm - held->halfWidth_rpm, held->rpm + held->halfWidth_rpm}, {}}, {}};
    if (const auto* shifts = std::get_if<ShiftToShift>(&wanted))
        return inGear(shifts->gear, article);
    if (const auto* weights = std::get_if<SpeedWeights>(&wanted))
        return {useOf(*weights), {}};
    return {};
}

std::optional<Use> usedSpeeds(const TestDay& day) { return usedSpeeds(day.plan.use, day.article).use; }

Statement usePhrase(const TestDay& day, const Use& use) {
    const auto named = usedSpeeds(day);
    const WantedUse wanted = named == use ? day.plan.use : WantedUse{}; // else it was given from outside
    Statement out =
        use.weights.empty() ? Statement{"use.range", {use.range_rpm}} : Statement{"use.weighted", {use.range_rpm}};
    if (const auto* held = std::get_if<HeldSpeed>(&wanted))
        out = {"use.held", {Rpm{held->rpm}, Rpm{held->halfWidth_rpm}}};
    if (const auto* shifts = std::get_if<ShiftToShift>(&wanted))
        out = {"use.gear", {std::to_string(shifts->gear), use.range_rpm}};
    if (named == use && day.plan.useAfterLooking)
        return {"use.after_looking", {out}};
    return named ? out : Statement{"use.whole", {use.range_rpm}};
}

Argument countedSpeeds(const RpmRange& range_rpm, bool weighted) {
    if (weighted)
        return Statement{"use.weighted", {range_rpm}};
    return range_rpm;
}

} // namespace hillrun
