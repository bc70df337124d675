// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

enum class DrivenAxle { Front, Rear, All };

/// What the article's engine moves, as far as it is known.
struct Vehicle {
    std::optional<double> mass_kg{};
    std::optional<double> tyreRadius_m{};
    std::optional<double> finalDrive{};
    std::vector<double> gears{};
    std::optional<double> speedLimit_kmh{};
    std::optional<double> tyreLimit_kmh{};
    std::optional<double> drivelineInertia_kgm2{}; ///< wheels and driveline, at wheel speed
    std::optional<double> driverMass_kg{};
    std::optional<double> dragArea_m2{};
    std::optional<double> rollingResistance{};
    std::optional<DrivenAxle> drivenAxle{};
    std::optional<double> wheelbase_m{};
    std::optional<double> centreOfMassHeight_m{};
    std::optional<double> frontShare{}; ///< of the weight, standing
    std::optional<double> tyreGrip{};   ///< friction coefficient
    std::optional<double> drivelineEfficiency{};
    std::optional<double> shiftTime_s{};
    std::optional<double> launch_rpm{}; ///< a slipping clutch holds the engine there
    /// A torque converter in place of the clutch: where it holds the engine while the vehicle stands, and its torque
    /// out over in there.
    std::optional<double> converterStall_rpm{};
    std::optional<double> converterTorqueRatio{};
    std::vector<double> shift_rpm{}; ///< one fewer than gears; empty: the best
    std::string unknownKeys{};
    bool operator==(const Vehicle&) const = default;
};

} // namespace hillrun
