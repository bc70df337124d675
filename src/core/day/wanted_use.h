// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/units/rpm_range.h"

#include <variant>
#include <vector>

// What a build is wanted for: as it is said, and the engine speeds it comes down to.

namespace hillrun {

struct RpmWeight {
    double rpm = 0.0;
    double weight = 0.0;
    bool operator==(const RpmWeight&) const = default;
};

/// The engine speeds that count, all alike over a range or each with its weight.
struct Use {
    RpmRange range_rpm;
    std::vector<RpmWeight> weights; ///< rising rpm; empty: all speeds of the range alike
    bool operator==(const Use&) const = default;
};

/// A generator, a boat, an aircraft: one speed, more or less.
struct HeldSpeed {
    double rpm = 0.0;
    double halfWidth_rpm = 150.0;
    bool operator==(const HeldSpeed&) const = default;
};

/// In this gear: from where the shift into it lands to where the next one is made.
struct ShiftToShift {
    int gear = 2; ///< from 2, since nothing is shifted into the first
    bool operator==(const ShiftToShift&) const = default;
};

using SpeedWeights = std::vector<RpmWeight>;

/// As somebody says it; nothing: the whole range.
using WantedUse = std::variant<std::monostate, RpmRange, HeldSpeed, ShiftToShift, SpeedWeights>;

} // namespace hillrun
