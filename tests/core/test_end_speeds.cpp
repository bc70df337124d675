// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The end speed raised from pull to pull: where more speed stopped paying.

#include "core/compare/analyse.h"
#include "core/units/log_percent.h"
#include "day_support.h"
#include "english.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>
#include <functional>

using namespace hillrun;
using test::inEnglish;

namespace {

using Power = std::function<double(double rpm)>;

/// Pulls of one build that end where `ends` says, in the order of time. `scatter`: sd of the change over 100 rpm, log.
std::vector<PullResult> pullsEnding(const std::vector<double>& ends, const Power& logPower, double scatter,
                                    unsigned seed, const std::string& build = "A") {
    boost::random::mt19937 generator(seed);
    boost::random::normal_distribution<double> normal;
    std::vector<PullResult> out;
    for (const double end : ends) {
        auto curve = std::make_shared<Curve>();
        curve->seen = std::make_shared<const Observed>();
        double noise = 3.0 * scatter * normal(generator);
        for (double rpm = 3000.0; rpm <= 8000.0; rpm += 50.0) {
            noise += scatter * std::sqrt(0.5) * normal(generator);
            curve->rpm.push_back(rpm);
            curve->power_w.push_back(rpm <= end ? std::exp(logPower(rpm) + noise) : std::nan(""));
        }
        PullResult pull;
        pull.id = build + std::to_string(out.size());
        pull.build = build;
        pull.used = true;
        pull.time_h = 0.1 * static_cast<double>(out.size());
        pull.curve = std::move(curve);
        out.push_back(std::move(pull));
    }
    return out;
}

/// Rises to 7000 rpm, then falls by 1 % each 100 rpm.
double peaked(double rpm) { return 10.0 - (rpm < 7000.0 ? 2e-4 * (7000.0 - rpm) : 1e-4 * (rpm - 7000.0)); }

const std::vector<double> kRaised{6800, 6900, 7000, 7100, 7200};

} // namespace

TEST_CASE("an end speed raised until power falls says where more stopped paying") {
    const auto found = endSpeedsOf(pullsEnding(kRaised, peaked, 0.0005, 1));
    REQUIRE(found.size() == 1);
    CHECK(found[0].steps_rpm == kRaised);
    REQUIRE(found[0].stretches.size() == 4);
    CHECK(found[0].stretches[0].pulls == 4);
    CHECK(found[0].stretches[3].pulls == 1);
    CHECK(found[0].stretches[0].rises());
    CHECK(found[0].stretches[3].falls());
    CHECK(found[0].stopped_rpm == 7000.0);
    CHECK_FALSE(found[0].stillRises());
    const std::string said = inEnglish(endSpeedPhrase(found[0]));
    INFO(said);
    for (const char* const part :
         {"End speed of A raised in 5 steps", "more speed stopped paying, power falls by 0.85 to"})
        CHECK(said.find(part) != std::string::npos);
}

TEST_CASE("an end speed where power still rises asks for one more step") {
    const auto found = endSpeedsOf(pullsEnding({6000, 6100, 6200, 6300}, peaked, 0.0005, 1));
    REQUIRE(found.size() == 1);
    CHECK_FALSE(found[0].stopped_rpm);
    CHECK(found[0].stillRises());
    CHECK(inEnglish(endSpeedPhrase(found[0])).find("one step more may pay") != std::string::npos);
}

TEST_CASE("a dip on the way up is no end") {
    const auto dip = [](double rpm) { return rpm < 6900.0 ? peaked(rpm) - (rpm > 6800.0 ? 0.03 : 0.0) : peaked(rpm); };
    const auto found = endSpeedsOf(pullsEnding({6700, 6800, 6850 + 25, 6950}, dip, 0.0005, 1));
    REQUIRE(found.size() == 1);
    CHECK_FALSE(found[0].stopped_rpm);
}

TEST_CASE("without a repeat nothing is told; the repeats of another build tell it too") {
    std::vector<PullResult> pulls = pullsEnding({6900, 7000, 7200}, peaked, 0.0005, 1);
    pulls.erase(pulls.begin() + 1); // ends at 6900 and 7200 alone are no three steps
    CHECK(endSpeedsOf(pulls).empty());

    pulls = pullsEnding({6950, 7050, 7150}, peaked, 0.0005, 2);
    pulls[0].curve = pullsEnding({6950}, peaked, 0.0005, 9)[0].curve;
    auto alone = endSpeedsOf({pulls[0], pulls[1], pulls[2]});
    REQUIRE(alone.size() == 1);
    REQUIRE(alone[0].stretches.size() == 2);
    CHECK(std::isfinite(alone[0].stretches[1].half)); // two pulls went over the first stretch
    const double withOwn = alone[0].stretches[1].half;
    for (PullResult& other : pullsEnding({7400, 7400, 7400, 7400}, peaked, 0.0005, 3, "B"))
        pulls.push_back(other);
    const auto more = endSpeedsOf(pulls);
    REQUIRE(more.size() == 1); // B's end was not raised
    CHECK(more[0].build == "A");
    CHECK(more[0].stretches[1].half < withOwn);
    CHECK(more[0].stopped_rpm == 7050.0);
}

