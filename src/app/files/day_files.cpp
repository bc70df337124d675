// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/files/day_files.h"

#include "app/curve/trace_dialog.h"
#include "app/curve/typed_curve_dialog.h"
#include "app/import/import_dialog.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "formats/budget.h"
#include "formats/day_diff.h"
#include "formats/day_store.h"
#include "formats/file_io.h"

#include <algorithm>
#include <cctype>
#include <fmt/format.h>
#include <QDate>
#include <QFileInfo>
#include <QStandardPaths>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kRecentKept = 8;

bool looksLikeDay(const fs::path& path) {
    return fs::is_directory(path) || path.filename() == "day.json" || (isZipPath(path) && holdsDay(path));
}

/// "day", "day-2", "day-3.zip" ...: the first that is not there.
fs::path besidePath(const fs::path& path) {
    std::error_code error;
    for (int n = 2;; ++n) {
        const fs::path out =
            path.parent_path() / fmt::format("{}-{}{}", path.stem().string(), n, path.extension().string());
        if (!fs::exists(out, error))
            return out;
    }
}

/// A name from outside as a file's: letters, digits, '-' and '_'.
std::string fileNameFrom(std::string name) {
    std::replace_if(
        name.begin(), name.end(), [](unsigned char c) { return std::isalnum(c) == 0 && c != '-' && c != '_'; }, '-');
    return name;
}

/// The folder or zip of a day that was opened by its day.json.
fs::path placeOfDay(const fs::path& path) {
    return path.filename() == "day.json" && !fs::is_directory(path) ? path.parent_path() : path;
}

} // namespace

DayFiles::DayFiles(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection,
                   SettingsStore& settings, NoticeBar& notice, Look& look)
    : QObject(window), m_window(window), m_dialogs(dialogs), m_document(document), m_selection(selection),
      m_settings(settings), m_notice(notice), m_look(look), m_offers(window, dialogs, document, selection, notice) {
    connect(&m_importReader, &ImportReader::done, this, [this](const ReadFiles& read) {
        m_notice.hide();
        showImport(read);
    });
    connect(&m_reader, &DayReader::opened, this, &DayFiles::take);
    connect(&m_reader, &DayReader::failed, this, [this](const fs::path&, const QString& message) {
        m_notice.hide();
        m_dialogs.showError(m_window, tr("This day could not be opened"), message);
    });
    connect(&m_document, &DayDocument::editRefused, this, &DayFiles::tellInUse);
    connect(&m_document, &DayDocument::notKept, this, [this](const QString& why) {
        m_notice.say(tr("Edits cannot be kept against a crash: %1 Save soon.").arg(why), {{tr("Understood"), nullptr}});
    });
    connect(&m_offers, &DayOffers::tookIn, this, &DayFiles::imported);
    connect(&m_offers, &DayOffers::wantsSave, this, [this] { save(); });
    connect(&m_offers, &DayOffers::wantsDay, this, &DayFiles::openKept);
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
    m_offers.stop();
    m_notice.hide();
    m_selection.setPull({});
    m_selection.setPair({}, {});
    m_document.show(std::move(day), {});
    givePlace();
    Q_EMIT begun();
}

fs::path DayFiles::daysFolder() const {
    if (const QString chosen = m_settings.get(settings::kDaysFolder); !chosen.isEmpty())
        return toPath(chosen);
    return toPath(QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation)) / "Hill Run";
}

/// A new day lies in the folder for days from its first moment: nobody is asked for a file name at the cell.
void DayFiles::givePlace() {
    const fs::path folder = daysFolder();
    std::error_code error;
    fs::create_directories(folder, error);
    fs::path target = folder / m_document.day().date;
    if (fs::exists(target, error))
        target = besidePath(target);
    try {
        (void)m_document.saveAs(target);
        addRecent(target);
    } catch (const DataError& problem) {
        m_notice.say(
            tr("The day has no place yet: %1 Save it elsewhere before the first pull.").arg(errorText(problem)),
            {{tr("Save as \u2026"), [this] { saveAs(); }}});
    }
    Q_EMIT stored();
}

