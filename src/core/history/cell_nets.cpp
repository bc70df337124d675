// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/history/cell_nets.h"

#include <algorithm>
#include <cmath>

namespace hillrun {
namespace {

using Eigen::Index;

/// A value of a curve on whole steps, between its points on a straight line; the nearest one beyond its ends.
double valueAt(std::span<const float> values, double low, double step, double at) {
    const double place = std::clamp((at - low) / step, 0.0, static_cast<double>(values.size()) - 1.0);
    const auto before = std::min(static_cast<size_t>(place), values.size() - 1);
    const auto after = std::min(before + 1, values.size() - 1);
    const double share = place - static_cast<double>(before);
    return (1.0 - share) * static_cast<double>(values[before]) + share * static_cast<double>(values[after]);
}

/// Mean log power of a visit's pulls along rpm, less its mean.
Eigen::RowVectorXd shapeOf(const std::vector<const PullRecord*>& pulls, double step_rpm,
                           const std::vector<double>& rpm) {
    Eigen::RowVectorXd out = Eigen::RowVectorXd::Zero(static_cast<Index>(rpm.size()));
    for (const PullRecord* pull : pulls)
        for (size_t p = 0; p < rpm.size(); ++p)
            out(static_cast<Index>(p)) +=
                std::log(std::max(valueAt(pull->power_w, pull->low_rpm, step_rpm, rpm[p]), 1e-9));
    out /= static_cast<double>(pulls.size());
    return out.array() - out.mean();
}

/// Variance and correlation of the days by their degrees of freedom.
void addNoise(const ArticleNet& net, VisitShapes& out) {
    out.variance = Eigen::VectorXd::Zero(static_cast<Index>(out.rpm.size()));
    out.correlation = {0.0, 0.0};
    for (const DayRecord* day : net.days) {
        if (!(day->freedom > 0.0) || day->shapeVariance.empty())
            continue;
        for (size_t p = 0; p < out.rpm.size(); ++p)
            out.variance(static_cast<Index>(p)) +=
                day->freedom * valueAt(day->shapeVariance, day->varianceLow_rpm, day->step_rpm, out.rpm[p]);
        out.correlation.length_rpm += day->freedom * day->correlation.length_rpm;
        out.correlation.nugget += day->freedom * day->correlation.nugget;
        out.freedom += day->freedom;
    }
    if (out.freedom <= 0.0)
        return;
    out.variance /= out.freedom;
    out.correlation.length_rpm /= out.freedom;
    out.correlation.nugget /= out.freedom;
}

} // namespace

void CellNets::add(ArticleNet net) {
    tables.push_back(nodeTable(net.net, nodes));
    within += net.within;
    articles.push_back(std::move(net));
}

std::optional<CellModel> CellNets::learn() const { return learnCell(tables, within, nodes); }

CellNets cellNets(std::span<const DayRecord* const> days) {
    CellNets out;
    for (const std::vector<const DayRecord*>& of : byArticle(days))
        if (auto net = articleNet(of))
            out.add(std::move(*net));
    return out;
}

bool knowsNoise(const VisitShapes& shapes) {
    return shapes.freedom > 0.0 && shapes.rpm.size() > 1 && shapes.variance.minCoeff() > 0.0;
}

VisitShapes visitShapes(const ArticleNet& net) {
    VisitShapes out;
    const double step = net.days.front()->step_rpm;
    const auto steps = std::lround(std::floor((net.rpm.high - net.rpm.low) / step + 1e-6));
    for (long i = 0; i <= steps; ++i)
        out.rpm.push_back(net.rpm.low + step * static_cast<double>(i));
    out.shape.resize(static_cast<Index>(net.net.visits.size()), static_cast<Index>(out.rpm.size()));
    for (size_t v = 0; v < net.pulls.size(); ++v)
        out.shape.row(static_cast<Index>(v)) =
            shapeOf(net.pulls[v], net.days[static_cast<size_t>(net.net.visits[v].day)]->step_rpm, out.rpm);
    addNoise(net, out);
    return out;
}

std::optional<CellModel> learnShapes(const CellNets& nets) {
    std::vector<NodeTable> tables;
    WithinVisits within;
    double copies = 0.0;
    for (const ArticleNet& article : nets.articles) {
        const VisitShapes shapes = visitShapes(article);
        if (!knowsNoise(shapes))
            continue;
        tables.push_back(shapeTable(article.net, evenShapes(shapes), nets.nodes));
        within += {article.within.freedom, article.within.freedom}; // squares in units of their variance
        copies += independentPoints(shapes);
    }
    if (tables.empty())
        return std::nullopt;
    return learnCell(tables, within, nets.nodes, copies / static_cast<double>(tables.size()));
}

} // namespace hillrun
