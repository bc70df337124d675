// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/prepare/order_strip.h"

#include "app/look/scale.h"
#include "app/look/words.h"

#include <algorithm>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

// As drawn.
constexpr int kFlagWidth = 26;
constexpr int kFlagHeight = 28;
constexpr int kStep = 30;
constexpr int kRow = 36;
constexpr int kSetGap = 12;

} // namespace

OrderStrip::OrderStrip(Look& look, QWidget* parent) : QWidget(parent), m_look(look) {
    setObjectName(u"orderStrip"_s);
    setAccessibleName(tr("Order of the pulls"));
    setToolTip(tr("Drag to put the pulls in another order. Ctrl and arrows move, Insert doubles, Delete takes out."));
    setFocusPolicy(Qt::StrongFocus);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Minimum);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
    connect(&m_look, &Look::changed, this, qOverload<>(&QWidget::update));
}

void OrderStrip::setOrder(std::vector<Flag> flags) {
    if (flags == m_flags)
        return;
    m_flags = std::move(flags);
    m_current = std::min(m_current, static_cast<int>(m_flags.size()) - 1);
    setMinimumHeight(heightForWidth(width()));
    updateGeometry();
    update();
}

QString OrderStrip::spokenItem(int index) const {
    const Flag& flag = m_flags[static_cast<size_t>(index)];
    return flag.done ? tr("pull %1: build %2, done").arg(index + 1).arg(qs(flag.build))
                     : tr("pull %1: build %2").arg(index + 1).arg(qs(flag.build));
}

void OrderStrip::chooseSpoken(int index) {
    m_current = index;
    update();
}

int OrderStrip::inRow(int width) const { return std::max(1, (width - 4 * px(kSetGap)) / px(kStep)); }

int OrderStrip::gapsBefore(size_t at) const {
    const auto row = static_cast<size_t>(inRow(width()));
    int gaps = 0;
    for (size_t i = at / row * row + 1; i <= at; ++i)
        gaps += m_flags[i].build != m_flags[i - 1].build || m_flags[i].refit ? 1 : 0;
    return gaps;
}

QRect OrderStrip::flagRect(size_t at) const {
    const int row = inRow(width());
    const int number = static_cast<int>(at);
    return {number % row * px(kStep) + std::min(gapsBefore(at), 8) * px(kSetGap) / 2, number / row * px(kRow) + px(4),
            px(kFlagWidth), px(kFlagHeight)};
}

QSize OrderStrip::sizeHint() const { return {px(300), heightForWidth(px(300))}; }

int OrderStrip::heightForWidth(int width) const {
    const int rows = (static_cast<int>(m_flags.size()) + inRow(width) - 1) / inRow(width);
    return std::max(1, rows) * px(kRow);
}

void OrderStrip::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    setMinimumHeight(heightForWidth(width()));
}

int OrderStrip::flagAt(QPoint position) const {
    for (size_t i = 0; i < m_flags.size(); ++i)
        if (flagRect(i).adjusted(-2, -4, 2, 4).contains(position))
            return static_cast<int>(i);
    return -1;
}

void OrderStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Theme& t = m_look.theme();
    if (m_flags.empty()) {
        painter.setPen(t.quietInk);
        painter.setFont(fonts::text(13));
        painter.drawText(rect(), Qt::AlignLeft | Qt::AlignVCenter, tr("No pulls planned yet: choose a design."));
        return;
    }
    for (size_t i = 0; i < m_flags.size(); ++i) {
        const Flag& flag = m_flags[i];
        const QRectF box = QRectF(flagRect(i)).adjusted(1, 1, -1, -1);
        const QColor colour = t.build(flag.number);
        QPen pen(colour, 1.5);
        if (!flag.done)
            pen.setStyle(Qt::DotLine);
        painter.setPen(pen);
        painter.setBrush(flag.done ? QBrush(colour) : QBrush(t.faded(colour, 0.14)));
        painter.drawRect(box);
        painter.setPen(flag.done ? t.panel : t.asText(colour));
        painter.setFont(fonts::text(14, true));
        painter.drawText(box, Qt::AlignCenter, qs(flag.build));
        if (static_cast<int>(i) == m_current && hasFocus()) {
            painter.setPen(QPen(t.mark, 2));
            painter.setBrush(Qt::NoBrush);
            painter.drawRect(box.adjusted(-2, -2, 2, 2));
        }
    }
}

void OrderStrip::mousePressEvent(QMouseEvent* event) {
    m_current = m_dragged = flagAt(event->pos());
    m_moved = false;
    update();
}

void OrderStrip::mouseMoveEvent(QMouseEvent* event) {
    const int over = flagAt(event->pos());
    if (m_dragged < 0 || over < 0 || over == m_dragged)
        return;
    move(static_cast<size_t>(m_dragged), static_cast<size_t>(over));
    m_dragged = m_current = over;
    m_moved = true;
}

void OrderStrip::mouseReleaseEvent(QMouseEvent*) {
    m_dragged = -1;
    if (std::exchange(m_moved, false))
        tell();
}

void OrderStrip::move(size_t from, size_t to) {
    const Flag flag = m_flags[from];
    m_flags.erase(m_flags.begin() + static_cast<long>(from));
    m_flags.insert(m_flags.begin() + static_cast<long>(to), flag);
    update();
}

void OrderStrip::tell(bool byStep) {
    std::vector<std::string> order;
    for (const Flag& flag : m_flags)
        order.push_back(flag.build);
    Q_EMIT orderEdited(order, byStep);
}

void OrderStrip::moveCurrent(int by) {
    const int to = m_current + by;
    if (m_current < 0 || to < 0 || to >= static_cast<int>(m_flags.size()))
        return;
    move(static_cast<size_t>(m_current), static_cast<size_t>(to));
    m_current = to;
    tell(true);
}

void OrderStrip::doubleCurrent() {
    if (m_current < 0)
        return;
    m_flags.insert(m_flags.begin() + m_current, m_flags[static_cast<size_t>(m_current)]);
    tell();
}

void OrderStrip::removeCurrent() {
    if (m_current < 0)
        return;
    m_flags.erase(m_flags.begin() + m_current);
    m_current = std::min(m_current, static_cast<int>(m_flags.size()) - 1);
    tell();
}

void OrderStrip::keyPressEvent(QKeyEvent* event) {
    const int last = static_cast<int>(m_flags.size()) - 1;
    const bool left = event->key() == Qt::Key_Left;
    if (last < 0 || (!left && event->key() != Qt::Key_Right) || event->modifiers().testFlag(Qt::ControlModifier))
        return QWidget::keyPressEvent(event);
    m_current = std::clamp(m_current + (left ? -1 : 1), 0, last);
    update();
}

} // namespace hillrun
