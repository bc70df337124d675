// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/reduce.h"

namespace hillrun {

/// The recorded rows behind a curve, corrected like it but not smoothed.
struct CurveRows {
    std::vector<double> time_s;
    std::vector<double> rpm;
    std::vector<double> power_w;
};
/// Rows of the whole sweep, trimmed ends too. With measured friction the curve's mean factor stands for each row's own.
CurveRows correctedRows(const Curve& curve);

/// When the sweep passes an engine speed, in s; NaN where it does not.
double timeAtSpeed(const Curve& curve, double rpm);
/// The engine speed at a time inside the sweep, in rpm; NaN outside.
double speedAtTime(const Curve& curve, double time_s);

/// A value of a curve's column at an engine speed, straight between its grid points; NaN outside.
double valueAt(const Curve& curve, const std::vector<double>& values, double rpm);

} // namespace hillrun
