// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "simcell/engine_model.h"

#include <algorithm>
#include <boost/random/normal_distribution.hpp>
#include <cmath>
#include <numbers>

namespace hillrun::sim {

double along(const Points& points, double rpm, double fallback) {
    if (points.empty())
        return fallback;
    if (rpm <= points.front().first)
        return points.front().second;
    if (rpm >= points.back().first)
        return points.back().second;
    size_t i = 1;
    while (points[i].first < rpm)
        ++i;
    auto slopeAt = [&](size_t k) { // zero at the ends and at extremes, else the harmonic mean of the neighbours
        if (k == 0 || k + 1 == points.size())
            return 0.0;
        const double left = (points[k].second - points[k - 1].second) / (points[k].first - points[k - 1].first);
        const double right = (points[k + 1].second - points[k].second) / (points[k + 1].first - points[k].first);
        return left * right <= 0.0 ? 0.0 : 2.0 * left * right / (left + right);
    };
    const auto& [x0, y0] = points[i - 1];
    const auto& [x1, y1] = points[i];
    const double h = x1 - x0;
    const double t = (rpm - x0) / h;
    const double t2 = t * t;
    const double t3 = t2 * t;
    return (2 * t3 - 3 * t2 + 1) * y0 + (t3 - 2 * t2 + t) * h * slopeAt(i - 1) + (-2 * t3 + 3 * t2) * y1 +
           (t3 - t2) * h * slopeAt(i);
}

double manifoldPressure_kpa(const EngineSpec& engine, const BuildEffect& effect, const HumidAir& air, double rpm) {
    const double ambient = air.pressure_pa / 1000.0;
    if (!engine.turbo)
        return ambient - 0.4 - 1.6e-7 * rpm * rpm / 10.0; // loss through filter and throttle
    return ambient + along(effect.boost_kpa.empty() ? engine.baseBoost_kpa : effect.boost_kpa, rpm);
}

double fullLoadTorque_nm(const EngineSpec& engine, const BuildEffect& effect, const HumidAir& air, double rpm) {
    const double friction = engine.friction_nm + engine.friction_nm_per_krpm * rpm / 1000.0;
    const double brake = along(engine.torque_nm, rpm) * (1.0 + along(effect.torque_pct, rpm) / 100.0);
    double charge = air.dryPressure_pa / 99000.0;
    if (engine.turbo) {
        const double reference_kpa = 100.0 + along(engine.baseBoost_kpa, rpm);
        charge = manifoldPressure_kpa(engine, effect, air, rpm) / reference_kpa;
    }
    const double density = charge * std::sqrt(298.15 / (air.temperature_c + 273.15));
    return (brake + friction) * density - friction;
}

Wiggle::Wiggle(boost::random::mt19937_64& generator, double low_rpm, double high_rpm, double length_rpm)
    : m_low(low_rpm - 4.0 * length_rpm), m_step(length_rpm / 5.0), m_length(length_rpm) {
    boost::random::normal_distribution<double> normal;
    const auto count = static_cast<size_t>((high_rpm - low_rpm + 8.0 * length_rpm) / m_step) + 2;
    for (size_t i = 0; i < count; ++i)
        m_white.push_back(normal(generator));
}

double Wiggle::at(double rpm) const {
    // White noise through a Gaussian kernel of width L/sqrt(2) has correlation exp(-h^2/(2 L^2)).
    const double kernel = m_length / std::numbers::sqrt2;
    const auto centre = static_cast<long>((rpm - m_low) / m_step);
    const auto reach = static_cast<long>(4.0 * kernel / m_step) + 1;
    double sum = 0.0;
    double squares = 0.0;
    for (long i = std::max(0L, centre - reach); i <= centre + reach && i < static_cast<long>(m_white.size()); ++i) {
        const double d = (rpm - m_low - static_cast<double>(i) * m_step) / kernel;
        const double w = std::exp(-0.5 * d * d);
        sum += w * m_white[static_cast<size_t>(i)];
        squares += w * w;
    }
    return squares > 0.0 ? sum / std::sqrt(squares) : 0.0;
}

} // namespace hillrun::sim
