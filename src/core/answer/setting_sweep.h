// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/part_sets.h"
#include "core/answer/setting_response.h"
#include "core/answer/use.h"

#include <optional>
#include <vector>

// One setting run in steps: which is best, what each step gives away, what one step more may give. Method:
// docs/method.md.

namespace hillrun {

/// One step that was run.
struct SweepLevel {
    double value = 0.0;         ///< in the setting's own unit
    std::vector<size_t> builds; ///< that were run with it
    double fitted = 0.0;        ///< log power for the use against the lowest step's, each step by itself
    double half = 0.0;          ///< of it, 95 %, of this step alone
    double costsAtMost = 0.0;   ///< log, against the best, 95 %
};

/// The best setting at one speed, of pulls within a few hundred rpm of it.
struct BestAtRpm {
    double rpm = 0.0;
    double value = 0.0;
    double low = 0.0; ///< 95 %, of this speed alone
    double high = 0.0;
};

struct SettingSweep {
    SweptSetting setting;
    std::vector<SweepLevel> levels; ///< rising
    std::vector<double> value;      ///< along the tested range
    std::vector<double> gain;       ///< log power for the use against the lowest step's, expected
    std::vector<double> low;        ///< 95 %, of each point alone
    std::vector<double> high;
    double base_w = 0.0; ///< power for the use at the lowest step
    BestSetting best;    ///< its settings in the setting's own unit
    /// Nothing can be said of the best: it may lie anywhere in the range.
    bool anywhere = false;
    std::optional<RpmRange> flatTop; ///< settings proven to give away no more than half a per cent
    std::vector<BestAtRpm> byRpm;
    std::optional<double> oneMoreStep; ///< log: a step beyond the top, as wide as the last, gives at most
    bool driftTaken = false;           ///< without a return the slope cannot be told from drift: nothing may be claimed
};

/// `values` has one entry a pull: log power for the use. Nothing when the pulls leave no degree of freedom.
std::optional<SettingSweep> sweepOf(const DayModel& model, const SweptSetting& setting, const Eigen::VectorXd& values,
                                    const DriftSettings& drift);

} // namespace hillrun
