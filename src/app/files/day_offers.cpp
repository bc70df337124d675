// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/files/day_offers.h"

#include "app/look/words.h"
#include "core/day/set_aside.h"
#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "formats/pull_file.h"
#include "formats/pull_journal.h"
#include "formats/pull_repair.h"

#include <algorithm>
#include <cmath>
#include <QDateTime>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr size_t kEditsNamed = 3;

double lengthOf(const Pull& pull) {
    const Column* time = pull.raw ? pull.raw->find("time") : nullptr;
    return time && !time->values.empty() ? time->values.back() - time->values.front() : 0.0;
}

/// The rows of a journal are the beginning of a pull that the day has.
bool beginsWith(const ChannelTable& whole, const ChannelTable& begin) {
    if (whole.columns.size() != begin.columns.size() || whole.rows() < begin.rows())
        return false;
    const auto same = [](double a, double b) { return a == b || (std::isnan(a) && std::isnan(b)); };
    for (size_t c = 0; c < begin.columns.size(); ++c)
        if (whole.columns[c].name != begin.columns[c].name ||
            !std::equal(begin.columns[c].values.begin(), begin.columns[c].values.end(), whole.columns[c].values.begin(),
                        same))
            return false;
    return true;
}

bool isInDay(const Pull& left, const TestDay& day) {
    return std::any_of(day.pulls.begin(), day.pulls.end(),
                       [&](const Pull& pull) { return pull.raw && beginsWith(*ownRows(pull), *left.raw); });
}

void dropJournal(const fs::path& journal) {
    std::error_code ignored; // never deleted: the operator may think better of it
    fs::rename(journal, journal.string() + ".dropped", ignored);
}

QString whenText(const std::string& utc) {
    return QDateTime::fromString(QString::fromStdString(utc), Qt::ISODate).toLocalTime().toString(u"d MMM HH:mm"_s);
}

/// "Set aside p03, Trim p04 and 5 more".
QString editsText(const std::vector<std::string>& edits) {
    QStringList named;
    for (size_t i = edits.size() > kEditsNamed ? edits.size() - kEditsNamed : 0; i < edits.size(); ++i)
        named << qs(shownText(edits[i], 60));
    QString out = named.join(u", "_s);
    if (edits.size() > kEditsNamed)
        out += QObject::tr(" and %1 more").arg(edits.size() - kEditsNamed);
    return out;
}

/// Why a recording ended, in words: journals note it as a code, older ones as they said it.
QString endText(const std::string& end) {
    return isSetAsideReason(end) ? phrase("reason." + end) : qs(shownText(end, 60));
}

QString pullsText(const std::vector<LeftPull>& left) {
    QStringList out;
    for (const LeftPull& one : left)
        out << QObject::tr("%1 of build %2, %3 s%4")
                   .arg(qs(shownText(one.pull.id, 20)), qs(shownText(one.pull.build, 20)))
                   .arg(numberText(lengthOf(one.pull), 1))
                   .arg(one.end.empty() || one.end == kJournalComplete ? QString()
                                                                       : u" ("_s + endText(one.end) + u")"_s);
    return out.join(u"; "_s);
}

bool canBeRead(const std::string& text, const Pull& pull) {
    try {
        (void)readPullText(text, pull.file, gaugeReference_kpa(pull));
        return true;
    } catch (const DataError&) {
        return false;
    }
}

/// "2 rows could not be read and the logger's clock ran back"
QString doneText(const RepairedPull& repaired) { return qs(Statement{"several", {Several{repaired.done}}}); }

/// The pull as it comes into the day: one that was cut short may lack what counts, so it comes set aside.
Pull recovered(const LeftPull& one, const TestDay& day, const fs::path& dayPath) {
    Pull pull = one.pull;
    if (findPull(day, pull.id))
        pull.id = freePullId(day, dayPath);
    pull.file = "pulls/" + pull.id + ".csv";
    pull.sha256.clear();
    pull.note = QObject::tr("recovered from its journal").toStdString();
    if (one.end != kJournalComplete) {
        pull.use = false;
        noteReason(pull, one.end.empty() ? "cut_short" : one.end, currentVoice());
    }
    return pull;
}

} // namespace

std::vector<LeftPull> leftPulls(const fs::path& dayPath, const TestDay& day) {
    std::vector<LeftPull> out;
    for (const fs::path& journal : findJournals(dayPath)) {
        try {
            Pull pull = readJournal(journal);
            if (isInDay(pull, day)) {
                std::error_code ignored;
                fs::remove(journal, ignored);
                continue;
            }
            out.push_back({std::move(pull), journal, journalEnd(journal)});
        } catch (const DataError&) { // it holds no row: nothing was lost, nothing can be offered
        }
    }
    return out;
}

DayOffers::DayOffers(QWidget* window, Dialogs& dialogs, DayDocument& document, Selection& selection, NoticeBar& notice)
    : QObject(window), m_window(window), m_dialogs(dialogs), m_document(document), m_selection(selection),
      m_notice(notice) {}

