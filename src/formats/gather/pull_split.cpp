// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/pull_split.h"

#include "core/pull/robust.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

constexpr double kGap_s = 1.0; ///< no logger that is used for pulls samples more slowly
constexpr double kGapInSteps = 20.0;

/// A turning point of the speed.
struct Turn {
    size_t row = 0;
    double rpm = 0.0;
    bool top = false;
};

/// Valleys and tops in turn; what goes up or down by less than `least` is no turn.
std::vector<Turn> turnsOf(std::span<const double> rpm, double least) {
    std::vector<Turn> out;
    Turn low{0, std::numeric_limits<double>::infinity(), false};
    Turn high{0, -std::numeric_limits<double>::infinity(), true};
    bool climbing = true;
    for (size_t row = 0; row < rpm.size(); ++row) {
        if (!std::isfinite(rpm[row]))
            continue;
        if (climbing) {
            if (out.empty() && rpm[row] < low.rpm && high.rpm - low.rpm < least)
                low = {row, rpm[row], false};
            if (rpm[row] > high.rpm)
                high = {row, rpm[row], true};
            if (rpm[row] < high.rpm - least) {
                if (high.row > low.row && std::isfinite(low.rpm))
                    out.push_back(low);
                out.push_back(high);
                climbing = false;
                low = {row, rpm[row], false};
            }
        } else {
            if (rpm[row] < low.rpm)
                low = {row, rpm[row], false};
            if (rpm[row] > low.rpm + least) {
                climbing = true;
                high = {row, rpm[row], true};
            }
        }
    }
    if (climbing && high.row > low.row && std::isfinite(low.rpm)) {
        out.push_back(low);
        out.push_back(high);
    }
    return out;
}

/// The row from which a climb is recorded: a second before the speed leaves its valley, not before the valley itself.
size_t beginOf(const Turn& low, const Turn& top, std::span<const double> time_s, std::span<const double> speed_rpm,
               double within_rpm) {
    constexpr double kLead_s = 1.0;
    size_t leaves = top.row;
    while (leaves > low.row && !(speed_rpm[leaves] <= low.rpm + within_rpm))
        --leaves;
    size_t begin = leaves;
    while (begin > low.row && time_s[leaves] - time_s[begin - 1] <= kLead_s)
        --begin;
    return begin;
}

} // namespace

std::vector<size_t> sweepCuts(std::span<const double> time_s, std::span<const double> speed_rpm) {
    double lowest = std::numeric_limits<double>::infinity();
    double highest = -lowest;
    for (const double rpm : speed_rpm)
        if (std::isfinite(rpm)) {
            lowest = std::min(lowest, rpm);
            highest = std::max(highest, rpm);
        }
    const double range = highest - lowest;
    if (!(range > 0.15 * highest)) // in whatever unit the speed is
        return {};
    const std::vector<Turn> turns = turnsOf(speed_rpm, 0.35 * range);
    // Climbs that are sweeps: high enough, long enough.
    std::vector<size_t> starts;
    for (size_t i = 0; i + 1 < turns.size(); ++i) {
        const bool climb = !turns[i].top && turns[i + 1].top;
        if (!climb || turns[i + 1].rpm - turns[i].rpm < 0.5 * range ||
            time_s[turns[i + 1].row] - time_s[turns[i].row] < 1.0)
            continue;
        starts.push_back(beginOf(turns[i], turns[i + 1], time_s, speed_rpm, 0.03 * range));
    }
    if (starts.size() < 2)
        return {};
    return {starts.begin() + 1, starts.end()};
}

std::vector<RowPull> splitPulls(const SplitSignals& given) {
    const size_t rows = given.time_s.size();
    std::vector<RowPull> pieces;
    const double gap = std::max(kGap_s, kGapInSteps * medianStep(given.time_s));
    const double step = medianStep(given.time_s);
    RowPull piece;
    double last = std::numeric_limits<double>::quiet_NaN();
    size_t breaks = 0;
    const auto runOf = [&](size_t row) { return given.run.empty() ? std::string() : given.run[row]; };
    for (size_t row = 0; row < rows; ++row) {
        const double time = given.time_s[row];
        CutReason cut = CutReason::None;
        while (breaks < given.breaks.size() && given.breaks[breaks] < row)
            ++breaks;
        const bool fileBreak = breaks < given.breaks.size() && given.breaks[breaks] == row;
        if (row > 0) {
            if (runOf(row) != runOf(row - 1) && !runOf(row).empty())
                cut = CutReason::RunColumn;
            else if (time < last)
                cut = CutReason::TimeBack;
            else if (time - last > gap || (fileBreak && time - last > 3.0 * step))
                cut = CutReason::TimeGap;
        }
        if (cut != CutReason::None) {
            piece.rows.last = row - 1;
            pieces.push_back(piece);
            piece = {{row, row}, cut, cut == CutReason::TimeGap ? time - last : 0.0, ""};
        }
        if (piece.run.empty())
            piece.run = runOf(row);
        if (std::isfinite(time))
            last = time;
    }
    if (rows > 0) {
        piece.rows.last = rows - 1;
        pieces.push_back(piece);
    }
    std::vector<RowPull> out;
    for (const RowPull& whole : pieces) {
        if (whole.rows.rows() < kFewestPullRows)
            continue;
        RowPull part = whole;
        if (!given.speed_rpm.empty())
            for (const size_t cut : sweepCuts(given.time_s.subspan(whole.rows.first, whole.rows.rows()),
                                              given.speed_rpm.subspan(whole.rows.first, whole.rows.rows()))) {
                part.rows.last = whole.rows.first + cut - 1;
                out.push_back(part);
                part.rows.first = part.rows.last + 1;
                part.cut = CutReason::AnotherSweep;
                part.gap_s = 0.0;
            }
        part.rows.last = whole.rows.last;
        out.push_back(part);
    }
    return out;
}

} // namespace hillrun
