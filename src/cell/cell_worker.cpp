// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/cell_worker.h"

#include "cell/machine_clock.h"
#include "core/day/local_time.h"
#include "core/errors/data_error.h"
#include "formats/day_store.h"
#include "formats/nmea.h"
#include "words/current_voice.h"

#include <cmath>
#include <fmt/format.h>
#include <limits>
#include <QThread>

using namespace Qt::StringLiterals;

namespace hillrun {
namespace {

constexpr int kTell_ms = 33;  ///< 30 snapshots a second
constexpr int kFlush_ms = 50; ///< rows reach the disk within 100 ms
constexpr double kStale_s = 0.5;
constexpr double kSilent_s = 1.5; ///< a pull ends when the stream was silent for so long
constexpr double kFreshWeather_s = 120.0;
constexpr size_t kUndatedKept = 100;
constexpr double kThin_rpm = 8.0; ///< points of the live trace lie at least so far apart
constexpr qsizetype kLongestSentence = 1024;

double secondsSince(const std::optional<std::chrono::steady_clock::time_point>& at) {
    if (!at)
        return 1e9;
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - *at).count();
}

} // namespace

CellWorker::CellWorker()
    : m_recorder({
          .started = [this](double time_s) { beginPull(time_s); },
          .row = [this](std::span<const double> values) { m_journal.row(values); },
          .ended = [this](Recording recording) { endPull(std::move(recording)); },
          .dropped = [this] { dropPull(); },
      }),
      m_countedFrom(Clock::now()) {
    m_tell.setParent(this);
    m_flush.setParent(this);
    m_flush.setTimerType(Qt::PreciseTimer);
    connect(&m_flush, &QTimer::timeout, this, [this] { m_journal.flush(); });
    connect(&m_tell, &QTimer::timeout, this, &CellWorker::tell);
}

CellWorker::~CellWorker() = default; // a pull that runs stays in its journal

void CellWorker::setLinks(const std::vector<LinkAddress>& addresses) {
    m_recorder.linkLost();
    m_links.clear();
    m_undated.clear();
    m_clockAt_s = 0.0;
    m_watch.reset();
    m_columns.clear();
    m_lastFrameAt.reset();
    m_slow.clear();
    for (const LinkAddress& address : addresses) {
        m_links.push_back(std::make_unique<OpenLink>());
        OpenLink& link = *m_links.back();
        link.status.address = address;
        if (address.kind == LinkKind::ModbusTcp)
            openModbus(link);
        else if (address.isNmea())
            openNmea(link);
        else
            openTelemetry(link);
    }
    m_tell.start(kTell_ms);
    tell();
}

void CellWorker::openTelemetry(OpenLink& link) {
    link.telemetry = std::make_unique<TelemetryParser>(TelemetrySink{
        .header = [this](const std::vector<Column>& columns) { takeHeader(columns); },
        .frame =
            [this, &link](double time_s, std::span<const double> values) {
                heard(link);
                takeRow(link, time_s, values);
            },
        .comment = [this, &link](const std::string& text) { takeComment(link, text); },
        .problem = [this, &link](const Statement& why) { refused(link, QString::fromStdString(said(why))); },
    });
    link.bytes = std::make_unique<ByteLink>(link.status.address);
    connect(link.bytes.get(), &ByteLink::received, this, [&link](const QByteArray& bytes) {
        link.telemetry->feed({bytes.constData(), static_cast<size_t>(bytes.size())});
    });
    connect(link.bytes.get(), &ByteLink::stateChanged, this, [this, &link](LinkState state, const QString& words) {
        if (state == LinkState::Lost) {
            m_recorder.linkLost();
            link.telemetry->restart();
            link.clock.restart();
            m_undated.clear(); // another connection's clock line says nothing of them
            m_clockAt_s = 0.0;
        }
        stateOf(link, state, words);
    });
    link.bytes->open();
}

void CellWorker::openNmea(OpenLink& link) {
    link.bytes = std::make_unique<ByteLink>(link.status.address);
    connect(link.bytes.get(), &ByteLink::received, this, [this, &link](const QByteArray& bytes) {
        link.halfLine += bytes;
        for (qsizetype end = link.halfLine.indexOf('\n'); end >= 0; end = link.halfLine.indexOf('\n')) {
            const QByteArray line = link.halfLine.left(end).trimmed();
            link.halfLine.remove(0, end + 1);
            if (line.isEmpty())
                continue;
            const NmeaAnswer answer = parseNmea({line.constData(), static_cast<size_t>(line.size())});
            if (answer.kind == NmeaKind::BadChecksum)
                refused(link, tr("a sentence has a wrong checksum"));
            else if (answer.kind == NmeaKind::NotASentence)
                refused(link, tr("this is not an NMEA sentence"));
            else
                heard(link);
            if (answer.kind == NmeaKind::Weather)
                takeWeather(answer.reading, link.status.address.words());
        }
        if (link.halfLine.size() > kLongestSentence)
            link.halfLine.clear();
    });
    connect(link.bytes.get(), &ByteLink::stateChanged, this, [this, &link](LinkState state, const QString& words) {
        link.halfLine.clear();
        stateOf(link, state, words);
    });
    link.bytes->open();
}

