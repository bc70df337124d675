// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Every kind of dyno and sweep, simulated with a known truth: does the engine's torque come back?

#include "core/compare/analyse.h"
#include "core/pull/coast_down.h"
#include "core/pull/differentiate.h"
#include "core/pull/events.h"
#include "core/pull/reduce.h"
#include "core/units/units.h"
#include "day_support.h"
#include "english.h"
#include "support.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

constexpr double kRatio = 4.2;

sim::CellSpec cell(double sample_pct) {
    sim::CellSpec spec = test::cellSpec("A1", 0.0);
    spec.protocol = {2500.0, 7000.0, 500.0, 100.0, std::nullopt, std::nullopt};
    spec.noise = {0.0, 0.0, 250.0, sample_pct};
    spec.weather = {{0.0, 25.0, 99.0, 0.0}}; // J1349's own state, dry: the factor is 1
    return spec;
}

sim::CellSpec rollers(double sample_pct) {
    sim::CellSpec spec = cell(sample_pct);
    spec.day.cell.kind = CellKind::ChassisInertia;
    spec.day.cell.measuredAt = MeasuredAt::Wheel;
    spec.day.cell.rollerInertia_kgm2 = 45.0;
    spec.day.cell.rollerRadius_m = 0.25;
    spec.day.article.vehicle.tyreRadius_m = 0.29;
    spec.protocol.ratio = kRatio;
    return spec;
}

/// How far a curve lies from the simulated engine over the middle 90 % of its range, in parts of it.
struct Error {
    double mean = 0.0;
    double rms = 0.0;
};
Error errorOf(const Curve& curve, const std::function<double(double)>& truth_nm) {
    const double low = curve.rpm.front() + 0.05 * (curve.rpm.back() - curve.rpm.front());
    const double high = curve.rpm.back() - 0.05 * (curve.rpm.back() - curve.rpm.front());
    Error out;
    double count = 0.0;
    for (size_t i = 0; i < curve.rpm.size(); ++i) {
        if (curve.rpm[i] < low || curve.rpm[i] > high)
            continue;
        const double off = curve.torque_nm[i] / truth_nm(curve.rpm[i]) - 1.0;
        out.mean += off;
        out.rms += off * off;
        count += 1.0;
    }
    return {out.mean / count, std::sqrt(out.rms / count)};
}

std::function<double(double)> engineOf(const sim::CellSpec& spec) {
    const HumidAir reference = humidAir({25.0, 99000.0, {HumidityKind::RelativeHumidity_pct, 0.0}});
    return [spec, reference](double rpm) { return sim::fullLoadTorque_nm(spec.engine, {}, reference, rpm); };
}

/// The engine's torque less the losses of the simulated driveline.
std::function<double(double)> wheelsOf(const sim::CellSpec& spec) {
    return [engine = engineOf(spec), spec](double rpm) {
        return engine(rpm) - spec.losses.torque_nm(angularSpeed(rpm) / kRatio) / kRatio;
    };
}

Curve curveByDyno(const sim::CellSpec& spec, unsigned seed = 11, const std::optional<LossCurve>& loss = std::nullopt) {
    const TestDay day = sim::simulateDay(spec, seed);
    return reduce(day.pulls[0], dynoOf(day), {}, loss);
}

void checkRecovered(const Curve& curve, const std::function<double(double)>& truth_nm) {
    const Error error = errorOf(curve, truth_nm);
    INFO("mean " << 100.0 * error.mean << " %, rms " << 100.0 * error.rms << " %");
    CHECK(std::abs(error.mean) < 0.003);
    CHECK(error.rms < 0.003);
}

} // namespace

