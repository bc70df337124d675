// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"

#include <array>
#include <cstring>

namespace hillrun {
namespace {

/// In the order of the problems.
constexpr std::array<const char*, static_cast<size_t>(Problem::Count)> kNames{
    "file_missing",     "file_unreadable",   "file_empty",        "file_truncated",     "cannot_write",
    "archive_broken",   "not_a_day",         "newer_version",     "bad_json",           "missing_key",
    "wrong_type",       "bad_value",         "duplicate_id",      "unknown_build",      "unknown_pull",
    "bad_path",         "no_header",         "no_rows",           "two_headers",        "not_a_number",
    "row_too_long",     "row_too_short",     "unknown_unit",      "wrong_unit_kind",    "column_twice",
    "no_speed_channel", "no_torque_channel", "no_time_channel",   "time_runs_back",     "too_few_samples",
    "no_rising_speed",  "implausible_speed", "no_roller_inertia", "no_roller_speed",    "too_few_steps",
    "unknown_standard", "impossible_air",    "no_weather",        "no_fuel_figure",     "nothing_to_compare",
    "no_common_range",  "bad_band",          "not_a_mapping",     "checksum_differs",   "not_a_plain_file",
    "too_large",        "bad_name",          "name_twice",        "day_in_use",         "day_taken_over",
    "changed_on_disk",  "another_day_there", "place_gone",        "other_kind",         "doubted",
    "log_too_short",    "log_steady",        "log_differs",       "log_differs_widely", "log_ambiguous",
    "log_of_another",   "log_fits_several",  "too_few_points",    "bad_picture",        "logbook_unreachable",
    "logbook_newer",    "logbook_broken",    "not_comparable",    "unknown_day",        "not_a_course",
};

} // namespace

DataError::DataError(Problem problem, std::vector<Argument> details, Place place)
    : std::runtime_error(problemName(problem)), m_problem(problem), m_details(std::move(details)),
      m_place(std::move(place)) {}

DataError DataError::inFile(const std::string& file) const {
    Place place = m_place;
    if (place.file.empty())
        place.file = file;
    return {m_problem, m_details, place};
}

const char* problemName(Problem problem) { return kNames.at(static_cast<size_t>(problem)); }

Statement systemError(int number) { return {"name", {std::string(std::strerror(number))}}; }

Statement problemStatement(const DataError& error) {
    return {std::string("problem.") + problemName(error.problem()), error.details()};
}

Statement placedStatement(const DataError& error) {
    Statement out = problemStatement(error);
    out.place = error.place();
    return out;
}

} // namespace hillrun
