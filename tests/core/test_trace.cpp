// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"
#include "core/trace/sheet_check.h"
#include "core/trace/sheet_trace.h"
#include "core/trace/traced_curve.h"
#include "core/units/units.h"
#include "english.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>
#include <functional>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

/// A sheet drawn here: 600 by 400 pixels, each inked by how near its middle lies to the line.
class Sheet {
public:
    explicit Sheet(Rgb paper = {255, 255, 255}) {
        m_picture.width = 600;
        m_picture.height = 400;
        m_picture.pixels.assign(600 * 400, paper);
    }
    /// y as a function of x, both in pixels; `shown` says in which columns.
    void line(
        const std::function<double(double)>& y, Rgb colour, double width = 3.0,
        const std::function<bool(int)>& shown = [](int) { return true; }) {
        for (int x = 40; x < 560; ++x)
            for (int row = 0; row < 400 && shown(x); ++row) {
                const double slope = y(x + 1.0) - y(x);
                const double off = std::abs(row + 0.5 - y(x + 0.5)) / std::hypot(1.0, slope);
                ink(x, row, colour, std::clamp(0.5 * width + 0.5 - off, 0.0, 1.0));
            }
    }
    void upright(int x, Rgb colour) {
        for (int row = 20; row < 380; ++row)
            ink(x, row, colour, 1.0);
    }
    void level(int row, Rgb colour) {
        for (int x = 40; x < 560; ++x)
            ink(x, row, colour, 1.0);
    }
    [[nodiscard]] const Picture& picture() const { return m_picture; }

private:
    void ink(int x, int row, const Rgb& colour, double share) {
        Rgb& pixel = m_picture.pixels[static_cast<size_t>(row) * 600 + static_cast<size_t>(x)];
        for (size_t i = 0; i < 3; ++i)
            pixel[i] = static_cast<std::uint8_t>(std::lround(pixel[i] + share * (colour[i] - pixel[i])));
    }
    Picture m_picture;
};

double hump(double x) { return 330.0 - 220.0 * std::sin((x - 40.0) / 520.0 * 2.2); }

double worstOff(const std::vector<LinePoint>& line, const std::function<double(double)>& y) {
    double out = 0.0;
    for (const LinePoint& point : line)
        out = std::max(out, std::abs(point.at.y - y(point.at.x)));
    return out;
}

bool withinWhatItSays(const std::vector<LinePoint>& line, const std::function<double(double)>& y) {
    return std::all_of(line.begin(), line.end(), [&](const LinePoint& point) {
        return std::abs(point.at.y - y(point.at.x)) <= point.halfWidth_px;
    });
}

/// 2 000 rpm at x = 40, 8 000 at 540; 0 at y = 380, 100 at 30.
AxisMarks speedMarks() { return {{{40.0, 380.0}, 2000.0}, {{540.0, 380.0}, 8000.0}}; }
AxisMarks powerMarks() { return {{{40.0, 380.0}, 0.0}, {{40.0, 30.0}, 100.0}}; }

ChannelTable sheetOf(double powerTimes, const std::string& powerUnit, const std::string& torqueUnit) {
    SheetCurve power{powerUnit, {}};
    SheetCurve torque{torqueUnit, {}};
    for (double rpm = 3000.0; rpm <= 7000.0; rpm += 250.0) {
        const double nm = 110.0 - 4e-6 * std::pow(rpm - 4800.0, 2.0);
        const double kw = nm * rpm * 2.0 * std::acos(-1.0) / 60000.0;
        power.points.push_back({rpm, powerTimes * parseUnit(powerUnit)->fromCanonical(kw), 0.0});
        torque.points.push_back({rpm, parseUnit(torqueUnit)->fromCanonical(nm), 0.0});
    }
    return tableOfCurves({power, torque});
}

} // namespace

TEST_CASE("a drawn line is followed to a fraction of a pixel from wherever somebody points at it") {
    Sheet sheet;
    sheet.line(hump, {200, 40, 30});
    for (const double x : {45.0, 300.5, 540.0}) {
        const auto line = followLine(sheet.picture(), {x, hump(x) + 3.0});
        REQUIRE(line.size() == 520);
        CHECK(line.front().at.x == 40.5);
        CHECK(line.back().at.x == 559.5);
        CHECK(worstOff(line, hump) < 0.15);
        CHECK(line[260].halfWidth_px == Approx(1.5).margin(0.3));
    }
}

