// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/observe.h"

#include "core/errors/data_error.h"
#include "core/pull/given_curve.h"
#include "core/pull/local_regression.h"
#include "core/pull/robust.h"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <fmt/format.h>
#include <tuple>

namespace hillrun {
namespace {

SweepSignals sweepSignals(const PullSignals& s) { return {s.time_s, s.speed_rpm, s.torque_nm, s.throttle_pct}; }

/// Where a curve has values. A held speed misses its set point by a few rpm: the set point still counts.
RpmRange reachOf(const Observed& seen) {
    constexpr double hold_rpm = 5.0;
    const RpmRange& window = seen.sweep.window_rpm;
    return seen.steps.empty() ? window : RpmRange{window.low - hold_rpm, window.high + hold_rpm};
}

/// No engine turns so fast; a column in a wrong unit does.
void checkSpeed(const RpmRange& window) {
    constexpr double fastest_rpm = 100000.0;
    if (!(window.low >= 0.0 && window.high <= fastest_rpm))
        throw DataError(Problem::ImplausibleSpeed, {Rpm{window.low}, Rpm{window.high}});
}

double stepMean(const HeldStep& step, std::span<const double> rows) {
    double sum = 0.0;
    double count = 0.0;
    for (size_t i = step.first; i <= step.last; ++i)
        if (std::isfinite(rows[i])) {
            sum += rows[i];
            count += 1.0;
        }
    return sum / count;
}

/// Columns of raw rows as values on the grid: smoothed over a sweep, or through held steps.
std::vector<std::vector<double>> onGrid(const Observed& seen, const GridSettings& grid,
                                        const std::vector<std::span<const double>>& columns) {
    if (seen.steps.empty()) {
        const size_t first = seen.sweep.first;
        const size_t count = seen.sweep.last - first + 1;
        std::vector<std::span<const double>> parts;
        for (const auto& column : columns)
            parts.push_back(column.subspan(first, count));
        const auto speed = std::span(seen.recorded.speed_rpm).subspan(first, count);
        return LocalRegression(speed, seen.rpm, grid.smoothing_rpm).applyAll(parts);
    }
    std::vector<double> speeds;
    for (const HeldStep& step : seen.steps)
        speeds.push_back(step.rpm);
    std::vector<std::vector<double>> out;
    for (const auto& column : columns) {
        std::vector<double> means;
        for (const HeldStep& step : seen.steps)
            means.push_back(stepMean(step, column));
        out.push_back(throughSteps(speeds, means, seen.rpm));
    }
    return out;
}

void findSweepOf(Observed& seen, const Cell& cell, const std::optional<RpmRange>& byHand) {
    const SweepSignals signals = sweepSignals(seen.recorded);
    if (cell.sweep == SweepDirection::Steps) {
        seen.steps = findHeldSteps(signals);
        seen.sweep = sweepOfSteps(signals, seen.steps, byHand);
    } else {
        seen.sweep = findSweep(signals, cell.sweep, byHand);
    }
    checkSpeed(seen.sweep.window_rpm);
}

ChannelTraits traitsOf(const ChannelTable& raw, const Sweep& sweep) {
    ChannelTraits out;
    for (const Column& column : raw.columns) {
        const auto rows = std::span(column.values).subspan(sweep.first, sweep.last - sweep.first + 1);
        out[column.name] = {sampleNoise(rows), longestStill(rows).rows};
    }
    return out;
}

} // namespace

std::vector<double> gridIn(const RpmRange& window, double step_rpm) {
    std::vector<double> out;
    const auto first = static_cast<long>(std::ceil(window.low / step_rpm - 1e-9));
    const auto last = static_cast<long>(std::floor(window.high / step_rpm + 1e-9));
    for (long i = first; i <= last; ++i)
        out.push_back(static_cast<double>(i) * step_rpm);
    return out;
}

Observed observe(const Pull& pull, const Dyno& dyno, const GridSettings& grid) {
    assert(pull.raw && grid.step_rpm > 0.0 && grid.smoothing_rpm > 0.0);
    if (pull.grade != PullGrade::Recorded)
        return observeGiven(pull, grid);
    Observed seen;
    seen.recorded = pullSignals(pull, dyno);
    findSweepOf(seen, dyno.cell, pull.window_rpm);
    seen.rpm = gridIn(reachOf(seen), grid.step_rpm);

    std::vector<std::span<const double>> columns{seen.recorded.torque_nm};
    std::vector<std::string> names;
    for (const Column& column : pull.raw->columns)
        if (column.name != "engine_speed" && column.name != "torque" && column.name != "power") {
            names.push_back(column.name);
            columns.push_back(column.values);
        }
    if (!seen.recorded.driven_rad_s.empty())
        columns.push_back(seen.recorded.driven_rad_s);
    auto values = onGrid(seen, grid, columns);
    seen.torque_nm = std::move(values[0]);
    for (size_t i = 0; i < names.size(); ++i)
        seen.channels[names[i]] = std::move(values[i + 1]);
    if (const Rows& driven = seen.recorded.driven_rad_s; !driven.empty()) {
        seen.driven_rad_s = std::move(values.back());
        std::tie(seen.slowestDriven_rad_s, seen.fastestDriven_rad_s) =
            std::minmax({driven[seen.sweep.first], driven[seen.sweep.last]});
    }
    seen.traits = traitsOf(*pull.raw, seen.sweep);
    seen.coast = findCoastDown(*pull.raw, seen.recorded, seen.sweep, dyno);
    return seen;
}

Observed withoutRows(Observed seen) {
    for (Rows* rows : {&seen.recorded.time_s, &seen.recorded.speed_rpm, &seen.recorded.torque_nm,
                       &seen.recorded.throttle_pct, &seen.recorded.driven_rad_s})
        *rows = {};
    return seen;
}

} // namespace hillrun
