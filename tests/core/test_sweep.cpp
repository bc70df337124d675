// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/sweep.h"

#include "support.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

/// Hold, sweep, lift at 100 Hz, without noise; times and speeds are what a test asks about.
struct Recording {
    std::vector<double> time_s, speed_rpm, torque_nm, throttle_pct;

    void add(double speed, double torque, double throttle) {
        time_s.push_back(0.01 * static_cast<double>(time_s.size()));
        speed_rpm.push_back(speed);
        torque_nm.push_back(torque);
        throttle_pct.push_back(throttle);
    }
    [[nodiscard]] SweepSignals view(bool withThrottle = true) const {
        SweepSignals out{time_s, speed_rpm, torque_nm, {}};
        if (withThrottle)
            out.throttle_pct = throttle_pct;
        return out;
    }
};

Recording usualPull(double spike = 0.0, double from = 2500.0, double to = 7500.0) {
    Recording out;
    for (int i = 0; i < 100; ++i)
        out.add(from, 20.0, 25.0);
    const double sign = to > from ? 1.0 : -1.0;
    const int rows = static_cast<int>(std::abs(to - from) / 5.0);
    for (int i = 0; i <= rows; ++i) // 500 rpm/s
        out.add(from + sign * 5.0 * i, (90.0 + 0.002 * 5.0 * i) * (1.0 + spike * std::exp(-0.01 * i / 0.25)), 100.0);
    for (int i = 1; i <= 80; ++i)
        out.add(to - sign * 9.0 * i, -10.0, std::max(0.0, 100.0 - 15.0 * i));
    return out;
}

bool hasTrim(const Sweep& sweep, TrimReason reason) {
    return std::any_of(sweep.trims.begin(), sweep.trims.end(), [&](const Trim& t) { return t.reason == reason; });
}

} // namespace

TEST_CASE("the sweep begins where the speed begins to rise and ends before the lift") {
    const Sweep sweep = findSweep(usualPull().view(), SweepDirection::Up, std::nullopt);
    CHECK(sweep.window_rpm.low == Approx(2500.0).margin(60.0));
    CHECK(sweep.window_rpm.high == Approx(7500.0).margin(100.0));
    CHECK(sweep.window_rpm.high <= 7500.0);
    CHECK(hasTrim(sweep, TrimReason::BeforeSweep));
    CHECK(hasTrim(sweep, TrimReason::ThrottleLift));
    CHECK_FALSE(hasTrim(sweep, TrimReason::UnsettledStart));
}

TEST_CASE("a start spike is cut off with its reason, a clean start is not") {
    const Sweep sweep = findSweep(usualPull(0.15).view(), SweepDirection::Up, std::nullopt);
    CHECK(hasTrim(sweep, TrimReason::UnsettledStart));
    CHECK(sweep.window_rpm.low > 2600.0);
    CHECK(sweep.window_rpm.low < 3150.0);
    CHECK(sweep.whole_rpm.low == Approx(2500.0).margin(60.0));
}

TEST_CASE("a lift is found without a throttle channel") {
    const Sweep sweep = findSweep(usualPull().view(false), SweepDirection::Up, std::nullopt);
    CHECK(sweep.window_rpm.high == Approx(7500.0).margin(100.0));
}

TEST_CASE("a sweep downwards works the same") {
    const Sweep sweep = findSweep(usualPull(0.0, 7500.0, 2500.0).view(), SweepDirection::Down, std::nullopt);
    CHECK(sweep.window_rpm.low == Approx(2500.0).margin(100.0));
    CHECK(sweep.window_rpm.high == Approx(7500.0).margin(60.0));
}

TEST_CASE("an engine that hangs on its limiter ends there") {
    Recording pull = usualPull();
    Recording held;
    for (size_t i = 0; i < pull.time_s.size() - 80; ++i)
        held.add(std::min(pull.speed_rpm[i], 6800.0), pull.torque_nm[i], pull.throttle_pct[i]);
    const Sweep sweep = findSweep(held.view(), SweepDirection::Up, std::nullopt);
    CHECK(sweep.window_rpm.high == Approx(6800.0).margin(100.0));
    CHECK(hasTrim(sweep, TrimReason::Limiter));
}

