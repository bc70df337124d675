// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/theme.h"
#include "formats/import_files.h"

#include <QTableWidget>

namespace hillrun {

/// A plain table of the import window.
void makePlain(QTableWidget* table, const QString& name, const QStringList& headers);

/// What each column of a file was taken for; each can be changed by itself.
class ColumnTable : public QTableWidget {
    Q_OBJECT
public:
    explicit ColumnTable(const Theme& theme, QWidget* parent = nullptr);
    void show(const GatheredFile& file);
    void clearAll();
    using QWidget::show;

Q_SIGNALS:
    void columnChanged(int index, const hillrun::GatheredColumn& column);

private:
    void showRow(int row, const GatheredFile& file);
    void change(int row, const std::function<void(GatheredColumn&)>& change);

    Theme m_theme;
    std::vector<GatheredColumn> m_columns;
};

} // namespace hillrun
