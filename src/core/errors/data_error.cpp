// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"

#include "core/errors/shown_text.h"

#include <array>
#include <cassert>

namespace hillrun {
namespace {

struct Words {
    Problem problem;
    const char* text; ///< {0}, {1} ... are the details
    const char* remedy;
};

constexpr std::array<Words, static_cast<size_t>(Problem::Count)> kWords{{
    {Problem::FileMissing, "the file is missing", "Check the name, or remove the entry that refers to it."},
    {Problem::FileUnreadable, "the file cannot be read ({0})", "Check that it is a file and that you may read it."},
    {Problem::FileEmpty, "the file is empty", "Export it from the logger again, or set the pull aside."},
    {Problem::FileTruncated, "the file breaks off in the middle of a row: {0} of {1} columns",
     "Copy it from the logger again, or delete the unfinished last row."},
    {Problem::CannotWrite, "cannot write ({0})",
     "Check the free space and the rights of the folder; nothing was changed."},
    {Problem::ArchiveBroken, "the archive cannot be read ({0})", "Copy it again from where it came from."},
    {Problem::NotADay, "this is not a day of Hill Run", "Choose a folder or zip that holds a day.json."},
    {Problem::NewerVersion, "the format is version {0}, this program knows version {1}",
     "Use a newer Hill Run for it."},
    {Problem::BadJson, "this is not valid JSON: {0}", "Correct the text at that place."},
    {Problem::MissingKey, "the key is missing", "Add it; docs/formats.md says what belongs there."},
    {Problem::WrongType, "expected {0}", "Correct the value; docs/formats.md says what belongs there."},
    {Problem::BadValue, "\"{0}\" is not allowed here: {1}", "Correct the value."},
    {Problem::DuplicateId, "the id \"{0}\" is used twice", "Give each its own id."},
    {Problem::UnknownBuild, "there is no build \"{0}\"", "Use the id of a build of this day."},
    {Problem::UnknownPull, "there is no pull \"{0}\"", "Use the id of a pull of this day."},
    {Problem::BadPath, "\"{0}\" points outside the day's folder", "Name a file inside the folder."},
    {Problem::NoHeader, "no header line with channel names was found", "Add one line that names each column."},
    {Problem::NoRows, "no rows of numbers were found", "Choose a logger's text export: one header line, then rows."},
    {Problem::TwoHeaders, "a second header line stands among the rows",
     "Split the file there: one pull a file, one header a file."},
    {Problem::NotANumber, "\"{0}\" is not a number",
     "Correct the cell, or leave it blank when the value is not known."},
    {Problem::RowTooLong, "the row has {0} cells, the header names {1} columns", "Correct the row or the header."},
    {Problem::RowTooShort, "the row has {0} cells, the header names {1} columns", "Correct the row or the header."},
    {Problem::UnknownUnit, "the unit \"{0}\" is not known", "Use one of the units listed in docs/formats.md."},
    {Problem::WrongUnitKind, "\"{0}\" cannot be the unit of {1}", "Correct the unit or the name of the column."},
    {Problem::ColumnTwice, "two columns are named {0}", "Rename or remove one of them."},
    {Problem::NoSpeedChannel, "there is no engine speed", "Name the column engine_speed [rpm]."},
    {Problem::NoTorqueChannel, "there is neither torque nor power", "Name the column torque [N.m] or power [kW]."},
    {Problem::NoTimeChannel, "there is no time column",
     "Name the column time [s]; an import window takes any column, or rows a second."},
    {Problem::TimeRunsBack, "time runs back from {0} s to {1} s", "One pull a file, rows in time order."},
    {Problem::TooFewSamples, "only {0} usable rows", "A pull needs at least 20 rows with speed and torque."},
    {Problem::NoRisingSpeed, "no full-throttle sweep was found: the speed never moves steadily through a range",
     "Set the range by hand, or set the pull aside."},
    {Problem::ImplausibleSpeed, "the engine speed goes from {0} to {1} rpm", "Check the unit of its column."},
    {Problem::NoRollerInertia, "the inertia of the rollers is not known",
     "Give roller_inertia_kgm2 of the cell: without it rollers that speed up say nothing about power."},
    {Problem::NoRollerSpeed, "there is no roller speed", "Name the column roller_speed [rad/s]."},
    {Problem::TooFewSteps, "only {0} held speeds were found",
     "Hold at least four speeds at full throttle, two seconds each, or change the cell's sweep to up or down."},
    {Problem::UnknownStandard, "there is no correction standard \"{0}\"",
     "Use uncorrected, sae-j1349, sae-j607, iso-1585, ece-r85, din-70020, jis-d1001 or iso-15550."},
    {Problem::ImpossibleAir, "such air does not exist: {0}", "Check the instrument and the unit of the figure."},
    {Problem::NoWeather, "the weather of this pull is not known", "Enter it, or look at the day uncorrected."},
    {Problem::NoFuelFigure, "a compression-ignition factor needs the fuel per litre and cycle",
     "Give the fuel figure, or look at the day uncorrected."},
    {Problem::NothingToCompare, "no pull is left to work with: {0}", "Take a pull back, or add one."},
    {Problem::NoCommonRange, "the pulls share no range of engine speed", "Set aside the pull that stops early."},
    {Problem::BadBand, "the band {0} is not a range of engine speed", "Write LOW:HIGH in rpm, low before high."},
    {Problem::NotAMapping, "this is not a column mapping of Hill Run",
     "Choose another file, or map the columns again."},
    {Problem::ChecksumDiffers, "the file is not the one that was stored: its checksum does not fit",
     "It is kept and left out until you put the right file back or take it as it is."},
    {Problem::NotAPlainFile, "this is {0}", "Put the file itself in its place."},
    {Problem::TooLarge, "{0} is more than is taken: {1} at the most",
     "Split it, or export less; docs/formats.md lists the limits."},
    {Problem::BadName, "\"{0}\" cannot be the name of a file: {1}", "Give it a shorter, plain name."},
    {Problem::NameTwice, "\"{0}\" stands in it twice", "Pack it again from where it came from."},
    {Problem::DayInUse, "the day is open for writing: {0}", "Close it there, wait, or take it over in the window."},
    {Problem::DayTakenOver, "another window has taken this day over: {0}",
     "Nothing was written here. Save a copy elsewhere, or take the day over again."},
    {Problem::ChangedOnDisk, "the day was changed on disk since it was read",
     "Nothing was written. Reload it, save yours beside it, or compare the two."},
    {Problem::AnotherDayThere, "another day lives in that folder",
     "Choose a new or an empty folder; nothing was written."},
    {Problem::PlaceGone, "the folder of this day is gone",
     "Everything is still in memory: put the drive back and save again, or save the day elsewhere."},
    {Problem::OtherKind, "this is {0}, which is not read",
     "Export it as text (CSV) from the program that wrote it, and import that."},
    {Problem::Doubted, "{0} doubts, and nothing doubtful was to be taken",
     "Put right what is doubted, or leave --strict away."},
    {Problem::LogTooShort, "the log is too short to be laid onto the pull: {0}",
     "Choose the log of this pull, with the whole sweep in it."},
    {Problem::LogSteady, "nothing to lay the log on by: a speed moves by {0} rpm only",
     "Choose a log with the sweep in it, or set its time by hand."},
    {Problem::LogDiffers, "the log is not of this pull: its engine speed differs {0} at best, {1} rpm would be usual",
     "Choose the log that was recorded with this pull."},
    {Problem::LogAmbiguous, "the log fits in two places alike, {0} s and {1} s after the pull's clock",
     "Cut the log to this pull, or set its time by hand."},
    {Problem::LogOfAnother, "this stretch of the log fits {0} better",
     "Choose the log that was recorded with this pull."},
    {Problem::LogFitsSeveral, "the log fits {0} as well: their speeds run alike",
     "Name the one pull that it was recorded with."},
    {Problem::TooFewPoints, "a curve of {0} points", "Give at least two speeds with their torque or power."},
    {Problem::BadPicture, "this picture cannot be shown: {0}", "Save the sheet as PNG, JPEG or PDF and open that."},
}};

const Words& wordsOf(Problem problem) {
    const auto& words = kWords.at(static_cast<size_t>(problem));
    assert(words.problem == problem);
    return words;
}

std::string wholeMessage(Problem problem, const std::vector<std::string>& details, const Place& place) {
    const std::string where = placeText(place);
    return (where.empty() ? "" : where + ": ") + problemText(problem, details) + ". " + remedyText(problem);
}

} // namespace

DataError::DataError(Problem problem, std::vector<std::string> details, Place place)
    : std::runtime_error(wholeMessage(problem, details, place)), m_problem(problem), m_details(std::move(details)),
      m_place(std::move(place)) {}

DataError DataError::inFile(const std::string& file) const {
    Place place = m_place;
    if (place.file.empty())
        place.file = file;
    return {m_problem, m_details, place};
}

std::string problemText(Problem problem, const std::vector<std::string>& details) {
    std::string text = wordsOf(problem).text;
    for (size_t i = 0; i < details.size(); ++i) {
        const std::string hole = "{" + std::to_string(i) + "}";
        if (const auto at = text.find(hole); at != std::string::npos)
            text.replace(at, hole.size(), shownText(details[i]));
    }
    return text;
}

std::string remedyText(Problem problem) { return wordsOf(problem).remedy; }

std::string placeText(const Place& place) {
    std::string text = shownText(place.file);
    auto add = [&text](const std::string& part) { text += (text.empty() ? "" : ", ") + part; };
    if (place.line > 0)
        add("line " + std::to_string(place.line));
    if (!place.column.empty())
        add("column " + shownText(place.column));
    if (!place.key.empty())
        add("key " + shownText(place.key));
    return text;
}

} // namespace hillrun
