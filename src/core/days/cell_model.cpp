// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/cell_model.h"

#include <algorithm>
#include <boost/math/distributions/chi_squared.hpp>
#include <boost/math/distributions/students_t.hpp>
#include <cassert>
#include <cmath>
#include <functional>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::MatrixXd;
using Eigen::VectorXd;

constexpr double kWidestRefit = 2.0; ///< refitting moves an engine by at most twice the repeatability: an assumption
/// Double is precise enough; the library would work in a wider type, five times as slowly.
using PlainDouble = boost::math::policies::policy<boost::math::policies::promote_double<false>>;
using StudentsT = boost::math::students_t_distribution<double, PlainDouble>;

/// Nodes of less weight move no limit by a digit that is ever shown.
constexpr double kLeastWeight = 1e-12;
constexpr int kDaysKnown = 2; ///< degrees of freedom from which the cell's days say something

/// Zero, and `count` values equally far apart on the log scale.
std::vector<double> logSteps(double low, double high, int count) {
    std::vector<double> out{0.0};
    for (int i = 0; i < count; ++i)
        out.push_back(low * std::pow(high / low, i / (count - 1.0)));
    return out;
}

/// Where a rising function of x between `low` and `high` passes `value`.
double bisect(const std::function<double(double)>& rising, double low, double high, double value) {
    for (int i = 0; i < 200 && high - low > 1e-11; ++i) {
        const double middle = 0.5 * (low + high);
        (rising(middle) < value ? low : high) = middle;
    }
    return 0.5 * (low + high);
}

/// The standard deviation that is `factor` times the repeatability: between nodes on straight lines.
LearnedSd learnedSd(const CellModel& cell, double VarianceNode::*factor) {
    std::vector<std::pair<double, double>> values; // with their weights
    for (size_t n = 0; n < cell.nodes.size(); ++n) {
        const auto i = static_cast<Index>(n);
        values.emplace_back(cell.nodes[n].*factor * std::sqrt(cell.variance(i)), cell.weight(i));
    }
    std::sort(values.begin(), values.end());
    // The nodes are coarse: a weight is spread below its value for the lower limit and the median, above it for the
    // upper one, so that the limits err to the wide side.
    const auto point = [&](double probability, bool spreadAbove) {
        double below = spreadAbove ? 0.0 : values.front().second;
        for (size_t n = 1; n < values.size(); ++n) {
            const double weight = values[spreadAbove ? n - 1 : n].second;
            const double before = values[n - 1].first;
            if (below >= probability)
                return before;
            if (below + weight >= probability)
                return before + (values[n].first - before) * (probability - below) / weight;
            below += weight;
        }
        return values.back().first;
    };
    return {point(0.5, false), point(0.1, false), point(0.9, true)};
}

} // namespace

WithinVisits& WithinVisits::operator+=(const WithinVisits& other) {
    squares += other.squares;
    freedom += other.freedom;
    return *this;
}

std::vector<VarianceNode> varianceNodes(const EnteredVariances& entered, const WithinVisits& within) {
    const double sd = within.freedom > 0.0 ? std::sqrt(within.squares / within.freedom) : 0.0;
    std::vector<double> days = logSteps(0.15, 16.0, 14);
    std::vector<double> refits = logSteps(0.08, 3.0, 9);
    std::erase_if(refits, [](double refit) { return refit > kWidestRefit; });
    if (entered.daySd && sd > 0.0)
        days = {*entered.daySd / sd};
    if (entered.refitSd && sd > 0.0)
        refits = {*entered.refitSd / sd};
    std::vector<VarianceNode> out;
    for (const double day : days)
        for (const double refit : refits)
            out.push_back({day, refit, 0.4 * std::log(std::max(day, 0.1)) + 0.4 * std::log(std::max(refit, 0.05))});
    return out;
}

namespace {

NodeTable tableOf(const Net& net, const MatrixXd& y, std::span<const VarianceNode> nodes) {
    const KeptBuilds kept = sharedBuilds(net);
    const std::vector<DayEquations> days = equationsOf(net, kept);
    NodeTable out;
    out.of = freedomOf(net);
    out.freedom = out.of.refit + out.of.day;
    out.logLikelihood.resize(static_cast<Index>(nodes.size()));
    out.squares.resize(out.logLikelihood.size());
    for (size_t n = 0; n < nodes.size(); ++n) {
        const SolvedNet solved = solve(kept.count, days, termsAt(days, nodes[n], y));
        out.logLikelihood(static_cast<Index>(n)) = -0.5 * solved.logDeterminant;
        out.squares(static_cast<Index>(n)) = solved.squares;
    }
    return out;
}

} // namespace

NodeTable nodeTable(const Net& net, std::span<const VarianceNode> nodes) { return tableOf(net, levelsOf(net), nodes); }

NodeTable shapeTable(const Net& net, const MatrixXd& shapes, std::span<const VarianceNode> nodes) {
    assert(shapes.rows() == static_cast<Index>(net.visits.size()));
    return tableOf(net, shapes, nodes);
}

