// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/csv_table.h"

#include "core/errors/data_error.h"
#include "core/units/nan.h"
#include "core/units/units.h"
#include "formats/budget.h"
#include "formats/short_decimal.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <cstdint>
#include <fast_float/fast_float.h>
#include <map>

namespace hillrun {
namespace {

constexpr size_t kLinesLookedAt = 200; ///< the header stands within these
constexpr size_t kRowsEnough = 12;     ///< rows of numbers that settle the separator

bool isBlank(char c) { return c == ' ' || c == '\t' || c == '\r'; }

std::string_view trimmed(std::string_view text) {
    while (!text.empty() && isBlank(text.front()))
        text.remove_prefix(1);
    while (!text.empty() && isBlank(text.back()))
        text.remove_suffix(1);
    return text;
}

std::string_view unquoted(std::string_view text) {
    text = trimmed(text);
    if (text.size() >= 2 && text.front() == '"' && text.back() == '"')
        text = trimmed(text.substr(1, text.size() - 2));
    return text;
}

/// Line by line, without the line end; counts from 1.
class Lines {
public:
    explicit Lines(std::string_view text) : m_rest(text) {}
    bool next(std::string_view& line) {
        if (m_rest.empty())
            return false;
        const size_t end = m_rest.find('\n');
        m_endsWithNewline = end != std::string_view::npos;
        line = m_rest.substr(0, end);
        m_rest.remove_prefix(m_endsWithNewline ? end + 1 : m_rest.size());
        if (!line.empty() && line.back() == '\r')
            line.remove_suffix(1);
        ++m_number;
        return true;
    }
    [[nodiscard]] long number() const { return m_number; }
    [[nodiscard]] bool atEnd() const { return m_rest.empty(); }

private:
    std::string_view m_rest;
    long m_number = 0;
    bool m_endsWithNewline = false;
};

std::vector<std::string_view> cellsOf(std::string_view line, char separator) {
    std::vector<std::string_view> out;
    if (separator == ' ') {
        line = trimmed(line);
        size_t at = 0;
        while (at < line.size()) {
            size_t end = at;
            int brackets = 0; // "Engine_Speed [1/min]" may hold a blank inside brackets
            while (end < line.size() && (brackets > 0 || !isBlank(line[end]))) {
                brackets += line[end] == '[' || line[end] == '(' ? 1 : 0;
                brackets -= line[end] == ']' || line[end] == ')' ? 1 : 0;
                ++end;
            }
            out.push_back(line.substr(at, end - at));
            while (end < line.size() && isBlank(line[end]))
                ++end;
            at = end;
        }
        return out;
    }
    bool quoted = false;
    size_t from = 0;
    for (size_t i = 0; i <= line.size(); ++i) {
        if (i < line.size() && line[i] == '"')
            quoted = !quoted;
        if (i == line.size() || (line[i] == separator && !quoted)) {
            out.push_back(unquoted(line.substr(from, i - from)));
            from = i + 1;
        }
    }
    return out;
}

/// One number, whole cell, with the file's decimal sign; NaN and true for a blank cell.
bool parseNumber(std::string_view cell, char decimal, double& value) {
    if (cell.empty() || cell == "-" || cell == "NaN" || cell == "nan" || cell == "NA" || cell == "---") {
        value = kNaN;
        return true;
    }
    if (cell.front() == '+')
        cell.remove_prefix(1);
    const fast_float::parse_options options{fast_float::chars_format::general, decimal};
    const auto result = fast_float::from_chars_advanced(cell.data(), cell.data() + cell.size(), value, options);
    return result.ec == std::errc() && result.ptr == cell.data() + cell.size() && std::isfinite(value);
}

/// How a line reads with a certain separator and decimal sign.
struct Reading {
    size_t cells = 0;
    size_t numbers = 0;
    size_t blanks = 0;
    bool beginsWithNumber = false;
    [[nodiscard]] bool isAllNumbers() const { return cells >= 2 && numbers >= 2 && numbers + blanks == cells; }
    /// A row in which some cell is not a number is still a row: the reader then says which cell. So is one that is
    /// blank but for its time, where the others were sampled more seldom.
    [[nodiscard]] bool isRow() const {
        return cells >= 2 &&
               ((numbers >= 2 && numbers * 2 >= cells) || (beginsWithNumber && numbers + blanks == cells));
    }
};

Reading readingOf(std::string_view line, char separator, char decimal) {
    Reading out;
    const bool oneCell = separator == ' ' ? std::none_of(line.begin(), line.end(), isBlank)
                                          : line.find(separator) == std::string_view::npos;
    if (oneCell)
        return out;
    for (const std::string_view raw : cellsOf(line, separator)) {
        const std::string_view cell = unquoted(raw);
        double value = 0.0;
        ++out.cells;
        if (cell.empty())
            ++out.blanks;
        else if (parseNumber(cell, decimal, value))
            ++out.numbers;
        out.beginsWithNumber = out.beginsWithNumber || (out.cells == 1 && out.numbers == 1);
    }
    return out;
}

bool isComment(std::string_view line) {
    line = trimmed(line);
    return line.empty() || line.front() == '#' || line.starts_with("//") || line.front() == '%';
}

struct Dialect {
    char separator = ',';
    char decimal = '.';
    size_t cells = 0; ///< of its rows
};

/// The separator and decimal sign with which most of the first lines read as rows of the same number of cells.
Dialect guessDialect(std::string_view text, const std::string& file) {
    constexpr std::array<Dialect, 7> candidates{
        {{'\t', '.', 0}, {'\t', ',', 0}, {';', '.', 0}, {';', ',', 0}, {',', '.', 0}, {' ', '.', 0}, {' ', ',', 0}}};
    Dialect best;
    size_t bestScore = 0;
    for (const Dialect& dialect : candidates) {
        Lines lines(text);
        std::string_view line;
        std::map<size_t, size_t> scores; // of each number of cells
        size_t wholeRows = 0;
        for (size_t i = 0; i < kLinesLookedAt && wholeRows < kRowsEnough && lines.next(line); ++i) {
            if (isComment(line))
                continue;
            const Reading reading = readingOf(line, dialect.separator, dialect.decimal);
            wholeRows += reading.isAllNumbers() ? 1 : 0;
            if (reading.isRow())
                scores[reading.cells] += reading.isAllNumbers() ? 100 + std::min<size_t>(reading.cells, 50) : 10;
        }
        for (const auto& [cells, score] : scores) {
            if (score <= bestScore)
                continue;
            bestScore = score;
            best = {dialect.separator, dialect.decimal, cells};
        }
    }
    if (bestScore == 0)
        throw DataError(Problem::NoRows, {}, {.file = file});
    return best;
}

/// "Boost [kPa]", "Boost (psi)", "Boost, psi" -> name and unit.
std::pair<std::string, std::string> nameAndUnit(std::string_view cell) {
    cell = unquoted(cell);
    for (const auto& [open, close] : {std::pair{'[', ']'}, std::pair{'(', ')'}}) {
        const size_t from = cell.rfind(open);
        const size_t to = cell.rfind(close);
        if (from != std::string_view::npos && to != std::string_view::npos && to > from && to + 1 == cell.size()) {
            const auto unit = trimmed(cell.substr(from + 1, to - from - 1));
            if (close == ']' || parseUnit(unit))
                return {std::string(trimmed(cell.substr(0, from))), std::string(unit)};
        }
    }
    if (const size_t comma = cell.rfind(','); comma != std::string_view::npos) {
        const auto unit = trimmed(cell.substr(comma + 1));
        if (!unit.empty() && parseUnit(unit))
            return {std::string(trimmed(cell.substr(0, comma))), std::string(unit)};
    }
    return {std::string(cell), ""};
}

/// A line of units only: each cell blank, in brackets or a known unit, at least half of them known.
bool isUnitLine(const std::vector<std::string_view>& cells) {
    size_t known = 0;
    for (const std::string_view raw : cells) {
        std::string_view cell = unquoted(raw);
        if (cell.size() >= 2 && (cell.front() == '[' || cell.front() == '('))
            cell = trimmed(cell.substr(1, cell.size() - 2));
        if (cell.empty())
            continue;
        if (!parseUnit(cell))
            return false;
        ++known;
    }
    return known * 2 >= cells.size() && known > 0;
}

bool looksLikeHeader(const std::vector<std::string_view>& cells) {
    size_t words = 0;
    for (const std::string_view cell : cells) {
        double value = 0.0;
        const auto text = unquoted(cell);
        words += !text.empty() && !parseNumber(text, '.', value) ? 1 : 0;
    }
    return words * 2 > cells.size();
}

class CsvParser {
public:
    CsvParser(std::string_view text, const std::string& file) : m_text(text), m_file(file) {}

