// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/braking.h"

#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

constexpr double kInfinite = std::numeric_limits<double>::infinity();

} // namespace

double Braking::squaredBefore(double squared, double distance_m) const {
    if (!std::isfinite(squared))
        return kInfinite;
    if (b * distance_m < 1e-12)
        return squared + 2.0 * a * distance_m;
    return (squared + a / b) * std::exp(2.0 * b * distance_m) - a / b;
}

double Braking::distanceBefore(double squared, double wanted) const {
    if (!std::isfinite(squared) || wanted <= squared)
        return 0.0;
    if (a + b * squared <= 0.0)
        return kInfinite; // too steep to slow down
    return b > 0.0 ? std::log((wanted + a / b) / (squared + a / b)) / (2.0 * b) : (wanted - squared) / (2.0 * a);
}

double Braking::seconds(double from_ms, double to_ms) const {
    if (from_ms <= to_ms)
        return 0.0;
    if (b <= 0.0 || a <= 0.0)
        return (from_ms - to_ms) / (a + b * from_ms * to_ms);
    const double root = std::sqrt(b / a);
    return (std::atan(from_ms * root) - std::atan(to_ms * root)) / std::sqrt(a * b);
}

Braking brakingOn(const RoadVehicle& v, const RoadState& road) {
    const double slope = std::hypot(1.0, road.gradient);
    return {unit::kStandardGravity * (v.tyreGrip + v.rollingResistance + road.gradient) / slope,
            0.5 * road.airDensity_kg_m3 * v.dragArea_m2 / v.mass_kg};
}

SpeedCeiling::SpeedCeiling(const RoadVehicle& vehicle, const Course& course, double airDensity_kg_m3)
    : m_pieces(course.pieces.size()) {
    double exit = kInfinite;
    for (size_t i = course.pieces.size(); i-- > 0;) {
        const CoursePiece& piece = course.pieces[i];
        Piece& own = m_pieces[i];
        own.braking = brakingOn(vehicle, {piece.gradient, airDensity_kg_m3});
        own.limitSquared = piece.limit_ms ? *piece.limit_ms * *piece.limit_ms : kInfinite;
        own.exitSquared = exit;
        exit = squared(i, piece.length_m);
    }
}

double SpeedCeiling::braked(const Piece& piece, double beforeEnd_m) const {
    return piece.braking.squaredBefore(piece.exitSquared, beforeEnd_m);
}

double SpeedCeiling::squared(size_t piece, double beforeEnd_m) const {
    const Piece& own = m_pieces[piece];
    return std::min(own.limitSquared, braked(own, beforeEnd_m));
}

double SpeedCeiling::brakeFrom_m(size_t piece) const {
    const Piece& own = m_pieces[piece];
    return own.braking.distanceBefore(own.exitSquared, own.limitSquared);
}

bool SpeedCeiling::brakes(size_t piece, double beforeEnd_m) const {
    const Piece& own = m_pieces[piece];
    return braked(own, beforeEnd_m) <= own.limitSquared;
}

} // namespace hillrun
