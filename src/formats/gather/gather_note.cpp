// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/gather_note.h"

#include "core/errors/shown_text.h"

#include <array>

namespace hillrun {
namespace {

struct NoteWords {
    const char* name;
    bool doubt;
    const char* text; ///< {0} {1} {2}: details
    const char* remedy;
};

constexpr size_t kCodes = static_cast<size_t>(GatherCode::Count);

// In the order of the enum.
constexpr std::array<NoteWords, kCodes> kWords{{
    {"bytes_left_out", false, "{0} bytes are no text (zeros, an end mark) and were left out", ""},
    {"lines_left_out", false, "{0} lines are no rows and were left out: {1}", ""},
    {"blank_cells", false, "{0} cells are blank or hold a word for it", ""},
    {"fill_values", false, "{0} cells hold {1}, which stands for no value: they count as blank", ""},
    {"short_rows", false, "{0} rows are shorter than the others; what is missing is blank", ""},
    {"long_rows", false, "{0} rows are longer than the header; what is too much was left out", ""},
    {"text_column", false, "holds words, not numbers: it is left out", ""},
    {"set_point", false, "is what was wanted, not what was measured: it keeps its own name", ""},
    {"second_of_a_kind", false, "means {0} as another column does: it keeps its own name", ""},
    {"other_unit_kind", false, "is in {0}, which is no unit of {1}: it keeps its own name", ""},
    {"unknown_unit", false, "has a unit that is not known ({0}): it keeps its own name and unit", ""},
    {"time_from_clock", false, "clock times were turned into seconds from the first row on", ""},
    {"time_from_serial_days", false, "days of a spreadsheet were turned into seconds from the first row on", ""},
    {"time_from_rate", false, "time was counted from {0} rows a second", ""},
    {"time_unit_by_values", false, "is taken for {0}: in seconds the rows would lie {1} s apart", ""},
    {"several_pulls", false, "the file holds {0} pulls", ""},
    {"weather_found", false, "weather from the file: {0}", ""},
    {"corrected_left_out", false, "was already corrected for weather: it is left out, the uncorrected one is used", ""},
    {"decimal_undecided", true, "a mark before three digits may be a decimal or a thousands mark; \"{0}\" was taken",
     "Say which decimal sign the file uses."},
    {"decimal_mixed", true, "both decimal marks occur in it", "Look at the values, and say which decimal sign it is."},
    {"words_among_numbers", true, "{0} cells are no numbers, first \"{1}\"; they count as blank",
     "Look at the line; say another separator or decimal sign if it was cut wrongly."},
    {"unit_assumed", true, "gives no unit: {0} was taken", "Say the unit of the column."},
    {"unit_by_power", true, "gives no unit: with {0} torque and power agree, and that was taken",
     "Say the unit of the column."},
    {"power_disagrees", true, "torque times speed is {0} of the power that stands beside it{1}",
     "Look at the units of torque and power, and at the speed they belong to."},
    {"unit_by_range", true, "gives no unit: {0} was taken, as in {1} it would be what no engine has",
     "Say the unit of the column."},
    {"out_of_range", true, "runs from {0} to {1}, which no engine has{2}", "Look at the unit of the column."},
    {"gauge_or_absolute", true, "is counted from the surrounding air by its name, but begins at {0} kPa",
     "Say whether it counts from the surrounding air or from nothing."},
    {"torque_zero", true, "the torque is 0 throughout and was left out; the power is used", "Look at the wiring."},
    {"torque_negative", true, "the torque is negative throughout and was turned round: it seems to be the reaction",
     "Set the sign of the column."},
    {"corrected_only", true, "is already corrected for weather; correcting it again would be wrong",
     "Use the uncorrected column, or the standard \"uncorrected\" for this day."},
    {"day_or_month", true, "\"{0}\" may be day and month or month and day; the day was taken as first",
     "Say which comes first."},
    {"coarse_clock", true, "the time stands still over many rows; they were spread evenly between its steps",
     "Export with fractions of a second, or say the rate."},
    {"time_gap", true, "there is a gap of {0} s in it, and it was split there", "Look which piece is the pull."},
    {"short_sweep", true, "the sweep takes only {0} s", "Look at the time column and its unit."},
    {"long_sweep", true, "the sweep takes {0} s", "Look at the time column and its unit."},
    {"not_a_full_sweep", true, "the engine speed runs only from {0} to {1} rpm", "Leave it out if it is no pull."},
    {"curve_only", true, "there is no time in it: it is a curve, not a pull, and nothing says how well it repeats",
     "Say what it was corrected to and how it was smoothed."},
}};

const NoteWords& wordsOf(GatherCode code) { return kWords[static_cast<size_t>(code)]; }

std::string filled(std::string text, const std::vector<std::string>& details) {
    for (size_t i = 0; i < 3; ++i) {
        const std::string mark = "{" + std::to_string(i) + "}";
        if (const size_t at = text.find(mark); at != std::string::npos)
            text.replace(at, mark.size(), i < details.size() ? shownText(details[i]) : std::string());
    }
    return text;
}

} // namespace

bool isDoubt(GatherCode code) { return wordsOf(code).doubt; }
const char* gatherCodeName(GatherCode code) { return wordsOf(code).name; }
std::string gatherNoteText(const GatherNote& note) { return filled(wordsOf(note.code).text, note.details); }
std::string gatherRemedyText(GatherCode code) { return wordsOf(code).remedy; }

} // namespace hillrun
