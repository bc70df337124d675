// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/given_curve.h"

#include "core/errors/data_error.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <numeric>

namespace hillrun {
namespace {

constexpr size_t kFewestPoints = 2; ///< the peaks of power and torque
constexpr size_t kSmooth = 4;       ///< fewer are joined by straight lines
constexpr double kFastest_rpm = 100000.0;

/// The points of a curve in the order of speed; of several at one speed the first.
struct Points {
    std::vector<double> rpm;
    std::vector<size_t> row;
};

Points pointsOf(const std::vector<double>& speed, const std::vector<double>& torque) {
    std::vector<size_t> rows;
    for (size_t i = 0; i < speed.size(); ++i)
        if (std::isfinite(speed[i]) && std::isfinite(torque[i]))
            rows.push_back(i);
    std::stable_sort(rows.begin(), rows.end(), [&](size_t a, size_t b) { return speed[a] < speed[b]; });
    Points out;
    for (const size_t row : rows)
        if (out.rpm.empty() || speed[row] > out.rpm.back()) {
            out.rpm.push_back(speed[row]);
            out.row.push_back(row);
        }
    return out;
}

std::vector<double> torqueOf(const Pull& pull, const std::vector<double>& speed) {
    const Column* torque = pull.raw->find("torque");
    const Column* power = pull.raw->find("power");
    if (!torque && !power)
        throw DataError(Problem::NoTorqueChannel, {});
    std::vector<double> out;
    for (size_t i = 0; i < speed.size(); ++i) { // of peaks each row has but one
        const double fromPower = power ? 1000.0 * power->values[i] / angularSpeed(speed[i]) : std::nan("");
        out.push_back(pull.torqueFactor.value_or(1.0) *
                      (torque && std::isfinite(torque->values[i]) ? torque->values[i] : fromPower));
    }
    return out;
}

/// A smooth line through many points, straight ones between two or three; nothing beyond the ends.
std::vector<double> between(const std::vector<double>& rpm, const std::vector<double>& values,
                            const std::vector<double>& at) {
    if (rpm.size() >= kSmooth)
        return throughSteps(rpm, values, at);
    std::vector<double> out;
    for (const double speed : at) {
        const auto next = std::clamp(std::upper_bound(rpm.begin(), rpm.end(), speed), rpm.begin() + 1, rpm.end() - 1);
        const auto i = static_cast<size_t>(next - rpm.begin());
        const double share = (speed - rpm[i - 1]) / (rpm[i] - rpm[i - 1]);
        out.push_back(speed < rpm.front() || speed > rpm.back() ? std::nan("")
                                                                : values[i - 1] + share * (values[i] - values[i - 1]));
    }
    return out;
}

std::vector<double> picked(const std::vector<double>& values, const std::vector<size_t>& rows) {
    std::vector<double> out;
    for (const size_t row : rows)
        out.push_back(values[row]);
    return out;
}

} // namespace

Observed observeGiven(const Pull& pull, const GridSettings& grid) {
    const Column* speed = pull.raw->find("engine_speed");
    if (!speed)
        throw DataError(Problem::NoSpeedChannel, {});
    const std::vector<double> torque = torqueOf(pull, speed->values);
    const Points points = pointsOf(speed->values, torque);
    if (points.rpm.size() < kFewestPoints)
        throw DataError(Problem::TooFewPoints, {std::to_string(points.rpm.size())});
    if (!(points.rpm.front() >= 0.0 && points.rpm.back() <= kFastest_rpm))
        throw DataError(Problem::ImplausibleSpeed, {Rpm{points.rpm.front()}, Rpm{points.rpm.back()}});
    Observed seen;
    seen.recorded.speed_rpm = points.rpm;
    seen.recorded.torque_nm = picked(torque, points.row);
    seen.recorded.time_s = std::vector<double>(points.rpm.size(), std::nan("")); // there was none
    seen.sweep.last = points.rpm.size() - 1;
    seen.sweep.whole_rpm = {points.rpm.front(), points.rpm.back()};
    seen.sweep.window_rpm = seen.sweep.whole_rpm;
    if (pull.window_rpm)
        seen.sweep.window_rpm = {std::max(pull.window_rpm->low, points.rpm.front()),
                                 std::min(pull.window_rpm->high, points.rpm.back())};
    seen.rpm = gridIn(seen.sweep.window_rpm, grid.step_rpm);
    seen.torque_nm = between(points.rpm, seen.recorded.torque_nm, seen.rpm);
    for (const Column& column : pull.raw->columns)
        if (column.name != "engine_speed" && column.name != "torque" && column.name != "power")
            seen.channels[column.name] = between(points.rpm, picked(column.values, points.row), seen.rpm);
    return seen;
}

bool standsIn(const Pull& pull, Standard standard) {
    if (pull.grade == PullGrade::Recorded)
        return true;
    return pull.given.corrected &&
           (*pull.given.corrected == standard || *pull.given.corrected == Standard::Uncorrected);
}

Statement givenPhrase(const Pull& pull) {
    if (pull.grade == PullGrade::Recorded)
        return {};
    Statement corrected{"given.corrected_unknown"};
    if (pull.given.corrected && *pull.given.corrected == Standard::Uncorrected)
        corrected = {"given.not_corrected"};
    else if (pull.given.corrected)
        corrected = {"given.corrected_to", {std::string(standardInfo(*pull.given.corrected).title)}};
    const Statement smoothing = pull.given.smoothing_rpm
                                    ? Statement{"given.smoothed", {decimals(*pull.given.smoothing_rpm, 0, "rpm")}}
                                    : Statement{"given.smoothing_unknown"};
    const char* kind = pull.grade == PullGrade::Traced ? "given.traced" : "given.curve_only";
    if (!pull.given.reading_pct)
        return {kind, {corrected, smoothing}};
    return {"given.traced_read_to", {corrected, smoothing, significant(*pull.given.reading_pct, 1, "%")}};
}

} // namespace hillrun
