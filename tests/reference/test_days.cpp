// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Made-up days of one article and of a build fitted again and again, and what an independent program (numpy) made of
// them.

#include "core/days/cell_model.h"
#include "core/days/chart.h"
#include "core/days/repeatability.h"

#include <array>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

/// A stays the base of three days; B, C and D each ran on one.
Net ladder() {
    return {{{0, 0, 0.0, 3, -0.00221},
             {0, 1, 0.8, 3, 0.012357},
             {0, 0, 1.6, 3, -0.001185},
             {1, 0, 0.0, 3, -0.001946},
             {1, 2, 0.8, 3, 0.02981},
             {1, 0, 1.6, 3, -0.00333},
             {2, 0, 0.0, 3, 0.009248},
             {2, 3, 0.8, 3, 0.029569},
             {2, 0, 1.6, 3, 0.015478}},
            4,
            3};
}

/// One build of another article, on three days fitted twice.
Net fittedAgain() {
    return {{{0, 0, 0.0, 3, -0.007357},
             {0, 0, 0.8, 3, 0.006726},
             {1, 0, 0.0, 3, 0.000249},
             {2, 0, 0.0, 3, -0.020262},
             {2, 0, 0.8, 3, -0.033967},
             {3, 0, 0.0, 3, -0.006104},
             {4, 0, 0.0, 3, 0.00282},
             {4, 0, 0.8, 3, 0.015266}},
            1,
            5};
}

const WithinVisits kWithin{0.00105069, 34.0};

CellModel cell() {
    const std::vector<VarianceNode> nodes = varianceNodes();
    const std::vector<NodeTable> tables{nodeTable(ladder(), nodes), nodeTable(fittedAgain(), nodes)};
    return *learnCell(tables, kWithin, nodes);
}

Eigen::VectorXd from(int build, int to) {
    Eigen::VectorXd k = Eigen::VectorXd::Zero(4);
    k(build) = -1.0;
    k(to) = 1.0;
    return k;
}

} // namespace

TEST_CASE("builds of different days against each other as an independent program has them") {
    const CellModel learned = cell();
    CHECK(learned.freedom == 43.0);
    const struct {
        int from, to;
        double estimate, low, high;
    } items[] = {
        {1, 2, 0.018065, -0.0136, 0.04959}, {1, 3, 0.008062, -0.02328, 0.04156}, {0, 1, 0.012527, -0.01097, 0.03525}};
    for (const auto& item : items) {
        const AcrossDays found = acrossDays(ladder(), learned, from(item.from, item.to));
        CHECK(found.estimate == Approx(item.estimate).margin(1e-6));
        CHECK(found.low == Approx(item.low).margin(1e-4));
        CHECK(found.high == Approx(item.high).margin(1e-4));
    }
    CHECK(learned.day.median == Approx(0.01015).margin(5.1e-6));
    CHECK(learned.refit.median == Approx(0.00995).margin(5.1e-6));
}

TEST_CASE("the control chart of a reference build as an independent program has it") {
    constexpr std::array kLevels{0.0052,  -0.01059, 0.01294, -0.00506, -0.01631, 0.00438, 0.01814, 0.00959, 0.00997,
                                 0.03691, 0.01035,  0.0418,  0.03658,  0.00859,  0.02848, 0.0262,  0.04561};
    constexpr std::array kU{0.0,    0.0,    0.743,  -0.4689, -1.163,  0.5088, 1.4142, 0.5905, 0.5785,
                            2.2687, 0.2337, 2.0218, 1.406,   -0.1706, 0.9104, 0.737,  1.7123};
    const ControlChart chart = controlChart(kLevels);
    REQUIRE(chart.points.size() == kU.size());
    size_t first = 0;
    for (size_t i = 0; i < kU.size(); ++i) {
        CHECK(chart.points[i].u == Approx(kU[i]).margin(6e-5));
        if (first == 0 && chart.points[i].state == ChartState::Moved)
            first = i;
    }
    CHECK(first == 12); // counted from zero
    REQUIRE(chart.shift);
}

TEST_CASE("what a cell repeats within, over days, as an independent program has it") {
    const std::vector<DayVariance> days{{2.1e-05, 4}, {8.4e-05, 4}, {6e-06, 6}, {3e-05, 4}, {0.00015, 4}, {2.4e-05, 8}};
    const auto history = varianceHistory(days);
    REQUIRE(history);
    CHECK(history->freedom == Approx(3.32038097).margin(1e-7));
    CHECK(history->variance == Approx(2.928e-05).margin(5e-9));
}

