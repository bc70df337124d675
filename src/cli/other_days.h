// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/history/over_days.h"

#include <optional>
#include <string>

namespace hillrun::cli {

/// The day together with the builds of other days that stand beside it. `db`: the logbook's address; empty: the usual
/// one. Nothing where none stands beside it, and, with a word on standard error, where no logbook can be asked.
std::optional<OverDays> overOtherDays(const TestDay& day, const DayAnalysis& analysis, const std::string& db);

} // namespace hillrun::cli
