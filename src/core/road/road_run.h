// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/course.h"
#include "core/road/road_vehicle.h"
#include "core/statement/statement.h"

#include <optional>
#include <vector>

namespace hillrun {

/// A moment of a run.
struct RoadMoment {
    double time_s = 0.0;
    double distance_m = 0.0;
    double speed_ms = 0.0;
    size_t gear = 0;
    double rpm = 0.0;
    bool full = true; ///< full throttle; else shifting, braking, or held back by a corner or the end of the engine
};

/// Work of a run, for those who check the books.
struct RoadWork {
    double engine_j = 0.0;     ///< at the tyres
    double resistance_j = 0.0; ///< rolling, air and gradient, while the throttle was open
};

/// A course driven once.
struct RoadRun {
    double time_s = 0.0;
    double endSpeed_ms = 0.0;
    std::vector<RoadMoment> moments;
    std::vector<double> shift_rpm; ///< as they were used, one fewer than gears
    RoadWork work;
    Statement whyNot; ///< it was not driven to its end: the hill is too steep, a speed is beyond reach
    [[nodiscard]] bool finished() const { return whyNot.empty(); }
    /// When a speed was first reached; nothing when it was not.
    [[nodiscard]] std::optional<double> reached_s(double speed_ms) const;
    /// From the last time that it was no faster than the one until it first reached the other.
    [[nodiscard]] std::optional<double> between_s(double from_ms, double to_ms) const;
    /// When a place was passed, and how fast.
    [[nodiscard]] double passed_s(double distance_m) const;
    [[nodiscard]] double speedAt_ms(double distance_m) const;
};

/// Drives it at full throttle, in the best gears, from a standstill or between two speeds. Longitudinal motion only;
/// what is left out stands in docs/method.md. `airDensity`: of the course's air.
RoadRun driveCourse(const RoadVehicle& vehicle, const EngineCurve& engine, const Course& course,
                    double airDensity_kg_m3);

/// Share of the time at full throttle that the engine spends around each speed.
struct SpeedShare {
    double rpm = 0.0; ///< middle of the bin
    double share = 0.0;
};
std::vector<SpeedShare> timeAtSpeeds(const RoadRun& run, double bin_rpm = 100.0);

} // namespace hillrun