TEST_CASE("nothing is followed where there is only paper, or beyond the picture") {
    Sheet sheet;
    sheet.line(hump, {200, 40, 30});
    CHECK(followLine(sheet.picture(), {300.0, 390.0}).empty());
    CHECK(followLine(sheet.picture(), {-50.0, 2000.0}).empty());
    CHECK(followLine(Picture{}, {1.0, 1.0}).empty());
}

TEST_CASE("a line goes on past grid, frame, dashes and a line of another colour that crosses over it") {
    Sheet sheet({250, 248, 240});
    for (int x = 60; x < 560; x += 50)
        sheet.upright(x, {205, 205, 205});
    for (int row = 30; row < 380; row += 40)
        sheet.level(row, {205, 205, 205});
    sheet.upright(300, {20, 20, 20}); // a frame of nearly its own colour
    sheet.line(hump, {30, 30, 30}, 3.0, [](int x) { return x % 14 < 9; });
    sheet.line([](double x) { return 60.0 + 0.5 * x; }, {30, 120, 220}, 5.0);
    const auto line = followLine(sheet.picture(), {72.0, hump(72.0)});
    REQUIRE(line.size() > 300);
    CHECK(line.front().at.x < 45.0);
    CHECK(line.back().at.x > 550.0);
    CHECK(worstOff(line, hump) < 1.0);
}

TEST_CASE("of two lines of one colour that cross the one that goes on straight is followed") {
    Sheet sheet;
    const auto rising = [](double x) { return 350.0 - 0.5 * x; };
    const auto falling = [](double x) { return 60.0 + 0.4 * x; };
    sheet.line(rising, {0, 90, 0});
    sheet.line(falling, {0, 90, 0});
    const auto line = followLine(sheet.picture(), {100.5, rising(100.5)});
    REQUIRE(line.size() > 450);
    CHECK(withinWhatItSays(line, rising)); // also where both run together
    CHECK(std::abs(line.back().at.y - rising(line.back().at.x)) < 0.3);
}

TEST_CASE("a line in dashes does not turn onto a whole line of its colour where that crosses one of its gaps") {
    const auto rising = [](double x) { return 350.0 - 0.5 * x; };
    const auto falling = [](double x) { return 60.0 + 0.4 * x; }; // they cross at x = 322
    for (int shift = 0; shift < 14; shift += 2) {
        INFO(shift);
        Sheet sheet;
        sheet.line(rising, {150, 20, 40});
        sheet.line(falling, {150, 20, 40}, 3.0, [&](int x) { return (x + shift) % 14 < 9; });
        for (const double x : {60.5, 540.5}) {
            double from = x;
            while ((static_cast<int>(from) + shift) % 14 >= 8)
                from += 1.0;
            const auto line = followLine(sheet.picture(), {from, falling(from)});
            REQUIRE(line.size() > 280);
            INFO("from " << from);
            CHECK(std::abs(line.front().at.y - falling(line.front().at.x)) < 0.5);
            CHECK(std::abs(line.back().at.y - falling(line.back().at.x)) < 0.5);
            CHECK(worstOff(line, falling) < 2.5); // where it runs through the other
        }
        const auto whole = followLine(sheet.picture(), {100.5, rising(100.5)});
        CHECK(withinWhatItSays(whole, rising));
    }
}

TEST_CASE("a ragged line is followed by its being joined, and a tick beyond its end is none of it") {
    const auto ragged = [](double x) { return 200.0 + 6.0 * std::sin(0.9 * x) - 0.2 * (x - 300.0); };
    Sheet sheet;
    sheet.line(ragged, {20, 20, 20}, 3.0, [](int x) { return x >= 80 && x < 520; });
    sheet.line(ragged, {20, 20, 20}, 3.0, [](int x) { return (x >= 60 && x < 63) || (x >= 540 && x < 544); });
    const auto line = followLine(sheet.picture(), {300.5, ragged(300.5)});
    CHECK(line.size() == 440);
    CHECK(line.front().at.x == 80.5);
    CHECK(line.back().at.x == 519.5);
    CHECK(withinWhatItSays(line, ragged));
}

