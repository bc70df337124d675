// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "logbook/address.h"

#include <filesystem>
#include <optional>

namespace hillrun {

/// A logbook's file that is damaged is renamed, so that it can be made anew from the day folders; where it lies then.
/// Nothing for one that is whole, for what is no database at all, and for a server. Throws DataError.
std::optional<std::filesystem::path> setDamagedAside(const LogbookAddress& address);

} // namespace hillrun
