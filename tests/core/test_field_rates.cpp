// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// How often the field is right, on simulated days: three pulls a build and the return to the base.

#include "core/compare/field.h"
#include "fit_support.h"

#include <algorithm>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <fmt/format.h>
#include <functional>

using namespace hillrun;

namespace {

using Generator = boost::random::mt19937;
using Truth = std::function<std::vector<double>(int builds, Generator&)>;

constexpr double kRepeatability = 0.005;

/// What came of many days, counted.
struct Rates {
    int days = 0;
    int inSet = 0;         ///< the best build may be best
    int size = 0;          ///< builds that may be best
    int aloneAndWrong = 0; ///< one alone, and not the best
    int intervals = 0;     ///< the distance to the best of the others covered, of all builds at once
    int covered = 0;       ///< the gain of the named build over the base
    int falseGains = 0;    ///< a gain of the named build is claimed that it does not have
    int namedIsBest = 0;
    double said = 0.0; ///< chances of the named build
    double shortfall = 0.0, saidShortfall = 0.0;
    [[nodiscard]] double share(int count) const { return static_cast<double>(count) / days; }
    /// Three standard errors of a rate, as days.
    [[nodiscard]] double scatter(double rate) const { return 3.0 * std::sqrt(rate * (1.0 - rate) * days); }
};

FitInput emptyDay(int builds) {
    FitInput out;
    out.builds = builds;
    for (int p = 0; p < 20; ++p)
        out.rpm.push_back(3000.0 + 50.0 * p);
    const int pulls = 3 * (builds + 1);
    out.logPower = Eigen::MatrixXd::Constant(pulls, 20, 4.0);
    for (int i = 0; i < pulls; ++i)
        out.pulls.push_back({i / 3 % builds, 0.2 * i, i / 3});
    return out;
}

/// How far build i is above the best of the others.
double lead(const std::vector<double>& truth, size_t i) {
    double others = -1.0;
    for (size_t j = 0; j < truth.size(); ++j)
        if (j != i)
            others = std::max(others, truth[j]);
    return truth[i] - others;
}

void count(Rates& rates, const std::vector<BuildScore>& found, const std::vector<double>& truth) {
    const auto best = static_cast<size_t>(std::max_element(truth.begin(), truth.end()) - truth.begin());
    size_t named = 0;
    int possible = 0;
    bool allCovered = true;
    for (size_t b = 0; b < found.size(); ++b) {
        possible += found[b].mayBeBest ? 1 : 0;
        if (found[b].gain > found[named].gain)
            named = b;
        const double margin = lead(truth, b);
        allCovered = allCovered && margin >= -found[b].costsAtMost - 1e-12 &&
                     (found[b].best > 0.0 ? margin <= found[b].best : margin <= 1e-12);
    }
    const double gain = truth[named] - truth[0];
    ++rates.days;
    rates.size += possible;
    rates.intervals += allCovered ? 1 : 0;
    rates.inSet += found[best].mayBeBest ? 1 : 0;
    rates.aloneAndWrong += possible == 1 && truth[named] < truth[best] ? 1 : 0;
    rates.covered += gain >= found[named].low && gain <= found[named].high ? 1 : 0;
    rates.falseGains += found[named].low > std::max(0.0, gain) ? 1 : 0;
    rates.namedIsBest += named == best ? 1 : 0;
    rates.said += found[named].chanceBest;
    rates.shortfall += truth[best] - truth[named];
    rates.saidShortfall += found[named].shortfall;
}

Rates simulate(int builds, int days, const Truth& makeTruth, double linearDrift = 0.0) {
    FitInput input = emptyDay(builds);
    Generator generator(static_cast<unsigned>(builds));
    boost::random::normal_distribution<double> normal;
    DrawCache cache;
    Rates out;
    for (int day = 0; day < days; ++day) {
        const std::vector<double> truth = makeTruth(builds, generator);
        Eigen::VectorXd values(input.logPower.rows());
        for (Eigen::Index i = 0; i < values.size(); ++i) {
            const FitPull& pull = input.pulls[static_cast<size_t>(i)];
            values(i) = 4.0 + truth[static_cast<size_t>(pull.build)] + kRepeatability * normal(generator) +
                        linearDrift * pull.time_h / input.pulls.back().time_h;
            input.logPower.row(i).setConstant(values(i));
        }
        const auto found = bestOf(numbersOfBuilds(fitDay(input), values, {}), 0, cache);
        REQUIRE(found);
        count(out, *found, truth);
    }
    return out;
}

std::vector<double> spread(int builds, Generator& generator) {
    boost::random::normal_distribution<double> normal;
    std::vector<double> out;
    for (int b = 0; b < builds; ++b)
        out.push_back(0.01 * normal(generator));
    return out;
}

void print(const std::string& what, const Rates& rates) {
    fmt::print(
        "{}: all intervals {:.3f}, best in set {:.3f}, set {:.1f}, alone and wrong {:.4f}, gain of the named "
        "covered {:.3f}, false gain {:.4f}, named is best {:.3f}, said {:.3f}, shortfall {:.2f} %, said {:.2f} %\n",
        what, rates.share(rates.intervals), rates.share(rates.inSet), rates.share(rates.size),
        rates.share(rates.aloneAndWrong), rates.share(rates.covered), rates.share(rates.falseGains),
        rates.share(rates.namedIsBest), rates.said / rates.days, 100.0 * rates.shortfall / rates.days,
        100.0 * rates.saidShortfall / rates.days);
}

/// What holds whatever the truth is.
void checkAlways(const Rates& rates) {
    CHECK(rates.intervals >= 0.94 * rates.days - rates.scatter(0.06));
    CHECK(rates.aloneAndWrong <= 0.01 * rates.days + rates.scatter(0.01));
    CHECK(rates.covered >= 0.95 * rates.days - rates.scatter(0.05));
    CHECK(rates.falseGains <= 0.03 * rates.days + rates.scatter(0.03));
}

} // namespace

