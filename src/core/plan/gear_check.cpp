// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/gear_check.h"

#include "core/units/units.h"

#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

struct Limit {
    const char* name;
    std::optional<double> speed_kmh;
};

std::string missingFigures(const TestDay& day, double end_rpm) {
    const Vehicle& vehicle = day.article.vehicle;
    std::vector<std::string> missing;
    if (vehicle.gears.empty())
        missing.emplace_back("gear ratios");
    if (!vehicle.tyreRadius_m)
        missing.emplace_back("tyre radius");
    if (!vehicle.finalDrive)
        missing.emplace_back("final drive");
    if (!(end_rpm > 0.0))
        missing.emplace_back("end speed or red line");
    return missing.empty() ? std::string() : fmt::format("Needs {} of the article.", fmt::join(missing, ", "));
}

std::string warningOf(const TestDay& day, const GearCheck& check) {
    const auto& engine = day.article.engine;
    if (engine.limiter_rpm && check.end_rpm >= *engine.limiter_rpm)
        return fmt::format("The pull ends at {:.0f} rpm, the limiter cuts in at {:.0f} rpm.", check.end_rpm,
                           *engine.limiter_rpm);
    const auto gear = day.plan.protocol.gear;
    for (const GearRow& row : check.rows)
        if (gear && row.gear == *gear && !row.over.empty())
            return fmt::format("Gear {} reaches {:.0f} km/h: above the limit of the {}.", row.gear, row.speedAtEnd_kmh,
                               fmt::join(row.over, " and the "));
    return {};
}

} // namespace

GearCheck checkGears(const TestDay& day) {
    GearCheck out;
    const Vehicle& vehicle = day.article.vehicle;
    out.end_rpm = day.plan.protocol.end_rpm.value_or(day.article.engine.redLine_rpm.value_or(0.0));
    if (day.cell.kind == CellKind::EngineBrake) {
        out.why = "An engine brake needs no gear.";
        out.warning = warningOf(day, out);
        return out;
    }
    out.why = missingFigures(day, out.end_rpm);
    if (!out.why.empty())
        return out;
    const Limit limits[] = {{"speed limiter", vehicle.speedLimit_kmh},
                            {"tyre", vehicle.tyreLimit_kmh},
                            {"rollers", day.cell.kind == CellKind::HubBrake ? std::nullopt : day.cell.rollerLimit_kmh}};
    double nearest = 1e9;
    for (size_t i = 0; i < vehicle.gears.size(); ++i) {
        GearRow row;
        row.gear = static_cast<int>(i) + 1;
        row.ratio = vehicle.gears[i];
        row.speedAtEnd_kmh =
            3.6 * angularSpeed(out.end_rpm) * *vehicle.tyreRadius_m / (vehicle.gears[i] * *vehicle.finalDrive);
        for (const Limit& limit : limits)
            if (limit.speed_kmh && row.speedAtEnd_kmh > *limit.speed_kmh)
                row.over.emplace_back(limit.name);
        const double distance = std::abs(std::log(row.ratio));
        if (row.over.empty() && distance < nearest) {
            nearest = distance;
            out.best = row.gear;
        }
        out.rows.push_back(std::move(row));
    }
    out.why = out.best > 0
                  ? fmt::format("Gear {} is nearest to direct drive and stays under every known limit.", out.best)
                  : "Every gear passes a limit at this engine speed. End the pull lower.";
    out.warning = warningOf(day, out);
    return out;
}

} // namespace hillrun
