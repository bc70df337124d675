// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
// How often the interval of a course time's difference holds on simulated days whose truth is known.

#include "core/road/day_road.h"
#include "core/units/units.h"
#include "fit_support.h"
#include "road_support.h"

#include <catch2/catch.hpp>
#include <fmt/format.h>

using namespace hillrun;

namespace {

/// The curve of a pull as it stands in the fit.
EngineCurve curveOf(const FitInput& input, Eigen::Index pull) {
    EngineCurve out;
    for (size_t p = 0; p < input.rpm.size(); ++p) {
        out.rpm.push_back(input.rpm[p]);
        out.torque_nm.push_back(std::exp(input.logPower(pull, static_cast<Eigen::Index>(p))) /
                                angularSpeed(input.rpm[p]));
    }
    return out;
}

struct Rates {
    double held = 0.0;
    double heldHalfWay = 0.0; ///< of the difference at half the way
    double claimed = 0.0;
    double half_s = 0.0;
};
Rates rates(const std::string& design, double effect_pct, const char* name, int days) {
    const Course course = *builtInCourse(name);
    const RoadVehicle vehicle = test::plainBuggy();
    const FitInput truth = test::sketchDay({design, effect_pct, 0.0, 0.0, 0.0, 1}); // but for 0.1 % of white noise
    const EngineCurve base = curveOf(truth, 0);
    const RoadRun ofBase = driveCourse(vehicle, base, course, 1.2);
    const RoadRun ofBetter = driveCourse(vehicle, base.times(1.0 + effect_pct / 100.0), course, 1.2);
    const double time = ofBase.time_s;
    const double wanted = ofBetter.time_s - time;
    Rates out;
    for (int day = 0; day < days; ++day) {
        const DayModel model =
            fitDay(test::sketchDay({design, effect_pct, 0.0, 0.5, 0.5, static_cast<unsigned>(2000 + day)}));
        const auto times = courseTimes(model, {{2500.0, 7000.0}, 1.0, {}}, vehicle, course, 1.2, base);
        REQUIRE(times);
        const auto intervalOf = [&](const CourseFigure& figure, double base_s) {
            const auto found = estimateNumber(model, test::minus(2, 0, 1), figure.ofPull, {});
            return std::pair(figure.seconds(found->estimate + found->half, base_s),
                             figure.seconds(found->estimate - found->half, base_s));
        };
        const auto [low, high] = intervalOf(times->whole, time);
        out.held += low <= wanted && wanted <= high ? 1.0 / days : 0.0;
        out.claimed += low > 0.0 || high < 0.0 ? 1.0 / days : 0.0;
        out.half_s += 0.5 * (high - low) / days;
        if (times->until.empty())
            continue; // between two speeds
        const size_t half = times->until.size() / 2 - 1;
        const double passed = ofBase.passed_s(times->until_m[half]);
        const double wantedHalf = ofBetter.passed_s(times->until_m[half]) - passed;
        const auto [lowHalf, highHalf] = intervalOf(times->until[half], passed);
        out.heldHalfWay += lowHalf <= wantedHalf && wantedHalf <= highHalf ? 1.0 / days : 0.0;
    }
    fmt::print("{} {} B +{} %: held {:.3f}, half way {:.3f}, claimed {:.3f} of {:.2f} s: {:.2f} \u00b1 {:.2f} s\n",
               design, name, effect_pct, out.held, out.heldHalfWay, out.claimed, time, wanted, out.half_s);
    return out;
}

double least(double rate, int runs) { return rate - 3.0 * std::sqrt(rate * (1.0 - rate) / runs); }

} // namespace

TEST_CASE("the table of docs/method.md", "[.whole]") {
    for (const char* course : {"larkfell-hill", "standing-quarter-mile", "60-100"})
        for (const double effect_pct : {0.0, 2.0}) {
            rates("AAABBBAAA", effect_pct, course, 400);
            CHECK(rates("AAABBBBBBAAA", effect_pct, course, 400).held > 0.9);
        }
}

TEST_CASE("the interval of a course time's difference holds, and equal builds are hardly ever told apart") {
    constexpr int kDays = 60;
    const Rates hill = rates("AAABBBAAA", 2.0, "larkfell-hill", kDays);
    CHECK(hill.held >= least(0.95, kDays));
    CHECK(hill.heldHalfWay >= least(0.95, kDays));
    const Rates mile = rates("AAABBBBBBAAA", 2.0, "standing-quarter-mile", kDays);
    CHECK(mile.held >= least(0.95, kDays));
    const Rates equal = rates("AAABBBAAA", 0.0, "larkfell-hill", kDays);
    CHECK(equal.held >= least(0.95, kDays));
    CHECK(equal.claimed <= 1.0 - least(0.95, kDays));
}
