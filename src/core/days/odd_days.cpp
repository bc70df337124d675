// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/odd_days.h"

#include <algorithm>
#include <set>

namespace hillrun {
namespace {

/// The net with the build of that day under a name of its own, the last one.
Net renamed(const Net& net, int build, int day) {
    Net out = net;
    for (Visit& visit : out.visits)
        if (visit.build == build && visit.day == day)
            visit.build = out.builds;
    ++out.builds;
    return out;
}

struct BuildDay {
    int build = 0;
    int day = 0;
    bool onlyTwo = false;
};

/// All days of builds that ran on several; of two days the later one.
std::vector<BuildDay> askedAbout(const Net& net) {
    std::vector<std::set<int>> days(static_cast<size_t>(net.builds));
    for (const Visit& visit : net.visits)
        days[static_cast<size_t>(visit.build)].insert(visit.day);
    std::vector<BuildDay> out;
    for (int build = 0; build < net.builds; ++build) {
        const std::set<int>& of = days[static_cast<size_t>(build)];
        if (of.size() == 2)
            out.push_back({build, *of.rbegin(), true});
        else if (of.size() > 2)
            for (const int day : of)
                out.push_back({build, day, false});
    }
    std::sort(out.begin(), out.end(), [](const BuildDay& a, const BuildDay& b) {
        return std::pair(a.day, a.build) < std::pair(b.day, b.build);
    });
    return out;
}

} // namespace

std::vector<OddDay> oddDays(const Net& net, const Relearn& relearn) {
    const std::vector<BuildDay> asked = askedAbout(net);
    std::vector<OddDay> out;
    for (const BuildDay& one : asked) {
        const Net split = renamed(net, one.build, one.day);
        const auto cell = relearn(split);
        if (!cell || acrossKind(split, *cell, one.build, net.builds) == AcrossKind::Unknown)
            continue;
        Eigen::VectorXd k = Eigen::VectorXd::Zero(split.builds);
        k(one.build) = -1.0;
        k(net.builds) = 1.0;
        const AcrossDays off = acrossDays(split, *cell, k, 1.0 - 0.05 / static_cast<double>(asked.size()));
        if (off.low > 0.0 || off.high < 0.0)
            out.push_back({one.build, one.day, off, one.onlyTwo});
    }
    return out;
}

} // namespace hillrun
