// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/pull_signals.h"
#include "core/pull/sweep.h"
#include "core/statement/statement.h"

namespace hillrun {

/// Torque in N.m that tyres, bearings and driveline take at each speed in rad/s of the rollers while they run down with
/// the engine uncoupled.
struct CoastDown {
    std::vector<double> driven_rad_s;
    std::vector<double> torque_nm;
    Statement whyNot; ///< why there is none; empty when there is one
    [[nodiscard]] bool usable() const { return whyNot.empty(); }
};

/// Looks for a coast-down after the sweep: closed throttle, falling roller speed for 2 s or more, the engine uncoupled
/// (its ratio to the rollers leaves that of the sweep, or there is no engine speed to tell).
CoastDown findCoastDown(const ChannelTable& raw, const PullSignals& source, const Sweep& sweep, const Dyno& dyno);

/// Losses between the engine and where power is measured: constant + linear + quadratic in the roller's speed.
struct LossCurve {
    double constant_nm = 0.0;
    double linear_nm_s = 0.0;
    double quadratic_nm_s2 = 0.0;
    double rms_nm = 0.0;        ///< of the fit
    double slowest_rad_s = 0.0; ///< range of speeds it was fitted to
    double fastest_rad_s = 0.0;
    size_t pulls = 0;
    bool operator==(const LossCurve&) const = default;
    [[nodiscard]] double torque_nm(double driven_rad_s) const {
        return constant_nm + driven_rad_s * (linear_nm_s + driven_rad_s * quadratic_nm_s2);
    }
    [[nodiscard]] double power_w(double driven_rad_s) const { return torque_nm(driven_rad_s) * driven_rad_s; }
};
/// One curve through all of a day's coast-downs, by least squares, so that the estimate moves no pull against another.
/// Nothing when none is usable.
std::optional<LossCurve> fitLoss(std::span<const CoastDown> coastDowns);

} // namespace hillrun
