// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/day_model.h"

#include <vector>

namespace hillrun {

enum class FlagKind {
    Rough,    ///< kinks that the other pulls do not have: breakup, spike, dropout
    Level,    ///< lies off its set as a whole
    Shape,    ///< bends away from its set somewhere
    Disagree, ///< the two pulls of a set disagree and nobody can say which is wrong
};

/// A pull that does not look like the others. The user decides; nothing is left out by itself.
struct PullFlag {
    size_t pull = 0; ///< index into the fit's pulls
    FlagKind kind = FlagKind::Rough;
    double rpm = 0.0;  ///< where it is worst; 0 for a level
    double size = 0.0; ///< relative deviation there (0.04 = 4 %)
    bool operator==(const PullFlag&) const = default;
};

/// Looks for bad pulls: the worst one first, then again without it, at most twice. Thresholds: docs/method.md.
std::vector<PullFlag> flagPulls(const DayModel& model);

} // namespace hillrun
