// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/check/cursor_table.h"

namespace hillrun {

void CursorTable::setNumbers(CursorNumbers numbers) {
    const bool sameShape = numbers.columns == m_numbers.columns && numbers.rows.size() == m_numbers.rows.size();
    if (!sameShape)
        beginResetModel();
    m_numbers = std::move(numbers);
    if (!sameShape)
        endResetModel();
    else if (rowCount() > 0)
        Q_EMIT dataChanged(index(0, 0), index(rowCount() - 1, columnCount() - 1));
}

int CursorTable::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(m_numbers.rows.size());
}

int CursorTable::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(m_numbers.columns.size());
}

QVariant CursorTable::data(const QModelIndex& index, int role) const {
    if (!index.isValid() || index.row() >= rowCount())
        return {};
    const CursorNumbers::Row& row = m_numbers.rows[static_cast<size_t>(index.row())];
    switch (role) {
    case Qt::DisplayRole:
        return row.cells.value(index.column());
    case Qt::TextAlignmentRole:
        return QVariant::fromValue(Qt::AlignVCenter | (index.column() == 0 ? Qt::AlignLeft : Qt::AlignRight));
    case Qt::FontRole:
        return fonts::numbers(12, index.row() == 0);
    case Qt::ForegroundRole:
        if (index.column() == 0)
            return m_look.theme().asText(m_look.theme().build(row.build));
        return row.used ? m_look.theme().ink : m_look.theme().quietInk;
    default:
        return {};
    }
}

QVariant CursorTable::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal)
        return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(Qt::AlignVCenter | (section == 0 ? Qt::AlignLeft : Qt::AlignRight));
    return role == Qt::DisplayRole ? QVariant(m_numbers.columns.value(section)) : QVariant();
}

} // namespace hillrun