void CellWorker::openModbus(OpenLink& link) {
    RegisterMap map = simcellRegisters();
    try {
        if (const QString file = link.status.address.registerFile; !file.isEmpty())
            map = readRegisterMap(readFileText(file.toStdString()), file.toStdString());
    } catch (const DataError& error) {
        stateOf(link, LinkState::Lost, QString::fromStdString(said(error)));
        return;
    }
    link.modbus = std::make_unique<ModbusLink>(link.status.address, std::move(map));
    connect(link.modbus.get(), &ModbusLink::readings, this,
            [this, &link](const ModbusLink::Readings& readings) { takeRegisters(link, readings); });
    connect(link.modbus.get(), &ModbusLink::stateChanged, this,
            [this, &link](LinkState state, const QString& words) { stateOf(link, state, words); });
    link.modbus->open();
}

void CellWorker::stateOf(OpenLink& link, LinkState state, const QString& words) {
    link.status.state = state;
    link.status.words = words;
}

void CellWorker::heard(OpenLink& link) {
    ++link.status.heard;
    link.lastHeard = Clock::now();
}

void CellWorker::refused(OpenLink& link, const QString& why) {
    ++link.status.bad;
    link.status.lastBad = why;
}

void CellWorker::takeHeader(const std::vector<Column>& columns) {
    m_columns = columns;
    m_lastFrame.assign(columns.size(), std::numeric_limits<double>::quiet_NaN());
    std::vector<std::string> names;
    m_speedColumn = m_torqueColumn = m_powerColumn = -1;
    for (size_t i = 0; i < columns.size(); ++i) {
        names.push_back(columns[i].name);
        if (columns[i].name == "engine_speed")
            m_speedColumn = static_cast<int>(i);
        else if (columns[i].name == "torque")
            m_torqueColumn = static_cast<int>(i);
        else if (columns[i].name == "power")
            m_powerColumn = static_cast<int>(i);
    }
    m_watch = std::make_unique<ChannelWatch>(std::move(names));
    m_recorder.setColumns(columns);
}

double CellWorker::arrival_s() const { return std::chrono::duration<double>(Clock::now() - m_begun).count(); }

/// The logger's time is put on a line that runs on whatever its clock does.
void CellWorker::takeRow(OpenLink& link, double stream_s, std::span<const double> values) {
    const ClockFaults before = link.clock.faults();
    const double time_s = link.clock.take(stream_s, arrival_s());
    const ClockFaults odd = link.clock.faults().since(before);
    if (odd.any()) {
        m_faults.jumpedAhead += odd.jumpedAhead;
        m_faults.ranBack += odd.ranBack;
        m_faults.stoodStill += odd.stoodStill;
        m_faults.missing += odd.missing;
        refused(link, QString::fromStdString(said(faultsStatement(odd))));
        if (m_journal.isOpen())
            m_journal.note(Voice::forFiles().say(faultsStatement(odd))); // a file
    }
    takeFrame(time_s, values);
}

void CellWorker::takeFrame(double time_s, std::span<const double> values) {
    m_lastFrameAt = Clock::now();
    m_lastTime_s = time_s;
    ++m_framesCounted;
    std::copy(values.begin(), values.end(), m_lastFrame.begin());
    m_watch->take(time_s, values);
    m_recorder.take(time_s, values);
    if (m_recorder.state() != RecorderState::Running)
        return;
    const size_t passed = m_limits.passed();
    m_limits.take(time_s, values);
    tellPassed(passed);
    if (m_speedColumn < 0)
        return;
    const double speed = values[static_cast<size_t>(m_speedColumn)];
    double torque = std::numeric_limits<double>::quiet_NaN();
    if (m_torqueColumn >= 0)
        torque = values[static_cast<size_t>(m_torqueColumn)];
    else if (m_powerColumn >= 0)
        torque = values[static_cast<size_t>(m_powerColumn)] * 1000.0 / angularSpeed(speed);
    // Only forwards: when the throttle closes the trace is over.
    const double moved = m_traceSpeed.empty() ? kThin_rpm : speed - m_traceSpeed.back();
    const bool forwards = m_request.sweep == SweepDirection::Down    ? moved <= -kThin_rpm
                          : m_request.sweep == SweepDirection::Steps ? std::abs(moved) >= kThin_rpm
                                                                     : moved >= kThin_rpm;
    if (m_traceSpeed.empty() || forwards) {
        m_traceSpeed.push_back(speed);
        m_traceTorque.push_back(torque);
    }
}

