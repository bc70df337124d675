// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"
#include "core/plan/cell_checks.h"
#include "core/units/units.h"
#include "english.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::inEnglish;

namespace {

/// An arm on which a kilogram makes a newton metre.
LoadCellCheck unitArm(std::vector<HungMass> hung) {
    LoadCellCheck out;
    out.date = "2026-05-16";
    out.arm_m = 1.0;
    out.gravity_ms2 = 1.0;
    out.hung = std::move(hung);
    return out;
}

/// Up to 50 N.m in steps of ten and down again, each shown by a rule.
template <class Shown> LoadCellCheck upAndDown(const Shown& shown) {
    std::vector<HungMass> hung;
    for (const double mass : {0.0, 10.0, 20.0, 30.0, 40.0, 50.0})
        hung.push_back({mass, shown(mass, false)});
    for (const double mass : {40.0, 30.0, 20.0, 10.0, 0.0})
        hung.push_back({mass, shown(mass, true)});
    return unitArm(std::move(hung));
}

} // namespace

TEST_CASE("the load cell's line is the certified one of NIST's StRD set Norris") {
    // Set and certified results from memory: y, x.
    const double norris[][2] = {
        {0.1, 0.2},     {338.8, 337.4}, {118.1, 118.2}, {888.0, 884.6}, {9.2, 10.1},    {228.1, 226.5},
        {668.5, 666.3}, {998.5, 996.3}, {449.1, 448.6}, {778.9, 777.0}, {559.2, 558.2}, {0.3, 0.4},
        {0.1, 0.6},     {778.1, 775.5}, {668.8, 666.9}, {339.3, 338.0}, {448.9, 447.5}, {10.8, 11.6},
        {557.7, 556.0}, {228.3, 228.1}, {998.0, 995.8}, {888.8, 887.6}, {119.6, 120.2}, {0.3, 0.3},
        {0.6, 0.3},     {557.6, 556.8}, {339.3, 339.1}, {888.0, 887.2}, {998.5, 999.0}, {778.9, 779.0},
        {10.2, 11.1},   {117.6, 118.3}, {228.9, 229.2}, {668.4, 669.1}, {449.2, 448.9}, {0.2, 0.5}};
    std::vector<HungMass> hung;
    for (const auto& [read_nm, mass_kg] : norris)
        hung.push_back({mass_kg, read_nm});
    const auto result = loadCellResult(unitArm(hung));
    REQUIRE(result);
    constexpr double kT34 = 2.0322445; // 97.5 % of Student's t with 34 degrees of freedom, tables
    CHECK(result->slope == Approx(1.00211681802045).epsilon(1e-12));
    CHECK(result->zero_nm == Approx(-0.262323073774029).epsilon(1e-10));
    CHECK(result->slopeHalf == Approx(kT34 * 0.429796848199937e-3).epsilon(1e-7));
    CHECK(result->zeroHalf_nm == Approx(kT34 * 0.232818234301152).epsilon(1e-7));
    CHECK(result->highest_nm == 999.0);
}

TEST_CASE("a kilogram on a metre makes 9.80665 N.m, where gravity is not given") {
    LoadCellCheck check = unitArm({{0.0, 0.0}, {10.0, 49.03325}});
    check.arm_m = 0.5;
    check.gravity_ms2.reset();
    CHECK(loadCellResult(check)->slope == Approx(1.0).epsilon(1e-12));
    check.gravity_ms2 = 9.81;
    CHECK(loadCellResult(check)->slope == Approx(9.80665 / 9.81).epsilon(1e-12));
}

TEST_CASE("hysteresis, straightness and the zero that comes back are told apart") {
    const auto rule = [](double mass, bool down) {
        const double bow = mass == 20.0 ? 0.5 : 0.0;                       // off the line at one mass, both ways
        const double late = down && mass > 0.0 && mass < 50.0 ? 0.2 : 0.0; // stays behind coming down
        return 0.3 + 1.01 * mass + bow + late + (down && mass == 0.0 ? 0.05 : 0.0);
    };
    const auto result = loadCellResult(upAndDown(rule));
    REQUIRE(result);
    CHECK(result->slope == Approx(1.01).margin(0.003));
    CHECK(result->hysteresis_pct.value() == Approx(0.4).epsilon(1e-9)); // 0.2 of 50
    CHECK(result->zeroDrift_nm.value() == Approx(0.05).epsilon(1e-9));
    // The mean at 20 lies farthest: 0.6 over the rule without bow and half of "late", less what the line follows.
    const double line = result->zero_nm + result->slope * 20.0;
    CHECK(result->linearity_pct == Approx(100.0 * (0.3 + 1.01 * 20.0 + 0.5 + 0.1 - line) / 50.0).epsilon(1e-9));
    double sum = 0.0;
    for (const CheckedLoad& load : result->loads)
        sum += load.offLine_nm;
    CHECK(sum == Approx(0.0).margin(1e-9));
    const auto minus = loadCellResult(upAndDown([](double mass, bool down) { return mass - (down ? 0.1 : 0.0); }));
    CHECK(minus->hysteresis_pct.value() == Approx(-0.2).epsilon(1e-9));
}

TEST_CASE("arm and masses count in the slope's interval even when every reading lies on the line") {
    LoadCellCheck check = upAndDown([](double mass, bool) { return 2.0 * mass; });
    CHECK(loadCellResult(check)->slopeHalf == Approx(0.0).margin(1e-12));
    check.armWithin_mm = 3.0;
    CHECK(loadCellResult(check)->slopeHalf == Approx(2.0 * 0.003).epsilon(1e-9));
    check.massWithin_pct = 0.4;
    CHECK(loadCellResult(check)->slopeHalf == Approx(2.0 * 0.005).epsilon(1e-9)); // 3-4-5
}

