// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/weather/humid_air.h"

#include "core/errors/data_error.h"
#include "core/units/units.h"

#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr double kDryGasConstant = 287.05287;  // J/(kg K), ISO 2533
constexpr double kVapourGasConstant = 461.523; // J/(kg K)
constexpr double kLapseRate_k_m = 0.0065;      // ISO 2533, below 11 km
constexpr double kSeaLevelTemperature_k = 288.15;
constexpr double kSeaLevelDensity_kg_m3 = 1.225;
constexpr double kGravityExponent = 5.25588; // g/(L R), ISO 2533

[[noreturn]] void impossible(const char* why, std::vector<Argument> holes = {}) {
    throw DataError(Problem::ImpossibleAir, {Statement{why, std::move(holes)}});
}

Number degrees(double value_c) { return significant(value_c, 6, "C"); }

double vapourPressure_pa(const Atmosphere& air) {
    const double value = air.humidity.value;
    if (!std::isfinite(value))
        impossible("air.humidity_no_number");
    switch (air.humidity.kind) {
    case HumidityKind::RelativeHumidity_pct:
        if (value < 0.0 || value > 100.0)
            impossible("air.relative_humidity", {significant(value, 6, "%")});
        return value / 100.0 * saturationPressure_pa(air.temperature_c);
    case HumidityKind::DewPoint_c:
        if (value > air.temperature_c)
            impossible("air.dew_above", {degrees(value), degrees(air.temperature_c)});
        if (value <= -unit::kZeroCelsius_k)
            impossible("air.dew_point", {degrees(value)});
        return saturationPressure_pa(value);
    case HumidityKind::WetBulb_c:
        if (value > air.temperature_c)
            impossible("air.wet_above", {degrees(value), degrees(air.temperature_c)});
        if (value < 0.0)
            impossible("air.wet_iced", {degrees(value)});
        return wetBulbVapourPressure_pa(air.temperature_c, value, air.pressure_pa);
    case HumidityKind::VapourPressure_kpa:
        return value * 1000.0;
    }
    return 0.0;
}

} // namespace

double saturationPressure_pa(double temperature_c) {
    // IAPWS R7-97, region 4, equation 30; coefficients from memory, checked against its table 35.
    constexpr double n[] = {0.0,
                            0.11670521452767e4,
                            -0.72421316703206e6,
                            -0.17073846940092e2,
                            0.12020824702470e5,
                            -0.32325550322333e7,
                            0.14915108613530e2,
                            -0.48232657361591e4,
                            0.40511340542057e6,
                            -0.23855557567849,
                            0.65017534844798e3};
    const double t_k = temperature_c + unit::kZeroCelsius_k;
    const double theta = t_k + n[9] / (t_k - n[10]);
    const double a = theta * theta + n[1] * theta + n[2];
    const double b = n[3] * theta * theta + n[4] * theta + n[5];
    const double c = n[6] * theta * theta + n[7] * theta + n[8];
    const double root = 2.0 * c / (-b + std::sqrt(b * b - 4.0 * a * c));
    return root * root * root * root * 1e6;
}

double wetBulbVapourPressure_pa(double temperature_c, double wetBulb_c, double pressure_pa) {
    const double coefficient_per_k = 6.53e-4 * (1.0 + 0.000944 * wetBulb_c); // WMO-No. 8, Assmann
    return saturationPressure_pa(wetBulb_c) - coefficient_per_k * pressure_pa * (temperature_c - wetBulb_c);
}

double moistDensity_kg_m3(double temperature_c, double dryPressure_pa, double vapourPressure_pa) {
    const double t_k = temperature_c + unit::kZeroCelsius_k;
    return dryPressure_pa / (kDryGasConstant * t_k) + vapourPressure_pa / (kVapourGasConstant * t_k);
}

double densityAltitude_m(double density_kg_m3) {
    const double ratio = density_kg_m3 / kSeaLevelDensity_kg_m3;
    return kSeaLevelTemperature_k / kLapseRate_k_m * (1.0 - std::pow(ratio, 1.0 / (kGravityExponent - 1.0)));
}

HumidAir humidAir(const Atmosphere& air) {
    if (!std::isfinite(air.temperature_c) || !std::isfinite(air.pressure_pa))
        impossible("air.no_number");
    if (air.temperature_c <= -unit::kZeroCelsius_k)
        impossible("air.below_zero", {degrees(air.temperature_c)});
    if (air.temperature_c > 370.0)
        impossible("air.steam", {degrees(air.temperature_c)});
    if (air.pressure_pa <= 0.0)
        impossible("air.pressure", {significant(air.pressure_pa / 1000.0, 6, "kPa")});

    HumidAir out;
    out.temperature_c = air.temperature_c;
    out.pressure_pa = air.pressure_pa;
    out.vapourPressure_pa = vapourPressure_pa(air);
    if (out.vapourPressure_pa < 0.0)
        impossible("air.vapour", {decimals(out.vapourPressure_pa / 1000.0, 3, "kPa")});
    if (out.vapourPressure_pa >= air.pressure_pa)
        impossible("air.vapour_above",
                   {decimals(out.vapourPressure_pa / 1000.0, 3, "kPa"), decimals(air.pressure_pa / 1000.0, 3, "kPa")});
    out.dryPressure_pa = air.pressure_pa - out.vapourPressure_pa;
    out.density_kg_m3 = moistDensity_kg_m3(air.temperature_c, out.dryPressure_pa, out.vapourPressure_pa);
    out.densityAltitude_m = densityAltitude_m(out.density_kg_m3);
    return out;
}

} // namespace hillrun