TEST_CASE("brakes of every kind give the engine back, sweeping up and down") {
    for (const CellKind kind : {CellKind::EngineBrake, CellKind::HubBrake, CellKind::ChassisBrake}) {
        for (const SweepDirection sweep : {SweepDirection::Up, SweepDirection::Down}) {
            for (unsigned seed = 1; seed <= 5; ++seed) {
                sim::CellSpec spec = cell(0.6);
                spec.day.cell.kind = kind;
                spec.day.cell.sweep = sweep;
                INFO(cellKindName(kind) << " " << sweepName(sweep) << " seed " << seed);
                const Curve curve = curveByDyno(spec, seed);
                checkRecovered(curve, engineOf(spec));
                CHECK(curve.sweep().window_rpm.low < 2600.0); // trims within 100 rpm of the truth
                CHECK(curve.sweep().window_rpm.high > 6900.0);
                CHECK(curve.sweep().window_rpm.high <= 7005.0);
            }
        }
    }
}

TEST_CASE("held steps give the engine back, and say what was between them") {
    for (unsigned seed = 1; seed <= 5; ++seed) {
        sim::CellSpec spec = cell(0.6);
        spec.day.cell.sweep = SweepDirection::Steps;
        const Curve curve = curveByDyno(spec, seed);
        REQUIRE(curve.steps().size() == 10);
        for (size_t i = 0; i < curve.steps().size(); ++i) {
            CHECK(curve.steps()[i].rpm == Approx(2500.0 + 500.0 * static_cast<double>(i)).margin(5.0));
            CHECK(curve.steps()[i].torque_nm == Approx(engineOf(spec)(curve.steps()[i].rpm)).epsilon(0.002));
            CHECK(curve.steps()[i].torqueSd_nm < 0.003 * curve.steps()[i].torque_nm);
        }
        checkRecovered(curve, engineOf(spec));
        int between = 0;
        for (const Trim& trim : curve.sweep().trims)
            between += trim.reason == TrimReason::BetweenSteps ? 1 : 0;
        CHECK(between == 9);
        CHECK(curve.sweep().window_rpm.low == Approx(2500.0).margin(5.0));
        CHECK(curve.sweep().window_rpm.high == Approx(7000.0).margin(5.0));
    }
}

TEST_CASE("held steps obey a window set by hand and need four speeds") {
    sim::CellSpec spec = cell(0.3);
    spec.day.cell.sweep = SweepDirection::Steps;
    TestDay day = sim::simulateDay(spec, 3);
    day.pulls[0].window_rpm = RpmRange{3400.0, 5600.0};
    const Curve curve = reduce(day.pulls[0], dynoOf(day), {});
    CHECK(curve.steps().size() == 5);
    CHECK(curve.rpm.front() >= 3500.0 - 5.0);
    CHECK(curve.rpm.back() <= 5500.0 + 5.0);
    day.pulls[0].window_rpm = RpmRange{3400.0, 4600.0};
    CHECK(test::messageOf([&] { (void)reduce(day.pulls[0], dynoOf(day), {}); }).find("only 3 held speeds") !=
          std::string::npos);
}

TEST_CASE("the inertia of an accelerating engine is given back when it is known") {
    for (const double inertia : {0.05, 0.15}) {
        for (const SweepDirection sweep : {SweepDirection::Up, SweepDirection::Down}) {
            sim::CellSpec spec = cell(0.6);
            spec.day.cell.sweep = sweep;
            spec.day.article.engine.inertia_kgm2 = inertia;
            checkRecovered(curveByDyno(spec), engineOf(spec));
            TestDay day = sim::simulateDay(spec, 11);
            Dyno unknowing = dynoOf(day);
            unknowing.engineInertia_kgm2.reset();
            const Error error = errorOf(reduce(day.pulls[0], unknowing, {}), engineOf(spec));
            const double sign = sweep == SweepDirection::Up ? -1.0 : 1.0; // speeding up hides torque, slowing lends it
            CHECK(sign * error.mean > 0.4 * inertia * angularSpeed(500.0) / 100.0);
        }
    }
}

