// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/fit/contrast.h"
#include "core/fit/flags.h"
#include "fit_support.h"
#include "support.h"

#include <boost/math/distributions/students_t.hpp>
#include <catch2/catch.hpp>

using namespace hillrun;
using test::DaySketch;
using test::minus;
using test::sketchDay;

TEST_CASE("drift is identified only by a return to a build") {
    CHECK_FALSE(fitDay(sketchDay({"AAABBB"})).drift.identified);
    CHECK_FALSE(fitDay(sketchDay({"AABBCC"})).drift.identified);
    CHECK(fitDay(sketchDay({"AAABBBAAA"})).drift.identified);
    CHECK(fitDay(sketchDay({"AABBBBAA"})).drift.identified);
    CHECK(fitDay(sketchDay({"AABBCCAA"})).drift.identified);
}

TEST_CASE("the worst jump of each design is what the method says") {
    const struct {
        const char* design;
        int from, to;
        double jump;
    } rows[] = {{"AAABBBAAA", 0, 1, 0.5},
                {"AAABBBBBBAAA", 0, 1, 0.5},
                {"AABBAABB", 0, 1, 0.5},
                {"AABBCCAA", 0, 1, 2.0 / 3.0},
                {"AAABBB", 0, 1, 1.0}};
    for (const auto& row : rows) {
        INFO(row.design);
        FitInput input = sketchDay({row.design});
        for (FitPull& pull : input.pulls) // the table's figures are for evenly spaced sets
            pull.time_h = pull.set;
        const auto c = evaluate(fitDay(input), minus(input.builds, row.from, row.to), {});
        REQUIRE(c);
        CHECK(c->worstJump == Approx(row.jump).margin(0.02));
    }
}

TEST_CASE("a straight drift does not touch the difference when the base was run again") {
    DaySketch sketch{"AAABBBAAA", 2.0, 0.0, 0.0, 0.0};
    sketch.drift_pct = -3.0;
    const DayModel model = fitDay(sketchDay(sketch));
    const auto c = evaluate(model, minus(2, 0, 1), {});
    CHECK(c->levelDelta == Approx(std::log(1.02)).margin(5e-4));
    CHECK(c->protectedFromDrift);
    CHECK_FALSE(c->explainingDrift);
    CHECK(model.drift.perHour == Approx(-0.03 / model.input.pulls.back().time_h).epsilon(0.02));
    CHECK(model.drift.overDay == Approx(model.drift.perHour * model.drift.span_h));
}

TEST_CASE("without a return nothing may be claimed until a bound is declared") {
    const DayModel model = fitDay(sketchDay({"AAABBB", 4.0}));
    const auto open = evaluate(model, minus(2, 0, 1), {});
    CHECK_FALSE(open->protectedFromDrift);
    CHECK_FALSE(open->mayClaim());
    CHECK(*open->explainingDrift == Approx(std::abs(open->levelDelta)));
    const auto bounded = evaluate(model, minus(2, 0, 1), {DriftAllowance::Cautious, 1.0});
    CHECK(bounded->mayClaim());
    CHECK(bounded->boundHalf == Approx(0.01));
    CHECK(bounded->levelDelta == open->levelDelta);
}

TEST_CASE("one pull a build gives a difference and no interval") {
    const DayModel model = fitDay(sketchDay({"AB", 3.0}));
    const auto c = evaluate(model, minus(2, 0, 1), {});
    CHECK(model.degreesOfFreedom == 0);
    CHECK(std::isfinite(c->delta(10)));
    CHECK(std::isnan(c->standardError(10)));
    CHECK_FALSE(c->mayClaim());
    DrawCache cache;
    const std::vector<ContrastCurve> one{*c};
    CHECK(std::isnan(criticalValues(model, one, 1, cache).own.front()));
}

TEST_CASE("a build that was never run cannot be estimated") {
    FitInput input = sketchDay({"AAABBB"});
    input.builds = 3;
    CHECK_FALSE(evaluate(fitDay(input), minus(3, 0, 2), {}));
}

