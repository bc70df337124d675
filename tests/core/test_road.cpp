// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/braking.h"
#include "core/road/day_road.h"
#include "core/road/held_speed.h"
#include "core/road/lead_along.h"
#include "core/road/timed_run.h"
#include "day_support.h"
#include "english.h"
#include "formats/day_store.h"
#include "road_support.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/uniform_real_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::buggy;
using hillrun::test::hump;
using hillrun::test::inEnglish;

namespace {

constexpr double kAir = 1.2;

/// 800 kg in one or several gears, without losses but those asked for.
RoadVehicle plainVehicle(std::vector<double> gears = {1.0}) {
    RoadVehicle out;
    out.mass_kg = 800.0;
    out.tyreRadius_m = 0.3;
    out.finalDrive = 4.0;
    out.gears = std::move(gears);
    out.tyreGrip = 100.0; // never the limit, unless asked for
    return out;
}

EngineCurve flatTorque(double torque_nm, double end_rpm = 20000.0) {
    return {{500.0, end_rpm}, {torque_nm, torque_nm}};
}

/// Constant power between two speeds.
EngineCurve flatPower(double power_w, double from_rpm, double to_rpm) {
    EngineCurve out;
    for (double rpm = from_rpm; rpm <= to_rpm; rpm += 1.0) {
        out.rpm.push_back(rpm);
        out.torque_nm.push_back(power_w / (rpm * 2.0 * M_PI / 60.0));
    }
    return out;
}

Course straight(double length_m, double gradient = 0.0) { return {"test", {{length_m, gradient, {}}}, {}, 0.0, 0.0}; }

double timeOf(const RoadVehicle& v, const EngineCurve& e, const Course& c, double air = kAir) {
    const RoadRun run = driveCourse(v, e, c, air);
    REQUIRE(run.finished());
    return run.time_s;
}

} // namespace

TEST_CASE("constant power without drag: the closed form of time and distance") {
    const RoadVehicle v = plainVehicle();
    const double low = v.rpmAt(10.0, 0);
    const double high = v.rpmAt(60.0, 0);
    const RoadRun run = driveCourse(v, flatPower(50000.0, low - 5.0, high + 5.0), {"roll", {}, {}, 10.0, 60.0}, 0.0);
    REQUIRE(run.finished());
    // v^2 = v0^2 + 2 P t / m; distance m (v1^3 - v0^3) / (3 P)
    CHECK(run.time_s == Approx(800.0 * (3600.0 - 100.0) / (2.0 * 50000.0)).epsilon(1e-6));
    CHECK(run.moments.back().distance_m == Approx(800.0 * (216000.0 - 1000.0) / (3.0 * 50000.0)).epsilon(1e-6));
}

TEST_CASE("constant force against the air: the closed form of a standing start") {
    RoadVehicle v = plainVehicle();
    v.dragArea_m2 = 0.9;
    const double force = 300.0 * 4.0 / 0.3;
    const double terminal = std::sqrt(2.0 * force / (kAir * 0.9));
    const double a0 = force / v.mass_kg;
    const RoadRun run = driveCourse(v, flatTorque(300.0), straight(1000.0), kAir);
    // x = vt^2 / a0 ln cosh(a0 t / vt), v = vt tanh(a0 t / vt)
    const double t = std::acosh(std::exp(1000.0 * a0 / (terminal * terminal))) * terminal / a0;
    CHECK(run.time_s == Approx(t).epsilon(1e-7));
    CHECK(run.endSpeed_ms == Approx(terminal * std::tanh(a0 * t / terminal)).epsilon(1e-7));
    CHECK(*run.reached_s(20.0) == Approx(std::atanh(20.0 / terminal) * terminal / a0).epsilon(2e-3));
    CHECK(run.passed_s(500.0) ==
          Approx(std::acosh(std::exp(500.0 * a0 / (terminal * terminal))) * terminal / a0).epsilon(1e-6));
    CHECK_FALSE(run.reached_s(terminal + 1.0));
}

TEST_CASE("a pure gradient takes its share of gravity, a hill that is too steep is not climbed") {
    const RoadVehicle v = plainVehicle();
    const double slope = std::hypot(1.0, 0.1);
    const double a = 200.0 * 4.0 / 0.3 / 800.0 - 9.80665 * 0.1 / slope;
    CHECK(timeOf(v, flatTorque(200.0), straight(300.0, 0.1), 0.0) == Approx(std::sqrt(600.0 / a)).epsilon(1e-7));
    const RoadRun none = driveCourse(v, flatTorque(20.0), straight(300.0, 0.5), 0.0);
    CHECK_FALSE(none.finished());
    CHECK(inEnglish({none.whyNot}) == "it does not get up this hill");
    CHECK_FALSE(driveCourse(v, flatTorque(20.0), {"roll", {}, {}, 10.0, 400.0}, kAir).finished());
}

