// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/differentiate.h"

#include "core/pull/robust.h"
#include "core/units/nan.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

constexpr double kNarrowest_s = 0.12;
constexpr double kWidest_s = 1.2;
constexpr double kNoiseGoal = 0.005; ///< of the usual rate
/// Tricube (1 - u^3)^3 has half its height at u = 0.5910.
constexpr double kHalfHeight = 0.5910;

/// Slope at the middle of a weighted parabola through rows from..to.
double slopeAt(std::span<const double> time_s, std::span<const double> values, size_t row, size_t from, size_t to,
               double reach_s) {
    double s[5] = {};
    double t[3] = {};
    int rows = 0;
    for (size_t i = from; i <= to; ++i) {
        const double x = (time_s[i] - time_s[row]) / reach_s;
        if (!std::isfinite(values[i]) || std::abs(x) >= 1.0)
            continue;
        const double cube = 1.0 - std::abs(x * x * x);
        const double weight = cube * cube * cube;
        double power = weight;
        for (int k = 0; k < 5; ++k, power *= x) {
            s[k] += power;
            if (k < 3)
                t[k] += power * values[i];
        }
        ++rows;
    }
    if (rows < 4)
        return kNaN;
    // Cramer's rule for the linear coefficient of s a = t.
    const double determinant =
        s[0] * (s[2] * s[4] - s[3] * s[3]) - s[1] * (s[1] * s[4] - s[3] * s[2]) + s[2] * (s[1] * s[3] - s[2] * s[2]);
    if (!(std::abs(determinant) > 1e-12 * s[0] * s[0] * s[0]))
        return kNaN;
    const double linear =
        s[0] * (t[1] * s[4] - s[3] * t[2]) - t[0] * (s[1] * s[4] - s[3] * s[2]) + s[2] * (s[1] * t[2] - t[1] * s[2]);
    return linear / determinant / reach_s;
}

double medianStep_s(std::span<const double> time_s) {
    const double step_s = medianStep(time_s);
    return step_s > 0.0 ? step_s : 0.01;
}

/// Sd of the slope of samples with sd one, `step_s` apart, inside the tricube weight (the parabola's curvature is
/// orthogonal to its slope on a symmetric window).
double slopeNoise(double width_s, double step_s) {
    const double reach_s = 0.5 * width_s / kHalfHeight;
    const auto side = static_cast<int>(reach_s / step_s);
    double moment = 0.0;
    double squares = 0.0;
    for (int i = -side; i <= side; ++i) {
        const double x = i * step_s;
        const double cube = 1.0 - std::pow(std::abs(x) / reach_s, 3.0);
        const double weight = cube * cube * cube;
        moment += weight * x * x;
        squares += weight * weight * x * x;
    }
    return moment > 0.0 ? std::sqrt(squares) / moment : std::numeric_limits<double>::infinity();
}

} // namespace

Derivative differentiate(std::span<const double> time_s, std::span<const double> values, double width_s) {
    Derivative out;
    const double step_s = medianStep_s(time_s);
    out.width_s = std::max(width_s, 5.0 * step_s);
    const double reach_s = 0.5 * out.width_s / kHalfHeight;
    // Half amplitude of a slope from a parabola with these weights, found by running sines through it: 0.659 / width.
    out.bandwidth_hz = 0.659 / out.width_s;
    out.noise = sampleNoise(values) * slopeNoise(out.width_s, step_s);
    out.perSecond.assign(values.size(), kNaN);
    size_t from = 0;
    size_t to = 0;
    for (size_t row = 0; row < values.size(); ++row) {
        while (time_s[row] - time_s[from] > reach_s)
            ++from;
        while (to + 1 < values.size() && time_s[to + 1] - time_s[row] < reach_s)
            ++to;
        out.perSecond[row] = slopeAt(time_s, values, row, from, std::max(to, row), reach_s);
    }
    return out;
}

Derivative differentiate(std::span<const double> time_s, std::span<const double> values, size_t first, size_t last) {
    const double step_s = medianStep_s(time_s);
    const double noise = sampleNoise(values.subspan(first, last - first + 1));
    const double usual = std::abs(fitLine(time_s, values, first, last).slope);
    double width_s = kNarrowest_s;
    while (width_s < kWidest_s && noise * slopeNoise(width_s, step_s) > kNoiseGoal * usual)
        width_s *= 1.1;
    return differentiate(time_s, values, std::min(width_s, kWidest_s));
}

} // namespace hillrun
