// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/compare/compare_content.h"
#include "app/look/theme.h"

#include <QAbstractTableModel>

namespace hillrun {

/// The bands table: range, difference with interval, per cent, what it says.
class BandModel : public QAbstractTableModel {
    Q_OBJECT
public:
    enum Column { Range, Difference, Percent, Says, ColumnCount };
    explicit BandModel(Look& look, QObject* parent = nullptr) : QAbstractTableModel(parent), m_look(look) {}
    void setRows(std::vector<BandRow> rows);
    [[nodiscard]] const BandRow* rowAt(int row) const;

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] int columnCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    Look& m_look;
    std::vector<BandRow> m_rows;
};

} // namespace hillrun
