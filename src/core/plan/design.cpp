// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/design.h"

#include "core/answer/credit_weights.h"
#include "core/plan/pulls_needed.h"

#include <algorithm>
#include <array>
#include <cassert>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr std::array kDesigns{
    DesignInfo{DesignKind::AB, "a-b", 2, 8},
    DesignInfo{DesignKind::ABA, "a-b-a", 2, 8},
    DesignInfo{DesignKind::ABBA, "a-b-b-a", 2, 8},
    DesignInfo{DesignKind::Ladder, "ladder", 3, 8},
    DesignInfo{DesignKind::TwoByTwo, "2x2", 4, 4},
    DesignInfo{DesignKind::Sweep, "sweep", 3, 8},
    DesignInfo{DesignKind::TwoByTwoByTwo, "2x2x2", 8, 8},
    DesignInfo{DesignKind::RR, "r-r", 1, 1},
};

constexpr double kCoolDown_min = 4.0;
constexpr double kChange_min = 20.0;
constexpr double kPull_min = 0.5;

/// The sets of a design as numbers of builds.
std::vector<size_t> setsOf(DesignKind kind, size_t builds) {
    std::vector<size_t> out{0};
    switch (kind) {
    case DesignKind::AB:
        for (size_t i = 1; i < builds; ++i)
            out.push_back(i);
        break;
    case DesignKind::ABA:
        for (size_t i = 1; i < builds; ++i)
            out.insert(out.end(), {i, 0});
        break;
    case DesignKind::ABBA:
        for (size_t i = 1; i < builds; ++i)
            out.push_back(i);
        for (size_t i = builds; i-- > 0;)
            out.push_back(i);
        break;
    case DesignKind::Ladder:
    case DesignKind::TwoByTwo:
    case DesignKind::Sweep:
        for (size_t i = 1; i < builds; ++i)
            out.push_back(i);
        out.push_back(0);
        break;
    case DesignKind::TwoByTwoByTwo: // by their parts, a bit each: x, yz, y, xz, z, xy, all
        out.insert(out.end(), {1, 6, 2, 5, 4, 3, 7, 0});
        break;
    case DesignKind::RR:
        out.push_back(0);
        break;
    }
    return out;
}

