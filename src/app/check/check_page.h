// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/check/channel_grid.h"
#include "app/check/check_content.h"
#include "app/check/cursor_table.h"
#include "app/check/finding_list.h"
#include "app/check/pull_model.h"
#include "app/frame/page.h"

#include <QLabel>
#include <QSplitter>
#include <QStackedWidget>
#include <QTableView>
#include <QToolButton>

namespace hillrun {

/// Is each pull good? The pulls by set, the selected one over its companions with everything found on it, and below it
/// its channels, its course in time, or the numbers at the cursor.
class CheckPage : public PageView {
    Q_OBJECT
public:
    enum class Lower { Channels, Time, Numbers };

    CheckPage(DayDocument& document, Selection& selection, Look& look, ActionRegistry& actions, Dialogs& dialogs,
              QWidget* parent = nullptr);
    /// Sets the selected pull aside after asking why, or takes it back.
    void toggleUse();
    void resetTrim();
    void toggleRefitted();
    void showLower(Lower lower);
    /// Over time, or back to the channels.
    void toggleTimeView() { showLower(showsTime() ? Lower::Channels : Lower::Time); }
    void toggleRaw();
    /// Holds the selected pull while others are selected, or lets go of it.
    void toggleBeside();
    [[nodiscard]] bool canCopy() const override;
    void copyPicture() const override;
    void copyTable() const override;
    void recall(const SettingsStore& settings) override { m_split->restoreState(settings.get(settings::kCheckSplit)); }
    void remember(SettingsStore& settings) const override { settings.set(settings::kCheckSplit, m_split->saveState()); }
    [[nodiscard]] bool showsTime() const { return m_lower == Lower::Time; }
    [[nodiscard]] bool showsRaw() const { return m_raw; }

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* makeLeft(ActionRegistry& actions);
    QWidget* makeSlip(ActionRegistry& actions);
    QWidget* makeRight(ActionRegistry& actions);
    QWidget* makeTools(ActionRegistry& actions);
    QWidget* makeLower();
    void connectOverlay(Board* board);
    void connectFindings();
    void refresh();
    void refreshBoards(const DayAnalysis& analysis);
    void refreshLower(const DayAnalysis& analysis);
    void refreshActions(const Pull* pull);
    void refreshCursor();
    void showEmpty();
    void settlePull();
    [[nodiscard]] CheckView view() const;
    [[nodiscard]] const PullResult* result() const; ///< of the selected pull; null without a curve
    [[nodiscard]] double numbersAt_rpm() const;

    DayDocument& m_document;
    Selection& m_selection;
    Look& m_look;
    Dialogs& m_dialogs;
    ActionRegistry& m_actions;
    Lower m_lower = Lower::Channels;
    bool m_raw = false;
    PullModel* m_pulls = nullptr;
    QTableView* m_table = nullptr;
    QLabel* m_head = nullptr;
    FindingList* m_findings = nullptr;
    QWidget* m_right = nullptr;
    Board* m_upper = nullptr;
    Board* m_upperBeside = nullptr;
    Board* m_deviation = nullptr;
    QStackedWidget* m_lowerPages = nullptr;
    ChannelGrid* m_channels = nullptr;
    Board* m_torqueTime = nullptr;
    Board* m_speedTime = nullptr;
    CursorTable* m_numbers = nullptr;
    QTableView* m_numberView = nullptr;
    QSplitter* m_split = nullptr;
};

} // namespace hillrun
