// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/units/units.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

// What the headers of foreign tables mean, in English, German, French, Spanish and Italian.

namespace hillrun {

/// How surely a header names a quantity.
enum class HeaderSurety {
    Nothing, ///< no quantity that is known
    Words,   ///< its words speak of it
    Usual,   ///< a usual name of it
    Exact,   ///< the name that Hill Run writes
};

/// Quantities of a foreign table that are no channels of a pull.
namespace role {
inline constexpr std::string_view kDate = "#date";
inline constexpr std::string_view kSample = "#sample"; ///< a row number
inline constexpr std::string_view kRun = "#run";       ///< the number or name of a run
inline constexpr std::string_view kAirTemperature = "#air_temperature";
inline constexpr std::string_view kAirPressure = "#air_pressure";
inline constexpr std::string_view kHumidity = "#humidity";
} // namespace role

/// What one header says.
struct HeaderSense {
    std::string channel; ///< a standard channel or a role; empty when nothing is known
    HeaderSurety surety = HeaderSurety::Nothing;
    bool setPoint = false;  ///< what was wanted, not what was
    bool measured = false;  ///< says of itself that it was measured
    bool corrected = false; ///< figures already corrected for weather
    bool gauge = false;     ///< a pressure named as one above the surrounding air
    bool absolute = false;  ///< a pressure named as one above nothing
};

/// `unit`: as written, empty when not given; a quantity of another kind is not meant.
HeaderSense senseOf(std::string_view header, std::string_view unit);

/// Lower case, accents taken off ("K\u00FChlwasser" -> "kuhlwasser"), split at whatever is no letter or digit and where
/// a small letter stands before a capital.
std::vector<std::string> wordsOfHeader(std::string_view header);

/// Speaks of another shaft or of a loss, a limit or the like: not of the engine's own speed, torque or power.
bool namesAnotherPart(std::string_view header);
/// The dimension of a channel or role; nothing for a name of its own.
std::optional<Dimension> dimensionOf(std::string_view channelOrRole);

} // namespace hillrun
