// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cell/pull_recorder.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

// Common practice; checked on the simulated cell.
constexpr double kOpenShare = 0.9;         ///< of the widest throttle seen: open
constexpr double kClosedShare = 0.7;       ///< below: closed
constexpr double kThrottleSeen_pct = 60.0; ///< before the throttle was ever this wide nobody knows what open is
constexpr double kMoving_rpm_s = 60.0;
constexpr double kMovingAlone_rpm_s = 120.0; ///< without a throttle channel
constexpr double kSure_s = 0.25;             ///< so long it must last before a pull begins
constexpr double kClosed_s = 0.12;
constexpr double kStill_rpm_s = 12.0;
constexpr double kHeld_s = 2.5; ///< so long at one speed and the pull is over (limiter, held by the brake)
constexpr double kLongest_s = 180.0;
constexpr double kLongestSteps_s = 900.0;
constexpr double kShortest_s = 1.0;
constexpr double kShortest_rpm = 400.0;
constexpr size_t kMostRecent = 20000; ///< rows kept before a pull, however fast they come

} // namespace

void PullRecorder::setColumns(const std::vector<Column>& columns) {
    const auto same = [](const Column& a, const Column& b) { return a.name == b.name && a.unit == b.unit; };
    if (std::equal(columns.begin(), columns.end(), m_columns.begin(), m_columns.end(), same))
        return;
    if (m_state == RecorderState::Running || m_state == RecorderState::Ending)
        close(PullEnd::LinkLost);
    m_columns = columns;
    m_recent.clear();
    m_timeColumn = m_speedColumn = m_throttleColumn = -1;
    for (size_t i = 0; i < columns.size(); ++i) {
        if (columns[i].name == "time")
            m_timeColumn = static_cast<int>(i);
        else if (columns[i].name == "engine_speed")
            m_speedColumn = static_cast<int>(i);
        else if (columns[i].name == "throttle")
            m_throttleColumn = static_cast<int>(i);
    }
    m_mostThrottle_pct = 0.0;
    m_goodSince_s.reset();
    m_restSeen = false;
}

void PullRecorder::arm() {
    if (m_state == RecorderState::Off)
        m_state = RecorderState::Armed;
    m_rearm = true;
    m_goodSince_s.reset();
}

void PullRecorder::disarm() {
    m_rearm = false;
    if (m_state == RecorderState::Running || m_state == RecorderState::Ending)
        close(PullEnd::ByHand);
    m_state = RecorderState::Off;
}

void PullRecorder::startByHand() {
    if (m_state != RecorderState::Running && m_state != RecorderState::Ending && !m_columns.empty())
        begin(true);
}

void PullRecorder::endByHand() {
    if (m_state == RecorderState::Running || m_state == RecorderState::Ending)
        close(PullEnd::ByHand);
}

void PullRecorder::linkLost() {
    if (m_state == RecorderState::Running || m_state == RecorderState::Ending)
        close(PullEnd::LinkLost);
    m_recent.clear();
    m_goodSince_s.reset();
    m_restSeen = false;
}

double PullRecorder::valueOf(int column, std::span<const double> values) const {
    return column < 0 ? std::numeric_limits<double>::quiet_NaN() : values[static_cast<size_t>(column)];
}

/// Change of engine speed over the last moments, rpm/s.
double PullRecorder::speedRate(double over_s) const {
    if (m_recent.size() < 2)
        return 0.0;
    const Row& now = m_recent.back();
    auto before = std::upper_bound(m_recent.begin(), m_recent.end(), now.time_s - over_s,
                                   [](double time, const Row& row) { return time < row.time_s; });
    if (before != m_recent.begin())
        --before;
    const double dt = now.time_s - before->time_s;
    const double change = valueOf(m_speedColumn, now.values) - valueOf(m_speedColumn, before->values);
    return dt > 0.5 * over_s && std::isfinite(change) ? change / dt : 0.0;
}

bool PullRecorder::throttleOpen(double share) const {
    const double now = valueOf(m_throttleColumn, m_recent.back().values);
    return m_mostThrottle_pct >= kThrottleSeen_pct && now >= share * m_mostThrottle_pct;
}

void PullRecorder::take(double time_s, std::span<const double> values) {
    m_recent.push_back({time_s, {values.begin(), values.end()}});
    while (time_s - m_recent.front().time_s > kBefore_s || m_recent.size() > kMostRecent)
        m_recent.pop_front();
    if (const double throttle = valueOf(m_throttleColumn, values); std::isfinite(throttle))
        m_mostThrottle_pct = std::max(m_mostThrottle_pct, std::min(throttle, 100.0));
    watchForRest();
    switch (m_state) {
    case RecorderState::Off:
        break;
    case RecorderState::Armed:
        watchForStart(time_s);
        break;
    case RecorderState::Running:
        keep(values, time_s);
        watchForEnd(time_s);
        break;
    case RecorderState::Ending:
        keep(values, time_s);
        if (time_s - m_closedAt_s >= kAfter_s)
            finish();
        break;
    }
}

