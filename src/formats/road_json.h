// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/road/day_road.h"
#include "core/road/held_speed.h"
#include "formats/json_reader.h"

namespace hillrun {

/// The answer of `road --json`.
Json roadAnswer(const DayRoad& road);
/// The same at one engine speed held.
Json heldJson(const HeldAnswer& answer);

} // namespace hillrun
