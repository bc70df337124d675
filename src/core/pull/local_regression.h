// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <span>
#include <vector>

namespace hillrun {

/// Local linear regression with tricube weights of y on x at fixed points (Cleveland 1979). A straight line comes
/// back unchanged, at the ends too. The width is the full width of the weight at half its height. Where samples are
/// sparse the reach grows until it holds a few of them; where there are none (a gap) the value is NaN.
class LocalRegression {
public:
    /// `x` need not be sorted; NaN rows are left out. `at` ascending.
    LocalRegression(std::span<const double> x, std::span<const double> at, double width);

    /// Smoothed values of y (same rows as x) at each point; NaN samples of y are left out.
    [[nodiscard]] std::vector<double> apply(std::span<const double> y) const;
    /// The same for several columns at once; the digits are those of one by one.
    [[nodiscard]] std::vector<std::vector<double>> applyAll(std::span<const std::span<const double>> columns) const;

private:
    struct Point {
        double at = 0.0;
        double reach = 0.0;
        size_t first = 0;  ///< into m_order
        size_t count = 0;  ///< 0: a gap
        size_t weight = 0; ///< into m_weights
    };
    [[nodiscard]] double withGaps(const Point& point, std::span<const double> y) const;

    std::vector<size_t> m_order; ///< rows by ascending x
    std::vector<double> m_x;     ///< sorted
    std::vector<Point> m_points;
    std::vector<double> m_weights; ///< linear weights of each point's rows
};

} // namespace hillrun
