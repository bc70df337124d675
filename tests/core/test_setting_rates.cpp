// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// How often the best setting lies where it is said to lie, on simulated days with a return to the first step.

#include "core/answer/setting_response.h"

#include <algorithm>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <boost/random/uniform_real_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>
#include <fmt/format.h>

using namespace hillrun;
using Eigen::Index;
using Eigen::VectorXd;

namespace {

using Generator = boost::random::mt19937;

constexpr int kDays = 300;
constexpr double kRepeatability = 0.005;

/// Log power over the setting, with its best at `best`.
struct Shape {
    const char* name;
    double (*at)(double x, double best);
    bool atEnd = false; ///< the best is the last step
};
const Shape kShapes[] = {
    {"parabola", [](double x, double best) { return -0.12 * (x - best) * (x - best); }},
    {"knock", // falls five times faster beyond the best
     [](double x, double best) { return (x < best ? -0.12 : -0.6) * (x - best) * (x - best); }},
    {"saturating", [](double x, double) { return 0.04 * (1.0 - std::exp(-3.0 * x)); }, true},
    {"rising", [](double x, double) { return 0.04 * x; }, true},
};

struct Steps {
    const char* name;
    std::vector<double> order;
    int pulls;
};
const Steps kSteps[] = {
    {"5 steps (2)", {0.0, 0.5, 0.25, 1.0, 0.75, 0.0}, 2},
    {"4 unequal (2)", {0.0, 0.5, 0.2, 1.0, 0.0}, 2},
    {"7 steps (1)", {0.0, 0.5, 1.0 / 6, 1.0, 1.0 / 3, 5.0 / 6, 2.0 / 3, 0.0}, 1},
    {"3 steps (3)", {0.0, 1.0, 0.5, 0.0}, 3},
};

SettingDesign designOf(const Steps& steps) {
    SettingDesign out;
    const auto pulls = static_cast<Index>(steps.order.size()) * steps.pulls;
    out.x.resize(pulls);
    out.hours.resize(pulls);
    out.driftTaken = true;
    for (Index i = 0; i < pulls; ++i) {
        out.x(i) = steps.order[static_cast<size_t>(i / steps.pulls)];
        out.hours(i) = 0.4 * static_cast<double>(i / steps.pulls) + 0.1 * static_cast<double>(i % steps.pulls);
    }
    return out;
}

struct Rates {
    int covered = 0;
    int wronglyFlat = 0; ///< a step is proven within 0.5 % that gives away more
    int costsHold = 0;   ///< what the named setting gives away is no more than said
    int anywhere = 0;    ///< no best is named
    double length = 0.0;
};

Rates ratesOf(const Shape& shape, const Steps& steps, double drift) {
    Generator random(20261129);
    boost::random::normal_distribution<double> normal;
    boost::random::uniform_real_distribution<double> somewhere(0.25, 0.75);
    const SettingDesign design = designOf(steps);
    const auto response = SettingResponse::of(design, 1000);
    Rates out;
    for (int day = 0; day < kDays; ++day) {
        const double best = shape.atEnd ? 1.0 : somewhere(random);
        VectorXd y(design.x.size());
        for (Index i = 0; i < y.size(); ++i)
            y(i) = shape.at(design.x(i), best) + kRepeatability * normal(random) +
                   drift * design.hours(i) / design.hours.maxCoeff();
        const SettingCurve curve = response->respond(y, 1000);
        const BestSetting found = bestSetting(curve);
        const VectorXd costs = costsAtMost(curve);
        const auto given = [&](Index p) {
            return shape.at(best, best) - shape.at(static_cast<double>(p) / (kSettingPoints - 1), best);
        };
        const double grid = 0.5 / (kSettingPoints - 1);
        const bool anywhere = !settingMatters(design, y);
        out.covered += anywhere || (found.low - grid <= best && best <= found.high + grid) ? 1 : 0;
        out.anywhere += anywhere ? 1 : 0;
        out.length += found.high - found.low;
        bool wrong = false;
        for (Index p = 0; p < kSettingPoints; ++p)
            wrong = wrong || (costs(p) <= 0.005 && given(p) > 0.005 + 1e-9);
        out.wronglyFlat += wrong ? 1 : 0;
        const auto named = static_cast<Index>(std::lround(found.named * (kSettingPoints - 1)));
        out.costsHold += given(named) <= costs(named) + 1e-9 ? 1 : 0;
    }
    return out;
}

double share(int count) { return static_cast<double>(count) / kDays; }

} // namespace

TEST_CASE("the interval of the best setting covers it, whatever the shape and the steps") {
    for (const Shape& shape : kShapes)
        for (const Steps& steps : kSteps)
            for (const double drift : {0.0, 0.02}) {
                const Rates found = ratesOf(shape, steps, drift);
                INFO(shape.name << ", " << steps.name << ", drift " << drift);
                if (drift == 0.0)
                    fmt::print("{:12} {:14} covers {:.3f}  length {:.2f}  wrongly flat {:.3f}  costs hold {:.3f}  "
                               "none named {:.3f}\n",
                               shape.name, steps.name, share(found.covered), found.length / kDays,
                               share(found.wronglyFlat), share(found.costsHold), share(found.anywhere));
                CHECK(share(found.covered) >= 0.93);
                CHECK(share(found.wronglyFlat) <= 0.03);
                CHECK(share(found.costsHold) >= 0.93);
            }
}

TEST_CASE("a setting that does nothing is said to be best anywhere") {
    Generator random(7);
    boost::random::normal_distribution<double> normal;
    constexpr int kFlatDays = 1500;
    const double scatter = 3.0 * std::sqrt(0.95 * 0.05 / kFlatDays); // three standard errors
    for (const Steps& steps : kSteps) {
        const SettingDesign design = designOf(steps);
        const auto response = SettingResponse::of(design, 1000);
        int whole = 0;
        int drawn = 0;
        for (int day = 0; day < kFlatDays; ++day) {
            VectorXd y(design.x.size());
            for (Index i = 0; i < y.size(); ++i)
                y(i) = kRepeatability * normal(random);
            const BestSetting found = bestSetting(response->respond(y, 200));
            drawn += found.low <= 0.0 && found.high >= 1.0 ? 1 : 0;
            whole += (found.low <= 0.0 && found.high >= 1.0) || !settingMatters(design, y) ? 1 : 0;
        }
        fmt::print("{:12} {:14} anywhere {:.3f}  by the draws alone {:.3f}\n", "flat", steps.name,
                   static_cast<double>(whole) / kFlatDays, static_cast<double>(drawn) / kFlatDays);
        INFO(steps.name);
        CHECK(static_cast<double>(whole) / kFlatDays >= 0.95 - scatter);
    }
}