    CsvTable parse() {
        constexpr std::string_view byteOrderMark = "\xEF\xBB\xBF";
        if (m_text.starts_with(byteOrderMark))
            m_text.remove_prefix(byteOrderMark.size());
        if (trimmed(m_text).empty() || m_text.find_first_not_of(" \t\r\n") == std::string_view::npos)
            throw DataError(Problem::FileEmpty, {}, {.file = m_file});
        m_dialect = guessDialect(m_text, m_file);
        m_table.separator = m_dialect.separator;
        m_table.decimalComma = m_dialect.decimal == ',';
        Lines lines(m_text);
        const std::string_view first = findHeader(lines);
        m_table.columns.resize(m_table.names.size());
        const size_t expected = m_text.size() / std::max<size_t>(first.size(), 1) + 1;
        for (auto& column : m_table.columns)
            column.reserve(expected);
        readRow(first, lines);
        std::string_view line;
        while (lines.next(line))
            readRow(line, lines);
        return std::move(m_table);
    }

private:
    /// Walks to the first row of numbers; the last line above it with as many cells is the header. Returns that row.
    std::string_view findHeader(Lines& lines) {
        std::vector<std::pair<long, std::string_view>> above;
        std::string_view line;
        while (lines.next(line)) {
            const Reading reading = readingOf(line, m_dialect.separator, m_dialect.decimal);
            if (!isComment(line) && reading.isRow() && reading.cells == m_dialect.cells) {
                const bool blankAtEnd = unquoted(cellsOf(line, m_dialect.separator).back()).empty();
                takeHeader(above, reading.cells, blankAtEnd);
                return line;
            }
            above.emplace_back(lines.number(), line);
        }
        throw DataError(Problem::NoHeader, {}, {.file = m_file});
    }

