// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/trace/traced_curve.h"

#include <array>
#include <optional>
#include <string>
#include <vector>

// What somebody marked and traced on a sheet, as far as they got, and what comes of it.

namespace hillrun {

/// The places on the axes that are marked. The right axis is there on some sheets only.
enum class SheetMark { SpeedLow, SpeedHigh, LeftLow, LeftHigh, RightLow, RightHigh, Count };
constexpr size_t kSheetMarks = static_cast<size_t>(SheetMark::Count);

struct MarkedPlace {
    std::optional<PicturePoint> at;
    std::optional<double> value;
    bool operator==(const MarkedPlace&) const = default;
};

struct TracedLine {
    std::string build;
    std::string unit; ///< "kW", "hp", "PS", "N.m", "lbf.ft", "kgf.m"
    bool onRightAxis = false;
    bool byHand = false; ///< points set one by one; else a colour was followed
    std::vector<LinePoint> points{};
};

struct SheetTrace {
    std::array<MarkedPlace, kSheetMarks> marks{};
    bool rightAxis = false;
    std::vector<TracedLine> lines{};
    [[nodiscard]] const MarkedPlace& mark(SheetMark which) const { return marks[static_cast<size_t>(which)]; }
};

/// The next mark without a place; nothing when all that are wanted have one.
std::optional<SheetMark> nextMark(const SheetTrace& trace);
/// The speed axis and the left or the right one; nothing as long as a place or a value is missing.
std::optional<SheetAxes> axesOf(const SheetTrace& trace, bool right);

/// Takes a stretch that was followed into a line, in place of what the line had between its ends.
void addStretch(TracedLine& line, const std::vector<LinePoint>& stretch);
/// Adds a point that was set by hand, or takes away the one within `reach` pixels.
void togglePoint(TracedLine& line, PicturePoint at, double reach);
/// Takes away what lies beyond a place, on the side where less lies.
void cutOff(TracedLine& line, double x);

/// All lines of one build as one table.
struct TracedBuild {
    std::string build;
    ChannelTable table;
    std::string powerUnit;  ///< empty: no power was traced
    std::string torqueUnit; ///< likewise
};
/// Followed lines at even speeds, the same for all of the sheet; points set by hand as they are. Lines without points
/// are left out. Every axis that a line needs must be there without a problem. Throws DataError (UnknownUnit, BadValue
/// for two lines of one build that both show power, or both torque).
std::vector<TracedBuild> tracedBuilds(const SheetTrace& trace);

} // namespace hillrun
