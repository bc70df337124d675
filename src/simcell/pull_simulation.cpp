// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "simcell/pull_simulation.h"

#include "core/channels/channels.h"
#include "core/pull/dyno.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace hillrun::sim {
namespace {

constexpr double kHold_s = 0.8;    ///< at part load, speed held
constexpr double kOpening_s = 0.7; ///< throttle opens, load is taken up
constexpr double kAfter_s = 0.8;   ///< throttle closed
constexpr double kBetweenHolds_s = 0.6;
constexpr double kClutchIdle_rpm = 1100.0;
constexpr double kRpmPerRadS = 30.0 / std::numbers::pi;

constexpr Recorded kRecorded[] = {
    {"time", 2, 0.0},
    {"engine_speed", 0, 0.6},
    {"torque", 2, 0.0}, // its noise is relative
    {"manifold_pressure", 1, 0.12},
    {"airbox_pressure", 2, 0.02},
    {"lambda", 3, 0.003},
    {"intake_air_temperature", 1, 0.05},
    {"coolant_temperature", 1, 0.05},
    {"oil_temperature", 1, 0.05},
    {"exhaust_gas_temperature", 0, 1.5},
    {"oil_pressure", 0, 2.0},
    {"fuel_pressure", 0, 1.0},
    {"fuel_flow", 2, 0.03},
    {"ignition_advance", 1, 0.0},
    {"knock_retard", 1, 0.0},
    {"throttle", 1, 0.05},
    {"absorber_load", 1, 0.2},
    {"spark_current", 1, 0.4},
    {"exhaust_back_pressure", 1, 0.3},
    {"wastegate_duty", 1, 0.3},
    {"bypass_valve", 1, 0.0},
    {"air_flow", 1, 0.3},
    {"road_speed", 1, 0.05},
    {"roller_speed", 3, 0.004},
    {"retarder_torque", 1, 0.3},
};

bool belongs(const char* channel, const CellSpec& spec) {
    const std::string_view name = channel;
    if (name == "exhaust_back_pressure" || name == "wastegate_duty" || name == "bypass_valve" || name == "air_flow")
        return spec.engine.turbo;
    if (name == "ignition_advance" || name == "knock_retard" || name == "spark_current")
        return spec.day.article.engine.ignition == Ignition::Spark;
    if (name == "torque")
        return spec.day.cell.kind != CellKind::ChassisInertia;
    if (name == "engine_speed")
        return spec.protocol.engineSpeed;
    if (name == "roller_speed")
        return spec.protocol.ratio.has_value();
    if (name == "retarder_torque")
        return spec.protocol.retarder_nm > 0.0;
    if (name == "road_speed")
        return spec.protocol.roadSpeed_kmh_per_krpm.has_value();
    return true;
}

double turboReading(std::string_view channel, const CellSpec& spec, const EngineState& s, double load, double map,
                    double ambient, double air_kg_h) {
    if (channel == "exhaust_back_pressure")
        return ambient + load * (map - ambient) * (0.75 + 0.75 * s.speed_rpm / spec.protocol.end_rpm);
    if (channel == "wastegate_duty")
        return load * std::clamp(30.0 + 0.35 * (map - ambient), 0.0, 100.0);
    if (channel == "bypass_valve")
        return s.bypassOpens ? 100.0 : s.bypassOpen_pct;
    if (channel == "air_flow")
        return air_kg_h;
    return spec.protocol.roadSpeed_kmh_per_krpm.value_or(0.0) * s.speed_rpm / 1000.0 * (1.0 - s.slip); // road_speed
}

} // namespace

std::vector<Recorded> recordedChannels(const CellSpec& spec) {
    std::vector<Recorded> out;
    for (const Recorded& recorded : kRecorded)
        if (belongs(recorded.channel, spec))
            out.push_back(recorded);
    return out;
}

