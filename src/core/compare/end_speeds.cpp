// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/end_speeds.h"

#include "core/compare/analyse.h"
#include "core/units/log_percent.h"

#include <algorithm>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>
#include <limits>
#include <map>

namespace hillrun {
namespace {

constexpr size_t kFewestSteps = 3;
constexpr double kSameStep_rpm = 60.0; ///< ends this near each other are one step

/// A build's pulls in the order of the day.
using Runs = std::vector<const Curve*>;

std::vector<std::pair<std::string, Runs>> runsByBuild(const std::vector<PullResult>& pulls) {
    std::vector<const PullResult*> inOrder;
    for (const PullResult& pull : pulls)
        if (pull.used && pull.curve && pull.curve->seen && pull.curve->steps().empty())
            inOrder.push_back(&pull);
    std::stable_sort(inOrder.begin(), inOrder.end(),
                     [](const PullResult* a, const PullResult* b) { return a->time_h < b->time_h; });
    std::vector<std::pair<std::string, Runs>> out;
    for (const PullResult* pull : inOrder) {
        const auto known =
            std::find_if(out.begin(), out.end(), [&](const auto& one) { return one.first == pull->build; });
        (known != out.end() ? known->second : out.emplace_back(pull->build, Runs{}).second)
            .push_back(pull->curve.get());
    }
    return out;
}

/// Log power at a speed of the grid; NaN where the pull has none.
double logPowerAt(const Curve& curve, double rpm) {
    const auto at = std::lower_bound(curve.rpm.begin(), curve.rpm.end(), rpm - 1e-6);
    if (at == curve.rpm.end() || std::abs(*at - rpm) > 1e-6)
        return std::numeric_limits<double>::quiet_NaN();
    return std::log(curve.power_w[static_cast<size_t>(at - curve.rpm.begin())]);
}

/// The highest speed of the grid with power.
double endOf(const Curve& curve) {
    for (size_t i = curve.rpm.size(); i-- > 0;)
        if (curve.power_w[i] > 0.0)
            return curve.rpm[i];
    return std::numeric_limits<double>::quiet_NaN();
}

/// The steps of the end speed, each where all of its pulls still have power; none when it was not raised.
std::vector<double> stepsOf(const Runs& runs) {
    std::vector<double> out;
    double highest = 0.0; ///< of the step so far
    for (const Curve* curve : runs) {
        const double end = endOf(*curve);
        if (!std::isfinite(end) || (!out.empty() && end < out.back() - kSameStep_rpm))
            return {}; // gone back: no search for the end
        if (out.empty() || end > highest + kSameStep_rpm) {
            out.push_back(end);
            highest = end;
        } else {
            out.back() = std::min(out.back(), end);
            highest = std::max(highest, end);
        }
    }
    return out.size() >= kFewestSteps ? out : std::vector<double>{};
}

/// Squares of what pulls of one build differ by over a stretch.
struct Scatter {
    double squares = 0.0;
    double degreesOfFreedom = 0.0;
};

std::vector<double> changesOver(const Runs& runs, const RpmRange& stretch) {
    std::vector<double> out;
    for (const Curve* curve : runs)
        if (const double change = logPowerAt(*curve, stretch.high) - logPowerAt(*curve, stretch.low);
            std::isfinite(change))
            out.push_back(change);
    return out;
}

double meanOf(const std::vector<double>& values) {
    double sum = 0.0;
    for (const double value : values)
        sum += value;
    return sum / static_cast<double>(values.size());
}

void addScatter(Scatter& scatter, const std::vector<double>& changes) {
    if (changes.size() < 2)
        return;
    const double mean = meanOf(changes);
    for (const double change : changes)
        scatter.squares += (change - mean) * (change - mean);
    scatter.degreesOfFreedom += static_cast<double>(changes.size() - 1);
}

/// Half widths from the scatter of all builds over all stretches. Neighbouring stretches share pulls, so that they
/// bring no degrees of freedom of their own: those of the stretch with most of them count.
void addIntervals(EndSpeeds& found, const std::vector<std::pair<std::string, Runs>>& builds) {
    Scatter all;
    double degreesOfFreedom = 0.0;
    for (const EndStretch& stretch : found.stretches) {
        Scatter one;
        for (const auto& [id, runs] : builds)
            addScatter(one, changesOver(runs, stretch.rpm));
        all.squares += one.squares;
        all.degreesOfFreedom += one.degreesOfFreedom;
        degreesOfFreedom = std::max(degreesOfFreedom, one.degreesOfFreedom);
    }
    for (EndStretch& stretch : found.stretches) {
        stretch.half = std::numeric_limits<double>::infinity();
        if (!(degreesOfFreedom > 0.0))
            continue;
        const double tail = 0.025 / static_cast<double>(found.stretches.size());
        const double t =
            boost::math::quantile(boost::math::complement(boost::math::students_t(degreesOfFreedom), tail));
        stretch.half = t * std::sqrt(all.squares / all.degreesOfFreedom / static_cast<double>(stretch.pulls));
    }
}

/// The lower end of the first stretch that falls after the last that rises.
std::optional<double> stoppedAt(const std::vector<EndStretch>& stretches) {
    std::optional<double> out;
    for (const EndStretch& stretch : stretches) {
        if (stretch.rises())
            out.reset();
        else if (stretch.falls() && !out)
            out = stretch.rpm.low;
    }
    return out;
}

} // namespace

std::vector<EndSpeeds> endSpeedsOf(const std::vector<PullResult>& pulls) {
    const auto builds = runsByBuild(pulls);
    std::vector<EndSpeeds> out;
    for (const auto& [id, runs] : builds) {
        EndSpeeds found{id, stepsOf(runs), {}, {}};
        for (size_t i = 1; i < found.steps_rpm.size(); ++i) {
            const RpmRange stretch{found.steps_rpm[i - 1], found.steps_rpm[i]};
            const std::vector<double> changes = changesOver(runs, stretch);
            if (!changes.empty())
                found.stretches.push_back({stretch, meanOf(changes), 0.0, changes.size()});
        }
        if (found.stretches.empty())
            continue;
        addIntervals(found, builds);
        found.stopped_rpm = stoppedAt(found.stretches);
        out.push_back(std::move(found));
    }
    return out;
}

Statement endSpeedPhrase(const EndSpeeds& found) {
    const Number steps = decimals(static_cast<double>(found.steps_rpm.size()), 0);
    const Rpm last{found.steps_rpm.back()};
    if (!found.stopped_rpm)
        return {found.stillRises() ? "note.end_speed_rises" : "note.end_speed_open", {found.build, steps, last}};
    const auto falls = std::find_if(found.stretches.begin(), found.stretches.end(),
                                    [&](const EndStretch& one) { return one.rpm.low >= *found.stopped_rpm; });
    return {"note.end_speed_stopped",
            {found.build, steps, last, Rpm{*found.stopped_rpm}, Rpm{falls->rpm.high},
             significant(-percentOfLog(falls->change + falls->half), 2),
             significant(-percentOfLog(falls->change - falls->half), 2, "%")}};
}

} // namespace hillrun
