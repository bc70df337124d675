// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/built_in_courses.h"

#include "core/units/road_speed.h"

namespace hillrun {
namespace {

constexpr double kQuarterMile_m = 402.336; ///< 1320 international feet of 0.3048 m

Course flat(const std::string& name, double length_m) { return {name, {{length_m, 0.0, std::nullopt}}, {}, 0.0, 0.0}; }

Course rolling(const std::string& name, double from_kmh, double to_kmh) {
    return {name, {}, {}, from_kmh / kKmhPerMs, to_kmh / kKmhPerMs};
}

/// A made-up hill climb: out of the yard, through the wood with two hairpins, over the moor to the top.
Course larkfellHill() {
    const auto corner = [](const char* place, double length_m, double gradient_pct, double limit_kmh) {
        return CoursePiece{length_m, gradient_pct / 100.0, limit_kmh / kKmhPerMs, std::nullopt, place};
    };
    const auto road = [](double length_m, double gradient_pct) {
        return CoursePiece{length_m, gradient_pct / 100.0, std::nullopt};
    };
    return {"larkfell-hill",
            {road(180.0, 4.0), corner("larkfell.yard_bend", 40.0, 6.0, 82.0), road(140.0, 9.0),
             corner("larkfell.lower_hairpin", 28.0, 11.0, 38.0), road(160.0, 10.0),
             corner("larkfell.upper_hairpin", 26.0, 12.0, 36.0), road(210.0, 8.0),
             corner("larkfell.moor_bend", 60.0, 5.0, 96.0), road(250.0, 6.0),
             corner("larkfell.cairn_bend", 45.0, 7.0, 70.0), road(261.0, 5.0)},
            {},
            0.0,
            0.0};
}

} // namespace

std::vector<std::string> builtInCourses() {
    return {"standing-quarter-mile", "standing-400m", "standing-1000m", "60-100", "80-120", "larkfell-hill"};
}

std::optional<Course> builtInCourse(const std::string& name) {
    if (name == "standing-quarter-mile")
        return flat(name, kQuarterMile_m);
    if (name == "standing-400m")
        return flat(name, 400.0);
    if (name == "standing-1000m")
        return flat(name, 1000.0);
    if (name == "60-100")
        return rolling(name, 60.0, 100.0);
    if (name == "80-120")
        return rolling(name, 80.0, 120.0);
    if (name == "larkfell-hill")
        return larkfellHill();
    return std::nullopt;
}

} // namespace hillrun
