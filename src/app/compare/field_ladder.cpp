// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/field_ladder.h"

#include "app/board/gain_ribbon.h"
#include "app/look/scale.h"
#include "app/look/words.h"
#include "core/compare/sentence.h"

#include <algorithm>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QPainter>
#include <QToolTip>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kRow = 26;
constexpr int kNarrowRow = 22; ///< of many builds: the curves above need room
constexpr size_t kManyRows = 7;
constexpr int kLead = 26;

constexpr double kAroundText = 10.0;

/// The builds, or how many they are, or nothing.
QString fittingText(const LeadPart& part, const QFontMetrics& metrics, double width) {
    for (const QString& text : {part.builds, FieldLadder::tr("%1 builds").arg(part.count)})
        if (metrics.horizontalAdvance(text) <= width)
            return text;
    return {};
}

} // namespace

int FieldLadder::figureWidth() { return px(280); }

FieldLadder::FieldLadder(Look& look, QWidget* parent) : QWidget(parent), m_look(look) {
    setObjectName(u"fieldLadder"_s);
    setAccessibleName(tr("Ribbon ladder: each build against the base"));
    setFocusPolicy(Qt::StrongFocus);
    connect(&m_look, &Look::changed, this, [this] { update(); });
}

void FieldLadder::setContent(Content content, const std::string& chosen) {
    m_content = std::move(content);
    m_chosen = chosen;
    setFixedHeight(px(kLead) + rowHeight() * std::max(1, static_cast<int>(m_content.rows.size())) + px(6));
    update();
}

QRect FieldLadder::leadRoom() const { return {0, 0, width(), px(kLead)}; }

int FieldLadder::rowHeight() const { return px(m_content.rows.size() > kManyRows ? kNarrowRow : kRow); }

QRect FieldLadder::rowRoom(int row) const { return {0, px(kLead) + px(4) + row * rowHeight(), width(), rowHeight()}; }

int FieldLadder::rowAt(const QPoint& place) const {
    for (int row = 0; row < static_cast<int>(m_content.rows.size()); ++row)
        if (rowRoom(row).contains(place))
            return row;
    return -1;
}

int FieldLadder::chosenRow() const {
    const auto at =
        std::find_if(m_content.rows.begin(), m_content.rows.end(), [&](const auto& r) { return r.build == m_chosen; });
    return at == m_content.rows.end() ? -1 : static_cast<int>(at - m_content.rows.begin());
}

