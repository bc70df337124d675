// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/test_day.h"
#include "formats/json_reader.h"

#include <string>
#include <string_view>

namespace hillrun {

/// The article of a day.json, and back. Throws DataError with file and key.
Article readArticle(ObjectReader in);
Json articleJson(const Article& article);

/// An article kept as a card of its own, to be used on another day. Throws DataError.
std::string articleCardText(const Article& article);
Article articleCardFrom(std::string_view text, const std::string& file);

} // namespace hillrun
