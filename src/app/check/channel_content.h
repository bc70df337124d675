// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/check/check_content.h"
#include "core/pull/derived.h"

// Channels of a pull and figures derived from it: small multiples, and numbers at the cursor.

namespace hillrun {

/// One small board: a channel of the selected pull over the others'.
struct ChannelTile {
    QString name; ///< "lambda"
    QString unit;
    BoardContent board;
    std::string note; ///< a usual bound that is passed; empty when there is nothing to say
};
/// Control channels first, then temperatures and pressures, then what was derived; channels without a value are left
/// out.
std::vector<ChannelTile> channelTiles(const TestDay& day, const DayAnalysis& analysis, const CheckView& view,
                                      const Theme& theme);
/// What a tile shows of the selected pull at an engine speed: "0.873"; empty where it has no value.
QString tileReadout(const DayAnalysis& analysis, const CheckView& view, const ChannelTile& tile, double rpm);

/// Numbers of all pulls shown at one engine speed.
struct CursorNumbers {
    double rpm = 0.0;
    QStringList columns; ///< "power, kW at the wheel" ...
    struct Row {
        std::string pull;
        size_t build = 0;
        bool used = true;
        QStringList cells; ///< one a column
    };
    std::vector<Row> rows; ///< the selected pull first, then in the order of time
};
CursorNumbers numbersAt(const TestDay& day, const DayAnalysis& analysis, const CheckView& view, double rpm);
/// The same as text with tabs between, for a spreadsheet.
QString asTable(const CursorNumbers& numbers);

} // namespace hillrun
