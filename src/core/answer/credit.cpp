// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/credit.h"

#include "core/answer/number_draws.h"
#include "core/answer/part_facts.h"
#include "core/units/nan.h"

#include <algorithm>
#include <bit>
#include <boost/math/distributions/students_t.hpp>
#include <cmath>

namespace hillrun {
namespace {

using Eigen::Index;
using Eigen::VectorXd;

class CreditWorker {
public:
    CreditWorker(const DayModel& model, const VectorXd& values, const CreditSettings& settings, Credit& out,
                 DrawCache& cache)
        : m_model(model), m_values(values), m_settings(settings), m_out(out), m_cache(cache),
          m_numbers(numbersOfBuilds(model, values, settings.drift)), m_draws(m_numbers) {}

    [[nodiscard]] bool possible() const {
        return m_numbers.degreesOfFreedom > 0 && m_numbers.sd > 0.0 && m_numbers.number.allFinite();
    }
    void work() {
        m_out.degreesOfFreedom = m_numbers.degreesOfFreedom;
        m_out.base_w = powerOf(0U);
        addShares();
        addSteps();
        addInteractions();
        addBeyondSum();
        addBetterValue();
        addCurves();
        const auto all = [](const auto& items) {
            return std::all_of(items.begin(), items.end(),
                               [](const auto& item) { return item.amount.protectedFromDrift; });
        };
        m_out.protectedFromDrift = all(m_out.shares) && all(m_out.steps) && all(m_out.interactions);
        m_out.ordersRun = ordersRun(sets(), parts());
    }

private:
    [[nodiscard]] size_t parts() const { return m_out.sets.parts.size(); }
    [[nodiscard]] const std::vector<PartSet>& sets() const { return m_out.sets.ofBuild; }
    [[nodiscard]] PartSet full() const { return (1U << parts()) - 1U; }

    /// The fitted power of the build with these parts, W; NaN when it was not run.
    [[nodiscard]] double powerOf(PartSet set) const {
        const auto build = buildWith(sets(), set);
        return build ? std::exp(m_numbers.number(*build)) : kNaN;
    }
    [[nodiscard]] double scaleBetween(PartSet from, PartSet to) const {
        const double a = powerOf(from);
        const double b = powerOf(to);
        return std::isfinite(b) ? logarithmicMean(a, b) : a;
    }
    [[nodiscard]] double ownCritical() const {
        return boost::math::quantile(boost::math::students_t(m_numbers.degreesOfFreedom), 0.975);
    }
    /// `beyond`: to be added to the half width, log scale.
    [[nodiscard]] CreditAmount amountOf(const VectorXd& weights, double critical, double scale_w,
                                        double beyond = 0.0) const {
        return amountFrom(estimateNumber(m_model, weights, m_values, m_settings.drift), critical, scale_w, beyond);
    }
    [[nodiscard]] CreditAmount amountFrom(const std::optional<NumberEstimate>& found, double critical, double scale_w,
                                          double beyond = 0.0) const {
        CreditAmount out;
        if (!found) {
            out.log = out.low = out.high = out.p = kNaN;
            out.mayClaim = false;
            return out;
        }
        const double half = critical * found->standardError + found->bound + beyond;
        out.log = found->estimate;
        out.low = found->estimate - half;
        out.high = found->estimate + half;
        out.p = found->p;
        out.standardError = found->standardError;
        out.scale_w = scale_w;
        out.protectedFromDrift = found->protectedFromDrift;
        out.mayClaim = found->protectedFromDrift || m_settings.drift.declaredBound_pct.has_value();
        return out;
    }

    /// What interactions that were not run may move a share by, as far as somebody declared it; log.
    [[nodiscard]] double declaredBound(double boundFactor) const {
        return m_settings.notes.interactionBound_pct.value_or(0.0) / 100.0 * boundFactor;
    }
    /// Shares and the total are one family.
    void addShares() {
        std::vector<std::pair<size_t, ShareWeights>> found;
        for (size_t part = 0; part < parts(); ++part)
            if (auto share = shareWeights(sets(), parts(), part)) {
                m_family.push_back(share->ofBuild);
                found.emplace_back(part, std::move(*share));
            }
        const auto total = stepWeights(sets(), 0U, full());
        if (total)
            m_family.push_back(*total);
        if (m_family.empty())
            return;
        const double critical = familyCritical(m_draws, m_family, m_cache);
        const double scale_w = scaleBetween(0U, full());
        for (const auto& [part, weights] : found) {
            CreditShare share;
            share.part = part;
            share.boundFactor = weights.boundFactor;
            share.amount = amountOf(weights.ofBuild, critical, scale_w, declaredBound(weights.boundFactor));
            share.alone = single(0U, 1U << part);
            share.onTop = single(full() & ~(1U << part), full());
            m_out.shares.push_back(std::move(share));
        }
        if (total)
            m_out.total = amountOf(*total, critical, scale_w);
    }

