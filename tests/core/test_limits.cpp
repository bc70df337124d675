// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Limits while a pull runs: when one counts as passed, what is usual, and how a recorded pull tells of it.

#include "core/plan/usual_limits.h"
#include "core/pull/events.h"
#include "core/pull/limit_watch.h"
#include "english.h"
#include "event_sketch.h"

#include <catch2/catch.hpp>
#include <limits>

using namespace hillrun;
using hillrun::test::inEnglish;
using test::Sketch;

namespace {

const double kNone = std::numeric_limits<double>::quiet_NaN();

/// Gives `value(t)` every `step_s` for `length_s`; when the limit was passed, or a negative number.
template <class Value> double passedAt(LimitTracker& tracker, double step_s, double length_s, const Value& value) {
    for (int i = 0; i * step_s < length_s; ++i)
        if (tracker.take(i * step_s, value(i * step_s)))
            return i * step_s;
    return -1.0;
}

LimitTracker hot() { return LimitTracker({"coolant_temperature", LimitSide::Above, 110.0}); }

std::vector<Column> columnsOf(const std::vector<const char*>& names) {
    std::vector<Column> out;
    for (const char* name : names)
        out.push_back({name, "1", {}});
    return out;
}

const WatchLimit* find(const std::vector<WatchLimit>& limits, const std::string& channel) {
    for (const WatchLimit& limit : limits)
        if (limit.channel == channel)
            return &limit;
    return nullptr;
}

} // namespace

TEST_CASE("a limit is passed once most of a quarter of a second lies beyond") {
    LimitTracker tracker = hot();
    // From 2.00 s on beyond: of the 26 readings of a quarter of a second 14 are more than half, the last at 2.13 s.
    CHECK(passedAt(tracker, 0.01, 5.0, [](double t) { return t > 1.995 ? 112.0 : 105.0; }) == Approx(2.13));
    REQUIRE(tracker.crossing());
    CHECK(tracker.crossing()->value == 112.0);
    CHECK(tracker.crossing()->limit.channel == "coolant_temperature");
}

TEST_CASE("on the limit is not beyond it") {
    LimitTracker above = hot();
    CHECK(passedAt(above, 0.01, 5.0, [](double) { return 110.0; }) < 0.0);
    LimitTracker below({"oil_pressure", LimitSide::Below, 150.0});
    CHECK(passedAt(below, 0.01, 5.0, [](double) { return 150.0; }) < 0.0);
    CHECK(passedAt(below, 0.01, 5.0, [](double t) { return 149.0 - t; }) >= 0.0);
}

TEST_CASE("spikes pass no limit, however high they are") {
    LimitTracker tracker = hot();
    int reading = 0;
    CHECK(passedAt(tracker, 0.01, 60.0, [&](double) { return ++reading % 5 < 2 ? 900.0 : 105.0; }) < 0.0);
    CHECK(passedAt(tracker, 0.01, 60.0, [&](double) { return ++reading % 5 < 3 ? 900.0 : 105.0; }) > 0.0);
}

TEST_CASE("readings that come slowly count by five, those that are missing do not count") {
    LimitTracker slow = hot();
    CHECK(passedAt(slow, 1.0, 20.0, [](double t) { return t > 4.5 ? 120.0 : 100.0; }) == 7.0); // three of five beyond
    LimitTracker begun = hot();
    CHECK(passedAt(begun, 0.01, 2.0, [](double) { return 120.0; }) == Approx(0.15)); // not on its first five
    LimitTracker gaps = hot();
    CHECK(passedAt(gaps, 0.01, 5.0, [](double) { return kNone; }) < 0.0);
    CHECK_FALSE(gaps.crossing());
}

TEST_CASE("a limit is passed once, its worst and its end move on") {
    LimitTracker tracker({"oil_pressure", LimitSide::Below, 150.0});
    int times = 0;
    for (int i = 0; i < 600; ++i) { // falls from 200 by 50 a second to 100, then 300 from 4 s on
        const double t = 0.01 * i;
        times += tracker.take(t, t < 4.0 ? std::max(100.0, 200.0 - 50.0 * t) : 300.0) ? 1 : 0;
    }
    CHECK(times == 1);
    REQUIRE(tracker.crossing());
    CHECK(tracker.crossing()->time_s == Approx(1.13).margin(0.015));
    CHECK(tracker.crossing()->value == Approx(150.0).margin(1.0));
    CHECK(tracker.crossing()->worst == 100.0);
    CHECK(tracker.crossing()->until_s == Approx(4.12).margin(0.015)); // most of its window then lies above again
}

