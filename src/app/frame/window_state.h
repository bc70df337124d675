// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string_view>

namespace hillrun {

/// A page by the name it has in its `PageSpec`: "check". Lives as long as the program.
using PageId = std::string_view;

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
    bool canCopy = false;    ///< the page has something to be copied
    bool linked = false;     ///< a cell is connected or being connected
    bool buildKnown = false; ///< there is a build to make a pull of
    bool slipShown = false;
    bool slipOpen = false; ///< nobody has kept it or set it aside yet
    bool pulling = false;
    bool canUndo = false;
    bool canRedo = false;
    PageId page{};
    std::string_view focus{}; ///< name of the widget that has it
    bool operator==(const WindowState&) const = default;
};

} // namespace hillrun
