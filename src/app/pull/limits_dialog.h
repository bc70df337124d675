// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/fields.h"
#include "core/day/test_day.h"

#include <QDialog>
#include <QGridLayout>

namespace hillrun {

/// Edits what is watched while a pull runs. An empty field: not watched.
class LimitsDialog : public QDialog {
    Q_OBJECT
public:
    LimitsDialog(const Article& article, QWidget* parent);
    /// Nothing when they are the usual ones.
    [[nodiscard]] std::optional<std::vector<WatchLimit>> limits() const;

private:
    struct Row {
        WatchLimit limit;
        NumberField* field;
    };
    void addRow(QGridLayout& grid, const WatchLimit& limit, std::optional<double> value, std::optional<double> usual);
    void showUsual();

    std::vector<WatchLimit> m_usual;
    std::vector<Row> m_rows;
};

} // namespace hillrun
