// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <map>
#include <optional>
#include <string>
#include <utility>

namespace hillrun {

/// What somebody knows or expects of one part of the day.
struct PartNote {
    std::optional<double> cost; ///< in the builds' currency, where theirs do not say it
    std::optional<double> mass_kg;
    /// What it was expected to give, from and to, W.
    std::optional<std::pair<double, double>> expected_w;
    bool expectedAfterLooking = false; ///< typed when pulls were there already
    std::string unknownKeys;
    bool operator==(const PartNote&) const = default;
};

/// What the day's credit rests on besides its builds. Part of a TestDay.
struct CreditNotes {
    /// Parts and settings that count with another one, by name; with an empty name: not at all.
    std::map<std::string, std::string> countsWith;
    /// Of a setting whose texts hold several numbers ("95/40"): the one that counts, from 1.
    std::map<std::string, size_t> numberOf;
    std::optional<double> interactionBound_pct; ///< declared: every interaction that was not run is at most this
    std::map<std::string, PartNote> parts;      ///< by the first change of each part
    std::string unknownKeys;
    bool operator==(const CreditNotes&) const = default;
};

} // namespace hillrun