TEST_CASE("top speed: where power meets the cubic of the air") {
    RoadVehicle v = plainVehicle();
    v.dragArea_m2 = 0.7;
    const auto top = topSpeed(v, flatPower(60000.0, 100.0, 9000.0), {0.0, kAir});
    REQUIRE(top);
    CHECK(top->speed_ms == Approx(std::cbrt(2.0 * 60000.0 / (kAir * 0.7))).epsilon(1e-5));
    CHECK_FALSE(topSpeed(v, flatTorque(1.0), {0.5, kAir}));
    const auto bounded = topSpeed(v, flatTorque(400.0, 3000.0), {0.0, kAir}); // the engine ends before
    CHECK(bounded->speed_ms == Approx(v.speedAt(3000.0, 0)));
}

TEST_CASE("the books of energy are even") {
    RoadVehicle v = buggy();
    v.gears = {2.0};
    v.launch_rpm = 0.0;
    const RoadRun run = driveCourse(v, flatTorque(150.0), straight(400.0, 0.03), kAir);
    const double moved = movedMass_kg(v, 0, run.endSpeed_ms);
    CHECK(run.work.engine_j - run.work.resistance_j ==
          Approx(0.5 * moved * run.endSpeed_ms * run.endSpeed_ms).epsilon(1e-6));
    CHECK(moved == Approx(690.0 + 0.12 * std::pow(8.2 / 0.29, 2) + 1.5 / 0.0841));
}

TEST_CASE("grip bounds the start, and load moves to the axle that drives") {
    RoadVehicle v = plainVehicle();
    v.tyreGrip = 0.9;
    v.wheelbase_m = 2.5;
    v.centreOfMassHeight_m = 0.5;
    v.frontShare = 0.6;
    const EngineCurve strong = flatTorque(5000.0);
    const auto force = [&](DrivenAxle axle) {
        v.driven = axle;
        return tractiveForce_n(v, strong, 0, 1.0, {0.0, kAir});
    };
    const double weight = 800.0 * 9.80665;
    CHECK(force(DrivenAxle::All) == Approx(0.9 * weight));
    CHECK(force(DrivenAxle::Rear) == Approx(0.9 * weight * 0.4 / (1.0 - 0.9 * 0.2)));
    CHECK(force(DrivenAxle::Front) == Approx(0.9 * weight * 0.6 / (1.0 + 0.9 * 0.2)));
    // The load that the force itself moves: F h / L on the rear axle.
    v.driven = DrivenAxle::Rear;
    const double f = force(DrivenAxle::Rear);
    CHECK(f == Approx(0.9 * (weight * 0.4 + f * 0.5 / 2.5)));
    v.centreOfMassHeight_m = 3.0; // it would stand on its hind wheels
    CHECK(force(DrivenAxle::Rear) == Approx(0.9 * weight));
}

TEST_CASE("no other shift speed is quicker than the best") {
    RoadVehicle v = buggy();
    v.shiftTime_s = 0.0;
    v.gears = {2.6, 1.7, 1.2};
    const Course course = straight(500.0);
    const EngineCurve engine = hump();
    const std::vector<double> best = bestShifts_rpm(v, engine, {0.0, kAir});
    REQUIRE(best.size() == 2);
    CHECK(best[0] < 7000.0);
    const double least = timeOf(v, engine, course);
    for (double first = 5000.0; first <= 7000.0; first += 250.0)
        for (double second = 5000.0; second <= 7000.0; second += 250.0) {
            v.shift_rpm = {first, second};
            CHECK(timeOf(v, engine, course) >= least - 2e-5);
        }
    v.shift_rpm = {9000.0, 9000.0}; // not beyond the engine
    CHECK(driveCourse(v, engine, course, kAir).shift_rpm == std::vector<double>{7000.0, 7000.0});
}

