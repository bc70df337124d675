// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/part_sets.h"

#include <Eigen/Dense>
#include <optional>

// Credit as weighted sums of the builds' log curves or numbers: one weight a build, summing to zero. Formulas and
// sources: docs/method.md.

namespace hillrun {

/// The build with exactly these parts.
std::optional<Eigen::Index> buildWith(const std::vector<PartSet>& sets, PartSet wanted);

/// A part's share of what all parts give together: its mean step over all orders of fitting them (Shapley 1953), as
/// far as the builds that were run tell.
struct ShareWeights {
    Eigen::VectorXd ofBuild;
    double boundFactor = 0.0; ///< what each 1 % of an interaction that was not run may move it by, %; 0: complete
};
/// Nothing when the part was never told apart from others.
std::optional<ShareWeights> shareWeights(const std::vector<PartSet>& sets, size_t parts, size_t part);

/// What `together` give beyond what all smaller sets of them explain, on average over the other parts. Nothing when a
/// build that it needs was not run.
std::optional<Eigen::VectorXd> interactionWeights(const std::vector<PartSet>& sets, size_t parts, PartSet together);

/// What all parts give together beyond the sum of what each gives alone. Needs the base, each part alone and the full
/// build.
std::optional<Eigen::VectorXd> beyondSumWeights(const std::vector<PartSet>& sets, size_t parts);

/// From one set to another; nothing when one of them was not run.
std::optional<Eigen::VectorXd> stepWeights(const std::vector<PartSet>& sets, PartSet from, PartSet to);

/// The set of parts that would tell most of those that were not run: all together, then each alone, then the smallest.
/// Nothing for a complete lattice.
std::optional<PartSet> tellingNext(const std::vector<PartSet>& sets, size_t parts);

/// In how many orders the parts could be fitted one after the other, with every build in between run.
long ordersRun(const std::vector<PartSet>& sets, size_t parts);

} // namespace hillrun
