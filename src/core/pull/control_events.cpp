// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/channels/channels.h"
#include "core/pull/derived.h"
#include "core/pull/event_list.h"
#include "core/pull/limit_watch.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

// Thresholds: common practice, then set on simulated pulls (docs/method.md).
constexpr double kBoostLow_kpa = 3.0;
constexpr double kBoostDip_kpa = 4.0;
constexpr double kLambdaOff = 0.03;
constexpr double kLambdaNoise = 0.025;
constexpr double kKnock_deg = 1.0;
constexpr double kTimingPulled_deg = 1.5;
constexpr double kBypassOpen_pct = 10.0;
constexpr double kStretch_rpm = 200.0;
/// Full-load mixtures of a spark-ignition engine that pass without anything to hold them against (common practice).
constexpr double kRichest = 0.68;
constexpr double kLeanest = 1.06;

double largestIn(const std::vector<double>& rpm, const std::vector<double>& values, const RpmRange& range) {
    double largest = 0.0;
    for (size_t i = 0; i < rpm.size(); ++i)
        if (range.holds(rpm[i]) && std::abs(values[i]) > std::abs(largest))
            largest = values[i];
    return largest;
}

/// Lambda along the grid, from the mixture channel that there is.
std::vector<double> lambdaOf(const EventSheet& sheet, const std::vector<double>* lambda,
                             const std::vector<double>* ratio) {
    if (lambda || !ratio)
        return lambda ? *lambda : std::vector<double>{};
    std::vector<double> out;
    for (const double value : *ratio)
        out.push_back(value / stoichiometricRatio(sheet.context.fuel));
    return out;
}

void mixture(EventSheet& sheet) {
    const std::vector<double> own = lambdaOf(sheet, sheet.channel("lambda"), sheet.channel("air_fuel_ratio"));
    if (own.empty())
        return;
    const bool fromLambda = sheet.channel("lambda") != nullptr;
    const double noise = sampleNoise(sheet.s.part(*sheet.raw.find(fromLambda ? "lambda" : "air_fuel_ratio")));
    if (noise > (fromLambda ? kLambdaNoise : kLambdaNoise * stoichiometricRatio(sheet.context.fuel)))
        return; // a channel that scatters so says nothing about the mixture
    const std::vector<double> channel = sheet.usual(fromLambda ? "lambda" : "air_fuel_ratio");
    const std::vector<double> usual =
        fromLambda ? lambdaOf(sheet, &channel, nullptr) : lambdaOf(sheet, nullptr, &channel);
    std::vector<double> off(own.size(), std::nan(""));
    const bool spark = sheet.context.ignition == Ignition::Spark;
    for (size_t i = 0; i < own.size(); ++i) {
        if (std::isfinite(usual[i]))
            off[i] = own[i] - usual[i];
        else if (spark)
            off[i] = own[i] < kRichest ? own[i] - kRichest : (own[i] > kLeanest ? own[i] - kLeanest : 0.0);
    }
    const auto& rpm = sheet.curve.rpm;
    for (const double sign : {1.0, -1.0}) {
        for (const RpmRange& range :
             stretches(rpm, kStretch_rpm, [&](size_t i) { return sign * off[i] > kLambdaOff; })) {
            const double size = largestIn(rpm, off, range);
            sheet.addRange(EventKind::Mixture, range, size,
                           {sheet.context.references.empty()
                                ? (size > 0.0 ? "event.leaner_than_usual" : "event.richer_than_usual")
                                : (size > 0.0 ? "event.leaner" : "event.richer"),
                            {decimals(std::abs(size), 2), range}});
        }
    }
}

void knock(EventSheet& sheet) {
    const auto* retard = sheet.channel("knock_retard");
    if (!retard)
        return;
    const std::vector<double> usual = sheet.usual("knock_retard");
    const auto& rpm = sheet.curve.rpm;
    for (const RpmRange& range : stretches(rpm, 50.0, [&](size_t i) {
             return (*retard)[i] > kKnock_deg && !((*retard)[i] < usual[i] + 0.5 * kKnock_deg);
         })) {
        const double size = largestIn(rpm, *retard, range);
        sheet.addRange(EventKind::Knock, range, size, {"event.knock", {decimals(size, 1, "\xC2\xB0"), range}});
    }
}

