// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "formats/json_reader.h"

namespace hillrun {

/// The keys of a day.json that plan the day and record what was done: "plan", "cautions", "changes". Throws DataError.
void readPlanned(TestDay& day, ObjectReader& in);
/// Writes them; a day without a plan gets no key.
void addPlanned(Json& out, const TestDay& day);

} // namespace hillrun
