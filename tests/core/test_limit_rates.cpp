// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// How often a limit is called passed that is not, and how late one that is: simulated pulls.

#include "core/plan/usual_limits.h"
#include "core/pull/limit_watch.h"
#include "four_pulls.h"

#include <algorithm>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <boost/random/uniform_01.hpp>
#include <catch2/catch.hpp>
#include <fmt/format.h>

using namespace hillrun;
using test::fourPulls;

namespace {

/// A channel with white noise of 1 and one reading in a hundred a spike of 30 towards the limit.
struct NoisyChannel {
    boost::random::mt19937_64 generator;
    boost::random::normal_distribution<double> normal;
    boost::random::uniform_01<double> uniform;
    explicit NoisyChannel(unsigned seed) : generator(seed) {}
    double operator()(double truth) { return truth + normal(generator) + (uniform(generator) < 0.01 ? 30.0 : 0.0); }
};

constexpr double kLimit = 100.0;

/// When a pull of ten seconds passes the limit; negative: never.
template <class Truth> double passedAt(unsigned seed, double rate_hz, const Truth& truth) {
    NoisyChannel channel(seed);
    LimitTracker tracker({"exhaust_gas_temperature", LimitSide::Above, kLimit});
    for (int i = 0; i < static_cast<int>(10.0 * rate_hz); ++i)
        if (const double t = i / rate_hz; tracker.take(t, channel(truth(t))))
            return t;
    return -1.0;
}

/// The rows of a pull at full throttle, as they are watched: from where it is open until it is not.
std::vector<LimitCrossing> passedAtFullThrottle(const TestDay& day, const Pull& pull) {
    const auto& throttle = pull.raw->find("throttle")->values;
    const auto open = [](double v) { return v > 90.0; };
    const auto first = std::find_if(throttle.begin(), throttle.end(), open);
    const auto last = std::find_if_not(first, throttle.end(), open);
    return limitsPassed(*pull.raw, limitsOf(day.article), static_cast<size_t>(first - throttle.begin()),
                        static_cast<size_t>(last - first));
}

struct Danger {
    const char* kind;
    const char* channel;
    const char* file;
    double at_rpm;
    double low, high; ///< how large
};

constexpr Danger kDangers[] = {
    {"oil_starved", "oil_pressure", "flat-twin.json", 4500, 150, 400},
    {"exhaust_hot", "exhaust_gas_temperature", "flat-twin.json", 4500, 80, 200},
    {"exhaust_hot", "exhaust_gas_temperature", "boost-buggy.json", 3500, 150, 300},
    {"exhaust_hot", "exhaust_gas_temperature", "hill-tractor.json", 1400, 60, 120},
    {"mixture", "lambda", "flat-twin.json", 5500, 20, 30},
    {"knock", "knock_retard", "flat-twin.json", 5500, 9, 14},
};

} // namespace

TEST_CASE("a channel that stays inside its limit is seldom called beyond it") {
    constexpr int kPulls = 2000;
    for (const double rate_hz : {100.0, 20.0, 10.0})
        for (const double inside : {0.5, 1.0, 2.0}) {
            int alarms = 0;
            for (int i = 0; i < kPulls; ++i)
                alarms += passedAt(static_cast<unsigned>(i), rate_hz, [&](double) { return kLimit - inside; }) >= 0.0;
            fmt::print("{:5.0f} readings/s, {:.1f} sd inside for ten seconds: an alarm in {:.2f} % of {} pulls\n",
                       rate_hz, inside, 100.0 * alarms / kPulls, kPulls);
            if (inside >= 2.0)
                CHECK(alarms <= (rate_hz > 50.0 ? 0.001 : 0.03) * kPulls);
        }
}

TEST_CASE("a channel that goes beyond is told of soon") {
    constexpr int kPulls = 2000;
    for (const auto& [rate_hz, most_s] : {std::pair{100.0, 0.2}, {20.0, 0.3}, {10.0, 0.4}}) {
        std::vector<double> jump, creep;
        for (int i = 0; i < kPulls; ++i) {
            const auto seed = static_cast<unsigned>(i);
            jump.push_back(passedAt(seed, rate_hz, [](double t) { return t < 5.0 ? kLimit - 20.0 : kLimit + 10.0; }) -
                           5.0);
            creep.push_back(passedAt(seed, rate_hz, [](double t) { return kLimit + 10.0 * (t - 5.0); }) - 5.0);
        }
        for (auto* delays : {&jump, &creep}) {
            std::sort(delays->begin(), delays->end());
            fmt::print("{:5.0f} readings/s, {}: told after {:.2f} s, 95 % of pulls within {:.2f} s\n", rate_hz,
                       delays == &jump ? "a jump by 30 sd" : "10 sd a second ", (*delays)[kPulls / 2],
                       (*delays)[kPulls * 19 / 20]);
            CHECK(delays->front() > -1.0); // none is missed, none long before
            CHECK((*delays)[kPulls * 19 / 20] <= most_s + 1e-9);
        }
    }
}

TEST_CASE("clean pulls of the simulated cells pass no usual limit") {
    constexpr int kDays = 100;
    for (const char* file : {"flat-twin.json", "boost-buggy.json", "hill-tractor.json", "buggy-rollers.json"}) {
        int alarms = 0;
        for (int i = 0; i < kDays; ++i) {
            const TestDay day = sim::simulateDay(fourPulls(file), 3000 + static_cast<unsigned>(i));
            for (const Pull& pull : day.pulls)
                alarms += !passedAtFullThrottle(day, pull).empty();
        }
        fmt::print("clean, {}: a limit in {:.2f} % of {} pulls\n", file, 100.0 * alarms / (4 * kDays), 4 * kDays);
        CHECK(alarms == 0);
    }
}

TEST_CASE("every danger of the simulated cells is told") {
    constexpr int kDays = 100;
    for (const Danger& one : kDangers) {
        int told = 0;
        std::vector<double> delays;
        for (int i = 0; i < kDays; ++i) {
            sim::CellSpec spec = fourPulls(one.file);
            spec.faults = {{"p04", one.kind, one.at_rpm, one.low + (one.high - one.low) * (i % 10) / 9.0, ""}};
            const TestDay day = sim::simulateDay(spec, 4000 + static_cast<unsigned>(i));
            const ChannelTable& rows = *day.pulls.back().raw;
            for (const LimitCrossing& crossing : passedAtFullThrottle(day, day.pulls.back())) {
                if (crossing.limit.channel != one.channel)
                    continue;
                ++told;
                // The truth, nearly: the first reading from which on nine of ten in the next half second lie beyond.
                const auto& values = rows.find(one.channel)->values;
                const auto& time = rows.find("time")->values;
                size_t first = 0;
                for (; first + 50 < values.size(); ++first) {
                    const auto from = values.begin() + static_cast<long>(first);
                    if (crossing.limit.passedBy(*from) &&
                        std::count_if(from, from + 50, [&](double v) { return crossing.limit.passedBy(v); }) >= 45)
                        break;
                }
                delays.push_back(crossing.time_s - time[first]);
            }
        }
        std::sort(delays.begin(), delays.end());
        fmt::print("{:12} {:24} {:18} told in {} of {} pulls, after {:.2f} s, the latest {:.2f} s\n", one.kind,
                   one.channel, one.file, told, kDays, delays.empty() ? -1.0 : delays[delays.size() / 2],
                   delays.empty() ? -1.0 : delays.back());
        CHECK(told == kDays);
        REQUIRE_FALSE(delays.empty());
        CHECK(delays.back() <= 0.3);
    }
}
