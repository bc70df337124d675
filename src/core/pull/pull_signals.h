// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/rows.h"
#include "core/pull/dyno.h"

namespace hillrun {

/// What a curve is made of, one value a raw row: engine speed, and the torque the engine would give at the measuring
/// place if it did not speed up. Before the air factor and before any smoothing.
struct PullSignals {
    Rows time_s;
    Rows speed_rpm;
    Rows torque_nm;    ///< referred to engine speed
    Rows throttle_pct; ///< empty when not recorded
    Rows driven_rad_s; ///< roller, else wheel; empty when not recorded
    bool drivenIsRoller = false;
    bool torqueFromRollers = false; ///< measured by their own speeding up
    bool drivenScaleKnown = true;   ///< false: a road speed without a tyre radius; only good for relative changes
    std::optional<double> ratio;    ///< engine over driven speed, median over the rows with load
    double differentiation_s = 0.0; ///< width of the differentiation; 0 when none was needed
    double differentiation_hz = 0.0;
    std::vector<Statement> basis; ///< how speed and torque were got; empty for a plain brake
    [[nodiscard]] size_t rows() const { return time_s.size(); }
};

/// Brakes: the torque channel, or power over speed. Inertia rollers: I w dw/dt, and the retarder's torque where there
/// is one. Engine and driveline inertia are added where they are given. Engine speed: its channel, or the driven speed
/// times the ratio (by hand, or from gear and tyre).
/// Throws DataError (NoTimeChannel, NoSpeedChannel, NoTorqueChannel, NoRollerInertia, TooFewSamples, TimeRunsBack).
PullSignals pullSignals(const Pull& pull, const Dyno& dyno);

} // namespace hillrun
