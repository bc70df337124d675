// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/held_steps.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

/// Rows of held speeds drawn by hand, 50 a second: seconds held, speed, torque.
struct Holds {
    std::vector<double> time_s, rpm, torque_nm, throttle_pct;
    Holds& hold(double seconds, double speed, double torque, double throttle = 100.0) {
        for (int i = 0; i < static_cast<int>(50.0 * seconds); ++i)
            row(speed, torque, throttle);
        return *this;
    }
    Holds& ramp(double seconds, double to) {
        const double from = rpm.back();
        const double torque = torque_nm.back();
        for (int i = 1; i <= static_cast<int>(50.0 * seconds); ++i)
            row(from + (to - from) * i / (50.0 * seconds), torque, 100.0);
        return *this;
    }
    void row(double speed, double torque, double throttle) {
        time_s.push_back(0.02 * static_cast<double>(time_s.size()));
        rpm.push_back(speed);
        torque_nm.push_back(torque);
        throttle_pct.push_back(throttle);
    }
    [[nodiscard]] SweepSignals signals() const { return {time_s, rpm, torque_nm, throttle_pct}; }
    [[nodiscard]] std::string speeds() const {
        std::string out;
        for (const HeldStep& step : findHeldSteps(signals()))
            out += (out.empty() ? "" : " ") + std::to_string(std::lround(step.rpm));
        return out;
    }
};

Holds fourHolds() {
    Holds out;
    out.hold(3, 2000, 90)
        .ramp(1, 3000)
        .hold(3, 3000, 100)
        .ramp(1, 4000)
        .hold(3, 4000, 105)
        .ramp(1, 5000)
        .hold(3, 5000, 98);
    return out;
}

} // namespace

TEST_CASE("held speeds are found in any order, and come out by speed") {
    CHECK(fourHolds().speeds() == "2000 3000 4000 5000");
    Holds down;
    down.hold(3, 5000, 98)
        .ramp(1, 4000)
        .hold(3, 4000, 105)
        .ramp(1, 3000)
        .hold(3, 3000, 100)
        .ramp(1, 2000)
        .hold(3, 2000, 90);
    CHECK(down.speeds() == "2000 3000 4000 5000");
}

TEST_CASE("what is no hold is not taken for one") {
    Holds brief = fourHolds();
    brief.ramp(1, 6000).hold(0.6, 6000, 90); // too short to settle
    CHECK(brief.speeds() == "2000 3000 4000 5000");
    Holds idle;
    idle.hold(4, 900, 12, 20.0); // throttle closed: idling is no step
    for (const auto& [speed, torque] : {std::pair{2000.0, 90.0}, {3000.0, 100.0}, {4000.0, 105.0}, {5000.0, 98.0}})
        idle.ramp(1, speed).hold(3, speed, torque);
    CHECK(idle.speeds() == "2000 3000 4000 5000");
    Holds twice = fourHolds();
    twice.ramp(1, 3010).hold(6, 3010, 101); // the longer hold of a speed counts
    CHECK(twice.speeds() == "2000 3010 4000 5000");
}

TEST_CASE("a hold is averaged once it has settled") {
    Holds slow;
    slow.hold(3, 2000, 90).ramp(1, 3000);
    for (int i = 0; i < 400; ++i) // the torque creeps up over the first second
        slow.row(3000, 100.0 - 8.0 * std::exp(-i / 40.0), 100.0);
    slow.ramp(1, 4000).hold(3, 4000, 105).ramp(1, 5000).hold(3, 5000, 98);
    const auto steps = findHeldSteps(slow.signals());
    REQUIRE(steps.size() == 4);
    CHECK(steps[1].torque_nm == Approx(100.0).margin(0.25));
    CHECK(slow.time_s[steps[1].first] > 4.0 + 0.5);
    CHECK(steps[1].torqueSd_nm < 0.3);
}

TEST_CASE("between the holds everything is a trim with its reason") {
    const Holds holds = fourHolds();
    auto steps = findHeldSteps(holds.signals());
    const Sweep sweep = sweepOfSteps(holds.signals(), steps, std::nullopt);
    int between = 0;
    double covered = 0.0;
    for (const Trim& trim : sweep.trims) {
        between += trim.reason == TrimReason::BetweenSteps ? 1 : 0;
        covered += trim.to_s - trim.from_s;
    }
    CHECK(between == 3);
    CHECK(sweep.trims.front().reason == TrimReason::BeforeSweep);
    double held = 0.0;
    for (const HeldStep& step : steps)
        held += holds.time_s[step.last] - holds.time_s[step.first];
    CHECK(covered + held == Approx(holds.time_s.back() - holds.time_s.front()).margin(0.2));
    CHECK(sweep.window_rpm == RpmRange{2000.0, 5000.0});
}

TEST_CASE("a line through held speeds meets each of them and keeps within") {
    const std::vector<double> rpm{1000, 1500, 2000, 2500, 3000};
    const std::vector<double> torque{80, 95, 100, 97, 85};
    const std::vector<double> at{990, 996, 1000, 1250, 1500, 2000, 2500, 3000, 3004, 3010};
    const auto line = throughSteps(rpm, torque, at);
    CHECK(std::isnan(line[0]));
    CHECK(line[1] == Approx(80.0)); // a set point that the hold missed by a few rpm
    CHECK(line[2] == Approx(80.0));
    CHECK((line[3] > 85.0 && line[3] < 92.0));
    CHECK(line[4] == Approx(95.0));
    CHECK(line[6] == Approx(97.0));
    CHECK(line[8] == Approx(85.0));
    CHECK(std::isnan(line[9]));
    CHECK(std::isnan(throughSteps(std::vector<double>{1, 2, 3}, std::vector<double>{1, 2, 3}, at)[2])); // too few
    CHECK(test::messageOf([] {
              Holds two;
              two.hold(3, 2000, 90).ramp(1, 3000).hold(3, 3000, 100);
              (void)findHeldSteps(two.signals());
          }).find("only 2 held speeds") != std::string::npos);
}

TEST_CASE("a hold whose speed was not received is none") {
    Holds lost = fourHolds();
    const double nan = std::nan("");
    lost.hold(3, nan, 95);
    CHECK(lost.speeds() == "2000 3000 4000 5000");
}
