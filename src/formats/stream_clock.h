// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"

#include <limits>
#include <string>

namespace hillrun {

/// What a logger's clock did that no clock does.
struct ClockFaults {
    int jumpedAhead = 0;
    int ranBack = 0;
    int stoodStill = 0;
    int missing = 0; ///< rows without a time
    [[nodiscard]] bool any() const { return jumpedAhead + ranBack + stoodStill + missing > 0; }
    ClockFaults since(const ClockFaults& before) const;
    bool operator==(const ClockFaults&) const = default;
};
/// "the logger's clock ran back once and stood still twice"; empty without a fault.
Statement faultsStatement(const ClockFaults& faults);

/// Puts the rows of a stream on one line of time that never runs back. The logger's clock is followed while it goes as
/// the arrival of the rows allows; where it jumps ahead by more than a third of a second (or ten rows), runs back or
/// stands still, time goes on by this computer's clock, and the fault is counted. A stream that runs faster or slower
/// than real time (a simulated cell) is followed. Without arrivals (rows of a file) the usual step takes their place.
/// The cost of a row is constant.
class StreamClock {
public:
    static constexpr double kUnknown = std::numeric_limits<double>::quiet_NaN();
    /// `stream_s`: the row's time, NaN when it has none; `arrival_s`: seconds on a steady clock, NaN when not known.
    double take(double stream_s, double arrival_s = kUnknown);
    /// The connection was lost: the next row begins a line of its own.
    void restart();
    [[nodiscard]] const ClockFaults& faults() const { return m_faults; }
    /// What is added to the logger's times now.
    [[nodiscard]] double offset_s() const { return m_offset; }

private:
    [[nodiscard]] double stepOn(double waited_s) const;
    [[nodiscard]] bool plausible(double ahead_s, double candidate, double arrival_s) const;
    double goOn(double stream_s, double waited_s);
    double stand(double waited_s);
    void learn(double ahead_s, double arrival_s, double waited_s);

    ClockFaults m_faults;
    bool m_begun = false;
    double m_lastIn = 0.0, m_lastOut = 0.0, m_lastArrival = kUnknown;
    double m_offset = 0.0;
    double m_offsetBefore = 0.0;                  ///< before the last fault: one odd row does not move the line
    double m_step = kUnknown;                     ///< usual time from row to row, stream seconds
    double m_rate = 1.0;                          ///< stream seconds a second of this computer
    double m_rateIn = 0.0, m_rateFrom = kUnknown; ///< stream seconds since an arrival, to learn the rate from
    bool m_rateKnown = false;
    double m_head = kUnknown; ///< the least delayed row seen: time less rate times arrival
    double m_still = 0.0;     ///< how long the clock has shown one time
    int m_stillRows = 0;
    bool m_standing = false;
};

} // namespace hillrun
