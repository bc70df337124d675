// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cstddef>
#include <string>
#include <string_view>

namespace hillrun {

/// Text from outside as it may be shown to a person or a terminal: valid UTF-8, control characters and marks that turn
/// the writing direction as blanks, at most `most` characters, the last an ellipsis when it was cut.
std::string shownText(std::string_view text, size_t most = 200);

/// Text from outside as it is kept (names of channels, say): valid UTF-8, bytes that are none taken as Latin-1 (common
/// practice of old loggers), control characters as blanks. Its length stays.
std::string keptText(std::string_view text);

} // namespace hillrun