TEST_CASE("the worst of a limit above is the highest") {
    LimitTracker tracker = hot();
    for (int i = 0; i < 400; ++i) {
        const double t = 0.01 * i;
        (void)tracker.take(t, t < 1.0 ? 100.0 : t < 2.0 ? 112.0 : t < 3.0 ? 119.0 : 114.0);
    }
    REQUIRE(tracker.crossing());
    CHECK(tracker.crossing()->value == 112.0);
    CHECK(tracker.crossing()->worst == 119.0);
}

TEST_CASE("a mixture counts under load only, half a second after the throttle was opened") {
    const auto columns = columnsOf({"time", "throttle", "lambda"});
    const std::vector<WatchLimit> limits{{"lambda", LimitSide::Above, 1.02}};
    const auto passed = [&](const auto& throttle, const auto& lambda) {
        LimitWatch watch(limits, columns);
        for (int i = 0; i < 400; ++i) {
            const double t = 0.01 * i;
            watch.take(t, std::vector{t, throttle(t), lambda(t)});
        }
        return watch.crossings().empty() ? -1.0 : watch.crossings().front().time_s;
    };
    const auto open = [](double) { return 96.0; };
    CHECK(passed(open, [](double t) { return t < 0.45 ? 1.3 : 0.9; }) < 0.0);      // it was just opened
    CHECK(passed(open, [](double) { return 1.1; }) == Approx(0.65).margin(0.015)); // 0.5 and what fills a window
    CHECK(passed([](double t) { return t < 2.0 ? 96.0 : 10.0; }, [](double t) { return t < 2.0 ? 0.9 : 1.6; }) < 0.0);
    CHECK(passed([](double) { return kNone; }, [](double) { return 1.1; }) > 0.0); // no throttle to go by
    const auto lifted = [](double to) { return [to](double t) { return t < 1.0 ? 100.0 : to; }; };
    const auto leanAfter = [](double t) { return t < 1.0 ? 0.9 : 1.1; };
    CHECK(passed(lifted(88.0), leanAfter) > 0.0); // that is load still
    CHECK(passed(lifted(80.0), leanAfter) < 0.0);
    // An engine that never opens further than 82 % is under load at 82 %.
    CHECK(passed([](double) { return 82.0; }, [](double) { return 1.1; }) > 0.0);
}

TEST_CASE("the half second of a mixture counts from where the pull began") {
    LimitWatch watch({{"lambda", LimitSide::Above, 1.02}}, columnsOf({"time", "lambda"}));
    for (int i = 0; i < 200; ++i)
        watch.take(100.0 + 0.01 * i, std::vector{100.0 + 0.01 * i, i < 40 ? 1.3 : 0.9}); // lean for 0.4 s
    CHECK(watch.crossings().empty());
}

TEST_CASE("a slow channel counts for its own limit only, and not beside its rows") {
    LimitWatch watch(
        {{"gearbox_temperature", LimitSide::Above, 90.0}, {"coolant_temperature", LimitSide::Above, 110.0}},
        columnsOf({"time", "coolant_temperature"}));
    for (int i = 0; i < 20; ++i) {
        watch.takeSlow("hub_temperature", i, 300.0);
        watch.takeSlow("coolant_temperature", i, 300.0);
    }
    CHECK(watch.crossings().empty());
}

TEST_CASE("recorded rows are watched where they count, and only with a time") {
    ChannelTable rows{columnsOf({"time", "coolant_temperature"})};
    for (int i = 0; i < 400; ++i) {
        rows.columns[0].values.push_back(0.01 * i);
        rows.columns[1].values.push_back(i >= 200 && i < 300 ? 130.0 : 90.0);
    }
    const std::vector<WatchLimit> limits{{"oil_pressure", LimitSide::Below, 150.0},
                                         {"coolant_temperature", LimitSide::Above, 110.0}};
    CHECK(limitsPassed(rows, limits, 0, 400).size() == 1);
    CHECK(limitsPassed(rows, limits, 180, 120).size() == 1);
    CHECK(limitsPassed(rows, limits, 0, 200).empty());
    CHECK(limitsPassed(rows, limits, 300, 100).empty());
    rows.columns.erase(rows.columns.begin());
    CHECK(limitsPassed(rows, limits, 0, 400).empty());
}

TEST_CASE("several limits are told in the order in which they were passed, slow channels among them") {
    const std::vector<WatchLimit> limits{{"oil_pressure", LimitSide::Below, 150.0},
                                         {"coolant_temperature", LimitSide::Above, 110.0},
                                         {"gearbox_temperature", LimitSide::Above, 90.0}};
    LimitWatch watch(limits, columnsOf({"time", "coolant_temperature", "oil_pressure"}));
    for (int i = 0; i < 300; ++i) {
        const double t = 0.01 * i;
        watch.take(t, std::vector{t, t > 1.0 ? 115.0 : 90.0, t > 2.0 ? 100.0 : 400.0});
        if (i % 20 == 0)
            watch.takeSlow("gearbox_temperature", t, 120.0);
    }
    watch.takeSlow("coolant_temperature", 3.0, 500.0); // comes with the rows already
    REQUIRE(watch.crossings().size() == 3);
    CHECK(watch.crossings()[0].limit.channel == "gearbox_temperature");
    CHECK(watch.crossings()[0].time_s == Approx(0.8)); // its fifth reading
    CHECK(watch.crossings()[1].limit.channel == "coolant_temperature");
    CHECK(watch.crossings()[1].worst == 115.0);
    CHECK(watch.crossings()[2].limit.channel == "oil_pressure");
    CHECK(inEnglish(crossingPhrase(watch.crossings()[2])) == "Oil pressure 100 kPa, limit 150 kPa");
}

