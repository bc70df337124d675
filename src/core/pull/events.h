// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/reduce.h"

#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// Another good pull of the same build, to hold a pull against.
struct EventReference {
    const ChannelTable* raw = nullptr;
    const Curve* curve = nullptr;
    double ambient_kpa = 0.0; ///< 0: not known
};

/// What else is known about a pull when it is looked at.
struct EventContext {
    std::vector<EventReference> references; ///< may be empty
    double ambient_kpa = 0.0;
    bool boosted = false;
    std::optional<double> plannedEnd_rpm;
};

/// What looks wrong on a pull, each with its place, size and reason, in the order of time: start_spike, breakup, spike,
/// collapse, limiter, absorber_full, dropout, noise, frozen, boost_low, slip, gap, cut_off. Nothing is changed or left
/// out by it. Thresholds and measured rates: docs/method.md.
std::vector<Event> findEvents(const ChannelTable& raw, const Curve& curve, const EventContext& context);

/// "start spike" for "start_spike".
std::string eventTitle(const std::string& kind);

} // namespace hillrun
