// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <Eigen/Dense>
#include <vector>

namespace hillrun {

struct DayModel;
struct Design;

/// With a smaller chance that all builds repeat alike they are taken to repeat differently.
inline constexpr double kUnequalBelow = 0.05;

/// How the shapes of one build's pulls repeat against those of the whole day.
struct BuildNoise {
    double ratio = 1.0;            ///< of variances, drawn towards one by what few pulls cannot tell
    double degreesOfFreedom = 0.0; ///< of the shapes along rpm
    double p = 1.0;                ///< that it repeats as the others do, for all builds asked at once
};

/// The noise of all builds. As long as they do not differ for certain, every pull counts alike.
struct NoiseOfBuilds {
    std::vector<BuildNoise> builds;
    double smallestP = 1.0;
    bool unequal = false;    ///< and so the ratios are used
    Eigen::VectorXd ofPulls; ///< variance of each pull in units of the day's; empty: all alike
    [[nodiscard]] double ofPull(Eigen::Index pull) const { return ofPulls.size() > 0 ? ofPulls(pull) : 1.0; }
};

/// From the shape residuals (pulls x rpm, NaN where there are none) of a day whose variance along rpm and correlation
/// are known. Formulas: docs/method.md, "One build repeats worse".
NoiseOfBuilds noiseOfBuilds(const DayModel& model, const Eigen::MatrixXd& shapeResiduals);

/// Variance of a sum of the design's rows, weighted so, in units of one pull's.
double varianceFactor(const DayModel& model, const Design& design, const Eigen::VectorXd& weights);

/// The weights by which each pull's noise counts: those of independent pulls that all repeat alike.
Eigen::VectorXd noiseWeights(const DayModel& model, const Design& design, const Eigen::VectorXd& weights);

/// Residuals of the design's rows, each in units of its own pull's noise.
Eigen::VectorXd evenResiduals(const DayModel& model, const Design& design, const Eigen::VectorXd& y);

} // namespace hillrun
