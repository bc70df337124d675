// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/document/pull_flow.h"

#include "app/look/words.h"
#include "cell/machine_clock.h"
#include "core/day/local_time.h"
#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "core/plan/usual_limits.h"

#include <algorithm>
#include <cstdlib>
#include <fmt/format.h>

namespace fs = std::filesystem;
using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr double kFreshStation_s = 120.0;

int numberOf(const std::string& pullId) { return std::atoi(pullId.c_str() + 1); }

/// "joined half-way" as "Joined half-way."
std::string sentenceOf(const std::string& clause) {
    std::string out = shownText(clause, 300);
    if (!out.empty() && out[0] >= 'a' && out[0] <= 'z')
        out[0] = static_cast<char>(out[0] - 'a' + 'A');
    return out + ".";
}

} // namespace

PullFlow::PullFlow(DayDocument& document, CellService& service, QObject* parent)
    : QObject(parent), m_document(document), m_service(service) {
    connect(&m_service, &CellService::pullRecorded, this, &PullFlow::take);
    connect(&m_service, &CellService::pullStarted, this, &PullFlow::changed);
    connect(&m_service, &CellService::pullDropped, this, [this] {
        ++m_shortOnes;
        Q_EMIT changed();
    });
    connect(&m_service, &CellService::pullDated, this, &PullFlow::redate);
    connect(&m_document, &DayDocument::dayChanged, this, [this] {
        if (m_armed && (!m_document.isOpen() || m_document.path() != m_armedFor))
            disarm();
        else if (m_armed)
            m_service.arm(nextRequest());
        Q_EMIT changed();
    });
    connect(&m_document, &DayDocument::analysisReady, this, &PullFlow::writeSlip);
}

double PullFlow::clock_s() const {
    const double cell = m_service.now()->cellClock_s;
    return cell > 0.0 ? cell : machineClock_s();
}

std::string PullFlow::nowText() const {
    const LiveSnapshotPtr live = m_service.now();
    return live->cellClock_s > 0.0 ? localTimeText(live->cellClock_s, live->cellOffset) : machineTimeText();
}

std::string PullFlow::fitted() const {
    const TestDay& day = m_document.day();
    const PlanProgress plan = progress();
    if (!plan.fitted.empty())
        return plan.fitted;
    if (findBuild(day, m_chosen))
        return m_chosen;
    if (!plan.build.empty())
        return plan.build;
    return day.builds.empty() ? std::string() : day.builds.front().id;
}

QString PullFlow::settling() const {
    const auto analysis = m_document.analysis();
    if (m_slip && m_slip->suspicious && !m_slipAnswered)
        return {}; // first say whether that pull counts
    return analysis ? qs(settlingNotice(m_document.day(), *analysis)) : QString();
}

void PullFlow::setWeather(const WeatherReading& reading) {
    m_weather = reading;
    m_weatherTyped_s = reading.atmosphere() ? std::optional(machineClock_s()) : std::nullopt;
    if (m_armed)
        m_service.arm(nextRequest());
    Q_EMIT changed();
}

void PullFlow::setWeatherByHand(bool byHand) {
    m_weatherByHand = byHand;
    if (m_armed)
        m_service.arm(nextRequest());
    Q_EMIT changed();
}

std::optional<double> PullFlow::weatherAge_s() const {
    const LiveSnapshotPtr live = m_service.now();
    std::optional<double> age;
    if (live->weather.atmosphere() && !m_weatherByHand)
        age = live->weatherAge_s;
    if (m_weatherTyped_s) {
        const double typed = machineClock_s() - *m_weatherTyped_s;
        age = age ? std::min(*age, typed) : typed;
    }
    return age;
}

std::optional<Atmosphere> PullFlow::air() const {
    const LiveSnapshotPtr live = m_service.now();
    if (const auto station = live->weather.atmosphere();
        station && !m_weatherByHand && live->weatherAge_s < kFreshStation_s)
        return station;
    return m_weather.atmosphere();
}

/// Never one that was used before, also not by a pull that was undone: its rows lie in the folder still.
std::string PullFlow::nextPullId() const {
    const std::string id = freePullId(m_document.day(), m_document.path());
    const int last = m_lastFor == m_document.path() ? m_lastNumber : 0;
    return fmt::format("p{:02}", std::max(numberOf(id), last + 1));
}

PullRequest PullFlow::nextRequest() const {
    const TestDay& day = m_document.day();
    PullRequest out;
    out.dayPath = m_document.path();
    out.sweep = day.cell.sweep;
    out.limits = limitsOf(day.article);
    out.pull.id = nextPullId();
    out.pull.file = "pulls/" + out.pull.id + ".csv";
    out.pull.build = fitted();
    out.pull.refitted = isRefittedNow(day, out.pull.build);
    out.pull.gear = day.plan.protocol.gear;
    out.pull.weather = m_weather.atmosphere();
    out.stationWeather = !m_weatherByHand;
    return out;
}

