// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/use.h"

#include "core/errors/data_error.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

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

} // namespace

Use useOf(std::vector<RpmWeight> weights) {
    const auto counts = [](const RpmWeight& one) { return one.weight > 0.0; };
    for (size_t i = 0; i < weights.size(); ++i)
        if (!(weights[i].weight >= 0.0) || !std::isfinite(weights[i].weight) || !(weights[i].rpm >= 0.0) ||
            (i > 0 && !(weights[i].rpm > weights[i - 1].rpm)))
            throw DataError(Problem::BadValue, {std::to_string(weights[i].rpm), Statement{"not_allowed.use_weights"}});
    auto first = std::find_if(weights.begin(), weights.end(), counts);
    if (first == weights.end())
        throw DataError(Problem::BadValue, {std::string("0"), Statement{"not_allowed.use_weights"}});
    auto end = std::find_if(weights.rbegin(), weights.rend(), counts).base();
    if (first != weights.begin())
        --first; // the line rises from nothing there
    if (end != weights.end())
        ++end;
    return {{first->rpm, (end - 1)->rpm}, {first, end}};
}

Figure meanPower(const FitInput& input, const Use& use) {
    Figure out;
    out.ofPull.resize(input.logPower.rows());
    for (Eigen::Index i = 0; i < input.logPower.rows(); ++i) {
        double sum = 0.0;
        double weights = 0.0;
        for (size_t p = 0; p < input.rpm.size(); ++p)
            if (const double weight = weightAt(use, input.rpm[p]); weight > 0.0) {
                sum += weight * std::exp(input.logPower(i, static_cast<Eigen::Index>(p))); // NaN where there is no data
                weights += weight;
            }
        out.ofPull(i) = weights > 0.0 ? sum / weights : std::numeric_limits<double>::quiet_NaN();
    }
    return out;
}

} // namespace hillrun