TEST_CASE("braking before a corner: closed forms against small steps") {
    const Braking braking{9.0, 0.0006};
    double v = 15.0;
    double s = 0.0;
    double t = 0.0;
    constexpr double kStep = 1e-5;
    while (v < 40.0) { // backwards in time, by midpoints
        const double middle = v + 0.5 * kStep * (braking.a + braking.b * v * v);
        s += middle * kStep;
        v += kStep * (braking.a + braking.b * middle * middle);
        t += kStep;
    }
    CHECK(braking.squaredBefore(225.0, s) == Approx(v * v).epsilon(1e-6));
    CHECK(braking.distanceBefore(225.0, v * v) == Approx(s).epsilon(1e-6));
    CHECK(braking.seconds(v, 15.0) == Approx(t).epsilon(1e-6));
    const Braking still{9.0, 0.0}; // without air
    CHECK(still.squaredBefore(225.0, 10.0) == Approx(225.0 + 180.0));
    CHECK(still.distanceBefore(225.0, 405.0) == Approx(10.0));
    CHECK(still.seconds(20.0, 11.0) == Approx(1.0));
    CHECK(still.seconds(11.0, 20.0) == 0.0);
}

TEST_CASE("a corner is never passed faster than it allows, and is braked for in time") {
    const RoadVehicle v = buggy();
    Course course = straight(200.0);
    course.pieces.push_back({30.0, 0.0, 12.0});
    course.pieces.push_back({200.0, 0.0, std::nullopt});
    const RoadRun run = driveCourse(v, hump(), course, kAir);
    REQUIRE(run.finished());
    double before = 0.0;
    bool braked = false;
    for (const RoadMoment& one : run.moments) {
        if (one.distance_m >= 200.0 - 1e-6 && one.distance_m <= 230.0 + 1e-6)
            CHECK(one.speed_ms <= 12.0 + 1e-6);
        CHECK(one.time_s >= before);
        braked = braked || (!one.full && one.distance_m < 200.0 + 1e-6 && one.speed_ms < 12.1);
        before = one.time_s;
    }
    CHECK(braked);
    CHECK(run.passed_s(230.0) - run.passed_s(200.0) == Approx(30.0 / 12.0).epsilon(1e-3));
    // From one speed to another as it first got there, not from the first time each was reached.
    REQUIRE(run.reached_s(14.0));
    CHECK(*run.between_s(0.0, 14.0) == Approx(*run.reached_s(14.0)));
    const double top = std::max_element(run.moments.begin(), run.moments.end(), [](const auto& a, const auto& b) {
                           return a.speed_ms < b.speed_ms;
                       })->speed_ms;
    if (const auto again = run.between_s(12.5, top - 0.01))
        CHECK(*again < 15.0);
    CHECK_FALSE(run.between_s(5.0, top + 1.0));
    course.pieces[1].limit_ms = 200.0; // no corner at all
    CHECK(timeOf(v, hump(), course) == Approx(timeOf(v, hump(), straight(430.0))).epsilon(1e-7));
}

TEST_CASE("splitting a course changes nothing, and more power everywhere never costs time") {
    const RoadVehicle v = buggy();
    const Course hill = *builtInCourse("larkfell-hill");
    Course split = hill;
    split.pieces.clear();
    for (const CoursePiece& piece : hill.pieces)
        for (const double share : {0.3, 0.45, 0.25})
            split.pieces.push_back({share * piece.length_m, piece.gradient, piece.limit_ms});
    CHECK(split.length_m() == Approx(hill.length_m()));
    CHECK(timeOf(v, hump(), split) == Approx(timeOf(v, hump(), hill)).epsilon(1e-6));

    boost::random::mt19937 generator(4);
    boost::random::uniform_real_distribution<double> more(0.0, 0.06);
    for (const char* name : {"larkfell-hill", "standing-quarter-mile", "60-100"}) {
        const Course course = *builtInCourse(name);
        const double time = timeOf(v, hump(), course);
        for (int i = 0; i < 10; ++i) {
            EngineCurve stronger = hump();
            for (double& torque : stronger.torque_nm)
                torque *= 1.0 + more(generator);
            CHECK(timeOf(v, stronger, course) <= time + 1e-3); // shifts move in steps of 5 rpm
        }
    }
}

