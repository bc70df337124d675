// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/compare_builds.h"
#include "core/compare/day_credit.h"
#include "core/compare/day_stages.h"
#include "core/compare/given_pairs.h"
#include "core/compare/quantity.h"
#include "core/compare/sentence.h"
#include "core/plan/named_use.h"

#include "core/units/nan.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace hillrun {
namespace {

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
    for (Statement& note : widthStatements(out))
        out.notes.push_back(std::move(note));
    if (const Statement whyNot = usedSpeeds(day.plan.use, day.article).whyNot; !whyNot.empty())
        out.notes.push_back(whyNot);
    if (!clock.clockKnown)
        out.notes.push_back({"note.no_time"});
    if (out.model->windowShrunk)
        out.notes.push_back({"note.little_overlap", {out.common_rpm}});
    if (out.model->degreesOfFreedom <= 0)
        out.notes.push_back({"note.no_repeatability"});
    if (!out.model->drift.identified && out.builds.size() > 1)
        out.notes.push_back({"note.no_return"});
    if (out.place.estimate)
        out.notes.push_back(
            out.loss ? Statement{"note.estimate_by_coast_downs",
                                 {Count{static_cast<long>(out.loss->pulls)}, placePhrase({out.place.at, false})}}
                     : Statement{"note.estimate_by_share",
                                 {placePhrase({out.place.at, false}), significant(day.loss.percent, 6, "%")}});
    for (const EndSpeeds& found : out.endSpeeds)
        out.notes.push_back(endSpeedPhrase(found));
    for (const PullResult& pull : out.pulls) {
        if (pull.used && pull.curve && !pull.curve->air.validityNotes.empty())
            out.notes.push_back({"note.of_pull", {pull.id, Several{pull.curve->air.validityNotes}}});
    }
}

void findCommonRange(DayAnalysis& out) {
    const auto& core = out.model->core;
    const auto first = std::find(core.begin(), core.end(), char{1}) - core.begin();
    const auto last = core.rend() - std::find(core.rbegin(), core.rend(), char{1}) - 1;
    out.common_rpm = {out.rpm[static_cast<size_t>(first)], out.rpm[static_cast<size_t>(last)]};
}

/// The family as it was asked for; what has no pull in use is said.
std::vector<BuildPair> familyInUse(DayAnalysis& out, const std::vector<std::string>& ids) {
    std::vector<BuildPair> family;
    for (const auto& [from, to] : out.settings.pairs.empty() ? usualPairs(ids) : out.settings.pairs) {
        const auto has = [&](const std::string& id) { return std::find(ids.begin(), ids.end(), id) != ids.end(); };
        if (has(from) && has(to))
            family.emplace_back(from, to);
        else
            out.whyNoComparison = {"why.no_pull_of", {has(from) ? to : from}};
    }
    return family;
}

JudgedContrasts judgePairs(const DayAnalysis& out, const PairInput& input, const PairsToWork& work, DrawCache& cache) {
    std::vector<Eigen::VectorXd> asked;
    for (const auto& [from, to] : work.pairs)
        asked.push_back(pairContrast(*out.model, input.columnOf(from), input.columnOf(to)));
    return judgeContrasts(*out.model, asked, work.family, out.settings.drift, cache);
}

/// Every pair that the day can tell apart, worked once.
std::vector<Comparison> workPairs(const DayAnalysis& out, const PairInput& input, const PairsToWork& work,
                                  const JudgedContrasts& judged, DrawCache& cache) {
    const JudgedBy byFamily = out.settings.pairs.empty() ? JudgedBy::Family : JudgedBy::Itself;
    std::vector<Comparison> worked(judged.which.size());
    cache.forEach()(worked.size(), [&](size_t i) {
        const BuildPair& pair = work.pairs[judged.which[i]];
        const bool inside = i < judged.family;
        const Judging judging{inside ? byFamily : JudgedBy::AllPairs, judged.critical.own[i],
                              inside ? judged.critical.family : judged.critical.all};
        worked[i] = compareBuilds(input, pair,
                                  effectOf(input.answer, input.columnOf(pair.first), input.columnOf(pair.second),
                                           judged.contrasts[i], judging, out.findBuild(pair.first)->power_w));
    });
    return worked;
}

