// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/local_regression.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <limits>

using namespace hillrun;

namespace {
std::vector<double> ramp(double from, double step, size_t count) {
    std::vector<double> out;
    for (size_t i = 0; i < count; ++i)
        out.push_back(from + step * static_cast<double>(i));
    return out;
}
} // namespace

TEST_CASE("a bend narrower than the width is flattened, a wide one is kept") {
    const auto x = ramp(2000, 2, 2000);
    const std::vector<double> at{4000.0};
    std::vector<double> wide, narrow;
    for (const double v : x) {
        wide.push_back(100.0 - 1e-5 * (v - 4000.0) * (v - 4000.0));
        narrow.push_back(std::sin((v - 4000.0) / 5.0 + 1.57079632679));
    }
    const LocalRegression smoother(x, at, 100.0);
    CHECK(smoother.apply(wide)[0] == Approx(100.0).margin(0.02));
    CHECK(std::abs(smoother.apply(narrow)[0]) < 0.05);
}

TEST_CASE("the declared width is the full width of the weight at half its height") {
    // The response to one raised sample is the weight itself: half as high 50 rpm away as in the middle.
    const auto x = ramp(3000, 1, 2001);
    std::vector<double> y(x.size(), 0.0);
    y[1000] = 1.0;
    const auto out = LocalRegression(x, std::vector<double>{3950.0, 4000.0, 4050.0}, 100.0).apply(y);
    CHECK(out[0] / out[1] == Approx(0.5).margin(0.01));
    CHECK(out[2] / out[1] == Approx(0.5).margin(0.01));
}

TEST_CASE("a gap in the data stays a gap") {
    auto x = ramp(3000, 5, 100);
    const auto rest = ramp(4500, 5, 100);
    x.insert(x.end(), rest.begin(), rest.end());
    const std::vector<double> y(x.size(), 7.0);
    const auto out = LocalRegression(x, std::vector<double>{3200.0, 4000.0, 4700.0}, 100.0).apply(y);
    CHECK(out[0] == Approx(7.0));
    CHECK(std::isnan(out[1]));
    CHECK(out[2] == Approx(7.0));
}

TEST_CASE("missing samples of one channel are bridged") {
    const auto x = ramp(3000, 5, 200);
    std::vector<double> y;
    for (const double v : x)
        y.push_back(0.01 * v);
    y[100] = y[101] = std::numeric_limits<double>::quiet_NaN();
    CHECK(LocalRegression(x, std::vector<double>{3500.0}, 100.0).apply(y)[0] == Approx(35.0));
}
