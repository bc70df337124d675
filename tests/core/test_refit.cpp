// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/cell_model.h"
#include "core/fit/contrast.h"
#include "core/plan/pulls_needed.h"
#include "fit_support.h"

#include <algorithm>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <boost/random/student_t_distribution.hpp>
#include <catch2/catch.hpp>
#include <fmt/format.h>

using namespace hillrun;

namespace {

using Generator = boost::random::mt19937_64;

/// A day of equal builds whose every set is fitted anew with this sd, log scale.
FitInput fittedAgain(const std::string& design, double refit, unsigned seed) {
    FitInput out = test::sketchDay({design, 0.0, 0.0, 0.5, 0.5, seed});
    Generator generator(seed + 77000U);
    boost::random::normal_distribution<double> normal;
    std::vector<double> ofSet(out.pulls.size());
    for (double& one : ofSet)
        one = refit * normal(generator);
    for (size_t i = 0; i < out.pulls.size(); ++i)
        out.logPower.row(static_cast<Eigen::Index>(i)).array() += ofSet[static_cast<size_t>(out.pulls[i].set)];
    return out;
}

/// What days of one build fitted twice teach of refitting, log scale.
RefitSpread learnedFrom(double refit, unsigned seed, int days = 8) {
    Generator generator(seed);
    boost::random::normal_distribution<double> normal;
    Net net;
    WithinVisits within;
    for (int day = 0; day < days; ++day) {
        const double ofDay = 0.01 * normal(generator);
        for (int visit = 0; visit < 2; ++visit) {
            const double ofVisit = refit * normal(generator);
            double sum = 0.0;
            double squares = 0.0;
            for (int pull = 0; pull < 3; ++pull) {
                const double error = 0.0055 * normal(generator);
                sum += error;
                squares += error * error;
            }
            within += {squares - sum * sum / 3.0, 2.0};
            net.visits.push_back({day, 0, 0.5 * visit, 3, ofDay + ofVisit + sum / 3.0});
        }
    }
    net.builds = 1;
    net.days = days;
    const std::vector<VarianceNode> nodes = varianceNodes();
    const std::vector<NodeTable> tables{nodeTable(net, nodes)};
    const CellModel cell = *learnCell(tables, within, nodes);
    return {likelyRefits(cell, 10), static_cast<double>(cell.of.refit)};
}

/// Shares of days on which band and level hold, and the band's mean half width, %.
struct Held {
    double simultaneous = 0.0;
    double level = 0.0;
    double half_pct = 0.0;
};
enum class Allow { Nothing, Known, Learned };
Held held(const std::string& design, double refit, Allow allow, int days, int taughtBy = 8) {
    Held out;
    for (int day = 0; day < days; ++day) {
        const auto seed = static_cast<unsigned>(300 + day);
        FitInput input = fittedAgain(design, refit, seed);
        if (allow == Allow::Known)
            input.refit.sd = {refit};
        if (allow == Allow::Learned)
            input.refit = learnedFrom(refit, seed, taughtBy);
        const DayModel model = fitDay(input);
        const Eigen::VectorXd k = test::minus(2, 0, 1);
        const std::vector<ContrastCurve> one{*evaluate(model, k, {})};
        DrawCache cache;
        const double critical = criticalValues(model, one, 1, cache).own.front();
        const ContrastCurve& curve = one.front();
        bool inside = true;
        for (Eigen::Index p = 0; p < curve.delta.size(); ++p)
            inside = inside && std::abs(curve.delta(p)) <= critical * curve.standardError(p);
        const auto level = estimateNumber(model, k, model.level, {});
        out.simultaneous += inside ? 1.0 / days : 0.0;
        out.level += std::abs(level->estimate) <= level->half ? 1.0 / days : 0.0;
        out.half_pct += 100.0 * critical * curve.standardError.mean() / days;
    }
    fmt::print("{} refit {:.1f} % {}: band {:.3f} level {:.3f} half {:.2f} %\n", design, 100.0 * refit,
               allow == Allow::Known     ? "known"
               : allow == Allow::Learned ? "learned"
                                         : "not known",
               out.simultaneous, out.level, out.half_pct);
    return out;
}

double least(double rate, int runs) { return rate - 3.0 * std::sqrt(rate * (1.0 - rate) / runs); }

} // namespace