    /// One step by itself, when both builds were run.
    [[nodiscard]] std::optional<CreditAmount> single(PartSet from, PartSet to) const {
        const auto weights = stepWeights(sets(), from, to);
        return weights ? std::optional(amountOf(*weights, ownCritical(), scaleBetween(from, to))) : std::nullopt;
    }

    /// Every pair of builds that one part lies between, judged together.
    void addSteps() {
        std::vector<VectorXd> all;
        for (size_t from = 0; from < sets().size(); ++from)
            for (size_t to = 0; to < sets().size(); ++to) {
                const PartSet added = sets()[to] & ~sets()[from];
                if ((sets()[from] & ~sets()[to]) != 0U || std::popcount(added) != 1)
                    continue;
                all.push_back(*stepWeights(sets(), sets()[from], sets()[to]));
                m_out.steps.push_back({from, to, static_cast<size_t>(std::countr_zero(added)), {}});
            }
        if (all.empty())
            return;
        const double critical = familyCritical(m_draws, all, m_cache);
        for (size_t i = 0; i < all.size(); ++i) {
            CreditStep& step = m_out.steps[i];
            step.amount = amountOf(all[i], critical, scaleBetween(sets()[step.from], sets()[step.to]));
        }
    }

    /// A family of their own.
    void addInteractions() {
        for (PartSet together = 0; together <= full(); ++together)
            if (std::popcount(together) >= 2)
                if (auto weights = interactionWeights(sets(), parts(), together)) {
                    m_interactions.push_back(std::move(*weights));
                    m_out.interactions.push_back({together, {}, {}, {}});
                }
        if (m_interactions.empty())
            return;
        const double critical = familyCritical(m_draws, m_interactions, m_cache);
        for (size_t i = 0; i < m_interactions.size(); ++i)
            m_out.interactions[i].amount = amountOf(m_interactions[i], critical, scaleBetween(0U, full()));
    }

    void addBeyondSum() {
        if (parts() < 2)
            return;
        const auto weights = beyondSumWeights(sets(), parts());
        if (!weights)
            return;
        const auto found = estimateNumber(m_model, *weights, m_values, m_settings.drift);
        const CreditAmount gap = amountFrom(found, ownCritical(), scaleBetween(0U, full()));
        m_out.beyondSum = gap;
        const double matters = std::log1p(m_settings.matters_pct.value_or(0.0) / 100.0);
        if (gap.proven())
            m_out.addsUp = gap.log > 0.0 ? AddsUp::More : AddsUp::Less;
        else if (gap.mayClaim && found && std::abs(found->estimate) + found->half90 < matters)
            m_out.addsUp = AddsUp::AddsUp; // by equivalence only
    }

    /// Shares over their cost held against each other: a contrast like any other.
    void addBetterValue() {
        struct Priced {
            size_t part;
            VectorXd perMoney;
        };
        std::vector<Priced> priced;
        for (size_t i = 0; i < m_out.shares.size(); ++i) {
            const CreditShare& share = m_out.shares[i];
            const auto cost = factsOf(m_out, m_settings.notes, share.part, {}).cost;
            if (cost && *cost > 0.0 && share.boundFactor <= 0.0)
                priced.push_back({share.part, m_family[i] / *cost});
        }
        std::vector<VectorXd> all;
        std::vector<std::pair<size_t, size_t>> pairs;
        for (size_t i = 0; i < priced.size(); ++i)
            for (size_t j = i + 1; j < priced.size(); ++j) {
                all.push_back(priced[i].perMoney - priced[j].perMoney);
                pairs.emplace_back(priced[i].part, priced[j].part);
            }
        if (all.empty())
            return;
        const double critical = familyCritical(m_draws, all, m_cache);
        for (size_t i = 0; i < all.size(); ++i)
            if (const CreditAmount apart = amountOf(all[i], critical, 1.0); apart.proven())
                m_out.betterValue.push_back(apart.log > 0.0 ? BetterValue{pairs[i].first, pairs[i].second}
                                                            : BetterValue{pairs[i].second, pairs[i].first});
    }