double reading(const CellSpec& spec, const BuildEffect& effect, const HumidAir& air, const EngineState& s,
               std::string_view channel) {
    const double load = std::clamp(s.throttle_pct / 100.0, 0.0, 1.0);
    const double krpm = s.speed_rpm / 1000.0;
    const double ambient = air.pressure_pa / 1000.0;
    const double wide = manifoldPressure_kpa(spec.engine, effect, air, s.speed_rpm) - s.boostLost_kpa;
    const double map = 35.0 + (wide - 35.0) * std::min(1.0, load * 1.02);
    const double air_kg_h = spec.engine.displacement_cc * 1e-6 * s.speed_rpm * 30.0 * 0.92 * map * 1000.0 /
                            (287.05 * (s.warmth.intake_c + 273.15));
    const double lambda =
        (load > 0.9 ? spec.engine.lambda : 0.99) + effect.lambdaShift + (s.misfire ? 0.05 : 0.0) + s.lambdaOff;
    if (channel == "engine_speed")
        return s.speed_rpm;
    if (channel == "torque")
        return s.torque_nm;
    if (channel == "manifold_pressure")
        return map;
    if (channel == "airbox_pressure")
        return ambient - 0.9 * load * krpm * krpm / 40.0;
    if (channel == "lambda")
        return lambda + 0.004 * std::sin(krpm * 2.1);
    if (channel == "intake_air_temperature")
        return s.warmth.intake_c + (spec.engine.turbo ? 0.16 * std::max(0.0, map - ambient) : 0.0);
    if (channel == "coolant_temperature")
        return s.warmth.coolant_c;
    if (channel == "oil_temperature")
        return s.warmth.oil_c;
    if (channel == "exhaust_gas_temperature")
        return s.warmth.egt_c + s.exhaustOver_c;
    if (channel == "tyre_temperature")
        return s.warmth.tyre_c;
    if (channel == "oil_pressure")
        return std::max(0.0, 190.0 + 42.0 * krpm - 0.9 * (s.warmth.oil_c - 90.0) - s.oilLost_kpa);
    if (channel == "fuel_pressure")
        return 300.0 + (spec.engine.turbo ? map - ambient : 0.0);
    if (channel == "fuel_flow")
        return air_kg_h / (14.6 * lambda);
    if (channel == "ignition_advance")
        return along(spec.engine.ignition_deg, s.speed_rpm, 26.0) + effect.ignitionShift_deg - s.ignitionPulled_deg;
    if (channel == "knock_retard")
        return s.knock_deg;
    if (channel == "roller_speed")
        return s.roller_rad_s;
    if (channel == "retarder_torque")
        return spec.protocol.retarder_nm;
    if (channel == "throttle")
        return s.throttle_pct;
    if (channel == "absorber_load")
        return s.absorberLoad_pct >= 0.0
                   ? s.absorberLoad_pct
                   : std::clamp(18.0 + 62.0 * load * krpm * 1000.0 / spec.protocol.end_rpm, 0.0, 100.0);
    if (channel == "spark_current")
        return s.misfire ? 31.0 : 48.0 - 0.6 * krpm;
    return turboReading(channel, spec, s, load, map, ambient, air_kg_h);
}

double recordedReading(const Recorded& recorded, double value, const NoiseSpec& noise, Generator& generator,
                       boost::random::normal_distribution<double>& normal) {
    if (std::string_view(recorded.channel) == "torque")
        value *= 1.0 + noise.sample_pct / 100.0 * normal(generator);
    else if (recorded.noise > 0.0)
        value += recorded.noise * normal(generator);
    const double scale = std::pow(10.0, recorded.decimals);
    return std::round(value * scale) / scale;
}

PullSimulation::PullSimulation(const CellSpec& spec, PullStart start, Generator& generator)
    : m_spec(spec), m_start(std::move(start)), m_generator(generator),
      m_wiggle(generator, spec.protocol.start_rpm, spec.protocol.end_rpm, spec.noise.wiggleLength_rpm) {
    if (const auto it = spec.effects.find(m_start.build); it != spec.effects.end())
        m_effect = it->second;
    m_gain = m_start.gain * (1.0 + spec.noise.pullGain_pct / 100.0 * normal());
    if (m_start.warmth) {
        m_state.warmth = *m_start.warmth;
        return;
    }
    m_state.warmth.coolant_c = 84.0 + 0.7 * normal();
    m_state.warmth.oil_c = 90.0 + m_start.warming_c + 0.8 * normal();
    m_state.warmth.intake_c = m_start.air.temperature_c + 3.0 + 0.4 * normal();
}