TEST_CASE("rough curves are driven to their end as well as smooth ones, and corners on steep hills do not stop time") {
    boost::random::mt19937 generator(1);
    boost::random::uniform_real_distribution<double> rough(-0.01, 0.01);
    const RoadVehicle v = buggy();
    for (int i = 0; i < 40; ++i) {
        EngineCurve engine = hump();
        for (double& torque : engine.torque_nm)
            torque *= 1.0 + rough(generator);
        const RoadRun run = driveCourse(v, engine, *builtInCourse("larkfell-hill"), kAir);
        REQUIRE(run.finished());
        CHECK(run.moments.size() < 10000); // one that stands still makes millions
    }
    Course steep = straight(100.0);
    steep.pieces.push_back({60.0, 0.45, 9.0});
    steep.pieces.push_back({60.0, 0.5, 11.0});
    const RoadRun run = driveCourse(v, hump().times(0.7), steep, kAir);
    INFO(inEnglish({run.whyNot}));
    CHECK(run.finished()); // first gear pulls 3.5 kN at the hump, the steepest piece asks for 3.0 kN
    CHECK(run.moments.size() < 5000);
}

TEST_CASE("between two speeds the best gear is at least as quick as any one") {
    RoadVehicle v = buggy();
    const Course course = *builtInCourse("60-100");
    const double best = timeOf(v, hump(), course);
    CHECK(course.from_ms == Approx(16.6667).epsilon(1e-4));
    const std::vector<double> all = v.gears;
    for (const double gear : all) {
        v.gears = {gear};
        const RoadRun run = driveCourse(v, hump(), course, kAir);
        if (run.finished())
            CHECK(run.time_s >= best - 1e-6);
    }
}

TEST_CASE("between two speeds a gear that ends below a speed that the next cannot hold is the end, at once") {
    RoadVehicle v = buggy();
    for (double drag_m2 = 0.5; drag_m2 < 40.0; drag_m2 *= 1.2) {
        v.dragArea_m2 = drag_m2;
        const RoadRun run = driveCourse(v, hump(), *builtInCourse("60-100"), kAir);
        const auto top = topSpeed(v, hump(), {0.0, kAir});
        INFO("drag area " << drag_m2 << ", top speed " << (top ? top->speed_ms * 3.6 : 0.0) << " km/h");
        CHECK(run.finished() == (top && top->speed_ms > 100.0 / 3.6));
        CHECK(run.moments.size() < 2000);
    }
}

TEST_CASE("the trade's rules of thumb for a quarter mile bracket the model") {
    // From memory: seconds = 5.825 (pounds / horsepower)^(1/3), miles an hour = 234 (horsepower / pounds)^(1/3).
    // They know nothing of grip: all wheels drive.
    RoadVehicle v = buggy();
    v.driven = DrivenAxle::All;
    for (const double mass_kg : {700.0, 1100.0, 1600.0})
        for (const double factor : {1.5, 2.5, 3.5}) {
            v.mass_kg = mass_kg;
            const EngineCurve engine = hump().times(factor);
            double power_w = 0.0;
            for (size_t i = 0; i < engine.rpm.size(); ++i)
                power_w = std::max(power_w, engine.torque_nm[i] * engine.rpm[i] * 2.0 * M_PI / 60.0);
            if (power_w / mass_kg > 250.0)
                continue; // grip, which they do not know, bounds even four wheels
            const double ratio = mass_kg / 0.45359237 / (power_w / 745.7);
            const RoadRun run = driveCourse(v, engine, *builtInCourse("standing-quarter-mile"), kAir);
            INFO(mass_kg << " kg, " << power_w / 1000.0 << " kW: " << run.time_s << " s");
            CHECK(run.time_s == Approx(5.825 * std::cbrt(ratio)).epsilon(0.13));
            CHECK(run.endSpeed_ms * 3.6 / 1.609344 == Approx(234.0 / std::cbrt(ratio)).epsilon(0.13));
        }
}

TEST_CASE("the time at full throttle is spread over the speeds where it was spent") {
    const RoadRun run = driveCourse(buggy(), hump(), *builtInCourse("larkfell-hill"), kAir);
    const std::vector<SpeedShare> use = timeAtSpeeds(run);
    double sum = 0.0;
    for (const SpeedShare& one : use) {
        CHECK(one.rpm >= 1950.0);
        CHECK(one.rpm <= 7050.0);
        sum += one.share;
    }
    CHECK(sum == Approx(1.0));
}

TEST_CASE("under a constant force every speed between two takes the same time") {
    const RoadVehicle v = plainVehicle();
    const Course course{"roll", {}, {}, v.speedAt(2000.0, 0), v.speedAt(4000.0, 0)};
    const std::vector<SpeedShare> use = timeAtSpeeds(driveCourse(v, flatTorque(200.0), course, 0.0));
    double inside = 0.0;
    for (const SpeedShare& one : use)
        if (one.rpm > 2000.0 && one.rpm < 4000.0) {
            CHECK(one.share == Approx(0.05).epsilon(1e-3));
            inside += one.share;
        }
    CHECK(inside == Approx(1.0).epsilon(1e-3));
}

