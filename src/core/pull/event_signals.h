// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/reduce.h"
#include "core/pull/robust.h"

#include <span>
#include <vector>

// Small measures on the raw rows of a sweep, used to find events.

namespace hillrun {

/// The rows of a pull that count.
struct SweepRows {
    size_t first = 0;
    std::span<const double> time_s;
    std::span<const double> speed_rpm;
    std::span<const double> torque_nm;
    double step_s = 0.01; ///< median interval

    [[nodiscard]] size_t rows() const { return time_s.size(); }
    [[nodiscard]] size_t rowsIn(double seconds) const;
    [[nodiscard]] std::span<const double> part(const Column& column) const {
        return std::span(column.values).subspan(first, time_s.size());
    }
};
SweepRows sweepOf(const Curve& curve);

/// Largest relative deviation of the torque in the trimmed start from the line through what follows.
double startDeviation(const Curve& curve, const Trim& start);

} // namespace hillrun
