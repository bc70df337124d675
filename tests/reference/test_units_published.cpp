// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/units/units.h"

#include <catch2/catch.hpp>

using namespace hillrun;

TEST_CASE("units agree with their definitions") {
    CHECK(unit::kHorsepower_w == Approx(745.69987158227022).epsilon(1e-14)); // 550 ft lbf/s, 1959 foot and pound
    CHECK(unit::kMetricHorsepower_w == 735.49875);                           // DIN 66036
    CHECK(unit::kPoundFoot_nm == Approx(1.3558179483314004).epsilon(1e-15));
    CHECK(unit::kPoundForce_n == Approx(4.4482216152605).epsilon(1e-15));
    CHECK(unit::kMillimetreMercury_pa == Approx(133.322387415).epsilon(1e-12)); // ISO 80000, NIST SP 811
    CHECK(unit::kInchMercury_pa == Approx(3386.389).margin(0.0005).epsilon(0)); // NIST SP 811
    CHECK(unit::kPsi_pa == Approx(6894.757).margin(0.0005).epsilon(0));         // NIST SP 811
    CHECK(unit::kHorsepower_w / unit::kMetricHorsepower_w == Approx(1.01387).margin(5e-6).epsilon(0));
}

TEST_CASE("power and torque curves cross where everybody knows they do") {
    // hp = lbf ft at 33000/(2 pi), kW = N m at 60000/(2 pi)
    const double rpm = 5252.113122;
    const double torque_nm = torqueFrom(TorqueUnit::PoundFoot, 250.0);
    CHECK(powerIn(PowerUnit::Horsepower, torque_nm * angularSpeed(rpm)) == Approx(250.0).epsilon(1e-9));
    CHECK(powerIn(PowerUnit::Kilowatt, 100.0 * angularSpeed(9549.296586)) == Approx(100.0).epsilon(1e-9));
    CHECK(powerIn(PowerUnit::MetricHorsepower, 100.0 * angularSpeed(7023.495702)) == Approx(100.0).epsilon(1e-9));
}
