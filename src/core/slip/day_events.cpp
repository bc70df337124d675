// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/slip/day_events.h"

#include "core/plan/usual_limits.h"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <map>

namespace hillrun {
namespace {

/// More do not make a median better, and the work stays in proportion to the pulls.
constexpr size_t kMostCompanions = 12;

/// The used pulls of one set or build, in time order.
using Group = std::vector<size_t>;

/// Those of the group that lie nearest in time, without the pull itself, in the day's order.
std::vector<size_t> nearestOf(const Group& group, const std::vector<PullResult>& pulls, size_t pull) {
    const auto earlier = [&](size_t one, size_t other) { return pulls[one].time_h < pulls[other].time_h; };
    auto from = std::lower_bound(group.begin(), group.end(), pull, earlier);
    auto to = from;
    std::vector<size_t> out;
    while (out.size() < kMostCompanions && (from != group.begin() || to != group.end())) {
        const bool back = to == group.end() ||
                          (from != group.begin() &&
                           pulls[pull].time_h - pulls[*(from - 1)].time_h < pulls[*to].time_h - pulls[pull].time_h);
        const size_t next = back ? *--from : *to++;
        if (next != pull)
            out.push_back(next);
    }
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace

std::vector<Companions> companionsOfAll(const std::vector<PullResult>& pulls) {
    std::vector<size_t> inTime;
    for (size_t i = 0; i < pulls.size(); ++i)
        if (pulls[i].curve && pulls[i].used)
            inTime.push_back(i);
    std::stable_sort(inTime.begin(), inTime.end(),
                     [&](size_t one, size_t other) { return pulls[one].time_h < pulls[other].time_h; });
    std::map<std::string, Group> builds;
    std::map<std::pair<std::string, int>, Group> sets;
    for (const size_t i : inTime) {
        builds[pulls[i].build].push_back(i);
        sets[{pulls[i].build, pulls[i].set}].push_back(i);
    }
    std::vector<Companions> out;
    for (size_t i = 0; i < pulls.size(); ++i) {
        out.push_back({nearestOf(sets[{pulls[i].build, pulls[i].set}], pulls, i), true});
        if (out.back().pulls.empty())
            out.back() = {nearestOf(builds[pulls[i].build], pulls, i), false};
    }
    return out;
}

std::vector<const PullResult*> companionsOf(const std::vector<PullResult>& pulls, const PullResult& pull, bool* ofSet) {
    std::vector<const PullResult*> out;
    const auto number = static_cast<size_t>(&pull - pulls.data());
    assert(number < pulls.size());
    const Companions companions = companionsOfAll(pulls)[number];
    for (const size_t i : companions.pulls)
        out.push_back(&pulls[i]);
    if (ofSet)
        *ofSet = companions.ofSet;
    return out;
}

EventContext eventContext(const TestDay& day, const std::vector<PullResult>& pulls, size_t pull,
                          const Companions& companions) {
    assert(day.pulls.size() == pulls.size() && pulls[pull].curve);
    const Dyno dyno = dynoOf(day);
    EventContext out;
    out.ambient_kpa = stationPressure_kpa(day.pulls[pull]).value_or(0.0);
    out.boosted = day.article.engine.aspiration != Aspiration::Natural;
    out.steps = day.cell.sweep == SweepDirection::Steps;
    out.plannedEnd_rpm = day.plan.protocol.end_rpm;
    out.fuel = day.article.fuel.kind;
    out.ignition = day.article.engine.ignition;
    out.gear = day.pulls[pull].gear;
    out.limits = limitsOf(day.article);
    for (int gear = 1; gear <= static_cast<int>(dyno.vehicle.gears.size()); ++gear)
        out.gearRatios.push_back(gearRatio(dyno, gear, pulls[pull].curve->source().drivenIsRoller));
    for (const size_t other : companions.pulls)
        out.references.push_back({pulls[other].curve.get(), stationPressure_kpa(day.pulls[other]).value_or(0.0)});
    return out;
}

void addEvents(const TestDay& day, std::vector<PullResult>& pulls) {
    const std::vector<Companions> companions = companionsOfAll(pulls);
    for (size_t i = 0; i < pulls.size(); ++i) {
        pulls[i].events.clear();
        if (pulls[i].curve && day.pulls[i].grade == PullGrade::Recorded)
            pulls[i].events =
                findEvents(*day.pulls[i].raw, *pulls[i].curve, eventContext(day, pulls, i, companions[i]));
    }
}

} // namespace hillrun
