// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/fit/flags.h"

#include "core/errors/data_error.h"
#include "core/units/nan.h"

#include <algorithm>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>
#include <numeric>
#include <optional>

namespace hillrun {
namespace {

constexpr double kRoughLimit = 7.5;
constexpr size_t kMostFlags = 2;

double median(std::vector<double> values) {
    std::erase_if(values, [](double v) { return !std::isfinite(v); });
    if (values.empty())
        return kNaN;
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), middle, values.end());
    if (values.size() % 2 == 1)
        return *middle;
    return 0.5 * (*middle + *std::max_element(values.begin(), middle));
}

double step_rpm(const FitInput& input) { return input.rpm.size() > 1 ? input.rpm[1] - input.rpm[0] : 1.0; }

/// Second difference of the log curves over +-100 rpm, minus its median over all pulls.
Eigen::MatrixXd kinks(const FitInput& input) {
    const auto reach = std::max<Eigen::Index>(1, static_cast<Eigen::Index>(std::llround(100.0 / step_rpm(input))));
    const Eigen::MatrixXd& z = input.logPower;
    Eigen::MatrixXd out = Eigen::MatrixXd::Constant(z.rows(), z.cols(), kNaN);
    for (Eigen::Index p = reach; p + reach < z.cols(); ++p) {
        out.col(p) = z.col(p + reach) - 2.0 * z.col(p) + z.col(p - reach);
        const double middle = median({out.col(p).begin(), out.col(p).end()});
        out.col(p).array() -= middle;
    }
    return out;
}

struct Found {
    PullFlag flag;
    double excess = 0.0; ///< over its limit
};

std::optional<Found> worstRough(const FitInput& input) {
    const auto pulls = static_cast<double>(input.pulls.size());
    if (input.pulls.size() < 4)
        return std::nullopt;
    const Eigen::MatrixXd s = kinks(input);
    std::vector<double> typical; // median over pulls of |S| at each point
    for (Eigen::Index p = 0; p < s.cols(); ++p) {
        const Eigen::VectorXd size = s.col(p).cwiseAbs();
        typical.push_back(median({size.begin(), size.end()}));
    }
    const auto box = static_cast<Eigen::Index>(std::llround(500.0 / step_rpm(input)));
    std::optional<Found> worst;
    for (Eigen::Index p = 0; p < s.cols(); ++p) {
        const auto from = std::max<Eigen::Index>(0, p - box);
        const auto to = std::min(s.cols() - 1, p + box);
        const double scale =
            1.4826 * std::sqrt(pulls / (pulls - 1.0)) * median({typical.begin() + from, typical.begin() + to + 1});
        for (Eigen::Index i = 0; i < s.rows() && scale > 0.0; ++i) {
            const double excess = std::abs(s(i, p)) / scale / kRoughLimit;
            if (excess > 1.0 && (!worst || excess > worst->excess))
                worst = Found{
                    {static_cast<size_t>(i), FlagKind::Rough, input.rpm[static_cast<size_t>(p)], std::abs(s(i, p))},
                    excess};
        }
    }
    return worst;
}

double outlierLimit(double degreesOfFreedom, double tests) {
    return boost::math::quantile(boost::math::complement(boost::math::students_t(degreesOfFreedom), 0.01 / tests));
}

/// How much each pull draws the fit to itself: the diagonal of X (X'X)^+ X'.
Eigen::VectorXd leverages(const Design& design) {
    return (design.x * design.gramInverse).cwiseProduct(design.x).rowwise().sum();
}

std::optional<Found> worstLevel(const DayModel& model) {
    const auto pulls = static_cast<double>(model.input.pulls.size());
    const int nu = model.measuredFreedom;
    if (nu < 2)
        return std::nullopt;
    const Eigen::VectorXd e = model.design.residuals(model.level);
    const Eigen::VectorXd hat = leverages(model.design);
    const double rss = e.squaredNorm();
    const double limit = outlierLimit(nu - 1, 4.0 * pulls);
    std::optional<Found> worst;
    for (Eigen::Index i = 0; i < e.size(); ++i) {
        const double free = 1.0 - hat(i);
        if (free < 1e-9)
            continue;
        const double without = (rss - e(i) * e(i) / free) / (nu - 1);
        const double t = std::abs(e(i)) / std::sqrt(std::max(without, 1e-16) * free);
        if (t > limit && (!worst || t / limit > worst->excess))
            worst = Found{{static_cast<size_t>(i), FlagKind::Level, 0.0, std::abs(e(i))}, t / limit};
    }
    return worst;
}

