// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/slip/day_doubts.h"
#include "core/slip/day_events.h"
#include "core/slip/pull_slip.h"
#include "core/weather/altitude.h"
#include "day_support.h"
#include "english.h"
#include "formats/day_store.h"
#include "simcell/simulate.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <fmt/format.h>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

sim::CellSpec pullsOfA(int pulls) {
    sim::CellSpec spec =
        sim::readCellSpec(readFileText(test::dataFolder() / "demo" / "flat-twin.json"), "flat-twin.json");
    spec.order = {{"A", pulls, 0.0, 4.0}};
    spec.faults.clear();
    spec.setAside.clear();
    return spec;
}

PullSlip slipOf(const TestDay& day, const std::string& pull) {
    DrawCache cache;
    DayAnalysis analysis = analyse(day, {}, cache);
    addEvents(day, analysis.pulls);
    return pullSlip(day, analysis, pull);
}

std::string textOf(const PullSlip& slip) {
    std::string out = inEnglish(slip.headline);
    for (const SlipLine& line : slip.lines)
        out += "\n" + inEnglish(line.text);
    return out;
}

bool warns(const PullSlip& slip, const char* kind) {
    for (const SlipLine& line : slip.lines)
        if (line.weight == SlipWeight::Warning && line.kind == kind)
            return true;
    return false;
}

} // namespace

TEST_CASE("a good pull's slip says where it lies, and nothing else loudly") {
    const TestDay day = sim::simulateDay(pullsOfA(3), 3);
    const PullSlip slip = slipOf(day, "p03");
    INFO(textOf(slip));
    CHECK_FALSE(slip.suspicious);
    CHECK(inEnglish(slip.headline) == "Lies on its set");
    CHECK(slip.numberInSet == 3);
    REQUIRE(slip.differenceFromSet_pct);
    CHECK(std::abs(*slip.differenceFromSet_pct) < 1.5);
    CHECK(textOf(slip).find("against its set.") != std::string::npos);
    CHECK(textOf(slip).find("Start: coolant temperature") != std::string::npos);
    const PullSlip first = slipOf(day, "p01");
    CHECK(first.numberInSet == 1);
}

TEST_CASE("a pull far off its set, too cold, too lean or without weather is said so") {
    TestDay day = sim::simulateDay(pullsOfA(4), 4);
    auto raw = std::make_shared<ChannelTable>(*day.pulls[3].raw);
    for (Column& column : raw->columns) {
        for (double& value : column.values) {
            if (column.name == "torque")
                value *= 0.95;
            if (column.name == "lambda")
                value += 0.04;
            if (column.name == "ignition_advance")
                value -= 2.0;
            if (column.name == "oil_temperature")
                value -= 20.0;
        }
    }
    day.pulls[3].raw = raw;
    PullSlip slip = slipOf(day, "p04");
    INFO(textOf(slip));
    CHECK(slip.suspicious);
    for (const char* kind : {"level", "lambda", "ignition_advance", "window"})
        CHECK(warns(slip, kind));
    CHECK(textOf(slip).find("outside its window of 86\xE2\x80\x93"
                            "96") != std::string::npos);
    CHECK(slip.lines.front().weight == SlipWeight::Warning);
    day.pulls[3].weather.reset();
    CHECK(warns(slipOf(day, "p04"), "no_curve"));
}

TEST_CASE("how far a pull may lie off its set: three times the scatter of one pull against the mean of the others") {
    sim::CellSpec spec = pullsOfA(4);
    spec.noise = {0.0, 0.0, 250.0, 0.0};
    spec.drift = {};
    const auto scaled = [&](double by) {
        TestDay day = sim::simulateDay(spec, 4);
        day.plan.repeatability_pct = 1.0; // three degrees of freedom are too few to measure it
        auto raw = std::make_shared<ChannelTable>(*day.pulls[3].raw);
        for (Column& column : raw->columns)
            if (column.name == "torque")
                for (double& value : column.values)
                    value *= by;
        setOwnRows(day.pulls[3], raw);
        return slipOf(day, "p04");
    };
    // Against three others: 3 x 1 % x sqrt(1 + 1/3) = 3.46 %.
    CHECK(scaled(1.034).differenceFromSet_pct.value_or(0.0) == Approx(3.4).margin(0.03));
    CHECK_FALSE(warns(scaled(1.034), "level"));
    CHECK(warns(scaled(1.0352), "level"));
    CHECK_FALSE(warns(scaled(0.966), "level"));
    CHECK(warns(scaled(0.9648), "level"));
}

TEST_CASE("a jump of the barometer is questioned, a slow fall is not") {
    TestDay day = sim::simulateDay(pullsOfA(3), 6);
    CHECK_FALSE(warns(slipOf(day, "p03"), "weather"));
    day.pulls[2].weather->pressure_pa += 900.0;
    CHECK(warns(slipOf(day, "p03"), "weather"));
    day.pulls[2].weather->pressure_pa = day.pulls[1].weather->pressure_pa - 150.0;
    CHECK_FALSE(warns(slipOf(day, "p03"), "weather"));
}

