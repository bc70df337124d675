// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"

#include <QAbstractTableModel>

namespace hillrun {

/// The builds as a matrix: a column a build, a row a part, setting or figure. Cells that differ from the base's say so
/// through DiffersRole. Every change is an undoable edit of the day.
class BuildModel : public QAbstractTableModel {
    Q_OBJECT
public:
    enum Role { DiffersRole = Qt::UserRole + 1, BuildRole };
    enum class Row { Name, Part, Setting, Cost, Mass, Note, Attachments };

    explicit BuildModel(DayDocument& document, QObject* parent = nullptr);

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role = Qt::DisplayRole) const override;
    bool setData(const QModelIndex& index, const QVariant& value, int role = Qt::EditRole) override;
    QVariant headerData(int section, Qt::Orientation orientation, int role = Qt::DisplayRole) const override;
    Qt::ItemFlags flags(const QModelIndex& index) const override;

    [[nodiscard]] Row kindOf(int row) const;
    [[nodiscard]] std::string nameOf(int row) const; ///< of a part or setting
    /// Edits. A new build copies the given one; the base cannot be removed, nor a build that has pulls.
    void addBuild(int copyOf);
    [[nodiscard]] bool mayRemoveBuild(int column) const;
    void removeBuild(int column);
    /// What a part or setting acts on; nothing for other rows.
    [[nodiscard]] std::optional<PartRole> roleOfRow(int row) const;
    void setRole(int row, PartRole role);
    void addRow(bool part, const QString& name);
    [[nodiscard]] bool mayRemoveRow(int row) const;
    void removeRow(int row);
    void attach(int column, const std::vector<std::string>& files);

private:
    struct RowInfo {
        Row kind = Row::Name;
        std::string name;
        bool operator==(const RowInfo&) const = default;
    };
    void takeRows();
    [[nodiscard]] QString text(const Build& build, const RowInfo& row) const;
    DayDocument& m_document;
    std::vector<RowInfo> m_rows;
    int m_columns = 0;
};

} // namespace hillrun
