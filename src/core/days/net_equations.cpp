// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/net_equations.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace hillrun {

using Eigen::Index;
using Eigen::MatrixXd;
using Eigen::VectorXd;

KeptBuilds everyBuild(const Net& net) {
    KeptBuilds out{std::vector<int>(static_cast<size_t>(net.builds)), net.builds};
    std::iota(out.number.begin(), out.number.end(), 0);
    return out;
}

KeptBuilds sharedBuilds(const Net& net, const VectorXd& wanted) {
    constexpr int kNone = -1;
    std::vector<int> dayOf(static_cast<size_t>(net.builds), kNone);
    std::vector<char> keep(dayOf.size(), 0);
    for (const Visit& visit : net.visits) {
        const auto build = static_cast<size_t>(visit.build);
        if (dayOf[build] != kNone && dayOf[build] != visit.day)
            keep[build] = 1;
        dayOf[build] = visit.day;
    }
    for (Index build = 0; build < wanted.size(); ++build)
        if (wanted(build) != 0.0)
            keep[static_cast<size_t>(build)] = 1;
    KeptBuilds out{std::vector<int>(dayOf.size(), kNone), 0};
    for (size_t build = 0; build < keep.size(); ++build)
        if (keep[build] != 0)
            out.number[build] = out.count++;
    return out;
}

DayEquations::DayEquations(const Net& net, int day, bool withDrift, const KeptBuilds& kept) : m_withDrift(withDrift) {
    double time = 0.0;
    std::vector<int> gone; // builds by their numbers in the net
    for (size_t v = 0; v < net.visits.size(); ++v)
        if (const Visit& visit = net.visits[v]; visit.day == day) {
            m_visits.push_back(visit);
            m_rows.push_back(static_cast<Index>(v));
            const int number = kept.number[static_cast<size_t>(visit.build)];
            std::vector<int>& of = number < 0 ? gone : m_kept;
            of.push_back(number < 0 ? visit.build : number);
            time += visit.time_h;
        }
    time /= static_cast<double>(m_visits.size());
    for (std::vector<int>* of : {&gone, &m_kept}) {
        std::sort(of->begin(), of->end());
        of->erase(std::unique(of->begin(), of->end()), of->end());
    }
    m_gone = static_cast<Index>(gone.size());
    for (Visit& visit : m_visits) {
        visit.time_h -= time;
        const int number = kept.number[static_cast<size_t>(visit.build)];
        const std::vector<int>& of = number < 0 ? gone : m_kept;
        const auto place = std::lower_bound(of.begin(), of.end(), number < 0 ? visit.build : number) - of.begin();
        m_placeOf.push_back(number < 0 ? place + static_cast<Index>(m_kept.size()) : place);
    }
}

namespace {

/// The terms with the last `gone` builds solved for.
DayTerms withoutLast(const DayTerms& all, Index gone) {
    if (gone == 0)
        return all;
    const Index kept = all.gram.rows() - gone;
    const Eigen::LLT<MatrixXd> solver(all.gram.bottomRightCorner(gone, gone));
    const MatrixXd right = all.right.bottomRows(gone);
    const MatrixXd estimates = solver.solve(right);
    const MatrixXd factor = solver.matrixL();
    DayTerms out{MatrixXd(kept, kept), MatrixXd(kept, all.right.cols()),
                 all.logDeterminant + 2.0 * factor.diagonal().array().log().sum(),
                 all.squares - (right.array() * estimates.array()).sum()};
    if (kept > 0) { // the library takes no empty part
        const MatrixXd across = all.gram.topRightCorner(kept, gone);
        out.gram = all.gram.topLeftCorner(kept, kept) - across * solver.solve(across.transpose());
        out.right = all.right.topRows(kept) - across * estimates;
    }
    return out;
}

} // namespace

