// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/document/logbook_link.h"
#include "core/history/cell_history.h"

#include <QComboBox>
#include <QLabel>

namespace hillrun {

/// What a cell has taught, as far as it can be shown without its records.
struct CellShown {
    int days = 0;
    std::optional<CellFigure> repeatability, refit, dayToDay;
    std::optional<BuildOfDay> reference;
    std::vector<ReferenceRun> runs;
    ControlChart chart;
    std::vector<DatedCheck> checks;
};

/// The reference build's levels in order of time, and below the two sums of the control chart.
BoardContent levelBoard(const CellShown& cell, const Theme& theme);
BoardContent sumBoard(const CellShown& cell, const Theme& theme);
/// The state of the cell in one sentence, and what it has taught in lines.
QString cellSentence(const CellShown& cell);
QString cellLines(const CellShown& cell);

/// The Cell tab.
class CellPanel : public QWidget {
    Q_OBJECT
public:
    CellPanel(LogbookLink& link, Look& look, QWidget* parent);
    void refresh();

Q_SIGNALS:
    void answered(const QString& words, bool moved);

private:
    void listCells(const std::vector<std::string>& cells);
    void ask();
    void show(const CellShown& cell);
    LogbookLink& m_link;
    Look& m_look;
    QComboBox* m_cells = nullptr;
    QLabel* m_lines = nullptr;
    Board* m_levels = nullptr;
    Board* m_sums = nullptr;
    CellShown m_cell;
    quint64 m_question = 0;
};

} // namespace hillrun
