// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/check/channel_content.h"

#include <QAbstractTableModel>

namespace hillrun {

/// The numbers at the cursor, one row a pull.
class CursorTable : public QAbstractTableModel {
    Q_OBJECT
public:
    explicit CursorTable(Look& look, QObject* parent = nullptr) : QAbstractTableModel(parent), m_look(look) {}
    void setNumbers(CursorNumbers numbers);
    [[nodiscard]] const CursorNumbers& numbers() const { return m_numbers; }
    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] int columnCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    Look& m_look;
    CursorNumbers m_numbers;
};

} // namespace hillrun