TEST_CASE("half widths are those of Student's t over all stretches") {
    // The changes by hand: over 6800 to 6900 the two pulls that get there, over 6900 to 7000 the last one.
    std::vector<PullResult> pulls = pullsEnding(
        {6800, 6900, 7000}, [](double) { return 10.0; }, 0.0, 1);
    const auto put = [&](size_t pull, double rpm, double log) {
        auto curve = std::make_shared<Curve>(*pulls[pull].curve);
        curve->power_w[static_cast<size_t>((rpm - 3000.0) / 50.0)] = std::exp(log);
        pulls[pull].curve = std::move(curve);
    };
    put(1, 6900, 10.010);
    put(2, 6900, 10.012);
    put(2, 7000, 10.016);
    const auto found = endSpeedsOf(pulls);
    REQUIRE(found.size() == 1);
    CHECK(found[0].stretches[0].change == Approx(0.011));
    CHECK(found[0].stretches[1].change == Approx(0.004));
    const double t = 25.45170; // R: qt(1 - 0.025 / 2, 1)
    CHECK(found[0].stretches[0].half == Approx(t * std::sqrt(2e-6 / 2.0)).epsilon(1e-6));
    CHECK(found[0].stretches[1].half == Approx(t * std::sqrt(2e-6)).epsilon(1e-6));
}

TEST_CASE("an end that creeps is not raised step by step, and a shorter grid ends where it ends") {
    CHECK(endSpeedsOf(pullsEnding({7000, 7050, 7100, 7150, 7200}, peaked, 0.0005, 1)).empty());
    std::vector<PullResult> pulls = pullsEnding(kRaised, peaked, 0.0005, 1);
    for (PullResult& pull : pulls) {
        auto curve = std::make_shared<Curve>(*pull.curve);
        while (!std::isfinite(curve->power_w.back())) {
            curve->power_w.pop_back();
            curve->rpm.pop_back();
        }
        pull.curve = std::move(curve);
    }
    REQUIRE(endSpeedsOf(pulls).size() == 1);
    CHECK(endSpeedsOf(pulls)[0].stopped_rpm == 7000.0);
}

TEST_CASE("ends that are the same, go down, or belong to pulls set aside are no search") {
    CHECK(endSpeedsOf(pullsEnding({7000, 7000, 7050, 7000}, peaked, 0.0005, 1)).empty());
    CHECK(endSpeedsOf(pullsEnding({7200, 7100, 7000, 6900}, peaked, 0.0005, 1)).empty());
    CHECK(endSpeedsOf(pullsEnding({6800, 6900, 7000, 6800}, peaked, 0.0005, 1)).empty());
    std::vector<PullResult> pulls = pullsEnding({6800, 6900, 7000}, peaked, 0.0005, 1);
    pulls[1].used = false;
    CHECK(endSpeedsOf(pulls).empty());
    CHECK(endSpeedsOf({}).empty());
}

TEST_CASE("pulls are taken in the order of time, and repeats of a step are one step") {
    std::vector<PullResult> pulls = pullsEnding({6800, 6850, 6950, 6950, 7050, 7050}, peaked, 0.0005, 4);
    std::reverse(pulls.begin(), pulls.end());
    const auto found = endSpeedsOf(pulls);
    REQUIRE(found.size() == 1);
    CHECK(found[0].steps_rpm == std::vector<double>{6800, 6950, 7050});
    CHECK(found[0].stretches[1].pulls == 2);
}

TEST_CASE("where power is flat, a fall is claimed on no more than one day of twenty") {
    int fallen = 0;
    int covered = 0;
    int all = 0;
    constexpr int kDays = 1000;
    for (int day = 0; day < kDays; ++day) {
        const auto found = endSpeedsOf(pullsEnding(
            {6800, 6800, 6900, 6900, 7000, 7000, 7100}, [](double) { return 10.0; }, 0.002,
            100U + static_cast<unsigned>(day)));
        REQUIRE(found.size() == 1);
        fallen += found[0].stopped_rpm ? 1 : 0;
        bool every = true;
        for (const EndStretch& stretch : found[0].stretches)
            every = every && std::abs(stretch.change) <= stretch.half;
        covered += every ? 1 : 0;
        ++all;
    }
    CHECK(fallen <= 0.05 * kDays);
    CHECK(covered >= 0.93 * all);
    CHECK(covered <= 0.995 * all);
}

TEST_CASE("recorded pulls of a day that ends higher each time are answered, and stand among its notes") {
    TestDay day;
    for (int step = 0; step < 5; ++step) {
        sim::CellSpec spec = test::cellSpec("A1", 0.0);
        spec.engine.torque_nm = {{2000, 80}, {4000, 100}, {6000, 104}, {6800, 98}, {8000, 70}};
        spec.noise = {0.3, 0.1, 250.0, 0.2};
        spec.protocol.end_rpm = 6800.0 + 150.0 * step;
        TestDay one = sim::simulateDay(spec, 20U + static_cast<unsigned>(step));
        if (step == 0)
            day = one;
        else {
            Pull pull = one.pulls.front();
            pull.id = "p0" + std::to_string(step + 1);
            pull.started = "2026-05-03T10:0" + std::to_string(step) + ":00+02:00";
            day.pulls.push_back(pull);
        }
    }
    day.pulls.front().started = "2026-05-03T10:00:00+02:00";
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    REQUIRE(analysis.endSpeeds.size() == 1);
    CHECK(analysis.endSpeeds[0].steps_rpm.size() == 5);
    // The engine's own curve: torque times speed is highest where the straight line from 98 at 6800 to 70 at 8000 says.
    double best = 0.0;
    double peak = 0.0;
    for (double rpm = 6800.0; rpm <= 7500.0; rpm += 10.0)
        if (const double power = rpm * (98.0 - (rpm - 6800.0) * 28.0 / 1200.0); power > best) {
            best = power;
            peak = rpm;
        }
    REQUIRE(analysis.endSpeeds[0].stopped_rpm);
    CHECK(*analysis.endSpeeds[0].stopped_rpm >= peak - 150.0);
    CHECK(*analysis.endSpeeds[0].stopped_rpm <= peak + 300.0);
    CHECK(std::find(analysis.notes.begin(), analysis.notes.end(), endSpeedPhrase(analysis.endSpeeds[0])) !=
          analysis.notes.end());
}
