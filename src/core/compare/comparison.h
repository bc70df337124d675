// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/effect.h"
#include "core/day/test_day.h"
#include "core/statement/statement.h"

#include <optional>
#include <set>
#include <string>
#include <vector>

// The results of a day as plain values, in SI. NaN stands where nothing can be said.

namespace hillrun {

/// A build's own curve and the pulls it was made from.
struct BuildResult : BuildCurve {
    std::string id;
    std::vector<std::string> pullsUsed;
    Statement given; ///< "a curve only, corrected to SAE J1349 ..."; empty for a fitted build
};

/// A build that was not recorded, and what is known of its curve.
struct GivenBuild {
    std::string build;
    Statement text;
    bool operator==(const GivenBuild&) const = default;
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

/// The one pull that holds a comparison to a shorter range than all others would allow.
struct ShortPull {
    std::string pull;
    bool atTop = true;      ///< it ends early; else it begins late
    double own_rpm = 0.0;   ///< where it ends (or begins)
    double reach_rpm = 0.0; ///< how far the comparison reaches without it
    bool operator==(const ShortPull&) const = default;
};

enum class VerdictKind { Gain, Loss, Mixed, NoDifference, CannotTell, NotComparable };

/// What one build does against another. The answer to "what did this part do, and can I believe it?"
struct Comparison : Effect {
    std::string from;
    std::string to;
    PowerPlace place; ///< where its powers are given
    std::vector<Change> changed;
    std::vector<LikeForLike> likeForLike;
    std::set<MeasuredAt> measuredAtFrom; ///< where the pulls of each build were measured
    std::set<MeasuredAt> measuredAtTo;
    std::optional<ShortPull> shortPull; ///< it alone holds the comparison to a shorter range
    std::optional<Use> use;             ///< the speeds that count, when the day names them
    std::optional<double> matters_w;    ///< smallest difference that matters, when given
    VerdictKind verdict = VerdictKind::CannotTell;
    std::optional<ToSettle> toSettle; ///< while nothing can be told
    std::vector<GivenBuild> given;    ///< of the two builds those that are curves only

    /// Figures from different places hold the losses between them: no comparison of parts.
    [[nodiscard]] bool samePlace() const { return measuredAtFrom == measuredAtTo && measuredAtFrom.size() <= 1; }
};

/// The same comparison the other way round: every difference negated, nothing worked anew.
Comparison swapped(const Comparison& comparison);

} // namespace hillrun