TEST_CASE("a course in hundreds of pieces is driven to its end") {
    const Course hill = *builtInCourse("larkfell-hill");
    Course fine = hill;
    fine.pieces.clear();
    for (const CoursePiece& piece : hill.pieces)
        for (int i = 0; i < 30; ++i)
            fine.pieces.push_back({piece.length_m / 30.0, piece.gradient, piece.limit_ms});
    CHECK(timeOf(buggy(), hump(), fine) == Approx(timeOf(buggy(), hump(), hill)).epsilon(1e-6));
}

TEST_CASE("a vehicle is taken with what is usual, and what is missing is named") {
    TestDay day = test::smallDay("A3 B3 A3", 3.0);
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    const DayRoad none = dayRoad(day, analysis, *builtInCourse("standing-400m"));
    CHECK(inEnglish({none.whyNot}).find("drag_area_m2") != std::string::npos);
    Vehicle& v = day.article.vehicle;
    v.mass_kg = 500.0;
    v.tyreRadius_m = 0.3;
    v.finalDrive = 4.0;
    v.gears = {3.0, 2.0, 1.4, 1.0};
    v.dragArea_m2 = 0.8;
    const DayRoad road = dayRoad(day, analysis, *builtInCourse("standing-400m"));
    REQUIRE(road.whyNot.empty());
    CHECK(road.taken.size() == 6); // driver, rolling, grip, shift, efficiency, launch
    REQUIRE(road.builds.size() == 2);
    CHECK(road.airDensity_kg_m3 == Approx(99000.0 / (287.05 * 298.15)));
    REQUIRE(road.differences.size() == 1);
    const RoadDifference& d = road.differences.front();
    CHECK(d.delta_s < 0.0); // 3 % more power is quicker
    CHECK(d.delta_s == Approx(road.builds[1].run.time_s - road.builds[0].run.time_s).epsilon(0.02));
    CHECK(d.low_s < d.delta_s);
    CHECK(d.delta_s < d.high_s);
    CHECK(d.proven());
    CHECK(inEnglish(roadSummary(road, d)).find("Over the standing 400 m, B is") == 0);
    REQUIRE(d.byPiece_s.size() == 1);
    CHECK(d.byPiece_s[0] == Approx(road.builds[1].run.time_s - road.builds[0].run.time_s).epsilon(1e-6));
    CHECK_FALSE(road.builds[0].times.empty());

    // Behind hubs and wheels no driveline takes its share.
    CHECK(takeVehicle(day, {MeasuredAt::Crank, false}).vehicle.efficiency == 0.9);
    CHECK(takeVehicle(day, {MeasuredAt::Hub, false}).vehicle.efficiency == 1.0);
    CHECK(takeVehicle(day, {MeasuredAt::Wheel, false}).vehicle.efficiency == 1.0);

    // Gears that cannot be meant; a course on which only grip counts.
    TestDay odd = day;
    for (const std::vector<double>& gears : {std::vector<double>{0.0, 2.0, 1.0}, {1.0, 2.0}, {-3.0, -4.0}}) {
        odd.article.vehicle.gears = gears;
        CHECK(inEnglish({dayRoad(odd, analysis, *builtInCourse("standing-400m")).whyNot}).find("gears") !=
              std::string::npos);
    }
    odd.article.vehicle = v;
    odd.article.vehicle.tyreGrip = 0.05;
    const DayRoad ice = dayRoad(odd, analysis, *builtInCourse("standing-400m"));
    CHECK(ice.whyNothing() == ice.whyNoDifference);
    CHECK(road.whyNothing().empty());
    const DayRoad wall = dayRoad(day, analysis, {"wall", {{100.0, 0.6}}});
    CHECK(wall.whyNothing() == wall.builds.front().run.whyNot);
    CHECK(useOnCourse(wall).empty());
    CHECK(ice.differences.empty());
    CHECK(inEnglish({ice.whyNoDifference}).find("grip") != std::string::npos);

    // Thin air of the course: less torque, later there.
    Course high = *builtInCourse("standing-400m");
    high.air = Atmosphere{25.0, 80000.0, {HumidityKind::RelativeHumidity_pct, 0.0}};
    const DayRoad thin = dayRoad(day, analysis, high);
    CHECK(thin.torque.airFactor < 0.85);
    CHECK(thin.builds[0].run.time_s > road.builds[0].run.time_s);

    // The interval is that of the mean, as far as the time answers to power.
    const DayRoad hill = dayRoad(day, analysis, *builtInCourse("larkfell-hill"));
    const BandResult& mean = analysis.comparisons.front().bands.front();
    const double relative = (mean.high_w - mean.low_w) / mean.delta_w;
    CHECK((hill.differences[0].low_s - hill.differences[0].high_s) / hill.differences[0].delta_s ==
          Approx(relative).epsilon(0.5));
}

