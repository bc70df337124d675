// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/like_for_like.h"

#include "core/channels/channels.h"
#include "core/units/nan.h"

#include <algorithm>
#include <cmath>
#include <initializer_list>
#include <set>

namespace hillrun {
namespace {

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

using Roles = std::set<PartRole>;

Roles rolesOf(const TestDay& day, const std::vector<Change>& changed) {
    Roles out;
    for (const Change& change : changed)
        out.insert(roleOf(day, change.part));
    return out;
}

struct Explanation {
    std::string_view channel;
    std::initializer_list<PartRole> roles;
};

/// A part of such a role moves this channel itself (common practice).
bool isExplained(std::string_view channel, const Roles& roles) {
    using R = PartRole;
    static const Explanation kExplained[] = {{"lambda", {R::Fuel, R::Jets, R::Map}},
                                             {"air_fuel_ratio", {R::Fuel, R::Jets, R::Map}},
                                             {"ignition_advance", {R::Ignition, R::Map}},
                                             {"manifold_pressure", {R::Boost}},
                                             {"exhaust_back_pressure", {R::Boost, R::Exhaust}},
                                             {"airbox_pressure", {R::Intake}},
                                             {"fuel_pressure", {R::Boost, R::Fuel}},
                                             {"intake_air_temperature", {R::Boost}}};
    for (const Explanation& one : kExplained)
        if (one.channel == channel)
            return std::any_of(one.roles.begin(), one.roles.end(), [&](R role) { return roles.contains(role); });
    return false;
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

} // namespace

std::vector<LikeForLike> likeForLike(const TestDay& day, const std::vector<PullResult>& pulls, const std::string& from,
                                     const std::string& to, const RpmRange& range, const std::vector<Change>& changed) {
    std::vector<LikeForLike> out;
    const Roles roles = rolesOf(day, changed);
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
            row.verdict = isExplained(channel.name, roles) ? LikeVerdict::Explained : LikeVerdict::Differs;
        const bool mixture =
            std::string_view(channel.name) == "lambda" || std::string_view(channel.name) == "air_fuel_ratio";
        row.key = row.verdict == LikeVerdict::Differs && mixture &&
                  std::abs(row.difference) > kKeyTolerances * channel.tolerance;
        out.push_back(row);
    }
    return out;
}

} // namespace hillrun
