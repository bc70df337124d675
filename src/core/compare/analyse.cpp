// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/analyse.h"

#include "core/compare/compare_builds.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>
#include <map>
#include <memory>

namespace hillrun {
namespace {

constexpr double kNaN = std::numeric_limits<double>::quiet_NaN();

using SharedSignals = std::shared_ptr<const PullSignals>;

void leaveOut(PullResult& out, const std::string& why) {
    out.used = false;
    out.whyLeftOut += (out.whyLeftOut.empty() ? "" : "; ") + why;
}

PullResult startedResult(const Pull& pull) {
    PullResult out;
    out.id = pull.id;
    out.build = pull.build;
    out.used = pull.use;
    if (!pull.use)
        out.whyLeftOut = pull.reason.empty() ? "set aside, no reason noted" : pull.reason;
    if (!pull.raw) {
        out.used = false;
        out.whyLeftOut = pull.problem.empty() ? "the file was not read" : pull.problem;
    }
    return out;
}

/// The signals of a pull; null with a reason in `out` when there are none.
SharedSignals signalsOf(const Pull& pull, const Dyno& dyno, PullResult& out) {
    if (!pull.raw)
        return nullptr;
    try {
        return std::make_shared<const PullSignals>(pullSignals(pull, dyno));
    } catch (const DataError& error) {
        leaveOut(out, problemText(error.problem(), error.details()));
        return nullptr;
    }
}

/// The losses of the day from all its coast-downs, when they are asked for.
std::optional<LossCurve> lossOf(const TestDay& day, const Dyno& dyno, const std::vector<SharedSignals>& signals,
                                std::vector<std::string>& notes) {
    if (dyno.loss.method != LossMethod::CoastDown)
        return std::nullopt;
    std::vector<CoastDown> coasts;
    std::string why = "no pull was recorded";
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        if (!signals[i])
            continue;
        try {
            const Sweep sweep = findSweep(*signals[i], dyno.cell, std::nullopt);
            coasts.push_back(findCoastDown(*day.pulls[i].raw, *signals[i], sweep, dyno));
            if (!coasts.back().usable())
                why = coasts.back().whyNot;
        } catch (const DataError&) { // a pull without a sweep has no coast-down either
        }
    }
    auto loss = fitLoss(coasts);
    if (!loss)
        notes.push_back(fmt::format("No estimate at the {}: {}. Figures stay where they were measured.",
                                    measuredAtName(dyno.loss.to), why));
    return loss;
}

/// The grid that holds every used curve, from whole multiples of the step.
std::vector<double> dayGrid(const std::vector<PullResult>& pulls, double step) {
    double low = std::numeric_limits<double>::infinity();
    double high = -low;
    for (const PullResult& pull : pulls) {
        if (!pull.used || pull.curve->rpm.empty())
            continue;
        low = std::min(low, pull.curve->rpm.front());
        high = std::max(high, pull.curve->rpm.back());
    }
    std::vector<double> out;
    if (low > high)
        return out;
    const auto count = std::llround((high - low) / step);
    for (long long i = 0; i <= count; ++i)
        out.push_back(low + static_cast<double>(i) * step);
    return out;
}

void putOnGrid(const Curve& curve, const std::vector<double>& grid, double step, Eigen::MatrixXd& target,
               Eigen::Index row) {
    const auto offset = std::llround((curve.rpm.front() - grid.front()) / step);
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        if (curve.power_w[i] > 0.0)
            target(row, static_cast<Eigen::Index>(offset) + static_cast<Eigen::Index>(i)) = std::log(curve.power_w[i]);
}

struct FitParts {
    FitInput input;
    std::vector<size_t> fitted;
    std::vector<std::string> buildIds;
};

FitParts fitParts(const TestDay& day, const std::vector<PullResult>& pulls, double step) {
    FitParts out;
    out.input.rpm = dayGrid(pulls, step);
    for (const Build& build : day.builds) // columns in build order, only builds with a used pull
        if (std::any_of(pulls.begin(), pulls.end(), [&](const auto& p) { return p.used && p.build == build.id; }))
            out.buildIds.push_back(build.id);
    out.input.builds = static_cast<int>(out.buildIds.size());
    for (size_t i = 0; i < pulls.size(); ++i) {
        if (!pulls[i].used)
            continue;
        const auto column = std::find(out.buildIds.begin(), out.buildIds.end(), pulls[i].build) - out.buildIds.begin();
        out.input.pulls.push_back({pulls[i].id, static_cast<int>(column), pulls[i].time_h, pulls[i].set});
        out.fitted.push_back(i);
    }
    const auto rows = static_cast<Eigen::Index>(out.fitted.size());
    out.input.logPower = Eigen::MatrixXd::Constant(rows, static_cast<Eigen::Index>(out.input.rpm.size()), kNaN);
    for (Eigen::Index r = 0; r < rows; ++r)
        putOnGrid(*pulls[out.fitted[static_cast<size_t>(r)]].curve, out.input.rpm, step, out.input.logPower, r);
    return out;
}

/// Base to each other build and each build to its neighbour, in build order; or the pairs asked for.
std::vector<std::pair<std::string, std::string>> pairsOf(const std::vector<std::string>& ids,
                                                         const AnalysisSettings& settings) {
    if (!settings.pairs.empty())
        return settings.pairs;
    std::vector<std::pair<std::string, std::string>> out;
    for (size_t i = 1; i < ids.size(); ++i)
        out.emplace_back(ids[0], ids[i]);
    for (size_t i = 2; i < ids.size(); ++i)
        out.emplace_back(ids[i - 1], ids[i]);
    for (const auto& pair : settings.alsoPairs) {
        const bool both =
            std::count(ids.begin(), ids.end(), pair.first) + std::count(ids.begin(), ids.end(), pair.second) == 2;
        if (both && pair.first != pair.second && std::find(out.begin(), out.end(), pair) == out.end())
            out.push_back(pair);
    }
    return out;
}

void checkSettings(const TestDay& day, const AnalysisSettings& settings) {
    for (const auto& [from, to] : settings.pairs) {
        for (const std::string& id : {from, to})
            if (!findBuild(day, id))
                throw DataError(Problem::UnknownBuild, {id});
        if (from == to)
            throw DataError(Problem::BadValue, {to, "a build cannot be compared with itself"});
    }
    for (const RpmRange& band : settings.bands)
        if (!(band.low >= 0.0 && band.high > band.low))
            throw DataError(Problem::BadBand, {fmt::format("{:g}:{:g}", band.low, band.high)});
}

double curveMean_w(const Curve& curve, const RpmRange& range) {
    double sum = 0.0;
    double count = 0.0;
    for (size_t i = 0; i < curve.rpm.size(); ++i) {
        if (!range.holds(curve.rpm[i]) || !std::isfinite(curve.power_w[i]))
            continue;
        sum += curve.power_w[i];
        count += 1.0;
    }
    const bool covers = !curve.rpm.empty() && curve.rpm.front() <= range.low && curve.rpm.back() >= range.high;
    return count > 0.0 && covers ? sum / count : kNaN;
}

void fillBandMeans(DayAnalysis& out) {
    std::map<int, std::pair<double, int>> sets;
    for (PullResult& pull : out.pulls) {
        pull.bandMean_w = pull.curve ? curveMean_w(*pull.curve, out.common_rpm) : kNaN;
        if (pull.used && std::isfinite(pull.bandMean_w)) {
            sets[pull.set].first += pull.bandMean_w;
            sets[pull.set].second += 1;
        }
    }
    for (PullResult& pull : out.pulls) {
        const auto [sum, count] = sets[pull.set];
        pull.differenceFromSet_pct = count > 0 ? 100.0 * (pull.bandMean_w / (sum / count) - 1.0) : kNaN;
    }
}

void fillSpread(DayAnalysis& out) {
    const DayModel& model = *out.model;
    out.pooledSd_w.assign(out.rpm.size(), kNaN);
    if (model.degreesOfFreedom <= 0)
        return;
    for (size_t p = 0; p < out.rpm.size(); ++p) {
        const auto i = static_cast<Eigen::Index>(p);
        double sum = 0.0;
        double count = 0.0;
        for (Eigen::Index r = 0; r < model.input.logPower.rows(); ++r) {
            if (!std::isfinite(model.input.logPower(r, i)))
                continue;
            sum += model.input.logPower(r, i);
            count += 1.0;
        }
        if (count > 0.0)
            out.pooledSd_w[p] =
                std::exp(sum / count) * std::sqrt(model.levelSd * model.levelSd + model.shapeVariance(i));
    }
}

void fillNotes(DayAnalysis& out, const TestDay& day, const DayClock& clock) {
    if (!clock.clockKnown)
        out.notes.emplace_back("Some pulls carry no time: drift goes by their order, five minutes a pull.");
    if (out.model->windowShrunk)
        out.notes.push_back(fmt::format("The pulls overlap little: only {:.0f}-{:.0f} rpm is used.", out.common_rpm.low,
                                        out.common_rpm.high));
    if (out.model->degreesOfFreedom <= 0)
        out.notes.emplace_back("No repeatability was measured today: nothing can be proven.");
    if (!out.model->drift.identified && out.builds.size() > 1)
        out.notes.emplace_back("No return to base: drift cannot be told from the parts.");
    if (out.place.estimate)
        out.notes.push_back(
            fmt::format("Power {} is an estimate{}.", placeText({out.place.at, false}),
                        out.loss ? fmt::format(" from the coast-downs of {} pulls", out.loss->pulls)
                                 : fmt::format(": {:g} % taken as lost on the way, a crude figure", day.loss.percent)));
    for (const PullResult& pull : out.pulls) {
        const Pull* raw = findPull(day, pull.id);
        if (pull.used && raw && pull.curve && !pull.curve->air.validityNote.empty())
            out.notes.push_back(fmt::format("{}: {}.", pull.id, pull.curve->air.validityNote));
    }
}

void findCommonRange(DayAnalysis& out) {
    const auto& core = out.model->core;
    const auto first = std::find(core.begin(), core.end(), char{1}) - core.begin();
    const auto last = core.rend() - std::find(core.rbegin(), core.rend(), char{1}) - 1;
    out.common_rpm = {out.rpm[static_cast<size_t>(first)], out.rpm[static_cast<size_t>(last)]};
}

void compareAll(DayAnalysis& out, const TestDay& day, const FitParts& parts, DrawCache& cache) {
    const PairInput input{day, *out.model, out.settings, out.pulls, parts.fitted, parts.buildIds};
    for (const std::string& id : parts.buildIds)
        out.builds.push_back(fittedBuild(input, id));
    std::vector<std::pair<std::string, std::string>> pairs;
    std::vector<ContrastCurve> contrasts;
    for (const auto& [from, to] : pairsOf(parts.buildIds, out.settings)) {
        const auto has = [&](const std::string& id) {
            return std::find(parts.buildIds.begin(), parts.buildIds.end(), id) != parts.buildIds.end();
        };
        if (!has(from) || !has(to)) {
            out.whyNoComparison = fmt::format("{} has no pull in use", has(from) ? to : from);
            continue;
        }
        if (auto contrast = evaluate(*out.model, pairContrast(input, from, to), out.settings.drift)) {
            pairs.emplace_back(from, to);
            contrasts.push_back(std::move(*contrast));
        }
    }
    const CriticalValues critical = criticalValues(*out.model, contrasts, cache);
    for (size_t i = 0; i < pairs.size(); ++i)
        out.comparisons.push_back(
            compareBuilds(input, pairs[i].first, pairs[i].second, contrasts[i], critical.own[i], critical.family));
    if (parts.buildIds.size() < 2)
        out.whyNoComparison = "only one build has pulls in use";
}

/// The loss curve is asked for speeds no coast-down has shown; said once.
void noteExtrapolation(ReducedDay& out, const Curve& curve) {
    if (!out.loss || curve.loss_w.empty())
        return;
    const double slowest = curve.source->driven_rad_s[curve.sweep.first];
    const double fastest = curve.source->driven_rad_s[curve.sweep.last];
    const std::string note = "The coast-downs do not cover the whole sweep: beyond them the loss is extrapolated.";
    if ((std::min(slowest, fastest) < 0.95 * out.loss->slowest_rad_s ||
         std::max(slowest, fastest) > 1.05 * out.loss->fastest_rad_s) &&
        std::find(out.notes.begin(), out.notes.end(), note) == out.notes.end())
        out.notes.push_back(note);
}

} // namespace

