// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/statement/statement.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// How far the day has come through its plan.
struct PlanProgress {
    std::vector<char> done;     ///< for each planned pull: one in use stands for it
    std::optional<size_t> next; ///< into the plan's order; nothing when the plan is done or there is none
    std::string build;          ///< of the next pull; empty when the plan is done
    size_t numberInSet = 0;     ///< of the next pull, from 1
    size_t pullsInSet = 0;
    bool needsChange = false; ///< another build must be fitted first
    bool needsRefit = false;  ///< the same build must be taken off and fitted again first
    std::string fitted;       ///< build on the dyno now: of the last pull or the last noted change
    size_t skipped = 0;       ///< planned pulls that were passed over
    bool operator==(const PlanProgress&) const = default;
};

/// Matches the pulls in use, in time order, with the plan. Sets are gone through forwards. A pull set aside stands for
/// nothing: it is to be made again.
PlanProgress planProgress(const TestDay& day);

/// Since the last pull somebody noted that this build was taken off and fitted again: the next one begins a set.
bool isRefittedNow(const TestDay& day, const std::string& build);

/// "Pull 2 of 3 · build B", "Fit build B", "The plan is done".
Statement nextStep(const PlanProgress& progress);

} // namespace hillrun
