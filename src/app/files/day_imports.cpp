// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/files/day_imports.h"

#include "app/curve/trace_dialog.h"
#include "app/curve/typed_curve_dialog.h"
#include "app/frame/guarded.h"
#include "app/import/import_dialog.h"
#include "formats/budget.h"
#include "formats/file_io.h"

#include <algorithm>
#include <QDate>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {

DayImports::DayImports(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection,
                       NoticeBar& notice, Look& look)
    : QObject(window), m_window(window), m_dialogs(dialogs), m_document(document), m_selection(selection),
      m_notice(notice), m_look(look) {
    connect(&m_reader, &ImportReader::done, this, [this](const ReadFiles& read) {
        m_notice.hide();
        show(read);
    });
}

void DayImports::import(const QStringList& all) {
    QStringList paths;
    for (const QString& path : all)
        if (isSheetPath(path))
            trace(path);
        else
            paths << path;
    if (paths.isEmpty())
        return;
    std::vector<fs::path> files;
    std::uintmax_t bytes = 0;
    for (const QString& path : paths) {
        files.push_back(toPath(path));
        std::error_code error;
        const auto size = fs::file_size(files.back(), error);
        bytes += error ? 0 : size;
    }
    if (bytes <= kReadAtOnce) {
        show(readForImport(files, m_document.day()));
        return;
    }
    const auto tell = [this, count = paths.size()](const QString& percent) {
        m_notice.say(tr("Reading %1\u2026%2").arg(counted("count.files", count), percent), {{tr("Cancel"), [this] {
                                                                                                 m_reader.cancel();
                                                                                                 m_notice.hide();
                                                                                             }}});
    };
    disconnect(m_progress);
    m_progress =
        connect(&m_reader, &ImportReader::progressed, this, [tell](int percent) { tell(u" %1 %"_s.arg(percent)); });
    tell({});
    m_reader.run([files, day = m_document.day()](const ReadWatch& watch) { return readForImport(files, day, watch); });
}

void DayImports::show(const ReadFiles& read) {
    if (!read.problems.isEmpty())
        m_dialogs.showError(m_window,
                            read.problems.size() == 1 ? tr("A file could not be read")
                                                      : tr("%1 files could not be read").arg(read.problems.size()),
                            read.problems.join(u"\n\n"_s));
    if (read.files.empty())
        return;
    auto* dialog = new ImportDialog(m_document.day(), read.files, m_look.theme(), m_window);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog] { take(dialog->files()); });
    dialog->open();
}

void DayImports::take(const std::vector<ImportFile>& files) {
    std::vector<ImportFile> pulls;
    std::vector<ImportFile> logs;
    for (const ImportFile& file : files)
        (isLog(file) ? logs : pulls).push_back(file);
    if (!pulls.empty())
        takePulls(pulls);
    layLogs(std::move(logs));
}

void DayImports::layLogs(std::vector<ImportFile> logs) {
    if (logs.empty())
        return;
    const ImportFile first = logs.front();
    logs.erase(logs.begin());
    (void)guarded(m_dialogs, m_window, tr("The log could not be read"), [&] {
        auto* dialog = new LayLogDialog(m_document.day(), m_selection.pull(), first, m_look.theme(), m_window);
        dialog->setAttribute(Qt::WA_DeleteOnClose);
        connect(dialog, &QDialog::accepted, this, [this, dialog] { takeLog(*dialog); });
        connect(dialog, &QDialog::finished, this, [this, logs] { layLogs(logs); });
        dialog->open();
    });
}

void DayImports::takeLog(const LayLogDialog& dialog) {
    (void)guarded(m_dialogs, m_window, tr("The log could not be laid on"), [&] {
        m_document.edit(tr("Lay on %1").arg(qs(logNameOf(dialog.file()))), [&](TestDay& day) {
            for (const LayLogDialog::Chosen& one : dialog.chosen())
                if (Pull* pull = findPull(day, one.pull); pull && ownRows(*pull))
                    layOn(*pull, logFor(*pull, dialog.file(), one.clock));
        });
    });
    Q_EMIT tookIn();
}

void DayImports::beginDayIfNone() {
    if (m_document.isOpen())
        return;
    TestDay day;
    day.name = tr("New day").toStdString();
    day.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
    m_document.show(day, {});
}

void DayImports::trace(const QString& path) {
    (void)guarded(m_dialogs, m_window, tr("The picture could not be opened"), [&] {
        SheetFile sheet{toPath(path).filename().string(),
                        std::make_shared<const std::string>(readFileText(toPath(path), budget::kFile))};
        auto* dialog =
            new TraceDialog(m_document.day(), std::move(sheet), m_selection.units(), m_look.theme(), m_window);
        dialog->setAttribute(Qt::WA_DeleteOnClose);
        connect(dialog, &QDialog::accepted, this,
                [this, dialog] { takeCurves(tr("Trace %1"), dialog->curves(), dialog->sheet()); });
        dialog->open();
    });
}

void DayImports::typeCurve() {
    auto* dialog = new TypedCurveDialog(m_document.day(), m_selection.units(), m_look, m_window);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog] { takeCurves(tr("Type %1"), {dialog->curve()}, {}); });
    dialog->open();
}

void DayImports::takeCurves(const QString& what, const std::vector<NewCurve>& curves, const SheetFile& sheet) {
    beginDayIfNone();
    const bool done = guarded(m_dialogs, m_window, tr("The curve could not be taken"), [&] {
        m_document.edit(what.arg(counted("count.curves", static_cast<qsizetype>(curves.size()))),
                        [&](TestDay& day) { (void)addCurves(day, curves, sheet, m_document.path()); });
    });
    if (done)
        Q_EMIT tookIn();
}

void DayImports::takePulls(const std::vector<ImportFile>& files) {
    beginDayIfNone();
    const bool done = guarded(m_dialogs, m_window, tr("The files could not be imported"), [&] {
        qsizetype pulls = 0;
        for (const ImportFile& file : files)
            pulls += std::count_if(file.gathered->pulls.begin(), file.gathered->pulls.end(),
                                   [](const GatheredPull& pull) { return pull.use; });
        m_document.edit(tr("Import %1").arg(counted("count.pulls", pulls)), [&](TestDay& day) {
            for (const ImportFile& file : files)
                (void)addImported(day, file, m_document.path());
        });
    });
    if (!done)
        return;
    Q_EMIT tookIn();
    Q_EMIT tookPulls();
}

} // namespace hillrun
