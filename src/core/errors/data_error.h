// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/statement/statement.h"

#include <stdexcept>
#include <string>
#include <vector>

namespace hillrun {

/// Everything that can be wrong with data from outside. Its words stand in the catalogues under "problem." and
/// "remedy.".
enum class Problem {
    FileMissing,
    FileUnreadable,
    FileEmpty,
    FileTruncated,
    CannotWrite,
    ArchiveBroken,
    NotADay,
    NewerVersion,
    BadJson,
    MissingKey,
    WrongType,
    BadValue,
    DuplicateId,
    UnknownBuild,
    UnknownPull,
    BadPath,
    NoHeader,
    NoRows,
    TwoHeaders,
    NotANumber,
    RowTooLong,
    RowTooShort,
    UnknownUnit,
    WrongUnitKind,
    ColumnTwice,
    NoSpeedChannel,
    NoTorqueChannel,
    NoTimeChannel,
    TimeRunsBack,
    TooFewSamples,
    NoRisingSpeed,
    ImplausibleSpeed,
    NoRollerInertia,
    NoRollerSpeed,
    TooFewSteps,
    UnknownStandard,
    ImpossibleAir,
    NoWeather,
    NoFuelFigure,
    NothingToCompare,
    NoCommonRange,
    BadBand,
    NotAMapping,
    ChecksumDiffers,
    NotAPlainFile,
    TooLarge,
    BadName,
    NameTwice,
    DayInUse,
    DayTakenOver,
    ChangedOnDisk,
    AnotherDayThere,
    PlaceGone,
    OtherKind,
    Doubted,
    LogTooShort,
    LogSteady,
    LogDiffers,
    LogDiffersWidely,
    LogAmbiguous,
    LogOfAnother,
    LogFitsSeveral,
    TooFewPoints,
    BadPicture,
    LogbookUnreachable,
    LogbookNewer,
    LogbookBroken,
    NotComparable,
    UnknownDay,
    NotACourse,
    Count ///< not a problem: the number of them, so that a test can walk them all
};

/// Bad input, the only exception that data from outside may cause. Caught at one place in the window and one in the
/// command line. `what()` is the problem's code; `words` makes a message of it.
class DataError : public std::runtime_error {
public:
    DataError(Problem problem, std::vector<Argument> details, Place place = {});

    [[nodiscard]] Problem problem() const { return m_problem; }
    [[nodiscard]] const std::vector<Argument>& details() const { return m_details; }
    [[nodiscard]] const Place& place() const { return m_place; }
    /// The same problem, with the file filled in where it was not known.
    [[nodiscard]] DataError inFile(const std::string& file) const;

private:
    Problem m_problem;
    std::vector<Argument> m_details;
    Place m_place;
};

/// The problem's code: "file_missing".
const char* problemName(Problem problem);
/// The system's own words for an error number.
Statement systemError(int number);
/// What is wrong, without its place and without what to do about it.
Statement problemStatement(const DataError& error);
/// The same with its place.
Statement placedStatement(const DataError& error);

} // namespace hillrun
