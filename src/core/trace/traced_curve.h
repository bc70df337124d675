// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/trace/follow_line.h"
#include "core/trace/sheet_axes.h"
#include "core/units/units.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// A reading of a curve: what stands there, in the axis' unit, and how far it may be off, 95 %.
struct CurvePoint {
    double rpm = 0.0;
    double value = 0.0;
    double half = 0.0;
};

/// What points along a line say. `off_px` is how far a place may be off by itself, both ways (0 for the middle of a
/// column of pixels); the marks of the axes and half of the line's width come to it, and what the speed may be off
/// times how steep the curve is. By rising speed, the first of several at one speed.
std::vector<CurvePoint> readLine(const SheetAxes& axes, const std::vector<LinePoint>& line, double off_px);

/// The step of a table that a followed line of these points fills: 25, 50, 100 or 200 rpm, at least three points wide.
double stepOf(const std::vector<CurvePoint>& points);
/// The curve at whole multiples of the step, each by a straight line through the points within half a step.
std::vector<CurvePoint> atSteps(const std::vector<CurvePoint>& points, double step_rpm);

/// A curve and its unit as it stands on the sheet ("hp", "lbf.ft"), which says whether it is power or torque.
struct SheetCurve {
    std::string unit;
    std::vector<CurvePoint> points;
};
bool isTorque(const SheetCurve& curve);

/// Engine speed, power and torque in the units of a pull file, at every speed that one of the curves has, blank where
/// a curve has none; `reading` says in per cent how far the figure may be off, 95 %, of several the largest. Throws
/// DataError (UnknownUnit).
ChannelTable tableOfCurves(const std::vector<SheetCurve>& curves);
/// The middle of the column `reading`; nothing when there is none.
std::optional<double> usualReading_pct(const ChannelTable& table);

} // namespace hillrun
