// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"

#include <array>
#include <string>
#include <string_view>
#include <vector>

namespace hillrun {

/// Engine speed, power, torque, as they were typed; a cell may be empty.
using TypedRow = std::array<std::string, 3>;

/// The rows of a text that was pasted: cells apart by tabs, semicolons, commas behind which a blank stands, blanks, or
/// commas where nothing else is left. Rows without a digit (headings) are left out.
std::vector<TypedRow> rowsOfText(std::string_view text);

/// A curve out of typed rows. Points and commas are both taken as decimal marks, by what each column shows. Rows
/// without a speed and without figures are left out. Throws DataError (NotANumber with the row and the column,
/// BadValue for a speed that is missing or comes twice, TooFewPoints, NoTorqueChannel, UnknownUnit).
ChannelTable readTypedCurve(const std::vector<TypedRow>& rows, const std::string& powerUnit,
                            const std::string& torqueUnit);

} // namespace hillrun
