// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/curve/sheet_reader.h"
#include "app/curve/trace_axes_panel.h"
#include "app/curve/trace_lens.h"
#include "app/curve/trace_line_table.h"
#include "app/curve/trace_view.h"
#include "app/curve/trace_words.h"
#include "app/import/given_row.h"
#include "core/trace/sheet_trace.h"
#include "core/units/units.h"
#include "formats/import_curves.h"

#include <QButtonGroup>
#include <QCheckBox>
#include <QDialog>
#include <QPushButton>
#include <QSpinBox>

namespace hillrun {

/// Curves off a picture of a sheet: two marks on each axis, then each line by its colour or point by point. One
/// sentence at the top always says what to do next.
class TraceDialog : public QDialog {
    Q_OBJECT
public:
    /// Throws DataError when the picture cannot be shown.
    TraceDialog(const TestDay& day, SheetFile sheet, const DisplayUnits& units, const Theme& theme,
                QWidget* parent = nullptr);
    /// One curve a build.
    [[nodiscard]] std::vector<NewCurve> curves() const;
    [[nodiscard]] const SheetFile& sheet() const { return m_sheet; }
    [[nodiscard]] const SheetTrace& trace() const { return m_trace; }

public Q_SLOTS:
    void reject() override;

private:
    QWidget* makeRight();
    QLayout* makeWays();
    QLayout* makeButtons();
    void showPage(int page);
    void point(PicturePoint at);
    void setMark(SheetMark which, PicturePoint at);
    void traceLine(PicturePoint at);
    void addLine();
    void removeLine();
    void setRightAxis(bool on);
    /// The state as it was before is kept for Ctrl+Z.
    void remember() { m_before.push_back(m_trace); }
    void undo();
    void refresh(); ///< everything that follows from the state
    void refreshPicture();
    void showNextStep();
    void readOut(PicturePoint at);
    [[nodiscard]] TraceWay way() const { return static_cast<TraceWay>(m_ways->checkedId()); }

    TestDay m_day;
    SheetFile m_sheet;
    DisplayUnits m_units;
    Theme m_theme;
    Picture m_pixels;
    SheetTrace m_trace;
    std::vector<SheetTrace> m_before;
    std::vector<size_t> m_shownMarks; ///< which marks the picture shows
    std::optional<SheetMark> m_now;   ///< the mark that the next click sets
    size_t m_line = 0;
    int m_page = 0;
    bool m_leaving = false; ///< asked once whether the traced lines are to be lost

    QLabel* m_title = nullptr;
    TraceView* m_view = nullptr;
    TraceLens* m_lens = nullptr;
    QLabel* m_readout = nullptr;
    TraceAxesPanel* m_axes = nullptr;
    TraceLineTable* m_lines = nullptr;
    QPushButton* m_removeLine = nullptr;
    QButtonGroup* m_ways = nullptr;
    GivenRow* m_given = nullptr;
    QLabel* m_doubt = nullptr;
    QCheckBox* m_allTheSame = nullptr;
    QLabel* m_problem = nullptr;
    QPushButton* m_take = nullptr;
};

} // namespace hillrun
