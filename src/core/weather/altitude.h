// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"

#include <optional>
#include <string>

namespace hillrun {

/// Pressure in Pa at a geopotential altitude in m of the ISO 2533 atmosphere, below 11 km.
double standardPressure_pa(double altitude_m);
/// Altitude in m at which the ISO 2533 atmosphere has this pressure.
double pressureAltitude_m(double pressure_pa);
/// Station pressure in Pa from an altimeter setting (QNH) in Pa and the station's altitude in m, in the ISO 2533
/// atmosphere. A sea-level pressure reduced with the real temperature (QFF) is another figure and must not be given
/// here. Throws DataError (ImpossibleAir).
double stationPressure_pa(double altimeterSetting_pa, double altitude_m);
/// Whether a pressure looks like a forecast's sea-level figure: far above what the altitude allows. Empty when not, or
/// when the altitude is not known or too small to tell.
Statement seaLevelWarning(double pressure_kpa, std::optional<double> altitude_m);

} // namespace hillrun
