// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/events.h"

#include "core/pull/event_list.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace hillrun {

void EventSheet::add(const char* kind, size_t from, size_t to, double size, std::string why) {
    const double a = s.speed_rpm[from];
    const double b = s.speed_rpm[to];
    events.push_back({kind, {std::min(a, b), std::max(a, b)}, s.time_s[from], s.time_s[to], size, std::move(why)});
}

void EventSheet::addRange(const char* kind, const RpmRange& range, double size, std::string why) {
    const double a = timeAt(range.low);
    const double b = timeAt(range.high);
    events.push_back({kind, range, std::min(a, b), std::max(a, b), size, std::move(why)});
}

double EventSheet::timeAt(double rpm) const {
    size_t nearest = 0;
    for (size_t i = 0; i < s.rows(); ++i)
        if (std::abs(s.speed_rpm[i] - rpm) < std::abs(s.speed_rpm[nearest] - rpm))
            nearest = i;
    return s.time_s[nearest];
}

const std::vector<double>* EventSheet::channel(const std::string& name) const {
    const auto it = curve.channels.find(name);
    return it == curve.channels.end() ? nullptr : &it->second;
}

std::vector<double> EventSheet::usual(const std::string& name, bool overAmbient) const {
    std::vector<double> out(curve.rpm.size(), std::numeric_limits<double>::quiet_NaN());
    std::vector<std::vector<double>> values(curve.rpm.size());
    for (const EventReference& other : context.references) {
        const auto it = other.curve->channels.find(name);
        if (it == other.curve->channels.end() || other.curve->rpm.empty() || curve.rpm.size() < 2 ||
            (overAmbient && !(other.ambient_kpa > 0.0)))
            continue;
        const double step = curve.rpm[1] - curve.rpm[0];
        for (size_t i = 0; i < curve.rpm.size(); ++i) {
            const auto at = std::llround((curve.rpm[i] - other.curve->rpm.front()) / step);
            if (at < 0 || at >= static_cast<long long>(it->second.size()))
                continue;
            const double value = it->second[static_cast<size_t>(at)] - (overAmbient ? other.ambient_kpa : 0.0);
            if (std::isfinite(value))
                values[i].push_back(value);
        }
    }
    for (size_t i = 0; i < out.size(); ++i)
        if (!values[i].empty())
            out[i] = median(std::move(values[i]));
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

std::string rpmWords(double from, double to) { return fmt::format("{:.0f} to {:.0f} rpm", from, to); }

/// Rollers that measure by their own speeding up lose torque where something slips: the slip says it all.
static void leaveToSlip(std::vector<Event>& events) {
    const auto slip = std::find_if(events.begin(), events.end(), [](const Event& event) {
        return event.kind == "slip" || event.kind.ends_with("_slip");
    });
    if (slip == events.end())
        return;
    const double from_s = slip->from_s - 1.5; // it is named once it is 3 % deep
    std::erase_if(events, [from_s](const Event& event) {
        return event.to_s >= from_s &&
               (event.kind == "wrong_unit" || event.kind == "collapse" || event.kind == "spike" ||
                event.kind == "breakup" || event.kind == "dip" || event.kind == "hump");
    });
}

std::vector<Event> findEvents(const ChannelTable& raw, const Curve& curve, const EventContext& context) {
    EventSheet sheet{raw, curve, context, sweepOf(curve)};
    findSweepEvents(sheet);
    findWiringEvents(sheet);
    findControlEvents(sheet);
    findDrivelineEvents(sheet);
    findShapeEvents(sheet);
    if (sheet.curve.source->torqueFromRollers)
        leaveToSlip(sheet.events);
    std::stable_sort(sheet.events.begin(), sheet.events.end(),
                     [](const Event& a, const Event& b) { return a.from_s < b.from_s; });
    return std::move(sheet.events);
}

std::string eventTitle(const std::string& kind) {
    std::string out = kind == "boost_low" ? "boost low" : (kind == "mixture" ? "mixture off" : kind);
    std::replace(out.begin(), out.end(), '_', ' ');
    return out;
}

bool isRemark(const Event& event) { return event.kind == "dip" || event.kind == "hump"; }

EventRemedy remedyFor(const Event& event, const Curve& curve) {
    static const std::map<std::string, const char*> reasons{{"breakup", "breakup"},
                                                            {"collapse", "power collapsed"},
                                                            {"lift", "throttle lifted"},
                                                            {"cut_off", "recording stopped"},
                                                            {"throttle_short", "throttle not fully open"},
                                                            {"slip", "slip"},
                                                            {"tyre_slip", "tyre slip"},
                                                            {"clutch_slip", "clutch slip"},
                                                            {"converter_slip", "converter slip"},
                                                            {"wrong_gear", "wrong gear"},
                                                            {"wrong_unit", "wrong unit"},
                                                            {"mixture", "mixture off target"},
                                                            {"knock", "knock retard"},
                                                            {"timing_pulled", "timing pulled"},
                                                            {"bypass_open", "bypass open"},
                                                            {"boost_dip", "boost dip"},
                                                            {"boost_low", "boost low"},
                                                            {"absorber_full", "absorber full"},
                                                            {"spike", "torque spike"},
                                                            {"gap", "rows missing"},
                                                            {"dropout", "signal lost"},
                                                            {"noise", "wiring noise"},
                                                            {"frozen", "frozen channel"}};
    EventRemedy out;
    const auto it = reasons.find(event.kind);
    if (it == reasons.end())
        return out;
    out.setAside = true;
    out.reason = it->second;
    if (event.kind == "wrong_unit")
        out.units = unitAnswers(event.size);
    static const std::vector<std::string> local{
        "breakup",   "collapse",  "absorber_full", "mixture",     "knock",          "timing_pulled", "bypass_open",
        "boost_dip", "tyre_slip", "slip",          "clutch_slip", "converter_slip", "spike",         "boost_low"};
    if (std::find(local.begin(), local.end(), event.kind) == local.end())
        return out;
    // The larger part that is left, when it is half of the sweep at least.
    constexpr double margin_rpm = 50.0;
    const RpmRange& window = curve.sweep.window_rpm;
    const RpmRange below{window.low, event.range_rpm.low - margin_rpm};
    const RpmRange above{event.range_rpm.high + margin_rpm, window.high};
    const RpmRange& larger = below.high - below.low >= above.high - above.low ? below : above;
    if (larger.high - larger.low >= 0.5 * (window.high - window.low))
        out.trimTo = RpmRange{std::round(larger.low / 10.0) * 10.0, std::round(larger.high / 10.0) * 10.0};
    return out;
}

} // namespace hillrun
