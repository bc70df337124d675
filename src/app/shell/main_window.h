// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/check/check_page.h"
#include "app/compare/compare_page.h"
#include "app/document/day_document.h"
#include "app/document/day_reader.h"
#include "app/document/selection.h"
#include "app/report/report_page.h"
#include "app/shell/action_state.h"
#include "app/shell/day_strip.h"
#include "app/shell/dialogs.h"
#include "app/shell/notice_bar.h"
#include "app/shell/settings.h"
#include "app/shell/step_rail.h"
#include "app/shell/top_bar.h"
#include "formats/import_files.h"

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
    void showPage(Page page);
    void setDark(bool dark);
    [[nodiscard]] DayDocument& document() { return m_document; }
    [[nodiscard]] Selection& selection() { return m_selection; }
    [[nodiscard]] Page page() const { return m_page; }

protected:
    void closeEvent(QCloseEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    void declareActions();
    void declareDayActions();
    void declareViewActions();
    QMenu* makeDayMenu();
    void layOut();
    void connectDocument();
    void restoreState();
    void rememberState();
    void takeDay(const std::filesystem::path& path, const TestDay& day);
    void addRecent(const std::filesystem::path& path);
    void fillRecentMenu();
    bool mayLeaveDay(); ///< asks about edits that are not saved
    bool save();
    bool saveAs();
    void exportTo(const QString& title, const QString& ending, const QString& filter,
                  const std::function<void(const std::filesystem::path&)>& write);
    void takeImport(const std::vector<ImportFile>& files);
    void refreshTitle();
    void refreshActions();
    [[nodiscard]] WindowState state() const;
    /// Runs something that may throw a DataError and shows its message. True when it went well.
    bool guarded(const QString& what, const std::function<void()>& work);

    Dialogs& m_dialogs;
    SettingsStore m_settings;
    Look m_look;
    DayDocument m_document;
    Selection m_selection;
    DayReader m_reader;
    ActionRegistry* m_actions = nullptr;
    QMenu* m_recentMenu = nullptr;
    TopBar* m_topBar = nullptr;
    NoticeBar* m_notice = nullptr;
    DayStrip* m_strip = nullptr;
    StepRail* m_rail = nullptr;
    QStackedWidget* m_pages = nullptr;
    CheckPage* m_check = nullptr;
    ComparePage* m_compare = nullptr;
    ReportPage* m_report = nullptr;
    Page m_page = Page::Compare;
};

} // namespace hillrun
