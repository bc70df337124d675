// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gpx_course.h"

#include "core/errors/data_error.h"
#include "formats/course_file.h"
#include "support.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>
#include <fmt/format.h>
#include <fstream>

using namespace hillrun;

namespace {

struct Point {
    double x, y, height;
};

/// Metres east and north of a made-up place at 51 degrees north; a degree is a 360th of the Earth's circle.
std::string gpxOf(const std::vector<Point>& points) {
    const double perDegree = 6371008.8 * M_PI / 180.0;
    std::string out = "<?xml version=\"1.0\"?>\n<gpx version=\"1.1\"><trk><name>up</name><trkseg>\n";
    for (const Point& p : points)
        out += fmt::format("<trkpt lat=\"{:.8f}\" lon=\"{:.8f}\"><ele>{:.3f}</ele></trkpt>\n", 51.0 + p.y / perDegree,
                           -2.0 + p.x / (perDegree * std::cos(51.0 * M_PI / 180.0)), p.height);
    return out + "</trkseg></trk></gpx>\n";
}

/// 200 m straight at 5 %, half a circle of that radius, 300 m straight at 10 %; a point every `step` metres.
std::vector<Point> hairpin(double radius, double step) {
    std::vector<Point> out;
    const double bend = M_PI * radius;
    for (double s = 0.0; s <= 500.0 + bend; s += step) {
        const double height = s <= 200.0 ? 0.05 * s : 10.0 + 0.10 * (s - 200.0);
        if (s <= 200.0)
            out.push_back({s, 0.0, height});
        else if (s <= 200.0 + bend)
            out.push_back({200.0 + radius * std::sin((s - 200.0) / radius),
                           radius * (1.0 - std::cos((s - 200.0) / radius)), height});
        else
            out.push_back({200.0 - (s - 200.0 - bend), 2.0 * radius, height});
    }
    return out;
}

Course readTrack(const std::string& text) { return courseFromGpx(text, "up.gpx", "up"); }

double tightest(const Course& course) {
    double out = 1e9;
    for (const CoursePiece& piece : course.pieces)
        out = std::min(out, piece.radius_m.value_or(1e9));
    return out;
}

std::string problem(const std::string& text) {
    return test::messageOf([&] { (void)readTrack(text); });
}

} // namespace

TEST_CASE("a track becomes a course: its length, its gradients, its corners by their radius") {
    for (const double radius : {15.0, 30.0, 60.0})
        for (const double step : {1.5, 5.0, 8.0}) {
            INFO("radius " << radius << ", a point every " << step << " m");
            const Course course = readTrack(gpxOf(hairpin(radius, step)));
            CHECK(course.length_m() == Approx(500.0 + M_PI * radius).margin(10.0));
            CHECK(tightest(course) == Approx(radius).epsilon(0.2));
            CHECK(course.pieces.front().gradient == Approx(0.05).margin(0.003));
            CHECK(course.pieces.back().gradient == Approx(0.10).margin(0.003));
            CHECK_FALSE(course.pieces.front().radius_m);
            CHECK_FALSE(course.pieces.back().radius_m);
            double climbed = 0.0;
            double bent = 0.0;
            for (const CoursePiece& piece : course.pieces) {
                climbed += piece.length_m * piece.gradient;
                bent += piece.radius_m ? piece.length_m : 0.0;
            }
            CHECK(climbed == Approx(10.0 + 0.10 * (300.0 + M_PI * radius)).margin(1.5));
            // Straight road in pieces of 50 m, bends in pieces of 10 m.
            CHECK(static_cast<double>(course.pieces.size()) < (course.length_m() - bent) / 50.0 + bent / 10.0 + 8.0);
            CHECK(bent == Approx(M_PI * radius).margin(0.25 * M_PI * radius + 25.0));
        }
}

TEST_CASE("a receiver's scatter makes no hairpins of a straight road") {
    boost::random::mt19937 random(4);
    boost::random::normal_distribution<double> normal;
    std::vector<Point> points;
    for (double s = 0.0; s <= 1000.0; s += 5.0)
        points.push_back({s + 0.4 * normal(random), 0.4 * normal(random), 0.06 * s + normal(random)});
    const Course course = readTrack(gpxOf(points));
    CHECK(tightest(course) > 50.0);
    for (const CoursePiece& piece : course.pieces)
        CHECK(piece.gradient == Approx(0.06).margin(0.06));
}

