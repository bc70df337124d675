// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// How power answers to one setting that was run in steps, and where the best of it lies.

#include "core/compare/day_credit.h"
#include "english.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using Eigen::Index;
using Eigen::VectorXd;

namespace {

/// `levels` in the order they were run, two pulls each; the numbers are those of the levels, one pull a little above
/// and one below.
struct Steps {
    std::vector<double> levels;
    double (*truth)(double x);
    double noise = 0.002;

    [[nodiscard]] SettingDesign design() const {
        SettingDesign out;
        const auto pulls = static_cast<Index>(2 * levels.size());
        out.x.resize(pulls);
        out.hours.resize(pulls);
        for (Index i = 0; i < pulls; ++i) {
            out.x(i) = levels[static_cast<size_t>(i / 2)];
            out.hours(i) = 0.3 * static_cast<double>(i / 2) + 0.05 * static_cast<double>(i % 2);
        }
        out.driftTaken = std::count(levels.begin(), levels.end(), levels.front()) > 1;
        return out;
    }
    [[nodiscard]] VectorXd numbers() const {
        VectorXd out = design().x.unaryExpr([&](double x) { return truth(x); });
        for (Index i = 0; i < out.size(); ++i)
            out(i) += i % 2 == 0 ? noise : -noise;
        return out;
    }
    [[nodiscard]] SettingCurve respond() const { return SettingResponse::of(design(), 4000)->respond(numbers(), 4000); }
};

const std::vector<double> kFive{0.0, 0.5, 0.25, 1.0, 0.75, 0.0};
double hill(double x) { return 4.0 - 0.08 * (x - 0.6) * (x - 0.6); }

} // namespace

TEST_CASE("the response is that of a smoothing spline") {
    // Fitted values (I + lambda Q R^-1 Q')^-1 y with a natural cubic between them (Green and Silverman 1994, section
    // 2.3), lambda = 1/rho^2, worked in R 4.2.2 for x = 0, .125, .3, .45, .6, .8, 1 and y = .1, .42, .55, .49, .72, .6,
    // .2; at 0, .1 ... 1. R's own smooth.spline agrees to 3e-5 (it takes a third as 0.333).
    SettingDesign design;
    design.x.resize(7);
    design.x << 0.0, 0.125, 0.3, 0.45, 0.6, 0.8, 1.0;
    design.hours = VectorXd::LinSpaced(7, 0.0, 1.0);
    VectorXd y(7);
    y << 0.1, 0.42, 0.55, 0.49, 0.72, 0.6, 0.2;
    const auto response = SettingResponse::of(design, 4000);
    REQUIRE(response);
    const std::vector<double> rho = response->respond(y, 10).roughness;
    REQUIRE(rho.size() == 17);
    // clang-format off
    const struct { size_t node; double at[11]; } worked[] = {
        {6, {0.3256237, 0.3683171, 0.4082684, 0.4430471, 0.4706024, 0.4897648, 0.4996358, 0.4998205, 0.4917348, 0.4774691, 0.4600023}},
        {9, {0.2160956, 0.3245226, 0.4215524, 0.5001639, 0.5564409, 0.5897078, 0.5959165, 0.5689147, 0.5108461, 0.4274970, 0.3307460}},
        {12, {0.1518168, 0.3177576, 0.4434352, 0.5230237, 0.5722651, 0.6205286, 0.6580730, 0.6410176, 0.5588466, 0.4157052, 0.2391520}},
        {15, {0.1148048, 0.3529240, 0.4957844, 0.5345350, 0.5231285, 0.5821299, 0.6892579, 0.6974754, 0.5983516, 0.4218108, 0.2055855}}
    };
    // clang-format on
    for (const auto& one : worked)
        for (int i = 0; i <= 10; ++i)
            CHECK(response->meanWith(one.node, y)(5 * i) == Approx(one.at[i]).margin(2e-7));
}

TEST_CASE("a straight answer is taken as straight, and its end as the best") {
    const SettingCurve curve = Steps{kFive, [](double x) { return 4.0 + 0.05 * x; }}.respond();
    for (Index p = 0; p < kSettingPoints; ++p)
        CHECK(curve.mean(p) - curve.mean(0) == Approx(0.001 * static_cast<double>(p)).margin(0.003));
    const BestSetting best = bestSetting(curve);
    CHECK(best.named == 1.0);
    CHECK(best.atHighEnd > 0.9);
    CHECK(best.atLowEnd == 0.0);
    CHECK(costsAtMost(curve)(kSettingPoints - 1) < 0.002);
}

