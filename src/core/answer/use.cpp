// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/use.h"

#include "core/units/nan.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
double weightAt(const Use& use, double rpm) {
    if (rpm < use.range_rpm.low - 1e-6 || rpm > use.range_rpm.high + 1e-6)
        return 0.0;
    if (use.weights.empty())
        return 1.0;
    const auto next = std::find_if(use.weights.begin(), use.weights.end(),
                                   [rpm](const RpmWeight& one) { return one.rpm >= rpm - 1e-6; });
    if (next == use.weights.begin())
        return next->weight;
    if (next == use.weights.end())
        return use.weights.back().weight;
    const RpmWeight& before = *(next - 1);
    const double share = (rpm - before.rpm) / (next->rpm - before.rpm);
    return before.weight + share * (next->weight - before.weight);
}

namespace {

/// Mean over the use of what `valueOf` makes of a power at a speed.
template <class ValueOf> Figure meanOver(const FitInput& input, const Use& use, const ValueOf& valueOf) {
    Figure out;
    out.ofPull.resize(input.logPower.rows());
    for (Eigen::Index i = 0; i < input.logPower.rows(); ++i) {
        double sum = 0.0;
        double weights = 0.0;
        for (size_t p = 0; p < input.rpm.size(); ++p)
            if (const double weight = weightAt(use, input.rpm[p]); weight > 0.0) {
                const double power_w = std::exp(input.logPower(i, static_cast<Eigen::Index>(p))); // NaN without data
                sum += weight * valueOf(power_w, input.rpm[p]);
                weights += weight;
            }
        out.ofPull(i) = weights > 0.0 ? sum / weights : kNaN;
    }
    return out;
}

} // namespace

Figure meanPower(const FitInput& input, const Use& use) {
    return meanOver(input, use, [](double power_w, double) { return power_w; });
}

Figure meanTorque(const FitInput& input, const Use& use) {
    return meanOver(input, use, [](double power_w, double rpm) { return power_w / angularSpeed(rpm); });
}

} // namespace hillrun