DayTerms DayEquations::at(const VarianceNode& node, const MatrixXd& y) const {
    const Index builds = static_cast<Index>(m_kept.size()) + m_gone;
    DayTerms out{MatrixXd::Zero(builds, builds), MatrixXd::Zero(builds, y.cols())};
    const MatrixXd inverse = projection(node, out.logDeterminant);
    const MatrixXd own = y(m_rows, Eigen::all);
    const MatrixXd my = inverse * own;
    out.squares = (own.array() * my.array()).sum();
    for (size_t i = 0; i < m_placeOf.size(); ++i) {
        out.right.row(m_placeOf[i]) += my.row(static_cast<Index>(i));
        for (size_t j = 0; j < m_placeOf.size(); ++j)
            out.gram(m_placeOf[i], m_placeOf[j]) += inverse(static_cast<Index>(i), static_cast<Index>(j));
    }
    return withoutLast(out, m_gone);
}

void DayEquations::addWeights(const VarianceNode& node, const VectorXd& builds, double share, VectorXd& weights) const {
    double unused = 0.0;
    VectorXd own(static_cast<Index>(m_visits.size()));
    for (size_t i = 0; i < m_visits.size(); ++i)
        own(static_cast<Index>(i)) = builds(m_visits[i].build);
    weights(m_rows) += share * (projection(node, unused) * own);
}

/// M of the day: V^-1, less what a drift takes. Adds the logarithm of the determinants.
MatrixXd DayEquations::projection(const VarianceNode& node, double& logDeterminant) const {
    const auto n = static_cast<Index>(m_visits.size());
    VectorXd weight(n); // of the visits by themselves
    VectorXd time(n);
    for (Index i = 0; i < n; ++i) {
        const Visit& visit = m_visits[static_cast<size_t>(i)];
        const double variance = node.refit * node.refit + 1.0 / visit.pulls;
        weight(i) = 1.0 / variance;
        time(i) = visit.time_h;
        logDeterminant += std::log(variance);
    }
    const double a2 = node.day * node.day;
    MatrixXd out = weight.asDiagonal(); // of V, by the formula for a change of rank one
    out -= a2 / (1.0 + a2 * weight.sum()) * weight * weight.transpose();
    logDeterminant += std::log1p(a2 * weight.sum());
    if (m_withDrift) {
        const VectorXd vt = out * time;
        const double tt = time.dot(vt);
        logDeterminant += std::log(tt);
        out -= vt * vt.transpose() / tt;
    }
    return out;
}

std::vector<DayEquations> equationsOf(const Net& net, const KeptBuilds& kept) {
    const std::vector<char> drift = daysWithDrift(net);
    std::vector<DayEquations> out;
    for (int day = 0; day < net.days; ++day)
        out.emplace_back(net, day, drift[static_cast<size_t>(day)] != 0, kept);
    return out;
}

std::vector<DayTerms> termsAt(const std::vector<DayEquations>& days, const VarianceNode& node, const MatrixXd& y) {
    std::vector<DayTerms> out;
    out.reserve(days.size());
    for (const DayEquations& day : days)
        out.push_back(day.at(node, y));
    return out;
}

MatrixXd levelsOf(const Net& net) {
    MatrixXd out(static_cast<Index>(net.visits.size()), 1);
    for (size_t v = 0; v < net.visits.size(); ++v)
        out(static_cast<Index>(v), 0) = net.visits[v].level;
    return out;
}

SolvedNet solve(int builds, const std::vector<DayEquations>& days, const std::vector<DayTerms>& terms) {
    const Index columns = terms.front().right.cols();
    MatrixXd gram = MatrixXd::Zero(builds, builds);
    MatrixXd right = MatrixXd::Zero(builds, columns);
    SolvedNet out;
    for (size_t d = 0; d < days.size(); ++d) {
        if (const std::vector<int>& ofDay = days[d].builds(); !ofDay.empty()) {
            gram(ofDay, ofDay) += terms[d].gram;
            right(ofDay, Eigen::all) += terms[d].right;
        }
        out.logDeterminant += terms[d].logDeterminant;
        out.squares += terms[d].squares;
    }
    if (builds > 0) {
        out.gram.compute(gram);
        out.builds = out.gram.solve(right);
        out.squares -= (right.array() * out.builds.array()).sum();
        const MatrixXd factor = out.gram.matrixL();
        out.logDeterminant += 2.0 * factor.diagonal().array().log().sum();
    }
    out.squares = std::max(0.0, out.squares) / static_cast<double>(std::max<Index>(1, columns));
    return out;
}

} // namespace hillrun
