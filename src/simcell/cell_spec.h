// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "simcell/engine_model.h"

#include <map>
#include <string_view>

namespace hillrun::sim {

struct Protocol {
    double start_rpm = 2500.0;
    double end_rpm = 8000.0;
    double rate_rpm_per_s = 500.0;
    double sample_hz = 100.0;
    std::optional<int> gear;
    std::optional<double> roadSpeed_kmh_per_krpm;
    std::optional<double> ratio{}; ///< engine over roller speed; the rollers' speed is then recorded
    double step_rpm = 500.0;       ///< held steps
    double hold_s = 4.0;           ///< of each held step
    double coastDown_s = 0.0;      ///< recorded after the pull, clutch open
    double retarder_nm = 0.0;      ///< at the rollers, beside their inertia
    bool engineSpeed = true;       ///< false: the cell has no engine speed channel
};

/// What tyres, bearings and driveline take at the rollers.
struct LossSpec {
    double constant_nm = 0.0;
    double linear_nm_s = 0.0;
    double quadratic_nm_s2 = 0.0;
    [[nodiscard]] double torque_nm(double rad_s) const {
        return constant_nm + rad_s * (linear_nm_s + rad_s * quadratic_nm_s2);
    }
};

/// Pulls of one build in a row.
struct SetSpec {
    std::string build;
    int pulls = 3;
    double changeMinutes = 0.0; ///< before the set
    double betweenMinutes = 4.0;
};

struct DriftSpec {
    double linear_pct_per_h = 0.0;
    double settling_pct = 0.0;
    double settling_h = 0.5;
    double step_pct = 0.0;
    double step_h = 0.0;
};

struct WeatherPoint {
    double at_h = 0.0;
    double temperature_c = 20.0;
    double pressure_kpa = 98.0;
    double humidity_pct = 50.0;
};

struct FaultSpec {
    std::string pull;
    std::string kind;    ///< one of `faultKinds`
    double at_rpm = 0.0; ///< from this speed on
    double size_pct = 8.0;
    std::string channel = "lambda"; ///< dropout, noise, frozen
};

/// A whole simulated day.
struct CellSpec {
    TestDay day; ///< cell, article, builds, without pulls
    std::string firstPull = "2026-05-16T09:00:00+01:00";
    EngineSpec engine;
    std::map<std::string, BuildEffect> effects;
    Protocol protocol;
    LossSpec losses;
    std::vector<SetSpec> order;
    NoiseSpec noise;
    DriftSpec drift;
    std::vector<WeatherPoint> weather;
    std::vector<FaultSpec> faults;
    std::map<std::string, std::string> setAside; ///< pull -> reason
    double adaptation_pct = 1.2;                 ///< live: missing after a changed map, learned over the next pulls
};

/// start_spike, breakup, collapse ...
const std::vector<const char*>& faultKinds();

/// Reads a description (docs/formats.md, "Cell description"). Throws DataError.
CellSpec readCellSpec(std::string_view text, const std::string& file);

/// Weather at a time of the day, straight lines between points.
WeatherPoint weatherAt(const std::vector<WeatherPoint>& points, double at_h);

} // namespace hillrun::sim