/// The variance smoother at every point of the core, points x points.
Eigen::MatrixXd coreSmoother(const DayModel& model) {
    const auto points = static_cast<Eigen::Index>(model.core.size());
    Eigen::MatrixXd out = Eigen::MatrixXd::Zero(points, points);
    for (Eigen::Index p = 0; p < points; ++p)
        if (model.core[static_cast<size_t>(p)])
            out.row(p) =
                varianceSmoother(model.input.rpm, model.core, model.shapeWeight, static_cast<size_t>(p)).transpose();
    return out;
}

std::optional<Found> worstShape(const DayModel& model) {
    const auto pulls = static_cast<double>(model.input.pulls.size());
    const int nu = model.measuredFreedom;
    if (nu < 2)
        return std::nullopt;
    const double limit = outlierLimit(std::max(4 * (nu - 1), 4), 160.0 * pulls);
    const Eigen::VectorXd hat = leverages(model.design);
    Eigen::MatrixXd q = model.shape;
    for (Eigen::Index p = 0; p < q.cols(); ++p)
        if (model.core[static_cast<size_t>(p)])
            q.col(p) = model.design.residuals(model.shape.col(p));
    const Eigen::RowVectorXd squares = q.colwise().squaredNorm();
    const Eigen::MatrixXd smoother = coreSmoother(model);
    std::optional<Found> worst;
    for (Eigen::Index i = 0; i < q.rows(); ++i) {
        const double free = 1.0 - hat(i);
        if (free < 1e-9)
            continue;
        // variance without this pull, by the same smoother
        Eigen::VectorXd raw = Eigen::VectorXd::Zero(q.cols());
        for (Eigen::Index p = 0; p < q.cols(); ++p)
            if (model.core[static_cast<size_t>(p)])
                raw(p) = std::max(0.0, squares(p) - q(i, p) * q(i, p) / free) / (nu - 1);
        const Eigen::VectorXd smooth = smoother * raw;
        for (Eigen::Index p = 0; p < q.cols(); ++p) {
            if (!model.core[static_cast<size_t>(p)])
                continue;
            const double variance = std::max(smooth(p), 0.0005 * 0.0005);
            const double t = std::abs(q(i, p)) / std::sqrt(variance * free);
            if (t > limit && (!worst || t / limit > worst->excess))
                worst = Found{{static_cast<size_t>(i), FlagKind::Shape, model.input.rpm[static_cast<size_t>(p)],
                               std::abs(q(i, p))},
                              t / limit};
        }
    }
    return worst;
}

bool isOneOfAPair(const FitInput& input, size_t pull) {
    const auto same = std::count_if(input.pulls.begin(), input.pulls.end(),
                                    [&](const FitPull& p) { return p.build == input.pulls[pull].build; });
    return same == 2;
}

FitInput without(const FitInput& input, size_t pull) {
    FitInput out = input;
    out.pulls.erase(out.pulls.begin() + static_cast<std::ptrdiff_t>(pull));
    std::vector<int> rows;
    for (int i = 0; i < input.logPower.rows(); ++i)
        if (i != static_cast<int>(pull))
            rows.push_back(i);
    out.logPower = input.logPower(rows, Eigen::all);
    return out;
}

bool everyBuildStays(const FitInput& input, size_t pull) {
    return std::count_if(input.pulls.begin(), input.pulls.end(),
                         [&](const FitPull& p) { return p.build == input.pulls[pull].build; }) > 1;
}

std::optional<Found> worstOf(const DayModel& model) {
    if (auto rough = worstRough(model.input))
        return rough;
    auto level = worstLevel(model);
    auto shape = worstShape(model);
    if (!level || (shape && shape->excess > level->excess))
        return shape;
    return level;
}

/// The same of pulls that are fitted anew; nothing when they share no range.
std::optional<Found> worstWhenFitted(const FitInput& input) {
    if (input.pulls.size() < 3)
        return std::nullopt;
    try {
        return worstOf(fitDay(input));
    } catch (const DataError&) {
        return std::nullopt;
    }
}

} // namespace

std::vector<PullFlag> flagPulls(const DayModel& model) {
    std::vector<PullFlag> out;
    const FitInput& input = model.input;
    if (input.pulls.size() < 3)
        return out;
    std::optional<Found> found = worstOf(model);
    std::vector<size_t> number(input.pulls.size()); ///< of what is left
    std::iota(number.begin(), number.end(), size_t{0});
    for (FitInput rest = input; found; found = worstWhenFitted(rest)) {
        const size_t pull = found->flag.pull;
        const bool pair = found->flag.kind != FlagKind::Rough && isOneOfAPair(rest, pull);
        if (pair)
            found->flag.kind = FlagKind::Disagree;
        found->flag.pull = number[pull];
        out.push_back(found->flag);
        if (pair || out.size() == kMostFlags || !everyBuildStays(rest, pull))
            break;
        rest = without(rest, pull);
        number.erase(number.begin() + static_cast<long>(pull));
    }
    return out;
}

} // namespace hillrun
