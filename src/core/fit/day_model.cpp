// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/fit/day_model.h"

#include "core/errors/data_error.h"
#include "core/fit/drift.h"
#include "core/units/nan.h"

#include <algorithm>
#include <boost/math/distributions/fisher_f.hpp>
#include <boost/math/distributions/students_t.hpp>
#include <cassert>
#include <cmath>
#include <limits>
#include <map>
#include <numeric>
#include <set>

namespace hillrun {
namespace {

constexpr double kVarianceFloor = 0.0005 * 0.0005;
constexpr double kLongestLag_rpm = 600.0;

int pullCount(const FitInput& input) { return static_cast<int>(input.pulls.size()); }
Eigen::Index gridCount(const FitInput& input) { return static_cast<Eigen::Index>(input.rpm.size()); }

std::vector<int> availableAt(const FitInput& input, Eigen::Index point) {
    std::vector<int> rows;
    for (int i = 0; i < pullCount(input); ++i)
        if (std::isfinite(input.logPower(i, point)))
            rows.push_back(i);
    return rows;
}

bool everyBuildIn(const FitInput& input, const std::vector<int>& rows) {
    std::set<int> builds;
    for (const int row : rows)
        builds.insert(input.pulls[static_cast<size_t>(row)].build);
    return static_cast<int>(builds.size()) == input.builds;
}

/// Which rpm points count, and where all pulls have data. Points without every build still count for those that are
/// there. When the pulls overlap on less than 60 % of what the builds share, only the overlap is used.
void findWindow(DayModel& model) {
    const size_t points = model.input.rpm.size();
    model.window.assign(points, 0);
    model.core.assign(points, 0);
    size_t shared = 0;
    size_t core = 0;
    for (size_t p = 0; p < points; ++p) {
        const auto rows = availableAt(model.input, static_cast<Eigen::Index>(p));
        model.window[p] = rows.empty() ? 0 : 1;
        model.core[p] = rows.size() == model.input.pulls.size() ? 1 : 0;
        shared += everyBuildIn(model.input, rows) ? 1 : 0;
        core += model.core[p] ? 1 : 0;
    }
    if (core < 3)
        throw DataError(Problem::NoCommonRange, {});
    model.windowShrunk = static_cast<double>(core) < 0.6 * static_cast<double>(shared);
    if (model.windowShrunk)
        model.window = model.core;
}

void splitLevelAndShape(DayModel& model) {
    const FitInput& input = model.input;
    model.level = Eigen::VectorXd::Zero(pullCount(input));
    double corePoints = 0.0;
    for (size_t p = 0; p < model.core.size(); ++p) {
        if (!model.core[p])
            continue;
        model.level += input.logPower.col(static_cast<Eigen::Index>(p));
        corePoints += 1.0;
    }
    model.level /= corePoints;
    model.shape = input.logPower.colwise() - model.level;
}

/// The designs of all sets of available pulls, so that each is inverted once.
void findPatterns(DayModel& model) {
    std::map<std::vector<int>, int> known;
    model.pattern.assign(model.window.size(), -1);
    for (size_t p = 0; p < model.window.size(); ++p) {
        if (!model.window[p])
            continue;
        auto rows = availableAt(model.input, static_cast<Eigen::Index>(p));
        const auto [it, isNew] = known.emplace(rows, static_cast<int>(model.patterns.size()));
        if (isNew)
            model.patterns.push_back(
                makeDesign(model.input, std::move(rows), model.drift.identified, model.meanTime_h));
        model.pattern[p] = it->second;
    }
}

void estimateVariances(DayModel& model, const Eigen::MatrixXd& q) {
    const auto points = gridCount(model.input);
    model.shapeWeight = Eigen::VectorXd::Zero(points);
    Eigen::VectorXd raw = Eigen::VectorXd::Zero(points);
    for (Eigen::Index p = 0; p < points; ++p) {
        const int pattern = model.pattern[static_cast<size_t>(p)];
        if (pattern < 0)
            continue;
        const Design& design = model.patterns[static_cast<size_t>(pattern)];
        const int nu = design.degreesOfFreedom();
        if (nu <= 0)
            continue;
        model.shapeWeight(p) = nu;
        for (const int row : design.rows)
            raw(p) += q(row, p) * q(row, p) / (model.noise.ofPull(row) * nu);
    }
    model.shapeVariance = Eigen::VectorXd::Constant(points, kNaN);
    model.levelSd = kNaN;
    if (model.degreesOfFreedom <= 0)
        return;
    for (Eigen::Index p = 0; p < points; ++p) {
        if (!model.window[static_cast<size_t>(p)])
            continue;
        const auto weights = varianceSmoother(model.input.rpm, model.window, model.shapeWeight, static_cast<size_t>(p));
        model.shapeVariance(p) = std::max(kVarianceFloor, weights.dot(raw));
    }
    const double rss = evenResiduals(model, model.design, model.level).squaredNorm();
    model.levelSd = std::sqrt(rss / model.degreesOfFreedom);
}

void estimateDrift(DayModel& model) {
    Drift& drift = model.drift;
    std::map<int, std::pair<double, int>> sets;
    for (const FitPull& pull : model.input.pulls) {
        sets[pull.set].first += pull.time_h;
        sets[pull.set].second += 1;
    }
    const auto meanTime = [](const auto& entry) { return entry.second.first / entry.second.second; };
    drift.span_h = meanTime(*sets.rbegin()) - meanTime(*sets.begin());
    if (!drift.identified)
        return;
    const Eigen::Index time = model.input.builds;
    const Eigen::VectorXd beta = model.design.gramInverse * (model.design.x.transpose() * model.level);
    drift.perHour = beta(time);
    drift.overDay = drift.perHour * drift.span_h;
    drift.perHourLow = drift.perHourHigh = kNaN;
    if (model.degreesOfFreedom <= 0)
        return;
    const Eigen::VectorXd weights = model.design.x * model.design.gramInverse.col(time);
    const double se = model.levelSd * std::sqrt(varianceFactor(model, model.design, weights));
    const boost::math::students_t t(model.degreesOfFreedom);
    const double half = boost::math::quantile(t, 0.975) * se;
    drift.perHourLow = drift.perHour - half;
    drift.perHourHigh = drift.perHour + half;
    const double seOverDay = drift.span_h * se;
    drift.allowanceSquared = std::max(0.0, drift.overDay * drift.overDay - seOverDay * seOverDay);
}

struct VariogramPoint {
    double lag_rpm;
    double gamma;
};

std::vector<VariogramPoint> variogram(const DayModel& model, const Eigen::MatrixXd& u) {
    std::vector<VariogramPoint> out;
    const auto& rpm = model.input.rpm;
    const double step = rpm[1] - rpm[0];
    const auto longest = static_cast<Eigen::Index>(kLongestLag_rpm / step);
    for (Eigen::Index h = 1; h <= longest && h < u.cols(); ++h) {
        double sum = 0.0;
        double pairs = 0.0;
        for (Eigen::Index p = 0; p + h < u.cols(); ++p) {
            if (!model.core[static_cast<size_t>(p)] || !model.core[static_cast<size_t>(p + h)])
                continue;
            sum += (u.col(p + h) - u.col(p)).squaredNorm();
            pairs += 1.0;
        }
        if (pairs > 0.0 && sum > 0.0)
            out.push_back({static_cast<double>(h) * step, sum / (2.0 * model.degreesOfFreedom * pairs)});
    }
    return out;
}

/// Weighted least squares of gamma on a*f + b with a, b >= 0; returns {a, b, weighted sum of squares}.
std::array<double, 3> fitVariogram(const std::vector<VariogramPoint>& points, double length) {
    double sff = 0, sf = 0, s = 0, sfg = 0, sg = 0, sgg = 0;
    for (const auto& point : points) {
        const double w = 1.0 / (point.gamma * point.gamma * point.lag_rpm);
        const double f = 1.0 - std::exp(-point.lag_rpm * point.lag_rpm / (2.0 * length * length));
        sff += w * f * f;
        sf += w * f;
        s += w;
        sfg += w * f * point.gamma;
        sg += w * point.gamma;
        sgg += w * point.gamma * point.gamma;
    }
    const double det = sff * s - sf * sf;
    double a = det > 0 ? (sfg * s - sg * sf) / det : -1.0;
    double b = det > 0 ? (sff * sg - sf * sfg) / det : -1.0;
    if (a < 0.0) {
        a = 0.0;
        b = sg / s;
    } else if (b < 0.0) {
        b = 0.0;
        a = sfg / sff;
    }
    const double rest = sgg - 2 * a * sfg - 2 * b * sg + a * a * sff + 2 * a * b * sf + b * b * s;
    return {a, b, rest};
}

NoiseCorrelation estimateCorrelation(const DayModel& model, const Eigen::MatrixXd& q) {
    NoiseCorrelation best;
    if (model.degreesOfFreedom <= 0 || model.input.rpm.size() < 4)
        return best;
    const Eigen::VectorXd sd = model.shapeVariance.cwiseSqrt();
    const Eigen::MatrixXd u = q.array().rowwise() / sd.transpose().array();
    const auto points = variogram(model, u);
    if (points.size() < 2)
        return best;
    constexpr int kLengths = 19;
    double bestRest = std::numeric_limits<double>::infinity();
    for (int i = 0; i < kLengths; ++i) {
        const double length = 60.0 * std::pow(900.0 / 60.0, i / (kLengths - 1.0));
        const auto [a, b, rest] = fitVariogram(points, length);
        if (rest >= bestRest || a + b <= 0.0)
            continue;
        bestRest = rest;
        // In steps of 0.01: a trim that hardly changes the noise keeps its draws.
        best = {length, std::round(100.0 * b / (a + b)) / 100.0};
    }
    return best;
}

/// nu_v = nu / (k'(R.R)k) with the smoother's weights k in the middle of the window.
double shapeDegreesOfFreedom(const DayModel& model) {
    std::vector<size_t> used;
    for (size_t p = 0; p < model.window.size(); ++p)
        if (model.window[p])
            used.push_back(p);
    const auto k = varianceSmoother(model.input.rpm, model.window, model.shapeWeight, used[used.size() / 2]);
    double sum = 0.0;
    for (const size_t p : used) {
        for (const size_t r : used) {
            const double h = model.input.rpm[p] - model.input.rpm[r];
            const double length = model.correlation.length_rpm;
            double rho = (1.0 - model.correlation.nugget) * std::exp(-h * h / (2.0 * length * length));
            if (p == r)
                rho += model.correlation.nugget;
            sum += k(static_cast<Eigen::Index>(p)) * k(static_cast<Eigen::Index>(r)) * rho * rho;
        }
    }
    return model.degreesOfFreedom / sum;
}

/// Takes what earlier days repeat within to today's few repeats, unless these contradict it.
void joinHistory(DayModel& model) {
    const RepeatHistory& history = model.input.history;
    const int own = model.measuredFreedom;
    const double freedom = std::floor(own > 0 ? history.freedom : history.cautious);
    if (!history.known() || own > kFewFreedom || freedom < 1.0)
        return;
    const double ownVariance = own > 0 ? model.levelSd * model.levelSd : 0.0;
    if (own > 0 &&
        ownVariance > history.levelVariance * boost::math::quantile(boost::math::fisher_f(own, freedom), 0.95)) {
        model.unlikeHistory = true;
        return;
    }
    const auto joined = [freedom](double mine, double weight, double theirs) {
        return ((weight > 0.0 ? weight * mine : 0.0) + freedom * theirs) / (weight + freedom);
    };
    model.historyFreedom = static_cast<int>(freedom);
    model.degreesOfFreedom = own + model.historyFreedom;
    model.levelSd = std::sqrt(joined(ownVariance, own, history.levelVariance));
    for (Eigen::Index p = 0; p < model.shapeWeight.size(); ++p) {
        if (!model.window[static_cast<size_t>(p)])
            continue;
        model.shapeVariance(p) = std::max(kVarianceFloor, joined(model.shapeVariance(p), model.shapeWeight(p),
                                                                 history.shapeVariance[static_cast<size_t>(p)]));
        model.shapeWeight(p) += freedom;
    }
    model.correlation = history.correlation;
}

/// Variances, their correlation along rpm, and which build repeats otherwise than the rest.
void estimateNoise(DayModel& model) {
    const Eigen::MatrixXd q = shapeResiduals(model);
    estimateVariances(model, q);
    if (model.measuredFreedom > 0)
        model.correlation = estimateCorrelation(model, q);
    model.measuredLevelSd = model.levelSd;
    model.measuredShapeVariance = model.shapeVariance;
    joinHistory(model);
    if (model.measuredFreedom <= 0 || model.historyFreedom > 0)
        return;
    model.noise = noiseOfBuilds(model, q);
    if (!model.noise.unequal)
        return;
    estimateVariances(model, q);
    model.measuredLevelSd = model.levelSd;
    model.measuredShapeVariance = model.shapeVariance;
}

} // namespace

NumberScatter numberScatter(const DayModel& model, const Design& design, const Eigen::VectorXd& values, bool isPower) {
    const int own = design.degreesOfFreedom();
    const int history = isPower ? model.historyFreedom : 0;
    if (own + history <= 0)
        return {kNaN, 0};
    double squares = own > 0 ? evenResiduals(model, design, values).squaredNorm() : 0.0;
    if (history > 0) {
        // What a level repeats within is known; another number is taken to scatter as a single speed does.
        const bool isLevel = (values - model.level(design.rows)).cwiseAbs().maxCoeff() < 1e-12;
        const RepeatHistory& earlier = model.input.history;
        double shape = 0.0;
        for (const double one : earlier.shapeVariance)
            shape += one / static_cast<double>(earlier.shapeVariance.size());
        squares += history * (earlier.levelVariance + (isLevel ? 0.0 : shape));
    }
    return {std::sqrt(squares / (own + history)), own + history};
}

Eigen::VectorXd Design::residuals(const Eigen::VectorXd& y) const {
    return y - x * (gramInverse * (x.transpose() * y));
}

std::optional<Eigen::VectorXd> Design::contrastWeights(const Eigen::VectorXd& contrast) const {
    Eigen::VectorXd a = x * (gramInverse * contrast);
    if ((x.transpose() * a - contrast).norm() > 1e-7 * (1.0 + contrast.norm()))
        return std::nullopt;
    return a;
}

double allowanceShare(DriftAllowance allowance) {
    switch (allowance) {
    case DriftAllowance::Steady:
        return 0.0;
    case DriftAllowance::Jumps:
        return 0.7;
    case DriftAllowance::Cautious:
        break;
    }
    return 0.5;
}

bool driftIdentified(const FitInput& input) {
    std::map<int, std::vector<double>> timesOfSet;
    std::map<int, int> buildOfSet;
    for (const FitPull& pull : input.pulls) {
        timesOfSet[pull.set].push_back(pull.time_h);
        buildOfSet[pull.set] = pull.build;
    }
    Eigen::MatrixXd sets = Eigen::MatrixXd::Zero(static_cast<Eigen::Index>(timesOfSet.size()), input.builds + 1);
    Eigen::Index row = 0;
    for (const auto& [set, times] : timesOfSet) {
        sets(row, buildOfSet[set]) = 1.0;
        sets(row, input.builds) = std::accumulate(times.begin(), times.end(), 0.0) / static_cast<double>(times.size());
        ++row;
    }
    Eigen::ColPivHouseholderQR<Eigen::MatrixXd> qr(sets);
    qr.setThreshold(1e-7);
    return qr.rank() == input.builds + 1;
}

Design makeDesign(const FitInput& input, std::vector<int> rows, bool withTime, double meanTime_h) {
    Design out;
    out.rows = std::move(rows);
    out.x = Eigen::MatrixXd::Zero(static_cast<Eigen::Index>(out.rows.size()), input.builds + (withTime ? 1 : 0));
    for (Eigen::Index i = 0; i < out.x.rows(); ++i) {
        const FitPull& pull = input.pulls[static_cast<size_t>(out.rows[static_cast<size_t>(i)])];
        out.x(i, pull.build) = 1.0;
        if (withTime)
            out.x(i, input.builds) = pull.time_h - meanTime_h;
    }
    // Through the small triangular factor of X = QR: (X'X)^+ = R^+ (R^+)', at a cost in proportion to the pulls.
    const Eigen::HouseholderQR<Eigen::MatrixXd> qr(out.x);
    const Eigen::MatrixXd r =
        qr.matrixQR().topRows(std::min(out.x.rows(), out.x.cols())).triangularView<Eigen::Upper>();
    const Eigen::CompleteOrthogonalDecomposition<Eigen::MatrixXd> cod(r);
    const Eigen::MatrixXd inverse = cod.pseudoInverse();
    out.gramInverse = inverse * inverse.transpose();
    out.rank = static_cast<int>(cod.rank());
    return out;
}

Eigen::MatrixXd shapeResiduals(const DayModel& model) {
    Eigen::MatrixXd q = Eigen::MatrixXd::Constant(pullCount(model.input), gridCount(model.input), kNaN);
    for (size_t p = 0; p < model.window.size(); ++p) {
        if (model.pattern[p] < 0)
            continue;
        const Design& design = model.patterns[static_cast<size_t>(model.pattern[p])];
        const auto column = static_cast<Eigen::Index>(p);
        q(design.rows, column) = design.residuals(model.shape(design.rows, column));
    }
    return q;
}

Eigen::VectorXd varianceSmoother(const std::vector<double>& rpm, const std::vector<char>& window,
                                 const Eigen::VectorXd& weight, size_t at) {
    constexpr double reach_rpm = 500.0;
    Eigen::VectorXd near = Eigen::VectorXd::Zero(weight.size());
    Eigen::VectorXd all = near;
    for (size_t p = 0; p < rpm.size(); ++p) {
        if (!window[p])
            continue;
        const auto i = static_cast<Eigen::Index>(p);
        all(i) = weight(i);
        if (std::abs(rpm[p] - rpm[at]) <= reach_rpm + 1e-9)
            near(i) = weight(i);
    }
    const double nearSum = near.sum();
    const double allSum = all.sum();
    if (allSum <= 0.0)
        return all;
    if (nearSum <= 0.0)
        return all / allSum;
    return 0.8 * near / nearSum + 0.2 * all / allSum;
}

DayModel fitDay(FitInput input) {
    assert(!input.pulls.empty() && input.logPower.rows() == static_cast<Eigen::Index>(input.pulls.size()));
    DayModel model;
    model.input = std::move(input);
    findWindow(model);
    splitLevelAndShape(model);
    for (const FitPull& pull : model.input.pulls)
        model.meanTime_h += pull.time_h / pullCount(model.input);
    model.drift.identified = driftIdentified(model.input);
    std::vector<int> everyRow(model.input.pulls.size());
    std::iota(everyRow.begin(), everyRow.end(), 0);
    model.design = makeDesign(model.input, everyRow, model.drift.identified, model.meanTime_h);
    model.degreesOfFreedom = model.measuredFreedom = model.design.degreesOfFreedom();
    findPatterns(model);
    estimateNoise(model);
    estimateDrift(model);
    if (model.degreesOfFreedom > 0) {
        model.shapeDegreesOfFreedom = shapeDegreesOfFreedom(model);
        if (model.drift.identified)
            model.drift.allowanceAlong = driftAllowanceAlong(model);
    }
    return model;
}

} // namespace hillrun
