// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cut_text.h"

#include "app/board/board.h"
#include "app/look/elided_label.h"
#include "app/look/fields.h"

#include <QAbstractScrollArea>
#include <QCheckBox>
#include <QComboBox>
#include <QPushButton>
#include <QToolButton>

using namespace Qt::StringLiterals;

namespace hillrun::test {
namespace {

/// What is written on a widget, and the room it needs at its present width; a table, a list or a board needs what it
/// was given.
struct Need {
    QString text;
    QSize size;
};

Need needOf(const QWidget& widget) {
    if (const auto* label = qobject_cast<const QLabel*>(&widget)) {
        if (dynamic_cast<const ElidedLabel*>(label) || label->text().isEmpty())
            return {};
        if (label->wordWrap())
            return {label->text(), {label->minimumSizeHint().width(), label->heightForWidth(label->width())}};
        return {label->text(), label->sizeHint()};
    }
    if (const auto* button = qobject_cast<const QAbstractButton*>(&widget)) {
        const QFontMetrics metrics = button->fontMetrics();
        QSize size = metrics.size(Qt::TextShowMnemonic, button->text()) + QSize(8, 2);
        const auto* tool = qobject_cast<const QToolButton*>(button);
        if (tool && tool->toolButtonStyle() == Qt::ToolButtonTextUnderIcon)
            size.rheight() += tool->iconSize().height() + 4;
        if (tool && tool->toolButtonStyle() == Qt::ToolButtonIconOnly)
            return {};
        if (qobject_cast<const QCheckBox*>(button))
            size.rwidth() += 14; // the box and its gap
        return {button->text(), size};
    }
    if (const auto* choice = qobject_cast<const QComboBox*>(&widget)) {
        const int text = choice->fontMetrics().horizontalAdvance(choice->currentText());
        return {choice->currentText(), {text + 24, choice->fontMetrics().height()}};
    }
    if (const auto* field = qobject_cast<const NumberField*>(&widget)) {
        const QFontMetrics metrics = field->fontMetrics();
        return {field->text(), {metrics.horizontalAdvance(field->text()) + 12, metrics.height() + 4}};
    }
    if (qobject_cast<const QAbstractScrollArea*>(&widget) || qobject_cast<const Board*>(&widget))
        return {widget.objectName(), widget.size()};
    return {};
}

/// The part of the widget that its ancestors leave visible, scroll areas taken for as large as what they hold.
QSize shownOf(const QWidget& widget) {
    QRect room = widget.rect();
    const QWidget* inner = &widget;
    for (const QWidget* outer = widget.parentWidget(); outer; outer = outer->parentWidget()) {
        if (inner->isWindow())
            break;
        room.translate(inner->pos());
        const auto* area = qobject_cast<const QAbstractScrollArea*>(outer->parentWidget());
        if (!area || area->viewport() != outer)
            room &= outer->rect();
        inner = outer;
        if (area)
            break; // it can be brought into view
    }
    return room.size();
}

} // namespace

QStringList cutTexts(const QWidget& top) {
    QStringList out;
    for (const QWidget* widget : top.findChildren<QWidget*>()) {
        if (!widget->isVisibleTo(&top) || widget->window() != top.window())
            continue;
        const Need need = needOf(*widget);
        if (need.text.isEmpty())
            continue;
        const QSize shown = shownOf(*widget);
        if (need.size.width() > shown.width() + 1 || need.size.height() > shown.height() + 1)
            out << u"%1 '%2' has %3x%4 of %5x%6"_s.arg(widget->objectName(), need.text.left(40))
                       .arg(shown.width())
                       .arg(shown.height())
                       .arg(need.size.width())
                       .arg(need.size.height());
    }
    return out;
}

} // namespace hillrun::test