TEST_CASE("the best build is among those that may be best: builds that are spread by 1 %") {
    for (const int builds : {3, 5, 8}) {
        const Rates rates = simulate(builds, 300, spread);
        print(fmt::format("{} builds, spread 1 %", builds), rates);
        checkAlways(rates);
        CHECK(rates.inSet >= 0.985 * rates.days - rates.scatter(0.015));
        CHECK(std::abs(rates.said - rates.namedIsBest) <= 0.1 * rates.days);
        if (builds == 5)
            CHECK(rates.size <= 2.8 * rates.days);
    }
}

TEST_CASE("eight builds that are all alike: no gain is made of luck") {
    const Rates rates =
        simulate(8, 4000, [](int builds, Generator&) { return std::vector<double>(static_cast<size_t>(builds), 0.0); });
    print("8 builds, all alike", rates);
    checkAlways(rates);
    CHECK(rates.size >= 7.0 * rates.days); // nearly all of them may be best
}

TEST_CASE("eight builds of which one is better by 1 %") {
    const Rates rates = simulate(8, 300, [](int builds, Generator&) {
        std::vector<double> out(static_cast<size_t>(builds), 0.0);
        out[5] = 0.01;
        return out;
    });
    print("8 builds, one better by 1 %", rates);
    checkAlways(rates);
    CHECK(rates.inSet >= 0.985 * rates.days - rates.scatter(0.015));
}

TEST_CASE("a straight drift of 2 % over the day, with the return to the base") {
    const Rates rates = simulate(5, 300, spread, 0.02);
    print("5 builds, spread 1 %, drift 2 %", rates);
    checkAlways(rates);
}

namespace {

/// Each build is better by 3 % around a speed of its own; the base first.
double bumpOf(int build, int builds, double rpm) {
    const double centre = 2500.0 + 4500.0 * (build + 0.5) / builds;
    return 0.03 * std::exp(-0.5 * std::pow((rpm - centre) / 700.0, 2));
}

struct LeadRates {
    int days = 0, wrong = 0;
    double proven = 0.0; ///< share of the speeds
};

LeadRates simulateLeads(int builds, int days, unsigned seed) {
    std::string sets;
    for (int b = 0; b <= builds; ++b)
        sets += std::string(3, static_cast<char>('A' + b % builds));
    std::vector<std::string> names;
    for (int b = 0; b < builds; ++b)
        names.emplace_back(1, static_cast<char>('A' + b));
    LeadRates out;
    DrawCache cache;
    for (int day = 0; day < days; ++day) {
        FitInput input = test::sketchDay({sets, 0.0, 0.0, 0.5, 0.5, seed + static_cast<unsigned>(day)});
        for (size_t i = 0; i < input.pulls.size(); ++i)
            for (size_t p = 0; p < input.rpm.size(); ++p)
                input.logPower(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(p)) +=
                    bumpOf(input.pulls[i].build, builds, input.rpm[p]);
        const DayModel model = fitDay(input);
        std::vector<Eigen::VectorXd> asked;
        for (int i = 0; i < builds; ++i)
            for (int j = i + 1; j < builds; ++j)
                asked.push_back(pairContrast(model, i, j));
        const auto field =
            fieldOf(model, names, {{2500.0, 7000.0}, {}}, judgeContrasts(model, asked, 1, {}, cache), {}, cache);
        REQUIRE(field);
        bool wrong = false;
        for (const double rpm : input.rpm) {
            int leader = 0;
            for (int b = 1; b < builds; ++b)
                leader = bumpOf(b, builds, rpm) > bumpOf(leader, builds, rpm) ? b : leader;
            const auto at = std::find_if(field->leads.begin(), field->leads.end(), [&](const LeadStretch& stretch) {
                return stretch.range_rpm.low <= rpm && rpm <= stretch.range_rpm.high;
            });
            REQUIRE(at != field->leads.end());
            wrong = wrong || std::find(at->builds.begin(), at->builds.end(), names[static_cast<size_t>(leader)]) ==
                                 at->builds.end();
            out.proven += at->builds.size() == 1 ? 1.0 / static_cast<double>(input.rpm.size()) : 0.0;
        }
        out.wrong += wrong ? 1 : 0;
        ++out.days;
    }
    return out;
}

} // namespace

TEST_CASE("who leads where is told on a good part of the speeds, and hardly ever wrongly") {
    for (const int builds : {3, 5}) {
        const LeadRates rates = simulateLeads(builds, 150, 1000U * static_cast<unsigned>(builds));
        fmt::print("{} builds, bumps of 3 %: wrong somewhere on {} of {} days, proven on {:.0f} % of the speeds\n",
                   builds, rates.wrong, rates.days, 100.0 * rates.proven / rates.days);
        CHECK(rates.wrong <= 0.02 * rates.days + 3.0 * std::sqrt(0.02 * 0.98 * rates.days));
        if (builds == 3)
            CHECK(rates.proven >= 0.32 * rates.days);
    }
}
