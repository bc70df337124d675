// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "simcell/live_cell.h"

#include "core/channels/channels.h"
#include "core/units/units.h"
#include "formats/telemetry.h"
#include "simcell/simulate.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <iterator>
#include <sstream>

namespace hillrun::sim {
namespace {

constexpr double kIdle_rpm = 1150.0;
constexpr double kClockEvery_s = 5.0;
constexpr double kLost_s = 3.0; ///< how long a lost connection stays lost
constexpr const char* kHelp =
    "start | stop | build ID | pull | fault KIND [AT_RPM] [SIZE_PCT] [CHANNEL] | clear | fuel NAME | "
    "weather TEMPERATURE PRESSURE_KPA HUMIDITY | auto | status | quit";

double towards(double value, double goal, double dt, double tau_s) {
    return goal + (value - goal) * std::exp(-dt / tau_s);
}

std::vector<std::string> wordsOf(const std::string& line) {
    std::istringstream in(line);
    return {std::istream_iterator<std::string>(in), {}};
}

std::optional<double> numberOf(const std::string& word) {
    try {
        size_t used = 0;
        const double value = std::stod(word, &used);
        return used == word.size() ? std::optional(value) : std::nullopt;
    } catch (const std::exception&) {
        return std::nullopt;
    }
}

} // namespace

LiveCell::LiveCell(CellSpec spec, unsigned seed)
    : m_spec(std::move(spec)), m_generator(seed), m_channels(recordedChannels(m_spec)) {
    if (m_spec.day.cell.kind != CellKind::EngineBrake)
        m_channels.push_back({"tyre_temperature", 1, 0.1});
    m_row.resize(m_channels.size());
    m_build = m_spec.order.empty() ? m_spec.day.builds.front().id : m_spec.order.front().build;
    m_state.throttle_pct = 0.0;
    const double ambient = weather().temperature_c;
    m_state.warmth = {70.0, 66.0, ambient + 2.0, 60.0, ambient}; // it ran a while ago
}

WeatherPoint LiveCell::weather() const {
    WeatherPoint out = weatherAt(m_spec.weather, m_time_s / 3600.0);
    out.temperature_c += m_weatherShift.temperature_c;
    out.pressure_kpa += m_weatherShift.pressure_kpa;
    out.humidity_pct = std::clamp(out.humidity_pct + m_weatherShift.humidity_pct, 0.0, 100.0);
    return out;
}

HumidAir LiveCell::air() const {
    const WeatherPoint now = weather();
    return humidAir({now.temperature_c,
                     now.pressure_kpa * 1000.0,
                     {HumidityKind::RelativeHumidity_pct, std::clamp(now.humidity_pct, 0.0, 100.0)}});
}

std::string LiveCell::head() const {
    std::vector<Column> columns;
    for (const Recorded& recorded : m_channels) {
        const ChannelInfo* info = channelInfo(recorded.channel);
        columns.push_back({recorded.channel, info ? canonicalUnitText(info->dimension) : "C", {}});
    }
    return telemetryHead(columns);
}

std::string LiveCell::rowText() const {
    std::string out;
    for (size_t i = 0; i < m_row.size(); ++i) {
        if (i)
            out += ',';
        if (std::isfinite(m_row[i]))
            fmt::format_to(std::back_inserter(out), "{:.{}f}", m_row[i], i == 0 ? 3 : m_channels[i].decimals);
    }
    return out + "\n";
}

std::vector<std::string> LiveCell::takeEvents() { return std::exchange(m_events, {}); }

std::string LiveCell::command(const std::string& line) {
    const auto words = wordsOf(line);
    if (words.empty())
        return {};
    const std::string& verb = words.front();
    if (verb == "start")
        return startMotor();
    if (verb == "stop")
        return stopMotor();
    if (verb == "build" && words.size() == 2)
        return fit(words[1]);
    if (verb == "fuel" && words.size() >= 2)
        return changeFuel(words[1]);
    if (verb == "pull")
        return beginPull();
    if (verb == "fault" && words.size() >= 2)
        return addFault(words);
    if (verb == "clear") {
        m_nextFaults.clear();
        return "no faults";
    }
    if (verb == "weather" && words.size() == 4)
        return addWeather(words);
    if (verb == "auto") {
        followPlan();
        return "follows the plan";
    }
    if (verb == "status")
        return fmt::format("{} build {} coolant {:.1f} oil {:.1f} pulls {} time {:.1f}",
                           m_pull ? "pulling" : (m_running ? "idling" : "stopped"), m_build, m_state.warmth.coolant_c,
                           m_state.warmth.oil_c, m_pullsMade, m_time_s);
    return std::string("commands: ") + kHelp;
}

std::string LiveCell::startMotor() {
    m_running = true;
    say("event motor started");
    return "motor runs";
}

std::string LiveCell::stopMotor() {
    if (m_pull)
        endPull();
    m_running = false;
    say("event motor stopped");
    return "motor stands";
}

std::string LiveCell::fit(const std::string& id) {
    const Build* wanted = findBuild(m_spec.day, id);
    if (!wanted)
        return "no build " + id;
    if (m_pull)
        return "not during a pull";
    const Build* before = findBuild(m_spec.day, m_build);
    if (before && before->settings != wanted->settings)
        m_pullsSinceMap = 0;
    m_build = id;
    say("event build " + id);
    return "build " + id + " is fitted";
}

std::string LiveCell::changeFuel(const std::string& batch) {
    m_fuelGain = 1.0 + 0.003 * normal();
    say("event fuel " + batch);
    return "fuel batch " + batch;
}

std::string LiveCell::addFault(const std::vector<std::string>& words) {
    const auto& kinds = faultKinds();
    const auto kind = std::find(kinds.begin(), kinds.end(), words[1]);
    if (kind == kinds.end())
        return fmt::format("faults: {}", fmt::join(kinds, ", "));
    FaultSpec fault;
    fault.kind = *kind;
    if (words.size() > 2)
        fault.at_rpm = numberOf(words[2]).value_or(0.0);
    if (words.size() > 3)
        fault.size_pct = numberOf(words[3]).value_or(fault.size_pct);
    if (words.size() > 4)
        fault.channel = words[4];
    m_nextFaults.push_back(fault);
    return "in the next pull: " + fault.kind;
}

std::string LiveCell::addWeather(const std::vector<std::string>& words) {
    const auto t = numberOf(words[1]);
    const auto p = numberOf(words[2]);
    const auto h = numberOf(words[3]);
    if (!t || !p || !h)
        return "three numbers: degrees C, kPa, %";
    const WeatherPoint plain = weatherAt(m_spec.weather, m_time_s / 3600.0);
    m_weatherShift = {0.0, *t - plain.temperature_c, *p - plain.pressure_kpa, *h - plain.humidity_pct};
    return "weather set";
}

std::string LiveCell::beginPull() {
    if (!m_running)
        return "start the motor first";
    if (m_pull || m_approaching)
        return "a pull is running";
    m_approaching = true;
    return "throttle opens";
}

double LiveCell::gainNow() const {
    const double missing = m_spec.adaptation_pct / 100.0 * std::exp(-m_pullsSinceMap / 1.3);
    return driftFactor(m_spec.drift, m_time_s / 3600.0) * m_fuelGain * (1.0 - missing);
}

void LiveCell::endPull() {
    m_state = m_pull->state();
    m_pull.reset();
    m_pullEnded_s = m_time_s;
    ++m_pullsMade;
    ++m_pullsSinceMap;
    m_nextFaults.clear();
}

void LiveCell::followPlan() {
    m_auto = true;
    if (!m_running)
        startMotor();
    if (!m_spec.order.empty() && m_spec.order.front().build != m_build)
        fit(m_spec.order.front().build);
}

bool LiveCell::warm() const {
    for (const ControlWindow& window : m_spec.day.controlWindows) {
        const double now = slowReading(window.channel);
        if (now < window.low.value_or(-1e9) || now > window.high.value_or(1e9))
            return false;
    }
    return true;
}

/// The next step of the description's order, when its time has come and the engine is inside its windows.
void LiveCell::follow() {
    if (m_set >= m_spec.order.size() || m_pull || m_approaching || m_time_s < m_notBefore_s || !warm())
        return;
    const SetSpec& set = m_spec.order[m_set];
    if (m_inSet < set.pulls) {
        for (const FaultSpec& fault : m_spec.faults)
            if (fault.pull == fmt::format("p{:02}", m_pullsMade + 1))
                m_nextFaults.push_back(fault);
        beginPull();
        ++m_inSet;
        m_notBefore_s = m_time_s + 60.0 * set.betweenMinutes;
        return;
    }
    m_inSet = 0;
    if (++m_set < m_spec.order.size()) {
        m_notBefore_s = std::max(m_notBefore_s, m_time_s + 60.0 * m_spec.order[m_set].changeMinutes);
        fit(m_spec.order[m_set].build);
    }
}

/// Between pulls: the speed goes where it belongs, everything cools or warms.
void LiveCell::idle(double dt) {
    Warmth& w = m_state.warmth;
    const double ambient = weather().temperature_c;
    const double goal_rpm = !m_running ? 0.0 : (m_approaching ? m_spec.protocol.start_rpm : kIdle_rpm);
    const double change = (m_approaching ? 1500.0 : 1100.0) * dt;
    m_state.speed_rpm += std::clamp(goal_rpm - m_state.speed_rpm, -change, change);
    const double goal_pct =
        !m_running ? 0.0 : (m_approaching ? 26.0 : (m_state.speed_rpm > 1.2 * kIdle_rpm ? 0.0 : 6.0));
    m_state.throttle_pct += std::clamp(goal_pct - m_state.throttle_pct, -300.0 * dt, 300.0 * dt);
    m_state.torque_nm = m_approaching ? 12.0 : (m_running ? 1.0 : 0.0);
    m_state.misfire = false;
    m_state.bypassOpens = false;
    m_state.boostLost_kpa = 0.0;
    m_state.slip = 0.0;
    m_state.absorberLoad_pct = m_running ? 8.0 : 0.0;
    w.coolant_c = towards(w.coolant_c, m_running ? 84.5 : ambient, dt, m_running ? 55.0 : 1500.0);
    w.oil_c = towards(w.oil_c, m_running ? 90.5 : ambient, dt, m_running ? 90.0 : 1800.0);
    w.intake_c = towards(w.intake_c, ambient + 3.0, dt, 60.0);
    w.egt_c = towards(w.egt_c, m_running ? 320.0 : ambient, dt, 20.0);
    w.tyre_c = towards(w.tyre_c, ambient + 6.0, dt, 240.0);
    if (m_approaching && std::abs(m_state.speed_rpm - m_spec.protocol.start_rpm) < 1.0) {
        m_approaching = false;
        PullStart start{m_build, air(), gainNow(), m_state.warmth, 0.0, m_nextFaults};
        m_pull = std::make_unique<PullSimulation>(m_spec, std::move(start), m_generator);
        m_pullBegan_s = m_time_s;
    }
}

double LiveCell::slowReading(const std::string& channel) const {
    static const BuildEffect none;
    const EngineState& state = m_pull ? m_pull->state() : m_state;
    return reading(m_spec, m_pull ? m_pull->effect() : none, air(), state, channel);
}

void LiveCell::step() {
    const double dt = 1.0 / m_spec.protocol.sample_hz;
    m_time_s += dt;
    if (m_auto)
        follow();
    if (m_time_s >= m_nextClock_s) {
        m_nextClock_s += kClockEvery_s;
        say(fmt::format("clock {} {:.3f}", timeAfter(m_spec.firstPull, m_time_s / 3600.0), m_time_s));
    }
    if (m_pull) {
        m_pull->moveTo(m_time_s - m_pullBegan_s, dt);
        m_pull->read(m_row, m_channels);
        if (m_pull->connectionLost() && connected() && m_lostUntil_s < m_pullBegan_s)
            m_lostUntil_s = m_time_s + kLost_s;
        if (m_pull->over())
            endPull();
    } else {
        idle(dt);
        const HumidAir now = air();
        static const BuildEffect none;
        const auto it = m_spec.effects.find(m_build);
        const BuildEffect& effect = it == m_spec.effects.end() ? none : it->second;
        for (size_t i = 1; i < m_channels.size(); ++i)
            m_row[i] = recordedReading(m_channels[i], reading(m_spec, effect, now, m_state, m_channels[i].channel),
                                       m_spec.noise, m_generator, m_normal);
    }
    m_row[0] = std::round(m_time_s * 1000.0) / 1000.0;
}

} // namespace hillrun::sim
