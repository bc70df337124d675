// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/reduce.h"

#include <functional>
#include <span>
#include <vector>

// Small measures on the raw rows of a sweep, used to find events.

namespace hillrun {

/// The rows of a pull that count.
struct SweepRows {
    size_t first = 0;
    std::span<const double> time_s;
    std::span<const double> speed_rpm;
    std::vector<double> torque_nm;
    double step_s = 0.01; ///< median interval

    [[nodiscard]] size_t rows() const { return time_s.size(); }
    [[nodiscard]] size_t rowsIn(double seconds) const;
    [[nodiscard]] std::span<const double> part(const Column& column) const {
        return std::span(column.values).subspan(first, time_s.size());
    }
};
SweepRows sweepOf(const ChannelTable& raw, const Sweep& sweep);

/// A run of rows.
struct Run {
    size_t first = 0;
    size_t rows = 0;
};
Run longestRun(std::span<const double> values, const std::function<bool(double)>& belongs);
/// The longest run of one and the same reading.
Run longestStill(std::span<const double> values);

double median(std::vector<double> values);
double quantileOf(std::vector<double> values, double share);
/// Running median over `width` rows; NaN rows are left out. Shorter at the ends.
std::vector<double> runningMedian(std::span<const double> values, size_t width);
/// 1.4826 times the median distance from the median.
double robustSd(std::span<const double> values);
/// Scatter from row to row, whatever the signal does slowly: from the 80 % quantile of second differences.
double sampleNoise(std::span<const double> values);
/// The straight line through rows from..to, at x.
double lineAt(std::span<const double> x, std::span<const double> y, size_t from, size_t to, double at);
/// Largest relative deviation of the torque in the trimmed start from the line through what follows.
double startDeviation(const ChannelTable& raw, const Sweep& sweep, const Trim& start);

} // namespace hillrun
