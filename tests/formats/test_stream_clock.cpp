// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "english.h"
#include "formats/stream_clock.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <rapidcheck.h>
#include <vector>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

/// A logger at 100 rows a second whose rows arrive a little late; what its clock says can be bent.
struct Logger {
    StreamClock clock;
    double true_s = 100.0;
    double shown_s = 5.0; ///< its clock when the true time is 100
    double offset_s = -95.0;
    double speed = 1.0; ///< stream seconds a true second
    std::vector<double> out;

    double row(double says, double delay_s = 0.002) {
        out.push_back(clock.take(says, true_s + delay_s));
        return out.back();
    }
    void run(double seconds) {
        for (int i = 0; i < static_cast<int>(std::lround(100.0 * seconds)); ++i) {
            true_s += 0.01;
            shown_s += 0.01 * speed;
            row(shown_s, 0.002 + 0.001 * (i % 3));
        }
    }
    /// Time goes on, rows do not come.
    void pause(double seconds) {
        true_s += seconds;
        shown_s += seconds * speed;
    }
    [[nodiscard]] bool neverBack() const { return std::is_sorted(out.begin(), out.end()); }
};

} // namespace

TEST_CASE("a sound clock is followed to the digit") {
    Logger logger;
    logger.run(60.0);
    CHECK(logger.out.back() == logger.shown_s);
    CHECK_FALSE(logger.clock.faults().any());
}

TEST_CASE("one row from the year 2001 is one fault and moves nothing") {
    Logger logger;
    logger.run(5.0);
    const double before = logger.out.back();
    logger.true_s += 0.01;
    logger.shown_s += 0.01;
    CHECK(logger.row(1e9) == Approx(before + 0.01).margin(0.005));
    logger.run(5.0);
    CHECK(logger.out.back() == Approx(logger.shown_s).margin(1e-6));
    CHECK(logger.clock.faults() == ClockFaults{1, 0, 0, 0});
    CHECK(logger.neverBack());
}

TEST_CASE("a logger that begins anew goes on where it was, by this computer's clock") {
    Logger logger;
    logger.run(5.0);
    const double before = logger.out.back();
    logger.true_s += 0.8; // it takes its time to start
    logger.shown_s = -0.01;
    logger.run(5.0);
    CHECK(logger.out.back() == Approx(before + 5.8).margin(0.02));
    CHECK(logger.clock.faults() == ClockFaults{0, 1, 0, 0});
    CHECK(logger.neverBack());
}

TEST_CASE("a clock that is set ahead or back by minutes does not stretch or fold the rows") {
    for (const double by : {600.0, -600.0, 3.0, -0.5}) {
        Logger logger;
        logger.run(5.0);
        const double before = logger.out.back();
        logger.shown_s += by;
        logger.run(5.0);
        INFO(by);
        CHECK(logger.out.back() == Approx(before + 5.0).margin(0.02));
        CHECK(logger.clock.faults() == ClockFaults{by > 0 ? 1 : 0, by < 0 ? 1 : 0, 0, 0});
        CHECK(logger.neverBack());
    }
}

TEST_CASE("a clock that stands still is carried by this computer's") {
    Logger logger;
    logger.run(5.0);
    const double before = logger.out.back();
    const double shown = logger.shown_s;
    for (int i = 0; i < 300; ++i) {
        logger.true_s += 0.01;
        logger.row(shown);
    }
    CHECK(logger.out.back() == Approx(before + 3.0).margin(0.02));
    SECTION("and goes on where it stood") {
        logger.run(2.0);
        CHECK(logger.out.back() == Approx(before + 5.0).margin(0.03));
        CHECK(logger.clock.faults().stoodStill == 1);
        CHECK(logger.clock.faults().ranBack == 0);
    }
    SECTION("and comes back with the right time") {
        logger.shown_s += 3.0;
        logger.run(2.0);
        CHECK(logger.out.back() == Approx(before + 5.0).margin(0.03));
        CHECK(logger.clock.faults().stoodStill == 1);
    }
    CHECK(logger.neverBack());
}

TEST_CASE("equal times of a coarse clock are no fault") {
    StreamClock clock;
    double last = 0.0;
    for (int i = 0; i < 4000; ++i)
        last = clock.take(std::floor(i / 20.0) * 0.1, 0.005 * i); // 200 rows a second, tenths shown
    CHECK_FALSE(clock.faults().any());
    CHECK(last == Approx(19.9));
}

TEST_CASE("rows that were lost or held up on the way are no fault") {
    Logger logger;
    logger.run(5.0);
    SECTION("lost: nothing for two seconds, then rows with the right time") { logger.pause(2.0); }
    SECTION("held up: two seconds of rows at once") {
        const double arrived = logger.true_s + 2.0;
        for (int i = 0; i < 200; ++i) {
            logger.shown_s += 0.01;
            logger.out.push_back(logger.clock.take(logger.shown_s, arrived));
        }
        logger.true_s = arrived;
    }
    SECTION("held up, and some of them lost") {
        const double arrived = logger.true_s + 2.0;
        for (int i = 0; i < 200; ++i) {
            logger.shown_s += 0.01;
            if (i < 20 || i > 150)
                logger.out.push_back(logger.clock.take(logger.shown_s, arrived));
        }
        logger.true_s = arrived;
    }
    logger.run(5.0);
    CHECK(logger.out.back() == logger.shown_s);
    CHECK_FALSE(logger.clock.faults().any());
}

