// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/trace/traced_curve.h"

#include "core/errors/data_error.h"
#include "core/pull/robust.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace hillrun {
namespace {

struct Seen {
    SheetPoint point;
    SheetReading off;
};

double slopeAt(const std::vector<Seen>& seen, size_t i) {
    const size_t before = i == 0 ? 0 : i - 1;
    const size_t after = std::min(i + 1, seen.size() - 1);
    const double speeds = seen[after].point.rpm - seen[before].point.rpm;
    return speeds > 0.0 ? (seen[after].point.value - seen[before].point.value) / speeds : 0.0;
}

Unit unitOf(const std::string& text) {
    const auto unit = parseUnit(text);
    if (!unit || (unit->dimension != Dimension::Power && unit->dimension != Dimension::Torque))
        throw DataError(Problem::UnknownUnit, {text});
    return *unit;
}

} // namespace

std::vector<CurvePoint> readLine(const SheetAxes& axes, const std::vector<LinePoint>& line, double off_px) {
    std::vector<Seen> seen;
    for (const LinePoint& point : line)
        seen.push_back({axes.at(point.at), axes.reading(point.at, {off_px, std::hypot(off_px, point.halfWidth_px)})});
    std::stable_sort(seen.begin(), seen.end(), [](const Seen& a, const Seen& b) { return a.point.rpm < b.point.rpm; });
    std::vector<CurvePoint> out;
    for (size_t i = 0; i < seen.size(); ++i)
        if (out.empty() || seen[i].point.rpm > out.back().rpm)
            out.push_back({seen[i].point.rpm, seen[i].point.value,
                           std::hypot(seen[i].off.value, slopeAt(seen, i) * seen[i].off.rpm)});
    return out;
}

double stepOf(const std::vector<CurvePoint>& points) {
    std::vector<double> rpm;
    for (const CurvePoint& point : points)
        rpm.push_back(point.rpm);
    for (const double step : {25.0, 50.0, 100.0})
        if (step >= 3.0 * medianStep(rpm))
            return step;
    return 200.0;
}

std::vector<CurvePoint> atSteps(const std::vector<CurvePoint>& points, double step_rpm) {
    std::vector<CurvePoint> out;
    if (points.empty())
        return out;
    std::vector<double> rpm;
    std::vector<double> value;
    for (const CurvePoint& point : points) {
        rpm.push_back(point.rpm);
        value.push_back(point.value);
    }
    for (double at = step_rpm * std::ceil(rpm.front() / step_rpm); at <= rpm.back(); at += step_rpm) {
        const auto from = std::lower_bound(rpm.begin(), rpm.end(), at - 0.5 * step_rpm);
        const auto to = std::upper_bound(rpm.begin(), rpm.end(), at + 0.5 * step_rpm);
        if (to - from < 2)
            continue; // hidden there
        const auto first = static_cast<size_t>(from - rpm.begin());
        const auto last = static_cast<size_t>(to - rpm.begin()) - 1;
        const Line line = fitLine(rpm, value, first, last);
        out.push_back({at, line.at(at), points[(first + last) / 2].half});
    }
    return out;
}

bool isTorque(const SheetCurve& curve) { return unitOf(curve.unit).dimension == Dimension::Torque; }

ChannelTable tableOfCurves(const std::vector<SheetCurve>& curves) {
    struct Row {
        double power = std::nan("");
        double torque = std::nan("");
        double reading = std::nan("");
    };
    std::map<double, Row> rows;
    bool anyPower = false;
    bool anyTorque = false;
    for (const SheetCurve& curve : curves) {
        const Unit unit = unitOf(curve.unit);
        const bool torque = unit.dimension == Dimension::Torque;
        (torque ? anyTorque : anyPower) = true;
        for (const CurvePoint& point : curve.points) {
            Row& row = rows[point.rpm];
            (torque ? row.torque : row.power) = unit.toCanonical(point.value);
            row.reading = std::fmax(row.reading, 100.0 * point.half / std::abs(point.value)); // a blank gives way
        }
    }
    ChannelTable out;
    out.columns.push_back({"engine_speed", "rpm", {}});
    Column power{"power", "kW", {}};
    Column torque{"torque", "N.m", {}};
    Column reading{"reading", "%", {}};
    for (const auto& [rpm, row] : rows) {
        out.columns.front().values.push_back(rpm);
        power.values.push_back(row.power);
        torque.values.push_back(row.torque);
        reading.values.push_back(row.reading);
    }
    if (anyPower)
        out.columns.push_back(std::move(power));
    if (anyTorque)
        out.columns.push_back(std::move(torque));
    if (!finiteOf(reading.values).empty() && median(finiteOf(reading.values)) > 0.0)
        out.columns.push_back(std::move(reading));
    return out;
}

std::optional<double> usualReading_pct(const ChannelTable& table) {
    const Column* reading = table.find("reading");
    return reading ? std::optional(median(finiteOf(reading->values))) : std::nullopt;
}

} // namespace hillrun
