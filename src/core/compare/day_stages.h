// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <span>

// The stages of a day, each a pure function of what it names: observe each pull, correct each pull, fit all of them,
// answer. `analyse` runs them one after another; an engine may keep what did not change.

namespace hillrun {

/// A pull after the first stage: what it shows, or why it shows nothing (empty for a pull whose file was not read).
struct ObservedPull {
    std::shared_ptr<const Observed> seen;
    Statement whyNot;
};
ObservedPull observePull(const Pull& pull, const Dyno& dyno, const GridSettings& grid);

/// The losses of the day from all its coast-downs, when it asks for them; a note when none can be had.
struct DayLoss {
    std::optional<LossCurve> curve;
    Statement note;
};
DayLoss lossOfDay(const Dyno& dyno, std::span<const ObservedPull> pulls);

/// A pull after the second stage.
struct CorrectedPull {
    std::shared_ptr<const Curve> curve;
    Statement whyNot;
};
CorrectedPull correctPull(const ObservedPull& seen, const Pull& pull, const Dyno& dyno, Standard standard,
                          const std::optional<LossCurve>& loss);

/// The pulls in the day's order with what became of them.
ReducedDay gatherPulls(const TestDay& day, Standard standard, const DayLoss& loss,
                       std::span<const CorrectedPull> pulls);

/// What the fit of a day is made from.
struct FitPlan {
    FitInput input;
    std::vector<size_t> fitted;        ///< for each pull of the fit its number in the day
    std::vector<std::string> buildIds; ///< build of each column of the design
};
FitPlan planFit(const TestDay& day, const std::vector<PullResult>& pulls, double step_rpm);

/// The third stage: the model and the pulls that do not look like the others.
struct FittedDay {
    std::shared_ptr<const DayModel> model; ///< null: see `whyNot`
    std::vector<PullFlag> flags;           ///< pulls numbered as in the fit
    Statement whyNot;
};
FittedDay fitStage(const FitPlan& plan);

/// Throws DataError (UnknownBuild, BadBand) for settings that do not fit the day.
void checkSettings(const TestDay& day, const AnalysisSettings& settings);

/// The fourth stage: everything that is said of builds and pairs.
DayAnalysis answer(const TestDay& day, const AnalysisSettings& settings, ReducedDay reduced, const FitPlan& plan,
                   const FittedDay& fitted, DrawCache& cache);

} // namespace hillrun
