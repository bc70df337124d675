// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <vector>

namespace hillrun {

/// Limits that usually hold for such an engine: common practice, from memory, and no maker's figures. Boost only where
/// the article says what it runs. Mixture only for fuels whose limit is usual.
std::vector<WatchLimit> usualLimits(const Article& article);
/// The article's own limits, else the usual ones.
std::vector<WatchLimit> limitsOf(const Article& article);

} // namespace hillrun
