// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/statement/statement.h"

#include <memory>
#include <string>
#include <vector>

namespace hillrun {

/// How the clock of a second log (a control unit's) runs against a pull's: it shows t (1 + drift) + lag_s when the
/// pull's shows t.
struct LogClock {
    double lag_s = 0.0;
    double drift = 0.0;
    [[nodiscard]] double logTime(double pull_s) const { return pull_s * (1.0 + drift) + lag_s; }
    [[nodiscard]] double pullTime(double log_s) const { return (log_s - lag_s) / (1.0 + drift); }
    bool operator==(const LogClock&) const = default;
};

/// A second log laid onto a pull. Its rows stay as they were recorded; they are read at the pull's times.
struct LaidLog {
    std::string name; ///< where its channels come from ("control unit")
    std::string file;
    std::string sha256;
    LogClock clock;
    std::string unknownKeys;
    std::shared_ptr<const ChannelTable> rows; ///< null when they could not be read
    Statement problem;                        ///< why not
    bool operator==(const LaidLog&) const = default;
};

/// A column of a log as it stands among a pull's channels.
struct JoinedColumn {
    std::string name; ///< the channel's own where the pull does not record it, else with the log's name behind it
    size_t log = 0;
    size_t column = 0;
};
/// Every column of the logs but their times. What a power is made of (speed, torque, power, rollers) never takes the
/// pull's own name, so that a control unit's estimate is not taken for a brake's.
std::vector<JoinedColumn> joinedColumns(const ChannelTable& own, const std::vector<LaidLog>& logs);
/// The pull's rows with the channels of its logs at the same times, by straight lines between the log's rows; blank
/// outside the log and in its holes.
ChannelTable joinedTable(const ChannelTable& own, const std::vector<LaidLog>& logs);

} // namespace hillrun
