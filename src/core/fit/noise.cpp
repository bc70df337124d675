// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/fit/noise.h"

#include "core/fit/day_model.h"

#include <algorithm>
#include <boost/math/distributions/fisher_f.hpp>
#include <cmath>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::VectorXd;

/// Mean squares are about one, unless the variance lies at its floor and what is left is rounding.
constexpr double kLeastMeanSquare = 1e-3;
/// How far apart two points must lie for their noise to be independent, in units of the correlation's length.
constexpr double kIndependentLengths = 1.77;

/// Squares of residuals in units of the day's variance, and the degrees of freedom behind them, summed over rpm.
struct Squares {
    double sum = 0.0;
    double freedom = 0.0;
    Squares operator-(const Squares& other) const { return {sum - other.sum, freedom - other.freedom}; }
    [[nodiscard]] double mean() const { return sum / freedom; }
};

/// Diagonal of I - H.
VectorXd ownFreedom(const Design& design) {
    const Eigen::MatrixXd half = design.x * design.gramInverse;
    return VectorXd::Ones(design.x.rows()) - (half.array() * design.x.array()).rowwise().sum().matrix();
}

std::vector<Squares> squaresOfBuilds(const DayModel& model, const Eigen::MatrixXd& q) {
    std::vector<Squares> out(static_cast<size_t>(model.input.builds));
    std::vector<VectorXd> freedom;
    for (const Design& design : model.patterns)
        freedom.push_back(ownFreedom(design));
    for (Index p = 0; p < q.cols(); ++p) {
        const int pattern = model.pattern[static_cast<size_t>(p)];
        if (pattern < 0)
            continue;
        const std::vector<int>& rows = model.patterns[static_cast<size_t>(pattern)].rows;
        for (size_t i = 0; i < rows.size(); ++i) {
            Squares& build = out[static_cast<size_t>(model.input.pulls[static_cast<size_t>(rows[i])].build)];
            build.sum += q(rows[i], p) * q(rows[i], p) / model.shapeVariance(p);
            build.freedom += freedom[static_cast<size_t>(pattern)](static_cast<Index>(i));
        }
    }
    return out;
}

/// Rounding of the powers must not change the draws, which hang on this.
double inSteps(double ratio) { return std::max(1.0, std::round(1000.0 * ratio)) / 1000.0; }

/// The smaller tail of a ratio of two mean squares, twice.
double bothTails(double ratio, double freedom, double freedomOfRest) {
    const boost::math::fisher_f f(freedom, freedomOfRest);
    const double below = boost::math::cdf(f, std::max(ratio, 0.0));
    return 2.0 * std::min(below, 1.0 - below);
}

/// Sums over rpm count neighbours that move together: this much of their freedom is left.
double independentShare(const DayModel& model) {
    const auto first = std::find(model.window.begin(), model.window.end(), 1) - model.window.begin();
    const auto last = model.window.rend() - std::find(model.window.rbegin(), model.window.rend(), 1) - 1;
    const double window_rpm = model.input.rpm[static_cast<size_t>(last)] - model.input.rpm[static_cast<size_t>(first)];
    const auto points = static_cast<double>(std::count(model.window.begin(), model.window.end(), 1));
    return window_rpm / (points * kIndependentLengths * model.correlation.length_rpm);
}

} // namespace

NoiseOfBuilds noiseOfBuilds(const DayModel& model, const Eigen::MatrixXd& shapeResiduals) {
    const std::vector<Squares> squares = squaresOfBuilds(model, shapeResiduals);
    Squares all;
    int told = 0;
    for (const Squares& build : squares) {
        all.sum += build.sum;
        all.freedom += build.freedom;
        told += build.freedom > 1e-6 ? 1 : 0;
    }
    const double independent = independentShare(model);
    NoiseOfBuilds out;
    for (const Squares& build : squares) {
        BuildNoise noise;
        const Squares rest = all - build;
        if (build.freedom > 1e-6) {
            noise.degreesOfFreedom = build.freedom * independent;
            noise.ratio = (noise.degreesOfFreedom * build.mean() + 1.0) / (noise.degreesOfFreedom + 1.0);
            if (rest.freedom > 1e-6 && all.mean() > kLeastMeanSquare)
                noise.p = std::min(
                    1.0, told * bothTails(build.mean() / std::max(rest.mean(), kLeastMeanSquare * kLeastMeanSquare),
                                          noise.degreesOfFreedom, rest.freedom * independent));
        }
        out.smallestP = std::min(out.smallestP, noise.p);
        out.builds.push_back(noise);
    }
    out.unequal = out.smallestP < kUnequalBelow;
    if (out.unequal) {
        out.ofPulls.resize(static_cast<Index>(model.input.pulls.size()));
        for (size_t i = 0; i < model.input.pulls.size(); ++i)
            out.ofPulls(static_cast<Index>(i)) =
                inSteps(out.builds[static_cast<size_t>(model.input.pulls[i].build)].ratio);
    }
    return out;
}

double varianceFactor(const DayModel& model, const Design& design, const VectorXd& weights) {
    return noiseWeights(model, design, weights).squaredNorm();
}

VectorXd noiseWeights(const DayModel& model, const Design& design, const VectorXd& weights) {
    VectorXd out = weights;
    if (model.noise.unequal)
        for (Index i = 0; i < out.size(); ++i)
            out(i) *= std::sqrt(model.noise.ofPull(design.rows[static_cast<size_t>(i)]));
    return out;
}

VectorXd evenResiduals(const DayModel& model, const Design& design, const VectorXd& y) {
    VectorXd out = design.residuals(y);
    if (model.noise.unequal)
        for (Index i = 0; i < out.size(); ++i)
            out(i) /= std::sqrt(model.noise.ofPull(design.rows[static_cast<size_t>(i)]));
    return out;
}

} // namespace hillrun
