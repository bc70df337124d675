// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/quantity.h"

#include "core/answer/stretches.h"
#include "core/answer/use.h"
#include "core/channels/channels.h"
#include "core/pull/derived.h"
#include "core/statement/rounding.h"
#include "core/units/log_percent.h"
#include "core/units/nan.h"
#include "core/units/units.h"

#include <algorithm>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>
#include <set>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::VectorXd;

/// What is worked out, in the order it is offered.
const QuantityKind kWorkedOut[] = {
    {"power", "kW", true},
    {"torque", "N.m", true},
    {"boost", "kPa", false},
    {"back_pressure", "kPa", false},
    {"back_over_boost", "1", false},
    {"intake_drop", "kPa", false},
    {"mean_effective_pressure", "kPa", true},
    {"power_per_manifold_pressure", "kW/bar", true},
    {"specific_power", "kW/l", true},
    {"power_per_cylinder", "kW", true},
    {"power_per_kilogram", "kW/kg", true},
};

/// The name of what is worked out for every pull already (core/pull/derived.h); empty for others.
std::string derivedName(const std::string& id) {
    constexpr std::pair<const char*, const char*> names[] = {{"back_over_boost", "back_pressure_over_boost"},
                                                             {"intake_drop", "intake_pressure_drop"},
                                                             {"mean_effective_pressure", "mean_effective_pressure"},
                                                             {"power_per_manifold_pressure", "power_per_pressure"},
                                                             {"specific_power", "specific_output"}};
    for (const auto& [quantity, derived] : names)
        if (id == quantity)
            return derived;
    return {};
}

/// The quantity at each point of the curve's grid; empty when this pull does not have it.
std::vector<double> valuesOf(const std::string& id, const TestDay& day, const Pull& pull, const Curve& curve) {
    if (const std::string name = derivedName(id); !name.empty()) {
        for (DerivedChannel& derived : derivedChannels(day.article, pull, curve))
            if (derived.name == name)
                return std::move(derived.values);
        return {};
    }
    const auto recorded = [&](const std::string& name) {
        const auto at = curve.channels().find(name);
        return at == curve.channels().end() ? std::vector<double>{} : at->second;
    };
    const auto scaled = [](std::vector<double> values, double scale, double offset) {
        for (double& value : values)
            value = scale * value + offset;
        return values;
    };
    const EngineCard& engine = day.article.engine;
    const double outside_kpa = gaugeReference_kpa(pull);
    std::vector<double> out;
    if (id == "power")
        out = scaled(curve.power_w, 0.001, 0.0);
    else if (id == "torque")
        out = curve.torque_nm;
    else if (id == "boost")
        out = engine.aspiration == Aspiration::Natural ? std::vector<double>{}
                                                       : scaled(recorded("manifold_pressure"), 1.0, -outside_kpa);
    else if (id == "back_pressure")
        out = scaled(recorded("exhaust_back_pressure"), 1.0, -outside_kpa);
    else if (id == "power_per_cylinder")
        out = engine.cylinders ? scaled(curve.power_w, 0.001 / *engine.cylinders, 0.0) : std::vector<double>{};
    else if (const auto& mass = day.article.vehicle.mass_kg; id == "power_per_kilogram")
        out = mass ? scaled(curve.power_w, 0.001 / *mass, 0.0) : std::vector<double>{};
    else
        out = recorded(id);
    if (std::none_of(out.begin(), out.end(), [](double value) { return std::isfinite(value); }))
        out.clear();
    return out;
}

/// The pulls in use that have it, as the fit sees them.
struct QuantityPlan {
    FitInput input;
    std::vector<std::string> buildIds;
    std::vector<size_t> fitted; ///< number of each pull among those of the day's own fit
};

