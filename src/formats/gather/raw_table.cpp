// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/raw_table.h"

#include "core/errors/data_error.h"
#include "core/units/nan.h"
#include "formats/gather/header_text.h"
#include "formats/gather/table_line.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace hillrun {
namespace {

constexpr size_t kHeadLines = 2000;  ///< the header stands within these
constexpr size_t kRowsLookedAt = 60; ///< that settle the separator
constexpr std::array kSeparators{'\t', ';', '|', ',', ' '};

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
        for (TableLine line;
             seen < kRowsLookedAt && line.number < static_cast<long>(kHeadLines + kRowsLookedAt) && lines.next(line);) {
            if (isComment(line.text) || (separator != ' ' && line.text.find(separator) == std::string_view::npos))
                continue;
            splitCells(line.text, separator, cells);
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

class TableReader {
public:
    TableReader(std::string_view text, const TableChoices& choices, const std::string& file, const ReadWatch& watch)
        : m_text(text), m_choices(choices), m_file(file), m_watch(watch) {}

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
        std::vector<TableLine> above;
        TableLine candidate;
        for (TableLine line; lines.next(line);) {
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

    bool isFullRow(const TableLine& line, Cells& cells) const {
        if (isBlankLine(line.text) || isComment(line.text) || isRule(line.text))
            return false;
        splitRow(line.text, cells);
        const Tally tally = tallyOf(cells);
        return tally.isRow() && (!tally.firstIsWord || m_layout.wordsFirst) && !isIndexLine(cells) &&
               4 * tally.cells >= 3 * m_layout.cells && !(m_choices.headerLine && line.number <= *m_choices.headerLine);
    }

    void splitRow(std::string_view line, Cells& cells) const {
        splitCells(line, m_layout.separator, cells);
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
            const TableLine& line = m_above[at - 1];
            if (m_choices.headerLine && line.number > *m_choices.headerLine &&
                line.number != m_choices.unitLine.value_or(0))
                continue;
            if (isBlankLine(line.text) || isRule(line.text))
                continue;
            splitCells(withoutCommentSign(line.text), m_layout.separator, cells);
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
        splitCells(withoutCommentSign(m_above[above - 1].text), m_layout.separator, cells);
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

    /// `pass`: the first or second of the two that the table is read in.
    template <class Use> void eachLineFromFirst(int pass, const Use& use) const {
        constexpr long kLinesBetweenLooks = 16384;
        LineReader lines(m_text);
        for (TableLine line; lines.next(line);) {
            if (line.number >= m_firstRow)
                use(line);
            if (m_watch && line.number % kLinesBetweenLooks == 0) {
                const auto done = static_cast<double>(line.text.data() - m_text.data());
                if (!m_watch(0.5 * (pass + done / static_cast<double>(m_text.size()))))
                    throw ReadStopped{};
            }
        }
    }

    /// Which columns hold words or times, and how the numbers of the others are written: by every cell of them.
    void settleStyles() {
        const size_t columns = m_table.columns.size();
        std::vector<StyleEvidence> evidence(columns);
        std::vector<size_t> numbers(columns, 0);
        std::vector<size_t> others(columns, 0);
        Cells cells;
        size_t rows = 0;
        eachLineFromFirst(0, [&](const TableLine& line) {
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
        eachLineFromFirst(1, [&](const TableLine& line) {
            if (isBlankLine(line.text)) {
                gap = true;
                return;
            }
            if (isRule(line.text) || isComment(line.text)) {
                leaveOut(line, "line.remark");
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
                leaveOut(line, wordsFirst ? "line.begins_with_word" : "line.no_row");
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

    void leaveOut(const TableLine& line, const char* why) { m_table.leftOut.push_back({line.number, why}); }

    void takeRow(const TableLine& line, const Cells& cells) {
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

    static void takeCell(RawColumn& column, bool isText, std::string_view cell, const TableLine& line) {
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
    const ReadWatch& m_watch;
    Layout m_layout;
    long m_firstRow = 0;
    std::vector<TableLine> m_above; ///< the lines before the first row
    std::vector<char> m_isText;
    Cells m_headerCells; ///< as they stand in the text
    RawTable m_table;
};

} // namespace

RawTable readRawTable(std::string_view text, const TableChoices& choices, const std::string& file,
                      const ReadWatch& watch) {
    return TableReader(text, choices, file, watch).read();
}

std::vector<LineKind> lineKinds(std::string_view text, const RawTable& table, size_t most) {
    std::vector<LineKind> out;
    LineReader lines(text);
    size_t row = 0;
    size_t left = 0;
    for (TableLine line; out.size() < most && lines.next(line);) {
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
