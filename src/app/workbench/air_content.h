// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/board/board.h"
#include "core/compare/day_weather.h"
#include "core/weather/air_sheet.h"

// The Bench's air, made without any widget: one condition under every standard, and the weather of a day.

namespace hillrun {

/// What was typed into the air calculator.
struct AirInputs {
    double temperature_c = 20.0;
    bool fromAltimeter = false; ///< the pressure is an altimeter setting (QNH), to be taken up to the altitude
    double pressure_kpa = 100.0;
    std::optional<double> altitude_m;
    Humidity humidity{HumidityKind::RelativeHumidity_pct, 50.0};
    EngineForAir engine;
    std::optional<double> power_w;         ///< observed, for measured friction
    std::optional<double> frictionPower_w; ///< at that speed
};
/// The condition as core takes it. Throws DataError (ImpossibleAir).
Atmosphere atmosphereOf(const AirInputs& inputs);

/// Everything the calculator shows.
struct AirAnswer {
    QString problem; ///< such air cannot be, or a field is missing; the rest is then empty
    QString warning; ///< it can be, but looks wrong
    Atmosphere atmosphere;
    HumidAir air;
    double humidity_pct = 0.0;
    EngineForAir engine; ///< with the friction
    std::vector<AirRow> rows;
};
AirAnswer airAnswer(const AirInputs& inputs);

/// "Vapour pressure 1.17 kPa" and so on, line by line.
QStringList airFacts(const AirAnswer& answer);
/// What a standard says of this condition: its range, what is outside it, what it does to a boosted engine.
QString standardWords(const AirAnswer& answer, Standard standard);
/// How far its factor moves with each reading, in a sentence.
QString sensitivityWords(const AirAnswer& answer, Standard standard);
/// The factor of every standard along one reading, the chosen one strong, today marked.
BoardContent factorBoard(const AirAnswer& answer, Standard chosen, AirInput input, const Theme& theme);
/// Today's value of that reading.
double todayOf(const AirAnswer& answer, AirInput input);

/// Boards of the weather through the day, one axis of hours: temperature, pressure, vapour pressure, factor, and how
/// the pulls lay against their build before and after the factor.
enum class WeatherBoard { Temperature, Pressure, Vapour, Factor, Level };
BoardContent weatherBoard(const TestDay& day, const DayWeather& weather, WeatherBoard which, const Theme& theme);
/// What the weather did, and whether the factor made the pulls of a build agree better.
QString weatherWords(const DayAnalysis& analysis, const DayWeather& weather);

} // namespace hillrun
