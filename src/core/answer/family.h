// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/contrast.h"

#include <string>
#include <utility>
#include <vector>

namespace hillrun {

using BuildPair = std::pair<std::string, std::string>; ///< from, to

/// The usual family of a day: base to each other build and each build to its neighbour, in build order.
std::vector<BuildPair> usualPairs(const std::vector<std::string>& builds);

/// All pairs of the builds, each once and counted from the build that comes first; those of the family lead.
struct PairsToWork {
    std::vector<BuildPair> pairs;
    size_t family = 0;
};
PairsToWork pairsToWork(const std::vector<std::string>& builds, const std::vector<BuildPair>& family);

/// The contrasts that the day can tell apart, with what they are judged by.
struct JudgedContrasts {
    std::vector<size_t> which; ///< for each its number among those asked for
    std::vector<ContrastCurve> contrasts;
    std::vector<Sides> sides; ///< of each
    CriticalValues critical;
    size_t family = 0; ///< the first of them are the family
};
/// `asked`: weights of the builds, +1 for one and -1 for another; the first `family` of them are judged together.
JudgedContrasts judgeContrasts(const DayModel& model, const std::vector<Eigen::VectorXd>& asked, size_t family,
                               const DriftSettings& drift, DrawCache& cache);

} // namespace hillrun
