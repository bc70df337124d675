// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <optional>
#include <span>

namespace hillrun {

/// Repeatability of one day: variance of a pull's level, and the degrees of freedom behind it.
struct DayVariance {
    double variance = 0.0;
    double freedom = 0.0;
};

/// What earlier days of a cell are worth for today's repeatability: a variance, and as many degrees of freedom as the
/// days agree for.
struct VarianceHistory {
    double variance = 0.0;
    double freedom = 0.0;
};

/// By the scatter of the days' log variances, against what their degrees of freedom let expect. Nothing below three
/// days that have some. Method and sources: docs/method.md, "What the cell repeats within".
std::optional<VarianceHistory> varianceHistory(std::span<const DayVariance> days);

/// The same, its freedom taken at the lower 20 % point of redraws from it: for days with one pull a build, where all
/// hangs on history. From twelve days on it is varianceHistory() itself.
std::optional<VarianceHistory> cautiousHistory(std::span<const DayVariance> days);

/// Today's with history.
DayVariance withHistory(const DayVariance& today, const VarianceHistory& history);

} // namespace hillrun
