// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/pull_recorder.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <functional>

using namespace hillrun;

namespace {

/// A recorder with what it told, fed by a little made-up engine at 100 frames a second.
struct Bench {
    std::vector<Recording> pulls;
    int started = 0;
    int dropped = 0;
    long rows = 0;
    double time = 1000.0;
    double speed = 1200.0;
    double throttle = 5.0;
    PullRecorder recorder{{.started = [this](double) { ++started; },
                           .row = [this](std::span<const double>) { ++rows; },
                           .ended = [this](Recording recording) { pulls.push_back(std::move(recording)); },
                           .dropped = [this] { ++dropped; }}};

    explicit Bench(bool withThrottle = true) {
        std::vector<Column> columns{{"time", "s", {}}, {"engine_speed", "rpm", {}}, {"torque", "N.m", {}}};
        if (withThrottle)
            columns.push_back({"throttle", "%", {}});
        m_withThrottle = withThrottle;
        recorder.setColumns(columns);
    }
    void frame() {
        time += 0.01;
        std::vector<double> row{time, speed, 0.8 * throttle};
        if (m_withThrottle)
            row.push_back(throttle);
        recorder.take(time, row);
    }
    void run(double seconds, double rate_rpm_s, double openTo) {
        for (int i = 0; i < static_cast<int>(std::lround(100.0 * seconds)); ++i) {
            throttle += std::clamp(openTo - throttle, -10.0, 10.0);
            speed = std::max(800.0, speed + 0.01 * rate_rpm_s);
            frame();
        }
    }
    /// Idle, full throttle from 2500 to 7500 rpm, throttle closed.
    void pull() {
        run(3.0, 0.0, 5.0);
        speed = 2500.0;
        run(0.5, 0.0, 100.0);
        run(10.0, 500.0, 100.0);
        run(4.0, -900.0, 0.0);
    }

private:
    bool m_withThrottle = true;
};

double length(const Recording& recording) { return recording.table.find("time")->values.back(); }

} // namespace

TEST_CASE("a pull is found by itself, with two seconds before and after") {
    Bench bench;
    bench.recorder.arm();
    bench.pull();
    REQUIRE(bench.pulls.size() == 1);
    const Recording& pull = bench.pulls.front();
    CHECK(pull.end == PullEnd::ThrottleClosed);
    CHECK_FALSE(pull.byHand);
    CHECK(pull.table.find("time")->values.front() == 0.0);
    const auto& throttle = pull.table.find("throttle")->values;
    const auto opened =
        std::find_if(throttle.begin(), throttle.end(), [](double v) { return v > 99.0; }) - throttle.begin();
    CHECK(0.01 * static_cast<double>(opened) >= 0.7); // what came before full throttle is there
    CHECK(length(pull) >= 2.0 + 10.0 + 1.9 - 0.6);
    CHECK(length(pull) <= 2.0 + 10.0 + 2.0 + 1.0);
    CHECK(pull.start_s == Approx(2.0).margin(0.05));
    CHECK(bench.rows == static_cast<long>(pull.table.rows()));
    CHECK(bench.recorder.state() == RecorderState::Armed); // ready for the next
}

TEST_CASE("a clock that counts from below zero is as good as any") {
    Bench bench;
    bench.time = -1000.0; // a logger that counts to its trigger
    bench.recorder.arm();
    bench.pull();
    REQUIRE(bench.pulls.size() == 1);
    CHECK(bench.pulls.front().end == PullEnd::ThrottleClosed);
    CHECK(length(bench.pulls.front()) == Approx(14.0).margin(0.7));
}

TEST_CASE("not armed, nothing is recorded") {
    Bench bench;
    bench.pull();
    CHECK(bench.started == 0);
    bench.recorder.arm();
    bench.recorder.disarm();
    bench.pull();
    CHECK(bench.started == 0);
}

TEST_CASE("pull after pull without arming again") {
    Bench bench;
    bench.recorder.arm();
    for (int i = 0; i < 5; ++i)
        bench.pull();
    CHECK(bench.pulls.size() == 5);
    CHECK(bench.dropped == 0);
}

TEST_CASE("a blip of the throttle is no pull") {
    Bench bench;
    bench.recorder.arm();
    bench.run(3.0, 0.0, 5.0);
    bench.run(0.3, 0.0, 100.0);
    bench.run(0.6, 4000.0, 100.0);
    bench.run(3.0, -2000.0, 0.0);
    CHECK(bench.pulls.empty());
    CHECK(bench.dropped == bench.started);
    bench.pull(); // and the next real one is found
    CHECK(bench.pulls.size() == 1);
}