    /// Each along rpm, with the critical value over all of them at once; empty when one cannot be told.
    [[nodiscard]] std::vector<CreditCurve> curvesOf(const std::vector<VectorXd>& family,
                                                    const VectorXd& scale_w) const {
        std::vector<ContrastCurve> curves;
        for (const VectorXd& weights : family)
            if (auto curve = evaluate(m_model, weights, m_settings.drift))
                curves.push_back(std::move(*curve));
        if (curves.size() < family.size() || curves.empty())
            return {};
        const CriticalValues critical = criticalValues(m_model, curves, curves.size(), m_cache);
        std::vector<CreditCurve> out;
        for (size_t i = 0; i < curves.size(); ++i)
            out.push_back({std::move(curves[i]), critical.own[i], critical.family, scale_w});
        return out;
    }

    void addCurves() {
        const VectorXd scale_w = scaleAlongRpm();
        std::vector<CreditCurve> shares = curvesOf(m_family, scale_w);
        for (size_t i = 0; i < shares.size(); ++i) {
            if (i < m_out.shares.size()) {
                shares[i].curve.boundHalf += declaredBound(m_out.shares[i].boundFactor);
                m_out.shares[i].curve = std::move(shares[i]);
            } else
                m_out.totalCurve = std::move(shares[i]);
        }
        std::vector<CreditCurve> interactions = curvesOf(m_interactions, scale_w);
        for (size_t i = 0; i < interactions.size(); ++i) {
            CreditInteraction& one = m_out.interactions[i];
            one.curve = std::move(interactions[i]);
            one.regions = regionsOf(one.curve, one.amount.mayClaim);
        }
    }

    [[nodiscard]] std::vector<Region> regionsOf(const CreditCurve& curve, bool mayClaim) const {
        VectorXd half(curve.curve.delta.size());
        for (Index p = 0; p < half.size(); ++p)
            half(p) = curve.familyHalf(p);
        const auto values = [](const VectorXd& v) { return std::vector<double>(v.begin(), v.end()); };
        return stretchesOf(m_model.input.rpm, values(curve.curve.delta),
                           {values(curve.curve.delta - half), values(curve.curve.delta + half)}, mayClaim);
    }

    [[nodiscard]] VectorXd scaleAlongRpm() const {
        const auto curveOf = [&](PartSet set) -> VectorXd {
            if (const auto build = buildWith(sets(), set))
                if (const auto curve = evaluate(m_model, ownContrast(m_model, *build), m_settings.drift))
                    return curve->delta.array().exp();
            return VectorXd::Constant(static_cast<Index>(m_model.input.rpm.size()), kNaN);
        };
        const VectorXd from = curveOf(0U);
        const VectorXd to = curveOf(full());
        return from.binaryExpr(to, [](double a, double b) { return std::isfinite(b) ? logarithmicMean(a, b) : a; });
    }

    const DayModel& m_model;
    const VectorXd& m_values;
    const CreditSettings& m_settings;
    Credit& m_out;
    DrawCache& m_cache;
    NumbersOfBuilds m_numbers;
    ErrorDraws m_draws;
    std::vector<VectorXd> m_family; ///< the shares, then the total
    std::vector<VectorXd> m_interactions;
};

} // namespace

double logarithmicMean(double a, double b) {
    const double log = std::log(b / a);
    return std::abs(log) < 1e-9 ? 0.5 * (a + b) : (b - a) / log;
}

std::optional<Credit> creditOf(const DayModel& model, const std::vector<Build>& builds, const Use& use,
                               const CreditSettings& settings, DrawCache& cache) {
    Credit out;
    out.builds = builds;
    out.sets = partSetsOf(builds, settings.notes);
    out.use = use;
    out.interactionBound_pct = settings.notes.interactionBound_pct;
    const VectorXd values = meanPower(model.input, use).ofPull.array().log();
    CreditWorker worker(model, values, settings, out, cache);
    if (!worker.possible())
        return std::nullopt;
    if (out.sets.sweep) {
        out.sweep = sweepOf(model, *out.sets.sweep, values, settings.drift);
        out.protectedFromDrift = out.sweep && out.sweep->driftTaken;
    } else if (!out.sets.parts.empty() && out.sets.why == WhyNoCredit::None)
        worker.work();
    return out;
}

} // namespace hillrun
