// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/event_list.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

// All thresholds: common practice, then set on simulated pulls (docs/method.md gives the rates they lead to).
constexpr double kDip = 0.025;     ///< of the torque: a stumble, with clean samples beside it
constexpr double kDipNoises = 5.0; ///< and this many times the sample noise
constexpr double kCollapse = 0.07; ///< of the torque, at once and for good
constexpr double kShortOfEnd_rpm = 300.0;
constexpr double kThrottleShort_pct = 90.0;   ///< with nothing to hold it against
constexpr double kThrottleBelowSet_pct = 2.5; ///< below the other pulls

void startSpike(EventSheet& sheet) {
    for (const Trim& trim : sheet.curve.sweep().trims) {
        // Torque from a rate of change is smeared over its width where the load comes on: that is no fault of the pull.
        const bool smeared = trim.to_s - trim.from_s < 2.0 * sheet.curve.source().differentiation_s;
        if (trim.reason != TrimReason::UnsettledStart || smeared)
            continue;
        const double size = startDeviation(sheet.curve, trim);
        const size_t at = 0;
        sheet.events.push_back(
            {EventKind::StartSpike,
             {sheet.curve.sweep().whole_rpm.low, sheet.s.speed_rpm[at]},
             trim.from_s,
             trim.to_s,
             size,
             Statement{"event.start_spike", {signedDecimals(100.0 * size, 0, "%"), Rpm{sheet.s.speed_rpm[at]}}}});
    }
}

/// Dips and spikes of the torque against its running median.
void stumbles(EventSheet& sheet) {
    const std::vector<double> middle = runningMedian(sheet.s.torque_nm, sheet.s.rowsIn(0.5));
    std::vector<double> off(middle.size());
    for (size_t i = 0; i < off.size(); ++i)
        off[i] = sheet.s.torque_nm[i] / middle[i] - 1.0;
    sheet.torqueNoise = std::max(robustSd(std::span(off).first(off.size() / 2)), 1e-4);
    const double limit = std::max(kDip, kDipNoises * sheet.torqueNoise);
    std::vector<std::pair<size_t, size_t>> dips;
    double deepest = 0.0;
    size_t up = off.size();
    for (size_t i = sheet.s.rowsIn(0.1); i + sheet.s.rowsIn(0.1) < off.size(); ++i) {
        if (off[i] > 2.0 * limit)
            up = i;
        if (!(off[i] < -limit))
            continue;
        deepest = std::min(deepest, off[i]);
        if (!dips.empty() && i - dips.back().second <= sheet.s.rowsIn(0.03))
            dips.back().second = i;
        else
            dips.emplace_back(i, i);
    }
    if (dips.size() >= 3) {
        const size_t from = dips.front().first;
        const size_t to = dips.back().second;
        sheet.add(
            EventKind::Breakup, from, to, -deepest,
            {"event.breakup",
             {Count{static_cast<long>(dips.size())}, decimals(-100.0 * deepest, 0, "%"), sheet.between(from, to)}});
        sheet.brokenUp = true;
    } else if (!dips.empty() && -deepest > 2.0 * limit) {
        sheet.add(EventKind::Spike, dips.front().first, dips.back().second, -deepest,
                  {"event.drop", {decimals(-100.0 * deepest, 0, "%"), Rpm{sheet.s.speed_rpm[dips.front().first]}}});
    }
    if (up < off.size() && !sheet.brokenUp) // between stumbles the running median itself is low
        sheet.add(EventKind::Spike, up, up, off[up],
                  {"event.jump", {decimals(100.0 * off[up], 0, "%"), Rpm{sheet.s.speed_rpm[up]}}});
}

/// A sudden loss of torque that stays: lines through what lies before and after meet with a step, and after a while the
/// torque is still below its longer course (after a dip it is back on it).
void collapse(EventSheet& sheet) {
    if (sheet.brokenUp)
        return;
    const SweepRows& s = sheet.s;
    const std::vector<double> calm = runningMedian(s.torque_nm, s.rowsIn(0.3));
    const LineFitter lines(s.time_s, calm);
    const size_t reach = s.rowsIn(0.8);
    const size_t leave = s.rowsIn(0.25);
    const double limit = std::max(kCollapse, 8.0 * sheet.torqueNoise);
    double largest = limit;
    std::optional<size_t> at;
    for (size_t i = reach + leave; i + reach + leave < s.rows(); ++i) {
        const double before = lines.fit(i - reach - leave, i - leave).at(s.time_s[i]);
        const double after = lines.fit(i + leave, i + leave + reach).at(s.time_s[i]);
        const double drop = std::min(1.0, 1.0 - after / before);
        if (!(drop > largest))
            continue;
        const size_t longAgo = i > 3 * (reach + leave) ? i - 3 * (reach + leave) : 0;
        const Line course = lines.fit(longAgo, i - leave);
        const Line later = lines.fit(i + leave + reach, std::min(s.rows() - 1, i + leave + 2 * reach));
        const double below = 1.0 - after / course.at(s.time_s[i]);
        const double belowLater = 0.7 * (1.0 - later.meanY / course.at(later.meanX));
        if (below > limit && belowLater > limit) {
            largest = drop;
            at = i;
        }
    }
    if (at)
        sheet.add(EventKind::Collapse, *at, s.rows() - 1, largest,
                  {"event.collapse", {decimals(100.0 * largest, 0, "%"), Rpm{s.speed_rpm[*at]}}});
}

