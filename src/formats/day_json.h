// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"

#include <string>
#include <string_view>

namespace hillrun {

inline constexpr int kDayVersion = 1;

/// A day from the text of its day.json, raw tables not read yet. Unknown keys are kept in the structs they stood in.
/// Throws DataError with file and key.
TestDay dayFromJson(std::string_view text, const std::string& file);

/// The text of day.json; unknown keys are written back.
std::string dayToJson(const TestDay& day);

/// One pull as it stands in day.json, on one line, and back. Throws DataError.
std::string pullToJson(const Pull& pull);
Pull pullFromJson(std::string_view text, const std::string& file);

} // namespace hillrun
