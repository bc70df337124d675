// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/compare/judge.h"
#include "core/compare/quantity.h"
#include "core/compare/sentence.h"
#include "core/errors/shown_text.h"
#include "core/slip/day_events.h"
#include "engine/day_engine.h"
#include "engine/lean_day.h"
#include "formats/answers_json.h"
#include "formats/budget.h"
#include "formats/day_store.h"

#include <algorithm>
#include <array>
#include <fmt/format.h>
#include <fmt/ranges.h>
#include <future>
#include <memory>
#include <sstream>
#include <thread>

namespace fs = std::filesystem;

namespace hillrun::cli {
namespace {

struct AnalyseOptions {
    std::string day;
    std::string batch;
    AnswerOptions answer;
    std::vector<std::string> bands, from, to;
    std::string quantity;
    bool json = false;
    bool jsonLines = false;
};

RpmRange bandOf(const std::string& text) {
    const auto pair = pairIn(text);
    if (!pair || !(pair->first >= 0.0 && pair->second > pair->first))
        throw WrongUse(said("cli.band", {text}));
    return {pair->first, pair->second};
}

AnalysisSettings settingsOf(const AnalyseOptions& o) {
    AnalysisSettings out = o.answer.settings();
    out.quantity = o.quantity;
    if (o.from.size() != o.to.size())
        throw WrongUse(said("cli.from_and_to_come"));
    for (size_t i = 0; i < o.from.size(); ++i)
        out.pairs.emplace_back(o.from[i], o.to[i]);
    for (const std::string& band : o.bands)
        out.bands.push_back(bandOf(band));
    return out;
}

std::shared_ptr<const DayAnalysis> orThrow(std::shared_ptr<const DayAnalysis> analysis,
                                           const AnalysisSettings& settings) {
    const bool pairMissing = !settings.pairs.empty() && analysis->comparisons.size() < settings.pairs.size();
    if (analysis->builds.empty() || pairMissing) {
        Several why;
        if (!analysis->whyNoComparison.empty())
            why.items.push_back(analysis->whyNoComparison);
        for (const PullResult& pull : analysis->pulls)
            if (!pull.used)
                why.items.push_back({"note.of_pull_plain", {pull.id, pull.whyLeftOut}});
        throw DataError(Problem::NothingToCompare, {why});
    }
    if (!analysis->whyNoQuantity.empty())
        throw WrongUse(said(analysis->whyNoQuantity));
    return analysis;
}

/// Each pair of the family: the mean difference over the whole range, and what it means.
void printQuantity(const QuantityAnswer& answer) {
    for (size_t i = 0; i < answer.family; ++i) {
        const QuantityPair& pair = answer.pairs[i];
        fmt::print("  {} \u2192 {}: {}\n", shownText(pair.from), shownText(pair.to),
                   said(quantitySummary(answer.kind, pair)));
    }
}

void printText(const TestDay& day, const DayAnalysis& analysis) {
    fmt::print("{} ({})\n", shownText(day.name), standardInfo(analysis.settings.reduce.standard).title);
    for (const Comparison& c : analysis.comparisons)
        fmt::print("  {} \u2192 {}: {}\n", shownText(c.from), shownText(c.to), said(summary(c, {})));
    if (analysis.quantity)
        printQuantity(*analysis.quantity);
    if (analysis.field)
        fmt::print("  {}\n", said(fieldSummary(*analysis.field)));
    for (const Statement& note : widthStatements(analysis))
        fmt::print("  {}\n", said(note));
    if (!analysis.whyNoComparison.empty())
        fmt::print("  {}\n", said(analysis.whyNoComparison));
    for (const PullResult& pull : analysis.pulls)
        if (!pull.used)
            fmt::print("  {}\n", said("cli.left_out", {pull.id, pull.whyLeftOut}));
}

/// What must not be overlooked although the day can be worked out, on standard error.
std::string batchLine(const std::string& path, const AnalyseOptions& o, const AnalysisSettings& settings) {
    Json out;
    out["day"] = path;
    try {
        DayEngine engine(1); // the days are side by side already
        TestDay day = readDay(path);
        o.answer.takePlan(day);
        const Json answer = analyseAnswer(*analyseOrThrow(day, settingsFor(day, settings), engine));
        for (const auto& [key, value] : answer.items())
            out[key] = value;
        return dumpJson(out);
    } catch (const std::exception& error) {
        out = {{"day", path}, {"error", Voice::forFiles().say(error)}};
        return dumpJson(out);
    }
}

void runBatch(const AnalyseOptions& o) {
    const AnalysisSettings settings = settingsOf(o);
    std::istringstream list(readFileText(o.batch));
    std::vector<std::string> paths;
    for (std::string line; std::getline(list, line);) {
        if (!line.empty() && line.back() == '\r')
            line.pop_back();
        if (!line.empty())
            paths.push_back(line);
    }
    const size_t atOnce = std::max(1U, std::thread::hardware_concurrency());
    for (size_t first = 0; first < paths.size(); first += atOnce) {
        std::vector<std::future<std::string>> lines;
        for (size_t i = first; i < std::min(paths.size(), first + atOnce); ++i)
            lines.push_back(std::async(std::launch::async, batchLine, paths[i], o, settings));
        for (auto& line : lines)
            fmt::print("{}\n", line.get());
        std::fflush(stdout);
    }
}

void print(const AnalyseOptions& o, const TestDay& day, const DayAnalysis& analysis) {
    if (o.json || o.jsonLines)
        fmt::print("{}\n", dumpJson(analyseAnswer(analysis)));
    else
        printText(day, analysis);
}

/// Rows of so much text take about as much memory; beyond it they are not held all at once.
constexpr size_t kHeldText = 96 * budget::kMiB;

/// Works a day out that is too large to hold.
void runLean(const AnalyseOptions& o, const DayOnDisk& reader, const AnalysisSettings& settings) {
    const LeanAnswer lean = analyseLean(reader.day(), settings, [&](size_t number) { return reader.read(number); });
    warnOf(lean.day);
    print(o, lean.day, *orThrow(lean.analysis, settings));
}

void runAnalyse(const AnalyseOptions& o) {
    if (o.day.empty() == o.batch.empty())
        throw WrongUse(said("cli.give_one_day_or"));
    if (!o.batch.empty())
        return runBatch(o);
    const AnalysisSettings settings = settingsOf(o);
    if (pullFilesSize(o.day) > kHeldText) {
        const DayOnDisk reader(o.day);
        TestDay noted = reader.day();
        o.answer.takePlan(noted);
        return runLean(o, reader, settingsFor(noted, settings));
    }
    TestDay day = readDay(o.day);
    o.answer.takePlan(day);
    warnOf(day);
    DayEngine engine;
    print(o, day, *analyseOrThrow(day, settingsFor(day, settings), engine));
}

void runReduce(const std::string& path, const std::string& id, const AirOptions& air, bool json) {
    const ReduceSettings settings = air.settings();
    const TestDay day = readDay(path, BadPulls::Keep); // another pull's trouble is not this one's
    const Pull* pull = findPull(day, id);
    if (!pull)
        throw DataError(Problem::UnknownPull, {id}, {.file = path});
    PullResult own;
    const auto number = static_cast<size_t>(pull - day.pulls.data());
    try {
        if (!pull->raw)
            throw DataError(Problem::FileUnreadable, {Argument(pull->problem)});
        const ReducedDay reduced = reduceDay(day, settings);
        own = reduced.pulls[number];
        if (!own.curve) // once more, for its own error
            (void)reduce(*pull, dynoOf(day), settings, reduced.loss);
        if (pull->grade == PullGrade::Recorded)
            own.events = findEvents(*pull->raw, *own.curve,
                                    eventContext(day, reduced.pulls, number, companionsOfAll(reduced.pulls)[number]));
    } catch (const DataError& error) {
        throw error.inFile(pull->file);
    }
    const Curve& curve = *own.curve;
    if (json)
        fmt::print("{}\n", dumpJson(reduceAnswer(curve, own.events)));
    else
        fmt::print("{}\n", said("cli.reduced",
                                {id, decimals(curve.peakPower_w.value / 1000.0, 2, "kW"), Rpm{curve.peakPower_w.rpm},
                                 decimals(curve.air.factor, 4), curve.sweep().window_rpm}));
}

} // namespace

void warnOf(const TestDay& day) {
    for (const Pull& pull : day.pulls)
        if (!pull.problem.empty() && pull.use)
            fmt::print(stderr, "hillrun-cli: {}\n", said("cli.left_out", {pull.id, pull.problem}));
    for (const auto& group : pullsWithSameRows(day))
        fmt::print(stderr, "hillrun-cli: {}\n", said("cli.same_rows", {namesOf(group)}));
}

/// One line whatever happens: a bad day costs only itself.

std::shared_ptr<const DayAnalysis> analyseOrThrow(const TestDay& day, const AnalysisSettings& settings,
                                                  DayEngine& engine) {
    return orThrow(engine.analyse(day, settings), settings);
}

void AnswerOptions::addTo(CLI::App& command) {
    air.addTo(command, true);
    command.add_option("--use", use, said("cli.what_the_builds_are"));
    command.add_option("--drift-allowance", allowance)
        ->check(CLI::IsMember({"cautious", "steady", "jumps"}))
        ->capture_default_str();
    command.add_option("--drift-bound-pct", bound, said("cli.drift_over_the_session"));
    command.add_option("--refit-sd-pct", refit, said("cli.refit_sd_pct"));
    command.add_option("--matters-kw", mattersKw, said("cli.smallest_difference_that_matters"));
    command.add_option("--matters-pct", mattersPct, said("cli.the_same_in_per"));
}

AnalysisSettings AnswerOptions::settings() const {
    AnalysisSettings out;
    out.reduce = air.settings();
    out.drift.allowance = allowance == "steady"  ? DriftAllowance::Steady
                          : allowance == "jumps" ? DriftAllowance::Jumps
                                                 : DriftAllowance::Cautious;
    out.drift.declaredBound_pct = bound;
    if (mattersKw)
        out.matters_w = *mattersKw * 1000.0;
    out.matters_pct = mattersPct;
    if ((bound && *bound <= 0.0) || (mattersKw && *mattersKw <= 0.0) || (mattersPct && *mattersPct <= 0.0))
        throw WrongUse(said("cli.drift_bound_pct_matters"));
    if (refit && !(*refit >= 0.0 && *refit <= 20.0))
        throw WrongUse(said("cli.refit_sd_range"));
    return out;
}

void AirOptions::addTo(CLI::App& command, bool withGrid) {
    command.add_option("--standard", standard, said("cli.correction_standard"))->capture_default_str();
    command.add_option("--smoothing-rpm", smoothing_rpm, said("cli.width_of_the_local"))->capture_default_str();
    if (withGrid)
        command.add_option("--grid-rpm", grid_rpm, said("cli.step_of_the_common"))->capture_default_str();
}

ReduceSettings AirOptions::settings() const {
    ReduceSettings out;
    try {
        out.standard = standardNamed(standard);
    } catch (const DataError& error) {
        throw WrongUse(said(error));
    }
    if (!(smoothing_rpm >= 1.0 && smoothing_rpm <= 2000.0))
        throw WrongUse(said("cli.smoothing_rpm_lies_between"));
    if (!(grid_rpm >= 5.0 && grid_rpm <= 500.0))
        throw WrongUse(said("cli.grid_rpm_lies_between"));
    out.smoothing_rpm = smoothing_rpm;
    out.grid_rpm = grid_rpm;
    return out;
}

void addAnalyse(CLI::App& app) {
    auto o = std::make_shared<AnalyseOptions>();
    CLI::App* command = app.add_subcommand("analyse", said("cli.compare_the_builds_of"));
    command->add_option("day", o->day, said("cli.day_folder_day_json"));
    command->add_option("--batch", o->batch, said("cli.text_file_with_one"));
    o->answer.addTo(*command);
    command->add_option("--band", o->bands, said("cli.low_high_in_rpm"));
    command->add_option("--quantity", o->quantity, said("cli.another_curve"));
    command->add_option("--from", o->from, said("cli.build_to_compare_from"));
    command->add_option("--to", o->to, said("cli.build_to_compare_to"));
    command->add_flag("--json", o->json, said("cli.one_json_document_and"));
    command->add_flag("--json-lines", o->jsonLines, said("cli.one_json_line_a"));
    command->footer(said("cli.examples_analyse_day_json"));
    command->callback([o] { runAnalyse(*o); });
}

void addReduce(CLI::App& app) {
    struct Options {
        std::string day, pull;
        AirOptions air;
        bool json = false;
    };
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("reduce", said("cli.one_raw_pull_as"));
    command->add_option("day", o->day, said("cli.day_folder_day_json"))->required();
    command->add_option("--pull", o->pull, said("cli.id_of_the_pull"))->required();
    o->air.addTo(*command, true);
    command->add_flag("--json", o->json, said("cli.one_json_document_and"));
    command->footer(said("cli.example_reduce_day_pull"));
    command->callback([o] { runReduce(o->day, o->pull, o->air, o->json); });
}

} // namespace hillrun::cli
