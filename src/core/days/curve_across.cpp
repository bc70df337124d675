// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/curve_across.h"

#include <algorithm>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/student_t_distribution.hpp>
#include <boost/random/uniform_01.hpp>
#include <cmath>
#include <random>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::MatrixXd;
using Eigen::VectorXd;
using Generator = boost::random::mt19937;

constexpr unsigned kSeed = 20261202;
/// Two points must lie so far apart for their noise to be independent, in units of its length, which is taken to be no
/// shorter than this.
constexpr double kIndependentLengths = 1.77;
constexpr double kShortest_rpm = 300.0;
constexpr Index kMostPoints = 24; ///< of a shape that the variances are learned from: its neighbours move together

/// Draws a node by its weight.
class NodePicker {
public:
    explicit NodePicker(const VectorXd& weight) {
        double sum = 0.0;
        for (const double one : weight)
            m_until.push_back(sum += one);
    }
    Index pick(Generator& generator) {
        const double at = m_uniform(generator) * m_until.back();
        return std::min<Index>(std::upper_bound(m_until.begin(), m_until.end(), at) - m_until.begin(),
                               static_cast<Index>(m_until.size()) - 1);
    }

private:
    std::vector<double> m_until;
    boost::random::uniform_01<double> m_uniform;
};

/// Errors of the level, about the estimate.
Eigen::RowVectorXf levelErrors(const NodeEstimates& at, const CellModel& levels, double estimate, Index count,
                               Generator& generator) {
    NodePicker picker(levels.weight);
    boost::random::student_t_distribution<double> t(levels.freedom);
    Eigen::RowVectorXf out(count);
    for (float& one : out) {
        const Index node = picker.pick(generator);
        one = static_cast<float>(at.centre(node) - estimate + at.scale(node) * t(generator));
    }
    return out;
}

/// Standard deviation of the summed shapes in units of one pull's, a node for each draw.
Eigen::RowVectorXf shapeScales(const Net& net, const CellModel& shapes, const VectorXd& visits, Index count,
                               Generator& generator) {
    VectorXd ofNode(shapes.weight.size());
    for (Index n = 0; n < ofNode.size(); ++n)
        ofNode(n) = std::sqrt(shapes.variance(n) * varianceOfSum(net, shapes.nodes[static_cast<size_t>(n)], visits));
    NodePicker picker(shapes.weight);
    Eigen::RowVectorXf out(count);
    for (float& one : out)
        one = static_cast<float>(ofNode(picker.pick(generator)));
    return out;
}

DrawKey keyOf(const VisitShapes& of) {
    DrawKey out;
    out.degreesOfFreedom = std::max(1, static_cast<int>(std::lround(of.freedom)));
    out.copies = 1;
    out.rpm = of.rpm;
    out.window.assign(of.rpm.size(), 1);
    out.core = out.window;
    out.weight.assign(of.rpm.size(), out.degreesOfFreedom);
    out.correlation = of.correlation;
    return out;
}

} // namespace

MatrixXd evenShapes(const VisitShapes& of) {
    const Index step = (of.shape.cols() + kMostPoints - 1) / kMostPoints;
    std::vector<Index> points;
    for (Index p = step / 2; p < of.shape.cols(); p += step)
        points.push_back(p);
    MatrixXd out = of.shape(Eigen::all, points);
    out.array().rowwise() /= of.variance(points).cwiseSqrt().transpose().array();
    return out;
}

double independentPoints(const VisitShapes& of) {
    const double window_rpm = of.rpm.back() - of.rpm.front();
    return std::max(1.0, window_rpm / (kIndependentLengths * std::max(of.correlation.length_rpm, kShortest_rpm)));
}

CurveAcross curveAcross(const Net& net, const VisitShapes& of, const CellModel& levels, const CellModel& shapes,
                        const VectorXd& builds, DrawCache& cache) {
    const NodeEstimates at = nodeEstimates(net, levels, builds);
    const double estimate = levels.weight.dot(at.centre);
    const std::shared_ptr<const Draws> made = cache.get(keyOf(of));
    const Draws& draws = *made;
    std::seed_seq seed{kSeed};
    Generator generator(seed);
    const Eigen::RowVectorXf level = levelErrors(at, levels, estimate, draws.count, generator);
    const Eigen::RowVectorXf scale = shapeScales(net, shapes, at.visits, draws.count, generator);
    Eigen::MatrixXf error = draws.shape.front() * scale.asDiagonal();
    const Eigen::VectorXf sd = of.variance.cwiseSqrt().cast<float>();
    error.array().colwise() *= sd.array();
    error.rowwise() += level;

    CurveAcross out;
    out.rpm = of.rpm;
    out.delta = (of.shape.transpose() * at.visits).array() + estimate;
    const auto points = static_cast<Index>(of.rpm.size());
    out.pointwiseHalf.resize(points);
    Eigen::VectorXf standard(points);
    for (Index p = 0; p < points; ++p) {
        const Eigen::RowVectorXf size = error.row(p).cwiseAbs();
        out.pointwiseHalf(p) = upper95({size.begin(), size.end()});
        standard(p) = std::sqrt(error.row(p).squaredNorm() / static_cast<float>(draws.count));
    }
    const Eigen::RowVectorXf largest = (error.array().abs().colwise() / standard.array()).matrix().colwise().maxCoeff();
    out.simultaneousHalf = upper95({largest.begin(), largest.end()}) * standard.cast<double>();
    return out;
}

} // namespace hillrun
