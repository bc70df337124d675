// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/like_for_like.h"

#include "core/pull/channels.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <set>

namespace hillrun {
namespace {

constexpr double kNaN = std::numeric_limits<double>::quiet_NaN();
constexpr double kKeyTolerances = 4.0;

/// Mean of a channel over the range, over all used pulls of a build; NaN when no pull has it.
double buildMean(const std::vector<PullResult>& pulls, const std::string& build, const char* channel,
                 const RpmRange& range) {
    double sum = 0.0;
    double count = 0.0;
    for (const PullResult& pull : pulls) {
        if (!pull.used || pull.build != build)
            continue;
        const auto it = pull.curve->channels().find(channel);
        if (it == pull.curve->channels().end())
            continue;
        for (size_t p = 0; p < pull.curve->rpm.size(); ++p) {
            if (!range.holds(pull.curve->rpm[p]) || !std::isfinite(it->second[p]))
                continue;
            sum += it->second[p];
            count += 1.0;
        }
    }
    return count > 0.0 ? sum / count : kNaN;
}

bool changeTouchesMixture(const std::vector<Change>& changed) {
    constexpr const char* words[] = {"fuel", "jet", "mixture", "lambda", "map", "carburet", "injector", "needle"};
    return std::any_of(changed.begin(), changed.end(), [&](const Change& change) {
        return std::any_of(std::begin(words), std::end(words),
                           [&](const char* word) { return change.part.find(word) != std::string::npos; });
    });
}

/// Pressures and charge temperature follow a change of boost.
bool followsBoost(std::string_view channel, const std::vector<Change>& changed) {
    constexpr std::string_view followers[] = {"manifold_pressure", "exhaust_back_pressure", "fuel_pressure",
                                              "intake_air_temperature"};
    if (std::find(std::begin(followers), std::end(followers), channel) == std::end(followers))
        return false;
    return std::any_of(changed.begin(), changed.end(), [](const Change& change) {
        return change.part.find("boost") != std::string::npos || change.part.find("turbo") != std::string::npos ||
               change.part.find("wastegate") != std::string::npos;
    });
}

std::set<int> gearsOf(const TestDay& day, const std::vector<PullResult>& pulls, const std::string& build) {
    std::set<int> out;
    for (const PullResult& result : pulls) {
        if (!result.used || result.build != build)
            continue;
        const Pull* pull = findPull(day, result.id);
        if (pull && pull->gear)
            out.insert(*pull->gear);
    }
    return out;
}

void addGear(std::vector<LikeForLike>& out, const TestDay& day, const std::vector<PullResult>& pulls,
             const std::string& from, const std::string& to) {
    const auto a = gearsOf(day, pulls, from);
    const auto b = gearsOf(day, pulls, to);
    if (a.empty() || b.empty())
        return;
    LikeForLike row{
        "gear", "", static_cast<double>(*a.begin()), static_cast<double>(*b.rbegin()), 0.0, 0.0, LikeVerdict::Matched,
        false};
    row.difference = row.to - row.from;
    if (a != b || a.size() > 1) {
        row.verdict = LikeVerdict::Differs;
        row.key = a != b;
    }
    out.push_back(row);
}

std::set<MeasuredAt> placesOf(const std::vector<PullResult>& pulls, const std::string& build) {
    std::set<MeasuredAt> out;
    for (const PullResult& result : pulls)
        if (result.used && result.build == build && result.curve)
            out.insert(result.curve->place.at);
    return out;
}

/// Figures from different places hold the losses between them: no comparison of parts. Said only when they differ.
void addPlace(std::vector<LikeForLike>& out, const std::vector<PullResult>& pulls, const std::string& from,
              const std::string& to) {
    const auto a = placesOf(pulls, from);
    const auto b = placesOf(pulls, to);
    if (a.empty() || b.empty() || (a == b && a.size() == 1))
        return;
    out.push_back({"measured_at", "", static_cast<double>(*a.begin()), static_cast<double>(*b.rbegin()),
                   static_cast<double>(*b.rbegin()) - static_cast<double>(*a.begin()), 0.0, LikeVerdict::Differs,
                   true});
}

} // namespace

std::vector<LikeForLike> likeForLike(const TestDay& day, const std::vector<PullResult>& pulls, const std::string& from,
                                     const std::string& to, const RpmRange& range, const std::vector<Change>& changed) {
    std::vector<LikeForLike> out;
    addPlace(out, pulls, from, to);
    addGear(out, day, pulls, from, to);
    for (const ChannelInfo& channel : standardChannels()) {
        if (channel.tolerance <= 0.0)
            continue;
        const double a = buildMean(pulls, from, channel.name, range);
        const double b = buildMean(pulls, to, channel.name, range);
        const bool haveA = std::isfinite(a);
        const bool haveB = std::isfinite(b);
        if (!haveA && !haveB)
            continue;
        LikeForLike row{
            channel.name, canonicalUnitText(channel.dimension), a, b, b - a, channel.tolerance, LikeVerdict::Matched,
            false};
        if (!haveA || !haveB)
            row.verdict = LikeVerdict::NotRecorded;
        else if (std::abs(row.difference) > channel.tolerance)
            row.verdict = followsBoost(channel.name, changed) ? LikeVerdict::Explained : LikeVerdict::Differs;
        const bool mixture =
            std::string_view(channel.name) == "lambda" || std::string_view(channel.name) == "air_fuel_ratio";
        row.key = row.verdict == LikeVerdict::Differs && mixture && !changeTouchesMixture(changed) &&
                  std::abs(row.difference) > kKeyTolerances * channel.tolerance;
        out.push_back(row);
    }
    return out;
}

} // namespace hillrun