QuantityPlan planOf(const QuantityKind& kind, const TestDay& day, const DayAnalysis& analysis) {
    struct Row {
        const PullResult* pull;
        std::vector<double> values;
        size_t fitted = 0;
    };
    std::vector<Row> rows;
    std::set<std::string> having;
    size_t fitted = 0;
    for (const PullResult& result : analysis.pulls)
        if (const Pull* pull = result.used && result.curve ? findPull(day, result.id) : nullptr) {
            if (auto values = valuesOf(kind.id, day, *pull, *result.curve); !values.empty()) {
                rows.push_back({&result, std::move(values), fitted});
                having.insert(result.build);
            }
            ++fitted;
        }
    QuantityPlan out;
    for (const BuildResult& build : analysis.builds)
        if (having.count(build.id) > 0)
            out.buildIds.push_back(build.id);
    out.input.rpm = analysis.rpm;
    out.input.builds = static_cast<int>(out.buildIds.size());
    out.input.logPower =
        Eigen::MatrixXd::Constant(static_cast<Index>(rows.size()), static_cast<Index>(analysis.rpm.size()), kNaN);
    const double step = analysis.settings.reduce.grid_rpm;
    for (size_t r = 0; r < rows.size(); ++r) {
        const PullResult& result = *rows[r].pull;
        out.fitted.push_back(rows[r].fitted);
        const auto column = std::find(out.buildIds.begin(), out.buildIds.end(), result.build) - out.buildIds.begin();
        out.input.pulls.push_back({static_cast<int>(column), result.time_h, result.set});
        const auto offset = std::llround((result.curve->rpm.front() - analysis.rpm.front()) / step);
        for (size_t i = 0; i < rows[r].values.size(); ++i) {
            const double value = rows[r].values[i];
            const auto at = static_cast<Index>(offset) + static_cast<Index>(i);
            if (at >= 0 && at < out.input.logPower.cols() && std::isfinite(value) && (!kind.isRatio || value > 0.0))
                out.input.logPower(static_cast<Index>(r), at) = kind.isRatio ? std::log(value) : value;
        }
    }
    return out;
}

/// Estimates and squared errors of a - r b at three r.
struct RatioParts {
    double top = 0.0;    ///< a
    double bottom = 0.0; ///< b
    double squaredAtNone = 0.0;
    double squaredAtOne = 0.0;
    double squaredAtMinusOne = 0.0;
};

/// Every r for which a - r b may be nothing: the ratio's interval; nothing when it has no bounds.
std::optional<std::pair<double, double>> fieller(const RatioParts& parts, double t) {
    const double square = 0.5 * (parts.squaredAtOne + parts.squaredAtMinusOne) - parts.squaredAtNone; // of r * r
    const double linear = 0.5 * (parts.squaredAtOne - parts.squaredAtMinusOne);
    const double a = parts.bottom * parts.bottom - t * t * square;
    const double b = -2.0 * parts.top * parts.bottom - t * t * linear;
    const double c = parts.top * parts.top - t * t * parts.squaredAtNone;
    const double inside = b * b - 4.0 * a * c;
    if (!(a > 0.0) || !(inside >= 0.0))
        return std::nullopt;
    return std::pair{(-b - std::sqrt(inside)) / (2.0 * a), (-b + std::sqrt(inside)) / (2.0 * a)};
}

class QuantityWorker {
public:
    QuantityWorker(const QuantityKind& kind, const DayAnalysis& analysis, QuantityPlan plan)
        : m_analysis(analysis), m_ids(std::move(plan.buildIds)), m_fitted(std::move(plan.fitted)),
          m_model(fitDay(std::move(plan.input))), m_drift(analysis.settings.drift) {
        m_out.kind = kind;
        m_out.rpm = analysis.rpm;
        if (!kind.isRatio)
            m_drift.declaredBound_pct.reset(); // it is declared of power
    }

