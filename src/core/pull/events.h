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
    const Curve* curve = nullptr;
    double ambient_kpa = 0.0; ///< 0: not known
    bool operator==(const EventReference&) const = default;
};

/// What else is known about a pull when it is looked at.
struct EventContext {
    std::vector<EventReference> references; ///< may be empty
    double ambient_kpa = 0.0;
    bool boosted = false;
    bool steps = false; ///< held steps: what a sweep does along time does not count
    std::optional<double> plannedEnd_rpm;
    FuelKind fuel = FuelKind::Petrol;
    Ignition ignition = Ignition::Spark;
    std::optional<int> gear;
    std::vector<WatchLimit> limits;
    std::vector<std::optional<double>> gearRatios; ///< engine over driven speed in gears 1, 2 ...; empty: not known
    bool operator==(const EventContext&) const = default;
};

/// What looks wrong on a pull, each with its place, size and reason, in the order of time. Nothing is changed or left
/// out by it. Kinds, thresholds and measured rates: docs/method.md.
std::vector<Event> findEvents(const ChannelTable& raw, const Curve& curve, const EventContext& context);

/// Whether it only tells, and asks for nothing: a hump or dip that the engine's own curve may have.
bool isRemark(const Event& event);

/// A unit that was taken for another, and what its torque is to be multiplied by.
struct UnitAnswer {
    double factor = 1.0;
    std::string was; ///< "PS": what it was written down in
    std::string as;  ///< "kW": what it was taken for
};
/// "PS taken for kW"
Statement takenFor(const UnitAnswer& answer);
/// The mix-ups that explain a pull being `ratio` times the others.
std::vector<UnitAnswer> unitAnswers(double ratio);

/// What can be done about an event; it is only ever offered.
struct EventRemedy {
    std::optional<RpmRange> trimTo; ///< the window that leaves it out, when enough is left
    bool setAside = false;
    std::string reason;            ///< the code to be noted when the pull is set aside: "throttle_short"
    std::vector<UnitAnswer> units; ///< a wrong unit: what to ask
};
EventRemedy remedyFor(const Event& event, const Curve& curve);

} // namespace hillrun
