// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/day_document.h"

#include "app/document/analysis_worker.h"
#include "app/document/keep_worker.h"
#include "app/look/words.h"
#include "core/errors/data_error.h"
#include "formats/kept_days.h"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <QElapsedTimer>
#include <QUndoCommand>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kUndoKept = 200;
constexpr qint64 kTogether_ms = 2000; ///< edits that belong together follow each other within this
constexpr int kMergingEdit = 1;       ///< Qt asks for a number before it merges two commands

std::string utcNowText() {
    return isoTimeOf(std::chrono::duration<double>(std::chrono::system_clock::now().time_since_epoch()).count());
}

} // namespace

/// An edit as what it changed: the day before and after without the pulls that stayed the same. Raw tables are shared.
class DayEdit : public QUndoCommand {
public:
    DayEdit(DayDocument& document, const QString& what, const TestDay& before, TestDay after, const QString& together)
        : QUndoCommand(what), m_document(document), m_before(before), m_after(std::move(after)), m_together(together) {
        m_since.start();
        const auto longest = std::min(m_before.pulls.size(), m_after.pulls.size());
        while (m_firstPull < longest && m_before.pulls[m_firstPull] == m_after.pulls[m_firstPull])
            ++m_firstPull;
        size_t same = 0; // at the end
        while (same < longest - m_firstPull &&
               m_before.pulls[m_before.pulls.size() - 1 - same] == m_after.pulls[m_after.pulls.size() - 1 - same])
            ++same;
        keepOnly(m_before.pulls, same);
        keepOnly(m_after.pulls, same);
    }
    [[nodiscard]] int id() const override { return m_together.isEmpty() ? -1 : kMergingEdit; }
    /// A later edit of the same thing, soon after: one step back undoes both.
    bool mergeWith(const QUndoCommand* later) override {
        const auto& next = static_cast<const DayEdit&>(*later);
        const bool samePulls = next.m_firstPull == m_firstPull && next.m_before.pulls.size() == m_after.pulls.size();
        if (next.m_together != m_together || !samePulls || m_since.elapsed() > kTogether_ms)
            return false;
        m_after = next.m_after;
        m_since.start();
        setText(next.text());
        if (m_after == m_before)
            setObsolete(true); // they led back to where they began
        return true;
    }
    void undo() override { swap(m_after, m_before); }
    void redo() override { swap(m_before, m_after); }

private:
    void keepOnly(std::vector<Pull>& pulls, size_t sameAtEnd) const {
        pulls = {pulls.begin() + static_cast<long>(m_firstPull), pulls.end() - static_cast<long>(sameAtEnd)};
    }
    void swap(const TestDay& from, const TestDay& to) {
        std::vector<Pull> pulls = m_document.m_state.pulls;
        const auto at = pulls.begin() + static_cast<long>(m_firstPull);
        pulls.insert(pulls.erase(at, at + static_cast<long>(from.pulls.size())), to.pulls.begin(), to.pulls.end());
        TestDay state = to;
        state.pulls = std::move(pulls);
        m_document.setState(std::move(state));
    }

    DayDocument& m_document;
    TestDay m_before;
    TestDay m_after;
    QString m_together;     ///< what the edit is about, when it goes together with the next about the same
    QElapsedTimer m_since;  ///< the last of them
    size_t m_firstPull = 0; ///< number of the first pull that the edit touched
};

DayDocument::DayDocument(QObject* parent) : QObject(parent) {
    m_undo.setUndoLimit(kUndoKept);
    m_worker = std::make_unique<AnalysisWorker>(
        [this](quint64 number, std::shared_ptr<const DayAnalysis> result) {
            QMetaObject::invokeMethod(
                this, [this, number, result] { take(number, result); }, Qt::QueuedConnection);
        },
        [this](quint64 number, double share) {
            const auto say = [this, number, share] {
                if (number == m_asked && isBusy())
                    Q_EMIT progressed(share);
            };
            QMetaObject::invokeMethod(this, say, Qt::QueuedConnection);
        });
    m_keeper = std::make_unique<KeepWorker>(keptRoot(), [this](const std::string& why) {
        QMetaObject::invokeMethod(
            this, [this, words = QString::fromStdString(why)] { Q_EMIT notKept(words); }, Qt::QueuedConnection);
    });
}

