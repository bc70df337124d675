// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/noise.h"
#include "core/fit/refit.h"

#include <Eigen/Dense>
#include <optional>
#include <vector>

// All pulls of a day in one least-squares fit on the log scale. Every pull is split into a level (one number, its mean
// over the core) and a shape (the curve minus the level). Method and sources: docs/method.md.

namespace hillrun {

/// A pull as the fit sees it.
struct FitPull {
    int build = 0;       ///< column of the design
    double time_h = 0.0; ///< clock time
    int set = 0;         ///< unbroken run of pulls of one fitted build
    bool operator==(const FitPull&) const = default;
};

/// Correlation of the shape's noise along rpm: (1-nugget) exp(-h^2/(2 length^2)) + nugget at h = 0.
struct NoiseCorrelation {
    double length_rpm = 250.0;
    double nugget = 0.0;
    bool operator==(const NoiseCorrelation&) const = default;
};

/// Up to so many degrees of freedom of a day's own, earlier days count in.
inline constexpr int kFewFreedom = 2;

/// What earlier days repeat within, on the log scale.
struct RepeatHistory {
    double levelVariance = 0.0;
    double freedom = 0.0;              ///< 0: nothing is known of them
    double cautious = 0.0;             ///< for a day without any repeat
    std::vector<double> shapeVariance; ///< at each rpm point of the input
    NoiseCorrelation correlation;
    [[nodiscard]] bool known() const { return freedom > 0.0 && levelVariance > 0.0; }
    bool operator==(const RepeatHistory&) const = default;
};

/// Log power of every pull on one grid; NaN where a pull has no data.
struct FitInput {
    std::vector<FitPull> pulls;
    int builds = 0;
    std::vector<double> rpm;
    Eigen::MatrixXd logPower; ///< pulls x rpm
    RefitSpread refit{};      ///< of a build that is fitted again
    RepeatHistory history{};  ///< counts where today has few repeats
};

/// Least squares on some of the rows: X = [build indicators | time - mean time].
struct Design {
    std::vector<int> rows; ///< pulls that take part
    Eigen::MatrixXd x;
    Eigen::MatrixXd gramInverse; ///< pseudo-inverse of X'X
    int rank = 0;

    [[nodiscard]] int degreesOfFreedom() const { return static_cast<int>(rows.size()) - rank; }
    /// Residuals of y (one value a row of the design).
    [[nodiscard]] Eigen::VectorXd residuals(const Eigen::VectorXd& y) const;
    /// Weights a of the rows so that the contrast's estimate is a'y; nothing when these rows cannot estimate it.
    [[nodiscard]] std::optional<Eigen::VectorXd> contrastWeights(const Eigen::VectorXd& contrast) const;
};

/// How much a drift that is not a straight line may have bent the differences.
enum class DriftAllowance { Steady, Cautious, Jumps };
double allowanceShare(DriftAllowance allowance); ///< 0, 0.5, 0.7

/// The drift of the day, on the log scale.
struct Drift {
    bool identified = false; ///< some build was run again later
    double perHour = 0.0;
    double perHourLow = 0.0; ///< 95 %
    double perHourHigh = 0.0;
    double span_h = 0.0; ///< first to last set
    double overDay = 0.0;
    double allowanceSquared = 0.0;  ///< the part of overDay^2 that noise does not explain
    Eigen::VectorXd allowanceAlong; ///< the same at each rpm point, nowhere less; empty: as at the level
    [[nodiscard]] double allowanceAt(Eigen::Index point) const {
        return allowanceAlong.size() > 0 ? allowanceAlong(point) : allowanceSquared;
    }
};

struct DayModel {
    FitInput input;
    Design design;
    int degreesOfFreedom = 0;   ///< behind the variances, those of earlier days too
    int measuredFreedom = 0;    ///< of them, today's own
    int historyFreedom = 0;     ///< of them, earlier days'; 0 where today's repeats do
    bool unlikeHistory = false; ///< today's few repeats scatter more than earlier days allow: those do not count
    double meanTime_h = 0.0;
    std::vector<char> window;  ///< rpm points where something is estimated
    std::vector<char> core;    ///< rpm points where every pull has data
    bool windowShrunk = false; ///< the pulls overlap so little that only the core is used
    Eigen::VectorXd level;
    Eigen::MatrixXd shape;
    std::vector<int> pattern;      ///< for each rpm point its entry in patterns, -1 outside the window
    std::vector<Design> patterns;  ///< one for each set of pulls available together
    double levelSd = 0.0;          ///< s0; NaN without degrees of freedom
    Eigen::VectorXd shapeVariance; ///< v(r), smoothed; NaN outside the window
    Eigen::VectorXd shapeWeight;   ///< degrees of freedom at each rpm point
    double measuredLevelSd = 0.0;  ///< the same two by today's repeats alone
    Eigen::VectorXd measuredShapeVariance;
    double shapeDegreesOfFreedom = 0.0;
    NoiseCorrelation correlation;
    NoiseOfBuilds noise;
    Drift drift;
};

/// Some build is run again later, so that drift can be told from the parts. Needs no curves.
bool driftIdentified(const FitInput& input);

/// Least squares of `rows` of the input. With `withTime` a common straight drift is part of the fit.
Design makeDesign(const FitInput& input, std::vector<int> rows, bool withTime, double meanTime_h);

/// Fits the day. Needs at least one pull; throws DataError (NoCommonRange) when the pulls share no rpm.
DayModel fitDay(FitInput input);

/// The sd of a pull's number and the degrees of freedom behind it: by what a fit of these rows leaves, and by earlier
/// days where they count. A number that is no power has no history.
struct NumberScatter {
    double sd = 0.0; ///< NaN without degrees of freedom
    int freedom = 0;
};
NumberScatter numberScatter(const DayModel& model, const Design& design, const Eigen::VectorXd& values, bool isPower);

/// What the fit leaves of the shapes: pulls x rpm, NaN where there are none.
Eigen::MatrixXd shapeResiduals(const DayModel& model);

/// Weights of the variance smoother at one point: 0.8 box mean within 500 rpm + 0.2 mean of the window, both weighted.
/// Zero outside the window.
Eigen::VectorXd varianceSmoother(const std::vector<double>& rpm, const std::vector<char>& window,
                                 const Eigen::VectorXd& weight, size_t at);

} // namespace hillrun