TEST_CASE("a converter multiplies torque at its stall and is nothing but a clutch from nine tenths of it on") {
    RoadVehicle clutch = buggy();
    clutch.tyreGrip = 100.0;
    clutch.launch_rpm = 3000.0;
    RoadVehicle converter = clutch;
    converter.converterTorqueRatio = 2.2;
    const RoadState flat{0.0, kAir};
    const auto ratio = [&](double input_rpm) {
        const double speed = clutch.speedAt(input_rpm, 0);
        return tractiveForce_n(converter, hump(), 0, speed, flat) / tractiveForce_n(clutch, hump(), 0, speed, flat);
    };
    CHECK(ratio(0.0) == Approx(2.2));
    CHECK(ratio(1350.0) == Approx(1.6)); // half way to 2 700
    CHECK(ratio(2700.0) == Approx(1.0));
    CHECK(ratio(2900.0) == Approx(1.0));
    CHECK(ratio(5000.0) == Approx(1.0));
    CHECK(timeOf(converter, hump(), straight(100.0)) < timeOf(clutch, hump(), straight(100.0)));
}

TEST_CASE("a run that was timed gives back the number that it was driven with") {
    DayRoad road;
    road.vehicle = buggy();
    road.course = *builtInCourse("standing-quarter-mile");
    road.airDensity_kg_m3 = kAir;
    RoadVehicle truth = buggy();
    truth.dragArea_m2 = 1.234;
    const RoadRun timed = driveCourse(truth, hump(), road.course, kAir);
    const RunFit byTime = fitToRun(road, hump(), FittedNumber::DragArea, {timed.time_s, std::nullopt});
    REQUIRE(byTime.value);
    CHECK(*byTime.value == Approx(1.234).epsilon(1e-4));
    CHECK(inEnglish({byTime.said}).find("drag area of 1.234") != std::string::npos);
    // A speed at the end may be reached with several: a shift falls before the end or behind it.
    RoadVehicle fitted = road.vehicle;
    fitted.dragArea_m2 = *fitToRun(road, hump(), FittedNumber::DragArea, {std::nullopt, timed.endSpeed_ms}).value;
    CHECK(driveCourse(fitted, hump(), road.course, kAir).endSpeed_ms == Approx(timed.endSpeed_ms).epsilon(1e-4));

    truth = buggy();
    truth.launch_rpm = 3600.0; // below the grip of the tyres: it tells
    truth.tyreGrip = road.vehicle.tyreGrip = 3.0;
    const RoadRun launched = driveCourse(truth, hump(), road.course, kAir);
    CHECK(*fitToRun(road, hump(), FittedNumber::Launch, {launched.time_s, std::nullopt}).value ==
          Approx(3600.0).margin(2.0));

    CHECK_FALSE(fitToRun(road, hump(), FittedNumber::DragArea, {3.0, std::nullopt}).value);
    CHECK_FALSE(fitToRun(road, hump(), FittedNumber::Launch, {3.0, std::nullopt}).value);
    CHECK_FALSE(fitToRun(road, hump(), FittedNumber::DragArea, {}).value);
    road.course = *builtInCourse("60-100");
    CHECK_FALSE(fitToRun(road, hump(), FittedNumber::Launch, {5.0, std::nullopt}).value);
    CHECK_FALSE(fitToRun(road, hump(), FittedNumber::DragArea, {std::nullopt, 20.0}).value);
    const double rolling = driveCourse(road.vehicle, hump(), road.course, kAir).time_s;
    CHECK(*fitToRun(road, hump(), FittedNumber::DragArea, {rolling, std::nullopt}).value == Approx(0.85).epsilon(1e-4));
}

