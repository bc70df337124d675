// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string_view>
#include <vector>

// One line of a foreign table by itself: its cells, and what it looks like.

namespace hillrun {

using Cells = std::vector<std::string_view>;

struct TableLine {
    long number = 0; ///< from 1
    std::string_view text;
};

/// Goes through a text line by line.
class LineReader {
public:
    explicit LineReader(std::string_view text) : m_rest(text) {}
    bool next(TableLine& line);

private:
    std::string_view m_rest;
    long m_number = 0;
};

/// The cells of a line; `cells` is filled anew, so that its memory is used again. A blank as separator stands for runs
/// of blanks and tabs.
void splitCells(std::string_view line, char separator, Cells& cells);

/// A clock time or a date: "12:34:56.7", "2026-05-16", "16.05.2026 09:12".
bool looksLikeTime(std::string_view cell);
/// A number in some style.
bool looksLikeNumber(std::string_view cell);
/// A decimal or thousands mark of any kind may be in it.
bool holdsMark(std::string_view cell);

/// What the cells of a line are.
struct Tally {
    size_t cells = 0;
    size_t numbers = 0; ///< clock times and dates too
    size_t blanks = 0;
    size_t words = 0;
    bool firstIsWord = false;
    [[nodiscard]] bool isRow() const {
        return cells >= 2 && numbers >= 1 && 2 * (numbers + blanks) >= cells && numbers >= words;
    }
};
Tally tallyOf(const Cells& cells);

bool isBlankLine(std::string_view line);
/// Begins with a sign that scripts and loggers put before remarks.
bool isComment(std::string_view line);
std::string_view withoutCommentSign(std::string_view line);
/// "-----+----", "=====": a line drawn with signs.
bool isRule(std::string_view line);
/// "float;float;int"
bool isTypeLine(const Cells& cells);
/// "1;2;3;4" below the names.
bool isIndexLine(const Cells& cells);
/// Each cell blank, in brackets or a known unit; at least half of those that are not blank known.
bool isUnitLine(const Cells& cells);
/// What stands first in a row of statistics below a table.
bool isStatistic(std::string_view cell);
/// "[kPa]" and "(kPa)" as "kPa".
std::string_view unbracketed(std::string_view cell);

} // namespace hillrun
