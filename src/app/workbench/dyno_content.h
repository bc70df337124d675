// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/vehicle.h"

#include <QString>
#include <QStringList>
#include <vector>

// What the calculators for gears and units answer, made without any widget.

namespace hillrun {

/// A gear: the road speed at an engine speed, and the engine speed at a road speed.
struct GearSpeed {
    int gear = 1;
    double ratio = 0.0;
    double speed_kmh = 0.0;
    double rpm = 0.0;
};
/// Empty when gears, final drive or the tyres' radius are not known.
std::vector<GearSpeed> gearSpeeds(const Vehicle& vehicle, double rpm, double speed_kmh);

/// The units that can be turned into each other, a list a kind; texts as `parseUnit` reads them.
const std::vector<QStringList>& unitKinds();
/// "134.1 hp", one for every other unit of the same kind.
QStringList inOtherUnits(double value, const QString& unit);

} // namespace hillrun
