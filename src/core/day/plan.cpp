// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/day/plan.h"

#include <cmath>

namespace hillrun {

double RefitSd::rootMeanSquare_pct() const {
    double sum = 0.0;
    for (const double one : likely_pct)
        sum += one * one;
    return likely_pct.empty() ? 0.0 : std::sqrt(sum / static_cast<double>(likely_pct.size()));
}

} // namespace hillrun
