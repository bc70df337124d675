// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/build_of_day.h"
#include "core/day/course.h"
#include "core/day/wanted_use.h"

#include <optional>
#include <string>
#include <utility>
#include <vector>

// What was decided before the pulls, and what was done between them. Part of a TestDay.

namespace hillrun {

/// How each pull is to be made.
struct PullProtocol {
    std::optional<double> start_rpm;
    std::optional<double> end_rpm;
    std::optional<double> rate_rpm_per_s;
    std::optional<int> gear; ///< from 1
    std::string unknownKeys;
    bool operator==(const PullProtocol&) const = default;
};

/// What fitting a build again adds, as a standard deviation.
struct RefitSd {
    std::vector<double> likely_pct; ///< one: entered; several, equally likely: taught by the cell; none: not known
    double freedom = 0.0;           ///< degrees of freedom behind what the cell has taught
    [[nodiscard]] double rootMeanSquare_pct() const; ///< 0 when it is not known
    bool operator==(const RefitSd&) const = default;
};

/// What earlier days of the cell repeat within, for a day with too few repeats of its own.
struct EarlierRepeats {
    double sd_pct = 0.0;   ///< of a pull's level
    double freedom = 0.0;  ///< degrees of freedom that the days agree for
    double cautious = 0.0; ///< the same for a day without any repeat, where all hangs on it
    double low_rpm = 0.0;
    double step_rpm = 100.0;
    std::vector<double> shapeSd_pct; ///< of the shapes, from low_rpm in steps
    double correlation_rpm = 250.0;  ///< of the shapes' noise
    double nugget = 0.0;
    [[nodiscard]] bool known() const { return freedom > 0.0 && !shapeSd_pct.empty(); }
    bool operator==(const EarlierRepeats&) const = default;
};

struct Plan {
    std::string design; ///< "a-b-a" ...; empty when the order was made by hand
    int pullsPerSet = 3;
    std::vector<std::string> order; ///< build of each planned pull
    std::vector<size_t> refits; ///< pulls of the order, from 0, before which their build, which stays, is fitted again
    std::optional<double> matters_pct;                      ///< smallest difference that matters
    std::optional<double> repeatability_pct;                ///< of one pull, expected
    std::optional<double> coolDown_min;                     ///< from the end of a pull to the next
    std::optional<double> change_min;                       ///< to fit the next build
    std::vector<std::pair<std::string, std::string>> pairs; ///< named beforehand, from and to; empty: the usual ones
    std::optional<double> driftBound_pct;                   ///< declared: drift over the session is at most this
    RefitSd refitSd;
    EarlierRepeats earlierRepeats;
    std::vector<BuildOfDay> earlier; ///< builds of other days that are put beside today's
    WantedUse use;                   ///< what the builds are wanted for
    std::string unknownUseKeys;      ///< of the use, not of the plan
    std::optional<Course> course;    ///< where the curves are driven; of a built-in one its name tells
    bool useAfterLooking = false;    ///< it was chosen when pulls were there already
    PullProtocol protocol;
    std::string unknownKeys;
    bool operator==(const Plan&) const = default;
};

/// A caution that somebody ticked.
struct CautionTick {
    std::string id;
    std::string who;
    std::string when; ///< ISO 8601
    std::string unknownKeys;
    bool operator==(const CautionTick&) const = default;
};

/// A change of builds as it was really done.
struct BuildChange {
    std::string when; ///< ISO 8601
    std::string from;
    std::string to;
    std::string note; ///< what was done, and what else was touched
    std::string unknownKeys{};
    bool refitted = false; ///< the same build was taken off and fitted again
    bool operator==(const BuildChange&) const = default;
};

} // namespace hillrun
