// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Schools for boosted engines, measured friction, and what each term contributes: identities and arithmetic on the
// printed formulas.

#include "core/errors/data_error.h"
#include "core/weather/air_sheet.h"
#include "english.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

const HumidAir kAir = humidAir({31.0, 95200.0, {HumidityKind::RelativeHumidity_pct, 55.0}});
constexpr Standard kIsoFamily[] = {Standard::Iso1585, Standard::EceR85, Standard::JisD1001, Standard::Iso15550};

EngineForAir boosted(BoostSchool school) {
    EngineForAir out;
    out.aspiration = Aspiration::Turbocharged;
    out.boostSchool = school;
    return out;
}

double factor(Standard standard, const EngineForAir& engine) { return airFactor(standard, kAir, engine).factor; }

} // namespace

TEST_CASE("a boosted engine is corrected by the school of the day") {
    for (const StandardInfo& info : standards()) {
        INFO(info.name);
        const double natural = factor(info.id, {});
        CHECK(factor(info.id, boosted(BoostSchool::FullFactor)) == natural);
        CHECK(factor(info.id, boosted(BoostSchool::StandardsRule)) == natural); // boost not held: every rule is full
        CHECK(factor(info.id, boosted(BoostSchool::BoostHeld)) == 1.0);
        CHECK((inEnglish(schoolPhrase(info.id, boosted(BoostSchool::FullFactor))) == "boosted: full factor") ==
              (info.id != Standard::Uncorrected));
        CHECK(inEnglish(schoolPhrase(info.id, EngineForAir{})).empty());
    }
    // Temperature alone: (T/298)^0.6, and 1.18 sqrt(T/298) - 0.18; T as the standards print it.
    for (const Standard standard : kIsoFamily)
        CHECK(factor(standard, boosted(BoostSchool::TemperatureOnly)) ==
              Approx(std::pow(304.0 / 298.0, 0.6)).epsilon(1e-12));
    CHECK(factor(Standard::SaeJ1349, boosted(BoostSchool::TemperatureOnly)) ==
          Approx(1.18 * std::sqrt(304.0 / 298.0) - 0.18).epsilon(1e-12));
    CHECK(inEnglish(schoolPhrase(Standard::SaeJ1349, boosted(BoostSchool::TemperatureOnly))).find("not standard") !=
          std::string::npos);
}

TEST_CASE("only ECE R85 lets go of the factor where the boost is held") {
    EngineForAir held = boosted(BoostSchool::StandardsRule);
    held.boostHeldAbsolute = true;
    for (const StandardInfo& info : standards()) {
        INFO(info.name);
        CHECK(factor(info.id, held) == (info.id == Standard::EceR85 ? 1.0 : factor(info.id, {})));
    }
    CHECK(inEnglish(schoolPhrase(Standard::EceR85, held)).find("no factor, by its own rule") != std::string::npos);
    held.aspiration = Aspiration::Supercharged; // the rule is for turbochargers
    CHECK(factor(Standard::EceR85, held) == factor(Standard::EceR85, {}));
}

TEST_CASE("measured friction stands in for the fixed efficiency") {
    // (P + Pf) CA - Pf: with Pf the 15 % of the indicated power it is (CA - 0.15)/0.85, without friction it is CA.
    const double ca = 99000.0 / kAir.dryPressure_pa * std::sqrt((kAir.temperature_c + 273.0) / 298.0);
    const double power_w = 60000.0;
    CHECK(frictionFactor(kAir, power_w, power_w * (1.0 / 0.85 - 1.0)) == Approx((ca - 0.15) / 0.85).epsilon(1e-12));
    CHECK(frictionFactor(kAir, power_w, 0.0) == Approx(ca).epsilon(1e-12));
    // 100 kW observed, 20 kW friction, CA 1.05: (120 x 1.05 - 20)/100 = 1.06.
    HumidAir exact = kAir;
    exact.temperature_c = 25.0;
    exact.dryPressure_pa = 99000.0 / 1.05;
    CHECK(frictionFactor(exact, 100e3, 20e3) == Approx(1.06).epsilon(1e-12));
    EngineForAir engine;
    engine.friction = {{2000.0, 3000.0}, {4000.0, 9000.0}};
    CHECK(usesFriction(Standard::SaeJ1349, engine));
    CHECK_FALSE(usesFriction(Standard::Iso1585, engine));
    CHECK(frictionPowerAt(engine.friction, 3000.0) == Approx(6000.0));
    CHECK(frictionPowerAt(engine.friction, 500.0) == 3000.0);
    CHECK(frictionPowerAt(engine.friction, 9000.0) == 9000.0);
}

TEST_CASE("another mechanical efficiency uses the unrounded form") {
    const double ca = 99000.0 / kAir.dryPressure_pa * std::sqrt((kAir.temperature_c + 273.0) / 298.0);
    EngineForAir engine;
    engine.mechanicalEfficiency = 0.8;
    CHECK(factor(Standard::SaeJ1349, engine) == Approx((ca - 0.2) / 0.8).epsilon(1e-12));
}

TEST_CASE("a mechanical efficiency that no engine has is refused") {
    EngineForAir engine;
    for (const double impossible : {0.0, -0.2, 1.01, 85.0}) {
        engine.mechanicalEfficiency = impossible;
        CHECK_THROWS_AS(airFactor(Standard::SaeJ1349, kAir, engine), DataError);
    }
    engine.mechanicalEfficiency = 1.0;
    CHECK_NOTHROW(airFactor(Standard::SaeJ1349, kAir, engine));
}