TEST_CASE("the simultaneous band is wider than the pointwise one, the family's wider still") {
    const FitInput input = sketchDay({"AABBCCAA"});
    const DayModel model = fitDay(input);
    const std::vector<ContrastCurve> pairs{*evaluate(model, minus(3, 0, 1), {}), *evaluate(model, minus(3, 0, 2), {}),
                                           *evaluate(model, minus(3, 1, 2), {})};
    DrawCache cache;
    const CriticalValues c = criticalValues(model, pairs, pairs.size(), cache);
    for (size_t i = 0; i < pairs.size(); ++i) {
        CHECK(c.own[i] * pairs[i].standardError(20) > pairs[i].pointwiseHalf(20));
        CHECK(c.family >= c.own[i]);
    }
    CHECK(c.own.front() > 2.4);
    CHECK(c.own.front() < 6.0);
}

TEST_CASE("the same day gives the same digits, and the cache changes nothing") {
    const DayModel model = fitDay(sketchDay({}));
    const std::vector<ContrastCurve> one{*evaluate(model, minus(2, 0, 1), {})};
    DrawCache cache, other;
    const double first = criticalValues(model, one, 1, cache).family;
    CHECK(criticalValues(model, one, 1, cache).family == first);
    CHECK(criticalValues(model, one, 1, other).family == first);
}

TEST_CASE("pulls that end early lose only what they do not have") {
    FitInput input = sketchDay({"AAABBBAAA", 2.0, 0.0, 0.0, 0.0});
    const auto nan = std::nan("");
    input.logPower.row(4).tail(20).setConstant(nan); // one pull of B stops 1000 rpm early
    const DayModel model = fitDay(input);
    const auto c = evaluate(model, minus(2, 0, 1), {});
    CHECK(model.core[60]);
    CHECK_FALSE(model.core[80]);
    CHECK(c->delta(85) == Approx(std::log(1.02)).margin(2e-3));
    CHECK(c->shapeFactor(85) > c->shapeFactor(20));
    for (Eigen::Index i = 3; i < 6; ++i)
        input.logPower.row(i).tail(20).setConstant(nan);
    const auto none = evaluate(fitDay(input), minus(2, 0, 1), {});
    CHECK(std::isnan(none->delta(85)));
    CHECK(std::isfinite(none->delta(20)));
}

TEST_CASE("pulls without a common range are refused") {
    FitInput input = sketchDay({"AB"});
    input.logPower.row(0).tail(60).setConstant(std::nan(""));
    input.logPower.row(1).head(60).setConstant(std::nan(""));
    CHECK(test::messageOf([&] { fitDay(input); }).find("share no range") != std::string::npos);
}

TEST_CASE("a broken pull is flagged and it is the right one") {
    int rightBreakup = 0, rightLevel = 0, cleanFlagged = 0;
    for (unsigned seed = 1; seed <= 40; ++seed) {
        const FitInput clean = sketchDay({"AAABBBAAA", 1.0, 0.0, 0.4, 0.4, seed});
        cleanFlagged += flagPulls(fitDay(clean)).empty() ? 0 : 1;
        FitInput broken = clean;
        for (Eigen::Index p = 75; p < 91; ++p) // breakup: kinks of 4 % over the last 800 rpm
            broken.logPower(4, p) -= p % 3 == 0 ? 0.04 : 0.0;
        const auto flags = flagPulls(fitDay(broken));
        rightBreakup += !flags.empty() && flags.front().pull == 4 && flags.front().kind == FlagKind::Rough ? 1 : 0;
        FitInput low = clean;
        low.logPower.row(7).array() -= 0.06;
        const auto lows = flagPulls(fitDay(low));
        rightLevel += !lows.empty() && lows.front().pull == 7 && lows.front().kind == FlagKind::Level ? 1 : 0;
    }
    CHECK(rightBreakup >= 38);
    CHECK(rightLevel >= 34);
    CHECK(cleanFlagged <= 3);
}

TEST_CASE("of two pulls that disagree neither is blamed") {
    FitInput input = sketchDay({"AAAAAABB", 0.0, 0.0, 0.1, 0.1});
    input.logPower.row(7).array() -= 0.05;
    const auto flags = flagPulls(fitDay(input));
    REQUIRE_FALSE(flags.empty());
    CHECK(flags.front().kind == FlagKind::Disagree);
}

