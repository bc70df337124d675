// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// hillrun-coverage: how often the intervals hold on simulated days whose truth is known, and how often something is
// claimed that is not there. Prints one line a cell; docs/method.md holds the figures.

#include "core/fit/contrast.h"
#include "core/fit/flags.h"
#include "simcell/engine_model.h"

#include <boost/random/normal_distribution.hpp>
#include <CLI/CLI.hpp>
#include <cmath>
#include <fmt/format.h>
#include <string>

namespace {

using namespace hillrun;
using Generator = boost::random::mt19937_64;

struct Noise {
    const char* name;
    double gain, wiggle, length_rpm, white; ///< sd in per cent
};
constexpr Noise kNoises[] = {
    {"low", 0.2, 0.3, 300.0, 0.1}, {"mid", 0.5, 0.5, 250.0, 0.2}, {"high", 0.8, 0.8, 200.0, 0.3}};

struct CellOfStudy {
    std::string design; ///< letters, one a set
    int pulls;
    const char* noise;
    double flat_pct = 0.0;  ///< true effect of B
    double drift_pct = 0.0; ///< linear over the session
    double settling_pct = 0.0;
    double oneEnd_pct = 0.0; ///< settling at the highest speed, none at the lowest
    char judged = 'B';       ///< this build against A
    double noiseTimes = 1.0; ///< the judged build's pulls repeat so many times as far
    double refit_pct = 0.0;  ///< what fitting a build again adds
    bool refitKnown = false; ///< and the intervals allow for it
};

struct Tally {
    int days = 0, simultaneous = 0, mean = 0, claimed = 0, flagged = 0, unequal = 0;
    double pointwise = 0.0;
    std::vector<double> halfWidths;
};

FitInput simulateDay(const CellOfStudy& cell, const Noise& noise, Generator& generator) {
    boost::random::normal_distribution<double> normal;
    FitInput out;
    for (double rpm = 2500.0; rpm <= 7500.0; rpm += 50.0)
        out.rpm.push_back(rpm);
    out.builds = 1 + *std::max_element(cell.design.begin(), cell.design.end()) - 'A';
    double time = 0.0;
    for (size_t set = 0; set < cell.design.size(); ++set) {
        for (int i = 0; i < cell.pulls; ++i, time += 5.0 / 60.0)
            out.pulls.push_back({cell.design[set] - 'A', time, static_cast<int>(set)});
        time += 15.0 / 60.0;
    }
    const double session = out.pulls.back().time_h;
    out.logPower.resize(static_cast<Eigen::Index>(out.pulls.size()), static_cast<Eigen::Index>(out.rpm.size()));
    std::vector<double> ofSet(cell.design.size(), 0.0);
    if (cell.refit_pct > 0.0)
        for (double& one : ofSet)
            one = cell.refit_pct / 100.0 * normal(generator);
    if (cell.refitKnown)
        out.refit.sd = {cell.refit_pct / 100.0};
    for (size_t i = 0; i < out.pulls.size(); ++i) {
        const sim::Wiggle wiggle(generator, 2500.0, 7500.0, noise.length_rpm);
        const double t = out.pulls[i].time_h / session;
        const double times = out.pulls[i].build == cell.judged - 'A' ? cell.noiseTimes : 1.0;
        const double level = std::log(40000.0) + ofSet[static_cast<size_t>(out.pulls[i].set)] +
                             times * noise.gain / 100.0 * normal(generator) +
                             std::log1p(out.pulls[i].build == 1 ? cell.flat_pct / 100.0 : 0.0) +
                             cell.drift_pct / 100.0 * t + cell.settling_pct / 100.0 * (1.0 - std::exp(-4.0 * t));
        for (size_t p = 0; p < out.rpm.size(); ++p)
            out.logPower(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(p)) =
                level +
                cell.oneEnd_pct / 100.0 * (1.0 - std::exp(-4.0 * t)) * (out.rpm[p] - out.rpm.front()) /
                    (out.rpm.back() - out.rpm.front()) +
                times * (noise.wiggle / 100.0 * wiggle.at(out.rpm[p]) + noise.white / 100.0 * normal(generator));
    }
    return out;
}

void judgeDay(const FitInput& input, Eigen::Index judged, double truth, bool wantFlags, Tally& tally) {
    const DayModel model = fitDay(input);
    Eigen::VectorXd k = Eigen::VectorXd::Zero(input.builds);
    k(0) = -1.0;
    k(judged) = 1.0;
    const auto contrast = evaluate(model, k, {});
    DrawCache cache;
    const std::vector<ContrastCurve> one{*contrast};
    const double critical = criticalValues(model, one, 1, cache).own.front();
    bool inside = true;
    bool claim = false;
    double points = 0.0;
    std::vector<double> half;
    for (Eigen::Index p = 0; p < contrast->delta.size(); ++p) {
        const double miss = std::abs(contrast->delta(p) - truth);
        half.push_back(critical * contrast->standardError(p));
        inside = inside && miss <= half.back();
        claim = claim || std::abs(contrast->delta(p)) > half.back();
        points += miss <= contrast->pointwiseHalf(p) ? 1.0 : 0.0;
    }
    Eigen::VectorXd means(static_cast<Eigen::Index>(input.pulls.size()));
    for (Eigen::Index i = 0; i < means.size(); ++i)
        means(i) = std::log(input.logPower.row(i).array().exp().mean());
    const auto mean = estimateNumber(model, k, means, {});
    ++tally.days;
    tally.unequal += model.noise.unequal ? 1 : 0;
    tally.simultaneous += inside ? 1 : 0;
    tally.claimed += claim ? 1 : 0;
    tally.pointwise += points / static_cast<double>(contrast->delta.size());
    tally.mean += std::abs(mean->estimate - truth) <= mean->half ? 1 : 0;
    std::nth_element(half.begin(), half.begin() + static_cast<std::ptrdiff_t>(half.size() / 2), half.end());
    tally.halfWidths.push_back(100.0 * half[half.size() / 2]);
    if (wantFlags)
        tally.flagged += flagPulls(fitDay(input)).empty() ? 0 : 1;
}

} // namespace

