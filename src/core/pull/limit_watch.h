// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/day/watch_limit.h"
#include "core/statement/statement.h"

#include <deque>
#include <optional>
#include <span>
#include <string_view>
#include <vector>

// Limits watched while a pull runs. It tells, it never acts, and it may be late or miss: no safety device.

namespace hillrun {

/// A limit that was passed.
struct LimitCrossing {
    WatchLimit limit;
    double time_s = 0.0;  ///< when it was sure
    double value = 0.0;   ///< of the channel then, settled
    double worst = 0.0;   ///< settled, since then
    double until_s = 0.0; ///< still beyond
};

/// One channel against its limit. It is passed when most of the last quarter second lies beyond, at least most of
/// five readings: a spike or two say nothing. Rates of false alarms and delay: docs/method.md.
class LimitTracker {
public:
    static constexpr double kWindow_s = 0.25;
    static constexpr size_t kReadings = 5; ///< that count at least, however slowly they come

    explicit LimitTracker(WatchLimit limit) : m_limit(std::move(limit)) {}
    /// One reading; NaN for none. Returns true when it has just been passed for the first time.
    bool take(double time_s, double value);
    [[nodiscard]] const WatchLimit& limit() const { return m_limit; }
    [[nodiscard]] const std::optional<LimitCrossing>& crossing() const { return m_crossing; }

private:
    struct Reading {
        double time_s;
        double value;
    };
    [[nodiscard]] double settled() const; ///< median of the window

    WatchLimit m_limit;
    std::deque<Reading> m_window;
    size_t m_beyond = 0;
    std::optional<LimitCrossing> m_crossing;
};

/// All limits of an article against one pull, as its rows come.
class LimitWatch {
public:
    LimitWatch() = default;
    /// `columns` as the rows will have them.
    LimitWatch(const std::vector<WatchLimit>& limits, std::span<const Column> columns);
    void take(double time_s, std::span<const double> values);
    /// A channel that comes beside the rows.
    void takeSlow(std::string_view channel, double time_s, double value);
    [[nodiscard]] size_t passed() const { return m_passed.size(); } ///< how many limits
    /// In the order in which they were passed.
    [[nodiscard]] std::vector<LimitCrossing> crossings() const;

private:
    struct Watched {
        LimitTracker tracker;
        int column = -1; ///< none: comes beside the rows
        bool ofMixture = false;
    };
    void note(size_t number, double time_s, double value);
    [[nodiscard]] bool counts(const Watched& watched, double time_s, double throttle) const;

    std::vector<Watched> m_watched;
    std::vector<size_t> m_passed; ///< their numbers, in that order
    int m_throttle = -1;
    double m_widest_pct = 0.0;
    std::optional<double> m_began_s;
};

/// Where rows of a recorded pull pass limits: the same watch over `from` and the `count` rows after it.
std::vector<LimitCrossing> limitsPassed(const ChannelTable& rows, const std::vector<WatchLimit>& limits, size_t from,
                                        size_t count);

/// A reading of that channel as it is told: "96 kPa", "1.04".
Number channelReading(std::string_view channel, double value);
/// "Oil pressure 96 kPa, limit 150 kPa"
Statement crossingPhrase(const LimitCrossing& crossing);

} // namespace hillrun
