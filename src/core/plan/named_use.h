// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <optional>

namespace hillrun {

/// Names what the builds are wanted for; as chosen after looking as soon as the day has a pull.
void nameUse(TestDay& day, WantedUse use);

/// Straight lines between the weights; nothing outside them. Throws DataError (BadValue) for weights that do not rise
/// in speed, are negative, or all nothing.
Use useOf(std::vector<RpmWeight> weights);

/// What a wanted use comes down to for an article; nothing for the whole range, or with why it cannot be told.
struct UsedSpeeds {
    std::optional<Use> use;
    Statement whyNot;
};
/// A shift is made at the red line: common practice. Landing speed = red line * ratio of the gear / ratio of the one
/// below it. Throws as `useOf` does.
UsedSpeeds usedSpeeds(const WantedUse& wanted, const Article& article);
/// Of the day's plan; what cannot be told is left out.
std::optional<Use> usedSpeeds(const TestDay& day);

/// "5 500 rpm held within 150 rpm", "third gear from shift to shift, 4 900-7 000 rpm"; of `use` as it was worked with.
Statement usePhrase(const TestDay& day, const Use& use);

/// "4 500-7 500 rpm", or that they are weighted, for a hole of another sentence.
Argument countedSpeeds(const RpmRange& range_rpm, bool weighted);

} // namespace hillrun
