// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

namespace hillrun {

enum class HumidityKind { RelativeHumidity_pct, DewPoint_c, WetBulb_c, VapourPressure_kpa };

/// The moisture as it was measured; the kind says what the value is.
struct Humidity {
    HumidityKind kind = HumidityKind::RelativeHumidity_pct;
    double value = 0.0;
    bool operator==(const Humidity&) const = default;
};

/// Weather at the engine's intake as it was measured.
struct Atmosphere {
    double temperature_c = 25.0;
    double pressure_pa = 100000.0; ///< station pressure, not reduced to sea level
    Humidity humidity;
    bool operator==(const Atmosphere&) const = default;
};

/// The same air in the quantities the formulas need.
struct HumidAir {
    double temperature_c = 0.0;
    double pressure_pa = 0.0;
    double vapourPressure_pa = 0.0;
    double dryPressure_pa = 0.0;
    double density_kg_m3 = 0.0;
    double densityAltitude_m = 0.0; ///< in the ISO 2533 atmosphere, from the moist density
};

/// Saturation vapour pressure over water in Pa at a temperature in C; IAPWS-IF97 region 4, extended below 0 C.
double saturationPressure_pa(double temperature_c);
/// Psychrometer after WMO-No. 8 (Assmann, ventilated): vapour pressure in Pa; needs a wet bulb that is not iced.
double wetBulbVapourPressure_pa(double temperature_c, double wetBulb_c, double pressure_pa);
/// Density of moist air as an ideal mixture, dry gas constant of ISO 2533.
double moistDensity_kg_m3(double temperature_c, double dryPressure_pa, double vapourPressure_pa);
/// Geopotential altitude in m of a density in the ISO 2533 atmosphere (below 11 km).
double densityAltitude_m(double density_kg_m3);

/// Works out moisture, density and density altitude. Throws DataError (ImpossibleAir) for air that cannot be.
HumidAir humidAir(const Atmosphere& atmosphere);

} // namespace hillrun