TEST_CASE("the error of a level is a t, and what fitting again adds, as drawn") {
    const RefitSpread spread{{0.002, 0.004}, 5.0};
    const LevelError error(0.003, 4.0, spread, 1.5);
    Generator generator(3);
    boost::random::normal_distribution<double> normal;
    boost::random::student_t_distribution<double> t(4.0);
    std::vector<double> drawn;
    for (int i = 0; i < 400000; ++i)
        drawn.push_back(std::abs(0.003 * t(generator) +
                                 std::sqrt(1.5) * spread.sd[static_cast<size_t>(i % 2)] * normal(generator)));
    std::sort(drawn.begin(), drawn.end());
    for (const double probability : {0.90, 0.95, 0.99}) {
        const double half = error.half(probability);
        CHECK(half == Approx(drawn[static_cast<size_t>(probability * 400000.0)]).epsilon(0.01));
        CHECK(error.beyond(half) == Approx(1.0 - probability).epsilon(1e-6));
    }
    CHECK(error.beyond(0.0) == Approx(1.0));
    CHECK(spread.meanSquare() == Approx(1e-5));

    // t table: the 97.5 % point of 4 degrees of freedom is 2.776; the normal's is 1.960.
    CHECK(LevelError(0.003, 4.0, {}, 1.5).half(0.95) == Approx(0.003 * 2.776).epsilon(1e-3));
    CHECK(LevelError(1e-5, 4.0, {{0.003}, 0.0}, 1.0).half(0.95) == Approx(0.003 * 1.960).epsilon(2e-3));
    CHECK(LevelError(0.003, 4.0, {{0.0}, 0.0}, 1.0).half(0.95) == Approx(0.003 * 2.776).epsilon(1e-3));
    CHECK(LevelError(0.0, 4.0, {}, 1.0).beyond(0.1) == 0.0);
    CHECK(LevelError(0.0, 4.0, {}, 1.0).beyond(0.0) == 1.0);
}

TEST_CASE("a known refitting widens every interval of the day, and is then no caution any more") {
    FitInput input = fittedAgain("AAABBBAAA", 0.0, 5);
    for (Eigen::Index i = 3; i < 6; ++i)
        input.logPower.row(i).array() += 0.03;
    const Eigen::VectorXd k = test::minus(2, 0, 1);
    const DayModel open = fitDay(input);
    input.refit.sd = {0.003};
    const DayModel known = fitDay(input);
    const auto before = estimateNumber(open, k, open.level, {});
    const auto after = estimateNumber(known, k, known.level, {});
    CHECK(after->estimate == before->estimate);
    // ABA: the sums of the weights over the sets are -1/2, 1, -1/2.
    CHECK(after->standardError ==
          Approx(std::sqrt(std::pow(before->standardError, 2) + 1.5 * 0.003 * 0.003)).epsilon(1e-9));
    CHECK(after->half > before->half);
    CHECK(after->half90 > before->half90);
    CHECK(after->p > before->p);
    CHECK(before->refitUndoes);
    CHECK_FALSE(after->refitUndoes);
    // What would undo the proof does undo it when it is what refitting adds, nearly: a normal in place of a t.
    input.refit.sd = {1.4 * *before->refitUndoes};
    const DayModel undone = fitDay(input);
    const auto gone = estimateNumber(undone, k, undone.level, {});
    CHECK(std::abs(gone->estimate) < gone->half);

    const auto narrow = evaluate(open, k, {});
    const auto wide = evaluate(known, k, {});
    CHECK(narrow->refitError == 0.0);
    CHECK(wide->refitError == Approx(0.003 * std::sqrt(1.5)));
    const Eigen::Index middle = wide->delta.size() / 2;
    CHECK(wide->standardError(middle) ==
          Approx(std::sqrt(std::pow(narrow->standardError(middle), 2) + 1.5 * 9e-6)).epsilon(1e-9));
    CHECK(wide->pointwiseHalf(middle) > narrow->pointwiseHalf(middle));
    // A learned one has its own degrees of freedom.
    input.refit = {{0.003}, 4.0};
    CHECK(evaluate(fitDay(input), k, {})->pointwiseHalf(middle) > wide->pointwiseHalf(middle));
    // A speed is not scaled by refitting.
    const auto speed = [&](const DayModel& model) { return estimateNumber(model, k, model.level, {}, false)->half; };
    CHECK(speed(known) == speed(open));
    const NumbersOfBuilds all = numbersOfBuilds(known, known.level, {});
    CHECK(all.standardError(0, 1) == Approx(after->standardError).epsilon(0.02));
}

