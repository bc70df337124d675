// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "core/road/day_road.h"
#include "core/road/held_speed.h"

#include <QString>

// What the Road page shows, made without any widget.

namespace hillrun {

/// Speed over the way of both builds; behind it the gears of the second and the corners.
BoardContent speedBoard(const TestDay& day, const DayRoad& road, const std::string& from, const std::string& to,
                        const Theme& theme);
/// How much later the second is than the first, along the way; below zero it leads.
BoardContent leadBoard(const DayAnalysis& analysis, const DayRoad& road, const std::string& from, const std::string& to,
                       const Theme& theme);
/// Speeds and times at a place, in one line.
QString roadCursor(const DayRoad& road, const std::string& from, const std::string& to, double distance_m);

/// What stands below the boards, a row each: "0–100 km/h", "5.31 s", "5.12 s".
struct RoadRow {
    QString what;
    QString first;
    QString second;
};
std::vector<RoadRow> roadRows(const DayRoad& road, const std::string& from, const std::string& to);
/// Power of both builds over engine speed; the speeds held are shaded.
BoardContent heldBoard(const TestDay& day, const DayAnalysis& analysis, const HeldAnswer& answer,
                       const std::string& from, const std::string& to, const Theme& theme);
std::vector<RoadRow> heldRows(const HeldAnswer& answer, const std::string& from, const std::string& to);
/// "Shift A at rpm: 1→2 6 400 · 2→3 6 350"
QStringList shiftLines(const DayRoad& road, const std::string& from, const std::string& to);

} // namespace hillrun
