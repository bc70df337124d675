// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/day_store.h"
#include "simcell/simulate.h"

#include <cstdlib>
#include <string>
#include <unistd.h>

namespace hillrun::bench {

/// 30 pulls of three builds with return to base, 100 samples a second, 24 channels.
inline TestDay bigDay() {
    sim::CellSpec spec;
    for (const char letter : {'A', 'B', 'C'}) {
        Build build;
        build.id = std::string(1, letter);
        spec.day.builds.push_back(build);
    }
    spec.day.name = "Thirty pulls";
    spec.engine.torque_nm = {{2000, 80}, {4000, 100}, {6000, 105}, {8000, 80}};
    spec.engine.turbo = true;
    spec.engine.baseBoost_kpa = {{2000, 20}, {4000, 60}};
    spec.protocol = {2500.0, 7500.0, 500.0, 100.0, 4, 25.0};
    spec.weather.push_back({0.0, 20.0, 98.0, 50.0});
    spec.effects["B"].torque_pct = {{2500, 1.0}, {7500, 3.0}};
    spec.order = {{"A", 8, 0.0, 4.0}, {"B", 7, 10.0, 4.0}, {"C", 7, 10.0, 4.0}, {"A", 8, 10.0, 4.0}};
    TestDay day = sim::simulateDay(spec, 9);
    for (Pull& pull : day.pulls) { // up to 24 columns
        ChannelTable table = *pull.raw;
        while (table.columns.size() < 24) {
            Column extra = *table.find("manifold_pressure");
            extra.name = "sensor_" + std::to_string(table.columns.size());
            table.columns.push_back(extra);
        }
        pull.raw = std::make_shared<const ChannelTable>(std::move(table));
    }
    return day;
}

/// The big day on disk, made once a run.
inline const std::filesystem::path& bigDayFolder() {
    static const std::filesystem::path folder = [] {
        auto path = std::filesystem::temp_directory_path() / ("hillrun-bench-" + std::to_string(::getpid()));
        saveDay(bigDay(), path);
        std::atexit([] { std::filesystem::remove_all(bigDayFolder()); });
        return path;
    }();
    return folder;
}

} // namespace hillrun::bench