TEST_CASE("inertia rollers give back what arrives at the wheels") {
    for (unsigned seed = 1; seed <= 5; ++seed) {
        INFO("seed " << seed);
        sim::CellSpec spec = rollers(0.6);
        const Curve plain = curveByDyno(spec, seed);
        checkRecovered(plain, engineOf(spec));
        CHECK(plain.source().ratio.value() == Approx(kRatio).epsilon(0.001));
        CHECK(plain.source().differentiation_s >= 0.1);
        CHECK(plain.source().differentiation_s <= 1.2);
        REQUIRE_FALSE(plain.source().basis.empty());
        CHECK(inEnglish(plain.source().basis.front()).find("differentiated over") != std::string::npos);
        CHECK(inEnglish(placePhrase(plain.place)) == "at the wheel");

        spec.losses = {6.0, 0.05, 0.0004};
        checkRecovered(curveByDyno(spec, seed), wheelsOf(spec));
        spec.protocol.retarder_nm = 60.0;
        checkRecovered(curveByDyno(spec, seed), wheelsOf(spec));
    }
}

TEST_CASE("rollers with engine and driveline inertia give back the steady power") {
    sim::CellSpec spec = rollers(0.6);
    spec.day.article.engine.inertia_kgm2 = 0.12;
    spec.day.article.vehicle.drivelineInertia_kgm2 = 1.6;
    spec.losses = {6.0, 0.05, 0.0004};
    checkRecovered(curveByDyno(spec), wheelsOf(spec));
}

TEST_CASE("a coast-down gives the loss curve, and the crank is an estimate that says so") {
    sim::CellSpec spec = rollers(0.6);
    spec.losses = {25.0, 0.2, 0.0015};
    spec.protocol.coastDown_s = 90.0;
    spec.order = {{"A", 3, 0.0, 4.0}};
    spec.day.loss.method = LossMethod::CoastDown;
    const TestDay day = sim::simulateDay(spec, 5);
    const ReducedDay reduced = reduceDay(day, {});
    REQUIRE(reduced.loss.has_value());
    CHECK(reduced.loss->pulls == 3);
    CHECK(reduced.notes.empty()); // the coast-downs cover the sweep
    for (const double w : {60.0, 90.0, 120.0, 160.0})
        CHECK(reduced.loss->torque_nm(w) == Approx(spec.losses.torque_nm(w)).epsilon(0.01));
    for (const PullResult& pull : reduced.pulls) {
        checkRecovered(*pull.curve, engineOf(spec));
        CHECK(inEnglish(placePhrase(pull.curve->place)) == "at the crank (estimate)");
        CHECK(inEnglish(placeShort(pull.curve->place)) == "crank (estimate)");
        CHECK(pull.curve->loss_w.size() == pull.curve->rpm.size());
    }
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    CHECK(analysis.place == PowerPlace{MeasuredAt::Crank, true});
    bool said = false;
    for (const std::string& note : eachInEnglish(analysis.notes))
        said |= note.find("estimate from the coast-downs of 3 pulls") != std::string::npos;
    CHECK(said);
}

TEST_CASE("a coast-down that ends early is used and its limit is said") {
    sim::CellSpec spec = rollers(0.3);
    spec.losses = {9.0, 0.08, 0.0006};
    spec.protocol.coastDown_s = 20.0;
    spec.day.loss.method = LossMethod::CoastDown;
    const ReducedDay reduced = reduceDay(sim::simulateDay(spec, 5), {});
    REQUIRE(reduced.loss.has_value());
    CHECK(reduced.loss->torque_nm(160.0) == Approx(spec.losses.torque_nm(160.0)).epsilon(0.02));
    REQUIRE(reduced.notes.size() == 1);
    CHECK(inEnglish(reduced.notes[0]).find("extrapolated") != std::string::npos);
}

