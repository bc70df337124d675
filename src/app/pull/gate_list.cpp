// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/pull/gate_list.h"

#include "app/look/scale.h"

#include <QPainter>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kGateHeight = 62;

} // namespace

GateList::GateList(Look& look, QWidget* parent) : QWidget(parent), m_look(look) {
    setObjectName(u"gateList"_s);
    setAccessibleName(tr("Gates"));
    connect(&m_look, &Look::changed, this, qOverload<>(&QWidget::update));
}

void GateList::setGates(std::vector<Gate> gates) {
    if (gates == m_gates)
        return;
    const bool resized = gates.size() != m_gates.size();
    m_gates = std::move(gates);
    if (resized)
        updateGeometry();
    update();
}

/// "Oil 88 °C, wanted 86–96: met"
QString GateList::spokenItem(int index) const {
    const Gate& gate = m_gates[static_cast<size_t>(index)];
    const QString state = gate.state == GateState::Good   ? tr("met")
                          : gate.state == GateState::Wait ? tr("waited for")
                                                          : tr("not known");
    return tr("%1 %2, wanted %3: %4").arg(gate.label, gate.value, gate.window, state);
}

QRect GateList::spokenRect(int index) const { return {0, index * px(kGateHeight), width(), px(kGateHeight)}; }

QSize GateList::sizeHint() const { return {px(220), static_cast<int>(m_gates.size()) * px(kGateHeight)}; }

void GateList::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.scale(lookScale(), lookScale()); // from here on as drawn
    const int wide = static_cast<int>(width() / lookScale());
    for (size_t i = 0; i < m_gates.size(); ++i)
        paintGate(painter, {0, static_cast<int>(i) * kGateHeight, wide, kGateHeight}, m_gates[i]);
}

void GateList::paintGate(QPainter& painter, const QRect& room, const Gate& gate) const {
    const Theme& t = m_look.theme();
    const bool good = gate.state == GateState::Good;
    const QColor colour = good ? t.mark : (gate.state == GateState::Wait ? t.warning : t.quietInk);
    const QRectF box(room.left() + 1, room.top() + 10, 14, 32);
    painter.setPen(QPen(colour, 2));
    painter.setBrush(good ? QBrush(colour) : Qt::NoBrush);
    painter.drawRect(box);
    painter.setPen(t.quietInk);
    painter.setFont(fonts::drawn(13));
    painter.drawText(QRect(room.left() + 26, room.top() + 2, room.width() - 26, 18), Qt::AlignLeft | Qt::AlignVCenter,
                     gate.label);
    painter.setFont(fonts::drawn(11));
    painter.drawText(QRect(room.left() + 26, room.top() + 2, room.width() - 30, 18), Qt::AlignRight | Qt::AlignVCenter,
                     gate.window);
    painter.setFont(fonts::drawn(24, true));
    painter.setPen(good ? t.ink : colour);
    painter.drawText(QRect(room.left() + 26, room.top() + 18, room.width() - 26, 30), Qt::AlignLeft | Qt::AlignVCenter,
                     gate.value);
    painter.setPen(QPen(t.rule, 1));
    const QRectF bar(room.left() + 26, room.bottom() - 9, room.width() - 30, 3);
    painter.drawLine(QPointF(bar.left(), bar.center().y()), QPointF(bar.right(), bar.center().y()));
    if (gate.share >= 0.0) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(colour);
        painter.drawRect(QRectF(bar.left() + gate.share * (bar.width() - 8), bar.top() - 3, 8, 9));
    }
}

} // namespace hillrun