DayDocument::~DayDocument() {
    m_worker.reset(); // before anything that its results would reach
    m_keeper.reset();
}

void DayDocument::show(TestDay day, const fs::path& path, const std::string& stamp, bool takeOver) {
    keep(); // of the day before: what was not dismissed stays to be offered
    m_keeper->leave();
    m_keeper->wait();
    m_undo.clear();
    m_open = true;
    m_path = path;
    m_stamp = stamp.empty() && !path.empty() ? dayStamp(path) : stamp;
    m_stored.clear();
    if (!path.empty())
        noteStored(day);
    m_lock.release();
    if (path.empty())
        setAccess(DayAccess::NoPlace, {});
    else if (m_lock.acquire(dayLockFile(path), kWindowProgram, takeOver))
        setAccess(DayAccess::Writable, {});
    else if (m_lock.other())
        setAccess(DayAccess::InUse, qs(ownerPhrase(*m_lock.other())));
    else
        setAccess(DayAccess::NotWritable, qs(m_lock.problem()));
    m_analysis.reset();
    setState(std::move(day));
}

void DayDocument::close() {
    keep();
    m_keeper->leave();
    m_undo.clear();
    m_open = false;
    m_state = {};
    m_day = {};
    m_path.clear();
    m_stamp.clear();
    m_stored.clear();
    m_lock.release();
    setAccess(DayAccess::NoPlace, {});
    m_analysis.reset();
    ++m_asked; // answers still on their way are stale
    m_answered = m_asked;
    Q_EMIT dayChanged();
    Q_EMIT analysisReady();
    Q_EMIT busyChanged(false);
}

void DayDocument::setAccess(DayAccess access, const QString& words) {
    m_access = access;
    m_accessWords = words;
    Q_EMIT accessChanged();
}

/// Another window took the day over since the last look.
void DayDocument::noteTakenOver() {
    if (m_access != DayAccess::Writable || m_lock.holds() || m_lock.placeGone())
        return;
    const fs::path file = dayLockFile(m_path);
    m_lock.release();
    if (m_lock.acquire(file, kWindowProgram)) // its lock was removed by hand: take it anew
        return;
    if (m_lock.other())
        setAccess(DayAccess::InUse, qs(ownerPhrase(*m_lock.other())));
    else
        setAccess(DayAccess::NotWritable, qs(m_lock.problem()));
}

bool DayDocument::edit(const QString& what, const std::function<void(TestDay&)>& change, const QString& together) {
    TestDay after = m_day;
    change(after);
    if (after == m_day) {
        if (m_trying) // dragged, and let go where it was
            ask();
        return true;
    }
    noteTakenOver();
    if (!mayEdit()) {
        Q_EMIT editRefused();
        return false;
    }
    m_undo.push(new DayEdit(*this, what, m_state, std::move(after), together));
    keep();
    return true;
}

void DayDocument::setSettings(const AnalysisSettings& settings) {
    if (settings == m_settings)
        return;
    m_settings = settings;
    Q_EMIT settingsChanged();
    ask();
}

void DayDocument::wantQuantity(const std::string& id) {
    if (id == m_settings.quantity)
        return;
    m_settings.quantity = id;
    if (!id.empty() && (isBusy() || (m_analysis && m_analysis->settings.quantity != id)))
        ask();
}

void DayDocument::wantCredit(bool on) {
    if (on == m_settings.credit)
        return;
    m_settings.credit = on;
    if (on && (isBusy() || (m_analysis && !m_analysis->settings.credit)))
        ask();
}

void DayDocument::setState(TestDay state) {
    m_state = std::move(state);
    m_day = m_state;
    m_dismissed = false;
    nameStored(m_day);
    Q_EMIT dayChanged();
    ask();
    if (m_undo.count() > 0) // undo and redo: the stack moves on only after this returns
        QMetaObject::invokeMethod(this, &DayDocument::keep, Qt::QueuedConnection);
}

