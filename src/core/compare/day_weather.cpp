// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/day_weather.h"

#include "core/errors/data_error.h"
#include "core/units/nan.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace hillrun {
namespace {

/// Per cent that `value` lies off the mean of its build's used pulls.
class BuildMeans {
public:
    void add(const std::string& build, double value) {
        m_sums[build].first += value;
        m_sums[build].second += 1.0;
    }
    [[nodiscard]] double off_pct(const std::string& build, double value) const {
        const auto it = m_sums.find(build);
        return it == m_sums.end() ? kNaN : 100.0 * (value / (it->second.first / it->second.second) - 1.0);
    }
    [[nodiscard]] double freedom() const {
        double out = 0.0;
        for (const auto& [build, sum] : m_sums)
            out += sum.second - 1.0;
        return out;
    }

private:
    std::map<std::string, std::pair<double, double>> m_sums;
};

} // namespace

DayWeather weatherThroughDay(const TestDay& day, const DayAnalysis& analysis) {
    DayWeather out;
    BuildMeans observed;
    BuildMeans corrected;
    for (const PullResult& result : analysis.pulls)
        if (result.used && result.curve && result.curve->weatherKnown && std::isfinite(result.bandMean_w)) {
            observed.add(result.build, result.bandMean_w / result.curve->air.factor);
            corrected.add(result.build, result.bandMean_w);
        }
    double squaresObserved = 0.0;
    double squaresCorrected = 0.0;
    for (const PullResult& result : analysis.pulls) {
        const Pull* pull = findPull(day, result.id);
        if (!pull || !pull->weather) {
            ++out.withoutWeather;
            continue;
        }
        WeatherPoint point{result.id, result.build, result.used, result.time_h, {}, 0.0, 1.0, kNaN, kNaN};
        try {
            point.air = humidAir(*pull->weather);
        } catch (const DataError&) { // air that cannot be: the pull says so itself
            ++out.withoutWeather;
            continue;
        }
        point.humidity_pct = 100.0 * point.air.vapourPressure_pa / saturationPressure_pa(point.air.temperature_c);
        if (result.curve && result.curve->weatherKnown) {
            point.factor = result.curve->air.factor;
            point.observed_pct = observed.off_pct(result.build, result.bandMean_w / point.factor);
            point.corrected_pct = corrected.off_pct(result.build, result.bandMean_w);
            if (result.used && std::isfinite(result.bandMean_w)) {
                squaresObserved += point.observed_pct * point.observed_pct;
                squaresCorrected += point.corrected_pct * point.corrected_pct;
            }
        }
        out.points.push_back(std::move(point));
    }
    std::stable_sort(out.points.begin(), out.points.end(),
                     [](const WeatherPoint& a, const WeatherPoint& b) { return a.time_h < b.time_h; });
    const double freedom = observed.freedom();
    out.observedScatter_pct = freedom > 0.0 ? std::sqrt(squaresObserved / freedom) : kNaN;
    out.correctedScatter_pct = freedom > 0.0 ? std::sqrt(squaresCorrected / freedom) : kNaN;
    return out;
}

} // namespace hillrun
