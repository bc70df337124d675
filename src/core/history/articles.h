// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/build_of_day.h"
#include "core/days/cell_model.h"
#include "core/history/day_record.h"
#include "core/units/rpm_range.h"

#include <optional>
#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// Days as one net, and what the numbers in it stand for. Of one article, except where two are put beside each other.
struct ArticleNet {
    Net net;
    WithinVisits within;
    RpmRange rpm;                                      ///< over which levels are means: what all its pulls share
    std::vector<const DayRecord*> days;                ///< by number
    std::vector<std::vector<BuildOfDay>> builds;       ///< by number: what is the same build, in order of date
    std::vector<std::vector<const PullRecord*>> pulls; ///< of each visit of the net
    std::vector<const DayRecord*> leftOut;             ///< they share too few speeds with the others
    /// The number of a build; nothing when it is not in the net.
    [[nodiscard]] std::optional<int> find(const BuildOfDay& build) const;
};

/// A day's article as days are gathered by it: capitals and blanks at the ends do not count.
std::string articleKey(const DayRecord& day);

/// Mean log power of a curve over a range; NaN when it has no point there.
double levelOf(const PullRecord& pull, double step_rpm, const RpmRange& range);

/// Whether figures of two days can be held against each other: the same dyno of the same kind, measured at the same
/// place, corrected to the same standard.
bool sameDyno(const DayRecord& a, const DayRecord& b);

/// Of these days those of the same dyno as `day`; without one as the newest of them.
std::vector<const DayRecord*> daysOfDyno(const std::vector<DayRecord>& days, const DayRecord* day = nullptr);

/// The net of days on one dyno. Builds of an article are the same when their parts and settings are, or one says so of
/// itself; a build without parts and settings is only itself. Nothing when no pull is left.
std::optional<ArticleNet> articleNet(std::span<const DayRecord* const> days);

/// Days by their article, as one says it: capitals and blanks at the ends do not count. In order of date.
std::vector<std::vector<const DayRecord*>> byArticle(std::span<const DayRecord* const> days);

} // namespace hillrun
