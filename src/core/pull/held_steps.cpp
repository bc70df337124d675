// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/held_steps.h"

#include "core/errors/data_error.h"
#include "core/pull/robust.h"

#include <algorithm>
#include <boost/math/interpolators/makima.hpp>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace hillrun {
namespace {

// Common practice, checked on simulated steps.
constexpr double kHeldRate_rpm_s = 40.0; ///< slower than this is held
constexpr double kShortestHold_s = 1.2;
constexpr double kSettle_s = 0.5;
constexpr double kOpen = 0.95;     ///< of the pull's own full throttle
constexpr double kSettled = 0.006; ///< the torque's quarters agree within this

double meanStep_s(std::span<const double> time_s) {
    return std::max(1e-4, (time_s.back() - time_s.front()) / static_cast<double>(time_s.size() - 1));
}

std::vector<char> heldRows(const SweepSignals& s) {
    const auto reach = static_cast<size_t>(std::max(2.0, 0.25 / meanStep_s(s.time_s)));
    const std::vector<double> throttle = finiteOf(s.throttle_pct);
    const double open = throttle.empty() ? 0.0 : kOpen * quantileOf(throttle, 0.9);
    std::vector<char> out(s.time_s.size(), 0);
    for (size_t i = 0; i < out.size(); ++i) {
        const size_t from = i > reach ? i - reach : 0;
        const double rate = fitLine(s.time_s, s.speed_rpm, from, std::min(out.size() - 1, i + reach)).slope;
        out[i] = std::abs(rate) < kHeldRate_rpm_s && (throttle.empty() || !(s.throttle_pct[i] < open));
    }
    return out;
}

double meanOf(std::span<const double> values, size_t first, size_t last) {
    double sum = 0.0;
    double count = 0.0;
    for (size_t i = first; i <= last; ++i)
        if (std::isfinite(values[i])) {
            sum += values[i];
            count += 1.0;
        }
    return count > 0.0 ? sum / count : std::numeric_limits<double>::quiet_NaN();
}

/// Leaves out rows at the front until the first quarter's torque agrees with the rest.
void settle(const SweepSignals& s, HeldStep& step, size_t rowsToLeave) {
    step.first = std::min(step.last, step.first + rowsToLeave);
    while (step.last - step.first > 8) {
        const size_t quarter = (step.last - step.first + 1) / 4;
        const double front = meanOf(s.torque_nm, step.first, step.first + quarter - 1);
        const double rest = meanOf(s.torque_nm, step.first + quarter, step.last);
        const double noise = robustSd(s.torque_nm.subspan(step.first, step.last - step.first + 1)) /
                             std::sqrt(static_cast<double>(quarter));
        if (std::abs(front - rest) <= std::max(kSettled * std::abs(rest), 3.0 * noise))
            return;
        step.first += std::max<size_t>(1, quarter / 2);
    }
}

void average(const SweepSignals& s, HeldStep& step) {
    step.rpm = meanOf(s.speed_rpm, step.first, step.last);
    step.torque_nm = meanOf(s.torque_nm, step.first, step.last);
    const size_t quarter = std::max<size_t>(1, (step.last - step.first + 1) / 4);
    double squares = 0.0;
    for (size_t q = 0; q < 4; ++q) {
        const size_t from = std::min(step.last, step.first + q * quarter);
        const double off = meanOf(s.torque_nm, from, std::min(step.last, from + quarter - 1)) - step.torque_nm;
        squares += off * off;
    }
    step.torqueSd_nm = std::sqrt(squares / 3.0 / 4.0);
}

} // namespace

std::vector<HeldStep> findHeldSteps(const SweepSignals& s) {
    const std::vector<char> held = heldRows(s);
    const auto leave = static_cast<size_t>(kSettle_s / meanStep_s(s.time_s));
    std::vector<HeldStep> out;
    for (size_t i = 0; i < held.size(); ++i) {
        if (!held[i])
            continue;
        HeldStep step;
        step.first = i;
        while (i + 1 < held.size() && held[i + 1])
            ++i;
        step.last = i;
        if (s.time_s[step.last] - s.time_s[step.first] < kShortestHold_s)
            continue;
        settle(s, step, leave);
        average(s, step);
        if (step.torque_nm > 0.0 && std::isfinite(step.rpm))
            out.push_back(step);
    }
    std::sort(out.begin(), out.end(), [](const HeldStep& a, const HeldStep& b) { return a.rpm < b.rpm; });
    // A speed that was held twice is one step too many: the longer hold counts.
    for (size_t i = 1; i < out.size();) {
        if (out[i].rpm - out[i - 1].rpm > 25.0) {
            ++i;
            continue;
        }
        const bool keepFirst = out[i - 1].last - out[i - 1].first >= out[i].last - out[i].first;
        out.erase(out.begin() + static_cast<std::ptrdiff_t>(keepFirst ? i : i - 1));
    }
    if (out.size() < 4)
        throw DataError(Problem::TooFewSteps, {fmt::format("{}", out.size())});
    return out;
}

Sweep sweepOfSteps(const SweepSignals& s, std::vector<HeldStep>& steps, const std::optional<RpmRange>& byHand) {
    Sweep out;
    out.whole_rpm = {steps.front().rpm, steps.back().rpm};
    if (byHand) {
        std::vector<HeldStep> inside;
        std::copy_if(steps.begin(), steps.end(), std::back_inserter(inside),
                     [&](const HeldStep& step) { return byHand->holds(step.rpm); });
        if (inside.size() < 4)
            throw DataError(Problem::TooFewSteps, {fmt::format("{}", inside.size())}, {.key = "window_rpm"});
        steps = std::move(inside);
    }
    out.window_rpm = {steps.front().rpm, steps.back().rpm};
    std::vector<const HeldStep*> inTime;
    for (const HeldStep& step : steps)
        inTime.push_back(&step);
    std::sort(inTime.begin(), inTime.end(), [](const auto* a, const auto* b) { return a->first < b->first; });
    out.first = inTime.front()->first;
    out.last = inTime.back()->last;
    double from_s = s.time_s.front();
    for (const HeldStep* step : inTime) {
        if (s.time_s[step->first] > from_s)
            out.trims.push_back({from_s, s.time_s[step->first], TrimReason::BetweenSteps});
        from_s = s.time_s[step->last];
    }
    if (s.time_s.back() > from_s)
        out.trims.push_back({from_s, s.time_s.back(), TrimReason::EndOfSweep});
    out.trims.front().reason = TrimReason::BeforeSweep;
    return out;
}

std::vector<double> throughSteps(std::span<const double> rpm, std::span<const double> values,
                                 std::span<const double> at) {
    std::vector<double> x;
    std::vector<double> y;
    for (size_t i = 0; i < rpm.size(); ++i)
        if (std::isfinite(values[i])) {
            x.push_back(rpm[i]);
            y.push_back(values[i]);
        }
    std::vector<double> out(at.size(), std::numeric_limits<double>::quiet_NaN());
    if (x.size() < 4)
        return out;
    const double low = x.front();
    const double high = x.back();
    const boost::math::interpolators::makima<std::vector<double>> line(std::move(x), std::move(y));
    constexpr double beyond_rpm = 6.0; // held flat so far beyond the ends
    for (size_t i = 0; i < at.size(); ++i)
        if (at[i] >= low - beyond_rpm && at[i] <= high + beyond_rpm)
            out[i] = line(std::clamp(at[i], low, high));
    return out;
}

} // namespace hillrun
