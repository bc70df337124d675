// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/compare_builds.h"

#include "core/compare/judge.h"
#include "core/compare/like_for_like.h"
#include "core/compare/settle.h"
#include "core/units/units.h"

#include <algorithm>
#include <cassert>
#include <cmath>
#include <limits>
#include <set>

namespace hillrun {
namespace {

constexpr double kNaN = std::numeric_limits<double>::quiet_NaN();

Eigen::Index columnOf(const PairInput& input, const std::string& id) {
    const auto it = std::find(input.buildIds.begin(), input.buildIds.end(), id);
    assert(it != input.buildIds.end());
    return it - input.buildIds.begin();
}

Eigen::VectorXd ownContrast(const PairInput& input, const std::string& id) {
    Eigen::VectorXd k = Eigen::VectorXd::Zero(input.model.input.builds);
    k(columnOf(input, id)) = 1.0;
    return k;
}

Eigen::VectorXd logOf(const std::vector<double>& values) {
    Eigen::VectorXd out(static_cast<Eigen::Index>(values.size()));
    for (size_t i = 0; i < values.size(); ++i)
        out(static_cast<Eigen::Index>(i)) = values[i] > 0.0 ? std::log(values[i]) : kNaN;
    return out;
}

/// exp(d +- half) - 1 times the reference, as low and high edge.
Edges edges(const Comparison& c, const std::vector<double>& reference_w, const Eigen::VectorXd& delta,
            const Eigen::VectorXd& half) {
    Edges out;
    for (size_t p = 0; p < c.rpm.size(); ++p) {
        const auto i = static_cast<Eigen::Index>(p);
        out.low.push_back(reference_w[p] * std::expm1(delta(i) - half(i)));
        out.high.push_back(reference_w[p] * std::expm1(delta(i) + half(i)));
    }
    return out;
}

RegionKind kindAt(const Comparison& c, const Edges& band, size_t p) {
    switch (claimOf(c, band.low[p], band.high[p])) {
    case Claim::Gain:
        return RegionKind::Gain;
    case Claim::Loss:
        return RegionKind::Loss;
    case Claim::Unresolved:
        break;
    }
    return RegionKind::Unresolved;
}

Region makeRegion(const Comparison& c, const Edges& band, size_t first, size_t last, RegionKind kind) {
    Region region{{c.rpm[first], c.rpm[last]}, kind, 0, 0, 0, 0, c.rpm[first]};
    for (size_t p = first; p <= last; ++p) {
        const double half = 0.5 * (band.high[p] - band.low[p]);
        region.mean_w += c.delta_w[p];
        region.meanHalf_w += half;
        if (std::abs(c.delta_w[p]) > std::abs(region.extreme_w)) {
            region.extreme_w = c.delta_w[p];
            region.extremeHalf_w = half;
            region.extreme_rpm = c.rpm[p];
        }
    }
    const auto count = static_cast<double>(last - first + 1);
    region.mean_w /= count;
    region.meanHalf_w /= count;
    return region;
}

std::vector<Region> findRegions(const Comparison& c, const Edges& band) {
    std::vector<Region> out;
    for (size_t p = 0; p < c.rpm.size();) {
        if (!std::isfinite(c.delta_w[p])) {
            ++p;
            continue;
        }
        const RegionKind kind = kindAt(c, band, p);
        size_t last = p;
        while (last + 1 < c.rpm.size() && std::isfinite(c.delta_w[last + 1]) && kindAt(c, band, last + 1) == kind)
            ++last;
        out.push_back(makeRegion(c, band, p, last, kind));
        p = last + 1;
    }
    return out;
}

/// Where the difference changes sign between two places at which it clearly (pointwise) is not zero.
std::vector<double> findCrossovers(const Comparison& c) {
    std::vector<double> out;
    int lastSign = 0;
    size_t lastClear = 0;
    for (size_t p = 0; p < c.rpm.size(); ++p) {
        const int sign = c.pointwise95_w.low[p] > 0.0 ? 1 : (c.pointwise95_w.high[p] < 0.0 ? -1 : 0);
        if (sign == 0)
            continue;
        if (lastSign == -sign) {
            for (size_t q = lastClear; q < p; ++q) {
                const double a = c.delta_w[q];
                const double b = c.delta_w[q + 1];
                if (a * lastSign > 0.0 && b * lastSign <= 0.0) {
                    out.push_back(c.rpm[q] + (c.rpm[q + 1] - c.rpm[q]) * a / (a - b));
                    break;
                }
            }
        }
        lastSign = sign;
        lastClear = p;
    }
    return out;
}

/// The range in which every used pull of both builds has data.
std::optional<RpmRange> commonRange(const PairInput& input, const std::string& from, const std::string& to) {
    const auto a = columnOf(input, from);
    const auto b = columnOf(input, to);
    const FitInput& fit = input.model.input;
    std::optional<RpmRange> out;
    for (size_t p = 0; p < fit.rpm.size(); ++p) {
        if (!input.model.window[p])
            continue;
        bool all = true;
        for (size_t i = 0; i < fit.pulls.size(); ++i)
            if (fit.pulls[i].build == a || fit.pulls[i].build == b)
                all = all && std::isfinite(fit.logPower(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(p)));
        if (!all)
            continue;
        if (!out)
            out = RpmRange{fit.rpm[p], fit.rpm[p]};
        out->high = fit.rpm[p];
    }
    return out;
}

/// Log of each fitted pull's mean power, W, or mean torque, N.m; NaN for a pull that does not cover the range.
Eigen::VectorXd logBandMeans(const DayModel& model, const RpmRange& range, bool torque) {
    const FitInput& fit = model.input;
    std::vector<double> means;
    for (Eigen::Index i = 0; i < fit.logPower.rows(); ++i) {
        double sum = 0.0;
        double count = 0.0;
        for (size_t p = 0; p < fit.rpm.size(); ++p) {
            if (fit.rpm[p] < range.low - 1e-6 || fit.rpm[p] > range.high + 1e-6)
                continue;
            const double power_w = std::exp(fit.logPower(i, static_cast<Eigen::Index>(p)));
            sum += torque ? power_w / angularSpeed(fit.rpm[p]) : power_w;
            count += 1.0;
        }
        means.push_back(count > 0.0 ? sum / count : kNaN);
    }
    return logOf(means);
}

std::optional<BandResult> bandResult(const PairInput& input, const Comparison& c, const RpmRange& range,
                                     const Eigen::VectorXd& contrast) {
    const Eigen::VectorXd power = logBandMeans(input.model, range, false);
    const Eigen::VectorXd torque = logBandMeans(input.model, range, true);
    const DriftSettings& drift = input.settings.drift;
    const Eigen::VectorXd own = ownContrast(input, c.from);
    const auto difference = estimateNumber(input.model, contrast, power, drift);
    const auto reference = estimateNumber(input.model, own, power, drift);
    const auto torqueDifference = estimateNumber(input.model, contrast, torque, drift);
    const auto torqueReference = estimateNumber(input.model, own, torque, drift);
    if (!difference || !reference || !torqueDifference || !torqueReference)
        return std::nullopt;
    BandResult out;
    out.range_rpm = range;
    out.base_w = std::exp(reference->estimate);
    auto watts = [&](double logRatio) { return out.base_w * std::expm1(logRatio); };
    out.delta_w = watts(difference->estimate);
    out.low_w = watts(difference->estimate - difference->half);
    out.high_w = watts(difference->estimate + difference->half);
    out.low90_w = watts(difference->estimate - difference->half90);
    out.high90_w = watts(difference->estimate + difference->half90);
    out.percent = 100.0 * std::expm1(difference->estimate);
    out.p = difference->p;
    const double base_nm = std::exp(torqueReference->estimate);
    out.deltaTorque_nm = base_nm * std::expm1(torqueDifference->estimate);
    out.lowTorque_nm = base_nm * std::expm1(torqueDifference->estimate - torqueDifference->half);
    out.highTorque_nm = base_nm * std::expm1(torqueDifference->estimate + torqueDifference->half);
    return out;
}

void addBands(const PairInput& input, Comparison& c, const Eigen::VectorXd& contrast) {
    const auto common = commonRange(input, c.from, c.to);
    if (!common)
        return;
    const double third = (common->high - common->low) / 3.0;
    std::vector<RpmRange> ranges{*common};
    for (int i = 0; i < 3; ++i)
        ranges.push_back({common->low + i * third, common->low + (i + 1) * third});
    for (const RpmRange& asked : input.settings.bands)
        ranges.push_back({std::max(asked.low, common->low), std::min(asked.high, common->high)});
    for (size_t i = 0; i < ranges.size(); ++i) {
        if (ranges[i].high < ranges[i].low)
            continue; // asked for where the builds share no data
        if (auto band = bandResult(input, c, ranges[i], contrast)) {
            band->asked = static_cast<int>(i) - 4;
            band->asked = std::max(band->asked, -1);
            c.bands.push_back(*band);
        }
    }
}

Eigen::VectorXd peaksOf(const PairInput& input, bool power, bool speed, bool& atEnd) {
    Eigen::VectorXd out(static_cast<Eigen::Index>(input.fitted.size()));
    for (size_t i = 0; i < input.fitted.size(); ++i) {
        const Curve& curve = *input.pulls[input.fitted[i]].curve;
        const Peak& peak = power ? curve.peakPower_w : curve.peakTorque_nm;
        atEnd = atEnd || peak.atEnd;
        out(static_cast<Eigen::Index>(i)) = speed ? peak.rpm : peak.value;
    }
    return out;
}

PeakDifference peakDifference(const PairInput& input, const Comparison& c, const Eigen::VectorXd& contrast,
                              bool power) {
    PeakDifference out{kNaN, kNaN, kNaN, false};
    const Eigen::VectorXd y = peaksOf(input, power, false, out.atEnd).array().log();
    const auto difference = estimateNumber(input.model, contrast, y, input.settings.drift);
    const auto reference = estimateNumber(input.model, ownContrast(input, c.from), y, input.settings.drift);
    if (!difference || !reference)
        return out;
    const double base = std::exp(reference->estimate);
    out.delta = base * std::expm1(difference->estimate);
    out.low = base * std::expm1(difference->estimate - difference->half);
    out.high = base * std::expm1(difference->estimate + difference->half);
    return out;
}

PeakDifference peakShift(const PairInput& input, const Eigen::VectorXd& contrast) {
    PeakDifference out{kNaN, kNaN, kNaN, false};
    const Eigen::VectorXd y = peaksOf(input, true, true, out.atEnd);
    if (const auto shift = estimateNumber(input.model, contrast, y, input.settings.drift, false))
        out = {shift->estimate, shift->estimate - shift->half, shift->estimate + shift->half, out.atEnd};
    return out;
}

Peak meanPeak(const PairInput& input, const std::string& id, bool power) {
    Peak out;
    const Eigen::VectorXd values = peaksOf(input, power, false, out.atEnd).array().log();
    const Eigen::VectorXd speeds = peaksOf(input, power, true, out.atEnd);
    const auto value = estimateNumber(input.model, ownContrast(input, id), values, input.settings.drift);
    const auto speed = estimateNumber(input.model, ownContrast(input, id), speeds, input.settings.drift, false);
    out.value = value ? std::exp(value->estimate) : kNaN;
    out.rpm = speed ? speed->estimate : kNaN;
    return out;
}

/// A build's own curve where any pull of it has data: the fit's value where the fit reaches, else the mean of its
/// pulls.
std::vector<double> fittedPower_w(const PairInput& input, const std::string& id) {
    const auto own = evaluate(input.model, ownContrast(input, id), input.settings.drift);
    const FitInput& fit = input.model.input;
    const auto column = columnOf(input, id);
    std::vector<double> out(fit.rpm.size(), kNaN);
    for (size_t p = 0; p < out.size(); ++p) {
        const auto at = static_cast<Eigen::Index>(p);
        if (own && std::isfinite(own->delta(at))) {
            out[p] = std::exp(own->delta(at));
            continue;
        }
        double sum = 0.0;
        double count = 0.0;
        for (size_t i = 0; i < fit.pulls.size(); ++i) {
            const double z = fit.logPower(static_cast<Eigen::Index>(i), at);
            if (fit.pulls[i].build != column || !std::isfinite(z))
                continue;
            sum += z;
            count += 1.0;
        }
        if (count > 0.0)
            out[p] = std::exp(sum / count);
    }
    return out;
}

/// Where the powers of a build are given; pulls of several places make the comparison fail on its like for like.
PowerPlace placeOf(const PairInput& input, const std::string& build) {
    for (const size_t i : input.fitted)
        if (input.pulls[i].build == build)
            return input.pulls[i].curve->place;
    return {input.day.cell.measuredAt, false};
}

std::set<MeasuredAt> placesOf(const PairInput& input, const std::string& build) {
    std::set<MeasuredAt> out;
    for (const size_t i : input.fitted)
        if (input.pulls[i].build == build)
            out.insert(input.pulls[i].curve->place.at);
    return out;
}

/// Where the pulls overlap little, the model uses what all pulls of the day share; else the pair's own count.
std::optional<ShortPull> shortPullOf(const PairInput& input, const std::string& from, const std::string& to) {
    std::vector<char> counts;
    for (const FitPull& pull : input.model.input.pulls)
        counts.push_back(input.model.windowShrunk || pull.build == columnOf(input, from) ||
                         pull.build == columnOf(input, to));
    return findShortPull(input.model.input, counts);
}

} // namespace

Eigen::VectorXd pairContrast(const PairInput& input, const std::string& from, const std::string& to) {
    return ownContrast(input, to) - ownContrast(input, from);
}

BuildResult fittedBuild(const PairInput& input, const std::string& id) {
    BuildResult out;
    out.id = id;
    for (const size_t number : input.fitted)
        if (input.pulls[number].build == id)
            out.pullsUsed.push_back(input.pulls[number].id);
    out.power_w = fittedPower_w(input, id);
    for (size_t p = 0; p < out.power_w.size(); ++p)
        out.torque_nm.push_back(out.power_w[p] / angularSpeed(input.model.input.rpm[p]));
    out.peakPower_w = meanPeak(input, id, true);
    out.peakTorque_nm = meanPeak(input, id, false);
    return out;
}

Comparison compareBuilds(const PairInput& input, const std::string& from, const std::string& to,
                         const ContrastCurve& contrast, const Judging& judging) {
    Comparison c;
    c.from = from;
    c.to = to;
    c.place = placeOf(input, to);
    c.rpm = input.model.input.rpm;
    const std::vector<double>& reference_w = judging.from.power_w;
    for (size_t p = 0; p < c.rpm.size(); ++p) {
        c.delta_w.push_back(reference_w[p] * std::expm1(contrast.delta(static_cast<Eigen::Index>(p))));
        c.deltaTorque_nm.push_back(c.delta_w[p] / angularSpeed(c.rpm[p]));
    }
    const auto bound = Eigen::VectorXd::Constant(contrast.delta.size(), contrast.boundHalf);
    c.pointwise95_w = edges(c, reference_w, contrast.delta, contrast.pointwiseHalf + bound);
    c.simultaneous95_w = edges(c, reference_w, contrast.delta, judging.ownCritical * contrast.standardError + bound);
    c.family95_w = edges(c, reference_w, contrast.delta, judging.togetherCritical * contrast.standardError + bound);
    c.hasInterval = std::isfinite(contrast.levelError);
    c.protectedFromDrift = contrast.protectedFromDrift;
    c.boundDeclared = contrast.boundHalf > 0.0;
    if (contrast.explainingDrift)
        c.driftThatWouldExplain_pct = 100.0 * std::expm1(*contrast.explainingDrift);
    c.judgedBy = judging.by;
    c.regions = findRegions(c, c.judgedBand());
    c.crossovers_rpm = findCrossovers(c);

    const Eigen::VectorXd k = pairContrast(input, from, to);
    addBands(input, c, k);
    c.peakPower_w = peakDifference(input, c, k, true);
    c.peakTorque_nm = peakDifference(input, c, k, false);
    c.peakPowerShift_rpm = peakShift(input, k);
    const Build* fromBuild = findBuild(input.day, from);
    const Build* toBuild = findBuild(input.day, to);
    c.changed = changesBetween(*fromBuild, *toBuild);
    const RpmRange range = c.bands.empty() ? RpmRange{c.rpm.front(), c.rpm.back()} : c.bands.front().range_rpm;
    c.likeForLike = likeForLike(input.day, input.pulls, from, to, range, c.changed);
    c.measuredAtFrom = placesOf(input, from);
    c.measuredAtTo = placesOf(input, to);
    c.shortPull = shortPullOf(input, from, to);
    c.use_rpm = input.settings.use_rpm;
    c.matters_w = input.settings.matters_w;
    if (!c.matters_w && input.settings.matters_pct && !c.bands.empty())
        c.matters_w = *input.settings.matters_pct / 100.0 * c.bands.front().base_w;
    c.verdict = judge(c);
    c.toSettle = whatWouldSettle(input.day, input.pulls, input.model, c);
    return c;
}

} // namespace hillrun
