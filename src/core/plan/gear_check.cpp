// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/gear_check.h"

#include "core/units/road_speed.h"

#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

struct Limit {
    const char* name;
    std::optional<double> speed_kmh;
};

Statement missingFigures(const TestDay& day, double end_rpm) {
    const Vehicle& vehicle = day.article.vehicle;
    Several missing;
    if (vehicle.gears.empty())
        missing.items.push_back({"gear.ratios"});
    if (!vehicle.tyreRadius_m)
        missing.items.push_back({"gear.tyre_radius"});
    if (!vehicle.finalDrive)
        missing.items.push_back({"gear.final_drive"});
    if (!(end_rpm > 0.0))
        missing.items.push_back({"gear.end_speed"});
    return missing.items.empty() ? Statement{} : Statement{"gear.needs", {missing}};
}

Statement warningOf(const TestDay& day, const GearCheck& check) {
    const auto& engine = day.article.engine;
    if (engine.limiter_rpm && check.end_rpm >= *engine.limiter_rpm)
        return {"gear.beyond_limiter", {Rpm{check.end_rpm}, Rpm{*engine.limiter_rpm}}};
    const auto gear = day.plan.protocol.gear;
    for (const GearRow& row : check.rows)
        if (gear && row.gear == *gear && !row.over.empty())
            return {"gear.over_limit",
                    {std::to_string(row.gear), decimals(row.speedAtEnd_kmh, 0, "km/h"), Several{row.over}}};
    return {};
}

} // namespace

GearCheck checkGears(const TestDay& day) {
    GearCheck out;
    const Vehicle& vehicle = day.article.vehicle;
    out.end_rpm = day.plan.protocol.end_rpm.value_or(day.article.engine.redLine_rpm.value_or(0.0));
    if (day.cell.kind == CellKind::EngineBrake) {
        out.why = {"gear.none_needed"};
        out.warning = warningOf(day, out);
        return out;
    }
    out.why = missingFigures(day, out.end_rpm);
    if (!out.why.empty())
        return out;
    const Limit limits[] = {
        {"gear.speed_limiter", vehicle.speedLimit_kmh},
        {"gear.tyre", vehicle.tyreLimit_kmh},
        {"gear.rollers", day.cell.kind == CellKind::HubBrake ? std::nullopt : day.cell.rollerLimit_kmh}};
    double nearest = 1e9;
    for (size_t i = 0; i < vehicle.gears.size(); ++i) {
        GearRow row;
        row.gear = static_cast<int>(i) + 1;
        row.ratio = vehicle.gears[i];
        row.speedAtEnd_kmh =
            kKmhPerMs * roadSpeed_ms(out.end_rpm, vehicle.gears[i] * *vehicle.finalDrive, *vehicle.tyreRadius_m);
        for (const Limit& limit : limits)
            if (limit.speed_kmh && row.speedAtEnd_kmh > *limit.speed_kmh)
                row.over.push_back({limit.name});
        const double distance = std::abs(std::log(row.ratio));
        if (row.over.empty() && distance < nearest) {
            nearest = distance;
            out.best = row.gear;
        }
        out.rows.push_back(std::move(row));
    }
    out.why = out.best > 0 ? Statement{"gear.best", {std::to_string(out.best)}} : Statement{"gear.all_over"};
    out.warning = warningOf(day, out);
    return out;
}

} // namespace hillrun
