// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/weather/altitude.h"

#include "core/errors/data_error.h"

#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

// ISO 2533, below 11 km.
constexpr double kSeaLevelPressure_pa = 101325.0;
constexpr double kLapsePerKelvin = 0.0065 / 288.15; ///< 1/m
constexpr double kExponent = 5.25588;

} // namespace

double standardPressure_pa(double altitude_m) {
    return kSeaLevelPressure_pa * std::pow(1.0 - kLapsePerKelvin * altitude_m, kExponent);
}

double pressureAltitude_m(double pressure_pa) {
    return (1.0 - std::pow(pressure_pa / kSeaLevelPressure_pa, 1.0 / kExponent)) / kLapsePerKelvin;
}

double stationPressure_pa(double altimeterSetting_pa, double altitude_m) {
    constexpr double n = 1.0 / kExponent;
    const double term =
        std::pow(altimeterSetting_pa, n) - std::pow(kSeaLevelPressure_pa, n) * kLapsePerKelvin * altitude_m;
    if (!(altimeterSetting_pa > 0.0) || !std::isfinite(altitude_m) || !(term > 0.0))
        throw DataError(Problem::ImpossibleAir,
                        {Statement{"air.altimeter",
                                   {decimals(altimeterSetting_pa / 1000.0, 2, "kPa"), decimals(altitude_m, 0, "m")}}});
    return std::pow(term, kExponent);
}

Statement seaLevelWarning(double pressure_kpa, std::optional<double> altitude_m) {
    if (!altitude_m || *altitude_m < 150.0)
        return {};
    const double usual = standardPressure_pa(*altitude_m) / 1000.0; // weather moves it by some 3 % at most
    const double nearerSeaLevel = 0.5 * (usual + 101.325);
    if (pressure_kpa < std::max(nearerSeaLevel, usual + 1.5))
        return {};
    return {"air.sea_level",
            {decimals(pressure_kpa, 1, "kPa"), decimals(*altitude_m, 0, "m"), decimals(usual, 1, "kPa")}};
}

} // namespace hillrun
