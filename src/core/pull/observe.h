// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/coast_down.h"
#include "core/pull/held_steps.h"
#include "core/pull/pull_signals.h"
#include "core/pull/sweep.h"

#include <map>
#include <memory>
#include <string>
#include <vector>

namespace hillrun {

/// The grid of engine speed that pulls are put on.
struct GridSettings {
    double smoothing_rpm = 100.0; ///< full width at half height of the local regression's weight
    double step_rpm = 50.0;
    bool operator==(const GridSettings&) const = default;
};

/// How much a channel scatters and how long it stands still in the sweep of one pull.
struct ChannelTrait {
    double noise = 0.0;
    size_t longestStill = 0; ///< rows
};
using ChannelTraits = std::map<std::string, ChannelTrait>;

/// What a pull shows before anything is said about air, losses or other pulls. Grid points are whole multiples of the
/// step.
struct Observed {
    PullSignals recorded; ///< row by row
    Sweep sweep;
    std::vector<HeldStep> steps; ///< the held speeds it runs through; empty for a sweep
    std::vector<double> rpm;
    std::vector<double> torque_nm;
    std::vector<double> driven_rad_s; ///< empty when not recorded
    double slowestDriven_rad_s = 0.0; ///< at the ends of the sweep; 0 when not recorded
    double fastestDriven_rad_s = 0.0;
    std::map<std::string, std::vector<double>> channels; ///< every other channel, as in the pull file
    ChannelTraits traits;                                ///< of the rows of the sweep
    CoastDown coast;                                     ///< what the rollers did afterwards
};

/// The multiples of the step inside a range.
std::vector<double> gridIn(const RpmRange& window, double step_rpm);

/// Finds the sweep of one pull from any kind of dyno and puts every channel on the grid. Pure.
/// Throws DataError: no speed or torque, no sweep or too few held speeds, a speed no engine has, rollers of unknown
/// inertia.
Observed observe(const Pull& pull, const Dyno& dyno, const GridSettings& grid);

/// The same without its rows, for days too large to hold; what was concluded from them stays.
Observed withoutRows(Observed seen);

} // namespace hillrun
