// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/course_json.h"

#include "core/road/built_in_courses.h"
#include "core/units/road_speed.h"
#include "formats/course_file.h"
#include "formats/json_writer.h"

namespace hillrun {
namespace {

Atmosphere airOf(ObjectReader in) {
    Atmosphere out;
    out.temperature_c = in.number("temperature_c").value_or(out.temperature_c);
    out.pressure_pa = 1000.0 * in.number("pressure_kpa").value_or(out.pressure_pa / 1000.0);
    out.humidity = {HumidityKind::RelativeHumidity_pct, in.number("humidity_pct").value_or(0.0)};
    return out;
}

} // namespace

Course courseFromJson(ObjectReader in) {
    const std::string name = in.requiredText("name");
    if (auto known = builtInCourse(name))
        return *known;
    Course out{name};
    if (in.has("held")) {
        ObjectReader held = in.object("held");
        out.held = HeldSpeed{held.number("rpm").value_or(0.0),
                             held.number("half_width_rpm").value_or(HeldSpeed{}.halfWidth_rpm)};
        checkHeld(*out.held, in.place("held"));
    }
    auto pieces = out.held ? std::vector<ObjectReader>{} : in.objects("pieces");
    for (ObjectReader& one : pieces) {
        CoursePiece piece;
        piece.length_m = one.number("length_m").value_or(0.0);
        piece.gradient = one.number("gradient_pct").value_or(0.0) / 100.0;
        if (const auto limit_kmh = one.number("speed_limit_kmh"))
            piece.limit_ms = *limit_kmh / kKmhPerMs;
        piece.radius_m = one.number("radius_m");
        piece.name = one.text("name");
        out.pieces.push_back(piece);
    }
    if (in.has("air"))
        out.air = airOf(in.object("air"));
    out.unknownKeys = in.unknownKeys();
    if (!out.held)
        checkCourse(out, in.place("course"));
    return out;
}

Json courseToJson(const Course& course) {
    Json out{{"name", course.name}};
    if (builtInCourse(course.name))
        return out;
    if (course.held)
        out["held"] = {{"rpm", course.held->rpm}, {"half_width_rpm", course.held->halfWidth_rpm}};
    else
        out["pieces"] = Json::array();
    for (const CoursePiece& piece : course.pieces) {
        Json one{{"length_m", piece.length_m}, {"gradient_pct", piece.gradient * 100.0}};
        if (piece.limit_ms)
            one["speed_limit_kmh"] = *piece.limit_ms * kKmhPerMs;
        putKnown(one, "radius_m", piece.radius_m);
        putKnown(one, "name", piece.name);
        out["pieces"].push_back(std::move(one));
    }
    if (course.air)
        out["air"] = {{"temperature_c", course.air->temperature_c},
                      {"pressure_kpa", course.air->pressure_pa / 1000.0},
                      {"humidity_pct", course.air->humidity.value}};
    addUnknown(out, course.unknownKeys);
    return out;
}

} // namespace hillrun
