// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/compare/curve_choice.h"
#include "app/compare/field_ladder.h"
#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/frame/action_registry.h"
#include "app/look/copied_table.h"
#include "app/look/elided_label.h"

#include <QGridLayout>
#include <QLabel>
#include <QStackedWidget>
#include <QToolButton>

namespace hillrun {

/// Three builds and more held against each other: all curves, who leads where, each against the base, for a use that is
/// dragged across the curves. In place of one board with all curves: a small one for each build.
class FieldPane : public QWidget {
    Q_OBJECT
public:
    FieldPane(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions,
              QWidget* parent = nullptr);
    void refresh();
    void refreshCursor();
    void setSmallBoards(bool on);
    [[nodiscard]] bool smallBoards() const { return m_boards->currentIndex() == 1; }
    void nameUse(const std::optional<RpmRange>& use); ///< undoable; nothing: the whole range
    [[nodiscard]] CopiedTable table() const;
    [[nodiscard]] QByteArray drawing() const; ///< the boards as SVG
    [[nodiscard]] QWidget* picture() const { return m_panel; }

Q_SIGNALS:
    void pairWanted();

private:
    [[nodiscard]] std::vector<FieldRow> rows(const DayAnalysis& analysis) const;
    QWidget* makeTools(ActionRegistry& actions);
    QWidget* makeOverlaid();
    void refreshSmall(const DayAnalysis& analysis);
    void refreshSide(const DayAnalysis& analysis);
    void choose(const std::string& build);
    void step(int by);
    /// The base and the chosen build.
    [[nodiscard]] CompareView view() const;

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    QWidget* m_panel = nullptr;
    CurveChoice* m_quantity = nullptr;
    QToolButton* m_whole = nullptr;
    ElidedLabel* m_hint = nullptr;
    QStackedWidget* m_boards = nullptr;
    Board* m_curves = nullptr;
    FieldLadder* m_ladder = nullptr;
    QLabel* m_name = nullptr;
    QLabel* m_lines = nullptr;
    QWidget* m_small = nullptr;
    QGridLayout* m_smallGrid = nullptr;
    std::vector<Board*> m_smallBoards;
    std::string m_chosen;
};

} // namespace hillrun
