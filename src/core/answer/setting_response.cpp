// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/setting_response.h"

#include "core/answer/number_draws.h"

#include <algorithm>
#include <boost/math/distributions/fisher_f.hpp>
#include <boost/random/chi_squared_distribution.hpp>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cmath>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::MatrixXd;
using Eigen::VectorXd;

constexpr int kRoughSteps = 16;
constexpr double kLeastRough = 0.6;
constexpr double kMostRough = 120.0;
constexpr uint32_t kSeed = 20260517;

/// Covariance of an integrated Wiener process between two settings.
double processCovariance(double a, double b) {
    const double low = std::min(a, b);
    const double high = std::max(a, b);
    return low * low * (3.0 * high - low) / 6.0;
}

MatrixXd processCovariance(const VectorXd& a, const VectorXd& b) {
    MatrixXd out(a.size(), b.size());
    for (Index i = 0; i < a.size(); ++i)
        for (Index j = 0; j < b.size(); ++j)
            out(i, j) = processCovariance(a(i), b(j));
    return out;
}

/// [1 x (time from its mean)]
MatrixXd linesOf(const SettingDesign& design) {
    MatrixXd out(design.x.size(), design.driftTaken ? 3 : 2);
    out.col(0).setOnes();
    out.col(1) = design.x;
    if (design.driftTaken)
        out.col(2) = design.hours.array() - design.hours.mean();
    return out;
}

std::vector<double> roughnesses() {
    std::vector<double> out{0.0};
    for (int step = 0; step < kRoughSteps; ++step)
        out.push_back(kLeastRough * std::pow(kMostRough / kLeastRough, step / (kRoughSteps - 1.0)));
    return out;
}

} // namespace

std::optional<SettingResponse> SettingResponse::of(const SettingDesign& design, Index draws) {
    const MatrixXd lines = linesOf(design);
    const Index pulls = design.x.size();
    const Index rank = Eigen::ColPivHouseholderQR<MatrixXd>(lines).rank();
    if (rank < lines.cols() || pulls <= rank)
        return std::nullopt;
    const VectorXd grid = VectorXd::LinSpaced(kSettingPoints, 0.0, 1.0);
    MatrixXd gridLines = MatrixXd::Zero(kSettingPoints, lines.cols());
    gridLines.col(0).setOnes();
    gridLines.col(1) = grid;
    const MatrixXd among = processCovariance(design.x, design.x);
    const MatrixXd across = processCovariance(grid, design.x);
    const MatrixXd onGrid = processCovariance(grid, grid);
    SettingResponse out;
    out.m_degreesOfFreedom = static_cast<double>(pulls - rank);
    for (const double rho : roughnesses()) {
        const double rho2 = rho * rho;
        const Eigen::LLT<MatrixXd> v(MatrixXd::Identity(pulls, pulls) + rho2 * among);
        const MatrixXd weighted = v.solve(lines); // V^-1 X
        const Eigen::LLT<MatrixXd> gram(lines.transpose() * weighted);
        const MatrixXd inverse = v.solve(MatrixXd::Identity(pulls, pulls));
        const MatrixXd toLines = gram.solve(weighted.transpose());             // b = toLines y
        const MatrixXd known = rho2 * v.solve(across.transpose()).transpose(); // rho^2 k_g V^-1
        const MatrixXd beyond = gridLines - known * lines;
        Node node;
        node.rho = rho;
        const auto logDeterminant = [](const Eigen::LLT<MatrixXd>& l) {
            return 2.0 * MatrixXd(l.matrixL()).diagonal().array().log().sum();
        };
        node.logPrior = -0.5 * (logDeterminant(v) + logDeterminant(gram));
        node.precision = inverse - weighted * toLines;
        node.smooth = gridLines * toLines + known * (MatrixXd::Identity(pulls, pulls) - lines * toLines);
        node.root = rootOf(rho2 * onGrid - rho2 * known * across.transpose() + beyond * gram.solve(beyond.transpose()));
        out.m_nodes.push_back(std::move(node));
    }
    out.m_normal.resize(kSettingPoints, draws);
    out.m_chi2.resize(draws);
    boost::random::mt19937 random(kSeed);
    boost::random::normal_distribution<double> normal;
    boost::random::chi_squared_distribution<double> chi2(out.m_degreesOfFreedom);
    for (double& one : out.m_normal.reshaped())
        one = normal(random);
    for (double& one : out.m_chi2)
        one = chi2(random);
    return out;
}

