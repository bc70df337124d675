// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cstddef>
#include <functional>
#include <span>
#include <vector>

// Small measures on recorded rows that a few bad samples do not upset.

namespace hillrun {

/// A run of rows.
struct Run {
    size_t first = 0;
    size_t rows = 0;
};
Run longestRun(std::span<const double> values, const std::function<bool(double)>& belongs);
/// The longest run of one and the same reading.
Run longestStill(std::span<const double> values);

/// The value below which this share of the values lies (an element of them); NaN for none. No NaN inside.
double quantileOf(std::vector<double> values, double share);
/// The same, where the values' order may be lost.
double quantileInPlace(std::span<double> values, double share);
double median(std::vector<double> values);
/// The middle of the steps upwards from one known value to the next; 0 when there are none.
double medianStep(std::span<const double> values);
/// The values that are numbers.
std::vector<double> finiteOf(std::span<const double> values);
/// Running median over `width` rows; NaN rows are left out. Shorter at the ends.
std::vector<double> runningMedian(std::span<const double> values, size_t width);
/// 1.4826 times the median distance from the median.
double robustSd(std::span<const double> values);
/// Scatter from row to row, whatever the signal does slowly: from the 80 % quantile of second differences.
double sampleNoise(std::span<const double> values);

/// A straight line by least squares.
struct Line {
    double meanX = 0.0;
    double meanY = 0.0;
    double slope = 0.0; ///< zero when x does not move
    double rows = 0.0;  ///< how many it was fitted to
    [[nodiscard]] double at(double x) const { return meanY + slope * (x - meanX); }
};
/// Lines through many stretches of the same rows, each at once, from running sums. Rows with NaN are left out.
class LineFitter {
public:
    LineFitter(std::span<const double> x, std::span<const double> y);
    /// Through rows from..to; as `fitLine` gives it.
    [[nodiscard]] Line fit(size_t from, size_t to) const;

private:
    struct Sums {
        double rows = 0.0, x = 0.0, y = 0.0, xx = 0.0, xy = 0.0;
    };
    double m_x0 = 0.0;          ///< taken off x, so that squares stay small
    std::vector<Sums> m_before; ///< over all rows before each
};

/// Through rows from..to; rows with NaN are left out.
Line fitLine(std::span<const double> x, std::span<const double> y, size_t from, size_t to);

} // namespace hillrun