TEST_CASE("a hill has its best where it is, and what every point gives away is seen") {
    const SettingCurve curve = Steps{kFive, hill}.respond();
    const BestSetting best = bestSetting(curve);
    CHECK(best.named == Approx(0.6).margin(0.07));
    CHECK(best.low < 0.6);
    CHECK(best.high > 0.6);
    CHECK(best.high - best.low < 0.5);
    const VectorXd costs = costsAtMost(curve);
    CHECK(costs(0) > 0.08 * 0.36); // the truth gives away that much there
    CHECK(costs(0) < 0.08 * 0.36 + 0.02);
    CHECK(costs(30) < 0.01);
}

TEST_CASE("read from the other end the answer is the mirror image") {
    Steps steps{kFive, hill};
    const SettingCurve there = steps.respond();
    SettingDesign design = steps.design();
    design.x = (1.0 - design.x.array()).matrix();
    const SettingCurve back = SettingResponse::of(design, 4000)->respond(steps.numbers(), 10);
    for (size_t n = 0; n < there.ofRoughness.size(); ++n)
        CHECK(there.ofRoughness[n] == Approx(back.ofRoughness[n]).margin(1e-9));
    for (Index p = 0; p < kSettingPoints; ++p)
        CHECK(there.mean(p) == Approx(back.mean(kSettingPoints - 1 - p)).margin(1e-9));
}

TEST_CASE("a drift that runs straight through the day is taken out where a step was run again") {
    Steps steps{kFive, hill};
    const SettingDesign design = steps.design();
    const SettingCurve steady = steps.respond();
    const SettingCurve drifting =
        SettingResponse::of(design, 4000)->respond(steps.numbers() - 0.02 * design.hours, 4000);
    for (Index p = 0; p < kSettingPoints; ++p)
        CHECK(steady.mean(p) - steady.mean(0) == Approx(drifting.mean(p) - drifting.mean(0)).margin(1e-9));
}

TEST_CASE("too few pulls have no response") {
    SettingDesign design;
    design.x.resize(3);
    design.x << 0.0, 0.5, 1.0;
    design.hours = VectorXd::LinSpaced(3, 0.0, 1.0);
    CHECK(SettingResponse::of(design, 4000)); // one degree of freedom
    design.driftTaken = true;
    CHECK_FALSE(SettingResponse::of(design, 4000));
    design.x << 0.5, 0.5, 0.5; // no slope can be told
    design.driftTaken = false;
    CHECK_FALSE(SettingResponse::of(design, 4000));
}

namespace {

/// A day of flat curves: each pull has one number at all speeds.
DayModel flatDay(const Steps& steps) {
    FitInput in;
    const VectorXd numbers = steps.numbers();
    const VectorXd hours = steps.design().hours;
    std::vector<double> known = steps.levels;
    std::sort(known.begin(), known.end());
    known.erase(std::unique(known.begin(), known.end()), known.end());
    in.builds = static_cast<int>(known.size());
    for (int p = 0; p < 60; ++p)
        in.rpm.push_back(3000.0 + 50.0 * p);
    in.logPower.resize(numbers.size(), 60);
    for (Index i = 0; i < numbers.size(); ++i) {
        const double level = steps.levels[static_cast<size_t>(i / 2)];
        const auto build = std::find(known.begin(), known.end(), level) - known.begin();
        in.pulls.push_back({static_cast<int>(build), hours(i), static_cast<int>(i / 2)});
        for (Index p = 0; p < 60; ++p) // what no two pulls share, so that a shape is left
            in.logPower(i, p) = numbers(i) + 1e-4 * std::sin(static_cast<double>(p * (i + 1)));
    }
    return fitDay(in);
}

std::optional<Credit> creditOfSteps(const Steps& steps, const std::string& unit) {
    std::vector<double> known = steps.levels;
    std::sort(known.begin(), known.end());
    known.erase(std::unique(known.begin(), known.end()), known.end());
    std::vector<Build> builds;
    for (const double level : known) {
        Build build;
        build.id = std::string(1, static_cast<char>('A' + builds.size()));
        build.settings = {{"ignition_advance", std::to_string(static_cast<int>(20 + 8 * level)) + unit}};
        builds.push_back(build);
    }
    DrawCache cache;
    return creditOf(flatDay(steps), builds, {{3000.0, 5900.0}, {}}, {}, cache);
}

} // namespace

