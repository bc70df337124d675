// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/pulls_needed.h"

#include "core/plan/design.h"

#include <algorithm>
#include <boost/math/distributions/chi_squared.hpp>
#include <boost/math/distributions/non_central_t.hpp>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>
#include <map>

namespace hillrun {
namespace {

constexpr double kWantedChance = 0.80;
constexpr int kMostPulls = 30;
constexpr double kCertainNoncentrality = 25.0;

int numberOf(const std::vector<std::string>& ids, const std::string& id) {
    const auto it = std::find(ids.begin(), ids.end(), id);
    return it == ids.end() ? -1 : static_cast<int>(it - ids.begin());
}

std::vector<std::string> buildsIn(const std::vector<std::string>& order) {
    std::vector<std::string> out;
    for (const std::string& id : order)
        if (numberOf(out, id) < 0)
            out.push_back(id);
    return out;
}

/// Behind the scatter that the plan will know.
int freedomOf(const PlannedContrast& contrast, const PlannedNoise& noise) {
    const int own = contrast.degreesOfFreedom;
    if (own > kFewFreedom)
        return own;
    return own + (own > 0 ? noise.earlier : noise.earlierAlone);
}

} // namespace

FitInput planInput(const std::vector<std::string>& order, const std::vector<size_t>& refits) {
    FitInput out;
    const auto ids = buildsIn(order);
    out.builds = static_cast<int>(ids.size());
    int number = 0;
    for (const PlannedSet& set : plannedSets(order, refits)) {
        for (size_t i = set.first; i < set.first + set.pulls; ++i)
            out.pulls.push_back({numberOf(ids, set.build), static_cast<double>(i), number});
        ++number;
    }
    return out;
}

std::optional<PlannedContrast> plannedContrast(const std::vector<std::string>& order, const std::string& from,
                                               const std::string& to) {
    const auto ids = buildsIn(order);
    const int a = numberOf(ids, from);
    const int b = numberOf(ids, to);
    if (a < 0 || b < 0 || a == b)
        return std::nullopt;
    const FitInput input = planInput(order);
    PlannedContrast out;
    out.driftIdentified = driftIdentified(input);
    std::vector<int> rows(order.size());
    for (size_t i = 0; i < rows.size(); ++i)
        rows[i] = static_cast<int>(i);
    const double middle = 0.5 * static_cast<double>(order.size() - 1);
    const Design design = makeDesign(input, rows, out.driftIdentified, middle);
    Eigen::VectorXd contrast = Eigen::VectorXd::Zero(design.x.cols());
    contrast(a) = -1.0;
    contrast(b) = 1.0;
    const auto weights = design.contrastWeights(contrast);
    if (!weights)
        return std::nullopt;
    out.variance = weights->squaredNorm();
    std::map<int, double> sums;
    for (size_t i = 0; i < rows.size(); ++i)
        sums[input.pulls[i].set] += (*weights)(static_cast<Eigen::Index>(i));
    for (const auto& [set, sum] : sums)
        out.refitVariance += sum * sum;
    out.degreesOfFreedom = design.degreesOfFreedom();
    return out;
}

double chanceToSee(const PlannedContrast& contrast, double effect, const PlannedNoise& noise) {
    const int freedom = freedomOf(contrast, noise);
    if (freedom <= 0 || !(noise.pull > 0.0))
        return 0.0;
    const double pulls = noise.pull * noise.pull * contrast.variance;
    const double all = pulls + noise.refit * noise.refit * contrast.refitVariance;
    const double nu = freedom * (all / pulls) * (all / pulls); // refitting is taken as known
    const double shift = std::abs(std::log1p(effect)) / std::sqrt(all);
    if (shift > kCertainNoncentrality)
        return 1.0;
    const double critical = boost::math::quantile(boost::math::students_t(nu), 0.975);
    const boost::math::non_central_t shifted(nu, shift);
    return boost::math::cdf(boost::math::complement(shifted, critical));
}

std::optional<double> smallestSeen(const PlannedContrast& contrast, const PlannedNoise& noise) {
    if (freedomOf(contrast, noise) <= 0)
        return std::nullopt;
    double low = 0.0;
    double high = 1e-3;
    while (chanceToSee(contrast, high, noise) < kWantedChance && high < 1.0)
        high *= 2.0;
    for (int i = 0; i < 40; ++i) {
        const double middle = 0.5 * (low + high);
        (chanceToSee(contrast, middle, noise) < kWantedChance ? low : high) = middle;
    }
    return high;
}

double upperLimit80(double sd, int degreesOfFreedom) {
    const double nu = degreesOfFreedom;
    return sd * std::sqrt(nu / boost::math::quantile(boost::math::chi_squared(nu), 0.20));
}

std::optional<int> pullsPerSetNeeded(const std::vector<std::string>& setBuilds, const std::string& from,
                                     const std::string& to, double effect, const PlannedNoise& noise) {
    for (int pulls = 1; pulls <= kMostPulls; ++pulls) {
        std::vector<std::string> order;
        for (const std::string& build : setBuilds)
            order.insert(order.end(), static_cast<size_t>(pulls), build);
        const auto contrast = plannedContrast(order, from, to);
        if (!contrast)
            return std::nullopt;
        if (chanceToSee(*contrast, effect, noise) >= kWantedChance)
            return pulls;
    }
    return std::nullopt;
}

} // namespace hillrun
