// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/look/fields.h"
#include "core/trace/sheet_trace.h"

#include <array>
#include <QCheckBox>
#include <QGridLayout>
#include <QPushButton>

namespace hillrun {

/// What the marks of the axes say, and which of them is set next.
class TraceAxesPanel : public QWidget {
    Q_OBJECT
public:
    explicit TraceAxesPanel(QWidget* parent = nullptr);
    void show(const SheetTrace& trace, std::optional<SheetMark> now);
    using QWidget::show;
    /// Goes to the value of a mark unless it is known.
    void askForValue(SheetMark mark);

Q_SIGNALS:
    void valueEdited(hillrun::SheetMark mark, std::optional<double> value);
    void typed(); ///< Enter in one of the fields
    void setAsked(hillrun::SheetMark mark);
    void rightAxisChanged(bool on);

private:
    void addRow(QGridLayout* grid, int row, SheetMark low);

    std::array<NumberField*, kSheetMarks> m_values{};
    std::array<QPushButton*, kSheetMarks> m_setters{};
    QCheckBox* m_rightAxis = nullptr;
};

} // namespace hillrun
