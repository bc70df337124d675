// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/sweep.h"

#include <map>
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

/// Something seen on a curve. A later issue fills in more kinds.
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
    AirFactor air;
    HumidAir airState;
    bool weatherKnown = false;
    Sweep sweep;
    Peak peakPower_w;
    Peak peakTorque_nm;
    std::vector<Event> events;
};

/// Corrects and smooths one pull measured at a torque brake (engine, hub or chassis). Pure.
/// Throws DataError: no speed or torque, no sweep, impossible air, no weather for a corrected standard.
Curve reduce(const Pull& pull, const Cell& cell, const EngineForAir& engine, const ReduceSettings& settings);

/// Peak of a curve: the top of a parabola through the points within 150 rpm of the highest one. NaN points are left
/// out.
Peak findPeak(std::span<const double> rpm, std::span<const double> values);

/// Torque in N.m of each raw row: the torque channel, or power over speed. Throws DataError (NoTorqueChannel).
std::vector<double> rawTorque_nm(const ChannelTable& raw);

} // namespace hillrun