TEST_CASE("the factor belongs on the engine's brake power: losses that were added are corrected with it") {
    sim::CellSpec spec = rollers(0.0);
    spec.losses = {9.0, 0.08, 0.0006};
    spec.protocol.coastDown_s = 30.0;
    spec.day.loss.method = LossMethod::CoastDown;
    spec.weather = {{0.0, 32.0, 94.0, 45.0}};
    const TestDay day = sim::simulateDay(spec, 5);
    const ReducedDay reduced = reduceDay(day, {});
    const Curve& curve = *reduced.pulls[0].curve;
    ReduceSettings raw;
    raw.standard = Standard::Uncorrected;
    TestDay atWheel = day;
    atWheel.loss.method = LossMethod::None;
    const Curve wheel = reduce(atWheel.pulls[0], dynoOf(atWheel), raw);
    for (size_t i = 10; i + 10 < curve.rpm.size(); i += 10)
        CHECK(curve.power_w[i] == Approx(curve.air.factor * (wheel.power_w[i] + curve.loss_w[i])).epsilon(1e-9));
}

TEST_CASE("without a usable coast-down figures stay where they were measured, with the reason") {
    sim::CellSpec spec = rollers(0.3);
    spec.day.loss.method = LossMethod::CoastDown;
    ReducedDay reduced = reduceDay(sim::simulateDay(spec, 2), {});
    CHECK_FALSE(reduced.loss);
    REQUIRE(reduced.notes.size() == 1);
    CHECK(inEnglish(reduced.notes[0]).find("no coast-down was recorded") != std::string::npos);
    TestDay longer = sim::simulateDay(spec, 2);
    auto table = std::make_shared<ChannelTable>(*longer.pulls[0].raw);
    for (Column& column : table->columns) // three more seconds at the last speed, still in gear
        for (int i = 1; i <= 300; ++i)
            column.values.push_back(column.values.back() + (column.name == "time" ? 0.01 : 0.0));
    longer.pulls[0].raw = table;
    CHECK(inEnglish(reduceDay(longer, {}).notes.at(0)).find("stayed coupled") != std::string::npos);
    CHECK(reduced.pulls[0].curve->place == PowerPlace{MeasuredAt::Wheel, false});
    spec.day.cell = test::cellSpec("A1", 0.0).day.cell;
    spec.day.cell.measuredAt = MeasuredAt::Wheel;
    reduced = reduceDay(sim::simulateDay(spec, 2), {});
    REQUIRE(reduced.notes.size() == 1);
    CHECK(inEnglish(reduced.notes[0]).find("inertia of the rollers is not known") != std::string::npos);
}

TEST_CASE("a fixed percentage is the crude way, and is labelled so") {
    sim::CellSpec spec = cell(0.0);
    spec.day.cell.measuredAt = MeasuredAt::Wheel;
    spec.day.loss = {LossMethod::Percent, 20.0, MeasuredAt::Crank, {}};
    const TestDay day = sim::simulateDay(spec, 2);
    const Curve crank = reduce(day.pulls[0], dynoOf(day), {});
    TestDay plain = day;
    plain.loss = {};
    const Curve wheel = reduce(plain.pulls[0], dynoOf(plain), {});
    CHECK(crank.power_w[20] == Approx(wheel.power_w[20] / 0.8));
    CHECK(crank.place.estimate);
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    CHECK(std::any_of(analysis.notes.begin(), analysis.notes.end(), [](const auto& note) {
        return inEnglish(note).find("20 % taken as lost") != std::string::npos;
    }));
    plain.loss = day.loss;
    plain.cell.measuredAt = MeasuredAt::Crank; // nothing lies between
    CHECK_FALSE(reduce(plain.pulls[0], dynoOf(plain), {}).place.estimate);
}

TEST_CASE("figures from different places are not compared without a warning") {
    CHECK(inEnglish(placeWarning({MeasuredAt::Wheel, false}, {MeasuredAt::Wheel, false})).empty());
    CHECK(inEnglish(placeWarning({MeasuredAt::Wheel, false}, {MeasuredAt::Crank, true})).find("losses between") !=
          std::string::npos);
    CHECK(inEnglish(placeWarning({MeasuredAt::Crank, false}, {MeasuredAt::Crank, true})).find("estimate") !=
          std::string::npos);
    TestDay day = sim::simulateDay(test::cellSpec("A3 B3", 0.0), 3);
    for (Pull& pull : day.pulls)
        if (pull.build == "B")
            pull.measuredAt = MeasuredAt::Wheel;
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    REQUIRE(analysis.comparisons.size() == 1);
    CHECK(analysis.comparisons[0].verdict == VerdictKind::NotComparable);
    CHECK_FALSE(analysis.comparisons[0].samePlace());
}

