// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/reduce.h"

#include "core/errors/data_error.h"
#include "core/pull/local_regression.h"
#include "core/units/units.h"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

std::vector<double> gridIn(const RpmRange& window, double step) {
    std::vector<double> out;
    const auto first = static_cast<long>(std::ceil(window.low / step - 1e-9));
    const auto last = static_cast<long>(std::floor(window.high / step + 1e-9));
    for (long i = first; i <= last; ++i)
        out.push_back(static_cast<double>(i) * step);
    return out;
}

SweepSignals sweepSignals(const PullSignals& s) { return {s.time_s, s.speed_rpm, s.torque_nm, s.throttle_pct}; }

/// Where a curve has values. A held speed misses its set point by a few rpm: the set point still counts.
RpmRange reachOf(const Curve& curve) {
    constexpr double hold_rpm = 5.0;
    const RpmRange& window = curve.sweep.window_rpm;
    return curve.steps.empty() ? window : RpmRange{window.low - hold_rpm, window.high + hold_rpm};
}

/// No engine turns so fast; a column in a wrong unit does.
void checkSpeed(const RpmRange& window) {
    constexpr double fastest_rpm = 100000.0;
    if (!(window.low >= 0.0 && window.high <= fastest_rpm))
        throw DataError(Problem::ImplausibleSpeed,
                        {fmt::format("{:.0f}", window.low), fmt::format("{:.0f}", window.high)});
}

/// Turns columns of raw rows into values on the curve's grid: smoothed over a sweep, or through held steps.
class RowsToGrid {
public:
    RowsToGrid(Curve& curve, const PullSignals& signals, const ReduceSettings& settings) : m_curve(curve) {
        m_first = curve.sweep.first;
        m_count = curve.sweep.last - m_first + 1;
        curve.rpm = gridIn(reachOf(curve), settings.grid_rpm);
        if (curve.steps.empty())
            m_smoother.emplace(part(signals.speed_rpm), curve.rpm, settings.smoothing_rpm);
        for (const HeldStep& step : curve.steps)
            m_stepSpeeds.push_back(step.rpm);
    }
    [[nodiscard]] std::vector<double> apply(const std::vector<double>& rows) const {
        return m_smoother ? m_smoother->apply(part(rows)) : throughSteps(m_stepSpeeds, stepMeans(rows), m_curve.rpm);
    }

private:
    [[nodiscard]] std::span<const double> part(const std::vector<double>& rows) const {
        return std::span(rows).subspan(m_first, m_count);
    }
    [[nodiscard]] std::vector<double> stepMeans(const std::vector<double>& rows) const {
        std::vector<double> out;
        for (const HeldStep& step : m_curve.steps) {
            double sum = 0.0;
            double count = 0.0;
            for (size_t i = step.first; i <= step.last; ++i)
                if (std::isfinite(rows[i])) {
                    sum += rows[i];
                    count += 1.0;
                }
            out.push_back(sum / count);
        }
        return out;
    }
    Curve& m_curve;
    size_t m_first = 0;
    size_t m_count = 0;
    std::optional<LocalRegression> m_smoother;
    std::vector<double> m_stepSpeeds;
};

void takeAir(Curve& curve, const Pull& pull, const EngineForAir& engine, Standard standard) {
    if (pull.weather) {
        curve.airState = humidAir(*pull.weather);
        curve.weatherKnown = true;
        curve.air = airFactor(standard, curve.airState, engine);
    } else if (standard != Standard::Uncorrected) {
        throw DataError(Problem::NoWeather, {}, {.key = "weather"});
    }
}

/// Carries power towards the engine where the day asks for it and the losses are known.
void addLosses(Curve& curve, const Dyno& dyno, const std::optional<LossCurve>& loss, const RowsToGrid& grid) {
    const bool onTheWay = curve.place.at > dyno.loss.to; // crank < hub < wheel
    if (dyno.loss.method == LossMethod::None || !onTheWay)
        return;
    if (dyno.loss.method == LossMethod::Percent) {
        const double share = dyno.loss.percent / 100.0;
        for (const double power : curve.power_w)
            curve.loss_w.push_back(power * share / (1.0 - share));
    } else if (loss && !curve.source->driven_rad_s.empty() && curve.source->drivenScaleKnown) {
        for (const double driven : grid.apply(curve.source->driven_rad_s))
            curve.loss_w.push_back(loss->power_w(driven));
    }
    if (curve.loss_w.empty())
        return;
    for (size_t i = 0; i < curve.power_w.size(); ++i)
        curve.power_w[i] += curve.loss_w[i];
    curve.place = {dyno.loss.to, true};
}

