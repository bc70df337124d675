// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/credit_views.h"
#include "core/compare/quantity.h"
#include "report/telling.h"

namespace hillrun::report {

/// Curves of builds with their letters at the ends. Nothing when none has a value.
/// `last`: nothing stands below it on the same axis, so that it says its speeds itself.
std::optional<Figure> curvesFigure(const Telling& t, const std::vector<std::string>& builds, bool last = false);

/// The gain ribbon and below it the difference with its band.
Figure differenceFigure(const Telling& t, const Comparison& c);

/// One row of a ribbon ladder.
struct LadderRow {
    std::string name;
    Colour colour = kInk;
    std::vector<Region> regions;
    std::string figure; ///< at the right end
};
/// All curves of the field, the lead strip and below them the ribbon ladder, on one axis.
Figure fieldFigure(const Telling& t, const std::vector<LadderRow>& rows);
/// A ribbon a part, with its name above it.
Figure partLadder(const Telling& t, const std::vector<LadderRow>& rows);

/// One stair of a credit.
struct DrawnStair {
    std::string name;
    std::string gain;
    Stair stair;
};
Figure stairsFigure(const Telling& t, const std::string& base, const std::vector<DrawnStair>& stairs);

/// The gain over a swept setting with its band, the steps that were run, and where the best lies.
Figure sweepFigure(const Telling& t, const SettingSweep& sweep);

/// The best setting at each speed; nothing where none can be told.
std::optional<Figure> bestFigure(const Telling& t, const SettingSweep& sweep);

/// Curves of another quantity, and their difference with its band below.
Figure quantityFigure(const Telling& t, const QuantityAnswer& answer, const QuantityPair& pair);

} // namespace hillrun::report
