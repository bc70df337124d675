// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/units/units.h"

namespace hillrun {

inline constexpr double kKmhPerMs = 3.6;

/// Road speed at an engine speed without slip: v = omega * r / ratio; `ratio`: gear times final drive.
inline double roadSpeed_ms(double rpm, double ratio, double tyreRadius_m) {
    return angularSpeed(rpm) * tyreRadius_m / ratio;
}
/// The other way round.
inline double engineSpeed_rpm(double speed_ms, double ratio, double tyreRadius_m) {
    return speed_ms / tyreRadius_m * ratio / angularSpeed(1.0);
}

} // namespace hillrun
