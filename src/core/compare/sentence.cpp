// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/sentence.h"

#include "core/channels/channels.h"
#include "core/compare/analyse.h"
#include "core/plan/named_use.h"
#include "core/statement/rounding.h"
#include "core/units/log_percent.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace hillrun {
namespace {

constexpr double kWorthSaying_rpm = 300.0; ///< a narrower stretch is no headline

/// In what the reader wants the answer.
struct Manner {
    DisplayUnits units;
    Quantity quantity = Quantity::Power;
};

Argument difference(Quantity quantity, double value, double half, bool sign) {
    if (quantity == Quantity::Power)
        return Power{value, half, sign};
    return Torque{value, half, sign};
}

Argument magnitudeOf(Quantity quantity, double value, double half) {
    return difference(quantity, std::abs(value), half, false);
}

/// "over 4 500-7 500 rpm", "below 3 800 rpm", "above 6 900 rpm" or "over the whole range".
Statement stretchPhrase(const Comparison& c, const RpmRange& range) {
    double low = range.low;
    double high = range.high;
    for (const Region& region : c.regions) {
        low = std::min(low, region.range_rpm.low);
        high = std::max(high, region.range_rpm.high);
    }
    const bool fromStart = range.low <= low;
    const bool toEnd = range.high >= high;
    if (fromStart && toEnd)
        return {"stretch.whole", {range}};
    if (fromStart)
        return {"stretch.below", {Rpm{range.high}}};
    if (toEnd)
        return {"stretch.above", {Rpm{range.low}}};
    return {"stretch.over", {range}};
}

double shown(double value, const Manner& manner) {
    return manner.quantity == Quantity::Power ? powerIn(manner.units.power, value)
                                              : torqueIn(manner.units.torque, value);
}

/// A stretch that can stand in a headline: wide enough, and more than its own uncertainty, also as it is printed.
bool worthSaying(const Region& region, const Manner& manner) {
    const RegionSize& size = region.size(manner.quantity);
    const RoundedPair printed = roundedByInterval(std::abs(shown(size.mean, manner)), shown(size.meanHalf, manner));
    return region.range_rpm.high - region.range_rpm.low >= kWorthSaying_rpm && std::abs(size.mean) > size.meanHalf &&
           printed.value != printed.half;
}

/// The proven stretches of a kind that are worth saying, the widest first.
std::vector<Region> stretchesOf(const Comparison& c, RegionKind kind, const Manner& manner) {
    std::vector<Region> out;
    std::copy_if(c.regions.begin(), c.regions.end(), std::back_inserter(out),
                 [&](const Region& r) { return r.kind == kind && worthSaying(r, manner); });
    std::stable_sort(out.begin(), out.end(), [](const Region& a, const Region& b) {
        return a.range_rpm.high - a.range_rpm.low > b.range_rpm.high - b.range_rpm.low;
    });
    return out;
}

Statement roundly(const char* id, const Region& region) {
    const double middle = 0.5 * (region.range_rpm.low + region.range_rpm.high);
    return {id, {Rpm{std::round(middle / 50.0) * 50.0}}};
}

/// A proven stretch of the other kind that is no headline is not kept quiet.
void addSmallOther(std::vector<Statement>& out, const Comparison& c, RegionKind other) {
    const auto it =
        std::find_if(c.regions.begin(), c.regions.end(), [&](const Region& region) { return region.kind == other; });
    if (it != c.regions.end())
        out.push_back(roundly(other == RegionKind::Gain ? "answer.small_gain" : "answer.small_loss", *it));
}

void addMorePlaces(std::vector<Statement>& out, size_t others) {
    if (others > 0)
        out.push_back({"answer.more_places", {Count{static_cast<long>(others)}}});
}

/// What is proven along the curve; nothing when no stretch is worth saying.
std::vector<Statement> provenStatements(const Comparison& c, const Manner& manner) {
    const auto gains = stretchesOf(c, RegionKind::Gain, manner);
    const auto losses = stretchesOf(c, RegionKind::Loss, manner);
    if (gains.empty() && losses.empty())
        return {};
    const Region& first = gains.empty() ? losses.front() : gains.front();
    const RegionSize& size = first.size(manner.quantity);
    std::vector<Argument> holes{c.to, magnitudeOf(manner.quantity, size.mean, size.meanHalf), placePhrase(c.place),
                                stretchPhrase(c, first.range_rpm)};
    std::vector<Statement> out;
    if (!gains.empty() && !losses.empty()) {
        const RegionSize& worst = losses.front().size(manner.quantity);
        holes.insert(holes.end(), {magnitudeOf(manner.quantity, worst.extreme, worst.extremeHalf),
                                   stretchPhrase(c, losses.front().range_rpm)});
        out.push_back({"answer.gives_and_costs", holes});
        addMorePlaces(out, gains.size() + losses.size() - 2);
    } else {
        out.push_back({gains.empty() ? "answer.costs" : "answer.gives", holes});
        addMorePlaces(out, gains.size() + losses.size() - 1);
        addSmallOther(out, c, gains.empty() ? RegionKind::Gain : RegionKind::Loss);
    }
    return out;
}

/// The mean that speaks when no stretch does: over the use, when the day names one, else over the whole range.
const BandResult& speakingBand(const Comparison& c) {
    if (c.use)
        for (const BandResult& band : c.bands)
            if (band.asked >= 0 && band.range_rpm.low >= c.use->range_rpm.low &&
                band.range_rpm.high <= c.use->range_rpm.high)
                return band;
    return c.bands.front();
}

/// A mean difference and its interval, W or N.m.
struct MeanDifference {
    double value = 0.0;
    double low = 0.0;
    double high = 0.0;
};

MeanDifference meanOf(const BandResult& band, Quantity quantity) {
    if (quantity == Quantity::Power)
        return {band.delta_w, band.low_w, band.high_w};
    return {band.deltaTorque_nm, band.lowTorque_nm, band.highTorque_nm};
}

double halfOf(const Comparison& c, const MeanDifference& mean) {
    return c.hasInterval ? 0.5 * (mean.high - mean.low) : std::nan("");
}

Argument averageOf(const Comparison& c, const BandResult& band, Quantity quantity, bool sign) {
    const MeanDifference mean = meanOf(band, quantity);
    return difference(quantity, sign ? mean.value : std::abs(mean.value), halfOf(c, mean), sign);
}

/// "B against A is +1.6 ± 0.5 kW at the crank on average over 4 500-7 500 rpm", under an id that says more.
Statement onAverage(const char* id, const Comparison& c, Quantity quantity) {
    const BandResult& band = speakingBand(c);
    return {id,
            {c.to, c.from, averageOf(c, band, quantity, true), placePhrase(c.place),
             countedSpeeds(band.range_rpm, band.weighted)}};
}

/// The proven stretches that are too narrow or too uncertain for a headline.
Several lesserPlaces(const Comparison& c) {
    Several out;
    for (const Region& region : c.regions)
        if (region.kind != RegionKind::Unresolved)
            out.items.push_back(
                roundly(region.kind == RegionKind::Gain ? "answer.gain_around" : "answer.loss_around", region));
    if (out.items.size() > 2) {
        const Count others{static_cast<long>(out.items.size()) - 2};
        out.items.resize(2);
        out.items.push_back({"answer.others", {others}});
    }
    return out;
}

/// When something is proven, but no stretch is worth a headline: the mean speaks.
Statement averageStatement(const Comparison& c, Quantity quantity) {
    const BandResult& band = speakingBand(c);
    const MeanDifference mean = meanOf(band, quantity);
    const Claim claim = claimOf(c, mean.low, mean.high);
    const bool stretches = std::any_of(c.regions.begin(), c.regions.end(),
                                       [](const Region& r) { return r.kind != RegionKind::Unresolved; });
    if (!stretches) { // a pair that stands on its mean power alone; the mean torque need not show it
        const BandResult& whole = c.bands.front();
        return {c.verdict == VerdictKind::Gain ? "answer.gives_on_average" : "answer.costs_on_average",
                {c.to, averageOf(c, whole, Quantity::Power, false), placePhrase(c.place), whole.range_rpm}};
    }
    if (claim == Claim::Unresolved) {
        Statement out = onAverage("answer.mean_unresolved", c, quantity);
        out.args.emplace_back(lesserPlaces(c));
        return out;
    }
    return {claim == Claim::Gain ? "answer.gives_in_short_places" : "answer.costs_in_short_places",
            {c.to, averageOf(c, band, quantity, false), placePhrase(c.place),
             countedSpeeds(band.range_rpm, band.weighted), lesserPlaces(c)}};
}

/// How a reader says that a channel lay elsewhere: "leaner by 0.06", "with 3 deg more timing".
Statement otherwisePhrase(const LikeForLike& row) {
    const double size = std::abs(row.difference);
    const bool up = row.difference > 0.0;
    if (row.channel == "lambda" || row.channel == "air_fuel_ratio")
        return {up ? "otherwise.leaner" : "otherwise.richer", {significant(size, 2)}};
    if (row.channel == "ignition_advance")
        return {up ? "otherwise.more_timing" : "otherwise.less_timing", {significant(size, 2, "deg")}};
    return {up ? "otherwise.higher" : "otherwise.lower",
            {ChannelName{row.channel, true}, significant(size, 2, row.unit)}};
}

/// "The gain belongs to both together."
Statement belongsTogether(const Comparison& c, size_t count) {
    const char* what =
        c.verdict == VerdictKind::Mixed ? "difference" : (c.verdict == VerdictKind::Gain ? "gain" : "loss");
    if (count == 2)
        return {std::string("together.both.") + what};
    constexpr std::array names{"three", "four", "five", "six", "seven", "eight", "nine"};
    if (count - 3 < names.size())
        return {std::string("together.all.") + what, {Statement{std::string("number.") + names.at(count - 3)}}};
    return {std::string("together.all.") + what, {std::to_string(count)}};
}

/// What else differed, so that the part alone did not earn it. Nothing when one thing changed and all else matched.
void addJoint(std::vector<Statement>& out, const Comparison& c) {
    Several otherwise;
    for (const LikeForLike& row : c.likeForLike)
        if (row.verdict == LikeVerdict::Differs && row.channel != "gear")
            otherwise.items.push_back(otherwisePhrase(row));
    const size_t parts = std::max<size_t>(1, c.changed.size());
    const size_t count = parts + otherwise.items.size();
    if (count < 2)
        return;
    if (parts > 3)
        out.push_back({"joint.many_changed", {Count{static_cast<long>(parts)}}});
    else if (parts > 1) {
        std::vector<std::string> names;
        for (const Change& change : c.changed) {
            names.push_back(change.part);
            std::replace(names.back().begin(), names.back().end(), '_', ' ');
        }
        out.push_back({"joint.changed", {namesOf(names)}});
    }
    if (!otherwise.items.empty())
        out.push_back({"joint.ran", {c.to, otherwise}});
    out.push_back(belongsTogether(c, count));
}

Statement cannotTell(const Comparison& c, Quantity quantity) {
    if (c.bands.empty())
        return {"cannot.no_range"};
    if (!c.given.empty()) {
        Statement out = onAverage("cannot.given", c, quantity);
        Several given;
        for (const GivenBuild& one : c.given)
            given.items.push_back({"given.build", {one.build, one.text}});
        out.args.emplace_back(given);
        return out;
    }
    if (!c.hasInterval)
        return onAverage("cannot.no_repeatability", c, quantity);
    if (!c.protectedFromDrift && !c.boundDeclared) {
        if (!c.driftThatWouldExplain_pct)
            return onAverage("cannot.no_return", c, quantity);
        Statement out = onAverage("cannot.no_return_but_drift", c, quantity);
        out.args.emplace_back(decimals(*c.driftThatWouldExplain_pct, 1, "%"));
        return out;
    }
    return onAverage("cannot.yet", c, quantity);
}

Several placesPhrase(const std::set<MeasuredAt>& places) {
    Several out;
    for (const MeasuredAt place : places)
        out.items.push_back(placePhrase({place}));
    return out;
}

Statement notComparable(const Comparison& c) {
    if (!c.samePlace())
        return {"not_comparable.places", {c.from, c.to, placesPhrase(c.measuredAtFrom), placesPhrase(c.measuredAtTo)}};
    for (const LikeForLike& row : c.likeForLike)
        if (row.key)
            return {"not_comparable.channel",
                    {c.from, c.to, ChannelName{row.channel, true}, significant(row.to, 4, row.unit),
                     significant(row.from, 4, row.unit)}};
    return {"not_comparable.other", {c.from, c.to}};
}

std::vector<Statement> answerStatements(const Comparison& c, const Manner& manner) {
    if (c.verdict == VerdictKind::NotComparable)
        return {notComparable(c)};
    if (c.verdict == VerdictKind::CannotTell)
        return {cannotTell(c, manner.quantity)};
    if (c.verdict == VerdictKind::NoDifference) {
        Statement out = onAverage("answer.no_difference", c, Quantity::Power);
        out.args.emplace_back(Power{*c.matters_w});
        return {out};
    }
    std::vector<Statement> out = provenStatements(c, manner);
    if (out.empty())
        out.push_back(averageStatement(c, manner.quantity));
    addJoint(out, c);
    if (!c.protectedFromDrift && c.boundDeclared)
        out.push_back({"answer.only_within_bound"});
    return out;
}

Statement pullsPhrase(const PullsToSettle& one) {
    const Power wanted{.value_w = one.difference_w, .digits = 2};
    if (!one.pullsPerSet)
        return {"settle.too_many", {wanted}};
    return {one.returnAdded ? "settle.pulls_and_return" : "settle.pulls",
            {Count{*one.pullsPerSet}, decimals(std::ceil(one.minutes / 5.0) * 5.0, 0, "min"), wanted}};
}

} // namespace

