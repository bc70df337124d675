// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/fit/drift.h"

#include "core/units/nan.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::VectorXd;

constexpr double kReach_rpm = 500.0;

/// How each point's shape moves with time, per hour; NaN where its pulls do not tell.
VectorXd shapeSlopes(const DayModel& model) {
    const auto points = static_cast<Index>(model.input.rpm.size());
    const VectorXd time = VectorXd::Unit(model.input.builds + 1, model.input.builds);
    std::vector<std::optional<VectorXd>> weights;
    for (const Design& design : model.patterns)
        weights.push_back(design.contrastWeights(time));
    VectorXd out = VectorXd::Constant(points, kNaN);
    for (Index p = 0; p < points; ++p) {
        const int pattern = model.pattern[static_cast<size_t>(p)];
        if (pattern < 0 || !weights[static_cast<size_t>(pattern)])
            continue;
        const Design& design = model.patterns[static_cast<size_t>(pattern)];
        out(p) = weights[static_cast<size_t>(pattern)]->dot(model.shape(design.rows, p));
    }
    return out;
}

/// Points within reach that have a value.
std::vector<Index> boxAround(const DayModel& model, const VectorXd& values, Index at) {
    std::vector<Index> out;
    const std::vector<double>& rpm = model.input.rpm;
    for (Index p = 0; p < values.size(); ++p)
        if (std::isfinite(values(p)) &&
            std::abs(rpm[static_cast<size_t>(p)] - rpm[static_cast<size_t>(at)]) <= kReach_rpm + 1e-9)
            out.push_back(p);
    return out;
}

/// Correlation of the shape's noise by the distance of two points.
class Correlation {
public:
    explicit Correlation(const DayModel& model) : m_rpm(model.input.rpm) {
        const NoiseCorrelation& noise = model.correlation;
        const double step = m_rpm.size() > 1 ? m_rpm[1] - m_rpm[0] : 1.0;
        for (size_t lag = 0; lag < m_rpm.size(); ++lag) {
            const double h = static_cast<double>(lag) * step;
            m_byLag.push_back((1.0 - noise.nugget) * std::exp(-h * h / (2.0 * noise.length_rpm * noise.length_rpm)) +
                              (lag == 0 ? noise.nugget : 0.0));
        }
    }
    /// Mean over all pairs.
    [[nodiscard]] double between(const std::vector<Index>& a, const std::vector<Index>& b) const {
        double sum = 0.0;
        for (const Index p : a)
            for (const Index q : b)
                sum += m_byLag[static_cast<size_t>(std::abs(p - q))];
        return sum / static_cast<double>(a.size() * b.size());
    }

private:
    const std::vector<double>& m_rpm;
    std::vector<double> m_byLag;
};

} // namespace

DriftAlong driftAlong(const DayModel& model) {
    const auto points = static_cast<Index>(model.input.rpm.size());
    DriftAlong out{VectorXd::Constant(points, kNaN), VectorXd::Constant(points, kNaN)};
    const VectorXd slopes = shapeSlopes(model);
    const Correlation correlation(model);
    std::vector<Index> core;
    for (Index p = 0; p < points; ++p)
        if (model.core[static_cast<size_t>(p)])
            core.push_back(p);
    const double ofCore = correlation.between(core, core);
    const VectorXd slopeWeights = model.design.x * model.design.gramInverse.col(model.input.builds);
    const double slopeFactor = varianceFactor(model, model.design, slopeWeights);
    for (Index p = 0; p < points; ++p) {
        const std::vector<Index> box = boxAround(model, slopes, p);
        if (!model.window[static_cast<size_t>(p)] || box.empty())
            continue;
        double smoothed = 0.0;
        for (const Index q : box)
            smoothed += slopes(q) / static_cast<double>(box.size());
        // The smoothed shape is the mean over the box less the mean over the core.
        const double rho = correlation.between(box, box) - 2.0 * correlation.between(box, core) + ofCore;
        const double variance = model.levelSd * model.levelSd + model.shapeVariance(p) * rho;
        out.overDay(p) = model.drift.span_h * (model.drift.perHour + smoothed);
        out.error(p) = model.drift.span_h * std::sqrt(slopeFactor * variance);
    }
    return out;
}

VectorXd driftAllowanceAlong(const DayModel& model) {
    const DriftAlong along = driftAlong(model);
    VectorXd out = VectorXd::Constant(along.overDay.size(), model.drift.allowanceSquared);
    for (Index p = 0; p < out.size(); ++p)
        if (std::isfinite(along.overDay(p)))
            out(p) = std::max(out(p), along.overDay(p) * along.overDay(p) - along.error(p) * along.error(p));
    return out;
}

} // namespace hillrun