void DayFiles::openDemo(const fs::path& path) {
    if (QFileInfo(qs(path.string())).isWritable())
        return open(path);
    const fs::path own = daysFolder() / path.filename();
    std::error_code error;
    fs::create_directories(own.parent_path(), error);
    if (!fs::exists(own, error))
        fs::copy(path, own, fs::copy_options::recursive, error);
    for (auto it = fs::recursive_directory_iterator(own, error); !error && it != fs::recursive_directory_iterator();
         it.increment(error))
        fs::permissions(it->path(), fs::perms::owner_write, fs::perm_options::add, error);
    open(error ? path : own);
}

void DayFiles::openCopy(const std::string& id, std::string_view package) {
    fs::path own = daysFolder() / (fileNameFrom(id) + ".zip");
    const bool written = guarded(tr("The copy of the day could not be written"), [&] {
        std::error_code error;
        if (fs::exists(own, error) && readFileText(own) == package) // copied before, and unchanged
            return;
        if (fs::exists(own, error))
            own = besidePath(own);
        fs::create_directories(own.parent_path(), error); // when it fails writing says so
        writeFileSafely(own, package);
    });
    if (written)
        open(own);
}

void DayFiles::open(const fs::path& path) {
    if (!mayLeaveDay())
        return;
    m_offers.stop();
    m_notice.say(tr("Reading %1 \u2026").arg(qs(shownText(path.filename().string(), 60))),
                 {{tr("Cancel"), [this] { m_reader.cancel(); }}});
    m_reader.read(placeOfDay(path));
}

void DayFiles::reload(bool takeOver) {
    m_offers.stop();
    m_reader.read(m_document.path(), takeOver); // edits that are not saved are kept when the day is shown anew
}

bool DayFiles::openAny(const QStringList& paths) {
    for (const QString& path : paths)
        if (looksLikeDay(toPath(path))) {
            open(toPath(path));
            return true;
        }
    QStringList files = paths;
    files.sort();
    import(files);
    return false;
}

void DayFiles::take(const fs::path& path, const OpenedDay& opened, bool takeOver) {
    m_notice.hide();
    m_selection.setPull({});
    m_selection.setPair({}, {});
    m_selection.setCursor(std::nullopt);
    m_document.show(opened.day, path, opened.stamp, takeOver);
    addRecent(path);
    if (!m_document.mayEdit())
        return tellInUse();
    m_offers.ask();
    if (m_document.access() == DayAccess::NotWritable && !m_notice.isVisible())
        m_notice.say(tr("This day cannot be written where it is (%1). Edits can be saved elsewhere.")
                         .arg(m_document.accessWords()),
                     {{tr("Understood"), nullptr}});
}

void DayFiles::tellInUse() {
    m_notice.say(
        tr("This day is open for writing elsewhere: %1. Here it can be read only.").arg(m_document.accessWords()),
        {{tr("Take over"), [this] { reload(true); }}, {tr("Save a copy \u2026"), [this] { saveAs(); }}});
}

/// A kept day opens where its own folder is and unchanged; else as a day that was never saved.
void DayFiles::openKept(const KeptDay& kept) {
    std::error_code error;
    const fs::path home = kept.note.dayPath;
    const bool ofThis = m_document.isOpen() && !home.empty() && fs::equivalent(home, m_document.path(), error);
    if (!home.empty() && !ofThis && fs::exists(home, error))
        return open(home);
    if (!mayLeaveDay())
        return;
    FileLock claim;
    if (!claimKept(kept, claim)) {
        m_dialogs.showError(m_window, tr("Another window has taken the edits in"), tr("Look at the day there."));
        return;
    }
    guarded(tr("The kept day could not be read"), [&] {
        TestDay day = readKept(kept);
        if (!home.empty())
            day.name += tr(" (kept)").toStdString();
        m_selection.setPull({});
        m_selection.setPair({}, {});
        m_document.show({}, {});
        m_document.edit(tr("Open what was kept"), [&](TestDay& d) { d = day; });
        m_document.waitUntilKept(); // in this session's own keeping, before the old one goes
        claim.release();
        removeKept(kept);
        Q_EMIT imported();
    });
}

