// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/gather/gather_note.h"
#include "formats/gather/raw_table.h"

#include <map>
#include <string>
#include <vector>

namespace hillrun {

/// What one column of a foreign table means.
struct GatheredColumn {
    std::string header;    ///< name as written
    std::string channel;   ///< a standard channel, its own name, or a role ("#date"); empty: left out
    std::string unit;      ///< as written, as chosen or as found from the values
    bool unitGiven = true; ///< somebody wrote it
    bool gauge = false;    ///< a pressure above the surrounding air
    double factor = 1.0;   ///< times this, before anything else; -1 turns a sign
    bool guessed = false;  ///< neither a usual name nor said by anybody
    bool said = false;     ///< by somebody: nothing is settled otherwise
    bool operator==(const GatheredColumn&) const = default;
};

/// What somebody said of a column, by its index in the table.
using ColumnChoices = std::map<size_t, GatheredColumn>;

/// Columns that belong to one run of a table with several beside each other: indices into the table.
using ColumnGroup = std::vector<size_t>;

/// The groups of a header with two levels, of names that come again ("Time, RPM, Time, RPM") or of numbered ones
/// ("RPM 1, RPM 2"). A column that stands once belongs to every group. One group with all columns for a plain table.
std::vector<ColumnGroup> columnGroups(const RawTable& table);

/// What each column of the table means, all groups alike. Of several columns of one kind the measured one, else the
/// first, keeps it. Notes tell what was left out or assumed.
std::vector<GatheredColumn> columnMeanings(const RawTable& table, const std::vector<ColumnGroup>& groups,
                                           const ColumnChoices& choices, const std::string& file, GatherNotes& notes);

/// Cells that hold a number which stands for no value (-999, 65535 ...) far outside the others become blank.
void blankFillValues(RawTable& table, const std::string& file, GatherNotes& notes);

} // namespace hillrun
