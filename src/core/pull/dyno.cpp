// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/dyno.h"

#include <fmt/format.h>

namespace hillrun {

Dyno dynoOf(const TestDay& day) {
    return {day.cell, day.article.vehicle, engineForAir(day), day.article.engine.inertia_kgm2, day.loss};
}

Statement placePhrase(const PowerPlace& place) {
    return {std::string(place.estimate ? "place_estimate." : "place.") + measuredAtName(place.at)};
}

Statement placeShort(const PowerPlace& place) {
    return {std::string(place.estimate ? "place_short_estimate." : "place_short.") + measuredAtName(place.at)};
}

Statement placeWarning(const PowerPlace& one, const PowerPlace& other) {
    if (one == other)
        return {};
    if (one.at == other.at)
        return {"place.one_estimate", {placePhrase({one.at})}};
    return {"place.differ", {placePhrase(one), placePhrase(other)}};
}

std::optional<double> gearRatio(const Dyno& dyno, int gear, bool ofRoller) {
    const Vehicle& v = dyno.vehicle;
    if (gear < 1 || gear > static_cast<int>(v.gears.size()) || !v.finalDrive)
        return std::nullopt;
    const double overall = v.gears[static_cast<size_t>(gear - 1)] * *v.finalDrive;
    if (!ofRoller)
        return overall;
    if (!v.tyreRadius_m || !dyno.cell.rollerRadius_m)
        return std::nullopt;
    return overall * *dyno.cell.rollerRadius_m / *v.tyreRadius_m;
}

std::optional<double> wheelRadius_m(const Dyno& dyno) {
    return dyno.vehicle.tyreRadius_m ? dyno.vehicle.tyreRadius_m : dyno.cell.rollerRadius_m;
}

double drivelineInertia_kgm2(const Dyno& dyno, bool atRoller) {
    const double atWheel = dyno.vehicle.drivelineInertia_kgm2.value_or(0.0);
    if (!atRoller || !dyno.vehicle.tyreRadius_m || !dyno.cell.rollerRadius_m)
        return atWheel;
    const double wheelPerRoller = *dyno.cell.rollerRadius_m / *dyno.vehicle.tyreRadius_m;
    return atWheel * wheelPerRoller * wheelPerRoller; // the same energy: I w^2
}

} // namespace hillrun
