// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_store.h"
#include "formats/pull_file.h"
#include "simcell/simulate.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

TEST_CASE("the demo days come out of their descriptions again") {
    const struct {
        const char* spec;
        const char* day;
        unsigned seed;
    } rows[] = {{"flat-twin.json", "day-1-flat-twin", 11},
                {"boost-buggy.json", "day-2-boost-buggy", 22},
                {"hill-tractor.json", "day-3-hill-tractor", 33},
                {"buggy-rollers.json", "day-4-buggy-rollers", 44},
                {"inlet-runners.json", "day-5-inlet-runners", 55},
                {"pipe-and-map.json", "day-6-pipe-and-map", 66},
                {"two-stroke-timing.json", "day-7-two-stroke-timing", 77}};
    for (const auto& row : rows) {
        const auto folder = test::dataFolder() / "demo";
        const TestDay made = sim::simulateDay(sim::readCellSpec(readFileText(folder / row.spec), row.spec), row.seed);
        const TestDay kept = readDay(folder / row.day);
        REQUIRE(made.pulls.size() == kept.pulls.size());
        for (size_t i = 0; i < made.pulls.size(); ++i) {
            INFO(row.day << " " << kept.pulls[i].id);
            CHECK(made.pulls[i].started == kept.pulls[i].started);
            const bool same = writePullText(*made.pulls[i].raw) == readFileText(folder / row.day / kept.pulls[i].file);
            CHECK(same);
        }
    }
}

TEST_CASE("the air acts on the indicated torque and the weather moves through the day") {
    sim::EngineSpec engine;
    engine.torque_nm = {{2000, 80}, {6000, 100}};
    const HumidAir reference = humidAir({25.0, 99000.0, {HumidityKind::RelativeHumidity_pct, 0.0}});
    const HumidAir thin = humidAir({25.0, 89100.0, {HumidityKind::RelativeHumidity_pct, 0.0}});
    CHECK(sim::fullLoadTorque_nm(engine, {}, reference, 6000) == Approx(100.0));
    const double friction = 8.0 + 1.5 * 6.0;
    CHECK(sim::fullLoadTorque_nm(engine, {}, thin, 6000) == Approx(0.9 * (100.0 + friction) - friction));
    const std::vector<sim::WeatherPoint> weather{{0.0, 15, 98, 60}, {2.0, 21, 97, 40}};
    CHECK(sim::weatherAt(weather, 1.0).temperature_c == Approx(18.0));
    CHECK(sim::weatherAt(weather, 9.0).humidity_pct == 40.0);
}

TEST_CASE("a wiggle has unit spread and the correlation it was asked for") {
    boost::random::mt19937_64 generator(3);
    double square = 0.0, product = 0.0;
    int count = 0;
    for (int i = 0; i < 400; ++i) {
        const sim::Wiggle wiggle(generator, 2000.0, 8000.0, 250.0);
        for (double rpm = 2000.0; rpm < 7500.0; rpm += 1000.0, ++count) {
            square += wiggle.at(rpm) * wiggle.at(rpm);
            product += wiggle.at(rpm) * wiggle.at(rpm + 250.0);
        }
    }
    CHECK(square / count == Approx(1.0).margin(0.08));
    CHECK(product / count == Approx(std::exp(-0.5)).margin(0.08));
}

TEST_CASE("faults go where they were ordered") {
    const std::string text = R"({"format":"hill-run-cell","version":1,
      "day":{"name":"t","builds":[{"id":"A"}]},
      "engine":{"torque_nm":[[2000,80],[8000,80]]},
      "protocol":{"start_rpm":2500,"end_rpm":6500},
      "order":[{"build":"A","pulls":2}],
      "faults":[{"pull":"p02","kind":"dropout","channel":"lambda","at_rpm":5000},{"pull":"p02","kind":"limiter","at_rpm":6000}]})";
    const TestDay day = sim::simulateDay(sim::readCellSpec(text, "t.json"), 4);
    auto blanks = [](const Pull& pull) {
        const auto& values = pull.raw->find("lambda")->values;
        return std::count_if(values.begin(), values.end(), [](double v) { return std::isnan(v); });
    };
    auto fastest = [](const Pull& pull) {
        const auto& values = pull.raw->find("engine_speed")->values;
        return *std::max_element(values.begin(), values.end());
    };
    CHECK(blanks(day.pulls[0]) == 0);
    CHECK(blanks(day.pulls[1]) > 50);
    CHECK(fastest(day.pulls[0]) > 6490);
    CHECK(fastest(day.pulls[1]) < 6015);
}

TEST_CASE("a wrong description is said") {
    auto problem = [](const std::string& text) {
        return test::messageOf([&] { (void)sim::readCellSpec(text, "t.json"); });
    };
    CHECK(problem("{}").find("hill-run-cell") != std::string::npos);
    CHECK(problem(R"({"format":"hill-run-cell","version":1,"day":{}})").find("engine") != std::string::npos);
    CHECK(
        problem(
            R"({"format":"hill-run-cell","version":1,"day":{"builds":[{"id":"A"}]},"engine":{"torque_nm":[[1,2],[3,4]]},"order":[{"build":"Q"}]})")
            .find("no build \"Q\"") != std::string::npos);
}
