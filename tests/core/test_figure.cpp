// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/family.h"
#include "core/answer/use.h"
#include "fit_support.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

using namespace hillrun;

namespace {

/// Two builds, A A B B, without drift; every pull flat at its power, W.
FitInput flatPulls(const std::vector<double>& powers) {
    FitInput fit;
    fit.builds = 2;
    fit.rpm = {3000.0, 3050.0, 3100.0};
    fit.logPower.resize(static_cast<Eigen::Index>(powers.size()), 3);
    for (size_t i = 0; i < powers.size(); ++i) {
        fit.pulls.push_back({i < powers.size() / 2 ? 0 : 1, 0.1 * static_cast<double>(i), 0});
        fit.logPower.row(static_cast<Eigen::Index>(i)).setConstant(std::log(powers[i]));
    }
    return fit;
}

} // namespace

TEST_CASE("a mean power is that of the range, a mean torque that of each speed") {
    FitInput fit = flatPulls({50e3, 50e3, 60e3, 60e3});
    fit.logPower(0, 2) = std::log(80e3);
    CHECK(meanPower(fit, {{3000, 3100}, {}}).ofPull(0) == Approx(60e3)); // (50 + 50 + 80) / 3
    CHECK(meanPower(fit, {{3040, 3100}, {}}).ofPull(0) == Approx(65e3));
    CHECK(std::isnan(meanPower(fit, {{4000, 4100}, {}}).ofPull(0)));
    fit.logPower(1, 1) = std::nan("");
    CHECK(std::isnan(meanPower(fit, {{3000, 3100}, {}}).ofPull(1))); // it does not cover the range
    const double perRpm = std::numbers::pi / 30.0;
    CHECK(meanTorque(fit, {{3000, 3050}, {}}).ofPull(2) == Approx(60e3 / perRpm * (1.0 / 3000.0 + 1.0 / 3050.0) / 2.0));
}

TEST_CASE("a size differs by a ratio, a place by a difference") {
    const DayModel model = fitDay(flatPulls({50e3, 50e3, 60e3, 60e3}));
    const Figure power = meanPower(model.input, {{3000, 3100}, {}});
    CHECK(*figureOf(model, 0, power, {}) == Approx(50e3));
    const auto d = differenceIn(model, 0, 1, power, {});
    REQUIRE(d);
    CHECK(d->base == Approx(50e3));
    CHECK(d->delta == Approx(10e3));
    const auto back = differenceIn(model, 1, 0, power, {});
    CHECK(back->base == Approx(60e3));
    CHECK(back->delta == Approx(-10e3));

    const Figure place{Eigen::Vector4d{6000.0, 6010.0, 6100.0, 6110.0}, false};
    const auto shift = differenceIn(model, 0, 1, place, {});
    REQUIRE(shift);
    CHECK(shift->base == Approx(6005.0));
    CHECK(shift->delta == Approx(100.0));
    // Two sets of two with a spread of 5 rpm around their means: s^2 = 4 * 25 / 2, the error of the difference is s.
    const double half = 4.302653 * std::sqrt(50.0); // Student's t, 97.5 %, 2 degrees of freedom, from tables
    CHECK(shift->high == Approx(100.0 + half).epsilon(1e-4));
    CHECK(shift->low == Approx(100.0 - half).epsilon(1e-4));
    const double half90 = 2.919986 * std::sqrt(50.0); // 95 %
    CHECK(shift->high90 == Approx(100.0 + half90).epsilon(1e-4));
    CHECK(shift->low90 == Approx(100.0 - half90).epsilon(1e-4));
}

TEST_CASE("a pull without the figure is left out, a build without any cannot be told") {
    const DayModel model = fitDay(flatPulls({50e3, 50e3, 60e3, 60e3}));
    const double none = std::nan("");
    const auto d = differenceIn(model, 0, 1, {Eigen::Vector4d{none, 52e3, 60e3, 62e3}, true}, {});
    REQUIRE(d);
    CHECK(d->base == Approx(52e3));
    CHECK(d->delta == Approx(std::sqrt(60e3 * 62e3) - 52e3));
    CHECK_FALSE(differenceIn(model, 0, 1, {Eigen::Vector4d{none, none, 60e3, 62e3}, true}, {}));
    CHECK_FALSE(figureOf(model, 1, {Eigen::Vector4d{50e3, 52e3, -1.0, 0.0}, true}, {})); // no power has a logarithm
}

TEST_CASE("peaks as figures") {
    Curve one;
    one.peakPower_w = {50e3, 6000.0, false};
    one.peakTorque_nm = {90.0, 4000.0, true};
    const std::vector<const Curve*> curves{&one, &one};
    CHECK(peakHeight(curves, PeakOf::Power).ofPull(1) == 50e3);
    CHECK(peakHeight(curves, PeakOf::Torque).ofPull(0) == 90.0);
    CHECK(peakHeight(curves, PeakOf::Power).isSize);
    CHECK(peakSpeed(curves, PeakOf::Torque).ofPull(1) == 4000.0);
    CHECK_FALSE(peakSpeed(curves, PeakOf::Power).isSize);
    CHECK(peakAtEnd(curves, PeakOf::Torque));
    CHECK_FALSE(peakAtEnd(curves, PeakOf::Power));
}

TEST_CASE("the usual family, and all pairs each once") {
    using Pairs = std::vector<BuildPair>;
    CHECK(usualPairs({"A"}).empty());
    CHECK(usualPairs({"A", "B"}) == Pairs{{"A", "B"}});
    CHECK(usualPairs({"A", "B", "C", "D"}) == Pairs{{"A", "B"}, {"A", "C"}, {"A", "D"}, {"B", "C"}, {"C", "D"}});
    const PairsToWork work = pairsToWork({"A", "B", "C"}, {{"C", "A"}, {"A", "C"}, {"B", "C"}});
    CHECK(work.pairs == Pairs{{"A", "C"}, {"B", "C"}, {"A", "B"}});
    CHECK(work.family == 2);
}
