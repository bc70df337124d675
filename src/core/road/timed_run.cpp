// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/timed_run.h"

#include "core/units/road_speed.h"

#include <algorithm>
#include <cmath>
#include <functional>

namespace hillrun {
namespace {

constexpr double kLeastDrag_m2 = 0.02;
constexpr double kMostDrag_m2 = 10.0;

/// Where a function of one number passes a value; of several places the one nearest to `known`, all by their ratios.
/// A run does not answer smoothly: a shift may fall before its end or behind it, so jumps are left out.
std::optional<double> crossing(const std::function<double(double)>& of, double low, double high, double wanted,
                               double known) {
    constexpr int kSteps = 200;
    const double ratio = std::pow(high / low, 1.0 / kSteps);
    std::optional<double> out;
    double before = of(low) - wanted;
    for (int i = 0; i < kSteps; ++i) {
        double near = low * std::pow(ratio, i);
        double far = near * ratio;
        const double now = of(far) - wanted;
        if (std::isfinite(before) && std::isfinite(now) && (before <= 0.0) != (now <= 0.0)) {
            for (int k = 0; k < 40; ++k) {
                const double middle = 0.5 * (near + far);
                ((of(middle) - wanted <= 0.0) == (before <= 0.0) ? near : far) = middle;
            }
            const bool jump = !(std::abs(of(near) - wanted) <= 1e-4 * wanted);
            if (!jump && (!out || std::abs(std::log(near / known)) < std::abs(std::log(*out / known))))
                out = near;
        }
        before = now;
    }
    return out;
}

} // namespace

RunFit fitToRun(const DayRoad& road, const EngineCurve& engine, FittedNumber what, const TimedRun& timed) {
    const bool drag = what == FittedNumber::DragArea;
    if (!timed.time_s && !timed.endSpeed_ms)
        return {std::nullopt, {"road.fit_nothing_timed"}};
    if (road.course.isRolling() && (!drag || !timed.time_s))
        return {std::nullopt, {"road.fit_rolling"}};
    RoadVehicle vehicle = road.vehicle;
    const auto driven = [&](double value) {
        (drag ? vehicle.dragArea_m2 : vehicle.launch_rpm) = value;
        return driveCourse(vehicle, engine, road.course, road.airDensity_kg_m3);
    };
    const auto answer = [&](double value) {
        const RoadRun run = driven(value);
        if (!run.finished())
            return std::nan("");
        return timed.time_s ? run.time_s : run.endSpeed_ms;
    };
    const double low = drag ? kLeastDrag_m2 : engine.rpm.front();
    const double high = drag ? kMostDrag_m2 : engine.rpm.back();
    const double wanted = timed.time_s ? *timed.time_s : *timed.endSpeed_ms;
    const double known = drag ? road.vehicle.dragArea_m2 : std::clamp(road.vehicle.launch_rpm, low, high);
    const auto value = crossing(answer, low, high, wanted, known);
    if (!value)
        return {std::nullopt, {drag ? "road.fit_no_drag" : "road.fit_no_launch"}};
    const RoadRun run = driven(*value);
    return {value,
            {drag ? "road.fit_drag" : "road.fit_launch",
             {drag ? decimals(*value, 3) : decimals(*value, 0), decimals(run.time_s, 2, "s"),
              decimals(run.endSpeed_ms * kKmhPerMs, 1, "km/h")}}};
}

std::optional<EngineCurve> courseCurve(const DayRoad& road, const DayAnalysis& analysis, const std::string& build) {
    const BuildResult* found = analysis.findBuild(build);
    if (!found)
        return std::nullopt;
    EngineCurve out = road.torque.of(analysis.rpm, found->torque_nm);
    return out.rpm.size() > 1 ? std::optional(std::move(out)) : std::nullopt;
}

} // namespace hillrun
