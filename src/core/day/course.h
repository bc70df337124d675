// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/wanted_use.h"
#include "core/weather/humid_air.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// A stretch of road with one gradient and, where there is a corner, a speed that must not be passed on it.
struct CoursePiece {
    double length_m = 0.0;
    double gradient = 0.0; ///< rise over horizontal run
    std::optional<double> limit_ms{};
    std::optional<double> radius_m{}; ///< of a corner whose speed the tyres' grip bounds
    std::string name{};               ///< of a corner, as people there call it
    bool operator==(const CoursePiece&) const = default;
};

/// Where a curve is driven: from a standstill along pieces of road, on the flat between two speeds, or, of a boat or
/// an aircraft, at one engine speed that is held.
struct Course {
    std::string name;
    std::vector<CoursePiece> pieces{};
    std::optional<Atmosphere> air{}; ///< its own; nothing: the reference of the standard
    double from_ms = 0.0;            ///< between two speeds, when there are no pieces
    double to_ms = 0.0;
    std::optional<HeldSpeed> held{};
    std::string unknownKeys{};
    [[nodiscard]] bool isRolling() const { return pieces.empty() && !held; }
    [[nodiscard]] double length_m() const;
    bool operator==(const Course&) const = default;
};

} // namespace hillrun
