// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/errors/data_error.h"
#include "core/pull/log_fit.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// Whether and how a log lies on one pull.
struct LogOnPull {
    std::string pull;
    std::optional<LogFit> fit;
    std::optional<DataError> whyNot; ///< where there is no fit
    std::vector<std::string> alike;  ///< pulls that the same stretch of the log fits as well: speed alone cannot tell
};

LogOnPull tryLogOn(const Pull& pull, const ChannelTable& log);
/// Where two pulls claim one stretch of the log, the one that fits clearly better keeps it and the other says so
/// (LogOfAnother). Of those that fit alike (a brake that repeats its sweep to the revolution) the time of day decides
/// where it is known; else they are `alike`. `tried`: of pulls of the day; `logZero_s`: when the log's clock showed
/// zero, in seconds since 1970.
void settleClaims(const TestDay& day, std::vector<LogOnPull>& tried, std::optional<double> logZero_s);
/// Tries a log on every pull of the day, and settles their claims.
std::vector<LogOnPull> tryLog(const TestDay& day, const ChannelTable& log,
                              std::optional<double> logZero_s = std::nullopt);

} // namespace hillrun
