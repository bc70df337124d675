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
    {{"emergency_stop", "Emergency stop tried today; whoever stands by knows where it is"}, always},
    {{"nobody_in_plane", "Nobody in the plane of rotation or behind the driven wheels; door shut, light on"}, always},
    {{"extraction", "Exhaust extraction and fresh air run; carbon monoxide alarm on"}, always},
    {{"extinguisher", "Extinguisher for fuel fires at hand, its date good"}, always},
    {{"ears_eyes", "Ears and eyes protected, no loose clothing"}, always},
    {{"fuel_lines", "Fuel lines, unions and return tight and dry under pressure"}, always},
    {{"shaft_guard", "Shaft guard closed, coupling bolts and shaft looked at"}, engineBrake},
    {{"engine_mounts", "Engine mounts and torque arm tight, throttle closes by itself"}, engineBrake},
    {{"hub_bolts", "Hub adapters seated, bolts torqued, stands level and locked"}, hubBrake},
    {{"straps", "Straps front and rear tight, hooks and eyes sound, wheels straight on the rollers"}, isChassis},
    {{"tyres", "Tyres rated for the speed, pressures set, no stones or plugs, tread sound"}, isChassis},
    {{"driven_only", "Parking brake and traction aids as the cell's rules say; free wheels chocked"}, vehicle},
    {{"alcohol_flame", "Alcohol fuel: burns without visible flame; water at hand, extinguisher fit for it"}, alcohol},
    {{"alcohol_skin", "Alcohol fuel: gloves on, vapour kept away from ignition, spills washed down"}, alcohol},
    {{"gas_leak", "Gas fuel: leak test done, low places aired, cylinder valve within reach"}, gas},
    {{"nitrous_bottle", "Nitrous: bottle strapped down, blow-down vented outside, warmer off while unattended"},
     nitrous},
    {{"nitrous_purge", "Nitrous: purge away from people and flames; armed only at full throttle"}, nitrous},
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

const char* cautionsPreface() {
    return "Hill Run records and advises. It is no safety device and does not make a pull safe: the rules of your "
           "cell, "
           "local codes and licensed practice come first.";
}

} // namespace hillrun
