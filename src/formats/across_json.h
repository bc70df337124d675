// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/history/cell_history.h"
#include "formats/json_reader.h"

namespace hillrun {

/// The answer of `logbook cell --json`.
Json cellAnswer(const CellHistory& cell);
/// The answer of `logbook compare --json`.
Json acrossAnswer(const AcrossAnswer& answer, const ArticleNet& net);

} // namespace hillrun
