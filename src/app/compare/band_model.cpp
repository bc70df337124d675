// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/compare/band_model.h"

namespace hillrun {

void BandModel::setRows(std::vector<BandRow> rows) {
    if (rows == m_rows)
        return;
    beginResetModel();
    m_rows = std::move(rows);
    endResetModel();
}

const BandRow* BandModel::rowAt(int row) const {
    return row >= 0 && row < static_cast<int>(m_rows.size()) ? &m_rows[static_cast<size_t>(row)] : nullptr;
}

int BandModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(m_rows.size());
}

int BandModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QVariant BandModel::data(const QModelIndex& index, int role) const {
    const BandRow* row = rowAt(index.row());
    if (!row || !index.isValid())
        return {};
    if (role == Qt::DisplayRole) {
        const QString cells[] = {row->range, row->difference, row->percent, claimText(row->claim, row->asMore)};
        return cells[index.column()];
    }
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(
            Qt::AlignVCenter | (index.column() == Range || index.column() == Says ? Qt::AlignLeft : Qt::AlignRight));
    if (role == Qt::FontRole)
        return index.column() == Says ? fonts::text(13) : fonts::numbers(12, index.row() == 0);
    if (role == Qt::ForegroundRole && index.column() == Says) {
        const Theme& t = m_look.theme();
        return row->asMore                 ? t.ink
               : row->claim == Claim::Gain ? t.gain
                                           : (row->claim == Claim::Loss ? t.loss : t.quietInk);
    }
    if (role == Qt::ToolTipRole)
        return row->asked >= 0 ? tr("Added by you. Delete removes it.")
                               : tr("Always shown: the whole common range, then its thirds.");
    return {};
}

QVariant BandModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal)
        return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(Qt::AlignVCenter |
                                   (section == Range || section == Says ? Qt::AlignLeft : Qt::AlignRight));
    if (role != Qt::DisplayRole)
        return {};
    switch (section) {
    case Range:
        return tr("from\u2013to, rpm");
    case Difference:
        return tr("difference");
    case Percent:
        return tr("share");
    case Says:
        return tr("says");
    default:
        return {};
    }
}

} // namespace hillrun
