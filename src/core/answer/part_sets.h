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
    WhichNumber,  ///< one setting in steps whose texts hold several numbers ("95/40") that change: see `numbers`
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

/// The numbers in the texts of the one setting that was run in steps.
struct SettingNumbers {
    std::string part;                     ///< as the builds name it
    std::vector<std::vector<double>> all; ///< for each number its value in each build
    std::vector<size_t> changing;         ///< which of them are run in steps, from 0
    std::optional<size_t> taken;          ///< the one that counts
    bool operator==(const SettingNumbers&) const = default;
};

/// Each build's parts beyond the base.
struct PartSets {
    CreditKind kind = CreditKind::None;
    WhyNoCredit why = WhyNoCredit::None;
    std::vector<CreditPart> parts;
    std::vector<PartSet> ofBuild; ///< in the order of the builds; of the base none
    std::optional<SweptSetting> sweep;
    std::optional<SettingNumbers> numbers; ///< of a setting whose texts hold more than one each
    /// Parts and settings that differ between builds, each once, also those that are not counted.
    std::vector<std::string> differing;
};

/// The first of `builds` is the base. `notes` says what counts with another part, or not at all.
PartSets partSetsOf(const std::vector<Build>& builds, const CreditNotes& notes = {});

/// A part's name as people say it: "ignition map" of "ignition_map".
std::string asSaid(std::string name);

/// A number of a text and what stands behind it up to the next one.
struct NumberInText {
    double value = 0.0;
    std::string after;
    bool operator==(const NumberInText&) const = default;
};
/// The numbers in a text such as "28°", "1,5 bar" or "95/40 jets"; none when a comma among them may be either
/// ("1,500").
std::vector<NumberInText> numbersIn(const std::string& text);

} // namespace hillrun
