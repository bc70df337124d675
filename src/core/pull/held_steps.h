// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/sweep.h"

namespace hillrun {

/// One engine speed held at full load, after it settled.
struct HeldStep {
    size_t first = 0; ///< rows first..last count
    size_t last = 0;
    double rpm = 0.0;         ///< mean
    double torque_nm = 0.0;   ///< mean
    double torqueSd_nm = 0.0; ///< of the mean, from the scatter of its quarter means
};

/// The steps of a pull in held steps, by rising speed. The first half second of each hold, and as long as the torque
/// still moves, is left out. Throws DataError (TooFewSteps) for fewer than four.
std::vector<HeldStep> findHeldSteps(const SweepSignals& recorded);

/// The sweep that the steps are, with everything between and around them as trims.
Sweep sweepOfSteps(const SweepSignals& recorded, std::vector<HeldStep>& steps, const std::optional<RpmRange>& byHand);

/// A smooth line through the steps' means (modified Akima) at rising speeds; flat for 6 rpm beyond its ends, then NaN.
std::vector<double> throughSteps(std::span<const double> rpm, std::span<const double> values,
                                 std::span<const double> at);

} // namespace hillrun