/// Power as observed becomes power in reference air. The factor belongs on the engine's brake power, so losses that
/// were added are corrected with it.
void correct(Curve& curve, const EngineForAir& engine, Standard standard) {
    if (!curve.weatherKnown || !usesFriction(standard, engine)) {
        for (double& power : curve.power_w)
            power *= curve.air.factor;
        return;
    }
    double observed = 0.0;
    double corrected = 0.0;
    for (size_t i = 0; i < curve.power_w.size(); ++i) {
        if (!(curve.power_w[i] > 0.0))
            continue;
        observed += curve.power_w[i];
        curve.power_w[i] *=
            frictionFactor(curve.airState, curve.power_w[i], frictionPowerAt(engine.friction, curve.rpm[i]));
        corrected += curve.power_w[i];
    }
    if (observed > 0.0)
        curve.air.factor = corrected / observed;
}

/// Rms distance of the curve from itself smoothed over 400 rpm, in per cent.
double roughnessOf(const Curve& curve) {
    constexpr double wide_rpm = 400.0;
    if (curve.rpm.size() < 5)
        return 0.0;
    const std::vector<double> calm = LocalRegression(curve.rpm, curve.rpm, wide_rpm).apply(curve.torque_nm);
    double squares = 0.0;
    double count = 0.0;
    for (size_t i = 0; i < calm.size(); ++i) {
        const double off = curve.torque_nm[i] / calm[i] - 1.0;
        if (!std::isfinite(off))
            continue;
        squares += off * off;
        count += 1.0;
    }
    return count > 0.0 ? 100.0 * std::sqrt(squares / count) : 0.0;
}

} // namespace

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

Sweep findSweep(const PullSignals& signals, const Cell& cell, const std::optional<RpmRange>& byHand) {
    if (cell.sweep != SweepDirection::Steps)
        return findSweep(sweepSignals(signals), cell.sweep, byHand);
    std::vector<HeldStep> steps = findHeldSteps(sweepSignals(signals));
    return sweepOfSteps(sweepSignals(signals), steps, byHand);
}

Curve reduce(const Pull& pull, const Dyno& dyno, const ReduceSettings& settings, const std::optional<LossCurve>& loss) {
    assert(pull.raw);
    return reduce(pull, dyno, settings, loss, std::make_shared<const PullSignals>(pullSignals(pull, dyno)));
}

Curve reduce(const Pull& pull, const Dyno& dyno, const ReduceSettings& settings, const std::optional<LossCurve>& loss,
             std::shared_ptr<const PullSignals> signals) {
    assert(pull.raw && settings.grid_rpm > 0.0 && settings.smoothing_rpm > 0.0);
    Curve curve;
    curve.pullId = pull.id;
    curve.source = std::move(signals);
    curve.place = {pull.measuredAt.value_or(dyno.cell.measuredAt), false};
    takeAir(curve, pull, dyno.engine, settings.standard);
    if (dyno.cell.sweep == SweepDirection::Steps) {
        curve.steps = findHeldSteps(sweepSignals(*curve.source));
        curve.sweep = sweepOfSteps(sweepSignals(*curve.source), curve.steps, pull.window_rpm);
    } else {
        curve.sweep = findSweep(sweepSignals(*curve.source), dyno.cell.sweep, pull.window_rpm);
    }
    checkSpeed(curve.sweep.window_rpm);
    const RowsToGrid grid(curve, *curve.source, settings);
    curve.torque_nm = grid.apply(curve.source->torque_nm);
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        curve.power_w.push_back(curve.torque_nm[i] * angularSpeed(curve.rpm[i]));
    addLosses(curve, dyno, loss, grid);
    correct(curve, dyno.engine, settings.standard);
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        curve.torque_nm[i] = curve.power_w[i] / angularSpeed(curve.rpm[i]);
    for (const Column& column : pull.raw->columns)
        if (column.name != "engine_speed" && column.name != "torque" && column.name != "power")
            curve.channels[column.name] = grid.apply(column.values);
    curve.peakPower_w = findPeak(curve.rpm, curve.power_w);
    curve.peakTorque_nm = findPeak(curve.rpm, curve.torque_nm);
    curve.roughness_pct = roughnessOf(curve);
    return curve;
}

} // namespace hillrun