double PullSimulation::sweep_s() const {
    const Protocol& p = m_spec.protocol;
    if (m_liftedAt_s)
        return *m_liftedAt_s - kHold_s - kOpening_s;
    if (onInertiaRollers())
        return 60.0; // never reached: the rollers are at speed before
    if (m_spec.day.cell.sweep == SweepDirection::Steps) {
        const double steps = std::floor((p.end_rpm - p.start_rpm) / p.step_rpm + 1e-9);
        return (steps + 1.0) * p.hold_s + steps * kBetweenHolds_s;
    }
    return (p.end_rpm - p.start_rpm) / p.rate_rpm_per_s;
}

double PullSimulation::duration_s() const {
    return kHold_s + kOpening_s + sweep_s() + std::max(kAfter_s, m_spec.protocol.coastDown_s);
}

double PullSimulation::fullLoad_nm(double rpm) const {
    return fullLoadTorque_nm(m_spec.engine, m_effect, m_start.air, rpm) * m_gain *
           (1.0 + m_spec.noise.wiggle_pct / 100.0 * m_wiggle.at(rpm));
}

const FaultSpec* PullSimulation::fault(const char* kind) const {
    for (const FaultSpec& f : m_start.faults)
        if (f.kind == kind)
            return &f;
    return nullptr;
}

void PullSimulation::moveTo(double time_s, double dt) {
    m_time_s = time_s;
    const double intoSweep_s = std::clamp(m_time_s - kHold_s - kOpening_s, 0.0, sweep_s());
    m_lifted = m_time_s > kHold_s + kOpening_s + sweep_s();
    const double before_rpm = m_state.speed_rpm;
    moveSpeed(intoSweep_s, dt);
    m_state.acceleration_rad_s2 =
        dt > 0.0 && before_rpm > 0.0 ? (m_state.speed_rpm - before_rpm) / kRpmPerRadS / dt : 0.0;
    const double wanted_pct = m_lifted ? 0.0 : (m_time_s < kHold_s ? 26.0 : 100.0);
    const double move = 100.0 * dt / (m_lifted ? 0.08 : 0.2);
    m_state.throttle_pct += std::clamp(wanted_pct - m_state.throttle_pct, -move, move);
    m_state.bypassOpens = m_state.throttle_pct < 50.0 && m_time_s > 2.0;

    const double full = fullLoad_nm(m_state.speed_rpm);
    const double share =
        m_state.throttle_pct >= 99.9 ? 1.0 : std::pow(m_state.throttle_pct / 100.0, 0.6) - (m_lifted ? 0.15 : 0.0);
    m_settled_nm += (full * share - m_settled_nm) * (1.0 - std::exp(-dt / 0.06));
    // In the steady sweep the first-order lag is not there: the brake reads what the engine gives.
    m_state.torque_nm = intoSweep_s > 0.0 && !m_lifted ? full : m_settled_nm;
    applyFaults(intoSweep_s);
    applyFaultsOfTheCell();
    applyFaultsOfTheControl();
    applyFaultsOfTheEngine(dt);
    m_state.torque_nm = atThePlace_nm(m_state.torque_nm);
    warm(dt, share);
}

/// What the brake reads of the engine's torque: less what speeds engine and driveline up and what is lost on the way.
double PullSimulation::atThePlace_nm(double engine_nm) const {
    const double inertia = m_spec.day.article.engine.inertia_kgm2.value_or(0.0);
    double out = engine_nm - inertia * m_state.acceleration_rad_s2;
    if (m_spec.protocol.ratio && !m_lifted) {
        const double ratio = *m_spec.protocol.ratio;
        const double driveline = drivelineInertia_kgm2(Dyno{m_spec.day.cell, m_spec.day.article.vehicle}, true);
        out -=
            (m_spec.losses.torque_nm(m_state.roller_rad_s) + driveline * m_state.acceleration_rad_s2 / ratio) / ratio;
    }
    return out;
}

double PullSimulation::sweptSpeed_rpm(double intoSweep_s) const {
    const Protocol& p = m_spec.protocol;
    if (m_spec.day.cell.sweep == SweepDirection::Down)
        return p.end_rpm - p.rate_rpm_per_s * intoSweep_s;
    if (m_spec.day.cell.sweep != SweepDirection::Steps)
        return p.start_rpm + p.rate_rpm_per_s * intoSweep_s;
    const double period_s = p.hold_s + kBetweenHolds_s;
    const double step = std::floor(intoSweep_s / period_s);
    const double moving_s = std::max(0.0, intoSweep_s - step * period_s - p.hold_s);
    return std::min(p.end_rpm, p.start_rpm + p.step_rpm * (step + moving_s / kBetweenHolds_s));
}