/// A pull that was already under way when the connection came has no rest before it.
void PullRecorder::watchForRest() {
    if (m_restSeen || m_state == RecorderState::Running || m_state == RecorderState::Ending)
        return;
    const Row& now = m_recent.back();
    if (m_throttleColumn >= 0) {
        const double throttle = valueOf(m_throttleColumn, now.values);
        m_restSeen = throttle < kOpenShare * std::max(m_mostThrottle_pct, kThrottleSeen_pct);
    } else {
        m_restSeen = now.time_s - m_recent.front().time_s >= 0.4 && std::abs(speedRate(0.4)) < kMovingAlone_rpm_s;
    }
}

void PullRecorder::watchForStart(double time_s) {
    const double rate = m_direction == SweepDirection::Down ? -speedRate(0.25) : speedRate(0.25);
    bool good = false;
    if (m_throttleColumn >= 0)
        good = throttleOpen(kOpenShare) && (rate > kMoving_rpm_s || m_direction == SweepDirection::Steps);
    else
        good = rate > kMovingAlone_rpm_s;
    if (!good) {
        m_goodSince_s.reset();
        return;
    }
    if (!m_goodSince_s)
        m_goodSince_s = time_s;
    if (time_s - *m_goodSince_s >= kSure_s)
        begin(false);
}

void PullRecorder::begin(bool byHand) {
    m_byHand = byHand;
    m_joined = !byHand && !m_restSeen;
    m_state = RecorderState::Running;
    m_table.columns = m_columns;
    m_startedAt_s = m_recent.empty() ? 0.0 : m_recent.back().time_s;
    m_firstTime_s = m_recent.empty() ? 0.0 : m_recent.front().time_s;
    m_badSince_s.reset();
    m_stillSince_s.reset();
    m_lowest_rpm = std::numeric_limits<double>::infinity();
    m_highest_rpm = -m_lowest_rpm;
    m_sink.started(m_startedAt_s);
    for (const Row& row : m_recent)
        keep(row.values, row.time_s);
}

void PullRecorder::keep(std::span<const double> values, double time_s) {
    if (m_table.rows() == 0)
        m_firstTime_s = time_s; // begun by hand before any frame had come
    std::vector<double> row(values.begin(), values.end());
    // Times were decimal in the stream; the difference is rounded so that they are again.
    row[static_cast<size_t>(m_timeColumn)] = std::round((time_s - m_firstTime_s) * 1e6) / 1e6;
    for (size_t i = 0; i < row.size(); ++i)
        m_table.columns[i].values.push_back(row[i]);
    m_sink.row(row);
    if (const double speed = valueOf(m_speedColumn, values); std::isfinite(speed)) {
        m_lowest_rpm = std::min(m_lowest_rpm, speed);
        m_highest_rpm = std::max(m_highest_rpm, speed);
    }
}

void PullRecorder::watchForEnd(double time_s) {
    const double longest = m_direction == SweepDirection::Steps ? kLongestSteps_s : kLongest_s;
    if (time_s - m_startedAt_s > longest) {
        m_end = PullEnd::TooLong;
        m_closedAt_s = time_s;
        m_state = RecorderState::Ending;
        return;
    }
    if (m_byHand)
        return; // whoever starts by hand ends by hand
    const bool closed = m_throttleColumn >= 0 ? !throttleOpen(kClosedShare) : speedRate(0.25) < 0.0;
    m_badSince_s = closed ? std::optional(m_badSince_s.value_or(time_s)) : std::nullopt;
    const bool still = std::abs(speedRate(0.4)) < kStill_rpm_s && m_direction != SweepDirection::Steps;
    m_stillSince_s = still ? std::optional(m_stillSince_s.value_or(time_s)) : std::nullopt;
    const bool over = m_badSince_s && time_s - *m_badSince_s >= kClosed_s;
    const bool held = m_stillSince_s && time_s - *m_stillSince_s >= kHeld_s;
    if (!over && !held)
        return;
    m_end = over ? PullEnd::ThrottleClosed : PullEnd::SpeedHeld;
    m_closedAt_s = time_s;
    m_state = RecorderState::Ending;
}

/// Ends it now, without the rows after.
void PullRecorder::close(PullEnd end) {
    if (m_state == RecorderState::Running) {
        m_end = end;
        m_closedAt_s = m_recent.empty() ? m_startedAt_s : m_recent.back().time_s;
    }
    finish();
}

void PullRecorder::finish() {
    for (Column& column : m_table.columns)
        column.values.shrink_to_fit(); // it grew row by row, and may stay in memory all day
    const bool tooShort = m_closedAt_s - m_startedAt_s < kShortest_s || m_highest_rpm - m_lowest_rpm < kShortest_rpm;
    Recording out{std::move(m_table), m_end, m_byHand, m_startedAt_s - m_firstTime_s, m_joined};
    m_table = {};
    m_state = m_rearm ? RecorderState::Armed : RecorderState::Off;
    m_goodSince_s.reset();
    if (tooShort && !m_byHand && m_end != PullEnd::LinkLost)
        m_sink.dropped();
    else
        m_sink.ended(std::move(out));
}

} // namespace hillrun
