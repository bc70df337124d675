// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/weather/humid_air.h"

#include <boost/random/mersenne_twister.hpp>
#include <string>
#include <utility>
#include <vector>

// A made-up engine that behaves plausibly: the stand-in for a real one, in the demo days and behind the live cell.

namespace hillrun::sim {

using Points = std::vector<std::pair<double, double>>; ///< rpm, value; rising rpm

/// Value between points, eased (cubic Hermite without overshoot at the points); constant outside.
double along(const Points& points, double rpm, double fallback = 0.0);

/// The engine at full load in reference air (25 C, 99 kPa dry).
struct EngineSpec {
    Points torque_nm;         ///< brake torque of the base build
    double friction_nm = 8.0; ///< at standstill
    double friction_nm_per_krpm = 1.5;
    double displacement_cc = 1000.0;
    bool turbo = false;
    Points baseBoost_kpa; ///< gauge, of the build the torque curve belongs to
    Points ignition_deg;
    double lambda = 0.88;
};

/// What a build does to it.
struct BuildEffect {
    Points torque_pct; ///< change of brake torque
    Points boost_kpa;  ///< gauge, when it differs from the base
    double lambdaShift = 0.0;
    double ignitionShift_deg = 0.0;
};

/// Brake torque at full load in this air, N.m. The air acts on the indicated torque, friction stays.
double fullLoadTorque_nm(const EngineSpec& engine, const BuildEffect& effect, const HumidAir& air, double rpm);
/// Absolute manifold pressure at full load, kPa.
double manifoldPressure_kpa(const EngineSpec& engine, const BuildEffect& effect, const HumidAir& air, double rpm);

/// Noise of a cell: all in per cent of torque, as standard deviations.
struct NoiseSpec {
    double pullGain_pct = 0.3;
    double wiggle_pct = 0.3;
    double wiggleLength_rpm = 250.0;
    double sample_pct = 0.4;
};

/// A smooth random curve along rpm with unit standard deviation and Gaussian correlation.
class Wiggle {
public:
    Wiggle(boost::random::mt19937_64& generator, double low_rpm, double high_rpm, double length_rpm);
    [[nodiscard]] double at(double rpm) const;

private:
    double m_low;
    double m_step;
    double m_length;
    std::vector<double> m_white;
};

} // namespace hillrun::sim
