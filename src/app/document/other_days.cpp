// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/other_days.h"

#include "app/look/words.h"
#include "core/units/log_percent.h"
#include "logbook/day_among_others.h"

#include <algorithm>

namespace hillrun {
namespace {

TaughtByCell taughtBy(const DayRecord& today, const std::vector<DayRecord>& known) {
    std::vector<const DayRecord*> others = daysOfDyno(known, &today);
    std::erase_if(others, [&](const DayRecord* day) { return day->id == today.id; });
    const EarlierRepeats repeats = earlierRepeats(others, today.article);
    const CellHistory cell = cellHistory(std::move(others));
    return {cell.repeatability, cell.refit, cell.likelyRefits, repeats, static_cast<int>(cell.days.size())};
}

} // namespace

RefitSd TaughtByCell::refitSd() const {
    RefitSd out;
    for (const double one : likelyRefits)
        out.likely_pct.push_back(percentOfLog(one));
    out.freedom = refit ? refit->freedom : 0.0;
    return out;
}

OtherDays::OtherDays(DayDocument& document, LogbookLink& link) : m_document(document), m_link(link) {
    connect(&m_document, &DayDocument::analysisReady, this, &OtherDays::markOutdated);
    connect(&m_document, &DayDocument::dayChanged, this, &OtherDays::markOutdated);
    connect(&m_link, &LogbookLink::changed, this, &OtherDays::markOutdated);
    connect(&m_link, &LogbookLink::failed, this,
            [this] { // no answer will come; the next page that shows one asks again
                m_answered = m_asked;
                m_outdated = true;
                Q_EMIT changed();
            });
}

void OtherDays::markOutdated() {
    m_outdated = true;
    const std::string shown = m_document.isOpen() ? dayId(m_document.day()) : std::string();
    if (shown != m_dayAsked) { // what was asked about another day is no answer
        m_dayAsked = shown;
        m_answer = {};
        m_answered = ++m_asked;
    }
    Q_EMIT outdated();
}

void OtherDays::bringUpToDate() {
    const auto analysis = m_document.analysis();
    if (!m_outdated || !m_document.isOpen() || !analysis || m_document.isBusy())
        return;
    m_outdated = false;
    *m_latest = ++m_asked;
    m_link.ask(
        this,
        [day = m_document.day(), analysis, latest = m_latest, question = m_asked](Logbook& logbook) {
            if (*latest != question)
                return OtherDaysAnswer(); // edited on meanwhile: the next question waits
            const DayAmongOthers among = amongOthers(day, *analysis, logbook);
            return OtherDaysAnswer{taughtBy(among.today, among.known), overDays(day, among, {true, true})};
        },
        [this, question = m_asked](OtherDaysAnswer answer) {
            if (question != m_asked)
                return;
            m_answered = question;
            m_answer = std::move(answer);
            Q_EMIT changed();
        });
    Q_EMIT changed();
}

void OtherDays::addEarlier(const BuildOfDay& build) {
    m_document.edit(tr("Put %1 beside today's builds").arg(qs(build.text())), [&](TestDay& day) {
        auto& earlier = day.plan.earlier;
        std::erase(earlier, build); // what was chosen last stands last
        earlier.push_back(build);
    });
    Q_EMIT earlierAdded();
}

void OtherDays::removeEarlier(const BuildOfDay& build) {
    m_document.edit(tr("No longer put %1 beside").arg(qs(build.text())),
                    [&](TestDay& day) { std::erase(day.plan.earlier, build); });
}

} // namespace hillrun
