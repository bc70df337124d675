// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gpx_course.h"

#include "core/errors/data_error.h"
#include "formats/course_file.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <charconv>
#include <cmath>
#include <numbers>
#include <optional>
#include <pugixml.hpp>
#include <vector>

namespace hillrun {
namespace {

constexpr double kEarth_m = 6371008.8; ///< mean radius of the Earth (IUGG)
constexpr double kStandsStill_m = 1.0;
constexpr double kWidestGap_m = 300.0;
constexpr double kStep_m = 5.0;
constexpr double kSmoothWay_m = 5.0;     ///< sd of the kernel over the places
constexpr double kSmoothHeight_m = 20.0; ///< and over the heights, which are measured worse
constexpr size_t kReach = 2;             ///< steps to either side from which a bend is told
constexpr double kStraight_m = 150.0;
constexpr size_t kPieceSteps = 2;     ///< of a piece in a corner
constexpr size_t kMostSteps = 10;     ///< of a piece of straight road
constexpr size_t kMostPoints = 40000; ///< 200 km in steps

struct Spot {
    double x = 0.0, y = 0.0, height = 0.0;
    double along = 0.0; ///< metres from the start
};

[[noreturn]] void refuse(const char* why, const std::string& file) {
    throw DataError(Problem::BadValue, {std::string("GPX"), Statement{why}}, {.file = file});
}

/// The whole text as a number with a decimal point.
std::optional<double> numberIn(std::string_view text) {
    while (!text.empty() && std::isspace(static_cast<unsigned char>(text.front())))
        text.remove_prefix(1);
    while (!text.empty() && std::isspace(static_cast<unsigned char>(text.back())))
        text.remove_suffix(1);
    if (text.starts_with('+'))
        text.remove_prefix(1);
    double value = 0.0;
    const auto read = std::from_chars(text.data(), text.data() + text.size(), value);
    const bool whole = read.ec == std::errc() && read.ptr == text.data() + text.size();
    return whole && std::isfinite(value) ? std::optional(value) : std::nullopt;
}

std::vector<pugi::xml_node> pointsOf(const pugi::xml_document& document, const std::string& file) {
    const pugi::xml_node root = document.child("gpx");
    std::vector<std::vector<pugi::xml_node>> ways;
    for (const pugi::xml_node& track : root.children("trk")) {
        std::vector<pugi::xml_node> points;
        for (const pugi::xml_node& segment : track.children("trkseg"))
            for (const pugi::xml_node& point : segment.children("trkpt"))
                points.push_back(point);
        if (!points.empty())
            ways.push_back(std::move(points));
    }
    for (const pugi::xml_node& route : root.children("rte")) {
        std::vector<pugi::xml_node> points;
        for (const pugi::xml_node& point : route.children("rtept"))
            points.push_back(point);
        if (!points.empty() && ways.empty())
            ways.push_back(std::move(points));
    }
    if (ways.empty())
        refuse("not_allowed.gpx_no_track", file);
    if (ways.size() > 1)
        refuse("not_allowed.gpx_several", file);
    return ways.front();
}

/// On a plane that touches the Earth at the start: good for a course of some kilometres.
std::vector<Spot> spotsOf(const std::vector<pugi::xml_node>& points, const std::string& file) {
    constexpr double kDegree = std::numbers::pi / 180.0;
    std::vector<Spot> out;
    std::optional<std::array<double, 2>> start;
    for (const pugi::xml_node& point : points) {
        const auto lat = numberIn(point.attribute("lat").value());
        const auto lon = numberIn(point.attribute("lon").value());
        const auto height = numberIn(point.child_value("ele"));
        if (!lat || !lon || std::abs(*lat) > 89.0 || std::abs(*lon) > 180.0)
            refuse("not_allowed.gpx_place", file);
        if (!height)
            refuse("not_allowed.gpx_height", file);
        if (!start)
            start = {*lat, *lon};
        const double east = std::remainder(*lon - (*start)[1], 360.0); // also across the date line
        Spot spot{kEarth_m * east * kDegree * std::cos((*start)[0] * kDegree),
                  kEarth_m * (*lat - (*start)[0]) * kDegree, *height, 0.0};
        if (!out.empty()) {
            const double step = std::hypot(spot.x - out.back().x, spot.y - out.back().y);
            if (step < kStandsStill_m)
                continue;
            if (step > kWidestGap_m)
                refuse("not_allowed.gpx_gap", file);
            spot.along = out.back().along + step;
        }
        out.push_back(spot);
    }
    return out;
}

/// At every step along the way, on straight lines between the spots.
std::vector<Spot> evenly(const std::vector<Spot>& spots) {
    std::vector<Spot> out;
    size_t after = 1;
    const auto steps = static_cast<size_t>(spots.back().along / kStep_m);
    for (size_t i = 0; i <= steps; ++i) {
        const double along = static_cast<double>(i) * kStep_m;
        while (after + 1 < spots.size() && spots[after].along < along)
            ++after;
        const Spot& a = spots[after - 1];
        const Spot& b = spots[after];
        const double share = (along - a.along) / (b.along - a.along);
        out.push_back(
            {a.x + share * (b.x - a.x), a.y + share * (b.y - a.y), a.height + share * (b.height - a.height), along});
    }
    return out;
}

/// By straight lines fitted around each spot with a bell of weights: means in the middle, and no bend at the ends.
std::vector<double> smoothed(const std::vector<Spot>& spots, double Spot::*value, double sd_m) {
    const auto reach = static_cast<size_t>(std::ceil(3.0 * sd_m / kStep_m));
    std::vector<double> out;
    for (size_t i = 0; i < spots.size(); ++i) {
        double w = 0.0, wx = 0.0, wxx = 0.0, wy = 0.0, wxy = 0.0;
        for (size_t k = i - std::min(i, reach); k < std::min(spots.size(), i + reach + 1); ++k) {
            const double x = spots[k].along - spots[i].along;
            const double weight = std::exp(-0.5 * x * x / (sd_m * sd_m));
            w += weight;
            wx += weight * x;
            wxx += weight * x * x;
            wy += weight * (spots[k].*value);
            wxy += weight * x * (spots[k].*value);
        }
        out.push_back((wxx * wy - wx * wxy) / (w * wxx - wx * wx));
    }
    return out;
}

/// Radius of the circle through three places: product of the sides over four times the area.
double radiusThrough(const Spot& a, const Spot& b, const Spot& c) {
    const double twiceArea = std::abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y));
    const double sides =
        std::hypot(b.x - a.x, b.y - a.y) * std::hypot(c.x - b.x, c.y - b.y) * std::hypot(c.x - a.x, c.y - a.y);
    return twiceArea > 1e-9 ? sides / (2.0 * twiceArea) : 1e9;
}

