// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <algorithm>
#include <cmath>
#include <numbers>

namespace hillrun {

/// Rollers that turn together, alike: hollow cylinders without their end plates.
struct RollerDimensions {
    int count = 1;
    double diameter_m = 0.0;
    double length_m = 0.0;
    double wall_m = 0.0;           ///< 0: solid
    double density_kg_m3 = 7850.0; ///< of steel, common practice
    double besides_kgm2 = 0.0;     ///< shafts, couplings and the brake's rotor, at roller speed
};

/// I = n pi/2 rho L (Ro^4 - Ri^4) + what turns besides, kg m^2.
inline double rollerInertia_kgm2(const RollerDimensions& rollers) {
    const double outer = 0.5 * rollers.diameter_m;
    const double inner = rollers.wall_m > 0.0 ? std::max(0.0, outer - rollers.wall_m) : 0.0;
    const double one =
        0.5 * std::numbers::pi * rollers.density_kg_m3 * rollers.length_m * (std::pow(outer, 4) - std::pow(inner, 4));
    return rollers.count * one + rollers.besides_kgm2;
}

} // namespace hillrun
