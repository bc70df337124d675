// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <span>
#include <vector>

namespace hillrun {

/// A signal's rate of change, and how it was got.
struct Derivative {
    std::vector<double> perSecond; ///< one a row; NaN where too few rows are near
    double width_s = 0.0;          ///< full width of the weight at half its height
    double bandwidth_hz = 0.0;     ///< above this frequency less than half of a wiggle's amplitude comes through
    double noise = 0.0;            ///< sd of the rate that the signal's own sample noise leaves
};

/// Rate of change by local quadratic regression over time with tricube weights (Cleveland 1979): straight and parabolic
/// courses come back unchanged, at the ends too.
Derivative differentiate(std::span<const double> time_s, std::span<const double> values, double width_s);

/// The same with a width that suits the noise: the narrowest between 0.12 and 1.2 s at which the samples' own scatter
/// leaves less than half a per cent of the usual rate. Rows outside first..last only serve as neighbours.
Derivative differentiate(std::span<const double> time_s, std::span<const double> values, size_t first, size_t last);

} // namespace hillrun
