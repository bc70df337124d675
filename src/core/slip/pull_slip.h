// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

enum class SlipWeight { Fine, Note, Warning };
struct SlipLine {
    SlipWeight weight = SlipWeight::Fine;
    Statement text;
    std::string kind;              ///< of the event, empty for other lines
    std::optional<size_t> event{}; ///< its number among the slip's events
    bool operator==(const SlipLine&) const = default;
};

/// What is to be said about a pull right after it was made. Advice: keeping or setting aside stays the operator's.
struct PullSlip {
    std::string pull;
    std::string build;
    size_t numberInSet = 1;
    std::optional<double> differenceFromSet_pct; ///< mean power against the other pulls of its set, else of its build
    std::vector<Event> events;
    std::vector<SlipLine> lines; ///< warnings first
    Statement headline;
    bool suspicious = false;
    bool operator==(const PullSlip&) const = default;
};

/// The slip of one pull of an analysed day, with the events that were found. Needs a pull of that id.
PullSlip pullSlip(const TestDay& day, const DayAnalysis& analysis, const std::string& pull);

/// "Still climbing 0.6 % a pull: take more before you change anything." while the newest set settles; empty otherwise.
/// From the slope of at least three pulls in use against the repeatability.
Statement settlingNotice(const TestDay& day, const DayAnalysis& analysis);

} // namespace hillrun
