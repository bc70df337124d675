// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/answer_head.h"
#include "app/frame/page.h"
#include "app/logbook/beside_panel.h"
#include "app/logbook/cell_panel.h"
#include "app/logbook/found_days.h"

#include <QListView>
#include <QStackedWidget>
#include <QTimer>

namespace hillrun {

/// A day that was taken out of the logbook, with all that it takes to put it back.
struct ForgottenDay {
    LogbookEntry entry;
    QByteArray package;
};

/// All days: found as one types, opened, put beside each other, forgotten; and what the cell has learned.
class LogbookPage : public PageView {
    Q_OBJECT
public:
    LogbookPage(const Workplace& at, QWidget* parent = nullptr);
    void showDays() { showPart(0); }
    void showCell() { showPart(1); }
    void focusSearch();
    void openDay();
    /// The chosen day's build goes beside those of the open day, and is shown there.
    void putBesideToday();
    /// Looks for days of the open day's article.
    void lookForEarlier();
    void forgetDays();
    void takeBack();
    void focusList();

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* makeDays();
    void showPart(int part);
    void search();
    void describe(); ///< the head, as long as nothing is put beside each other
    void takeAnswer(const QString& words, const QString& notes, bool proven);
    void restore(const std::vector<ForgottenDay>& days);
    [[nodiscard]] std::vector<FoundDay> chosen() const;

    Look& m_look;
    Selection& m_selection;
    ActionRegistry& m_actions;
    DayFiles& m_files;
    Dialogs& m_dialogs;
    LogbookLink& m_link;
    DayDocument& m_document;
    OtherDays& m_otherDays;
    PageHost& m_host;
    FoundDays m_found;
    AnswerHead* m_head = nullptr;
    QLineEdit* m_typed = nullptr;
    QComboBox* m_sort = nullptr;
    QListView* m_list = nullptr;
    QStackedWidget* m_parts = nullptr;
    BesidePanel* m_beside = nullptr;
    CellPanel* m_cell = nullptr;
    QPushButton* m_undo = nullptr;
    std::vector<ForgottenDay> m_forgotten; ///< last, to be taken back
    QTimer m_typing;
    bool m_besideShown = false;
};

/// Logbook, as the window knows it.
PageSpec logbookSpec();

} // namespace hillrun
