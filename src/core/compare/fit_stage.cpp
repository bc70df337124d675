// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/day_stages.h"

#include "core/units/nan.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

/// The grid that holds every used curve, from whole multiples of the step.
std::vector<double> dayGrid(const std::vector<PullResult>& pulls, double step) {
    double low = std::numeric_limits<double>::infinity();
    double high = -low;
    for (const PullResult& pull : pulls) {
        if (!pull.used || pull.curve->rpm.empty())
            continue;
        low = std::min(low, pull.curve->rpm.front());
        high = std::max(high, pull.curve->rpm.back());
    }
    std::vector<double> out;
    if (low > high)
        return out;
    const auto count = std::llround((high - low) / step);
    for (long long i = 0; i <= count; ++i)
        out.push_back(low + static_cast<double>(i) * step);
    return out;
}

void putOnGrid(const Curve& curve, const std::vector<double>& grid, double step, Eigen::MatrixXd& target,
               Eigen::Index row) {
    const auto offset = std::llround((curve.rpm.front() - grid.front()) / step);
    for (size_t i = 0; i < curve.rpm.size(); ++i)
        if (curve.power_w[i] > 0.0)
            target(row, static_cast<Eigen::Index>(offset) + static_cast<Eigen::Index>(i)) = std::log(curve.power_w[i]);
}

/// What the day keeps of earlier days, on its grid; beyond their speeds as at the nearest.
RepeatHistory historyOn(const std::vector<double>& grid, const EarlierRepeats& earlier) {
    RepeatHistory out;
    if (!earlier.known())
        return out;
    const auto variance = [](double sd_pct) { return std::pow(std::log1p(sd_pct / 100.0), 2); };
    out.levelVariance = variance(earlier.sd_pct);
    out.freedom = earlier.freedom;
    out.cautious = earlier.cautious;
    out.correlation = {earlier.correlation_rpm, earlier.nugget};
    const auto last = static_cast<double>(earlier.shapeSd_pct.size() - 1);
    for (const double rpm : grid) {
        const double at = std::clamp((rpm - earlier.low_rpm) / earlier.step_rpm, 0.0, last);
        out.shapeVariance.push_back(variance(earlier.shapeSd_pct[static_cast<size_t>(std::lround(at))]));
    }
    return out;
}

} // namespace

FitPlan planFit(const TestDay& day, const std::vector<PullResult>& pulls, double step_rpm) {
    FitPlan out;
    out.input.rpm = dayGrid(pulls, step_rpm);
    for (const Build& build : day.builds) // columns in build order, only builds with a used pull
        if (std::any_of(pulls.begin(), pulls.end(), [&](const auto& p) { return p.used && p.build == build.id; }))
            out.buildIds.push_back(build.id);
    out.input.builds = static_cast<int>(out.buildIds.size());
    for (const double sd_pct : day.plan.refitSd.likely_pct)
        out.input.refit.sd.push_back(std::log1p(sd_pct / 100.0));
    out.input.refit.freedom = day.plan.refitSd.freedom;
    out.input.history = historyOn(out.input.rpm, day.plan.earlierRepeats);
    for (size_t i = 0; i < pulls.size(); ++i) {
        if (!pulls[i].used)
            continue;
        const auto column = std::find(out.buildIds.begin(), out.buildIds.end(), pulls[i].build) - out.buildIds.begin();
        out.input.pulls.push_back({static_cast<int>(column), pulls[i].time_h, pulls[i].set});
        out.fitted.push_back(i);
    }
    const auto rows = static_cast<Eigen::Index>(out.fitted.size());
    out.input.logPower = Eigen::MatrixXd::Constant(rows, static_cast<Eigen::Index>(out.input.rpm.size()), kNaN);
    for (Eigen::Index r = 0; r < rows; ++r)
        putOnGrid(*pulls[out.fitted[static_cast<size_t>(r)]].curve, out.input.rpm, step_rpm, out.input.logPower, r);
    return out;
}

FittedDay fitStage(const FitPlan& plan) {
    if (plan.fitted.empty())
        return {nullptr, {}, {"why.no_pull"}};
    try {
        auto model = std::make_shared<const DayModel>(fitDay(plan.input));
        return {model, flagPulls(*model), {}};
    } catch (const DataError& error) {
        return {nullptr, {}, problemStatement(error)};
    }
}

} // namespace hillrun
