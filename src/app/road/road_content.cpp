// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/road/road_content.h"

#include "app/look/language.h"
#include "app/look/words.h"
#include "core/road/lead_along.h"
#include "core/units/road_speed.h"

#include <algorithm>
#include <cmath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

BoardSeries speedSeries(const RoadRun& run, const QPen& pen, const QString& label) {
    BoardSeries out;
    for (const RoadMoment& one : run.moments) {
        out.x.push_back(one.distance_m);
        out.y.push_back(one.speed_ms * kKmhPerMs);
    }
    out.pen = pen;
    out.label = label;
    return out;
}

/// Where each gear was in, every other one shaded.
void addGears(const RoadRun& run, const Theme& theme, BoardContent& out) {
    size_t first = 0;
    for (size_t i = 1; i <= run.moments.size(); ++i) {
        if (i < run.moments.size() && run.moments[i].gear == run.moments[first].gear)
            continue;
        const double from = run.moments[first].distance_m;
        const double to = run.moments[std::min(i, run.moments.size() - 1)].distance_m;
        const size_t gear = run.moments[first].gear;
        if (to > from)
            out.shades.push_back(
                {from, to, theme.faded(theme.quietInk, gear % 2 == 0 ? 0.10 : 0.03),
                 to - from > 0.02 * run.moments.back().distance_m ? QString::number(gear + 1) : QString()});
        first = i;
    }
}

QString seconds(double value, int digits = 2) { return numberText(value, digits) + u"\u00A0s"_s; }

QString speedText(double speed_ms) { return numberText(speed_ms * kKmhPerMs, 0) + u"\u00A0km/h"_s; }

QString passingText(const Passing& one) { return seconds(one.seconds) + u", "_s + speedText(one.speed_ms); }

QString topText(const TopSpeed& top) { return speedText(top.speed_ms) + u" \u00B7 "_s + QString::number(top.gear + 1); }

QString shiftLine(const RoadBuild& build) {
    QStringList shifts;
    for (size_t gear = 0; gear < build.run.shift_rpm.size(); ++gear)
        shifts << QObject::tr("%1\u2192%2 %3")
                      .arg(gear + 1)
                      .arg(gear + 2)
                      .arg(qs(rpmText(std::round(build.run.shift_rpm[gear] / 10.0) * 10.0)));
    return QObject::tr("Shift %1 at rpm: %2").arg(qs(build.id), shifts.join(u" \u00B7 "_s));
}

} // namespace

BoardContent speedBoard(const TestDay& day, const DayRoad& road, const std::string& from, const std::string& to,
                        const Theme& theme) {
    BoardContent out;
    out.title = QObject::tr("Speed, km/h \u00B7 the gears of %1").arg(qs(to));
    out.xLabels = false;
    for (const std::string& id : {from, to})
        if (const RoadBuild* build = road.build(id)) {
            if (id == to)
                addGears(build->run, theme, out);
            out.series.push_back(speedSeries(build->run, theme.buildPen(buildNumber(day, id), 2.0), qs(id)));
            out.xRange = RpmRange{0.0, wayOf(road, build->run)};
        }
    out.yRange = std::nullopt;
    return out;
}

BoardContent leadBoard(const DayAnalysis& analysis, const DayRoad& road, const std::string& from, const std::string& to,
                       const Theme& theme) {
    BoardContent out;
    out.title = QObject::tr("%1 later than %2, s \u00B7 band: 95\u00A0% at each place").arg(qs(to), qs(from));
    out.xTitle = u"m"_s;
    out.zeroLine = true;
    LeadAlong lead = leadAlong(analysis, road, from, to);
    if (lead.distance_m.empty())
        return out;
    out.xRange = RpmRange{0.0, wayOf(road, road.build(to)->run)};
    BoardSeries line;
    line.x = lead.distance_m;
    line.y = std::move(lead.later_s);
    line.pen = QPen(theme.ink, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin);
    out.series.push_back(std::move(line));
    if (!lead.low_s.empty()) {
        BoardBand band;
        band.x = std::move(lead.distance_m);
        band.low = std::move(lead.low_s);
        band.high = std::move(lead.high_s);
        band.colour = theme.faded(theme.quietInk, theme.dark ? 0.3 : 0.24);
        out.bands.push_back(std::move(band));
    }
    return out;
}

