// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// A small guard on the intervals: the whole study is tools/coverage.cpp. Limits are three binomial standard deviations
// around the nominal 95 % of 120 days, so that an honest method passes and a broken one does not.

#include "core/fit/contrast.h"
#include "fit_support.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <fmt/format.h>

using namespace hillrun;

namespace {

struct Counts {
    int simultaneous = 0;
    int level = 0;
    int claimed = 0;
};

Counts study(const std::string& design, double drift_pct, const DriftSettings& settings, int days) {
    Counts out;
    for (int day = 0; day < days; ++day) {
        test::DaySketch sketch{design, 1.5, drift_pct, 0.5, 0.5, static_cast<unsigned>(100 + day)};
        const DayModel model = fitDay(test::sketchDay(sketch));
        const auto contrast = evaluate(model, test::minus(2, 0, 1), settings);
        DrawCache cache;
        const std::vector<ContrastCurve> one{*contrast};
        const double critical = criticalValues(model, one, 1, cache).own.front();
        const double truth = std::log1p(0.015);
        bool inside = true;
        bool claimed = false;
        for (Eigen::Index p = 0; p < contrast->delta.size(); ++p) {
            const double half = critical * contrast->standardError(p) + contrast->boundHalf;
            inside = inside && std::abs(contrast->delta(p) - truth) <= half;
            claimed = claimed || (contrast->mayClaim() && std::abs(contrast->delta(p)) > half);
        }
        const auto level = estimateNumber(model, test::minus(2, 0, 1), model.level, settings);
        out.simultaneous += inside ? 1 : 0;
        out.level += std::abs(level->estimate - truth) <= level->half ? 1 : 0;
        out.claimed += claimed ? 1 : 0;
    }
    return out;
}

/// A day that settles by 2 % at its highest speed and not at all at its lowest.
FitInput settlingAtOneEnd(const std::string& design, double settling_pct, unsigned seed) {
    FitInput out = test::sketchDay({design, 1.5, 0.0, 0.5, 0.5, seed});
    for (size_t i = 0; i < out.pulls.size(); ++i) {
        const double t = out.pulls[i].time_h / out.pulls.back().time_h;
        for (size_t p = 0; p < out.rpm.size(); ++p)
            out.logPower(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(p)) +=
                settling_pct / 100.0 * (1.0 - std::exp(-4.0 * t)) * (out.rpm[p] - out.rpm.front()) /
                (out.rpm.back() - out.rpm.front());
    }
    return out;
}

/// Whether the band holds the truth, and its half width in the middle.
struct Band {
    bool holds = true;
    double half = 0.0;
};
Band bandOf(const DayModel& model) {
    const auto contrast = evaluate(model, test::minus(2, 0, 1), {});
    DrawCache cache;
    const std::vector<ContrastCurve> one{*contrast};
    const double critical = criticalValues(model, one, 1, cache).own.front();
    Band out;
    for (Eigen::Index p = 0; p < contrast->delta.size(); ++p)
        out.holds =
            out.holds && std::abs(contrast->delta(p) - std::log1p(0.015)) <= critical * contrast->standardError(p);
    out.half = critical * contrast->standardError.mean();
    return out;
}

/// Of so many days the share held with the allowance along rpm and with that of the level alone, and what it adds to
/// the width.
struct OneEnd {
    double along = 0.0;
    double level = 0.0;
    double wider = 0.0;
};
OneEnd oneEnd(const std::string& design, double settling_pct, int days) {
    OneEnd out;
    double along = 0.0;
    double level = 0.0;
    for (int day = 0; day < days; ++day) {
        DayModel model = fitDay(settlingAtOneEnd(design, settling_pct, 700U + static_cast<unsigned>(day)));
        const Band with = bandOf(model);
        model.drift.allowanceAlong.resize(0);
        const Band without = bandOf(model);
        out.along += with.holds ? 1.0 / days : 0.0;
        out.level += without.holds ? 1.0 / days : 0.0;
        along += with.half;
        level += without.half;
    }
    out.wider = along / level - 1.0;
    fmt::print("{} settling at one end by {} %: held on {:.3f} of days, {:.3f} by the level alone, {:.1f} % wider\n",
               design, settling_pct, out.along, out.level, 100.0 * out.wider);
    return out;
}

} // namespace