TEST_CASE("lost rows are no fault either after an earlier fault, or on a stream that runs fast") {
    Logger logger;
    logger.speed = GENERATE(1.0, 20.0);
    logger.run(5.0);
    logger.shown_s -= 1000.0; // set back once
    logger.run(5.0);
    const double before = logger.out.back();
    logger.pause(2.0);
    logger.run(1.0);
    CHECK(logger.out.back() == Approx(before + 3.0 * logger.speed).margin(0.05 * logger.speed));
    CHECK(logger.clock.faults() == ClockFaults{0, 1, 0, 0});
}

TEST_CASE("a clock that was set back once is no less watched afterwards") {
    Logger logger;
    logger.run(5.0);
    logger.shown_s -= 1000.0;
    logger.run(5.0);
    const double before = logger.out.back();
    logger.shown_s += 600.0;
    logger.run(5.0);
    CHECK(logger.out.back() == Approx(before + 5.0).margin(0.02));
    CHECK(logger.clock.faults() == ClockFaults{1, 1, 0, 0});
}

TEST_CASE("a simulated cell that runs twenty times as fast is followed, faults and all") {
    Logger logger;
    logger.speed = 20.0;
    logger.run(5.0);
    CHECK(logger.out.back() == logger.shown_s);
    CHECK_FALSE(logger.clock.faults().any());
    const double before = logger.out.back();
    logger.shown_s = 0.0;
    logger.run(1.0);
    CHECK(logger.out.back() == Approx(before + 20.0).margin(1.0));
    CHECK(logger.clock.faults().ranBack == 1);
}

TEST_CASE("rows without a time go on by this computer's clock") {
    Logger logger;
    logger.run(2.0);
    const double before = logger.out.back();
    for (int i = 0; i < 50; ++i) {
        logger.true_s += 0.01;
        logger.shown_s += 0.01;
        logger.row(StreamClock::kUnknown);
    }
    CHECK(logger.out.back() == Approx(before + 0.5).margin(0.02));
    logger.run(1.0);
    CHECK(logger.out.back() == Approx(before + 1.5).margin(0.02));
    CHECK(logger.clock.faults().missing == 50);
    CHECK(logger.neverBack());
}

TEST_CASE("ten hours of idle cost nothing and lose nothing") {
    Logger logger;
    for (int i = 0; i < 3600; ++i) {
        logger.pause(9.9); // a row now and then
        logger.true_s += 0.1;
        logger.shown_s += 0.1;
        logger.row(logger.shown_s);
    }
    CHECK_FALSE(logger.clock.faults().any());
    CHECK(logger.out.back() == Approx(logger.shown_s));
}

TEST_CASE("after a lost link another line begins") {
    Logger logger;
    logger.run(5.0);
    logger.clock.restart();
    CHECK(logger.row(2.0) == 2.0);
    CHECK_FALSE(logger.clock.faults().any());
}

TEST_CASE("rows of a file have no arrivals: the usual step takes their place") {
    StreamClock clock;
    std::vector<double> out;
    for (const double t : {0.0, 0.01, 0.02, 0.03, 0.04, 1e9, 0.06, 0.07, 0.0, 0.01, 0.02})
        out.push_back(clock.take(t));
    CHECK(std::is_sorted(out.begin(), out.end()));
    CHECK(out[5] == Approx(0.05));
    CHECK(out[7] == Approx(0.07));
    CHECK(out[10] == Approx(0.10));
    CHECK(clock.faults() == ClockFaults{1, 1, 0, 0});
}

TEST_CASE("whatever a clock says, time never runs back and stays finite") {
    rc::check("never back", [] {
        StreamClock clock;
        double last = -1e300;
        double arrival = 0.0;
        const auto says = *rc::gen::container<std::vector<int>>(rc::gen::inRange(-1000000, 1000000));
        for (const int t : says) {
            arrival += 0.01 * *rc::gen::inRange(0, 300);
            const double in = t % 17 == 0 ? StreamClock::kUnknown : t * (t % 5 == 0 ? 1e6 : 0.001);
            const double out = clock.take(in, t % 3 == 0 ? StreamClock::kUnknown : arrival);
            RC_ASSERT(std::isfinite(out));
            RC_ASSERT(out >= last);
            last = out;
        }
    });
}

TEST_CASE("faults in words") {
    CHECK(inEnglish(faultsStatement({})) == "");
    CHECK(inEnglish(faultsStatement({1, 0, 0, 0})) == "The logger's clock jumped ahead 1 time");
    CHECK(inEnglish(faultsStatement({0, 2, 1, 0})) == "The logger's clock ran back 2 times and stood still 1 time");
    CHECK(inEnglish(faultsStatement({1, 3, 0, 7})) ==
          "The logger's clock jumped ahead 1 time, ran back 3 times and was missing in 7 rows");
    CHECK(ClockFaults{3, 2, 1, 1}.since({1, 2, 0, 1}) == ClockFaults{2, 0, 1, 0});
}
