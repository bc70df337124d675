// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"
#include "formats/pull_file.h"

#include <functional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

/// What a parser of live lines tells. All are optional.
struct TelemetrySink {
    /// New columns; channel names and units are those of the pull file.
    std::function<void(const std::vector<Column>& columns)> header;
    /// A row; NaN for blank and unreadable cells. `time` is its time channel's value as the logger says it, NaN when it
    /// says none; whether it can be believed is not judged here (`StreamClock`).
    std::function<void(double time_s, std::span<const double> values)> frame;
    /// What followed "#" on a line of its own ("clock 2026-05-16T09:12:00+01:00").
    std::function<void(const std::string& text)> comment;
    /// A line that cannot be used, in words; it is left out.
    std::function<void(const Statement& why)> problem;
};

/// Reads a stream of telemetry (docs/formats.md, "Telemetry"): the pull file line by line. Bytes may come in any
/// pieces. Rows are checked: columns, numbers. Never throws on what comes in; memory stays bounded.
class TelemetryParser {
public:
    explicit TelemetryParser(TelemetrySink sink) : m_sink(std::move(sink)) {}
    void feed(std::string_view bytes);
    /// The connection was lost: half a line is forgotten, a header comes again.
    void restart();
    /// Added to gauge pressures, kPa.
    void setAmbient(double ambient_kpa) { m_ambient_kpa = ambient_kpa; }
    [[nodiscard]] bool hasHeader() const { return !m_columns.empty(); }
    [[nodiscard]] long frames() const { return m_frames; }
    [[nodiscard]] long badLines() const { return m_badLines; }

private:
    void line(std::string_view text);
    void readHeader(std::string_view text);
    void readRow(std::string_view text);
    void bad(const Statement& why);

    TelemetrySink m_sink;
    std::string m_pending;
    bool m_skipToNewline = false; ///< inside a line that was too long
    bool m_headerDue = true;
    std::vector<Column> m_columns;
    struct Conversion {
        double scale = 1.0;
        double offset = 0.0;
        bool gauge = false;
    };
    std::vector<Conversion> m_conversions;
    std::vector<size_t> m_kept; ///< cell of each column
    size_t m_cells = 0;
    size_t m_timeColumn = 0;
    std::vector<double> m_values;
    std::string m_headerText; ///< as it came; the same line again is a header too
    double m_ambient_kpa = 101.325;
    long m_frames = 0;
    long m_badLines = 0;
};

/// The two lines that begin a stream of these columns.
std::string telemetryHead(const std::vector<Column>& columns);

} // namespace hillrun
