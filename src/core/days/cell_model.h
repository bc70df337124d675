// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/net_equations.h"

#include <Eigen/Dense>
#include <optional>
#include <span>
#include <vector>

// Builds across days: a visit's level is its build's, plus what the day adds, plus what fitting it again adds, plus the
// repeatability of its pulls; days and refittings are random, and all articles of a cell share the three variances.
// Those are integrated over a fixed net of nodes. Method and sources: docs/method.md, "Across days".

namespace hillrun {

/// What a user knows for himself, on the log scale: then it is not learned.
struct EnteredVariances {
    std::optional<double> daySd;
    std::optional<double> refitSd;
};

/// What repeats inside visits tell.
struct WithinVisits {
    double squares = 0.0;
    double freedom = 0.0;
    WithinVisits& operator+=(const WithinVisits& other);
};

/// The nodes; entered values leave only their own, in units of the repeatability inside visits.
std::vector<VarianceNode> varianceNodes(const EnteredVariances& entered = {}, const WithinVisits& within = {});

/// What one article says at each node. These add up over articles, so that each can be kept.
struct NodeTable {
    Eigen::VectorXd logLikelihood; ///< L: all but the power of the squares
    Eigen::VectorXd squares;       ///< Q
    int freedom = 0;               ///< visits less columns
    NetFreedom of;
};
NodeTable nodeTable(const Net& net, std::span<const VarianceNode> nodes);
/// The same of the visits' shapes (visits x points along rpm), in units of one pull's standard deviation there: squares
/// are means over the points.
NodeTable shapeTable(const Net& net, const Eigen::MatrixXd& shapes, std::span<const VarianceNode> nodes);

/// A standard deviation that was learned, with its 80 % limits; log scale.
struct LearnedSd {
    double median = 0.0;
    double low = 0.0;
    double high = 0.0;
};

/// What a cell has taught.
struct CellModel {
    std::vector<VarianceNode> nodes;
    Eigen::VectorXd weight;   ///< of each node; they sum to one
    Eigen::VectorXd variance; ///< s^2 at each node
    double freedom = 0.0;     ///< nu
    NetFreedom of;            ///< of all articles together
    LearnedSd day;
    LearnedSd refit;
};
/// `tables` are those of all articles of the cell, made with these nodes; `copies`: so many independent points along
/// rpm stand behind each. Nothing without degrees of freedom.
std::optional<CellModel> learnCell(std::span<const NodeTable> tables, const WithinVisits& within,
                                   std::vector<VarianceNode> nodes, double copies = 1.0);

/// So many equally likely standard deviations of fitting a build again, rising.
std::vector<double> likelyRefits(const CellModel& cell, int count);

/// A weighted sum of builds at each node, and of what visits it is made.
struct NodeEstimates {
    Eigen::VectorXd centre;
    Eigen::VectorXd scale;  ///< of its Student t
    Eigen::VectorXd visits; ///< weights of the visits' levels, mean of the nodes by their weight
};
NodeEstimates nodeEstimates(const Net& net, const CellModel& cell, const Eigen::VectorXd& builds);
/// The probability that the sum is less than `x`.
double probabilityBelow(const CellModel& cell, const NodeEstimates& at, double x);
/// Variance of a sum of visits at a node, in units of one pull's.
double varianceOfSum(const Net& net, const VarianceNode& node, const Eigen::VectorXd& visits);

/// A weighted sum of builds across days, with the interval that holds it with this probability.
struct AcrossDays {
    double estimate = 0.0;
    double low = 0.0;
    double high = 0.0;
};
/// `builds`: one weight a build, summing to zero. The net must be one of those the cell was learned from. Says nothing
/// of whether an interval may be printed: see saidAcross().
AcrossDays acrossDays(const Net& net, const CellModel& cell, const Eigen::VectorXd& builds, double probability = 0.95);

/// What may be said of two builds.
enum class AcrossKind {
    Inside,    ///< through builds that ran on the same days
    ByTheCell, ///< nothing in common but the dyno, whose days are known
    Unknown,   ///< no interval
};
AcrossKind acrossKind(const Net& net, const CellModel& cell, int from, int to);
/// `joined`: inside days.
AcrossKind acrossKind(const CellModel& cell, bool joined);

/// With fewer the interval allows for refitting up to twice the repeatability, unless it is entered.
inline constexpr int kRefitKnown = 4;

} // namespace hillrun
