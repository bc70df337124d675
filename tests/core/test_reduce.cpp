// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/reduce.h"

#include "core/units/units.h"
#include "simcell/simulate.h"
#include "support.h"

#include <catch2/catch.hpp>

using namespace hillrun;

namespace {

sim::CellSpec quietCell() {
    sim::CellSpec spec;
    spec.day.builds.push_back({"A", "", {}, {}, {}, "", {}, "", ""});
    spec.engine.torque_nm = {{2000, 80}, {4000, 100}, {6000, 105}, {8000, 80}};
    spec.order.push_back({"A", 1, 0.0, 4.0});
    spec.noise = {0.0, 0.0, 250.0, 0.0};
    spec.weather.push_back({0.0, 25.0, 99.0, 0.0}); // J1349's own state, dry
    return spec;
}

Curve curveOf(const TestDay& day, const ReduceSettings& settings = {}) {
    return reduce(day.pulls[0], dynoOf(day), settings);
}

/// Largest relative error against the simulated engine in reference air, over the middle 90 % of the range.
double worstError(const Curve& curve, const sim::CellSpec& spec) {
    const HumidAir reference = humidAir({25.0, 99000.0, {HumidityKind::RelativeHumidity_pct, 0.0}});
    const double low = curve.rpm.front() + 0.05 * (curve.rpm.back() - curve.rpm.front());
    const double high = curve.rpm.back() - 0.05 * (curve.rpm.back() - curve.rpm.front());
    double worst = 0.0;
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        if (curve.rpm[i] >= low && curve.rpm[i] <= high)
            worst = std::max(
                worst,
                std::abs(curve.torque_nm[i] / sim::fullLoadTorque_nm(spec.engine, {}, reference, curve.rpm[i]) - 1.0));
    return worst;
}

} // namespace

TEST_CASE("the curve of a simulated pull is the engine that was simulated") {
    sim::CellSpec spec = quietCell();
    CHECK(worstError(curveOf(sim::simulateDay(spec, 1)), spec) < 0.001);
    spec.noise.sample_pct = 0.6;
    CHECK(worstError(curveOf(sim::simulateDay(spec, 2)), spec) < 0.005); // 3 sd of the smoothed sample noise
}

TEST_CASE("power and torque agree at every speed and carry the air factor") {
    const sim::CellSpec spec = [] {
        sim::CellSpec s = quietCell();
        s.weather = {{0.0, 33.0, 95.0, 40.0}};
        return s;
    }();
    const TestDay day = sim::simulateDay(spec, 1);
    const Curve corrected = curveOf(day);
    const Curve raw = curveOf(day, {Standard::Uncorrected, 100.0, 50.0});
    CHECK(corrected.air.factor > 1.05);
    for (size_t i = 0; i < corrected.rpm.size(); ++i) {
        CHECK(corrected.power_w[i] == Approx(corrected.torque_nm[i] * angularSpeed(corrected.rpm[i])));
        CHECK(corrected.torque_nm[i] == Approx(raw.torque_nm[i] * corrected.air.factor));
    }
    CHECK(corrected.channels().count("lambda") == 1);
    CHECK(corrected.channels().at("throttle").size() == corrected.rpm.size());
}

TEST_CASE("grid points are whole multiples of the step") {
    const TestDay day = sim::simulateDay(quietCell(), 1);
    const Curve curve = curveOf(day, {Standard::SaeJ1349, 100.0, 25.0});
    for (const double rpm : curve.rpm)
        CHECK(rpm / 25.0 == Approx(std::round(rpm / 25.0)).margin(1e-9));
}

TEST_CASE("power alone gives the torque") {
    TestDay day = sim::simulateDay(quietCell(), 1);
    ChannelTable table = *day.pulls[0].raw;
    for (Column& column : table.columns) {
        if (column.name != "torque")
            continue;
        column.name = "power";
        column.unit = "kW";
        for (size_t i = 0; i < column.values.size(); ++i)
            column.values[i] *= angularSpeed(table.find("engine_speed")->values[i]) / 1000.0;
    }
    const Curve fromTorque = curveOf(day);
    day.pulls[0].raw = std::make_shared<const ChannelTable>(table);
    CHECK(curveOf(day).peakPower_w.value == Approx(fromTorque.peakPower_w.value).epsilon(1e-9));
}

TEST_CASE("a peak is the top of the parabola, or said to lie at the end") {
    std::vector<double> rpm, hill, slope;
    for (double r = 5000; r <= 7000; r += 50) {
        rpm.push_back(r);
        hill.push_back(70000.0 - 0.01 * (r - 6213.0) * (r - 6213.0));
        slope.push_back(10.0 * r);
    }
    const Peak top = findPeak(rpm, hill);
    CHECK(top.rpm == Approx(6213.0).margin(0.5));
    CHECK(top.value == Approx(70000.0).margin(0.5));
    CHECK_FALSE(top.atEnd);
    CHECK(findPeak(rpm, slope).atEnd);
}

TEST_CASE("what cannot be reduced says why") {
    TestDay day = sim::simulateDay(quietCell(), 1);
    auto message = [&] { return test::messageOf([&] { curveOf(day); }); };
    day.pulls[0].weather.reset();
    CHECK(message().find("weather of this pull is not known") != std::string::npos);
    CHECK(curveOf(day, {Standard::Uncorrected, 100.0, 50.0}).air.factor == 1.0);
    day = sim::simulateDay(quietCell(), 1);
    day.cell.kind = CellKind::ChassisInertia;
    CHECK(message().find("inertia of the rollers is not known") != std::string::npos);
    day.cell.rollerInertia_kgm2 = 5.0;
    CHECK(message().find("no roller speed") != std::string::npos);
    day.cell.kind = CellKind::EngineBrake;
    day.cell.sweep = SweepDirection::Steps;
    CHECK(message().find("held speeds were found") != std::string::npos);
    day.cell.sweep = SweepDirection::Up;
    auto fast = std::make_shared<ChannelTable>(*day.pulls[0].raw);
    for (Column& column : fast->columns)
        if (column.name == "engine_speed")
            for (double& rpm : column.values)
                rpm *= 1000.0; // rpm taken for krpm
    TestDay wrong = day;
    wrong.pulls[0].raw = fast;
    CHECK(test::messageOf([&] { (void)curveOf(wrong); }).find("Check the unit") != std::string::npos);
    day.cell.kind = CellKind::EngineBrake;
    day.article.engine.ignition = Ignition::Compression;
    CHECK(message().find("fuel per litre and cycle") != std::string::npos);
}