TEST_CASE("a line ends where a gap is wider than any dash") {
    Sheet sheet;
    sheet.line(hump, {200, 40, 30}, 3.0, [](int x) { return x < 200 || x > 240; });
    CHECK(followLine(sheet.picture(), {100.0, hump(100.0)}).back().at.x == 199.5);
    CHECK(followLine(sheet.picture(), {400.0, hump(400.0)}).front().at.x == 241.5);
}

TEST_CASE("the axes of a sheet say what stands at a place, also when it lies turned and skewed") {
    const SheetAxes plain(speedMarks(), powerMarks());
    REQUIRE(plain.problem() == AxesProblem::None);
    CHECK(plain.at({290.0, 205.0}).rpm == Approx(5000.0));
    CHECK(plain.at({290.0, 205.0}).value == Approx(50.0));
    const auto turned = [](PicturePoint p) { // 7 degrees, and leaning
        const double a = 7.0 * std::acos(-1.0) / 180.0;
        const double x = p.x + 0.1 * p.y;
        return PicturePoint{std::cos(a) * x - std::sin(a) * p.y + 30.0, std::sin(a) * x + std::cos(a) * p.y - 12.0};
    };
    AxisMarks speed = speedMarks();
    AxisMarks power = powerMarks();
    for (AxisMark* mark : {&speed.low, &speed.high, &power.low, &power.high})
        mark->at = turned(mark->at);
    power.low.at = turned({90.0, 380.0}); // the value axis may be marked anywhere along it
    power.high.at = turned({90.0, 30.0});
    const SheetAxes axes(speed, power);
    CHECK(axes.at(turned({290.0, 205.0})).rpm == Approx(5000.0));
    CHECK(axes.at(turned({290.0, 205.0})).value == Approx(50.0));
    const PicturePoint back = axes.placeOf({5000.0, 50.0});
    CHECK(back.x == Approx(turned({290.0, 205.0}).x));
    CHECK(back.y == Approx(turned({290.0, 205.0}).y));
}

TEST_CASE("axes that say nothing are refused by what is wrong with them") {
    AxisMarks same = powerMarks();
    same.high.value = same.low.value;
    CHECK(SheetAxes(speedMarks(), same).problem() == AxesProblem::SameValue);
    AxisMarks close = powerMarks();
    close.high.at.y = close.low.at.y - 19.0;
    CHECK(SheetAxes(speedMarks(), close).problem() == AxesProblem::TooClose);
    CHECK(SheetAxes(close, powerMarks()).problem() == AxesProblem::TooClose);
    AxisMarks along = powerMarks();
    along.high.at = {340.0, 300.0};
    CHECK(SheetAxes(speedMarks(), along).problem() == AxesProblem::NotCrossed);
    along.high.at = {140.0, 280.0}; // 45 degrees
    CHECK(SheetAxes(speedMarks(), along).problem() == AxesProblem::None);
}

TEST_CASE("a reading knows how far it may be off: its place, the marks, the width of the line, the slope") {
    const SheetAxes axes(speedMarks(), powerMarks()); // 12 rpm and 100/350 a pixel
    const double perPixel = 100.0 / 350.0;
    // Half-way between the marks each counts half: the root of a half. At a mark it counts whole.
    CHECK(axes.reading({290.0, 205.0}, {0.0, 0.0}).value == Approx(std::sqrt(0.5) * perPixel));
    CHECK(axes.reading({40.0, 380.0}, {0.0, 0.0}).value == Approx(perPixel));
    CHECK(axes.reading({40.0, 380.0}, {0.0, 0.0}).rpm == Approx(12.0));
    CHECK(axes.reading({40.0, 380.0}, {0.0, 2.0}).value == Approx(std::sqrt(5.0) * perPixel));
    // Twice as far out as the marks are apart: the marks count root of 2^2 + 1.
    CHECK(axes.reading({290.0, -320.0}, {0.0, 0.0}).value == Approx(std::sqrt(5.0) * perPixel));
    const std::vector<LinePoint> level{{{140.0, 205.0}, 2.0}, {{290.0, 205.0}, 2.0}, {{440.0, 205.0}, 2.0}};
    CHECK(readLine(axes, level, 0.0)[1].half == Approx(std::hypot(2.0, std::sqrt(0.5)) * perPixel));
    const std::vector<LinePoint> steep{{{240.0, 305.0}, 0.0}, {{290.0, 205.0}, 0.0}, {{340.0, 105.0}, 0.0}};
    // Two pixels up for one along.
    CHECK(readLine(axes, steep, 0.0)[1].half == Approx(std::sqrt(0.5) * std::hypot(1.0, 2.0) * perPixel));
    CHECK(readLine(axes, steep, 1.5)[1].half ==
          Approx(std::hypot(1.5, std::sqrt(0.5)) * std::hypot(1.0, 2.0) * perPixel));
}

