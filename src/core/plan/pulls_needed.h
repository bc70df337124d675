// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/day_model.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// Planned pulls as the day's fit will see them, without curves; one time unit a pull. `refits` as `Plan::refits`.
FitInput planInput(const std::vector<std::string>& order, const std::vector<size_t>& refits = {});

/// What an order of pulls can tell about two builds, before anything is measured.
struct PlannedContrast {
    double variance = 0.0;      ///< vc: variance of the difference in units of one pull's
    double refitVariance = 0.0; ///< the same in units of what fitting a build again adds
    int degreesOfFreedom = 0;
    bool driftIdentified = false;
};
/// Nothing when the order does not hold both builds.
std::optional<PlannedContrast> plannedContrast(const std::vector<std::string>& order, const std::string& from,
                                               const std::string& to);

/// Standard deviations that a plan counts on, log scale.
struct PlannedNoise {
    double pull = 0.0;  ///< of one pull
    double refit = 0.0; ///< of what fitting a build again adds; 0: not counted
    /// Degrees of freedom of earlier days that count in where the plan has few of its own, and where it has none.
    int earlier = 0;
    int earlierAlone = 0;
};

/// Chance that the 95 % interval of a band's mean excludes zero when the builds differ by `effect` (0.02 = 2 %). From
/// the non-central t distribution (docs/method.md).
double chanceToSee(const PlannedContrast& contrast, double effect, const PlannedNoise& noise);

/// The smallest difference (0.02 = 2 %) that is seen with a chance of 80 %; nothing without degrees of freedom.
std::optional<double> smallestSeen(const PlannedContrast& contrast, const PlannedNoise& noise);

/// Upper 80 % limit of a standard deviation that was estimated with few degrees of freedom.
double upperLimit80(double sd, int degreesOfFreedom);

/// Pulls a set needed so that the chance is 80 % or more, at most 30; nothing when even these are too few.
/// `setBuilds` is the build of each set ("A", "B", "A").
std::optional<int> pullsPerSetNeeded(const std::vector<std::string>& setBuilds, const std::string& from,
                                     const std::string& to, double effect, const PlannedNoise& noise);

} // namespace hillrun
