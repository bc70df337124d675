// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/lead_along.h"
#include "core/units/road_speed.h"
#include "report/plot.h"
#include "report/sections.h"

#include <algorithm>
#include <cmath>

namespace hillrun::report {
namespace {

std::string secondsText(const Telling& t, double value_s) { return t.voice.number(decimals(value_s, 2, "s")); }

void addTimes(const Telling& t, const RoadBuild& first, const RoadBuild& second, Table& out) {
    out.rows.push_back(
        {t.said("sheet.road_whole"), secondsText(t, first.run.time_s), secondsText(t, second.run.time_s)});
    for (const SpeedTime& one : first.times)
        for (const SpeedTime& other : second.times)
            if (one.from_kmh == other.from_kmh && one.to_kmh == other.to_kmh)
                out.rows.push_back({t.said("sheet.road_between", {decimals(one.from_kmh, 0), decimals(one.to_kmh, 0)}),
                                    secondsText(t, one.seconds), secondsText(t, other.seconds)});
    const auto speed = [](double speed_ms) { return decimals(speed_ms * kKmhPerMs, 0, "km/h"); };
    const auto passed = [&](const Passing& one) {
        return t.said("sheet.road_passed", {decimals(one.seconds, 2, "s"), speed(one.speed_ms)});
    };
    for (size_t i = 0; i < std::min(first.passings.size(), second.passings.size()); ++i)
        out.rows.push_back({t.voice.number(decimals(first.passings[i].distance_m, 0, "m")), passed(first.passings[i]),
                            passed(second.passings[i])});
    out.rows.push_back({t.said("sheet.road_end"), t.voice.number(speed(first.run.endSpeed_ms)),
                        t.voice.number(speed(second.run.endSpeed_ms))});
    const auto top = [&](const TopSpeed& one) {
        return t.said("sheet.road_in_gear", {speed(one.speed_ms), std::to_string(one.gear + 1)});
    };
    if (first.top && second.top)
        out.rows.push_back({t.said("sheet.road_top"), top(*first.top), top(*second.top)});
}

void addShifts(const Telling& t, const RoadBuild& first, const RoadBuild& second, Table& out) {
    const auto rpm = [&](double value) { return t.voice.number(decimals(std::round(value / 10.0) * 10.0, 0, "rpm")); };
    const size_t shifts = std::min(first.run.shift_rpm.size(), second.run.shift_rpm.size());
    for (size_t gear = 0; gear < shifts; ++gear)
        out.rows.push_back({t.said("sheet.road_shift", {std::to_string(gear + 1)}), rpm(first.run.shift_rpm[gear]),
                            rpm(second.run.shift_rpm[gear])});
}

RpmRange reachOf(const std::vector<std::vector<double>>& lists) {
    RpmRange out{0.0, 0.0};
    for (const auto& list : lists)
        for (const double value : list)
            out = {std::min(out.low, value), std::max(out.high, value)};
    const double room = 0.05 * (out.high - out.low);
    return {out.low < 0.0 ? out.low - room : out.low, out.high + room};
}

constexpr double kSpeedHeight = 150.0;
constexpr double kLeadHeight = 90.0;

/// Speed of both along the way, and below it how much later the second is.
Figure wayFigure(const Telling& t, const DayRoad& road, const RoadBuild& first, const RoadBuild& second) {
    const double text = t.style.text;
    const double top = 3.0 + text;
    const double lead = top + kSpeedHeight + 10.0 + 2.0 * text;
    Figure out{t.said("sheet.road_speed_axis"), {t.style.width, lead + kLeadHeight + 6.0 + 2.0 * text, {}}, {}};
    const RpmRange way{0.0, std::max(wayOf(road, first.run), wayOf(road, second.run))};
    const double width = t.style.width - t.style.left - t.style.right;
    std::vector<std::vector<double>> distance(2), speed(2);
    for (size_t i = 0; i < 2; ++i)
        for (const RoadMoment& one : (i == 0 ? first : second).run.moments) {
            distance[i].push_back(one.distance_m);
            speed[i].push_back(one.speed_ms * kKmhPerMs);
        }
    const RpmRange speeds = reachOf(speed);
    Plot above(out.drawing, {t.style.left, top}, width, kSpeedHeight, way, speeds.low, speeds.high, text);
    above.axes(out.title, false);
    for (size_t i = 0; i < 2; ++i) {
        const std::string& id = (i == 0 ? first : second).id;
        const size_t number = buildNumber(t.day, id);
        above.curve(distance[i], speed[i], buildColour(number), 1.3, buildDash(number));
        above.endLabel(distance[i], speed[i], id, buildColour(number));
    }
    above.drawLabels();
    const LeadAlong along = leadAlong(t.analysis, road, first.id, second.id);
    const RpmRange later = reachOf({along.later_s, along.low_s, along.high_s});
    Plot below(out.drawing, {t.style.left, lead}, width, kLeadHeight, way, later.low, later.high, text);
    below.axes(t.said("sheet.road_lead_axis", {second.id, first.id}), true, "m");
    if (!along.low_s.empty())
        below.band(along.distance_m, along.low_s, along.high_s, kQuietInk, 0.25);
    below.zeroLine();
    below.curve(along.distance_m, along.later_s, kInk, 1.4, {});
    return out;
}

} // namespace

Section roadSection(const Telling& t, const DayRoad& road, const RoadDifference* difference) {
    Section out;
    if (!difference) {
        out.blocks.emplace_back(Sentence{t.voice.say(courseName(road.course))});
        out.blocks.emplace_back(Paragraph{t.voice.say(road.whyNothing()), Tone::Warning});
        return out;
    }
    out.blocks.emplace_back(Sentence{t.voice.say(roadSummary(road, *difference))});
    out.blocks.emplace_back(Paragraph{t.said("road.model"), Tone::Quiet});
    const RoadBuild* first = road.build(difference->from);
    const RoadBuild* second = road.build(difference->to);
    if (first && second) {
        Table table{{t.voice.say(courseName(road.course)), first->id, second->id}, {}, {0.0, 230.0, 330.0}};
        addTimes(t, *first, *second, table);
        if (!road.course.isRolling())
            addShifts(t, *first, *second, table);
        out.blocks.emplace_back(Gap{8.0});
        out.blocks.emplace_back(wayFigure(t, road, *first, *second));
        out.blocks.emplace_back(Gap{8.0});
        out.blocks.emplace_back(std::move(table));
        out.blocks.emplace_back(Gap{8.0});
    }
    if (!road.taken.empty())
        out.blocks.emplace_back(Paragraph{t.voice.say(road.taken), Tone::Quiet, true});
    return out;
}

Section heldSection(const Telling& t, const HeldAnswer& answer, const HeldDifference* difference) {
    Section out;
    const std::string speed = t.voice.say(courseName({.name = {}, .held = answer.speed}));
    if (!difference) {
        out.blocks.emplace_back(Sentence{speed});
        out.blocks.emplace_back(
            Paragraph{t.voice.say(answer.whyNot.empty() ? Statement{"why.no_pull"} : answer.whyNot), Tone::Warning});
        return out;
    }
    out.blocks.emplace_back(Sentence{t.voice.say(heldSummary(answer, *difference))});
    Table table{{speed, t.said("sheet.held_power")}, {}, {0.0, 230.0}};
    for (const std::string& id : {difference->from, difference->to})
        if (const HeldBuild* build = answer.build(id))
            table.rows.push_back({id, t.voice.power({.value_w = build->power_w})});
    out.blocks.emplace_back(Gap{8.0});
    out.blocks.emplace_back(std::move(table));
    return out;
}

} // namespace hillrun::report
