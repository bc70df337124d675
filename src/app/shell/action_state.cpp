// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/action_state.h"

namespace hillrun {

bool actionEnabled(std::string_view action, const WindowState& s) {
    if (!s.mayEdit &&
        (action == "day.save" || action == "day.import" || action == "day.trace" || action == "day.type_curve" ||
         action == "check.use" || action == "check.reset_trim" || action == "prepare.article" || action == "pull.arm" ||
         action == "pull.by_hand" || action == "pull.change"))
        return false;
    if (action == "day.save")
        return s.dayOpen && (s.dayModified || !s.daySaved);
    if (action == "day.save_as" || action == "day.export_zip" || action == "day.close")
        return s.dayOpen;
    if (action == "edit.undo")
        return s.canUndo;
    if (action == "edit.redo")
        return s.canRedo;
    if (action == "check.use")
        return (s.page == Page::Check && s.pullSelected) || (s.page == Page::Pull && s.slipShown);
    if (action == "check.reset_trim")
        return s.page == Page::Check && s.pullSelected && s.pullTrimmed;
    if (action.starts_with("copy."))
        return (s.page == Page::Check && s.pullSelected) || (s.page == Page::Compare && s.analysed && s.pairShown);
    if (action.starts_with("check."))
        return s.page == Page::Check && s.pullSelected;
    if (action == "compare.swap")
        return s.page == Page::Compare && s.pairShown;
    if (action.starts_with("bench."))
        return s.page == Page::Bench;
    if (action == "view.quantity")
        return s.dayOpen;
    if (action == "report.print" || action == "report.pdf" || action == "report.csv")
        return s.analysed;
    if (action == "prepare.article")
        return s.dayOpen;
    if (action == "pull.begin_day")
        return s.page == Page::Pull && !s.dayOpen;
    if (action == "pull.arm")
        return s.page == Page::Pull && s.dayOpen && s.buildKnown && s.linked;
    if (action == "pull.by_hand")
        return s.page == Page::Pull && s.dayOpen && s.buildKnown && s.linked;
    if (action == "pull.change")
        return s.page == Page::Pull && s.dayOpen && s.buildKnown && !s.pulling;
    if (action == "pull.keep")
        return s.page == Page::Pull && s.slipShown && s.slipOpen;
    return true;
}

} // namespace hillrun