void DayDocument::ask() {
    if (!m_open)
        return;
    m_tried.reset();
    m_trying = false;
    ++m_asked;
    Q_EMIT busyChanged(true);
    m_worker->ask(m_asked, m_day, settingsFor(m_day, m_settings));
}

void DayDocument::take(quint64 number, const std::shared_ptr<const DayAnalysis>& analysis) {
    if (number != m_asked)
        return; // a newer question waits
    m_answered = number;
    m_analysis = analysis;
    Q_EMIT analysisReady();
    if (m_tried)
        return askTried();
    Q_EMIT busyChanged(false);
}

void DayDocument::tryWindow(const std::string& pull, const RpmRange& window) {
    if (!m_open || !mayEdit())
        return;
    const bool waits = isBusy(); // a try never stops the one before it, or fast hands would see no number at all
    m_tried = TriedWindow{pull, window};
    if (!waits)
        askTried();
}

void DayDocument::askTried() {
    TestDay day = m_day;
    if (Pull* pull = findPull(day, m_tried->pull))
        pull->window_rpm = m_tried->window;
    m_tried.reset();
    m_trying = true;
    ++m_asked;
    m_worker->ask(m_asked, day, settingsFor(day, m_settings));
}

/// Rows that lie on disk keep the place they lie at, whatever state of the day is shown.
void DayDocument::nameStored(TestDay& day) const {
    for (Pull& pull : day.pulls)
        forEachStored(pull, [&](std::string& file, std::string& sha256, const auto& rows, const auto&) {
            const auto it = m_stored.find(rows.get());
            if (!rows || it == m_stored.end())
                return;
            file = it->second.file;
            sha256 = it->second.sha256;
        });
}

/// Where the rows of a day lie that was read or written.
void DayDocument::noteStored(const TestDay& day) {
    for (const Pull& pull : day.pulls)
        forEachStored(pull, [&](const std::string& file, const std::string& sha256, const auto& rows, const auto&) {
            if (rows && !sha256.empty())
                m_stored[rows.get()] = {rows, file, sha256};
        });
}

void DayDocument::takeStored(const TestDay& saved) {
    noteStored(saved);
    m_day.attachments = saved.attachments;
    for (size_t i = 0; i < saved.builds.size(); ++i)
        m_day.builds[i].attachments = saved.builds[i].attachments;
    for (size_t i = 0; i < saved.pulls.size(); ++i)
        m_day.pulls[i].given.picture = saved.pulls[i].given.picture;
    nameStored(m_day);
}

SavedDay DayDocument::writeTo(const fs::path& target) {
    return saveDay(m_day, target, m_path.empty() ? std::nullopt : std::optional(m_path));
}

std::vector<Statement> DayDocument::save() {
    noteTakenOver();
    std::error_code error;
    if (m_access == DayAccess::InUse)
        throw DataError(Problem::DayTakenOver, {m_accessWords.toStdString()}, {.file = m_path.string()});
    if (!fs::exists(m_path, error)) // never made anew: the stick may come back
        throw DataError(Problem::PlaceGone, {}, {.file = m_path.string()});
    if (m_access == DayAccess::NotWritable)
        throw DataError(Problem::CannotWrite, {m_accessWords.toStdString()}, {.file = m_path.string()});
    if (dayStamp(m_path) != m_stamp)
        throw DataError(Problem::ChangedOnDisk, {}, {.file = m_path.string()});
    const SavedDay saved = writeTo(m_path);
    m_stamp = saved.stamp;
    takeStored(saved.day);
    m_undo.setClean();
    m_keeper->drop();
    return saved.leftBehind;
}

