// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string>
#include <string_view>

namespace hillrun {

/// Begins with an object or a list of objects.
bool looksLikeJson(std::string_view text);
/// One object a line, or a list of objects, as a table with tabs: a column a key in the order of their first coming;
/// objects inside objects as "outer.inner". Throws DataError (BadJson, NoRows).
std::string tableOfJson(std::string_view text, const std::string& file);

} // namespace hillrun
