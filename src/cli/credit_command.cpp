// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/errors/shown_text.h"
#include "formats/credit_json.h"
#include "formats/day_store.h"

#include <fmt/format.h>

namespace hillrun::cli {
namespace {

struct CreditOptions {
    std::string day;
    AnswerOptions answer;
    std::optional<double> interactionBound;
    bool json = false;
};

void runCredit(const CreditOptions& o) {
    const AnalysisSettings settings = o.answer.settings();
    if (o.interactionBound && !(*o.interactionBound > 0.0))
        throw WrongUse(said("cli.interaction_bound"));
    const TestDay day = readDay(o.day);
    DayEngine engine;
    const auto analysis = analyseOrThrow(day, settingsFor(day, settings), engine);
    DrawCache cache;
    const auto credit = creditOfDay(day, *analysis, o.interactionBound, cache);
    if (!credit)
        throw DataError(Problem::NothingToCompare, {Several{{{"credit.no_repeats"}}}});
    if (o.json)
        fmt::print("{}\n", dumpJson(creditAnswer(*credit, fittedBuilds(day, *analysis), *analysis)));
    else
        fmt::print("{}\n  {}\n", shownText(day.name), said(creditSummary(*credit)));
}

} // namespace

void addCredit(CLI::App& app) {
    auto o = std::make_shared<CreditOptions>();
    CLI::App* command = app.add_subcommand("credit", said("cli.what_each_part_gives"));
    command->add_option("day", o->day, said("cli.day_folder_day_json"))->required();
    o->answer.addTo(*command);
    command->add_option("--interaction-bound-pct", o->interactionBound, said("cli.every_interaction_not_run"));
    command->add_flag("--json", o->json, said("cli.one_json_document_and"));
    command->footer(said("cli.examples_credit"));
    command->callback([o] { runCredit(*o); });
}

} // namespace hillrun::cli