/// Rollers with the engine coupled: everything that turns speeds up with what the engine has left over.
void PullSimulation::accelerateRollers(double dt) {
    constexpr int kParts = 10;
    const double ratio = *m_spec.protocol.ratio;
    const double atRoller = *m_spec.day.cell.rollerInertia_kgm2 +
                            drivelineInertia_kgm2(Dyno{m_spec.day.cell, m_spec.day.article.vehicle}, true) +
                            ratio * ratio * m_spec.day.article.engine.inertia_kgm2.value_or(0.0);
    for (int i = 0; i < kParts; ++i) {
        const double roller_rad_s = m_state.speed_rpm / kRpmPerRadS / ratio;
        const double left_nm = ratio * fullLoad_nm(m_state.speed_rpm) - m_spec.losses.torque_nm(roller_rad_s) -
                               m_spec.protocol.retarder_nm;
        m_state.speed_rpm += ratio * left_nm / atRoller * dt / kParts * kRpmPerRadS;
    }
}

/// Rollers alone, the clutch open.
void PullSimulation::coastRollers(double dt) {
    const double inertia = m_spec.day.cell.rollerInertia_kgm2.value_or(0.0) +
                           drivelineInertia_kgm2(Dyno{m_spec.day.cell, m_spec.day.article.vehicle}, true);
    if (inertia > 0.0)
        m_state.roller_rad_s -=
            (m_spec.losses.torque_nm(m_state.roller_rad_s) + m_spec.protocol.retarder_nm) / inertia * dt;
    m_state.roller_rad_s = std::max(0.0, m_state.roller_rad_s);
}

void PullSimulation::moveSpeed(double intoSweep_s, double dt) {
    const Protocol& p = m_spec.protocol;
    if (onInertiaRollers() && intoSweep_s > 0.0 && !m_lifted) {
        accelerateRollers(dt);
        if (m_state.speed_rpm >= p.end_rpm && !m_liftedAt_s)
            m_liftedAt_s = m_time_s;
    } else {
        m_state.speed_rpm = onInertiaRollers() ? p.start_rpm : sweptSpeed_rpm(intoSweep_s);
    }
    if (m_lifted) {
        const double since_s = m_time_s - kHold_s - kOpening_s - sweep_s();
        const bool clutchOpen = p.coastDown_s > 0.0;
        m_state.speed_rpm = std::max(clutchOpen ? kClutchIdle_rpm : std::min(1500.0, m_top_rpm),
                                     m_top_rpm - (clutchOpen ? 4000.0 : 900.0) * since_s);
        if (clutchOpen)
            coastRollers(dt);
    } else {
        m_top_rpm = m_state.speed_rpm;
    }
    if (p.ratio && !(m_lifted && p.coastDown_s > 0.0))
        m_state.roller_rad_s = m_state.speed_rpm / kRpmPerRadS / *p.ratio * (1.0 - m_state.slip);
    m_limited = false;
    if (const FaultSpec* limiter = fault("limiter"); limiter && !m_lifted && m_state.speed_rpm > limiter->at_rpm) {
        m_state.speed_rpm = limiter->at_rpm + 8.0 * std::sin(30.0 * m_time_s);
        m_limited = true;
        m_top_rpm = limiter->at_rpm;
    }
}

