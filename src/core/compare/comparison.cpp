// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/comparison.h"

#include <utility>

namespace hillrun {

Comparison swapped(const Comparison& comparison) {
    Comparison c = comparison;
    std::swap(c.from, c.to);
    static_cast<Effect&>(c) = negated(comparison);
    for (Change& change : c.changed)
        std::swap(change.from, change.to);
    for (LikeForLike& row : c.likeForLike) {
        std::swap(row.from, row.to);
        row.difference = -row.difference;
    }
    std::swap(c.measuredAtFrom, c.measuredAtTo);
    if (c.verdict == VerdictKind::Gain || c.verdict == VerdictKind::Loss)
        c.verdict = c.verdict == VerdictKind::Gain ? VerdictKind::Loss : VerdictKind::Gain;
    return c;
}

} // namespace hillrun
