// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/sentence.h"
#include "core/fit/contrast.h"
#include "core/fit/flags.h"
#include "core/history/earlier_repeats.h"
#include "core/plan/pulls_needed.h"
#include "core/units/log_percent.h"
#include "fit_support.h"

#include <catch2/catch.hpp>
#include <fmt/format.h>

using namespace hillrun;
using hillrun::test::DaySketch;
using hillrun::test::minus;
using hillrun::test::sketchDay;

namespace {

/// What days of this sketch teach: each with repeats of its own, and another seed.
RepeatHistory taughtBy(DaySketch sketch, int days, const FitInput& today) {
    RepeatHistory out;
    out.shapeVariance.assign(today.rpm.size(), 0.0);
    out.correlation = {0.0, 0.0};
    sketch.design = "AAABBB";
    const unsigned first = 7919U * sketch.seed;
    for (int day = 0; day < days; ++day) {
        sketch.seed = first + static_cast<unsigned>(day);
        const DayModel model = fitDay(sketchDay(sketch));
        out.freedom += model.degreesOfFreedom;
        out.levelVariance += model.degreesOfFreedom * model.levelSd * model.levelSd;
        for (size_t p = 0; p < out.shapeVariance.size(); ++p)
            out.shapeVariance[p] += model.shapeVariance(static_cast<Eigen::Index>(p)) / days;
        out.correlation.length_rpm += model.correlation.length_rpm / days;
        out.correlation.nugget += model.correlation.nugget / days;
    }
    out.levelVariance /= out.freedom;
    out.cautious = out.freedom;
    return out;
}

struct Held {
    double band = 0.0;
    double level = 0.0;
    double half_pct = 0.0;
};

/// Shares of days of one pull a build (or two) on which band and level hold the truth, nothing.
Held held(const char* design, int days, double noisierToday = 1.0) {
    Held out;
    for (int day = 0; day < days; ++day) {
        DaySketch sketch;
        sketch.seed = static_cast<unsigned>(500 + day);
        DaySketch today = sketch;
        today.design = design;
        today.gain_pct *= noisierToday;
        today.wiggle_pct *= noisierToday;
        FitInput input = sketchDay(today);
        input.history = taughtBy(sketch, 6, input);
        const DayModel model = fitDay(input);
        const Eigen::VectorXd k = minus(2, 0, 1);
        const std::vector<ContrastCurve> one{*evaluate(model, k, {})};
        DrawCache cache;
        const double critical = criticalValues(model, one, 1, cache).own.front();
        bool inside = true;
        for (Eigen::Index p = 0; p < one.front().delta.size(); ++p)
            inside = inside && std::abs(one.front().delta(p)) <= critical * one.front().standardError(p);
        const auto level = estimateNumber(model, k, model.level, {});
        out.band += inside ? 1.0 / days : 0.0;
        out.level += std::abs(level->estimate) <= level->half ? 1.0 / days : 0.0;
        out.half_pct += 100.0 * critical * one.front().standardError.mean() / days;
    }
    fmt::print("{} with earlier days: band {:.3f} level {:.3f} half {:.2f} %\n", design, out.band, out.level,
               out.half_pct);
    return out;
}

double least(double rate, int runs) { return rate - 3.0 * std::sqrt(rate * (1.0 - rate) / runs); }

DayRecord recordWith(const std::string& id, const std::string& article, double sd, double freedom, double low_rpm,
                     std::vector<float> shapeVariance) {
    DayRecord out;
    out.id = id;
    out.article = article;
    out.levelSd = sd;
    out.freedom = freedom;
    out.varianceLow_rpm = low_rpm;
    out.shapeVariance = std::move(shapeVariance);
    out.correlation = {300.0, 0.2};
    return out;
}

} // namespace

TEST_CASE("one pull a build tells nothing of itself, and with earlier days its interval holds") {
    DaySketch sketch;
    sketch.design = "AB";
    FitInput input = sketchDay(sketch);
    const DayModel alone = fitDay(input);
    CHECK(alone.degreesOfFreedom == 0);
    CHECK(std::isnan(estimateNumber(alone, minus(2, 0, 1), alone.level, {})->half));
    input.history = taughtBy(sketch, 6, input);
    const DayModel model = fitDay(input);
    CHECK(model.measuredFreedom == 0);
    CHECK(model.historyFreedom == 24);
    CHECK(model.degreesOfFreedom == 24);
    CHECK(model.levelSd == Approx(std::sqrt(input.history.levelVariance)));
    CHECK(model.correlation == input.history.correlation);
    const auto level = estimateNumber(model, minus(2, 0, 1), model.level, {});
    // t of 24 degrees of freedom (published table): 2.064.
    CHECK(level->half == Approx(2.064 * model.levelSd * std::sqrt(2.0)).epsilon(2e-4));
    // Another number scatters as a single speed does; a speed has no history.
    const Eigen::VectorXd atOneSpeed = input.logPower.col(30);
    CHECK(estimateNumber(model, minus(2, 0, 1), atOneSpeed, {})->half > level->half);
    CHECK(std::isnan(estimateNumber(model, minus(2, 0, 1), atOneSpeed, {}, false)->half));
    CHECK(flagPulls(model).empty());

    constexpr int kDays = 150;
    const Held one = held("AB", kDays);
    CHECK(one.band >= least(0.95, kDays));
    CHECK(one.level >= least(0.95, kDays));
    const Held two = held("AABB", kDays);
    CHECK(two.band >= least(0.94, kDays));
    CHECK(two.half_pct < one.half_pct);
}

