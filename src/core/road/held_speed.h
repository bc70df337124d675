// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/day/course.h"

#include <string>
#include <vector>

// What the day's curves are worth at one engine speed that is held: a boat, an aircraft, a generator. Nothing moves:
// only the power there counts.

namespace hillrun {

struct HeldBuild {
    std::string id;
    double power_w = 0.0; ///< mean over the speeds held, in the air of the course
};

struct HeldDifference {
    std::string from;
    std::string to;
    double base_w = 0.0; ///< of `from`
    double delta_w = 0.0;
    double low_w = 0.0; ///< 95 %; NaN without repeats
    double high_w = 0.0;
    bool mayClaim = false; ///< drift is covered
    [[nodiscard]] bool proven() const { return mayClaim && (low_w > 0.0 || high_w < 0.0); }
};

struct HeldAnswer {
    HeldSpeed speed;
    std::vector<HeldBuild> builds;           ///< those with a curve there
    std::vector<HeldDifference> differences; ///< the day's comparisons
    std::vector<HeldDifference> others;      ///< every other pair, and each the other way round
    Statement whyNot;                        ///< nothing can be told
    [[nodiscard]] const HeldBuild* build(const std::string& id) const;
    [[nodiscard]] const HeldDifference* find(const std::string& from, const std::string& to) const;
};

/// `course` is held at one speed. A course of its own air gives the powers in that air.
HeldAnswer heldAnswer(const TestDay& day, const DayAnalysis& analysis, const Course& course);

/// "At 5 500 rpm held within 150 rpm B gives 1.2 +- 0.4 kW more than A, of 61.3 kW."
Statement heldSummary(const HeldAnswer& answer, const HeldDifference& difference);

} // namespace hillrun
