// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/channels/channel_table.h"
#include "core/statement/statement.h"

#include <optional>
#include <string>

namespace hillrun {

/// Power and torque of one curve that do not belong together.
struct SheetDoubt {
    double ratio = 1.0; ///< torque times speed over power, the middle of all speeds
    double worst = 0.0; ///< how far a tenth of the speeds is off from 1 at least; of fewer than twenty, the furthest
    /// A unit that would make them agree: "the power is in hp"; empty when none does.
    Statement offer;
    double crossing_rpm = 0.0;                ///< where the figures of both must be the same, in these units
    std::optional<double> seenCrossing_rpm{}; ///< where they are; nothing: nowhere
};

/// Whether torque times speed is the power at every speed that has both, in the units that stand on the sheet. Nothing
/// is doubted within 2 per cent and what the reading may be off, or where only one of them is known.
std::optional<SheetDoubt> checkSheet(const ChannelTable& table, const std::string& powerUnit,
                                     const std::string& torqueUnit);
/// The same as sentences.
std::vector<Statement> sheetDoubtStatements(const SheetDoubt& doubt, const std::string& powerUnit,
                                            const std::string& torqueUnit);

} // namespace hillrun
