// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string_view>

namespace hillrun {

enum class Page { Prepare, Pull, Check, Compare, Report, Bench };

/// What decides which actions can be used.
struct WindowState {
    bool dayOpen = false;
    bool dayModified = false;
    bool daySaved = false; ///< it has a place on disk
    bool mayEdit = true;   ///< no other window has it open for writing
    bool analysed = false; ///< there is a result to print
    bool pullSelected = false;
    bool pullTrimmed = false; ///< by hand
    bool pairShown = false;
    bool linked = false;     ///< a cell is connected or being connected
    bool buildKnown = false; ///< there is a build to make a pull of
    bool slipShown = false;
    bool slipOpen = false; ///< nobody has kept it or set it aside yet
    bool pulling = false;
    bool canUndo = false;
    bool canRedo = false;
    Page page = Page::Compare;
    bool operator==(const WindowState&) const = default;
};

/// Whether an action makes sense now. Unknown ids are enabled.
bool actionEnabled(std::string_view action, const WindowState& state);

} // namespace hillrun