std::optional<double> refitThatUndoes_pct(const Comparison& c) {
    if (c.bands.empty() || !c.mayClaim() || c.verdict == VerdictKind::NotComparable)
        return std::nullopt;
    return speakingBand(c).refitUndoes_pct;
}

Statement refitStatement(const Comparison& c, const DayAnalysis& analysis) {
    if (analysis.model && analysis.model->input.refit.known() && c.hasInterval) {
        const RefitSpread& refit = analysis.model->input.refit;
        return {refit.freedom > 0.0 ? "refit.learned" : "refit.entered",
                {significant(percentOfLog(std::sqrt(refit.meanSquare())), 2, "%")}};
    }
    constexpr double kLittle_pct = 0.3; // refitting moves an engine by as much without anybody's fault: an assumption
    const auto undoes_pct = refitThatUndoes_pct(c);
    if (!undoes_pct)
        return {};
    return {*undoes_pct < kLittle_pct ? "refit.little" : "refit.undoes", {significant(*undoes_pct, 2, "%")}};
}

std::vector<Statement> widthStatements(const DayAnalysis& analysis) {
    std::vector<Statement> out;
    if (!analysis.model)
        return out;
    const DayModel& model = *analysis.model;
    const Number earlier = significant(percentOfLog(std::sqrt(model.input.history.levelVariance)), 2, "%");
    if (model.unlikeHistory)
        out.push_back({"note.unlike_earlier", {earlier}});
    if (model.historyFreedom > 0)
        out.push_back({"note.repeats_as_earlier", {earlier, decimals(model.historyFreedom, 0)}});
    if (!model.noise.unequal)
        return out;
    for (size_t b = 0; b < analysis.builds.size(); ++b) {
        const BuildNoise& noise = model.noise.builds[b];
        if (noise.p < kUnequalBelow)
            out.push_back({noise.ratio > 1.0 ? "note.repeats_worse" : "note.repeats_better",
                           {analysis.builds[b].id, decimals(std::sqrt(noise.ratio), 1)}});
    }
    return out;
}

Statement settleStatement(const Comparison& c) {
    if (!c.toSettle || (!c.toSettle->matters && !c.toSettle->seen))
        return {};
    if (!c.toSettle->seen)
        return {"settle.matters", {pullsPhrase(*c.toSettle->matters)}};
    if (!c.toSettle->matters)
        return {"settle.seen", {pullsPhrase(*c.toSettle->seen)}};
    return {"settle.both", {pullsPhrase(*c.toSettle->matters), pullsPhrase(*c.toSettle->seen)}};
}

Statement shortPullStatement(const Comparison& c) {
    if (!c.shortPull)
        return {};
    const ShortPull& one = *c.shortPull;
    return {one.atTop ? "short.ends" : "short.begins", {one.pull, Rpm{one.own_rpm}, Rpm{one.reach_rpm}}};
}

std::vector<Statement> summary(const Comparison& c, const DisplayUnits& units, Quantity quantity) {
    std::vector<Statement> out = answerStatements(c, {units, quantity});
    if (Statement more = shortPullStatement(c); !more.empty())
        out.push_back(std::move(more));
    return out;
}

} // namespace hillrun
