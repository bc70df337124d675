// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/weather/humid_air.h"
#include "formats/json_reader.h"

#include <optional>
#include <string>

namespace hillrun {

/// The air as it was measured; nothing for an empty object. Throws DataError (MissingKey) for a part of it.
std::optional<Atmosphere> weatherFromJson(ObjectReader in, std::string& unknownKeys);
Json weatherToJson(const Atmosphere& air);

} // namespace hillrun