/// Faults of the engine, in its torque.
void PullSimulation::applyFaults(double intoSweep_s) {
    double& torque_nm = m_state.torque_nm;
    if (const FaultSpec* spike = fault("start_spike"); spike && !m_lifted && m_time_s > kHold_s + 0.3)
        torque_nm *= 1.0 + spike->size_pct / 100.0 * std::exp(-intoSweep_s / 0.22);
    if (const FaultSpec* breakup = fault("breakup"); breakup && !m_lifted && m_state.speed_rpm > breakup->at_rpm) {
        if (m_burst == 0 && uniform() < 0.10)
            m_burst = 3 + static_cast<int>(5.0 * uniform());
        if (m_burst > 0) {
            torque_nm *= 1.0 - breakup->size_pct / 100.0 * (0.6 + 0.8 * uniform());
            m_state.misfire = true;
            --m_burst;
        } else {
            m_state.misfire = false;
        }
    }
    if (m_limited && uniform() < 0.5)
        torque_nm *= 0.4;
    if (const FaultSpec* spike = fault("spike");
        spike && !m_lifted && m_state.speed_rpm > spike->at_rpm &&
        m_state.speed_rpm < spike->at_rpm + 0.03 * m_spec.protocol.rate_rpm_per_s)
        torque_nm *= 1.0 + spike->size_pct / 100.0;
    if (const FaultSpec* collapse = fault("collapse");
        collapse && !m_lifted && intoSweep_s > 0.0 && m_state.speed_rpm > collapse->at_rpm) {
        const double since_s = (m_state.speed_rpm - collapse->at_rpm) / m_spec.protocol.rate_rpm_per_s;
        torque_nm *= 1.0 - collapse->size_pct / 100.0 * std::min(1.0, since_s / 0.15);
    }
}

/// Faults of the boost, the rollers and the brake.
void PullSimulation::applyFaultsOfTheCell() {
    m_state.boostLost_kpa = 0.0;
    m_state.slip = 0.0;
    m_state.absorberLoad_pct = -1.0;
    if (m_lifted)
        return;
    auto ramp = [this](const FaultSpec& f, double over_rpm) {
        return std::clamp((m_state.speed_rpm - f.at_rpm) / over_rpm, 0.0, 1.0);
    };
    if (const FaultSpec* leak = fault("boost_leak"); leak && m_spec.engine.turbo) {
        const double wide = manifoldPressure_kpa(m_spec.engine, m_effect, m_start.air, m_state.speed_rpm);
        const double ambient = m_start.air.pressure_pa / 1000.0;
        m_state.boostLost_kpa = leak->size_pct / 100.0 * (wide - ambient) * ramp(*leak, 400.0);
        m_state.torque_nm *= 1.0 - m_state.boostLost_kpa / wide;
    }
    if (const FaultSpec* slip = fault("slip"))
        m_state.slip = slip->size_pct / 100.0 * ramp(*slip, onInertiaRollers() ? 900.0 : 300.0);
    if (const FaultSpec* slip = fault("clutch_slip"); slip && m_state.speed_rpm > slip->at_rpm)
        m_state.slip = slip->size_pct / 100.0;
    if (const FaultSpec* slip = fault("converter_slip"))
        m_state.slip = slip->size_pct / 100.0 * std::clamp((slip->at_rpm - m_state.speed_rpm) / 1500.0, 0.0, 1.0);
    if (const FaultSpec* gear = fault("wrong_gear"))
        m_state.slip = gear->size_pct / 100.0;
    if (const FaultSpec* full = fault("absorber_full"); full && m_state.speed_rpm > full->at_rpm)
        m_state.absorberLoad_pct = 100.0;
}

void PullSimulation::warm(double dt, double share) {
    Warmth& w = m_state.warmth;
    w.coolant_c += dt * (0.35 * share);
    w.oil_c += dt * (0.30 * share);
    const double egt = 520.0 + 260.0 * share * m_state.speed_rpm / m_spec.protocol.end_rpm;
    w.egt_c += (egt - w.egt_c) * (1.0 - std::exp(-dt / 0.9));
    w.intake_c += dt * 0.08;
    w.tyre_c += dt * 2.0 * share;
}

