// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/days/repeatability.h"

#include <algorithm>
#include <boost/math/special_functions/digamma.hpp>
#include <boost/math/special_functions/trigamma.hpp>
#include <boost/random/chi_squared_distribution.hpp>
#include <boost/random/mersenne_twister.hpp>
#include <cmath>
#include <vector>

namespace hillrun {
namespace {

constexpr size_t kFewestDays = 3;
constexpr size_t kManyDays = 12; ///< enough to take the freedom as it is estimated
constexpr int kRedraws = 400;
constexpr unsigned kSeed = 20261130;

/// d0 with psi'(d0/2) = x, which falls with d0; at most `most`.
double freedomFor(double x, double most) {
    double low = 1e-3;
    double high = most;
    if (boost::math::trigamma(0.5 * high) >= x)
        return most;
    for (int i = 0; i < 200; ++i) {
        const double middle = 0.5 * (low + high);
        (boost::math::trigamma(0.5 * middle) > x ? low : high) = middle;
    }
    return 0.5 * (low + high);
}

std::vector<DayVariance> usable(std::span<const DayVariance> days) {
    std::vector<DayVariance> out;
    for (const DayVariance& day : days)
        if (day.freedom > 0.0 && day.variance > 0.0 && std::isfinite(day.variance))
            out.push_back(day);
    return out;
}

/// Smyth 2004, from log variances.
VarianceHistory momentsOf(const std::vector<DayVariance>& days) {
    const auto n = static_cast<double>(days.size());
    double mean = 0.0;
    double expected = 0.0;
    double most = 0.0;
    std::vector<double> logs;
    for (const DayVariance& day : days) {
        const double half = 0.5 * day.freedom;
        logs.push_back(std::log(day.variance) - boost::math::digamma(half) + std::log(half));
        mean += logs.back() / n;
        expected += boost::math::trigamma(half) / n;
        most += day.freedom;
    }
    double scatter = 0.0;
    for (const double one : logs)
        scatter += (one - mean) * (one - mean) / (n - 1.0);
    if (scatter <= expected) { // the days agree: all of them together
        double squares = 0.0;
        for (const DayVariance& day : days)
            squares += day.variance * day.freedom;
        return {squares / most, most};
    }
    const double freedom = freedomFor(scatter - expected, most);
    return {std::exp(mean + boost::math::digamma(0.5 * freedom) - std::log(0.5 * freedom)), freedom};
}

} // namespace

std::optional<VarianceHistory> varianceHistory(std::span<const DayVariance> days) {
    const std::vector<DayVariance> used = usable(days);
    if (used.size() < kFewestDays)
        return std::nullopt;
    return momentsOf(used);
}

std::optional<VarianceHistory> cautiousHistory(std::span<const DayVariance> days) {
    const std::vector<DayVariance> used = usable(days);
    auto out = varianceHistory(used);
    if (!out || used.size() >= kManyDays)
        return out;
    boost::random::mt19937 generator(kSeed);
    boost::random::chi_squared_distribution<double> ofDays(out->freedom);
    std::vector<double> freedoms;
    for (int i = 0; i < kRedraws; ++i) {
        std::vector<DayVariance> redrawn = used;
        for (DayVariance& day : redrawn) {
            boost::random::chi_squared_distribution<double> within(day.freedom);
            const double truth = out->variance * out->freedom / ofDays(generator);
            day.variance = truth * within(generator) / day.freedom;
        }
        freedoms.push_back(momentsOf(redrawn).freedom);
    }
    std::nth_element(freedoms.begin(), freedoms.begin() + kRedraws / 5, freedoms.end());
    out->freedom = std::min(out->freedom, freedoms[kRedraws / 5]);
    return out;
}

DayVariance withHistory(const DayVariance& today, const VarianceHistory& history) {
    const double freedom = today.freedom + history.freedom;
    return {(today.freedom * today.variance + history.freedom * history.variance) / freedom, freedom};
}

} // namespace hillrun
