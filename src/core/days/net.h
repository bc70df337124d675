// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <set>
#include <utility>
#include <vector>

// What is known of one article over many days. Only levels: one number (log power, mean over the use) a visit.

namespace hillrun {

/// An unbroken run of pulls of one fitted build on one day.
struct Visit {
    int day = 0;
    int build = 0;
    double time_h = 0.0; ///< clock time within the day, of its pulls' mean
    int pulls = 1;
    double level = 0.0; ///< mean of its pulls, log scale
};

/// One article: its builds and days are numbered from zero, and every one of them has a visit.
struct Net {
    std::vector<Visit> visits;
    int builds = 0;
    int days = 0;
};

/// Which days have a drift that their own visits tell from the builds: several builds, one of them run again. A day
/// with a single build fitted again has none: what moves it counts as refitting.
std::vector<char> daysWithDrift(const Net& net);

/// Builds that can be told apart inside days carry the same number.
std::vector<int> connectedBuilds(const Net& net);

/// The builds through which `from` and `to` are held against each other inside days, on the shortest way there is:
/// empty when both ran on one day. Nothing when no chain of days joins them.
std::optional<std::vector<int>> connection(const Net& net, int from, int to);

/// Builds and days of theirs, (build, day), without which nothing joins the two any more.
std::set<std::pair<int, int>> onlyLinks(const Net& net);

/// Degrees of freedom that the net has for what fitting a build again adds, and for what a day adds.
struct NetFreedom {
    int refit = 0;
    int day = 0;
};
NetFreedom freedomOf(const Net& net);

} // namespace hillrun
