// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "formats/json_reader.h"

// The JSON answers of the command line (docs/formats.md). Watts become kilowatts here; NaN becomes null.

namespace hillrun {

Json weatherAnswer(Standard standard, const HumidAir& air, const AirFactor& factor);
Json reduceAnswer(const Curve& curve, const std::vector<Event>& events);
Json analyseAnswer(const DayAnalysis& analysis);
/// [{from_rpm, to_rpm, kind}]
Json regionsJson(const std::vector<Region>& regions);

/// One condition of a weather question, worked out.
struct WeatherFound {
    Standard standard = Standard::Uncorrected;
    HumidAir air;
    AirFactor factor;
};
/// Reads and works one. Throws DataError.
WeatherFound findWeather(const Json& weather);

/// One case of a weather batch. Throws DataError for a case that cannot be answered.
Json weatherCase(const Json& weather);

} // namespace hillrun