/// The window hears of a limit that was passed at once, not at the next beat.
void CellWorker::tellPassed(size_t before) {
    if (m_limits.passed() == before)
        return;
    const std::vector<LimitCrossing> passed = m_limits.crossings();
    for (size_t i = before; i < passed.size() && m_journal.isOpen(); ++i)
        m_journal.note(Voice::forFiles().say(crossingPhrase(passed[i])));
    tell();
}

/// "clock 2026-05-16T09:12:00+01:00 12.345": the cell's own clock at a stream time; "event build B".
void CellWorker::takeComment(const OpenLink& link, const std::string& text) {
    const QStringList words = QString::fromStdString(text).split(u' ', Qt::SkipEmptyParts);
    if (words.size() >= 2 && words[0] == u"clock"_s) {
        takeClock(link, words);
    } else if (words.size() >= 3 && words[0] == u"event"_s && words[1] == u"build"_s) {
        m_cellBuild = words[2].toStdString();
    }
    if (m_journal.isOpen())
        m_journal.note(text);
}

void CellWorker::takeClock(const OpenLink& link, const QStringList& words) {
    const auto seconds = secondsOf(words[1].toStdString());
    if (!seconds)
        return;
    bool told = false;
    const double stream_s = words.size() > 2 ? words[2].toDouble(&told) : 0.0;
    m_clockAt_s = *seconds;
    m_clockStream_s = told && std::isfinite(stream_s) ? stream_s + link.clock.offset_s() : m_lastTime_s;
    m_clockOffset = words[1].mid(19).toStdString();
    for (DatedPull& pull : m_undated) {
        pull.started = startedText(pull.start_s);
        Q_EMIT pullDated(pull);
    }
    m_undated.clear();
}

void CellWorker::takeWeather(const WeatherReading& reading, const QString& from) {
    m_weather.merge(reading);
    m_weatherAt = Clock::now();
    m_weatherFrom = from;
    for (const auto& link : m_links) // gauge pressures count from the air around
        if (link->telemetry && m_weather.pressure_kpa)
            link->telemetry->setAmbient(*m_weather.pressure_kpa);
}

void CellWorker::takeRegisters(OpenLink& link, const ModbusLink::Readings& readings) {
    heard(link);
    WeatherReading weather;
    const size_t passed = m_limits.passed();
    for (const auto& [entry, value] : readings) {
        if (entry.channel == "weather_temperature")
            weather.temperature_c = value;
        else if (entry.channel == "weather_pressure")
            weather.pressure_kpa = value;
        else if (entry.channel == "weather_humidity")
            weather.humidity_pct = value;
        else
            takeSlow(entry.channel, {entry.unit, value, Clock::now()});
    }
    tellPassed(passed);
    if (!weather.empty())
        takeWeather(weather, link.status.address.words());
}

void CellWorker::takeSlow(const std::string& channel, const Latest& latest) {
    m_slow[channel] = latest;
    if (m_recorder.state() == RecorderState::Running)
        m_limits.takeSlow(channel, m_lastTime_s, latest.value);
}

void CellWorker::arm(const PullRequest& request) {
    m_request = request;
    m_recorder.setSweep(request.sweep);
    m_recorder.arm();
    tell();
}

void CellWorker::disarm() {
    m_recorder.disarm();
    tell();
}

void CellWorker::startByHand() {
    m_recorder.startByHand();
    tell();
}

void CellWorker::endByHand() {
    m_recorder.endByHand();
    tell();
}

std::string CellWorker::startedText(double streamTime_s) const {
    return m_clockAt_s > 0.0 ? localTimeText(m_clockAt_s + streamTime_s - m_clockStream_s, m_clockOffset)
                             : machineTimeText();
}

void CellWorker::beginPull(double startTime_s) {
    m_pull = m_request.pull;
    m_pullDay = m_request.dayPath;
    m_pull.started = startedText(startTime_s);
    m_pullStart_s = startTime_s;
    m_pullDatedByCell = m_clockAt_s > 0.0;
    m_faultsBefore = m_faults;
    if (m_request.stationWeather && secondsSince(m_weatherAt) < kFreshWeather_s)
        if (const auto air = m_weather.atmosphere())
            m_pull.weather = air;
    m_traceSpeed.clear();
    m_traceTorque.clear();
    m_limits = LimitWatch(m_request.limits, m_columns);
    m_journal.begin(m_pullDay, m_pull, m_columns); // a refusal shows in the snapshot; rows live on in memory
    m_flush.start(kFlush_ms);
    Q_EMIT pullStarted();
}

