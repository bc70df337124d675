// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/gather/column_meanings.h"
#include "formats/gather/pull_split.h"

#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// One pull's rows of a table, before it becomes a pull.
struct RawPull {
    const RawTable& table;
    std::span<const size_t> columns;
    RowSpan rows;
};

/// Settles the units that nobody gave, by what engines can have and by torque times speed against power, and doubts
/// what no engine has. Changes `unit`, `gauge`, `factor` of the columns, or leaves one out; says so each time.
void settleUnits(const RawPull& pull, std::vector<GatheredColumn>& columns, const std::string& file,
                 GatherNotes& notes);

/// A column's values in the units of the pull file. `ambient_kpa` is added to gauge pressures. A channel of its own
/// keeps its values.
std::vector<double> valuesOf(const RawPull& pull, const GatheredColumn& column, size_t index, double ambient_kpa);

} // namespace hillrun