TEST_CASE("a sea-level figure at altitude is questioned") {
    CHECK(inEnglish(seaLevelWarning(101.6, 650.0)).find("station pressure") != std::string::npos);
    CHECK(inEnglish(seaLevelWarning(93.9, 650.0)).empty()); // what the standard atmosphere has there is 93.8 kPa
    // Half way between the two it turns: at 800 m 92.08 kPa are usual (ISO 2533), so at 96.7 kPa.
    CHECK(inEnglish(seaLevelWarning(96.6, 800.0)).empty());
    CHECK_FALSE(inEnglish(seaLevelWarning(96.8, 800.0)).empty());
    // Low down the two lie too close to each other to tell.
    CHECK(inEnglish(seaLevelWarning(101.6, 149.0)).empty());
    CHECK_FALSE(inEnglish(seaLevelWarning(101.6, 200.0)).empty());
    CHECK(inEnglish(seaLevelWarning(101.6, std::nullopt)).empty());
    CHECK(inEnglish(seaLevelWarning(95.0, 650.0)).empty());
    CHECK(inEnglish(seaLevelWarning(101.6, 40.0)).empty());
    CHECK(inEnglish(seaLevelWarning(101.6, std::nullopt)).empty());
}

TEST_CASE("an engine that still climbs is noticed, one that repeats is not") {
    TestDay day = sim::simulateDay(pullsOfA(4), 7);
    DrawCache cache;
    CHECK(inEnglish(settlingNotice(day, analyse(day, {}, cache))).empty());
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        auto raw = std::make_shared<ChannelTable>(*day.pulls[i].raw);
        for (Column& column : raw->columns)
            if (column.name == "torque")
                for (double& value : column.values)
                    value *= 1.0 + 0.008 * static_cast<double>(i);
        day.pulls[i].raw = raw;
    }
    const std::string notice = inEnglish(settlingNotice(day, analyse(day, {}, cache)));
    CHECK(notice.find("Still climbing 0.") == 0);
    CHECK(notice.find("take more before you change anything") != std::string::npos);
}

TEST_CASE("how often a steady engine is called settling: measured over 200 days") {
    int called = 0;
    for (unsigned seed = 0; seed < 200; ++seed) {
        const TestDay day = sim::simulateDay(pullsOfA(3), 700 + seed);
        DrawCache cache;
        called += inEnglish(settlingNotice(day, analyse(day, {}, cache))).empty() ? 0 : 1;
    }
    fmt::print("a steady set of three called settling on {:.1f} % of 200 days\n", called / 2.0);
    CHECK(called <= 20); // three pulls cannot tell better; the notice only asks for one more
}

TEST_CASE("how steep a base has to climb to be called settling: by what its engine repeats within") {
    sim::CellSpec spec = pullsOfA(3);
    spec.noise = {0.0, 0.0, 250.0, 0.0};
    spec.drift = {};
    const auto climbing = [&](double step_pct, double repeatability_pct) {
        TestDay day = sim::simulateDay(spec, 4);
        day.plan.repeatability_pct = repeatability_pct;
        for (size_t i = 1; i < 3; ++i) {
            auto raw = std::make_shared<ChannelTable>(*day.pulls[i].raw);
            for (Column& column : raw->columns)
                if (column.name == "torque")
                    for (double& value : column.values)
                        value *= 1.0 + 0.01 * step_pct * static_cast<double>(i);
            setOwnRows(day.pulls[i], raw);
        }
        DrawCache cache;
        const DayAnalysis analysis = analyse(day, {}, cache);
        return settlingSlope_pct(day, analysis, analysis.pulls.front().set);
    };
    // Three pulls: two standard errors of the slope are 2 s / sqrt(2).
    CHECK(climbing(0.80, 0.6) == 0.0); // limit 0.849 %
    CHECK(climbing(0.90, 0.6) == Approx(0.9).margin(0.02));
    CHECK(climbing(0.38, 0.3) == 0.0); // limit 0.424 %
    CHECK(climbing(0.47, 0.3) == Approx(0.47).margin(0.02));
    CHECK(climbing(0.28, 0.15) == 0.0); // never less than 0.3 %
    CHECK(climbing(0.33, 0.15) == Approx(0.33).margin(0.02));
}

