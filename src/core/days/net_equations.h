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

/// What one day adds, solved for its own drift; the builds are those of the day.
struct DayTerms {
    Eigen::MatrixXd gram;  ///< X'MX, X the builds
    Eigen::MatrixXd right; ///< X'My, a column for each of y
    double logDeterminant = 0.0;
    double squares = 0.0; ///< y'My, of all columns of y
};

/// One day of a net.
class DayEquations {
public:
    DayEquations(const Net& net, int day, bool withDrift);

    /// The net's numbers of the day's builds, rising.
    [[nodiscard]] const std::vector<int>& builds() const { return m_builds; }
    /// `y` has a row for each visit of the net.
    [[nodiscard]] DayTerms at(const VarianceNode& node, const Eigen::MatrixXd& y) const;
    /// What each visit of this day weighs in a sum of builds' estimates; `builds`: (X'MX)^-1 times that sum.
    void addWeights(const VarianceNode& node, const Eigen::VectorXd& builds, double share,
                    Eigen::VectorXd& weights) const;

private:
    [[nodiscard]] Eigen::MatrixXd projection(const VarianceNode& node, double& logDeterminant) const;

    std::vector<Visit> m_visits;
    std::vector<Eigen::Index> m_rows; ///< their numbers in the net
    std::vector<int> m_builds;
    std::vector<Eigen::Index> m_buildOf; ///< of each visit, its place among the day's builds
    bool m_withDrift;
};
std::vector<DayEquations> equationsOf(const Net& net);
std::vector<DayTerms> termsAt(const std::vector<DayEquations>& days, const VarianceNode& node,
                              const Eigen::MatrixXd& y);

/// The visits' levels, one column.
Eigen::MatrixXd levelsOf(const Net& net);

/// The builds' equations at one node, with all days in.
struct SolvedNet {
    Eigen::LLT<Eigen::MatrixXd> gram;
    Eigen::MatrixXd builds; ///< estimates, builds x columns of y
    double logDeterminant = 0.0;
    double squares = 0.0; ///< y'Py, mean of the columns
};
/// `terms` are those of all `days` at one node.
SolvedNet solve(int builds, const std::vector<DayEquations>& days, const std::vector<DayTerms>& terms);

} // namespace hillrun
