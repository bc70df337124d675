// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/credit.h"
#include "core/answer/effect.h"

namespace hillrun {

/// What is meant by the gain of a part.
enum class CreditView {
    AsRun,     ///< each step between two builds that were run
    Alone,     ///< on the base
    OnTop,     ///< on all other parts
    FairShare, ///< the mean over all orders
};
inline constexpr int kCreditViews = 4;

/// How a gain is drawn: as proven, or as open.
enum class GainMark { Open, Gain, Loss };
GainMark markOf(const CreditAmount& amount);

/// Null for a part that was not told apart.
const CreditShare* shareOf(const Credit& credit, size_t part);
/// The steps that this part lies between, in the order they were found.
std::vector<const CreditStep*> stepsOf(const Credit& credit, size_t part);
/// What the view says of a part; null where it says nothing, or several things.
const CreditAmount* amountOf(const Credit& credit, CreditView view, size_t part);
/// Whether the day has anything to show of it.
bool hasView(const Credit& credit, CreditView view);
/// The one that is asked for first.
CreditView usualView(const Credit& credit);

/// One stair: from the height where the last one ended, with the interval around its end.
struct Stair {
    std::optional<size_t> part;  ///< nothing: the total
    std::optional<size_t> build; ///< that it leads to, in a ladder
    CreditAmount amount;
    double from_w = 0.0;
    double to_w = 0.0;
    double low_w = 0.0; ///< of its end, were its beginning exact
    double high_w = 0.0;
};
/// The parts one after the other, the total last; empty where there is nothing that adds up.
std::vector<Stair> stairsOf(const Credit& credit, CreditView view);

/// A share along rpm, W, with the band over all shares at once.
struct ShareBand {
    std::vector<double> value_w;
    Edges edges_w;
};
ShareBand bandOf(const CreditCurve& curve);

} // namespace hillrun
