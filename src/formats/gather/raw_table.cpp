// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/raw_table.h"

#include "core/errors/data_error.h"
#include "core/units/units.h"
#include "formats/gather/column_words.h"
#include "formats/short_decimal.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <fmt/format.h>
#include <limits>
#include <map>

namespace hillrun {
namespace {

constexpr double kNaN = std::numeric_limits<double>::quiet_NaN();
constexpr size_t kHeadLines = 2000;  ///< the header stands within these
constexpr size_t kRowsLookedAt = 60; ///< that settle the separator
constexpr std::array kSeparators{'\t', ';', '|', ',', ' '};

using Cells = std::vector<std::string_view>;

struct Line {
    long number = 0; ///< from 1
    std::string_view text;
};

class LineReader {
public:
    explicit LineReader(std::string_view text) : m_rest(text) {}
    bool next(Line& line) {
        if (m_rest.empty())
            return false;
        const size_t end = std::min(m_rest.find('\n'), m_rest.size());
        line = {++m_number, m_rest.substr(0, end)};
        m_rest.remove_prefix(std::min(end + 1, m_rest.size()));
        return true;
    }

private:
    std::string_view m_rest;
    long m_number = 0;
};

/// `cells` is filled anew, so that its memory is used again.
void split(std::string_view line, char separator, Cells& cells) {
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

/// A clock time or a date: "12:34:56.7", "2026-05-16", "16.05.2026 09:12".
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

/// "-----+----", "=====": a line drawn with signs.
bool isRule(std::string_view line) {
    return !isBlankLine(line) && line.find_first_not_of("-=+_|*~ \t,;") == std::string_view::npos;
}

/// "float;float;int"
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

/// "1;2;3;4" below the names.
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

/// Each cell blank, in brackets or a known unit; at least half of those that are not blank known.
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

struct Layout {
    char separator = ',';
    size_t cells = 0; ///< of most rows
    size_t score = 0;
    bool wordsFirst = false; ///< most rows begin with a word
};

/// The separator with which the most lines read as rows of the same number of cells, more cells being better.
Layout guessLayout(std::string_view text, std::optional<char> wanted) {
    Layout best;
    Cells cells;
    for (const char separator : kSeparators) {
        if (wanted && separator != *wanted)
            continue;
        LineReader lines(text);
        std::map<size_t, size_t> rows;                      // by number of cells
        std::map<size_t, std::pair<size_t, size_t>> begins; // with a word, of all
        size_t seen = 0;
        for (Line line;
             seen < kRowsLookedAt && line.number < static_cast<long>(kHeadLines + kRowsLookedAt) && lines.next(line);) {
            if (isComment(line.text) || (separator != ' ' && line.text.find(separator) == std::string_view::npos))
                continue;
            split(line.text, separator, cells);
            while (!cells.empty() && cells.back().empty())
                cells.pop_back(); // separators at the end
            const Tally tally = tallyOf(cells);
            if (!tally.isRow())
                continue;
            ++seen;
            begins[tally.cells].first += tally.firstIsWord ? 1 : 0;
            begins[tally.cells].second += 1;
            rows[tally.cells] += 10 * std::min<size_t>(tally.numbers, 50) + (tally.words == 0 ? 5 : 0);
        }
        // Blanks stand in any text: they separate only where nothing else does nearly as well.
        const size_t handicap = separator == ' ' ? best.score / 10 : 0;
        for (const auto& [count, score] : rows)
            if (score > best.score + handicap)
                best = {separator, count, score, 2 * begins[count].first > begins[count].second};
    }
    return best;
}

/// What stands first in a row of statistics below a table.
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

/// A decimal or thousands mark of any kind may be in it.
bool holdsMark(std::string_view cell) {
    return std::any_of(cell.begin(), cell.end(), [](char c) {
        return c == '.' || c == ',' || c == '\'' || c == ' ' || c == '\xC2' || c == '\xE2';
    });
}

class TableReader {
public:
    TableReader(std::string_view text, const TableChoices& choices, const std::string& file)
        : m_text(text), m_choices(choices), m_file(file) {}

    RawTable read() {
        if (isBlankLine(m_text) || m_text.find_first_not_of(" \t\n") == std::string_view::npos)
            throw DataError(Problem::FileEmpty, {}, {.file = m_file});
        m_layout = guessLayout(m_text, m_choices.separator);
        if (m_layout.cells == 0)
            throw DataError(Problem::NoRows, {}, {.file = m_file});
        m_table.separator = m_layout.separator;
        findFirstRow();
        takeHead();
        settleStyles();
        readRows();
        return std::move(m_table);
    }

private:
    /// The first line that reads as a row of about as many cells as most, and is followed by another.
    void findFirstRow() {
        LineReader lines(m_text);
        Cells cells;
        std::vector<Line> above;
        Line candidate;
        for (Line line; lines.next(line);) {
            if (m_choices.firstRow ? line.number == *m_choices.firstRow : isFullRow(line, cells)) {
                candidate = line;
                break;
            }
            above.push_back(line);
        }
        if (candidate.number == 0)
            throw DataError(Problem::NoRows, {}, {.file = m_file});
        m_firstRow = candidate.number;
        m_above = std::move(above);
    }

    bool isFullRow(const Line& line, Cells& cells) const {
        if (isBlankLine(line.text) || isComment(line.text) || isRule(line.text))
            return false;
        splitRow(line.text, cells);
        const Tally tally = tallyOf(cells);
        return tally.isRow() && (!tally.firstIsWord || m_layout.wordsFirst) && !isIndexLine(cells) &&
               4 * tally.cells >= 3 * m_layout.cells && !(m_choices.headerLine && line.number <= *m_choices.headerLine);
    }

    void splitRow(std::string_view line, Cells& cells) const {
        split(line, m_layout.separator, cells);
        while (cells.size() > m_layout.cells && cells.back().empty())
            cells.pop_back();
    }

    /// Header, unit line and titles out of the lines above the first row.
    void takeHead() {
        Cells cells;
        Cells names;
        Cells units;
        size_t at = m_above.size();
        for (; at > 0; --at) {
            const Line& line = m_above[at - 1];
            if (m_choices.headerLine && line.number > *m_choices.headerLine &&
                line.number != m_choices.unitLine.value_or(0))
                continue;
            if (isBlankLine(line.text) || isRule(line.text))
                continue;
            split(withoutCommentSign(line.text), m_layout.separator, cells);
            while (cells.size() > m_layout.cells && cells.back().empty())
                cells.pop_back();
            const bool asked = m_choices.headerLine == line.number;
            if (!asked && (isTypeLine(cells) || isIndexLine(cells)))
                continue;
            if (m_choices.unitLine == line.number ||
                (!asked && m_table.unitLine == 0 && names.empty() && isUnitLine(cells))) {
                units = cells;
                m_table.unitLine = line.number;
                continue;
            }
            const bool fits = cells.size() + 1 >= m_layout.cells || 4 * cells.size() >= 3 * m_layout.cells;
            if (!asked && !(fits && cells.size() >= 2 && tallyOf(cells).words * 2 >= cells.size()))
                break; // a title: the table has no header
            names = cells;
            m_table.headerLine = line.number;
            --at;
            break;
        }
        if (m_choices.headerLine == 0L) {
            names.clear();
            m_table.headerLine = 0;
        }
        m_headerCells = names;
        takeNames(names, units, at);
        for (size_t i = 0; i < at; ++i)
            if (!isBlankLine(m_above[i].text))
                m_table.titles.emplace_back(bareCell(m_above[i].text));
    }

    void takeNames(const Cells& names, const Cells& units, size_t& above) {
        const size_t count = std::max({names.size(), m_layout.cells});
        for (size_t i = 0; i < count; ++i) {
            RawColumn column;
            if (i < names.size())
                std::tie(column.name, column.unit) = nameAndUnitOf(names[i]);
            if (i < units.size() && !units[i].empty())
                column.unit = unbracketed(units[i]);
            m_table.columns.push_back(std::move(column));
        }
        takeLineAbove(names, above);
    }

    /// Units above the names, or the upper level of a header with two.
    void takeLineAbove(const Cells& names, size_t& above) {
        if (names.empty() || above == 0 || m_above[above - 1].number + 1 != m_table.headerLine)
            return;
        Cells cells;
        split(withoutCommentSign(m_above[above - 1].text), m_layout.separator, cells);
        if (cells.size() < 2 || cells.size() + 1 < m_layout.cells)
            return;
        if (m_table.unitLine == 0 && isUnitLine(cells)) {
            for (size_t i = 0; i < std::min(cells.size(), m_table.columns.size()); ++i)
                if (m_table.columns[i].unit.empty())
                    m_table.columns[i].unit = unbracketed(cells[i]);
            m_table.unitLine = m_above[--above].number;
            return;
        }
        const auto filled = static_cast<size_t>(
            std::count_if(cells.begin(), cells.end(), [](std::string_view cell) { return !cell.empty(); }));
        if (filled < 1 || filled * 2 > cells.size())
            return;
        std::string group;
        for (size_t i = 0; i < m_table.columns.size(); ++i) {
            if (i < cells.size() && !cells[i].empty())
                group = cells[i];
            m_table.columns[i].group = group;
        }
        --above;
    }

    template <class Use> void eachLineFromFirst(const Use& use) const {
        LineReader lines(m_text);
        for (Line line; lines.next(line);)
            if (line.number >= m_firstRow)
                use(line);
    }

    /// Which columns hold words or times, and how the numbers of the others are written: by every cell of them.
    void settleStyles() {
        const size_t columns = m_table.columns.size();
        std::vector<StyleEvidence> evidence(columns);
        std::vector<size_t> numbers(columns, 0);
        std::vector<size_t> others(columns, 0);
        Cells cells;
        size_t rows = 0;
        eachLineFromFirst([&](const Line& line) {
            splitRow(line.text, cells);
            for (size_t i = 0; i < std::min(cells.size(), columns); ++i) {
                if (rows < 200 && !isBlankWord(cells[i]))
                    (looksLikeNumber(cells[i]) && !looksLikeTime(cells[i]) ? numbers : others)[i] += 1;
                if (holdsMark(cells[i]))
                    evidence[i].see(cells[i]);
            }
            ++rows;
        });
        StyleEvidence file;
        for (size_t i = 0; i < columns; ++i)
            if (numbers[i] >= others[i])
                file.add(evidence[i]);
        const bool commaSeparates = m_layout.separator == ',';
        for (size_t i = 0; i < columns; ++i) {
            RawColumn& column = m_table.columns[i];
            m_isText.push_back(others[i] > numbers[i] ? 1 : 0);
            const char otherwise = !commaSeparates && !file.speaksForPoint() && file.speaksForComma() ? ',' : '.';
            const auto verdict = evidence[i].verdict(file, otherwise);
            column.style = verdict.style;
            column.undecided = verdict.undecided && !m_isText.back();
            column.mixed = evidence[i].isMixed() && !m_isText.back();
            if (m_choices.decimal) {
                column.style.decimal = *m_choices.decimal;
                if (column.style.thousands == *m_choices.decimal)
                    column.style.thousands = '\0';
                column.undecided = false;
            }
        }
    }

    void readRows() {
        Cells cells;
        bool gap = false;
        eachLineFromFirst([&](const Line& line) {
            if (isBlankLine(line.text)) {
                gap = true;
                return;
            }
            if (isRule(line.text) || isComment(line.text)) {
                leaveOut(line, "a remark");
                return;
            }
            splitRow(line.text, cells);
            const Tally tally = tallyOf(cells);
            if (tally.words > 0 && isHeaderAgain(cells)) {
                gap = true;
                return;
            }
            const bool wordsFirst = tally.firstIsWord && (m_isText[0] == 0 || isStatistic(cells[0]));
            if (wordsFirst || !tally.isRow()) {
                leaveOut(line, wordsFirst ? "it begins with a word where numbers stand" : "no row of numbers");
                return;
            }
            if (gap && m_table.rows() > 0)
                m_table.breaks.push_back(m_table.rows());
            gap = false;
            takeRow(line, cells);
        });
    }

    bool isHeaderAgain(const Cells& cells) const {
        size_t same = 0;
        for (size_t i = 0; i < std::min(cells.size(), m_headerCells.size()); ++i)
            same += !m_headerCells[i].empty() && cells[i] == m_headerCells[i] ? 1 : 0;
        return same >= 2 && 2 * same >= m_headerCells.size();
    }

    void leaveOut(const Line& line, const char* why) { m_table.leftOut.push_back({line.number, why}); }

    void takeRow(const Line& line, const Cells& cells) {
        const size_t columns = m_table.columns.size();
        m_table.shortRows += cells.size() < m_layout.cells ? 1 : 0;
        for (size_t i = columns; i < cells.size(); ++i)
            if (!cells[i].empty()) {
                ++m_table.longRows;
                break;
            }
        for (size_t i = 0; i < columns; ++i)
            takeCell(m_table.columns[i], m_isText[i] != 0, i < cells.size() ? cells[i] : std::string_view(), line);
        m_table.lineOfRow.push_back(line.number);
    }

    static void takeCell(RawColumn& column, bool isText, std::string_view cell, const Line& line) {
        double value = kNaN;
        if (isText)
            column.texts.emplace_back(cell);
        if (const auto number = isText ? std::nullopt : numberIn(cell, column.style)) {
            value = number->value;
            if (column.unit.empty() && !number->unit.empty())
                column.unit = number->unit;
        } else if (isBlankWord(cell)) {
            ++column.blanks;
        } else if (!isText && ++column.words == 1) {
            column.firstWord = cell;
            column.firstWordLine = line.number;
        }
        column.values.push_back(value);
    }

    std::string_view m_text;
    const TableChoices& m_choices;
    const std::string& m_file;
    Layout m_layout;
    long m_firstRow = 0;
    std::vector<Line> m_above; ///< the lines before the first row
    std::vector<char> m_isText;
    Cells m_headerCells; ///< as they stand in the text
    RawTable m_table;
};

} // namespace

namespace {

/// Where the bracket opens that the text ends with; "MAP (bar(a))" has two.
size_t openingOf(std::string_view text, char open, char close) {
    if (text.empty() || text.back() != close)
        return std::string_view::npos;
    int depth = 0;
    for (size_t i = text.size(); i > 0; --i) {
        depth += text[i - 1] == close ? 1 : (text[i - 1] == open ? -1 : 0);
        if (depth == 0)
            return i - 1;
    }
    return std::string_view::npos;
}

/// "bar(a)", "kPa (g)": what stands in brackets is a part of the unit.
bool belongsToUnit(std::string_view text) {
    constexpr std::array<std::string_view, 7> parts{"a", "abs", "absolute", "g", "gauge", "rel", "A"};
    return std::find(parts.begin(), parts.end(), bareCell(text)) != parts.end();
}

/// "Revs 1/min", "Boost, psi", "boost_kpa": the unit stands behind a mark and must be known. Of several ways to cut,
/// the one whose name and unit go together; the longest unit first ("1/min" before "min").
std::pair<std::string, std::string> splitAtUnit(std::string_view header) {
    struct Cut {
        std::string_view name;
        std::string_view unit;
        bool strong = false; ///< a mark that stands for nothing else
    };
    std::vector<Cut> cuts;
    for (size_t at = 1; at < header.size(); ++at)
        for (const std::string_view mark : {" in ", ",", ":", "/", " - ", " ", "_"}) {
            if (!header.substr(at).starts_with(mark))
                continue;
            const std::string_view unit = bareCell(header.substr(at + mark.size()));
            if (!unit.empty() && unit.find_first_not_of("0123456789") != std::string_view::npos && parseUnit(unit))
                cuts.push_back({bareCell(header.substr(0, at)), unit, mark == "," || mark == ":" || mark == " in "});
        }
    const auto pair = [](const Cut& cut) { return std::pair{std::string(cut.name), std::string(cut.unit)}; };
    for (const Cut& cut : cuts)
        if (senseOf(cut.name, cut.unit).surety != HeaderSurety::Nothing)
            return pair(cut);
    if (senseOf(header, "").surety == HeaderSurety::Nothing)
        for (const Cut& cut : cuts)
            if (cut.strong || cut.unit.size() > 1)
                return pair(cut);
    return {std::string(header), ""};
}

} // namespace

std::pair<std::string, std::string> nameAndUnitOf(std::string_view header) {
    header = bareCell(header);
    const auto both = [](std::string_view name, std::string_view unit) {
        return std::pair{std::string(bareCell(name)), std::string(bareCell(unit))};
    };
    for (const auto& [open, close] :
         {std::pair{'[', ']'}, std::pair{'(', ')'}, std::pair{'{', '}'}, std::pair{'<', '>'}}) {
        const size_t from = openingOf(header, open, close);
        if (from == std::string_view::npos || from == 0)
            continue;
        const std::string_view unit = header.substr(from + 1, header.size() - from - 2);
        if (close == ']' || (parseUnit(bareCell(unit)) && !belongsToUnit(unit)))
            return both(header.substr(0, from), unit);
    }
    return splitAtUnit(header);
}

RawTable readRawTable(std::string_view text, const TableChoices& choices, const std::string& file) {
    return TableReader(text, choices, file).read();
}

std::vector<LineKind> lineKinds(std::string_view text, const RawTable& table, size_t most) {
    std::vector<LineKind> out;
    LineReader lines(text);
    size_t row = 0;
    size_t left = 0;
    for (Line line; out.size() < most && lines.next(line);) {
        while (row < table.rows() && table.lineOfRow[row] < line.number)
            ++row;
        while (left < table.leftOut.size() && table.leftOut[left].line < line.number)
            ++left;
        if (isBlankLine(line.text))
            out.push_back(LineKind::Blank);
        else if (line.number == table.headerLine)
            out.push_back(LineKind::Header);
        else if (line.number == table.unitLine)
            out.push_back(LineKind::Units);
        else if (row < table.rows() && table.lineOfRow[row] == line.number)
            out.push_back(LineKind::Row);
        else if (left < table.leftOut.size() && table.leftOut[left].line == line.number)
            out.push_back(LineKind::LeftOut);
        else
            out.push_back(table.rows() > 0 && line.number < table.lineOfRow.front() ? LineKind::Title
                                                                                    : LineKind::HeaderAgain);
    }
    return out;
}

} // namespace hillrun
