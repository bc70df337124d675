// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/cell_check.h"
#include "formats/json_reader.h"

namespace hillrun {

/// The checks of a cell's instruments as a day keeps them. Throws DataError for what nobody can have hung or measured.
LoadCellCheck loadCellCheckFromJson(ObjectReader in);
Json loadCellCheckToJson(const LoadCellCheck& check);
StationCheck stationCheckFromJson(ObjectReader in);
Json stationCheckToJson(const StationCheck& check);

} // namespace hillrun
