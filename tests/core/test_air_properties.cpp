// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What must hold for any air and any engine, tried on air drawn at random.

#include "core/errors/data_error.h"
#include "core/weather/air_sheet.h"
#include "core/weather/altitude.h"
#include "english.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <rapidcheck/catch.h>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

double within(double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 100001) / 100000.0; }

Atmosphere anyAir() {
    return {within(-20.0, 45.0), within(62000.0, 108000.0), {HumidityKind::RelativeHumidity_pct, within(0.0, 100.0)}};
}

EngineForAir anyEngine() {
    EngineForAir out;
    out.ignition = *rc::gen::inRange(0, 2) == 0 ? Ignition::Spark : Ignition::Compression;
    out.aspiration = static_cast<Aspiration>(*rc::gen::inRange(0, 3));
    out.boostSchool = static_cast<BoostSchool>(*rc::gen::inRange(0, 4));
    out.boostHeldAbsolute = *rc::gen::inRange(0, 2) == 1;
    out.chargeCooling = static_cast<ChargeCooling>(*rc::gen::inRange(0, 3));
    out.fuel_mg_per_litre_cycle = within(20.0, 140.0);
    out.boostPressureRatio = within(1.0, 3.0);
    return out;
}

Standard anyStandard() { return standards()[static_cast<size_t>(*rc::gen::inRange(0, 8))].id; }

} // namespace

TEST_CASE("thinner, warmer or damper air never asks for a smaller factor") {
    rc::prop("monotonic", [] {
        const Standard standard = anyStandard();
        const EngineForAir engine = anyEngine();
        const Atmosphere now = anyAir();
        const double factor = airFactor(standard, humidAir(now), engine).factor;
        const auto moved = [&](double warmer, double lower_pa, double damper_pct) {
            Atmosphere other = now;
            const double vapour = humidAir(now).vapourPressure_pa;
            other.temperature_c += warmer;
            other.pressure_pa -= lower_pa;
            other.humidity = {HumidityKind::VapourPressure_kpa, (vapour + damper_pct * 10.0) / 1000.0};
            return airFactor(standard, humidAir(other), engine).factor;
        };
        constexpr double slack = 1e-12;
        RC_ASSERT(moved(3.0, 0.0, 0.0) >= factor - slack);
        RC_ASSERT(moved(0.0, 900.0, 0.0) >= factor - slack);
        RC_ASSERT(moved(0.0, 0.0, 5.0) >= factor - slack);
    });
}

TEST_CASE("the terms of any factor add up to it") {
    rc::prop("additive", [] {
        const Standard standard = anyStandard();
        const EngineForAir engine = anyEngine();
        const HumidAir air = humidAir(anyAir());
        const AirTerms terms = airTerms(standard, air, engine);
        const double whole = 100.0 * (airFactor(standard, air, engine).factor - 1.0);
        const double sum = terms.pressure_pct + terms.humidity_pct + terms.temperature_pct;
        RC_ASSERT(std::abs(sum - whole) < 1e-8 * (1.0 + std::abs(whole)));
    });
}

TEST_CASE("the sheet agrees with each standard by itself") {
    rc::prop("agrees", [] {
        const EngineForAir engine = anyEngine();
        const HumidAir air = humidAir(anyAir());
        for (const AirRow& row : airSheet(air, engine, std::nullopt)) {
            RC_ASSERT(row.factor.has_value());
            RC_ASSERT(*row.factor == airFactor(row.id, air, engine));
        }
    });
}

TEST_CASE("going up from an altimeter setting and back by pressure altitude closes") {
    rc::prop("closes", [] {
        const double setting = within(95000.0, 105000.0);
        const double altitude = within(-300.0, 4000.0);
        const double station = stationPressure_pa(setting, altitude);
        // The setting is the pressure altitude that the station's lies above sea level, whatever the height.
        RC_ASSERT(std::abs(pressureAltitude_m(station) - altitude - pressureAltitude_m(setting)) < 0.05);
        RC_ASSERT((station < setting) == (altitude > 0.0) || std::abs(altitude) < 1e-6);
    });
}

TEST_CASE("a station's own pressure is not questioned, a sea-level figure is") {
    rc::prop("questioned", [] {
        const double altitude = within(400.0, 3000.0);
        const double weather = within(0.985, 1.012); // a low and a high
        RC_ASSERT(inEnglish(seaLevelWarning(weather * standardPressure_pa(altitude) / 1000.0, altitude)).empty());
        RC_ASSERT(!inEnglish(seaLevelWarning(within(0.995, 1.03) * 101.325, altitude)).empty());
    });
}

TEST_CASE("air that cannot be is refused with its figures in kPa") {
    Atmosphere air;
    air.temperature_c = 90.0;
    air.pressure_pa = 60000.0;
    air.humidity = {HumidityKind::RelativeHumidity_pct, 100.0}; // 70.1 kPa of vapour (steam tables) in 60 kPa of air
    std::string words;
    try {
        (void)humidAir(air);
    } catch (const DataError& error) {
        words = inEnglish(error);
    }
    INFO(words);
    CHECK(words.find("a vapour pressure of 70.") != std::string::npos);
    CHECK(words.find("is not below the 60.000 kPa of the whole air") != std::string::npos);
}
