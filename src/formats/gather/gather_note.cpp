// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/gather_note.h"

#include <array>

namespace hillrun {
namespace {

struct NoteInfo {
    const char* name;
    bool doubt;
};

constexpr size_t kCodes = static_cast<size_t>(GatherCode::Count);

// In the order of the enum. The words of a note stand in the catalogues under "gather." and, of a doubt,
// "gather_remedy." with its name.
constexpr std::array<NoteInfo, kCodes> kNotes{{
    {"bytes_left_out", false},
    {"lines_left_out", false},
    {"blank_cells", false},
    {"fill_values", false},
    {"short_rows", false},
    {"long_rows", false},
    {"text_column", false},
    {"set_point", false},
    {"second_of_a_kind", false},
    {"other_unit_kind", false},
    {"unknown_unit", false},
    {"time_from_clock", false},
    {"time_from_serial_days", false},
    {"time_from_rate", false},
    {"time_unit_by_values", false},
    {"several_pulls", false},
    {"weather_found", false},
    {"corrected_left_out", false},
    {"decimal_undecided", true},
    {"decimal_mixed", true},
    {"words_among_numbers", true},
    {"unit_assumed", true},
    {"unit_by_power", true},
    {"power_disagrees", true},
    {"unit_by_range", true},
    {"out_of_range", true},
    {"gauge_or_absolute", true},
    {"torque_zero", true},
    {"torque_negative", true},
    {"corrected_only", true},
    {"day_or_month", true},
    {"coarse_clock", true},
    {"time_gap", true},
    {"short_sweep", true},
    {"long_sweep", true},
    {"not_a_full_sweep", true},
    {"curve_only", true},
}};

const NoteInfo& infoOf(GatherCode code) { return kNotes[static_cast<size_t>(code)]; }

} // namespace

bool isDoubt(GatherCode code) { return infoOf(code).doubt; }

const char* gatherCodeName(GatherCode code) { return infoOf(code).name; }

Statement gatherStatement(const GatherNote& note) {
    return {std::string("gather.") + gatherCodeName(note.code) + note.variant, note.details};
}

Statement gatherRemedy(GatherCode code) {
    return isDoubt(code) ? Statement{std::string("gather_remedy.") + gatherCodeName(code)} : Statement{};
}

} // namespace hillrun
