// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <deque>
#include <functional>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace hillrun {

enum class RecorderState {
    Off,
    Armed,   ///< waits for full throttle and moving speed
    Running, ///< a pull is being made
    Ending,  ///< over; the rows after it are still kept
};

/// How a recorded pull came to its end.
enum class PullEnd { ThrottleClosed, SpeedHeld, ByHand, LinkLost, TooLong };

/// A pull as it was recorded.
struct Recording {
    ChannelTable table; ///< time begins at 0
    PullEnd end = PullEnd::ThrottleClosed;
    bool byHand = false;  ///< started by hand
    double start_s = 0.0; ///< when it began, in the table's time
    bool joined = false;  ///< it ran already when the first row came
};

/// Finds pulls in a stream of frames. Keeps two seconds before and after. Memory is bounded and the cost of a frame
/// constant, as long as times run on (`StreamClock` sees to that).
class PullRecorder {
public:
    static constexpr double kBefore_s = 2.0;
    static constexpr double kAfter_s = 2.0;

    struct Sink {
        std::function<void(double startTime_s)> started; ///< stream time; the rows kept before it follow as rows
        std::function<void(std::span<const double>)> row;
        std::function<void(Recording)> ended;
        std::function<void()> dropped; ///< it was no pull: too short or without change of speed
    };
    explicit PullRecorder(Sink sink) : m_sink(std::move(sink)) {}

    /// Other columns end a pull that runs; the same ones again change nothing.
    void setColumns(const std::vector<Column>& columns);
    void setSweep(SweepDirection direction) { m_direction = direction; }
    void arm();
    void disarm(); ///< ends a pull that runs, as by hand
    void startByHand();
    void endByHand();
    void linkLost();
    void take(double time_s, std::span<const double> values);

    [[nodiscard]] RecorderState state() const { return m_state; }
    [[nodiscard]] const std::vector<Column>& columns() const { return m_columns; }
    /// Rows of the pull being made, and when it began.
    [[nodiscard]] size_t rows() const { return m_table.rows(); }
    [[nodiscard]] double startedAt_s() const { return m_startedAt_s; }

private:
    struct Row {
        double time_s = 0.0;
        std::vector<double> values;
    };
    [[nodiscard]] double valueOf(int column, std::span<const double> values) const;
    [[nodiscard]] double speedRate(double over_s) const;
    [[nodiscard]] bool throttleOpen(double share) const;
    void watchForRest();
    void begin(bool byHand);
    void keep(std::span<const double> values, double time_s);
    void watchForStart(double time_s);
    void watchForEnd(double time_s);
    void close(PullEnd end);
    void finish();

    Sink m_sink;
    SweepDirection m_direction = SweepDirection::Up;
    RecorderState m_state = RecorderState::Off;
    bool m_rearm = false;
    std::vector<Column> m_columns;
    int m_timeColumn = -1, m_speedColumn = -1, m_throttleColumn = -1;
    std::deque<Row> m_recent; ///< the last two seconds
    double m_mostThrottle_pct = 0.0;
    bool m_restSeen = false; ///< since the connection came, the engine was seen without a pull under way
    bool m_joined = false;
    std::optional<double> m_goodSince_s;
    std::optional<double> m_badSince_s;
    std::optional<double> m_stillSince_s;
    double m_firstTime_s = 0.0;
    double m_startedAt_s = 0.0;
    double m_closedAt_s = 0.0;
    double m_lowest_rpm = 0.0, m_highest_rpm = 0.0;
    ChannelTable m_table;
    PullEnd m_end = PullEnd::ThrottleClosed;
    bool m_byHand = false;
};

} // namespace hillrun
