// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/part_facts.h"
#include "core/compare/analyse.h"
#include "core/statement/statement.h"
#include "core/units/units.h"

namespace hillrun {

/// "410-760 EUR/kW", "410 EUR/kW at least"; empty when the part has no price.
Statement pricePhrase(const PartFacts& facts, const std::string& currency, DisplayUnits units);
/// "expected 2-3 kW: as expected"; empty when nothing was expected.
Statement expectedPhrase(const PartFacts& facts, DisplayUnits units);

/// "Peak power a litre: 71.9 kW with A, 69.4 kW with B", of builds whose noted displacements differ; else empty.
Statement specificPhrase(const DayAnalysis& analysis, const Build& from, const Build& to);

} // namespace hillrun
