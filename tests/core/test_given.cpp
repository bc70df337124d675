// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/given_pairs.h"
#include "core/compare/sentence.h"
#include "core/errors/data_error.h"
#include "core/pull/given_curve.h"
#include "core/slip/day_events.h"
#include "day_support.h"
#include "english.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <memory>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

/// Torque that is straight in speed: 90 N.m at 3000 rpm, 1 N.m less each 100 rpm, times `factor`.
double straight_nm(double rpm, double factor) { return factor * (90.0 - (rpm - 3000.0) / 100.0); }

Pull givenPull(const std::string& id, const std::string& build, double factor,
               std::optional<Standard> corrected = Standard::SaeJ1349) {
    ChannelTable table{{{"engine_speed", "rpm", {}}, {"torque", "N.m", {}}, {"lambda", "1", {}}}};
    for (double rpm = 3000.0; rpm <= 6000.0; rpm += 250.0) {
        table.columns[0].values.push_back(rpm);
        table.columns[1].values.push_back(straight_nm(rpm, factor));
        table.columns[2].values.push_back(0.88);
    }
    Pull out;
    out.id = id;
    out.build = build;
    out.grade = PullGrade::CurveOnly;
    out.given.corrected = corrected;
    out.raw = std::make_shared<const ChannelTable>(std::move(table));
    return out;
}

TestDay dayOf(const std::vector<Pull>& pulls) {
    TestDay day;
    for (const Pull& pull : pulls) {
        if (!findBuild(day, pull.build))
            day.builds.push_back({.id = pull.build});
        day.pulls.push_back(pull);
    }
    return day;
}

DayAnalysis analysed(const TestDay& day, Standard standard = Standard::SaeJ1349) {
    AnalysisSettings settings;
    settings.reduce.standard = standard;
    DrawCache cache;
    return analyse(day, settings, cache);
}

} // namespace

TEST_CASE("a curve without rows goes through its points, and nowhere beyond them") {
    const Observed seen = observeGiven(givenPull("p01", "A", 1.0), {100.0, 50.0});
    REQUIRE(seen.rpm.size() == 61);
    CHECK(seen.rpm.front() == 3000.0);
    CHECK(seen.rpm.back() == 6000.0);
    for (size_t i = 0; i < seen.rpm.size(); ++i)
        CHECK(seen.torque_nm[i] == Approx(straight_nm(seen.rpm[i], 1.0)).epsilon(1e-9));
    CHECK(seen.channels.at("lambda")[7] == Approx(0.88));
    Pull power = givenPull("p01", "A", 1.0);
    ChannelTable kilowatts{{{"engine_speed", "rpm", {4000, 3000, 6000, 5000, 4000}}, // in any order, one speed twice
                            {"power", "kW", {40.0, 30.0, 50.0, 45.0, 99.0}}}};
    power.raw = std::make_shared<const ChannelTable>(kilowatts);
    const Observed fromPower = observeGiven(power, {100.0, 500.0});
    CHECK(fromPower.torque_nm[2] == Approx(1000.0 * 40.0 / (2.0 * 3.14159265358979 * 4000.0 / 60.0)));
    power.window_rpm = RpmRange{3500.0, 5500.0};
    CHECK(observeGiven(power, {100.0, 500.0}).rpm == std::vector<double>{3500, 4000, 4500, 5000, 5500});
    kilowatts.columns[1].values = {40.0, std::nan(""), 50.0, 45.0, 99.0};
    power.raw = std::make_shared<const ChannelTable>(kilowatts);
    power.window_rpm.reset();
    const Observed straight = observeGiven(power, {100.0, 500.0}); // three points, joined by straight lines
    CHECK(straight.rpm == std::vector<double>{4000, 4500, 5000, 5500, 6000});
    CHECK(straight.torque_nm[1] == Approx(0.5 * (straight.torque_nm[0] + straight.torque_nm[2])));
    CHECK(straight.torque_nm[3] == Approx(0.5 * (straight.torque_nm[2] + straight.torque_nm[4])));
    CHECK(straight.torque_nm[4] == Approx(1000.0 * 50.0 / (2.0 * 3.14159265358979 * 6000.0 / 60.0)));
    for (size_t i = 1; i < 4; ++i)
        kilowatts.columns[1].values[i] = std::nan("");
    power.raw = std::make_shared<const ChannelTable>(kilowatts);
    CHECK_THROWS_AS(observeGiven(power, {100.0, 500.0}), DataError); // one point is no curve
}