void limiter(EventSheet& sheet) {
    for (const Trim& trim : sheet.curve.sweep().trims)
        if (trim.reason == TrimReason::Limiter)
            sheet.events.push_back({EventKind::Limiter,
                                    {sheet.s.speed_rpm.back(), sheet.s.speed_rpm.back()},
                                    trim.from_s,
                                    trim.to_s,
                                    0.0,
                                    Statement{"event.limiter", {Rpm{sheet.s.speed_rpm.back()}}}});
}

void gap(EventSheet& sheet) {
    for (size_t i = 1; i < sheet.s.rows(); ++i) {
        const double missing = sheet.s.time_s[i] - sheet.s.time_s[i - 1];
        if (missing > std::max(0.1, 5.0 * sheet.s.step_s))
            sheet.add(EventKind::Gap, i - 1, i, missing,
                      {"event.gap", {decimals(missing, 1, "s"), Rpm{sheet.s.speed_rpm[i]}}});
    }
}

/// Where this pull should have ended: as planned, and as the others did.
double usualEnd_rpm(const EventSheet& sheet) {
    double usual = sheet.context.plannedEnd_rpm.value_or(0.0);
    for (const EventReference& other : sheet.context.references)
        usual = std::max(usual, other.curve->sweep().window_rpm.high);
    return usual;
}

void cutOff(EventSheet& sheet) {
    const bool toTheEnd =
        sheet.curve.source().time_s.back() - sheet.s.time_s.back() < std::max(0.15, 3.0 * sheet.s.step_s);
    const double usual = usualEnd_rpm(sheet);
    const double reached = sheet.curve.sweep().whole_rpm.high;
    if (toTheEnd && reached < usual - kShortOfEnd_rpm)
        sheet.add(EventKind::CutOff, sheet.s.rows() - 1, sheet.s.rows() - 1, usual - reached,
                  {"event.cut_off", {Rpm{reached}, Rpm{usual - reached}}});
}

/// The throttle closes before the sweep is over, for good or for a moment.
void lift(EventSheet& sheet) {
    const Sweep& sweep = sheet.curve.sweep();
    const auto& throttle = sheet.curve.source().throttle_pct;
    const double missing = usualEnd_rpm(sheet) - sweep.whole_rpm.high;
    if (throttle.empty() || missing < kShortOfEnd_rpm)
        return;
    for (const Trim& trim : sweep.trims) {
        if (trim.reason != TrimReason::ThrottleLift)
            continue;
        bool reopened = false;
        const double open = 0.95 * throttle[sweep.last];
        for (size_t i = sweep.last + sheet.s.rowsIn(0.25); i < throttle.size(); ++i)
            reopened |= throttle[i] > open;
        const double at = sheet.s.speed_rpm.back();
        sheet.events.push_back({EventKind::Lift,
                                {at, at},
                                trim.from_s,
                                trim.to_s,
                                missing,
                                Statement{reopened ? "event.lift_and_open" : "event.lift", {Rpm{at}, Rpm{missing}}}});
    }
}

/// The throttle never opens as far as it should.
void throttleShort(EventSheet& sheet) {
    const Column* throttle = sheet.raw.find("throttle");
    if (!throttle)
        return;
    const std::vector<double> open = finiteOf(sheet.s.part(*throttle));
    if (open.empty())
        return;
    const double own = median(open);
    const std::vector<double> others = finiteOf(sheet.usual("throttle"));
    const double usual = others.empty() ? 0.0 : median(others);
    if (!(others.empty() ? own < kThrottleShort_pct : own < usual - kThrottleBelowSet_pct))
        return;
    sheet.add(EventKind::ThrottleShort, 0, sheet.s.rows() - 1, others.empty() ? 100.0 - own : usual - own,
              others.empty() ? Statement{"event.throttle_short", {decimals(own, 0, "%")}}
                             : Statement{"event.throttle_short_of", {decimals(own, 0, "%"), decimals(usual, 0, "%")}});
}

} // namespace

void findSweepEvents(EventSheet& sheet) {
    throttleShort(sheet);
    if (sheet.context.steps)
        return;
    startSpike(sheet);
    stumbles(sheet);
    collapse(sheet);
    limiter(sheet);
    gap(sheet);
    cutOff(sheet);
    lift(sheet);
}

} // namespace hillrun
