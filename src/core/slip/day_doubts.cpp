// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/slip/day_doubts.h"

#include "core/weather/altitude.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr double kPressureJump_kpa = 0.25;
constexpr double kPressurePerHour_kpa = 0.35;

struct Reading {
    std::string pull;
    double time_h = 0.0;
    double pressure_kpa = 0.0;
};

/// The pressures of the pulls in use, in time order.
std::vector<Reading> pressuresOf(const TestDay& day, const DayAnalysis& analysis) {
    std::vector<Reading> out;
    for (size_t i = 0; i < analysis.pulls.size(); ++i)
        if (const auto pressure = stationPressure_kpa(day.pulls[i]); analysis.pulls[i].used && pressure)
            out.push_back({day.pulls[i].id, analysis.pulls[i].time_h, *pressure});
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.time_h < b.time_h; });
    return out;
}

bool farApart(const Reading& one, const Reading& other) {
    return std::abs(one.pressure_kpa - other.pressure_kpa) >
           likelyPressureChange_kpa(std::abs(one.time_h - other.time_h));
}

/// Those that neither neighbour bears out, although the neighbours agree with each other.
void addImpossiblePressures(std::vector<DayDoubt>& out, const std::vector<Reading>& readings) {
    for (size_t i = 1; i + 1 < readings.size(); ++i) {
        const Reading& own = readings[i];
        const Reading& before = readings[i - 1];
        const Reading& after = readings[i + 1];
        if (!farApart(own, before) || !farApart(own, after) || farApart(before, after))
            continue;
        const double neighbours_kpa = 0.5 * (before.pressure_kpa + after.pressure_kpa);
        const double off = own.pressure_kpa - neighbours_kpa;
        out.push_back({DoubtKind::Pressure,
                       Statement{off > 0.0 ? "doubt.pressure_above" : "doubt.pressure_below",
                                 {own.pull, decimals(std::abs(off), 1, "kPa")}},
                       {own.pull},
                       neighbours_kpa,
                       {own.pull},
                       "pressure_impossible"});
    }
}

bool isDoubted(const std::vector<DayDoubt>& doubts, DoubtKind kind, const std::string& pull) {
    return std::any_of(doubts.begin(), doubts.end(), [&](const DayDoubt& doubt) {
        return doubt.kind == kind && std::find(doubt.pulls.begin(), doubt.pulls.end(), pull) != doubt.pulls.end();
    });
}

/// One barometer, one doubt. The station's pressure is the figure's share of the standard atmosphere's at its height.
void addSeaLevel(std::vector<DayDoubt>& out, const std::vector<Reading>& readings, std::optional<double> altitude_m) {
    DayDoubt doubt{DoubtKind::SeaLevel, {}, {}, {}, {}, {}};
    for (const Reading& reading : readings) {
        const Statement sea = seaLevelWarning(reading.pressure_kpa, altitude_m);
        if (sea.empty() || isDoubted(out, DoubtKind::Pressure, reading.pull))
            continue;
        if (doubt.pulls.empty()) {
            doubt.text = {"doubt.of_pull", {reading.pull, sea}};
            doubt.pressure_kpa = reading.pressure_kpa * standardPressure_pa(*altitude_m) / standardPressure_pa(0.0);
        }
        doubt.pulls.push_back(reading.pull);
    }
    if (!doubt.pulls.empty())
        out.push_back(std::move(doubt));
}

void addSettling(std::vector<DayDoubt>& out, const TestDay& day, const DayAnalysis& analysis) {
    const PullResult* first = nullptr;
    for (const PullResult& pull : analysis.pulls)
        if (pull.used && !day.builds.empty() && pull.build == day.builds.front().id &&
            (!first || pull.time_h < first->time_h))
            first = &pull;
    const double slope_pct = first ? settlingSlope_pct(day, analysis, first->set) : 0.0;
    if (slope_pct == 0.0)
        return;
    DayDoubt doubt{DoubtKind::Settling,
                   Statement{slope_pct > 0.0 ? "doubt.climbs" : "doubt.falls",
                             {first->build, decimals(std::abs(slope_pct), 1, "%")}},
                   {},
                   {},
                   {first->id},
                   "base_not_settled"};
    for (const PullResult& pull : analysis.pulls)
        if (pull.used && pull.set == first->set)
            doubt.pulls.push_back(pull.id);
    const bool weatherExplains = std::any_of(doubt.pulls.begin(), doubt.pulls.end(), [&](const std::string& pull) {
        return isDoubted(out, DoubtKind::Pressure, pull);
    });
    if (!weatherExplains)
        out.push_back(std::move(doubt));
}

} // namespace

double likelyPressureChange_kpa(double hours) { return kPressureJump_kpa + kPressurePerHour_kpa * hours; }

double settlingSlope_pct(const TestDay& day, const DayAnalysis& analysis, int set) {
    std::vector<std::pair<double, double>> levels; // time, log of the mean
    for (const PullResult& result : analysis.pulls)
        if (result.used && result.flags.empty() && result.set == set && std::isfinite(result.bandMean_w))
            levels.emplace_back(result.time_h, std::log(result.bandMean_w));
    if (levels.size() < 3)
        return 0.0;
    std::sort(levels.begin(), levels.end());
    const auto n = static_cast<double>(levels.size());
    double mean = 0.0;
    for (const auto& [time, level] : levels)
        mean += level / n;
    double sxx = 0.0;
    double sxy = 0.0;
    for (size_t i = 0; i < levels.size(); ++i) {
        const double x = static_cast<double>(i) - 0.5 * (n - 1.0);
        sxx += x * x;
        sxy += x * (levels[i].second - mean);
    }
    const double slope_pct = 100.0 * sxy / sxx;
    const double sd_pct = std::max(0.15, day.plan.repeatability_pct.value_or(0.3));
    if (std::abs(slope_pct) < std::max(0.3, 2.0 * sd_pct / std::sqrt(sxx)))
        return 0.0;
    return slope_pct;
}

std::vector<DayDoubt> dayDoubts(const TestDay& day, const DayAnalysis& analysis) {
    const std::vector<Reading> readings = pressuresOf(day, analysis);
    std::vector<DayDoubt> out;
    addImpossiblePressures(out, readings);
    addSeaLevel(out, readings, day.cell.altitude_m);
    addSettling(out, day, analysis);
    return out;
}

} // namespace hillrun
