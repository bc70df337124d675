// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/fit/contrast.h"

#include "core/units/nan.h"

#include <algorithm>
#include <boost/math/distributions/students_t.hpp>
#include <boost/random/chi_squared_distribution.hpp>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cassert>
#include <cmath>
#include <limits>
#include <map>
#include <random>

namespace hillrun {
namespace {

/// Double is precise enough; the library would work in a wider type, five times as slowly.
using PlainDouble = boost::math::policies::policy<boost::math::policies::promote_double<false>>;
using StudentsT = boost::math::students_t_distribution<double, PlainDouble>;

double studentQuantile(double degreesOfFreedom, double probability) {
    return boost::math::quantile(StudentsT(std::max(degreesOfFreedom, 0.5)), probability);
}

/// The contrast of builds with a zero for the drift column.
Eigen::VectorXd withTime(const Eigen::VectorXd& builds, const Design& design) {
    Eigen::VectorXd out = Eigen::VectorXd::Zero(design.x.cols());
    out.head(builds.size()) = builds;
    return out;
}

/// Sums of the weights set by set, in the order of time.
struct SetSums {
    double worstJump = 0.0; ///< largest partial sum
    double leverage_h = 0.0;
    std::vector<double> sums;
    double squared = 0.0; ///< sum of their squares
};

SetSums sumsOverSets(const DayModel& model, const Design& design, const Eigen::VectorXd& weights) {
    struct Set {
        double weight = 0.0;
        double time = 0.0;
        int pulls = 0;
    };
    std::map<int, Set> sets; // set numbers run in time order
    for (size_t i = 0; i < design.rows.size(); ++i) {
        const FitPull& pull = model.input.pulls[static_cast<size_t>(design.rows[i])];
        Set& set = sets[pull.set];
        set.weight += weights(static_cast<Eigen::Index>(i));
        set.time += pull.time_h;
        ++set.pulls;
    }
    SetSums out;
    double sum = 0.0;
    for (const auto& [number, set] : sets) {
        sum += set.weight;
        if (number != sets.rbegin()->first)
            out.worstJump = std::max(out.worstJump, std::abs(sum));
        out.leverage_h += set.weight * set.time / set.pulls;
        out.sums.push_back(set.weight);
        out.squared += set.weight * set.weight;
    }
    return out;
}

/// L^2; `allowanceSquared`: the part of the drift over the day, squared, that noise does not explain.
double levelErrorSquared(const DayModel& model, const ContrastCurve& curve, double allowanceSquared,
                         DriftAllowance allowance) {
    const double jump = allowanceShare(allowance) * curve.worstJump;
    return varianceFactor(model, model.design, curve.weights) * model.levelSd * model.levelSd +
           jump * jump * allowanceSquared;
}

double boundHalf(const ContrastCurve& curve, const DriftSettings& drift) {
    if (curve.protectedFromDrift || !drift.declaredBound_pct)
        return 0.0;
    return *drift.declaredBound_pct / 100.0 * curve.worstJump;
}

double shapeAt(const DayModel& model, const Design& design, const Eigen::VectorXd& a, Eigen::Index point) {
    double sum = 0.0;
    for (size_t i = 0; i < design.rows.size(); ++i)
        sum += a(static_cast<Eigen::Index>(i)) * model.shape(design.rows[i], point);
    return sum;
}

void evaluateAlongRpm(const DayModel& model, const Eigen::VectorXd& builds, DriftAllowance allowance,
                      ContrastCurve& out) {
    const auto points = static_cast<Eigen::Index>(model.input.rpm.size());
    out.delta = out.standardError = out.shapeFactor = out.pointwiseHalf = out.levelErrorAlong =
        Eigen::VectorXd::Constant(points, kNaN);
    std::vector<std::optional<Eigen::VectorXd>> weights;
    for (const Design& design : model.patterns)
        weights.push_back(design.contrastWeights(withTime(builds, design)));
    for (Eigen::Index p = 0; p < points; ++p) {
        const int pattern = model.pattern[static_cast<size_t>(p)];
        if (pattern < 0 || !weights[static_cast<size_t>(pattern)])
            continue;
        const Design& design = model.patterns[static_cast<size_t>(pattern)];
        const Eigen::VectorXd& a = *weights[static_cast<size_t>(pattern)];
        out.delta(p) = out.levelDelta + shapeAt(model, design, a, p);
        out.shapeFactor(p) = varianceFactor(model, design, a);
        if (model.degreesOfFreedom <= 0)
            continue;
        const double l2 = levelErrorSquared(model, out, model.drift.allowanceAt(p), allowance);
        out.levelErrorAlong(p) = std::sqrt(l2);
        const double s2 = out.shapeFactor(p) * model.shapeVariance(p);
        const double r2 = out.refitError * out.refitError;
        const double se2 = l2 + r2 + s2;
        const double refitPart = model.input.refit.freedom > 0.0 ? r2 * r2 / model.input.refit.freedom : 0.0;
        const double df =
            se2 * se2 / (l2 * l2 / model.degreesOfFreedom + refitPart + s2 * s2 / model.shapeDegreesOfFreedom);
        out.standardError(p) = std::sqrt(se2);
        out.pointwiseHalf(p) = studentQuantile(df, 0.975) * out.standardError(p);
    }
}

} // namespace

bool ContrastCurve::mayClaim() const { return std::isfinite(levelError) && (protectedFromDrift || boundHalf > 0.0); }

std::optional<ContrastCurve> evaluate(const DayModel& model, const Eigen::VectorXd& builds,
                                      const DriftSettings& drift) {
    assert(builds.size() == model.input.builds);
    auto weights = model.design.contrastWeights(withTime(builds, model.design));
    if (!weights)
        return std::nullopt;
    ContrastCurve out;
    out.weights = std::move(*weights);
    out.levelDelta = out.weights.dot(model.level);
    const SetSums sums = sumsOverSets(model, model.design, out.weights);
    out.worstJump = sums.worstJump;
    out.sumsOverSets = Eigen::VectorXd::Map(sums.sums.data(), static_cast<Eigen::Index>(sums.sums.size()));
    out.refitError = std::sqrt(model.input.refit.meanSquare() * sums.squared);
    out.protectedFromDrift =
        model.drift.identified || std::abs(sums.leverage_h) < 0.05 * std::max(model.drift.span_h, 1e-9);
    out.boundHalf = boundHalf(out, drift);
    if (!out.protectedFromDrift && out.worstJump > 0.0)
        out.explainingDrift = std::abs(out.levelDelta) / out.worstJump;
    out.levelError = model.degreesOfFreedom > 0
                         ? std::sqrt(levelErrorSquared(model, out, model.drift.allowanceSquared, drift.allowance))
                         : kNaN;
    evaluateAlongRpm(model, builds, drift.allowance, out);
    return out;
}

namespace {

/// How each contrast is mixed from independent copies, so that their errors are correlated as their weights are.
Eigen::MatrixXd mixing(const DayModel& model, std::span<const ContrastCurve> contrasts) {
    const auto n = static_cast<Eigen::Index>(contrasts.size());
    Eigen::MatrixXd unit(model.level.size(), n); // of length one in independent pulls
    for (Eigen::Index i = 0; i < n; ++i)
        unit.col(i) = noiseWeights(model, model.design, contrasts[static_cast<size_t>(i)].weights).normalized();
    const Eigen::MatrixXd correlation = unit.transpose() * unit;
    const Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd> eigen(correlation);
    Eigen::Index copies = 0;
    while (copies < n && eigen.eigenvalues()(n - 1 - copies) > 1e-9)
        ++copies;
    Eigen::MatrixXd mix =
        eigen.eigenvectors().rightCols(copies) * eigen.eigenvalues().tail(copies).cwiseSqrt().asDiagonal();
    for (Eigen::Index i = 0; i < n; ++i) // the eigenvectors' signs are arbitrary: make them the same everywhere
        mix.row(i).normalize();
    for (Eigen::Index c = 0; c < copies; ++c) {
        Eigen::Index largest = 0;
        mix.col(c).cwiseAbs().maxCoeff(&largest);
        if (mix(largest, c) < 0.0)
            mix.col(c) *= -1.0;
    }
    return mix;
}

/// How a contrast is put together from the draws at each of their points.
struct DrawnContrast {
    Eigen::RowVectorXf mix; ///< of the copies
    Eigen::VectorXf levelPart;
    Eigen::VectorXf shapePart;
    Eigen::VectorXf refitPart; ///< of `refit`
    Eigen::RowVectorXf refit;  ///< what fitting builds again adds in each draw; empty: nothing
};

DrawnContrast drawnContrast(const Draws& draws, const ContrastCurve& curve, const DayModel& model,
                            const Eigen::RowVectorXf& mix) {
    const auto n = static_cast<Eigen::Index>(draws.points.size());
    DrawnContrast out{mix, Eigen::VectorXf::Zero(n), Eigen::VectorXf::Zero(n), Eigen::VectorXf::Zero(n), {}};
    for (Eigen::Index i = 0; i < n; ++i) {
        const auto p = static_cast<Eigen::Index>(draws.points[static_cast<size_t>(i)]);
        const double se = curve.standardError(p);
        if (!std::isfinite(se))
            continue; // zero parts: this point never is the largest
        out.levelPart(i) = static_cast<float>(curve.levelErrorAlong(p) / se);
        out.shapePart(i) = static_cast<float>(std::sqrt(curve.shapeFactor(p) * model.shapeVariance(p)) / se);
        out.refitPart(i) = static_cast<float>(1.0 / se);
    }
    return out;
}

/// What fitting builds again may add to each contrast, contrasts x draws: one shift a set, the same for all of them.
Eigen::MatrixXf refitDraws(const RefitSpread& refit, std::span<const ContrastCurve> contrasts) {
    constexpr unsigned kSeed = 20261201;
    const Eigen::Index sets = contrasts.front().sumsOverSets.size();
    Eigen::MatrixXf sums(static_cast<Eigen::Index>(contrasts.size()), sets);
    for (size_t c = 0; c < contrasts.size(); ++c)
        sums.row(static_cast<Eigen::Index>(c)) = contrasts[c].sumsOverSets.cast<float>().transpose();
    std::seed_seq seed{kSeed};
    boost::random::mt19937 generator(seed);
    boost::random::normal_distribution<float> normal;
    Eigen::MatrixXf shift(sets, kDrawCount);
    for (float& one : shift.reshaped())
        one = normal(generator);
    for (Eigen::Index d = 0; d < kDrawCount; ++d) // equal chances in turn scatter less than draws
        shift.col(d) *= static_cast<float>(refit.sd[static_cast<size_t>(d) % refit.sd.size()]);
    return sums * shift;
}

/// Largest and least T along rpm of each draw, contrasts x draws.
struct Extremes {
    Eigen::MatrixXf high;
    Eigen::MatrixXf low;
};

/// Those of a block.
void extremesOfBlock(const Draws& draws, const DrawnContrast& contrast, Eigen::Index first, Eigen::Index row,
                     Extremes& out) {
    const Eigen::RowVectorXf& mix = contrast.mix;
    Eigen::MatrixXf t = mix(0) * draws.shape[0].middleCols(first, kDrawBlock);
    for (Eigen::Index c = 1; c < mix.size(); ++c)
        if (mix(c) != 0.0F)
            t += mix(c) * draws.shape[static_cast<size_t>(c)].middleCols(first, kDrawBlock);
    const Eigen::RowVectorXf tau = (mix * draws.levelNormal.middleCols(first, kDrawBlock)).array() *
                                   draws.levelScale.segment(first, kDrawBlock).transpose().array();
    t.array().colwise() *= contrast.shapePart.array();
    t.noalias() += contrast.levelPart * tau;
    if (contrast.refit.size() > 0)
        t.noalias() += contrast.refitPart * contrast.refit.segment(first, kDrawBlock);
    out.high.row(row).segment(first, kDrawBlock) = t.colwise().maxCoeff();
    out.low.row(row).segment(first, kDrawBlock) = t.colwise().minCoeff();
}

Extremes extremesOf(const Draws& draws, const std::vector<DrawnContrast>& contrasts, const ForEach& forEach) {
    const auto n = static_cast<Eigen::Index>(contrasts.size());
    Extremes out{Eigen::MatrixXf(n, draws.count), Eigen::MatrixXf(n, draws.count)};
    forEach(static_cast<size_t>(draws.count / kDrawBlock), [&](size_t block) {
        const auto first = static_cast<Eigen::Index>(block) * kDrawBlock;
        for (size_t c = 0; c < contrasts.size(); ++c)
            extremesOfBlock(draws, contrasts[c], first, static_cast<Eigen::Index>(c), out);
    });
    return out;
}

double upper95(const Eigen::RowVectorXf& values) { return hillrun::upper95({values.begin(), values.end()}); }

/// For each contrast and draw the factor by which unsure ratios of noise widen it: the root of the mean over the
/// contrast's builds, each by its share of the variance, of dk / chi2(dk). Contrasts x draws.
Eigen::MatrixXf noiseScales(const DayModel& model, std::span<const ContrastCurve> contrasts) {
    constexpr unsigned kSeed = 20261130;
    const Eigen::Index builds = model.input.builds;
    Eigen::MatrixXf inverse = Eigen::MatrixXf::Ones(builds, kDrawCount);
    for (Eigen::Index b = 0; b < builds; ++b) {
        const double freedom = model.noise.builds[static_cast<size_t>(b)].degreesOfFreedom;
        if (freedom <= 0.0)
            continue; // a build of one pull is taken to repeat as the day does
        std::seed_seq seed{kSeed, static_cast<unsigned>(b)};
        boost::random::mt19937 generator(seed);
        boost::random::chi_squared_distribution<double> chi(freedom);
        for (float& one : inverse.row(b))
            one = static_cast<float>(freedom / chi(generator));
    }
    Eigen::MatrixXf share = Eigen::MatrixXf::Zero(static_cast<Eigen::Index>(contrasts.size()), builds);
    for (size_t c = 0; c < contrasts.size(); ++c) {
        const auto row = static_cast<Eigen::Index>(c);
        const Eigen::VectorXd a = noiseWeights(model, model.design, contrasts[c].weights);
        for (Eigen::Index i = 0; i < a.size(); ++i)
            share(row, model.input.pulls[static_cast<size_t>(i)].build) += static_cast<float>(a(i) * a(i));
        share.row(row) /= static_cast<float>(a.squaredNorm());
    }
    return (share * inverse).cwiseSqrt();
}

void widen(Extremes& extremes, const Eigen::MatrixXf& scales) {
    extremes.high.array() *= scales.array();
    extremes.low.array() *= scales.array();
}

/// The worst build's 95 % point of its largest T against all others.
double leadOf(const Extremes& extremes, std::span<const Sides> sides, Eigen::Index builds) {
    double out = 0.0;
    for (Eigen::Index build = 0; build < builds; ++build) {
        Eigen::RowVectorXf largest =
            Eigen::RowVectorXf::Constant(extremes.high.cols(), -std::numeric_limits<float>::infinity());
        bool any = false;
        for (size_t c = 0; c < sides.size(); ++c) {
            const auto row = static_cast<Eigen::Index>(c);
            if (sides[c].to == build)
                largest = largest.cwiseMax(extremes.high.row(row));
            else if (sides[c].from == build)
                largest = largest.cwiseMax(-extremes.low.row(row));
            else
                continue;
            any = true;
        }
        if (any)
            out = std::max(out, upper95(largest));
    }
    return out;
}

} // namespace

CriticalValues criticalValues(const DayModel& model, std::span<const ContrastCurve> contrasts, size_t familySize,
                              DrawCache& cache, std::span<const Sides> sides) {
    assert(sides.empty() || sides.size() == contrasts.size());
    assert(familySize <= contrasts.size());
    CriticalValues out;
    out.own.assign(contrasts.size(), kNaN);
    out.family = out.all = out.lead = kNaN;
    if (contrasts.empty() || model.degreesOfFreedom <= 0)
        return out;
    const Eigen::MatrixXf mix = mixing(model, contrasts).cast<float>();
    const auto draws = cache.get(drawKey(model, static_cast<int>(mix.cols())));
    std::vector<DrawnContrast> drawn;
    for (size_t c = 0; c < contrasts.size(); ++c)
        drawn.push_back(drawnContrast(*draws, contrasts[c], model, mix.row(static_cast<Eigen::Index>(c))));
    if (model.input.refit.known()) {
        const Eigen::MatrixXf refit = refitDraws(model.input.refit, contrasts);
        for (size_t c = 0; c < contrasts.size(); ++c)
            drawn[c].refit = refit.row(static_cast<Eigen::Index>(c));
    }
    Extremes extremes = extremesOf(*draws, drawn, cache.forEach());
    if (model.noise.unequal)
        widen(extremes, noiseScales(model, contrasts));
    const Eigen::MatrixXf largest = extremes.high.cwiseMax(-extremes.low);
    for (size_t c = 0; c < contrasts.size(); ++c)
        out.own[c] = upper95(largest.row(static_cast<Eigen::Index>(c)));
    if (familySize > 0)
        out.family = upper95(largest.topRows(static_cast<Eigen::Index>(familySize)).colwise().maxCoeff());
    out.all = upper95(largest.colwise().maxCoeff());
    if (!sides.empty())
        out.lead =
            std::max(leadOf(extremes, sides, model.input.builds), *std::max_element(out.own.begin(), out.own.end()));
    return out;
}

namespace {

std::vector<int> rowsWithValue(const Eigen::VectorXd& values) {
    std::vector<int> out;
    for (Eigen::Index i = 0; i < values.size(); ++i)
        if (std::isfinite(values(i)))
            out.push_back(static_cast<int>(i));
    return out;
}

/// What a difference with these weights may be off by.
struct DifferenceError {
    double repeats = 0.0;     ///< of repeats and drift: the scale of a Student t
    double bound = 0.0;       ///< half width to be added: the declared bound
    bool covered = false;     ///< from drift
    double refitFactor = 0.0; ///< variance of the difference in units of what fitting a build again adds
    /// With what is known of fitting builds again.
    [[nodiscard]] double standard(const RefitSpread& refit) const {
        return std::sqrt(repeats * repeats + refitFactor * refit.meanSquare());
    }
};

/// `allowanceSquared`: the part of the drift over the day, squared, that noise does not explain; unused for what drift
/// does not scale.
DifferenceError differenceError(const DayModel& model, const Design& design, const Eigen::VectorXd& weights, double sd,
                                double allowanceSquared, const DriftSettings& drift, bool scaleOfDrift) {
    const SetSums sums = sumsOverSets(model, design, weights);
    const double jump = scaleOfDrift ? allowanceShare(drift.allowance) * sums.worstJump : 0.0;
    DifferenceError out;
    out.repeats = std::sqrt(varianceFactor(model, design, weights) * sd * sd + jump * jump * allowanceSquared);
    out.refitFactor = sums.squared;
    out.covered = model.drift.identified || std::abs(sums.leverage_h) < 0.05 * std::max(model.drift.span_h, 1e-9);
    if (!out.covered && drift.declaredBound_pct && scaleOfDrift)
        out.bound = *drift.declaredBound_pct / 100.0 * sums.worstJump;
    return out;
}

/// The sd of refitting that would widen the interval up to an estimate `beyond` nothing.
std::optional<double> refitThatUndoes(double beyond, const DifferenceError& error, int degreesOfFreedom) {
    const double widest = beyond / boost::math::quantile(boost::math::students_t(degreesOfFreedom), 0.975);
    const double spare = widest * widest - error.repeats * error.repeats;
    if (spare <= 0.0 || error.refitFactor <= 0.0)
        return std::nullopt;
    return std::sqrt(spare / error.refitFactor);
}

} // namespace

std::optional<NumberEstimate> estimateNumber(const DayModel& model, const Eigen::VectorXd& builds,
                                             const Eigen::VectorXd& values, const DriftSettings& drift,
                                             bool scaleOfDrift) {
    const std::vector<int> rows = rowsWithValue(values);
    if (rows.empty())
        return std::nullopt;
    const Design design = makeDesign(model.input, rows, model.drift.identified, model.meanTime_h);
    const auto a = design.contrastWeights(withTime(builds, design));
    if (!a)
        return std::nullopt;
    const Eigen::VectorXd y = values(rows);
    NumberEstimate out;
    out.estimate = a->dot(y);
    const auto [sd, freedom] = numberScatter(model, design, y, scaleOfDrift);
    out.degreesOfFreedom = freedom;
    if (freedom <= 0) {
        out.standardError = out.half = out.half90 = out.p = kNaN;
        return out;
    }
    const RefitSpread refit = scaleOfDrift ? model.input.refit : RefitSpread{}; // it scales power, not a speed
    const DifferenceError error =
        differenceError(model, design, *a, sd, model.drift.allowanceSquared, drift, scaleOfDrift);
    out.standardError = error.standard(refit);
    out.bound = error.bound;
    out.protectedFromDrift = error.covered || !scaleOfDrift;
    const LevelError level(error.repeats, out.degreesOfFreedom, refit, error.refitFactor);
    out.half = level.half(0.95) + error.bound;
    out.half90 = level.half(0.90) + error.bound;
    const double beyond = std::max(0.0, std::abs(out.estimate) - error.bound);
    out.p = level.beyond(beyond);
    if (!refit.known())
        out.refitUndoes = refitThatUndoes(beyond, error, out.degreesOfFreedom);
    return out;
}

namespace {

/// The part of these numbers' own drift over the day, squared, that noise does not explain.
double ownAllowanceSquared(const DayModel& model, const Design& design, const Eigen::VectorXd& y, double sd) {
    if (!model.drift.identified)
        return model.drift.allowanceSquared;
    const Eigen::Index time = design.x.cols() - 1;
    const double perHour = (design.gramInverse * (design.x.transpose() * y))(time);
    const Eigen::VectorXd weights = design.x * design.gramInverse.col(time);
    const double error = sd * std::sqrt(varianceFactor(model, design, weights));
    return std::max(0.0, (perHour * perHour - error * error) * model.drift.span_h * model.drift.span_h);
}

} // namespace

NumbersOfBuilds numbersOfBuilds(const DayModel& model, const Eigen::VectorXd& values, const DriftSettings& drift,
                                bool scaleOfDrift) {
    const std::vector<int> rows = rowsWithValue(values);
    const Eigen::Index builds = model.input.builds;
    NumbersOfBuilds out;
    out.number = Eigen::VectorXd::Constant(builds, kNaN);
    out.standardError = out.boundHalf = out.explained = Eigen::MatrixXd::Zero(builds, builds);
    Eigen::MatrixXd weights = Eigen::MatrixXd::Zero(builds, static_cast<Eigen::Index>(rows.size()));
    out.errorWeights = weights;
    if (rows.empty())
        return out;
    const Design design = makeDesign(model.input, rows, model.drift.identified, model.meanTime_h);
    const Eigen::VectorXd y = values(rows);
    const auto [sd, freedom] = numberScatter(model, design, y, scaleOfDrift);
    out.degreesOfFreedom = freedom;
    out.sd = sd;
    for (Eigen::Index i = 0; i < builds; ++i)
        if (const auto a = design.contrastWeights(withTime(Eigen::VectorXd::Unit(builds, i), design))) {
            weights.row(i) = *a;
            out.errorWeights.row(i) = noiseWeights(model, design, *a);
            out.number(i) = a->dot(y);
        }
    const double allowanceSquared =
        out.degreesOfFreedom > 0 ? ownAllowanceSquared(model, design, y, out.sd) : model.drift.allowanceSquared;
    for (Eigen::Index i = 0; i < builds; ++i)
        for (Eigen::Index j = 0; j < i; ++j) {
            if (!out.known(i) || !out.known(j))
                continue;
            const DifferenceError error = differenceError(model, design, weights.row(i) - weights.row(j), out.sd,
                                                          allowanceSquared, drift, scaleOfDrift);
            const bool covered = error.covered || !scaleOfDrift;
            out.standardError(i, j) = out.standardError(j, i) =
                error.standard(scaleOfDrift ? model.input.refit : RefitSpread{});
            out.boundHalf(i, j) = out.boundHalf(j, i) = error.bound;
            out.explained(i, j) = out.explained(j, i) = covered || drift.declaredBound_pct ? 1.0 : 0.0;
            out.protectedFromDrift = out.protectedFromDrift && covered;
        }
    return out;
}

} // namespace hillrun
