// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/course_file.h"

#include "core/errors/data_error.h"
#include "core/road/day_road.h"
#include "core/units/road_speed.h"
#include "formats/csv_table.h"
#include "formats/file_io.h"
#include "formats/gpx_course.h"
#include "words/voice.h"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <filesystem>
#include <fmt/format.h>
#include <map>
#include <sstream>

namespace hillrun {
namespace {

constexpr double kLongest_m = 200000.0;
constexpr double kSteepest = 0.6;
constexpr size_t kMostPieces = 20000;
constexpr double kFastest_rpm = 30000.0;

bool canBeBreathed(const Atmosphere& air) {
    return std::abs(air.temperature_c) <= 60.0 && air.pressure_pa >= 40000.0 && air.pressure_pa <= 110000.0 &&
           air.humidity.value >= 0.0 && air.humidity.value <= 100.0;
}

/// "#air 20 C 101.3 kPa 50 %"
std::optional<Atmosphere> airIn(const std::string& line, const Place& place) {
    std::istringstream words(line.substr(1));
    std::string air, celsius, kilopascal, percent;
    double temperature_c = 0.0, pressure_kpa = 0.0, humidity_pct = 0.0;
    words.imbue(std::locale::classic());
    if (!(words >> air) || air != "air")
        return std::nullopt;
    words >> temperature_c >> celsius >> pressure_kpa >> kilopascal >> humidity_pct >> percent;
    const Atmosphere out{temperature_c, pressure_kpa * 1000.0, {HumidityKind::RelativeHumidity_pct, humidity_pct}};
    if (celsius != "C" || kilopascal != "kPa" || percent != "%" || !canBeBreathed(out))
        throw DataError(Problem::BadValue, {line, Statement{"not_allowed.course_air"}}, place);
    return out;
}

/// "#corner 4 Lower hairpin"
std::optional<std::pair<size_t, std::string>> cornerIn(const std::string& line) {
    std::istringstream words(line.substr(1));
    std::string corner, name;
    size_t number = 0;
    if (!(words >> corner >> number) || corner != "corner" || !std::getline(words >> std::ws, name) || number == 0)
        return std::nullopt;
    return std::pair(number - 1, name);
}

/// What a course file says beside its table.
struct Comments {
    std::optional<Atmosphere> air;
    std::map<size_t, std::string> corners;
};

/// The table without its comments.
std::string withoutComments(std::string_view text, const std::string& file, Comments& out) {
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
            if (auto corner = cornerIn(line))
                out.corners.insert_or_assign(corner->first, corner->second);
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

/// A column that may be missing or have blanks.
std::vector<std::optional<double>> known(const CsvTable& table, const char* name, const char* unit,
                                         const std::string& file) {
    std::vector<std::optional<double>> out(table.columns.empty() ? 0 : table.columns.front().size());
    if (std::find(table.names.begin(), table.names.end(), name) == table.names.end())
        return out;
    const auto& values = column(table, name, unit, file);
    for (size_t i = 0; i < out.size(); ++i)
        if (std::isfinite(values[i]))
            out[i] = values[i];
    return out;
}

/// "held:5500:150"; nothing for anything else.
std::optional<HeldSpeed> heldIn(const std::string& text) {
    constexpr std::string_view kHeld = "held:";
    if (!text.starts_with(kHeld))
        return std::nullopt;
    HeldSpeed out;
    const char* const end = text.data() + text.size();
    auto read = std::from_chars(text.data() + kHeld.size(), end, out.rpm);
    if (read.ec == std::errc() && read.ptr != end && *read.ptr == ':')
        read = std::from_chars(read.ptr + 1, end, out.halfWidth_rpm);
    if (read.ec != std::errc() || read.ptr != end)
        throw DataError(Problem::BadValue, {text, Statement{"not_allowed.held"}});
    checkHeld(out, {});
    return out;
}

std::string inOneLine(std::string text) {
    std::replace_if(
        text.begin(), text.end(), [](unsigned char c) { return std::iscntrl(c); }, ' ');
    return text;
}

} // namespace

Course courseFromCsv(std::string_view text, const std::string& file, const std::string& name) {
    Course out{name};
    Comments comments;
    const CsvTable table = parseCsv(withoutComments(text, file, comments), file);
    out.air = comments.air;
    const auto& length = column(table, "length", "m", file);
    const auto& gradient = column(table, "gradient", "%", file);
    const auto limit_kmh = known(table, "speed_limit", "km/h", file);
    const auto radius_m = known(table, "radius", "m", file);
    for (size_t i = 0; i < length.size(); ++i) {
        CoursePiece piece{length[i], gradient[i] / 100.0};
        if (limit_kmh[i])
            piece.limit_ms = *limit_kmh[i] / kKmhPerMs;
        piece.radius_m = radius_m[i];
        if (const auto corner = comments.corners.find(i); corner != comments.corners.end())
            piece.name = corner->second;
        out.pieces.push_back(std::move(piece));
    }
    checkCourse(out, {.file = file});
    if (!comments.corners.empty() && comments.corners.rbegin()->first >= out.pieces.size())
        throw DataError(Problem::BadValue,
                        {"#corner " + std::to_string(comments.corners.rbegin()->first + 1),
                         Statement{"not_allowed.corner_number", {std::to_string(out.pieces.size())}}},
                        {.file = file});
    return out;
}

std::string courseAsCsv(const Course& course) {
    std::string out = "length [m],gradient [%],speed_limit [km/h],radius [m]\n";
    if (course.air)
        out += fmt::format("#air {:.6g} C {:.6g} kPa {:.6g} %\n", course.air->temperature_c,
                           course.air->pressure_pa / 1000.0, course.air->humidity.value);
    for (size_t i = 0; i < course.pieces.size(); ++i)
        if (const auto name = cornerName(course, i))
            out += fmt::format("#corner {} {}\n", i + 1, inOneLine(Voice::forFiles().say(*name)));
    for (const CoursePiece& piece : course.pieces)
        out += fmt::format("{:.6g},{:.6g},{},{}\n", piece.length_m, piece.gradient * 100.0,
                           piece.limit_ms ? fmt::format("{:.6g}", *piece.limit_ms * kKmhPerMs) : "",
                           piece.radius_m ? fmt::format("{:.6g}", *piece.radius_m) : "");
    return out;
}

void checkCourse(const Course& course, const Place& place) {
    const auto refuse = [&](double value, const char* why, size_t row) {
        throw DataError(Problem::BadValue, {significant(value, 6), Statement{why}},
                        {.file = place.file, .key = "row " + std::to_string(row + 1)});
    };
    for (size_t i = 0; i < course.pieces.size(); ++i) {
        const CoursePiece& piece = course.pieces[i];
        if (!(piece.length_m > 0.0))
            refuse(piece.length_m, "not_allowed.not_above_zero", i);
        if (!(std::abs(piece.gradient) <= kSteepest))
            refuse(piece.gradient * 100.0, "not_allowed.gradient", i);
        if (piece.limit_ms && !(*piece.limit_ms * kKmhPerMs >= 1.0 - 1e-9))
            refuse(*piece.limit_ms * kKmhPerMs, "not_allowed.corner", i);
        if (piece.radius_m && !(*piece.radius_m >= 1.0))
            refuse(*piece.radius_m, "not_allowed.radius", i);
    }
    if (course.air && !canBeBreathed(*course.air))
        throw DataError(Problem::BadValue, {std::string("air"), Statement{"not_allowed.course_air"}}, place);
    if (course.pieces.empty() || course.pieces.size() > kMostPieces || !(course.length_m() <= kLongest_m))
        throw DataError(Problem::NotACourse, {Statement{"not_allowed.course_length"}}, place);
}

void checkHeld(const HeldSpeed& held, const Place& place) {
    if (!(held.halfWidth_rpm > 0.0 && held.rpm > held.halfWidth_rpm && held.rpm <= kFastest_rpm))
        throw DataError(Problem::BadValue,
                        {fmt::format("{:g}:{:g}", held.rpm, held.halfWidth_rpm), Statement{"not_allowed.held"}}, place);
}

Course courseNamed(const std::string& nameOrFile) {
    if (auto known = builtInCourse(nameOrFile))
        return *known;
    if (auto held = heldIn(nameOrFile))
        return {.name = "held", .held = held};
    const std::filesystem::path path(nameOrFile);
    const std::string text = readFileText(path);
    std::string ending = path.extension().string();
    std::transform(ending.begin(), ending.end(), ending.begin(), [](unsigned char c) { return std::tolower(c); });
    const auto read = ending == ".gpx" ? courseFromGpx : courseFromCsv;
    const std::string name = path.stem().string();
    return read(text, nameOrFile,
                builtInCourse(name) || name == "held" ? name + "-own" : name); // these a day knows by name
}

} // namespace hillrun
