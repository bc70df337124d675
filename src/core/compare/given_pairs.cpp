// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/given_pairs.h"

#include "core/compare/judge.h"
#include "core/pull/given_curve.h"
#include "core/units/nan.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace hillrun {
namespace {

constexpr int kFewestOfASet = 3;

/// In use by the operator, though not fitted.
bool isAside(const Pull& pull, const PullResult& result) {
    return pull.grade != PullGrade::Recorded && pull.use && !result.used && result.curve && !result.curve->rpm.empty();
}

std::vector<const Curve*> givenCurvesOf(const DayAnalysis& out, const TestDay& day, const std::string& build) {
    std::vector<const Curve*> curves;
    for (size_t i = 0; i < day.pulls.size(); ++i)
        if (day.pulls[i].build == build && isAside(day.pulls[i], out.pulls[i]))
            curves.push_back(out.pulls[i].curve.get());
    return curves;
}

/// What is known of the curves of a build, each kind once: its mean may mix them.
Statement givenPhraseOf(const DayAnalysis& out, const TestDay& day, const std::string& build) {
    Several kinds;
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        const Statement kind = givenPhrase(day.pulls[i]);
        const bool known = std::find(kinds.items.begin(), kinds.items.end(), kind) != kinds.items.end();
        if (day.pulls[i].build == build && isAside(day.pulls[i], out.pulls[i]) && !known)
            kinds.items.push_back(kind);
    }
    return kinds.items.size() == 1 ? kinds.items.front() : Statement{"several", {kinds}};
}

/// Where nothing was fitted: a grid that holds every given curve.
void makeGrid(DayAnalysis& out, const TestDay& day) {
    double low = std::numeric_limits<double>::infinity();
    double high = -low;
    for (size_t i = 0; i < day.pulls.size(); ++i)
        if (isAside(day.pulls[i], out.pulls[i])) {
            low = std::min(low, out.pulls[i].curve->rpm.front());
            high = std::max(high, out.pulls[i].curve->rpm.back());
        }
    if (!out.rpm.empty() || low > high)
        return;
    out.rpm = gridIn({low, high}, out.settings.reduce.grid_rpm);
    out.common_rpm = {low, high};
}

double valueAtGrid(const Curve& curve, double rpm) {
    const auto it = std::lower_bound(curve.rpm.begin(), curve.rpm.end(), rpm - 1e-6);
    if (it == curve.rpm.end() || std::abs(*it - rpm) > 1e-6)
        return kNaN;
    return curve.power_w[static_cast<size_t>(it - curve.rpm.begin())];
}

BuildResult meanOf(const std::vector<const Curve*>& curves, const std::vector<double>& rpm, const std::string& id) {
    BuildResult out;
    out.id = id;
    for (const double at : rpm) {
        double sum = 0.0;
        for (const Curve* curve : curves)
            sum += valueAtGrid(*curve, at); // blank where one of them ends
        out.power_w.push_back(sum / static_cast<double>(curves.size()));
        out.torque_nm.push_back(out.power_w.back() / angularSpeed(at));
    }
    out.peakPower_w = findPeak(rpm, out.power_w);
    out.peakTorque_nm = findPeak(rpm, out.torque_nm);
    return out;
}

Edges noEdges(size_t points) { return {std::vector<double>(points, kNaN), std::vector<double>(points, kNaN)}; }

BandResult plainBand(const Effect& effect, const std::vector<double>& from_w, const RpmRange& range) {
    BandResult out;
    out.range_rpm = range;
    double points = 0.0;
    for (size_t p = 0; p < effect.rpm.size(); ++p)
        if (range.holds(effect.rpm[p]) && std::isfinite(effect.delta_w[p])) {
            out.base_w += from_w[p];
            out.delta_w += effect.delta_w[p];
            out.deltaTorque_nm += effect.deltaTorque_nm[p];
            points += 1.0;
        }
    for (double* value : {&out.base_w, &out.delta_w, &out.deltaTorque_nm})
        *value /= points;
    out.percent = 100.0 * out.delta_w / out.base_w;
    out.low_w = out.high_w = out.low90_w = out.high90_w = out.lowTorque_nm = out.highTorque_nm = out.p = kNaN;
    return out;
}

