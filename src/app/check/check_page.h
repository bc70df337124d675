// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/check/check_content.h"
#include "app/check/pull_model.h"
#include "app/shell/action_registry.h"
#include "app/shell/dialogs.h"

#include <QLabel>
#include <QSplitter>
#include <QTableView>
#include <QToolButton>

namespace hillrun {

/// Is each pull good? The pulls by set, the selected one over its companions, its trims, and what looks wrong.
class CheckPage : public QWidget {
    Q_OBJECT
public:
    CheckPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, Dialogs& dialogs,
              QWidget* parent = nullptr);
    /// Sets the selected pull aside after asking why, or takes it back.
    void toggleUse();
    void toggleTimeView();
    void resetTrim();
    [[nodiscard]] bool showsTime() const { return m_timeView; }
    [[nodiscard]] QByteArray splitState() const { return m_split->saveState(); }
    void restoreSplit(const QByteArray& state) { m_split->restoreState(state); }

private:
    QWidget* makeList();
    QWidget* makeBoards(ActionRegistry& actions);
    void refresh();
    void refreshCursor();
    void settlePull();
    [[nodiscard]] CheckView view() const { return {m_selection.pull(), m_selection.quantity(), m_selection.units()}; }

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    Dialogs& m_dialogs;
    ActionRegistry& m_actions;
    bool m_timeView = false;
    PullModel* m_pulls = nullptr;
    QTableView* m_table = nullptr;
    Board* m_upper = nullptr;
    Board* m_lower = nullptr;
    QLabel* m_slip = nullptr;
    QSplitter* m_split = nullptr;
};

} // namespace hillrun
