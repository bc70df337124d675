// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/cell_model.h"

#include <functional>
#include <vector>

namespace hillrun {

/// A build on one day, against itself on all its other days.
struct OddDay {
    int build = 0;
    int day = 0;
    AcrossDays off;       ///< with the interval over all days that were asked about
    bool onlyTwo = false; ///< the build ran on two days: which of them is odd cannot be told
};

/// Learns the cell with this net in the place of the one it stands for, so that an odd day is no part of what is
/// normal.
using Relearn = std::function<std::optional<CellModel>(const Net&)>;

/// Days on which a build lies where its other days do not let expect it, in order of days. They are named, never taken
/// out. Of two days that disagree the later one stands for both.
std::vector<OddDay> oddDays(const Net& net, const Relearn& relearn);

} // namespace hillrun