void PullFlow::arm() {
    if (!m_document.isOpen() || m_document.path().empty() || fitted().empty() || !m_document.mayEdit())
        return;
    m_armed = true;
    m_armedFor = m_document.path();
    m_slipAnswered = true;
    m_service.arm(nextRequest());
    Q_EMIT changed();
}

void PullFlow::disarm() {
    m_armed = false;
    m_service.disarm();
    Q_EMIT changed();
}

void PullFlow::startByHand() {
    if (!m_armed)
        arm();
    m_service.startByHand();
}

void PullFlow::endByHand() { m_service.endByHand(); }

void PullFlow::changeBuild(const std::string& to, const QString& note, bool refitted) {
    const std::string from = fitted();
    m_chosen = to;
    if (to == from && note.trimmed().isEmpty() && !refitted)
        return;
    const std::string when = nowText();
    m_document.edit(refitted ? tr("Fit build %1 again").arg(qs(to)) : tr("Fit build %1").arg(qs(to)),
                    [&](TestDay& day) {
                        day.changes.push_back({when, from, to, note.trimmed().toStdString(), {}, refitted});
                    });
    save();
}

/// The pull goes into the day and onto the disk before anything else is done with it.
void PullFlow::take(const RecordedPull& recorded) {
    if (!m_document.isOpen() || recorded.dayPath != m_document.path()) {
        Q_EMIT belongsElsewhere(qs(recorded.pull.id));
        return; // its journal stays
    }
    Pull pull = recorded.pull;
    if (findPull(m_document.day(), pull.id)) { // two came in a row before the day knew the first
        pull.id = nextPullId();
        pull.file = "pulls/" + pull.id + ".csv";
    }
    m_lastEnded_s = clock_s();
    m_slipDue = pull.id;
    m_slip.reset();
    m_slipAnswered = false;
    m_lastNumber = numberOf(pull.id);
    m_lastFor = m_document.path();
    if (!m_document.edit(tr("Record %1").arg(qs(pull.id)), [&](TestDay& day) { day.pulls.push_back(pull); })) {
        m_slipDue.clear();
        Q_EMIT belongsElsewhere(qs(pull.id)); // another window has the day; the journal waits for it
        return;
    }
    try {
        m_document.save();
        std::error_code ignored;
        fs::remove(recorded.journal, ignored);
    } catch (const DataError& error) {
        Q_EMIT notSaved(errorText(error));
    }
    if (m_armed)
        m_service.arm(nextRequest());
    Q_EMIT changed();
}

void PullFlow::writeSlip() {
    const auto analysis = m_document.analysis();
    if (m_slipDue.empty() || !analysis || !findPull(m_document.day(), m_slipDue)) {
        Q_EMIT changed();
        return;
    }
    const auto own = std::find_if(analysis->pulls.begin(), analysis->pulls.end(),
                                  [&](const PullResult& result) { return result.id == m_slipDue; });
    if (own == analysis->pulls.end())
        return; // an older answer
    m_slip = pullSlip(m_document.day(), *analysis, m_slipDue);
    if (const Pull* pull = findPull(m_document.day(), m_slipDue); pull && !pull->note.empty())
        m_slip->lines.insert(m_slip->lines.begin(),
                             SlipLine{SlipWeight::Warning, {"name", {sentenceOf(pull->note)}}, "note"});
    m_slipDue.clear();
    Q_EMIT slipReady();
    Q_EMIT changed();
}

/// The logger told its time after the pull was made.
void PullFlow::redate(const DatedPull& dated) {
    const Pull* pull = findPull(m_document.day(), dated.pull);
    if (!pull || dated.dayPath != m_document.path() || pull->started != dated.startedBefore)
        return;
    const bool done = m_document.edit(tr("Date %1 by the logger").arg(qs(dated.pull)), [&](TestDay& day) {
        Pull& one = *findPull(day, dated.pull);
        one.started = dated.started;
        one.note += one.note.empty() ? "" : "; ";
        one.note += said("odd.dated_afterwards");
    });
    if (done)
        save();
}

void PullFlow::save() {
    if (m_document.path().empty())
        return; // kept like every edit until it has a place
    try {
        m_document.save();
    } catch (const DataError& error) {
        Q_EMIT notSaved(errorText(error));
    }
}

void PullFlow::keep() {
    m_slipAnswered = true;
    Q_EMIT changed();
}

void PullFlow::setAside(const QString& reason) {
    if (!m_slip)
        return;
    m_slipAnswered = true;
    m_document.setAside({m_slip->pull}, reason);
    save();
    Q_EMIT changed();
}

} // namespace hillrun
