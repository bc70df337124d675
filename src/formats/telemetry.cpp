// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/telemetry.h"

#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"
#include "formats/budget.h"
#include "formats/csv_table.h"

#include <algorithm>
#include <cmath>
#include <fast_float/fast_float.h>
#include <limits>

namespace hillrun {
namespace {

constexpr size_t kLongestLine = 65536;
constexpr std::string_view kMarker = "hill-run-telemetry";
constexpr int kTelemetryVersion = 1;

std::string_view trimmed(std::string_view text) {
    while (!text.empty() && (text.front() == ' ' || text.front() == '\t'))
        text.remove_prefix(1);
    while (!text.empty() && (text.back() == ' ' || text.back() == '\t' || text.back() == '\r'))
        text.remove_suffix(1);
    return text;
}

/// "1.25" or nothing; an empty cell is NaN.
bool readCell(std::string_view cell, double& value) {
    cell = trimmed(cell);
    if (cell.empty()) {
        value = std::numeric_limits<double>::quiet_NaN();
        return true;
    }
    if (cell.front() == '+')
        cell.remove_prefix(1);
    const auto [end, error] = fast_float::from_chars(cell.data(), cell.data() + cell.size(), value);
    return error == std::errc() && end == cell.data() + cell.size() && std::abs(value) <= budget::kNumber;
}

} // namespace

void TelemetryParser::feed(std::string_view bytes) {
    while (!bytes.empty()) {
        const size_t end = bytes.find('\n');
        const std::string_view piece = bytes.substr(0, end);
        if (!m_skipToNewline)
            m_pending.append(piece);
        if (m_pending.size() > kLongestLine) {
            bad(Statement{"telemetry.line_too_long"});
            m_pending.clear();
            m_skipToNewline = true;
        }
        if (end == std::string_view::npos)
            return;
        if (!m_skipToNewline)
            line(trimmed(m_pending));
        m_skipToNewline = false;
        m_pending.clear();
        bytes.remove_prefix(end + 1);
    }
}

void TelemetryParser::restart() {
    m_pending.clear();
    m_skipToNewline = false;
    m_headerDue = true;
    m_columns.clear();
    m_headerText.clear();
}

void TelemetryParser::bad(const Statement& why) {
    ++m_badLines;
    if (m_sink.problem)
        m_sink.problem(why);
}

void TelemetryParser::line(std::string_view text) {
    if (text.empty())
        return;
    if (text.front() == '#') {
        const std::string_view comment = trimmed(text.substr(1));
        if (comment.starts_with(kMarker)) {
            double version = 0.0;
            if (!readCell(comment.substr(kMarker.size()), version) || version > kTelemetryVersion)
                bad(Statement{"telemetry.newer"});
            m_headerDue = true;
        } else if (m_sink.comment) {
            m_sink.comment(std::string(comment));
        }
        return;
    }
    if (m_headerDue || text == m_headerText)
        readHeader(text);
    else
        readRow(text);
}

void TelemetryParser::readHeader(std::string_view text) {
    std::vector<ColumnMeaning> meanings;
    std::vector<Column> columns;
    m_conversions.clear();
    m_kept.clear();
    try {
        // A row of zeros makes a table of the header, which then is read as in any file.
        std::string zeros = "\n0";
        for (const char c : text)
            if (c == ',')
                zeros += ",0";
        const CsvTable table = parseCsv(std::string(text) + zeros + "\n", "stream");
        meanings = guessMeanings(table);
        m_cells = meanings.size();
    } catch (const DataError&) { // joined in the middle: wait for a line that is a header
        return bad(Statement{"telemetry.no_header"});
    }
    for (size_t i = 0; i < meanings.size(); ++i) {
        if (meanings[i].channel.empty())
            continue;
        const auto unit = parseUnit(meanings[i].unit);
        Conversion conversion;
        std::string unitText = meanings[i].unit;
        if (unit && unit->dimension != Dimension::None) {
            conversion = {unit->scale, unit->offset, unit->gauge || meanings[i].gauge};
            unitText = canonicalUnitText(unit->dimension);
        }
        m_kept.push_back(i);
        m_conversions.push_back(conversion);
        columns.push_back({meanings[i].channel, unitText, {}});
    }
    const auto time = std::find_if(columns.begin(), columns.end(), [](const Column& c) { return c.name == "time"; });
    if (time == columns.end())
        return bad(Statement{"telemetry.no_time"});
    m_timeColumn = static_cast<size_t>(time - columns.begin());
    m_columns = std::move(columns);
    m_values.assign(m_columns.size(), 0.0);
    m_headerDue = false;
    m_headerText = text;
    if (m_sink.header)
        m_sink.header(m_columns);
}

void TelemetryParser::readRow(std::string_view text) {
    size_t cell = 0;
    size_t kept = 0;
    size_t unreadable = 0;
    Statement why;
    for (std::string_view rest = text;; ++cell) {
        const size_t comma = rest.find(',');
        if (kept < m_kept.size() && m_kept[kept] == cell) {
            double value = 0.0;
            if (!readCell(rest.substr(0, comma), value)) { // blank from here on: the rest of the row was measured
                value = std::numeric_limits<double>::quiet_NaN();
                ++unreadable;
                why = {"telemetry.cell", {shownText(trimmed(rest.substr(0, comma)), 40)}};
            }
            const Conversion& c = m_conversions[kept];
            m_values[kept] = value * c.scale + c.offset + (c.gauge ? m_ambient_kpa : 0.0);
            ++kept;
        }
        if (comma == std::string_view::npos)
            break;
        rest.remove_prefix(comma + 1);
    }
    if (cell + 1 != m_cells)
        return bad({"telemetry.cells", {std::to_string(cell + 1), std::to_string(m_cells)}});
    if (unreadable > 0)
        bad(why);
    if (2 * unreadable > m_kept.size())
        return;
    ++m_frames;
    if (m_sink.frame)
        m_sink.frame(m_values[m_timeColumn], m_values);
}

std::string telemetryHead(const std::vector<Column>& columns) {
    std::string out = "#" + std::string(kMarker) + " " + std::to_string(kTelemetryVersion) + "\n";
    for (size_t i = 0; i < columns.size(); ++i)
        out += (i ? "," : "") + columns[i].name + " [" + columns[i].unit + "]";
    return out + "\n";
}

} // namespace hillrun
