// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/weather_json.h"

#include <utility>

namespace hillrun {
namespace {

constexpr std::pair<const char*, HumidityKind> kHumidityKeys[] = {
    {"humidity_pct", HumidityKind::RelativeHumidity_pct},
    {"dew_point_c", HumidityKind::DewPoint_c},
    {"wet_bulb_c", HumidityKind::WetBulb_c},
    {"vapour_pressure_kpa", HumidityKind::VapourPressure_kpa},
};

} // namespace

std::optional<Atmosphere> weatherFromJson(ObjectReader in, std::string& unknownKeys) {
    const auto temperature = in.number("temperature_c");
    const auto pressure = in.number("pressure_kpa");
    std::optional<Humidity> humidity;
    for (const auto& [key, kind] : kHumidityKeys)
        if (const auto value = in.number(key); value && !humidity)
            humidity = Humidity{kind, *value};
    unknownKeys = in.unknownKeys();
    if (!temperature && !pressure && !humidity)
        return std::nullopt;
    if (!temperature || !pressure || !humidity)
        throw DataError(Problem::MissingKey, {},
                        in.place(!temperature ? "temperature_c" : (!pressure ? "pressure_kpa" : "humidity_pct")));
    return Atmosphere{*temperature, *pressure * 1000.0, *humidity};
}

Json weatherToJson(const Atmosphere& air) {
    Json out{{"temperature_c", air.temperature_c}, {"pressure_kpa", air.pressure_pa / 1000.0}};
    for (const auto& [key, kind] : kHumidityKeys)
        if (kind == air.humidity.kind)
            out[key] = air.humidity.value;
    return out;
}

} // namespace hillrun
