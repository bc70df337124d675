// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

namespace hillrun {

/// What the comparison of two builds is made from.
struct PairInput {
    const TestDay& day;
    const DayModel& model;
    const AnalysisSettings& settings;
    const std::vector<PullResult>& pulls;
    const std::vector<size_t>& fitted;        ///< for each pull of the fit its number in the day
    const std::vector<std::string>& buildIds; ///< build of each column of the design
};

/// The contrast "to minus from" for the fit.
Eigen::VectorXd pairContrast(const PairInput& input, const std::string& from, const std::string& to);

/// What a comparison is judged by, and the result of the build that it is counted from.
struct Judging {
    JudgedBy by = JudgedBy::Family;
    double ownCritical = 0.0;
    double togetherCritical = 0.0; ///< of the family, or of all pairs
    const BuildResult& from;
};
/// Compares two builds whose contrast and critical values are known.
Comparison compareBuilds(const PairInput& input, const std::string& from, const std::string& to,
                         const ContrastCurve& contrast, const Judging& judging);

/// A build's fitted curve and peaks.
BuildResult fittedBuild(const PairInput& input, const std::string& id);

} // namespace hillrun
