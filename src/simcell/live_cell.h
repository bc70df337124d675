// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "simcell/pull_simulation.h"

#include <memory>
#include <string>
#include <vector>

namespace hillrun::sim {

/// The simulated cell as it lives between and during pulls: temperatures that heat and cool, a control unit that
/// adapts after a new map, fuel batches, weather that moves. Somebody works it by console commands, or it follows the
/// order of its description by itself. Simulated time only; whoever owns it moves it on.
class LiveCell {
public:
    LiveCell(CellSpec spec, unsigned seed);
    [[nodiscard]] const CellSpec& spec() const { return m_spec; }
    /// One console line ("start", "build B", "pull", "fault breakup 6900 14"); the answer in words. "help" lists them.
    std::string command(const std::string& line);
    void followPlan();
    /// One sample further.
    void step();

    [[nodiscard]] double time_s() const { return m_time_s; }
    [[nodiscard]] const std::vector<Recorded>& channels() const { return m_channels; }
    [[nodiscard]] const std::vector<double>& row() const { return m_row; }
    /// The two lines that open a stream of telemetry.
    [[nodiscard]] std::string head() const;
    [[nodiscard]] std::string rowText() const;
    /// Lines "#..." since the last call.
    std::vector<std::string> takeEvents();
    /// False while the link to the logger is down.
    [[nodiscard]] bool connected() const { return m_time_s >= m_lostUntil_s; }
    [[nodiscard]] WeatherPoint weather() const;
    [[nodiscard]] bool isPulling() const { return m_pull != nullptr; }
    [[nodiscard]] bool planDone() const { return m_auto && m_set >= m_spec.order.size(); }
    [[nodiscard]] int pullsMade() const { return m_pullsMade; }
    [[nodiscard]] const std::string& build() const { return m_build; }
    /// The value of a slow channel now, without noise.
    [[nodiscard]] double slowReading(const std::string& channel) const;

private:
    std::string startMotor();
    std::string stopMotor();
    std::string fit(const std::string& build);
    std::string changeFuel(const std::string& batch);
    std::string beginPull();
    std::string addFault(const std::vector<std::string>& words);
    std::string addWeather(const std::vector<std::string>& words);
    void endPull();
    void follow();
    void idle(double dt);
    [[nodiscard]] double gainNow() const;
    [[nodiscard]] bool warm() const;
    [[nodiscard]] HumidAir air() const;
    void say(const std::string& event) { m_events.push_back(event); }
    double normal() { return m_normal(m_generator); }

    CellSpec m_spec;
    Generator m_generator;
    boost::random::normal_distribution<double> m_normal;
    std::vector<Recorded> m_channels;
    std::vector<double> m_row;
    std::vector<std::string> m_events;
    double m_time_s = 0.0;
    double m_nextClock_s = 0.0;
    double m_lostUntil_s = -1.0;
    bool m_running = false;
    std::string m_build;
    EngineState m_state;
    std::unique_ptr<PullSimulation> m_pull;
    double m_pullBegan_s = 0.0;
    double m_pullEnded_s = -1e9;
    bool m_approaching = false; ///< on the way to the speed where the pull starts
    std::vector<FaultSpec> m_nextFaults;
    int m_pullsSinceMap = 99;
    double m_fuelGain = 1.0;
    WeatherPoint m_weatherShift{0.0, 0.0, 0.0, 0.0};
    int m_pullsMade = 0;
    bool m_auto = false;
    size_t m_set = 0;
    int m_inSet = 0;
    double m_notBefore_s = 0.0;
};

} // namespace hillrun::sim