TEST_CASE("a day of one setting in steps says which is best, and what a step gives away") {
    const auto credit = creditOfSteps({kFive, hill}, "\u00b0");
    REQUIRE(credit);
    CHECK(credit->sets.kind == CreditKind::Sweep);
    REQUIRE(credit->sweep);
    const SettingSweep& sweep = *credit->sweep;
    CHECK(sweep.setting.name == "ignition advance");
    CHECK(sweep.setting.unit == "\u00b0");
    CHECK(sweep.driftTaken);
    CHECK_FALSE(sweep.anywhere);
    REQUIRE(sweep.levels.size() == 5);
    CHECK(sweep.levels.front().value == 20.0);
    CHECK(sweep.levels.back().value == 28.0);
    CHECK(sweep.levels[2].fitted == Approx(hill(0.5) - hill(0.0)).margin(0.006));
    CHECK(sweep.best.named == Approx(24.8).margin(0.6));
    CHECK(sweep.best.low < 24.8);
    CHECK(sweep.best.high > 24.8);
    CHECK(sweep.base_w == Approx(std::exp(hill(0.0))).epsilon(0.01));
    for (const BestAtRpm& best : sweep.byRpm) // all speeds alike
        CHECK(best.value == Approx(sweep.best.named).margin(0.8));
    CHECK(sweep.byRpm.size() == 12);
    const std::string text = test::inEnglish(creditSummary(*credit));
    CHECK(text.find("Ignition advance: 24.") == 0);
    CHECK(text.find("at most.") != std::string::npos);
    CHECK(creditAdvice(*credit).empty());
}

TEST_CASE("without a return no step is said to be best") {
    const auto credit = creditOfSteps({{0.0, 0.25, 0.5, 0.75, 1.0}, hill}, " deg");
    REQUIRE(credit);
    REQUIRE(credit->sweep);
    CHECK_FALSE(credit->sweep->driftTaken);
    CHECK(test::inEnglish(creditSummary(*credit)).find("cannot be told: no step was run again") != std::string::npos);
    CHECK(test::inEnglish(creditAdvice(*credit)).find("Run A again at the end") != std::string::npos);
}

TEST_CASE("a setting that does nothing may be best anywhere") {
    Steps flat{kFive, [](double) { return 4.0; }};
    flat.noise = 0.006;
    const auto credit = creditOfSteps(flat, " mm");
    REQUIRE(credit);
    REQUIRE(credit->sweep);
    CHECK(credit->sweep->anywhere);
    CHECK(test::inEnglish(creditSummary(*credit)) ==
          "No best ignition advance can be told yet: it may lie anywhere from 20 mm to 28 mm.");
}

TEST_CASE("the ends of the interval are said as finely as they are known") {
    const auto credit = creditOfSteps({kFive, [](double x) { return 4.0 + 0.1 * x - 0.045 * x * x; }}, " mm");
    REQUIRE(credit);
    const SettingSweep& sweep = *credit->sweep;
    REQUIRE(sweep.best.low < sweep.best.high); // 8 mm in fifty steps: to a tenth
    const std::string text = test::inEnglish(creditSummary(*credit));
    CHECK(text.find("between 28 mm and 28 mm") == std::string::npos);
    CHECK(text.find(" mm is best, between 2") != std::string::npos);
}

TEST_CASE("an answer that still rises at the end says that it may go on, and by how much at most") {
    const auto credit = creditOfSteps({kFive, [](double x) { return 4.0 + 0.03 * x - 0.005 * x * x; }}, " mm");
    REQUIRE(credit);
    const SettingSweep& sweep = *credit->sweep;
    CHECK(sweep.best.atHighEnd > 0.5);
    REQUIRE(sweep.oneMoreStep);
    CHECK(*sweep.oneMoreStep > 0.03 * 0.25 - 0.005 * (1.0 - 0.5625)); // no less than the last step gave
    CHECK(test::inEnglish(creditSummary(*credit)).find("may lie at or beyond 28 mm") != std::string::npos);
}
