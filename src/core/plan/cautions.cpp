// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/cautions.h"

#include <algorithm>

namespace hillrun {
namespace {

bool isChassis(const TestDay& day) {
    return day.cell.kind == CellKind::ChassisBrake || day.cell.kind == CellKind::ChassisInertia;
}
bool always(const TestDay&) { return true; }
bool engineBrake(const TestDay& day) { return day.cell.kind == CellKind::EngineBrake; }
bool hubBrake(const TestDay& day) { return day.cell.kind == CellKind::HubBrake; }
bool vehicle(const TestDay& day) { return !engineBrake(day); }
bool alcohol(const TestDay& day) { return day.article.fuel.kind == FuelKind::Alcohol; }
bool gas(const TestDay& day) { return day.article.fuel.kind == FuelKind::Gas; }
bool nitrous(const TestDay& day) { return day.article.nitrous; }

struct Rule {
    Caution caution;
    bool (*applies)(const TestDay&);
};

// Common practice.
constexpr Rule kRules[] = {
    {{"emergency_stop"}, always},   {{"nobody_in_plane"}, always},    {{"extraction"}, always},
    {{"extinguisher"}, always},     {{"ears_eyes"}, always},          {{"fuel_lines"}, always},
    {{"shaft_guard"}, engineBrake}, {{"engine_mounts"}, engineBrake}, {{"hub_bolts"}, hubBrake},
    {{"straps"}, isChassis},        {{"tyres"}, isChassis},           {{"driven_only"}, vehicle},
    {{"alcohol_flame"}, alcohol},   {{"alcohol_skin"}, alcohol},      {{"gas_leak"}, gas},
    {{"nitrous_bottle"}, nitrous},  {{"nitrous_purge"}, nitrous},
};

} // namespace

std::vector<Caution> cautionsFor(const TestDay& day) {
    std::vector<Caution> out;
    for (const Rule& rule : kRules)
        if (rule.applies(day))
            out.push_back(rule.caution);
    return out;
}

std::vector<Caution> cautionsOpen(const TestDay& day) {
    std::vector<Caution> out = cautionsFor(day);
    std::erase_if(out, [&](const Caution& caution) {
        return std::any_of(day.cautions.begin(), day.cautions.end(),
                           [&](const CautionTick& tick) { return tick.id == caution.id; });
    });
    return out;
}

} // namespace hillrun
