// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/units/units.h"
#include "formats/csv_table.h"

#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

/// What one column of a foreign file means.
struct ColumnMeaning {
    std::string header;   ///< name as written
    std::string channel;  ///< channel it becomes: a standard name, or its own name; empty: left out
    std::string unit;     ///< unit as written or chosen, as `parseUnit` reads it
    bool gauge = false;   ///< a pressure above the surrounding air
    bool guessed = false; ///< not spelled as Hill Run writes it: show it and let it be corrected
    bool operator==(const ColumnMeaning&) const = default;
};

/// Guesses what each column means. Of several columns that mean the same channel the first keeps it and the others stay
/// under their own names.
std::vector<ColumnMeaning> guessMeanings(const CsvTable& table);

/// Turns a table into channels in the units of the pull file. `ambient_kpa` is added to gauge pressures.
/// Throws DataError (UnknownUnit, WrongUnitKind, ColumnTwice).
ChannelTable toChannels(CsvTable table, const std::vector<ColumnMeaning>& meanings, double ambient_kpa,
                        const std::string& file);

/// Reads a pull file, our own or another logger's with the meanings guessed. Checks that there are time, speed and
/// torque, power or roller speed, and that time does not run back. Throws DataError.
ChannelTable readPullText(std::string_view text, const std::string& file, double ambient_kpa);

/// Reads the file of a second log, as Hill Run writes it: time and engine speed, no torque needed. Throws DataError.
ChannelTable readLogText(std::string_view text, const std::string& file);

/// Reads a curve by engine speed without rows over time: speed, and torque or power. Throws DataError.
ChannelTable readCurveText(std::string_view text, const std::string& file, double ambient_kpa);

/// What `readPullText` checks, for tables of another origin. Throws DataError.
void checkPull(const ChannelTable& table, const std::string& file);
/// What `readCurveText` checks. Throws DataError (NoSpeedChannel, NoTorqueChannel, TooFewPoints).
void checkCurve(const ChannelTable& table, const std::string& file);

/// A pull in the format that Hill Run writes; shortest digits that read back to the same number.
std::string writePullText(const ChannelTable& table);

} // namespace hillrun
