// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/errors/shown_text.h"
#include "formats/credit_json.h"
#include "formats/day_store.h"

#include <algorithm>
#include <charconv>
#include <fmt/format.h>
#include <sstream>

namespace hillrun::cli {
namespace {

struct CreditOptions {
    std::string day;
    AnswerOptions answer;
    std::optional<double> interactionBound;
    std::vector<std::string> partSets;
    std::vector<std::string> numbersOf;
    bool json = false;
};

/// The one of `known` that is meant: "ignition map" is "ignition_map".
std::string differingNamed(const std::string& name, const std::vector<std::string>& known) {
    const auto at =
        std::find_if(known.begin(), known.end(), [&](const std::string& one) { return asSaid(one) == asSaid(name); });
    if (at == known.end())
        throw WrongUse(said("cli.part_unknown", {name, namesOf(known)}));
    return *at;
}

/// "jets=2": the second number of the jets' texts counts.
void takeNumberOf(const std::string& text, const std::vector<Build>& builds, CreditNotes& notes) {
    const size_t equals = text.find('=');
    size_t number = 0;
    if (equals == std::string::npos ||
        std::from_chars(text.data() + equals + 1, text.data() + text.size(), number).ptr != text.data() + text.size() ||
        number == 0)
        throw WrongUse(said("cli.number_of", {text}));
    const PartSets found = partSetsOf(builds, notes);
    const std::string setting = differingNamed(text.substr(0, equals), found.differing);
    if (found.numbers && found.numbers->part == setting && number > found.numbers->all.size())
        throw WrongUse(said("cli.number_of", {text}));
    notes.numberOf[setting] = number;
}

/// "pipe=jets,needle": the jets and the needle count with the pipe; "=oil": the oil does not count.
void takePartSet(const std::string& text, const std::vector<Build>& builds, CreditNotes& notes) {
    const size_t equals = text.find('=');
    if (equals == std::string::npos)
        throw WrongUse(said("cli.part_set", {text}));
    const std::vector<std::string> known = partSetsOf(builds).differing;
    const auto named = [&](const std::string& name) { return differingNamed(name, known); };
    const std::string with = equals == 0 ? std::string() : named(text.substr(0, equals));
    std::istringstream names(text.substr(equals + 1));
    for (std::string name; std::getline(names, name, ',');) {
        if (named(name) == with)
            throw WrongUse(said("cli.part_set", {text}));
        notes.countsWith[named(name)] = with;
    }
}

void runCredit(const CreditOptions& o) {
    AnalysisSettings settings = o.answer.settings();
    settings.credit = true;
    if (o.interactionBound && !(*o.interactionBound > 0.0))
        throw WrongUse(said("cli.interaction_bound"));
    TestDay day = readDay(o.day);
    o.answer.takePlan(day);
    if (o.interactionBound)
        day.credit.interactionBound_pct = o.interactionBound;
    for (const std::string& partSet : o.partSets)
        takePartSet(partSet, day.builds, day.credit);
    for (const std::string& numberOf : o.numbersOf)
        takeNumberOf(numberOf, day.builds, day.credit);
    DayEngine engine;
    const auto analysis = analyseOrThrow(day, settingsFor(day, settings), engine);
    const auto& credit = analysis->credit;
    if (!credit)
        throw DataError(Problem::NothingToCompare, {Several{{{"credit.no_repeats"}}}});
    if (o.json)
        fmt::print("{}\n", dumpJson(creditAnswer(*credit, day, *analysis)));
    else {
        fmt::print("{}\n  {}\n", shownText(day.name), said(creditSummary(*credit)));
        if (const auto advice = creditAdvice(*credit); !advice.empty())
            fmt::print("  {}\n", said(advice));
    }
}

} // namespace

void addCredit(CLI::App& app) {
    auto o = std::make_shared<CreditOptions>();
    CLI::App* command = app.add_subcommand("credit", said("cli.what_each_part_gives"));
    command->add_option("day", o->day, said("cli.day_folder_day_json"))->required();
    o->answer.addTo(*command);
    command->add_option("--interaction-bound-pct", o->interactionBound, said("cli.every_interaction_not_run"));
    command->add_option("--part-set", o->partSets, said("cli.what_counts_as_one_part"))->allow_extra_args(false);
    command->add_option("--number-of", o->numbersOf, said("cli.which_number_counts"))->allow_extra_args(false);
    command->add_flag("--json", o->json, said("cli.one_json_document_and"));
    command->footer(said("cli.examples_credit"));
    command->callback([o] { runCredit(*o); });
}

} // namespace hillrun::cli
