// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Published values were recalled from memory and agree with an independent program; each names where it stands.

#include "core/units/units.h"
#include "core/weather/standards.h"
#include "english.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

struct Row {
    double at;
    double expected;
    double margin;
    const char* source;
};

HumidAir dryAir(double temperature_c, double dry_pa) {
    HumidAir air;
    air.temperature_c = temperature_c;
    air.pressure_pa = dry_pa;
    air.dryPressure_pa = dry_pa;
    return air;
}

double factor(Standard standard, double temperature_c, double dry_pa, const EngineForAir& engine = {}) {
    return airFactor(standard, dryAir(temperature_c, dry_pa), engine).factor;
}

} // namespace

TEST_CASE("saturation pressure agrees with the verification table of IAPWS-IF97") {
    const Row rows[] = {
        {300.0, 0.353658941e-2, 5e-12, "IAPWS R7-97, table 35"},
        {500.0, 0.263889776e1, 5e-9, "IAPWS R7-97, table 35"},
        {600.0, 0.123443146e2, 5e-8, "IAPWS R7-97, table 35"},
        {372.755919, 0.1, 1e-8, "IAPWS R7-97, table 36, read backwards"},
        {453.035633, 1.0, 1e-7, "IAPWS R7-97, table 36, read backwards"},
        {584.149488, 10.0, 1e-6, "IAPWS R7-97, table 36, read backwards"},
    };
    for (const Row& row : rows) {
        INFO(row.source << " at " << row.at << " K");
        CHECK(saturationPressure_pa(row.at - 273.15) / 1e6 == Approx(row.expected).margin(row.margin).epsilon(0));
    }
}

TEST_CASE("saturation pressure agrees with textbook steam tables") {
    // Steam table A-4 of thermodynamics textbooks, kPa, half a unit of the last digit. The table stands on another
    // equation of the same body (SR1-86); between 0 and 60 C the two lie up to 0.0095 % apart, hence the relative part.
    // Debian's python3-iapws (_PSat_T, IF97) gives 0.8725748611, 5.6286201441 and 9.5943888392 kPa at 5, 35 and 45 C.
    CHECK(saturationPressure_pa(5.0) == Approx(872.5748611295218).epsilon(1e-10));
    CHECK(saturationPressure_pa(35.0) == Approx(5628.62014412138).epsilon(1e-10));
    CHECK(saturationPressure_pa(45.0) == Approx(9594.388839202182).epsilon(1e-10));
    const Row rows[] = {
        {0.01, 0.6117, 5e-5, "A-4"}, {5.0, 0.8725, 5e-5, "A-4"},  {10.0, 1.2281, 5e-5, "A-4"},
        {15.0, 1.7057, 5e-5, "A-4"}, {20.0, 2.3392, 5e-5, "A-4"}, {25.0, 3.1698, 5e-5, "A-4"},
        {30.0, 4.2469, 5e-5, "A-4"}, {35.0, 5.6291, 5e-5, "A-4"}, {40.0, 7.3851, 5e-5, "A-4"},
        {45.0, 9.5953, 5e-5, "A-4"}, {60.0, 19.947, 5e-4, "A-4"}, {100.0, 101.42, 5e-3, "A-4"},
    };
    for (const Row& row : rows) {
        INFO(row.source << " at " << row.at << " C");
        CHECK(saturationPressure_pa(row.at) / 1000.0 == Approx(row.expected).margin(row.margin).epsilon(9.6e-5));
    }
}

TEST_CASE("relative humidity from a ventilated wet bulb agrees with psychrometric tables") {
    // Handbook table in Celsius for ventilated bulbs near 1 atm, whole per cent.
    const double rows[][3] = {{20, 5, 59},  {25, 5, 63}, {30, 5, 67}, {20, 10, 24},
                              {30, 10, 39}, {15, 5, 53}, {10, 5, 44}, {40, 10, 48}};
    for (const auto& [dry, depression, percent] : rows) {
        INFO(dry << " C, depression " << depression);
        const double vapour = wetBulbVapourPressure_pa(dry, dry - depression, 101325.0);
        CHECK(100.0 * vapour / saturationPressure_pa(dry) == Approx(percent).margin(1.0).epsilon(0));
    }
}

