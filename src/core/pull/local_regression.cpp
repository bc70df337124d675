// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/local_regression.h"

#include "core/units/nan.h"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <limits>
#include <numeric>

namespace hillrun {
namespace {

constexpr size_t kFewestSamples = 6;
/// Tricube (1-|u|^3)^3 is one half at |u| = (1 - 0.5^(1/3))^(1/3).
const double kHalfHeight = std::cbrt(1.0 - std::cbrt(0.5));

double tricube(double u) {
    const double a = std::abs(u);
    if (a >= 1.0)
        return 0.0;
    const double b = 1.0 - a * a * a;
    return b * b * b;
}

} // namespace

LocalRegression::LocalRegression(std::span<const double> x, std::span<const double> at, double width) {
    assert(width > 0.0);
    m_order.resize(x.size());
    std::iota(m_order.begin(), m_order.end(), size_t{0});
    std::erase_if(m_order, [&](size_t i) { return !std::isfinite(x[i]); });
    std::sort(m_order.begin(), m_order.end(), [&](size_t a, size_t b) { return x[a] < x[b]; });
    for (const size_t row : m_order)
        m_x.push_back(x[row]);
    const size_t n = m_x.size();
    const double reach = 0.5 * width / kHalfHeight;
    const double spacing = n > 1 ? (m_x.back() - m_x.front()) / static_cast<double>(n - 1) : 0.0;
    const double farthest = std::max(reach, 4.0 * spacing);

    for (const double where : at) {
        Point point{where, reach, 0, 0, m_weights.size()};
        auto low = static_cast<size_t>(std::lower_bound(m_x.begin(), m_x.end(), where - reach) - m_x.begin());
        auto high = static_cast<size_t>(std::upper_bound(m_x.begin(), m_x.end(), where + reach) - m_x.begin());
        while (high - low < std::min(kFewestSamples, n)) { // sparse: take the nearest sample on either side
            const double below = low > 0 ? where - m_x[low - 1] : std::numeric_limits<double>::infinity();
            const double above = high < n ? m_x[high] - where : std::numeric_limits<double>::infinity();
            const double next = std::min(below, above);
            if (next > farthest)
                break;
            below < above ? --low : ++high;
            point.reach = next * 1.001;
        }
        double s0 = 0.0;
        double s1 = 0.0;
        double s2 = 0.0;
        for (size_t i = low; i < high; ++i) {
            const double d = m_x[i] - where;
            const double w = tricube(d / point.reach);
            s0 += w;
            s1 += w * d;
            s2 += w * d * d;
        }
        const double determinant = s0 * s2 - s1 * s1;
        if (high - low >= 3 && determinant > 1e-12 * s0 * s0) {
            point.first = low;
            point.count = high - low;
            for (size_t i = low; i < high; ++i) {
                const double d = m_x[i] - where;
                m_weights.push_back(tricube(d / point.reach) * (s2 - s1 * d) / determinant);
            }
        }
        m_points.push_back(point);
    }
}

double LocalRegression::withGaps(const Point& point, std::span<const double> y) const {
    double s0 = 0.0, s1 = 0.0, s2 = 0.0, t0 = 0.0, t1 = 0.0;
    for (size_t k = 0; k < point.count; ++k) {
        const double value = y[m_order[point.first + k]];
        if (!std::isfinite(value))
            continue;
        const double d = m_x[point.first + k] - point.at;
        const double w = tricube(d / point.reach);
        s0 += w;
        s1 += w * d;
        s2 += w * d * d;
        t0 += w * value;
        t1 += w * d * value;
    }
    const double determinant = s0 * s2 - s1 * s1;
    return determinant > 1e-12 * s0 * s0 && s0 > 0.0 ? (s2 * t0 - s1 * t1) / determinant : kNaN;
}

std::vector<double> LocalRegression::apply(std::span<const double> y) const {
    const std::span<const double> one[] = {y};
    return std::move(applyAll(one).front());
}

std::vector<std::vector<double>> LocalRegression::applyAll(std::span<const std::span<const double>> columns) const {
    // Rows side by side in memory: one weight then serves every column before the next is fetched.
    const size_t width = columns.size();
    std::vector<double> rows(m_order.size() * width);
    for (size_t c = 0; c < width; ++c)
        for (size_t i = 0; i < m_order.size(); ++i)
            rows[i * width + c] = columns[c][m_order[i]];
    std::vector<std::vector<double>> out(width, std::vector<double>(m_points.size(), kNaN));
    std::vector<double> sums(width);
    for (size_t p = 0; p < m_points.size(); ++p) {
        const Point& point = m_points[p];
        if (point.count == 0)
            continue;
        std::fill(sums.begin(), sums.end(), 0.0);
        const double* row = rows.data() + point.first * width;
        for (size_t k = 0; k < point.count; ++k, row += width) {
            const double weight = m_weights[point.weight + k];
            for (size_t c = 0; c < width; ++c)
                sums[c] += weight * row[c];
        }
        for (size_t c = 0; c < width; ++c)
            out[c][p] = std::isfinite(sums[c]) ? sums[c] : withGaps(point, columns[c]);
    }
    return out;
}

} // namespace hillrun
