// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/comparison.h"

#include <utility>

namespace hillrun {
namespace {

void negate(std::vector<double>& values) {
    for (double& value : values)
        value = -value;
}

Edges negated(Edges edges) {
    negate(edges.low);
    negate(edges.high);
    std::swap(edges.low, edges.high);
    return edges;
}

void negatePair(double& low, double& high) {
    std::swap(low, high);
    low = -low;
    high = -high;
}

PeakDifference negated(PeakDifference peak) {
    peak.delta = -peak.delta;
    negatePair(peak.low, peak.high);
    return peak;
}

BandResult negated(BandResult band) {
    band.base_w += band.delta_w;
    band.percent = 100.0 * (1.0 / (1.0 + band.percent / 100.0) - 1.0);
    band.delta_w = -band.delta_w;
    band.deltaTorque_nm = -band.deltaTorque_nm;
    negatePair(band.low_w, band.high_w);
    negatePair(band.low90_w, band.high90_w);
    negatePair(band.lowTorque_nm, band.highTorque_nm);
    return band;
}

RegionKind negated(RegionKind kind) {
    return kind == RegionKind::Unresolved ? kind : (kind == RegionKind::Gain ? RegionKind::Loss : RegionKind::Gain);
}

} // namespace

Claim claimOf(const Comparison& comparison, double low, double high) {
    if (comparison.mayClaim() && low > 0.0)
        return Claim::Gain;
    return comparison.mayClaim() && high < 0.0 ? Claim::Loss : Claim::Unresolved;
}

Comparison swapped(const Comparison& comparison) {
    Comparison c = comparison;
    std::swap(c.from, c.to);
    negate(c.delta_w);
    negate(c.deltaTorque_nm);
    c.pointwise95_w = negated(c.pointwise95_w);
    c.simultaneous95_w = negated(c.simultaneous95_w);
    c.family95_w = negated(c.family95_w);
    for (Region& region : c.regions) {
        region.kind = negated(region.kind);
        region.mean_w = -region.mean_w;
        region.extreme_w = -region.extreme_w;
    }
    for (BandResult& band : c.bands)
        band = negated(band);
    c.peakPower_w = negated(c.peakPower_w);
    c.peakTorque_nm = negated(c.peakTorque_nm);
    c.peakPowerShift_rpm = negated(c.peakPowerShift_rpm);
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
