// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/cell_model.h"

#include <algorithm>
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

/// One day of a net, solved for its drift: what it adds to the equations of the builds at one node.
class DayEquations {
public:
    DayEquations(const Net& net, int day, bool withDrift) : m_withDrift(withDrift) {
        double time = 0.0;
        for (const Visit& visit : net.visits)
            if (visit.day == day) {
                m_visits.push_back(visit);
                time += visit.time_h;
            }
        time /= static_cast<double>(m_visits.size());
        for (Visit& visit : m_visits)
            visit.time_h -= time;
    }

    struct Sums {
        double logDeterminant = 0.0; ///< of V and of the drift's part of X'V^-1 X
        double squares = 0.0;        ///< y'My
    };
    /// Adds this day's part of X'MX and X'My, X the builds.
    Sums add(const VarianceNode& node, MatrixXd& gram, VectorXd& right) const {
        const auto n = static_cast<Index>(m_visits.size());
        VectorXd weight(n); // of the visits by themselves
        VectorXd y(n);
        VectorXd time(n);
        Sums out;
        for (Index i = 0; i < n; ++i) {
            const Visit& visit = m_visits[static_cast<size_t>(i)];
            const double variance = node.refit * node.refit + 1.0 / visit.pulls;
            weight(i) = 1.0 / variance;
            y(i) = visit.level;
            time(i) = visit.time_h;
            out.logDeterminant += std::log(variance);
        }
        const double a2 = node.day * node.day;
        MatrixXd inverse = weight.asDiagonal(); // of V, by the formula for a change of rank one
        inverse -= a2 / (1.0 + a2 * weight.sum()) * weight * weight.transpose();
        out.logDeterminant += std::log1p(a2 * weight.sum());
        if (m_withDrift) {
            const VectorXd vt = inverse * time;
            const double tt = time.dot(vt);
            out.logDeterminant += std::log(tt);
            inverse -= vt * vt.transpose() / tt;
        }
        const VectorXd my = inverse * y;
        out.squares = y.dot(my);
        for (Index i = 0; i < n; ++i) {
            const int row = m_visits[static_cast<size_t>(i)].build;
            right(row) += my(i);
            for (Index j = 0; j < n; ++j)
                gram(row, m_visits[static_cast<size_t>(j)].build) += inverse(i, j);
        }
        return out;
    }

private:
    std::vector<Visit> m_visits;
    bool m_withDrift;
};

std::vector<DayEquations> equationsOf(const Net& net) {
    const std::vector<char> drift = daysWithDrift(net);
    std::vector<DayEquations> out;
    for (int day = 0; day < net.days; ++day)
        out.emplace_back(net, day, drift[static_cast<size_t>(day)] != 0);
    return out;
}

/// The builds' equations at one node, with all days in.
struct Solved {
    Eigen::LLT<MatrixXd> gram;
    VectorXd builds; ///< estimates
    double logDeterminant = 0.0;
    double squares = 0.0; ///< y'Py
};

Solved solve(const Net& net, const std::vector<DayEquations>& days, const VarianceNode& node) {
    MatrixXd gram = MatrixXd::Zero(net.builds, net.builds);
    VectorXd right = VectorXd::Zero(net.builds);
    Solved out;
    for (const DayEquations& day : days) {
        const DayEquations::Sums sums = day.add(node, gram, right);
        out.logDeterminant += sums.logDeterminant;
        out.squares += sums.squares;
    }
    out.gram.compute(gram);
    out.builds = out.gram.solve(right);
    out.squares = std::max(0.0, out.squares - right.dot(out.builds));
    const MatrixXd factor = out.gram.matrixL();
    out.logDeterminant += 2.0 * factor.diagonal().array().log().sum();
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

NodeTable nodeTable(const Net& net, std::span<const VarianceNode> nodes) {
    const std::vector<DayEquations> days = equationsOf(net);
    const std::vector<char> drift = daysWithDrift(net);
    NodeTable out;
    out.of = freedomOf(net);
    out.freedom =
        static_cast<int>(net.visits.size()) - net.builds - static_cast<int>(std::count(drift.begin(), drift.end(), 1));
    out.logLikelihood.resize(static_cast<Index>(nodes.size()));
    out.squares.resize(out.logLikelihood.size());
    for (size_t n = 0; n < nodes.size(); ++n) {
        const Solved solved = solve(net, days, nodes[n]);
        out.logLikelihood(static_cast<Index>(n)) = -0.5 * solved.logDeterminant;
        out.squares(static_cast<Index>(n)) = solved.squares;
    }
    return out;
}

std::optional<CellModel> learnCell(std::span<const NodeTable> tables, const WithinVisits& within,
                                   std::vector<VarianceNode> nodes) {
    CellModel out;
    out.nodes = std::move(nodes);
    const auto count = static_cast<Index>(out.nodes.size());
    VectorXd logWeight(count);
    for (Index n = 0; n < count; ++n)
        logWeight(n) = out.nodes[static_cast<size_t>(n)].logPrior;
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
    out.weight = (logWeight.array() - logWeight.maxCoeff()).exp();
    out.weight /= out.weight.sum();
    out.variance = squares / out.freedom;
    out.day = learnedSd(out, &VarianceNode::day);
    out.refit = learnedSd(out, &VarianceNode::refit);
    return out;
}

AcrossDays acrossDays(const Net& net, const CellModel& cell, const VectorXd& builds, double probability) {
    const std::vector<DayEquations> days = equationsOf(net);
    const auto count = static_cast<Index>(cell.nodes.size());
    VectorXd centre(count);
    VectorXd scale(count);
    for (Index n = 0; n < count; ++n) {
        const Solved solved = solve(net, days, cell.nodes[static_cast<size_t>(n)]);
        centre(n) = builds.dot(solved.builds);
        scale(n) = std::sqrt(cell.variance(n) * builds.dot(solved.gram.solve(builds)));
    }
    const StudentsT t(cell.freedom);
    const auto below = [&](double x) {
        double sum = 0.0;
        for (Index n = 0; n < count; ++n)
            if (cell.weight(n) > kLeastWeight)
                sum += cell.weight(n) * boost::math::cdf(t, (x - centre(n)) / scale(n));
        return sum;
    };
    const double tail = 0.5 * (1.0 - probability);
    const double reach = scale.maxCoeff() * boost::math::quantile(boost::math::complement(t, tail));
    const double low = centre.minCoeff() - reach;
    const double high = centre.maxCoeff() + reach;
    return {cell.weight.dot(centre), bisect(below, low, high, tail), bisect(below, low, high, 1.0 - tail)};
}

AcrossKind acrossKind(const Net& net, const CellModel& cell, int from, int to) {
    const std::vector<int> group = connectedBuilds(net);
    if (group[static_cast<size_t>(from)] == group[static_cast<size_t>(to)])
        return AcrossKind::Inside;
    return cell.of.day >= kDaysKnown ? AcrossKind::ByTheCell : AcrossKind::Unknown;
}

} // namespace hillrun
