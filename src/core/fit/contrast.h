// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/day_model.h"
#include "core/fit/draws.h"

#include <cmath>
#include <optional>
#include <span>
#include <vector>

namespace hillrun {

/// What the reader allows for drift.
struct DriftSettings {
    DriftAllowance allowance = DriftAllowance::Cautious;
    std::optional<double> declaredBound_pct; ///< "drift is at most this", where no return to base shows it
    bool operator==(const DriftSettings&) const = default;
};

/// A weighted sum of builds, along rpm, all on the log scale. NaN where the pulls cannot tell.
struct ContrastCurve {
    Eigen::VectorXd delta;
    Eigen::VectorXd standardError; ///< NaN throughout without degrees of freedom
    Eigen::VectorXd shapeFactor;   ///< vc(r): variance of delta's shape in units of one pull's
    Eigen::VectorXd pointwiseHalf; ///< 95 %, without the declared bound
    Eigen::VectorXd weights;       ///< of the pulls, at the level
    double levelDelta = 0.0;
    double levelError = 0.0;         ///< L of the level
    Eigen::VectorXd levelErrorAlong; ///< L at each point: where the day drifted more than at the level, more
    Eigen::VectorXd sumsOverSets;    ///< of the weights, set by set in the order of time
    double refitError = 0.0;         ///< what fitting builds again adds to the level's
    double worstJump = 0.0;          ///< gmax: error made by a drift of size one that came as one jump
    bool protectedFromDrift = false;
    double boundHalf = 0.0; ///< to be added to every half width: the declared bound times worstJump
    /// Largest drift over the session that would explain the level difference alone; only when not protected.
    std::optional<double> explainingDrift;
    /// Claims are allowed: there is an interval, and drift is covered.
    [[nodiscard]] bool mayClaim() const;
};

/// Evaluates a contrast of builds (one weight a build, summing to zero, or to one for a build's own curve).
/// Nothing when the day cannot estimate it.
std::optional<ContrastCurve> evaluate(const DayModel& model, const Eigen::VectorXd& builds, const DriftSettings& drift);

/// Critical values of the simultaneous bands: of each contrast by itself, of the family together, of all together.
struct CriticalValues {
    std::vector<double> own;
    double family = 0.0;
    double all = 0.0;
    double lead = 0.0; ///< with which a build is held against all others at once, along rpm; NaN without `sides`
};
/// The builds that a contrast stands between.
struct Sides {
    Eigen::Index from = 0;
    Eigen::Index to = 0;
};
/// The first `familySize` contrasts are the family. NaN without degrees of freedom. `contrasts` must come from this
/// model. `sides`, when given, says for each the builds it stands between.
CriticalValues criticalValues(const DayModel& model, std::span<const ContrastCurve> contrasts, size_t familySize,
                              DrawCache& cache, std::span<const Sides> sides = {});

/// One number a pull (a log mean over a band, a log peak, a peak's speed) through the same model.
struct NumberEstimate {
    double estimate = 0.0;
    double standardError = 0.0;
    double half = 0.0;   ///< 95 %, with the declared bound
    double half90 = 0.0; ///< 90 %
    double p = 1.0;
    int degreesOfFreedom = 0;
    double bound = 0.0; ///< of that, the declared bound
    /// The sd of fitting a build again that alone would take the proof away; nothing where nothing is proven, or where
    /// what it adds is known and in the interval.
    std::optional<double> refitUndoes;
    bool protectedFromDrift = true; ///< drift is covered, by the design alone
};
/// `values` has one entry a pull, NaN for pulls that have none; those are left out of this fit. `scaleOfDrift` false:
/// a quantity that drift does not scale (a speed).
std::optional<NumberEstimate> estimateNumber(const DayModel& model, const Eigen::VectorXd& builds,
                                             const Eigen::VectorXd& values, const DriftSettings& drift,
                                             bool scaleOfDrift = true);

/// The same for every build at once, so that differences can be held against each other.
struct NumbersOfBuilds {
    Eigen::VectorXd number;        ///< of each build; NaN when its pulls have none
    Eigen::MatrixXd errorWeights;  ///< builds x pulls: products of its rows times sd^2 are the numbers' covariances
    Eigen::MatrixXd standardError; ///< of the difference of two builds, with what drift may have bent
    Eigen::MatrixXd boundHalf;     ///< to be added to its half width: the declared bound
    Eigen::MatrixXd explained;     ///< 1: drift is covered for that difference, or a bound is declared
    double sd = 0.0;
    int degreesOfFreedom = 0;
    bool protectedFromDrift = true; ///< every difference is

    [[nodiscard]] bool known(Eigen::Index build) const { return std::isfinite(number(build)); }
    [[nodiscard]] bool mayClaim(Eigen::Index i, Eigen::Index j) const { return explained(i, j) > 0.0; }
};
NumbersOfBuilds numbersOfBuilds(const DayModel& model, const Eigen::VectorXd& values, const DriftSettings& drift,
                                bool scaleOfDrift = true);

} // namespace hillrun
