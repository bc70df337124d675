// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <span>
#include <vector>

namespace hillrun {

enum class ChartState { Steady, Look, Moved };

/// One run of the reference build on the control chart.
struct ChartPoint {
    double u = 0.0; ///< how far it lies from all runs before it: standard normal, whatever their mean and scatter
    double up = 0.0;
    double down = 0.0; ///< the two sums
    ChartState state = ChartState::Steady;
};

/// Where the cell, or its reference engine, has moved.
struct ChartShift {
    size_t since = 0;  ///< first run after the sum was last nothing
    double size = 0.0; ///< mean from there on, less the mean before
};

/// The sums after one more run that lies so far from those before it.
ChartPoint nextPoint(const ChartPoint& last, double u);

struct ControlChart {
    std::vector<ChartPoint> points;
    std::optional<ChartShift> shift; ///< of the last run's state; nothing unless it has moved
};

/// Two one-sided sums of the runs in order of time, each run held against those before it: nothing needs to be known
/// beforehand. The first two runs have no u. Levels on the log scale. A move within the first eight is taken as normal.
ControlChart controlChart(std::span<const double> levels);

} // namespace hillrun