TEST_CASE("charge cooled by liquid takes another exponent where the standard has one") {
    // ISO 15550 and J1349: (99/pd)^0.7 (T/298)^1.2, with liquid cooling ^0.7; ECE R85 and ISO 1585: 1.5 with either.
    EngineForAir diesel = boosted(BoostSchool::StandardsRule);
    diesel.ignition = Ignition::Compression;
    diesel.fuel_mg_per_litre_cycle = 110.0;
    diesel.boostPressureRatio = 2.2; // qc = 50, fm = 0.66
    const double dry = std::pow(99000.0 / kAir.dryPressure_pa, 0.7);
    const auto expected = [&](double exponent) { return std::pow(dry * std::pow(304.0 / 298.0, exponent), 0.66); };
    for (const ChargeCooling cooling : {ChargeCooling::None, ChargeCooling::Air, ChargeCooling::Liquid}) {
        diesel.chargeCooling = cooling;
        const double liquid = cooling == ChargeCooling::Liquid ? 0.7 : 1.2;
        CHECK(factor(Standard::Iso15550, diesel) == Approx(expected(liquid)).epsilon(1e-12));
        CHECK(factor(Standard::SaeJ1349, diesel) == Approx(expected(liquid)).epsilon(1e-12));
        CHECK(factor(Standard::EceR85, diesel) == Approx(expected(1.5)).epsilon(1e-12));
        CHECK(factor(Standard::Iso1585, diesel) == Approx(expected(1.5)).epsilon(1e-12));
    }
}

TEST_CASE("what pressure, humidity and temperature contribute adds up to the factor") {
    for (const StandardInfo& info : standards()) {
        INFO(info.name);
        const AirTerms terms = airTerms(info.id, kAir, {});
        CHECK(terms.pressure_pct + terms.humidity_pct + terms.temperature_pct ==
              Approx(100.0 * (factor(info.id, {}) - 1.0)).margin(1e-9));
    }
    CHECK(airTerms(Standard::Din70020, kAir, {}).humidity_pct ==
          Approx(0.0).margin(1e-12));                                 // it goes by total pressure
    CHECK(airTerms(Standard::SaeJ1349, kAir, {}).pressure_pct > 0.0); // thinner than reference
    const HumidAir reference = humidAir({25.0, 100000.0, {HumidityKind::VapourPressure_kpa, 1.0}});
    const AirTerms none = airTerms(Standard::Iso1585, reference, {});
    CHECK(std::abs(none.pressure_pct) + std::abs(none.humidity_pct) + std::abs(none.temperature_pct) < 1e-9);
    // The dry references that name no vapour: J607's own air (60 F, 29.92 inHg, dry) moves nothing.
    const HumidAir dry =
        humidAir({(60.0 - 32.0) / 1.8, 29.92 * 3386.388640341, {HumidityKind::VapourPressure_kpa, 0.0}});
    const AirTerms still = airTerms(Standard::SaeJ607, dry, {});
    CHECK(std::abs(still.pressure_pct) < 1e-6);
    CHECK(std::abs(still.humidity_pct) < 1e-6);
    CHECK(std::abs(still.temperature_pct) < 1e-6);
}

TEST_CASE("a wrong reading moves the factor as its slope says") {
    // d ln(cf)/d p = -1.2/pd for ISO 1585: one kPa at 95 kPa dry is about -1.25 %.
    const Atmosphere air{25.0, 96000.0, {HumidityKind::VapourPressure_kpa, 1.0}};
    const AirSensitivity s = airSensitivity(Standard::Iso1585, air, {});
    CHECK(s.perKilopascal_pct == Approx(100.0 * (std::pow(95.0 / 96.0, 1.2) - 1.0)).epsilon(1e-9));
    CHECK(s.perKelvin_pct == Approx(100.0 * (std::pow(299.0 / 298.0, 0.6) - 1.0)).epsilon(1e-9));
    const std::vector<double> at{90.0, 96.0, 0.5};
    const auto along = factorAlong(Standard::Iso1585, air, {}, AirInput::Pressure_kpa, at);
    CHECK(along[1] == Approx(airFactor(Standard::Iso1585, humidAir(air), {}).factor).epsilon(1e-12));
    CHECK(along[0] > along[1]);
    CHECK(std::isnan(along[2])); // less than the vapour alone: no such air
}

TEST_CASE("the sheet of all standards says which can give no factor, and why") {
    EngineForAir diesel;
    diesel.ignition = Ignition::Compression;
    for (const AirRow& row : airSheet(kAir, diesel, std::nullopt)) {
        const bool silent =
            row.id == Standard::Uncorrected || row.id == Standard::SaeJ607 || row.id == Standard::Din70020;
        INFO(standardInfo(row.id).name);
        CHECK(row.factor.has_value() == silent);
        CHECK(!row.problem.has_value() == silent);
    }
    EngineForAir measured;
    measured.friction = {{1000.0, 12000.0}};
    const auto rows = airSheet(kAir, measured, 60000.0);
    CHECK(rows[1].factor->factor == frictionFactor(kAir, 60000.0, 12000.0));
    CHECK(rows[1].terms.pressure_pct + rows[1].terms.humidity_pct + rows[1].terms.temperature_pct ==
          Approx(100.0 * (rows[1].factor->factor - 1.0)).margin(1e-9));
    CHECK(inEnglish(validityRange(Standard::SaeJ1349, Ignition::Spark)).find("90 to 105 kPa dry") != std::string::npos);
    CHECK(inEnglish(validityRange(Standard::SaeJ607, Ignition::Spark)).empty());
}