std::vector<double> radii(const std::vector<Spot>& spots) {
    std::vector<double> out(spots.size(), 1e9);
    for (size_t i = kReach; i + kReach < spots.size(); ++i)
        out[i] = radiusThrough(spots[i - kReach], spots[i], spots[i + kReach]);
    return out;
}

std::vector<CoursePiece> piecesOf(const std::vector<Spot>& spots, const std::vector<double>& radius) {
    const auto bends = [&](size_t step) { return std::min(radius[step], radius[step + 1]) < kStraight_m; };
    std::vector<CoursePiece> out;
    const size_t steps = spots.size() - 1;
    for (size_t i = 0; i < steps;) {
        const bool corner = bends(i);
        size_t end = i + 1;
        while (end < steps && end - i < (corner ? kPieceSteps : kMostSteps) && bends(end) == corner)
            ++end;
        CoursePiece piece{spots[end].along - spots[i].along};
        piece.gradient = (spots[end].height - spots[i].height) / piece.length_m;
        if (corner)
            piece.radius_m = std::max(1.0, *std::min_element(radius.begin() + static_cast<long>(i),
                                                             radius.begin() + static_cast<long>(end) + 1));
        out.push_back(piece);
        i = end;
    }
    return out;
}

} // namespace

Course courseFromGpx(std::string_view text, const std::string& file, const std::string& name) {
    pugi::xml_document document;
    if (!document.load_buffer(text.data(), text.size()))
        refuse("not_allowed.gpx_xml", file);
    const std::vector<Spot> raw = spotsOf(pointsOf(document, file), file);
    if (raw.size() < 2 || raw.back().along < 4.0 * kStep_m)
        refuse("not_allowed.gpx_no_track", file);
    if (raw.back().along > kStep_m * kMostPoints)
        refuse("not_allowed.course_length", file);
    std::vector<Spot> spots = evenly(raw);
    const auto x = smoothed(spots, &Spot::x, kSmoothWay_m);
    const auto y = smoothed(spots, &Spot::y, kSmoothWay_m);
    const auto height = smoothed(spots, &Spot::height, kSmoothHeight_m);
    for (size_t i = 0; i < spots.size(); ++i)
        spots[i] = {x[i], y[i], height[i], spots[i].along};
    Course out{name, piecesOf(spots, radii(spots))};
    checkCourse(out, {.file = file});
    return out;
}

} // namespace hillrun
