// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/statement/statement.h"

#include <string>
#include <vector>

namespace hillrun {

/// One gear at the end of a pull.
struct GearRow {
    int gear = 1;
    double ratio = 0.0;
    double speedAtEnd_kmh = 0.0; ///< road speed at the end of the pull (the red line)
    std::vector<Statement> over; ///< limits it passes: the speed limiter, the tyre, the rollers
    bool operator==(const GearRow&) const = default;
};

/// Which gear a pull in a vehicle should be made in.
struct GearCheck {
    std::vector<GearRow> rows;
    int best = 0;         ///< nearest to direct drive (1:1) under every limit; 0 when there is none
    double end_rpm = 0.0; ///< the speed it was worked out for
    Statement why;        ///< why there is no answer, or the best gear in a sentence
    Statement warning;    ///< the chosen gear passes a limit; the pull ends above the engine's limiter
    bool operator==(const GearCheck&) const = default;
};

/// Road speed of each gear at the end of the pull (planned end, else red line): v = omega * r / (gear * final drive).
/// Common practice: the gear nearest direct drive that stays below the speed limiter, the tyres' and the rollers'
/// limit.
GearCheck checkGears(const TestDay& day);

} // namespace hillrun