QString roadCursor(const DayRoad& road, const std::string& from, const std::string& to, double distance_m) {
    QString out = numberText(distance_m, 0) + u"\u00A0m"_s;
    for (const std::string& id : {from, to})
        if (const RoadBuild* build = road.build(id))
            out += u"  %1 %2\u00A0km/h"_s.arg(qs(id), numberText(build->run.speedAt_ms(distance_m) * kKmhPerMs, 0));
    const RoadBuild* a = road.build(from);
    const RoadBuild* b = road.build(to);
    if (a && b)
        out += u"  \u0394 %1"_s.arg(seconds(b->run.passed_s(distance_m) - a->run.passed_s(distance_m)));
    return out;
}

std::vector<RoadRow> roadRows(const DayRoad& road, const std::string& from, const std::string& to) {
    std::vector<RoadRow> out;
    const RoadBuild* a = road.build(from);
    const RoadBuild* b = road.build(to);
    if (!a || !b)
        return out;
    out.push_back({{}, qs(from), qs(to)});
    out.push_back({QObject::tr("Whole way"), seconds(a->run.time_s), seconds(b->run.time_s)});
    for (const SpeedTime& one : a->times)
        for (const SpeedTime& other : b->times)
            if (one.from_kmh == other.from_kmh && one.to_kmh == other.to_kmh)
                out.push_back({u"%1\u2013%2\u00A0km/h"_s.arg(one.from_kmh).arg(one.to_kmh), seconds(one.seconds),
                               seconds(other.seconds)});
    for (size_t i = 0; i < std::min(a->passings.size(), b->passings.size()); ++i)
        out.push_back({numberText(a->passings[i].distance_m, 0) + u"\u00A0m"_s, passingText(a->passings[i]),
                       passingText(b->passings[i])});
    out.push_back({QObject::tr("At its end"), speedText(a->run.endSpeed_ms), speedText(b->run.endSpeed_ms)});
    if (a->top && b->top)
        out.push_back({QObject::tr("Top speed \u00B7 gear"), topText(*a->top), topText(*b->top)});
    return out;
}

BoardContent heldBoard(const TestDay& day, const DayAnalysis& analysis, const HeldAnswer& answer,
                       const std::string& from, const std::string& to, const Theme& theme) {
    BoardContent out;
    const PowerUnit unit = currentVoice().manner().units.power;
    out.title = QObject::tr("Power, %1").arg(qs(powerUnitText(unit)));
    out.xTitle = u"rpm"_s;
    out.xRange = analysis.common_rpm;
    for (const std::string& id : {from, to})
        if (const BuildResult* build = analysis.findBuild(id)) {
            BoardSeries line{analysis.rpm, {}, theme.buildPen(buildNumber(day, id), 2.0), qs(id)};
            for (const double power_w : build->power_w)
                line.y.push_back(powerIn(unit, power_w));
            out.series.push_back(std::move(line));
        }
    const HeldSpeed& held = answer.speed;
    out.shades.push_back({held.rpm - held.halfWidth_rpm, held.rpm + held.halfWidth_rpm, theme.faded(theme.mark, 0.14),
                          QObject::tr("held")});
    return out;
}

std::vector<RoadRow> heldRows(const HeldAnswer& answer, const std::string& from, const std::string& to) {
    const HeldBuild* a = answer.build(from);
    const HeldBuild* b = answer.build(to);
    if (!a || !b)
        return {};
    const auto power = [](const HeldBuild& build) { return qs(currentVoice().power({.value_w = build.power_w})); };
    return {{{}, qs(from), qs(to)}, {QObject::tr("Power held"), power(*a), power(*b)}};
}

QStringList shiftLines(const DayRoad& road, const std::string& from, const std::string& to) {
    QStringList out;
    for (const std::string& id : {from, to})
        if (const RoadBuild* build = road.build(id); build && !road.course.isRolling())
            out << shiftLine(*build);
    return out;
}

} // namespace hillrun
