// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "formats/gather/number_text.h"
#include "formats/gather/read_watch.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

// A foreign table of numbers, before anybody asks what its columns mean. Nothing of it is refused but a text without
// any table; whatever was left out is told.

namespace hillrun {

/// What a line of the file is taken for.
enum class LineKind { Title, Header, Units, Row, HeaderAgain, LeftOut, Blank };

/// What somebody may decide in place of the program.
struct TableChoices {
    std::optional<char> separator; ///< ' ' for runs of blanks
    std::optional<char> decimal;
    std::optional<long> headerLine; ///< from 1; 0: there is none
    std::optional<long> unitLine;
    std::optional<long> firstRow;
    bool operator==(const TableChoices&) const = default;
};

struct RawColumn {
    std::string name;  ///< without its unit
    std::string unit;  ///< as written; empty where none was given
    std::string group; ///< of a header with two levels ("Run 2")
    NumberStyle style;
    bool undecided = false;         ///< "2,401": thousands or a decimal comma, and nothing speaks for either
    bool mixed = false;             ///< both decimal marks were met in it
    std::vector<double> values;     ///< NaN for a cell without a number
    std::vector<std::string> texts; ///< of a column of words, clock times or dates, one a row; else empty
    size_t blanks = 0;              ///< cells without a number, blank or a word for it
    size_t words = 0;               ///< other cells without a number
    std::string firstWord;          ///< the first of them
    long firstWordLine = 0;
};

/// A line that is no row, and why.
struct LeftOutLine {
    long line = 0;
    std::string why; ///< the id of its words
};

struct RawTable {
    char separator = ',';
    long headerLine = 0; ///< from 1; 0: none
    long unitLine = 0;
    std::vector<std::string> titles; ///< lines above the header
    std::vector<RawColumn> columns;
    std::vector<long> lineOfRow;
    std::vector<size_t> breaks; ///< rows before which the file makes a break: blank lines, the header again
    std::vector<LeftOutLine> leftOut;
    size_t shortRows = 0; ///< filled with blanks
    size_t longRows = 0;  ///< cut
    [[nodiscard]] size_t rows() const { return lineOfRow.size(); }
};

/// Throws DataError (FileEmpty, NoRows), and ReadStopped when the watch says so.
RawTable readRawTable(std::string_view text, const TableChoices& choices, const std::string& file,
                      const ReadWatch& watch = {});
/// How each line was taken, for showing.
std::vector<LineKind> lineKinds(std::string_view text, const RawTable& table, size_t most);

} // namespace hillrun
