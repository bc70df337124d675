// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <span>
#include <string>
#include <string_view>

namespace hillrun {

/// What a part or setting acts on. It tells which differences of two builds it explains.
enum class PartRole { Fuel, Jets, Map, Boost, Ignition, Intake, Exhaust, ValveTrain, Other };

std::span<const PartRole> partRoles();
/// "valve_train", as in a day.json.
const char* partRoleName(PartRole role);
/// From the words of its name; Other when none is known.
PartRole guessedRole(std::string_view partName);

} // namespace hillrun
