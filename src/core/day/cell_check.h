// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/weather/humid_air.h"

#include <optional>
#include <string>
#include <vector>

// How a cell's own instruments were checked, as it was noted. What it says is worked out, not kept.

namespace hillrun {

/// A mass on the arm, and the torque that the dyno showed with it.
struct HungMass {
    double mass_kg = 0.0;
    double read_nm = 0.0;
    bool operator==(const HungMass&) const = default;
};

/// The load cell under known masses on an arm of known length.
struct LoadCellCheck {
    std::string date; ///< ISO 8601
    double arm_m = 0.0;
    std::optional<double> armWithin_mm;   ///< 95 %; nothing: taken as exact
    std::optional<double> massWithin_pct; ///< of all masses alike, 95 %
    std::optional<double> gravity_ms2;    ///< of the place; nothing: the standard's
    std::vector<HungMass> hung;           ///< as they were hung and taken off, one after the other
    std::string unknownKeys;
    bool operator==(const LoadCellCheck&) const = default;
};

/// The weather station beside a better instrument, in the same air.
struct StationCheck {
    std::string date; ///< ISO 8601
    Atmosphere station;
    Atmosphere reference;
    std::string unknownStationKeys;
    std::string unknownReferenceKeys;
    std::string unknownKeys;
    bool operator==(const StationCheck&) const = default;
};

} // namespace hillrun
