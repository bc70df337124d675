// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/weather/standards.h"

#include <vector>

namespace hillrun {

/// What each measured quantity does to a factor, in per cent of power. The three add up to the factor minus one: each
/// is its mean step over all orders in which the three can be moved from the standard's reference to today (a Shapley
/// value), because no order is better than another.
struct AirTerms {
    double pressure_pct = 0.0;
    double humidity_pct = 0.0;
    double temperature_pct = 0.0;
    bool operator==(const AirTerms&) const = default;
};
/// Throws what `airFactor` throws.
AirTerms airTerms(Standard standard, const HumidAir& air, const EngineForAir& engine);

/// How far the factor moves, in per cent of power, when one reading is off by one unit and the others are right.
struct AirSensitivity {
    double perKelvin_pct = 0.0;
    double perKilopascal_pct = 0.0;
    double perTenPercentHumidity_pct = 0.0;
};
AirSensitivity airSensitivity(Standard standard, const Atmosphere& atmosphere, const EngineForAir& engine);

enum class AirInput { Temperature_c, Pressure_kpa, Humidity_pct };
/// The factor along one input, the others as they are. NaN where the air cannot be or no factor is given.
std::vector<double> factorAlong(Standard standard, const Atmosphere& atmosphere, const EngineForAir& engine,
                                AirInput input, std::span<const double> at);

} // namespace hillrun
