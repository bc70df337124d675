// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "simcell/simulate.h"

#include "core/pull/channels.h"
#include "core/units/units.h"

#include <algorithm>
#include <boost/random/normal_distribution.hpp>
#include <boost/random/uniform_01.hpp>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace hillrun::sim {
namespace {

using Generator = boost::random::mt19937_64;

/// How many decimals a logger writes for a channel.
struct Recorded {
    const char* channel;
    int decimals;
    double noise; ///< sd, in the channel's unit
};

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
};

bool belongs(const char* channel, const CellSpec& spec) {
    const std::string_view name = channel;
    if (name == "exhaust_back_pressure" || name == "wastegate_duty" || name == "bypass_valve" || name == "air_flow")
        return spec.engine.turbo;
    if (name == "road_speed")
        return spec.protocol.roadSpeed_kmh_per_krpm.has_value();
    return true;
}

double driftFactor(const DriftSpec& drift, double at_h) {
    const double percent = drift.linear_pct_per_h * at_h +
                           drift.settling_pct * (1.0 - std::exp(-at_h / drift.settling_h)) +
                           (drift.step_pct != 0.0 && at_h >= drift.step_h ? drift.step_pct : 0.0);
    return 1.0 + percent / 100.0;
}

/// One pull, step by step.
class PullSimulation {
public:
    PullSimulation(const CellSpec& spec, const Pull& pull, double at_h, Generator& generator)
        : m_spec(spec), m_pull(pull), m_generator(generator), m_air(humidAir(*pull.weather)),
          m_wiggle(generator, spec.protocol.start_rpm, spec.protocol.end_rpm, spec.noise.wiggleLength_rpm) {
        if (const auto it = spec.effects.find(pull.build); it != spec.effects.end())
            m_effect = it->second;
        m_gain = driftFactor(spec.drift, at_h) * (1.0 + spec.noise.pullGain_pct / 100.0 * normal());
        m_coolant_c = 84.0 + 0.7 * normal();
        m_oil_c = 90.0 + std::min(6.0, 4.0 * at_h) + 0.8 * normal();
        m_intake_c = pull.weather->temperature_c + 3.0 + 0.4 * normal();
        m_egt_c = 420.0;
    }

    ChannelTable run() {
        ChannelTable table;
        for (const Recorded& recorded : kRecorded)
            if (belongs(recorded.channel, m_spec))
                table.columns.push_back(
                    {recorded.channel, canonicalUnitText(channelInfo(recorded.channel)->dimension), {}});
        const Protocol& p = m_spec.protocol;
        const double sweep_s = (p.end_rpm - p.start_rpm) / p.rate_rpm_per_s;
        const double whole_s = kHold_s + kOpening_s + sweep_s + kAfter_s;
        const auto rows = static_cast<int>(whole_s * p.sample_hz);
        for (int row = 0; row <= rows; ++row) {
            m_time_s = row / p.sample_hz;
            step(1.0 / p.sample_hz, sweep_s);
            record(table);
        }
        return table;
    }

private:
    static constexpr double kHold_s = 0.8;    ///< at part load, speed held
    static constexpr double kOpening_s = 0.7; ///< throttle opens, load is taken up
    static constexpr double kAfter_s = 0.8;   ///< throttle closed

    double normal() { return m_normal(m_generator); }
    double uniform() { return m_uniform(m_generator); }

    [[nodiscard]] const FaultSpec* fault(const char* kind) const {
        for (const FaultSpec& f : m_spec.faults)
            if (f.pull == m_pull.id && f.kind == kind)
                return &f;
        return nullptr;
    }

    void step(double dt, double sweep_s) {
        const Protocol& p = m_spec.protocol;
        const double sweepStart_s = kHold_s + kOpening_s;
        const double intoSweep_s = std::clamp(m_time_s - sweepStart_s, 0.0, sweep_s);
        const bool lifted = m_time_s > sweepStart_s + sweep_s;
        m_speed_rpm = p.start_rpm + p.rate_rpm_per_s * intoSweep_s;
        if (lifted)
            m_speed_rpm = std::max(1500.0, m_top_rpm - 900.0 * (m_time_s - sweepStart_s - sweep_s));
        else
            m_top_rpm = m_speed_rpm;
        m_limited = false;
        if (const FaultSpec* limiter = fault("limiter"); limiter && !lifted && m_speed_rpm > limiter->at_rpm) {
            m_speed_rpm = limiter->at_rpm + 8.0 * std::sin(30.0 * m_time_s);
            m_limited = true;
            m_top_rpm = limiter->at_rpm;
        }
        const double wanted_pct = lifted ? 0.0 : (m_time_s < kHold_s ? 26.0 : 100.0);
        const double move = 100.0 * dt / (lifted ? 0.08 : 0.2);
        m_throttle_pct += std::clamp(wanted_pct - m_throttle_pct, -move, move);

        const double full = fullLoadTorque_nm(m_spec.engine, m_effect, m_air, m_speed_rpm) * m_gain *
                            (1.0 + m_spec.noise.wiggle_pct / 100.0 * m_wiggle.at(m_speed_rpm));
        const double share =
            m_throttle_pct >= 99.9 ? 1.0 : std::pow(m_throttle_pct / 100.0, 0.6) - (lifted ? 0.15 : 0.0);
        m_settled_nm += (full * share - m_settled_nm) * (1.0 - std::exp(-dt / 0.06));
        // In the steady sweep the first-order lag is not there: the brake reads what the engine gives.
        m_torque_nm = intoSweep_s > 0.0 && !lifted ? full : m_settled_nm;
        faults(intoSweep_s, lifted);
        slowChannels(dt, share);
    }