void DayFiles::askAboutChangedDay() {
    m_notice.say(tr("Not saved: the day was changed on disk since it was read."),
                 {{tr("Reload it"), [this] { reload(false); }},
                  {tr("Save mine beside it"), [this] { saveBeside(); }},
                  {tr("What differs?"), [this] { tellDifferences(); }}});
}

void DayFiles::tellDifferences() {
    guarded(tr("The day on disk cannot be read"), [this] {
        const auto lines = dayDifferences(m_document.day(), readDay(m_document.path(), BadPulls::Keep));
        QStringList words;
        for (const Statement& line : lines)
            words << qs(line);
        m_dialogs.showError(m_window, tr("Here and on disk"),
                            words.isEmpty() ? tr("Nothing differs.") : words.join(u'\n'));
    });
    askAboutChangedDay();
}

bool DayFiles::saveBeside() { return saveTo(besidePath(m_document.path())); }

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
        QAction* action = menu.addAction(qs(shownText(toPath(path).filename().string(), 60)));
        action->setToolTip(path);
        action->setEnabled(fs::exists(toPath(path)));
        connect(action, &QAction::triggered, this, [this, path] { open(toPath(path)); });
    }
    if (menu.isEmpty())
        menu.addAction(tr("none yet"))->setEnabled(false);
}

void DayFiles::import(const QStringList& all) {
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
        showImport(readForImport(files, m_document.day()));
        return;
    }
    const auto tell = [this, count = paths.size()](const QString& percent) {
        m_notice.say(tr("Reading %1\u2026%2").arg(counted("count.files", count), percent),
                     {{tr("Cancel"), [this] {
                           m_importReader.cancel();
                           m_notice.hide();
                       }}});
    };
    disconnect(m_importProgress);
    m_importProgress = connect(&m_importReader, &ImportReader::progressed, this,
                               [tell](int percent) { tell(u" %1 %"_s.arg(percent)); });
    tell({});
    m_importReader.run(
        [files, day = m_document.day()](const ReadWatch& watch) { return readForImport(files, day, watch); });
}

void DayFiles::showImport(const ReadFiles& read) {
    if (!read.problems.isEmpty())
        m_dialogs.showError(m_window,
                            read.problems.size() == 1 ? tr("A file could not be read")
                                                      : tr("%1 files could not be read").arg(read.problems.size()),
                            read.problems.join(u"\n\n"_s));
    if (read.files.empty())
        return;
    auto* dialog = new ImportDialog(m_document.day(), read.files, m_look.theme(), m_window);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog] { takeImport(dialog->files()); });
    dialog->open();
}

void DayFiles::takeImport(const std::vector<ImportFile>& files) {
    std::vector<ImportFile> pulls;
    std::vector<ImportFile> logs;
    for (const ImportFile& file : files)
        (isLog(file) ? logs : pulls).push_back(file);
    if (!pulls.empty())
        takePulls(pulls);
    layLogs(std::move(logs));
}

void DayFiles::layLogs(std::vector<ImportFile> logs) {
    if (logs.empty())
        return;
    const ImportFile first = logs.front();
    logs.erase(logs.begin());
    (void)guarded(tr("The log could not be read"), [&] {
        auto* dialog = new LayLogDialog(m_document.day(), m_selection.pull(), first, m_look.theme(), m_window);
        dialog->setAttribute(Qt::WA_DeleteOnClose);
        connect(dialog, &QDialog::accepted, this, [this, dialog] { takeLog(*dialog); });
        connect(dialog, &QDialog::finished, this, [this, logs] { layLogs(logs); });
        dialog->open();
    });
}

void DayFiles::takeLog(const LayLogDialog& dialog) {
    (void)guarded(tr("The log could not be laid on"), [&] {
        m_document.edit(tr("Lay on %1").arg(qs(logNameOf(dialog.file()))), [&](TestDay& day) {
            for (const LayLogDialog::Chosen& one : dialog.chosen())
                if (Pull* pull = findPull(day, one.pull); pull && ownRows(*pull))
                    layOn(*pull, logFor(*pull, dialog.file(), one.clock));
        });
    });
    Q_EMIT imported();
}

void DayFiles::beginDayIfNone() {
    if (m_document.isOpen())
        return;
    TestDay day;
    day.name = tr("New day").toStdString();
    day.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
    m_document.show(day, {});
}