TEST_CASE("with repeats enough of its own a day is not changed by earlier ones") {
    FitInput input = sketchDay({});
    const DayModel alone = fitDay(input);
    input.history = taughtBy({}, 6, input);
    input.history.levelVariance *= 4.0;
    const DayModel model = fitDay(input);
    CHECK(model.historyFreedom == 0);
    CHECK_FALSE(model.unlikeHistory);
    CHECK(model.levelSd == alone.levelSd);
    CHECK(model.shapeVariance == alone.shapeVariance);
    CHECK(estimateNumber(model, minus(2, 0, 1), model.level, {})->half ==
          estimateNumber(alone, minus(2, 0, 1), alone.level, {})->half);
}

TEST_CASE("few repeats that scatter more than earlier days allow stand alone") {
    DaySketch sketch;
    sketch.design = "AABB";
    FitInput input = sketchDay(sketch);
    const DayModel alone = fitDay(input);
    input.history = taughtBy(sketch, 6, input);
    // F of 2 and 24 degrees of freedom at 95 % (published table): 3.403.
    input.history.levelVariance = alone.levelSd * alone.levelSd / 3.41;
    CHECK(fitDay(input).unlikeHistory);
    CHECK(fitDay(input).degreesOfFreedom == 2);
    CHECK(fitDay(input).levelSd == alone.levelSd);
    input.history.levelVariance = alone.levelSd * alone.levelSd / 3.39;
    const DayModel joined = fitDay(input);
    CHECK_FALSE(joined.unlikeHistory);
    CHECK(joined.degreesOfFreedom == 26);
    CHECK(joined.levelSd * joined.levelSd ==
          Approx((2.0 * alone.levelSd * alone.levelSd + 24.0 * input.history.levelVariance) / 26.0));
    CHECK(joined.measuredLevelSd == alone.levelSd); // what a logbook keeps of it
    CHECK(joined.measuredShapeVariance == alone.shapeVariance);
    CHECK(joined.noise.builds.empty());
}

TEST_CASE("earlier days of the article tell the shapes, those of the dyno the level") {
    const std::vector<DayRecord> days{recordWith("1", "twin", 0.004, 4.0, 3000.0, {1e-5F, 1e-5F, 3e-5F}),
                                      recordWith("2", "twin", 0.004, 2.0, 3050.0, {4e-5F, 4e-5F, 6e-5F}),
                                      recordWith("3", "tractor", 0.004, 6.0, 1000.0, {9e-5F})};
    const std::vector<const DayRecord*> all{&days[0], &days[1], &days[2]};
    const EarlierRepeats twin = earlierRepeats(all, "twin");
    REQUIRE(twin.known());
    CHECK(twin.sd_pct == Approx(percentOfLog(0.004)));
    CHECK(twin.freedom == 12.0); // they agree
    CHECK(twin.cautious <= twin.freedom);
    CHECK(twin.low_rpm == 3000.0);
    REQUIRE(twin.shapeSd_pct.size() == 2);
    CHECK(twin.shapeSd_pct[0] == Approx(percentOfLog(std::sqrt(1e-5))).epsilon(1e-6));
    CHECK(twin.shapeSd_pct[1] == Approx(percentOfLog(std::sqrt((4.0 * 3e-5 + 2.0 * 4e-5) / 6.0))).epsilon(1e-6));
    CHECK(twin.correlation_rpm == 300.0);
    const EarlierRepeats other = earlierRepeats(all, "single"); // never seen: as all of them
    CHECK(other.low_rpm == 1000.0);
    CHECK(other.shapeSd_pct.size() == 22);
    CHECK(other.shapeSd_pct[10] == other.shapeSd_pct[0]); // between the articles
    CHECK_FALSE(earlierRepeats(std::span(all).first(2), "twin").known());
}

TEST_CASE("a plan of single pulls sees something once earlier days count in") {
    const auto contrast = plannedContrast({"A", "B"}, "A", "B");
    CHECK_FALSE(smallestSeen(*contrast, {0.005}));
    const auto seen = smallestSeen(*contrast, {0.005, 0.0, 24, 10});
    REQUIRE(seen);
    // A non-central t of 10 degrees of freedom is beyond its 97.5 % point in 80 % at a shift of 3.10997: by R,
    // uniroot(function(d) 1 - pt(qt(.975, 10), 10, d) - .8, c(1, 6)).
    CHECK(std::log1p(*seen) / (0.005 * std::sqrt(2.0)) == Approx(3.10997).epsilon(1e-4));
    const auto many = plannedContrast({"A", "A", "A", "B", "B", "B"}, "A", "B");
    CHECK(smallestSeen(*many, {0.005, 0.0, 24, 10}) == smallestSeen(*many, {0.005}));
}

TEST_CASE("few repeats with earlier days, whole", "[.whole]") {
    constexpr int kDays = 400;
    for (const char* design : {"AB", "AABB", "ABA"}) {
        held(design, kDays);
        fmt::print("half as noisy again today: ");
        held(design, kDays, 1.5);
    }
}