TEST_CASE("a window set by hand is taken, but never beyond the sweep") {
    const Recording pull = usualPull(0.15);
    const Sweep sweep = findSweep(pull.view(), SweepDirection::Up, RpmRange{3000.0, 6000.0});
    CHECK(sweep.window_rpm == RpmRange{3000.0, 6000.0});
    CHECK(hasTrim(sweep, TrimReason::ByHand));
    const Sweep wide = findSweep(pull.view(), SweepDirection::Up, RpmRange{1000.0, 9000.0});
    CHECK(wide.window_rpm.low >= 2440.0);
    CHECK(wide.window_rpm.high <= 7500.0);
}

TEST_CASE("what is no sweep is said") {
    Recording idle;
    for (int i = 0; i < 500; ++i)
        idle.add(900.0 + 5.0 * std::sin(0.1 * i), 5.0, 3.0);
    CHECK(test::messageOf([&] {
              findSweep(idle.view(), SweepDirection::Up, std::nullopt);
          }).find("no full-throttle sweep") != std::string::npos);
    Recording few;
    for (int i = 0; i < 8; ++i)
        few.add(2000.0 + 100.0 * i, 50.0, 100.0);
    CHECK(test::messageOf([&] {
              findSweep(few.view(), SweepDirection::Up, std::nullopt);
          }).find("only 8 usable rows") != std::string::npos);
    Recording back = usualPull();
    back.time_s[50] = 0.2;
    CHECK(test::messageOf([&] { findSweep(back.view(), SweepDirection::Up, std::nullopt); }).find("time runs back") !=
          std::string::npos);
    CHECK(test::messageOf([&] {
              findSweep(usualPull().view(), SweepDirection::Up, RpmRange{9000.0, 9900.0});
          }).find("window_rpm") != std::string::npos);
}

TEST_CASE("no sweep goes across a gap in time: the longer part counts, and it is said") {
    const auto withGap = [](double at_rpm) {
        Recording recording = usualPull();
        bool behind = false;
        for (size_t i = 0; i < recording.time_s.size(); ++i) {
            behind = behind || recording.speed_rpm[i] >= at_rpm;
            recording.time_s[i] += behind ? 4.0 : 0.0;
        }
        return findSweep(recording.view(), SweepDirection::Up, std::nullopt);
    };
    const Sweep early = withGap(6000.0);
    CHECK(early.window_rpm.high == Approx(6000.0).margin(60.0));
    CHECK(early.window_rpm.high < 6000.0);
    CHECK(early.window_rpm.low == Approx(2500.0).margin(60.0));
    CHECK(early.trims.back().reason == TrimReason::TimeGap);
    const Sweep late = withGap(3500.0);
    CHECK(late.window_rpm.low == Approx(3500.0).margin(10.0));
    CHECK(late.window_rpm.low >= 3500.0);
    CHECK(late.window_rpm.high == Approx(7500.0).margin(100.0));
    CHECK_FALSE(hasTrim(late, TrimReason::TimeGap));
    CHECK(hasTrim(late, TrimReason::ThrottleLift));
}

TEST_CASE("of two sweeps in one recording one counts, never both") {
    Recording recording = usualPull();
    const Recording second = usualPull(0.0, 2500.0, 6000.0);
    for (size_t i = 0; i < second.time_s.size(); ++i)
        recording.add(second.speed_rpm[i], second.torque_nm[i], second.throttle_pct[i]);
    const Sweep sweep = findSweep(recording.view(), SweepDirection::Up, std::nullopt);
    CHECK(sweep.last < 1200); // the first one's rows
    CHECK(sweep.window_rpm.high == Approx(7500.0).margin(100.0));
}

TEST_CASE("a gap in time long after the sweep is not why it ended") {
    Recording recording = usualPull();
    for (int i = 0; i < 200; ++i)
        recording.add(1500.0, -5.0, 0.0);
    for (size_t i = recording.time_s.size() - 60; i < recording.time_s.size(); ++i)
        recording.time_s[i] += 4.0;
    const Sweep sweep = findSweep(recording.view(), SweepDirection::Up, std::nullopt);
    CHECK_FALSE(hasTrim(sweep, TrimReason::TimeGap));
    CHECK(hasTrim(sweep, TrimReason::ThrottleLift));
}
