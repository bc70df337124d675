// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/slip/day_warnings.h"

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
        if (analysis.pulls[i].used && day.pulls[i].weather)
            out.push_back({day.pulls[i].id, analysis.pulls[i].time_h, day.pulls[i].weather->pressure_pa / 1000.0});
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.time_h < b.time_h; });
    return out;
}

bool farApart(const Reading& one, const Reading& other) {
    return std::abs(one.pressure_kpa - other.pressure_kpa) >
           likelyPressureChange_kpa(std::abs(one.time_h - other.time_h));
}

/// Those that neither neighbour bears out, although the neighbours agree with each other.
std::vector<std::string> impossiblePressures(const std::vector<Reading>& readings) {
    std::vector<std::string> out;
    for (size_t i = 1; i + 1 < readings.size(); ++i) {
        const Reading& before = readings[i - 1];
        const Reading& after = readings[i + 1];
        if (!farApart(readings[i], before) || !farApart(readings[i], after) || farApart(before, after))
            continue;
        const double off = readings[i].pressure_kpa - 0.5 * (before.pressure_kpa + after.pressure_kpa);
        out.push_back(
            fmt::format("{}: its air pressure lies {:.1f} kPa {} that of its neighbours, which cannot be: read "
                        "the barometer again or set it aside.",
                        readings[i].pull, std::abs(off), off > 0.0 ? "above" : "below"));
    }
    return out;
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

std::vector<std::string> dayWarnings(const TestDay& day, const DayAnalysis& analysis) {
    const std::vector<Reading> readings = pressuresOf(day, analysis);
    std::vector<std::string> out = impossiblePressures(readings);
    for (const Reading& reading : readings)
        if (const std::string sea = seaLevelWarning(reading.pressure_kpa, day.cell.altitude_m); !sea.empty()) {
            out.push_back(fmt::format("{}: {}", reading.pull, sea));
            break; // one barometer, one sentence
        }
    const PullResult* first = nullptr;
    for (const PullResult& pull : analysis.pulls)
        if (pull.used && !day.builds.empty() && pull.build == day.builds.front().id &&
            (!first || pull.time_h < first->time_h))
            first = &pull;
    const double slope_pct = first ? settlingSlope_pct(day, analysis, first->set) : 0.0;
    if (slope_pct != 0.0)
        out.push_back(
            fmt::format("The first set of {} still {} {:.1f} % a pull: the base had not settled; set its first "
                        "pulls aside or take the base again.",
                        first->build, slope_pct > 0.0 ? "climbs" : "falls", std::abs(slope_pct)));
    return out;
}

} // namespace hillrun
