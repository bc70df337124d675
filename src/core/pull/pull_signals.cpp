// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/pull_signals.h"

#include "core/errors/data_error.h"
#include "core/pull/differentiate.h"
#include "core/pull/robust.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr size_t kFewestRows = 20;
constexpr double kAnyRadius_m = 0.3; ///< stands in for an unknown one where only changes count
constexpr double kRpmPerRadS = 30.0 / std::numbers::pi;

/// Builds the signals of one pull step by step.
class SignalMaker {
public:
    SignalMaker(const Pull& pull, const Dyno& dyno) : m_pull(pull), m_raw(*pull.raw), m_dyno(dyno) {}

    PullSignals make() {
        takeTime();
        takeDrivenSpeed();
        takeEngineSpeed();
        if (const Column* throttle = m_raw.find("throttle"))
            m_out.throttle_pct = shared(*throttle);
        findRatio();
        m_out.torque_nm = measuredTorque();
        correctUnit();
        addInertia();
        return std::move(m_out);
    }

private:
    [[nodiscard]] Rows shared(const Column& column) const { return {m_pull.raw, column}; }

    void takeTime() {
        const Column* time = m_raw.find("time");
        if (!time)
            throw DataError(Problem::NoTimeChannel, {});
        m_out.time_s = shared(*time);
        if (m_out.rows() < kFewestRows)
            throw DataError(Problem::TooFewSamples, {fmt::format("{}", m_out.rows())});
        for (size_t i = 1; i < m_out.rows(); ++i)
            if (m_out.time_s[i] < m_out.time_s[i - 1])
                throw DataError(Problem::TimeRunsBack,
                                {fmt::format("{}", m_out.time_s[i - 1]), fmt::format("{}", m_out.time_s[i])});
    }

    void takeDrivenSpeed() {
        if (const Column* roller = m_raw.find("roller_speed")) {
            m_out.driven_rad_s = shared(*roller);
            m_out.drivenIsRoller = true;
            return;
        }
        const Column* road = m_raw.find("road_speed");
        const auto radius_m = wheelRadius_m(m_dyno);
        if (!road)
            return;
        m_out.drivenScaleKnown = radius_m.has_value();
        std::vector<double> wheel_rad_s;
        for (const double v_kmh : road->values)
            wheel_rad_s.push_back(v_kmh / 3.6 / radius_m.value_or(kAnyRadius_m));
        m_out.driven_rad_s = std::move(wheel_rad_s);
    }

    /// The ratio that was fixed by hand, or that gear and tyre give.
    [[nodiscard]] std::optional<double> statedRatio() const {
        if (m_pull.ratio && *m_pull.ratio > 0.0)
            return m_pull.ratio;
        return m_pull.gear ? gearRatio(m_dyno, *m_pull.gear, m_out.drivenIsRoller) : std::nullopt;
    }

    void takeEngineSpeed() {
        if (const Column* speed = m_raw.find("engine_speed")) {
            m_out.speed_rpm = shared(*speed);
            return;
        }
        const auto ratio = statedRatio();
        if (m_out.driven_rad_s.empty() || !m_out.drivenScaleKnown || !ratio)
            throw DataError(Problem::NoSpeedChannel, {});
        std::vector<double> speed_rpm;
        for (const double driven : m_out.driven_rad_s)
            speed_rpm.push_back(driven * *ratio * kRpmPerRadS);
        m_out.speed_rpm = std::move(speed_rpm);
        const char* byHand = m_out.drivenIsRoller ? "basis.roller_by_hand" : "basis.road_by_hand";
        const char* geared = m_out.drivenIsRoller ? "basis.roller_geared" : "basis.road_geared";
        m_out.basis.push_back({m_pull.ratio ? byHand : geared, {decimals(*ratio, 3)}});
    }

    /// Rows where the engine pulls: open throttle, or the upper half of the speeds.
    [[nodiscard]] std::vector<char> loaded() const {
        std::vector<char> out(m_out.rows(), 1);
        const std::vector<double> throttle = finiteOf(m_out.throttle_pct);
        const double open = throttle.empty() ? 0.0 : 0.9 * quantileOf(throttle, 0.9);
        const std::vector<double> speeds = finiteOf(m_out.speed_rpm);
        const double slow = speeds.empty() ? 0.0 : quantileOf(speeds, 0.3);
        for (size_t i = 0; i < out.size(); ++i)
            out[i] = throttle.empty() ? m_out.speed_rpm[i] > slow : m_out.throttle_pct[i] > open;
        return out;
    }

    void findRatio() {
        if (m_out.driven_rad_s.empty())
            return;
        const std::vector<char> load = loaded();
        std::vector<double> ratios;
        for (size_t i = 0; i < m_out.rows(); ++i)
            if (const double r = angularSpeed(m_out.speed_rpm[i]) / m_out.driven_rad_s[i];
                load[i] && m_out.driven_rad_s[i] > 1.0 && std::isfinite(r))
                ratios.push_back(r);
        if (ratios.size() >= kFewestRows)
            m_out.ratio = median(std::move(ratios));
    }

