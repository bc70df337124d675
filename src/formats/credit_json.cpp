// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/credit_json.h"

#include "core/answer/credit_views.h"
#include "core/answer/part_facts.h"
#include "core/units/log_percent.h"
#include "core/weather/standards.h"
#include "formats/answers_json.h"
#include "formats/json_writer.h"
#include "words/voice.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

std::string unitText(const std::string& text) {
    const size_t first = text.find_first_not_of(' ');
    return first == std::string::npos ? std::string() : text.substr(first);
}

const char* kindName(CreditKind kind) {
    constexpr const char* names[] = {"none", "ladder", "lattice", "partial", "sweep"};
    return names[static_cast<size_t>(kind)];
}
const char* addsUpName(AddsUp verdict) {
    constexpr const char* names[] = {"cannot_tell", "adds_up", "more", "less"};
    return names[static_cast<size_t>(verdict)];
}

std::string idOf(size_t part) { return fmt::format("p{}", part + 1); }

Json idsIn(PartSet set) {
    Json out = Json::array();
    for (size_t part = 0; part < kMostParts; ++part)
        if ((set >> part & 1U) != 0U)
            out.push_back(idOf(part));
    return out;
}

double kilowatts(const CreditAmount& amount, double log) { return amount.scale_w * log / 1000.0; }

/// What is known of a part; its credit is the fair share, or the step where there is none.
PartFacts factsOf(const Credit& credit, const CreditShare* share, size_t part, const CreditNotes& notes) {
    return factsOf(credit, notes, part, share ? share->amount : CreditAmount{});
}

Json partsJson(const Credit& credit, const CreditNotes& notes) {
    constexpr const char* verdicts[] = {"cannot_tell", "as_expected", "more", "less"};
    Json out = Json::array();
    for (size_t part = 0; part < credit.sets.parts.size(); ++part) {
        const PartFacts facts = factsOf(credit, shareOf(credit, part), part, notes);
        Json one = {{"id", idOf(part)}, {"name", credit.sets.parts[part].name}, {"changes", Json::array()}};
        for (const auto* changes : {&credit.sets.parts[part].changes, &credit.sets.parts[part].countedWith})
            for (const Change& change : *changes)
                one["changes"].push_back({{"part", change.part}, {"from", change.from}, {"to", change.to}});
        if (facts.cost) {
            one["cost"] = *facts.cost;
            one["currency"] = currencyOf(credit.builds);
        }
        putKnown(one, "mass_kg", facts.mass_kg);
        if (facts.expected_w) {
            one["expected_kw"] = {facts.expected_w->first / 1000.0, facts.expected_w->second / 1000.0};
            one["expected_verdict"] = verdicts[static_cast<size_t>(facts.verdict)];
        }
        out.push_back(one);
    }
    return out;
}

Json amountJson(const CreditAmount& amount, const char* key) {
    return {{key, numberOrNull(kilowatts(amount, amount.log))},
            {"low", numberOrNull(kilowatts(amount, amount.low))},
            {"high", numberOrNull(kilowatts(amount, amount.high))},
            {"percent", numberOrNull(percentOfLog(amount.log))},
            {"p", numberOrNull(amount.p)},
            {"protected_from_drift", amount.protectedFromDrift}};
}

void addCurve(Json& out, const CreditCurve& curve, const std::vector<double>& rpm, const char* key) {
    const auto edges = [&](auto half) {
        Json low = Json::array();
        Json high = Json::array();
        for (Eigen::Index p = 0; p < curve.curve.delta.size(); ++p) {
            const double reach = half(p) + curve.curve.boundHalf;
            low.push_back(numberOrNull(curve.scale_w(p) * (curve.curve.delta(p) - reach) / 1000.0));
            high.push_back(numberOrNull(curve.scale_w(p) * (curve.curve.delta(p) + reach) / 1000.0));
        }
        return Json{{"low", low}, {"high", high}};
    };
    out["rpm"] = rpm;
    out[key] = Json::array();
    for (Eigen::Index p = 0; p < curve.curve.delta.size(); ++p)
        out[key].push_back(numberOrNull(curve.scale_w(p) * curve.curve.delta(p) / 1000.0));
    const Eigen::VectorXd& error = curve.curve.standardError;
    out["pointwise95"] = edges([&](Eigen::Index p) { return curve.curve.pointwiseHalf(p); });
    out["simultaneous95"] = edges([&](Eigen::Index p) { return curve.simultaneous * error(p); });
    out["family95"] = edges([&](Eigen::Index p) { return curve.family * error(p); });
}