const Comparison* DayAnalysis::find(const std::string& from, const std::string& to) const {
    const auto it = std::find_if(comparisons.begin(), comparisons.end(),
                                 [&](const Comparison& c) { return c.from == from && c.to == to; });
    return it == comparisons.end() ? nullptr : &*it;
}

const BuildResult* DayAnalysis::findBuild(const std::string& id) const {
    const auto it = std::find_if(builds.begin(), builds.end(), [&](const BuildResult& b) { return b.id == id; });
    return it == builds.end() ? nullptr : &*it;
}

std::string basisText(const DayAnalysis& analysis) {
    return fmt::format("{}, {}{}", standardInfo(analysis.settings.reduce.standard).title,
                       analysis.school.empty() ? "" : analysis.school + ", ", placeText(analysis.place));
}

ReducedDay reduceDay(const TestDay& day, const ReduceSettings& settings) {
    ReducedDay out;
    const DayClock clock = dayClock(day);
    const std::vector<int> sets = setNumbers(day, clock);
    const Dyno dyno = dynoOf(day);
    std::vector<SharedSignals> signals;
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        out.pulls.push_back(startedResult(day.pulls[i]));
        out.pulls.back().time_h = clock.hours[i];
        out.pulls.back().set = sets[i];
        signals.push_back(signalsOf(day.pulls[i], dyno, out.pulls.back()));
    }
    out.loss = lossOf(day, dyno, signals, out.notes);
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        if (!signals[i])
            continue;
        try {
            out.pulls[i].curve = reduce(day.pulls[i], dyno, settings, out.loss, std::move(signals[i]));
            noteExtrapolation(out, *out.pulls[i].curve);
        } catch (const DataError& error) {
            leaveOut(out.pulls[i], problemText(error.problem(), error.details()));
        }
    }
    return out;
}

