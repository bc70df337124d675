// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/figure.h"

#include <vector>

namespace hillrun {

struct RpmWeight {
    double rpm = 0.0;
    double weight = 0.0;
    bool operator==(const RpmWeight&) const = default;
};

/// What a build is wanted for: the engine speeds that count, all alike over a range or each with its weight.
struct Use {
    RpmRange range_rpm;
    std::vector<RpmWeight> weights; ///< rising rpm; empty: all speeds of the range alike
    bool operator==(const Use&) const = default;
};

/// Straight lines between the weights; nothing outside them. Throws DataError (BadBand) for weights that
/// do not rise in speed, are negative, or all nothing.
Use useOf(std::vector<RpmWeight> weights);

/// Mean power over the use, W; none for a pull that does not cover it.
Figure meanPower(const FitInput& input, const Use& use);

} // namespace hillrun
