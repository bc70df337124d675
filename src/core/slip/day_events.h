// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/pull/events.h"

namespace hillrun {

/// The pulls a pull is held against: the used ones of its set, else of its build. `ofSet` says which.
std::vector<const PullResult*> companionsOf(const std::vector<PullResult>& pulls, const PullResult& pull,
                                            bool* ofSet = nullptr);

/// Events of one pull of a day, held against its companions; empty when it has no curve.
std::vector<Event> eventsOf(const TestDay& day, const std::vector<PullResult>& pulls, const std::string& pull);

/// Finds the events of every pull and writes them into its curve.
void addEvents(const TestDay& day, std::vector<PullResult>& pulls);

} // namespace hillrun
