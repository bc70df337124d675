// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/number_draws.h"

#include <boost/math/distributions/chi_squared.hpp>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cmath>
#include <random>

namespace hillrun {
namespace {

using Eigen::Index;

constexpr size_t kErrorBlocks = 20;
constexpr Index kErrorBlock = 5000; ///< a multiple of kScales
constexpr Index kErrorDraws = static_cast<Index>(kErrorBlocks) * kErrorBlock;
constexpr unsigned kErrorSeed = 20260529;
constexpr Index kScales = 1000;

} // namespace

Eigen::MatrixXd rootOf(const Eigen::MatrixXd& covariance) {
    const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> eigen(covariance);
    return eigen.eigenvectors() * eigen.eigenvalues().cwiseMax(0.0).cwiseSqrt().asDiagonal();
}

Eigen::MatrixXf drawErrors(const NumbersOfBuilds& numbers, const ForEach& forEach) {
    Eigen::ArrayXf scales(kScales); // equal chances in turn scatter less than draws
    namespace policy = boost::math::policies;
    using Plain = policy::policy<policy::promote_double<false>>; // long double would take ten times as long
    const boost::math::chi_squared_distribution<double, Plain> chi(numbers.degreesOfFreedom);
    for (Index s = 0; s < kScales; ++s)
        scales(s) = static_cast<float>(
            std::sqrt(numbers.degreesOfFreedom / boost::math::quantile(chi, (static_cast<double>(s) + 0.5) / kScales)));
    const Eigen::ArrayXf inTurn = scales.replicate(kErrorBlock / kScales, 1);
    const Eigen::MatrixXf root = rootOf(numbers.errorWeights * numbers.errorWeights.transpose()).cast<float>();
    Eigen::MatrixXf out(kErrorDraws, root.rows());
    forEach(kErrorBlocks, [&](size_t block) {
        std::seed_seq seed{kErrorSeed, static_cast<unsigned>(block)};
        boost::random::mt19937 generator(seed);
        boost::random::normal_distribution<float> normal;
        Eigen::MatrixXf z(kErrorBlock, root.cols());
        for (float& one : z.reshaped())
            one = normal(generator);
        z.array().colwise() *= inTurn;
        out.middleRows(static_cast<Index>(block) * kErrorBlock, kErrorBlock).noalias() = z * root.transpose();
    });
    return out;
}

const Eigen::MatrixXf& ErrorDraws::get(const ForEach& forEach) {
    if (m_errors.size() == 0)
        m_errors = drawErrors(m_numbers, forEach);
    return m_errors;
}

double familyCritical(ErrorDraws& draws, const std::vector<Eigen::VectorXd>& contrasts, DrawCache& cache) {
    const NumbersOfBuilds& numbers = draws.numbers();
    std::vector<double> key{static_cast<double>(numbers.degreesOfFreedom)};
    for (const Eigen::VectorXd& contrast : contrasts)
        key.insert(key.end(), contrast.begin(), contrast.end());
    key.insert(key.end(), numbers.errorWeights.data(), numbers.errorWeights.data() + numbers.errorWeights.size());
    const auto work = [&] {
        const Eigen::MatrixXf& errors = draws.get(cache.forEach());
        Eigen::MatrixXf unit(errors.cols(), static_cast<Index>(contrasts.size())); // of length one in the pulls
        for (size_t c = 0; c < contrasts.size(); ++c)
            unit.col(static_cast<Index>(c)) =
                (contrasts[c] / (numbers.errorWeights.transpose() * contrasts[c]).norm()).cast<float>();
        std::vector<float> largest(kErrorDraws);
        cache.forEach()(kErrorBlocks, [&](size_t block) {
            const Index first = static_cast<Index>(block) * kErrorBlock;
            const Eigen::MatrixXf t = errors.middleRows(first, kErrorBlock) * unit;
            Eigen::VectorXf::Map(largest.data() + first, kErrorBlock) = t.cwiseAbs().rowwise().maxCoeff();
        });
        return std::vector<double>{upper95(std::move(largest))};
    };
    return cache.numbers(key, work).front();
}

} // namespace hillrun
