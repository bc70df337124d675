// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/wrap_layout.h"

#include <algorithm>
#include <QWidget>

namespace hillrun {

WrapLayout::~WrapLayout() { qDeleteAll(m_items); }

QLayoutItem* WrapLayout::takeAt(int index) {
    return index >= 0 && index < m_items.size() ? m_items.takeAt(index) : nullptr;
}

QList<WrapLayout::Row> WrapLayout::rows(int width) const {
    QList<Row> out;
    for (QLayoutItem* item : m_items) {
        if (item->isEmpty())
            continue;
        const QSize size = item->sizeHint().expandedTo(item->minimumSize());
        if (out.isEmpty() || out.last().width + m_gap + size.width() > width)
            out.append(Row());
        Row& row = out.last();
        row.width += (row.items.isEmpty() ? 0 : m_gap) + size.width();
        row.height = std::max(row.height, size.height());
        row.items.append(item);
    }
    return out;
}

int WrapLayout::heightForWidth(int width) const {
    const QMargins margins = contentsMargins();
    int height = margins.top() + margins.bottom();
    const QList<Row> all = rows(width - margins.left() - margins.right());
    for (const Row& row : all)
        height += row.height;
    return height + m_gap * static_cast<int>(std::max<qsizetype>(0, all.size() - 1));
}

QSize WrapLayout::sizeHint() const {
    QSize out;
    for (const Row& row : rows(QLAYOUTSIZE_MAX))
        out = {row.width, row.height};
    const QMargins margins = contentsMargins();
    return out + QSize(margins.left() + margins.right(), margins.top() + margins.bottom());
}

/// One widget a row is the least; how high that becomes is said by heightForWidth.
QSize WrapLayout::minimumSize() const {
    QSize out;
    for (const QLayoutItem* item : m_items)
        if (!item->isEmpty())
            out = out.expandedTo(item->sizeHint().expandedTo(item->minimumSize()));
    const QMargins margins = contentsMargins();
    return out + QSize(margins.left() + margins.right(), margins.top() + margins.bottom());
}

void WrapRow::resizeEvent(QResizeEvent* event) {
    setMinimumHeight(m_row->heightForWidth(width()));
    QWidget::resizeEvent(event);
}

void WrapLayout::setGeometry(const QRect& room) {
    QLayout::setGeometry(room);
    const QRect inner = room.marginsRemoved(contentsMargins());
    int y = inner.top();
    const QList<Row> all = rows(inner.width());
    for (const Row& row : all) {
        const bool first = &row == &all.first();
        int x = inner.left() + (m_titled && !first ? std::max(0, inner.width() - row.width) : 0);
        for (QLayoutItem* item : row.items) {
            const QSize size = item->sizeHint().expandedTo(item->minimumSize());
            const int width = std::min(size.width(), inner.width());
            item->setGeometry({x, y, width, row.height});
            x += width + m_gap;
            if (m_titled && first && item == row.items.first()) // what stands beside the title keeps to the right
                x += std::max(0, inner.width() - row.width);
        }
        y += row.height + m_gap;
    }
}

} // namespace hillrun
