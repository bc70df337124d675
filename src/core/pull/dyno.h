// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/statement/statement.h"

namespace hillrun {

/// What reduction needs of the dyno and of what stands on it.
struct Dyno {
    Cell cell{};
    Vehicle vehicle{};
    EngineForAir engine{};
    std::optional<double> engineInertia_kgm2{}; ///< at engine speed
    LossSettings loss{};
};
Dyno dynoOf(const TestDay& day);

/// Where a power is given: where it was measured, or carried to the engine as an estimate.
struct PowerPlace {
    MeasuredAt at = MeasuredAt::Crank;
    bool estimate = false;
    bool operator==(const PowerPlace&) const = default;
};
/// "at the wheel"; "at the crank (estimate)"
Statement placePhrase(const PowerPlace& place);
/// "wheel"; "crank (estimate)"
Statement placeShort(const PowerPlace& place);
/// What is to be said before two figures from these places are held against each other; empty when they agree.
Statement placeWarning(const PowerPlace& one, const PowerPlace& other);

/// Engine speed over the speed of the roller (or of the wheel, when the rollers' own speed is not recorded) in this
/// gear; nothing when the gearing or a radius is not known.
std::optional<double> gearRatio(const Dyno& dyno, int gear, bool ofRoller);
/// Radius in m that turns a road speed into the wheel's speed; nothing when not known.
std::optional<double> wheelRadius_m(const Dyno& dyno);
/// Inertia in kg m2 of wheels and driveline as felt at the roller (or wheel); 0 when not known.
double drivelineInertia_kgm2(const Dyno& dyno, bool atRoller);

} // namespace hillrun