TEST_CASE("corners known by their radius are driven at the tyres' grip, the slower of two limits counts") {
    Course course{"bends", {{100.0, 0.0}, {20.0, 0.0}, {100.0, 0.0}}};
    course.pieces[1].radius_m = 20.0;
    CHECK(*withCornerSpeeds(course, 0.8).pieces[1].limit_ms ==
          Approx(12.5262).epsilon(1e-5)); // sqrt(0.8 * 9.80665 * 20)
    CHECK_FALSE(withCornerSpeeds(course, 0.8).pieces[0].limit_ms);
    course.pieces[1].limit_ms = 10.0;
    CHECK(*withCornerSpeeds(course, 0.8).pieces[1].limit_ms == 10.0);
    course.pieces[1].limit_ms = 14.0;
    CHECK(*withCornerSpeeds(course, 0.8).pieces[1].limit_ms == Approx(12.5262).epsilon(1e-5));
}

TEST_CASE("losses that the day added on the way to the engine are taken off again at the wheels") {
    TestDay day = readDay(test::rollerDay());
    AnalysisSettings settings;
    settings.reduce.standard = Standard::Uncorrected; // else the air also corrects what was added
    const Course course = *builtInCourse("standing-400m");
    const auto timeWith = [&](LossMethod method) {
        day.loss.method = method;
        DrawCache cache;
        const DayRoad road = dayRoad(day, analyse(day, settings, cache), course);
        REQUIRE(road.whyNot.empty());
        CHECK((inEnglish(road.taken).find("taken off again") != std::string::npos) == (method != LossMethod::None));
        return road.builds.front().run.time_s;
    };
    const double atWheels = timeWith(LossMethod::None);
    CHECK(timeWith(LossMethod::Percent) == Approx(atWheels).epsilon(1e-6));
    CHECK(timeWith(LossMethod::CoastDown) == Approx(atWheels).epsilon(1e-3)); // geometric means of sums: not the same
}

TEST_CASE("where a hill is won is said by its corners, and a course can be a use") {
    TestDay day = readDay(test::boostDay());
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    const DayRoad road = dayRoad(day, analysis, *builtInCourse("larkfell-hill"));
    const RoadDifference* difference = road.find("A", "B");
    REQUIRE(difference);
    RoadDifference out = *difference;
    out.byPiece_s.assign(out.byPiece_s.size(), 0.0);
    out.byPiece_s[4] = -0.5; // after the lower hairpin
    out.byPiece_s[7] = -0.4; // the moor gate itself
    const std::string said = inEnglish(roadSummary(road, out));
    INFO(said);
    CHECK(said.find("548 m (out of the lower hairpin)") != std::string::npos);
    CHECK(said.find("844 m (in the moor bend)") != std::string::npos);

    out.delta_s = -0.85;
    out.low_s = -0.93;
    out.high_s = -0.77;
    out.base_s = 58.9;
    CHECK(inEnglish(roadSummary(road, out)).find("B is 0.85 \xC2\xB1 0.08 s quicker than A, of 58.9 s") !=
          std::string::npos);
    const LeadAlong lead = leadAlong(analysis, road, "A", "B");
    REQUIRE(lead.low_s.size() == lead.later_s.size());
    CHECK(lead.high_s.front() == lead.low_s.front()); // nothing is behind anybody yet
    CHECK(lead.low_s.back() - lead.later_s.back() == Approx(difference->low_s - difference->delta_s).epsilon(1e-6));
    CHECK(lead.high_s.back() - lead.later_s.back() == Approx(difference->high_s - difference->delta_s).epsilon(1e-6));
    for (size_t i = 1; i < lead.low_s.size(); ++i)
        CHECK(lead.high_s[i] - lead.low_s[i] >= 0.0);
    CHECK(road.times->until_m.back() == Approx(road.course.length_m()));
    const DayRoad rolling = dayRoad(day, analysis, *builtInCourse("60-100"));
    CHECK(rolling.times->until.empty());
    const LeadAlong lead60 = leadAlong(analysis, rolling, "A", "B");
    const RoadDifference* between = rolling.find("A", "B");
    CHECK(lead60.high_s.back() - lead60.low_s.back() <= (between->high_s - between->low_s) * 1.0001);
    CHECK(leadAlong(analysis, road, "A", "no such build").distance_m.empty());

    const RoadBuild& driven = *road.build("A");
    CHECK(driven.passings.empty()); // a hill with corners
    CHECK(rolling.build("A")->passings.empty());
    const DayRoad kilometre = dayRoad(day, analysis, *builtInCourse("standing-1000m"));
    REQUIRE(kilometre.build("A")->passings.size() == 2); // 100 and 400 m
    // The run to 400 m is the course of 400 m.
    const DayRoad short400 = dayRoad(day, analysis, *builtInCourse("standing-400m"));
    CHECK(kilometre.build("A")->passings[1].seconds == Approx(short400.build("A")->run.time_s).epsilon(1e-5));
    CHECK(kilometre.build("A")->passings[1].speed_ms == Approx(short400.build("A")->run.endSpeed_ms).epsilon(1e-3));
    REQUIRE(driven.top);
    CHECK(driven.top->speed_ms > driven.run.endSpeed_ms);

    CHECK(useOnCourse(road, "B").size() > 5);
    CHECK(useOnCourse(road).size() == road.builds.front().use.size());
    CHECK(useOnCourse(road, "no such build").empty());

    CHECK_FALSE(courseOfDay(day));
    day.plan.course = Course{"larkfell-hill"}; // its name tells
    CHECK(courseOfDay(day)->pieces.size() == 11);
    day.plan.course = Course{"own", {{100.0, 0.0}}};
    CHECK(courseOfDay(day)->pieces.size() == 1);
}

