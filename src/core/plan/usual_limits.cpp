// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/usual_limits.h"

#include "core/pull/derived.h"

#include <cmath>
#include <optional>

namespace hillrun {
namespace {

constexpr double kStandardAtmosphere_kpa = 101.325; // ISO 2533

double hottestExhaust_c(const EngineCard& engine) {
    if (engine.ignition == Ignition::Compression)
        return 750.0;
    if (engine.strokes == 2)
        return 700.0;
    return engine.aspiration == Aspiration::Natural ? 900.0 : 980.0;
}

/// Nothing for a diesel, which always runs lean, and for fuels without a usual limit.
std::optional<double> leanest(const Article& article) {
    const bool known = article.fuel.kind == FuelKind::Petrol || article.fuel.kind == FuelKind::Alcohol;
    if (article.engine.ignition == Ignition::Compression || !known)
        return std::nullopt;
    return article.engine.aspiration == Aspiration::Natural ? 1.02 : 0.95;
}

} // namespace

std::vector<WatchLimit> usualLimits(const Article& article) {
    const EngineCard& engine = article.engine;
    const bool spark = engine.ignition == Ignition::Spark;
    std::vector<WatchLimit> out;
    if (engine.strokes != 2) // most have no oil pressure
        out.push_back({"oil_pressure", LimitSide::Below, spark ? 150.0 : 100.0});
    out.push_back({"coolant_temperature", LimitSide::Above, 110.0});
    out.push_back({"oil_temperature", LimitSide::Above, 140.0});
    out.push_back({"exhaust_gas_temperature", LimitSide::Above, hottestExhaust_c(engine)});
    if (spark)
        out.push_back({"knock_retard", LimitSide::Above, 6.0});
    if (const auto lean = leanest(article)) {
        out.push_back({"lambda", LimitSide::Above, *lean});
        out.push_back(
            {"air_fuel_ratio", LimitSide::Above, std::round(10.0 * ratioFromLambda(*lean, article.fuel.kind)) / 10.0});
    }
    if (engine.aspiration != Aspiration::Natural && engine.boostPressureRatio)
        out.push_back({"manifold_pressure", LimitSide::Above,
                       std::round(1.1 * *engine.boostPressureRatio * kStandardAtmosphere_kpa)});
    return out;
}

std::vector<WatchLimit> limitsOf(const Article& article) { return article.limits.value_or(usualLimits(article)); }

} // namespace hillrun