Json shareJson(const Credit& credit, const CreditShare& share, const CreditNotes& notes,
               const std::vector<double>& rpm) {
    Json out = amountJson(share.amount, "share_kw");
    out["part"] = idOf(share.part);
    const bool whole = credit.total && credit.total->proven();
    out["share_of_total_pct"] = whole ? numberOrNull(100.0 * share.amount.log / credit.total->log) : Json(nullptr);
    out["alone_kw"] = share.alone ? numberOrNull(kilowatts(*share.alone, share.alone->log)) : Json(nullptr);
    out["on_top_kw"] = share.onTop ? numberOrNull(kilowatts(*share.onTop, share.onTop->log)) : Json(nullptr);
    out["bound_factor"] = share.boundFactor;
    const bool bounded = credit.interactionBound_pct.has_value();
    out["label"] = Voice::forFiles().say(Statement{share.boundFactor <= 0.0 ? "credit.label_fair_share"
                                                   : bounded                ? "credit.label_within_bound"
                                                                            : "credit.label_if_nil"});
    if (const PartFacts facts = factsOf(credit, &share, share.part, notes); facts.leastPerWatt)
        out["cost_per_kw"] = {{"low", 1000.0 * *facts.leastPerWatt},
                              {"high", facts.mostPerWatt ? Json(1000.0 * *facts.mostPerWatt) : Json(nullptr)}};
    if (share.curve.curve.delta.size() > 0)
        addCurve(out, share.curve, rpm, "share_kw_by_rpm");
    return out;
}

Json stepJson(const CreditStep& step, const std::vector<Build>& builds) {
    Json out = amountJson(step.amount, "delta_power_kw");
    out["from"] = builds[step.from].id;
    out["to"] = builds[step.to].id;
    out["parts"] = {idOf(step.part)};
    return out;
}

Json interactionJson(const CreditInteraction& one, const std::vector<double>& rpm) {
    Json out = {{"parts", idsIn(one.parts)},
                {"percent", numberOrNull(percentOfLog(one.amount.log))},
                {"low_pct", numberOrNull(percentOfLog(one.amount.low))},
                {"high_pct", numberOrNull(percentOfLog(one.amount.high))},
                {"p", numberOrNull(one.amount.p)},
                {"proven", one.amount.proven()},
                {"protected_from_drift", one.amount.protectedFromDrift}};
    const Eigen::VectorXd& along = one.curve.curve.delta;
    if (along.size() == 0)
        return out;
    out["rpm"] = rpm;
    out["percent_by_rpm"] = out["family95_pct"]["low"] = out["family95_pct"]["high"] = Json::array();
    for (Eigen::Index p = 0; p < along.size(); ++p) {
        const double half = one.curve.familyHalf(p);
        out["percent_by_rpm"].push_back(numberOrNull(percentOfLog(along(p))));
        out["family95_pct"]["low"].push_back(numberOrNull(percentOfLog(along(p) - half)));
        out["family95_pct"]["high"].push_back(numberOrNull(percentOfLog(along(p) + half)));
    }
    out["regions"] = regionsJson(one.regions);
    return out;
}

Json addsUpJson(const Credit& credit) {
    if (!credit.beyondSum)
        return nullptr;
    return {{"gap_pct", numberOrNull(percentOfLog(credit.beyondSum->log))},
            {"low_pct", numberOrNull(percentOfLog(credit.beyondSum->low))},
            {"high_pct", numberOrNull(percentOfLog(credit.beyondSum->high))},
            {"verdict", addsUpName(credit.addsUp)}};
}

