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

/// How raw pulls become curves.
struct ReduceSettings {
    Standard standard = Standard::SaeJ1349;
    double smoothing_rpm = 100.0; ///< full width at half height of the local regression's weight
    double grid_rpm = 50.0;
    bool operator==(const ReduceSettings&) const = default;
};

/// A value and the engine speed it belongs to.
struct Peak {
    double value = 0.0;
    double rpm = 0.0;
    bool atEnd = false; ///< still rising where the range ends: the true peak may lie beyond
    bool operator==(const Peak&) const = default;
};

/// Something seen on a curve.
struct Event {
    std::string kind;
    RpmRange range_rpm;
    double from_s = 0.0;
    double to_s = 0.0;
    double size = 0.0;
    std::string why;
    bool operator==(const Event&) const = default;
};

/// A pull, corrected and smoothed, on a common grid. Grid points are whole multiples of the step.
struct Curve {
    std::string pullId;
    std::vector<double> rpm;
    std::vector<double> torque_nm;                       ///< corrected
    std::vector<double> power_w;                         ///< corrected
    std::map<std::string, std::vector<double>> channels; ///< every other channel, as in the pull file
    AirFactor air;                                       ///< with measured friction: the mean over the curve
    HumidAir airState;
    bool weatherKnown = false;
    Sweep sweep;
    Peak peakPower_w;
    Peak peakTorque_nm;
    PowerPlace place;                          ///< where the power is given
    std::vector<double> loss_w;                ///< added to what was measured; empty when nothing was
    double roughness_pct = 0.0;                ///< rms distance from the same curve smoothed over 400 rpm
    std::vector<HeldStep> steps;               ///< the held speeds it runs through; empty for a sweep
    std::shared_ptr<const PullSignals> source; ///< what it was made of, row by row
    std::vector<Event> events;
};

/// Corrects and smooths one pull from any kind of dyno. With a loss curve of the day (coast-down) or a fixed percentage
/// the power is carried to the crank or hub, as an estimate. Pure.
/// Throws DataError: no speed or torque, no sweep or too few held speeds, a speed no engine has, rollers of unknown
/// inertia, impossible air, no weather for a corrected standard.
Curve reduce(const Pull& pull, const Dyno& dyno, const ReduceSettings& settings,
             const std::optional<LossCurve>& loss = std::nullopt);
/// The same from signals that are already made.
Curve reduce(const Pull& pull, const Dyno& dyno, const ReduceSettings& settings, const std::optional<LossCurve>& loss,
             std::shared_ptr<const PullSignals> source);

/// Sweep or held steps of a pull, as the cell makes them.
Sweep findSweep(const PullSignals& source, const Cell& cell, const std::optional<RpmRange>& byHand);

/// Peak of a curve: the top of a parabola through the points within 150 rpm of the highest one. NaN points are left
/// out.
Peak findPeak(std::span<const double> rpm, std::span<const double> values);

} // namespace hillrun