namespace {

/// Logarithm of what the table of L and Q makes of one node, without a prior.
double restricted(const Net& net, const WithinVisits& within, double day, double refit) {
    const std::vector<VarianceNode> one{{day, refit, 0.0}};
    const NodeTable table = nodeTable(net, one);
    const double freedom = table.freedom + within.freedom;
    return table.logLikelihood(0) - 0.5 * freedom * std::log(table.squares(0) + within.squares);
}

/// From memory: the yield of dyestuff of six batches, five samples each (Davies and Goldsmith).
Net dyestuff() {
    constexpr int kYield[6][5] = {{1545, 1440, 1440, 1520, 1580}, {1540, 1555, 1490, 1560, 1495},
                                  {1595, 1550, 1605, 1510, 1560}, {1445, 1440, 1595, 1465, 1545},
                                  {1595, 1630, 1515, 1635, 1625}, {1520, 1455, 1450, 1480, 1445}};
    Net out{{}, 1, 6};
    for (int batch = 0; batch < 6; ++batch)
        for (const int yield : kYield[batch])
            out.visits.push_back({batch, 0, 0.0, 1, static_cast<double>(yield)});
    return out;
}

// R 4.2.2, nlme 3.1-162, three pulls a visit drawn with set.seed(41), rounded to 1e-5:
//   lme(y ~ build, random = ~1 | day/visit, method = "REML"); the rows are the visits' means.
// clang-format off
Net tenDays() {
    return {{{0, 0, 0.0, 3, -0.0034133333},
{0, 1, 0.0, 3, 0.0124766667},
{1, 0, 0.0, 3, 0.0216733333},
{1, 1, 0.0, 3, 0.0491566667},
{2, 0, 0.0, 3, 0.0116566667},
{2, 2, 0.0, 3, 0.0395000000},
{3, 0, 0.0, 3, -0.0222266667},
{3, 2, 0.0, 3, 0.0182000000},
{4, 1, 0.0, 3, 0.0346633333},
{4, 3, 0.0, 3, 0.0270933333},
{5, 0, 0.0, 3, -0.0013433333},
{5, 3, 0.0, 3, 0.0084033333},
{6, 0, 0.0, 3, 0.0106700000},
{6, 0, 0.0, 3, 0.0231500000},
{7, 0, 0.0, 3, 0.0107266667},
{7, 0, 0.0, 3, 0.0097566667},
{8, 2, 0.0, 3, 0.0367533333},
{8, 2, 0.0, 3, 0.0295300000},
{9, 1, 0.0, 3, 0.0170366667}}, 4, 10};
}
// clang-format on
const WithinVisits kWithinTenDays{0.0009941327, 38.0};

} // namespace

TEST_CASE("the table is highest where the published variances of the dyestuff are") {
    const Net net = dyestuff();
    const double batch = std::sqrt(1764.05 / 2451.25); // published, by restricted likelihood
    const double best = restricted(net, {}, batch, 0.0);
    for (const double times : {0.97, 1.03})
        CHECK(restricted(net, {}, times * batch, 0.0) < best);
    const std::vector<VarianceNode> one{{batch, 0.0, 0.0}};
    const NodeTable table = nodeTable(net, one);
    CHECK(table.squares(0) / table.freedom == Approx(2451.25).epsilon(1e-5));
    CHECK(table.freedom == 29);
}

TEST_CASE("a net of ten days has the variances, builds and errors of a mixed model in R") {
    const Net net = tenDays();
    const double sd = 0.00511482045;
    const double day = 0.01248373236 / sd;
    const double refit = 0.00452219428 / sd;
    const double best = restricted(net, kWithinTenDays, day, refit);
    for (const double times : {0.97, 1.03}) {
        CHECK(restricted(net, kWithinTenDays, times * day, refit) < best);
        CHECK(restricted(net, kWithinTenDays, day, times * refit) < best);
    }
    std::vector<VarianceNode> one = varianceNodes({day * sd, refit * sd}, {sd * sd * 38.0, 38.0});
    REQUIRE(one.size() == 1);
    const std::vector<NodeTable> tables{nodeTable(net, one)};
    const auto learned = learnCell(tables, kWithinTenDays, one);
    REQUIRE(learned);
    CHECK(std::sqrt(learned->variance(0)) == Approx(sd).epsilon(1e-5));
    CHECK(learned->freedom == 53.0);
    const struct {
        int to;
        double estimate, variance;
    } items[] = {
        {1, 0.02109393650, 2.02086060e-05}, {2, 0.03198942229, 2.47255932e-05}, {3, 0.01185213825, 3.17905215e-05}};
    for (const auto& item : items) {
        const AcrossDays found = acrossDays(net, *learned, from(0, item.to));
        CHECK(found.estimate == Approx(item.estimate).epsilon(1e-6));
        CHECK(found.high - item.estimate == Approx(2.005745995 * std::sqrt(item.variance)).epsilon(1e-5)); // t of 53
        CHECK(item.estimate - found.low == Approx(found.high - item.estimate).epsilon(1e-8));
    }
}
