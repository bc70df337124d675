// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "app/document/selection.h"
#include "cell/live_state.h"
#include "core/compare/analyse.h"

namespace hillrun {

/// What the live board shows besides the stream itself.
struct LiveView {
    std::string fitted; ///< build on the dyno
    std::string newest; ///< pull of the slip; empty for none
    Quantity quantity = Quantity::Power;
    DisplayUnits units;
};

/// A measured torque as it is shown: power or torque, in the units of the window.
double liveFigure(double torque_nm, double rpm, const LiveView& view);

/// The trace of the pull being made (else the newest pull) over the ghost of the last good pull of the build, all as
/// measured, not corrected. `analysis` may be null.
BoardContent liveContent(const TestDay& day, const DayAnalysis* analysis, const LiveSnapshot& live,
                         const LiveView& view, const Theme& theme);

} // namespace hillrun
