// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <optional>

namespace hillrun {

/// Names the speeds that count, or none; as chosen after looking as soon as the day has a pull.
void nameUse(TestDay& day, const std::optional<RpmRange>& use);

} // namespace hillrun
