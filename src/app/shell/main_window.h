// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/check/check_page.h"
#include "app/compare/compare_page.h"
#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/prepare/prepare_page.h"
#include "app/pull/pull_page.h"
#include "app/report/report_page.h"
#include "app/shell/action_state.h"
#include "app/shell/day_files.h"
#include "app/shell/day_strip.h"
#include "app/shell/dialogs.h"
#include "app/shell/notice_bar.h"
#include "app/shell/settings.h"
#include "app/shell/step_rail.h"
#include "app/shell/top_bar.h"
#include "app/workbench/bench_page.h"

#include <QMainWindow>
#include <QMenu>
#include <QStackedWidget>

namespace hillrun {

/// Puts the parts together: bars, strip, rail and pages around the open day.
class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    explicit MainWindow(Dialogs& dialogs);
    ~MainWindow() override;

    void openDay(const std::filesystem::path& path);
    void importFiles(const QStringList& paths);
    /// What was named on the command line or double-clicked: a day, or logger files; `file://` addresses too. True when
    /// a day is being read.
    bool openAny(const QStringList& namesOrUrls);
    /// Asks about days that were kept unsaved when the program last ended.
    void offerKept();
    /// The session ends without a question (logout, SIGTERM): everything unsaved is kept and offered at the next start.
    void keepForLater();
    void showPage(Page page);
    void setDark(bool dark);
    [[nodiscard]] DayDocument& document() { return m_document; }
    [[nodiscard]] Selection& selection() { return m_selection; }
    [[nodiscard]] PullPage& pullPage() { return pull(); }
    [[nodiscard]] Page page() const { return m_page; }

protected:
    void closeEvent(QCloseEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    void declareActions();
    void declareDayActions();
    void declareViewActions();
    void declareCheckActions();
    void declarePullActions();
    void beginTour();
    void editSettings();
    void applyPreferences();
    void makeParts();
    void dropParts();
    void speakAnew();
    void stepPage(int by);
    void print();
    QMenu* makeDayMenu();
    void layOut();
    // A page is made when it is first needed.
    PreparePage& prepare();
    PullPage& pull();
    CheckPage& check();
    ComparePage& compare();
    ReportPage& report();
    BenchPage& bench();
    void make(Page page);
    template <class Made> Made& placed(Made*& page, Page at, Made* made);
    void connectDocument();
    void connectParts();
    void applyLook();
    void restoreState();
    void rememberState();
    void refreshTitle();
    void refreshActions();
    [[nodiscard]] WindowState state() const;

    Dialogs& m_dialogs;
    SettingsStore m_settings;
    Look m_look;
    QString m_language; ///< as it is kept: desktop or a code
    QString m_theme;    ///< as it is kept: desktop, light or dark
    RepeatabilityLog m_repeatability;
    DayDocument m_document;
    Selection m_selection;
    ActionRegistry* m_actions = nullptr;
    QMenu* m_recentMenu = nullptr;
    TopBar* m_topBar = nullptr;
    NoticeBar* m_notice = nullptr;
    DayStrip* m_strip = nullptr;
    StepRail* m_rail = nullptr;
    QStackedWidget* m_pages = nullptr;
    DayFiles* m_files = nullptr;
    PreparePage* m_prepare = nullptr; ///< pages: null until they are needed
    PullPage* m_pull = nullptr;
    CheckPage* m_check = nullptr;
    ComparePage* m_compare = nullptr;
    ReportPage* m_report = nullptr;
    BenchPage* m_bench = nullptr;
    Page m_page = Page::Compare;
};

} // namespace hillrun