void DayOffers::stop() { m_questions.clear(); }

void DayOffers::ask() {
    m_questions.clear();
    if (m_document.isOpen() && m_document.mayEdit()) {
        m_questions.emplace_back([this] { return askAboutLeft(false); });
        for (const Pull& pull : m_document.day().pulls)
            if (!pull.problem.empty() && pull.use)
                m_questions.emplace_back([this, id = pull.id] { return askAboutBadPull(id); });
        for (const auto& group : pullsWithSameRows(m_document.day()))
            m_questions.emplace_back([this, group] { return askAboutSameRows(group); });
    }
    for (const KeptDay& kept : findKept(keptRoot()))
        m_questions.emplace_back([this, kept] { return askAboutKept(kept); });
    next();
}

void DayOffers::askAboutEverything() {
    ask();
    if (!m_document.isOpen() || !m_document.mayEdit())
        return;
    if (m_notice.isVisible())
        m_questions.emplace_back([this] { return askAboutLeft(true); });
    else if (!askAboutLeft(true))
        m_notice.mention(tr("Nothing is kept that is not in a day."));
}

void DayOffers::next() {
    while (!m_questions.empty()) {
        const Question question = std::move(m_questions.front());
        m_questions.pop_front();
        try {
            if (question())
                return;
        } catch (const DataError& error) { // what was kept cannot be read: the other questions go on
            m_dialogs.showError(m_window, tr("Something that was kept cannot be read"), errorText(error));
        }
    }
}

NoticeBar::Answer DayOffers::answer(const QString& text, const std::function<void()>& run) {
    return {text, [this, run] {
                try {
                    if (run)
                        run();
                } catch (const DataError& error) {
                    m_dialogs.showError(m_window, tr("That did not work"), errorText(error));
                }
                if (!m_notice.isVisible())
                    next();
            }};
}

std::optional<KeptDay> DayOffers::keptOfThisDay() const {
    const fs::path path = m_document.path();
    for (const KeptDay& kept : findKept(keptRoot())) {
        std::error_code error;
        if (!path.empty() && !kept.note.dayPath.empty() && fs::equivalent(kept.note.dayPath, path, error) &&
            kept.note.base ==
                dayStamp(path)) // else the day went on without them: they are offered as a day of their own
            return kept;
    }
    return std::nullopt;
}

bool DayOffers::askAboutLeft(bool alsoShort) {
    const auto kept = keptOfThisDay();
    auto left = leftPulls(m_document.path(), kept ? readKept(*kept) : m_document.day());
    if (!alsoShort)
        std::erase_if(left, [](const LeftPull& one) {
            return !one.end.empty() && one.end != kJournalComplete && one.end != "connection_lost" &&
                   one.end != "connection lost";
        });
    if (!kept && left.empty())
        return false;
    QStringList what;
    if (!left.empty())
        what << tr("recordings that are not in the day: %1").arg(pullsText(left));
    if (kept)
        what << tr("edits that were not saved (%1): %2").arg(whenText(kept->note.when), editsText(kept->note.edits));
    m_notice.say(tr("Kept from the last time: %1.").arg(what.join(tr("; and "))),
                 {answer(tr("Take it in"), [this, kept, left] { takeIn(kept, left); }),
                  answer(tr("Leave it out"),
                         [kept, left] {
                             for (const LeftPull& one : left)
                                 dropJournal(one.journal);
                             if (kept)
                                 removeKept(*kept);
                         }),
                  answer(tr("Later"), nullptr)});
    return true;
}

void DayOffers::takeIn(const std::optional<KeptDay>& kept, const std::vector<LeftPull>& left) {
    FileLock claim;
    if (kept && !claimKept(*kept, claim)) {
        m_dialogs.showError(m_window, tr("Another window has taken the edits in"),
                            tr("Look at the day there; nothing was changed here."));
        return;
    }
    const bool done = m_document.edit(tr("Take in what was kept"), [&](TestDay& day) {
        if (kept)
            day = readKept(*kept);
        for (const LeftPull& one : left) {
            const Pull pull = recovered(one, day, m_document.path());
            if (!findBuild(day, pull.build))
                day.builds.push_back({.id = pull.build});
            day.pulls.push_back(pull);
        }
    });
    if (!done)
        return;
    m_document.waitUntilKept(); // in this session's own keeping, before the old one goes
    if (!left.empty()) {
        m_selection.setPull(m_document.day().pulls.back().id);
        Q_EMIT wantsSave();
        if (m_document.undoStack().isClean()) // saved: now, and only now, the journals have done their work
            for (const LeftPull& one : left) {
                std::error_code ignored;
                fs::remove(one.journal, ignored);
            }
        Q_EMIT tookIn();
    }
    claim.release();
    if (kept)
        removeKept(*kept);
}

