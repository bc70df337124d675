// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/look/theme.h"

#include <QAbstractTableModel>
#include <QStyledItemDelegate>

namespace hillrun {

/// The pulls of the day in order of time, set by set.
class PullModel : public QAbstractTableModel {
    Q_OBJECT
public:
    enum Column { Name, Time, Mean, FromSet, Remarks, ColumnCount };
    enum Role { BuildRole = Qt::UserRole, UsedRole, NewSetRole, FlaggedRole };
    PullModel(DayDocument& document, Selection& selection, QObject* parent = nullptr);

    [[nodiscard]] std::string pullAt(int row) const;
    [[nodiscard]] int rowOf(const std::string& pull) const;
    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] int columnCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
    [[nodiscard]] QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    void rebuild();
    [[nodiscard]] QString cell(const Pull& pull, const PullResult* result, int column) const;

    DayDocument& m_document;
    Selection& m_selection;
    std::vector<size_t> m_order; ///< pulls of the day in time order
    std::vector<int> m_sets;
};

/// Draws the build's colour at the front of a row, hollow for pulls left out, and a rule above each new set.
class PullDelegate : public QStyledItemDelegate {
    Q_OBJECT
public:
    explicit PullDelegate(Look& look, QObject* parent = nullptr) : QStyledItemDelegate(parent), m_look(look) {}
    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;

private:
    Look& m_look;
};

} // namespace hillrun