TEST_CASE("a figure without an interval is written without digits that nobody knows, never as a power of ten") {
    CHECK(Voice().interval(0.2814, std::nan(""), "kW", true) == "+0.28\xC2\xA0kW");
    CHECK(Voice().interval(-9.79, std::nan(""), "kW", true) == "\xE2\x88\x92"
                                                               "9.8\xC2\xA0kW");
    CHECK(Voice().interval(-1130.4, 0.0, "rpm", true) == "\xE2\x88\x92"
                                                         "1130\xC2\xA0rpm");
}

TEST_CASE("a curve from the wheel is not compared with one from the crank") {
    Pull wheel = givenPull("p02", "B", 0.85);
    wheel.measuredAt = MeasuredAt::Wheel;
    const DayAnalysis a = analysed(dayOf({givenPull("p01", "A", 1.0), wheel}));
    REQUIRE(a.comparisons.size() == 1);
    CHECK(a.comparisons[0].verdict == VerdictKind::NotComparable);
    CHECK(inEnglish(summary(a.comparisons[0], {}))
              .find("cannot be compared: one was measured at the crank, the other at the wheel") != std::string::npos);
}

TEST_CASE("a mean of curves from different sheets says what all of them were") {
    Pull other = givenPull("p02", "A", 1.1);
    other.given.corrected = Standard::Din70020;
    Pull aside = givenPull("p03", "A", 1.2);
    aside.given.corrected = Standard::SaeJ607;
    aside.use = false;
    const DayAnalysis a = analysed(dayOf({givenPull("p01", "A", 1.0), other, givenPull("p04", "A", 1.0), aside}));
    REQUIRE(a.findBuild("A"));
    CHECK(inEnglish(a.findBuild("A")->given) ==
          "a curve only, corrected to SAE J1349, smoothing not known and a curve only, "
          "corrected to DIN 70020, smoothing not known");
}

TEST_CASE("of peaks alone power counts where no torque is known") {
    Pull peaks = givenPull("p01", "A", 1.0);
    const double nan = std::nan("");
    peaks.raw = std::make_shared<const ChannelTable>(ChannelTable{
        {{"engine_speed", "rpm", {4000, 6000}}, {"power", "kW", {nan, 60.0}}, {"torque", "N.m", {110.0, nan}}}});
    const Observed seen = observeGiven(peaks, {100.0, 500.0});
    CHECK(seen.torque_nm.front() == Approx(110.0));
    CHECK(seen.torque_nm.back() == Approx(60000.0 / (2.0 * 3.14159265358979 * 100.0)));
}

TEST_CASE("curves of two builds are told apart by what they read, and nothing is proven") {
    const DayAnalysis a = analysed(dayOf({givenPull("p01", "A", 1.0), givenPull("p02", "B", 1.1)}));
    REQUIRE(a.builds.size() == 2);
    CHECK(a.builds[0].pullsUsed.empty());
    CHECK(inEnglish(a.pulls[0].whyLeftOut).find("a curve only, corrected to SAE J1349") == 0);
    const Comparison* c = a.find("A", "B");
    REQUIRE(c);
    CHECK(a.comparisons.size() == 1);
    CHECK(a.whyNoComparison.empty());
    CHECK_FALSE(c->hasInterval);
    CHECK_FALSE(c->mayClaim());
    CHECK(c->verdict == VerdictKind::CannotTell);
    CHECK(c->regions.empty());
    const double mean_w = 0.1 * a.findBuild("A")->power_w[20];
    CHECK(c->delta_w[20] == Approx(mean_w));
    CHECK(c->bands.front().percent == Approx(10.0));
    CHECK(std::isnan(c->bands.front().low_w));
    CHECK(c->bands.size() == 4);
    CHECK(a.find("B", "A")->delta_w[20] == Approx(-mean_w));
    const std::string words = inEnglish(summary(*c, {}));
    INFO(words);
    CHECK(words.find("Cannot tell: A is a curve only, corrected to SAE J1349, smoothing not known and B is a curve "
                     "only") == 0);
    CHECK(words.find("how well that repeats nobody knows") != std::string::npos);
}