TEST_CASE("a drift of 2 % at one end of the speeds is allowed for where it is") {
    constexpr int kDays = 200;
    const auto least = [](double rate) { return rate - 3.0 * std::sqrt(rate * (1.0 - rate) / kDays); };
    const OneEnd once = oneEnd("AAABBBAAA", 2.0, kDays);
    CHECK(once.along >= least(0.945));
    CHECK(once.along >= once.level);
    const OneEnd twice = oneEnd("AAABBBBBBAAA", 2.0, kDays);
    CHECK(twice.along >= least(0.93));
    CHECK(twice.along > twice.level);
    const OneEnd none = oneEnd("AAABBBAAA", 0.0, kDays);
    CHECK(none.along >= least(0.95));
    CHECK(none.wider <= 0.015);
    CHECK(none.wider >= 0.0);
}

namespace {

/// A day of equal builds, one of which repeats so many times as far.
FitInput oneRepeatsWorse(const std::string& design, char worse, double times, unsigned seed) {
    FitInput out = test::sketchDay({design, 0.0, 0.0, 0.5, 0.5, seed});
    const test::DaySketch still{design, 0.0, 0.0, 0.0, 0.0, seed};
    const FitInput truth = test::sketchDay(still);
    for (size_t i = 0; i < out.pulls.size(); ++i)
        if (out.pulls[i].build == worse - 'A') {
            const auto row = static_cast<Eigen::Index>(i);
            out.logPower.row(row) = truth.logPower.row(row) + times * (out.logPower.row(row) - truth.logPower.row(row));
        }
    return out;
}

struct Unequal {
    double holds = 0.0;
    double level = 0.0;
    double told = 0.0;
};
Unequal unequal(const std::string& design, char worse, double times, int days) {
    Unequal out;
    for (int day = 0; day < days; ++day) {
        const DayModel model = fitDay(oneRepeatsWorse(design, worse, times, 4000U + static_cast<unsigned>(day)));
        const Eigen::VectorXd k = test::minus(model.input.builds, 0, worse - 'A');
        const auto contrast = evaluate(model, k, {});
        DrawCache cache;
        const std::vector<ContrastCurve> one{*contrast};
        const double critical = criticalValues(model, one, 1, cache).own.front();
        const bool holds = ((contrast->delta.array().abs() / contrast->standardError.array()) <= critical).all();
        const auto level = estimateNumber(model, k, model.level, {});
        out.holds += holds ? 1.0 / days : 0.0;
        out.level += std::abs(level->estimate) <= level->half ? 1.0 / days : 0.0;
        out.told += model.noise.unequal ? 1.0 / days : 0.0;
    }
    fmt::print("{}, {} x {}: held on {:.3f} of days, level on {:.3f}, told on {:.3f}\n", design, worse, times,
               out.holds, out.level, out.told);
    return out;
}

} // namespace

TEST_CASE("a build that repeats worse is told, and its intervals hold") {
    constexpr int kDays = 200;
    const auto least = [](double rate) { return rate - 3.0 * std::sqrt(rate * (1.0 - rate) / kDays); };
    const Unequal twice = unequal("AAABBBAAA", 'B', 2.0, kDays);
    CHECK(twice.holds >= least(0.93));
    CHECK(twice.level >= least(0.90));
    CHECK(twice.told >= least(0.90));
    const Unequal last = unequal("AAABBBCCCAAA", 'C', 2.0, kDays);
    CHECK(last.holds >= least(0.93));
    CHECK(last.told >= least(0.90));
    const Unequal alike = unequal("AAABBBAAA", 'B', 1.0, kDays);
    CHECK(alike.told <= 0.03 + 3.0 * std::sqrt(0.03 * 0.97 / kDays));
}

TEST_CASE("the band holds the whole true curve on about 95 of 100 days") {
    const Counts counts = study("AAABBBAAA", 0.0, {}, 120);
    CHECK(counts.simultaneous >= 107); // 114 - 3 * 2.4
    CHECK(counts.level >= 107);
    CHECK(counts.simultaneous < 120);
}

TEST_CASE("a straight drift of 2 % over the day does no harm when the base was run again") {
    const Counts steady = study("AAABBBAAA", 2.0, {DriftAllowance::Steady, std::nullopt}, 120);
    CHECK(steady.simultaneous >= 107);
    const Counts cautious = study("AAABBBAAA", 2.0, {}, 120);
    CHECK(cautious.simultaneous >= steady.simultaneous);
}

TEST_CASE("without a return nothing is claimed; a declared bound that is true holds") {
    CHECK(study("AAABBB", 2.0, {}, 60).claimed == 0);
    const Counts bounded = study("AAABBB", 2.0, {DriftAllowance::Cautious, 2.0}, 120);
    CHECK(bounded.simultaneous >= 112); // nominal at least .97
}
