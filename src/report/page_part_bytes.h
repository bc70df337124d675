// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string_view>

namespace hillrun {

/// A part of the page for a browser by its file name; made at build time by cmake/EmbedFiles.cmake.
std::string_view pagePart(std::string_view file);

} // namespace hillrun