    /// `blankAtEnd`: rows end with a separator, the header need not.
    void takeHeader(std::vector<std::pair<long, std::string_view>>& above, size_t cells, bool blankAtEnd) {
        std::vector<std::string_view> units;
        while (!above.empty()) {
            const auto [number, line] = above.back();
            above.pop_back();
            if (trimmed(line).empty())
                continue;
            std::string_view text = trimmed(line);
            if (text.front() == '#')
                text = trimmed(text.substr(1));
            const auto names = cellsOf(text, m_dialect.separator);
            if (names.size() != cells && !(blankAtEnd && names.size() + 1 == cells)) {
                if (isComment(line))
                    continue;
                throw DataError(Problem::NoHeader, {}, {.file = m_file, .line = number});
            }
            if (units.empty() && isUnitLine(names)) {
                units = names;
                continue;
            }
            m_table.headerLine = number;
            setNames(names, units);
            for (const auto& [n, l] : above)
                m_table.preamble.emplace_back(l);
            return;
        }
        throw DataError(Problem::NoHeader, {}, {.file = m_file, .line = 1});
    }

    /// Of two lines that both may lack a separator at their end, the units may be fewer than the names.
    void setNames(const std::vector<std::string_view>& names, const std::vector<std::string_view>& units) {
        if (names.size() > budget::kColumns)
            throw DataError(Problem::TooLarge, {Statement{"size.columns"}, std::to_string(budget::kColumns)},
                            {.file = m_file, .line = m_table.headerLine});
        for (size_t i = 0; i < names.size(); ++i) {
            auto [name, unit] = nameAndUnit(names[i]);
            if (!units.empty()) {
                std::string_view own = i < units.size() ? unquoted(units[i]) : "";
                if (own.size() >= 2 && (own.front() == '[' || own.front() == '('))
                    own = trimmed(own.substr(1, own.size() - 2));
                unit = std::string(own);
            }
            m_table.names.push_back(name);
            m_table.units.push_back(unit);
        }
    }