    QuantityAnswer work(DrawCache& cache) {
        for (size_t b = 0; b < m_ids.size(); ++b)
            m_out.builds.emplace_back(m_ids[b], ownCurve(static_cast<Index>(b)));
        const auto& asked = m_analysis.settings.pairs;
        std::vector<BuildPair> family;
        for (const BuildPair& pair : asked.empty() ? usualPairs(m_ids) : asked)
            if (columnOf(pair.first) >= 0 && columnOf(pair.second) >= 0)
                family.push_back(pair);
        const PairsToWork pairs = pairsToWork(m_ids, family);
        std::vector<VectorXd> contrasts;
        for (const auto& [from, to] : pairs.pairs)
            contrasts.push_back(pairContrast(m_model, columnOf(from), columnOf(to)));
        const JudgedContrasts judged = judgeContrasts(m_model, contrasts, pairs.family, m_drift, cache);
        std::vector<QuantityPair> worked;
        for (size_t i = 0; i < judged.which.size(); ++i) {
            const auto& [from, to] = pairs.pairs[judged.which[i]];
            const bool inside = i < judged.family;
            const bool byItself = inside && !asked.empty();
            const double together = inside ? judged.critical.family : judged.critical.all;
            worked.push_back(pairOf(from, to, judged.contrasts[i], judged.critical.own[i], together, byItself));
        }
        handOut(family, worked);
        return std::move(m_out);
    }

private:
    [[nodiscard]] Index columnOf(const std::string& id) const {
        const auto at = std::find(m_ids.begin(), m_ids.end(), id);
        return at == m_ids.end() ? -1 : at - m_ids.begin();
    }

    [[nodiscard]] std::vector<double> ownCurve(Index build) const {
        std::vector<double> out(m_out.rpm.size(), kNaN);
        if (const auto own = evaluate(m_model, ownContrast(m_model, build), m_drift))
            for (size_t p = 0; p < out.size(); ++p)
                out[p] = m_out.kind.isRatio ? std::exp(own->delta(static_cast<Index>(p)))
                                            : own->delta(static_cast<Index>(p));
        return out;
    }

    /// A difference on the model's scale in the quantity's unit.
    [[nodiscard]] double inUnit(double delta, double base) const {
        return m_out.kind.isRatio ? base * std::expm1(delta) : delta;
    }

    [[nodiscard]] QuantityPair pairOf(const std::string& from, const std::string& to, const ContrastCurve& contrast,
                                      double own, double together, bool byItself) const {
        QuantityPair out;
        out.from = from;
        out.to = to;
        out.mayClaim = contrast.mayClaim();
        const std::vector<double>& base = m_out.builds[static_cast<size_t>(columnOf(from))].second;
        const auto band = [&](Edges& edges, size_t p, double half) {
            const double delta = contrast.delta(static_cast<Index>(p));
            edges.low.push_back(inUnit(delta - half - contrast.boundHalf, base[p]));
            edges.high.push_back(inUnit(delta + half + contrast.boundHalf, base[p]));
        };
        for (size_t p = 0; p < m_out.rpm.size(); ++p) {
            const auto at = static_cast<Index>(p);
            out.delta.push_back(inUnit(contrast.delta(at), base[p]));
            band(out.pointwise95, p, contrast.pointwiseHalf(at));
            band(out.simultaneous95, p, own * contrast.standardError(at));
            band(out.family95, p, together * contrast.standardError(at));
        }
        out.regions = stretchesOf(m_out.rpm, out.delta, byItself ? out.simultaneous95 : out.family95, out.mayClaim);
        out.bands = bandsOf(from, to);
        if (m_out.kind.id == "boost")
            if (Statement step = powerPerBoost(from, to); !step.empty())
                out.notes.push_back(std::move(step));
        return out;
    }

    [[nodiscard]] std::vector<QuantityBand> bandsOf(const std::string& from, const std::string& to) const {
        const RpmRange& common = m_analysis.common_rpm;
        const double third = (common.high - common.low) / 3.0;
        std::vector<Use> ranges{{common, {}}};
        for (int i = 0; i < 3; ++i)
            ranges.push_back({{common.low + i * third, common.low + (i + 1) * third}, {}});
        const int always = static_cast<int>(ranges.size());
        for (const Use& asked : bandsAsked(m_analysis.settings))
            ranges.push_back(asked);
        std::vector<QuantityBand> out;
        for (size_t i = 0; i < ranges.size(); ++i)
            if (auto band = bandOf(from, to, ranges[i])) {
                band->asked = std::max(static_cast<int>(i) - always, -1);
                out.push_back(*band);
            }
        return out;
    }

