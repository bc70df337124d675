// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/day/laid_log.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <set>
#include <string_view>

namespace hillrun {
namespace {

constexpr std::array<std::string_view, 6> kPowerMakers{"time",  "engine_speed", "torque",
                                                       "power", "roller_speed", "road_speed"};
constexpr double kHole_rows = 5.0; ///< a gap of more rows than this is a hole

/// "Control unit 2" -> "control_unit_2".
std::string slugOf(const std::string& name) {
    std::string out;
    for (const char c : name) {
        if (std::isalnum(static_cast<unsigned char>(c)) || static_cast<unsigned char>(c) >= 0x80)
            out += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        else if (!out.empty() && out.back() != '_')
            out += '_';
    }
    while (!out.empty() && out.back() == '_')
        out.pop_back();
    return out.empty() ? "log" : out;
}

/// The log's rows in time order without those that run back.
struct LogRows {
    std::vector<double> time_s;
    std::vector<size_t> row;
    double hole_s = 0.0;
};

LogRows rowsInOrder(const ChannelTable& log) {
    LogRows out;
    const Column* time = log.find("time");
    if (!time)
        return out;
    std::vector<double> steps;
    for (size_t i = 0; i < time->values.size(); ++i) {
        const double t = time->values[i];
        if (!std::isfinite(t) || (!out.time_s.empty() && t <= out.time_s.back()))
            continue;
        if (!out.time_s.empty())
            steps.push_back(t - out.time_s.back());
        out.time_s.push_back(t);
        out.row.push_back(i);
    }
    if (!steps.empty()) {
        const auto middle = steps.begin() + static_cast<std::ptrdiff_t>(steps.size() / 2);
        std::nth_element(steps.begin(), middle, steps.end());
        out.hole_s = kHole_rows * *middle;
    }
    return out;
}

/// Rows of the log beside a moment, and how far it lies between them.
struct Between {
    bool inside = false;
    size_t before = 0;
    size_t after = 0;
    double share = 0.0;
};

Between betweenRows(const LogRows& rows, double t) {
    if (rows.time_s.empty() || !(t >= rows.time_s.front()) || t > rows.time_s.back())
        return {};
    const auto next = std::upper_bound(rows.time_s.begin(), rows.time_s.end(), t);
    const auto i = static_cast<size_t>(next - rows.time_s.begin());
    if (i == rows.time_s.size()) // just at its end
        return {true, rows.row.back(), rows.row.back(), 0.0};
    const double width = rows.time_s[i] - rows.time_s[i - 1];
    if (width > rows.hole_s)
        return {};
    return {true, rows.row[i - 1], rows.row[i], (t - rows.time_s[i - 1]) / width};
}

} // namespace

std::vector<JoinedColumn> joinedColumns(const ChannelTable& own, const std::vector<LaidLog>& logs) {
    std::set<std::string> taken;
    for (const Column& column : own.columns)
        taken.insert(column.name);
    std::vector<JoinedColumn> out;
    for (size_t l = 0; l < logs.size(); ++l) {
        if (!logs[l].rows)
            continue;
        for (size_t c = 0; c < logs[l].rows->columns.size(); ++c) {
            std::string name = logs[l].rows->columns[c].name;
            if (name == "time")
                continue;
            const bool maker = std::find(kPowerMakers.begin(), kPowerMakers.end(), name) != kPowerMakers.end();
            if (maker || taken.contains(name))
                name += "_" + slugOf(logs[l].name);
            const std::string first = name;
            for (int n = 2; taken.contains(name); ++n)
                name = first + "_" + std::to_string(n);
            taken.insert(name);
            out.push_back({name, l, c});
        }
    }
    return out;
}

ChannelTable joinedTable(const ChannelTable& own, const std::vector<LaidLog>& logs) {
    ChannelTable out = own;
    const Column* time = own.find("time");
    if (!time)
        return out;
    const std::vector<JoinedColumn> columns = joinedColumns(own, logs);
    for (size_t l = 0; l < logs.size(); ++l) {
        if (!logs[l].rows)
            continue;
        const LogRows rows = rowsInOrder(*logs[l].rows);
        std::vector<Between> places;
        for (const double t : time->values)
            places.push_back(betweenRows(rows, logs[l].clock.logTime(t)));
        for (const JoinedColumn& joined : columns) {
            if (joined.log != l)
                continue;
            const Column& from = logs[l].rows->columns[joined.column];
            Column to{joined.name, from.unit, {}};
            for (const Between& at : places)
                to.values.push_back(at.inside ? from.values[at.before] +
                                                    at.share * (from.values[at.after] - from.values[at.before])
                                              : std::nan(""));
            out.columns.push_back(std::move(to));
        }
    }
    return out;
}

} // namespace hillrun
