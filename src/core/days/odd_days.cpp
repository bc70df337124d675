// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/odd_days.h"

#include "core/days/net_equations.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::MatrixXd;
using Eigen::VectorXd;

/// A build that ran on several days, on one of them.
struct BuildDay {
    int build = 0; ///< its number in the net
    int day = 0;
    Index place = 0; ///< of the build among the day's that ran on several
    bool onlyTwo = false;
};

/// All days of builds that ran on several, in order of days; of two days the later one.
std::vector<BuildDay> askedAbout(const KeptBuilds& shared, const std::vector<DayEquations>& days) {
    std::vector<int> inNet(static_cast<size_t>(shared.count)); // the shared builds' numbers in the net
    for (size_t build = 0; build < shared.number.size(); ++build)
        if (shared.number[build] >= 0)
            inNet[static_cast<size_t>(shared.number[build])] = static_cast<int>(build);
    std::vector<std::vector<size_t>> daysOf(inNet.size());
    for (size_t day = 0; day < days.size(); ++day)
        for (const int number : days[day].builds())
            daysOf[static_cast<size_t>(number)].push_back(day);
    std::vector<BuildDay> out;
    for (size_t day = 0; day < days.size(); ++day)
        for (size_t place = 0; place < days[day].builds().size(); ++place) {
            const auto number = static_cast<size_t>(days[day].builds()[place]);
            const bool onlyTwo = daysOf[number].size() == 2;
            if (!onlyTwo || daysOf[number].back() == day)
                out.push_back({inNet[number], static_cast<int>(day), static_cast<Index>(place), onlyTwo});
        }
    return out;
}

/// What the net would say with a column more: the build of one day by itself. Rows: those asked about; columns: nodes.
struct Named {
    MatrixXd off;           ///< the column's estimate, build on its day less build on its others
    MatrixXd information;   ///< of it: its variance is that of one pull divided by this
    MatrixXd logLikelihood; ///< of the net with that column
    MatrixXd squares;
};

/// By the formulas for one column more: with z the column, z'Pz and z'Py hang on its day's terms alone.
Named named(const MatrixXd& levels, int builds, const std::vector<DayEquations>& days,
            const std::vector<BuildDay>& asked, const std::vector<VarianceNode>& nodes) {
    const auto rows = static_cast<Index>(asked.size());
    const auto columns = static_cast<Index>(nodes.size());
    Named out{MatrixXd(rows, columns), MatrixXd(rows, columns), MatrixXd(rows, columns), MatrixXd(rows, columns)};
    for (Index n = 0; n < columns; ++n) {
        const std::vector<DayTerms> terms = termsAt(days, nodes[static_cast<size_t>(n)], levels);
        const SolvedNet solved = solve(builds, days, terms);
        const MatrixXd inverse = solved.gram.solve(MatrixXd::Identity(builds, builds));
        for (Index i = 0; i < rows; ++i) {
            const BuildDay& one = asked[static_cast<size_t>(i)];
            const auto day = static_cast<size_t>(one.day);
            const std::vector<int>& ofDay = days[day].builds();
            const VectorXd shared = terms[day].gram.col(one.place);
            const double zPz = shared(one.place) - shared.dot(inverse(ofDay, ofDay) * shared);
            const double zPy = terms[day].right(one.place, 0) - shared.dot(solved.builds(ofDay, 0));
            out.off(i, n) = zPy / zPz;
            out.information(i, n) = zPz;
            out.logLikelihood(i, n) = -0.5 * (solved.logDeterminant + std::log(zPz));
            out.squares(i, n) = std::max(0.0, solved.squares - zPy * zPy / zPz);
        }
    }
    return out;
}

} // namespace

std::vector<OddDay> oddDays(const Net& net, std::span<const NodeTable> others, const WithinVisits& within,
                            const std::vector<VarianceNode>& nodes) {
    const KeptBuilds shared = sharedBuilds(net);
    const std::vector<DayEquations> days = equationsOf(net, shared);
    const std::vector<BuildDay> asked = askedAbout(shared, days);
    if (asked.empty())
        return {};
    const Named found = named(levelsOf(net), shared.count, days, asked, nodes);
    const NetFreedom whole = freedomOf(net);
    const std::set<std::pair<int, int>> links = onlyLinks(net);
    std::vector<NodeTable> tables(others.begin(), others.end());
    tables.emplace_back();
    std::vector<OddDay> out;
    for (size_t i = 0; i < asked.size(); ++i) {
        const BuildDay& one = asked[i];
        const auto row = static_cast<Index>(i);
        const bool apart = links.contains({one.build, one.day}); // under its own name nothing joins it to itself
        const NetFreedom of{whole.refit - (apart ? 0 : 1), whole.day - (apart ? 1 : 0)};
        tables.back() = {found.logLikelihood.row(row), found.squares.row(row), of.refit + of.day, of};
        const auto cell = learnCell(tables, within, nodes);
        if (!cell || acrossKind(*cell, !apart) == AcrossKind::Unknown)
            continue;
        const NodeEstimates off{found.off.row(row).transpose(),
                                (cell->variance.array() / found.information.row(row).transpose().array()).sqrt(),
                                {}};
        const double tail = 0.5 * 0.05 / static_cast<double>(asked.size());
        const double below = probabilityBelow(*cell, off, 0.0);
        if (below < tail || below > 1.0 - tail)
            out.push_back({one.build, one.day, cell->weight.dot(off.centre), one.onlyTwo});
    }
    return out;
}

} // namespace hillrun
