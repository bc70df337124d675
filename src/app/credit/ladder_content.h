// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/credit/credit_content.h"
#include "core/history/across_ladder.h"

// What Credit shows of a ladder over days, made without any widget. Heights are per cent over the first build.

namespace hillrun {

/// "A 2025-03", where the stairs begin.
QString ladderBase(const AcrossLadder& ladder);
std::vector<CreditStair> ladderStairs(const AcrossLadder& ladder);
/// Each build over the one before, and over the first.
std::vector<PartRow> ladderRows(const AcrossLadder& ladder);
/// What the chosen step rests on.
QString ladderLines(const AcrossLadder& ladder, size_t step);

} // namespace hillrun
