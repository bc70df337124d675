// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/robust.h"

#include <cmath>
#include <span>
#include <vector>

namespace hillrun {

/// The middle of the steps upwards from one known value to the next; 0 when there are none.
inline double medianStep(std::span<const double> values) {
    std::vector<double> steps;
    double last = std::nan("");
    for (const double value : values) {
        if (value > last)
            steps.push_back(value - last);
        if (std::isfinite(value))
            last = value;
    }
    return steps.empty() ? 0.0 : median(std::move(steps));
}

} // namespace hillrun
