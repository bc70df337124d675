// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/shell/action_state.h"

namespace hillrun {

bool actionEnabled(std::string_view action, const WindowState& s) {
    if (action == "day.save")
        return s.dayOpen && (s.dayModified || !s.daySaved);
    if (action == "day.save_as" || action == "day.export_zip" || action == "day.close")
        return s.dayOpen;
    if (action == "edit.undo")
        return s.canUndo;
    if (action == "edit.redo")
        return s.canRedo;
    if (action == "check.use" || action == "check.time")
        return s.page == Page::Check && s.pullSelected;
    if (action == "check.reset_trim")
        return s.page == Page::Check && s.pullSelected && s.pullTrimmed;
    if (action == "compare.swap")
        return s.page == Page::Compare && s.pairShown;
    if (action == "view.quantity")
        return s.dayOpen;
    if (action == "report.pdf" || action == "report.csv")
        return s.analysed;
    return true;
}

} // namespace hillrun
