// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/limit_watch.h"

#include "core/channels/channels.h"
#include "core/pull/robust.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

// Common practice; rates on simulated pulls: docs/method.md.
constexpr double kMixtureSettles_s = 0.5; ///< after the throttle was opened
constexpr double kUnderLoad = 0.85;       ///< of the widest throttle: closing it cuts the fuel, which is no lean engine

bool isMixture(std::string_view channel) { return channel == "lambda" || channel == "air_fuel_ratio"; }

int columnOf(std::span<const Column> columns, std::string_view name) {
    for (size_t i = 0; i < columns.size(); ++i)
        if (columns[i].name == name)
            return static_cast<int>(i);
    return -1;
}

double valueAt(std::span<const double> values, int column) {
    return column < 0 ? std::numeric_limits<double>::quiet_NaN() : values[static_cast<size_t>(column)];
}

} // namespace

double LimitTracker::settled() const {
    std::vector<double> values;
    for (const Reading& reading : m_window)
        values.push_back(reading.value);
    return median(std::move(values));
}

bool LimitTracker::take(double time_s, double value) {
    if (!std::isfinite(value))
        return false;
    m_window.push_back({time_s, value});
    m_beyond += m_limit.passedBy(value) ? 1 : 0;
    while (m_window.size() > kReadings && time_s - m_window.front().time_s > kWindow_s) {
        m_beyond -= m_limit.passedBy(m_window.front().value) ? 1 : 0;
        m_window.pop_front();
    }
    // A window that has only begun to fill is none.
    const bool filled = m_window.size() >= kReadings && time_s - m_window.front().time_s >= 0.6 * kWindow_s;
    if (!filled || 2 * m_beyond <= m_window.size())
        return false;
    const double now = settled();
    if (m_crossing) {
        m_crossing->until_s = time_s;
        m_crossing->worst =
            m_limit.side == LimitSide::Above ? std::max(m_crossing->worst, now) : std::min(m_crossing->worst, now);
        return false;
    }
    m_crossing = LimitCrossing{m_limit, time_s, now, now, time_s};
    return true;
}

LimitWatch::LimitWatch(const std::vector<WatchLimit>& limits, std::span<const Column> columns)
    : m_throttle(columnOf(columns, "throttle")) {
    for (const WatchLimit& limit : limits)
        m_watched.push_back({LimitTracker(limit), columnOf(columns, limit.channel), isMixture(limit.channel)});
}

bool LimitWatch::counts(const Watched& watched, double time_s, double throttle) const {
    if (!watched.ofMixture)
        return true;
    return time_s - *m_began_s >= kMixtureSettles_s && !(throttle < kUnderLoad * m_widest_pct);
}

void LimitWatch::note(size_t number, double time_s, double value) {
    if (m_watched[number].tracker.take(time_s, value))
        m_passed.push_back(number);
}

std::vector<LimitCrossing> LimitWatch::crossings() const {
    std::vector<LimitCrossing> out;
    for (const size_t number : m_passed)
        out.push_back(*m_watched[number].tracker.crossing());
    return out;
}

void LimitWatch::take(double time_s, std::span<const double> values) {
    if (!m_began_s)
        m_began_s = time_s;
    const double throttle = valueAt(values, m_throttle);
    if (std::isfinite(throttle))
        m_widest_pct = std::max(m_widest_pct, throttle);
    for (size_t i = 0; i < m_watched.size(); ++i)
        if (m_watched[i].column >= 0 && counts(m_watched[i], time_s, throttle))
            note(i, time_s, valueAt(values, m_watched[i].column));
}

void LimitWatch::takeSlow(std::string_view channel, double time_s, double value) {
    for (size_t i = 0; i < m_watched.size(); ++i)
        if (m_watched[i].column < 0 && m_watched[i].tracker.limit().channel == channel)
            note(i, time_s, value);
}

std::vector<LimitCrossing> limitsPassed(const ChannelTable& rows, const std::vector<WatchLimit>& limits, size_t from,
                                        size_t count) {
    const Column* time = rows.find("time");
    std::vector<WatchLimit> passed; // most pulls pass none: then nothing needs to be followed
    for (const WatchLimit& limit : limits) {
        const Column* column = rows.find(limit.channel);
        if (!time || !column)
            continue;
        const auto first = column->values.begin() + static_cast<long>(from);
        if (std::any_of(first, first + static_cast<long>(count), [&](double v) { return limit.passedBy(v); }))
            passed.push_back(limit);
    }
    if (passed.empty())
        return {};
    LimitWatch watch(passed, rows.columns);
    std::vector<double> row(rows.columns.size());
    for (size_t i = from; i < from + count; ++i) {
        for (size_t c = 0; c < row.size(); ++c)
            row[c] = rows.columns[c].values[i];
        watch.take(time->values[i], row);
    }
    return watch.crossings();
}

Number channelReading(std::string_view channel, double value) {
    const ChannelInfo* info = channelInfo(channel);
    std::string unit = info ? canonicalUnitText(info->dimension) : std::string();
    const int digits = channel == "lambda" ? 2 : channel == "air_fuel_ratio" || channel == "knock_retard" ? 1 : 0;
    return decimals(value, digits, std::move(unit));
}

Statement crossingPhrase(const LimitCrossing& crossing) {
    const std::string& channel = crossing.limit.channel;
    return {
        "limit.crossed",
        {ChannelName{channel}, channelReading(channel, crossing.worst), channelReading(channel, crossing.limit.value)}};
}

} // namespace hillrun
