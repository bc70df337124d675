// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/short_pull.h"

#include "core/units/rpm_range.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

constexpr double kWorth_rpm = 300.0;
constexpr double kWorthShare = 0.1;

/// The speeds at which a pull has data.
RpmRange reachOf(const FitInput& fit, size_t pull) {
    RpmRange out{0.0, -1.0};
    for (size_t p = 0; p < fit.rpm.size(); ++p) {
        if (!std::isfinite(fit.logPower(static_cast<Eigen::Index>(pull), static_cast<Eigen::Index>(p))))
            continue;
        if (out.high < out.low)
            out.low = fit.rpm[p];
        out.high = fit.rpm[p];
    }
    return out;
}

} // namespace

std::optional<ShortReach> findShortPull(const FitInput& fit, const std::vector<char>& counts) {
    std::vector<RpmRange> reach;
    for (size_t i = 0; i < fit.pulls.size(); ++i)
        reach.push_back(reachOf(fit, i));
    const auto shared = [&](size_t without) {
        RpmRange out{0.0, 1e9};
        for (size_t i = 0; i < reach.size(); ++i)
            if (counts[i] && i != without)
                out = {std::max(out.low, reach[i].low), std::min(out.high, reach[i].high)};
        return out;
    };
    const RpmRange all = shared(reach.size());
    const double width = std::max(0.0, all.high - all.low);
    std::optional<ShortReach> out;
    double most = 0.0;
    for (size_t i = 0; i < reach.size(); ++i) {
        const auto sameBuild = std::count_if(fit.pulls.begin(), fit.pulls.end(),
                                             [&](const auto& pull) { return pull.build == fit.pulls[i].build; });
        if (!counts[i] || sameBuild < 2)
            continue;
        const RpmRange rest = shared(i);
        const double grown = rest.high - rest.low - width;
        if (grown <= most || grown < kWorth_rpm || grown < kWorthShare * (rest.high - rest.low))
            continue;
        most = grown;
        const bool atTop = rest.high - reach[i].high > reach[i].low - rest.low;
        out = ShortReach{i, atTop, atTop ? reach[i].high : reach[i].low, atTop ? rest.high : rest.low};
    }
    return out;
}

} // namespace hillrun