DayAnalysis analyse(const TestDay& day, const AnalysisSettings& settings, DrawCache& cache) {
    return analyse(day, settings, reduceDay(day, settings.reduce), cache);
}

DayAnalysis analyse(const TestDay& day, const AnalysisSettings& settings, ReducedDay reduced, DrawCache& cache) {
    checkSettings(day, settings);
    DayAnalysis out;
    out.settings = settings;
    out.pulls = std::move(reduced.pulls);
    out.loss = reduced.loss;
    out.notes = std::move(reduced.notes);
    out.place = {day.cell.measuredAt, false};
    for (const PullResult& pull : out.pulls)
        if (pull.curve)
            out.place = pull.curve->place;
    out.school = schoolText(settings.reduce.standard, engineForAir(day));
    const FitParts parts = fitParts(day, out.pulls, settings.reduce.grid_rpm);
    if (parts.fitted.empty()) {
        out.whyNoComparison = "no pull is in use";
        return out;
    }
    out.rpm = parts.input.rpm;
    try {
        out.model = fitDay(parts.input);
    } catch (const DataError& error) {
        out.whyNoComparison = problemText(error.problem(), error.details());
        return out;
    }
    findCommonRange(out);
    fillBandMeans(out);
    fillSpread(out);
    for (const PullFlag& flag : flagPulls(parts.input))
        out.pulls[parts.fitted[flag.pull]].flags.push_back(flag);
    compareAll(out, day, parts, cache);
    fillNotes(out, day, dayClock(day));
    return out;
}

} // namespace hillrun
