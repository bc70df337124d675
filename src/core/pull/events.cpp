// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/events.h"

#include "core/pull/event_list.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace hillrun {

void EventSheet::add(EventKind kind, size_t from, size_t to, double size, Statement why) {
    events.push_back({kind, between(from, to), s.time_s[from], s.time_s[to], size, std::move(why)});
}

void EventSheet::addRange(EventKind kind, const RpmRange& range, double size, Statement why) {
    const double a = timeAt(range.low);
    const double b = timeAt(range.high);
    events.push_back({kind, range, std::min(a, b), std::max(a, b), size, std::move(why)});
}

RpmRange EventSheet::between(size_t from, size_t to) const {
    return {std::min(s.speed_rpm[from], s.speed_rpm[to]), std::max(s.speed_rpm[from], s.speed_rpm[to])};
}

double EventSheet::timeAt(double rpm) const {
    size_t nearest = 0;
    for (size_t i = 0; i < s.rows(); ++i)
        if (std::abs(s.speed_rpm[i] - rpm) < std::abs(s.speed_rpm[nearest] - rpm))
            nearest = i;
    return s.time_s[nearest];
}

const std::vector<double>* EventSheet::channel(const std::string& name) const {
    const auto it = curve.channels().find(name);
    return it == curve.channels().end() ? nullptr : &it->second;
}

std::vector<double> EventSheet::usual(const std::string& name, bool overAmbient) const {
    struct Other {
        std::span<const double> values;
        long long offset; ///< of this curve's first speed on the other's grid
        double ambient_kpa;
    };
    std::vector<double> out(curve.rpm.size(), std::numeric_limits<double>::quiet_NaN());
    std::vector<Other> others;
    for (const EventReference& other : context.references) {
        const auto it = other.curve->channels().find(name);
        if (it == other.curve->channels().end() || other.curve->rpm.empty() || curve.rpm.size() < 2 ||
            (overAmbient && !(other.ambient_kpa > 0.0)))
            continue;
        const double step = curve.rpm[1] - curve.rpm[0];
        others.push_back({it->second, std::llround((curve.rpm.front() - other.curve->rpm.front()) / step),
                          overAmbient ? other.ambient_kpa : 0.0});
    }
    std::vector<double> values;
    for (size_t i = 0; i < out.size(); ++i) {
        values.clear();
        for (const Other& other : others) {
            const long long at = other.offset + static_cast<long long>(i);
            if (at < 0 || at >= std::ssize(other.values))
                continue;
            const double value = other.values[static_cast<size_t>(at)] - other.ambient_kpa;
            if (std::isfinite(value))
                values.push_back(value);
        }
        if (!values.empty())
            out[i] = quantileInPlace(values, 0.5);
    }
    return out;
}

std::vector<RpmRange> stretches(const std::vector<double>& rpm, double atLeast_rpm,
                                const std::function<bool(size_t)>& holds) {
    std::vector<RpmRange> out;
    for (size_t i = 0; i < rpm.size(); ++i) {
        if (!holds(i))
            continue;
        const size_t first = i;
        while (i + 1 < rpm.size() && holds(i + 1))
            ++i;
        if (rpm[i] - rpm[first] >= atLeast_rpm)
            out.push_back({rpm[first], rpm[i]});
    }
    return out;
}

/// Rollers that measure by their own speeding up lose torque where something slips: the slip says it all.
static void leaveToSlip(std::vector<Event>& events) {
    const auto slip = std::find_if(events.begin(), events.end(), [](const Event& event) { return isSlip(event.kind); });
    if (slip == events.end())
        return;
    const double from_s = slip->from_s - 1.5; // it is named once it is 3 % deep
    std::erase_if(events, [from_s](const Event& event) {
        return event.to_s >= from_s && (event.kind == EventKind::WrongUnit || event.kind == EventKind::Collapse ||
                                        event.kind == EventKind::Spike || event.kind == EventKind::Breakup ||
                                        event.kind == EventKind::Dip || event.kind == EventKind::Hump);
    });
}

std::vector<Event> findEvents(const ChannelTable& raw, const Curve& curve, const EventContext& context) {
    EventSheet sheet{raw, curve, context, sweepOf(curve)};
    findSweepEvents(sheet);
    findWiringEvents(sheet);
    findControlEvents(sheet);
    findDrivelineEvents(sheet);
    findShapeEvents(sheet);
    if (sheet.curve.source().torqueFromRollers)
        leaveToSlip(sheet.events);
    std::stable_sort(sheet.events.begin(), sheet.events.end(),
                     [](const Event& a, const Event& b) { return a.from_s < b.from_s; });
    return std::move(sheet.events);
}

bool isRemark(const Event& event) { return eventKindInfo(event.kind).scope == EventScope::Remark; }

EventRemedy remedyFor(const Event& event, const Curve& curve) {
    EventRemedy out;
    const EventKindInfo& info = eventKindInfo(event.kind);
    if (info.scope != EventScope::Stretch && info.scope != EventScope::WholePull)
        return out;
    out.setAside = true;
    out.reason = info.name;
    if (event.kind == EventKind::WrongUnit)
        out.units = unitAnswers(event.size);
    if (info.scope != EventScope::Stretch)
        return out;
    // The larger part that is left, when it is half of the sweep at least.
    constexpr double margin_rpm = 50.0;
    const RpmRange& window = curve.sweep().window_rpm;
    const RpmRange below{window.low, event.range_rpm.low - margin_rpm};
    const RpmRange above{event.range_rpm.high + margin_rpm, window.high};
    const RpmRange& larger = below.high - below.low >= above.high - above.low ? below : above;
    if (larger.high - larger.low >= 0.5 * (window.high - window.low))
        out.trimTo = RpmRange{std::round(larger.low / 10.0) * 10.0, std::round(larger.high / 10.0) * 10.0};
    return out;
}

} // namespace hillrun
