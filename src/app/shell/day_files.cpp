// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/day_files.h"

#include "app/import/import_dialog.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "formats/day_store.h"
#include "formats/pull_journal.h"

#include <fmt/format.h>
#include <QDate>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kRecentKept = 8;

fs::path toPath(const QString& text) { return fs::path(text.toStdString()); }

bool looksLikeDay(const fs::path& path) {
    return fs::is_directory(path) || isZipPath(path) || path.filename() == "day.json";
}

double lengthOf(const Pull& pull) {
    const Column* time = pull.raw ? pull.raw->find("time") : nullptr;
    return time && !time->values.empty() ? time->values.back() - time->values.front() : 0.0;
}

std::string freeId(const TestDay& day) {
    int number = 1;
    while (findPull(day, fmt::format("p{:02}", number)))
        ++number;
    return fmt::format("p{:02}", number);
}

} // namespace

std::vector<LeftPull> leftPulls(const fs::path& dayPath, const TestDay& day) {
    std::vector<LeftPull> out;
    for (const fs::path& journal : findJournals(dayPath)) {
        try {
            Pull pull = readJournal(journal);
            const Pull* known = findPull(day, pull.id);
            if (known && known->started == pull.started && known->raw && known->raw->rows() >= pull.raw->rows()) {
                std::error_code ignored;
                fs::remove(journal, ignored);
                continue;
            }
            out.push_back({std::move(pull), journal});
        } catch (const DataError&) { // it holds no row: nothing was lost, nothing can be offered
        }
    }
    return out;
}

DayFiles::DayFiles(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection,
                   SettingsStore& settings, NoticeBar& notice)
    : QObject(window), m_window(window), m_dialogs(dialogs), m_document(document), m_selection(selection),
      m_settings(settings), m_notice(notice) {
    connect(&m_reader, &DayReader::opened, this, &DayFiles::take);
    connect(&m_reader, &DayReader::failed, this, [this](const fs::path&, const QString& message) {
        m_notice.hide();
        m_dialogs.showError(m_window, tr("This day could not be opened"), message);
    });
}

void DayFiles::newDay() {
    if (!mayLeaveDay())
        return;
    TestDay day;
    day.name = tr("New day").toStdString();
    day.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
    day.builds = {{.id = "A", .name = tr("as it is").toStdString()}, {.id = "B"}};
    ControlWindow coolant;
    coolant.channel = "coolant_temperature";
    coolant.low = 80.0;
    coolant.high = 88.0;
    coolant.unit = "C";
    day.controlWindows = {coolant};
    day.plan.design = "a-b-a";
    day.plan.order = {"A", "A", "A", "B", "B", "B", "A", "A", "A"};
    day.plan.coolDown_min = 4.0;
    m_notice.hide();
    m_selection.setPull({});
    m_selection.setPair({}, {});
    m_document.show(std::move(day), {});
    Q_EMIT begun();
}

void DayFiles::open(const fs::path& path) {
    if (!mayLeaveDay())
        return;
    m_notice.say(tr("Reading %1 \u2026").arg(qs(path.filename().string())),
                 {{tr("Cancel"), [this] { m_reader.cancel(); }}});
    m_reader.read(path);
}

void DayFiles::openAny(const QStringList& paths) {
    for (const QString& path : paths)
        if (looksLikeDay(toPath(path)))
            return open(toPath(path));
    QStringList files = paths;
    files.sort();
    import(files);
}

void DayFiles::take(const fs::path& path, const TestDay& day) {
    m_notice.hide();
    m_selection.setPull({});
    m_selection.setPair({}, {});
    m_selection.setCursor(std::nullopt);
    m_document.show(day, path);
    addRecent(path);
    offerRecovery(path);
}

void DayFiles::offerRecovery(const fs::path& path) {
    const auto left = leftPulls(path, m_document.day());
    if (left.empty())
        return offerAutosave(path, m_document.day());
    QStringList words;
    for (const LeftPull& one : left)
        words << tr("%1 of build %2, %3 s").arg(qs(one.pull.id), qs(one.pull.build)).arg(lengthOf(one.pull), 0, 'f', 1);
    auto takeIn = [this, left, path] {
        m_document.edit(tr("Recover %1").arg(counted(static_cast<qsizetype>(left.size()), tr("pull"), tr("pulls"))),
                        [&](TestDay& day) {
                            for (const LeftPull& one : left) {
                                Pull pull = one.pull;
                                if (findPull(day, pull.id))
                                    pull.id = freeId(day);
                                pull.file = "pulls/" + pull.id + ".csv";
                                pull.note = "recovered from its journal";
                                if (!findBuild(day, pull.build))
                                    day.builds.push_back({.id = pull.build});
                                day.pulls.push_back(pull);
                            }
                        });
        if (!guarded(tr("The recovered pull could not be saved; its journal stays"), [this] { m_document.save(); }))
            return;
        for (const LeftPull& one : left) {
            std::error_code ignored;
            fs::remove(one.journal, ignored);
        }
        m_selection.setPull(m_document.day().pulls.back().id);
        Q_EMIT imported();
    };
    auto drop = [left] {
        for (const LeftPull& one : left) { // never deleted: the operator may think better of it
            std::error_code ignored;
            fs::rename(one.journal, one.journal.string() + ".dropped", ignored);
        }
    };
    m_notice.say(tr("A pull was cut short and kept: %1.").arg(words.join(u"; "_s)),
                 {{tr("Take it in"), takeIn}, {tr("Leave it out"), drop}});
}

