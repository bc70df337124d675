// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "core/errors/shown_text.h"
#include "core/slip/day_events.h"
#include "engine/day_engine.h"
#include "engine/lean_day.h"
#include "formats/answers_json.h"
#include "formats/budget.h"
#include "formats/curves_csv.h"
#include "formats/day_store.h"
#include "report/render.h"
#include "report/sheet.h"

#include <algorithm>
#include <charconv>
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
    AirOptions air;
    std::vector<std::string> bands, from, to;
    std::string allowance = "cautious";
    std::optional<double> bound, mattersKw, mattersPct;
    bool json = false;
    bool jsonLines = false;
};

RpmRange bandOf(const std::string& text) {
    RpmRange out;
    const size_t colon = text.find(':');
    const char* end = text.data() + text.size();
    bool good = colon != std::string::npos;
    if (good) {
        const auto low = std::from_chars(text.data(), text.data() + colon, out.low);
        const auto high = std::from_chars(text.data() + colon + 1, end, out.high);
        good = low.ec == std::errc() && low.ptr == text.data() + colon && high.ec == std::errc() && high.ptr == end;
    }
    if (!good || !(out.low >= 0.0 && out.high > out.low))
        throw WrongUse(fmt::format("--band {}: write LOW:HIGH in rpm, low before high", text));
    return out;
}

AnalysisSettings settingsOf(const AnalyseOptions& o) {
    AnalysisSettings out;
    out.reduce = o.air.settings();
    if (o.from.size() != o.to.size())
        throw WrongUse("--from and --to come in pairs");
    for (size_t i = 0; i < o.from.size(); ++i)
        out.pairs.emplace_back(o.from[i], o.to[i]);
    for (const std::string& band : o.bands)
        out.bands.push_back(bandOf(band));
    out.drift.allowance = o.allowance == "steady"  ? DriftAllowance::Steady
                          : o.allowance == "jumps" ? DriftAllowance::Jumps
                                                   : DriftAllowance::Cautious;
    out.drift.declaredBound_pct = o.bound;
    if (o.mattersKw)
        out.matters_w = *o.mattersKw * 1000.0;
    out.matters_pct = o.mattersPct;
    if ((o.bound && *o.bound <= 0.0) || (o.mattersKw && *o.mattersKw <= 0.0) || (o.mattersPct && *o.mattersPct <= 0.0))
        throw WrongUse("--drift-bound-pct, --matters-kw and --matters-pct are above zero");
    return out;
}

/// For a reader who cannot ask back no pull or no shared range is an error.
std::shared_ptr<const DayAnalysis> orThrow(std::shared_ptr<const DayAnalysis> analysis,
                                           const AnalysisSettings& settings) {
    const bool pairMissing = !settings.pairs.empty() && analysis->comparisons.size() < settings.pairs.size();
    if (analysis->builds.empty() || pairMissing) {
        std::string why = analysis->whyNoComparison;
        for (const PullResult& pull : analysis->pulls)
            if (!pull.used)
                why += fmt::format("; {}: {}", pull.id, pull.whyLeftOut);
        throw DataError(Problem::NothingToCompare, {why});
    }
    return analysis;
}

std::shared_ptr<const DayAnalysis> analyseOrThrow(const TestDay& day, const AnalysisSettings& settings,
                                                  DayEngine& engine) {
    return orThrow(engine.analyse(day, settings), settings);
}

void printText(const TestDay& day, const DayAnalysis& analysis) {
    fmt::print("{} ({})\n", shownText(day.name), standardInfo(analysis.settings.reduce.standard).title);
    for (const Comparison& c : analysis.comparisons)
        fmt::print("  {} to {}: {}\n", shownText(c.from), shownText(c.to), shownText(summary(c, {}), 1000));
    if (!analysis.whyNoComparison.empty())
        fmt::print("  {}\n", analysis.whyNoComparison);
    for (const PullResult& pull : analysis.pulls)
        if (!pull.used)
            fmt::print("  left out: {}: {}\n", shownText(pull.id), shownText(pull.whyLeftOut, 400));
}

/// What must not be overlooked although the day can be worked out, on standard error.
void warnOf(const TestDay& day) {
    for (const Pull& pull : day.pulls)
        if (!pull.problem.empty() && pull.use)
            fmt::print(stderr, "hillrun-cli: {} is left out: {}\n", shownText(pull.id), pull.problem);
    for (const auto& group : pullsWithSameRows(day))
        fmt::print(stderr, "hillrun-cli: {} hold the same rows to the digit\n", fmt::join(group, " and "));
}

