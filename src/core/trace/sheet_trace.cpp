// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/trace/sheet_trace.h"

#include "core/errors/data_error.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

constexpr double kHand_px = 1.5; ///< how far somebody may point beside the line, 95 %

std::optional<AxisMarks> marksOf(const SheetTrace& trace, SheetMark low, SheetMark high) {
    const MarkedPlace& a = trace.mark(low);
    const MarkedPlace& b = trace.mark(high);
    if (!a.at || !b.at || !a.value || !b.value)
        return std::nullopt;
    return AxisMarks{{*a.at, *a.value}, {*b.at, *b.value}};
}

std::vector<CurvePoint> readOff(const SheetTrace& trace, const TracedLine& line) {
    return readLine(*axesOf(trace, line.onRightAxis && trace.rightAxis), line.points, line.byHand ? kHand_px : 0.0);
}

/// One step for the whole sheet, so that power and torque stand at the same speeds.
double stepFor(const SheetTrace& trace) {
    double out = 0.0;
    for (const TracedLine& line : trace.lines)
        if (!line.byHand && !line.points.empty())
            out = std::max(out, stepOf(readOff(trace, line)));
    return out;
}

} // namespace

std::optional<SheetMark> nextMark(const SheetTrace& trace) {
    for (size_t i = 0; i < kSheetMarks; ++i)
        if (!trace.marks[i].at && (trace.rightAxis || i < static_cast<size_t>(SheetMark::RightLow)))
            return static_cast<SheetMark>(i);
    return std::nullopt;
}

std::optional<SheetAxes> axesOf(const SheetTrace& trace, bool right) {
    const auto speed = marksOf(trace, SheetMark::SpeedLow, SheetMark::SpeedHigh);
    const auto values = right ? marksOf(trace, SheetMark::RightLow, SheetMark::RightHigh)
                              : marksOf(trace, SheetMark::LeftLow, SheetMark::LeftHigh);
    if (!speed || !values)
        return std::nullopt;
    return SheetAxes(*speed, *values);
}

void addStretch(TracedLine& line, const std::vector<LinePoint>& stretch) {
    if (stretch.empty())
        return;
    const double from = stretch.front().at.x;
    const double to = stretch.back().at.x;
    std::erase_if(line.points, [&](const LinePoint& point) { return point.at.x >= from && point.at.x <= to; });
    const auto behind =
        std::find_if(line.points.begin(), line.points.end(), [&](const LinePoint& point) { return point.at.x > to; });
    line.points.insert(behind, stretch.begin(), stretch.end());
}

void togglePoint(TracedLine& line, PicturePoint at, double reach) {
    const auto same = std::find_if(line.points.begin(), line.points.end(), [&](const LinePoint& point) {
        return std::hypot(point.at.x - at.x, point.at.y - at.y) <= reach;
    });
    if (same != line.points.end()) {
        line.points.erase(same);
        return;
    }
    const auto behind =
        std::find_if(line.points.begin(), line.points.end(), [&](const LinePoint& point) { return point.at.x > at.x; });
    line.points.insert(behind, {at, 0.0});
}

void cutOff(TracedLine& line, double x) {
    const auto before = [&](const LinePoint& point) { return point.at.x < x; };
    const auto fewer = std::count_if(line.points.begin(), line.points.end(), before);
    const bool left = 2 * fewer < static_cast<std::ptrdiff_t>(line.points.size());
    std::erase_if(line.points, [&](const LinePoint& point) { return before(point) == left; });
}

std::vector<TracedBuild> tracedBuilds(const SheetTrace& trace) {
    const double step = stepFor(trace);
    std::vector<std::pair<std::string, std::vector<SheetCurve>>> builds;
    for (const TracedLine& line : trace.lines) {
        if (line.points.empty())
            continue;
        const std::vector<CurvePoint> read = readOff(trace, line);
        auto it = std::find_if(builds.begin(), builds.end(), [&](const auto& one) { return one.first == line.build; });
        if (it == builds.end())
            it = builds.insert(it, {line.build, {}});
        it->second.push_back({line.unit, line.byHand ? read : atSteps(read, step)});
    }
    std::vector<TracedBuild> out;
    for (const auto& [build, curves] : builds) {
        TracedBuild one{build, tableOfCurves(curves), {}, {}};
        for (const SheetCurve& curve : curves) {
            std::string& unit = isTorque(curve) ? one.torqueUnit : one.powerUnit;
            if (!unit.empty())
                throw DataError(Problem::BadValue,
                                {build, Statement{isTorque(curve) ? "trace.two_torques" : "trace.two_powers"}});
            unit = curve.unit;
        }
        out.push_back(std::move(one));
    }
    return out;
}

} // namespace hillrun
