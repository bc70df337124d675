// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/day_reader.h"
#include "app/document/selection.h"
#include "app/shell/dialogs.h"
#include "app/shell/notice_bar.h"
#include "app/shell/settings.h"
#include "formats/import_files.h"

#include <QMenu>

namespace hillrun {

/// Everything that brings a day from the disk and back: new, open, save, import, export, recent days, and what a crash
/// left behind. Asks through the dialogs, tells through the notice bar.
class DayFiles : public QObject {
    Q_OBJECT
public:
    DayFiles(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection, SettingsStore& settings,
             NoticeBar& notice);

    void newDay();
    void open(const std::filesystem::path& path);
    /// What was dropped on the window or named on the command line: a day, or logger files.
    void openAny(const QStringList& paths);
    void import(const QStringList& paths);
    bool mayLeaveDay(); ///< asks about edits that are not saved
    bool save();
    bool saveAs();
    void exportTo(const QString& title, const QString& ending, const QString& filter,
                  const std::function<void(const std::filesystem::path&)>& write);
    void fillRecentMenu(QMenu& menu);

Q_SIGNALS:
    void begun();    ///< a new day is there to be prepared
    void imported(); ///< pulls came in
    void stored();   ///< the day has a place on disk

private:
    void take(const std::filesystem::path& path, const TestDay& day);
    void offerRecovery(const std::filesystem::path& path);
    void offerAutosave(const std::filesystem::path& path, const TestDay& day);
    void tellUnreadable(const TestDay& day);
    void takeImport(const std::vector<ImportFile>& files);
    void addRecent(const std::filesystem::path& path);
    /// Runs something that may throw a DataError and shows its message. True when it went well.
    bool guarded(const QString& what, const std::function<void()>& work);

    QWidget* m_window;
    Dialogs& m_dialogs;
    DayDocument& m_document;
    Selection& m_selection;
    SettingsStore& m_settings;
    NoticeBar& m_notice;
    DayReader m_reader;
};

/// A pull that a crash, a full disk or a lost link left in a journal.
struct LeftPull {
    Pull pull;
    std::filesystem::path journal;
};
/// Those of a day that are not in it yet. Journals of pulls that were saved after all are removed.
std::vector<LeftPull> leftPulls(const std::filesystem::path& dayPath, const TestDay& day);

} // namespace hillrun
