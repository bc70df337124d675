// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/compare_builds.h"
#include "core/compare/day_stages.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>
#include <map>

namespace hillrun {
namespace {

constexpr double kNaN = std::numeric_limits<double>::quiet_NaN();

using Pair = std::pair<std::string, std::string>;

/// Base to each other build and each build to its neighbour, in build order; or the pairs named beforehand.
std::vector<Pair> familyOf(const std::vector<std::string>& ids, const AnalysisSettings& settings) {
    if (!settings.pairs.empty())
        return settings.pairs;
    std::vector<Pair> out;
    for (size_t i = 1; i < ids.size(); ++i)
        out.emplace_back(ids[0], ids[i]);
    for (size_t i = 2; i < ids.size(); ++i)
        out.emplace_back(ids[i - 1], ids[i]);
    return out;
}

/// Every pair is worked once, counted from the build that comes first.
Pair inBuildOrder(const Pair& pair, const std::vector<std::string>& ids) {
    const auto at = [&](const std::string& id) { return std::find(ids.begin(), ids.end(), id); };
    return at(pair.first) <= at(pair.second) ? pair : Pair{pair.second, pair.first};
}

/// The pairs to be worked, those of the family first.
struct PairsToWork {
    std::vector<Pair> pairs;
    size_t family = 0;
};
PairsToWork pairsToWork(const std::vector<std::string>& ids, const std::vector<Pair>& family) {
    PairsToWork out;
    const auto add = [&](const Pair& pair) {
        if (std::find(out.pairs.begin(), out.pairs.end(), pair) == out.pairs.end())
            out.pairs.push_back(pair);
    };
    for (const Pair& pair : family)
        add(inBuildOrder(pair, ids));
    out.family = out.pairs.size();
    for (size_t i = 0; i < ids.size(); ++i)
        for (size_t j = i + 1; j < ids.size(); ++j)
            add({ids[i], ids[j]});
    return out;
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
        if (pull.used && pull.curve && !pull.curve->air.validityNote.empty())
            out.notes.push_back(fmt::format("{}: {}.", pull.id, pull.curve->air.validityNote));
    }
}

void findCommonRange(DayAnalysis& out) {
    const auto& core = out.model->core;
    const auto first = std::find(core.begin(), core.end(), char{1}) - core.begin();
    const auto last = core.rend() - std::find(core.rbegin(), core.rend(), char{1}) - 1;
    out.common_rpm = {out.rpm[static_cast<size_t>(first)], out.rpm[static_cast<size_t>(last)]};
}

/// The family as it was asked for; what has no pull in use is said.
std::vector<Pair> familyInUse(DayAnalysis& out, const std::vector<std::string>& ids) {
    std::vector<Pair> family;
    for (const Pair& pair : familyOf(ids, out.settings)) {
        const auto has = [&](const std::string& id) { return std::find(ids.begin(), ids.end(), id) != ids.end(); };
        if (has(pair.first) && has(pair.second))
            family.push_back(pair);
        else
            out.whyNoComparison = fmt::format("{} has no pull in use", has(pair.first) ? pair.second : pair.first);
    }
    return family;
}

void compareAll(DayAnalysis& out, const TestDay& day, const FitPlan& plan, DrawCache& cache) {
    const PairInput input{day, *out.model, out.settings, out.pulls, plan.fitted, plan.buildIds};
    for (const std::string& id : plan.buildIds)
        out.builds.push_back(fittedBuild(input, id));
    const std::vector<Pair> family = familyInUse(out, plan.buildIds);
    const PairsToWork work = pairsToWork(plan.buildIds, family);
    std::vector<Pair> pairs;
    std::vector<ContrastCurve> contrasts;
    size_t familySize = 0;
    for (size_t i = 0; i < work.pairs.size(); ++i)
        if (auto contrast = evaluate(*out.model, pairContrast(input, work.pairs[i].first, work.pairs[i].second),
                                     out.settings.drift)) {
            familySize += i < work.family ? 1 : 0;
            pairs.push_back(work.pairs[i]);
            contrasts.push_back(std::move(*contrast));
        }
    const CriticalValues critical = criticalValues(*out.model, contrasts, familySize, cache);
    std::vector<Comparison> worked(pairs.size());
    const JudgedBy byFamily = out.settings.pairs.empty() ? JudgedBy::Family : JudgedBy::Itself;
    cache.forEach()(pairs.size(), [&](size_t i) {
        const bool inside = i < familySize;
        worked[i] = compareBuilds(input, pairs[i].first, pairs[i].second, contrasts[i],
                                  {inside ? byFamily : JudgedBy::AllPairs, critical.own[i],
                                   inside ? critical.family : critical.all, *out.findBuild(pairs[i].first)});
    });
    const auto taken = [&](const Pair& pair) { return std::find(family.begin(), family.end(), pair) != family.end(); };
    for (const Pair& pair : family) {
        const auto at = std::find(pairs.begin(), pairs.end(), inBuildOrder(pair, plan.buildIds)) - pairs.begin();
        if (static_cast<size_t>(at) == pairs.size())
            continue; // the day cannot tell these two apart
        const Comparison& c = worked[static_cast<size_t>(at)];
        out.comparisons.push_back(c.from == pair.first ? c : swapped(c));
    }
    for (const Comparison& c : worked) {
        if (!taken({c.from, c.to}))
            out.otherPairs.push_back(c);
        if (!taken({c.to, c.from}))
            out.otherPairs.push_back(swapped(c));
    }
    if (plan.buildIds.size() < 2)
        out.whyNoComparison = "only one build has pulls in use";
}

} // namespace

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

DayAnalysis answer(const TestDay& day, const AnalysisSettings& settings, ReducedDay reduced, const FitPlan& plan,
                   const FittedDay& fitted, DrawCache& cache) {
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
    out.rpm = plan.input.rpm;
    out.model = fitted.model;
    out.whyNoComparison = fitted.whyNot;
    if (!out.model)
        return out;
    findCommonRange(out);
    fillBandMeans(out);
    fillSpread(out);
    for (const PullFlag& flag : fitted.flags)
        out.pulls[plan.fitted[flag.pull]].flags.push_back(flag);
    compareAll(out, day, plan, cache);
    fillNotes(out, day, dayClock(day));
    return out;
}

} // namespace hillrun