void DayFiles::offerAutosave(const fs::path& path, const TestDay& day) {
    const auto kept = DayDocument::findAutosave(path, day);
    if (!kept)
        return tellUnreadable(day);
    m_notice.say(
        tr("Edits of this day were kept that had not been saved."),
        {{tr("Take them over"),
          [this, edits = *kept] { m_document.edit(tr("Take kept edits over"), [&](TestDay& d) { d = edits; }); }},
         {tr("Drop them"), [this] { m_document.dropAutosave(); }}});
}

void DayFiles::tellUnreadable(const TestDay& day) {
    QStringList unreadable;
    for (const Pull& pull : day.pulls)
        if (!pull.problem.empty())
            unreadable << qs(pull.problem);
    if (!unreadable.isEmpty())
        m_notice.say(tr("%1 of %2 pulls could not be read. %3")
                         .arg(unreadable.size())
                         .arg(day.pulls.size())
                         .arg(unreadable.first()),
                     {{tr("Go on without"), nullptr}});
}

void DayFiles::addRecent(const fs::path& path) {
    QStringList recent = m_settings.get(settings::kRecent);
    const QString text = qs(fs::absolute(path).lexically_normal().string());
    recent.removeAll(text);
    recent.prepend(text);
    m_settings.set(settings::kRecent, QStringList(recent.mid(0, kRecentKept)));
}

void DayFiles::fillRecentMenu(QMenu& menu) {
    menu.clear();
    for (const QString& path : m_settings.get(settings::kRecent)) {
        QAction* action = menu.addAction(qs(toPath(path).filename().string()));
        action->setToolTip(path);
        action->setEnabled(fs::exists(toPath(path)));
        connect(action, &QAction::triggered, this, [this, path] { open(toPath(path)); });
    }
    if (menu.isEmpty())
        menu.addAction(tr("none yet"))->setEnabled(false);
}

void DayFiles::import(const QStringList& paths) {
    if (paths.isEmpty())
        return;
    std::vector<ImportFile> files;
    QStringList problems;
    for (const QString& path : paths) {
        try {
            files.push_back(openForImport(toPath(path), m_document.day()));
        } catch (const DataError& error) {
            problems << QString::fromUtf8(error.what());
        }
    }
    if (!problems.isEmpty())
        m_dialogs.showError(m_window,
                            problems.size() == 1 ? tr("A file could not be read")
                                                 : tr("%1 files could not be read").arg(problems.size()),
                            problems.join(u"\n\n"_s));
    if (files.empty())
        return;
    auto* dialog = new ImportDialog(m_document.day(), std::move(files), m_window);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog] { takeImport(dialog->files()); });
    dialog->open();
}

void DayFiles::takeImport(const std::vector<ImportFile>& files) {
    if (!m_document.isOpen()) {
        TestDay day;
        day.name = tr("New day").toStdString();
        day.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
        m_document.show(day, {});
    }
    guarded(tr("The files could not be imported"), [&] {
        m_document.edit(tr("Import %1").arg(counted(static_cast<qsizetype>(files.size()), tr("pull"), tr("pulls"))),
                        [&](TestDay& day) {
                            for (const ImportFile& file : files)
                                (void)addImported(day, file);
                        });
    });
    Q_EMIT imported();
}

bool DayFiles::guarded(const QString& what, const std::function<void()>& work) {
    try {
        work();
        return true;
    } catch (const DataError& error) {
        m_dialogs.showError(m_window, what, QString::fromUtf8(error.what()));
        return false;
    }
}

bool DayFiles::mayLeaveDay() {
    if (!m_document.isOpen() || m_document.undoStack().isClean())
        return true;
    switch (m_dialogs.askUnsaved(m_window, qs(m_document.day().name))) {
    case UnsavedChoice::Save:
        return save();
    case UnsavedChoice::Discard:
        m_document.dropAutosave();
        return true;
    case UnsavedChoice::Cancel:
        break;
    }
    return false;
}

bool DayFiles::save() {
    if (m_document.path().empty())
        return saveAs();
    const bool saved = guarded(tr("The day could not be saved"), [this] { m_document.save(); });
    if (saved)
        m_notice.mention(tr("Saved."));
    return saved;
}

bool DayFiles::saveAs() {
    const auto target = m_dialogs.askTarget(m_window, tr("Save the day as"), qs(m_document.day().name),
                                            tr("Day folder or package (*)"));
    if (!target)
        return false;
    const bool saved = guarded(tr("The day could not be saved"), [&] { m_document.saveAs(toPath(*target)); });
    if (saved) {
        addRecent(toPath(*target));
        m_notice.mention(tr("Saved to %1.").arg(*target));
    }
    Q_EMIT stored();
    return saved;
}

void DayFiles::exportTo(const QString& title, const QString& ending, const QString& filter,
                        const std::function<void(const fs::path&)>& write) {
    auto target = m_dialogs.askTarget(m_window, title, qs(m_document.day().name) + ending, filter);
    if (!target)
        return;
    if (!target->endsWith(ending, Qt::CaseInsensitive))
        *target += ending;
    if (guarded(tr("The file could not be written"), [&] { write(toPath(*target)); }))
        m_notice.mention(tr("Written: %1").arg(*target));
}

} // namespace hillrun
