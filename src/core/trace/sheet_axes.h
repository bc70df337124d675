// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/trace/picture.h"

namespace hillrun {

/// A place on an axis of which the sheet says the value.
struct AxisMark {
    PicturePoint at;
    double value = 0.0;
    bool operator==(const AxisMark&) const = default;
};

struct AxisMarks {
    AxisMark low;
    AxisMark high;
    bool operator==(const AxisMarks&) const = default;
};

enum class AxesProblem {
    None,
    SameValue, ///< both marks of an axis say the same
    TooClose,  ///< both marks of an axis lie within 20 pixels
    NotCrossed ///< the axes do not stand across each other, within 30 degrees
};

struct SheetPoint {
    double rpm = 0.0;
    double value = 0.0;
};

/// How far a reading may be off, 95 %.
struct SheetReading {
    double rpm = 0.0;
    double value = 0.0;
};

/// The speed axis and one axis of values. A sheet that lies turned or skewed is read right: lines of one speed run
/// along the value axis, lines of one value along the speed axis.
class SheetAxes {
public:
    SheetAxes(const AxisMarks& speed, const AxisMarks& values);
    [[nodiscard]] AxesProblem problem() const { return m_problem; }
    /// What stands at a place. Only without a problem, as the two below.
    [[nodiscard]] SheetPoint at(PicturePoint place) const;
    [[nodiscard]] PicturePoint placeOf(SheetPoint point) const;
    /// Of a place that is known to `off` pixels along either axis, with marks that were set to `kMark_px`.
    [[nodiscard]] SheetReading reading(PicturePoint place, PicturePoint off) const;

    static constexpr double kMark_px = 1.0; ///< how far a mark may be set off, 95 %

private:
    PicturePoint m_perRpm;   ///< pixels
    PicturePoint m_perValue; ///< pixels
    AxisMarks m_speed;
    AxisMarks m_values;
    AxesProblem m_problem = AxesProblem::None;
};

} // namespace hillrun
