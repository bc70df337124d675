// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/statement/statement.h"

#include <string>
#include <string_view>

namespace hillrun {

/// A pull file that cannot be read as it is, read as far as it goes.
struct RepairedPull {
    ChannelTable table;
    std::vector<Statement> done; ///< what had to be done: rows that could not be read, a clock that ran back
};

/// Leaves out rows that are no rows and puts the rest on a line of time of its own. The file is never changed; the
/// repaired rows become another. Throws DataError when there is no pull in it even so.
RepairedPull repairPullText(std::string_view text, const std::string& file, double ambient_kpa);

} // namespace hillrun
