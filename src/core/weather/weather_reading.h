// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/weather/humid_air.h"

#include <cmath>
#include <optional>

namespace hillrun {

/// What a weather station has said so far; parts may come one by one.
struct WeatherReading {
    std::optional<double> temperature_c;
    std::optional<double> pressure_kpa;
    std::optional<double> humidity_pct;
    bool operator==(const WeatherReading&) const = default;

    [[nodiscard]] bool empty() const { return !temperature_c && !pressure_kpa && !humidity_pct; }
    /// Takes over what the newer reading knows.
    void merge(const WeatherReading& newer) {
        if (newer.temperature_c)
            temperature_c = newer.temperature_c;
        if (newer.pressure_kpa)
            pressure_kpa = newer.pressure_kpa;
        if (newer.humidity_pct)
            humidity_pct = newer.humidity_pct;
    }
    /// The air as a pull keeps it; nothing while a part is missing or beyond what any place on earth has (a station
    /// that is broken).
    [[nodiscard]] std::optional<Atmosphere> atmosphere() const {
        if (!temperature_c || !pressure_kpa || !humidity_pct)
            return std::nullopt;
        if (!(std::abs(*temperature_c) <= 100.0 && *pressure_kpa > 0.0 && *pressure_kpa <= 400.0 &&
              *humidity_pct >= 0.0 && *humidity_pct <= 110.0))
            return std::nullopt;
        return Atmosphere{*temperature_c, *pressure_kpa * 1000.0, {HumidityKind::RelativeHumidity_pct, *humidity_pct}};
    }
};

} // namespace hillrun