void CellWorker::endPull(Recording recording) {
    m_flush.stop();
    m_journal.flush();
    RecordedPull out;
    out.dayPath = m_pullDay;
    out.pull = m_pull;
    if (!m_pullDatedByCell && m_clockAt_s > 0.0) { // its clock line came while the pull was made
        out.pull.started = startedText(m_pullStart_s);
    } else if (!m_pullDatedByCell) {
        m_undated.push_back({m_pullDay, m_pull.id, m_pull.started, m_pullStart_s, {}});
        if (m_undated.size() > kUndatedKept)
            m_undated.erase(m_undated.begin());
    }
    out.pull.note = oddities(recording);
    if (recording.end == PullEnd::LinkLost) { // what is there may be good, but nobody knows what is missing
        out.pull.use = false;
        out.pull.reasonCode = "connection_lost";
        out.pull.reason = Voice::forFiles().say(reasonPhrase(out.pull));
    }
    out.pull.raw = std::make_shared<const ChannelTable>(std::move(recording.table));
    out.end = recording.end;
    out.journalProblem = m_journal.problem();
    out.journal = m_journal.path();
    m_journal.finish(recording.end == PullEnd::LinkLost ? "connection_lost" : kJournalComplete);
    tell();
    Q_EMIT pullRecorded(out);
}

/// Too short for a pull, or the engine did not move: its rows stay in the journal until somebody dismisses them.
void CellWorker::dropPull() {
    m_flush.stop();
    m_journal.finish("too_short");
    Q_EMIT pullDropped();
}

/// What was odd about a recording, for the slip and whoever reads the day later; empty when nothing was.
std::string CellWorker::oddities(const Recording& recording) const {
    std::vector<Statement> out;
    if (recording.end == PullEnd::LinkLost)
        out.push_back({"odd.connection_lost"});
    if (recording.joined)
        out.push_back({"odd.joined"});
    if (const Statement faults = faultsStatement(m_faults.since(m_faultsBefore)); !faults.empty())
        out.push_back({"odd.clock", {faults}});
    if (!m_pullDatedByCell && m_clockAt_s > 0.0)
        out.push_back({"odd.dated_afterwards"});
    for (const LimitCrossing& crossing : m_limits.crossings())
        out.push_back(crossingPhrase(crossing));
    return said(out);
}

/// A stream that says nothing although its link stands is as good as lost.
void CellWorker::watchSilence() {
    const bool recording = m_recorder.state() == RecorderState::Running || m_recorder.state() == RecorderState::Ending;
    if (recording && secondsSince(m_lastFrameAt) > kSilent_s)
        m_recorder.linkLost();
    const double counted_s = std::chrono::duration<double>(Clock::now() - m_countedFrom).count();
    if (counted_s < 1.0)
        return;
    m_framesPerSecond = static_cast<double>(m_framesCounted) / counted_s;
    m_framesCounted = 0;
    m_countedFrom = Clock::now();
}

void CellWorker::tell() {
    watchSilence();
    auto out = std::make_shared<LiveSnapshot>();
    for (const auto& link : m_links) {
        out->links.push_back(link->status);
        out->links.back().silent_s = secondsSince(link->lastHeard);
    }
    const double age = secondsSince(m_lastFrameAt);
    for (size_t i = 0; i < m_columns.size() && m_watch; ++i)
        out->values.push_back({m_columns[i].name, m_columns[i].unit, m_lastFrame[i], m_watch->state(i), age});
    for (const auto& [channel, latest] : m_slow)
        if (!out->find(channel))
            out->values.push_back({channel, latest.unit, latest.value, ChannelState::Good, secondsSince(latest.at)});
    out->weather = m_weather;
    out->weatherAge_s = secondsSince(m_weatherAt);
    out->weatherFrom = m_weatherFrom;
    out->recorder = m_recorder.state();
    if (out->recorder == RecorderState::Running || out->recorder == RecorderState::Ending) {
        out->traceSpeed_rpm = m_traceSpeed;
        out->traceTorque_nm = m_traceTorque;
        out->pullSeconds = m_lastTime_s - m_recorder.startedAt_s();
        out->passed = m_limits.crossings();
    }
    out->journalProblem = m_journal.problem();
    out->stale = age > kStale_s;
    out->framesPerSecond = m_framesPerSecond;
    if (m_clockAt_s > 0.0) {
        out->cellClock_s = m_clockAt_s + m_lastTime_s - m_clockStream_s;
        out->cellOffset = m_clockOffset;
    }
    out->cellBuild = m_cellBuild;
    Q_EMIT snapshot(out);
}

} // namespace hillrun
