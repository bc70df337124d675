// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/logbook/day_row.h"

#include "app/logbook/found_days.h"
#include "app/look/scale.h"
#include "app/look/words.h"

#include <QPainterPath>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kHeight = 66;
constexpr int kCurves = 108;

} // namespace

QSize DayRow::sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const { return {px(400), px(kHeight)}; }

void DayRow::paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const {
    const FoundDay* day = static_cast<const FoundDays*>(index.model())->at(index);
    if (!day)
        return;
    const Theme& t = m_look.theme();
    painter->save();
    painter->setRenderHint(QPainter::Antialiasing);
    painter->fillRect(option.rect, t.panel);
    if (option.state & QStyle::State_Selected)
        paintChosen(*painter, option.rect, t);
    painter->setPen(t.rule);
    painter->drawLine(option.rect.bottomLeft(), option.rect.bottomRight());
    const QRect room = option.rect.adjusted(px(12), px(6), -px(12), -px(6));
    paintCurves(*painter, QRect(room.left(), room.top(), px(kCurves), room.height()), *day);
    paintWords(*painter, room.adjusted(px(kCurves + 14), 0, 0, 0), *day);
    painter->restore();
}

void DayRow::paintCurves(QPainter& painter, const QRect& room, const FoundDay& day) const {
    float low = std::numeric_limits<float>::infinity();
    float high = -low;
    for (const auto& [build, curve] : day.thumbnail)
        for (const float power : curve)
            if (power > 0.0F) {
                low = std::min(low, power);
                high = std::max(high, power);
            }
    if (!(high > low))
        return;
    size_t number = 0;
    for (const auto& [build, curve] : day.thumbnail) { // in the order of their letters, as everywhere
        QPainterPath path;
        for (size_t i = 0; i < curve.size(); ++i) {
            if (!(curve[i] > 0.0F))
                continue;
            const double x =
                room.left() + room.width() * static_cast<double>(i) / static_cast<double>(curve.size() - 1);
            const double y = room.bottom() - room.height() * static_cast<double>((curve[i] - low) / (high - low));
            path.elementCount() == 0 ? path.moveTo(x, y) : path.lineTo(x, y);
        }
        painter.setPen(QPen(m_look.theme().build(number++), 1.4));
        painter.drawPath(path);
    }
}

void DayRow::paintWords(QPainter& painter, const QRect& room, const FoundDay& day) const {
    const Theme& t = m_look.theme();
    const int line = room.height() / 3;
    const auto write = [&](const QRect& where, const QFont& font, const QColor& colour, const QString& text,
                           Qt::Alignment side = Qt::AlignLeft) {
        painter.setFont(font);
        painter.setPen(colour);
        painter.drawText(where, static_cast<int>(side | Qt::AlignVCenter),
                         QFontMetrics(font).elidedText(text, Qt::ElideRight, where.width()));
    };
    const QString power = day.peak_kw ? powerFigure(1000.0 * *day.peak_kw, m_selection.units()) : QString();
    const int figure = QFontMetrics(fonts::numbers(13)).horizontalAdvance(power) + px(10);
    const int date = px(92);
    write(QRect(room.left(), room.top(), date, line), fonts::numbers(13), t.quietInk, dateText(day));
    write(QRect(room.left() + date, room.top(), room.width() - date - figure, line), fonts::text(13, true), t.ink,
          nameText(day));
    write(QRect(room.right() - figure, room.top(), figure, line), fonts::numbers(13), t.ink, power, Qt::AlignRight);
    QStringList facts{qs(day.article), qs(day.operatorName)};
    for (const FoundBuild& build : day.builds)
        facts << qs(build.text());
    facts.removeAll(QString());
    write(QRect(room.left(), room.top() + line, room.width(), line), fonts::text(12), t.quietInk,
          facts.join(u" \u00B7 "_s));
    write(QRect(room.left(), room.top() + 2 * line, room.width(), line), fonts::text(13), t.ink,
          qs(answerText(day, currentVoice().in(m_selection.units()))));
}

} // namespace hillrun
