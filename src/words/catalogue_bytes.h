// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string_view>

namespace hillrun {

/// A compiled catalogue (.mo) by its language's code; made at build time by cmake/EmbedFiles.cmake.
std::string_view catalogueBytes(std::string_view language);

} // namespace hillrun
