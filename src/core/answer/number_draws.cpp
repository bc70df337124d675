// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/number_draws.h"

#include <boost/math/distributions/chi_squared.hpp>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cmath>

namespace hillrun {
namespace {

using Eigen::Index;

constexpr Eigen::Index kErrorDraws = 100000;
constexpr Index kScales = 1000;

/// A matrix M with M M' = C, also of a C that is not of full rank.
Eigen::MatrixXd rootOf(const Eigen::MatrixXd& c) {
    const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> eigen(c);
    return eigen.eigenvectors() * eigen.eigenvalues().cwiseMax(0.0).cwiseSqrt().asDiagonal();
}

} // namespace

Eigen::MatrixXf drawErrors(const NumbersOfBuilds& numbers) {
    boost::random::mt19937 generator(20260529);
    boost::random::normal_distribution<float> normal;
    std::vector<float> scales;
    const boost::math::chi_squared chi(numbers.degreesOfFreedom);
    for (Index s = 0; s < kScales; ++s)
        scales.push_back(static_cast<float>(std::sqrt(
            numbers.degreesOfFreedom / boost::math::quantile(chi, (static_cast<double>(s) + 0.5) / kScales))));
    const Eigen::MatrixXf root = rootOf(numbers.weights * numbers.weights.transpose()).cast<float>();
    Eigen::MatrixXf z(kErrorDraws, root.cols());
    Eigen::VectorXf scale(kErrorDraws);
    for (float& one : z.reshaped())
        one = normal(generator);
    for (Index d = 0; d < kErrorDraws; ++d) // equal chances in turn scatter less than draws
        scale(d) = scales[static_cast<size_t>(d % kScales)];
    Eigen::MatrixXf out = z * root.transpose();
    out.array().colwise() *= scale.array();
    return out;
}

const Eigen::MatrixXf& ErrorDraws::get() {
    if (m_errors.size() == 0)
        m_errors = drawErrors(m_numbers);
    return m_errors;
}

double familyCritical(ErrorDraws& draws, const std::vector<Eigen::VectorXd>& contrasts, DrawCache& cache) {
    const NumbersOfBuilds& numbers = draws.numbers();
    std::vector<double> key{static_cast<double>(numbers.degreesOfFreedom)};
    for (const Eigen::VectorXd& contrast : contrasts)
        key.insert(key.end(), contrast.begin(), contrast.end());
    key.insert(key.end(), numbers.weights.data(), numbers.weights.data() + numbers.weights.size());
    const auto work = [&] {
        const Eigen::MatrixXf& errors = draws.get();
        Eigen::VectorXf largest = Eigen::VectorXf::Zero(errors.rows());
        for (const Eigen::VectorXd& contrast : contrasts) {
            const double length = (numbers.weights.transpose() * contrast).norm();
            largest = largest.cwiseMax((errors * (contrast / length).cast<float>()).cwiseAbs());
        }
        return std::vector<double>{upper95({largest.begin(), largest.end()})};
    };
    return cache.numbers(key, work).front();
}

} // namespace hillrun
