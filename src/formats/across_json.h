// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/history/across_ladder.h"
#include "core/history/cell_history.h"
#include "formats/json_reader.h"

namespace hillrun {

/// The answer of `logbook cell --json`.
Json cellAnswer(const CellHistory& cell);
/// The answer of `logbook compare --json`; `curve` where there is one.
Json acrossAnswer(const AcrossAnswer& answer, const ArticleNet& net, const std::optional<CurveAcross>& curve);
/// The answer of `logbook ladder --json`.
Json ladderAnswer(const AcrossLadder& ladder);

} // namespace hillrun