    [[noreturn]] void badRow(std::string_view line, size_t found, bool last, long number) const {
        const size_t wanted = m_table.names.size();
        if (looksLikeHeader(cellsOf(line, m_dialect.separator)))
            throw DataError(Problem::TwoHeaders, {}, {.file = m_file, .line = number});
        const std::vector<Argument> counts{std::to_string(found), std::to_string(wanted)};
        const Problem problem =
            found > wanted ? Problem::RowTooLong : (last ? Problem::FileTruncated : Problem::RowTooShort);
        throw DataError(problem, counts, {.file = m_file, .line = number});
    }

    [[noreturn]] void badCell(std::string_view line, std::string_view cell, size_t column, const Lines& lines) const {
        if (looksLikeHeader(cellsOf(line, m_dialect.separator)))
            throw DataError(Problem::TwoHeaders, {}, {.file = m_file, .line = lines.number()});
        throw DataError(Problem::NotANumber, {std::string(cell)},
                        {.file = m_file, .line = lines.number(), .column = m_table.names[column]});
    }

    void readRow(std::string_view line, const Lines& lines) {
        if (isComment(line))
            return;
        if (m_dialect.separator == ' ')
            return readSlowRow(line, lines);
        const size_t wanted = m_table.columns.size();
        size_t column = 0;
        const char* at = line.data();
        const char* const end = at + line.size();
        while (true) {
            if (column == wanted) {
                if (trimmed({at, static_cast<size_t>(end - at)}).empty())
                    break; // a separator at the end of the row
                badRow(line, cellsOf(line, m_dialect.separator).size(), lines.atEnd(), lines.number());
            }
            double value = 0.0;
            const char* cellEnd = shortDecimal(at, end, m_dialect.separator, m_dialect.decimal, value);
            if (!cellEnd) {
                cellEnd = std::find(at, end, m_dialect.separator);
                const std::string_view cell = unquoted({at, static_cast<size_t>(cellEnd - at)});
                if (!parseNumber(cell, m_dialect.decimal, value) || std::abs(value) > budget::kNumber)
                    badCell(line, cell, column, lines);
            }
            m_table.columns[column++].push_back(value);
            if (cellEnd == end)
                break;
            at = cellEnd + 1;
        }
        if (column < wanted)
            badRow(line, column, lines.atEnd(), lines.number());
    }

    void readSlowRow(std::string_view line, const Lines& lines) {
        const auto cells = cellsOf(line, m_dialect.separator);
        if (cells.size() != m_table.columns.size())
            badRow(line, cells.size(), lines.atEnd(), lines.number());
        for (size_t i = 0; i < cells.size(); ++i) {
            double value = 0.0;
            if (!parseNumber(unquoted(cells[i]), m_dialect.decimal, value) || std::abs(value) > budget::kNumber)
                badCell(line, cells[i], i, lines);
            m_table.columns[i].push_back(value);
        }
    }

    std::string_view m_text;
    const std::string& m_file;
    Dialect m_dialect;
    CsvTable m_table;
};

/// Before anything is made of them: what is no text has lines without end.
void checkLines(std::string_view text, const std::string& file) {
    long number = 1;
    while (!text.empty()) {
        const size_t end = std::min(text.find('\n'), text.size());
        if (end > budget::kLine)
            throw DataError(Problem::TooLarge, {Statement{"size.line"}, std::to_string(budget::kLine)},
                            {.file = file, .line = number});
        text.remove_prefix(std::min(end + 1, text.size()));
        ++number;
    }
}

} // namespace

CsvTable parseCsv(std::string_view text, const std::string& file) {
    checkLines(text, file);
    return CsvParser(text, file).parse();
}

} // namespace hillrun
