// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/curve_across.h"
#include "core/fit/day_model.h"
#include "simcell/engine_model.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>
#include <fmt/format.h>

using namespace hillrun;

namespace {

using Generator = boost::random::mt19937_64;

/// What is put in, log scale: of levels and of shapes.
struct Truth {
    double pullLevel = 0.0055, refitLevel = 0.003, dayLevel = 0.01;
    double pullShape = 0.005, refitShape = 0.0015, dayShape = 0.003;
    double effect = 0.02; ///< of each build over the one before, rising with the speed from nothing
};

struct MadeUp {
    Net net;
    VisitShapes shapes;
    WithinVisits levels;
};

/// Visits of three pulls, days apart by '|', every 100 rpm from 2500 to 7000.
class Maker {
public:
    Maker(const Truth& truth, unsigned seed) : m_truth(truth), m_generator(seed) {
        for (double rpm = 2500.0; rpm <= 7000.0; rpm += 100.0)
            m_rpm.push_back(rpm);
    }
    MadeUp make(const std::string& design) {
        MadeUp out;
        out.shapes.rpm = m_rpm;
        out.net.days = 1;
        std::vector<Eigen::RowVectorXd> rows;
        Eigen::RowVectorXd squares = Eigen::RowVectorXd::Zero(points());
        double time = 0.0;
        auto ofDay = random(m_truth.dayLevel, m_truth.dayShape);
        for (const char letter : design) {
            if (letter == '|') {
                ofDay = random(m_truth.dayLevel, m_truth.dayShape);
                time = 0.0;
                ++out.net.days;
                continue;
            }
            const int build = letter - 'A';
            const Eigen::RowVectorXd mean = ofDay + random(m_truth.refitLevel, m_truth.refitShape) + truthOf(build);
            std::vector<Eigen::RowVectorXd> pulls;
            for (int pull = 0; pull < 3; ++pull)
                pulls.push_back(mean + random(m_truth.pullLevel, m_truth.pullShape));
            addVisit(out, rows, squares, pulls, build, time);
            time += 0.5;
        }
        out.shapes.shape.resize(static_cast<Eigen::Index>(rows.size()), points());
        for (size_t i = 0; i < rows.size(); ++i)
            out.shapes.shape.row(static_cast<Eigen::Index>(i)) = rows[i];
        out.shapes.freedom = out.levels.freedom;
        const Eigen::RowVectorXd raw = squares / out.shapes.freedom;
        const std::vector<char> all(m_rpm.size(), 1);
        out.shapes.variance.resize(points());
        for (Eigen::Index p = 0; p < points(); ++p)
            out.shapes.variance(p) =
                varianceSmoother(m_rpm, all, Eigen::VectorXd::Ones(points()), static_cast<size_t>(p))
                    .dot(raw.transpose());
        out.shapes.correlation = {250.0, 0.05};
        return out;
    }
    [[nodiscard]] Eigen::RowVectorXd truthOf(int build) const {
        Eigen::RowVectorXd out(points());
        for (Eigen::Index p = 0; p < points(); ++p)
            out(p) = 2.0 * build * m_truth.effect * static_cast<double>(p) / static_cast<double>(points() - 1);
        return out;
    }

private:
    [[nodiscard]] Eigen::Index points() const { return static_cast<Eigen::Index>(m_rpm.size()); }
    Eigen::RowVectorXd random(double level, double shape) {
        const sim::Wiggle wiggle(m_generator, m_rpm.front(), m_rpm.back(), 250.0);
        const double ofLevel = level * m_normal(m_generator);
        Eigen::RowVectorXd out(points());
        for (Eigen::Index p = 0; p < points(); ++p)
            out(p) = ofLevel + shape * (wiggle.at(m_rpm[static_cast<size_t>(p)]) + 0.2 * m_normal(m_generator));
        return out;
    }
    static void addVisit(MadeUp& out, std::vector<Eigen::RowVectorXd>& rows, Eigen::RowVectorXd& squares,
                         const std::vector<Eigen::RowVectorXd>& pulls, int build, double time) {
        const Eigen::RowVectorXd mean = (pulls[0] + pulls[1] + pulls[2]) / 3.0;
        for (const Eigen::RowVectorXd& pull : pulls) {
            const Eigen::RowVectorXd off = pull - mean;
            squares += (off.array() - off.mean()).square().matrix();
            out.levels.squares += off.mean() * off.mean();
        }
        out.levels.freedom += 2.0;
        rows.emplace_back(mean.array() - mean.mean());
        out.net.visits.push_back({out.net.days - 1, build, time, 3, mean.mean()});
        out.net.builds = std::max(out.net.builds, build + 1);
    }

