// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/day_credit.h"

#include "core/units/log_percent.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace hillrun {
namespace {

constexpr size_t kFewParts = 2; ///< so many are named one by one in a sentence

Power wattsOf(const CreditAmount& amount, bool sign) {
    return {amount.watts(), 0.5 * amount.scale_w * (amount.high - amount.low), sign, 0};
}

std::vector<std::string> partNames(const Credit& credit) {
    std::vector<std::string> out;
    for (const CreditPart& part : credit.sets.parts)
        out.push_back(part.name);
    return out;
}

/// A name as a sentence begins with it.
std::string atStart(std::string name) {
    if (!name.empty() && name.front() >= 'a' && name.front() <= 'z')
        name.front() = static_cast<char>(name.front() - 'a' + 'A');
    return name;
}

/// A setting of the tested range, as finely as it can be meant.
Statement settingPhrase(const SettingSweep& sweep, double value) {
    const double step = sweep.value[1] - sweep.value[0];
    const int digits = std::max(0, static_cast<int>(std::lround(-std::log10(step))));
    return {"credit.setting", {decimals(value, digits), sweep.setting.unit}};
}
/// A step as it was run.
Statement levelPhrase(const SettingSweep& sweep, const SweepLevel& level) {
    return {"credit.setting", {significant(level.value, 6), sweep.setting.unit}};
}

std::vector<Statement> sweepSummary(const SettingSweep& sweep) {
    constexpr double kWorthSaying = 0.05;
    const std::string& name = sweep.setting.name;
    if (!sweep.driftTaken)
        return {{"credit.sweep_drift", {name}}};
    if (sweep.anywhere)
        return {{"credit.sweep_anywhere",
                 {name, levelPhrase(sweep, sweep.levels.front()), levelPhrase(sweep, sweep.levels.back())}}};
    const bool oneEnd = !(sweep.best.high > sweep.best.low);
    std::vector<Statement> out;
    if (oneEnd)
        out.push_back({"credit.sweep_one_end", {atStart(name), settingPhrase(sweep, sweep.best.named)}});
    else
        out.push_back({"credit.sweep_best",
                       {atStart(name), settingPhrase(sweep, sweep.best.named), settingPhrase(sweep, sweep.best.low),
                        settingPhrase(sweep, sweep.best.high)}});
    if (sweep.best.atHighEnd > kWorthSaying && sweep.oneMoreStep)
        out.push_back({"credit.sweep_high_end",
                       {levelPhrase(sweep, sweep.levels.back()),
                        decimals(std::max(0.0, percentOfLog(*sweep.oneMoreStep)), 1, "%")}});
    if (sweep.best.atLowEnd > kWorthSaying)
        out.push_back({"credit.sweep_low_end", {levelPhrase(sweep, sweep.levels.front())}});
    const auto least =
        std::min_element(sweep.levels.begin(), sweep.levels.end(),
                         [](const SweepLevel& a, const SweepLevel& b) { return a.costsAtMost < b.costsAtMost; });
    out.push_back(
        {"credit.sweep_costs", {levelPhrase(sweep, *least), decimals(percentOfLog(least->costsAtMost), 1, "%")}});
    return out;
}

/// "Of jets the first of 2 numbers counts: 95, 92, 90"
Statement numberTaken(const SettingNumbers& numbers) {
    std::vector<Statement> values;
    for (const double value : numbers.all[*numbers.taken])
        values.push_back({"credit.setting", {significant(value, 6), std::string()}});
    return {"credit.number_taken",
            {asSaid(numbers.part), decimals(static_cast<double>(*numbers.taken + 1), 0),
             decimals(static_cast<double>(numbers.all.size()), 0), Several{std::move(values)}}};
}

std::vector<Statement> whyNoCredit(const Credit& credit) {
    if (credit.sets.kind == CreditKind::Sweep)
        return credit.sweep ? sweepSummary(*credit.sweep) : std::vector<Statement>{{"credit.sweep"}};
    switch (credit.sets.why) {
    case WhyNoCredit::OneBuild:
        return {{"credit.one_build"}};
    case WhyNoCredit::NothingNoted:
        return {{"credit.nothing_noted"}};
    case WhyNoCredit::SameTwice:
        return {{"credit.same_twice"}};
    case WhyNoCredit::Alternatives:
        return {{"credit.alternatives"}};
    case WhyNoCredit::WhichNumber:
        return {{"credit.which_number", {atStart(asSaid(credit.sets.numbers->part))}}};
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

std::set<std::string> changedNames(const CreditPart& part) {
    std::set<std::string> out;
    for (const Change& change : part.changes)
        out.insert(change.part);
    return out;
}

/// "pipe +2.1 ± 0.5 kW", part by part; of shares or steps.
template <class Item> Several itemsOf(const Credit& credit, const std::vector<Item>& items) {
    Several out;
    for (const Item& item : items)
        out.items.push_back({"credit.item", {credit.sets.parts[item.part].name, wattsOf(item.amount, true)}});
    return out;
}

/// Of few parts by their names, of more by their number.
Statement together(const Credit& credit) {
    std::vector<std::string> names = partNames(credit);
    if (names.size() > kFewParts)
        return {"credit.all_together", {decimals(static_cast<double>(names.size()), 0), wattsOf(*credit.total, true)}};
    names.front() = atStart(names.front());
    return {"credit.together", {namesOf(names), wattsOf(*credit.total, true)}};
}

/// Of few parts each, of more those that are proven.
Statement fairShares(const Credit& credit) {
    const bool bounded = std::any_of(credit.shares.begin(), credit.shares.end(),
                                     [](const CreditShare& share) { return share.boundFactor > 0.0; });
    std::vector<CreditShare> proven = credit.shares;
    if (credit.shares.size() > kFewParts)
        std::erase_if(proven, [](const CreditShare& share) { return !share.amount.proven(); });
    if (proven.empty())
        return {"credit.no_share_proven"};
    if (proven.size() < credit.shares.size())
        return {bounded ? "credit.shares_proven_if_nil" : "credit.shares_proven", {itemsOf(credit, proven)}};
    return {bounded ? "credit.shares_if_nil" : "credit.shares", {itemsOf(credit, proven)}};
}

/// The builds that an analysis was worked with, the base first.
std::vector<Build> fittedBuilds(const TestDay& day, const DayAnalysis& analysis) {
    std::vector<Build> out;
    for (const BuildResult& result : analysis.builds)
        if (const Build* build = result.given.empty() ? findBuild(day, result.id) : nullptr)
            out.push_back(*build);
    return out;
}

} // namespace

std::optional<Credit> creditOfDay(const TestDay& day, const DayAnalysis& analysis, DrawCache& cache) {
    if (!analysis.model)
        return std::nullopt;
    return creditOf(*analysis.model, fittedBuilds(day, analysis), useOfDay(analysis),
                    {analysis.settings.drift, analysis.settings.matters_pct, day.credit}, cache);
}

namespace {

/// Where a band wanders about zero its stretches are many: the widest is said.
std::optional<RpmRange> widestOf(const std::vector<Region>& regions, RegionKind kind) {
    std::optional<RpmRange> out;
    for (const Region& region : regions)
        if (region.kind == kind && (!out || region.range_rpm.high - region.range_rpm.low > out->high - out->low))
            out = region.range_rpm;
    return out;
}

/// Where parts are proven to act on each other although the mean over the use does not tell.
std::vector<Statement> actingAlong(const Credit& credit) {
    std::vector<Statement> out;
    for (const CreditInteraction& one : credit.interactions) {
        if (one.amount.proven())
            continue;
        std::vector<std::string> names;
        for (size_t part = 0; part < credit.sets.parts.size(); ++part)
            if ((one.parts >> part & 1U) != 0U)
                names.push_back(credit.sets.parts[part].name);
        for (const RegionKind kind : {RegionKind::Gain, RegionKind::Loss})
            if (const auto widest = widestOf(one.regions, kind))
                out.push_back(
                    {kind == RegionKind::Gain ? "credit.more_along" : "credit.less_along", {namesOf(names), *widest}});
    }
    return out;
}

} // namespace

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
        return {{"credit.one_part", {atStart(credit.sets.parts.front().name), wattsOf(*credit.total, true)}}};
    std::vector<Statement> out;
    if (whole)
        out.push_back(together(credit));
    if (credit.beyondSum && credit.beyondSum->mayClaim)
        out.push_back(beyondSum(credit));
    for (Statement& along : actingAlong(credit))
        out.push_back(std::move(along));
    if (credit.sets.kind == CreditKind::Ladder && mayClaim(credit.steps))
        out.push_back({"credit.steps", {itemsOf(credit, credit.steps)}});
    else if (credit.sets.kind != CreditKind::Ladder && mayClaim(credit.shares))
        out.push_back(fairShares(credit));
    return out.empty() ? std::vector<Statement>{{"credit.drift_open"}} : out;
}

std::vector<Statement> creditAdvice(const Credit& credit) {
    std::vector<Statement> out;
    if (credit.sets.numbers && credit.sets.numbers->taken)
        out.push_back(numberTaken(*credit.sets.numbers));
    const std::vector<CreditPart>& parts = credit.sets.parts;
    for (const BetterValue& one : credit.betterValue)
        out.push_back({"credit.better_value", {parts[one.more].name, parts[one.less].name}});
    for (const CreditPart& part : parts) {
        const std::set<std::string> names = changedNames(part);
        if (names.size() > 1)
            out.push_back({"credit.never_apart", {namesOf({names.begin(), names.end()})}});
    }
    if (credit.sets.kind == CreditKind::Partial)
        if (const auto next = tellingNext(credit.sets.ofBuild, parts.size())) {
            std::vector<std::string> together;
            for (size_t part = 0; part < parts.size(); ++part)
                if ((*next >> part & 1U) != 0U)
                    together.push_back(parts[part].name);
            out.push_back({"credit.run_next", {namesOf(together)}});
            return out;
        }
    if (!credit.protectedFromDrift && !credit.sets.ofBuild.empty() && credit.sets.kind != CreditKind::None)
        out.push_back({"credit.run_base", {credit.builds.front().id}});
    return out;
}

} // namespace hillrun