TEST_CASE("beside recorded pulls a curve changes no answer") {
    const TestDay recorded = test::smallDay("A3 B3 A3");
    const DayAnalysis before = analysed(recorded);
    TestDay day = recorded;
    day.builds.push_back({.id = "P"});
    day.pulls.push_back(givenPull("p90", "P", 1.0));
    day.pulls.push_back(givenPull("p91", "A", 1.2)); // a curve of a build that was recorded too
    const DayAnalysis after = analysed(day);
    const Comparison* c = after.find("A", "B");
    REQUIRE(c);
    CHECK(c->delta_w == before.find("A", "B")->delta_w);
    CHECK(c->family95_w.low == before.find("A", "B")->family95_w.low);
    CHECK(after.findBuild("A")->power_w == before.findBuild("A")->power_w);
    const Comparison* paper = after.find("A", "P");
    REQUIRE(paper);
    REQUIRE(paper->given.size() == 1);
    CHECK(paper->given[0].build == "P");
    CHECK(inEnglish(paper->given[0].text) == "a curve only, corrected to SAE J1349, smoothing not known");
    CHECK(after.pulls.back().used == false);
    addEvents(day, const_cast<std::vector<PullResult>&>(after.pulls));
    CHECK(after.pulls.back().events.empty());
}

TEST_CASE("three curves of a build in one air make a set") {
    const TestDay day =
        dayOf({givenPull("p01", "A", 1.0), givenPull("p02", "A", 1.003), givenPull("p03", "A", 0.998),
               givenPull("p04", "B", 1.05), givenPull("p05", "B", 1.052), givenPull("p06", "B", 1.047)});
    const DayAnalysis a = analysed(day);
    CHECK(a.findBuild("A")->pullsUsed.size() == 3);
    CHECK(a.find("A", "B")->hasInterval);
    CHECK(a.find("A", "B")->given.empty());
    CHECK_FALSE(analysed(day, Standard::Iso1585).find("A", "B")->hasInterval); // they stand in another air
    TestDay two = day;
    two.pulls[0].use = false;
    CHECK(analysed(two).findBuild("A")->pullsUsed.empty());
}

TEST_CASE("a curve that was corrected stays as it is; one that was not is corrected") {
    const Dyno dyno;
    const auto torqueAt = [&](Pull pull, Standard standard) {
        return correct(std::make_shared<const Observed>(observeGiven(pull, {100.0, 50.0})), pull, dyno, standard)
            .torque_nm[10];
    };
    Pull pull = givenPull("p01", "A", 1.0);
    const double read = straight_nm(3500.0, 1.0);
    CHECK(torqueAt(pull, Standard::SaeJ1349) == Approx(read));
    CHECK(torqueAt(pull, Standard::SaeJ607) == Approx(read));
    CHECK(standsIn(pull, Standard::SaeJ1349));
    CHECK_FALSE(standsIn(pull, Standard::SaeJ607));
    pull.given.corrected = Standard::Uncorrected;
    CHECK(standsIn(pull, Standard::SaeJ607));
    CHECK_THROWS_AS(torqueAt(pull, Standard::SaeJ1349), DataError); // no weather
    pull.weather = Atmosphere{30.0, 97000.0, {HumidityKind::RelativeHumidity_pct, 50.0}};
    CHECK(torqueAt(pull, Standard::SaeJ1349) > 1.02 * read);
    CHECK(torqueAt(pull, Standard::Uncorrected) == Approx(read));
    pull.given = {};
    CHECK_FALSE(standsIn(pull, Standard::SaeJ1349));
    CHECK(torqueAt(pull, Standard::SaeJ1349) == Approx(read));
    CHECK(inEnglish(givenPhrase(pull)) == "a curve only, corrected to nobody knows what, smoothing not known");
    pull.given = {Standard::SaeJ607, 150.0, 0.4, {}};
    pull.grade = PullGrade::Traced;
    CHECK(inEnglish(givenPhrase(pull)) ==
          "a curve read off a picture, corrected to SAE J607, smoothed over 150 rpm, read to 0.4 %");
}
