// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/selection.h"
#include "app/look/theme.h"

#include <QStyledItemDelegate>

namespace hillrun {

struct FoundDay;

/// Draws a day of the logbook: its curves in small, name and date, what it is of, and its sentence.
class DayRow : public QStyledItemDelegate {
    Q_OBJECT
public:
    DayRow(Look& look, const Selection& selection, QObject* parent)
        : QStyledItemDelegate(parent), m_look(look), m_selection(selection) {}
    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

private:
    void paintCurves(QPainter& painter, const QRect& room, const FoundDay& day) const;
    void paintWords(QPainter& painter, const QRect& room, const FoundDay& day) const;
    Look& m_look;
    const Selection& m_selection;
};

} // namespace hillrun
