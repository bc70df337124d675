// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// A small guard on the intervals: the whole study is tools/coverage.cpp. Limits are three binomial standard deviations
// around the nominal 95 % of 120 days, so that an honest method passes and a broken one does not.

#include "core/fit/contrast.h"
#include "fit_support.h"

#include <catch2/catch.hpp>

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

} // namespace

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
