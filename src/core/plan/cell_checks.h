// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <optional>
#include <vector>

// What the checks of a cell's instruments say. Method: docs/method.md.

namespace hillrun {

/// A mass as it was hung: the torque it makes and how far the dyno showed off the straight line.
struct CheckedLoad {
    double torque_nm = 0.0;
    double read_nm = 0.0;
    double offLine_nm = 0.0;
};

/// What the load cell makes of known torques: read = zero + slope * torque, by least squares.
struct LoadCellResult {
    double slope = 1.0;
    double slopeHalf = 0.0; ///< 95 %: scatter about the line, the arm and the masses; NaN with two readings
    double zero_nm = 0.0;   ///< what the line shows with nothing on the arm
    double zeroHalf_nm = 0.0;
    std::optional<double> zeroDrift_nm;   ///< last less first reading with nothing on the arm
    double linearity_pct = 0.0;           ///< the mean at one mass farthest off the line, of the highest torque
    std::optional<double> hysteresis_pct; ///< coming down less going up, the largest, of the highest torque
    double highest_nm = 0.0;
    std::vector<CheckedLoad> loads;
    [[nodiscard]] double off_pct() const { return 100.0 * (slope - 1.0); }
    [[nodiscard]] double offHalf_pct() const { return 100.0 * slopeHalf; }
};
/// Nothing while there are fewer than two different masses or no arm.
std::optional<LoadCellResult> loadCellResult(const LoadCellCheck& check);

/// How far the station's air is off, and what that makes of corrected figures.
struct StationResult {
    double pressure_kpa = 0.0; ///< station less reference
    double temperature_c = 0.0;
    double vapour_kpa = 0.0;
    /// By so much corrected power comes out too high; negative: too low. Nothing where nothing is corrected, or the
    /// standard has no factor for this engine or air.
    std::optional<double> power_pct;
};
/// Throws DataError (ImpossibleAir) for air that cannot be.
StationResult stationResult(const StationCheck& check, Standard standard, const EngineForAir& engine);

/// "The load cell shows 0.8 % (0.6 to 1.0) too much ...": what it is, then what it means for figures of the day.
/// `highest_nm`: the highest torque that the cell was shown in pulls; nothing: none yet.
std::vector<Statement> loadCellSummary(const LoadCellResult& result, std::optional<double> highest_nm);
/// `standard` as it was worked out.
std::vector<Statement> stationSummary(const StationResult& result, Standard standard);

/// Both checks of a day's cell in one line each, with their dates, for the sheet; none without a check.
std::vector<Statement> cellCheckLines(const Cell& cell, Standard standard, const EngineForAir& engine);

} // namespace hillrun