std::optional<CellModel> learnCell(std::span<const NodeTable> tables, const WithinVisits& within,
                                   std::vector<VarianceNode> nodes, double copies) {
    CellModel out;
    out.nodes = std::move(nodes);
    const auto count = static_cast<Index>(out.nodes.size());
    VectorXd logPrior(count);
    for (Index n = 0; n < count; ++n)
        logPrior(n) = out.nodes[static_cast<size_t>(n)].logPrior;
    VectorXd logWeight = VectorXd::Zero(count);
    VectorXd squares = VectorXd::Constant(count, within.squares);
    out.freedom = within.freedom;
    for (const NodeTable& table : tables) {
        assert(table.squares.size() == count);
        logWeight += table.logLikelihood;
        squares += table.squares;
        out.freedom += table.freedom;
        out.of.refit += table.of.refit;
        out.of.day += table.of.day;
    }
    if (out.freedom <= 0.0 || !(squares.minCoeff() > 0.0))
        return std::nullopt;
    logWeight -= 0.5 * out.freedom * squares.array().log().matrix();
    logWeight = copies * logWeight + logPrior;
    out.weight = (logWeight.array() - logWeight.maxCoeff()).exp();
    out.weight /= out.weight.sum();
    out.variance = squares / out.freedom;
    out.day = learnedSd(out, &VarianceNode::day);
    out.refit = learnedSd(out, &VarianceNode::refit);
    return out;
}

std::vector<double> likelyRefits(const CellModel& cell, int count) {
    const boost::math::chi_squared_distribution<double, PlainDouble> chi(cell.freedom);
    const auto below = [&](double x) { // the chance that it is less than x
        double sum = 0.0;
        for (size_t n = 0; n < cell.nodes.size(); ++n) {
            const auto i = static_cast<Index>(n);
            const double squares = cell.freedom * cell.variance(i) * cell.nodes[n].refit * cell.nodes[n].refit;
            if (cell.weight(i) > kLeastWeight)
                sum += cell.weight(i) *
                       (squares > 0.0 ? boost::math::cdf(boost::math::complement(chi, squares / (x * x))) : 1.0);
        }
        return sum;
    };
    double high = 1e-3;
    while (below(high) < 1.0 - 0.25 / count && high < 1.0)
        high *= 2.0;
    std::vector<double> out;
    for (int i = 0; i < count; ++i)
        out.push_back(bisect(below, 1e-9, high, (i + 0.5) / count));
    return out;
}

namespace {

/// `withVisits`: the visits' weights are wanted too.
NodeEstimates estimatesOf(const Net& net, const CellModel& cell, const VectorXd& builds, bool withVisits) {
    const KeptBuilds kept = withVisits ? everyBuild(net) : sharedBuilds(net, builds);
    VectorXd weights(kept.count);
    for (Index build = 0; build < builds.size(); ++build)
        if (const int number = kept.number[static_cast<size_t>(build)]; number >= 0)
            weights(number) = builds(build);
    const std::vector<DayEquations> days = equationsOf(net, kept);
    const MatrixXd levels = levelsOf(net);
    const auto count = static_cast<Index>(cell.nodes.size());
    NodeEstimates out{VectorXd(count), VectorXd(count), VectorXd::Zero(levels.rows())};
    for (Index n = 0; n < count; ++n) {
        const VarianceNode& node = cell.nodes[static_cast<size_t>(n)];
        const SolvedNet solved = solve(kept.count, days, termsAt(days, node, levels));
        const VectorXd sum = solved.gram.solve(weights);
        out.centre(n) = weights.dot(solved.builds.col(0));
        out.scale(n) = std::sqrt(cell.variance(n) * weights.dot(sum));
        if (withVisits && cell.weight(n) > kLeastWeight)
            for (const DayEquations& day : days)
                day.addWeights(node, sum, cell.weight(n), out.visits);
    }
    return out;
}

} // namespace

NodeEstimates nodeEstimates(const Net& net, const CellModel& cell, const VectorXd& builds) {
    return estimatesOf(net, cell, builds, true);
}

double varianceOfSum(const Net& net, const VarianceNode& node, const VectorXd& visits) {
    VectorXd ofDay = VectorXd::Zero(net.days);
    double out = 0.0;
    for (size_t v = 0; v < net.visits.size(); ++v) {
        const double weight = visits(static_cast<Index>(v));
        ofDay(net.visits[v].day) += weight;
        out += weight * weight * (node.refit * node.refit + 1.0 / net.visits[v].pulls);
    }
    return out + node.day * node.day * ofDay.squaredNorm();
}

double probabilityBelow(const CellModel& cell, const NodeEstimates& at, double x) {
    const StudentsT t(cell.freedom);
    double sum = 0.0;
    for (Index n = 0; n < cell.weight.size(); ++n)
        if (cell.weight(n) > kLeastWeight)
            sum += cell.weight(n) * boost::math::cdf(t, (x - at.centre(n)) / at.scale(n));
    return sum;
}

AcrossDays acrossDays(const Net& net, const CellModel& cell, const VectorXd& builds, double probability) {
    const NodeEstimates at = estimatesOf(net, cell, builds, false);
    const VectorXd& centre = at.centre;
    const VectorXd& scale = at.scale;
    const StudentsT t(cell.freedom);
    const auto below = [&](double x) { return probabilityBelow(cell, at, x); };
    const double tail = 0.5 * (1.0 - probability);
    const double reach = scale.maxCoeff() * boost::math::quantile(boost::math::complement(t, tail));
    const double low = centre.minCoeff() - reach;
    const double high = centre.maxCoeff() + reach;
    return {cell.weight.dot(centre), bisect(below, low, high, tail), bisect(below, low, high, 1.0 - tail)};
}

AcrossKind acrossKind(const Net& net, const CellModel& cell, int from, int to) {
    const std::vector<int> group = connectedBuilds(net);
    return acrossKind(cell, group[static_cast<size_t>(from)] == group[static_cast<size_t>(to)]);
}

AcrossKind acrossKind(const CellModel& cell, bool joined) {
    if (joined)
        return AcrossKind::Inside;
    return cell.of.day >= kDaysKnown ? AcrossKind::ByTheCell : AcrossKind::Unknown;
}

} // namespace hillrun
