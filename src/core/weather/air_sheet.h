// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/errors/data_error.h"
#include "core/weather/air_terms.h"

namespace hillrun {

/// What one standard makes of a condition.
struct AirRow {
    Standard id = Standard::Uncorrected;
    std::optional<AirFactor> factor; ///< nothing when it can give none
    AirTerms terms;
    std::optional<DataError> problem; ///< why it gives none, and what to do
};

/// All standards side by side for one condition. With friction measured and an observed power in W, SAE J1349 stands in
/// its full form at the first of the friction's speeds.
std::vector<AirRow> airSheet(const HumidAir& air, const EngineForAir& engine, std::optional<double> power_w);

} // namespace hillrun
