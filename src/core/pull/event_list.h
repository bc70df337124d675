// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/event_signals.h"
#include "core/pull/events.h"

// Shared by the finders of events; not for use outside.

namespace hillrun {

/// A pull as the finders see it, and the list they add to.
struct EventSheet {
    const ChannelTable& raw;
    const Curve& curve;
    const EventContext& context;
    SweepRows s;
    double torqueNoise = 0.0; ///< relative
    bool brokenUp = false;
    std::vector<Event> events{};

    /// Rows are counted within the sweep.
    void add(EventKind kind, size_t from, size_t to, double size, Statement why);
    /// A stretch of engine speed.
    void addRange(EventKind kind, const RpmRange& range, double size, Statement why);
    /// The speeds of two rows of the sweep, the lower first.
    [[nodiscard]] RpmRange between(size_t from, size_t to) const;
    [[nodiscard]] double timeAt(double rpm) const;
    /// A channel on the curve's grid, or nullptr.
    [[nodiscard]] const std::vector<double>* channel(const std::string& name) const;
    /// The median of the references on the curve's own grid, NaN where none has a value; `relativeTo` is taken off
    /// each first (boost over its own ambient).
    [[nodiscard]] std::vector<double> usual(const std::string& name, bool overAmbient = false) const;
};

/// Stretches of the grid where a condition holds, at least `atLeast_rpm` long.
std::vector<RpmRange> stretches(const std::vector<double>& rpm, double atLeast_rpm,
                                const std::function<bool(size_t)>& holds);
/// "5200 to 6100 rpm"

/// start_spike, breakup, spike, collapse, limiter, gap, cut_off, lift, throttle_short.
void findSweepEvents(EventSheet& sheet);
/// absorber_full, dropout, noise, frozen.
void findWiringEvents(EventSheet& sheet);
/// mixture, knock, timing_pulled, bypass_open, boost_dip, boost_low, limit_passed.
void findControlEvents(EventSheet& sheet);
/// tyre_slip, clutch_slip, converter_slip, slip, wrong_gear, wrong_unit.
void findDrivelineEvents(EventSheet& sheet);
/// dip, hump, each with the channels that moved there.
void findShapeEvents(EventSheet& sheet);

} // namespace hillrun
