// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/weather/weather_reading.h"

#include <string>
#include <string_view>

namespace hillrun {

/// What became of one line of a weather station.
enum class NmeaKind { Weather, OtherSentence, BadChecksum, NotASentence };
struct NmeaAnswer {
    NmeaKind kind = NmeaKind::NotASentence;
    WeatherReading reading;
};

/// Reads one NMEA 0183 sentence; the checksum must be there and right. Weather comes from MDA and XDR of any talker
/// (fields as remembered, not from the purchased standard). Figures outside what air can be are left out.
NmeaAnswer parseNmea(std::string_view line);

/// The sentence with "$" before and "*hh" after its body, without line end.
std::string nmeaSentence(std::string_view body);

} // namespace hillrun