std::vector<Statement> DayDocument::saveAs(const fs::path& target) {
    std::error_code error;
    if (!m_path.empty() && fs::exists(target, error) && fs::equivalent(target, m_path, error) && mayEdit())
        return save();
    if (!isZipPath(target))
        makeFolders(target);
    FileLock lock;
    if (!lock.acquire(dayLockFile(target), kWindowProgram)) {
        if (lock.other())
            throw DataError(Problem::DayInUse, {ownerPhrase(*lock.other())}, {.file = target.string()});
        throw DataError(Problem::CannotWrite, {Argument(lock.problem())}, {.file = target.string()});
    }
    const SavedDay saved = writeTo(target);
    m_lock = std::move(lock);
    m_path = target;
    m_stamp = saved.stamp;
    m_stored.clear(); // of the place before
    takeStored(saved.day);
    setAccess(DayAccess::Writable, {});
    m_undo.setClean();
    m_keeper->drop();
    return saved.leftBehind;
}

/// Written at once, on a thread of its own.
void DayDocument::keep() {
    if (!m_open || m_dismissed || m_undo.count() == 0)
        return;
    if (m_undo.isClean())
        return m_keeper->drop();
    KeptNote note{
        m_path.empty() ? std::string() : fs::absolute(m_path).string(), m_day.name, utcNowText(), m_stamp, {}};
    const int clean = std::max(0, m_undo.cleanIndex());
    for (int i = clean; i < m_undo.index(); ++i)
        note.edits.push_back(m_undo.text(i).toStdString());
    for (int i = clean - 1; i >= m_undo.index(); --i)
        note.edits.push_back(tr("Undo: %1").arg(m_undo.text(i)).toStdString());
    if (note.edits.empty()) // what was saved lies on a branch that was given up
        note.edits.push_back(tr("Undo what was saved").toStdString());
    m_keeper->keep(m_day, std::move(note));
}

void DayDocument::dismissEdits() {
    m_dismissed = true;
    m_keeper->drop();
}

void DayDocument::waitUntilKept() {
    keep();
    m_keeper->wait();
}

void DayDocument::setAside(const std::vector<std::string>& pulls, const QString& reason) {
    edit(tr("Set aside %1").arg(QString::fromStdString(pulls.size() == 1 ? pulls.front() : "pulls")),
         [&](TestDay& day) {
             for (const std::string& id : pulls) {
                 if (Pull* pull = findPull(day, id)) {
                     pull->use = false;
                     noteReason(*pull, reason.toStdString(), currentVoice());
                 }
             }
         });
}

void DayDocument::takeBack(const std::vector<std::string>& pulls) {
    edit(tr("Take back %1").arg(QString::fromStdString(pulls.size() == 1 ? pulls.front() : "pulls")),
         [&](TestDay& day) {
             for (const std::string& id : pulls) {
                 if (Pull* pull = findPull(day, id)) {
                     pull->use = true;
                     pull->reason.clear();
                     pull->reasonCode.clear();
                 }
             }
         });
}

void DayDocument::setWindow(const std::string& id, const std::optional<RpmRange>& window) {
    const auto change = [&](TestDay& day) {
        if (Pull* pull = findPull(day, id))
            pull->window_rpm = window;
    };
    const QString name = QString::fromStdString(id);
    if (window)
        edit(tr("Trim %1").arg(name), change, u"trim "_s + name);
    else
        edit(tr("Undo the trim of %1").arg(name), change);
}

void DayDocument::setPressure(const std::vector<std::string>& pulls, double pressure_kpa) {
    edit(tr("Take %1 kPa for %2")
             .arg(numberText(pressure_kpa, 2))
             .arg(pulls.size() == 1 ? QString::fromStdString(pulls.front())
                                    : counted("count.pulls", static_cast<qsizetype>(pulls.size()))),
         [&](TestDay& day) {
             for (const std::string& id : pulls)
                 if (Pull* pull = findPull(day, id); pull && pull->weather)
                     pull->weather->pressure_pa = std::round(pressure_kpa * 100.0) * 10.0;
         });
}

void DayDocument::correctUnit(const std::string& id, double factor, const QString& words) {
    edit(tr("%1: %2").arg(QString::fromStdString(id), words), [&](TestDay& day) {
        if (Pull* pull = findPull(day, id))
            pull->torqueFactor = pull->torqueFactor.value_or(1.0) * factor;
    });
}

} // namespace hillrun
