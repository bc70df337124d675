// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/weather/humid_air.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// What the lines above a foreign table say besides.
struct Preamble {
    std::string started;           ///< ISO 8601 when it was recorded; empty when not said
    std::string eitherDate;        ///< as written, when day and month may be the other way round
    std::optional<double> rate_hz; ///< rows a second
    std::optional<double> airTemperature_c;
    std::optional<double> airPressure_kpa;
    std::optional<double> humidity_pct;
    std::string operatorName;
    std::string article;
    std::string build; ///< name or id of the build or run
};

/// Reads "name: value" lines, in the languages of the column names. A date behind "exported", "printed" or "calibrated"
/// is not when it was recorded. `monthFirst` settles what may be either.
Preamble readPreamble(const std::vector<std::string>& titles, std::optional<bool> monthFirst);

/// "2026-05-16T09:12:00" of days since 1970 and seconds since midnight, with the offset from UTC when it is known.
std::string isoStamp(double day, double clock_s, std::optional<int> offset_min);

} // namespace hillrun
