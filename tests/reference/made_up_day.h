// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/fit/day_model.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace hillrun::test {

/// A day whose pulls were written down: the build (0 the base) and the hour of each, power in kW every 250 rpm from
/// 2000.
template <size_t Pulls>
FitInput madeUpDay(const std::array<int, Pulls>& builds, const std::array<double, Pulls>& hours, int pullsASet,
                   const double (&power_kw)[Pulls][23]) {
    FitInput out;
    out.builds = 1 + *std::max_element(builds.begin(), builds.end());
    out.logPower.resize(Pulls, 23);
    for (int p = 0; p < 23; ++p)
        out.rpm.push_back(2000.0 + 250.0 * p);
    for (size_t i = 0; i < Pulls; ++i) {
        out.pulls.push_back({builds[i], hours[i], static_cast<int>(i) / pullsASet});
        for (size_t p = 0; p < 23; ++p)
            out.logPower(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(p)) =
                std::log(1000.0 * power_kw[i][p]);
    }
    return out;
}

} // namespace hillrun::test
