// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <vector>

namespace hillrun {

/// Parts by their numbers, a bit each.
using PartSet = unsigned;

/// What counts as one part: the changes from the base that no build has one without the other.
struct CreditPart {
    std::string name; ///< "pipe", "pipe and map"
    std::vector<Change> changes;
    bool operator==(const CreditPart&) const = default;
};

/// What the builds of a day can answer about their parts.
enum class CreditKind {
    None,    ///< see `WhyNoCredit`
    Ladder,  ///< each build adds to the one before
    Lattice, ///< every combination was run
    Partial, ///< some combinations
    Sweep    ///< one setting in three steps or more
};
enum class WhyNoCredit {
    None,
    OneBuild,
    NothingNoted, ///< a build differs from the base in nothing that is noted
    SameTwice,    ///< two builds hold the same parts
    Alternatives, ///< one part in several shapes that exclude each other: the field tells which is best
    TooMany       ///< more than `kMostParts`
};
inline constexpr size_t kMostParts = 6;

/// Each build's parts beyond the base.
struct PartSets {
    CreditKind kind = CreditKind::None;
    WhyNoCredit why = WhyNoCredit::None;
    std::vector<CreditPart> parts;
    std::vector<PartSet> ofBuild; ///< in the order of the builds; of the base none
};

/// The first of `builds` is the base.
PartSets partSetsOf(const std::vector<Build>& builds);

/// The number in a text such as "28°", "160 mm" or "1,5 bar"; nothing for none, for more than one ("95/40"), or for one
/// whose comma may be either ("1,500").
std::optional<double> numberIn(const std::string& text);

} // namespace hillrun
