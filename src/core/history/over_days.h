// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/history/across_ladder.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// One earlier build against one of today's.
struct EarlierPair {
    AcrossAnswer answer;
    std::optional<CurveAcross> curve;
};

/// Corrected power of a build on its day, the mean of its pulls.
struct CurveOfDay {
    BuildOfDay build;
    std::vector<double> rpm;
    std::vector<double> power_w;
};

/// What is planned for today, held against an earlier build before a pull is made: half widths of the interval.
struct PlannedAcross {
    BuildOfDay earlier;
    std::string build;               ///< of today, the one that is told least of
    std::optional<double> half;      ///< log scale; nothing: no interval can be given
    std::optional<double> halfAgain; ///< were the earlier build run again today, before and after
};

/// Today and earlier days together.
struct OverDays {
    std::vector<EarlierPair> pairs; ///< each earlier build with each of today's, in both orders of the day
    std::vector<CurveOfDay> curves; ///< of the earlier builds
    std::vector<PlannedAcross> planned;
    AcrossLadder ladder;            ///< of today's article
    std::vector<std::string> days;  ///< that stand behind it, in order: "2026-05-16"
    std::vector<Statement> whyNot;  ///< what could not be compared
    std::vector<Statement> remarks; ///< on all of it
    [[nodiscard]] const EarlierPair* find(const BuildOfDay& earlier, const std::string& build) const;
};

/// What one asks of it.
struct OverDaysWanted {
    bool ladder = false;
    bool curves = false; ///< along rpm
};

/// `today`: what is known of the open day, without pulls while it is only planned. `cell`: all known days; those of
/// today's dyno count, and of them those of today's article and of the earlier builds are the net.
OverDays overDays(const TestDay& day, const DayRecord& today, const std::vector<DayRecord>& known,
                  const OverDaysWanted& wanted);

} // namespace hillrun
