// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Simulated pulls whose truth is known, over cells, rates and sampling: does the curve come back, is what must be cut
// cut?

#include "core/pull/reduce.h"
#include "day_support.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

sim::CellSpec cell(double rate, double hertz, double sample_pct) {
    sim::CellSpec spec = test::cellSpec("A1", 0.0);
    spec.protocol = {2500.0, 7500.0, rate, hertz, std::nullopt, std::nullopt};
    spec.noise = {0.0, 0.0, 250.0, sample_pct};
    spec.weather = {{0.0, 25.0, 99.0, 0.0}};
    return spec;
}

Curve curveOf(const sim::CellSpec& spec, unsigned seed) {
    const TestDay day = sim::simulateDay(spec, seed);
    return reduce(day.pulls[0], {day.cell}, {});
}

/// Mean relative error of the torque over the middle 90 % of the range.
double meanError(const Curve& curve, const sim::CellSpec& spec) {
    const HumidAir reference = humidAir({25.0, 99000.0, {HumidityKind::RelativeHumidity_pct, 0.0}});
    double sum = 0.0;
    double count = 0.0;
    const size_t margin = curve.rpm.size() / 20;
    for (size_t i = margin; i + margin < curve.rpm.size(); ++i) {
        sum += curve.torque_nm[i] / sim::fullLoadTorque_nm(spec.engine, {}, reference, curve.rpm[i]) - 1.0;
        count += 1.0;
    }
    return sum / count;
}

bool trimmedAs(const Curve& curve, TrimReason reason) {
    for (const Trim& trim : curve.sweep().trims)
        if (trim.reason == reason)
            return true;
    return false;
}

} // namespace

TEST_CASE("power comes back within 0.3 % whatever the rate of sweep and the sampling") {
    for (const double rate : {200.0, 500.0, 1000.0}) {
        for (const double hertz : {20.0, 50.0, 100.0, 200.0}) {
            INFO(rate << " rpm/s at " << hertz << " Hz");
            const sim::CellSpec spec = cell(rate, hertz, 0.6);
            const Curve curve = curveOf(spec, 17);
            CHECK(std::abs(meanError(curve, spec)) < 0.003);
            CHECK(curve.sweep().window_rpm.low < 2500.0 + 0.3 * rate);
            CHECK(curve.sweep().window_rpm.high > 7500.0 - 0.4 * rate);
        }
    }
}

TEST_CASE("a clean start is rarely cut, a spiked one always, and within reason") {
    int cutClean = 0;
    int cutSpiked = 0;
    constexpr int kPulls = 40;
    for (unsigned seed = 1; seed <= kPulls; ++seed) {
        sim::CellSpec spec = cell(500.0, 100.0, 0.6);
        spec.noise.wiggle_pct = 0.5;
        cutClean += trimmedAs(curveOf(spec, seed), TrimReason::UnsettledStart) ? 1 : 0;
        spec.faults.push_back({"p01", "start_spike", 0.0, 15.0, ""});
        const Curve spiked = curveOf(spec, seed);
        cutSpiked += trimmedAs(spiked, TrimReason::UnsettledStart) ? 1 : 0;
        CHECK(spiked.sweep().window_rpm.low < 3300.0);
        CHECK(std::abs(meanError(spiked, spec)) < 0.01);
    }
    CHECK(cutClean <= 1);
    CHECK(cutSpiked == kPulls);
}

TEST_CASE("breakup at the top is kept for the user to judge, not cut as a lift") {
    for (unsigned seed = 1; seed <= 10; ++seed) {
        sim::CellSpec spec = cell(500.0, 100.0, 0.5);
        spec.faults.push_back({"p01", "breakup", 6800.0, 12.0, ""});
        CHECK(curveOf(spec, seed).sweep().window_rpm.high > 7350.0);
    }
}

TEST_CASE("a limiter ends the pull where it cuts in") {
    for (const double limit : {5500.0, 6200.0, 7000.0}) {
        sim::CellSpec spec = cell(500.0, 100.0, 0.5);
        spec.faults.push_back({"p01", "limiter", limit, 0.0, ""});
        const Curve curve = curveOf(spec, 3);
        INFO(limit);
        CHECK(curve.sweep().window_rpm.high == Approx(limit).margin(100.0));
        CHECK(trimmedAs(curve, TrimReason::Limiter));
    }
}

TEST_CASE("a channel that drops out leaves a gap in itself and nothing in the torque") {
    sim::CellSpec spec = cell(500.0, 100.0, 0.3);
    spec.faults.push_back({"p01", "dropout", 5000.0, 0.0, "lambda"});
    const Curve curve = curveOf(spec, 3);
    const auto& lambda = curve.channels().at("lambda");
    for (size_t i = 0; i < curve.rpm.size(); ++i) {
        if (curve.rpm[i] < 4900.0)
            CHECK(std::isfinite(lambda[i]));
        if (curve.rpm[i] > 5200.0)
            CHECK(std::isnan(lambda[i]));
        CHECK(std::isfinite(curve.torque_nm[i]));
    }
}

TEST_CASE("wider smoothing lowers the noise and does not move the mean") {
    const sim::CellSpec spec = cell(500.0, 100.0, 0.8);
    const TestDay day = sim::simulateDay(spec, 5);
    double lastRoughness = 1e9;
    for (const double width : {30.0, 60.0, 120.0, 240.0}) {
        const Curve curve = reduce(day.pulls[0], {day.cell}, {Standard::SaeJ1349, width, 50.0});
        double roughness = 0.0;
        for (size_t i = 2; i < curve.rpm.size(); ++i)
            roughness += std::abs(curve.torque_nm[i] - 2.0 * curve.torque_nm[i - 1] + curve.torque_nm[i - 2]);
        CHECK(roughness < lastRoughness);
        lastRoughness = roughness;
        CHECK(std::abs(meanError(curve, spec)) < 0.003);
    }
}
