// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/robust.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

const double kBlank = std::nan("");

} // namespace

TEST_CASE("the median distance gives the scatter of a normal law, and one wild value changes little") {
    CHECK(robustSd(std::vector<double>{1.0, 2.0, 3.0, 4.0, 5.0}) == Approx(1.4826)); // distances 2 1 0 1 2
    CHECK(robustSd(std::vector<double>{1.0, 2.0, kBlank, 3.0, 4.0, 500.0}) == Approx(1.4826));
    boost::random::mt19937_64 generator(5);
    boost::random::normal_distribution<double> normal(100.0, 2.0);
    std::vector<double> many(20000);
    for (double& value : many)
        value = normal(generator);
    CHECK(robustSd(many) == Approx(2.0).epsilon(0.03));
    CHECK(sampleNoise(many) == Approx(2.0).epsilon(0.05));
}

TEST_CASE("noise from row to row does not see a slope or a slow bend") {
    std::vector<double> bend(500);
    for (size_t i = 0; i < bend.size(); ++i)
        bend[i] = 3000.0 + 8.0 * static_cast<double>(i) + 1e-3 * std::pow(static_cast<double>(i) - 250.0, 2.0);
    CHECK(sampleNoise(bend) < 0.01);
    boost::random::mt19937_64 generator(6);
    boost::random::normal_distribution<double> normal(0.0, 5.0);
    for (double& value : bend)
        value += normal(generator);
    CHECK(sampleNoise(bend) == Approx(5.0).epsilon(0.15));
}

TEST_CASE("a quantile is one of the values, a median of an even number lies in the upper half") {
    const std::vector<double> values{9.0, 1.0, 5.0, 3.0, 7.0};
    CHECK(quantileOf(values, 0.0) == 1.0);
    CHECK(quantileOf(values, 0.5) == 5.0);
    CHECK(quantileOf(values, 1.0) == 9.0);
    CHECK(median(values) == 5.0);
    CHECK(std::isnan(quantileOf({}, 0.5)));
    CHECK(finiteOf(std::vector<double>{1.0, kBlank, 2.0}) == std::vector<double>{1.0, 2.0});
}

TEST_CASE("a line goes through its points; one that has no width is level") {
    const std::vector<double> x{0.0, 1.0, 2.0, 3.0, 4.0};
    const std::vector<double> y{5.0, 7.0, kBlank, 11.0, 13.0};
    const Line line = fitLine(x, y, 0, 4);
    CHECK(line.slope == Approx(2.0));
    CHECK(line.at(10.0) == Approx(25.0));
    CHECK(line.rows == 4.0);
    CHECK(LineFitter(x, y).fit(1, 4).slope == Approx(2.0));
    const std::vector<double> still{3.0, 3.0, 3.0, 3.0, 3.0};
    CHECK(fitLine(still, y, 0, 4).slope == 0.0);
    CHECK(fitLine(still, y, 0, 4).at(3.0) == Approx(9.0));
    CHECK(LineFitter(still, y).fit(0, 4).slope == 0.0);
}

TEST_CASE("runs: the longest stretch of what belongs, and of one and the same reading") {
    const std::vector<double> values{1.0, 5.0, 6.0, 7.0, 2.0, 8.0, 8.0, 1.0};
    const Run high = longestRun(values, [](double v) { return v > 4.0; });
    CHECK(high.first == 1);
    CHECK(high.rows == 3);
    const Run still = longestStill(values);
    CHECK(still.first == 5);
    CHECK(still.rows == 2);
}
