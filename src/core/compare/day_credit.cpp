// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/day_credit.h"

#include <algorithm>

namespace hillrun {
namespace {

Power wattsOf(const CreditAmount& amount, bool sign) {
    return {amount.watts(), 0.5 * amount.scale_w * (amount.high - amount.low), sign, 0};
}

std::vector<std::string> partNames(const Credit& credit) {
    std::vector<std::string> out;
    for (const CreditPart& part : credit.sets.parts)
        out.push_back(part.name);
    return out;
}

std::vector<Statement> whyNoCredit(const Credit& credit) {
    if (credit.sets.kind == CreditKind::Sweep)
        return {{"credit.sweep"}};
    switch (credit.sets.why) {
    case WhyNoCredit::OneBuild:
        return {{"credit.one_build"}};
    case WhyNoCredit::NothingNoted:
        return {{"credit.nothing_noted"}};
    case WhyNoCredit::SameTwice:
        return {{"credit.same_twice"}};
    case WhyNoCredit::Alternatives:
        return {{"credit.alternatives"}};
    case WhyNoCredit::TooMany:
        return {{"credit.too_many", {decimals(static_cast<double>(kMostParts), 0)}}};
    case WhyNoCredit::None:
        break;
    }
    return {};
}

Statement beyondSum(const Credit& credit) {
    switch (credit.addsUp) {
    case AddsUp::More:
        return {"credit.more_than_sum", {wattsOf(*credit.beyondSum, false)}};
    case AddsUp::Less: {
        CreditAmount size = *credit.beyondSum;
        size.log = -size.log;
        return {"credit.less_than_sum", {wattsOf(size, false)}};
    }
    case AddsUp::AddsUp:
        return {"credit.adds_up"};
    case AddsUp::CannotTell:
        break;
    }
    return {"credit.sum_open", {wattsOf(*credit.beyondSum, true)}};
}

/// "pipe +2.1 ± 0.5 kW", part by part; of shares or steps.
template <class Item> Several itemsOf(const Credit& credit, const std::vector<Item>& items) {
    Several out;
    for (const Item& item : items)
        out.items.push_back({"credit.item", {credit.sets.parts[item.part].name, wattsOf(item.amount, true)}});
    return out;
}

} // namespace

std::vector<Build> fittedBuilds(const TestDay& day, const DayAnalysis& analysis) {
    std::vector<Build> out;
    for (const BuildResult& result : analysis.builds)
        if (const Build* build = result.given.empty() ? findBuild(day, result.id) : nullptr)
            out.push_back(*build);
    return out;
}

std::optional<Credit> creditOfDay(const TestDay& day, const DayAnalysis& analysis,
                                  const std::optional<double>& interactionBound_pct, DrawCache& cache) {
    if (!analysis.model)
        return std::nullopt;
    return creditOf(*analysis.model, fittedBuilds(day, analysis), useOfDay(analysis),
                    {analysis.settings.drift, analysis.settings.matters_pct, interactionBound_pct}, cache);
}

// Only what drift cannot explain is said.
std::vector<Statement> creditSummary(const Credit& credit) {
    if (credit.shares.empty() && credit.steps.empty())
        return whyNoCredit(credit);
    const auto mayClaim = [](const auto& items) {
        return !items.empty() &&
               std::all_of(items.begin(), items.end(), [](const auto& item) { return item.amount.mayClaim; });
    };
    const bool whole = credit.total && credit.total->mayClaim;
    if (whole && credit.sets.parts.size() == 1)
        return {{"credit.one_part", {credit.sets.parts.front().name, wattsOf(*credit.total, true)}}};
    std::vector<Statement> out;
    if (whole)
        out.push_back({"credit.together", {namesOf(partNames(credit)), wattsOf(*credit.total, true)}});
    if (credit.beyondSum && credit.beyondSum->mayClaim)
        out.push_back(beyondSum(credit));
    if (credit.sets.kind == CreditKind::Ladder && mayClaim(credit.steps)) {
        out.push_back({"credit.steps", {itemsOf(credit, credit.steps)}});
    } else if (credit.sets.kind != CreditKind::Ladder && mayClaim(credit.shares)) {
        const bool bounded = std::any_of(credit.shares.begin(), credit.shares.end(),
                                         [](const CreditShare& share) { return share.boundFactor > 0.0; });
        out.push_back({bounded ? "credit.shares_if_nil" : "credit.shares", {itemsOf(credit, credit.shares)}});
    }
    return out.empty() ? std::vector<Statement>{{"credit.drift_open"}} : out;
}

} // namespace hillrun
