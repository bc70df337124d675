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
    std::string name; ///< "pipe", "pipe + map"
    std::vector<Change> changes;
    std::vector<Change> countedWith; ///< what somebody said counts with it
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

/// One setting with a number in each build, three different ones or more.
struct SweptSetting {
    std::string name;
    std::string unit; ///< what follows the number in every build, with the space before it: " mm", "°"; else empty
    std::vector<double> ofBuild;
    bool operator==(const SweptSetting&) const = default;
};

/// Each build's parts beyond the base.
struct PartSets {
    CreditKind kind = CreditKind::None;
    WhyNoCredit why = WhyNoCredit::None;
    std::vector<CreditPart> parts;
    std::vector<PartSet> ofBuild; ///< in the order of the builds; of the base none
    std::optional<SweptSetting> sweep;
    /// Parts and settings that differ between builds, each once, also those that are not counted.
    std::vector<std::string> differing;
};

/// The first of `builds` is the base. `notes` says what counts with another part, or not at all.
PartSets partSetsOf(const std::vector<Build>& builds, const CreditNotes& notes = {});

/// The number in a text such as "28°", "160 mm" or "1,5 bar"; nothing for none, for more than one ("95/40"), or for one
/// whose comma may be either ("1,500").
std::optional<double> numberIn(const std::string& text);

} // namespace hillrun