void FieldLadder::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), m_look.theme().panel);
    paintLeads(painter);
    for (int row = 0; row < static_cast<int>(m_content.rows.size()); ++row)
        paintRow(painter, row);
    if (hasFocus()) {
        painter.setPen(QPen(m_look.theme().mark, 1.0, Qt::DotLine));
        painter.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

/// Solid in the build's colour where one is proven to lead, hatched where several may.
void FieldLadder::paintLeads(QPainter& painter) const {
    const Theme& t = m_look.theme();
    const QRect room = leadRoom();
    painter.setFont(fonts::text(11));
    painter.setPen(t.quietInk);
    painter.drawText(QRect(px(4), room.top(), Board::leftMargin() - px(8), room.height()),
                     Qt::AlignLeft | Qt::AlignVCenter, m_content.leads.empty() ? QString() : tr("leads"));
    const RpmRange& axis = m_content.axis;
    if (!(axis.high > axis.low))
        return;
    const QRectF strip =
        QRectF(room).adjusted(Board::leftMargin(), px(4), -Board::rightMargin() - figureWidth(), -px(4));
    const auto xOf = [&](double rpm) {
        return strip.left() +
               strip.width() * (std::clamp(rpm, axis.low, axis.high) - axis.low) / (axis.high - axis.low);
    };
    painter.setFont(fonts::text(11, true));
    for (const LeadPart& part : m_content.leads) {
        const double from = xOf(part.range_rpm.low - m_content.step_rpm / 2);
        const QRectF box(from, strip.top(), xOf(part.range_rpm.high + m_content.step_rpm / 2) - from, strip.height());
        painter.fillRect(box, part.proven ? QBrush(t.build(*part.proven)) : QBrush(t.unresolved, Qt::BDiagPattern));
        painter.fillRect(QRectF(box.right() - 1.0, box.top(), 1.0, box.height()), t.rule); // where the builds change
        const QString text = fittingText(part, painter.fontMetrics(), box.width() - kAroundText);
        if (text.isEmpty())
            continue;
        const double needed = painter.fontMetrics().horizontalAdvance(text) + kAroundText;
        if (!part.proven)
            painter.fillRect(QRectF(box.center().x() - needed / 2, box.top(), needed, box.height()), t.panel);
        painter.setPen(!part.proven ? t.quietInk : t.dark ? t.ground : t.panel);
        painter.drawText(box, Qt::AlignCenter, text);
    }
    painter.setFont(fonts::text(11));
    painter.setPen(t.quietInk);
    painter.drawText(QRect(width() - figureWidth(), room.top(), figureWidth() - px(8), room.height()),
                     Qt::AlignLeft | Qt::AlignVCenter, tr("over the base, for the use"));
}

void FieldLadder::paintRow(QPainter& painter, int number) const {
    const Theme& t = m_look.theme();
    const FieldRow& row = m_content.rows[static_cast<size_t>(number)];
    const QRect room = rowRoom(number);
    if (row.build == m_chosen)
        paintChosen(painter, room, t);
    painter.setFont(fonts::text(13, true));
    painter.setPen(t.asText(t.build(row.number)));
    const QRect letter(px(8), room.top(), Board::leftMargin() - px(12), room.height());
    painter.drawText(letter, Qt::AlignLeft | Qt::AlignVCenter,
                     painter.fontMetrics().elidedText(qs(row.build), Qt::ElideRight, letter.width()));
    const QRectF ribbon =
        QRectF(room).adjusted(Board::leftMargin(), px(4), -Board::rightMargin() - figureWidth(), -px(4));
    if (row.base)
        painter.fillRect(QRectF(ribbon.left(), ribbon.center().y(), ribbon.width(), 1.0), t.quietInk);
    paintRegions(painter, ribbon, {row.regions, m_content.axis, m_content.step_rpm, m_content.asMore}, t);
    QRect right(width() - figureWidth(), room.top(), figureWidth() - px(8), room.height());
    painter.setFont(fonts::numbers(13));
    painter.setPen(t.ink);
    painter.drawText(right, Qt::AlignLeft | Qt::AlignVCenter, row.gain);
    painter.setFont(fonts::text(13, row.mayBeBest));
    painter.setPen(row.mayBeBest ? t.asText(t.mark) : t.quietInk);
    painter.drawText(right, Qt::AlignRight | Qt::AlignVCenter, row.verdict);
}

void FieldLadder::mousePressEvent(QMouseEvent* event) {
    if (const int row = rowAt(event->position().toPoint()); row >= 0)
        chooseSpoken(row + 1);
}

void FieldLadder::mouseDoubleClickEvent(QMouseEvent* event) {
    if (const int row = rowAt(event->position().toPoint()); row >= 0)
        Q_EMIT opened(m_content.rows[static_cast<size_t>(row)].build);
}

void FieldLadder::keyPressEvent(QKeyEvent* event) {
    const int last = static_cast<int>(m_content.rows.size()) - 1;
    int row = chosenRow();
    switch (event->key()) {
    case Qt::Key_Up:
        row = std::max(0, row - 1);
        break;
    case Qt::Key_Down:
        row = std::min(last, row + 1);
        break;
    case Qt::Key_Home:
        row = 0;
        break;
    case Qt::Key_End:
        row = last;
        break;
    case Qt::Key_Return:
    case Qt::Key_Enter:
        if (row >= 0)
            Q_EMIT opened(m_chosen);
        return;
    default:
        QWidget::keyPressEvent(event);
        return;
    }
    chooseSpoken(row + 1);
}

/// The lead strip says what does not fit into it.
bool FieldLadder::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip)
        return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    const int row = rowAt(help->pos());
    QToolTip::showText(help->globalPos(), spokenItem(row + 1), this);
    return true;
}

QString FieldLadder::spokenItem(int index) const {
    if (index <= 0) {
        QStringList parts;
        for (const LeadPart& part : m_content.leads)
            parts << (part.proven ? tr("%1 leads from %2 to %3 rpm") : tr("%1 may lead from %2 to %3 rpm"))
                         .arg(part.builds, qs(rpmText(part.range_rpm.low)), qs(rpmText(part.range_rpm.high)));
        return parts.isEmpty() ? tr("nothing to show") : parts.join(u"; "_s);
    }
    if (index > static_cast<int>(m_content.rows.size()))
        return {};
    const FieldRow& row = m_content.rows[static_cast<size_t>(index - 1)];
    const QString said = tr("%1: %2, %3").arg(qs(row.build), row.gain, row.verdict);
    return row.base ? said : said + u"; "_s + spokenRegions(row.regions, m_content.asMore);
}

QRect FieldLadder::spokenRect(int index) const { return index <= 0 ? leadRoom() : rowRoom(index - 1); }

bool FieldLadder::spokenChosen(int index) const { return index > 0 && chosenRow() == index - 1; }

void FieldLadder::chooseSpoken(int index) {
    if (index > 0 && index <= static_cast<int>(m_content.rows.size()))
        Q_EMIT chosen(m_content.rows[static_cast<size_t>(index - 1)].build);
}

} // namespace hillrun