std::string plain(std::string text) {
    std::erase_if(text, [](char c) { return c == '-' || c == ' '; });
    std::transform(text.begin(), text.end(), text.begin(),
                   [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return text;
}

void addSetWords(std::vector<Statement>& out, const std::vector<PlannedSet>& sets) {
    std::vector<std::string> once;
    std::vector<std::string> twice;
    for (const PlannedSet& set : sets) {
        auto& list = set.pulls == 1 ? once : twice;
        if (set.pulls <= 2 && std::find(list.begin(), list.end(), set.build) == list.end())
            list.push_back(set.build);
    }
    if (!once.empty())
        out.push_back({"plan.one_pull", {namesOf(once)}});
    if (!twice.empty())
        out.push_back({"plan.two_pulls", {namesOf(twice)}});
}

void addChangeWords(std::vector<Statement>& out, const TestDay& day, const std::vector<std::string>& order) {
    if (day.builds.empty())
        return;
    for (const Build& build : day.builds) {
        if (build.id == day.builds.front().id || std::find(order.begin(), order.end(), build.id) == order.end())
            continue;
        size_t fewest = changesBetween(day.builds.front(), build).size();
        std::string nearest = day.builds.front().id;
        for (const Build& other : day.builds) {
            const size_t changes = changesBetween(other, build).size();
            if (&other == &build || changes == 0 || changes >= fewest)
                continue;
            fewest = changes;
            nearest = other.id;
        }
        if (fewest == 0)
            out.push_back({"plan.nothing_noted", {day.builds.front().id, build.id}});
        if (fewest > 1)
            out.push_back({"plan.several_things", {Count{static_cast<long>(fewest)}, build.id, nearest}});
    }
}

} // namespace

std::span<const DesignInfo> designs() { return kDesigns; }

const DesignInfo* designNamed(const std::string& name) {
    const std::string wanted = plain(name);
    for (const DesignInfo& info : kDesigns)
        if (plain(info.name) == wanted)
            return &info;
    return nullptr;
}

std::vector<std::string> orderOf(DesignKind kind, const std::vector<std::string>& builds, int pullsPerSet) {
    const DesignInfo& info = kDesigns[static_cast<size_t>(kind)];
    assert(builds.size() >= info.fewestBuilds && pullsPerSet >= 1);
    std::vector<std::string> out;
    for (const size_t build : setsOf(kind, std::min(builds.size(), info.mostBuilds)))
        out.insert(out.end(), static_cast<size_t>(pullsPerSet), builds[build]);
    return out;
}

std::vector<size_t> refitsOf(DesignKind kind, int pullsPerSet) {
    return kind == DesignKind::RR ? std::vector{static_cast<size_t>(pullsPerSet)} : std::vector<size_t>{};
}

std::vector<std::string> orderOf(DesignKind kind, const TestDay& day) {
    std::vector<std::string> ids;
    for (const Build& build : day.builds)
        ids.push_back(build.id);
    if (kind == DesignKind::TwoByTwo || kind == DesignKind::TwoByTwoByTwo)
        if (const PartSets sets = partSetsOf(day.builds, day.credit); sets.kind == CreditKind::Lattice)
            for (PartSet parts = 0; parts < ids.size(); ++parts)
                if (const auto build = buildWith(sets.ofBuild, parts))
                    ids[parts] = day.builds[static_cast<size_t>(*build)].id;
    return orderOf(kind, ids, day.plan.pullsPerSet);
}

std::vector<Build> sweepBuilds(const TestDay& day, const std::string& setting, const std::vector<std::string>& values) {
    Build base = day.builds.empty() ? Build{.id = "A"} : day.builds.front();
    auto setValue = [&](Build& build, const std::string& value) {
        for (NamedValues* list : {&build.parts, &build.settings})
            for (auto& [name, own] : *list)
                if (name == setting) {
                    own = value;
                    return;
                }
        build.settings.emplace_back(setting, value);
    };
    std::vector<Build> out{base};
    for (const std::string& value : values) {
        if (out.size() == 8)
            break;
        Build step = base;
        step.id = std::string(1, static_cast<char>('A' + out.size()));
        step.name = value;
        step.note.clear();
        step.attachments.clear();
        setValue(step, value);
        out.push_back(std::move(step));
    }
    return out;
}

std::vector<PlannedSet> plannedSets(const std::vector<std::string>& order, const std::vector<size_t>& refits) {
    std::vector<PlannedSet> out;
    for (size_t i = 0; i < order.size(); ++i) {
        const bool another = out.empty() || out.back().build != order[i];
        const bool again = !another && std::find(refits.begin(), refits.end(), i) != refits.end();
        if (another || again)
            out.push_back({order[i], i, 0, again});
        ++out.back().pulls;
    }
    return out;
}

void setPullsPerSet(Plan& plan, int pulls) {
    const std::vector<PlannedSet> sets = plannedSets(plan.order, plan.refits);
    plan.pullsPerSet = pulls;
    plan.order.clear();
    plan.refits.clear();
    for (const PlannedSet& set : sets) {
        if (set.refit)
            plan.refits.push_back(plan.order.size());
        plan.order.insert(plan.order.end(), static_cast<size_t>(pulls), set.build);
    }
}

std::vector<Statement> planWeaknesses(const TestDay& day, const std::vector<std::string>& order) {
    std::vector<Statement> out;
    if (order.empty() || day.builds.empty())
        return out;
    const std::string& base = day.builds.front().id;
    const auto sets = plannedSets(order, day.plan.refits);
    const bool several = std::any_of(order.begin(), order.end(), [&](const auto& id) { return id != order.front(); });
    if (std::find(order.begin(), order.end(), base) == order.end())
        out.push_back({"plan.no_base", {base}});
    else if (several && !driftIdentified(planInput(order)))
        out.push_back({"plan.no_return"});
    else if (several && sets.back().build != base)
        out.push_back({"plan.ends_elsewhere", {base}});
    if (order.front() != base && std::find(order.begin(), order.end(), base) != order.end())
        out.push_back({"plan.begins_elsewhere", {base}});
    addSetWords(out, sets);
    addChangeWords(out, day, order);
    return out;
}

Statement changesPhrase(const TestDay& day, const Build& build) {
    if (day.builds.empty() || day.builds.front().id == build.id)
        return {"plan.base"};
    const size_t changes = changesBetween(day.builds.front(), build).size();
    if (changes == 0)
        return {"plan.no_change"};
    return {"plan.changes", {Count{static_cast<long>(changes)}}};
}

double planMinutes(const Plan& plan, const std::vector<std::string>& order) {
    const auto sets = plannedSets(order);
    if (sets.empty())
        return 0.0;
    const auto pulls = static_cast<double>(order.size());
    const auto changes = static_cast<double>(sets.size() - 1);
    const double waits = pulls - 1.0 - changes; // while a build is changed the engine cools anyway
    return pulls * kPull_min + waits * plan.coolDown_min.value_or(kCoolDown_min) +
           changes * plan.change_min.value_or(kChange_min);
}

std::vector<std::string> buildsOfSets(const std::vector<std::string>& order) {
    std::vector<std::string> out;
    for (const PlannedSet& set : plannedSets(order))
        out.push_back(set.build);
    return out;
}

} // namespace hillrun
