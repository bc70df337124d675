// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"

#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

/// A logger's file split into header, units and numbers, nothing interpreted yet.
struct CsvTable {
    char separator = ','; ///< ' ' for runs of blanks
    bool decimalComma = false;
    std::vector<std::string> preamble;        ///< lines above the header, comments included
    long headerLine = 0;                      ///< from 1
    std::vector<std::string> names;           ///< without unit
    std::vector<std::string> units;           ///< as written; empty where none was given
    std::vector<std::vector<double>> columns; ///< NaN for blank cells
    [[nodiscard]] size_t rows() const { return columns.empty() ? 0 : columns.front().size(); }
};

/// Reads a table from text: comma, semicolon, tab or runs of blanks; decimal point or comma; byte-order mark; CRLF;
/// comments and free text above the header; units in brackets, after a comma or in a line of their own.
/// `file` is only for messages. Throws DataError.
CsvTable parseCsv(std::string_view text, const std::string& file);

} // namespace hillrun
