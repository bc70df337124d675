// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/document/day_document.h"
#include "app/look/fields.h"
#include "app/workbench/keep_row.h"
#include "core/plan/cell_checks.h"

#include <filesystem>
#include <QGridLayout>

namespace hillrun {

/// What the dyno showed off the straight line, against the torque that was hung: going up and coming down.
BoardContent loadCellBoard(const LoadCellResult& result, const Theme& theme);
/// "zero 0.12 N·m (±0.05) · straight within 0.08 % ...", a figure a line.
QStringList loadCellFigures(const LoadCellResult& result);

/// The load cell under masses on an arm: typed in as they are hung, kept with the day's cell when asked.
class LoadCellPanel : public QWidget {
    Q_OBJECT
public:
    LoadCellPanel(DayDocument& document, Look& look, QWidget* parent);
    /// Another card below the answer.
    void addBelow(QWidget* part);
    [[nodiscard]] LoadCellCheck check() const;

private:
    struct Row {
        NumberField* mass = nullptr;
        NumberField* read = nullptr;
    };
    QWidget* makeEntry();
    QWidget* makeAnswer();
    void addRow();
    void takeDay();
    void refresh();
    void keep();
    void clear();

    DayDocument& m_document;
    Look& m_look;
    std::optional<LoadCellCheck> m_ofDay; ///< as it was shown last
    std::filesystem::path m_shownDay;
    NumberField *m_arm = nullptr, *m_armWithin = nullptr, *m_massWithin = nullptr, *m_gravity = nullptr;
    QGridLayout* m_grid = nullptr;
    QVBoxLayout* m_right = nullptr;
    std::vector<Row> m_rows;
    QLabel *m_answer = nullptr, *m_means = nullptr, *m_figures = nullptr;
    Board* m_board = nullptr;
    KeepRow* m_kept = nullptr;
};

} // namespace hillrun
