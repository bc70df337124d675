// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/statement/statement.h"

#include <span>
#include <vector>

namespace hillrun {

enum class TrimReason { BeforeSweep, UnsettledStart, ThrottleLift, Limiter, EndOfSweep, ByHand, BetweenSteps, TimeGap };

/// A stretch of a pull that does not count, and why.
struct Trim {
    double from_s = 0.0;
    double to_s = 0.0;
    TrimReason reason = TrimReason::BeforeSweep;
    bool operator==(const Trim&) const = default;
};

/// The part of a pull that counts.
struct Sweep {
    size_t first = 0; ///< rows first..last count
    size_t last = 0;
    RpmRange window_rpm;     ///< speed range that counts
    RpmRange whole_rpm;      ///< speed range of the whole sweep, how far a window may be dragged
    std::vector<Trim> trims; ///< in time order
};

/// Raw signals of one pull, equal lengths. `throttle_pct` may be empty.
struct SweepSignals {
    std::span<const double> time_s;
    std::span<const double> speed_rpm;
    std::span<const double> torque_nm;
    std::span<const double> throttle_pct;
};

/// Finds the full-throttle sweep: settled start, end before the lift or limiter. A window set by hand replaces the
/// found one but stays inside the sweep. A sweep never goes across a gap in time: the longer part counts. Thresholds:
/// common practice, checked on simulated pulls. Throws DataError (TooFewSamples, NoRisingSpeed, TimeRunsBack).
Sweep findSweep(const SweepSignals& recorded, SweepDirection direction, const std::optional<RpmRange>& byHand);

/// "throttle lift"
Statement trimReasonPhrase(TrimReason reason);

} // namespace hillrun
