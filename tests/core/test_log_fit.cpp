// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/log_fit.h"

#include "core/errors/data_error.h"
#include "core/pull/lay_logs.h"
#include "log_pair.h"

#include <catch2/catch.hpp>
#include <memory>

using namespace hillrun;
using test::record;
using test::Recorder;
using test::TrueSpeed;
using test::trueSpeed;

namespace {

constexpr Recorder kBench{};
constexpr Recorder kControlUnit{20.0, 3.0, 1.0, 0.002};

LogClock anyClock(std::mt19937& random) {
    std::uniform_real_distribution<double> even(-1.0, 1.0);
    return {20.0 * even(random), 0.005 * even(random)};
}

/// The furthest that the two clocks are apart during the sweep.
double worstLag_s(const LogClock& found, const LogClock& truth, const TrueSpeed& speed) {
    double worst = 0.0;
    for (double t = speed.sweepFrom_s; t < speed.sweepTo_s; t += 0.1)
        worst = std::max(worst, std::abs(found.logTime(t) - truth.logTime(t)));
    return worst;
}

std::optional<Problem> refusal(const ChannelTable& pull, const ChannelTable& log) {
    try {
        (void)fitLog(pull, log);
        return std::nullopt;
    } catch (const DataError& error) {
        return error.problem();
    }
}

Pull pullOf(const std::string& id, ChannelTable rows) {
    Pull out;
    out.id = id;
    out.raw = std::make_shared<const ChannelTable>(std::move(rows));
    return out;
}

/// `log` behind itself: what a recorder writes that runs on from one pull to the next.
ChannelTable behind(ChannelTable first, const ChannelTable& second) {
    for (size_t c = 0; c < first.columns.size(); ++c)
        first.columns[c].values.insert(first.columns[c].values.end(), second.columns[c].values.begin(),
                                       second.columns[c].values.end());
    return first;
}

} // namespace

TEST_CASE("a hundred logs at 20 Hz are laid onto their pulls at 100 Hz within 20 ms, clocks half a per cent apart") {
    int right = 0;
    for (unsigned seed = 0; seed < 100; ++seed) {
        std::mt19937 random(seed);
        const TrueSpeed speed = trueSpeed(random);
        const LogClock clock = anyClock(random);
        const ChannelTable pull = record(speed, kBench, {}, random);
        const LogFit fit = fitLog(pull, record(speed, kControlUnit, clock, random));
        right += worstLag_s(fit.clock, clock, speed) < 0.020 ? 1 : 0;
        CHECK(fit.clock.drift == Approx(clock.drift).margin(0.001));
        CHECK(fit.overlap_s == Approx(speed.length_s()).margin(0.2));
    }
    CHECK(right == 100);
}

TEST_CASE("of a hundred logs of another pull of the same engine ninety-nine are refused") {
    int refused = 0;
    for (unsigned seed = 0; seed < 100; ++seed) {
        std::mt19937 random(seed);
        const TrueSpeed speed = trueSpeed(random);
        const TrueSpeed other = trueSpeed(random);
        const ChannelTable pull = record(speed, kBench, {}, random);
        refused += refusal(pull, record(other, kControlUnit, anyClock(random), random)) == Problem::LogDiffers ? 1 : 0;
    }
    CHECK(refused >= 99);
}

TEST_CASE("a long rest beside the sweep does not hide that the sweep differs") {
    int right = 0;
    int refused = 0;
    for (unsigned seed = 0; seed < 30; ++seed) {
        std::mt19937 random(seed);
        const TrueSpeed speed = trueSpeed(random, 40.0);
        const TrueSpeed other = trueSpeed(random, 40.0);
        const LogClock clock = anyClock(random);
        const ChannelTable pull = record(speed, kBench, {}, random);
        right += worstLag_s(fitLog(pull, record(speed, kControlUnit, clock, random)).clock, clock, speed) < 0.020;
        refused += refusal(pull, record(other, kControlUnit, clock, random)) == Problem::LogDiffers ? 1 : 0;
    }
    CHECK(right == 30);
    CHECK(refused >= 29);
}

TEST_CASE("a wild row in either record changes nothing") {
    std::mt19937 random(4);
    const TrueSpeed speed = trueSpeed(random);
    const LogClock clock{3.0, 0.001};
    ChannelTable pull = record(speed, kBench, {}, random);
    ChannelTable log = record(speed, kControlUnit, clock, random);
    pull.columns[1].values[30] = 65535.0;
    log.columns[1].values[100] = 0.0;
    log.columns[1].values[101] = std::nan("");
    CHECK(worstLag_s(fitLog(pull, log).clock, clock, speed) < 0.020);
}

