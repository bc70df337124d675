// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/credit_weights.h"

#include <algorithm>
#include <bit>
#include <cmath>
#include <map>

namespace hillrun {
namespace {

using Eigen::Index;

constexpr double kSinglesWeigh = 1e4; ///< a part's own effect must be met, interactions as well as may be
constexpr double kMet = 1e-6;

PartSet fullOf(size_t parts) { return (1U << parts) - 1U; }

/// Adds `weight` to the build with this set; false when it was not run.
bool add(const std::vector<PartSet>& sets, PartSet wanted, double weight, Eigen::VectorXd& to) {
    const auto build = buildWith(sets, wanted);
    if (build)
        to(*build) += weight;
    return build.has_value();
}

Eigen::VectorXd none(const std::vector<PartSet>& sets) {
    return Eigen::VectorXd::Zero(static_cast<Index>(sets.size()));
}

/// Rows: every set of parts but the empty one; 1 where a build's parts hold all of it.
Eigen::MatrixXd holdsAll(const std::vector<PartSet>& sets, size_t parts) {
    Eigen::MatrixXd out(static_cast<Index>(fullOf(parts)), static_cast<Index>(sets.size()));
    for (Index t = 0; t < out.rows(); ++t)
        for (Index b = 0; b < out.cols(); ++b) {
            const auto together = static_cast<PartSet>(t) + 1U;
            out(t, b) = (sets[static_cast<size_t>(b)] & together) == together ? 1.0 : 0.0;
        }
    return out;
}

} // namespace

std::optional<Index> buildWith(const std::vector<PartSet>& sets, PartSet wanted) {
    const auto at = std::find(sets.begin(), sets.end(), wanted);
    return at == sets.end() ? std::nullopt : std::optional(static_cast<Index>(at - sets.begin()));
}

// The smallest sum of squares of what unseen interactions may add: min |c - M'w|^2 over sets of two parts and more,
// with every single part met.
std::optional<ShareWeights> shareWeights(const std::vector<PartSet>& sets, size_t parts, size_t part) {
    const Eigen::MatrixXd holds = holdsAll(sets, parts);
    Eigen::VectorXd wanted(holds.rows());
    Eigen::VectorXd weigh(holds.rows());
    for (Index t = 0; t < holds.rows(); ++t) {
        const auto together = static_cast<PartSet>(t) + 1U;
        const int size = std::popcount(together);
        wanted(t) = (together >> part & 1U) != 0U ? 1.0 / size : 0.0; // each of them has the same part of it
        weigh(t) = size == 1 ? kSinglesWeigh : 1.0;
    }
    const Eigen::MatrixXd system = weigh.asDiagonal() * holds;
    ShareWeights out;
    out.ofBuild = system.completeOrthogonalDecomposition().solve(weigh.cwiseProduct(wanted));
    const Eigen::VectorXd left = wanted - holds * out.ofBuild;
    for (Index t = 0; t < left.size(); ++t) {
        if (weigh(t) > 1.0 && std::abs(left(t)) > kMet)
            return std::nullopt;
        out.boundFactor += std::abs(left(t)) > kMet ? std::abs(left(t)) : 0.0;
    }
    const auto base = buildWith(sets, 0U);
    if (!base)
        return std::nullopt;
    out.ofBuild(*base) = 0.0;
    out.ofBuild(*base) = -out.ofBuild.sum();
    return out;
}

std::optional<Eigen::VectorXd> interactionWeights(const std::vector<PartSet>& sets, size_t parts, PartSet together) {
    Eigen::VectorXd out = none(sets);
    const int size = std::popcount(together);
    const double share = std::pow(0.5, static_cast<int>(parts) - size);
    for (PartSet set = 0; set <= fullOf(parts); ++set) {
        const int missing = size - std::popcount(set & together);
        if (!add(sets, set, missing % 2 == 0 ? share : -share, out))
            return std::nullopt;
    }
    return out;
}

std::optional<Eigen::VectorXd> beyondSumWeights(const std::vector<PartSet>& sets, size_t parts) {
    Eigen::VectorXd out = none(sets);
    bool run = add(sets, fullOf(parts), 1.0, out) && add(sets, 0U, static_cast<double>(parts) - 1.0, out);
    for (size_t part = 0; part < parts; ++part)
        run = add(sets, 1U << part, -1.0, out) && run;
    return run ? std::optional(out) : std::nullopt;
}

std::optional<Eigen::VectorXd> stepWeights(const std::vector<PartSet>& sets, PartSet from, PartSet to) {
    Eigen::VectorXd out = none(sets);
    const bool run = add(sets, from, -1.0, out) && add(sets, to, 1.0, out);
    return run ? std::optional(out) : std::nullopt;
}

std::optional<PartSet> tellingNext(const std::vector<PartSet>& sets, size_t parts) {
    const PartSet full = (1U << parts) - 1U;
    if (!buildWith(sets, full))
        return full;
    for (int size = 1; size < static_cast<int>(parts); ++size)
        for (PartSet set = 1; set < full; ++set)
            if (std::popcount(set) == size && !buildWith(sets, set))
                return set;
    return std::nullopt;
}

long ordersRun(const std::vector<PartSet>& sets, size_t parts) {
    std::map<PartSet, long> ways;
    for (PartSet set = 0; set <= fullOf(parts); ++set) {
        long sum = set == 0U ? 1 : 0;
        for (size_t part = 0; part < parts; ++part)
            if ((set >> part & 1U) != 0U)
                sum += ways[set & ~(1U << part)];
        ways[set] = buildWith(sets, set) ? sum : 0;
    }
    return ways[fullOf(parts)];
}

} // namespace hillrun
