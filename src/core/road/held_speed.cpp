// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/held_speed.h"

#include "core/answer/use.h"
#include "core/plan/named_use.h"
#include "core/road/course_air.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

std::optional<HeldDifference> differenceOf(const DayAnalysis& analysis, const Comparison& c,
                                           const Eigen::VectorXd& logPower, const HeldAnswer& answer) {
    const HeldBuild* from = answer.build(c.from);
    const auto first = analysis.column(c.from);
    const auto second = analysis.column(c.to);
    if (!from || !answer.build(c.to) || !first || !second)
        return std::nullopt;
    const auto found = estimateNumber(*analysis.model, pairContrast(*analysis.model, *first, *second), logPower,
                                      analysis.settings.drift);
    if (!found)
        return std::nullopt;
    const auto watts = [&](double log) { return from->power_w * std::expm1(log); };
    return HeldDifference{c.from,
                          c.to,
                          from->power_w,
                          watts(found->estimate),
                          watts(found->estimate - found->half),
                          watts(found->estimate + found->half),
                          found->degreesOfFreedom > 0 && (found->protectedFromDrift || found->bound > 0.0)};
}

} // namespace

const HeldBuild* HeldAnswer::build(const std::string& id) const {
    for (const HeldBuild& one : builds)
        if (one.id == id)
            return &one;
    return nullptr;
}

const HeldDifference* HeldAnswer::find(const std::string& from, const std::string& to) const {
    for (const std::vector<HeldDifference>* list : {&differences, &others})
        for (const HeldDifference& one : *list)
            if (one.from == from && one.to == to)
                return &one;
    return nullptr;
}

HeldAnswer heldAnswer(const TestDay& day, const DayAnalysis& analysis, const Course& course) {
    HeldAnswer out;
    out.speed = course.held.value_or(HeldSpeed{});
    const auto use = usedSpeeds(out.speed, day.article).use;
    if (!analysis.model || !use) {
        out.whyNot = {"why.no_pull"};
        return out;
    }
    if (!(use->range_rpm.low >= analysis.common_rpm.low && use->range_rpm.high <= analysis.common_rpm.high)) {
        out.whyNot = {"road.held_outside", {analysis.common_rpm}};
        return out;
    }
    const Figure power = meanPower(analysis.model->input, *use);
    const double factor = courseAir(day, analysis, course).torqueFactor;
    for (const BuildResult& build : analysis.builds)
        if (const auto column = analysis.column(build.id))
            if (const auto watts = figureOf(*analysis.model, *column, power, analysis.settings.drift))
                out.builds.push_back({build.id, factor * *watts});
    const Eigen::VectorXd logPower = power.ofPull.array().log();
    for (const auto& [comparisons, into] :
         {std::pair(&analysis.comparisons, &out.differences), std::pair(&analysis.otherPairs, &out.others)})
        for (const Comparison& c : *comparisons)
            if (const auto difference = differenceOf(analysis, c, logPower, out))
                into->push_back(*difference);
    return out;
}

Statement heldSummary(const HeldAnswer& answer, const HeldDifference& d) {
    const Rpm speed{answer.speed.rpm};
    const Number within = decimals(answer.speed.halfWidth_rpm, 0, "rpm");
    if (!std::isfinite(d.low_w))
        return {"road.held_no_interval", {speed, within, d.to, d.from, Power{.value_w = d.delta_w, .sign = true}}};
    const double half = 0.5 * (d.high_w - d.low_w);
    if (!d.proven())
        return {d.mayClaim ? "road.held_cannot_tell" : "road.held_open_to_drift",
                {speed, within, d.to, d.from, Power{.value_w = d.delta_w, .half_w = half, .sign = true}}};
    return {d.delta_w > 0.0 ? "road.held_more" : "road.held_less",
            {speed, within, d.to, Power{.value_w = std::abs(d.delta_w), .half_w = half}, d.from,
             Power{.value_w = d.base_w}}};
}

} // namespace hillrun
