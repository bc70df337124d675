// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/statement/statement.h"

#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// The usual ways to order the pulls of a day (common practice).
enum class DesignKind {
    AB,            ///< base, then each build
    ABA,           ///< back to the base after each build
    ABBA,          ///< out and back through all builds
    Ladder,        ///< each step on top of the last, then the base again
    TwoByTwo,      ///< neither, one, the other, both, then the base again
    Sweep,         ///< one setting in steps, then the base again
    TwoByTwoByTwo, ///< every combination of three parts, so ordered that drift weighs little on any, and the base
    RR,            ///< the base alone, taken off and fitted again: it teaches what refitting adds
};
struct DesignInfo {
    DesignKind kind;
    const char* name; ///< "a-b-a", as in a day.json; its words: "design_title." and "design." with the name
    size_t fewestBuilds;
    size_t mostBuilds;
};
std::span<const DesignInfo> designs();
/// By its name in any case, with or without dashes ("ABA", "a-b-a", "2x2"); nullptr when there is none.
const DesignInfo* designNamed(const std::string& name);

/// The build of each planned pull, in order. `builds` in build order, the base first; those a design has no use for
/// are left out. Needs at least as many builds as the design.
std::vector<std::string> orderOf(DesignKind kind, const std::vector<std::string>& builds, int pullsPerSet);

/// Planned pulls before which the build that stays is taken off and fitted again (`Plan::refits`).
std::vector<size_t> refitsOf(DesignKind kind, int pullsPerSet);

/// The same for a day's own builds: of a lattice whose parts are noted by those, in whatever order the builds stand.
std::vector<std::string> orderOf(DesignKind kind, const TestDay& day);

/// The base and a copy of it for each value of one setting (or part, when the base has a part of that name); the base
/// keeps its own value. At most eight builds.
std::vector<Build> sweepBuilds(const TestDay& day, const std::string& setting, const std::vector<std::string>& values);

/// An unbroken run of planned pulls with one build fitted.
struct PlannedSet {
    std::string build;
    size_t first = 0; ///< into the order
    size_t pulls = 0;
    bool refit = false; ///< of the same build as the set before it, taken off and fitted again
    bool operator==(const PlannedSet&) const = default;
};
std::vector<PlannedSet> plannedSets(const std::vector<std::string>& order, const std::vector<size_t>& refits = {});
/// The build of each of them.
std::vector<std::string> buildsOfSets(const std::vector<std::string>& order);
/// The plan's sets with so many pulls each, in the order in which they stand.
void setPullsPerSet(Plan& plan, int pulls);

/// What is weak in this order of pulls, the gravest first; empty when nothing is.
std::vector<Statement> planWeaknesses(const TestDay& day, const std::vector<std::string>& order);

/// "1 change", "3 changes together", "no change noted"; "base" for the first build.
Statement changesPhrase(const TestDay& day, const Build& build);

/// How long the pulls take, minutes; what the plan does not say counts as 4 minutes to cool down and 20 to change a
/// build (common practice).
double planMinutes(const Plan& plan, const std::vector<std::string>& order);

} // namespace hillrun