SettingCurve SettingResponse::respond(const VectorXd& y, Index draws) const {
    draws = std::min(draws, m_normal.cols());
    SettingCurve out;
    out.degreesOfFreedom = m_degreesOfFreedom;
    std::vector<double> left;
    std::vector<double> log;
    for (const Node& node : m_nodes) {
        left.push_back(std::max(y.dot(node.precision * y), 0.0));
        log.push_back(node.logPrior - 0.5 * m_degreesOfFreedom * std::log(std::max(left.back(), 1e-300)));
        out.roughness.push_back(node.rho);
    }
    const double largest = *std::max_element(log.begin(), log.end());
    double sum = 0.0;
    for (const double one : log)
        sum += std::exp(one - largest);
    out.mean = VectorXd::Zero(kSettingPoints);
    out.draws.resize(kSettingPoints, draws);
    double share = 0.0;
    Index done = 0;
    for (size_t n = 0; n < m_nodes.size(); ++n) {
        const Node& node = m_nodes[n];
        const double weight = std::exp(log[n] - largest) / sum;
        out.ofRoughness.push_back(weight);
        const VectorXd mean = meanWith(n, y);
        out.mean += weight * mean;
        share += weight; // each node has its share of the draws
        const auto end = n + 1 == m_nodes.size()
                             ? draws
                             : std::min(draws, static_cast<Index>(std::lround(share * static_cast<double>(draws))));
        if (end <= done)
            continue;
        const VectorXd s = (left[n] / m_chi2.segment(done, end - done).array()).sqrt();
        const MatrixXd z = m_normal.middleCols(done, end - done) * s.asDiagonal();
        out.draws.middleCols(done, end - done) = (node.root * z).colwise() + mean;
        done = end;
    }
    return out;
}

BestSetting bestSetting(const SettingCurve& curve) {
    const auto places = static_cast<double>(kSettingPoints - 1);
    std::vector<Index> at(static_cast<size_t>(curve.draws.cols()));
    BestSetting out;
    for (Index d = 0; d < curve.draws.cols(); ++d) {
        curve.draws.col(d).maxCoeff(&at[static_cast<size_t>(d)]);
        out.atLowEnd += at[static_cast<size_t>(d)] == 0 ? 1.0 : 0.0;
        out.atHighEnd += at[static_cast<size_t>(d)] == kSettingPoints - 1 ? 1.0 : 0.0;
    }
    std::sort(at.begin(), at.end());
    const auto count = static_cast<double>(at.size());
    const auto quantile = [&](double share) {
        return static_cast<double>(at[static_cast<size_t>(std::min(count - 1.0, std::floor(share * count)))]) / places;
    };
    Index best = 0;
    curve.mean.maxCoeff(&best);
    out.named = static_cast<double>(best) / places;
    out.low = quantile(0.025);
    out.high = quantile(0.975);
    out.atLowEnd /= count;
    out.atHighEnd /= count;
    return out;
}

bool settingMatters(const SettingDesign& design, const VectorXd& y) {
    MatrixXd flat(y.size(), design.driftTaken ? 2 : 1);
    flat.col(0).setOnes();
    if (design.driftTaken)
        flat.col(1) = design.hours.array() - design.hours.mean();
    MatrixXd bent(y.size(), flat.cols() + 2);
    bent << flat, design.x, design.x.cwiseAbs2();
    const auto left = [&](const MatrixXd& x) { return (y - x * x.colPivHouseholderQr().solve(y)).squaredNorm(); };
    const Index nu = y.size() - Eigen::ColPivHouseholderQR<MatrixXd>(bent).rank();
    if (nu < 1)
        return false;
    const double without = left(flat);
    const double with = left(bent);
    if (!(with > 0.0))
        return without > 0.0;
    const double f = (without - with) / 2.0 / (with / static_cast<double>(nu));
    return f > boost::math::quantile(boost::math::fisher_f(2.0, static_cast<double>(nu)), 0.95);
}

VectorXd costsAtMost(const SettingCurve& curve) {
    const Eigen::RowVectorXd best = curve.draws.colwise().maxCoeff();
    VectorXd out(curve.draws.rows());
    for (Index p = 0; p < out.size(); ++p) {
        std::vector<double> given(static_cast<size_t>(best.size()));
        for (Index d = 0; d < best.size(); ++d)
            given[static_cast<size_t>(d)] = best(d) - curve.draws(p, d);
        const auto at = given.begin() + static_cast<std::ptrdiff_t>(0.95 * static_cast<double>(given.size()));
        std::nth_element(given.begin(), at, given.end());
        out(p) = *at;
    }
    return out;
}

} // namespace hillrun
