// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/import/log_picture.h"
#include "app/look/words.h"

#include <algorithm>
#include <cmath>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kLeft_px = 48.0;
constexpr double kRight_px = 12.0;
constexpr double kTop_px = 26.0;
constexpr double kBottom_px = 24.0;

const std::vector<double>& valuesOf(const ChannelTable& table, const char* channel) {
    static const std::vector<double> kNone;
    const Column* column = table.find(channel);
    return column ? column->values : kNone;
}

double highestOf(const ChannelTable& table) {
    double out = 0.0;
    for (const double rpm : valuesOf(table, "engine_speed"))
        if (std::isfinite(rpm))
            out = std::max(out, rpm);
    return out;
}

/// 1, 2 or 5 times a power of ten: about so many steps in a range.
double stepFor(double range, double steps) {
    const double raw = std::max(range / steps, 1e-9);
    const double decade = std::pow(10.0, std::floor(std::log10(raw)));
    for (const double times : {1.0, 2.0, 5.0})
        if (raw <= times * decade)
            return times * decade;
    return 10.0 * decade;
}

} // namespace

LogPicture::LogPicture(QWidget* parent) : QWidget(parent) { setToolTip(tr("Drag to move the log along the pull")); }

QString LogPicture::spokenText() const {
    return m_clock ? tr("the log lies %1 s later than the pull").arg(numberText(m_clock->lag_s, 2))
                   : tr("the pull alone, no log on it yet");
}

void LogPicture::setTheme(const Theme& theme) {
    m_theme = theme;
    update();
}

void LogPicture::show(std::shared_ptr<const ChannelTable> pull, std::shared_ptr<const ChannelTable> log,
                      std::optional<LogClock> clock) {
    m_pull = std::move(pull);
    m_log = std::move(log);
    m_clock = clock;
    const std::vector<double>& time = m_pull ? valuesOf(*m_pull, "time") : std::vector<double>();
    if (time.size() > 1) {
        m_from_s = time.front();
        m_to_s = std::max(time.back(), time.front() + 0.1);
        m_high_rpm = std::max(1.0, 1.06 * highestOf(*m_pull));
    }
    setCursor(m_clock ? Qt::SizeHorCursor : Qt::ArrowCursor);
    update();
}

double LogPicture::xOf(double pull_s) const {
    return kLeft_px + (pull_s - m_from_s) / (m_to_s - m_from_s) * (width() - kLeft_px - kRight_px);
}

void LogPicture::drawAxes(QPainter& painter) const {
    painter.setFont(fonts::numbers(10));
    const double floor = height() - kBottom_px;
    const double room = floor - kTop_px;
    const double speeds = stepFor(m_high_rpm, 4.0);
    for (double rpm = 0.0; rpm < m_high_rpm; rpm += speeds) {
        const double y = floor - rpm / m_high_rpm * room;
        painter.setPen(m_theme.rule);
        painter.drawLine(QPointF(kLeft_px, y), QPointF(width() - kRight_px, y));
        painter.setPen(m_theme.quietInk);
        painter.drawText(QRectF(0, y - 8, kLeft_px - 6, 16), Qt::AlignRight | Qt::AlignVCenter, numberText(rpm, 0));
    }
    const double seconds = stepFor(m_to_s - m_from_s, 8.0);
    for (double t = std::ceil(m_from_s / seconds) * seconds; t <= m_to_s; t += seconds)
        painter.drawText(QRectF(xOf(t) - 30, floor + 4, 60, 16), Qt::AlignCenter,
                         qs(currentVoice().number(significant(t, 4))));
    painter.drawText(QRectF(0, floor + 4, kLeft_px - 16, 16), Qt::AlignRight | Qt::AlignVCenter, tr("s"));
    painter.drawText(QRectF(0, 6, kLeft_px - 6, 16), Qt::AlignRight | Qt::AlignVCenter, tr("rpm"));
}

void LogPicture::drawSpeed(QPainter& painter, const ChannelTable& table, const LogClock& clock, const QPen& pen) const {
    const std::vector<double>& time = valuesOf(table, "time");
    const std::vector<double>& rpm = valuesOf(table, "engine_speed");
    const double floor = height() - kBottom_px;
    const double room = floor - kTop_px;
    QPainterPath path;
    bool begun = false;
    for (size_t i = 0; i < rpm.size(); ++i) {
        const double t = clock.pullTime(time[i]);
        if (!std::isfinite(rpm[i]) || !(t >= m_from_s && t <= m_to_s)) {
            begun = false;
            continue;
        }
        const QPointF point(xOf(t), floor - rpm[i] / m_high_rpm * room);
        if (begun)
            path.lineTo(point);
        else
            path.moveTo(point);
        begun = true;
    }
    painter.setPen(pen);
    painter.drawPath(path);
}

void LogPicture::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_theme.panel);
    painter.setPen(m_theme.rule);
    painter.drawRect(rect().adjusted(0, 0, -1, -1));
    if (!m_pull)
        return;
    if (m_clock && m_log && m_log->rows() > 0) {
        const std::vector<double>& time = valuesOf(*m_log, "time");
        const double from = std::max(kLeft_px, xOf(m_clock->pullTime(time.front())));
        const double to = std::min<double>(width() - kRight_px, xOf(m_clock->pullTime(time.back())));
        if (to > from)
            painter.fillRect(QRectF(QPointF(from, kTop_px), QPointF(to, height() - kBottom_px)),
                             m_theme.faded(m_theme.mark, 0.10));
    }
    drawAxes(painter);
    painter.setRenderHint(QPainter::Antialiasing);
    drawSpeed(painter, *m_pull, {}, QPen(m_theme.faded(m_theme.ink, 0.35), 4.0));
    painter.setFont(fonts::text(12));
    painter.setPen(m_theme.quietInk);
    const QString pull = tr("pull");
    painter.drawText(QPointF(kLeft_px, 17), pull);
    if (!m_clock || !m_log)
        return;
    drawSpeed(painter, *m_log, *m_clock, QPen(m_theme.mark, 1.6));
    painter.setPen(m_theme.mark);
    painter.drawText(QPointF(kLeft_px + painter.fontMetrics().horizontalAdvance(pull) + 18, 17), tr("log"));
}

void LogPicture::mousePressEvent(QMouseEvent* event) {
    if (!m_clock || event->button() != Qt::LeftButton)
        return;
    m_grabbed_x = event->position().x();
    m_grabbedLag_s = m_clock->lag_s;
}

void LogPicture::mouseMoveEvent(QMouseEvent* event) {
    if (!m_grabbed_x)
        return;
    const double moved_s =
        (event->position().x() - *m_grabbed_x) / (width() - kLeft_px - kRight_px) * (m_to_s - m_from_s);
    Q_EMIT dragged(m_grabbedLag_s - moved_s); // moved to the right, the log shows less at the pull's zero
}

void LogPicture::mouseReleaseEvent(QMouseEvent*) { m_grabbed_x.reset(); }

} // namespace hillrun
