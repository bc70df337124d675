// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/history/over_days.h"
#include "logbook/logbook.h"

namespace hillrun {

/// A day that is answered, as the logbook would know it, and all that the logbook knows of its cell.
struct DayAmongOthers {
    DayRecord today; ///< worked out as all days of a logbook are
    std::vector<DayRecord> known;
    bool shownAlike = true; ///< so is the answer that is shown; else it is to another standard or smoothing
};
/// Throws DataError: LogbookUnreachable, LogbookBroken.
DayAmongOthers amongOthers(const TestDay& day, const DayAnalysis& analysis, Logbook& logbook);

/// The day together with the builds of other days that stand beside it; says so when the answer that is shown is
/// worked out otherwise.
OverDays overDays(const TestDay& day, const DayAmongOthers& among, const OverDaysWanted& wanted);

} // namespace hillrun
