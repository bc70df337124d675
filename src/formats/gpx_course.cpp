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
constexpr double kMostOpposite = 0.35;
constexpr double kFewestBends = 10.0;
constexpr size_t kPieceSteps = 2;     ///< of a piece in a corner
constexpr size_t kMostSteps = 10;     ///< of a piece of straight road
constexpr size_t kMostPoints = 40000; ///< 200 km in steps

struct Spot {
    double x = 0.0, y = 0.0, height = 0.0;
    double along = 0.0; ///< metres from the start
};

[[noreturn]] void refuse(const char* why, const std::string& file) {
    throw DataError(Problem::NotACourse, {Statement{why}}, {.file = file});
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

/// The children of that name, whatever stands before its colon: "gpx:trk" is "trk".
std::vector<pugi::xml_node> childrenOf(const pugi::xml_node& node, std::string_view name) {
    std::vector<pugi::xml_node> out;
    for (const pugi::xml_node& child : node.children()) {
        const std::string_view whole = child.name();
        if (whole.substr(whole.rfind(':') + 1) == name)
            out.push_back(child);
    }
    return out;
}

std::vector<pugi::xml_node> pointsOf(const pugi::xml_document& document, const std::string& file) {
    std::vector<std::vector<pugi::xml_node>> tracks, routes;
    for (const pugi::xml_node& root : childrenOf(document, "gpx")) {
        for (const pugi::xml_node& track : childrenOf(root, "trk")) {
            tracks.emplace_back();
            for (const pugi::xml_node& segment : childrenOf(track, "trkseg"))
                for (const pugi::xml_node& point : childrenOf(segment, "trkpt"))
                    tracks.back().push_back(point);
        }
        for (const pugi::xml_node& route : childrenOf(root, "rte"))
            routes.push_back(childrenOf(route, "rtept"));
    }
    for (auto* ways : {&tracks, &routes}) {
        std::erase_if(*ways, [](const auto& points) { return points.empty(); });
        if (ways->size() > 1)
            refuse("not_allowed.gpx_several", file);
        if (ways->size() == 1)
            return ways->front();
    }
    refuse("not_allowed.gpx_no_track", file);
}

std::string_view heightOf(const pugi::xml_node& point) {
    const auto heights = childrenOf(point, "ele");
    return heights.empty() ? std::string_view() : heights.front().child_value();
}

/// On a plane that touches the Earth at the start: good for a course of some kilometres.
std::vector<Spot> spotsOf(const std::vector<pugi::xml_node>& points, const std::string& file) {
    constexpr double kDegree = std::numbers::pi / 180.0;
    std::vector<Spot> out;
    std::optional<std::array<double, 2>> start;
    for (const pugi::xml_node& point : points) {
        const auto lat = numberIn(point.attribute("lat").value());
        const auto lon = numberIn(point.attribute("lon").value());
        const auto height = numberIn(heightOf(point));
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

/// One over the radius of the circle through three places, positive to the left: twice the sine of the turn over the
/// chord.
double bendOf(const Spot& a, const Spot& b, const Spot& c) {
    const double cross = (b.x - a.x) * (c.y - b.y) - (c.x - b.x) * (b.y - a.y);
    const double sides =
        std::hypot(b.x - a.x, b.y - a.y) * std::hypot(c.x - b.x, c.y - b.y) * std::hypot(c.x - a.x, c.y - a.y);
    return sides > 1e-9 ? 2.0 * cross / sides : 0.0;
}

std::vector<double> bendsOf(const std::vector<Spot>& spots) {
    std::vector<double> out(spots.size(), 0.0);
    for (size_t i = kReach; i + kReach < spots.size(); ++i)
        out[i] = bendOf(spots[i - kReach], spots[i], spots[i + kReach]);
    return out;
}

/// A road that bends mostly bends on the same way 15 m further; a receiver's scatter bends back.
bool onlyScatters(const std::vector<double>& bends) {
    constexpr size_t kFurther = 3;
    double pairs = 0.0;
    double opposite = 0.0;
    for (size_t i = 0; i + kFurther < bends.size(); ++i) {
        if (std::min(std::abs(bends[i]), std::abs(bends[i + kFurther])) * kStraight_m < 1.0)
            continue;
        pairs += 1.0;
        opposite += bends[i] * bends[i + kFurther] < 0.0 ? 1.0 : 0.0;
    }
    return pairs >= kFewestBends && opposite > kMostOpposite * pairs;
}

std::vector<CoursePiece> piecesOf(const std::vector<Spot>& spots, const std::vector<double>& bends) {
    const auto tightest = [&](size_t from, size_t to) {
        double out = 0.0;
        for (size_t i = from; i <= to; ++i)
            out = std::max(out, std::abs(bends[i]));
        return out;
    };
    const auto isCorner = [&](size_t step) { return tightest(step, step + 1) * kStraight_m > 1.0; };
    std::vector<CoursePiece> out;
    const size_t steps = spots.size() - 1;
    for (size_t i = 0; i < steps;) {
        const bool corner = isCorner(i);
        size_t end = i + 1;
        while (end < steps && end - i < (corner ? kPieceSteps : kMostSteps) && isCorner(end) == corner)
            ++end;
        CoursePiece piece{spots[end].along - spots[i].along};
        piece.gradient = (spots[end].height - spots[i].height) / piece.length_m;
        if (corner)
            piece.radius_m = std::max(1.0, 1.0 / tightest(i, end));
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
    const std::vector<double> bends = bendsOf(spots);
    if (onlyScatters(bends))
        refuse("not_allowed.gpx_scatter", file);
    Course out{name, piecesOf(spots, bends)};
    checkCourse(out, {.file = file});
    return out;
}

} // namespace hillrun
