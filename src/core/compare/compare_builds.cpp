// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/compare_builds.h"

#include "core/answer/short_pull.h"
#include "core/compare/judge.h"
#include "core/compare/like_for_like.h"
#include "core/compare/settle.h"

#include <algorithm>
#include <cassert>
#include <tuple>

namespace hillrun {
namespace {

/// Where the powers of a build are given; pulls of several places make the comparison fail on its like for like.
PowerPlace placeOf(const PairInput& input, const std::string& build) {
    for (const size_t i : input.fitted)
        if (input.pulls[i].build == build)
            return input.pulls[i].curve->place;
    return {input.day.cell.measuredAt, false};
}

std::set<MeasuredAt> placesOf(const PairInput& input, const std::string& build) {
    std::set<MeasuredAt> out;
    for (const size_t i : input.fitted)
        if (input.pulls[i].build == build)
            out.insert(input.pulls[i].curve->place.at);
    return out;
}

/// Where the pulls overlap little, the model uses what all pulls of the day share; else the pair's own count.
std::optional<ShortPull> shortPullOf(const PairInput& input, const BuildPair& pair) {
    const DayModel& model = input.answer.model;
    const BuildColumn from = input.columnOf(pair.first);
    const BuildColumn to = input.columnOf(pair.second);
    std::vector<char> counts;
    for (const FitPull& pull : model.input.pulls)
        counts.push_back(model.windowShrunk || pull.build == from || pull.build == to);
    const auto out = findShortPull(model.input, counts);
    if (!out)
        return std::nullopt;
    return ShortPull{input.pulls[input.fitted[out->pull]].id, out->atTop, out->own_rpm, out->reach_rpm};
}

} // namespace

BuildColumn PairInput::columnOf(const std::string& build) const {
    const auto it = std::find(buildIds.begin(), buildIds.end(), build);
    assert(it != buildIds.end());
    return it - buildIds.begin();
}

BuildResult fittedBuild(const PairInput& input, const std::string& id) {
    BuildResult out{fittedCurve(input.answer, input.columnOf(id)), id, {}, {}};
    for (const size_t number : input.fitted)
        if (input.pulls[number].build == id)
            out.pullsUsed.push_back(input.pulls[number].id);
    return out;
}

Comparison compareBuilds(const PairInput& input, const BuildPair& pair, Effect effect) {
    Comparison c;
    static_cast<Effect&>(c) = std::move(effect);
    std::tie(c.from, c.to) = pair;
    c.place = placeOf(input, c.to);
    c.changed = changesBetween(*findBuild(input.day, c.from), *findBuild(input.day, c.to));
    const RpmRange range = c.bands.empty() ? RpmRange{c.rpm.front(), c.rpm.back()} : c.bands.front().range_rpm;
    c.likeForLike = likeForLike(input.day, input.pulls, c.from, c.to, range, c.changed);
    c.measuredAtFrom = placesOf(input, c.from);
    c.measuredAtTo = placesOf(input, c.to);
    c.shortPull = shortPullOf(input, pair);
    c.use = input.settings.use;
    c.matters_w = input.settings.matters_w;
    if (!c.matters_w && input.settings.matters_pct && !c.bands.empty())
        c.matters_w = *input.settings.matters_pct / 100.0 * c.bands.front().base_w;
    c.verdict = judge(c);
    c.toSettle = whatWouldSettle(input.day, input.pulls, input.answer.model, c);
    return c;
}

} // namespace hillrun