/// One line whatever happens: a bad day costs only itself.
std::string batchLine(const std::string& path, const AnalysisSettings& settings) {
    Json out;
    out["day"] = path;
    try {
        DayEngine engine(1); // the days are side by side already
        const TestDay day = readDay(path);
        const Json answer = analyseAnswer(*analyseOrThrow(day, settingsFor(day, settings), engine));
        for (const auto& [key, value] : answer.items())
            out[key] = value;
        return dumpJson(out);
    } catch (const std::exception& error) {
        out = {{"day", path}, {"error", error.what()}};
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
            lines.push_back(std::async(std::launch::async, batchLine, paths[i], settings));
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
        throw WrongUse("give one DAY, or --batch LIST");
    if (!o.batch.empty())
        return runBatch(o);
    const AnalysisSettings settings = settingsOf(o);
    if (pullFilesSize(o.day) > kHeldText) {
        const DayOnDisk reader(o.day);
        return runLean(o, reader, settingsFor(reader.day(), settings));
    }
    const TestDay day = readDay(o.day);
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
            throw DataError(Problem::FileUnreadable, {pull->problem});
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
        fmt::print("{}: {:.2f} kW at {:.0f} rpm, factor {:.4f}, {:.0f}-{:.0f} rpm\n", id,
                   curve.peakPower_w.value / 1000.0, curve.peakPower_w.rpm, curve.air.factor,
                   curve.sweep().window_rpm.low, curve.sweep().window_rpm.high);
}

void runExport(const std::string& path, const std::string& target, const AirOptions& air) {
    const ReduceSettings settings = air.settings();
    const std::string ending = fs::path(target).extension().string();
    if (ending != ".zip" && ending != ".csv" && ending != ".json" && ending != ".pdf" && ending != ".svg")
        throw WrongUse("--to FILE ends in .zip, .csv, .json, .pdf or .svg");
    const TestDay day = readDay(path);
    warnOf(day);
    if (ending == ".zip") {
        (void)saveDay(day, target, path);
        return;
    }
    DayEngine engine;
    AnalysisSettings all;
    all.reduce = settings;
    const auto worked = analyseOrThrow(day, settingsFor(day, all), engine);
    const DayAnalysis& analysis = *worked;
    if (ending == ".csv")
        writeFileSafely(target, curvesCsv(day, analysis, {}));
    else if (ending == ".json")
        writeFileSafely(target, dumpJson(analyseAnswer(analysis), 2) + "\n");
    else if (ending == ".svg")
        report::writeSvg(report::allSheets(day, analysis, {}).front(), target);
    else
        report::writePdf(report::allSheets(day, analysis, {}), target, day.name);
}

} // namespace

void AirOptions::addTo(CLI::App& command, bool withGrid) {
    command.add_option("--standard", standard, "correction standard")->capture_default_str();
    command.add_option("--smoothing-rpm", smoothing_rpm, "width of the local regression")->capture_default_str();
    if (withGrid)
        command.add_option("--grid-rpm", grid_rpm, "step of the common grid")->capture_default_str();
}

ReduceSettings AirOptions::settings() const {
    ReduceSettings out;
    try {
        out.standard = standardNamed(standard);
    } catch (const DataError& error) {
        throw WrongUse(error.what());
    }
    if (!(smoothing_rpm >= 1.0 && smoothing_rpm <= 2000.0))
        throw WrongUse("--smoothing-rpm lies between 1 and 2000");
    if (!(grid_rpm >= 5.0 && grid_rpm <= 500.0))
        throw WrongUse("--grid-rpm lies between 5 and 500");
    out.smoothing_rpm = smoothing_rpm;
    out.grid_rpm = grid_rpm;
    return out;
}

void addAnalyse(CLI::App& app) {
    auto o = std::make_shared<AnalyseOptions>();
    CLI::App* command = app.add_subcommand("analyse", "compare the builds of a day");
    command->add_option("day", o->day, "day folder, day.json or zip");
    command->add_option("--batch", o->batch, "text file with one day path a line");
    o->air.addTo(*command, true);
    command->add_option("--band", o->bands, "LOW:HIGH in rpm; may be repeated");
    command->add_option("--from", o->from, "build to compare from; with --to, may be repeated");
    command->add_option("--to", o->to, "build to compare to");
    command->add_option("--drift-allowance", o->allowance)
        ->check(CLI::IsMember({"cautious", "steady", "jumps"}))
        ->capture_default_str();
    command->add_option("--drift-bound-pct", o->bound, "drift over the session is at most this");
    command->add_option("--matters-kw", o->mattersKw, "smallest difference that matters");
    command->add_option("--matters-pct", o->mattersPct, "the same in per cent of the base");
    command->add_flag("--json", o->json, "one JSON document and nothing else");
    command->add_flag("--json-lines", o->jsonLines, "one JSON line a day");
    command->footer("Examples:\n  hillrun-cli analyse DAY --json\n"
                    "  hillrun-cli analyse DAY --standard iso-1585 --band 4500:7500 --from A --to B --json\n"
                    "  hillrun-cli analyse --batch days.txt --json-lines");
    command->callback([o] { runAnalyse(*o); });
}

void addReduce(CLI::App& app) {
    struct Options {
        std::string day, pull;
        AirOptions air;
        bool json = false;
    };
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("reduce", "one raw pull as a corrected, smoothed curve");
    command->add_option("day", o->day, "day folder, day.json or zip")->required();
    command->add_option("--pull", o->pull, "id of the pull")->required();
    o->air.addTo(*command, true);
    command->add_flag("--json", o->json, "one JSON document and nothing else");
    command->footer("Example:\n  hillrun-cli reduce DAY --pull p01 --standard uncorrected --json");
    command->callback([o] { runReduce(o->day, o->pull, o->air, o->json); });
}

void addExport(CLI::App& app) {
    struct Options {
        std::string day, target;
        AirOptions air;
    };
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("export", "the day as a package, a table, JSON or a printed sheet");
    command->add_option("day", o->day, "day folder, day.json or zip")->required();
    command->add_option("--to", o->target, "FILE.zip, .csv, .json, .pdf or .svg")->required();
    o->air.addTo(*command, true);
    command->footer("Example:\n  hillrun-cli export DAY --to sheet.pdf");
    command->callback([o] { runExport(o->day, o->target, o->air); });
}

} // namespace hillrun::cli
