// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/history/day_record.h"

#include <string>
#include <string_view>

namespace hillrun {

/// A day's record as text. Curves in tenths of a watt; the summary is not in it, it is said apart.
std::string recordToJson(const DayRecord& record);
/// The inverse. `from` names where the text lies. Throws DataError.
DayRecord recordFromJson(std::string_view text, const std::string& from);

} // namespace hillrun
