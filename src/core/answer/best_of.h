// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/figure.h"

#include <optional>
#include <vector>

// Which of several builds is best in one figure, and what can be said of it honestly: multiple comparisons with the
// best (Hsu 1984), gains over the base after Dunnett (1955), chances by draws that shrink what may be luck. All on the
// log scale. Method and sources: docs/method.md.

namespace hillrun {

/// One build among the others. NaN where nothing can be said.
struct BuildScore {
    double gain = 0.0; ///< over the base
    double low = 0.0;  ///< 95 % over all builds at once
    double high = 0.0;
    bool mayBeBest = true;    ///< no other build is proven better
    double costsAtMost = 0.0; ///< what choosing it gives away at most, 0 when it is proven best
    double best = 0.0;        ///< it is better than the best other build by this at most
    double critical = 0.0;    ///< of its differences from all others, one-sided
    double chanceBest = 0.0;
    double chanceNearBest = 0.0; ///< within 0.25 %
    double shortfall = 0.0;      ///< mean of what it lacks to the best
    double shrunk = 0.0;         ///< its gain over the base with the luck taken off
};

/// Needs two builds that can be told apart; nothing without degrees of freedom. `base` is the column of the base.
std::optional<std::vector<BuildScore>> bestOf(const NumbersOfBuilds& numbers, BuildColumn base, DrawCache& cache);

} // namespace hillrun
