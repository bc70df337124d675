// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/table_line.h"

#include "core/units/units.h"
#include "formats/gather/column_words.h"
#include "formats/gather/number_text.h"
#include "formats/short_decimal.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <string>

namespace hillrun {

bool LineReader::next(TableLine& line) {
    if (m_rest.empty())
        return false;
    const size_t end = std::min(m_rest.find('\n'), m_rest.size());
    line = {++m_number, m_rest.substr(0, end)};
    m_rest.remove_prefix(std::min(end + 1, m_rest.size()));
    return true;
}

void splitCells(std::string_view line, char separator, Cells& cells) {
    cells.clear();
    bool quoted = false;
    int brackets = 0; // "Engine_Speed [1/min]" may hold a blank inside brackets
    size_t from = 0;
    for (size_t i = 0; i <= line.size(); ++i) {
        const bool end = i == line.size();
        const char c = end ? separator : line[i];
        if (!end && c == '"')
            quoted = !quoted;
        if (separator == ' ' && !end) {
            brackets += c == '[' || c == '(' ? 1 : 0;
            brackets -= (c == ']' || c == ')') && brackets > 0 ? 1 : 0;
        }
        const bool isSeparator = separator == ' ' ? (c == ' ' || c == '\t') && brackets == 0 : c == separator;
        if (!end && (!isSeparator || quoted))
            continue;
        const std::string_view cell = bareCell(line.substr(from, i - from));
        if (separator != ' ' || !cell.empty())
            cells.push_back(cell);
        from = i + 1;
    }
}

bool looksLikeTime(std::string_view cell) {
    if (cell.size() < 5 || !std::isdigit(static_cast<unsigned char>(cell.front())))
        return false;
    size_t colons = 0;
    size_t dashes = 0;
    size_t points = 0;
    size_t slashes = 0;
    for (const char c : cell) {
        colons += c == ':' ? 1 : 0;
        dashes += c == '-' ? 1 : 0;
        points += c == '.' ? 1 : 0;
        slashes += c == '/' ? 1 : 0;
        if (!std::isdigit(static_cast<unsigned char>(c)) &&
            std::string_view(":-./ ,TZ+APMapm").find(c) == std::string_view::npos)
            return false;
    }
    return colons >= 1 || dashes == 2 || slashes == 2 || points == 2;
}

bool looksLikeNumber(std::string_view cell) {
    constexpr std::array<NumberStyle, 4> styles{{{'.', ','}, {',', '.'}, {'.', ' '}, {'.', '\''}}};
    double value = 0.0;
    if (shortDecimal(cell.data(), cell.data() + cell.size(), '\0', '.', value))
        return true;
    if (cell.empty() || cell.find('\t') != std::string_view::npos)
        return false;
    return std::any_of(styles.begin(), styles.end(),
                       [&](const NumberStyle& style) { return numberIn(cell, style).has_value(); });
}

Tally tallyOf(const Cells& cells) {
    Tally out;
    out.cells = cells.size();
    for (size_t i = 0; i < cells.size(); ++i) {
        if (isBlankWord(cells[i]))
            ++out.blanks;
        else if (looksLikeNumber(cells[i]) || looksLikeTime(cells[i]))
            ++out.numbers;
        else {
            ++out.words;
            out.firstIsWord = out.firstIsWord || i == 0;
        }
    }
    return out;
}

bool isBlankLine(std::string_view line) { return bareCell(line).empty(); }

bool isComment(std::string_view line) {
    line.remove_prefix(std::min(line.find_first_not_of(' '), line.size())); // a tab is a blank cell
    if (line.starts_with('%'))                                              // a sign of percent alone is a unit
        return line.size() > 1 && std::string_view(";,|\t").find(line[1]) == std::string_view::npos;
    line = bareCell(line);
    return line.starts_with('#') || line.starts_with("//") || line.starts_with('!');
}

std::string_view withoutCommentSign(std::string_view line) {
    if (!isComment(line))
        return line; // a tab at its beginning is a blank cell
    line = withoutBlanks(line);
    while (!line.empty() && (line.front() == '#' || line.front() == '%' || line.front() == '!' || line.front() == '/'))
        line.remove_prefix(1);
    return withoutBlanks(line);
}

bool isRule(std::string_view line) {
    return !isBlankLine(line) && line.find_first_not_of("-=+_|*~ \t,;") == std::string_view::npos;
}

bool isTypeLine(const Cells& cells) {
    constexpr std::array<std::string_view, 14> types{"float",  "double", "int",  "integer", "real", "single", "number",
                                                     "string", "text",   "bool", "time",    "f32",  "f64",    "long"};
    size_t known = 0;
    for (const std::string_view cell : cells) {
        std::string word(cell);
        std::transform(word.begin(), word.end(), word.begin(),
                       [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
        known += std::find(types.begin(), types.end(), word) != types.end() ? 1 : 0;
    }
    return cells.size() >= 2 && known == cells.size();
}

bool isIndexLine(const Cells& cells) {
    for (const size_t from : {size_t{0}, size_t{1}}) {
        bool all = cells.size() >= 3;
        for (size_t i = 0; i < cells.size() && all; ++i)
            all = cells[i] == std::to_string(i + from);
        if (all)
            return true;
    }
    return false;
}

std::string_view unbracketed(std::string_view cell) {
    if (cell.size() >= 2 &&
        ((cell.front() == '[' && cell.back() == ']') || (cell.front() == '(' && cell.back() == ')')))
        return bareCell(cell.substr(1, cell.size() - 2));
    return cell;
}

bool isUnitLine(const Cells& cells) {
    size_t known = 0;
    size_t filled = 0;
    for (const std::string_view cell : cells) {
        if (cell.empty() || cell == "-" || cell == "1")
            continue;
        ++filled;
        const bool bracketed = unbracketed(cell).size() < cell.size();
        const bool unit = parseUnit(unbracketed(cell)).has_value();
        if (!unit && !bracketed && (cell.size() > 8 || senseOf(cell, "").surety != HeaderSurety::Nothing))
            return false; // a name
        known += unit ? 1 : 0;
    }
    return known > 0 && 2 * known >= filled && 3 * filled >= cells.size();
}

bool isStatistic(std::string_view cell) {
    constexpr std::array<std::string_view, 22> words{"average", "avg",      "mean",   "min",    "minimum", "max",
                                                     "maximum", "std",      "stdev",  "stddev", "sum",     "mittelwert",
                                                     "moyenne", "promedio", "media",  "total",  "count",   "range",
                                                     "median",  "moy",      "mittel", "summe"};
    std::string word(cell);
    std::transform(word.begin(), word.end(), word.begin(),
                   [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    while (!word.empty() && (word.back() == '.' || word.back() == ':'))
        word.pop_back();
    return std::find(words.begin(), words.end(), word) != words.end();
}

bool holdsMark(std::string_view cell) {
    return std::any_of(cell.begin(), cell.end(), [](char c) {
        return c == '.' || c == ',' || c == '\'' || c == ' ' || c == '\xC2' || c == '\xE2';
    });
}

} // namespace hillrun
