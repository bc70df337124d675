// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/pull/event_signals.h"

#include "core/pull/robust.h"

#include <algorithm>
#include <cmath>

namespace hillrun {

size_t SweepRows::rowsIn(double seconds) const {
    return std::max<size_t>(1, static_cast<size_t>(std::llround(seconds / step_s)));
}

SweepRows sweepOf(const Curve& curve) {
    SweepRows out;
    out.first = curve.sweep().first;
    const size_t count = curve.sweep().last - curve.sweep().first + 1;
    out.time_s = std::span(curve.source().time_s).subspan(out.first, count);
    out.speed_rpm = std::span(curve.source().speed_rpm).subspan(out.first, count);
    out.torque_nm = std::span(curve.source().torque_nm).subspan(out.first, count);
    const double step_s = medianStep(out.time_s);
    out.step_s = step_s > 0.0 ? std::max(1e-4, step_s) : 0.01;
    return out;
}

double startDeviation(const Curve& curve, const Trim& start) {
    const Sweep& sweep = curve.sweep();
    const auto& time = curve.source().time_s;
    const auto& torque = curve.source().torque_nm;
    const Line line = fitLine(time, torque, sweep.first, sweep.first + (sweep.last - sweep.first) / 6);
    double worst = 0.0;
    for (size_t i = 0; i < sweep.first; ++i) {
        if (time[i] < start.from_s || !std::isfinite(torque[i]))
            continue;
        const double off = torque[i] / line.at(time[i]) - 1.0;
        if (std::isfinite(off) && std::abs(off) > std::abs(worst))
            worst = off;
    }
    return worst;
}

} // namespace hillrun