TEST_CASE("without two masses, or without an arm, there is no answer; with two readings no interval") {
    CHECK_FALSE(loadCellResult(unitArm({})));
    CHECK_FALSE(loadCellResult(unitArm({{10.0, 10.0}})));
    CHECK_FALSE(loadCellResult(unitArm({{10.0, 10.0}, {10.0, 10.1}})));
    CHECK_FALSE(loadCellResult(unitArm({{0.0, 0.0}, {0.0, 0.1}})));
    LoadCellCheck noArm = upAndDown([](double mass, bool) { return mass; });
    noArm.arm_m = 0.0;
    CHECK_FALSE(loadCellResult(noArm));
    const auto two = loadCellResult(unitArm({{0.0, 0.0}, {50.0, 50.5}}));
    REQUIRE(two);
    CHECK(two->off_pct() == Approx(1.0));
    CHECK(std::isnan(two->slopeHalf));
    CHECK_FALSE(two->hysteresis_pct);
    CHECK_FALSE(two->zeroDrift_nm);
    CHECK(inEnglish(loadCellSummary(*two, {})).find("more than two readings") != std::string::npos);
}

TEST_CASE("the slope's interval holds the truth about as often as it says") {
    boost::random::mt19937 generator(11);
    boost::random::normal_distribution<double> normal;
    int held = 0;
    constexpr int kChecks = 2000;
    for (int i = 0; i < kChecks; ++i) {
        const double arm = 1.0 + 0.002 / 1.96 * normal(generator); // it is known within 2 mm
        LoadCellCheck check =
            upAndDown([&](double mass, bool) { return 1.004 * mass * arm + 0.08 * normal(generator); });
        check.armWithin_mm = 2.0;
        const auto result = loadCellResult(check);
        held += std::abs(result->slope - 1.004) <= result->slopeHalf ? 1 : 0;
    }
    CHECK(held >= 0.94 * kChecks);
    CHECK(held <= 0.97 * kChecks);
}

TEST_CASE("what a check means is said with its interval, and where it ends") {
    const auto summaryOf = [](double slope, double scatter, std::optional<double> highest_nm) {
        int sign = 1;
        const auto check = upAndDown([&](double mass, bool) {
            sign = -sign;
            return slope * mass + sign * scatter;
        });
        return inEnglish(loadCellSummary(*loadCellResult(check), highest_nm));
    };
    CHECK(summaryOf(1.01, 0.01, 50.0).find("too much") != std::string::npos);
    CHECK(summaryOf(0.99, 0.01, 50.0).find("too little") != std::string::npos);
    CHECK(summaryOf(1.001, 0.5, 50.0).find("is right within") != std::string::npos);
    CHECK(summaryOf(1.01, 0.01, 50.0).find("above the heaviest") == std::string::npos);
    CHECK(summaryOf(1.01, 0.01, 60.0).find("Hung up to 50.0") != std::string::npos);
}

TEST_CASE("a station that reads a kilopascal high makes corrected power too low, by the standard's own figures") {
    StationCheck check;
    check.reference = {25.0, 99000.0, {HumidityKind::RelativeHumidity_pct, 0.0}}; // SAE J1349's own air: factor 1
    check.station = {25.0, 100000.0, {HumidityKind::RelativeHumidity_pct, 0.0}};
    // SAE J1349: 1.180 (99/p) ((t + 273)/298)^0.5 - 0.18
    const StationResult high = stationResult(check, Standard::SaeJ1349, {});
    CHECK(high.pressure_kpa == Approx(1.0));
    CHECK(high.temperature_c == Approx(0.0).margin(1e-12));
    CHECK(high.power_pct.value() == Approx(100.0 * (1.180 * 0.99 - 0.180 - 1.0)).epsilon(1e-3));
    check.station = check.reference;
    check.station.temperature_c = 30.0;
    const StationResult warm = stationResult(check, Standard::SaeJ1349, {});
    CHECK(warm.power_pct.value() == Approx(118.0 * (std::sqrt(303.0 / 298.0) - 1.0)).epsilon(2e-3));
    CHECK_FALSE(stationResult(check, Standard::Uncorrected, {}).power_pct);
    CHECK(inEnglish(stationSummary(warm, Standard::SaeJ1349)).find("SAE J1349") != std::string::npos);
    CHECK(stationSummary(stationResult(check, Standard::Uncorrected, {}), Standard::Uncorrected).size() == 1);
    check.station.pressure_pa = -5.0;
    CHECK_THROWS_AS(stationResult(check, Standard::SaeJ1349, {}), DataError);
}

TEST_CASE("the sheet has a line for each check that the cell keeps") {
    Cell cell;
    CHECK(cellCheckLines(cell, Standard::SaeJ1349, {}).empty());
    cell.loadCellCheck = unitArm({{0.0, 0.0}, {25.0, 25.3}, {50.0, 50.5}});
    CHECK(inEnglish(cellCheckLines(cell, Standard::SaeJ1349, {})).find("Load cell checked 2026-05-16 up to 50.0") !=
          std::string::npos);
    cell.stationCheck = StationCheck{"2026-05-17", {25.0, 100000.0, {}}, {25.0, 99000.0, {}}, {}, {}, {}};
    CHECK(inEnglish(cellCheckLines(cell, Standard::SaeJ1349, {})).find("Weather station checked 2026-05-17") !=
          std::string::npos);
    CHECK(cellCheckLines(cell, Standard::Uncorrected, {}).size() == 1);
    EngineForAir diesel; // no fuel figure: the standard has no factor for it
    diesel.ignition = Ignition::Compression;
    CHECK(cellCheckLines(cell, Standard::Iso1585, diesel).size() == 1);
}
