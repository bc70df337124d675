// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/cell_model.h"
#include "core/fit/draws.h"

namespace hillrun {

/// The shapes of an article's visits: log power along rpm less its mean there, which is the level.
struct VisitShapes {
    std::vector<double> rpm;
    Eigen::MatrixXd shape;    ///< visits x rpm
    Eigen::VectorXd variance; ///< of one pull's, along rpm
    double freedom = 0.0;     ///< behind it; 0: no pull was repeated, and nothing is known
    NoiseCorrelation correlation;
};

/// The shapes in units of one pull's standard deviation, at a few points along rpm that stand for all.
Eigen::MatrixXd evenShapes(const VisitShapes& shapes);
/// How many points along rpm are as good as independent.
double independentPoints(const VisitShapes& shapes);

/// A difference of builds along rpm across days, log scale, with the half widths of its 95 % intervals: at each speed
/// by itself, and at all speeds at once.
struct CurveAcross {
    std::vector<double> rpm;
    Eigen::VectorXd delta;
    Eigen::VectorXd pointwiseHalf;
    Eigen::VectorXd simultaneousHalf;
};
/// `levels`: what the cell has taught of levels; `shapes`: the same of shapes, see `shapeTable`. `of` must know its
/// variance. Method: docs/method.md, "Across days".
CurveAcross curveAcross(const Net& net, const VisitShapes& of, const CellModel& levels, const CellModel& shapes,
                        const Eigen::VectorXd& builds, DrawCache& cache);

} // namespace hillrun
