// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/weather/air_sheet.h"

#include "core/errors/data_error.h"

namespace hillrun {

std::vector<AirRow> airSheet(const HumidAir& air, const EngineForAir& engine, std::optional<double> power_w) {
    std::vector<AirRow> out;
    for (const StandardInfo& info : standards()) {
        AirRow row;
        row.id = info.id;
        try {
            row.factor = airFactor(info.id, air, engine);
            row.terms = airTerms(info.id, air, engine);
            if (power_w && *power_w > 0.0 && usesFriction(info.id, engine)) {
                const double full = frictionFactor(air, *power_w, engine.friction.front().power_w);
                const double scale = row.factor->factor != 1.0 ? (full - 1.0) / (row.factor->factor - 1.0) : 1.0;
                row.terms = {row.terms.pressure_pct * scale, row.terms.humidity_pct * scale,
                             row.terms.temperature_pct * scale};
                row.factor->factor = full;
            }
        } catch (const DataError& error) {
            row.factor.reset();
            row.problem = error;
        }
        out.push_back(std::move(row));
    }
    return out;
}

} // namespace hillrun
