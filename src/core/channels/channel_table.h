// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cstddef>
#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

/// One recorded channel. A blank cell is NaN. The unit text is the one of the pull file ("kPa", "N.m").
struct Column {
    std::string name;
    std::string unit;
    std::vector<double> values;
};

/// A raw pull as recorded: columns of equal length, rows in time order. Never changed after reading.
struct ChannelTable {
    std::vector<Column> columns;

    [[nodiscard]] size_t rows() const { return columns.empty() ? 0 : columns.front().values.size(); }
    /// The column of that name, or nullptr.
    [[nodiscard]] const Column* find(std::string_view name) const {
        for (const Column& column : columns)
            if (column.name == name)
                return &column;
        return nullptr;
    }
};

/// The same channels with the same numbers to the digit, blank like blank.
bool sameRows(const ChannelTable& a, const ChannelTable& b);

} // namespace hillrun
