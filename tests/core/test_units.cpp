// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/units/units.h"

#include <catch2/catch.hpp>

using namespace hillrun;

TEST_CASE("units are read as loggers spell them") {
    const struct {
        const char* text;
        Dimension dimension;
        double of1;
    } rows[] = {
        {"rpm", Dimension::EngineSpeed, 1},
        {"RPM", Dimension::EngineSpeed, 1},
        {"1/min", Dimension::EngineSpeed, 1},
        {"min-1", Dimension::EngineSpeed, 1},
        {"N.m", Dimension::Torque, 1},
        {"N\xC2\xB7m", Dimension::Torque, 1},
        {"Nm", Dimension::Torque, 1},
        {"lb-ft", Dimension::Torque, 1.3558179},
        {"ft-lbf", Dimension::Torque, 1.3558179},
        {"lbf.ft", Dimension::Torque, 1.3558179},
        {"hp", Dimension::Power, 0.74569987},
        {"PS", Dimension::Power, 0.73549875},
        {"kW", Dimension::Power, 1},
        {"psi", Dimension::Pressure, 6.8947573},
        {"bar", Dimension::Pressure, 100},
        {"inHg", Dimension::Pressure, 3.386389},
        {"kPa", Dimension::Pressure, 1},
        {"mbar", Dimension::Pressure, 0.1},
        {"mph", Dimension::RoadSpeed, 1.609344},
        {"km/h", Dimension::RoadSpeed, 1},
        {"ms", Dimension::Time, 0.001},
        {"\xC2\xB0"
         "C",
         Dimension::Temperature, 1},
        {"degF", Dimension::Temperature, -17.222222},
        {"K", Dimension::Temperature, -272.15},
        {"%", Dimension::Percent, 1},
        {"g/s", Dimension::MassFlow, 3.6},
        {"lb/hr", Dimension::MassFlow, 0.45359237},
    };
    for (const auto& row : rows) {
        INFO(row.text);
        const auto unit = parseUnit(row.text);
        REQUIRE(unit);
        CHECK(unit->dimension == row.dimension);
        CHECK(unit->toCanonical(1.0) == Approx(row.of1).epsilon(1e-6));
    }
    CHECK(parseUnit("psig")->gauge);
    CHECK_FALSE(parseUnit("psi")->gauge);
    CHECK_FALSE(parseUnit("furlongs"));
}

TEST_CASE("freezing and boiling water in every temperature unit") {
    CHECK(parseUnit("F")->toCanonical(32.0) == Approx(0.0).margin(1e-12));
    CHECK(parseUnit("F")->toCanonical(212.0) == Approx(100.0));
    CHECK(parseUnit("K")->toCanonical(273.15) == Approx(0.0).margin(1e-12));
}

TEST_CASE("turning is turning, in rpm, rad/s or Hz; nothing else becomes it") {
    CHECK(asUnitOf(*parseUnit("Hz"), Dimension::EngineSpeed)->toCanonical(50.0) == Approx(3000.0));
    CHECK(asUnitOf(*parseUnit("rad/s"), Dimension::EngineSpeed)->toCanonical(314.159265) == Approx(3000.0));
    CHECK(asUnitOf(*parseUnit("rpm"), Dimension::AngularSpeed)->toCanonical(3000.0) == Approx(314.159265));
    CHECK(asUnitOf(*parseUnit("kPa"), Dimension::Pressure) == parseUnit("kPa"));
    CHECK_FALSE(asUnitOf(*parseUnit("rad/s"), Dimension::Pressure));
    CHECK_FALSE(asUnitOf(*parseUnit("kPa"), Dimension::EngineSpeed));
}