Json sweepJson(const SettingSweep& sweep) {
    Json out = {{"setting", sweep.setting.name}, {"unit", unitText(sweep.setting.unit)}};
    out["levels"] = out["gain_pct"] = out["costs_at_most_pct"] = out["best_by_rpm"] = Json::array();
    for (const SweepLevel& level : sweep.levels) {
        out["levels"].push_back(level.value);
        out["gain_pct"].push_back(numberOrNull(percentOfLog(level.fitted)));
        out["costs_at_most_pct"].push_back(numberOrNull(percentOfLog(level.costsAtMost)));
    }
    out["best"] = {{"value", sweep.best.named},
                   {"low", sweep.best.low},
                   {"high", sweep.best.high},
                   {"at_low_end", sweep.best.atLowEnd},
                   {"at_high_end", sweep.best.atHighEnd}};
    for (const BestAtRpm& best : sweep.byRpm)
        out["best_by_rpm"].push_back(
            {{"rpm", best.rpm}, {"value", best.value}, {"low", best.low}, {"high", best.high}});
    out["one_more_step_pct"] = sweep.oneMoreStep ? numberOrNull(percentOfLog(*sweep.oneMoreStep)) : Json(nullptr);
    return out;
}

Json fullJson(const Credit& credit, const std::vector<Build>& builds) {
    const PartSet full = (1U << credit.sets.parts.size()) - 1U;
    const auto build = full != 0U ? buildWith(credit.sets.ofBuild, full) : std::nullopt;
    return build ? Json(builds[static_cast<size_t>(*build)].id) : Json(nullptr);
}

} // namespace

Json useJson(const Use& use) {
    Json out = {{"from_rpm", use.range_rpm.low}, {"to_rpm", use.range_rpm.high}};
    for (const RpmWeight& one : use.weights)
        out["weights"].push_back({one.rpm, one.weight});
    return out;
}

Json creditAnswer(const Credit& credit, const TestDay& day, const DayAnalysis& analysis) {
    const std::vector<Build>& builds = credit.builds;
    Json out;
    out["standard"] = standardInfo(analysis.settings.reduce.standard).name;
    out["use"] = useJson(credit.use);
    out["kind"] = kindName(credit.sets.kind);
    out["base"] = builds.front().id;
    out["full"] = fullJson(credit, builds);
    out["protected_from_drift"] = credit.protectedFromDrift;
    out["parts"] = partsJson(credit, day.credit);
    out["part_sets"] = Json::object();
    for (size_t b = 0; b < builds.size(); ++b)
        out["part_sets"][builds[b].id] = idsIn(credit.sets.ofBuild[b]);
    out["total"] = credit.total ? amountJson(*credit.total, "delta_power_kw") : Json(nullptr);
    if (credit.total && credit.totalCurve)
        addCurve(out["total"], *credit.totalCurve, analysis.rpm, "kw_by_rpm");
    out["steps"] = out["shares"] = out["interactions"] = Json::array();
    for (const CreditStep& step : credit.steps)
        out["steps"].push_back(stepJson(step, builds));
    for (const CreditShare& share : credit.shares)
        out["shares"].push_back(shareJson(credit, share, day.credit, analysis.rpm));
    for (const CreditInteraction& one : credit.interactions)
        out["interactions"].push_back(interactionJson(one, analysis.rpm));
    out["better_value"] = Json::array();
    for (const BetterValue& one : credit.betterValue)
        out["better_value"].push_back({{"more", idOf(one.more)}, {"less", idOf(one.less)}});
    out["adds_up"] = addsUpJson(credit);
    if (credit.sweep)
        out["sweep"] = sweepJson(*credit.sweep);
    if (credit.sweep && credit.sets.numbers && credit.sets.numbers->taken)
        out["sweep"]["number"] = *credit.sets.numbers->taken + 1;
    out["summary"] = Voice::forFiles().say(creditSummary(credit));
    out["advice"] = Voice::forFiles().say(creditAdvice(credit));
    return out;
}

} // namespace hillrun
