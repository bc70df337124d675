// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/figure.h"

#include "core/units/nan.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

const Peak& peakIn(const Curve& curve, PeakOf what) {
    return what == PeakOf::Power ? curve.peakPower_w : curve.peakTorque_nm;
}

Figure ofPeaks(std::span<const Curve* const> curves, PeakOf what, bool isSize) {
    Figure out{Eigen::VectorXd(static_cast<Eigen::Index>(curves.size())), isSize};
    for (size_t i = 0; i < curves.size(); ++i) {
        const Peak& peak = peakIn(*curves[i], what);
        out.ofPull(static_cast<Eigen::Index>(i)) = isSize ? peak.value : peak.rpm;
    }
    return out;
}

/// As the fit takes it: sizes as logarithms.
Eigen::VectorXd fitted(const Figure& figure) {
    if (!figure.isSize)
        return figure.ofPull;
    return figure.ofPull.unaryExpr([](double value) { return value > 0.0 ? std::log(value) : kNaN; });
}

std::optional<NumberEstimate> estimate(const DayModel& model, const Eigen::VectorXd& contrast, const Figure& figure,
                                       const DriftSettings& drift) {
    return estimateNumber(model, contrast, fitted(figure), drift, figure.isSize);
}

} // namespace

Figure peakHeight(std::span<const Curve* const> curves, PeakOf what) { return ofPeaks(curves, what, true); }

Figure peakSpeed(std::span<const Curve* const> curves, PeakOf what) { return ofPeaks(curves, what, false); }

bool peakAtEnd(std::span<const Curve* const> curves, PeakOf what) {
    return std::any_of(curves.begin(), curves.end(), [what](const Curve* one) { return peakIn(*one, what).atEnd; });
}

Eigen::VectorXd ownContrast(const DayModel& model, BuildColumn build) {
    return Eigen::VectorXd::Unit(model.input.builds, build);
}

Eigen::VectorXd pairContrast(const DayModel& model, BuildColumn from, BuildColumn to) {
    return ownContrast(model, to) - ownContrast(model, from);
}

std::optional<double> figureOf(const DayModel& model, BuildColumn build, const Figure& figure,
                               const DriftSettings& drift) {
    const auto own = estimate(model, ownContrast(model, build), figure, drift);
    if (!own)
        return std::nullopt;
    return figure.isSize ? std::exp(own->estimate) : own->estimate;
}

std::optional<FigureDifference> differenceIn(const DayModel& model, BuildColumn from, BuildColumn to,
                                             const Figure& figure, const DriftSettings& drift) {
    const auto base = figureOf(model, from, figure, drift);
    const auto d = estimate(model, pairContrast(model, from, to), figure, drift);
    if (!base || !d)
        return std::nullopt;
    const auto inUnits = [&](double value) { return figure.isSize ? *base * std::expm1(value) : value; };
    return FigureDifference{*base,
                            inUnits(d->estimate),
                            inUnits(d->estimate - d->half),
                            inUnits(d->estimate + d->half),
                            inUnits(d->estimate - d->half90),
                            inUnits(d->estimate + d->half90),
                            d->p,
                            d->refitUndoes};
}

} // namespace hillrun