    void faults(double intoSweep_s, bool lifted) {
        if (const FaultSpec* spike = fault("start_spike"); spike && !lifted && m_time_s > kHold_s + 0.3)
            m_torque_nm *= 1.0 + spike->size_pct / 100.0 * std::exp(-intoSweep_s / 0.22);
        if (const FaultSpec* breakup = fault("breakup"); breakup && !lifted && m_speed_rpm > breakup->at_rpm) {
            if (m_burst == 0 && uniform() < 0.10)
                m_burst = 3 + static_cast<int>(5.0 * uniform());
            if (m_burst > 0) {
                m_torque_nm *= 1.0 - breakup->size_pct / 100.0 * (0.6 + 0.8 * uniform());
                m_misfire = true;
                --m_burst;
            } else {
                m_misfire = false;
            }
        }
        if (m_limited && uniform() < 0.5)
            m_torque_nm *= 0.4;
    }

    void slowChannels(double dt, double load) {
        m_coolant_c += dt * (0.35 * load);
        m_oil_c += dt * (0.30 * load);
        const double egt = 520.0 + 260.0 * load * m_speed_rpm / m_spec.protocol.end_rpm;
        m_egt_c += (egt - m_egt_c) * (1.0 - std::exp(-dt / 0.9));
        m_intake_c += dt * 0.08;
    }

    [[nodiscard]] double value(std::string_view channel) const {
        const double load = std::clamp(m_throttle_pct / 100.0, 0.0, 1.0);
        const double krpm = m_speed_rpm / 1000.0;
        const double ambient = m_air.pressure_pa / 1000.0;
        const double wide = manifoldPressure_kpa(m_spec.engine, m_effect, m_air, m_speed_rpm);
        const double map = 35.0 + (wide - 35.0) * std::min(1.0, load * 1.02);
        const double air_kg_h = m_spec.engine.displacement_cc * 1e-6 * m_speed_rpm * 30.0 * 0.92 * map * 1000.0 /
                                (287.05 * (m_intake_c + 273.15));
        const double lambda =
            (load > 0.9 ? m_spec.engine.lambda : 0.99) + m_effect.lambdaShift + (m_misfire ? 0.05 : 0.0);
        if (channel == "time")
            return m_time_s;
        if (channel == "engine_speed")
            return m_speed_rpm;
        if (channel == "torque")
            return m_torque_nm;
        if (channel == "manifold_pressure")
            return map;
        if (channel == "airbox_pressure")
            return ambient - 0.9 * load * krpm * krpm / 40.0;
        if (channel == "lambda")
            return lambda + 0.004 * std::sin(krpm * 2.1);
        if (channel == "intake_air_temperature")
            return m_intake_c + (m_spec.engine.turbo ? 0.16 * (map - ambient) : 0.0);
        if (channel == "coolant_temperature")
            return m_coolant_c;
        if (channel == "oil_temperature")
            return m_oil_c;
        if (channel == "exhaust_gas_temperature")
            return m_egt_c;
        if (channel == "oil_pressure")
            return 190.0 + 42.0 * krpm - 0.9 * (m_oil_c - 90.0);
        if (channel == "fuel_pressure")
            return 300.0 + (m_spec.engine.turbo ? map - ambient : 0.0);
        if (channel == "fuel_flow")
            return air_kg_h / (14.6 * lambda);
        if (channel == "ignition_advance")
            return along(m_spec.engine.ignition_deg, m_speed_rpm, 26.0) + m_effect.ignitionShift_deg;
        if (channel == "knock_retard")
            return 0.0;
        if (channel == "throttle")
            return m_throttle_pct;
        if (channel == "absorber_load")
            return std::clamp(18.0 + 62.0 * load * krpm * 1000.0 / m_spec.protocol.end_rpm, 0.0, 100.0);
        if (channel == "spark_current")
            return m_misfire ? 31.0 : 48.0 - 0.6 * krpm;
        return turboValue(channel, load, map, ambient, air_kg_h);
    }

