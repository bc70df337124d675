// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/vehicle.h"

#include <optional>
#include <vector>

namespace hillrun {

/// Torque of an engine at full load. Below its first speed the torque there, above its last none.
struct EngineCurve {
    std::vector<double> rpm; ///< rising
    std::vector<double> torque_nm;
    [[nodiscard]] double at(double rpm) const;
    [[nodiscard]] double end_rpm() const { return rpm.back(); }
    /// All torques times so much.
    [[nodiscard]] EngineCurve times(double factor) const;
};

/// What moves, in SI units, with everything known or taken.
struct RoadVehicle {
    double mass_kg = 0.0; ///< with its driver
    double tyreRadius_m = 0.0;
    double finalDrive = 1.0;
    std::vector<double> gears; ///< falling ratios
    double dragArea_m2 = 0.0;
    double rollingResistance = 0.0;
    DrivenAxle driven = DrivenAxle::Rear;
    double wheelbase_m = 0.0; ///< 0: no load is shifted between the axles
    double centreOfMassHeight_m = 0.0;
    double frontShare = 0.5; ///< of the weight, standing
    double tyreGrip = 0.0;   ///< friction coefficient
    double efficiency = 1.0; ///< of the driveline between where torque was measured and the wheels
    double shiftTime_s = 0.0;
    double launch_rpm = 0.0;           ///< held by a slipping clutch, or by a converter at its stall
    double converterTorqueRatio = 0.0; ///< torque out over in at stall; 0: a clutch
    double engineInertia_kgm2 = 0.0;
    double drivelineInertia_kgm2 = 0.0; ///< at wheel speed
    std::vector<double> shift_rpm;      ///< one fewer than gears; empty: the best

    [[nodiscard]] double ratio(size_t gear) const { return gears[gear] * finalDrive; }
    /// Engine speed at a road speed with the clutch closed, and back.
    [[nodiscard]] double rpmAt(double speed_ms, size_t gear) const;
    [[nodiscard]] double speedAt(double rpm, size_t gear) const;
};

/// The road under the wheels, and the air.
struct RoadState {
    double gradient = 0.0; ///< rise over run
    double airDensity_kg_m3 = 1.2;
};

/// Force at the driven tyres in a gear at full load, bounded by their grip; with a slipping clutch or a converter at
/// `launch_rpm` as long as the gearbox turns more slowly. A converter multiplies torque by its ratio at stall, falling
/// in a straight line to one where the gearbox turns nine tenths as fast (common practice); it locks at its stall
/// speed.
double tractiveForce_n(const RoadVehicle& vehicle, const EngineCurve& engine, size_t gear, double speed_ms,
                       const RoadState& road);
/// Rolling resistance, air and gradient.
double resistance_n(const RoadVehicle& vehicle, double speed_ms, const RoadState& road);
/// The mass that must be sped up: with what turns.
double movedMass_kg(const RoadVehicle& vehicle, size_t gear, double speed_ms);
double acceleration_ms2(const RoadVehicle& vehicle, const EngineCurve& engine, size_t gear, double speed_ms,
                        const RoadState& road);
/// The gear that pulls hardest at this speed, within the engine's range.
size_t bestGear(const RoadVehicle& vehicle, const EngineCurve& engine, double speed_ms, const RoadState& road);

/// The engine speed at which to leave each gear: where the next one pulls as hard from then on, at most the end of the
/// curve. One fewer than gears.
std::vector<double> bestShifts_rpm(const RoadVehicle& vehicle, const EngineCurve& engine, const RoadState& road);

/// The highest speed that can be held on this road, and its gear; nothing when not even the first gear moves it.
struct TopSpeed {
    double speed_ms = 0.0;
    size_t gear = 0;
};
std::optional<TopSpeed> topSpeed(const RoadVehicle& vehicle, const EngineCurve& engine, const RoadState& road);

} // namespace hillrun
