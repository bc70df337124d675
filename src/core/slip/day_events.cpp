// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/slip/day_events.h"

#include <algorithm>

namespace hillrun {
namespace {

double ambientOf(const Pull& pull) { return pull.weather ? pull.weather->pressure_pa / 1000.0 : 0.0; }

/// Finds events pull by pull and keeps what it measured of each.
class DayEventFinder {
public:
    DayEventFinder(const TestDay& day, const std::vector<PullResult>& pulls)
        : m_day(day), m_pulls(pulls), m_dyno(dynoOf(day)) {}

    std::vector<Event> eventsOf(const PullResult& result) {
        const Pull* pull = findPull(m_day, result.id);
        if (!result.curve || !pull || !pull->raw)
            return {};
        EventContext context;
        context.own = traitsOf(*pull, *result.curve);
        context.ambient_kpa = ambientOf(*pull);
        context.boosted = m_day.article.engine.aspiration != Aspiration::Natural;
        context.steps = m_day.cell.sweep == SweepDirection::Steps;
        context.plannedEnd_rpm = m_day.plan.protocol.end_rpm;
        context.fuel = m_day.article.fuel.kind;
        context.ignition = m_day.article.engine.ignition;
        context.gear = pull->gear;
        for (int gear = 1; gear <= static_cast<int>(m_dyno.vehicle.gears.size()); ++gear)
            context.gearRatios.push_back(gearRatio(m_dyno, gear, result.curve->source->drivenIsRoller));
        for (const PullResult* other : companionsOf(m_pulls, result))
            if (const Pull* raw = findPull(m_day, other->id); raw && raw->raw)
                context.references.push_back({&*other->curve, traitsOf(*raw, *other->curve), ambientOf(*raw)});
        return findEvents(*pull->raw, *result.curve, context);
    }

private:
    const ChannelTraits* traitsOf(const Pull& pull, const Curve& curve) {
        auto it = m_traits.find(pull.id);
        if (it == m_traits.end())
            it = m_traits.emplace(pull.id, channelTraits(*pull.raw, curve)).first;
        return &it->second;
    }

    const TestDay& m_day;
    const std::vector<PullResult>& m_pulls;
    Dyno m_dyno;
    std::map<std::string, ChannelTraits> m_traits;
};

} // namespace

std::vector<const PullResult*> companionsOf(const std::vector<PullResult>& pulls, const PullResult& pull, bool* ofSet) {
    std::vector<const PullResult*> build;
    std::vector<const PullResult*> set;
    for (const PullResult& other : pulls) {
        if (&other == &pull || other.id == pull.id || other.build != pull.build || !other.curve || !other.used)
            continue;
        build.push_back(&other);
        if (other.set == pull.set)
            set.push_back(&other);
    }
    if (ofSet)
        *ofSet = !set.empty();
    return set.empty() ? build : set;
}

std::vector<Event> eventsOf(const TestDay& day, const std::vector<PullResult>& pulls, const std::string& id) {
    DayEventFinder finder(day, pulls);
    for (const PullResult& result : pulls)
        if (result.id == id)
            return finder.eventsOf(result);
    return {};
}

void addEvents(const TestDay& day, std::vector<PullResult>& pulls) {
    DayEventFinder finder(day, pulls);
    for (PullResult& result : pulls)
        if (result.curve)
            result.curve->events = finder.eventsOf(result);
}

} // namespace hillrun
