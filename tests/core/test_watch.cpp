// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/channel_watch.h"
#include "english.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>
#include <limits>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

/// A channel of 100 frames a second around 500 with scatter 2, rounded to whole numbers.
struct Stream {
    boost::random::mt19937_64 generator{5};
    boost::random::normal_distribution<double> normal;
    ChannelWatch watch{{"oil_pressure"}};
    double time = 0.0;

    void give(double seconds, double scatter) {
        for (int i = 0; i < static_cast<int>(100 * seconds); ++i, time += 0.01)
            say(std::round(500.0 + scatter * normal(generator)));
    }
    void say(double value) { watch.take(time, std::vector{value}); }
    void stand(double seconds, double value) {
        for (int i = 0; i < static_cast<int>(100 * seconds); ++i, time += 0.01)
            say(value);
    }
};

} // namespace

TEST_CASE("a channel that lives is good") {
    Stream s;
    s.give(60.0, 2.0);
    CHECK(s.watch.state(0) == ChannelState::Good);
    CHECK(inEnglish(channelStatePhrase(s.watch.state(0))).empty());
}

TEST_CASE("a channel that stands still after it used to move is frozen, and lives again") {
    Stream s;
    s.give(20.0, 2.0);
    s.stand(1.0, 500.0);
    CHECK(s.watch.state(0) == ChannelState::Good); // too soon to say
    s.stand(2.0, 500.0);
    CHECK(s.watch.state(0) == ChannelState::Frozen);
    s.give(0.2, 2.0);
    CHECK(s.watch.state(0) == ChannelState::Good);
}

TEST_CASE("a channel that never moved is not called frozen") {
    Stream s;
    s.stand(60.0, 0.0);
    CHECK(s.watch.state(0) == ChannelState::Good);
}

TEST_CASE("scatter far above the usual is noise") {
    Stream s;
    s.give(20.0, 2.0);
    s.give(2.0, 40.0);
    CHECK(s.watch.state(0) == ChannelState::Noisy);
    s.give(5.0, 2.0);
    CHECK(s.watch.state(0) == ChannelState::Good);
}

TEST_CASE("no numbers for half a second is no signal") {
    Stream s;
    s.give(5.0, 2.0);
    s.stand(0.3, std::numeric_limits<double>::quiet_NaN());
    CHECK(s.watch.state(0) == ChannelState::Good);
    s.stand(0.5, std::numeric_limits<double>::quiet_NaN());
    CHECK(s.watch.state(0) == ChannelState::Missing);
    CHECK(inEnglish(channelStatePhrase(s.watch.state(0))) == "no signal");
}

TEST_CASE("positions may stand still") {
    ChannelWatch watch({"throttle"});
    boost::random::mt19937_64 generator(2);
    boost::random::normal_distribution<double> normal;
    double time = 0.0;
    for (int i = 0; i < 2000; ++i, time += 0.01)
        watch.take(time, std::vector{50.0 + normal(generator)});
    for (int i = 0; i < 2000; ++i, time += 0.01)
        watch.take(time, std::vector{100.0});
    CHECK(watch.state(0) == ChannelState::Good);
}
