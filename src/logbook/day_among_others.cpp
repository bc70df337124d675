// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/day_among_others.h"

#include "engine/day_engine.h"
#include "logbook/log_days.h"

namespace hillrun {

DayAmongOthers amongOthers(const TestDay& day, const DayAnalysis& analysis, Logbook& logbook) {
    DayAmongOthers out;
    out.shownAlike = workedOutAlike(day, analysis);
    out.today = recordOf(day, out.shownAlike ? analysis : *DayEngine().analyse(day, settingsFor(day, {})));
    out.today.cell = logbook.cellName(out.today.cell, thisBench());
    out.known = logbook.recordsOfCell(out.today.cell);
    return out;
}

OverDays overDays(const TestDay& day, const DayAmongOthers& among, const OverDaysWanted& wanted) {
    OverDays out = overDays(day, among.today, among.known, wanted);
    if (!among.shownAlike)
        out.remarks.push_back(
            {"over_days.alike", {std::string(standardInfo(AnalysisSettings{}.reduce.standard).title)}});
    return out;
}

} // namespace hillrun