TEST_CASE("intervals that allow for refitting hold, and those that do not do not") {
    constexpr int kDays = 120;
    const Held known = held("AAABBBAAA", 0.003, Allow::Known, kDays);
    CHECK(known.simultaneous >= least(0.95, kDays));
    CHECK(known.half_pct >= 1.9);
    CHECK(known.half_pct <= 2.15);
    const Held learned = held("AAABBBAAA", 0.003, Allow::Learned, kDays);
    CHECK(learned.level >= least(0.945, kDays));
    CHECK(learned.simultaneous >= least(0.95, kDays));
    const Held none = held("AAABBBAAA", 0.005, Allow::Nothing, kDays);
    CHECK(none.level < 0.93);
    CHECK(held("AAABBB", 0.005, Allow::Known, kDays).simultaneous >= least(0.95, kDays));
}

TEST_CASE("intervals that allow for refitting, whole", "[.whole]") {
    constexpr int kDays = 400;
    for (const double refit : {0.003, 0.005})
        for (const char* design : {"AAABBBAAA", "AAABBB"}) {
            held(design, refit, Allow::Nothing, kDays);
            held(design, refit, Allow::Known, kDays);
            for (const int taughtBy : {4, 8}) {
                fmt::print("{} days: ", taughtBy);
                held(design, refit, Allow::Learned, kDays, taughtBy);
            }
        }
}

TEST_CASE("what a cell has taught of refitting rises, and lies about the truth") {
    const RefitSpread spread = learnedFrom(0.004, 9);
    REQUIRE(spread.sd.size() == 10);
    CHECK(std::is_sorted(spread.sd.begin(), spread.sd.end()));
    CHECK(spread.sd.front() < 0.004);
    CHECK(spread.sd.back() > 0.003);
    CHECK(spread.freedom == 8.0);
}

TEST_CASE("a plan counts what fitting again adds") {
    const std::vector<std::string> order{"A", "A", "A", "B", "B", "B", "A", "A", "A"};
    const auto contrast = plannedContrast(order, "A", "B");
    CHECK(contrast->refitVariance == Approx(1.5));
    CHECK(*smallestSeen(*contrast, {0.005, 0.003}) > *smallestSeen(*contrast, {0.005, 0.0}));
    // More pulls do not help against refitting; more sets do.
    CHECK_FALSE(pullsPerSetNeeded({"A", "B", "A"}, "A", "B", 0.01, {0.002, 0.005}));
    CHECK(pullsPerSetNeeded({"A", "B", "A", "B", "A", "B", "A", "B", "A", "B", "A"}, "A", "B", 0.01, {0.002, 0.005}));
    // By simulation of the levels alone: the chance that the interval excludes zero.
    const FitInput input = planInput(order);
    const Design design = makeDesign(input, {0, 1, 2, 3, 4, 5, 6, 7, 8}, true, 4.0);
    Eigen::VectorXd k = Eigen::VectorXd::Zero(3);
    k(0) = -1.0;
    k(1) = 1.0;
    const Eigen::VectorXd a = *design.contrastWeights(k);
    Generator generator(8);
    boost::random::normal_distribution<double> normal;
    int found = 0;
    constexpr int kDays = 3000;
    for (int day = 0; day < kDays; ++day) {
        const double ofSet[3] = {0.003 * normal(generator), 0.003 * normal(generator), 0.003 * normal(generator)};
        Eigen::VectorXd y(9);
        for (Eigen::Index i = 0; i < 9; ++i)
            y(i) = 0.005 * normal(generator) + ofSet[i / 3] + (i / 3 == 1 ? std::log1p(0.015) : 0.0);
        const double s = std::sqrt(design.residuals(y).squaredNorm() / design.degreesOfFreedom());
        const LevelError error(s * a.norm(), design.degreesOfFreedom(), {{0.003}, 0.0}, contrast->refitVariance);
        found += a.dot(y) > error.half(0.95) ? 1 : 0;
    }
    CHECK(chanceToSee(*contrast, 0.015, {0.005, 0.003}) == Approx(found / double(kDays)).margin(0.05));
}