TEST_CASE("engine speed comes from the rollers when it was not recorded") {
    sim::CellSpec spec = rollers(0.3);
    spec.protocol.engineSpeed = false;
    TestDay day = sim::simulateDay(spec, 4);
    CHECK(test::messageOf([&] { (void)reduce(day.pulls[0], dynoOf(day), {}); }).find("no engine speed") !=
          std::string::npos);
    day.pulls[0].ratio = kRatio;
    checkRecovered(reduce(day.pulls[0], dynoOf(day), {}), engineOf(spec));
    day.pulls[0].ratio.reset();
    day.pulls[0].gear = 2;
    day.article.vehicle.finalDrive = 4.0;
    day.article.vehicle.gears = {2.0, kRatio / 4.0 * 0.29 / 0.25};
    const Curve curve = reduce(day.pulls[0], dynoOf(day), {});
    checkRecovered(curve, engineOf(spec));
    CHECK(inEnglish(curve.source().basis.front()).find("from gear and tyre") != std::string::npos);
}

TEST_CASE("engine speed comes from the road speed, gear and tyre when there is nothing else") {
    sim::CellSpec spec = cell(0.3);
    spec.day.cell.kind = CellKind::ChassisBrake;
    spec.day.cell.measuredAt = MeasuredAt::Wheel;
    spec.day.article.vehicle.tyreRadius_m = 0.3;
    spec.day.article.vehicle.finalDrive = 4.0;
    spec.day.article.vehicle.gears = {2.0, 1.25};
    spec.engine.turbo = true; // this cell's road speed belongs to the boosted engine
    spec.engine.baseBoost_kpa = {{2000, 40}, {8000, 40}};
    spec.protocol.gear = 2;
    spec.protocol.roadSpeed_kmh_per_krpm = angularSpeed(1000.0) / (4.0 * 1.25) * 0.3 * 3.6;
    spec.protocol.engineSpeed = false;
    TestDay day = sim::simulateDay(spec, 4);
    REQUIRE_FALSE(day.pulls[0].raw->find("engine_speed"));
    REQUIRE(day.pulls[0].raw->find("road_speed"));
    const Curve curve = reduce(day.pulls[0], dynoOf(day), {});
    CHECK(curve.rpm.front() < 2650.0);
    CHECK(curve.rpm.back() >= 6900.0);
    checkRecovered(curve, engineOf(spec));
    day.article.vehicle.tyreRadius_m.reset();
    CHECK(test::messageOf([&] { (void)reduce(day.pulls[0], dynoOf(day), {}); }).find("no engine speed") !=
          std::string::npos);
}

TEST_CASE("a torque in the wrong unit is corrected on top of its rows") {
    const sim::CellSpec spec = cell(0.0);
    TestDay day = sim::simulateDay(spec, 4);
    const Curve before = reduce(day.pulls[0], dynoOf(day), {});
    day.pulls[0].torqueFactor = unit::kPoundFoot_nm;
    const Curve after = reduce(day.pulls[0], dynoOf(day), {});
    CHECK(after.power_w[10] == Approx(unit::kPoundFoot_nm * before.power_w[10]));
    CHECK(inEnglish(after.source().basis.back()).find("corrected by hand") != std::string::npos);
    std::vector<std::string> words; // 1.3558 is lbf.ft, and within 1.2 % of PS and hp as well
    for (const UnitAnswer& answer : unitAnswers(1.3558))
        words.push_back(inEnglish(takenFor(answer)));
    CHECK(std::find(words.begin(), words.end(), "N.m taken for lbf.ft") != words.end());
    CHECK(std::find(words.begin(), words.end(), "PS taken for kW") != words.end());
    CHECK(unitAnswers(1.05).empty());
}

