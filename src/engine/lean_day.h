// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <functional>
#include <memory>

namespace hillrun {

/// A pull of the day with its rows, by its number; without rows it carries its problem. Called from several threads.
using ReadPull = std::function<Pull(size_t number)>;

/// What became of a day that was worked out without ever holding all of its rows.
struct LeanAnswer {
    TestDay day; ///< each pull with its checksum or its problem, none with rows
    std::shared_ptr<const DayAnalysis> analysis;
};

/// What `DayEngine::analyse` gives, to the digit, for a day whose rows are too many to hold: every pull is read twice,
/// for its curve and for its events, and let go. `day` is the day without rows.
/// Throws what `readPull` and `DayEngine::analyse` throw.
LeanAnswer analyseLean(TestDay day, const AnalysisSettings& settings, const ReadPull& readPull);

} // namespace hillrun
