// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/short_pull.h"
#include "core/day/test_day.h"
#include "core/pull/reduce.h"

#include <optional>
#include <set>
#include <string>
#include <vector>

// The results of a day as plain values, in SI. NaN stands where nothing can be said.

namespace hillrun {

/// A build's own curve: the fitted mean of its used pulls (with drift identified: as at the middle of the day).
struct BuildResult {
    std::string id;
    std::vector<std::string> pullsUsed;
    std::vector<double> power_w; ///< on the day's grid, NaN where no pull of it has data
    std::vector<double> torque_nm;
    Peak peakPower_w; ///< mean of the peaks of its pulls
    Peak peakTorque_nm;
};

enum class RegionKind { Gain, Loss, Unresolved };
struct Region {
    RpmRange range_rpm;
    RegionKind kind = RegionKind::Unresolved;
    double mean_w = 0.0;     ///< mean difference inside
    double meanHalf_w = 0.0; ///< mean half width of the simultaneous band inside
    double extreme_w = 0.0;  ///< difference where it is largest
    double extremeHalf_w = 0.0;
    double extreme_rpm = 0.0;
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
    double base_w = 0.0; ///< mean of the from-build
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
    int asked = -1; ///< its number among the bands asked for; -1: always shown
};

/// What may be said of one number: only what its interval shows.
enum class Claim { Gain, Loss, Unresolved };

/// A difference of two peaks, or of their speeds.
struct PeakDifference {
    double delta = 0.0;
    double low = 0.0;
    double high = 0.0;
    bool atEnd = false; ///< some pull still rises at the end of its range
};

/// Explained: differs, and the role of a changed part says why (jets the mixture, boost the pressures).
enum class LikeVerdict { Matched, Differs, NotRecorded, Explained };
struct LikeForLike {
    std::string channel;
    std::string unit;
    double from = 0.0;
    double to = 0.0;
    double difference = 0.0;
    double tolerance = 0.0;
    LikeVerdict verdict = LikeVerdict::Matched;
    bool key = false; ///< so far off that the builds cannot be compared
};

/// Which band decides where a gain or loss is proven: a pair's own, when it was named beforehand; else that of the
/// day's family of comparisons; for a pair outside the family that of all pairs there are.
enum class JudgedBy { Itself, Family, AllPairs };

/// How many pulls would settle what is open.
struct PullsToSettle {
    double difference_w = 0.0;
    std::optional<int> pullsPerSet; ///< with the upper 80 % limit of the repeatability; nothing: 30 would not do
    std::optional<int> asMeasured;  ///< if the repeatability of today is exact
    double minutes = 0.0;           ///< for the whole order, with cool-downs and changes
    bool returnAdded = false;       ///< a return to base is added to today's order
    bool operator==(const PullsToSettle&) const = default;
};
struct ToSettle {
    std::optional<PullsToSettle> matters; ///< to see the difference that matters
    std::optional<PullsToSettle> seen;    ///< to see this one, if it is as large as it now looks
    bool operator==(const ToSettle&) const = default;
};

enum class VerdictKind { Gain, Loss, Mixed, NoDifference, CannotTell, NotComparable };

/// What one build does against another. The answer to "what did this part do, and can I believe it?"
struct Comparison {
    std::string from;
    std::string to;
    PowerPlace place;        ///< where its powers are given
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
    std::vector<Change> changed;
    std::vector<LikeForLike> likeForLike;
    std::set<MeasuredAt> measuredAtFrom; ///< where the pulls of each build were measured
    std::set<MeasuredAt> measuredAtTo;
    std::optional<ShortPull> shortPull; ///< it alone holds the comparison to a shorter range
    std::optional<RpmRange> use_rpm;    ///< the speeds that count, when the day names them
    std::optional<double> matters_w;    ///< smallest difference that matters, when given
    VerdictKind verdict = VerdictKind::CannotTell;
    std::optional<ToSettle> toSettle; ///< while nothing can be told

    /// Figures from different places hold the losses between them: no comparison of parts.
    [[nodiscard]] bool samePlace() const { return measuredAtFrom == measuredAtTo && measuredAtFrom.size() <= 1; }
    [[nodiscard]] const Edges& judgedBand() const {
        return judgedBy == JudgedBy::Itself ? simultaneous95_w : family95_w;
    }
    /// There is an interval, and drift is covered.
    [[nodiscard]] bool mayClaim() const { return hasInterval && (protectedFromDrift || boundDeclared); }
};

/// What a number of this comparison with its interval allows to say.
Claim claimOf(const Comparison& comparison, double low, double high);

/// The same comparison the other way round: every difference negated, nothing worked anew.
Comparison swapped(const Comparison& comparison);

} // namespace hillrun
