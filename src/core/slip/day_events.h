// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/pull/events.h"

namespace hillrun {

/// The pulls a pull is held against: the used ones of its set, else of its build; of many the nearest in time.
struct Companions {
    std::vector<size_t> pulls; ///< numbers in the day's order
    bool ofSet = false;
};
/// For every pull of a day.
std::vector<Companions> companionsOfAll(const std::vector<PullResult>& pulls);
/// For one of them.
std::vector<const PullResult*> companionsOf(const std::vector<PullResult>& pulls, const PullResult& pull,
                                            bool* ofSet = nullptr);

/// What is known of a pull besides its rows, when events are looked for. `pulls` are the day's, in its order; needs a
/// pull with a curve.
EventContext eventContext(const TestDay& day, const std::vector<PullResult>& pulls, size_t pull,
                          const Companions& companions);

/// Finds the events of every pull, each held against its companions; none for a pull without a curve.
void addEvents(const TestDay& day, std::vector<PullResult>& pulls);

} // namespace hillrun