/// Faults of mixture, ignition, throttle and bypass, with what they cost in torque.
void PullSimulation::applyFaultsOfTheControl() {
    m_state.lambdaOff = m_state.knock_deg = m_state.ignitionPulled_deg = m_state.bypassOpen_pct = 0.0;
    if (m_lifted)
        return;
    auto hump = [this](const FaultSpec& f, double width_rpm) { // 1 in the middle, 0 outside
        const double u = (m_state.speed_rpm - f.at_rpm) / (0.5 * width_rpm);
        return std::abs(u) < 1.0 ? 0.5 + 0.5 * std::cos(std::numbers::pi * u) : 0.0;
    };
    if (const FaultSpec* f = fault("mixture"))
        m_state.lambdaOff = f->size_pct / 100.0 * hump(*f, 1600.0);
    if (const FaultSpec* f = fault("knock"))
        m_state.knock_deg = f->size_pct * hump(*f, 900.0);
    if (const FaultSpec* f = fault("timing_pulled"))
        m_state.ignitionPulled_deg = f->size_pct * hump(*f, 700.0);
    if (const FaultSpec* f = fault("bypass"); f && m_spec.engine.turbo) {
        m_state.bypassOpen_pct = 60.0 * hump(*f, 450.0);
        m_state.boostLost_kpa += f->size_pct * hump(*f, 450.0);
    }
    // A degree costs about 0.7 % of torque, a tenth of lambda 3 %, a kilopascal of charge its share (common practice).
    m_state.torque_nm *= (1.0 - 0.007 * (m_state.knock_deg + m_state.ignitionPulled_deg)) *
                         (1.0 - 0.3 * std::abs(m_state.lambdaOff)) * (1.0 - 0.0007 * m_state.bypassOpen_pct);
    if (const FaultSpec* f = fault("resonance"))
        m_state.torque_nm *= 1.0 + f->size_pct / 100.0 * hump(*f, 600.0);
    if (const FaultSpec* f = fault("throttle_short")) {
        m_state.throttle_pct = std::min(m_state.throttle_pct, 100.0 - f->size_pct);
        m_state.torque_nm *= 1.0 - 0.3 * f->size_pct / 100.0;
    }
    if (const FaultSpec* f = fault("lift"); f && m_state.speed_rpm > f->at_rpm && !m_liftedAt_s)
        m_liftedAt_s = m_time_s;
}

/// What an engine shows that is about to be hurt: a pick-up that draws air, an exhaust that runs too hot. From that
/// speed on it grows by the size, in kPa or degrees, in a second; it goes with the throttle.
void PullSimulation::applyFaultsOfTheEngine(double dt) {
    const auto grow = [&](const char* kind, double& by) {
        const FaultSpec* f = fault(kind);
        const bool on = f && !m_lifted && m_state.speed_rpm > f->at_rpm && m_state.throttle_pct > 60.0;
        by = std::max(0.0, by + dt * (on ? f->size_pct : -2.0 * by));
    };
    grow("oil_starved", m_state.oilLost_kpa);
    grow("exhaust_hot", m_state.exhaustOver_c);
}

/// Faults of the wiring, on what the logger gets.
double PullSimulation::faulty(const Recorded& recorded, double value) {
    if (fault("wrong_unit") && std::string_view(recorded.channel) == "torque")
        value *= 1.0 / (unit::kMetricHorsepower_w / 1000.0); // PS written down as kW
    auto hits = [&](const FaultSpec* f) {
        return f && f->channel == recorded.channel && m_state.speed_rpm > f->at_rpm;
    };
    if (const FaultSpec* noise = fault("noise"); hits(noise))
        value *= 1.0 + noise->size_pct / 100.0 * normal();
    if (const FaultSpec* frozen = fault("frozen"); hits(frozen)) {
        if (!m_isFrozen)
            m_frozen = value;
        m_isFrozen = true;
        value = m_frozen;
    }
    if (hits(fault("dropout")))
        value = std::numeric_limits<double>::quiet_NaN();
    return value;
}

void PullSimulation::read(std::span<double> out, std::span<const Recorded> channels) {
    for (size_t i = 0; i < channels.size(); ++i) {
        const Recorded& recorded = channels[i];
        const double value = std::string_view(recorded.channel) == "time"
                                 ? m_time_s
                                 : reading(m_spec, m_effect, m_start.air, m_state, recorded.channel);
        out[i] = faulty(recorded, recordedReading(recorded, value, m_spec.noise, m_generator, m_normal));
    }
}

bool PullSimulation::rowsMissing() const {
    const FaultSpec* gap = fault("gap");
    return gap && !m_lifted && m_state.speed_rpm > gap->at_rpm &&
           m_state.speed_rpm < gap->at_rpm + 0.3 * m_spec.protocol.rate_rpm_per_s;
}

bool PullSimulation::connectionLost() const {
    const FaultSpec* lost = fault("lost_connection");
    return lost && m_state.speed_rpm > lost->at_rpm;
}

} // namespace hillrun::sim
