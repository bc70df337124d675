// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/stretches.h"

#include <cmath>

namespace hillrun {

std::vector<Region> stretchesOf(const std::vector<double>& rpm, const std::vector<double>& value, const Edges& band,
                                bool mayClaim) {
    std::vector<Region> out;
    bool joined = false; // the point before had a value
    for (size_t p = 0; p < rpm.size(); ++p) {
        if (!std::isfinite(value[p])) {
            joined = false;
            continue;
        }
        const RegionKind kind = mayClaim && band.low[p] > 0.0    ? RegionKind::Gain
                                : mayClaim && band.high[p] < 0.0 ? RegionKind::Loss
                                                                 : RegionKind::Unresolved;
        if (joined && out.back().kind == kind)
            out.back().range_rpm.high = rpm[p];
        else
            out.push_back({{rpm[p], rpm[p]}, kind, {}, {}});
        joined = true;
    }
    return out;
}

} // namespace hillrun
