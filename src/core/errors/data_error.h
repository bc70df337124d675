// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <stdexcept>
#include <string>
#include <vector>

namespace hillrun {

/// Everything that can be wrong with data from outside. The words for each are in words.cpp, made once.
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
    LogAmbiguous,
    LogOfAnother,
    LogFitsSeveral,
    TooFewPoints,
    BadPicture,
    Count ///< not a problem: the number of them, so that a test can walk them all
};

/// Where a problem lies. Empty or zero fields are not known.
struct Place {
    std::string file{};
    long line = 0; ///< from 1
    std::string column{};
    std::string key{};
    bool operator==(const Place&) const = default;
};

/// Bad input, the only exception that data from outside may cause. Caught at one place in the window and one in the
/// command line. `what()` is the whole message in words.
class DataError : public std::runtime_error {
public:
    DataError(Problem problem, std::vector<std::string> details, Place place = {});

    [[nodiscard]] Problem problem() const { return m_problem; }
    [[nodiscard]] const std::vector<std::string>& details() const { return m_details; }
    [[nodiscard]] const Place& place() const { return m_place; }
    /// The same problem, with the file filled in where it was not known.
    [[nodiscard]] DataError inFile(const std::string& file) const;

private:
    Problem m_problem;
    std::vector<std::string> m_details;
    Place m_place;
};

/// What is wrong, in a sentence without the place.
std::string problemText(Problem problem, const std::vector<std::string>& details);
/// What to do about it, in a sentence.
std::string remedyText(Problem problem);
/// The place in words ("pulls/p03.csv, line 17, column torque"); empty when nothing is known.
std::string placeText(const Place& place);

} // namespace hillrun