    [[nodiscard]] double turboValue(std::string_view channel, double load, double map, double ambient,
                                    double air_kg_h) const {
        if (channel == "exhaust_back_pressure")
            return ambient + load * (map - ambient) * (0.75 + 0.75 * m_speed_rpm / m_spec.protocol.end_rpm);
        if (channel == "wastegate_duty")
            return load * std::clamp(30.0 + 0.35 * (map - ambient), 0.0, 100.0);
        if (channel == "bypass_valve")
            return m_throttle_pct < 50.0 && m_time_s > 2.0 ? 100.0 : 0.0;
        if (channel == "air_flow")
            return air_kg_h;
        return m_spec.protocol.roadSpeed_kmh_per_krpm.value_or(0.0) * m_speed_rpm / 1000.0; // road_speed
    }

    void record(ChannelTable& table) {
        size_t column = 0;
        const FaultSpec* dropout = fault("dropout");
        for (const Recorded& recorded : kRecorded) {
            if (!belongs(recorded.channel, m_spec))
                continue;
            double reading = value(recorded.channel);
            if (std::string_view(recorded.channel) == "torque")
                reading *= 1.0 + m_spec.noise.sample_pct / 100.0 * normal();
            else if (recorded.noise > 0.0)
                reading += recorded.noise * normal();
            if (dropout && dropout->channel == recorded.channel && m_speed_rpm > dropout->at_rpm)
                reading = std::numeric_limits<double>::quiet_NaN();
            const double scale = std::pow(10.0, recorded.decimals);
            table.columns[column++].values.push_back(std::round(reading * scale) / scale);
        }
    }

    const CellSpec& m_spec;
    const Pull& m_pull;
    Generator& m_generator;
    boost::random::normal_distribution<double> m_normal;
    boost::random::uniform_01<double> m_uniform;
    HumidAir m_air;
    Wiggle m_wiggle;
    BuildEffect m_effect;
    double m_gain = 1.0;
    double m_time_s = 0.0;
    double m_speed_rpm = 0.0;
    double m_top_rpm = 0.0; ///< from where it falls when the throttle closes
    double m_throttle_pct = 26.0;
    double m_settled_nm = 0.0;
    double m_torque_nm = 0.0;
    double m_coolant_c = 84.0;
    double m_oil_c = 90.0;
    double m_intake_c = 20.0;
    double m_egt_c = 420.0;
    int m_burst = 0;
    bool m_misfire = false;
    bool m_limited = false;
};

/// The local time of the spec's first pull plus some hours, with the same offset from UTC.
std::string timeAfter(const std::string& first, double hours) {
    const auto seconds = secondsOf(first);
    const std::string offset = first.size() > 19 ? first.substr(19) : "Z";
    const auto local = secondsOf(first.substr(0, 19) + "Z");
    if (!seconds || !local)
        return first;
    std::string text = isoTimeOf(*local + hours * 3600.0);
    text.pop_back(); // the Z
    return text + offset;
}

} // namespace

TestDay simulateDay(const CellSpec& spec, unsigned seed) {
    Generator generator(seed);
    boost::random::uniform_01<double> uniform;
    TestDay day = spec.day;
    double at_h = 0.0;
    for (const SetSpec& set : spec.order) {
        at_h += set.changeMinutes / 60.0;
        for (int i = 0; i < set.pulls; ++i) {
            Pull pull;
            pull.id = fmt::format("p{:02}", day.pulls.size() + 1);
            pull.build = set.build;
            pull.file = "pulls/" + pull.id + ".csv";
            pull.started = timeAfter(spec.firstPull, at_h);
            const WeatherPoint weather = weatherAt(spec.weather, at_h);
            auto rounded = [](double v, double scale) { return std::round(v * scale) / scale; };
            pull.weather = Atmosphere{rounded(weather.temperature_c, 10.0),
                                      rounded(weather.pressure_kpa, 100.0) * 1000.0,
                                      {HumidityKind::RelativeHumidity_pct, rounded(weather.humidity_pct, 10.0)}};
            pull.gear = spec.protocol.gear;
            if (const auto it = spec.setAside.find(pull.id); it != spec.setAside.end()) {
                pull.use = false;
                pull.reason = it->second;
            }
            pull.raw = std::make_shared<const ChannelTable>(PullSimulation(spec, pull, at_h, generator).run());
            day.pulls.push_back(pull);
            if (i + 1 < set.pulls)
                at_h += (set.betweenMinutes + 0.8 * (uniform(generator) - 0.5)) / 60.0;
        }
    }
    return day;
}

} // namespace hillrun::sim
