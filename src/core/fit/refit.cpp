// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/fit/refit.h"

#include <algorithm>
#include <boost/math/distributions/normal.hpp>
#include <boost/math/distributions/students_t.hpp>
#include <boost/math/tools/toms748_solve.hpp>
#include <cmath>

namespace hillrun {
namespace {

/// Double is precise enough; the library would work in a wider type, five times as slowly.
using PlainDouble = boost::math::policies::policy<boost::math::policies::promote_double<false>>;
using PlainT = boost::math::students_t_distribution<double, PlainDouble>;

} // namespace

double RefitSpread::meanSquare() const {
    double sum = 0.0;
    for (const double one : sd)
        sum += one * one;
    return sd.empty() ? 0.0 : sum / static_cast<double>(sd.size());
}

LevelError::LevelError(double scale, double freedom, const RefitSpread& refit, double squaredSums)
    : m_scale(scale), m_freedom(freedom), m_refitVariance(refit.meanSquare() * squaredSums) {
    if (!(m_refitVariance > 0.0) || !(scale > 0.0))
        return;
    constexpr double kReach = 7.0; // standard deviations
    for (const double sd : refit.sd) {
        // Sums at equal steps are all but exact for a normal density, when the t is smooth over a step.
        const double width = sd * std::sqrt(squaredSums);
        const double step = width > 0.0 ? std::clamp(0.5 * scale / width, 0.02, 0.5) : kReach;
        double sum = 0.0;
        const size_t first = m_shifts.size();
        for (double z = 0.0; z < kReach; z += step) { // both signs at once
            m_shifts.push_back({z * width, (z > 0.0 ? 2.0 : 1.0) * std::exp(-0.5 * z * z)});
            sum += m_shifts.back().chance;
        }
        for (size_t i = first; i < m_shifts.size(); ++i)
            m_shifts[i].chance /= sum * static_cast<double>(refit.sd.size());
    }
}

double LevelError::beyond(double size) const {
    if (m_shifts.empty() && !(m_scale > 0.0))
        return size > 0.0 ? 0.0 : 1.0;
    if (m_shifts.empty())
        return 2.0 * boost::math::cdf(boost::math::complement(boost::math::students_t(m_freedom), size / m_scale));
    const PlainT t(m_freedom);
    double out = 0.0;
    for (const Shift& shift : m_shifts)
        out += shift.chance * (boost::math::cdf(boost::math::complement(t, (size - shift.size) / m_scale)) +
                               boost::math::cdf(boost::math::complement(t, (size + shift.size) / m_scale)));
    return out;
}

double LevelError::half(double probability) const {
    const double inner = 0.5 * (1.0 + probability);
    const double plain = boost::math::quantile(boost::math::students_t(m_freedom), inner) * m_scale;
    if (m_shifts.empty())
        return plain;
    // Between the t alone and a t of the whole width, or a little beyond where a tail is longer than that.
    double high = plain * std::sqrt(1.0 + m_refitVariance / (m_scale * m_scale));
    while (beyond(high) > 1.0 - probability)
        high *= 1.3;
    std::uintmax_t steps = 100;
    const auto [low, top] =
        boost::math::tools::toms748_solve([&](double x) { return beyond(x) - (1.0 - probability); }, 0.999 * plain,
                                          high, boost::math::tools::eps_tolerance<double>(36), steps);
    return 0.5 * (low + top);
}

} // namespace hillrun
