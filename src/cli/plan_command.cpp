// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/plan/design.h"
#include "core/plan/pulls_needed.h"
#include "formats/json_reader.h"

#include <algorithm>
#include <fmt/format.h>
#include <memory>

namespace hillrun::cli {
namespace {

struct Options {
    double repeatability_pct = 0.0;
    double detect_pct = 0.0;
    std::string design = "ABA";
    std::optional<int> pullsPerSet;
    std::optional<int> degreesOfFreedom;
    bool json = false;
};

/// The build of each set: a design by its name, or letters of one's own ("ABCA").
std::vector<std::string> setsOf(const std::string& design) {
    if (const DesignInfo* info = designNamed(design)) {
        std::vector<std::string> builds;
        for (size_t i = 0; i < info->fewestBuilds; ++i)
            builds.emplace_back(1, static_cast<char>('A' + i));
        return orderOf(info->kind, builds, 1);
    }
    std::vector<std::string> out;
    for (const char c : design) {
        if (c < 'A' || c > 'H')
            throw WrongUse(said("cli.design_takes_a_b"));
        out.emplace_back(1, c);
    }
    return out;
}

std::vector<std::string> othersIn(const std::vector<std::string>& sets) {
    std::vector<std::string> out;
    for (const std::string& build : sets)
        if (build != "A" && std::find(out.begin(), out.end(), build) == out.end())
            out.push_back(build);
    return out;
}

std::vector<std::string> repeated(const std::vector<std::string>& sets, int pulls) {
    std::vector<std::string> out;
    for (const std::string& build : sets)
        out.insert(out.end(), static_cast<size_t>(pulls), build);
    return out;
}

/// Enough for every build against the base.
std::optional<int> enoughForAll(const std::vector<std::string>& sets, double effect, double sd) {
    std::optional<int> most;
    for (const std::string& build : othersIn(sets)) {
        const auto pulls = pullsPerSetNeeded(sets, "A", build, effect, {sd});
        if (!pulls)
            return std::nullopt;
        most = std::max(most.value_or(0), *pulls);
    }
    return most;
}

Json optionalInt(const std::optional<int>& value) { return value ? Json(*value) : Json(nullptr); }

/// Each build is one change from its neighbours: only the order is judged here.
std::vector<Statement> weaknessesOf(const std::vector<std::string>& order) {
    TestDay day;
    for (char c = 'A'; c <= 'H'; ++c)
        day.builds.push_back({.id = std::string(1, c), .parts = {{"part", std::string(1, c)}}});
    return planWeaknesses(day, order);
}

Json answer(const Options& o, const std::vector<std::string>& sets) {
    const double sd = o.repeatability_pct / 100.0;
    const double effect = o.detect_pct / 100.0;
    const auto needed = enoughForAll(sets, effect, sd);
    const int pulls = o.pullsPerSet ? *o.pullsPerSet : needed.value_or(30);
    const auto order = repeated(sets, pulls);
    double chance = 1.0;
    double smallest = 0.0;
    bool identified = false;
    for (const std::string& build : othersIn(sets)) {
        const PlannedContrast contrast = *plannedContrast(order, "A", build);
        chance = std::min(chance, chanceToSee(contrast, effect, {sd}));
        smallest = std::max(smallest, smallestSeen(contrast, {sd}).value_or(1e9));
        identified = contrast.driftIdentified;
    }
    Json out{{"sets", sets},
             {"detect_pct", o.detect_pct},
             {"repeatability_pct", o.repeatability_pct},
             {"pulls_per_set_needed", optionalInt(needed)},
             {"pulls_per_set", pulls},
             {"pulls", order.size()},
             {"chance", chance},
             {"smallest_seen_pct", smallest < 1e8 ? Json(100.0 * smallest) : Json(nullptr)},
             {"drift_identified", identified},
             {"minutes", planMinutes({}, order)}};
    if (o.degreesOfFreedom)
        out["pulls_per_set_needed_cautious"] =
            optionalInt(enoughForAll(sets, effect, upperLimit80(sd, *o.degreesOfFreedom)));
    out["weaknesses"] = Json::array();
    for (const Statement& weakness : weaknessesOf(order))
        out["weaknesses"].push_back(Voice::forFiles().say(weakness));
    return out;
}

void run(const Options& o) {
    if (!(o.repeatability_pct > 0.0) || !(o.detect_pct > 0.0) || o.repeatability_pct > 50.0 || o.detect_pct > 50.0)
        throw WrongUse(said("cli.repeatability_pct_and_detect"));
    const auto sets = setsOf(o.design);
    if (std::find(sets.begin(), sets.end(), "A") == sets.end() || othersIn(sets).empty())
        throw WrongUse(said("cli.design_needs_the_base"));
    const Json out = answer(o, sets);
    if (o.json) {
        fmt::print("{}\n", dumpJson(out));
        return;
    }
    const Json needed = out["pulls_per_set_needed"];
    const Number difference = significant(o.detect_pct, 6, "%");
    if (needed.is_null())
        fmt::print("{}\n", said("cli.plan_too_few", {o.design, difference}));
    else
        fmt::print("{}\n", said("cli.plan_needed", {Count{needed.get<int>()}, o.design, difference}));
    const Json smallest = out["smallest_seen_pct"];
    fmt::print("{}\n",
               said("cli.plan_sees", {Count{out["pulls_per_set"].get<int>()},
                                      decimals(smallest.is_null() ? std::nan("") : smallest.get<double>(), 2, "%"),
                                      decimals(out["minutes"].get<double>(), 0, "min")}));
    for (const Statement& weakness : weaknessesOf(repeated(sets, out["pulls_per_set"].get<int>())))
        fmt::print("{}\n", said(weakness));
}

} // namespace

void addPlan(CLI::App& app) {
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("plan", said("cli.pulls_needed_to_see"));
    command->add_option("--repeatability-pct", o->repeatability_pct, said("cli.standard_deviation_of_one"))->required();
    command->add_option("--detect-pct", o->detect_pct, said("cli.smallest_difference_that_matters"))->required();
    command->add_option("--design", o->design, said("cli.a_b_a_b"))->capture_default_str();
    command->add_option("--pulls-per-set", o->pullsPerSet, said("cli.tell_what_so_many"))->check(CLI::Range(1, 30));
    command->add_option("--degrees-of-freedom", o->degreesOfFreedom, said("cli.how_well_the_repeatability"))
        ->check(CLI::Range(1, 1000));
    command->add_flag("--json", o->json, said("cli.one_json_document_and"));
    command->footer(said("cli.example_plan_repeatability_pct"));
    command->callback([o] { run(*o); });
}

} // namespace hillrun::cli
