// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/event_kind.h"
#include "core/pull/observe.h"
#include "core/statement/statement.h"

#include <memory>
#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// How raw pulls become curves.
struct ReduceSettings {
    Standard standard = Standard::SaeJ1349;
    double smoothing_rpm = 100.0; ///< full width at half height of the local regression's weight
    double grid_rpm = 50.0;
    [[nodiscard]] GridSettings grid() const { return {smoothing_rpm, grid_rpm}; }
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
    EventKind kind = EventKind::Dip;
    RpmRange range_rpm;
    double from_s = 0.0;
    double to_s = 0.0;
    double size = 0.0;
    Statement why;
    bool operator==(const Event&) const = default;
};

/// A pull, corrected and smoothed, on the grid it was observed on.
struct Curve {
    std::string pullId;
    std::vector<double> rpm;
    std::vector<double> torque_nm; ///< corrected
    std::vector<double> power_w;   ///< corrected
    AirFactor air;                 ///< with measured friction: the mean over the curve
    HumidAir airState;
    bool weatherKnown = false;
    Peak peakPower_w;
    Peak peakTorque_nm;
    PowerPlace place;                     ///< where the power is given
    std::vector<double> loss_w;           ///< added to what was measured; empty when nothing was
    double roughness_pct = 0.0;           ///< rms distance from the same curve smoothed over 400 rpm
    std::shared_ptr<const Observed> seen; ///< what it was made of

    [[nodiscard]] const PullSignals& source() const { return seen->recorded; }
    [[nodiscard]] const Sweep& sweep() const { return seen->sweep; }
    [[nodiscard]] const std::vector<HeldStep>& steps() const { return seen->steps; }
    [[nodiscard]] const std::map<std::string, std::vector<double>>& channels() const { return seen->channels; }
};

/// Corrects what was observed to the standard's air. With a loss curve of the day (coast-down) or a fixed percentage
/// the power is carried to the crank or hub, as an estimate. Pure.
/// Throws DataError: impossible air, no weather for a corrected standard.
Curve correct(std::shared_ptr<const Observed> seen, const Pull& pull, const Dyno& dyno, Standard standard,
              const std::optional<LossCurve>& loss = std::nullopt);

/// Both steps for one pull. Throws what `observe` and `correct` throw.
Curve reduce(const Pull& pull, const Dyno& dyno, const ReduceSettings& settings,
             const std::optional<LossCurve>& loss = std::nullopt);

/// Peak of a curve: the top of a parabola through the points within 150 rpm of the highest one. NaN points are left
/// out.
Peak findPeak(std::span<const double> rpm, std::span<const double> values);

} // namespace hillrun
