// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/use.h"

#include <optional>
#include <vector>

// What one build does against another as numbers, in SI, without a name. NaN stands where nothing can be said.

namespace hillrun {

enum class Quantity { Power, Torque };

/// The difference over a stretch of speed, W or N.m.
struct RegionSize {
    double mean = 0.0;
    double meanHalf = 0.0; ///< mean half width of the simultaneous band
    double extreme = 0.0;  ///< where the difference is largest
    double extremeHalf = 0.0;
    bool operator==(const RegionSize&) const = default;
};

enum class RegionKind { Gain, Loss, Unresolved };
/// Gain and loss are the same in power and torque: at one speed the two differ by a factor only.
struct Region {
    RpmRange range_rpm;
    RegionKind kind = RegionKind::Unresolved;
    RegionSize power_w;
    RegionSize torque_nm;

    [[nodiscard]] const RegionSize& size(Quantity quantity) const {
        return quantity == Quantity::Power ? power_w : torque_nm;
    }
    bool operator==(const Region&) const = default;
};

/// Lower and upper edge of a band along rpm, W.
struct Edges {
    std::vector<double> low;
    std::vector<double> high;
};

/// A difference averaged over a range of speed, with its 95 % interval.
struct BandResult {
    RpmRange range_rpm;
    bool weighted = false; ///< some speeds count more than others
    double base_w = 0.0;   ///< mean of the from-build
    double delta_w = 0.0;
    double deltaTorque_nm = 0.0; ///< from the pulls' mean torque, by the same model
    double lowTorque_nm = 0.0;
    double highTorque_nm = 0.0;
    double low_w = 0.0;
    double high_w = 0.0;
    double percent = 0.0;
    double p = 1.0;
    double low90_w = 0.0; ///< 90 % interval, for equivalence
    double high90_w = 0.0;
    /// The sd of fitting a build again that alone would take the proof away, %; nothing where nothing is proven.
    std::optional<double> refitUndoes_pct;
    int asked = -1; ///< its number among the bands asked for; -1: always shown
};

/// A difference of two peaks, or of their speeds.
struct PeakDifference {
    double delta = 0.0;
    double low = 0.0;
    double high = 0.0;
    bool atEnd = false; ///< some pull still rises at the end of its range
};

/// Which band decides where a gain or loss is proven: a pair's own, when it was named beforehand; else that of the
/// day's family of comparisons; for a pair outside the family that of all pairs there are.
enum class JudgedBy { Itself, Family, AllPairs };

/// A build's fitted curve: the mean of its used pulls (with drift identified: as at the middle of the day).
struct BuildCurve {
    std::vector<double> power_w; ///< on the day's grid, NaN where no pull of it has data
    std::vector<double> torque_nm;
    Peak peakPower_w; ///< mean of the peaks of its pulls
    Peak peakTorque_nm;
};

struct Effect {
    std::vector<double> rpm; ///< the day's grid
    std::vector<double> delta_w;
    std::vector<double> deltaTorque_nm;
    Edges pointwise95_w;
    Edges simultaneous95_w;
    Edges family95_w;         ///< over the family; of a pair outside it over all pairs
    bool hasInterval = false; ///< false: no repeatability was measured
    JudgedBy judgedBy = JudgedBy::Family;
    bool protectedFromDrift = true;
    bool boundDeclared = false;
    std::optional<double> driftThatWouldExplain_pct;
    std::vector<Region> regions;   ///< runs of gain, loss and unresolved over all rpm with a value
    std::vector<BandResult> bands; ///< whole common range, its thirds, then those asked for
    PeakDifference peakPower_w;
    PeakDifference peakTorque_nm;
    PeakDifference peakPowerShift_rpm;
    std::vector<double> crossovers_rpm;

    [[nodiscard]] const Edges& judgedBand() const {
        return judgedBy == JudgedBy::Itself ? simultaneous95_w : family95_w;
    }
    /// There is an interval, and drift is covered.
    [[nodiscard]] bool mayClaim() const { return hasInterval && (protectedFromDrift || boundDeclared); }
};

/// What may be said of one number: only what its interval shows.
enum class Claim { Gain, Loss, Unresolved };
Claim claimOf(const Effect& effect, double low, double high);

/// The same effect the other way round: every difference negated, nothing worked anew.
Effect negated(Effect effect);

/// What the answers of a day are made from.
struct AnswerInput {
    const DayModel& model;
    std::vector<const Curve*> curves; ///< one a fitted pull
    DriftSettings drift;
    std::vector<Use> bands; ///< asked for
};

/// How an effect is judged. The critical values belong to the contrast's own band and to that of the family, or of all
/// pairs.
struct Judging {
    JudgedBy by = JudgedBy::Family;
    double own = 0.0;
    double together = 0.0;
};

BuildCurve fittedCurve(const AnswerInput& input, BuildColumn build);

/// `contrast` is the pair's, evaluated on the model; `from_w` the fitted power of the build it is counted from.
Effect effectOf(const AnswerInput& input, BuildColumn from, BuildColumn to, const ContrastCurve& contrast,
                const Judging& judging, const std::vector<double>& from_w);

} // namespace hillrun
