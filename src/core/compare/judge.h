// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/comparison.h"

namespace hillrun {

/// The verdict from proven regions, the mean over the whole common range and the difference that matters.
VerdictKind judge(const Comparison& comparison);

/// "gain", "cannot_tell" ... as in the open formats.
const char* verdictName(VerdictKind verdict);
const char* regionName(RegionKind kind);
const char* likeVerdictName(LikeVerdict verdict);

} // namespace hillrun
