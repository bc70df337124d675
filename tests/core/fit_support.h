// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/day_model.h"
#include "simcell/engine_model.h"

#include <boost/random/normal_distribution.hpp>
#include <cmath>
#include <string>

namespace hillrun::test {

/// A day of log curves: `design` such as "AAABBBAAA", an effect on B, a drift over the session, noise in per cent.
struct DaySketch {
    std::string design = "AAABBBAAA";
    double effect_pct = 0.0;
    double drift_pct = 0.0;
    double gain_pct = 0.4;
    double wiggle_pct = 0.4;
    unsigned seed = 1;
};

inline FitInput sketchDay(const DaySketch& sketch) {
    boost::random::mt19937_64 generator(sketch.seed);
    boost::random::normal_distribution<double> normal;
    FitInput out;
    for (double rpm = 2500.0; rpm <= 7000.0; rpm += 50.0)
        out.rpm.push_back(rpm);
    int set = -1;
    char fitted = 0;
    double time = 0.0;
    for (const char build : sketch.design) {
        if (build != fitted) {
            ++set;
            time += set > 0 ? 0.25 : 0.0;
        }
        fitted = build;
        out.builds = std::max(out.builds, build - 'A' + 1);
        out.pulls.push_back({build - 'A', time, set});
        time += 0.08;
    }
    out.logPower.resize(static_cast<Eigen::Index>(out.pulls.size()), static_cast<Eigen::Index>(out.rpm.size()));
    for (size_t i = 0; i < out.pulls.size(); ++i) {
        const sim::Wiggle wiggle(generator, 2500.0, 7000.0, 250.0);
        const double level = std::log(50000.0) + sketch.gain_pct / 100.0 * normal(generator) +
                             (out.pulls[i].build == 1 ? std::log1p(sketch.effect_pct / 100.0) : 0.0) +
                             sketch.drift_pct / 100.0 * out.pulls[i].time_h / std::max(1e-9, out.pulls.back().time_h);
        for (size_t p = 0; p < out.rpm.size(); ++p)
            out.logPower(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(p)) =
                level + 0.3 * std::log(out.rpm[p] / 5000.0) + sketch.wiggle_pct / 100.0 * wiggle.at(out.rpm[p]) +
                0.001 * normal(generator);
    }
    return out;
}

inline Eigen::VectorXd minus(int builds, int from, int to) {
    Eigen::VectorXd k = Eigen::VectorXd::Zero(builds);
    k(from) -= 1.0;
    k(to) += 1.0;
    return k;
}

} // namespace hillrun::test
