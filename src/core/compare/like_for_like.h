// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

namespace hillrun {

/// Whether what should have stayed the same did: each judged channel's mean over `range` in the used pulls of both
/// builds, and the gear. A mixture far apart (four tolerances) or another gear makes the pair not comparable, unless a
/// noted change explains the mixture.
std::vector<LikeForLike> likeForLike(const TestDay& day, const std::vector<PullResult>& pulls, const std::string& from,
                                     const std::string& to, const RpmRange& range, const std::vector<Change>& changed);

} // namespace hillrun
