// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/day_reader.h"
#include "app/document/selection.h"
#include "app/files/day_offers.h"
#include "app/frame/dialogs.h"
#include "app/frame/notice_bar.h"
#include "app/frame/settings.h"
#include "app/import/import_reader.h"
#include "app/import/lay_log_dialog.h"
#include "app/look/theme.h"
#include "formats/import_curves.h"

#include <QMenu>

namespace hillrun {

/// Everything that brings a day from the disk and back: new, open, save, import, export, recent days, and who may
/// write. Asks through the dialogs, tells through the notice bar.
class DayFiles : public QObject {
    Q_OBJECT
public:
    DayFiles(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection, SettingsStore& settings,
             NoticeBar& notice, Look& look);

    void newDay();
    void open(const std::filesystem::path& path);
    /// A day that ships with the program: a copy among one's own days where it may not be written.
    void openDemo(const std::filesystem::path& path);
    /// A package that a logbook keeps of another bench's day, as a copy among one's own days.
    void openCopy(const std::string& id, std::string_view package);
    [[nodiscard]] QStringList recent() const { return m_settings.get(settings::kRecent); }
    /// What was dropped on the window or named on the command line: a day, or logger files.
    bool openAny(const QStringList& paths); ///< true when a day is being read
    /// Logger files, and pictures of sheets to be traced.
    void import(const QStringList& paths);
    /// Opens the window that traces curves from a picture.
    void trace(const QString& path);
    /// Opens the window for a curve that is typed.
    void typeCurve();
    /// Days and recordings that were kept, and what else wants a decision.
    void offerKept() { m_offers.askAboutEverything(); }
    void offerKeptAtStart() { m_offers.ask(); }
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
    void saved();    ///< it stands there as it is here

private:
    void take(const std::filesystem::path& path, const OpenedDay& opened, bool takeOver);
    void reload(bool takeOver);
    void openKept(const KeptDay& kept);
    void tellInUse();
    void askAboutChangedDay();
    void tellDifferences();
    [[nodiscard]] std::filesystem::path daysFolder() const;
    void givePlace();
    bool saveBeside();
    bool saveTo(const std::filesystem::path& target);
    void tellSaved(const QString& words, const std::vector<Statement>& leftBehind);
    void showImport(const ReadFiles& read);
    void takeImport(const std::vector<ImportFile>& files);
    void takePulls(const std::vector<ImportFile>& files);
    /// Opens the window for the first of these logs, and for the others when that is done.
    void layLogs(std::vector<ImportFile> logs);
    void takeLog(const LayLogDialog& dialog);
    void beginDayIfNone();
    void takeCurves(const QString& what, const std::vector<NewCurve>& curves, const SheetFile& sheet);
    void addRecent(const std::filesystem::path& path);
    /// Runs something that may throw a DataError and shows its message. True when it went well.
    bool guarded(const QString& what, const std::function<void()>& work);

    QWidget* m_window;
    Dialogs& m_dialogs;
    DayDocument& m_document;
    Selection& m_selection;
    SettingsStore& m_settings;
    NoticeBar& m_notice;
    Look& m_look;
    DayReader m_reader;
    ImportReader m_importReader;
    QMetaObject::Connection m_importProgress;
    DayOffers m_offers;
};

} // namespace hillrun
