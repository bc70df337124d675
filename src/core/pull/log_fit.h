// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/day/laid_log.h"

namespace hillrun {

/// A log laid onto a pull by the engine speed that both recorded.
struct LogFit {
    LogClock clock;
    double overlap_s = 0.0;          ///< of the pull's time that the log covers
    double misfit_rpm = 0.0;         ///< how far the speeds are apart in means over 0.3 s or 1 s, whichever says more
    double expected_rpm = 0.0;       ///< what scatter from row to row leaves in such means
    [[nodiscard]] bool good() const; ///< no worse than two records of one pull are
};

/// Finds the clock by the engine speed: first the lag at which speed and its rate differ least, then lag and drift by
/// least squares with outliers weighed down. Both tables need time and engine_speed.
/// Throws DataError (NoTimeChannel, NoSpeedChannel, LogTooShort, LogSteady, LogDiffers, LogAmbiguous).
LogFit fitLog(const ChannelTable& pull, const ChannelTable& log);
/// What the fit is when somebody says how the clocks stand. Throws DataError (NoTimeChannel, NoSpeedChannel,
/// LogTooShort).
LogFit judgeLog(const ChannelTable& pull, const ChannelTable& log, const LogClock& clock);

} // namespace hillrun
