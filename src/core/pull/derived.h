// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/reduce.h"

namespace hillrun {

/// Air to fuel by mass for complete burning (common practice: petrol 14.7, diesel 14.5, alcohol 9.0 as ethanol,
/// gas 15.6 as propane; other fuels count as petrol).
double stoichiometricRatio(FuelKind fuel);
double lambdaFromRatio(double airFuelRatio, FuelKind fuel);
double ratioFromLambda(double lambda, FuelKind fuel);

/// A quantity worked out from a curve and what is known of the engine, on the curve's grid.
struct DerivedChannel {
    std::string name; ///< "mean_effective_pressure"
    std::string unit;
    std::vector<double> values;
    Statement note; ///< a usual bound that is passed; empty when there is nothing to say
};

/// Every derived quantity that this pull allows: mean effective pressure, mean piston speed, specific output, power per
/// absolute manifold pressure, back pressure over boost, pressure drop before the engine, the mixture in its other
/// form, specific fuel consumption. Power and torque as on the curve (corrected).
std::vector<DerivedChannel> derivedChannels(const Article& article, const Pull& pull, const Curve& curve);

/// Mean effective pressure in Pa of a torque: 2 pi T turns / V, two turns a cycle for four strokes and one for two.
double meanEffectivePressure_pa(double torque_nm, double displacement_cc, int strokes);
/// Mean piston speed in m/s: 2 s n.
double meanPistonSpeed_m_s(double rpm, double stroke_mm);

} // namespace hillrun