TEST_CASE("a rise at part throttle is no pull") {
    Bench bench;
    bench.recorder.arm();
    bench.run(1.0, 0.0, 100.0); // what wide open is, is known
    bench.run(1.0, 0.0, 30.0);
    bench.run(8.0, 500.0, 60.0);
    CHECK(bench.pulls.empty());
}

TEST_CASE("a sweep downwards is found when the cell sweeps down") {
    Bench bench;
    bench.recorder.setSweep(SweepDirection::Down);
    bench.recorder.arm();
    bench.speed = 7000.0;
    bench.run(2.0, 0.0, 40.0);
    bench.run(0.5, 0.0, 100.0);
    bench.run(8.0, -500.0, 100.0);
    bench.run(3.0, -100.0, 0.0);
    REQUIRE(bench.pulls.size() == 1);
    CHECK(bench.pulls.front().table.find("engine_speed")->values.front() == Approx(7000.0).margin(1.0));
}

TEST_CASE("without a throttle channel the speed alone tells") {
    Bench bench(false);
    bench.recorder.arm();
    bench.pull();
    REQUIRE(bench.pulls.size() == 1);
    CHECK(length(bench.pulls.front()) > 11.0);
}

TEST_CASE("hanging on the limiter ends the pull") {
    Bench bench;
    bench.recorder.arm();
    bench.run(2.0, 0.0, 5.0);
    bench.run(8.0, 500.0, 100.0);
    bench.run(6.0, 0.0, 100.0);
    REQUIRE(bench.pulls.size() == 1);
    CHECK(bench.pulls.front().end == PullEnd::SpeedHeld);
}

TEST_CASE("by hand it begins and ends when told, whatever the engine does") {
    Bench bench;
    bench.run(3.0, 0.0, 5.0);
    bench.recorder.startByHand();
    CHECK(bench.recorder.state() == RecorderState::Running);
    bench.run(4.0, 100.0, 40.0);
    bench.recorder.endByHand();
    REQUIRE(bench.pulls.size() == 1);
    CHECK(bench.pulls.front().byHand);
    CHECK(bench.pulls.front().end == PullEnd::ByHand);
    CHECK(length(bench.pulls.front()) == Approx(6.0).margin(0.05));
    CHECK(bench.recorder.state() == RecorderState::Off); // it was not armed before
}

TEST_CASE("disarming during a pull keeps what there is") {
    Bench bench;
    bench.recorder.arm();
    bench.run(2.0, 0.0, 5.0);
    bench.run(6.0, 500.0, 100.0);
    bench.recorder.disarm();
    REQUIRE(bench.pulls.size() == 1);
    CHECK(bench.recorder.state() == RecorderState::Off);
}

TEST_CASE("a lost link ends the pull at once and keeps it") {
    Bench bench;
    bench.recorder.arm();
    bench.run(2.0, 0.0, 5.0);
    bench.run(4.0, 500.0, 100.0);
    bench.recorder.linkLost();
    REQUIRE(bench.pulls.size() == 1);
    CHECK(bench.pulls.front().end == PullEnd::LinkLost);
    CHECK(bench.recorder.state() == RecorderState::Armed);
    bench.pull();
    CHECK(bench.pulls.size() == 2);
}

TEST_CASE("other columns in the middle end the pull, and recording goes on with the new ones") {
    Bench bench;
    bench.recorder.arm();
    bench.run(2.0, 0.0, 5.0);
    bench.run(4.0, 500.0, 100.0);
    const std::vector<Column> same{
        {"time", "s", {}}, {"engine_speed", "rpm", {}}, {"torque", "N.m", {}}, {"throttle", "%", {}}};
    bench.recorder.setColumns(same); // a logger that repeats its header changes nothing
    CHECK(bench.recorder.state() == RecorderState::Running);
    std::vector<Column> other = same;
    other[2].unit = "kW";
    bench.recorder.setColumns(other);
    REQUIRE(bench.pulls.size() == 1);
    CHECK(bench.pulls.front().end == PullEnd::LinkLost);
    bench.speed = 1200.0;
    bench.pull();
    CHECK(bench.pulls.size() == 2);
}

TEST_CASE("idling for an hour keeps two seconds and no more") {
    Bench bench;
    bench.recorder.arm();
    bench.run(3600.0, 0.0, 5.0);
    CHECK(bench.recorder.rows() == 0);
    bench.pull();
    REQUIRE(bench.pulls.size() == 1);
    CHECK(bench.pulls.front().start_s == Approx(2.0).margin(0.05));
}
