// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/cell_model.h"

#include <span>
#include <vector>

namespace hillrun {

/// A build on one day, against itself on all its other days.
struct OddDay {
    int build = 0;
    int day = 0;
    double off = 0.0;     ///< log scale
    bool onlyTwo = false; ///< the build ran on two days: which of them is odd cannot be told
};

/// Days on which a build lies where its other days do not let expect it, in order of days. They are named, never taken
/// out. Of two days that disagree the later one stands for both. `others`: tables of the cell's other articles, made
/// with these nodes; `within`: of all articles, this net's among them. For each build and day the cell is learned with
/// that build under a name of its own, so that an odd day is no part of what is normal; but the net is solved once.
std::vector<OddDay> oddDays(const Net& net, std::span<const NodeTable> others, const WithinVisits& within,
                            const std::vector<VarianceNode>& nodes);

} // namespace hillrun
