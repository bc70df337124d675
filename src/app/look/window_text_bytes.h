// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string_view>

namespace hillrun {

/// The window's texts (.qm) by a language's code; made at build time by cmake/EmbedFiles.cmake. Empty for English,
/// which stands in the code.
std::string_view windowTextBytes(std::string_view language);

} // namespace hillrun