bool DayOffers::askAboutBadPull(const std::string& id) {
    const Pull* pull = findPull(m_document.day(), id);
    if (!pull || pull->problem.empty() || !pull->use)
        return false;
    const QString what = qs(pull->problem);
    Pull copy = *pull;
    try {
        const std::string text = pullFileText(copy, m_document.path());
        const bool changed = !copy.sha256.empty() && sha256Hex(text) != copy.sha256;
        if (changed && canBeRead(text, copy))
            offerAsItIs(*pull);
        else
            offerRepair(*pull);
    } catch (const DataError&) { // not there, or nothing to be made of it
        m_notice.say(tr("%1 could not be read and is left out. %2").arg(qs(id), what),
                     {answer(tr("Set it aside"), [this, id] { setAside(id, tr("its file cannot be read")); }),
                      answer(tr("Go on without"), nullptr)});
    }
    return true;
}

void DayOffers::offerAsItIs(const Pull& pull) {
    m_notice.say(tr("%1 is left out: its file %2 is not the one that was stored (the checksum does not fit).")
                     .arg(qs(pull.id), qs(shownText(pull.file, 60))),
                 {answer(tr("Take it as it is"),
                         [this, id = pull.id] {
                             Pull taken = *findPull(m_document.day(), id);
                             takeAsItIs(taken, m_document.path());
                             taken.note += taken.note.empty() ? "" : "; ";
                             taken.note += tr("its file was changed and taken as it is").toStdString();
                             m_document.edit(tr("Take %1 as it is").arg(qs(id)),
                                             [&](TestDay& day) { *findPull(day, id) = taken; });
                         }),
                  answer(tr("Set it aside"), [this, id = pull.id] { setAside(id, tr("its file was changed")); }),
                  answer(tr("Later"), nullptr)});
}

void DayOffers::offerRepair(const Pull& pull) {
    const RepairedPull repaired =
        repairPullText(pullFileText(pull, m_document.path()), pull.file, gaugeReference_kpa(pull));
    m_notice.say(tr("%1 could not be read and is left out. It can be repaired (%2); its file stays as it is.")
                     .arg(qs(pull.id), doneText(repaired)),
                 {answer(tr("Repair it"),
                         [this, id = pull.id, repaired] {
                             m_document.edit(tr("Repair %1").arg(qs(id)), [&](TestDay& day) {
                                 Pull& one = *findPull(day, id);
                                 setOwnRows(one, std::make_shared<const ChannelTable>(repaired.table));
                                 one.sha256.clear();
                                 one.problem = {};
                                 one.note += (one.note.empty() ? "" : "; ") +
                                             tr("repaired: %1").arg(doneText(repaired)).toStdString();
                             });
                         }),
                  answer(tr("Set it aside"), [this, id = pull.id] { setAside(id, tr("its file cannot be read")); }),
                  answer(tr("Later"), nullptr)});
}

void DayOffers::setAside(const std::string& id, const QString& reason) { m_document.setAside({id}, reason); }

bool DayOffers::askAboutSameRows(const std::vector<std::string>& group) {
    std::vector<std::string> used;
    for (const std::string& id : group)
        if (const Pull* pull = findPull(m_document.day(), id); pull && pull->use)
            used.push_back(id);
    if (used.size() < 2)
        return false;
    const QString first = qs(used.front());
    const std::vector<std::string> others(used.begin() + 1, used.end());
    QStringList names;
    for (const std::string& id : used)
        names << qs(shownText(id, 20));
    m_notice.say(tr("%1 hold the same rows to the digit: a file was copied or imported twice. As repeats they would "
                    "count for more than was measured.")
                     .arg(names.join(tr(" and "))),
                 {answer(tr("Keep %1 only").arg(first),
                         [this, others, first] { m_document.setAside(others, tr("same rows as %1").arg(first)); }),
                  answer(tr("Keep all"), nullptr)});
    return true;
}

bool DayOffers::askAboutKept(const KeptDay& kept) {
    std::error_code error;
    if (!fs::exists(kept.folder / "day.json", error))
        return false; // taken in meanwhile
    const bool ofThis = m_document.isOpen() && !m_document.path().empty() && !kept.note.dayPath.empty() &&
                        fs::equivalent(kept.note.dayPath, m_document.path(), error);
    if (ofThis && kept.note.base == dayStamp(m_document.path()))
        return false; // asked about with the day's recordings, and put off
    const QString name = kept.note.name.empty() ? tr("Untitled day") : qs(shownText(kept.note.name, 60));
    QString where = kept.note.dayPath.empty() ? tr("never saved") : qs(shownText(kept.note.dayPath, 80));
    if (ofThis)
        where = tr("this day went on without them");
    m_notice.say(tr("Edits were kept of \u201C%1\u201D (%2; %3, %4): %5.")
                     .arg(name, where, counted("count.pulls", static_cast<qsizetype>(kept.pulls)),
                          whenText(kept.note.when), editsText(kept.note.edits)),
                 {answer(kept.note.dayPath.empty() || ofThis ? tr("Open them as a day") : tr("Open that day"),
                         [this, kept] { Q_EMIT wantsDay(kept); }),
                  answer(tr("Dismiss"), [kept] { removeKept(kept); }), answer(tr("Later"), nullptr)});
    return true;
}

} // namespace hillrun
