// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/day_model.h"

namespace hillrun {

/// The day's drift at each rpm point, log, from the curves smoothed over 500 rpm either way.
struct DriftAlong {
    Eigen::VectorXd overDay; ///< NaN where the pulls do not tell
    Eigen::VectorXd error;   ///< its standard error
};
/// Needs a model whose drift is identified, with its variances and correlation.
DriftAlong driftAlong(const DayModel& model);

/// The part of it, squared, that noise does not explain; nowhere less than that of the level. Formulas: docs/method.md.
Eigen::VectorXd driftAllowanceAlong(const DayModel& model);

} // namespace hillrun
