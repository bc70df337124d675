// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/chart.h"

#include <algorithm>
#include <boost/math/distributions/normal.hpp>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>
#include <numeric>

namespace hillrun {
namespace {

constexpr double kSlack = 0.5; ///< half of a shift of one standard deviation, the least worth finding
constexpr double kLookAbove = 4.0;
constexpr double kMovedAbove = 5.0;
constexpr double kFarthest = 8.0; ///< u beyond which a normal variate is not told from infinity

double meanOf(std::span<const double> values) {
    return std::accumulate(values.begin(), values.end(), 0.0) / static_cast<double>(values.size());
}

/// The next run against those before it, as a standard normal variate.
double standardised(std::span<const double> before, double next) {
    const auto n = static_cast<double>(before.size());
    const double mean = meanOf(before);
    double squares = 0.0;
    for (const double value : before)
        squares += (value - mean) * (value - mean);
    const double sd = std::sqrt(squares / (n - 1.0));
    if (sd <= 0.0)
        return next == mean ? 0.0 : std::copysign(kFarthest, next - mean);
    const double t = std::sqrt(n / (n + 1.0)) * (next - mean) / sd;
    // The smaller tail, so that far runs keep their digits.
    const boost::math::students_t student(n - 1.0);
    const double tail = boost::math::cdf(student, -std::abs(t));
    if (tail <= 0.0)
        return std::copysign(kFarthest, t);
    return std::copysign(std::min(kFarthest, -boost::math::quantile(boost::math::normal(), tail)), t);
}

ChartShift shiftOf(std::span<const double> levels, const std::vector<ChartPoint>& points, double ChartPoint::*sum) {
    size_t since = points.size() - 1;
    while (since > 0 && points[since - 1].*sum > 0.0)
        --since;
    return {since, meanOf(levels.subspan(since)) - meanOf(levels.first(since))};
}

} // namespace

ChartPoint nextPoint(const ChartPoint& last, double u) {
    ChartPoint out{u, std::max(0.0, last.up + u - kSlack), std::max(0.0, last.down - u - kSlack), ChartState::Steady};
    const double largest = std::max(out.up, out.down);
    if (largest > kLookAbove)
        out.state = largest > kMovedAbove ? ChartState::Moved : ChartState::Look;
    return out;
}

ControlChart controlChart(std::span<const double> levels) {
    ControlChart out;
    ChartPoint last;
    for (size_t i = 0; i < levels.size(); ++i) {
        if (i >= 2)
            last = nextPoint(last, standardised(levels.first(i), levels[i]));
        out.points.push_back(last);
    }
    if (last.state == ChartState::Moved)
        out.shift = shiftOf(levels, out.points, last.up >= last.down ? &ChartPoint::up : &ChartPoint::down);
    return out;
}

} // namespace hillrun