    /// Of each pull, on the model's scale; of ratios the mean of the quantity itself. NaN where it has no data.
    [[nodiscard]] VectorXd meansOver(const Use& use) const {
        const Eigen::MatrixXd& values = m_model.input.logPower;
        VectorXd sum = VectorXd::Zero(values.rows());
        double weights = 0.0;
        for (size_t p = 0; p < m_out.rpm.size(); ++p)
            if (const double weight = weightAt(use, m_out.rpm[p]); weight > 0.0) {
                const auto column = values.col(static_cast<Index>(p)).array();
                sum.array() += weight * (m_out.kind.isRatio ? Eigen::ArrayXd(column.exp()) : Eigen::ArrayXd(column));
                weights += weight;
            }
        if (!(weights > 0.0))
            return VectorXd::Constant(values.rows(), kNaN);
        return m_out.kind.isRatio ? VectorXd((sum / weights).array().log()) : VectorXd(sum / weights);
    }

    /// How much power goes with each step of boost: the ratio of two differences of the same pulls, by Fieller (1954).
    /// Empty unless its interval is bounded and away from nothing.
    [[nodiscard]] Statement powerPerBoost(const std::string& from, const std::string& to) const {
        constexpr double kStep_kpa = 10.0;
        // By the fit of power, whose drift it is; pulls without boost are left out.
        const DayModel& model = *m_analysis.model;
        const auto column = [&](const std::string& id) {
            return std::find_if(m_analysis.builds.begin(), m_analysis.builds.end(),
                                [&](const BuildResult& build) { return build.id == id; }) -
                   m_analysis.builds.begin();
        };
        const VectorXd contrast = pairContrast(model, column(from), column(to));
        const VectorXd logPower = meanPower(model.input, {m_analysis.common_rpm, {}}).ofPull.array().log();
        VectorXd steps = VectorXd::Constant(logPower.size(), kNaN);
        const VectorXd boost = meansOver({m_analysis.common_rpm, {}});
        for (size_t r = 0; r < m_fitted.size(); ++r)
            steps(static_cast<Index>(m_fitted[r])) = boost(static_cast<Index>(r)) / kStep_kpa;
        const auto without = [&](double ratio) { // log power less what so much a step would give
            return estimateNumber(model, contrast, logPower - ratio * steps, m_analysis.settings.drift);
        };
        const auto none = without(0.0);
        const auto plus = without(1.0);
        const auto minus = without(-1.0);
        if (!none || !plus || !minus || !none->protectedFromDrift || none->degreesOfFreedom <= 0)
            return {};
        const double t = boost::math::quantile(boost::math::students_t(none->degreesOfFreedom), 0.975);
        const auto bounds = fieller({none->estimate, minus->estimate - none->estimate, std::pow(none->standardError, 2),
                                     std::pow(plus->standardError, 2), std::pow(minus->standardError, 2)},
                                    t);
        if (!bounds || !(bounds->first > 0.0))
            return {};
        const double low = percentOfLog(bounds->first);
        const double high = percentOfLog(bounds->second);
        return {"boost.power_per_step", {decimals(kStep_kpa, 0, "kPa"), decimals(low, 1), decimals(high, 1, "%")}};
    }