TEST_CASE("coarse and noisy readings still find their place, or are refused; never put elsewhere") {
    for (const Recorder& unit : {Recorder{20.0, 20.0, 25.0, 0.002}, Recorder{10.0, 5.0, 50.0, 0.004}}) {
        int right = 0;
        int refused = 0;
        for (unsigned seed = 0; seed < 40; ++seed) {
            std::mt19937 random(seed);
            const TrueSpeed speed = trueSpeed(random);
            const LogClock clock = anyClock(random);
            const ChannelTable pull = record(speed, kBench, {}, random);
            const ChannelTable log = record(speed, unit, clock, random);
            if (refusal(pull, log))
                ++refused;
            else
                right += worstLag_s(fitLog(pull, log).clock, clock, speed) < 0.020 ? 1 : 0;
        }
        CHECK(right + refused == 40);
        CHECK(refused <= 6); // about one of fourteen
    }
}

TEST_CASE("a log that begins within the sweep, or ends there, is laid on by what it has") {
    std::mt19937 random(7);
    const TrueSpeed speed = trueSpeed(random);
    const LogClock clock{3.0, 0.001};
    const ChannelTable pull = record(speed, kBench, {}, random);
    const double length = speed.sweepTo_s - speed.sweepFrom_s;
    Recorder late = kControlUnit;
    late.from_s = speed.sweepFrom_s + 0.2 * length;
    const LogFit fit = fitLog(pull, record(speed, late, clock, random));
    CHECK(worstLag_s(fit.clock, clock, speed) < 0.020);
    CHECK(fit.overlap_s == Approx(speed.length_s() - late.from_s).margin(0.2));
    Recorder early = kControlUnit;
    early.to_s = speed.sweepFrom_s + 0.2 * length;
    CHECK(refusal(pull, record(speed, early, clock, random)) == Problem::LogTooShort);
}

TEST_CASE("where nothing tells the place, that is said") {
    std::mt19937 random(3);
    const TrueSpeed speed = trueSpeed(random);
    const ChannelTable pull = record(speed, kBench, {}, random);
    TrueSpeed held;
    held.rpm.assign(8000, 3000.0);
    CHECK(refusal(pull, record(held, kControlUnit, {}, random)) == Problem::LogSteady);
    CHECK(refusal(record(held, kBench, {}, random), pull) == Problem::LogSteady);
    CHECK(refusal(pull, ChannelTable{{{"time", "s", {0.0}}, {"lambda", "1", {1.0}}}}) == Problem::NoSpeedChannel);
    CHECK(refusal(pull, ChannelTable{{{"engine_speed", "rpm", {900.0}}}}) == Problem::NoTimeChannel);
    ChannelTable few = record(speed, kControlUnit, {}, random);
    for (Column& column : few.columns)
        column.values.resize(19);
    CHECK(refusal(pull, few) == Problem::LogTooShort);
    // The same sweep twice in one log: nobody can say which it was.
    const ChannelTable once = record(speed, kControlUnit, {}, random);
    const ChannelTable again = record(speed, kControlUnit, {60.0, 0.0}, random);
    CHECK(refusal(pull, behind(once, again)) == Problem::LogAmbiguous);
}

TEST_CASE("a clock set by hand is judged as it stands") {
    std::mt19937 random(5);
    const TrueSpeed speed = trueSpeed(random);
    const ChannelTable pull = record(speed, kBench, {}, random);
    const ChannelTable log = record(speed, kControlUnit, {2.0, 0.0}, random);
    CHECK(judgeLog(pull, log, {2.0, 0.0}).good());
    const LogFit off = judgeLog(pull, log, {2.3, 0.0});
    CHECK_FALSE(off.good());
    CHECK(off.misfit_rpm > 60.0); // 0.3 s of some 600 rpm a second
    CHECK(judgeLog(pull, log, {500.0, 0.0}).overlap_s == 0.0);
    CHECK_FALSE(judgeLog(pull, log, {500.0, 0.0}).good());
}

