// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// A made-up day of one setting in four unequal steps with a return, and what an independent program (numpy) made of it.

#include "core/answer/setting_sweep.h"
#include "made_up_day.h"

#include <array>
#include <catch2/catch.hpp>

using namespace hillrun;
using Eigen::Index;
using Eigen::VectorXd;

namespace {

constexpr std::array kStep{0.0, 0.0, 0.5, 0.5, 0.2, 0.2, 1.0, 1.0, 0.0, 0.0};
constexpr std::array kSettingHours{0.0, 0.1, 0.8, 0.9, 1.6, 1.7, 2.4, 2.5, 3.2, 3.3};
constexpr std::array kNumber{-0.030239, -0.023985, 0.004787,  0.000469,  -0.011143,
                             -0.014758, -0.016456, -0.016401, -0.032794, -0.025083};

SettingDesign design() { return {VectorXd::Map(kStep.data(), 10), VectorXd::Map(kSettingHours.data(), 10), true}; }
VectorXd numbers() { return VectorXd::Map(kNumber.data(), 10); }

} // namespace

TEST_CASE("the response to a setting as an independent program has it") {
    const auto response = SettingResponse::of(design(), 20000);
    REQUIRE(response);
    const SettingCurve curve = response->respond(numbers(), 20000);
    CHECK(curve.degreesOfFreedom == 7.0);
    constexpr double kWeights[] = {0.0009,  0.00092, 0.00095, 0.00101, 0.00113, 0.0014,  0.00204, 0.00378, 0.00899,
                                   0.02509, 0.06788, 0.14442, 0.21215, 0.21381, 0.16055, 0.0996,  0.05536};
    REQUIRE(curve.ofRoughness.size() == std::size(kWeights));
    for (size_t n = 0; n < std::size(kWeights); ++n)
        CHECK(curve.ofRoughness[n] == Approx(kWeights[n]).margin(6e-6));
    constexpr double kMean[] = {-0.01242, 0.00241, 0.01373, 0.01662, 0.01059, 0.0};
    for (Index i = 0; i < 6; ++i)
        CHECK(curve.mean(10 * i) - curve.mean(50) == Approx(kMean[i]).margin(6e-6));
    const BestSetting best = bestSetting(curve);
    CHECK(best.named == Approx(0.56).margin(0.021));
    CHECK(best.low == Approx(0.38).margin(0.021));
    CHECK(best.high == Approx(0.78).margin(0.021));
    CHECK(best.atLowEnd == Approx(0.0).margin(0.002));
    CHECK(best.atHighEnd == Approx(0.008).margin(0.004));
}

TEST_CASE("one step beyond the last gives no more than the last one may have given") {
    FitInput day;
    day.builds = 4;
    day.rpm = {3000.0, 3250.0, 3500.0, 3750.0};
    day.logPower.resize(10, 4);
    for (Index i = 0; i < 10; ++i) {
        const double step = kStep[static_cast<size_t>(i)];
        day.pulls.push_back({step < 0.1   ? 0
                             : step < 0.3 ? 1
                             : step < 0.7 ? 2
                                          : 3,
                             kSettingHours[static_cast<size_t>(i)], static_cast<int>(i / 2)});
        day.logPower.row(i).setConstant(numbers()(i));
    }
    const auto sweep = sweepOf(fitDay(day), {"x", "", {0.0, 0.2, 0.5, 1.0}}, numbers(), {DriftAllowance::Steady, {}});
    REQUIRE(sweep);
    REQUIRE(sweep->oneMoreStep);
    CHECK(*sweep->oneMoreStep / 2.0 == Approx(-0.005021).margin(5e-6)); // for a step half as wide as the last
}
