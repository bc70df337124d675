// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/day/part_role.h"

#include <algorithm>
#include <array>
#include <cctype>

namespace hillrun {
namespace {

struct RoleInfo {
    PartRole role;
    const char* name;
    std::array<std::string_view, 12> words; ///< any of them in a name, small letters
};

// In the order they are tried: "ignition map" is about ignition, "exhaust cam" about the valve train, "exhaust
// manifold" about the exhaust.
constexpr RoleInfo kRoles[] = {
    {PartRole::Ignition, "ignition", {"ignition", "timing", "spark", "plug", "advance", "coil"}},
    {PartRole::ValveTrain,
     "valve_train",
     {"cam", "valve lift", "valve spring", "valve train", "rocker", "tappet", "lobe", "lifter"}},
    {PartRole::Boost,
     "boost",
     {"boost", "turbo", "wastegate", "compressor", "charger", "blower", "intercooler", "charge"}},
    {PartRole::Jets, "jets", {"jet", "needle", "carburet", "injector"}},
    {PartRole::Fuel, "fuel", {"fuel", "octane", "mixture", "lambda", "petrol", "diesel"}},
    {PartRole::Exhaust,
     "exhaust",
     {"exhaust", "pipe", "header", "collector", "muffler", "silencer", "primary", "primaries"}},
    {PartRole::Intake,
     "intake",
     {"intake", "inlet", "airbox", "filter", "runner", "throttle", "plenum", "trumpet", "manifold"}},
    {PartRole::Map, "map", {"map"}},
    {PartRole::Other, "other", {}},
};

constexpr PartRole kInOrder[] = {PartRole::Fuel,    PartRole::Jets,       PartRole::Map,
                                 PartRole::Boost,   PartRole::Ignition,   PartRole::Intake,
                                 PartRole::Exhaust, PartRole::ValveTrain, PartRole::Other};

} // namespace

std::span<const PartRole> partRoles() { return kInOrder; }

const char* partRoleName(PartRole role) {
    return std::find_if(std::begin(kRoles), std::end(kRoles), [&](const RoleInfo& info) { return info.role == role; })
        ->name;
}

PartRole guessedRole(std::string_view partName) {
    std::string name(partName);
    std::transform(name.begin(), name.end(), name.begin(),
                   [](unsigned char c) { return c == '_' || c == '-' ? ' ' : static_cast<char>(std::tolower(c)); });
    for (const RoleInfo& info : kRoles)
        for (const std::string_view word : info.words)
            if (!word.empty() && name.find(word) != std::string::npos)
                return info.role;
    return PartRole::Other;
}

} // namespace hillrun