    Truth m_truth;
    Generator m_generator;
    boost::random::normal_distribution<double> m_normal;
    std::vector<double> m_rpm;
};

struct Learned {
    CellModel levels;
    CellModel shapes;
};
Learned learn(const std::vector<MadeUp>& articles) {
    const std::vector<VarianceNode> nodes = varianceNodes();
    std::vector<NodeTable> levels;
    std::vector<NodeTable> shapes;
    WithinVisits within;
    double copies = 0.0;
    for (const MadeUp& one : articles) {
        levels.push_back(nodeTable(one.net, nodes));
        shapes.push_back(shapeTable(one.net, evenShapes(one.shapes), nodes));
        within += one.levels;
        copies += independentPoints(one.shapes) / static_cast<double>(articles.size());
    }
    return {*learnCell(levels, within, nodes), *learnCell(shapes, {within.freedom, within.freedom}, nodes, copies)};
}

Eigen::VectorXd difference(const Net& net, int from, int to) {
    Eigen::VectorXd out = Eigen::VectorXd::Zero(net.builds);
    out(from) -= 1.0;
    out(to) += 1.0;
    return out;
}

struct Held {
    double pointwise = 0.0;
    double simultaneous = 0.0;
    double half_pct = 0.0;
};
Held held(const std::string& design, int from, int to, bool history, int runs) {
    Held out;
    DrawCache draws;
    for (int run = 0; run < runs; ++run) {
        Maker maker({}, static_cast<unsigned>(4000 + run));
        std::vector<MadeUp> articles{maker.make(design)};
        if (history)
            articles.push_back(maker.make("AA|AA|AA|AA|AA|AA|AA|AA"));
        const Learned cell = learn(articles);
        const Net& net = articles[0].net;
        const CurveAcross curve =
            curveAcross(net, articles[0].shapes, cell.levels, cell.shapes, difference(net, from, to), draws);
        const Eigen::VectorXd truth = (maker.truthOf(to) - maker.truthOf(from)).transpose();
        const Eigen::ArrayXd miss = (curve.delta - truth).array().abs();
        out.pointwise += (miss <= curve.pointwiseHalf.array()).cast<double>().mean() / runs;
        out.simultaneous += (miss <= curve.simultaneousHalf.array()).all() ? 1.0 / runs : 0.0;
        out.half_pct += 100.0 * curve.simultaneousHalf.mean() / runs;
    }
    fmt::print("{} curves {}: pointwise {:.3f} simultaneous {:.3f} half {:.2f} %\n", design,
               history ? "with history" : "alone", out.pointwise, out.simultaneous, out.half_pct);
    return out;
}

double least(double rate, int runs) { return rate - 3.0 * std::sqrt(rate * (1.0 - rate) / runs); }

} // namespace

TEST_CASE("curves over days: the mean of the difference is the level's, and turning it round negates it") {
    Maker maker({}, 1);
    const std::vector<MadeUp> articles{maker.make("ABA|ACA"), maker.make("AA|AA|AA")};
    const Learned cell = learn(articles);
    const Net& net = articles[0].net;
    DrawCache draws;
    const auto curve = [&](int from, int to) {
        return curveAcross(net, articles[0].shapes, cell.levels, cell.shapes, difference(net, from, to), draws);
    };
    const CurveAcross there = curve(1, 2);
    const CurveAcross back = curve(2, 1);
    const AcrossDays level = acrossDays(net, cell.levels, difference(net, 1, 2));
    CHECK(there.delta.mean() == Approx(level.estimate).epsilon(1e-9));
    CHECK((there.delta + back.delta).cwiseAbs().maxCoeff() < 1e-12);
    CHECK(there.rpm.size() == static_cast<size_t>(there.delta.size()));
    CHECK((there.simultaneousHalf.array() > there.pointwiseHalf.array()).all());
    // Wider than the interval of the level, which holds no shape.
    CHECK(there.simultaneousHalf.minCoeff() > 0.5 * (level.high - level.low));

    // Weights of the visits: one for the build, minus one for the other, nothing besides.
    const NodeEstimates at = nodeEstimates(net, cell.levels, difference(net, 1, 2));
    CHECK(at.visits.sum() == Approx(0.0).margin(1e-9));
    double ofC = 0.0;
    double estimate = 0.0;
    for (size_t v = 0; v < net.visits.size(); ++v) {
        ofC += net.visits[v].build == 2 ? at.visits(static_cast<Eigen::Index>(v)) : 0.0;
        estimate += at.visits(static_cast<Eigen::Index>(v)) * net.visits[v].level;
    }
    CHECK(ofC == Approx(1.0));
    CHECK(estimate == Approx(level.estimate).epsilon(1e-9));
    // One day, one visit each: variances of two independent visits, and no day in it.
    Net two;
    two.visits = {{0, 0, 0.0, 3, 0.0}, {0, 1, 0.5, 3, 0.0}};
    two.builds = 2;
    two.days = 1;
    CHECK(varianceOfSum(two, {5.0, 0.4, 0.0}, Eigen::Vector2d(-1.0, 1.0)) == Approx(2.0 * (0.16 + 1.0 / 3.0)));
    two.visits[1].day = 1;
    two.days = 2;
    CHECK(varianceOfSum(two, {5.0, 0.4, 0.0}, Eigen::Vector2d(-1.0, 1.0)) == Approx(2.0 * (25.16 + 1.0 / 3.0)));
}

TEST_CASE("curves over days hold about as often as they say") {
    constexpr int kRuns = 60;
    const Held joined = held("ABA|ACA", 1, 2, true, kRuns);
    CHECK(joined.pointwise >= least(0.93, kRuns));
    CHECK(joined.simultaneous >= least(0.93, kRuns));
    CHECK(joined.half_pct > 2.0);
    CHECK(joined.half_pct < 4.0);
    CHECK(held("A|A|A|A|A|A|B", 0, 1, true, kRuns).simultaneous >= least(0.93, kRuns));
}
