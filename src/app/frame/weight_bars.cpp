// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/frame/weight_bars.h"

#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/answer/use.h"

#include <algorithm>
#include <cmath>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kMostBars = 16.0;

/// The finest round step that gives no more bars than can be told apart.
double stepFor(const RpmRange& range) {
    for (const double step : {100.0, 200.0, 250.0, 500.0, 1000.0, 2000.0})
        if ((range.high - range.low) / step <= kMostBars)
            return step;
    return 5000.0;
}

} // namespace

WeightBars::WeightBars(Look& look, const RpmRange& range_rpm, QWidget* parent) : QWidget(parent), m_look(look) {
    setObjectName(u"weightBars"_s);
    setAccessibleName(spokenName());
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(px(380), px(150));
    setToolTip(
        tr("Draw with the pointer. Left and Right choose a speed, Up and Down or a digit set how much it counts."));
    const double step = stepFor(range_rpm);
    for (double rpm = std::ceil(range_rpm.low / step) * step; rpm <= range_rpm.high + 1e-6; rpm += step)
        m_rpm.push_back(rpm);
    m_weights.assign(m_rpm.size(), kMost / 2);
}

void WeightBars::setWeights(const SpeedWeights& weights) {
    if (weights.empty())
        return;
    const Use use{{weights.front().rpm, weights.back().rpm}, weights};
    double most = 0.0;
    for (const RpmWeight& one : weights)
        most = std::max(most, one.weight);
    const double scale =
        most > kMost || most < 1.0 ? kMost / std::max(most, 1e-12) : 1.0; // as drawn here, or by a file
    for (size_t i = 0; i < m_rpm.size(); ++i)
        m_weights[i] = static_cast<int>(std::lround(scale * weightAt(use, m_rpm[i])));
    update();
}

SpeedWeights WeightBars::weights() const {
    SpeedWeights out;
    for (size_t i = 0; i < m_rpm.size(); ++i)
        out.push_back({m_rpm[i], static_cast<double>(m_weights[i])});
    return out;
}

bool WeightBars::empty() const {
    return std::all_of(m_weights.begin(), m_weights.end(), [](int weight) { return weight == 0; });
}

QString WeightBars::spokenName() const { return tr("How much each speed counts"); }

QString WeightBars::spokenText() const {
    QStringList out;
    for (int i = 0; i < spokenCount(); ++i)
        out << spokenItem(i);
    return out.join(u"; "_s);
}

QString WeightBars::spokenItem(int index) const {
    return tr("%1 rpm: %2 of %3")
        .arg(numberText(m_rpm[static_cast<size_t>(index)], 0))
        .arg(m_weights[static_cast<size_t>(index)])
        .arg(kMost);
}

QRectF WeightBars::barArea() const { return QRectF(rect()).adjusted(px(6), px(18), -px(6), -px(20)); }

QRect WeightBars::spokenRect(int index) const {
    const QRectF area = barArea();
    const double width = area.width() / static_cast<double>(std::max<size_t>(m_rpm.size(), 1));
    return QRectF(area.left() + index * width, area.top(), width, area.height()).toRect();
}

void WeightBars::chooseSpoken(int index) {
    m_chosen = std::clamp(index, 0, std::max(spokenCount() - 1, 0));
    update();
}

void WeightBars::setBar(int index, int weight) {
    if (index < 0 || index >= spokenCount())
        return;
    m_chosen = index;
    m_weights[static_cast<size_t>(index)] = std::clamp(weight, 0, kMost);
    update();
    Q_EMIT changed();
}

void WeightBars::draw(const QPointF& at) {
    const QRectF area = barArea();
    const double place = (at.x() - area.left()) / area.width() * spokenCount();
    setBar(std::clamp(static_cast<int>(std::floor(place)), 0, std::max(spokenCount() - 1, 0)),
           static_cast<int>(std::lround(kMost * (area.bottom() - at.y()) / area.height())));
}

void WeightBars::mousePressEvent(QMouseEvent* event) { draw(event->position()); }

void WeightBars::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        draw(event->position());
}

void WeightBars::keyPressEvent(QKeyEvent* event) {
    if (m_rpm.empty())
        return QWidget::keyPressEvent(event);
    const int now = m_weights[static_cast<size_t>(m_chosen)];
    const int key = event->key();
    if (key == Qt::Key_Left || key == Qt::Key_Right)
        chooseSpoken(m_chosen + (key == Qt::Key_Left ? -1 : 1));
    else if (key == Qt::Key_Up || key == Qt::Key_Down)
        setBar(m_chosen, now + (key == Qt::Key_Up ? 1 : -1));
    else if (key >= Qt::Key_0 && key <= Qt::Key_9)
        setBar(m_chosen, key - Qt::Key_0);
    else
        QWidget::keyPressEvent(event);
}

void WeightBars::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const Theme& theme = m_look.theme();
    const QRectF area = barArea();
    painter.setPen(theme.rule);
    painter.drawLine(area.bottomLeft(), area.bottomRight());
    QFont small = font();
    small.setPixelSize(px(11));
    painter.setFont(small);
    const QFontMetricsF metrics(small);
    const double widest = m_rpm.empty() ? 0.0 : metrics.horizontalAdvance(numberText(m_rpm.back(), 0)) + px(6);
    const int each = static_cast<int>(std::ceil(widest * std::max(spokenCount(), 1) / area.width())); // one in so many
    for (int i = 0; i < spokenCount(); ++i) {
        const QRectF cell = spokenRect(i);
        const double height = area.height() * m_weights[static_cast<size_t>(i)] / kMost;
        const bool chosen = i == m_chosen && hasFocus();
        painter.fillRect(QRectF(cell.left() + px(2), area.bottom() - height, cell.width() - px(4), height),
                         theme.faded(theme.mark, chosen ? 1.0 : 0.55));
        if (chosen) {
            painter.setPen(theme.ink);
            painter.drawText(QRectF(cell.left() - px(20), 0, cell.width() + px(40), px(16)), Qt::AlignCenter,
                             QString::number(m_weights[static_cast<size_t>(i)]));
        }
        if (i % each != 0)
            continue;
        const QString label = numberText(m_rpm[static_cast<size_t>(i)], 0);
        const double width = metrics.horizontalAdvance(label);
        const double from = std::clamp(cell.center().x() - width / 2.0, 0.0, this->width() - width);
        painter.setPen(chosen ? theme.ink : theme.quietInk);
        painter.drawText(QPointF(from, area.bottom() + px(14)), label);
    }
    if (hasFocus()) {
        painter.setPen(QPen(theme.mark, 1));
        painter.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

} // namespace hillrun
