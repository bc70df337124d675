// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/figure.h"
#include "core/day/wanted_use.h"

namespace hillrun {

/// How much a speed counts; nothing outside the range.
double weightAt(const Use& use, double rpm);

/// Mean power over the use, W; none for a pull that does not cover it.
Figure meanPower(const FitInput& input, const Use& use);
/// Mean torque, N.m.
Figure meanTorque(const FitInput& input, const Use& use);

} // namespace hillrun