TEST_CASE("a log over several pulls lies on each of them once, and not on a pull that it does not hold") {
    std::mt19937 random(11);
    const TrueSpeed first = trueSpeed(random);
    const TrueSpeed second = trueSpeed(random);
    const TrueSpeed elsewhere = trueSpeed(random);
    TestDay day;
    day.pulls = {pullOf("p01", record(first, kBench, {}, random)), pullOf("p02", record(elsewhere, kBench, {}, random)),
                 pullOf("p03", record(second, kBench, {}, random))};
    const ChannelTable log = behind(record(first, kControlUnit, {100.0, 0.001}, random),
                                    record(second, kControlUnit, {160.0, 0.001}, random));
    const auto tried = tryLog(day, log);
    REQUIRE(tried.size() == 3);
    REQUIRE(tried[0].fit);
    CHECK(worstLag_s(tried[0].fit->clock, {100.0, 0.001}, first) < 0.020);
    CHECK_FALSE(tried[1].fit);
    REQUIRE(tried[2].fit);
    CHECK(worstLag_s(tried[2].fit->clock, {160.0, 0.001}, second) < 0.020);
    // A pull that was copied claims the same stretch, and fits it alike.
    day.pulls.push_back(pullOf("p04", record(first, kBench, {}, random)));
    CHECK(tryLog(day, log)[0].alike == std::vector<std::string>{"p04"});
    // The time of day tells them apart: the log's clock shows 100 when the pull begins.
    day.pulls[0].started = "2026-05-16T09:12:00Z";
    day.pulls[3].started = "2026-05-16T09:40:00Z";
    const auto told = tryLog(day, log, *secondsOf("2026-05-16T09:12:04Z") - 100.0);
    CHECK(told[0].fit);
    CHECK(told[0].alike.empty());
    REQUIRE(told[3].whyNot);
    CHECK(told[3].whyNot->problem() == Problem::LogOfAnother);
    CHECK(tryLog(day, log, *secondsOf("2026-05-15T09:12:04Z") - 100.0)[0].alike.size() == 1); // a clock a day off
}

TEST_CASE("channels of a log stand at the pull's times, under names that take no power for a brake's") {
    Pull pull = pullOf("p01", ChannelTable{{{"time", "s", {0.0, 0.5, 1.0, 1.5, 9.0}},
                                            {"engine_speed", "rpm", {2000, 2500, 3000, 3500, 4000}},
                                            {"torque", "N.m", {50, 51, 52, 53, 54}},
                                            {"lambda", "1", {0.9, 0.9, 0.9, 0.9, 0.9}}}});
    const auto own = pull.raw;
    LaidLog log;
    log.name = "Control Unit";
    log.clock = {10.0, 0.0};
    log.rows = std::make_shared<const ChannelTable>(
        ChannelTable{{{"time", "s", {10.0, 10.4, 10.8, 11.2, 17.0, 19.0}},
                      {"engine_speed", "rpm", {2000, 2400, 2800, 3200, 4000, 4000}},
                      {"torque", "N.m", {90, 90, 90, 90, 90, 90}},
                      {"lambda", "1", {1.0, 1.1, 1.2, 1.3, 1.4, 1.5}},
                      {"ignition_advance", "deg", {10, 14, 18, 22, 30, 40}}}});
    setLogs(pull, {log});
    CHECK(ownRows(pull) == own);
    std::vector<std::string> names;
    for (const Column& column : pull.raw->columns)
        names.push_back(column.name);
    CHECK(names == std::vector<std::string>{"time", "engine_speed", "torque", "lambda", "engine_speed_control_unit",
                                            "torque_control_unit", "lambda_control_unit", "ignition_advance"});
    const std::vector<double>& advance = pull.raw->find("ignition_advance")->values;
    CHECK(advance[0] == Approx(10.0));
    CHECK(advance[1] == Approx(15.0)); // between 14 and 18
    CHECK(advance[2] == Approx(20.0));
    CHECK(std::isnan(advance[3])); // in the log's hole, 11.2 to 17
    CHECK(advance[4] == Approx(40.0));
    CHECK(pull.raw->find("torque")->values[0] == 50.0);
    const auto joined = joinedColumn(pull, "ignition_advance");
    REQUIRE(joined);
    CHECK(joined->column == 4);
    CHECK_FALSE(joinedColumn(pull, "torque"));
    setLogs(pull, {});
    CHECK(pull.raw == own); // taken off again, all is as it was
    CHECK_FALSE(pull.own);
}

TEST_CASE("a log's clock that drifts is read where it stands") {
    const LogClock clock{4.0, 0.002};
    CHECK(clock.logTime(10.0) == Approx(14.02));
    CHECK(clock.pullTime(14.02) == Approx(10.0));
    Pull pull = pullOf("p01", ChannelTable{{{"time", "s", {0.0, 10.0}}, {"engine_speed", "rpm", {2000, 3000}}}});
    LaidLog log;
    log.clock = clock;
    log.rows = std::make_shared<const ChannelTable>(
        ChannelTable{{{"time", "s", {4.0, 9.0, 14.02}}, {"lambda", "1", {1.0, 1.5, 2.0}}}});
    setLogs(pull, {log});
    CHECK(pull.raw->find("lambda")->values[1] == Approx(2.0));
}
