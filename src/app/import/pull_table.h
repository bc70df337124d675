// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/theme.h"
#include "formats/import_files.h"

#include <QTableWidget>

namespace hillrun {

/// A line of the table: a pull of a file, or a file that cannot be read yet.
struct PullRow {
    size_t file = 0;
    size_t pull = 0;
    bool readable = true;
};
std::vector<PullRow> pullRows(const std::vector<ImportFile>& files);

/// The last part of a file's name, as it is shown.
QString shortName(const ImportFile& file);

/// The pulls of all files: whether they are used, their build, what they are.
class PullTable : public QTableWidget {
    Q_OBJECT
public:
    PullTable(const TestDay& day, const Theme& theme, QWidget* parent = nullptr);
    void show(const std::vector<ImportFile>& files);
    using QWidget::show;
    void pick(size_t file, size_t pull);

Q_SIGNALS:
    void picked(size_t file, size_t pull);
    void useChanged(size_t file, size_t pull, bool use);
    void buildChanged(size_t file, size_t pull, const QString& build);

private:
    void fillRow(int row, const ImportFile& file);
    void fillPull(int row, const ImportFile& file, const GatheredPull& pull, QTableWidgetItem* name);
    [[nodiscard]] QWidget* buildBox(const PullRow& at, const std::string& chosen);

    const TestDay& m_day;
    Theme m_theme;
    std::vector<PullRow> m_rows;
};

} // namespace hillrun
