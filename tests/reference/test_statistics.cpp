// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Expected values from Debian's python3-statsmodels 0.13.5, ordinary least squares:
//   y=[4.012,4.009,4.017,4.031,4.026,4.035,4.005,4.001,4.008]; t=[0,.08,.17,.5,.58,.67,1,1.08,1.17];
//   b=[0,0,0,1,1,1,0,0,0] m=sm.OLS(y, column_stack([b==0, b==1, t-mean(t)])).fit(); m.t_test([-1,1,0]); m.params;
//   m.conf_int() and the same without the time column for the first six.

#include "core/fit/contrast.h"

#include <catch2/catch.hpp>

using namespace hillrun;

namespace {

const std::vector<double> kLevels{4.012, 4.009, 4.017, 4.031, 4.026, 4.035, 4.005, 4.001, 4.008};
const std::vector<double> kTimes{0.0, 0.08, 0.17, 0.5, 0.58, 0.67, 1.0, 1.08, 1.17};

FitInput firstPulls(size_t count) {
    FitInput input;
    input.builds = 2;
    input.rpm = {3000.0, 3050.0, 3100.0, 3150.0};
    input.logPower.resize(static_cast<Eigen::Index>(count), 4);
    for (size_t i = 0; i < count; ++i) {
        const int set = static_cast<int>(i / 3);
        input.pulls.push_back({set % 2, kTimes[i], set});
        input.logPower.row(static_cast<Eigen::Index>(i)).setConstant(kLevels[i]);
    }
    return input;
}

NumberEstimate difference(const DayModel& model) {
    Eigen::VectorXd contrast(2);
    contrast << -1.0, 1.0;
    return *estimateNumber(model, contrast, model.level, {DriftAllowance::Steady, std::nullopt});
}

} // namespace

TEST_CASE("with a return to base the fit is least squares with a time column") {
    const DayModel model = fitDay(firstPulls(9));
    REQUIRE(model.drift.identified);
    CHECK(model.degreesOfFreedom == 6);
    CHECK(model.levelSd == Approx(0.004410930580136496).epsilon(1e-9));
    CHECK(model.drift.perHour == Approx(-0.00707529).epsilon(1e-6));
    CHECK(model.drift.perHourLow == Approx(-0.01576308).epsilon(1e-6));
    CHECK(model.drift.perHourHigh == Approx(0.0016125).epsilon(1e-5));
    const NumberEstimate b = difference(model);
    CHECK(b.estimate == Approx(0.022).epsilon(1e-9));
    CHECK(b.estimate - b.half == Approx(0.01436808).epsilon(1e-6));
    CHECK(b.estimate + b.half == Approx(0.02963192).epsilon(1e-6));
    CHECK(b.p == Approx(0.00040632).epsilon(2e-5));
}

TEST_CASE("without one it is the two-sample t test with pooled variance") {
    const DayModel model = fitDay(firstPulls(6));
    CHECK_FALSE(model.drift.identified);
    CHECK(model.degreesOfFreedom == 4);
    const NumberEstimate b = difference(model);
    CHECK(b.estimate == Approx(0.018).epsilon(1e-9));
    CHECK(b.estimate - b.half == Approx(0.00829347).epsilon(1e-6));
    CHECK(b.estimate + b.half == Approx(0.02770653).epsilon(1e-6));
    CHECK(b.p == Approx(0.00675053).epsilon(1e-5));
}
