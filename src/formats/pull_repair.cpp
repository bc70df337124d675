// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/pull_repair.h"

#include "core/errors/data_error.h"
#include "formats/pull_file.h"
#include "formats/stream_clock.h"

#include <algorithm>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr int kMostBadRows = 200;

/// Takes a line (from 1) out of the text.
void dropLine(std::string& text, long line) {
    size_t from = 0;
    for (long n = 1; n < line && from != std::string::npos; ++n) {
        const size_t end = text.find('\n', from);
        from = end == std::string::npos ? end : end + 1;
    }
    if (from == std::string::npos)
        return;
    const size_t end = text.find('\n', from);
    text.erase(from, end == std::string::npos ? end : end + 1 - from);
}

bool isAboutOneRow(const DataError& error) {
    switch (error.problem()) {
    case Problem::TwoHeaders:
    case Problem::NotANumber:
    case Problem::RowTooLong:
    case Problem::RowTooShort:
    case Problem::FileTruncated:
        return error.place().line > 0;
    default:
        return false;
    }
}

} // namespace

RepairedPull repairPullText(std::string_view text, const std::string& file, double ambient_kpa) {
    std::string rest(text);
    rest.erase(std::remove(rest.begin(), rest.end(), '\0'), rest.end()); // a file system that lost its last block
    CsvTable csv;
    int bad = 0;
    for (;; ++bad) {
        try {
            csv = parseCsv(rest, file);
            break;
        } catch (const DataError& error) {
            if (!isAboutOneRow(error) || bad >= kMostBadRows)
                throw;
            dropLine(rest, error.place().line);
        }
    }
    const std::vector<ColumnMeaning> meanings = guessMeanings(csv);
    RepairedPull out{toChannels(std::move(csv), meanings, ambient_kpa, file), {}};
    StreamClock clock;
    for (Column& column : out.table.columns) {
        if (column.name != "time")
            continue;
        for (double& time : column.values)
            time = clock.take(time);
    }
    checkPull(out.table, file);
    if (bad > 0)
        out.done.push_back({"repair.rows", {Count{static_cast<long>(bad)}}});
    if (Statement faults = faultsStatement(clock.faults()); !faults.empty())
        out.done.push_back(std::move(faults));
    if (out.done.empty())
        out.done.push_back({"repair.nothing"});
    return out;
}

} // namespace hillrun