/// The whole shared range, its thirds, then what was asked for.
std::vector<BandResult> plainBands(const Effect& effect, const std::vector<double>& from_w,
                                   const std::vector<RpmRange>& asked) {
    std::vector<BandResult> out;
    RpmRange shared{kNaN, kNaN};
    for (size_t p = 0; p < effect.rpm.size(); ++p)
        if (std::isfinite(effect.delta_w[p])) {
            shared.low = std::isfinite(shared.low) ? shared.low : effect.rpm[p];
            shared.high = effect.rpm[p];
        }
    if (!std::isfinite(shared.low))
        return out;
    std::vector<RpmRange> ranges{shared};
    const double third = (shared.high - shared.low) / 3.0;
    for (int i = 0; i < 3; ++i)
        ranges.push_back({shared.low + i * third, shared.low + (i + 1) * third});
    for (const RpmRange& one : asked)
        ranges.push_back({std::max(one.low, shared.low), std::min(one.high, shared.high)});
    for (size_t i = 0; i < ranges.size(); ++i) {
        if (ranges[i].high < ranges[i].low)
            continue;
        BandResult band = plainBand(effect, from_w, ranges[i]);
        band.asked = i < 4 ? -1 : static_cast<int>(i) - 4;
        if (std::isfinite(band.delta_w))
            out.push_back(band);
    }
    return out;
}

std::set<MeasuredAt> placesOf(const DayAnalysis& out, const TestDay& day, const std::string& build) {
    std::set<MeasuredAt> places;
    for (size_t i = 0; i < day.pulls.size(); ++i)
        if (day.pulls[i].build == build && (out.pulls[i].used || isAside(day.pulls[i], out.pulls[i])))
            places.insert(out.pulls[i].curve->place.at);
    return places;
}

Comparison plainPair(const DayAnalysis& out, const TestDay& day, const BuildResult& from, const BuildResult& to) {
    Comparison c;
    c.from = from.id;
    c.to = to.id;
    c.rpm = out.rpm;
    for (size_t p = 0; p < c.rpm.size(); ++p) {
        c.delta_w.push_back(to.power_w[p] - from.power_w[p]);
        c.deltaTorque_nm.push_back(c.delta_w[p] / angularSpeed(c.rpm[p]));
    }
    c.pointwise95_w = c.simultaneous95_w = c.family95_w = noEdges(c.rpm.size());
    c.protectedFromDrift = false;
    c.bands = plainBands(c, from.power_w, out.settings.bands);
    c.peakPower_w = {to.peakPower_w.value - from.peakPower_w.value, kNaN, kNaN,
                     to.peakPower_w.atEnd || from.peakPower_w.atEnd};
    c.peakTorque_nm = {to.peakTorque_nm.value - from.peakTorque_nm.value, kNaN, kNaN,
                       to.peakTorque_nm.atEnd || from.peakTorque_nm.atEnd};
    c.peakPowerShift_rpm = {to.peakPower_w.rpm - from.peakPower_w.rpm, kNaN, kNaN, c.peakPower_w.atEnd};
    c.place = out.place;
    c.measuredAtFrom = placesOf(out, day, c.from);
    c.measuredAtTo = placesOf(out, day, c.to);
    c.verdict = judge(c);
    c.changed = changesBetween(*findBuild(day, c.from), *findBuild(day, c.to));
    c.use = out.settings.use;
    for (const BuildResult* one : {&from, &to})
        if (!one->given.empty())
            c.given.push_back({one->id, one->given});
    return c;
}

} // namespace

Statement whyAside(const TestDay& day, const Pull& pull, Standard standard) {
    if (pull.grade == PullGrade::Recorded)
        return {};
    if (!standsIn(pull, standard))
        return givenPhrase(pull);
    const auto ofSet = std::count_if(day.pulls.begin(), day.pulls.end(), [&](const Pull& other) {
        return other.build == pull.build && other.use && other.raw && other.grade == pull.grade &&
               standsIn(other, standard);
    });
    return ofSet < kFewestOfASet ? givenPhrase(pull) : Statement{};
}

void addGivenPairs(DayAnalysis& out, const TestDay& day) {
    makeGrid(out, day);
    for (const Build& build : day.builds) {
        const std::vector<const Curve*> curves = givenCurvesOf(out, day, build.id);
        if (curves.empty() || out.findBuild(build.id))
            continue;
        BuildResult own = meanOf(curves, out.rpm, build.id);
        own.given = givenPhraseOf(out, day, build.id);
        out.builds.push_back(std::move(own));
    }
    const auto inOrder = [&](const BuildResult& a, const BuildResult& b) {
        return buildNumber(day, a.id) < buildNumber(day, b.id);
    };
    std::stable_sort(out.builds.begin(), out.builds.end(), inOrder);
    for (size_t i = 0; i < out.builds.size(); ++i)
        for (size_t j = i + 1; j < out.builds.size(); ++j) {
            if (out.builds[i].given.empty() && out.builds[j].given.empty())
                continue; // both fitted
            const Comparison c = plainPair(out, day, out.builds[i], out.builds[j]);
            (i == 0 ? out.comparisons : out.otherPairs).push_back(c); // from the base it stands with the family
            out.otherPairs.push_back(swapped(c));
        }
    if (!out.comparisons.empty())
        out.whyNoComparison = {};
}

} // namespace hillrun