TEST_CASE("a curve traced from a drawn sheet comes back within 0.5 per cent of full scale") {
    Sheet sheet({252, 250, 246});
    for (int row = 30; row < 380; row += 35)
        sheet.level(row, {215, 215, 215});
    sheet.upright(40, {0, 0, 0});
    sheet.level(380, {0, 0, 0});
    sheet.line(hump, {160, 30, 40});
    const SheetAxes axes(speedMarks(), powerMarks());
    const auto points = readLine(axes, followLine(sheet.picture(), {300.0, hump(300.0)}), 0.0);
    CHECK(stepOf(points) == 50.0); // 12 rpm a column
    const auto curve = atSteps(points, 50.0);
    REQUIRE(curve.size() > 120);
    for (const CurvePoint& point : curve) {
        const double x = 40.0 + (point.rpm - 2000.0) / 12.0;
        const double truth = (380.0 - hump(x)) / 3.5;
        CHECK(std::abs(point.value - truth) < 0.5); // of 100
        CHECK(std::abs(point.value - truth) < point.half);
        CHECK(std::fmod(point.rpm, 50.0) == 0.0);
    }
}

TEST_CASE("the step of a traced table follows how close its points lie") {
    const auto every = [](double rpm) {
        return std::vector<CurvePoint>{{1000.0, 1.0, 0.0}, {1000.0 + rpm, 1.0, 0.0}, {1000.0 + 2.0 * rpm, 1.0, 0.0}};
    };
    CHECK(stepOf(every(8.0)) == 25.0);
    CHECK(stepOf(every(8.5)) == 50.0);
    CHECK(stepOf(every(30.0)) == 100.0);
    CHECK(stepOf(every(60.0)) == 200.0);
    CHECK(atSteps({}, 25.0).empty());
}

TEST_CASE("curves become a table in the units of a pull file, with how far they may be off") {
    const ChannelTable table = tableOfCurves({{"hp", {{4000.0, 100.0, 1.0}, {5000.0, 120.0, 1.2}}},
                                              {"lbf.ft", {{5000.0, 126.05, 5.0}, {6000.0, 110.0, 1.1}}}});
    REQUIRE(table.rows() == 3);
    // hp and lbf.ft after their definition (550 ft.lbf/s; 0.3048 m, 0.45359237 kg, 9.80665 m/s2).
    CHECK(table.find("power")->values[0] == Approx(74.56999).epsilon(1e-6));
    CHECK(table.find("torque")->values[2] == Approx(149.14).epsilon(1e-4));
    CHECK(std::isnan(table.find("torque")->values[0]));
    CHECK(std::isnan(table.find("power")->values[2]));
    CHECK(table.find("reading")->values[1] == Approx(100.0 * 5.0 / 126.05));
    CHECK(*usualReading_pct(table) == Approx(1.0));
    const ChannelTable typed = tableOfCurves({{"kW", {{4000.0, 50.0, 0.0}, {5000.0, 60.0, 0.0}}}});
    CHECK_FALSE(typed.find("reading"));
    CHECK_FALSE(typed.find("torque"));
    CHECK_FALSE(usualReading_pct(typed));
    CHECK_THROWS_AS(tableOfCurves({{"kPa", {{4000.0, 50.0, 0.0}}}}), DataError);
    CHECK(isTorque({"lbf.ft", {}}));
    CHECK_FALSE(isTorque({"PS", {}}));
}

