// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/credit_json.h"

#include "core/units/log_percent.h"
#include "core/weather/standards.h"
#include "words/voice.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

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

/// By how much two builds differ that this part alone lies between; nothing when the builds do not say.
std::optional<double> differenceOf(const Credit& credit, const std::vector<Build>& builds, size_t part,
                                   std::optional<double> Build::*member) {
    for (const CreditStep& step : credit.steps)
        if (step.part == part && builds[step.from].*member && builds[step.to].*member)
            return *(builds[step.to].*member) - *(builds[step.from].*member);
    return std::nullopt;
}

std::string currencyOf(const std::vector<Build>& builds) {
    for (const Build& build : builds)
        if (!build.currency.empty())
            return build.currency;
    return {};
}

Json partsJson(const Credit& credit, const std::vector<Build>& builds) {
    Json out = Json::array();
    for (size_t part = 0; part < credit.sets.parts.size(); ++part) {
        Json one = {{"id", idOf(part)}, {"name", credit.sets.parts[part].name}, {"changes", Json::array()}};
        for (const Change& change : credit.sets.parts[part].changes)
            one["changes"].push_back({{"part", change.part}, {"from", change.from}, {"to", change.to}});
        if (const auto cost = differenceOf(credit, builds, part, &Build::cost)) {
            one["cost"] = *cost;
            one["currency"] = currencyOf(builds);
        }
        if (const auto mass = differenceOf(credit, builds, part, &Build::mass_kg))
            one["mass_kg"] = *mass;
        out.push_back(one);
    }
    return out;
}

/// Never the cost over the estimate: c/high to c/low, and no upper end where nothing may have been gained.
Json costPerKilowatt(double cost, const CreditAmount& amount) {
    if (!(amount.high > 0.0) || !(cost > 0.0))
        return nullptr;
    return {{"low", cost / kilowatts(amount, amount.high)},
            {"high", amount.low > 0.0 ? Json(cost / kilowatts(amount, amount.low)) : Json(nullptr)}};
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

Json shareJson(const Credit& credit, const CreditShare& share, const std::vector<Build>& builds,
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
    if (const auto cost = differenceOf(credit, builds, share.part, &Build::cost))
        out["cost_per_kw"] = costPerKilowatt(*cost, share.amount);
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

Json interactionJson(const CreditInteraction& one) {
    return {{"parts", idsIn(one.parts)},
            {"percent", numberOrNull(percentOfLog(one.amount.log))},
            {"low_pct", numberOrNull(percentOfLog(one.amount.low))},
            {"high_pct", numberOrNull(percentOfLog(one.amount.high))},
            {"p", numberOrNull(one.amount.p)},
            {"proven", one.amount.proven()},
            {"protected_from_drift", one.amount.protectedFromDrift}};
}

Json addsUpJson(const Credit& credit) {
    if (!credit.beyondSum)
        return nullptr;
    return {{"gap_pct", numberOrNull(percentOfLog(credit.beyondSum->log))},
            {"low_pct", numberOrNull(percentOfLog(credit.beyondSum->low))},
            {"high_pct", numberOrNull(percentOfLog(credit.beyondSum->high))},
            {"verdict", addsUpName(credit.addsUp)}};
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

Json creditAnswer(const Credit& credit, const std::vector<Build>& builds, const DayAnalysis& analysis) {
    Json out;
    out["standard"] = standardInfo(analysis.settings.reduce.standard).name;
    out["use"] = useJson(credit.use);
    out["kind"] = kindName(credit.sets.kind);
    out["base"] = builds.front().id;
    out["full"] = fullJson(credit, builds);
    out["protected_from_drift"] = credit.protectedFromDrift;
    out["parts"] = partsJson(credit, builds);
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
        out["shares"].push_back(shareJson(credit, share, builds, analysis.rpm));
    for (const CreditInteraction& one : credit.interactions)
        out["interactions"].push_back(interactionJson(one));
    out["adds_up"] = addsUpJson(credit);
    out["summary"] = Voice::forFiles().say(creditSummary(credit));
    return out;
}

} // namespace hillrun