TEST_CASE("a derivative gives straight and parabolic courses back unchanged") {
    std::vector<double> t, line, parabola;
    for (int i = 0; i < 400; ++i) {
        t.push_back(0.01 * i + (i % 7 == 0 ? 0.003 : 0.0)); // not quite regular
        line.push_back(5.0 + 3.0 * t.back());
        parabola.push_back(1.0 - 2.0 * t.back() + 4.0 * t.back() * t.back());
    }
    const Derivative a = differentiate(t, line, 0.3);
    const Derivative b = differentiate(t, parabola, 0.3);
    for (size_t i = 0; i < t.size(); ++i) {
        CHECK(a.perSecond[i] == Approx(3.0).epsilon(1e-7));
        CHECK(b.perSecond[i] == Approx(-2.0 + 8.0 * t[i]).margin(1e-6));
    }
}

TEST_CASE("the stated bandwidth of the derivative is where half of a wiggle comes through") {
    std::vector<double> t, wiggle;
    const double width_s = 0.5;
    for (int i = 0; i < 2000; ++i)
        t.push_back(0.005 * i);
    Derivative shape = differentiate(t, std::vector<double>(t.size(), 0.0), width_s);
    for (const double time : t)
        wiggle.push_back(std::sin(2.0 * std::numbers::pi * shape.bandwidth_hz * time));
    shape = differentiate(t, wiggle, width_s);
    double most = 0.0;
    for (size_t i = 400; i < 1600; ++i)
        most = std::max(most, shape.perSecond[i]);
    CHECK(most == Approx(0.5 * 2.0 * std::numbers::pi * shape.bandwidth_hz).epsilon(0.01));
}

TEST_CASE("the derivative widens with the noise, and says how much of it is left") {
    boost::random::mt19937_64 generator(3);
    boost::random::normal_distribution<double> normal;
    double last_s = 0.0;
    for (const double noise : {0.0, 0.01, 0.05, 0.5}) {
        std::vector<double> t, v;
        for (int i = 0; i < 1500; ++i) {
            t.push_back(0.01 * i);
            v.push_back(50.0 + 10.0 * t.back() + noise * normal(generator));
        }
        const Derivative d = differentiate(t, v, 0, t.size() - 1);
        CHECK(d.width_s >= last_s);
        last_s = d.width_s;
        double squares = 0.0;
        for (size_t i = 300; i < 1200; ++i)
            squares += (d.perSecond[i] - 10.0) * (d.perSecond[i] - 10.0);
        CHECK(std::sqrt(squares / 900.0) == Approx(d.noise).epsilon(0.35).margin(1e-6));
    }
    CHECK(last_s == Approx(1.2));
}

TEST_CASE("a derivative knows how far apart its samples lie, and what their noise leaves in it") {
    boost::random::mt19937_64 generator(11);
    boost::random::normal_distribution<double> normal;
    for (const double step_s : {0.02, 0.05, 0.1}) {
        INFO(step_s << " s apart");
        std::vector<double> time_s;
        std::vector<double> values;
        // 400 widths and more: what is measured is then within 4 % itself.
        for (int i = 0; i < 20400; ++i) {
            time_s.push_back(step_s * i);
            values.push_back(3.0 * step_s * i + 0.5 * normal(generator));
        }
        CHECK(differentiate(time_s, values, 0.12).width_s == Approx(std::max(0.12, 5.0 * step_s)));
        const Derivative wide = differentiate(time_s, values, 1.0);
        double squares = 0.0;
        for (size_t i = 200; i < 20200; ++i)
            squares += (wide.perSecond[i] - 3.0) * (wide.perSecond[i] - 3.0);
        CHECK(wide.noise == Approx(std::sqrt(squares / 20000.0)).epsilon(0.12));
    }
}
