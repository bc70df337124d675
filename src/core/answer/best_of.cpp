// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/best_of.h"

#include "core/answer/number_draws.h"
#include "core/units/nan.h"

#include <algorithm>
#include <boost/math/distributions/chi_squared.hpp>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

constexpr int kTruthDraws = 20000;
constexpr double kNear = 0.0025;

using Eigen::Index;
using Eigen::MatrixXd;
using Eigen::VectorXd;

/// 95 % point of the largest t of build i against all others; `twoSided` of its size.
double criticalOf(const NumbersOfBuilds& numbers, const Eigen::MatrixXf& errors, Index i, bool twoSided) {
    Eigen::VectorXf largest = Eigen::VectorXf::Constant(errors.rows(), -std::numeric_limits<float>::infinity());
    for (Index j = 0; j < errors.cols(); ++j) {
        if (j == i || !numbers.known(j))
            continue;
        const auto perLength =
            static_cast<float>(1.0 / (numbers.errorWeights.row(i) - numbers.errorWeights.row(j)).norm());
        const auto t = (errors.col(i) - errors.col(j)) * perLength;
        if (twoSided)
            largest = largest.cwiseMax(t.cwiseAbs());
        else
            largest = largest.cwiseMax(t);
    }
    return upper95({largest.begin(), largest.end()});
}

/// Of each build in turn, NaN where it has no number; last the two-sided one of the base. They hang on the design
/// alone.
std::vector<double> criticalsOf(const NumbersOfBuilds& numbers, Index base, const ForEach& forEach) {
    const Eigen::MatrixXf errors = drawErrors(numbers, forEach);
    std::vector<double> out;
    for (Index i = 0; i < errors.cols(); ++i)
        out.push_back(numbers.known(i) ? criticalOf(numbers, errors, i, false) : kNaN);
    out.push_back(criticalOf(numbers, errors, base, true));
    return out;
}

std::vector<double> keptCriticals(const NumbersOfBuilds& numbers, Index base, DrawCache& cache) {
    std::vector<double> key{static_cast<double>(numbers.degreesOfFreedom), static_cast<double>(base)};
    for (Index i = 0; i < numbers.number.size(); ++i)
        key.push_back(numbers.known(i) ? 1.0 : 0.0);
    key.insert(key.end(), numbers.errorWeights.data(), numbers.errorWeights.data() + numbers.errorWeights.size());
    return cache.numbers(key, [&] { return criticalsOf(numbers, base, cache.forEach()); });
}

/// Multiple comparisons with the best.
void compareWithBest(const NumbersOfBuilds& numbers, std::vector<BuildScore>& out) {
    const auto k = static_cast<Index>(out.size());
    const auto reach = [&](Index i, Index j) { // what i may be better than j by, at most
        const double half =
            out[static_cast<size_t>(i)].critical * numbers.standardError(i, j) + numbers.boundHalf(i, j);
        return numbers.mayClaim(i, j) ? numbers.number(i) - numbers.number(j) + half
                                      : std::numeric_limits<double>::infinity();
    };
    std::vector<char> possible(out.size(), 0);
    for (Index i = 0; i < k; ++i) {
        if (!numbers.known(i))
            continue;
        double least = std::numeric_limits<double>::infinity();
        for (Index j = 0; j < k; ++j)
            if (j != i && numbers.known(j))
                least = std::min(least, reach(i, j));
        BuildScore& own = out[static_cast<size_t>(i)];
        own.mayBeBest = least > 0.0;
        own.best = std::max(0.0, least);
        possible[static_cast<size_t>(i)] = own.mayBeBest;
    }
    for (Index i = 0; i < k; ++i) {
        if (!numbers.known(i))
            continue;
        double low = 0.0;
        for (Index j = 0; j < k; ++j)
            if (j != i && possible[static_cast<size_t>(j)])
                low = std::min(low, -reach(j, i));
        out[static_cast<size_t>(i)].costsAtMost = std::isfinite(low) ? std::abs(low) : kNaN;
    }
}

/// The builds' numbers as independent contrasts: Q C Q' = U lambda U', x = U'Q mean.
struct Rotated {
    MatrixXd back; ///< builds x contrasts: a build's distance from the mean of all
    VectorXd x;
    VectorXd lambda;
};

Rotated rotate(const VectorXd& mean, const MatrixXd& c) {
    const Index k = mean.size();
    MatrixXd q(k - 1, k); // Helmert's contrasts
    for (Index r = 0; r < k - 1; ++r) {
        q.row(r).setZero();
        const double n = static_cast<double>(r + 1);
        q.row(r).head(r + 1).setConstant(1.0 / std::sqrt(n * (n + 1.0)));
        q(r, r + 1) = -n / std::sqrt(n * (n + 1.0));
    }
    const Eigen::SelfAdjointEigenSolver<MatrixXd> eigen(q * c * q.transpose());
    return {q.transpose() * eigen.eigenvectors(), eigen.eigenvectors().transpose() * (q * mean),
            eigen.eigenvalues().cwiseMax(0.0)};
}

/// A possible spread of the builds and a possible repeatability, and how well they explain what was seen.
struct Node {
    double tau = 0.0;
    double s2 = 0.0;
    double weight = 0.0;
};

