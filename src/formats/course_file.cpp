// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/course_file.h"

#include "core/errors/data_error.h"
#include "formats/csv_table.h"
#include "formats/file_io.h"

#include <algorithm>
#include <cmath>
#include <filesystem>
#include <sstream>

namespace hillrun {
namespace {

constexpr double kLongest_m = 200000.0;
constexpr double kSteepest_pct = 60.0;
constexpr double kMostPieces = 20000;

/// "#air 20 C 101.3 kPa 50 %"
std::optional<Atmosphere> airIn(const std::string& line, const Place& place) {
    std::istringstream words(line.substr(1));
    std::string air, celsius, kilopascal, percent;
    double temperature_c = 0.0, pressure_kpa = 0.0, humidity_pct = 0.0;
    words.imbue(std::locale::classic());
    if (!(words >> air) || air != "air")
        return std::nullopt;
    words >> temperature_c >> celsius >> pressure_kpa >> kilopascal >> humidity_pct >> percent;
    const bool read = celsius == "C" && kilopascal == "kPa" && percent == "%";
    if (!read || std::abs(temperature_c) > 60.0 || pressure_kpa < 40.0 || pressure_kpa > 110.0 || humidity_pct < 0.0 ||
        humidity_pct > 100.0)
        throw DataError(Problem::BadValue, {line, Statement{"not_allowed.course_air"}}, place);
    return Atmosphere{temperature_c, pressure_kpa * 1000.0, {HumidityKind::RelativeHumidity_pct, humidity_pct}};
}

/// The table without its comments; the air of one of them is taken.
std::string withoutComments(std::string_view text, const std::string& file, Course& out) {
    std::string kept;
    std::istringstream lines{std::string(text)};
    long number = 0;
    for (std::string line; std::getline(lines, line);) {
        ++number;
        if (!line.empty() && line.back() == '\r')
            line.pop_back();
        if (line.starts_with("#")) {
            if (auto air = airIn(line, {.file = file, .line = number}))
                out.air = air;
            line.clear();
        }
        kept += line + "\n";
    }
    return kept;
}

const std::vector<double>& column(const CsvTable& table, const char* name, const char* unit, const std::string& file) {
    const auto at = std::find(table.names.begin(), table.names.end(), name);
    if (at == table.names.end())
        throw DataError(Problem::MissingKey, {}, {.file = file, .key = name});
    const auto number = static_cast<size_t>(at - table.names.begin());
    if (table.units[number] != unit)
        throw DataError(Problem::BadValue,
                        {table.units[number], Statement{"not_allowed.course_unit", {std::string(unit)}}},
                        {.file = file, .key = name});
    return table.columns[number];
}

void refuse(double value, const char* why, const std::string& file, size_t row) {
    throw DataError(Problem::BadValue, {significant(value, 6), Statement{why}},
                    {.file = file, .key = "row " + std::to_string(row + 1)});
}

} // namespace

Course courseFromCsv(std::string_view text, const std::string& file, const std::string& name) {
    Course out;
    out.name = name;
    const CsvTable table = parseCsv(withoutComments(text, file, out), file);
    const auto& length = column(table, "length", "m", file);
    const auto& gradient = column(table, "gradient", "%", file);
    const bool limited = std::find(table.names.begin(), table.names.end(), "speed_limit") != table.names.end();
    const std::vector<double> none(length.size(), std::nan(""));
    const auto& limit = limited ? column(table, "speed_limit", "km/h", file) : none;
    for (size_t i = 0; i < length.size(); ++i) {
        if (!(length[i] > 0.0))
            refuse(length[i], "not_allowed.not_above_zero", file, i);
        if (!(std::abs(gradient[i]) <= kSteepest_pct))
            refuse(gradient[i], "not_allowed.gradient", file, i);
        if (std::isfinite(limit[i]) && !(limit[i] >= 1.0))
            refuse(limit[i], "not_allowed.corner", file, i);
        out.pieces.push_back(
            {length[i], gradient[i] / 100.0, std::isfinite(limit[i]) ? std::optional(limit[i] / 3.6) : std::nullopt});
    }
    if (out.pieces.empty() || static_cast<double>(out.pieces.size()) > kMostPieces || out.length_m() > kLongest_m)
        throw DataError(Problem::BadValue, {significant(out.length_m(), 6), Statement{"not_allowed.course_length"}},
                        {.file = file});
    return out;
}

Course courseNamed(const std::string& nameOrFile) {
    if (auto known = builtInCourse(nameOrFile))
        return *known;
    const std::filesystem::path path(nameOrFile);
    return courseFromCsv(readFileText(path), nameOrFile, path.stem().string());
}

} // namespace hillrun
