// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/document/day_document.h"
#include "app/document/selection.h"
#include "app/frame/dialogs.h"
#include "app/frame/notice_bar.h"
#include "app/import/import_reader.h"
#include "app/import/lay_log_dialog.h"
#include "app/look/theme.h"
#include "formats/import_curves.h"

namespace hillrun {

/// Everything that brings pulls into the open day from elsewhere: loggers' files, logs of other devices, curves that
/// are traced from a picture or typed. Begins a day when none is open.
class DayImports : public QObject {
    Q_OBJECT
public:
    DayImports(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection, NoticeBar& notice,
               Look& look);

    /// Logger files, and pictures of sheets to be traced.
    void import(const QStringList& paths);
    /// Opens the window that traces curves from a picture.
    void trace(const QString& path);
    /// Opens the window for a curve that is typed.
    void typeCurve();

Q_SIGNALS:
    void tookIn();    ///< pulls, logs or curves came in
    void tookPulls(); ///< after that: their rows may be there twice now

private:
    void show(const ReadFiles& read);
    void take(const std::vector<ImportFile>& files);
    void takePulls(const std::vector<ImportFile>& files);
    /// Opens the window for the first of these logs, and for the others when that is done.
    void layLogs(std::vector<ImportFile> logs);
    void takeLog(const LayLogDialog& dialog);
    void takeCurves(const QString& what, const std::vector<NewCurve>& curves, const SheetFile& sheet);
    void beginDayIfNone();

    QWidget* m_window;
    Dialogs& m_dialogs;
    DayDocument& m_document;
    Selection& m_selection;
    NoticeBar& m_notice;
    Look& m_look;
    ImportReader m_reader;
    QMetaObject::Connection m_progress;
};

} // namespace hillrun