TEST_CASE("power and torque of one sheet must belong together") {
    CHECK_FALSE(checkSheet(sheetOf(1.0, "hp", "lbf.ft"), "hp", "lbf.ft"));
    CHECK_FALSE(checkSheet(sheetOf(1.019, "kW", "N.m"), "kW", "N.m"));
    const auto doubt = checkSheet(sheetOf(1.05, "hp", "lbf.ft"), "hp", "lbf.ft");
    REQUIRE(doubt);
    CHECK(doubt->ratio == Approx(1.0 / 1.05).epsilon(1e-3));
    CHECK(doubt->crossing_rpm ==
          Approx(5252.11).margin(0.02)); // 33 000 / (2 pi), from the definition of the horsepower
    REQUIRE(doubt->seenCrossing_rpm);
    CHECK(*doubt->seenCrossing_rpm < 5050.0); // 5 252 / 1.05 and a little
    CHECK(*doubt->seenCrossing_rpm > 4950.0);
    CHECK(inEnglish(sheetDoubtStatements(*doubt, "hp", "lbf.ft")).find("5 252 rpm") != std::string::npos);
    const auto asHorses = checkSheet(sheetOf(1.3410, "kW", "N.m"), "kW", "N.m"); // hp written where kW is said
    REQUIRE(asHorses);
    CHECK(inEnglish(asHorses->offer) == "the power is in hp");
    CHECK_FALSE(asHorses->seenCrossing_rpm);
    CHECK(inEnglish(sheetDoubtStatements(*asHorses, "kW", "N.m")).find("They would agree if the power is in hp.") !=
          std::string::npos);
    const auto asMetric = checkSheet(sheetOf(1.35962, "kW", "N.m"), "kW", "N.m");
    REQUIRE(asMetric);
    CHECK(inEnglish(asMetric->offer) == "the power is in PS");
    const auto kilograms = checkSheet(sheetOf(1.0 / 9.80665, "kW", "N.m"), "kW", "N.m");
    REQUIRE(kilograms); // the torque's numbers are 9.8 times what the power says
    CHECK(kilograms->offer.empty());
}

TEST_CASE("a sheet read coarsely is not doubted for what the reading may be off, nor one curve alone") {
    ChannelTable coarse = sheetOf(1.04, "kW", "N.m");
    CHECK(checkSheet(coarse, "kW", "N.m"));
    coarse.columns.push_back({"reading", "%", std::vector<double>(coarse.rows(), 2.0)});
    CHECK_FALSE(checkSheet(coarse, "kW", "N.m"));
    CHECK_FALSE(checkSheet(tableOfCurves({{"kW", {{4000.0, 50.0, 0.0}, {5000.0, 60.0, 0.0}}}}), "kW", "N.m"));
    const ChannelTable apart =
        tableOfCurves({{"kW", {{4000.0, 50.0, 0.0}}}, {"N.m", {{5000.0, 60.0, 0.0}}}}); // peaks alone
    CHECK_FALSE(checkSheet(apart, "kW", "N.m"));
}

TEST_CASE("curves that agree in the middle and part at an end are doubted too") {
    ChannelTable table = sheetOf(1.0, "kW", "N.m");
    Column& power = table.columns[1];
    for (size_t i = 0; i < 3; ++i)
        power.values[i] *= 1.10;
    const auto doubt = checkSheet(table, "kW", "N.m");
    REQUIRE(doubt);
    CHECK(doubt->ratio == Approx(1.0).epsilon(1e-3));
    CHECK(inEnglish(sheetDoubtStatements(*doubt, "kW", "N.m")).find("at some speeds") != std::string::npos);
}