void DayFiles::trace(const QString& path) {
    (void)guarded(tr("The picture could not be opened"), [&] {
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

void DayFiles::typeCurve() {
    auto* dialog = new TypedCurveDialog(m_document.day(), m_selection.units(), m_look, m_window);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QDialog::accepted, this, [this, dialog] { takeCurves(tr("Type %1"), {dialog->curve()}, {}); });
    dialog->open();
}

void DayFiles::takeCurves(const QString& what, const std::vector<NewCurve>& curves, const SheetFile& sheet) {
    beginDayIfNone();
    const bool done = guarded(tr("The curve could not be taken"), [&] {
        m_document.edit(what.arg(counted("count.curves", static_cast<qsizetype>(curves.size()))),
                        [&](TestDay& day) { (void)addCurves(day, curves, sheet, m_document.path()); });
    });
    if (done)
        Q_EMIT imported();
}

void DayFiles::takePulls(const std::vector<ImportFile>& files) {
    beginDayIfNone();
    const bool done = guarded(tr("The files could not be imported"), [&] {
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
    Q_EMIT imported();
    m_offers.ask(); // rows that the day has already
}

bool DayFiles::guarded(const QString& what, const std::function<void()>& work) {
    try {
        work();
        return true;
    } catch (const DataError& error) {
        m_dialogs.showError(m_window, what, errorText(error));
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
        m_document.dismissEdits();
        return true;
    case UnsavedChoice::Cancel:
        break;
    }
    return false;
}

bool DayFiles::save() {
    if (m_document.path().empty())
        return saveAs();
    try {
        tellSaved(tr("Saved."), m_document.save());
        return true;
    } catch (const DataError& error) {
        if (error.problem() == Problem::ChangedOnDisk)
            askAboutChangedDay();
        else if (error.problem() == Problem::DayTakenOver)
            tellInUse();
        else if (error.problem() == Problem::PlaceGone || error.problem() == Problem::CannotWrite)
            m_notice.say(errorText(error), {{tr("Save elsewhere \u2026"), [this] { saveAs(); }}});
        m_dialogs.showError(m_window, tr("The day could not be saved"), errorText(error));
        return false;
    }
}

bool DayFiles::saveTo(const fs::path& target) {
    std::vector<Statement> leftBehind;
    if (!guarded(tr("The day could not be saved"), [&] { leftBehind = m_document.saveAs(target); }))
        return false;
    addRecent(target);
    tellSaved(tr("Saved to %1.").arg(qs(shownText(target.string()))), leftBehind);
    return true;
}

bool DayFiles::saveAs() {
    const auto target = m_dialogs.askTarget(m_window, tr("Save the day as"), qs(m_document.day().name),
                                            tr("Day folder or package (*)"));
    if (!target)
        return false;
    const bool saved = saveTo(toPath(*target));
    Q_EMIT stored();
    return saved;
}

void DayFiles::tellSaved(const QString& words, const std::vector<Statement>& leftBehind) {
    Q_EMIT saved();
    if (leftBehind.empty())
        return m_notice.mention(words);
    QStringList names;
    for (size_t i = 0; i < std::min<size_t>(leftBehind.size(), 5); ++i)
        names << qs(leftBehind[i]);
    m_notice.say(words + u' ' +
                     tr("%1 could not be taken along: %2.")
                         .arg(counted("count.files", static_cast<qsizetype>(leftBehind.size())), names.join(u", "_s)),
                 {{tr("Understood"), nullptr}});
}

void DayFiles::exportTo(const QString& title, const QString& ending, const QString& filter,
                        const std::function<void(const fs::path&)>& write) {
    auto target = m_dialogs.askTarget(m_window, title, qs(m_document.day().name) + ending, filter);
    if (!target)
        return;
    if (!target->endsWith(ending.mid(ending.lastIndexOf(u'.')), Qt::CaseInsensitive))
        *target += ending;
    if (guarded(tr("The file could not be written"), [&] { write(toPath(*target)); }))
        m_notice.mention(tr("Written: %1").arg(*target));
}

} // namespace hillrun
