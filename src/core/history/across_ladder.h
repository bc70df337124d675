// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/history/days_together.h"

#include <vector>

namespace hillrun {

/// The builds of an article in the order in which they first ran, each against the one before. The intervals hold all
/// at once; a build that is known from curves off paper has none.
struct AcrossLadder {
    std::vector<BuildOfDay> builds;
    std::vector<std::string> names; ///< of the builds, as they were called on that day; may be empty
    std::vector<AcrossAnswer> steps;
    std::vector<AcrossAnswer> fromBase; ///< each build after the first against that one; the last is the total
};
/// The builds of `article` (an articleKey); fewer than two give an empty ladder.
AcrossLadder acrossLadder(const DaysTogether& days, const std::string& article);

/// The ladder in sentences, the first the headline.
std::vector<Statement> ladderSummary(const AcrossLadder& ladder);
/// What it rests on.
std::vector<Statement> ladderNotes(const AcrossLadder& ladder);

} // namespace hillrun
