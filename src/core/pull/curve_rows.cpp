// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/curve_rows.h"

#include "core/units/nan.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

bool isAfterSweep(TrimReason reason) {
    return reason == TrimReason::EndOfSweep || reason == TrimReason::ThrottleLift || reason == TrimReason::Limiter ||
           reason == TrimReason::TimeGap;
}

/// From when to when the sweep ran, its trimmed ends included.
std::pair<double, double> sweepTimes(const Curve& curve) {
    const auto& time = curve.source().time_s;
    std::pair<double, double> out{time.front(), time.back()};
    for (const Trim& trim : curve.sweep().trims) {
        if (trim.reason == TrimReason::BeforeSweep)
            out.first = trim.to_s;
        else if (isAfterSweep(trim.reason))
            out.second = trim.from_s;
    }
    return out;
}

/// Straight between the grid's points, held beyond them.
double lossAt(const Curve& curve, double rpm) {
    if (curve.loss_w.empty())
        return 0.0;
    const double step = curve.rpm.size() > 1 ? curve.rpm[1] - curve.rpm[0] : 1.0;
    const double at = std::clamp((rpm - curve.rpm.front()) / step, 0.0, static_cast<double>(curve.rpm.size() - 1));
    const auto lower = static_cast<size_t>(at);
    const size_t upper = std::min(lower + 1, curve.rpm.size() - 1);
    const double share = at - static_cast<double>(lower);
    return (1.0 - share) * curve.loss_w[lower] + share * curve.loss_w[upper];
}

} // namespace

CurveRows correctedRows(const Curve& curve) {
    CurveRows out;
    const PullSignals& s = curve.source();
    const auto [from_s, to_s] = sweepTimes(curve);
    for (size_t i = 0; i < s.rows(); ++i) {
        if (s.time_s[i] < from_s || s.time_s[i] > to_s)
            continue;
        out.time_s.push_back(s.time_s[i]);
        out.rpm.push_back(s.speed_rpm[i]);
        const double observed_w = s.torque_nm[i] * angularSpeed(s.speed_rpm[i]);
        out.power_w.push_back(curve.air.factor * (observed_w + lossAt(curve, s.speed_rpm[i])));
    }
    return out;
}

double timeAtSpeed(const Curve& curve, double rpm) {
    const PullSignals& s = curve.source();
    const auto [from_s, to_s] = sweepTimes(curve);
    double best = kNaN;
    double distance = std::max(30.0, 0.01 * rpm);
    for (size_t i = 0; i < s.rows(); ++i) {
        const double off = std::abs(s.speed_rpm[i] - rpm);
        if (s.time_s[i] < from_s || s.time_s[i] > to_s || !(off < distance))
            continue;
        distance = off;
        best = s.time_s[i];
    }
    return best;
}

double valueAt(const Curve& curve, const std::vector<double>& values, double rpm) {
    const auto upper = std::lower_bound(curve.rpm.begin(), curve.rpm.end(), rpm) - curve.rpm.begin();
    const auto i = static_cast<size_t>(upper);
    if (i >= values.size() || i >= curve.rpm.size() || (i == 0 && curve.rpm[0] > rpm))
        return kNaN;
    if (curve.rpm[i] == rpm)
        return values[i];
    const double share = (rpm - curve.rpm[i - 1]) / (curve.rpm[i] - curve.rpm[i - 1]);
    return (1.0 - share) * values[i - 1] + share * values[i];
}

double speedAtTime(const Curve& curve, double time_s) {
    const PullSignals& s = curve.source();
    const auto [from_s, to_s] = sweepTimes(curve);
    if (time_s < from_s || time_s > to_s)
        return kNaN;
    const auto row = std::lower_bound(s.time_s.begin(), s.time_s.end(), time_s) - s.time_s.begin();
    return s.speed_rpm[std::min(static_cast<size_t>(row), s.rows() - 1)];
}

} // namespace hillrun
