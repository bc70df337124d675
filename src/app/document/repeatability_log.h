// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <filesystem>
#include <string>

namespace hillrun {

/// How well one pull of an article repeats, from days that were measured.
struct MeasuredRepeatability {
    double sd = 0.005;        ///< of the log of the mean power; half a per cent to start with (common practice)
    int degreesOfFreedom = 0; ///< 0: not measured
    int days = 0;
    bool operator==(const MeasuredRepeatability&) const = default;
};

/// Remembers the repeatability of every day that was looked at, by article, in one small file. A day counts once.
class RepeatabilityLog {
public:
    explicit RepeatabilityLog(std::filesystem::path file) : m_file(std::move(file)) {}
    /// Notes or renews what a day tells; days with fewer than three degrees of freedom are not noted.
    void note(const TestDay& day, const std::filesystem::path& dayPath, const DayAnalysis& analysis);
    /// Pooled over the article's days, weighted by their degrees of freedom; `except` (this day itself) is left out.
    [[nodiscard]] MeasuredRepeatability of(const std::string& article, const std::filesystem::path& except) const;

private:
    std::filesystem::path m_file;
};

} // namespace hillrun
