// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/day/test_day.h"
#include "formats/gather/column_meanings.h"
#include "formats/gather/preamble.h"
#include "formats/gather/pull_split.h"
#include "formats/gather/text_decoding.h"

#include <memory>
#include <optional>
#include <string>
#include <vector>

// A stranger's file on its way to pulls: decoded, cut into rows and columns, understood, doubted. Everything that was
// decided can be decided otherwise; reading again with other choices is one call.

namespace hillrun {

/// What the file is wanted for.
enum class GatherPurpose {
    Pulls, ///< rows of time, speed, and torque or power
    Curve, ///< a table by engine speed, already made: speed, and torque or power, without time
    Log,   ///< what another device recorded beside pulls: time and speed are enough, and it is never split
};

/// What somebody may decide in place of the program.
struct GatherChoices {
    GatherPurpose purpose = GatherPurpose::Pulls;
    std::optional<TextEncoding> encoding;
    TableChoices table;
    std::optional<double> rate_hz;
    std::optional<bool> monthFirst;
    std::string started; ///< when the first row was recorded ("2026-05-16 09:12"); empty: as found
    ColumnChoices columns;
    std::optional<std::vector<RowSpan>> pulls;
    bool operator==(const GatherChoices&) const = default;
};

/// One pull of a file.
struct GatheredPull {
    ColumnGroup columns;
    RowSpan rows;
    size_t axis = 0;     ///< index into `axes`
    std::string label;   ///< what the file calls it ("Run 2"); may be empty
    std::string started; ///< ISO time; empty when not known
    RpmRange sweep_rpm;
    double sweep_s = 0.0;
    bool use = true;
    bool operator==(const GatheredPull&) const = default;
};

struct GatheredFile {
    std::string name; ///< of the file, for messages
    DecodedText text; ///< of a large file the first lines
    RawTable table;
    Preamble preamble;
    std::vector<GatheredColumn> columns;   ///< one a column of the table
    std::vector<std::vector<double>> axes; ///< seconds a row, one a group of columns
    std::vector<GatheredPull> pulls;
    std::optional<Atmosphere> weather;
    GatherNotes notes;
    std::optional<DataError> problem; ///< why there are no pulls: no time, no speed or no torque was found
};

/// Reads the bytes of a file. A table that gives no pulls comes back with its `problem`, so that its columns can be
/// named. Throws DataError where there is no table; the choices may mend either.
GatheredFile gather(std::string_view bytes, const std::string& file, const GatherChoices& choices = {},
                    const ReadWatch& watch = {});

/// One pull with every channel in the units of the pull file. Throws DataError (what `checkPull` finds).
ChannelTable tableOf(const GatheredFile& file, const GatheredPull& pull, double ambient_kpa);

/// The rows of a file that was read as a log, likewise. Throws DataError.
ChannelTable logTableOf(const GatheredFile& file, double ambient_kpa);

/// The points of a file that was read as a curve, likewise. Throws DataError.
ChannelTable curveTableOf(const GatheredFile& file, double ambient_kpa);
/// Whether the columns of a file that tells no time look like a curve by engine speed: a speed that always rises or
/// always falls, and torque or power.
bool looksLikeCurve(const GatheredFile& file);

/// The notes that somebody should look at.
GatherNotes doubtsOf(const GatherNotes& notes);

} // namespace hillrun
