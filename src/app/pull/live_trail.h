// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/pull/live_content.h"

#include <deque>

namespace hillrun {

/// Speed and torque of the last minute, so that the middle of Pull is never blank while data comes.
class LiveTrail {
public:
    /// Takes a reading at a moment of this machine's clock; ten a second are kept. A signal that is stale leaves a gap.
    void take(double now_s, const LiveSnapshot& live);
    [[nodiscard]] bool empty() const { return m_points.empty(); }
    /// Engine speed over the last minute.
    [[nodiscard]] BoardContent speed(const Theme& theme) const;
    /// Power or torque over the last minute, as measured.
    [[nodiscard]] BoardContent figure(const LiveView& view, const Theme& theme) const;

private:
    struct Point {
        double time_s;
        double rpm;
        double torque_nm;
    };
    [[nodiscard]] BoardContent content(const QString& title) const;
    std::deque<Point> m_points;
};

} // namespace hillrun