TEST_CASE("density of dry air agrees with textbook tables") {
    const Row rows[] = {{0, 1.2922, 1.5e-4, "dry air, 101325 Pa"},
                        {10, 1.2466, 1.5e-4, ""},
                        {15, 1.2250, 1.5e-4, ""},
                        {20, 1.2041, 1.5e-4, ""},
                        {25, 1.1839, 1.5e-4, ""},
                        {35, 1.1455, 1.5e-4, ""}};
    for (const Row& row : rows)
        CHECK(moistDensity_kg_m3(row.at, 101325.0, 0.0) == Approx(row.expected).margin(row.margin).epsilon(0));
}

TEST_CASE("moist density agrees with CIPM-2007 within the stated 0.05 %") {
    // CIPM-2007, computed independently; conditions: C, Pa, %.
    const double rows[][4] = {{20, 101325, 50, 1.199314},
                              {15, 101325, 0, 1.225521},
                              {25, 100000, 50, 1.161824},
                              {27, 80000, 30, 0.924056},
                              {23, 60000, 80, 0.695970}};
    for (const auto& [t, p, rh, rho] : rows) {
        const HumidAir air = humidAir({t, p, {HumidityKind::RelativeHumidity_pct, rh}});
        CHECK(air.density_kg_m3 == Approx(rho).epsilon(5e-4));
    }
}

TEST_CASE("density altitude agrees with the ISO 2533 table of density") {
    const Row rows[] = {{-1000, 1.34700, 0.1, "ISO 2533"}, {0, 1.22500, 0.1, ""},     {500, 1.16727, 0.1, ""},
                        {1000, 1.11164, 0.1, ""},          {2000, 1.00649, 0.1, ""},  {3000, 0.909122, 0.1, ""},
                        {5000, 0.736116, 0.1, ""},         {11000, 0.363918, 0.3, ""}};
    for (const Row& row : rows) // the last printed digit of the density is worth up to 0.06 m (0.3 m at 11 km)
        CHECK(densityAltitude_m(row.expected) == Approx(row.at).margin(row.margin).epsilon(0));
}

TEST_CASE("every standard is 1 at its own reference state") {
    CHECK(factor(Standard::Uncorrected, 33.0, 91000.0) == 1.0);
    CHECK(factor(Standard::SaeJ1349, 25.0, 99000.0) == Approx(1.0).margin(1e-12).epsilon(0));
    for (const Standard standard : {Standard::Iso1585, Standard::EceR85, Standard::JisD1001, Standard::Iso15550})
        CHECK(factor(standard, 25.0, 99000.0) == Approx(1.0).margin(1e-12).epsilon(0));
    CHECK(factor(Standard::Din70020, 20.0, 101300.0) == Approx(1.0).margin(1e-12).epsilon(0));
    CHECK(factor(Standard::SaeJ607, (60.0 - 32.0) / 1.8, 29.92 * unit::kInchMercury_pa) ==
          Approx(1.0).margin(1e-12).epsilon(0));
}

TEST_CASE("factors agree with arithmetic on the printed formulas") {
    // Computed independently, direct arithmetic on the printed formula.
    CHECK(factor(Standard::SaeJ1349, 30.0, 95000.0) == Approx(1.059957440).margin(5e-10).epsilon(0));
    CHECK(factor(Standard::Iso1585, 30.0, 95000.0) == Approx(1.061279379).margin(5e-10).epsilon(0));
    CHECK(factor(Standard::Din70020, 30.0, 96000.0) == Approx(1.073064226).margin(5e-10).epsilon(0));
    CHECK(factor(Standard::SaeJ607, 30.0, 28.00 * unit::kInchMercury_pa) ==
          Approx(1.094959882).margin(5e-10).epsilon(0));
    CHECK(factor(Standard::SaeJ607, 25.0, 99000.0) == Approx(1.040036699).margin(5e-7).epsilon(0)); // J1349's reference
    EngineForAir diesel{Ignition::Compression, Aspiration::Natural, 0.85, 70.0, std::nullopt};
    CHECK(factor(Standard::EceR85, 30.0, 95000.0, diesel) == Approx(1.065526005).margin(5e-10).epsilon(0));
    CHECK(factor(Standard::Iso15550, 30.0, 95000.0, diesel) == Approx(1.065526005).margin(5e-10).epsilon(0));
    diesel.aspiration = Aspiration::Turbocharged;
    diesel.fuel_mg_per_litre_cycle = 100.0;
    diesel.boostPressureRatio = 2.0; // q/r = 50
    CHECK(factor(Standard::EceR85, 30.0, 95000.0, diesel) == Approx(1.036165803).margin(5e-10).epsilon(0));
}

