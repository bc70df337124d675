// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/compare/field_content.h"
#include "core/compare/quantity.h"

// What the pair shows of another curve than power and torque, made from the answer without any widget.

namespace hillrun {

/// "Boost"
QString quantityNameText(const QuantityKind& kind);
/// The curves of both builds.
BoardContent quantityCurves(const TestDay& day, const QuantityAnswer& answer, const CompareView& view,
                            const Theme& theme);
/// What one has more than the other, with the band that judges it.
BoardContent quantityDifference(const QuantityAnswer& answer, const CompareView& view, const Theme& theme);
std::vector<BandRow> quantityRows(const QuantityAnswer& answer, const QuantityPair& pair);
/// Both builds' values and the difference at a speed, in one line.
QString quantityCursor(const QuantityAnswer& answer, const CompareView& view, double rpm);

/// The other curve that is looked at; null for power and torque, and while it is being worked out.
const QuantityAnswer* curveLookedAt(const DayAnalysis& analysis, const std::string& id);

/// All builds in it: every curve, the chosen one in front; rows of the ladder, the highest first; the sentence.
BoardContent quantityField(const TestDay& day, const DayAnalysis& analysis, const QuantityAnswer& answer,
                           const CompareView& view, const Theme& theme);
std::vector<FieldRow> quantityFieldRows(const TestDay& day, const DayAnalysis& analysis, const QuantityAnswer& answer);
QString quantityFieldText(const DayAnalysis& analysis, const QuantityAnswer& answer);

} // namespace hillrun