TEST_CASE("a vehicle that stands, and a route in place of a track, change nothing") {
    std::vector<Point> points = hairpin(30.0, 5.0);
    const Course once = readTrack(gpxOf(points));
    points.insert(points.begin() + 20, 30, points[20]);
    CHECK(readTrack(gpxOf(points)) == once);
    std::string route = gpxOf(hairpin(30.0, 5.0));
    for (const auto& [from, to] : {std::pair("<trk><name>up</name><trkseg>", "<rte>"), {"</trkseg></trk>", "</rte>"}})
        route.replace(route.find(from), std::string(from).size(), to);
    for (size_t at = 0; (at = route.find("trkpt", at)) != std::string::npos;)
        route.replace(at, 5, "rtept");
    CHECK(readTrack(route) == once);
}

TEST_CASE("names in a track may stand in a namespace") {
    const std::string plain = gpxOf(hairpin(30.0, 5.0));
    std::string named = plain;
    for (const char* tag : {"gpx", "trk>", "trkseg", "trkpt", "ele"})
        for (const char* before : {"<", "</"})
            for (size_t at = 0; (at = named.find(before + std::string(tag), at)) != std::string::npos; at += 6)
                named.insert(at + std::string(before).size(), "gpx:");
    CHECK(named.find("<gpx:trkpt") != std::string::npos);
    CHECK(readTrack(named) == readTrack(plain));
}

TEST_CASE("what is no course is refused with what to do") {
    const std::string good = gpxOf(hairpin(30.0, 5.0));
    CHECK(problem("length [m],gradient [%]\n100,2\n").find("no GPX") != std::string::npos);
    CHECK(problem(good.substr(0, good.size() / 2)).find("broken") != std::string::npos);
    CHECK(problem("<gpx></gpx>").find("no track") != std::string::npos);
    CHECK(problem(gpxOf({{0, 0, 1}, {5, 0, 1}})).find("no track") != std::string::npos);
    std::string two = good;
    two.insert(two.find("<trk>"), good.substr(good.find("<trk>"), good.find("</gpx>") - good.find("<trk>")));
    CHECK(problem(two).find("several") != std::string::npos);
    std::string flat = good;
    flat.erase(flat.find("<ele>"), flat.find("</ele>") + 6 - flat.find("<ele>"));
    CHECK(problem(flat).find("height") != std::string::npos);
    std::string lost = good;
    lost.replace(lost.find("lat=\"51"), 7, "lat=\"x1");
    CHECK(problem(lost).find("latitude") != std::string::npos);
    boost::random::mt19937 random(4);
    boost::random::normal_distribution<double> normal(0.0, 3.0);
    std::vector<Point> scattered;
    for (double way = 0.0; way <= 1000.0; way += 10.0)
        scattered.push_back({way + normal(random), normal(random), 0.06 * way});
    CHECK(problem(gpxOf(scattered)).find("scatter") != std::string::npos);
    std::string comma = good;
    comma.replace(comma.find("lat=\"51."), 8, "lat=\"51,");
    CHECK(problem(comma).find("latitude") != std::string::npos);
    std::string metres = good;
    metres.replace(metres.find("</ele>"), 6, " m</ele>");
    CHECK(problem(metres).find("height") != std::string::npos);
    std::vector<Point> gap = hairpin(30.0, 5.0);
    for (size_t i = 20; i < gap.size(); ++i)
        gap[i].y += 400.0;
    CHECK(problem(gpxOf(gap)).find("gap") != std::string::npos);
}

TEST_CASE("a track is a course by its file's ending, and a table can be made of it") {
    test::TemporaryFolder folder;
    std::ofstream(folder.path() / "up.GPX") << gpxOf(hairpin(30.0, 5.0));
    const Course course = courseNamed((folder.path() / "up.GPX").string());
    CHECK(course.name == "up");
    const Course again = courseFromCsv(courseAsCsv(course), "up.csv", "up");
    REQUIRE(again.pieces.size() == course.pieces.size());
    for (size_t i = 0; i < again.pieces.size(); ++i) {
        CHECK(again.pieces[i].gradient == Approx(course.pieces[i].gradient).epsilon(1e-4).margin(1e-9));
        CHECK(again.pieces[i].radius_m.has_value() == course.pieces[i].radius_m.has_value());
    }
}
