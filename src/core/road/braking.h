// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/course.h"
#include "core/road/road_vehicle.h"

#include <vector>

namespace hillrun {

/// Slowing down with all tyres at their grip on one piece of road: dv/dt = -(a + b v^2), in closed form.
struct Braking {
    double a = 0.0; ///< grip, rolling and gradient, m/s^2
    double b = 0.0; ///< air, 1/m
    /// Square of the speed so far before a point that is passed with `squared`.
    [[nodiscard]] double squaredBefore(double squared, double distance_m) const;
    /// How far before that point a square of the speed lies; infinity for one that is never reached.
    [[nodiscard]] double distanceBefore(double squared, double wanted) const;
    /// Seconds from one speed down to another.
    [[nodiscard]] double seconds(double from_ms, double to_ms) const;
};
Braking brakingOn(const RoadVehicle& vehicle, const RoadState& road);

/// How fast a place of the course may be passed, for its own corner and for all that come after it.
class SpeedCeiling {
public:
    SpeedCeiling(const RoadVehicle& vehicle, const Course& course, double airDensity_kg_m3);
    /// On piece `piece`, so far from its end: square of the speed; infinity where nothing bounds it.
    [[nodiscard]] double squared(size_t piece, double beforeEnd_m) const;
    /// Where on the piece braking for what comes after it must begin when its own corner is driven at its limit:
    /// metres before its end; 0 when nothing after it bounds it.
    [[nodiscard]] double brakeFrom_m(size_t piece) const;
    /// Whether braking, not the piece's own corner, is what bounds the speed there.
    [[nodiscard]] bool brakes(size_t piece, double beforeEnd_m) const;
    [[nodiscard]] const Braking& braking(size_t piece) const { return m_pieces[piece].braking; }

private:
    struct Piece {
        Braking braking;
        double limitSquared = 0.0; ///< of its own corner
        double exitSquared = 0.0;  ///< at its end, for what comes after
    };
    [[nodiscard]] double braked(const Piece& piece, double beforeEnd_m) const;
    std::vector<Piece> m_pieces;
};

} // namespace hillrun
