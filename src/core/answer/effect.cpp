// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/effect.h"

#include "core/units/log_percent.h"
#include "core/units/nan.h"
#include "core/units/units.h"

#include <algorithm>
#include <cmath>
#include <utility>

namespace hillrun {
namespace {

/// exp(d +- half) - 1 times the reference, as low and high edge.
Edges edges(const std::vector<double>& reference_w, const Eigen::VectorXd& delta, const Eigen::VectorXd& half) {
    Edges out;
    for (size_t p = 0; p < reference_w.size(); ++p) {
        const auto i = static_cast<Eigen::Index>(p);
        out.low.push_back(reference_w[p] * std::expm1(delta(i) - half(i)));
        out.high.push_back(reference_w[p] * std::expm1(delta(i) + half(i)));
    }
    return out;
}

RegionKind kindAt(const Effect& c, const Edges& band, size_t p) {
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

/// `scale` turns the difference in power at a point into the quantity meant.
template <typename Scale>
RegionSize sizeOf(const Effect& c, const Edges& band, size_t first, size_t last, Scale scale) {
    RegionSize out;
    for (size_t p = first; p <= last; ++p) {
        const double value = scale(p) * c.delta_w[p];
        const double half = scale(p) * 0.5 * (band.high[p] - band.low[p]);
        out.mean += value;
        out.meanHalf += half;
        if (std::abs(value) > std::abs(out.extreme)) {
            out.extreme = value;
            out.extremeHalf = half;
        }
    }
    const auto count = static_cast<double>(last - first + 1);
    out.mean /= count;
    out.meanHalf /= count;
    return out;
}

Region makeRegion(const Effect& c, const Edges& band, size_t first, size_t last, RegionKind kind) {
    return {{c.rpm[first], c.rpm[last]},
            kind,
            sizeOf(c, band, first, last, [](size_t) { return 1.0; }),
            sizeOf(c, band, first, last, [&](size_t p) { return 1.0 / angularSpeed(c.rpm[p]); })};
}

std::vector<Region> findRegions(const Effect& c, const Edges& band) {
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
std::vector<double> findCrossovers(const Effect& c) {
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
std::optional<RpmRange> commonRange(const DayModel& model, BuildColumn from, BuildColumn to) {
    const FitInput& fit = model.input;
    std::optional<RpmRange> out;
    for (size_t p = 0; p < fit.rpm.size(); ++p) {
        if (!model.window[p])
            continue;
        bool all = true;
        for (size_t i = 0; i < fit.pulls.size(); ++i)
            if (fit.pulls[i].build == from || fit.pulls[i].build == to)
                all = all && std::isfinite(fit.logPower(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(p)));
        if (!all)
            continue;
        if (!out)
            out = RpmRange{fit.rpm[p], fit.rpm[p]};
        out->high = fit.rpm[p];
    }
    return out;
}

std::optional<BandResult> bandResult(const AnswerInput& input, BuildColumn from, BuildColumn to, const Use& use) {
    const FitInput& fit = input.model.input;
    const auto power = differenceIn(input.model, from, to, meanPower(fit, use), input.drift);
    const auto torque = differenceIn(input.model, from, to, meanTorque(fit, use), input.drift);
    if (!power || !torque)
        return std::nullopt;
    BandResult out;
    out.range_rpm = use.range_rpm;
    out.weighted = !use.weights.empty();
    out.base_w = power->base;
    out.delta_w = power->delta;
    out.low_w = power->low;
    out.high_w = power->high;
    out.low90_w = power->low90;
    out.high90_w = power->high90;
    out.percent = 100.0 * power->delta / power->base;
    out.p = power->p;
    if (power->refitUndoes)
        out.refitUndoes_pct = percentOfLog(*power->refitUndoes);
    out.deltaTorque_nm = torque->delta;
    out.lowTorque_nm = torque->low;
    out.highTorque_nm = torque->high;
    return out;
}

std::vector<BandResult> bandsOf(const AnswerInput& input, BuildColumn from, BuildColumn to) {
    std::vector<BandResult> out;
    const auto common = commonRange(input.model, from, to);
    if (!common)
        return out;
    const double third = (common->high - common->low) / 3.0;
    std::vector<Use> ranges{{*common, {}}};
    for (int i = 0; i < 3; ++i)
        ranges.push_back({{common->low + i * third, common->low + (i + 1) * third}, {}});
    const auto always = static_cast<int>(ranges.size());
    for (const Use& asked : input.bands)
        ranges.push_back({{std::max(asked.range_rpm.low, common->low), std::min(asked.range_rpm.high, common->high)},
                          asked.weights});
    for (size_t i = 0; i < ranges.size(); ++i) {
        if (ranges[i].range_rpm.high < ranges[i].range_rpm.low)
            continue; // asked for where the builds share no data
        if (auto band = bandResult(input, from, to, ranges[i])) {
            band->asked = std::max(static_cast<int>(i) - always, -1);
            out.push_back(*band);
        }
    }
    return out;
}

PeakDifference peakDifference(const AnswerInput& input, BuildColumn from, BuildColumn to, const Figure& figure,
                              PeakOf what) {
    const bool atEnd = peakAtEnd(input.curves, what);
    if (const auto d = differenceIn(input.model, from, to, figure, input.drift))
        return {d->delta, d->low, d->high, atEnd};
    return {kNaN, kNaN, kNaN, atEnd};
}

Peak meanPeak(const AnswerInput& input, BuildColumn build, PeakOf what) {
    const auto own = [&](const Figure& figure) {
        return figureOf(input.model, build, figure, input.drift).value_or(kNaN);
    };
    return {own(peakHeight(input.curves, what)), own(peakSpeed(input.curves, what)), peakAtEnd(input.curves, what)};
}

/// Geometric mean of the pulls of a build at one point of the grid; NaN when none has a value there.
double meanOfPulls_w(const FitInput& fit, BuildColumn build, Eigen::Index at) {
    double sum = 0.0;
    double count = 0.0;
    for (size_t i = 0; i < fit.pulls.size(); ++i) {
        const double z = fit.logPower(static_cast<Eigen::Index>(i), at);
        if (fit.pulls[i].build != build || !std::isfinite(z))
            continue;
        sum += z;
        count += 1.0;
    }
    return count > 0.0 ? std::exp(sum / count) : kNaN;
}

void negate(std::vector<double>& values) {
    for (double& value : values)
        value = -value;
}

Edges negated(Edges edges) {
    negate(edges.low);
    negate(edges.high);
    std::swap(edges.low, edges.high);
    return edges;
}

void negatePair(double& low, double& high) {
    std::swap(low, high);
    low = -low;
    high = -high;
}

PeakDifference negated(PeakDifference peak) {
    peak.delta = -peak.delta;
    negatePair(peak.low, peak.high);
    return peak;
}

BandResult negated(BandResult band) {
    band.base_w += band.delta_w;
    band.percent = 100.0 * (1.0 / (1.0 + band.percent / 100.0) - 1.0);
    band.delta_w = -band.delta_w;
    band.deltaTorque_nm = -band.deltaTorque_nm;
    negatePair(band.low_w, band.high_w);
    negatePair(band.low90_w, band.high90_w);
    negatePair(band.lowTorque_nm, band.highTorque_nm);
    return band;
}

RegionKind negated(RegionKind kind) {
    return kind == RegionKind::Unresolved ? kind : (kind == RegionKind::Gain ? RegionKind::Loss : RegionKind::Gain);
}

} // namespace

Claim claimOf(const Effect& effect, double low, double high) {
    if (effect.mayClaim() && low > 0.0)
        return Claim::Gain;
    return effect.mayClaim() && high < 0.0 ? Claim::Loss : Claim::Unresolved;
}

Effect negated(Effect effect) {
    negate(effect.delta_w);
    negate(effect.deltaTorque_nm);
    effect.pointwise95_w = negated(std::move(effect.pointwise95_w));
    effect.simultaneous95_w = negated(std::move(effect.simultaneous95_w));
    effect.family95_w = negated(std::move(effect.family95_w));
    for (Region& region : effect.regions) {
        region.kind = negated(region.kind);
        for (RegionSize* size : {&region.power_w, &region.torque_nm}) {
            size->mean = -size->mean;
            size->extreme = -size->extreme;
        }
    }
    for (BandResult& band : effect.bands)
        band = negated(band);
    effect.peakPower_w = negated(effect.peakPower_w);
    effect.peakTorque_nm = negated(effect.peakTorque_nm);
    effect.peakPowerShift_rpm = negated(effect.peakPowerShift_rpm);
    return effect;
}

BuildCurve fittedCurve(const AnswerInput& input, BuildColumn build) {
    const FitInput& fit = input.model.input;
    const auto own = evaluate(input.model, ownContrast(input.model, build), input.drift);
    BuildCurve out;
    for (size_t p = 0; p < fit.rpm.size(); ++p) {
        const auto at = static_cast<Eigen::Index>(p);
        const bool reached = own && std::isfinite(own->delta(at));
        out.power_w.push_back(reached ? std::exp(own->delta(at)) : meanOfPulls_w(fit, build, at));
        out.torque_nm.push_back(out.power_w.back() / angularSpeed(fit.rpm[p]));
    }
    out.peakPower_w = meanPeak(input, build, PeakOf::Power);
    out.peakTorque_nm = meanPeak(input, build, PeakOf::Torque);
    return out;
}

Effect effectOf(const AnswerInput& input, BuildColumn from, BuildColumn to, const ContrastCurve& contrast,
                const Judging& judging, const std::vector<double>& from_w) {
    Effect out;
    out.rpm = input.model.input.rpm;
    for (size_t p = 0; p < out.rpm.size(); ++p) {
        out.delta_w.push_back(from_w[p] * std::expm1(contrast.delta(static_cast<Eigen::Index>(p))));
        out.deltaTorque_nm.push_back(out.delta_w[p] / angularSpeed(out.rpm[p]));
    }
    const auto bound = Eigen::VectorXd::Constant(contrast.delta.size(), contrast.boundHalf);
    out.pointwise95_w = edges(from_w, contrast.delta, contrast.pointwiseHalf + bound);
    out.simultaneous95_w = edges(from_w, contrast.delta, judging.own * contrast.standardError + bound);
    out.family95_w = edges(from_w, contrast.delta, judging.together * contrast.standardError + bound);
    out.hasInterval = std::isfinite(contrast.levelError);
    out.protectedFromDrift = contrast.protectedFromDrift;
    out.boundDeclared = contrast.boundHalf > 0.0;
    if (contrast.explainingDrift)
        out.driftThatWouldExplain_pct = 100.0 * std::expm1(*contrast.explainingDrift);
    out.judgedBy = judging.by;
    out.regions = findRegions(out, out.judgedBand());
    out.crossovers_rpm = findCrossovers(out);
    out.bands = bandsOf(input, from, to);
    out.peakPower_w = peakDifference(input, from, to, peakHeight(input.curves, PeakOf::Power), PeakOf::Power);
    out.peakTorque_nm = peakDifference(input, from, to, peakHeight(input.curves, PeakOf::Torque), PeakOf::Torque);
    out.peakPowerShift_rpm = peakDifference(input, from, to, peakSpeed(input.curves, PeakOf::Power), PeakOf::Power);
    return out;
}

} // namespace hillrun
