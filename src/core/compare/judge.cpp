// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/judge.h"

#include <algorithm>

namespace hillrun {
namespace {

bool hasRegion(const Comparison& c, RegionKind kind) {
    return std::any_of(c.regions.begin(), c.regions.end(), [&](const Region& r) { return r.kind == kind; });
}

bool isEquivalent(const Comparison& c) {
    if (!c.mayClaim() || !c.matters_w || c.bands.empty())
        return false;
    const BandResult& whole = c.bands.front();
    return whole.low90_w > -*c.matters_w && whole.high90_w < *c.matters_w;
}

} // namespace

VerdictKind judge(const Comparison& c) {
    if (!c.samePlace() ||
        std::any_of(c.likeForLike.begin(), c.likeForLike.end(), [](const LikeForLike& row) { return row.key; }))
        return VerdictKind::NotComparable;
    const bool gain = hasRegion(c, RegionKind::Gain);
    const bool loss = hasRegion(c, RegionKind::Loss);
    if (gain && loss)
        return VerdictKind::Mixed;
    if (isEquivalent(c) && !gain && !loss)
        return VerdictKind::NoDifference;
    // A pair named beforehand may stand on its mean alone; among several comparisons only the band of all decides.
    const Claim mean = c.judgedBy == JudgedBy::Itself && !c.bands.empty()
                           ? claimOf(c, c.bands.front().low_w, c.bands.front().high_w)
                           : Claim::Unresolved;
    if (gain || (mean == Claim::Gain && !loss))
        return VerdictKind::Gain;
    if (loss || mean == Claim::Loss)
        return VerdictKind::Loss;
    return VerdictKind::CannotTell;
}

const char* verdictName(VerdictKind verdict) {
    constexpr const char* names[] = {"gain", "loss", "mixed", "no_difference", "cannot_tell", "not_comparable"};
    return names[static_cast<size_t>(verdict)];
}

const char* regionName(RegionKind kind) {
    constexpr const char* names[] = {"gain", "loss", "unresolved"};
    return names[static_cast<size_t>(kind)];
}

const char* likeVerdictName(LikeVerdict verdict) {
    constexpr const char* names[] = {"matched", "differs", "not_recorded", "explained"};
    return names[static_cast<size_t>(verdict)];
}

} // namespace hillrun
