// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/workbench/air_content.h"

#include <QAbstractTableModel>

namespace hillrun {

/// All standards for one condition: factor, what it does to power, and what each reading contributes.
class AirTable : public QAbstractTableModel {
    Q_OBJECT
public:
    enum Column { Name, Factor, Whole, Pressure, Humidity, Temperature, Says, ColumnCount };
    explicit AirTable(Look& look, QObject* parent = nullptr) : QAbstractTableModel(parent), m_look(look) {}
    void setAnswer(AirAnswer answer);
    [[nodiscard]] int rowOf(Standard standard) const;
    [[nodiscard]] std::optional<Standard> standardAt(int row) const;
    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] int columnCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    [[nodiscard]] QString cell(const AirRow& row, int column) const;
    Look& m_look;
    AirAnswer m_answer;
};

} // namespace hillrun
