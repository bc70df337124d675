// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/trace/sheet_axes.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

constexpr double kClosest_px = 20.0;
constexpr double kLeastSine = 0.5; ///< of the angle between the axes

PicturePoint minus(PicturePoint a, PicturePoint b) { return {a.x - b.x, a.y - b.y}; }
double across(PicturePoint a, PicturePoint b) { return a.x * b.y - a.y * b.x; }
double length(PicturePoint a) { return std::hypot(a.x, a.y); }

PicturePoint perUnit(const AxisMarks& axis) {
    const PicturePoint way = minus(axis.high.at, axis.low.at);
    const double values = axis.high.value - axis.low.value;
    return {way.x / values, way.y / values};
}

AxesProblem problemOf(const AxisMarks& speed, const AxisMarks& values) {
    const auto same = [](const AxisMarks& axis) { return !(std::abs(axis.high.value - axis.low.value) > 1e-9); };
    const auto close = [](const AxisMarks& axis) { return length(minus(axis.high.at, axis.low.at)) < kClosest_px; };
    if (same(speed) || same(values))
        return AxesProblem::SameValue;
    if (close(speed) || close(values))
        return AxesProblem::TooClose;
    const PicturePoint a = minus(speed.high.at, speed.low.at);
    const PicturePoint b = minus(values.high.at, values.low.at);
    return std::abs(across(a, b)) < kLeastSine * length(a) * length(b) ? AxesProblem::NotCrossed : AxesProblem::None;
}

/// Two marks that are each off by so many pixels move what lies between them less than what lies outside.
double marksShare(const AxisMarks& axis, double value) {
    const double share = (value - axis.low.value) / (axis.high.value - axis.low.value);
    return std::hypot(share, 1.0 - share);
}

} // namespace

SheetAxes::SheetAxes(const AxisMarks& speed, const AxisMarks& values)
    : m_speed(speed), m_values(values), m_problem(problemOf(speed, values)) {
    if (m_problem != AxesProblem::None)
        return;
    m_perRpm = perUnit(speed);
    m_perValue = perUnit(values);
}

SheetPoint SheetAxes::at(PicturePoint place) const {
    const double whole = across(m_perRpm, m_perValue);
    return {m_speed.low.value + across(minus(place, m_speed.low.at), m_perValue) / whole,
            m_values.low.value + across(m_perRpm, minus(place, m_values.low.at)) / whole};
}

PicturePoint SheetAxes::placeOf(SheetPoint point) const {
    // The crossing of the line of this speed with the line of this value.
    const double speeds = point.rpm - m_speed.low.value;
    const PicturePoint onSpeed{m_speed.low.at.x + speeds * m_perRpm.x, m_speed.low.at.y + speeds * m_perRpm.y};
    const double further = point.value - at(onSpeed).value;
    return {onSpeed.x + further * m_perValue.x, onSpeed.y + further * m_perValue.y};
}

SheetReading SheetAxes::reading(PicturePoint place, PicturePoint off) const {
    const SheetPoint point = at(place);
    return {std::hypot(off.x, kMark_px * marksShare(m_speed, point.rpm)) / length(m_perRpm),
            std::hypot(off.y, kMark_px * marksShare(m_values, point.value)) / length(m_perValue)};
}

} // namespace hillrun