TEST_CASE("the fuel exponent keeps its limits") {
    // fm: 0.3 below 40 and 1.2 above 65 mg/(L cycle) in ECE R85; 0.2 below 37.2 in ISO 15550.
    auto exponent = [](Standard standard, double fuel) {
        const EngineForAir diesel{Ignition::Compression, Aspiration::Natural, 0.85, fuel, std::nullopt};
        const double fa = (99000.0 / 95000.0) * std::pow(303.0 / 298.0, 0.7);
        return std::log(factor(standard, 30.0, 95000.0, diesel)) / std::log(fa);
    };
    CHECK(exponent(Standard::EceR85, 20.0) == Approx(0.3));
    CHECK(exponent(Standard::EceR85, 40.0) == Approx(0.3));
    CHECK(exponent(Standard::EceR85, 65.0) == Approx(1.2));
    CHECK(exponent(Standard::EceR85, 90.0) == Approx(1.2));
    CHECK(exponent(Standard::Iso15550, 30.0) == Approx(0.2));
    CHECK(exponent(Standard::Iso15550, 37.2) == Approx(0.1992));
}

TEST_CASE("validity: the ranges of the standards, each limit inside") {
    // ISO 1585, ECE R85, JIS D 1001, ISO 15550 (spark 15..35 C; compression 10..40 C, 80..110 kPa dry), SAE J1349
    // (15..35 C, 90..105 kPa dry): ranges from memory.
    const EngineForAir spark{};
    const EngineForAir diesel{Ignition::Compression, Aspiration::Natural, 0.85, 20.0, std::nullopt};
    const struct {
        Standard standard;
        EngineForAir engine;
        double temperature_c;
        double dry_kpa;
        bool inside;
    } rows[] = {
        {Standard::Iso1585, spark, 15.0, 99.0, true},   {Standard::Iso1585, spark, 14.9, 99.0, false},
        {Standard::EceR85, spark, 35.0, 99.0, true},    {Standard::EceR85, spark, 35.1, 99.0, false},
        {Standard::Iso15550, diesel, 10.0, 99.0, true}, {Standard::Iso15550, diesel, 9.9, 99.0, false},
        {Standard::EceR85, diesel, 40.0, 99.0, true},   {Standard::EceR85, diesel, 40.1, 99.0, false},
        {Standard::JisD1001, diesel, 25.0, 80.0, true}, {Standard::JisD1001, diesel, 25.0, 79.9, false},
        {Standard::Iso1585, diesel, 25.0, 110.0, true}, {Standard::Iso1585, diesel, 25.0, 110.1, false},
        {Standard::SaeJ1349, spark, 15.0, 99.0, true},  {Standard::SaeJ1349, spark, 14.9, 99.0, false},
        {Standard::SaeJ1349, spark, 25.0, 105.0, true}, {Standard::SaeJ1349, spark, 25.0, 105.1, false},
    };
    for (const auto& row : rows) {
        INFO(static_cast<int>(row.standard) << " at " << row.temperature_c << " C, " << row.dry_kpa << " kPa");
        CHECK(airFactor(row.standard, dryAir(row.temperature_c, row.dry_kpa * 1000.0), row.engine).withinValidity ==
              row.inside);
    }
}

TEST_CASE("validity: a limit is inside, beyond it is said and the factor still given") {
    const auto valid = [](Standard standard, double t, double dry) { return airFactor(standard, dryAir(t, dry), {}); };
    CHECK(valid(Standard::SaeJ1349, 35.0, 90000.0).withinValidity);
    CHECK_FALSE(valid(Standard::SaeJ1349, 35.1, 95000.0).withinValidity);
    CHECK_FALSE(valid(Standard::SaeJ1349, 30.0, 89900.0).withinValidity);
    CHECK(inEnglish(valid(Standard::SaeJ1349, 30.0, 89900.0).validityNotes).find("dry pressure") != std::string::npos);
    CHECK_FALSE(valid(Standard::Iso1585, 25.0, 91000.0).withinValidity); // its factor is above 1.07
    CHECK(valid(Standard::Din70020, 45.0, 70000.0).withinValidity);      // no range recalled
    CHECK(inEnglish(valid(Standard::Uncorrected, 20.0, 30000.0).validityNotes).find("hardly possible") !=
          std::string::npos);
}
