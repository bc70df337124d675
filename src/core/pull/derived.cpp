// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/derived.h"

#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <functional>

namespace hillrun {
namespace {

// Usual bounds of the mean piston speed (common practice).
constexpr double kPistonRoad_m_s = 20.0;
constexpr double kPistonRace_m_s = 25.0;

/// Adds quantities one by one where what they need is known.
class DerivedList {
public:
    DerivedList(const Article& article, const Pull& pull, const Curve& curve)
        : m_article(article), m_curve(curve), m_ambient_kpa(stationPressure_kpa(pull).value_or(std::nan(""))) {}

    std::vector<DerivedChannel> make() {
        const EngineCard& e = m_article.engine;
        if (e.displacement_cc && *e.displacement_cc > 0.0) {
            add("mean_effective_pressure", "kPa", [&](size_t i) {
                return meanEffectivePressure_pa(m_curve.torque_nm[i], *e.displacement_cc, e.strokes.value_or(4)) /
                       1000.0;
            });
            add("specific_output", "kW/l", [&](size_t i) { return m_curve.power_w[i] / *e.displacement_cc; });
        }
        if (e.stroke_mm)
            pistonSpeed(*e.stroke_mm);
        pressures();
        mixture();
        fuel();
        return std::move(m_out);
    }

private:
    void add(const char* name, const char* unit, const std::function<double(size_t)>& value) {
        DerivedChannel channel{name, unit, {}, {}};
        for (size_t i = 0; i < m_curve.rpm.size(); ++i)
            channel.values.push_back(value(i));
        if (std::any_of(channel.values.begin(), channel.values.end(), [](double v) { return std::isfinite(v); }))
            m_out.push_back(std::move(channel));
    }

    [[nodiscard]] const std::vector<double>* channel(const char* name) const {
        const auto it = m_curve.channels().find(name);
        return it == m_curve.channels().end() ? nullptr : &it->second;
    }

    void pistonSpeed(double stroke_mm) {
        add("mean_piston_speed", "m/s", [&](size_t i) { return meanPistonSpeed_m_s(m_curve.rpm[i], stroke_mm); });
        const double top = m_curve.rpm.empty() ? 0.0 : meanPistonSpeed_m_s(m_curve.rpm.back(), stroke_mm);
        if (!m_out.empty() && top > kPistonRoad_m_s)
            m_out.back().note =
                top > kPistonRace_m_s
                    ? Statement{"piston.racing", {decimals(top, 1, "m/s"), decimals(kPistonRace_m_s, 0, "m/s")}}
                    : Statement{"piston.road", {decimals(top, 1, "m/s"), decimals(kPistonRoad_m_s, 0, "m/s")}};
    }

    void pressures() {
        const auto* map = channel("manifold_pressure");
        const auto* back = channel("exhaust_back_pressure");
        const auto* box = channel("airbox_pressure");
        if (map)
            add("power_per_pressure", "kW/bar",
                [&](size_t i) { return m_curve.power_w[i] / 1000.0 / ((*map)[i] / 100.0); });
        if (map && back && m_article.engine.aspiration != Aspiration::Natural)
            add("back_pressure_over_boost", "1", [&](size_t i) {
                const double boost_kpa = (*map)[i] - m_ambient_kpa;
                return boost_kpa > 5.0 ? ((*back)[i] - m_ambient_kpa) / boost_kpa : std::nan("");
            });
        if (box)
            add("intake_pressure_drop", "kPa", [&](size_t i) { return m_ambient_kpa - (*box)[i]; });
    }

    /// The mixture in the form that was not recorded.
    void mixture() {
        const auto* lambda = channel("lambda");
        const auto* ratio = channel("air_fuel_ratio");
        const FuelKind fuel = m_article.fuel.kind;
        if (lambda && !ratio)
            add("air_fuel_ratio", "1", [&](size_t i) { return ratioFromLambda((*lambda)[i], fuel); });
        if (ratio && !lambda)
            add("lambda", "1", [&](size_t i) { return lambdaFromRatio((*ratio)[i], fuel); });
    }

    void fuel() {
        const auto* flow = channel("fuel_flow");
        if (!flow)
            return;
        // Fuel goes with the power that was there, not with the corrected one.
        add("specific_fuel_consumption", "g/kWh", [&](size_t i) {
            const double observed_kw = m_curve.power_w[i] / m_curve.air.factor / 1000.0;
            return observed_kw > 0.0 ? (*flow)[i] * 1000.0 / observed_kw : std::nan("");
        });
    }

    const Article& m_article;
    const Curve& m_curve;
    double m_ambient_kpa;
    std::vector<DerivedChannel> m_out;
};

} // namespace

double stoichiometricRatio(FuelKind fuel) {
    switch (fuel) {
    case FuelKind::Diesel:
        return 14.5;
    case FuelKind::Alcohol:
        return 9.0;
    case FuelKind::Gas:
        return 15.6;
    case FuelKind::Petrol:
    case FuelKind::Other:
        break;
    }
    return 14.7;
}

double lambdaFromRatio(double airFuelRatio, FuelKind fuel) { return airFuelRatio / stoichiometricRatio(fuel); }

double ratioFromLambda(double lambda, FuelKind fuel) { return lambda * stoichiometricRatio(fuel); }

double meanEffectivePressure_pa(double torque_nm, double displacement_cc, int strokes) {
    const double turns = strokes == 2 ? 1.0 : 2.0;
    return 2.0 * std::numbers::pi * torque_nm * turns / (displacement_cc * 1e-6);
}

double meanPistonSpeed_m_s(double rpm, double stroke_mm) { return 2.0 * stroke_mm / 1000.0 * rpm / 60.0; }

std::vector<DerivedChannel> derivedChannels(const Article& article, const Pull& pull, const Curve& curve) {
    return DerivedList(article, pull, curve).make();
}

} // namespace hillrun
