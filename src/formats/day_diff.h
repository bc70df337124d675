// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "core/statement/statement.h"

#include <string>
#include <vector>

namespace hillrun {

/// What differs between a day here and the same day on disk, a line a value ("pull p03, use: false here, true on
/// disk"). Pulls and builds are told by their ids, not by their places. At most `most` lines; the last then counts the
/// rest.
std::vector<Statement> dayDifferences(const TestDay& here, const TestDay& onDisk, size_t most = 30);

} // namespace hillrun
