// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/net.h"

#include <Eigen/Dense>
#include <vector>

// The equations of a net's builds (generalised least squares), with days and refittings as random effects of given
// size. Days are independent of each other, so that each adds its part.

namespace hillrun {

/// One place of the net of variances, in units of the repeatability of one pull.
struct VarianceNode {
    double day = 0.0;
    double refit = 0.0;
    double logPrior = 0.0;
};

/// Which builds stand in the equations of the whole net. One that ran on a single day can be solved for inside that
/// day, as its drift is; a workshop's net has many such.
struct KeptBuilds {
    std::vector<int> number; ///< of each build of the net, among those kept; -1: solved for inside its day
    int count = 0;
};
KeptBuilds everyBuild(const Net& net);
/// Those that ran on several days, and those with a weight in `wanted` (one a build, or none at all).
KeptBuilds sharedBuilds(const Net& net, const Eigen::VectorXd& wanted = {});

/// What one day adds, solved for its own drift and the builds that are not kept; its kept builds in rising order.
struct DayTerms {
    Eigen::MatrixXd gram;  ///< X'MX, X the builds
    Eigen::MatrixXd right; ///< X'My, a column for each of y
    double logDeterminant = 0.0;
    double squares = 0.0; ///< y'My, of all columns of y
};

/// One day of a net.
class DayEquations {
public:
    DayEquations(const Net& net, int day, bool withDrift, const KeptBuilds& kept);

    /// The numbers of the day's kept builds, rising.
    [[nodiscard]] const std::vector<int>& builds() const { return m_kept; }
    /// `y` has a row for each visit of the net.
    [[nodiscard]] DayTerms at(const VarianceNode& node, const Eigen::MatrixXd& y) const;
    /// What each visit of this day weighs in a sum of builds' estimates; `builds`: (X'MX)^-1 times that sum, every
    /// build kept.
    void addWeights(const VarianceNode& node, const Eigen::VectorXd& builds, double share,
                    Eigen::VectorXd& weights) const;

private:
    [[nodiscard]] Eigen::MatrixXd projection(const VarianceNode& node, double& logDeterminant) const;

    std::vector<Visit> m_visits;
    std::vector<Eigen::Index> m_rows; ///< their numbers in the net
    std::vector<int> m_kept;
    Eigen::Index m_gone = 0;             ///< builds that are solved for
    std::vector<Eigen::Index> m_placeOf; ///< of each visit, its build's place: the kept ones first
    bool m_withDrift;
};
std::vector<DayEquations> equationsOf(const Net& net, const KeptBuilds& kept);
std::vector<DayTerms> termsAt(const std::vector<DayEquations>& days, const VarianceNode& node,
                              const Eigen::MatrixXd& y);

/// The visits' levels, one column.
Eigen::MatrixXd levelsOf(const Net& net);

/// The kept builds' equations at one node, with all days in.
struct SolvedNet {
    Eigen::LLT<Eigen::MatrixXd> gram;
    Eigen::MatrixXd builds; ///< estimates, kept builds x columns of y
    double logDeterminant = 0.0;
    double squares = 0.0; ///< y'Py, mean of the columns
};
/// `builds` are kept; `terms` are those of all `days` at one node.
SolvedNet solve(int builds, const std::vector<DayEquations>& days, const std::vector<DayTerms>& terms);

} // namespace hillrun
