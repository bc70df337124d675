// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/import_logs.h"

#include "core/errors/shown_text.h"

#include <algorithm>
#include <cctype>
#include <cmath>

namespace fs = std::filesystem;

namespace hillrun {
namespace {

constexpr double kKeptWhole_s = 120.0; ///< a log of this length is kept as it is
constexpr double kBeside_s = 10.0;     ///< of a longer one so much before and after the pull

/// "ECU log 3" -> "ecu-log-3"; plain letters only, for it becomes the name of a file.
std::string fileWord(const std::string& name) {
    std::string out;
    for (const char c : name) {
        if (std::isalnum(static_cast<unsigned char>(c)))
            out += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        else if (!out.empty() && out.back() != '-')
            out += '-';
    }
    while (!out.empty() && out.back() == '-')
        out.pop_back();
    constexpr size_t kLongest = 40;
    return out.empty() ? "log" : out.substr(0, kLongest);
}

/// Rows whose time lies between two moments of the log.
ChannelTable stretchOf(const ChannelTable& log, double from_s, double to_s) {
    const std::vector<double>& time = log.find("time")->values;
    ChannelTable out;
    for (const Column& column : log.columns)
        out.columns.push_back({column.name, column.unit, {}});
    for (size_t row = 0; row < time.size(); ++row)
        if (time[row] >= from_s && time[row] <= to_s)
            for (size_t c = 0; c < log.columns.size(); ++c)
                out.columns[c].values.push_back(log.columns[c].values[row]);
    return out;
}

} // namespace

std::shared_ptr<const ChannelTable> logRows(const ImportFile& file, double ambient_kpa) {
    if (file.problem)
        throw DataError(*file.problem);
    return std::make_shared<const ChannelTable>(logTableOf(*file.gathered, ambient_kpa));
}

std::optional<double> logZero_s(const ImportFile& file) {
    const GatheredPull& rows = file.gathered->pulls.front();
    const auto started = secondsOf(rows.started.empty() ? file.gathered->preamble.started : rows.started);
    if (!started)
        return std::nullopt;
    return *started - file.gathered->axes[rows.axis][rows.rows.first];
}

std::string logNameOf(const ImportFile& file) { return shownText(fs::path(file.name).stem().string()); }

LaidLog logFor(const Pull& pull, const ImportFile& file, const LogClock& clock) {
    LaidLog out;
    out.name = logNameOf(file);
    out.file = "pulls/" + pull.id + "-" + fileWord(out.name) + ".csv";
    out.clock = clock;
    out.rows = logRows(file, gaugeReference_kpa(pull));
    const std::vector<double>& logTime = out.rows->find("time")->values;
    const std::vector<double>& pullTime = ownRows(pull)->find("time")->values;
    if (logTime.back() - logTime.front() > kKeptWhole_s)
        out.rows = std::make_shared<const ChannelTable>(stretchOf(
            *out.rows, clock.logTime(pullTime.front()) - kBeside_s, clock.logTime(pullTime.back()) + kBeside_s));
    return out;
}

void layOn(Pull& pull, LaidLog log) {
    std::vector<LaidLog> logs = pull.logs;
    std::erase_if(logs, [&](const LaidLog& one) { return one.name == log.name; });
    logs.push_back(std::move(log));
    setLogs(pull, std::move(logs));
}

} // namespace hillrun
