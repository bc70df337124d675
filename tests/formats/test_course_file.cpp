// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/course_file.h"

#include "core/errors/data_error.h"
#include "core/road/built_in_courses.h"
#include "formats/course_json.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <fstream>

using namespace hillrun;

namespace {

Course read(const std::string& text) { return courseFromCsv(text, "hill.csv", "hill"); }

Problem problemOf(const std::string& text) {
    try {
        read(text);
    } catch (const DataError& error) {
        return error.problem();
    }
    FAIL("it was read");
    return Problem::Count;
}

} // namespace

TEST_CASE("a course is read with its pieces, corners and air") {
    const Course course = read("# made up\n#air 12.5 C 96 kPa 70 %\nlength [m],gradient [%],speed_limit [km/h]\n"
                               "120,4,\n# the first corner\n30,-6.5,54\r\n200,0,\n");
    REQUIRE(course.pieces.size() == 3);
    CHECK(course.name == "hill");
    CHECK(course.pieces[0] == CoursePiece{120.0, 0.04, std::nullopt});
    CHECK(course.pieces[1].gradient == Approx(-0.065));
    CHECK(course.pieces[1].limit_ms.value() == Approx(15.0));
    CHECK(course.length_m() == 350.0);
    REQUIRE(course.air);
    CHECK(course.air->temperature_c == 12.5);
    CHECK(course.air->pressure_pa == 96000.0);
    CHECK(course.air->humidity == Humidity{HumidityKind::RelativeHumidity_pct, 70.0});
    CHECK_FALSE(course.isRolling());

    // Without corners, with other separators.
    CHECK(read("length [m];gradient [%]\n100;1,5\n50;0\n").pieces[0].gradient == Approx(0.015));
}

TEST_CASE("a course that cannot be meant is refused") {
    const std::string head = "length [m],gradient [%],speed_limit [km/h]\n";
    CHECK(problemOf(head + "-5,0,\n5,0,\n") == Problem::BadValue);
    CHECK(problemOf(head + "0,0,\n5,0,\n") == Problem::BadValue);
    CHECK(problemOf(head + "5,61,\n5,0,\n") == Problem::BadValue);
    CHECK(problemOf(head + "5,0,0.5\n5,0,\n") == Problem::BadValue);
    CHECK(problemOf(head + "250000,0,\n5,0,\n") == Problem::NotACourse);
    CHECK(problemOf("length [ft],gradient [%]\n5,0\n5,1\n") == Problem::BadValue);
    CHECK(problemOf("length [m],slope [%]\n5,0\n5,1\n") == Problem::MissingKey);
    CHECK(problemOf("#air 20 F 101 kPa 50 %\n" + head + "5,0,\n") == Problem::BadValue);
    CHECK(problemOf("#air 20 C 101 kPa 150 %\n" + head + "5,0,\n") == Problem::BadValue);
    CHECK(read(head + "5,60,1\n5,-60,\n").pieces.size() == 2);
}

TEST_CASE("built-in courses go by their names, others are files") {
    for (const std::string& name : builtInCourses())
        CHECK(courseNamed(name).name == name);
    CHECK(courseNamed("standing-quarter-mile").length_m() == Approx(402.336));
    CHECK(courseNamed("larkfell-hill").length_m() == Approx(1400.0));
    test::TemporaryFolder folder;
    std::ofstream(folder.path() / "moor.csv") << "length [m],gradient [%]\n100,2\n50,3\n";
    CHECK(courseNamed((folder.path() / "moor.csv").string()).name == "moor");
    CHECK_THROWS_AS(courseNamed("no-such-course"), DataError);
    CHECK(courseNamed("held:5500").held == HeldSpeed{5500.0, 150.0});
    CHECK(courseNamed("held:5500:80").held == HeldSpeed{5500.0, 80.0});
    for (const char* text : {"held:", "held:x", "held:5500:", "held:5500:0", "held:100:150", "held:5500:80:1",
                             "held:nan", "held:5500:nan", "held:40000", "held:-3000", "held:5500,5"}) {
        INFO(text);
        CHECK_THROWS_AS(courseNamed(text), DataError);
    }
    std::ofstream(folder.path() / "held.csv") << "length [m],gradient [%]\n100,2\n";
    CHECK(courseNamed((folder.path() / "held.csv").string()).name == "held-own"); // no speed is held on it
    const Course held = courseNamed("held:5500:80");
    CHECK(courseFromJson(ObjectReader(courseToJson(held), "day.json")) == held);
    CHECK_FALSE(held.isRolling());
    const Course both = courseFromJson(ObjectReader(
        Json::parse(R"({"name": "held", "held": {"rpm": 5500}, "pieces": [{"length_m": 5}]})"), "day.json"));
    CHECK(both.held);
    CHECK(courseToJson(both)["pieces"].size() == 1); // not lost
    // A day keeps built-in courses by their names: a file of that name is another course.
    std::ofstream(folder.path() / "larkfell-hill.csv") << "length [m],gradient [%]\n100,2\n50,3\n";
    const Course own = courseNamed((folder.path() / "larkfell-hill.csv").string());
    CHECK(own.pieces.size() == 2);
    CHECK(courseFromJson(ObjectReader(courseToJson(own), "day.json")) == own);
}

TEST_CASE("corners have radii and names, and a course goes through a table and through a day's JSON unchanged") {
    const Course course = read("#air 12.5 C 96 kPa 70 %\n#corner 2 Lower hairpin, the wet one\n"
                               "length [m],gradient [%],speed_limit [km/h],radius [m]\n"
                               "120,4,,\n30,-6.5,54,18\n200,0,,\n");
    CHECK(course.pieces[1].radius_m == 18.0);
    CHECK(course.pieces[1].name == "Lower hairpin, the wet one");
    CHECK(course.pieces[0].name.empty());
    CHECK(course.pieces[2].radius_m == std::nullopt);
    CHECK(read(courseAsCsv(course)) == course);
    CHECK(courseFromJson(ObjectReader(courseToJson(course), "day.json")) == course);
    Course named = course;
    named.pieces[1].name = "two\nlines";
    CHECK(read(courseAsCsv(named)).pieces[1].name == "two lines");
    CHECK(courseToJson(*builtInCourse("60-100")).dump() == R"({"name":"60-100"})");
    CHECK(courseFromJson(ObjectReader(Json{{"name", "60-100"}}, "day.json")) == *builtInCourse("60-100"));
    CHECK(problemOf("length [m],gradient [%],radius [m]\n5,0,0.5\n") == Problem::BadValue);
    CHECK(problemOf("#corner 3 none\nlength [m],gradient [%]\n5,0\n6,0\n") == Problem::BadValue);
    const auto refused = [](const char* text) {
        return test::messageOf([&] { (void)courseFromJson(ObjectReader(Json::parse(text), "day.json")); });
    };
    CHECK(refused(R"({"name": "held", "held": {"rpm": -5}})").find("held:5500:150") != std::string::npos);
    CHECK(refused(R"({"name": "own"})").find("20 000 pieces") != std::string::npos);
    CHECK(refused(R"({"name": "own", "pieces": [{"length_m": -3}]})").find("above zero") != std::string::npos);
    CHECK(refused(R"({"name": "own", "pieces": [{"length_m": 3}], "air": {"temperature_c": 1e9}})").find("#air") !=
          std::string::npos);
    CHECK(refused(R"({"pieces": [{"length_m": 3}]})").find("name") != std::string::npos);
}
