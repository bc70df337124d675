// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/credit/part_table.h"

#include "app/board/gain_ribbon.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <algorithm>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QPainter>
#include <QToolTip>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kRow = 72;
constexpr int kPlainRow = 54; ///< without a ribbon
const QString kBetween = u" \u00B7 "_s;

/// What stands in the third line.
QString besides(const PartRow& row) {
    QStringList out;
    for (const QString& one : {row.when, row.share, row.price, row.mass, row.expected})
        if (!one.isEmpty())
            out << one;
    return out.join(kBetween);
}

} // namespace

PartTable::PartTable(Look& look, QWidget* parent) : QWidget(parent), m_look(look) {
    setObjectName(u"partTable"_s);
    setAccessibleName(tr("What each part gives"));
    setFocusPolicy(Qt::StrongFocus);
    connect(&m_look, &Look::changed, this, [this] { update(); });
}

void PartTable::setRows(std::vector<PartRow> rows, size_t chosen, const RpmRange& axis, double step_rpm) {
    m_rows = std::move(rows);
    m_chosen = chosen;
    m_axis = axis;
    m_step_rpm = step_rpm;
    setFixedHeight(rowHeight() * std::max(1, spokenCount()));
    update();
}

int PartTable::rowHeight() const {
    const bool ribbons = std::any_of(m_rows.begin(), m_rows.end(), [](const PartRow& r) { return !r.regions.empty(); });
    return px(ribbons ? kRow : kPlainRow);
}

void PartTable::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_look.theme().panel);
    for (int row = 0; row < spokenCount(); ++row)
        paintRow(painter, row);
    if (hasFocus()) {
        painter.setPen(QPen(m_look.theme().mark, 1.0, Qt::DotLine));
        painter.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

void PartTable::paintRow(QPainter& painter, int number) const {
    const Theme& t = m_look.theme();
    const PartRow& row = m_rows[static_cast<size_t>(number)];
    const QRect room = spokenRect(number);
    if (spokenChosen(number))
        paintChosen(painter, room, t);
    const QRect inner = room.adjusted(px(10), px(5), -px(10), -px(5));
    painter.setFont(fonts::numbers(17, true));
    const int figure = painter.fontMetrics().horizontalAdvance(row.gain) + px(4);
    const QRect first(inner.left(), inner.top(), inner.width(), px(24));
    painter.setPen(row.mark == GainMark::Open ? t.quietInk : t.asText(row.mark == GainMark::Gain ? t.gain : t.loss));
    painter.drawText(first, Qt::AlignRight | Qt::AlignVCenter, row.gain);
    painter.setFont(fonts::text(15, true));
    painter.setPen(t.ink);
    const QRect name = first.adjusted(0, 0, -figure - px(8), 0);
    painter.drawText(name, Qt::AlignLeft | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(row.name, Qt::ElideRight, name.width()));
    const QRectF ribbon(inner.left(), first.bottom() + px(4), inner.width(), px(12));
    paintRegions(painter, ribbon, {row.regions, m_axis, m_step_rpm}, t);
    painter.setFont(fonts::text(11));
    painter.setPen(t.quietInk);
    const QRect last(inner.left(), inner.bottom() - px(17), inner.width(), px(18));
    painter.drawText(last, Qt::AlignRight | Qt::AlignVCenter, row.percent);
    const int taken = row.percent.isEmpty() ? 0 : painter.fontMetrics().horizontalAdvance(row.percent) + px(8);
    painter.drawText(last, Qt::AlignLeft | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(besides(row), Qt::ElideRight, last.width() - taken));
}

QString PartTable::spokenItem(int index) const {
    if (index < 0 || index >= spokenCount())
        return {};
    const PartRow& row = m_rows[static_cast<size_t>(index)];
    QString out = u"%1: %2"_s.arg(row.name, row.gain);
    if (const QString more = besides(row); !more.isEmpty())
        out += u"; "_s + more;
    if (!row.regions.empty())
        out += u"; "_s + spokenRegions(row.regions);
    return out;
}

QRect PartTable::spokenRect(int index) const { return {0, rowHeight() * index, width(), rowHeight()}; }

void PartTable::chooseSpoken(int index) {
    if (index >= 0 && index < spokenCount())
        Q_EMIT chosen(static_cast<size_t>(index));
}

void PartTable::mousePressEvent(QMouseEvent* event) {
    chooseSpoken(static_cast<int>(event->position().y()) / rowHeight());
}

void PartTable::keyPressEvent(QKeyEvent* event) {
    const int now = static_cast<int>(m_chosen);
    if (event->key() == Qt::Key_Up)
        chooseSpoken(now - 1);
    else if (event->key() == Qt::Key_Down)
        chooseSpoken(now + 1);
    else if (event->key() == Qt::Key_Home)
        chooseSpoken(0);
    else if (event->key() == Qt::Key_End)
        chooseSpoken(spokenCount() - 1);
    else
        QWidget::keyPressEvent(event);
}

bool PartTable::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip)
        return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    QToolTip::showText(help->globalPos(), spokenItem(help->pos().y() / rowHeight()), this);
    return true;
}

} // namespace hillrun