int main(int argc, char** argv) {
    CLI::App app{"Coverage and false claims on simulated days"};
    int days = 400;
    unsigned seed = 7;
    bool flags = false;
    std::string only;
    app.add_option("--days", days)->capture_default_str();
    app.add_option("--seed", seed)->capture_default_str();
    app.add_option("--only", only, "run cells of this design only, such as ABA");
    app.add_flag("--flags", flags, "count days on which a clean pull is flagged, too");
    CLI11_PARSE(app, argc, argv);

    const std::vector<CellOfStudy> cells{
        {"AB", 2, "mid"},
        {"AB", 3, "low"},
        {"AB", 3, "mid"},
        {"AB", 3, "high"},
        {"AB", 6, "mid"},
        {"ABA", 3, "mid"},
        {"ABBA", 3, "mid"},
        {"ABCA", 3, "mid"},
        {"AB", 3, "mid", 2.0},
        {"ABA", 3, "mid", 2.0},
        {"ABA", 3, "mid", 0.0, 2.0},
        {"ABA", 3, "mid", 0.0, 0.0, 2.0},
        {"ABA", 3, "mid", 0.0, 0.0, 0.0, 2.0},
        {"ABBA", 3, "mid", 0.0, 0.0, 0.0, 2.0},
        {"ABA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 2.0},
        {"ABA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 0.5},
        {"AB", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 2.0},
        {"ABBA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 2.0},
        {"ABCA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'C', 2.0},
        {"ABCDEA", 2, "mid", 0.0, 0.0, 0.0, 0.0, 'E', 2.0},
        {"ABCDEA", 2, "mid", 0.0, 0.0, 0.0, 0.0, 'E', 1.0},
        {"AB", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 1.0, 0.3, false},
        {"AB", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 1.0, 0.3, true},
        {"ABA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 1.0, 0.3, false},
        {"ABA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 1.0, 0.3, true},
        {"ABBA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 1.0, 0.3, true},
        {"ABA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 1.0, 0.5, false},
        {"ABA", 3, "mid", 0.0, 0.0, 0.0, 0.0, 'B', 1.0, 0.5, true},
    };
    fmt::print("{:6}{:>3} {:5}{:>7}{:>7}{:>7}{:>7}{:>8}{:>11} |{:>10}{:>10}{:>10}{:>12}{:>10}{:>8}{:>8}\n", "design",
               "n", "noise", "effect", "drift", "settl", "end", "noise x", "refit", "pointwise", "simult.", "mean",
               "half width", "claimed", "flagged", "unequal");
    for (const CellOfStudy& cell : cells) {
        if (!only.empty() && cell.design != only)
            continue;
        const auto noise = std::find_if(std::begin(kNoises), std::end(kNoises),
                                        [&](const Noise& n) { return std::string(n.name) == cell.noise; });
        Generator generator(seed);
        Tally tally;
        for (int day = 0; day < days; ++day)
            judgeDay(simulateDay(cell, *noise, generator), cell.judged - 'A', std::log1p(cell.flat_pct / 100.0), flags,
                     tally);
        std::nth_element(tally.halfWidths.begin(), tally.halfWidths.begin() + days / 2, tally.halfWidths.end());
        const double n = tally.days;
        fmt::print("{:6}{:>3} {:5}{:>7.1f}{:>7.1f}{:>7.1f}{:>7.1f}{:>4} {:>3}{:>4.1f} {:6} "
                   "|{:>10.3f}{:>10.3f}{:>10.3f}{:>10.2f} "
                   "%{:>10.3f}{:>8.3f}{:>8.3f}\n",
                   cell.design, cell.pulls, cell.noise, cell.flat_pct, cell.drift_pct, cell.settling_pct,
                   cell.oneEnd_pct, cell.noiseTimes == 1.0 ? std::string() : std::string(1, cell.judged),
                   cell.noiseTimes == 1.0 ? std::string() : fmt::format("{:.1f}", cell.noiseTimes), cell.refit_pct,
                   cell.refitKnown ? "known" : "", tally.pointwise / n, tally.simultaneous / n, tally.mean / n,
                   tally.halfWidths[static_cast<size_t>(days / 2)], tally.claimed / n, tally.flagged / n,
                   tally.unequal / n);
        std::fflush(stdout);
    }
    return 0;
}