    Rows measuredTorque() {
        if (m_dyno.cell.kind == CellKind::ChassisInertia)
            return torqueFromRollers();
        if (const Column* torque = m_raw.find("torque"))
            return shared(*torque);
        const Column* power = m_raw.find("power");
        if (!power)
            throw DataError(Problem::NoTorqueChannel, {});
        std::vector<double> out(m_out.rows());
        for (size_t i = 0; i < out.size(); ++i)
            out[i] = power->values[i] * 1000.0 / angularSpeed(m_out.speed_rpm[i]);
        return out;
    }

    /// A torque (or roller torque) that was written down in a wrong unit; the raw rows stay as they are.
    void correctUnit() {
        if (!m_pull.torqueFactor)
            return;
        std::vector<double> torque_nm = m_out.torque_nm;
        for (double& torque : torque_nm)
            torque *= *m_pull.torqueFactor;
        m_out.torque_nm = std::move(torque_nm);
        m_out.basis.push_back({"basis.unit_by_hand", {decimals(*m_pull.torqueFactor, 4)}});
    }

    /// Rows of the sweep, for judging noise: between the slowest and the fastest driven speed under load.
    [[nodiscard]] std::pair<size_t, size_t> loadedRows() const {
        const std::vector<char> load = loaded();
        const auto first = std::find(load.begin(), load.end(), char{1});
        const auto last = std::find(load.rbegin(), load.rend(), char{1});
        if (first == load.end())
            return {0, m_out.rows() - 1};
        const auto from = static_cast<size_t>(first - load.begin());
        const auto to = static_cast<size_t>(load.rend() - last) - 1;
        return to >= from + kFewestRows ? std::pair{from, to} : std::pair{size_t{0}, m_out.rows() - 1};
    }

    Derivative rateOf(const std::vector<double>& values) {
        const auto [first, last] = loadedRows();
        Derivative rate = differentiate(m_out.time_s, values, first, last);
        m_out.differentiation_s = rate.width_s;
        m_out.differentiation_hz = rate.bandwidth_hz;
        return rate;
    }

    std::vector<double> torqueFromRollers() {
        const auto inertia = m_dyno.cell.rollerInertia_kgm2;
        if (!inertia || !(*inertia > 0.0))
            throw DataError(Problem::NoRollerInertia, {});
        if (!m_out.drivenIsRoller)
            throw DataError(Problem::NoRollerSpeed, {});
        m_out.torqueFromRollers = true;
        const Derivative rate = rateOf(m_out.driven_rad_s);
        const Column* retarder = m_raw.find("retarder_torque");
        std::vector<double> torque_nm(m_out.rows());
        for (size_t i = 0; i < torque_nm.size(); ++i) {
            const double brake_nm = retarder && std::isfinite(retarder->values[i]) ? retarder->values[i] : 0.0;
            const double atRoller_nm = *inertia * rate.perSecond[i] + brake_nm;
            torque_nm[i] = atRoller_nm * m_out.driven_rad_s[i] / angularSpeed(m_out.speed_rpm[i]);
        }
        m_out.basis.push_back({retarder ? "basis.rollers_and_retarder" : "basis.rollers",
                               {significant(*inertia, 4, "kg m²"), decimals(rate.width_s, 2, "s"),
                                decimals(rate.bandwidth_hz, 1, "Hz")}});
        return torque_nm;
    }

    /// What goes into speeding up engine and driveline while sweeping.
    void addInertia() {
        const double engine = m_dyno.engineInertia_kgm2.value_or(0.0);
        const double driveline = drivelineInertia_kgm2(m_dyno, m_out.drivenIsRoller);
        const bool drivelineCounts = driveline > 0.0 && !m_out.driven_rad_s.empty() && m_out.drivenScaleKnown;
        if (!(engine > 0.0) && !drivelineCounts)
            return;
        std::vector<double> torque_nm = m_out.torque_nm;
        if (engine > 0.0) {
            std::vector<double> rad_s(m_out.rows());
            for (size_t i = 0; i < rad_s.size(); ++i)
                rad_s[i] = angularSpeed(m_out.speed_rpm[i]);
            const Derivative rate = rateOf(rad_s);
            for (size_t i = 0; i < rad_s.size(); ++i)
                torque_nm[i] += engine * rate.perSecond[i];
            m_out.basis.push_back({"basis.engine_inertia", {significant(engine, 3, "kg m²")}});
        }
        if (drivelineCounts) {
            const Derivative rate = rateOf(m_out.driven_rad_s);
            for (size_t i = 0; i < m_out.rows(); ++i)
                torque_nm[i] +=
                    driveline * rate.perSecond[i] * m_out.driven_rad_s[i] / angularSpeed(m_out.speed_rpm[i]);
            m_out.basis.push_back({"basis.driveline_inertia", {significant(driveline, 3, "kg m²")}});
        }
        m_out.torque_nm = std::move(torque_nm);
    }

    const Pull& m_pull;
    const ChannelTable& m_raw;
    const Dyno& m_dyno;
    PullSignals m_out;
};

} // namespace

PullSignals pullSignals(const Pull& pull, const Dyno& dyno) { return SignalMaker(pull, dyno).make(); }

} // namespace hillrun