TEST_CASE("weather that cannot be is said of the whole day") {
    const auto warnings = [](const TestDay& day) {
        DrawCache cache;
        std::string out;
        for (const DayDoubt& doubt : dayDoubts(day, analyse(day, {}, cache)))
            out += inEnglish(doubt.text) + "\n";
        return out;
    };
    TestDay day = readDay(test::demoDay());
    CHECK(warnings(day).empty());
    day.pulls[5].weather->pressure_pa += 3700.0;
    CHECK(warnings(day).find("p06: its air pressure lies 3.7 kPa above that of its neighbours") == 0);
    day.pulls[5].use = false; // set aside, it harms nothing
    CHECK(warnings(day).empty());
    day.pulls[5].use = true;
    day.pulls[5].weather->pressure_pa -= 7400.0;
    CHECK(warnings(day).find("3.7 kPa below") != std::string::npos);
    for (size_t i = 6; i < day.pulls.size(); ++i)
        day.pulls[i].weather->pressure_pa -= 3700.0; // a step that stays: another barometer, or a front
    CHECK(warnings(day).empty());
    day.cell.altitude_m = 900.0; // where 98 kPa is a figure reduced to sea level
    CHECK(warnings(day).find("p01: ") != std::string::npos);
}

TEST_CASE("each doubt of a day offers what answers it") {
    const auto doubts = [](const TestDay& day) {
        DrawCache cache;
        return dayDoubts(day, analyse(day, {}, cache));
    };
    const TestDay good = readDay(test::demoDay());
    TestDay day = good;
    day.pulls[5].weather->pressure_pa += 3700.0;
    const auto odd = doubts(day);
    REQUIRE(odd.size() == 1);
    CHECK(odd[0].kind == DoubtKind::Pressure);
    CHECK(odd[0].pulls == std::vector<std::string>{"p06"});
    CHECK(odd[0].setAside == odd[0].pulls);
    CHECK(*odd[0].pressure_kpa ==
          Approx(0.5 * (*stationPressure_kpa(good.pulls[4]) + *stationPressure_kpa(good.pulls[6]))));
    day.pulls[5].weather->pressure_pa = 1000.0 * *odd[0].pressure_kpa;
    CHECK(doubts(day).empty());

    TestDay high = good;
    high.cell.altitude_m = 1000.0;
    const auto sea = doubts(high);
    REQUIRE(sea.size() == 1);
    CHECK(sea[0].kind == DoubtKind::SeaLevel);
    CHECK(sea[0].pulls.size() == good.pulls.size() - 1); // one is set aside
    CHECK(sea[0].setAside.empty());
    // 89.875 kPa at 1000 m, 101.325 at sea level: ISO 2533 table
    CHECK(*sea[0].pressure_kpa == Approx(*stationPressure_kpa(good.pulls[0]) * 89.875 / 101.325).epsilon(1e-4));
}

TEST_CASE("late in a long day a small jump of the pressure is as odd as in the morning") {
    TestDay day = readDay(test::demoDay());
    const size_t last = day.pulls.size() - 1;
    REQUIRE(day.pulls[last - 1].use);
    // Hours behind the first pull, minutes from its neighbours.
    const double jump_kpa = likelyPressureChange_kpa(0.6) + 0.1;
    day.pulls[last - 1].weather->pressure_pa += 1000.0 * jump_kpa;
    DrawCache cache;
    const auto doubts = dayDoubts(day, analyse(day, {}, cache));
    REQUIRE(doubts.size() == 1);
    CHECK(doubts[0].pulls == std::vector<std::string>{day.pulls[last - 1].id});
}

TEST_CASE("a settling base names the pulls of its first set, and no others") {
    TestDay day = sim::simulateDay(test::cellSpec("A5 B3 A3", 0.0), 3);
    for (size_t i = 0; i < 5; ++i)
        day.pulls[i].torqueFactor = 1.0 + 0.012 * static_cast<double>(i);
    DrawCache cache;
    const auto doubts = dayDoubts(day, analyse(day, {}, cache));
    REQUIRE(doubts.size() == 1);
    CHECK(doubts[0].kind == DoubtKind::Settling);
    std::vector<std::string> firstSet;
    for (size_t i = 0; i < 5; ++i)
        firstSet.push_back(day.pulls[i].id);
    CHECK(doubts[0].pulls == firstSet);
    CHECK(doubts[0].setAside == std::vector<std::string>{firstSet.front()});
}

TEST_CASE("a base that still settles in its first set is said of the whole day") {
    sim::CellSpec spec = pullsOfA(5);
    const auto warnings = [&](double climb_pct) {
        TestDay day = sim::simulateDay(spec, 3);
        for (size_t i = 0; i < day.pulls.size(); ++i)
            day.pulls[i].torqueFactor = 1.0 + 0.01 * climb_pct * static_cast<double>(i);
        DrawCache cache;
        std::string out;
        for (const DayDoubt& doubt : dayDoubts(day, analyse(day, {}, cache)))
            out += inEnglish(doubt.text);
        return out;
    };
    CHECK(warnings(0.0).empty());
    CHECK(warnings(1.2).find("The first set of A still climbs 1.") == 0);
    CHECK(warnings(-1.2).find("The first set of A still falls 1.") == 0);
}
