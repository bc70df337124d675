// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/files/day_files.h"
#include "app/files/day_imports.h"
#include "app/frame/notice_bar.h"
#include "app/frame/page.h"
#include "app/shell/day_strip.h"
#include "app/shell/step_rail.h"
#include "app/shell/top_bar.h"

#include <map>
#include <QMainWindow>
#include <QMenu>
#include <QStackedWidget>

namespace hillrun {

/// Puts the parts together: bars, strip, rail and pages around the open day. Of the pages it knows their specs only.
class MainWindow : public QMainWindow, public PageHost {
    Q_OBJECT
public:
    MainWindow(Dialogs& dialogs, SettingsStore& settings, CellService& cell, TonePlayer& tones);
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
    PageView& page(PageId id) override;
    void showPage(PageId id) override;
    [[nodiscard]] PageId pageShown() const;
    void setDark(bool dark);
    [[nodiscard]] DayDocument& document() { return m_document; }
    [[nodiscard]] Selection& selection() { return m_selection; }
    [[nodiscard]] PullFlow& flow() { return m_flow; }
    [[nodiscard]] CellService& cell() { return m_cell; }
    [[nodiscard]] ActionRegistry& registry() { return *m_actions; }

protected:
    void showEvent(QShowEvent* event) override;
    void closeEvent(QCloseEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    // The commands that belong to no page (shell_actions.cpp).
    void declareActions(const Workplace& at);
    void declareDayActions(const Workplace& at);
    void declareViewActions(const Workplace& at);
    void declarePageActions();
    void declareHelp();
    void openGuide();
    void beginTour();
    void editSettings();
    QMenu* makeDayMenu(QWidget* parent);

    void makeParts();
    void dropParts();
    void speakAnew();
    void layOut(QWidget* central);
    [[nodiscard]] Workplace workplace();
    [[nodiscard]] int placeOf(PageId id) const; ///< on the rail; -1 for a page that is not there
    void stepPage(int by);
    bool openOrImport(QStringList paths); ///< true when a day is being read
    void applyPreferences();
    void connectDocument();
    void connectParts();
    void enterLogbook();
    void applyLook();
    void restoreState();
    void rememberState();
    void refresh(); ///< title and actions
    void refreshTitle();
    void refreshActions();
    [[nodiscard]] WindowState state() const;

    Dialogs& m_dialogs;
    SettingsStore& m_settings;
    CellService& m_cell;
    TonePlayer& m_tones;
    Look m_look;
    QString m_language; ///< as it is kept: desktop or a code
    QString m_theme;    ///< as it is kept: desktop, light or dark
    LogbookLink m_logbook;
    DayDocument m_document;
    OtherDays m_otherDays;
    Selection m_selection;
    PullFlow m_flow;
    std::vector<PageSpec> m_specs;
    std::map<PageId, PageView*> m_made; ///< a page is made when it is first needed
    bool m_styled = false;
    int m_shown = 0; ///< place of the page; it is made when the window is seen
    ActionRegistry* m_actions = nullptr;
    TopBar* m_topBar = nullptr;
    NoticeBar* m_notice = nullptr;
    DayStrip* m_strip = nullptr;
    StepRail* m_rail = nullptr;
    QStackedWidget* m_pages = nullptr;
    DayFiles* m_files = nullptr;
    DayImports* m_imports = nullptr;
};

} // namespace hillrun
