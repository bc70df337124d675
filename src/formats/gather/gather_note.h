// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/errors/data_error.h"

#include <string>
#include <vector>

namespace hillrun {

/// What the reader of a foreign file has to say of it. The words for each are in gather_note.cpp.
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
    std::vector<std::string> details;
    bool operator==(const GatherNote&) const = default;
};

using GatherNotes = std::vector<GatherNote>;

/// Somebody should look at it before the file is believed.
bool isDoubt(GatherCode code);
const char* gatherCodeName(GatherCode code); ///< "power_disagrees"
/// A sentence without the place.
std::string gatherNoteText(const GatherNote& note);
/// What to do about it; empty where nothing is to be done.
std::string gatherRemedyText(GatherCode code);

} // namespace hillrun