    /// Mean of each pull over the range, through the same model; of ratios the mean of the quantity itself.
    [[nodiscard]] std::optional<QuantityBand> bandOf(const std::string& from, const std::string& to,
                                                     const Use& use) const {
        const VectorXd means = meansOver(use);
        const auto found = estimateNumber(m_model, pairContrast(m_model, columnOf(from), columnOf(to)), means, m_drift);
        const auto own = estimateNumber(m_model, ownContrast(m_model, columnOf(from)), means, m_drift);
        if (!found || !own)
            return std::nullopt;
        const double base = std::exp(own->estimate);
        return QuantityBand{use.range_rpm,
                            !use.weights.empty(),
                            inUnit(found->estimate, base),
                            inUnit(found->estimate - found->half, base),
                            inUnit(found->estimate + found->half, base),
                            found->p,
                            -1};
    }

    static QuantityPair swapped(QuantityPair pair);
    void handOut(const std::vector<BuildPair>& family, const std::vector<QuantityPair>& worked) {
        const auto add = [&](const std::string& from, const std::string& to) {
            for (const QuantityPair& pair : worked)
                if (pair.from == from && pair.to == to)
                    m_out.pairs.push_back(pair);
                else if (pair.from == to && pair.to == from)
                    m_out.pairs.push_back(swapped(pair));
        };
        for (const auto& [from, to] : family)
            add(from, to);
        m_out.family = m_out.pairs.size();
        for (const std::string& from : m_ids)
            for (const std::string& to : m_ids)
                if (from != to && std::find(family.begin(), family.end(), BuildPair{from, to}) == family.end())
                    add(from, to);
    }

    const DayAnalysis& m_analysis;
    std::vector<std::string> m_ids;
    std::vector<size_t> m_fitted;
    DayModel m_model;
    DriftSettings m_drift;
    QuantityAnswer m_out;
};

QuantityPair QuantityWorker::swapped(QuantityPair pair) {
    std::swap(pair.from, pair.to);
    for (double& value : pair.delta)
        value = -value;
    for (Edges* edges : {&pair.pointwise95, &pair.simultaneous95, &pair.family95}) {
        std::swap(edges->low, edges->high);
        for (auto* edge : {&edges->low, &edges->high})
            for (double& value : *edge)
                value = -value;
    }
    for (Region& region : pair.regions)
        region.kind = region.kind == RegionKind::Gain   ? RegionKind::Loss
                      : region.kind == RegionKind::Loss ? RegionKind::Gain
                                                        : RegionKind::Unresolved;
    for (QuantityBand& band : pair.bands) {
        band.delta = -band.delta;
        std::swap(band.low, band.high);
        band.low = -band.low;
        band.high = -band.high;
    }
    return pair;
}

/// Where boost falls and back pressure rises, both proven.
Statement boostedPhrase(const std::vector<double>& rpm, const QuantityPair& boost, const QuantityPair& back) {
    constexpr double kWorthSaying_rpm = 300.0;
    for (const Region& less : boost.regions)
        for (const Region& more : back.regions) {
            const RpmRange both{std::max(less.range_rpm.low, more.range_rpm.low),
                                std::min(less.range_rpm.high, more.range_rpm.high)};
            if (less.kind != RegionKind::Loss || more.kind != RegionKind::Gain ||
                both.high - both.low < kWorthSaying_rpm)
                continue;
            double sum = 0.0;
            int count = 0;
            for (size_t p = 0; p < rpm.size(); ++p)
                if (rpm[p] >= both.low && rpm[p] <= both.high) {
                    sum -= boost.delta[p];
                    ++count;
                }
            return {"boost.turbine_limits", {decimals(sum / count, 0, "kPa"), both}};
        }
    return {};
}

std::optional<QuantityAnswer> worked(const QuantityKind& kind, const TestDay& day, const DayAnalysis& analysis,
                                     DrawCache& cache) {
    QuantityPlan plan = planOf(kind, day, analysis);
    if (plan.buildIds.size() < 2)
        return std::nullopt;
    try {
        return QuantityWorker(kind, analysis, std::move(plan)).work(cache);
    } catch (const DataError&) { // the pulls that have it share no speed
        return std::nullopt;
    }
}

