// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/plan.h"
#include "core/history/day_record.h"

#include <span>

namespace hillrun {

/// What these days of one dyno repeat within, as a day with too few repeats may count it in; not known below three days
/// with repeats. The shapes' part is that of the days of `article` where one of them tells it, else of all.
EarlierRepeats earlierRepeats(std::span<const DayRecord* const> days, const std::string& article);

} // namespace hillrun
