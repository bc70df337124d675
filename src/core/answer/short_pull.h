// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/day_model.h"

#include <cstddef>
#include <optional>
#include <vector>

namespace hillrun {

/// The one pull that holds a comparison to a shorter range than all others would allow.
struct ShortReach {
    size_t pull = 0;        ///< number in the fit
    bool atTop = true;      ///< it ends early; else it begins late
    double own_rpm = 0.0;   ///< where it ends (or begins)
    double reach_rpm = 0.0; ///< how far the comparison reaches without it
    bool operator==(const ShortReach&) const = default;
};

/// Among the pulls that `counts` (by number in the fit): the one without which the range that all share grows most,
/// when it grows by 300 rpm and a tenth of itself at least (common practice: less is not worth a pull) and the build
/// has another pull.
std::optional<ShortReach> findShortPull(const FitInput& fit, const std::vector<char>& counts);

} // namespace hillrun
