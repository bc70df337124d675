// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"
#include "core/units/rpm_range.h"

#include <optional>
#include <string>
#include <vector>

// The end speed of a build's pulls raised step by step "until power clearly falls" (common practice): where more speed
// stopped paying.

namespace hillrun {

struct PullResult;

/// What power does from one end speed to the next, log scale, from the pulls that reach the next.
struct EndStretch {
    RpmRange rpm;
    double change = 0.0;
    double half = 0.0; ///< 95 % over all stretches of the build; infinite where no pull is repeated
    size_t pulls = 0;
    [[nodiscard]] bool rises() const { return change - half > 0.0; }
    [[nodiscard]] bool falls() const { return change + half < 0.0; }
};

/// One build's.
struct EndSpeeds {
    std::string build;
    std::vector<double> steps_rpm;     ///< three or more, rising
    std::vector<EndStretch> stretches; ///< one fewer
    std::optional<double> stopped_rpm; ///< from here on more speed did not pay: power falls, and does not rise again
    [[nodiscard]] bool stillRises() const { return !stretches.empty() && stretches.back().rises(); }
};

/// The builds whose pulls in use end higher from pull to pull, in three steps or more. Within a pull only: neither the
/// day's drift nor a pull's level is in it. Formulas: docs/method.md.
std::vector<EndSpeeds> endSpeedsOf(const std::vector<PullResult>& pulls);

/// "End speed of C raised in 4 steps to 7 200 rpm: above 7 000 rpm more speed stopped paying, ..."
Statement endSpeedPhrase(const EndSpeeds& found);

} // namespace hillrun
