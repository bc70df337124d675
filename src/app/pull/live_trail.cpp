// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/live_trail.h"

#include <cmath>
#include <QObject>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kLength_s = 60.0;
constexpr double kStep_s = 0.1;

double valueOf(const LiveSnapshot& live, std::string_view channel) {
    const LiveValue* value = live.find(channel);
    return value && !live.stale ? value->value : std::nan("");
}

} // namespace

void LiveTrail::take(double now_s, const LiveSnapshot& live) {
    if (!m_points.empty() && now_s - m_points.back().time_s < kStep_s)
        return;
    const Point point{now_s, valueOf(live, "engine_speed"), valueOf(live, "torque")};
    if (m_points.empty() && !std::isfinite(point.rpm))
        return; // nothing has come yet
    m_points.push_back(point);
    while (m_points.back().time_s - m_points.front().time_s > kLength_s)
        m_points.pop_front();
}

BoardContent LiveTrail::content(const QString& title) const {
    BoardContent out;
    out.title = title;
    out.xTitle = QObject::tr("s");
    out.xRange = RpmRange{-kLength_s, 0.0};
    return out;
}

BoardContent LiveTrail::speed(const Theme& theme) const {
    BoardContent out = content(QObject::tr("Engine speed, rpm \u00B7 the last minute"));
    BoardSeries line;
    for (const Point& point : m_points) {
        line.x.push_back(point.time_s - m_points.back().time_s);
        line.y.push_back(point.rpm);
    }
    line.pen = QPen(theme.quietInk, 1.5);
    out.leastSpan = 500.0;
    out.series = {line};
    return out;
}

BoardContent LiveTrail::figure(const LiveView& view, const Theme& theme) const {
    const bool power = view.quantity == Quantity::Power;
    BoardContent out = content(
        QObject::tr("%1, %2 \u00B7 as measured, the last minute")
            .arg(power ? QObject::tr("Power") : QObject::tr("Torque"),
                 QString::fromUtf8(power ? powerUnitText(view.units.power) : torqueUnitText(view.units.torque))));
    BoardSeries line;
    for (const Point& point : m_points) {
        line.x.push_back(point.time_s - m_points.back().time_s);
        line.y.push_back(liveFigure(point.torque_nm, point.rpm, view));
    }
    line.pen = QPen(theme.mark, 2.0);
    out.leastSpan = 5.0;
    out.series = {line};
    return out;
}

} // namespace hillrun
