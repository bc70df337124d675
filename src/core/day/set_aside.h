// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <span>
#include <string_view>

namespace hillrun {

/// The reasons to set a pull aside that the program knows: "throttle_short". Their words: "reason." with the code.
std::span<const char* const> setAsideReasons();
bool isSetAsideReason(std::string_view code);
/// Those that are offered when somebody sets a pull aside by hand, the most usual first (common practice).
std::span<const char* const> usualReasons();

} // namespace hillrun
