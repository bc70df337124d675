// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/alarm_panel.h"

#include "app/look/theme.h"
#include "app/look/words.h"

#include <algorithm>
#include <QApplication>
#include <QKeyEvent>
#include <QPainter>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

// By day and by night alike: nothing else in the window looks so.
QColor ground() { return Theme::paper().stop; }
QColor ink() { return Theme::paper().panel; }

/// The largest size up to `pixels` at which the text fits the width.
QFont fitted(const QString& text, int pixels, int width, bool bold) {
    QFont font = fonts::drawn(std::max(8, pixels), bold);
    const int wide = QFontMetrics(font).horizontalAdvance(text);
    if (wide > width)
        font.setPixelSize(std::max(8, font.pixelSize() * width / wide));
    return font;
}

} // namespace

QString alarmWord(const WatchLimit& limit) {
    const std::string& channel = limit.channel;
    if (channel == "oil_pressure" || channel == "oil_temperature")
        return QObject::tr("OIL");
    if (channel == "coolant_temperature")
        return QObject::tr("COOLANT");
    if (channel == "exhaust_gas_temperature")
        return QObject::tr("EXHAUST");
    if (channel == "fuel_pressure")
        return QObject::tr("FUEL");
    if (channel == "knock_retard")
        return QObject::tr("KNOCK");
    if (channel == "lambda" || channel == "air_fuel_ratio")
        return limit.side == LimitSide::Above ? QObject::tr("LEAN") : QObject::tr("RICH");
    if (channel == "manifold_pressure")
        return QObject::tr("BOOST");
    return channelText(channel).toUpper();
}

AlarmPanel::AlarmPanel(QWidget* over) : QWidget(over) {
    setObjectName(u"alarmPanel"_s);
    setFocusPolicy(Qt::StrongFocus);
    over->installEventFilter(this);
    hide();
}

QString AlarmPanel::spokenName() const { return tr("Limit passed"); }

QString AlarmPanel::spokenText() const {
    if (m_passed.empty())
        return {};
    return tr("Close the throttle. %1.").arg(qs(crossingPhrase(m_passed.front())));
}

std::vector<AlarmPanel::Line> AlarmPanel::lines() const {
    const LimitCrossing& first = m_passed.front();
    const std::string& channel = first.limit.channel;
    const auto reading = [](const LimitCrossing& one, double value) {
        return qs(currentVoice().number(channelReading(one.limit.channel, value)));
    };
    std::vector<Line> out{
        {alarmWord(first.limit), 0.24, true},
        {reading(first, first.worst), 0.2, true},
        {tr("Close the throttle"), 0.12, true},
        {tr("%1: limit %2").arg(channelText(channel), reading(first, first.limit.value)), 0.05, false}};
    for (size_t i = 1; i < m_passed.size(); ++i)
        out.push_back({qs(crossingPhrase(m_passed[i])), 0.05, false});
    out.push_back({tr("Hill Run is no safety device. Space or a touch: seen."), 0.035, false});
    return out;
}

void AlarmPanel::raiseFor(const std::vector<LimitCrossing>& passed) {
    const bool more = passed.size() != m_passed.size();
    m_passed = passed;
    if (!isVisible()) {
        m_focusBefore = QApplication::focusWidget();
        setGeometry(parentWidget()->rect());
        show();
        raise();
        window()->raise(); // the guide may lie over it
        window()->activateWindow();
        setFocus();
    }
    if (more)
        speakNow(this);
    update();
}

void AlarmPanel::putAway() {
    if (!isVisible())
        return;
    m_passed.clear();
    hide();
    if (m_focusBefore && m_focusBefore->isVisible())
        m_focusBefore->setFocus();
}

void AlarmPanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), ground());
    if (m_passed.empty())
        return;
    painter.setPen(ink());
    const std::vector<Line> all = lines();
    double sum = 0.0;
    for (const Line& line : all)
        sum += 1.25 * line.share;
    const double scale = height() * std::min(1.0, 0.94 / sum);
    double y = 0.5 * (height() - scale * sum);
    for (const Line& line : all) {
        const double room = 1.25 * line.share * scale;
        painter.setFont(fitted(line.text, static_cast<int>(line.share * scale), width() * 9 / 10, line.bold));
        painter.drawText(QRectF(0, y, width(), room), Qt::AlignCenter, line.text);
        y += room;
    }
}

void AlarmPanel::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
    case Qt::Key_Escape:
    case Qt::Key_Space:
    case Qt::Key_Return:
    case Qt::Key_Enter:
        Q_EMIT seen();
        break;
    default:
        QWidget::keyPressEvent(event);
    }
}

void AlarmPanel::mousePressEvent(QMouseEvent*) { Q_EMIT seen(); }

bool AlarmPanel::eventFilter(QObject* watched, QEvent* event) {
    if (watched == parentWidget() && event->type() == QEvent::Resize)
        setGeometry(parentWidget()->rect());
    return QWidget::eventFilter(watched, event);
}

} // namespace hillrun