std::string unitOf(const TestDay& day, const std::string& channel) {
    if (const ChannelInfo* info = channelInfo(channel))
        return canonicalUnitText(info->dimension);
    for (const Pull& pull : day.pulls)
        if (pull.raw)
            if (const auto column = pull.raw->find(channel))
                return column->unit;
    return {};
}

/// A channel that is no axis, and not worked out under the same name.
bool isCurve(const std::string& channel) {
    return channel != "time" && channel != "engine_speed" &&
           std::none_of(std::begin(kWorkedOut), std::end(kWorkedOut),
                        [&](const QuantityKind& kind) { return kind.id == channel; });
}

} // namespace

const QuantityPair* QuantityAnswer::find(const std::string& from, const std::string& to) const {
    for (const QuantityPair& pair : pairs)
        if (pair.from == from && pair.to == to)
            return &pair;
    return nullptr;
}

std::vector<QuantityKind> quantitiesOf(const TestDay& day, const DayAnalysis& analysis) {
    std::vector<QuantityKind> asked(std::begin(kWorkedOut), std::end(kWorkedOut));
    std::set<std::string> names;
    for (const PullResult& pull : analysis.pulls)
        if (pull.used && pull.curve)
            for (const auto& [name, values] : pull.curve->channels())
                if (isCurve(name) && names.insert(name).second)
                    asked.push_back({name, unitOf(day, name), false, true});
    std::vector<QuantityKind> out;
    for (const QuantityKind& kind : asked) {
        std::set<std::string> builds;
        for (const PullResult& result : analysis.pulls)
            if (const Pull* pull = result.used && result.curve ? findPull(day, result.id) : nullptr)
                if (!valuesOf(kind.id, day, *pull, *result.curve).empty())
                    builds.insert(result.build);
        if (builds.size() >= 2)
            out.push_back(kind);
    }
    return out;
}

std::optional<QuantityAnswer> answerOn(const QuantityKind& kind, const TestDay& day, const DayAnalysis& analysis,
                                       DrawCache& cache) {
    auto out = worked(kind, day, analysis, cache);
    const bool boost = kind.id == "boost";
    if (!out || (!boost && kind.id != "back_pressure") || day.article.engine.aspiration == Aspiration::Natural)
        return out;
    if (const auto other = worked(kWorkedOut[boost ? 3 : 2], day, analysis, cache))
        for (QuantityPair& pair : out->pairs)
            if (const QuantityPair* same = other->find(pair.from, pair.to))
                if (Statement limits =
                        boost ? boostedPhrase(out->rpm, pair, *same) : boostedPhrase(out->rpm, *same, pair);
                    !limits.empty())
                    pair.notes.push_back(std::move(limits));
    return out;
}

Argument quantityName(const QuantityKind& kind) {
    for (const QuantityKind& one : kWorkedOut)
        if (one.id == kind.id)
            return Statement{"quantity_name." + kind.id};
    return ChannelName{kind.id, false};
}

std::vector<Statement> quantitySummary(const QuantityKind& kind, const QuantityPair& pair) {
    if (pair.bands.empty())
        return {{"quantity.nothing", {quantityName(kind)}}};
    const QuantityBand& whole = pair.bands.front();
    const double half = 0.5 * (whole.high - whole.low);
    const std::string text = roundedByInterval(whole.delta, half).half;
    const size_t point = text.find('.');
    const int digits = point == std::string::npos ? 0 : static_cast<int>(text.size() - point) - 1;
    const std::string unit = kind.unit == "1" ? std::string() : kind.unit;
    const bool proven = pair.mayClaim && (whole.low > 0.0 || whole.high < 0.0);
    const char* const id = !proven ? "quantity.open" : whole.delta > 0.0 ? "quantity.more" : "quantity.less";
    std::vector<Statement> out{
        {id,
         {quantityName(kind), proven ? decimals(std::abs(whole.delta), digits) : signedDecimals(whole.delta, digits),
          decimals(half, digits, unit), whole.range_rpm}}};
    out.insert(out.end(), pair.notes.begin(), pair.notes.end());
    return out;
}

} // namespace hillrun
