// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/theme.h"
#include "core/day/test_day.h"
#include "core/trace/sheet_trace.h"

#include <QTableWidget>

namespace hillrun {

/// The lines that are traced: whose they are, what they show, by which axis, how many points.
class TraceLineTable : public QTableWidget {
    Q_OBJECT
public:
    TraceLineTable(const TestDay& day, const Theme& theme, QWidget* parent = nullptr);
    void show(const SheetTrace& trace, size_t current);
    using QWidget::show;

Q_SIGNALS:
    void picked(size_t line);
    void lineChanged(size_t line, const hillrun::TracedLine& said); ///< its build, unit or axis

private:
    void fillRow(int row, const SheetTrace& trace);
    [[nodiscard]] QString pointsText(const TracedLine& line) const;

    const TestDay& m_day;
    Theme m_theme;
    SheetTrace m_shown;
};

} // namespace hillrun
