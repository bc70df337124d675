// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/errors/data_error.h"

#include <string>
#include <vector>

namespace hillrun {

/// What the reader of a foreign file has to say of it. Its words stand in the catalogues.
enum class GatherCode {
    // Told
    BytesLeftOut,
    LinesLeftOut,
    BlankCells,
    FillValues,
    ShortRows,
    LongRows,
    TextColumn,
    SetPoint,
    SecondOfAKind,
    OtherUnitKind, ///< a voltage under a quantity's name
    UnknownUnit,
    TimeFromClock,
    TimeFromSerialDays,
    TimeFromRate,
    TimeUnitByValues,
    SeveralPulls,
    WeatherFound,
    CorrectedLeftOut,
    // Doubted: somebody should look
    DecimalUndecided,
    DecimalMixed,
    WordsAmongNumbers,
    UnitAssumed,
    UnitByPower,
    PowerDisagrees,
    UnitByRange,
    OutOfRange,
    GaugeOrAbsolute,
    TorqueZero,
    TorqueNegative,
    CorrectedOnly,
    DayOrMonth,
    CoarseClock,
    TimeGap,
    ShortSweep,
    LongSweep,
    NotAFullSweep,
    CurveOnly,
    Count
};

struct GatherNote {
    GatherCode code = GatherCode::Count;
    Place place;
    std::vector<Argument> details;
    std::string variant; ///< what its id ends in, where a code has more than one sentence: "_fits_in"
    bool operator==(const GatherNote&) const = default;
};

using GatherNotes = std::vector<GatherNote>;

/// Somebody should look at it before the file is believed.
bool isDoubt(GatherCode code);
const char* gatherCodeName(GatherCode code); ///< "power_disagrees"
/// What it says, without its place.
Statement gatherStatement(const GatherNote& note);
/// What to do about it; empty where nothing is to be done.
Statement gatherRemedy(GatherCode code);

} // namespace hillrun
