// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/contrast.h"
#include "core/pull/reduce.h"

#include <optional>
#include <span>

namespace hillrun {

/// A build's place among the columns of the design.
using BuildColumn = Eigen::Index;

/// One number of each fitted pull, to go through the day's model as the curves do. NaN for a pull that has none.
struct Figure {
    Eigen::VectorXd ofPull;
    bool isSize = true; ///< compared as a ratio and scaled by drift; false: a place (a speed), compared as it is
};

enum class PeakOf { Power, Torque };
/// The peak's height, W or N.m. `curves` has one entry a fitted pull.
Figure peakHeight(std::span<const Curve* const> curves, PeakOf what);
/// The speed it lies at, rpm.
Figure peakSpeed(std::span<const Curve* const> curves, PeakOf what);
/// Whether some pull still rises where it ends.
bool peakAtEnd(std::span<const Curve* const> curves, PeakOf what);

/// What two builds differ by in a figure, in the figure's unit.
struct FigureDifference {
    double base = 0.0; ///< of the from-build
    double delta = 0.0;
    double low = 0.0; ///< 95 %, with the declared bound
    double high = 0.0;
    double low90 = 0.0;
    double high90 = 0.0;
    double p = 1.0;
    std::optional<double> refitUndoes; ///< see NumberEstimate
};

/// The contrast of one build's own figure, and of a pair.
Eigen::VectorXd ownContrast(const DayModel& model, BuildColumn build);
Eigen::VectorXd pairContrast(const DayModel& model, BuildColumn from, BuildColumn to);

/// A build's figure as the fit gives it; nothing when its pulls have none.
std::optional<double> figureOf(const DayModel& model, BuildColumn build, const Figure& figure,
                               const DriftSettings& drift);
/// Nothing when the pulls that have the figure cannot tell the builds apart.
std::optional<FigureDifference> differenceIn(const DayModel& model, BuildColumn from, BuildColumn to,
                                             const Figure& figure, const DriftSettings& drift);

} // namespace hillrun
