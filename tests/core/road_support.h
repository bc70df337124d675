// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/road/road_run.h"

#include <cmath>

namespace hillrun::test {

/// A light buggy in five gears. No load moves between its axles, and nothing that turns is sped up.
inline RoadVehicle plainBuggy() {
    RoadVehicle out;
    out.mass_kg = 690.0;
    out.tyreRadius_m = 0.29;
    out.finalDrive = 4.1;
    out.gears = {3.4, 2.05, 1.36, 1.03, 0.84};
    out.dragArea_m2 = 0.85;
    out.rollingResistance = 0.018;
    out.tyreGrip = 1.05;
    out.efficiency = 0.9;
    out.shiftTime_s = 0.35;
    out.launch_rpm = 4200.0;
    return out;
}

/// The same with all that a vehicle has.
inline RoadVehicle buggy() {
    RoadVehicle out = plainBuggy();
    out.wheelbase_m = 2.05;
    out.centreOfMassHeight_m = 0.45;
    out.frontShare = 0.42;
    out.engineInertia_kgm2 = 0.12;
    out.drivelineInertia_kgm2 = 1.5;
    return out;
}

/// A curve with a hump, as engines have.
inline EngineCurve hump() {
    EngineCurve out;
    for (double rpm = 2000.0; rpm <= 7000.0; rpm += 50.0) {
        out.rpm.push_back(rpm);
        out.torque_nm.push_back(120.0 - 45.0 * std::pow((rpm - 4600.0) / 2600.0, 2));
    }
    return out;
}

} // namespace hillrun::test
