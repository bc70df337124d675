// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/day_credit.h"
#include "formats/json_reader.h"

namespace hillrun {

/// The answer of `hillrun-cli credit` (docs/formats.md).
Json creditAnswer(const Credit& credit, const TestDay& day, const DayAnalysis& analysis);

/// "from_rpm", "to_rpm" and the weights, where there are any.
Json useJson(const Use& use);

} // namespace hillrun
