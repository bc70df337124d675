// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "simcell/cell_spec.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <boost/random/uniform_01.hpp>
#include <span>
#include <string_view>

namespace hillrun::sim {

using Generator = boost::random::mt19937_64;

/// One channel as the cell records it.
struct Recorded {
    const char* channel;
    int decimals;
    double noise; ///< sd, in the channel's unit
};
/// The channels this cell has.
std::vector<Recorded> recordedChannels(const CellSpec& spec);

/// What moves slowly, from pull to pull.
struct Warmth {
    double coolant_c = 84.0;
    double oil_c = 90.0;
    double intake_c = 20.0;
    double egt_c = 420.0;
    double tyre_c = 20.0;
};

/// The running engine at one moment.
struct EngineState {
    double speed_rpm = 0.0;
    double throttle_pct = 26.0;
    double torque_nm = 0.0;
    Warmth warmth;
    bool misfire = false;
    bool bypassOpens = false; ///< closing throttle after boost
    double boostLost_kpa = 0.0;
    double slip = 0.0;              ///< share by which the rollers fall behind
    double absorberLoad_pct = -1.0; ///< below 0: follows from speed and load
    double lambdaOff = 0.0;
    double knock_deg = 0.0;
    double ignitionPulled_deg = 0.0;
    double bypassOpen_pct = 0.0; ///< at full throttle
    double oilLost_kpa = 0.0;
    double exhaustOver_c = 0.0;
    double roller_rad_s = 0.0;
    double acceleration_rad_s2 = 0.0; ///< of the engine
};

/// A channel's true value, before noise and rounding.
double reading(const CellSpec& spec, const BuildEffect& effect, const HumidAir& air, const EngineState& state,
               std::string_view channel);
/// The same as a logger writes it: with noise, rounded.
double recordedReading(const Recorded& recorded, double value, const NoiseSpec& noise, Generator& generator,
                       boost::random::normal_distribution<double>& normal);

/// How a pull begins.
struct PullStart {
    std::string build;
    HumidAir air;
    double gain = 1.0;            ///< drift, adaptation, fuel
    std::optional<Warmth> warmth; ///< nothing: as usual at the start of a pull, with its own scatter
    double warming_c = 0.0;       ///< of the oil, over the day; only without `warmth`
    std::vector<FaultSpec> faults;
};

/// One pull, step by step: held, throttle opened, swept, throttle closed.
class PullSimulation {
public:
    PullSimulation(const CellSpec& spec, PullStart start, Generator& generator);
    /// The engine at a time after the pull began, `dt` after the last.
    void moveTo(double time_s, double dt);
    [[nodiscard]] bool over() const { return m_time_s > duration_s(); }
    /// Whole length; on inertia rollers known only when the end speed was reached (before: a generous guess).
    [[nodiscard]] double duration_s() const;
    /// The engine's own brake torque at full load at this speed, N.m: the truth behind what is recorded.
    [[nodiscard]] double fullLoad_nm(double rpm) const;
    [[nodiscard]] double time_s() const { return m_time_s; }
    [[nodiscard]] const EngineState& state() const { return m_state; }
    [[nodiscard]] const BuildEffect& effect() const { return m_effect; }
    /// All recorded channels now; NaN where a fault leaves none.
    void read(std::span<double> out, std::span<const Recorded> channels);
    [[nodiscard]] bool connectionLost() const;
    /// Rows of a gap: measured, but never received.
    [[nodiscard]] bool rowsMissing() const;

private:
    double normal() { return m_normal(m_generator); }
    double uniform() { return m_uniform(m_generator); }
    [[nodiscard]] const FaultSpec* fault(const char* kind) const;
    [[nodiscard]] bool onInertiaRollers() const { return m_spec.day.cell.kind == CellKind::ChassisInertia; }
    [[nodiscard]] double sweep_s() const;
    [[nodiscard]] double sweptSpeed_rpm(double intoSweep_s) const;
    void moveSpeed(double intoSweep_s, double dt);
    void accelerateRollers(double dt);
    void coastRollers(double dt);
    [[nodiscard]] double atThePlace_nm(double engine_nm) const;
    void applyFaultsOfTheControl();
    void applyFaultsOfTheEngine(double dt);
    void applyFaults(double intoSweep_s);
    void applyFaultsOfTheCell();
    void warm(double dt, double share);
    double faulty(const Recorded& recorded, double value);

    const CellSpec& m_spec;
    PullStart m_start;
    Generator& m_generator;
    boost::random::normal_distribution<double> m_normal;
    boost::random::uniform_01<double> m_uniform;
    Wiggle m_wiggle;
    BuildEffect m_effect;
    EngineState m_state;
    double m_gain = 1.0;
    double m_time_s = 0.0;
    double m_top_rpm = 0.0; ///< from where it falls when the throttle closes
    double m_settled_nm = 0.0;
    double m_frozen = 0.0;
    bool m_isFrozen = false;
    bool m_lifted = false;
    int m_burst = 0;
    bool m_limited = false;
    std::optional<double> m_liftedAt_s; ///< inertia rollers, or a lift: when the throttle closed
};

} // namespace hillrun::sim
