// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/best_of.h"
#include "core/answer/family.h"
#include "core/answer/use.h"
#include "core/statement/statement.h"

#include <string>
#include <vector>

namespace hillrun {

/// One build among all of the day.
struct FieldBuild : BuildScore {
    std::string id;
};

/// A stretch of engine speed and the builds that may lead there: one is proven, several nobody can tell apart.
struct LeadStretch {
    RpmRange range_rpm;
    std::vector<std::string> builds;
    bool operator==(const LeadStretch&) const = default;
};

/// Three builds and more held against each other, for a use.
struct Field {
    Use use;
    std::string base;
    std::vector<FieldBuild> builds; ///< in the day's order
    std::vector<LeadStretch> leads;
    bool protectedFromDrift = true;
    bool boundDeclared = false;

    /// The one with the highest gain among those that may be best; empty when nobody can tell anything.
    [[nodiscard]] std::string named() const;
    /// One alone may be best.
    [[nodiscard]] bool provenBest() const;
    [[nodiscard]] bool mayClaim() const { return protectedFromDrift || boundDeclared; }
};

/// Needs three builds with pulls that cover the use, and degrees of freedom; else nothing. `judged` holds all pairs.
std::optional<Field> fieldOf(const DayModel& model, const std::vector<std::string>& builds, const Use& use,
                             const JudgedContrasts& judged, const DriftSettings& drift, DrawCache& cache);

/// Best first; builds without a figure last.
std::vector<FieldBuild> byGain(const Field& field);

/// "may be best"
Statement fieldVerdict(const Field& field, const FieldBuild& build);

/// "For 4500 to 7500 rpm D is best, or E or F, which nobody can tell apart yet; A, B and C are worse." and what taking
/// the named one gives away at most.
std::vector<Statement> fieldSummary(const Field& field);

} // namespace hillrun