TEST_CASE("one speed held: the mean power there, through the day's model") {
    const TestDay day = test::smallDay("A3 B3 A3", 3.0);
    DrawCache cache;
    AnalysisSettings settings;
    const double middle = 4500.0;
    settings.bands = {{middle - 200.0, middle + 200.0}};
    const DayAnalysis analysis = analyse(day, settings, cache);
    Course course{.name = "held", .held = HeldSpeed{middle, 200.0}};
    const HeldAnswer answer = heldAnswer(day, analysis, course);
    REQUIRE(answer.whyNot.empty());
    const HeldDifference* found = answer.find("A", "B");
    REQUIRE(found);
    // The same as the day's own band over these speeds, which goes another way.
    const std::vector<BandResult>& bands = analysis.comparisons.front().bands;
    const auto band = std::find_if(bands.begin(), bands.end(), [&](const BandResult& one) {
        return one.range_rpm.low == middle - 200.0 && one.range_rpm.high == middle + 200.0;
    });
    REQUIRE(band != bands.end());
    CHECK(found->delta_w == Approx(band->delta_w).epsilon(1e-9));
    CHECK(found->low_w == Approx(band->low_w).epsilon(1e-9));
    CHECK(found->high_w == Approx(band->high_w).epsilon(1e-9));
    CHECK(found->base_w == Approx(band->base_w).epsilon(1e-9));
    CHECK(found->mayClaim);
    CHECK(found->proven());
    CHECK(inEnglish(heldSummary(answer, *found)).find("B gives") != std::string::npos);
    CHECK(inEnglish(heldSummary(answer, *found)).find("more than A") != std::string::npos);
    const HeldDifference* back = answer.find("B", "A");
    REQUIRE(back);
    CHECK(inEnglish(heldSummary(answer, *back)).find("less than B") != std::string::npos);
    const HeldDifference plain{"A", "B", 60000.0, 2200.0, 1700.0, 2700.0, true};
    CHECK(inEnglish(heldSummary(answer, plain)).find("B gives 2.2 \xC2\xB1 0.5 kW more than A, of 60.0 kW") !=
          std::string::npos);
    HeldDifference open = *found;
    open.low_w = -1.0;
    CHECK(inEnglish(heldSummary(answer, open)).find("cannot tell") != std::string::npos);
    open.mayClaim = false;
    CHECK(inEnglish(heldSummary(answer, open)).find("if nothing drifted") != std::string::npos);
    open.low_w = std::nan("");
    CHECK(inEnglish(heldSummary(answer, open)).find("no pull was repeated") != std::string::npos);

    // Thin air takes from both alike.
    course.air = Atmosphere{25.0, 80000.0, {HumidityKind::RelativeHumidity_pct, 0.0}};
    const HeldAnswer thin = heldAnswer(day, analysis, course);
    const double factor = thin.build("A")->power_w / answer.build("A")->power_w;
    CHECK(factor < 0.85);
    CHECK(thin.find("A", "B")->delta_w == Approx(factor * found->delta_w).epsilon(1e-9));

    course.held->rpm = 20000.0;
    CHECK(inEnglish(heldAnswer(day, analysis, course).whyNot).find("outside what all pulls share") !=
          std::string::npos);
    CHECK(inEnglish(dayRoad(day, analysis, course).whyNot).find("nothing is driven") != std::string::npos);
    CHECK(inEnglish(courseName(course)).find("held") != std::string::npos);
}
