// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <string>
#include <vector>

// Any curve of a pull, through the day's model on its own scale: boost, back pressure, mixture, what the engine gives
// for a litre, and every channel that was recorded. Method: docs/method.md.

namespace hillrun {

/// What can be compared besides power and torque.
struct QuantityKind {
    std::string id; ///< "boost", or a channel's name
    std::string unit;
    bool isRatio = false;   ///< compared as a ratio, as power is; false: as a difference
    bool isChannel = false; ///< recorded as it is
    bool operator==(const QuantityKind&) const = default;
};

/// Those that pulls in use of two builds have; power and torque first, then what is worked out, then the channels.
std::vector<QuantityKind> quantitiesOf(const TestDay& day, const DayAnalysis& analysis);

/// A mean difference over a range of speed, in the quantity's unit.
struct QuantityBand {
    RpmRange range_rpm;
    bool weighted = false;
    double delta = 0.0;
    double low = 0.0; ///< 95 %
    double high = 0.0;
    double p = 1.0;
    int asked = -1; ///< its number among the bands asked for; -1: always shown
};

/// What one build has more than another, along the day's grid.
struct QuantityPair {
    std::string from;
    std::string to;
    std::vector<double> delta;
    Edges pointwise95;
    Edges simultaneous95;
    Edges family95;
    std::vector<Region> regions; ///< more, less, cannot tell; without sizes
    std::vector<QuantityBand> bands;
    /// Of boost and back pressure, where both are proven to go apart: "boost falls by 12 kPa ... while back pressure
    /// rises: the turbine side limits"; of boost what power goes with each step of it.
    std::vector<Statement> notes;
    bool mayClaim = false; ///< there is an interval, and the builds were run in a return
};

struct QuantityAnswer {
    QuantityKind kind;
    std::vector<double> rpm;
    std::vector<std::pair<std::string, std::vector<double>>> builds; ///< each with its fitted curve
    std::vector<QuantityPair> pairs; ///< the family as it was asked for, then every other pair of builds
    size_t family = 0;               ///< so many of them
    [[nodiscard]] const QuantityPair* find(const std::string& from, const std::string& to) const;
};

/// Nothing when no two builds have it. Pulls without it are left out of this fit.
std::optional<QuantityAnswer> answerOn(const QuantityKind& kind, const TestDay& day, const DayAnalysis& analysis,
                                       DrawCache& cache);

/// As people call it.
Argument quantityName(const QuantityKind& kind);
/// "Boost is 4.1 ± 1.2 kPa more on average from 2 300 to 6 300 rpm.", and the note.
std::vector<Statement> quantitySummary(const QuantityKind& kind, const QuantityPair& pair);

} // namespace hillrun