TEST_CASE("how far the noise hangs together along the speed is recovered, and its white share") {
    // Put in: 0.4 % that hangs together over 250 rpm, 0.1 % white: a share of 0.01 / 0.17.
    double length = 0.0;
    double nugget = 0.0;
    constexpr unsigned kDays = 40;
    for (unsigned seed = 1; seed <= kDays; ++seed) {
        const DayModel model = fitDay(test::sketchDay({"AAAABBBBAAAA", 0.0, 0.0, 0.4, 0.4, seed}));
        length += model.correlation.length_rpm / kDays;
        nugget += model.correlation.nugget / kDays;
    }
    CHECK(length == Approx(250.0).epsilon(0.15));
    CHECK(nugget == Approx(0.01 / 0.17).margin(0.03));
    // All of it white.
    CHECK(fitDay(test::sketchDay({"AAAABBBBAAAA", 0.0, 0.0, 0.4, 0.0, 7})).correlation.nugget > 0.9);
}

TEST_CASE("a declared bound of drift widens a number by its share in the contrast, where drift is not covered") {
    const DayModel model = fitDay(sketchDay({.design = "AAABBB"}));
    const Eigen::VectorXd levels = model.input.logPower.rowwise().mean();
    const auto half = [&](const Eigen::VectorXd& builds, const DayModel& of, const Eigen::VectorXd& values,
                          std::optional<double> bound_pct) {
        DriftSettings drift;
        drift.declaredBound_pct = bound_pct;
        return estimateNumber(of, builds, values, drift)->half;
    };
    const Eigen::VectorXd whole = minus(2, 0, 1);
    const Eigen::VectorXd part = 0.5 * whole; // half of a difference takes half of the drift between
    CHECK(half(whole, model, levels, 1.0) - half(whole, model, levels, std::nullopt) == Approx(0.01));
    CHECK(half(part, model, levels, 1.0) - half(part, model, levels, std::nullopt) == Approx(0.005));
    const DayModel returned = fitDay(sketchDay({}));
    const Eigen::VectorXd same = returned.input.logPower.rowwise().mean();
    CHECK(half(whole, returned, same, 1.0) == half(whole, returned, same, std::nullopt)); // base was run again
}

TEST_CASE("pulls that are alike to the digit still have a scatter, a twentieth of a per cent along the curve") {
    FitInput input = sketchDay({.gain_pct = 0.0, .wiggle_pct = 0.0});
    for (Eigen::Index r = 1; r < input.logPower.rows(); ++r)
        input.logPower.row(r) = input.logPower.row(0);
    const DayModel model = fitDay(input);
    for (Eigen::Index p = 0; p < model.shapeVariance.size(); ++p)
        if (std::isfinite(model.shapeVariance(p)))
            CHECK(std::sqrt(model.shapeVariance(p)) == Approx(0.0005));
}

TEST_CASE("what drift is allowed for: what it is over the day, less its own uncertainty, by the chosen share") {
    CHECK(allowanceShare(DriftAllowance::Cautious) == 0.5);
    CHECK(allowanceShare(DriftAllowance::Steady) == 0.0);
    CHECK(allowanceShare(DriftAllowance::Jumps) == 0.7);
    for (const double drift_pct : {0.0, 3.0}) {
        const DayModel model = fitDay(sketchDay({.drift_pct = drift_pct}));
        const auto& drift = model.drift;
        const boost::math::students_t t(model.degreesOfFreedom);
        const double se = 0.5 * (drift.perHourHigh - drift.perHourLow) / boost::math::quantile(t, 0.975) * drift.span_h;
        CHECK(drift.allowanceSquared == Approx(std::max(0.0, drift.overDay * drift.overDay - se * se)));
    }
    CHECK(fitDay(sketchDay({.drift_pct = 3.0})).drift.allowanceSquared > 0.0);
}

TEST_CASE("without a return a two by two protects its interaction from straight drift, and nothing else") {
    const DayModel model = fitDay(sketchDay({.design = "AAABBBCCCDDD"}));
    Eigen::VectorXd interaction(4);
    interaction << 1.0, -1.0, -1.0, 1.0; // its sets lie evenly in time: what drifts straight cancels
    CHECK(evaluate(model, interaction, {})->protectedFromDrift);
    CHECK_FALSE(evaluate(model, minus(4, 0, 1), {})->protectedFromDrift);
    CHECK_FALSE(evaluate(model, minus(4, 0, 3), {})->protectedFromDrift);
}
