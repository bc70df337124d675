// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/reduce.h"

#include "core/errors/data_error.h"
#include "core/pull/local_regression.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

void takeAir(Curve& curve, const Pull& pull, const EngineForAir& engine, Standard standard) {
    if (pull.grade != PullGrade::Recorded && pull.given.corrected != Standard::Uncorrected)
        return; // it was corrected before it came here, and stays as it is
    if (pull.weather) {
        curve.airState = humidAir(*pull.weather);
        curve.weatherKnown = true;
        curve.air = airFactor(standard, curve.airState, engine);
    } else if (standard != Standard::Uncorrected) {
        throw DataError(Problem::NoWeather, {}, {.key = "weather"});
    }
}

/// Carries power towards the engine where the day asks for it and the losses are known.
void addLosses(Curve& curve, const Dyno& dyno, const std::optional<LossCurve>& loss) {
    const bool onTheWay = curve.place.at > dyno.loss.to; // crank < hub < wheel
    if (dyno.loss.method == LossMethod::None || !onTheWay)
        return;
    if (dyno.loss.method == LossMethod::Percent) {
        const double share = dyno.loss.percent / 100.0;
        for (const double power : curve.power_w)
            curve.loss_w.push_back(power * share / (1.0 - share));
    } else if (loss && curve.source().drivenScaleKnown) {
        for (const double driven : curve.seen->driven_rad_s)
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
void correctAir(Curve& curve, const EngineForAir& engine, Standard standard) {
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

Curve correct(std::shared_ptr<const Observed> seen, const Pull& pull, const Dyno& dyno, Standard standard,
              const std::optional<LossCurve>& loss) {
    Curve curve;
    curve.pullId = pull.id;
    curve.seen = std::move(seen);
    curve.rpm = curve.seen->rpm;
    curve.place = {pull.measuredAt.value_or(dyno.cell.measuredAt), false};
    takeAir(curve, pull, dyno.engine, standard);
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        curve.power_w.push_back(curve.seen->torque_nm[i] * angularSpeed(curve.rpm[i]));
    addLosses(curve, dyno, loss);
    correctAir(curve, dyno.engine, standard);
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        curve.torque_nm.push_back(curve.power_w[i] / angularSpeed(curve.rpm[i]));
    curve.peakPower_w = findPeak(curve.rpm, curve.power_w);
    curve.peakTorque_nm = findPeak(curve.rpm, curve.torque_nm);
    curve.roughness_pct = roughnessOf(curve);
    return curve;
}

Curve reduce(const Pull& pull, const Dyno& dyno, const ReduceSettings& settings, const std::optional<LossCurve>& loss) {
    return correct(std::make_shared<const Observed>(observe(pull, dyno, settings.grid())), pull, dyno,
                   settings.standard, loss);
}

} // namespace hillrun
