// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <string>
#include <vector>

namespace hillrun {

/// A caution to be ticked before the first pull.
struct Caution {
    const char* id; ///< its words: "caution." and the id
};

/// Those that belong to this cell, fuel and article (common practice). They do not make a pull safe: the cell's own
/// rules, local codes and licensed practice come first.
std::vector<Caution> cautionsFor(const TestDay& day);
/// Those of `cautionsFor` that nobody has ticked.
std::vector<Caution> cautionsOpen(const TestDay& day);

} // namespace hillrun