/// The family in the order it was asked for, then every other pair, each the other way round too.
void handOut(DayAnalysis& out, const std::vector<BuildPair>& family, const std::vector<Comparison>& worked) {
    for (const auto& [from, to] : family)
        for (const Comparison& c : worked) {
            if (c.from == from && c.to == to)
                out.comparisons.push_back(c);
            else if (c.from == to && c.to == from)
                out.comparisons.push_back(swapped(c));
        }
    const auto isOther = [&](const Comparison& c) {
        return std::find(family.begin(), family.end(), BuildPair{c.from, c.to}) == family.end();
    };
    for (const Comparison& c : worked)
        for (const Comparison& each : {c, swapped(c)})
            if (isOther(each))
                out.otherPairs.push_back(each);
}

void addQuantity(DayAnalysis& out, const TestDay& day, DrawCache& cache) {
    std::vector<std::string> known;
    for (const QuantityKind& kind : quantitiesOf(day, out)) {
        if (!kind.isChannel)
            known.push_back(kind.id);
        if (kind.id == out.settings.quantity)
            if (auto answer = answerOn(kind, day, out, cache))
                out.quantity = std::make_shared<const QuantityAnswer>(std::move(*answer));
    }
    if (!out.quantity)
        out.whyNoQuantity = {"why.no_quantity", {out.settings.quantity, namesOf(known)}};
}

void compareAll(DayAnalysis& out, const TestDay& day, const FitPlan& plan, DrawCache& cache) {
    PairInput input{day,         out.settings,  out.pulls,
                    plan.fitted, plan.buildIds, {*out.model, {}, out.settings.drift, bandsAsked(out.settings)}};
    for (const size_t number : plan.fitted)
        input.answer.curves.push_back(out.pulls[number].curve.get());
    for (const std::string& id : plan.buildIds)
        out.builds.push_back(fittedBuild(input, id));
    const std::vector<BuildPair> family = familyInUse(out, plan.buildIds);
    const PairsToWork work = pairsToWork(plan.buildIds, family);
    const JudgedContrasts judged = judgePairs(out, input, work, cache);
    handOut(out, family, workPairs(out, input, work, judged, cache));
    out.field = fieldOf(*out.model, plan.buildIds, useOfDay(out), judged, out.settings.drift, cache);
    if (!out.settings.quantity.empty())
        addQuantity(out, day, cache);
    if (out.settings.credit)
        if (auto credit = creditOfDay(day, out, cache))
            out.credit = std::make_shared<const Credit>(std::move(*credit));
    if (plan.buildIds.size() < 2)
        out.whyNoComparison = {"why.one_build"};
}

} // namespace

std::vector<Use> bandsAsked(const AnalysisSettings& settings) {
    std::vector<Use> out;
    for (const RpmRange& band : settings.bands)
        out.push_back(settings.use && settings.use->range_rpm == band ? *settings.use : Use{band, {}});
    return out;
}

Use useOfDay(const DayAnalysis& analysis) { return analysis.settings.use.value_or(Use{analysis.common_rpm, {}}); }

void checkSettings(const TestDay& day, const AnalysisSettings& settings) {
    for (const auto& [from, to] : settings.pairs) {
        for (const std::string& id : {from, to})
            if (!findBuild(day, id))
                throw DataError(Problem::UnknownBuild, {id});
        if (from == to)
            throw DataError(Problem::BadValue, {to, Statement{"why.itself"}});
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
    out.school = schoolPhrase(settings.reduce.standard, engineForAir(day));
    out.rpm = plan.input.rpm;
    out.model = fitted.model;
    out.whyNoComparison = fitted.whyNot;
    if (!out.model) {
        addGivenPairs(out, day);
        return out;
    }
    findCommonRange(out);
    fillBandMeans(out);
    fillSpread(out);
    for (const PullFlag& flag : fitted.flags)
        out.pulls[plan.fitted[flag.pull]].flags.push_back(flag);
    compareAll(out, day, plan, cache);
    addGivenPairs(out, day);
    out.endSpeeds = endSpeedsOf(out.pulls);
    fillNotes(out, day, dayClock(day));
    return out;
}

} // namespace hillrun
