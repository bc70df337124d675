// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "simcell/simulate.h"

#include <string>

namespace hillrun::test {

/// A small simulated day from a few lines: sets such as "A3 B3 A3", an effect of B in per cent over the whole range.
inline sim::CellSpec cellSpec(const std::string& sets, double effect_pct) {
    sim::CellSpec spec;
    for (const char letter : {'A', 'B', 'C', 'D'}) {
        if (sets.find(letter) == std::string::npos)
            continue;
        Build build;
        build.id = std::string(1, letter);
        build.parts = {{"collector", letter == 'A' ? "450 mm" : "600 mm"}};
        spec.day.builds.push_back(build);
    }
    spec.day.name = "Small day";
    spec.engine.torque_nm = {{2000, 80}, {4000, 100}, {6000, 105}, {8000, 80}};
    spec.protocol = {3000.0, 6500.0, 500.0, 100.0, std::nullopt, std::nullopt};
    spec.noise = {0.3, 0.3, 250.0, 0.4};
    spec.weather = {{0.0, 18.0, 98.4, 60.0}, {2.0, 22.0, 98.1, 50.0}};
    spec.effects["B"].torque_pct = {{3000.0, effect_pct}, {6500.0, effect_pct}};
    for (size_t i = 0; i + 1 < sets.size(); i += 3)
        spec.order.push_back({std::string(1, sets[i]), sets[i + 1] - '0', i == 0 ? 0.0 : 15.0, 4.0});
    return spec;
}

inline TestDay smallDay(const std::string& sets, double effect_pct = 3.0, unsigned seed = 5) {
    return sim::simulateDay(cellSpec(sets, effect_pct), seed);
}

} // namespace hillrun::test