/// Advance below the other pulls; without others, below the line from before to after.
void timing(EventSheet& sheet) {
    const auto* advance = sheet.channel("ignition_advance");
    if (!advance)
        return;
    const std::vector<double> usual = sheet.usual("ignition_advance");
    const auto& rpm = sheet.curve.rpm;
    std::vector<double> pulled(rpm.size(), std::nan(""));
    const size_t reach = rpm.size() > 1 ? static_cast<size_t>(std::lround(400.0 / (rpm[1] - rpm[0]))) : 1;
    for (size_t i = 0; i < rpm.size(); ++i) {
        if (std::isfinite(usual[i]))
            pulled[i] = usual[i] - (*advance)[i];
        else if (i >= reach && i + reach < rpm.size())
            pulled[i] = 0.5 * ((*advance)[i - reach] + (*advance)[i + reach]) - (*advance)[i];
    }
    for (const RpmRange& range : stretches(rpm, 100.0, [&](size_t i) { return pulled[i] > kTimingPulled_deg; })) {
        const double size = largestIn(rpm, pulled, range);
        sheet.addRange(EventKind::TimingPulled, range, size,
                       {sheet.context.references.empty() ? "event.later_than_around" : "event.later",
                        {decimals(size, 1, "deg"), range}});
    }
}

void bypass(EventSheet& sheet) {
    const Column* valve = sheet.raw.find("bypass_valve");
    if (!valve)
        return;
    const auto values = sheet.s.part(*valve);
    const Run run = longestRun(values, [](double v) { return v > kBypassOpen_pct; });
    if (run.rows < sheet.s.rowsIn(0.08))
        return;
    const size_t to = run.first + run.rows - 1;
    const double most =
        *std::max_element(values.begin() + static_cast<long>(run.first), values.begin() + static_cast<long>(to) + 1);
    sheet.add(EventKind::BypassOpen, run.first, to, most,
              {"event.bypass", {decimals(most, 0, "%"), sheet.between(run.first, to)}});
}

/// A short hole in the boost, against the straight line from before to after; a rising or falling boost is no hole.
void boostDip(EventSheet& sheet) {
    const auto* map = sheet.channel("manifold_pressure");
    if (!map || !sheet.context.boosted)
        return;
    const auto& rpm = sheet.curve.rpm;
    const size_t reach = rpm.size() > 1 ? static_cast<size_t>(std::lround(350.0 / (rpm[1] - rpm[0]))) : 1;
    std::vector<double> hole(rpm.size(), 0.0);
    for (size_t i = reach; i + reach < rpm.size(); ++i) {
        const double before = (*map)[i - reach];
        const double after = (*map)[i + reach];
        hole[i] = std::min(before, after) - (*map)[i];
    }
    for (const RpmRange& range : stretches(rpm, 50.0, [&](size_t i) { return hole[i] > kBoostDip_kpa; })) {
        const double size = largestIn(rpm, hole, range);
        sheet.addRange(EventKind::BoostDip, range, size, {"event.boost_dip", {decimals(size, 1, "kPa"), range}});
    }
}

/// Boost (above the air outside) against the other pulls of the build.
void boostLow(EventSheet& sheet) {
    const auto* map = sheet.channel("manifold_pressure");
    if (!map || !sheet.context.boosted || !(sheet.context.ambient_kpa > 0.0))
        return;
    const std::vector<double> usual = sheet.usual("manifold_pressure", true);
    const auto& rpm = sheet.curve.rpm;
    std::vector<double> low(rpm.size(), std::nan(""));
    for (size_t i = 0; i < rpm.size(); ++i)
        low[i] = usual[i] - ((*map)[i] - sheet.context.ambient_kpa);
    const auto found =
        stretches(rpm, 300.0, [&](size_t i) { return low[i] > std::max(kBoostLow_kpa, 0.03 * usual[i]); });
    if (found.empty())
        return;
    const RpmRange range{found.front().low, found.back().high};
    const double size = largestIn(rpm, low, range);
    sheet.addRange(EventKind::BoostLow, range, size, {"event.boost_low", {decimals(size, 1, "kPa"), range}});
}

/// What the engine may not do, whether or not somebody watched.
void limits(EventSheet& sheet) {
    const auto row = [&](double time_s) {
        const auto at = std::lower_bound(sheet.s.time_s.begin(), sheet.s.time_s.end(), time_s);
        return std::min(static_cast<size_t>(at - sheet.s.time_s.begin()), sheet.s.rows() - 1);
    };
    for (const LimitCrossing& crossing : limitsPassed(sheet.raw, sheet.context.limits, sheet.s.first, sheet.s.rows())) {
        const size_t from = row(crossing.time_s);
        const size_t to = row(crossing.until_s);
        const std::string& channel = crossing.limit.channel;
        sheet.add(EventKind::LimitPassed, from, to, crossing.worst,
                  {crossing.limit.side == LimitSide::Above ? "event.limit_above" : "event.limit_below",
                   {ChannelName{channel}, channelReading(channel, crossing.worst),
                    channelReading(channel, crossing.limit.value), sheet.between(from, to)}});
    }
}

} // namespace

void findControlEvents(EventSheet& sheet) {
    mixture(sheet);
    knock(sheet);
    timing(sheet);
    bypass(sheet);
    boostDip(sheet);
    boostLow(sheet);
    limits(sheet);
}

} // namespace hillrun
