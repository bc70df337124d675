// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Published values were recalled from memory and agree with an independent program; each names where it stands.

#include "core/units/units.h"
#include "core/weather/altitude.h"
#include "core/weather/humid_air.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

TEST_CASE("pressure at altitude agrees with the ISO 2533 main table") {
    // ISO 2533:1975 / ICAO Doc 7488, geopotential metres and hPa, half a unit of the last digit.
    const double rows[][3] = {{-1000, 1139.29, 0.005}, {0, 1013.25, 0.005},     {500, 954.608, 0.0005},
                              {1000, 898.746, 0.0005}, {1500, 845.56, 0.005},   {2000, 794.952, 0.0005},
                              {2500, 746.825, 0.0005}, {3000, 701.085, 0.0005}, {4000, 616.402, 0.0005},
                              {5000, 540.199, 0.0005}, {11000, 226.320, 0.0007}};
    for (const auto& [altitude_m, hectopascal, margin] : rows) {
        INFO(altitude_m << " m");
        CHECK(standardPressure_pa(altitude_m) / 100.0 == Approx(hectopascal).margin(margin).epsilon(0));
        CHECK(pressureAltitude_m(100.0 * hectopascal) == Approx(altitude_m).margin(0.1).epsilon(0));
    }
}

TEST_CASE("pressure at altitude agrees with the table in feet of aviation handbooks") {
    // US Standard Atmosphere in feet, inHg, half a unit of the last digit.
    const double rows[][2] = {{1000, 28.856}, {2000, 27.821}, {3000, 26.817}, {4000, 25.842},
                              {5000, 24.896}, {6000, 23.978}, {8000, 22.225}, {10000, 20.577}};
    for (const auto& [feet, inches] : rows) {
        INFO(feet << " ft");
        CHECK(standardPressure_pa(feet * unit::kFoot_m) / unit::kInchMercury_pa ==
              Approx(inches).margin(0.0005).epsilon(0));
    }
}

TEST_CASE("an altimeter setting shifts the pressure altitude as the pilot's table says") {
    // FAA Pilot's Handbook, pressure-altitude conversion table, feet to add at a setting in inHg. Made with 29.92 and
    // older constants: 1 ft.
    const double rows[][2] = {{28.0, 1824}, {28.5, 1340}, {29.0, 863},  {29.5, 392},  {29.8, 112},
                              {29.9, 20},   {30.0, -73},  {30.1, -165}, {30.5, -531}, {31.0, -983}};
    for (const auto& [inches, feet] : rows) {
        INFO(inches << " inHg");
        const double at_pa = stationPressure_pa(inches * unit::kInchMercury_pa, 0.0);
        CHECK(pressureAltitude_m(at_pa) / unit::kFoot_m == Approx(feet).margin(1.0).epsilon(0));
        // The same number of feet at any height: that is what an altimeter setting means.
        const double high_pa = stationPressure_pa(inches * unit::kInchMercury_pa, 1500.0);
        CHECK((pressureAltitude_m(high_pa) - 1500.0) / unit::kFoot_m == Approx(feet).margin(1.0).epsilon(0));
    }
}

TEST_CASE("station pressure from an altimeter setting") {
    // ISO 2533, computed independently: 1013.25 hPa set, 1609.344 m.
    CHECK(stationPressure_pa(101325.0, 1609.344) / 100.0 == Approx(834.276).margin(0.0005).epsilon(0));
    for (const double altitude_m : {-200.0, 0.0, 240.0, 1500.0}) // identity: the standard setting gives the standard
        CHECK(stationPressure_pa(101325.0, altitude_m) == Approx(standardPressure_pa(altitude_m)).epsilon(1e-9));
    CHECK(test::messageOf([] { (void)stationPressure_pa(-5.0, 200.0); }).find("does not exist") != std::string::npos);
    CHECK(test::messageOf([] { (void)stationPressure_pa(101325.0, 60000.0); }).find("does not exist") !=
          std::string::npos);
}

TEST_CASE("density altitude agrees with the pilot's chart") {
    // FAA Pilot's Handbook, chart example with dry air: field 5883 ft, setting 30.10 inHg, 70 F: 7700 ft, read off a
    // chart (150 ft).
    const double station_pa = stationPressure_pa(30.10 * unit::kInchMercury_pa, 5883.0 * unit::kFoot_m);
    const double density = moistDensity_kg_m3((70.0 - 32.0) / 1.8, station_pa, 0.0);
    CHECK(densityAltitude_m(density) / unit::kFoot_m == Approx(7700.0).margin(150.0).epsilon(0));
}

