// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "simcell/cell_spec.h"

namespace hillrun::sim {

/// Simulates every pull of a day as a logger would record it: a sweep in time with its settling start and throttle
/// lift, torque as measured in that air. The same seed gives the same numbers on every machine.
TestDay simulateDay(const CellSpec& spec, unsigned seed);

/// What the day has done to the engine's torque by then.
double driftFactor(const DriftSpec& drift, double at_h);

/// A local time some hours later, with the same offset from UTC.
std::string timeAfter(const std::string& first, double hours);

} // namespace hillrun::sim