std::vector<Node> weighNodes(const Rotated& r, double sd, int degreesOfFreedom, double driftFactor) {
    constexpr int kSpreads = 20;
    constexpr int kRepeatabilities = 10;
    constexpr double kSmallest = 0.0005;
    constexpr double kLargest = 0.06;
    const boost::math::chi_squared chi(degreesOfFreedom);
    std::vector<Node> out;
    std::vector<double> logWeight;
    for (int t = -1; t < kSpreads; ++t) {
        const double tau = t < 0 ? 0.0 : kSmallest * std::pow(kLargest / kSmallest, t / (kSpreads - 1.0));
        const double prior = t < 0 ? kSmallest / sd : tau / (tau + sd);
        for (int s = 0; s < kRepeatabilities; ++s) {
            const double quantile = boost::math::quantile(chi, (s + 0.5) / kRepeatabilities);
            const double s2 = driftFactor * degreesOfFreedom * sd * sd / quantile;
            double log = std::log(prior);
            for (Index m = 0; m < r.x.size(); ++m) {
                const double v = s2 * r.lambda(m) + tau * tau;
                log -= 0.5 * (std::log(v) + r.x(m) * r.x(m) / v);
            }
            out.push_back({tau, s2, 0.0});
            logWeight.push_back(log);
        }
    }
    const double top = *std::max_element(logWeight.begin(), logWeight.end());
    double sum = 0.0;
    for (size_t i = 0; i < out.size(); ++i)
        sum += out[i].weight = std::exp(logWeight[i] - top);
    for (Node& node : out)
        node.weight /= sum;
    return out;
}

/// How often each is best when the truth is drawn from what is known.
void drawTruths(const Rotated& r, const std::vector<Node>& nodes, const std::vector<size_t>& known,
                std::vector<BuildScore>& out) {
    boost::random::mt19937 generator(20260530);
    boost::random::normal_distribution<double> normal;
    const Index k = r.back.rows();
    VectorXd mean = VectorXd::Zero(k), best = VectorXd::Zero(k), near = VectorXd::Zero(k), lacks = VectorXd::Zero(k);
    Index drawn = 0;
    double due = 0.0;
    for (const Node& node : nodes) {
        const Eigen::ArrayXd error = node.s2 * r.lambda.array();
        const Eigen::ArrayXd shrink = node.tau * node.tau / (node.tau * node.tau + error);
        const VectorXd middle = r.back * (shrink * r.x.array()).matrix();
        mean += node.weight * middle;
        due += node.weight * kTruthDraws;
        const Index count = std::lround(due) - drawn;
        drawn += count;
        const MatrixXd z = MatrixXd::NullaryExpr(r.x.size(), count, [&] { return normal(generator); });
        const MatrixXd theta = ((r.back * (shrink * error).sqrt().matrix().asDiagonal()) * z).colwise() + middle;
        for (Index d = 0; d < count; ++d) {
            Index first = 0;
            const double most = theta.col(d).maxCoeff(&first);
            best(first) += 1.0;
            near += (theta.col(d).array() >= most - kNear).cast<double>().matrix();
            lacks += (most - theta.col(d).array()).matrix();
        }
    }
    for (Index i = 0; i < k; ++i) {
        BuildScore& own = out[known[static_cast<size_t>(i)]];
        own.chanceBest = best(i) / static_cast<double>(drawn);
        own.chanceNearBest = near(i) / static_cast<double>(drawn);
        own.shortfall = lacks(i) / static_cast<double>(drawn);
        own.shrunk = mean(i);
    }
}

} // namespace

std::optional<std::vector<BuildScore>> bestOf(const NumbersOfBuilds& numbers, BuildColumn base, DrawCache& cache) {
    std::vector<size_t> known;
    for (Index i = 0; i < numbers.number.size(); ++i)
        if (numbers.known(i))
            known.push_back(static_cast<size_t>(i));
    if (known.size() < 2 || numbers.degreesOfFreedom <= 0 || !(numbers.sd > 0.0) || !numbers.known(base))
        return std::nullopt;
    constexpr BuildScore kUnknown{kNaN, kNaN, kNaN, false, kNaN, kNaN, kNaN, kNaN, kNaN, kNaN, kNaN};
    std::vector<BuildScore> out(static_cast<size_t>(numbers.number.size()), kUnknown);
    const std::vector<double> criticals = keptCriticals(numbers, base, cache);
    double driftFactor = 1.0;
    VectorXd mean(static_cast<Index>(known.size()));
    MatrixXd weights(static_cast<Index>(known.size()), numbers.errorWeights.cols());
    for (size_t n = 0; n < known.size(); ++n) {
        const auto i = static_cast<Index>(known[n]);
        mean(static_cast<Index>(n)) = numbers.number(i);
        weights.row(static_cast<Index>(n)) = numbers.errorWeights.row(i);
        BuildScore& own = out[known[n]];
        own.critical = criticals[known[n]];
        own.gain = numbers.number(i) - numbers.number(base);
        const double half =
            i == base ? 0.0 : criticals.back() * numbers.standardError(i, base) + numbers.boundHalf(i, base);
        own.low = own.gain - half;
        own.high = own.gain + half;
        for (const size_t other : known) {
            const auto j = static_cast<Index>(other);
            if (j == i)
                continue;
            const double plain = (numbers.errorWeights.row(i) - numbers.errorWeights.row(j)).norm() * numbers.sd;
            driftFactor = std::max(driftFactor, std::pow(numbers.standardError(i, j) / plain, 2));
        }
    }
    compareWithBest(numbers, out);
    const Rotated rotated = rotate(mean, weights * weights.transpose());
    drawTruths(rotated, weighNodes(rotated, numbers.sd, numbers.degreesOfFreedom, driftFactor), known, out);
    const double ofBase = out[static_cast<size_t>(base)].shrunk;
    for (const size_t i : known)
        out[i].shrunk -= ofBase;
    return out;
}

} // namespace hillrun