TEST_CASE("relative humidity from a wet bulb agrees with the US Weather Bureau's tables") {
    // Fahrenheit, 30 inHg, whole per cent; made with Ferrel's formula and an older vapour-pressure table: 0.75.
    const double rows[][3] = {{60, 55, 73}, {60, 50, 48}, {70, 65, 77}, {70, 60, 55},  {80, 70, 61}, {80, 65, 44},
                              {80, 60, 29}, {90, 80, 65}, {90, 70, 36}, {100, 90, 68}, {100, 80, 42}};
    for (const auto& [dry_f, wet_f, percent] : rows) {
        INFO(dry_f << " F dry, " << wet_f << " F wet");
        const double dry_c = (dry_f - 32.0) / 1.8;
        const double vapour = wetBulbVapourPressure_pa(dry_c, (wet_f - 32.0) / 1.8, 30.0 * unit::kInchMercury_pa);
        CHECK(100.0 * vapour / saturationPressure_pa(dry_c) == Approx(percent).margin(0.75).epsilon(0));
    }
}

TEST_CASE("saturated air carries as much water as the moist-air table says") {
    // ASHRAE Fundamentals, moist-air table, humidity ratio at 101.325 kPa, four digits. The table has an enhancement
    // factor of 1.004 that the engine standards leave out, and it moves the ratio by 1.004/(1 - pv/p): 0.5 %.
    const double rows[][2] = {{20, 0.01476}, {25, 0.02017}, {30, 0.02733}};
    for (const auto& [t, ratio] : rows) {
        const double vapour = 1.004 * saturationPressure_pa(t);
        CHECK(0.621945 * vapour / (101325.0 - vapour) == Approx(ratio).margin(2e-5).epsilon(0));
    }
}

TEST_CASE("all ways to state humidity describe the same air") {
    const double t = 24.0;
    const double p = 97600.0;
    const double vapour = saturationPressure_pa(12.0);
    const HumidAir byDewPoint = humidAir({t, p, {HumidityKind::DewPoint_c, 12.0}});
    const HumidAir byPressure = humidAir({t, p, {HumidityKind::VapourPressure_kpa, vapour / 1000.0}});
    const HumidAir byPercent =
        humidAir({t, p, {HumidityKind::RelativeHumidity_pct, 100.0 * vapour / saturationPressure_pa(t)}});
    double low = 0.0; // the wet bulb that gives this vapour pressure, by halving
    double high = t;
    for (int i = 0; i < 60; ++i)
        (wetBulbVapourPressure_pa(t, 0.5 * (low + high), p) < vapour ? low : high) = 0.5 * (low + high);
    const HumidAir byWetBulb = humidAir({t, p, {HumidityKind::WetBulb_c, low}});
    for (const HumidAir& air : {byPressure, byPercent, byWetBulb}) {
        CHECK(air.vapourPressure_pa == Approx(byDewPoint.vapourPressure_pa).epsilon(1e-9));
        CHECK(air.density_kg_m3 == Approx(byDewPoint.density_kg_m3).epsilon(1e-9));
    }
}

TEST_CASE("air that cannot be is refused in words") {
    using K = HumidityKind;
    const Atmosphere impossible[] = {{20.0, 100000.0, {K::VapourPressure_kpa, 100.5}},
                                     {20.0, 100000.0, {K::RelativeHumidity_pct, 101.0}},
                                     {20.0, 100000.0, {K::RelativeHumidity_pct, -1.0}},
                                     {20.0, 100000.0, {K::DewPoint_c, 21.0}},
                                     {20.0, 100000.0, {K::WetBulb_c, 20.5}},
                                     {40.0, 100000.0, {K::WetBulb_c, 10.0}},
                                     {-280.0, 100000.0, {K::RelativeHumidity_pct, 50.0}},
                                     {20.0, 0.0, {K::RelativeHumidity_pct, 50.0}},
                                     {20.0, std::nan(""), {K::RelativeHumidity_pct, 50.0}},
                                     {std::nan(""), 100000.0, {K::DewPoint_c, 5.0}}};
    for (const Atmosphere& air : impossible) {
        INFO(air.temperature_c << " C, " << air.pressure_pa << " Pa, " << air.humidity.value);
        CHECK(test::messageOf([&] { (void)humidAir(air); }).find("does not exist") != std::string::npos);
    }
}