TEST_CASE("the usual limits follow the engine") {
    Article twin;
    const auto natural = usualLimits(twin);
    CHECK(find(natural, "oil_pressure")->value == 150.0);
    CHECK(find(natural, "oil_pressure")->side == LimitSide::Below);
    CHECK(find(natural, "exhaust_gas_temperature")->value == 900.0);
    CHECK(find(natural, "lambda")->value == 1.02);
    CHECK(find(natural, "air_fuel_ratio")->value == 15.0); // 1.02 of petrol's 14.7
    CHECK_FALSE(find(natural, "manifold_pressure"));
    CHECK(find(natural, "knock_retard"));
    Article buggy;
    buggy.engine.aspiration = Aspiration::Turbocharged;
    CHECK_FALSE(find(usualLimits(buggy), "manifold_pressure")); // nobody said what it runs
    buggy.engine.boostPressureRatio = 2.0;
    CHECK(find(usualLimits(buggy), "manifold_pressure")->value == 223.0); // 1.1 * 2 * 101.325
    CHECK(find(usualLimits(buggy), "lambda")->value == 0.95);
    CHECK(find(usualLimits(buggy), "exhaust_gas_temperature")->value == 980.0);
    Article tractor;
    tractor.engine.ignition = Ignition::Compression;
    tractor.fuel.kind = FuelKind::Diesel;
    const auto diesel = usualLimits(tractor);
    CHECK_FALSE(find(diesel, "lambda"));
    CHECK_FALSE(find(diesel, "knock_retard"));
    CHECK(find(diesel, "oil_pressure")->value == 100.0);
    CHECK(find(diesel, "exhaust_gas_temperature")->value == 750.0);
    Article twoStroke;
    twoStroke.engine.strokes = 2;
    CHECK_FALSE(find(usualLimits(twoStroke), "oil_pressure"));
    CHECK(find(usualLimits(twoStroke), "exhaust_gas_temperature")->value == 700.0);
    Article gas;
    gas.fuel.kind = FuelKind::Gas;
    CHECK_FALSE(find(usualLimits(gas), "lambda"));
    gas.limits = std::vector<WatchLimit>{};
    CHECK(limitsOf(gas).empty()); // somebody wants none
    CHECK(limitsOf(twin) == natural);
}

TEST_CASE("a recorded pull tells of a limit that it passed, and is not spoiled by it") {
    EventContext context;
    context.limits = {{"oil_pressure", LimitSide::Below, 150.0}, {"lambda", LimitSide::Above, 1.02}};
    const auto found = [&](const Sketch& sketch) {
        const Curve curve = sketch.curve();
        std::vector<Event> out;
        for (const Event& event : findEvents(sketch.table, curve, context))
            if (event.kind == EventKind::LimitPassed)
                out.push_back(event);
        return out;
    };
    CHECK(found(Sketch()).empty());
    // Full throttle from 1 to 11 s, 500 rpm/s from 2500: beyond from 6 s (5000 rpm) to 7 s (5500 rpm).
    Sketch starved;
    starved.spoil("oil_pressure", 6.0, 7.0, [](double, size_t) { return 90.0; });
    const auto events = found(starved);
    REQUIRE(events.size() == 1);
    CHECK(events.front().range_rpm.low == Approx(5065).margin(15));
    CHECK(events.front().range_rpm.high == Approx(5560).margin(15));
    CHECK(events.front().size == 90.0);
    CHECK(inEnglish(events.front().why).starts_with("Oil pressure fell to 90 kPa, limit 150 kPa, "));
    CHECK_FALSE(isRemark(events.front())); // a warning
    const EventRemedy remedy = remedyFor(events.front(), starved.curve());
    CHECK_FALSE(remedy.setAside); // the curve is as good as before
    CHECK_FALSE(remedy.trimTo);
    // The same channel after the throttle was closed, and before it was opened: nobody's limit.
    Sketch idle;
    idle.spoil("oil_pressure", 0.0, 0.9, [](double, size_t) { return 90.0; });
    idle.spoil("oil_pressure", 11.2, 12.0, [](double, size_t) { return 90.0; });
    CHECK(found(idle).empty());
}
