// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/weather/air_terms.h"

#include "core/errors/data_error.h"

#include <algorithm>
#include <array>
#include <limits>

namespace hillrun {
namespace {

HumidAir airOf(double temperature_c, double pressure_pa, double vapour_pa) {
    HumidAir air;
    air.temperature_c = temperature_c;
    air.pressure_pa = pressure_pa;
    air.vapourPressure_pa = vapour_pa;
    air.dryPressure_pa = pressure_pa - vapour_pa;
    return air;
}

double relativeHumidity_pct(const HumidAir& air) {
    return 100.0 * air.vapourPressure_pa / saturationPressure_pa(air.temperature_c);
}

Atmosphere moved(const HumidAir& air, AirInput input, double value) {
    Atmosphere out{air.temperature_c, air.pressure_pa, {HumidityKind::RelativeHumidity_pct, relativeHumidity_pct(air)}};
    if (input == AirInput::Temperature_c)
        out.temperature_c = value;
    else if (input == AirInput::Pressure_kpa)
        out.pressure_pa = value * 1000.0;
    else
        out.humidity.value = value;
    return out;
}

} // namespace

AirTerms airTerms(Standard standard, const HumidAir& air, const EngineForAir& engine) {
    const StandardInfo& info = standardInfo(standard);
    if (!(info.referencePressure_pa > 0.0))
        return {};
    // Moved one after the other: pressure, vapour, temperature. The reference of 99 kPa dry is 100 kPa with 1 kPa of
    // vapour in the texts that name both; the other standards name no vapour.
    const double vapour_pa = info.referenceIsDry && info.referencePressure_pa == 99000.0 ? 1000.0 : 0.0;
    const std::array<double, 3> reference{info.referencePressure_pa + vapour_pa, vapour_pa,
                                          info.referenceTemperature_c};
    const std::array<double, 3> today{air.pressure_pa, air.vapourPressure_pa, air.temperature_c};
    std::array<double, 3> sum{};
    std::array<size_t, 3> order{0, 1, 2};
    do {
        std::array<double, 3> now = reference;
        double last = airFactor(standard, airOf(now[2], now[0], now[1]), engine).factor;
        for (const size_t quantity : order) {
            now[quantity] = today[quantity];
            const double next = airFactor(standard, airOf(now[2], now[0], now[1]), engine).factor;
            sum[quantity] += 100.0 * (next - last) / 6.0;
            last = next;
        }
    } while (std::next_permutation(order.begin(), order.end()));
    return {sum[0], sum[1], sum[2]};
}

AirSensitivity airSensitivity(Standard standard, const Atmosphere& atmosphere, const EngineForAir& engine) {
    const HumidAir air = humidAir(atmosphere);
    const double now = airFactor(standard, air, engine).factor;
    // Only the one reading is wrong: the vapour pressure stays where another quantity moves.
    const auto change = [&](const HumidAir& other) {
        return 100.0 * (airFactor(standard, other, engine).factor / now - 1.0);
    };
    const double saturation = saturationPressure_pa(air.temperature_c);
    return {change(airOf(air.temperature_c + 1.0, air.pressure_pa, air.vapourPressure_pa)),
            change(airOf(air.temperature_c, air.pressure_pa + 1000.0, air.vapourPressure_pa)),
            change(airOf(air.temperature_c, air.pressure_pa, air.vapourPressure_pa + 0.1 * saturation))};
}

std::vector<double> factorAlong(Standard standard, const Atmosphere& atmosphere, const EngineForAir& engine,
                                AirInput input, std::span<const double> at) {
    const HumidAir air = humidAir(atmosphere);
    std::vector<double> out;
    for (const double value : at) {
        try {
            out.push_back(airFactor(standard, humidAir(moved(air, input, value)), engine).factor);
        } catch (const DataError&) { // air that cannot be leaves a gap in the line
            out.push_back(std::numeric_limits<double>::quiet_NaN());
        }
    }
    return out;
}

} // namespace hillrun