TEST_CASE("what was marked and traced becomes a table a build, with one step for the sheet") {
    SheetTrace trace;
    CHECK(nextMark(trace) == SheetMark::SpeedLow);
    const AxisMarks speed = speedMarks();
    const AxisMarks power = powerMarks();
    trace.marks[0] = {speed.low.at, speed.low.value};
    trace.marks[1] = {speed.high.at, speed.high.value};
    CHECK(nextMark(trace) == SheetMark::LeftLow);
    CHECK_FALSE(axesOf(trace, false));
    trace.marks[2] = {power.low.at, power.low.value};
    trace.marks[3] = {power.high.at, {}};
    CHECK_FALSE(axesOf(trace, false)); // no value yet
    trace.marks[3].value = power.high.value;
    CHECK(axesOf(trace, false));
    CHECK_FALSE(nextMark(trace));
    trace.rightAxis = true;
    CHECK(nextMark(trace) == SheetMark::RightLow);
    CHECK_FALSE(axesOf(trace, true));
    trace.marks[4] = {PicturePoint{540.0, 380.0}, 0.0};
    trace.marks[5] = {PicturePoint{540.0, 30.0}, 200.0};

    Sheet sheet;
    sheet.line(hump, {160, 30, 40});
    sheet.line([](double x) { return hump(x) - 40.0; }, {20, 30, 140});
    trace.lines = {{"A", "kW", false, false, followLine(sheet.picture(), {300.0, hump(300.0)})},
                   {"A", "N.m", true, false, followLine(sheet.picture(), {300.0, hump(300.0) - 40.0})},
                   {"B", "hp", false, true, {{{140.0, 205.0}, 0.0}, {{240.0, 135.0}, 0.0}}},
                   {"C", "kW", false, false, {}}};
    const auto builds = tracedBuilds(trace);
    REQUIRE(builds.size() == 2); // nothing was traced of C
    CHECK(builds[0].build == "A");
    CHECK(builds[0].powerUnit == "kW");
    CHECK(builds[0].torqueUnit == "N.m");
    const auto& rpm = builds[0].table.find("engine_speed")->values;
    CHECK(rpm[1] - rpm[0] == 50.0);
    const size_t middle = rpm.size() / 2;
    const double x = 40.0 + (rpm[middle] - 2000.0) / 12.0;
    CHECK(builds[0].table.find("power")->values[middle] == Approx((380.0 - hump(x)) / 3.5).margin(0.1));
    CHECK(builds[0].table.find("torque")->values[middle] == Approx((420.0 - hump(x)) / 1.75).margin(0.2));
    CHECK(builds[1].torqueUnit.empty());
    REQUIRE(builds[1].table.rows() == 2);
    CHECK(builds[1].table.find("engine_speed")->values[0] == Approx(3200.0));
    CHECK(builds[1].table.find("power")->values[0] == Approx(50.0 * 0.74569987)); // hp, by definition 550 ft.lbf/s
    trace.lines[3] = trace.lines[0];
    CHECK_THROWS_AS(tracedBuilds(trace), DataError); // A's power twice
}

TEST_CASE("stretches of a line are put together, ends cut off, points set and taken away") {
    const auto level = [](double from, double to, double y) {
        std::vector<LinePoint> out;
        for (double x = from; x <= to; x += 1.0)
            out.push_back({{x, y}, 1.0});
        return out;
    };
    TracedLine line{"A", "kW", false, false, {}};
    addStretch(line, {});
    CHECK(line.points.empty());
    addStretch(line, level(100.5, 200.5, 10.0));
    addStretch(line, level(20.5, 60.5, 20.0));
    addStretch(line, level(150.5, 250.5, 30.0)); // over the end of the first
    CHECK(line.points.size() == 41 + 50 + 101);
    CHECK(std::is_sorted(line.points.begin(), line.points.end(),
                         [](const LinePoint& a, const LinePoint& b) { return a.at.x < b.at.x; }));
    CHECK(line.points[41 + 49].at.y == 10.0);
    CHECK(line.points[41 + 50].at.y == 30.0);
    cutOff(line, 60.0); // fewer lie before it
    CHECK(line.points.front().at.x == 60.5);
    cutOff(line, 240.0);
    CHECK(line.points.back().at.x == 239.5);
    TracedLine byHand{"A", "kW", false, true, {}};
    togglePoint(byHand, {50.0, 1.0}, 3.0);
    togglePoint(byHand, {20.0, 2.0}, 3.0);
    togglePoint(byHand, {53.1, 1.0}, 3.0);
    CHECK(byHand.points.size() == 3);
    CHECK(byHand.points[0].at.x == 20.0);
    togglePoint(byHand, {50.0, 4.0}, 3.0);
    CHECK(byHand.points.size() == 2);
    CHECK(byHand.points[1].at.x == 53.1);
}
