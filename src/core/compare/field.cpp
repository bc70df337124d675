// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/field.h"

#include "core/plan/named_use.h"
#include "core/units/log_percent.h"
#include "core/units/nan.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace hillrun {
namespace {

/// By how much each build may be better than each other at one point of the grid; NaN where nothing is known.
Eigen::MatrixXd reachAt(const JudgedContrasts& judged, Eigen::Index builds, Eigen::Index point) {
    Eigen::MatrixXd out = Eigen::MatrixXd::Constant(builds, builds, kNaN);
    for (size_t c = 0; c < judged.contrasts.size(); ++c) {
        const ContrastCurve& contrast = judged.contrasts[c];
        const auto [from, to] = judged.sides[c];
        const double half = contrast.mayClaim()
                                ? judged.critical.lead * contrast.standardError(point) + contrast.boundHalf
                                : std::numeric_limits<double>::infinity();
        out(to, from) = contrast.delta(point) + half;
        out(from, to) = -contrast.delta(point) + half;
    }
    return out;
}

/// The builds that nobody proves slower there than another; none where fewer than two have data.
std::vector<std::string> mayLeadAt(const JudgedContrasts& judged, const std::vector<std::string>& builds,
                                   Eigen::Index point) {
    const auto k = static_cast<Eigen::Index>(builds.size());
    const Eigen::MatrixXd reach = reachAt(judged, k, point);
    std::vector<std::string> out;
    for (Eigen::Index i = 0; i < k; ++i) {
        bool there = false;
        bool may = true;
        for (Eigen::Index j = 0; j < k; ++j)
            if (i != j && !std::isnan(reach(i, j))) {
                there = true;
                may = may && reach(i, j) > 0.0;
            }
        if (there && may)
            out.push_back(builds[static_cast<size_t>(i)]);
    }
    return out;
}

std::vector<LeadStretch> leadsOf(const DayModel& model, const std::vector<std::string>& builds,
                                 const JudgedContrasts& judged) {
    std::vector<LeadStretch> out;
    if (!std::isfinite(judged.critical.lead))
        return out;
    bool runs = false;
    for (size_t p = 0; p < model.input.rpm.size(); ++p) {
        std::vector<std::string> leading = mayLeadAt(judged, builds, static_cast<Eigen::Index>(p));
        if (leading.empty()) {
            runs = false;
            continue;
        }
        if (runs && out.back().builds == leading)
            out.back().range_rpm.high = model.input.rpm[p];
        else
            out.push_back({{model.input.rpm[p], model.input.rpm[p]}, std::move(leading)});
        runs = true;
    }
    return out;
}

Number percentOf(double log) { return decimals(percentOfLog(log), 1, "%"); }

std::vector<std::string> idsWhere(const Field& field, bool (*holds)(const FieldBuild&)) {
    std::vector<std::string> out;
    for (const FieldBuild& build : field.builds)
        if (std::isfinite(build.gain) && holds(build))
            out.push_back(build.id);
    return out;
}

} // namespace

std::string Field::named() const {
    const FieldBuild* out = nullptr;
    for (const FieldBuild& build : builds)
        if (build.mayBeBest && (!out || build.gain > out->gain))
            out = &build;
    return out ? out->id : std::string();
}

bool Field::provenBest() const {
    return mayClaim() && idsWhere(*this, [](const FieldBuild& b) { return b.mayBeBest; }).size() == 1;
}

std::optional<Field> fieldOf(const DayModel& model, const std::vector<std::string>& builds, const Use& use,
                             const JudgedContrasts& judged, const DriftSettings& drift, DrawCache& cache) {
    if (builds.size() < 3)
        return std::nullopt;
    const Eigen::VectorXd values = meanPower(model.input, use).ofPull.array().log();
    const NumbersOfBuilds numbers = numbersOfBuilds(model, values, drift);
    const auto scores = bestOf(numbers, 0, cache);
    if (!scores)
        return std::nullopt;
    Field out{use,
              builds.front(),
              {},
              leadsOf(model, builds, judged),
              numbers.protectedFromDrift,
              drift.declaredBound_pct.has_value()};
    for (size_t i = 0; i < builds.size(); ++i)
        out.builds.push_back({(*scores)[i], builds[i]});
    return out;
}

std::vector<FieldBuild> byGain(const Field& field) {
    std::vector<FieldBuild> out = field.builds;
    std::stable_sort(out.begin(), out.end(), [](const FieldBuild& a, const FieldBuild& b) {
        return std::isfinite(a.gain) && (!std::isfinite(b.gain) || a.gain > b.gain);
    });
    return out;
}

Statement fieldVerdict(const Field& field, const FieldBuild& build) {
    if (!std::isfinite(build.gain) || !field.mayClaim())
        return {"field.cannot_tell_yet"};
    if (!build.mayBeBest)
        return {"field.not_the_best"};
    return {field.provenBest() ? "field.the_best" : "field.may_be_best"};
}

std::vector<Statement> fieldSummary(const Field& field) {
    const Argument range = countedSpeeds(field.use.range_rpm, !field.use.weights.empty());
    if (!field.mayClaim())
        return {{"field.drift_open", {range}}};
    const std::string named = field.named();
    std::vector<std::string> others = idsWhere(field, [](const FieldBuild& b) { return b.mayBeBest; });
    std::erase(others, named);
    const std::vector<std::string> worse = idsWhere(field, [](const FieldBuild& b) { return !b.mayBeBest; });
    const auto own = std::find_if(field.builds.begin(), field.builds.end(),
                                  [&](const FieldBuild& build) { return build.id == named; });
    if (own == field.builds.end())
        return {};
    Several or_{namesOf(others)};
    or_.orElse = true;
    if (others.empty())
        return {{"field.best", {range, named}}};
    std::vector<Statement> out;
    if (worse.empty())
        out.push_back({"field.nobody_can_tell", {range, named}});
    else
        out.push_back(
            {"field.best_or_others", {Count{static_cast<long>(worse.size())}, range, named, or_, namesOf(worse)}});
    if (std::isfinite(own->costsAtMost))
        out.push_back({"field.costs_at_most", {named, percentOf(own->costsAtMost)}});
    return out;
}

} // namespace hillrun
