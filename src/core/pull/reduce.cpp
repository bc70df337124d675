// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/reduce.h"

#include "core/errors/data_error.h"
#include "core/pull/local_regression.h"
#include "core/units/units.h"

#include <algorithm>
#include <cassert>
#include <cmath>

namespace hillrun {
namespace {

const std::vector<double>& channel(const ChannelTable& raw, const char* name, Problem missing) {
    const Column* column = raw.find(name);
    if (!column)
        throw DataError(missing, {});
    return column->values;
}

std::vector<double> gridIn(const RpmRange& window, double step) {
    std::vector<double> out;
    const auto first = static_cast<long>(std::ceil(window.low / step - 1e-9));
    const auto last = static_cast<long>(std::floor(window.high / step + 1e-9));
    for (long i = first; i <= last; ++i)
        out.push_back(static_cast<double>(i) * step);
    return out;
}

void checkCell(const Cell& cell) {
    if (cell.kind == CellKind::ChassisInertia)
        throw DataError(Problem::DynoNotSupported, {"inertia rollers"});
    if (cell.sweep == SweepDirection::Steps)
        throw DataError(Problem::DynoNotSupported, {"held steps"});
}

void correct(Curve& curve, const Pull& pull, const EngineForAir& engine, Standard standard) {
    if (pull.weather) {
        curve.airState = humidAir(*pull.weather);
        curve.weatherKnown = true;
        curve.air = airFactor(standard, curve.airState, engine);
    } else if (standard != Standard::Uncorrected) {
        throw DataError(Problem::NoWeather, {}, {.key = "weather"});
    }
}

} // namespace

std::vector<double> rawTorque_nm(const ChannelTable& raw) {
    if (const Column* torque = raw.find("torque"))
        return torque->values;
    const Column* power = raw.find("power");
    if (!power)
        throw DataError(Problem::NoTorqueChannel, {});
    const std::vector<double>& speed = channel(raw, "engine_speed", Problem::NoSpeedChannel);
    std::vector<double> out(speed.size());
    for (size_t i = 0; i < speed.size(); ++i)
        out[i] = power->values[i] * 1000.0 / angularSpeed(speed[i]);
    return out;
}

Peak findPeak(std::span<const double> rpm, std::span<const double> values) {
    constexpr double reach_rpm = 150.0;
    Peak best{std::nan(""), std::nan(""), false};
    size_t top = values.size();
    size_t firstKnown = values.size();
    size_t lastKnown = 0;
    for (size_t i = 0; i < values.size(); ++i) {
        if (!std::isfinite(values[i]))
            continue;
        firstKnown = std::min(firstKnown, i);
        lastKnown = i;
        if (top == values.size() || values[i] > values[top])
            top = i;
    }
    if (top == values.size())
        return best;
    best = {values[top], rpm[top], top == firstKnown || top == lastKnown};
    // Least-squares parabola in u = (rpm - top)/reach.
    double s[5] = {};
    double t[3] = {};
    size_t count = 0;
    for (size_t i = 0; i < values.size(); ++i) {
        const double u = (rpm[i] - rpm[top]) / reach_rpm;
        if (std::abs(u) > 1.0 + 1e-9 || !std::isfinite(values[i]))
            continue;
        double power = 1.0;
        for (int k = 0; k < 5; ++k, power *= u) {
            s[k] += power;
            if (k < 3)
                t[k] += power * values[i];
        }
        ++count;
    }
    if (count < 4)
        return best;
    auto det = [](double a, double b, double c, double d, double e, double f, double g, double h, double i) {
        return a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
    };
    const double whole = det(s[0], s[1], s[2], s[1], s[2], s[3], s[2], s[3], s[4]);
    if (std::abs(whole) < 1e-12)
        return best;
    const double c0 = det(t[0], s[1], s[2], t[1], s[2], s[3], t[2], s[3], s[4]) / whole;
    const double c1 = det(s[0], t[0], s[2], s[1], t[1], s[3], s[2], t[2], s[4]) / whole;
    const double c2 = det(s[0], s[1], t[0], s[1], s[2], t[1], s[2], s[3], t[2]) / whole;
    if (c2 >= 0.0) {
        best.atEnd = best.atEnd || c2 > 0.0;
        return best;
    }
    const double u = -c1 / (2.0 * c2);
    if (std::abs(u) > 1.0) { // the parabola's top lies outside the points it was fitted to
        best.atEnd = true;
        return best;
    }
    best.value = c0 - c1 * c1 / (4.0 * c2);
    best.rpm = rpm[top] + u * reach_rpm;
    return best;
}

Curve reduce(const Pull& pull, const Cell& cell, const EngineForAir& engine, const ReduceSettings& settings) {
    assert(pull.raw && settings.grid_rpm > 0.0 && settings.smoothing_rpm > 0.0);
    const ChannelTable& raw = *pull.raw;
    checkCell(cell);
    const std::vector<double>& time = channel(raw, "time", Problem::NoTimeChannel);
    const std::vector<double>& speed = channel(raw, "engine_speed", Problem::NoSpeedChannel);
    const std::vector<double> torque = rawTorque_nm(raw);
    const Column* throttle = raw.find("throttle");

    Curve curve;
    curve.pullId = pull.id;
    correct(curve, pull, engine, settings.standard);
    SweepSignals recorded{time, speed, torque, {}};
    if (throttle)
        recorded.throttle_pct = throttle->values;
    curve.sweep = findSweep(recorded, cell.sweep, pull.window_rpm);

    const size_t first = curve.sweep.first;
    const size_t count = curve.sweep.last - first + 1;
    auto part = [&](const std::vector<double>& values) { return std::span(values).subspan(first, count); };
    curve.rpm = gridIn(curve.sweep.window_rpm, settings.grid_rpm);
    const LocalRegression smoother(part(speed), curve.rpm, settings.smoothing_rpm);
    curve.torque_nm = smoother.apply(part(torque));
    for (double& value : curve.torque_nm)
        value *= curve.air.factor;
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        curve.power_w.push_back(curve.torque_nm[i] * angularSpeed(curve.rpm[i]));
    for (const Column& column : raw.columns)
        if (column.name != "engine_speed" && column.name != "torque" && column.name != "power")
            curve.channels[column.name] = smoother.apply(part(column.values));
    curve.peakPower_w = findPeak(curve.rpm, curve.power_w);
    curve.peakTorque_nm = findPeak(curve.rpm, curve.torque_nm);
    return curve;
}

} // namespace hillrun
