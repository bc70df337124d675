// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/files/day_files.h"

#include "app/frame/guarded.h"
#include "core/errors/shown_text.h"
#include "formats/day_diff.h"
#include "formats/day_store.h"
#include "formats/file_io.h"

#include <algorithm>
#include <cctype>
#include <fmt/format.h>
#include <QDate>
#include <QFileInfo>
#include <QStandardPaths>
#include <utility>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kRecentKept = 8;

bool looksLikeDay(const fs::path& path) {
    return fs::is_directory(path) || path.filename() == "day.json" || (isZipPath(path) && holdsDay(path));
}

/// "day", "day-2", "day-3.zip" ...
fs::path numbered(const fs::path& path, int n) {
    return n < 2 ? path
                 : path.parent_path() / fmt::format("{}-{}{}", path.stem().string(), n, path.extension().string());
}

/// Those that are there; what follows them is `numbered(path, there + 1)`.
std::vector<fs::path> numberedThere(const fs::path& path) {
    std::vector<fs::path> out;
    std::error_code error;
    while (fs::exists(numbered(path, static_cast<int>(out.size()) + 1), error))
        out.push_back(numbered(path, static_cast<int>(out.size()) + 1));
    return out;
}

/// The first of them that is not there, but never the path itself.
fs::path besidePath(const fs::path& path) {
    return numbered(path, std::max(2, static_cast<int>(numberedThere(path).size()) + 1));
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
                   SettingsStore& settings, NoticeBar& notice)
    : QObject(window), m_window(window), m_dialogs(dialogs), m_document(document), m_selection(selection),
      m_settings(settings), m_notice(notice), m_offers(window, dialogs, document, selection, notice) {
    connect(&m_reader, &DayReader::opened, this, &DayFiles::take);
    connect(&m_reader, &DayReader::failed, this, [this](const fs::path&, const QString& message) {
        m_notice.hide();
        m_dialogs.showError(m_window, tr("This day could not be opened"), message);
    });
    connect(&m_document, &DayDocument::editRefused, this, &DayFiles::tellInUse);
    connect(&m_document, &DayDocument::notKept, this, [this](const QString& why) {
        m_notice.say(tr("Edits cannot be kept against a crash: %1 Save soon.").arg(why), {{tr("Understood"), nullptr}});
    });
    connect(&m_offers, &DayOffers::tookIn, this, &DayFiles::tookIn);
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
    if (QFileInfo(qs(path.string())).isWritable()) {
        open(path);
        return;
    }
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

void DayFiles::openCopy(const std::string& id, const std::string& host, std::string package) {
    const fs::path own = daysFolder() / (fileNameFrom(id) + ".zip");
    const auto holdsIt = [&](const fs::path& path) { return readFileText(path) == package; };
    (void)guarded(m_dialogs, m_window, tr("The copy of the day could not be written"), [&] {
        const std::vector<fs::path> copies = numberedThere(own);
        if (const auto same = std::find_if(copies.begin(), copies.end(), holdsIt); same != copies.end())
            return openCopyAt(*same, host);
        const auto openTheirs = [this, own, host, package] {
            (void)guarded(m_dialogs, m_window, tr("The copy of the day could not be written"), [&] {
                const fs::path target = numbered(own, static_cast<int>(numberedThere(own).size()) + 1);
                std::error_code error;
                fs::create_directories(target.parent_path(), error); // when it fails writing says so
                writeFileSafely(target, package);
                openCopyAt(target, host);
            });
        };
        if (copies.empty())
            return openTheirs();
        m_notice.say(tr("A copy of this day is here already, and it differs from the one in the logbook."),
                     {{tr("Open the copy here"), [this, mine = copies.back(), host] { openCopyAt(mine, host); }},
                      {tr("Open the logbook's beside it"), openTheirs}});
    });
}

void DayFiles::openCopyAt(const fs::path& path, const std::string& host) {
    if (open(path))
        m_sayWhenOpen = tr("A copy of a day of %1. What is edited and saved here stays here: the logbook keeps theirs.")
                            .arg(qs(shownText(host)));
}

bool DayFiles::open(const fs::path& path) {
    if (!mayLeaveDay())
        return false;
    m_offers.stop();
    m_sayWhenOpen.clear();
    m_notice.say(tr("Reading %1 \u2026").arg(qs(shownText(path.filename().string(), 60))),
                 {{tr("Cancel"), [this] { m_reader.cancel(); }}});
    m_reader.read(placeOfDay(path));
    return true;
}

void DayFiles::reload(bool takeOver) {
    m_offers.stop();
    m_reader.read(m_document.path(), takeOver); // edits that are not saved are kept when the day is shown anew
}

bool DayFiles::openDayAmong(const QStringList& paths) {
    const auto day =
        std::find_if(paths.begin(), paths.end(), [](const QString& path) { return looksLikeDay(toPath(path)); });
    if (day == paths.end())
        return false;
    open(toPath(*day));
    return true;
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
    if (const QString words = std::exchange(m_sayWhenOpen, {}); !words.isEmpty() && !m_notice.isVisible())
        m_notice.say(words, {{tr("Understood"), nullptr}});
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
    if (!home.empty() && !ofThis && fs::exists(home, error)) {
        open(home);
        return;
    }
    if (!mayLeaveDay())
        return;
    FileLock claim;
    if (!claimKept(kept, claim)) {
        m_dialogs.showError(m_window, tr("Another window has taken the edits in"), tr("Look at the day there."));
        return;
    }
    guarded(m_dialogs, m_window, tr("The kept day could not be read"), [&] {
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
        Q_EMIT tookIn();
    });
}

void DayFiles::askAboutChangedDay() {
    m_notice.say(tr("Not saved: the day was changed on disk since it was read."),
                 {{tr("Reload it"), [this] { reload(false); }},
                  {tr("Save mine beside it"), [this] { saveBeside(); }},
                  {tr("What differs?"), [this] { tellDifferences(); }}});
}

void DayFiles::tellDifferences() {
    guarded(m_dialogs, m_window, tr("The day on disk cannot be read"), [this] {
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
    if (!guarded(m_dialogs, m_window, tr("The day could not be saved"),
                 [&] { leftBehind = m_document.saveAs(target); }))
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
    if (guarded(m_dialogs, m_window, tr("The file could not be written"), [&] { write(toPath(*target)); }))
        m_notice.mention(tr("Written: %1").arg(*target));
}

} // namespace hillrun
