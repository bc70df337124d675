// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

namespace hillrun {

/// What the comparison of two builds is made from.
struct PairInput {
    const TestDay& day;
    const AnalysisSettings& settings;
    const std::vector<PullResult>& pulls;
    const std::vector<size_t>& fitted;        ///< for each pull of the fit its number in the day
    const std::vector<std::string>& buildIds; ///< build of each column of the design
    AnswerInput answer;

    /// The column of a build, which must have pulls in use.
    [[nodiscard]] BuildColumn columnOf(const std::string& build) const;
};

/// A build's fitted curve and peaks.
BuildResult fittedBuild(const PairInput& input, const std::string& id);

/// The effect of a pair with what differs, like for like, the verdict, and what would settle it.
Comparison compareBuilds(const PairInput& input, const BuildPair& pair, Effect effect);

} // namespace hillrun
