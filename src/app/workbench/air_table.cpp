// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/workbench/air_table.h"

#include "app/look/words.h"

using namespace Qt::StringLiterals;

namespace hillrun {

void AirTable::setAnswer(AirAnswer answer) {
    const bool sameShape = answer.rows.size() == m_answer.rows.size();
    if (!sameShape)
        beginResetModel();
    m_answer = std::move(answer);
    if (!sameShape)
        endResetModel();
    else if (rowCount() > 0)
        Q_EMIT dataChanged(index(0, 0), index(rowCount() - 1, ColumnCount - 1));
}

int AirTable::rowOf(Standard standard) const {
    for (int row = 0; row < rowCount(); ++row)
        if (m_answer.rows[static_cast<size_t>(row)].id == standard)
            return row;
    return -1;
}

std::optional<Standard> AirTable::standardAt(int row) const {
    return row >= 0 && row < rowCount() ? std::optional(m_answer.rows[static_cast<size_t>(row)].id) : std::nullopt;
}

int AirTable::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(m_answer.rows.size());
}

int AirTable::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QString AirTable::cell(const AirRow& row, int column) const {
    if (column == Name)
        return QString::fromUtf8(standardInfo(row.id).title);
    if (column == Says)
        return !row.factor                                               ? tr("no factor")
               : row.id == Standard::Uncorrected                         ? QString()
               : !row.factor->withinValidity                             ? tr("outside its range")
               : !row.factor->validityNotes.empty()                      ? tr("look at the reading")
               : validityRange(row.id, m_answer.engine.ignition).empty() ? tr("no range known")
                                                                         : tr("in range");
    if (!row.factor)
        return u"\u2013"_s;
    switch (column) {
    case Factor:
        return numberText(row.factor->factor, 4);
    case Whole:
        return percentText(100.0 * (row.factor->factor - 1.0));
    case Pressure:
        return percentText(row.terms.pressure_pct);
    case Humidity:
        return percentText(row.terms.humidity_pct);
    default:
        return percentText(row.terms.temperature_pct);
    }
}

QVariant AirTable::data(const QModelIndex& index, int role) const {
    if (!index.isValid() || index.row() >= rowCount())
        return {};
    const AirRow& row = m_answer.rows[static_cast<size_t>(index.row())];
    const int column = index.column();
    switch (role) {
    case Qt::DisplayRole:
        return cell(row, column);
    case Qt::ToolTipRole:
        return standardWords(m_answer, row.id);
    case Qt::TextAlignmentRole:
        return QVariant::fromValue(Qt::AlignVCenter |
                                   (column == Name || column == Says ? Qt::AlignLeft : Qt::AlignRight));
    case Qt::FontRole:
        return column == Name || column == Says ? fonts::text(13) : fonts::numbers(13, column == Factor);
    case Qt::ForegroundRole:
        if (column == Says && (!row.factor || !row.factor->withinValidity || !row.factor->validityNotes.empty()))
            return m_look.theme().warning;
        return column == Says ? m_look.theme().quietInk : m_look.theme().ink;
    default:
        return {};
    }
}

QVariant AirTable::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal)
        return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(Qt::AlignVCenter |
                                   (section == Name || section == Says ? Qt::AlignLeft : Qt::AlignRight));
    if (role != Qt::DisplayRole)
        return {};
    const QString names[] = {tr("standard"),    tr("factor"),         tr("on power"), tr("by pressure"),
                             tr("by humidity"), tr("by temperature"), tr("says")};
    return section >= 0 && section < ColumnCount ? names[section] : QString();
}

} // namespace hillrun
