// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "cli/onto_command.h"
#include "core/errors/shown_text.h"
#include "core/weather/humid_air.h"
#include "formats/day_lock.h"
#include "formats/day_store.h"
#include "formats/gather/gather_summary.h"
#include "formats/import_files.h"
#include "formats/json_reader.h"

#include <algorithm>
#include <chrono>
#include <fmt/format.h>
#include <fmt/ranges.h>
#include <memory>

namespace fs = std::filesystem;

namespace hillrun::cli {
namespace {

struct Options {
    std::vector<std::string> files;
    std::string day;
    std::string mapping;
    std::string build;
    std::vector<std::string> onto;
    std::optional<double> lag_s;
    std::string correctedTo;
    std::string measuredAt;
    std::optional<double> smoothing_rpm;
    std::optional<double> temperature, pressure, humidity;
    bool explain = false;
    bool strict = false;
    bool json = false;
};

/// Nothing lives there but what an import that was killed left before its day.json.
bool isUnfinished(const fs::path& folder) {
    for (const auto& entry : fs::directory_iterator(folder)) {
        const std::string name = entry.path().filename().string();
        if (name != "pulls" && name != "day.lock" && !name.starts_with(".hillrun-"))
            return false;
    }
    return true;
}

bool dayIsThere(const fs::path& path) { return fs::exists(path / "day.json") || fs::is_regular_file(path); }

TestDay openOrBegin(const fs::path& path) {
    if (dayIsThere(path))
        return readDay(path, BadPulls::Keep); // one bad pull is no reason to refuse another
    if (fs::exists(path) && !isUnfinished(path))
        throw DataError(Problem::NotADay, {}, {.file = path.string()});
    TestDay day;
    day.name = path.stem().string();
    return day;
}

/// A file and the ids that its pulls got.
struct Imported {
    ImportFile file;
    std::vector<std::string> ids; ///< of the pulls in use, in order
};

std::optional<Atmosphere> givenWeather(const Options& o) {
    const int given = int(o.temperature.has_value()) + int(o.pressure.has_value()) + int(o.humidity.has_value());
    if (given == 0)
        return std::nullopt;
    if (given != 3)
        throw WrongUse(said("cli.temperature_c_pressure_kpa"));
    const Atmosphere air{*o.temperature, *o.pressure * 1000.0, {HumidityKind::RelativeHumidity_pct, *o.humidity}};
    (void)humidAir(air); // such air exists
    return air;
}

/// What was said of a curve goes with it; of recorded pulls it cannot be said.
void takeGiven(ImportFile& file, const TestDay& day, const Options& o) {
    const bool described = !o.correctedTo.empty() || o.smoothing_rpm || !o.measuredAt.empty();
    if (described && file.problem && file.problem->problem() == Problem::NoTimeChannel) {
        file.choices.purpose = GatherPurpose::Curve; // though it does not look like one
        readAgain(file, day);
    }
    if (file.problem)
        throw DataError(*file.problem);
    if (described && !isCurve(file))
        throw WrongUse(said("cli.corrected_to_smoothing_rpm"));
    if (!o.correctedTo.empty() && o.correctedTo != "unknown")
        file.given.corrected = standardNamed(o.correctedTo);
    file.given.smoothing_rpm = o.smoothing_rpm;
    for (const MeasuredAt at : {MeasuredAt::Crank, MeasuredAt::Hub, MeasuredAt::Wheel})
        if (o.measuredAt == measuredAtName(at))
            file.measuredAt = at;
    if (!o.correctedTo.empty()) // that was asked
        std::erase_if(file.gathered->notes, [](const GatherNote& note) { return note.code == GatherCode::CurveOnly; });
}

std::vector<ImportFile> readAll(const Options& o, const TestDay& day) {
    const auto weather = givenWeather(o);
    std::optional<GatherMapping> mapping;
    if (!o.mapping.empty())
        mapping = loadMapping(o.mapping);
    std::vector<ImportFile> out;
    for (const std::string& path : o.files)
        for (ImportFile& file : openForImport(path, day, mapping ? &*mapping : nullptr)) {
            takeGiven(file, day, o);
            if (weather)
                file.weather = weather;
            if (!o.build.empty())
                std::fill(file.builds.begin(), file.builds.end(), o.build);
            file.bytes.reset(); // it is not read again
            out.push_back(std::move(file));
        }
    return out;
}

/// Doubts go to standard error; with --strict they end the import before anything is written.
void tellDoubts(const std::vector<ImportFile>& files, bool strict) {
    size_t doubts = 0;
    for (const ImportFile& file : files)
        for (const GatherNote& note : doubtsOf(file.gathered->notes)) {
            fmt::print(stderr, "hillrun-cli: {}\n", said(noteStatements(note)));
            ++doubts;
        }
    if (strict && doubts > 0)
        throw DataError(Problem::Doubted, {std::to_string(doubts)});
}

void describe(const Imported& imported, bool explain) {
    const GatheredFile& gathered = *imported.file.gathered;
    for (size_t i = 0; i < imported.ids.size(); ++i)
        fmt::print("{}\n", said("cli.pull_of", {imported.file.name, imported.ids[i], imported.file.builds[i]}));
    if (!imported.file.mapping.empty())
        fmt::print("  {}\n", said("cli.with_mapping", {imported.file.mapping}));
    if (!explain)
        return;
    for (const Statement& line : explained(gathered))
        fmt::print("  {}\n", said(line));
    for (const GatherNote& note : gathered.notes)
        if (!isDoubt(note.code))
            fmt::print("  {}\n", said(noteStatements(note)));
}

Json pullJson(const GatheredFile& file, const GatheredPull& pull, const std::string& build, double air_kpa,
              bool curve) {
    Json out = {{"build", build},
                {"grade", curve ? "curve_only" : "recorded"},
                {"rows", pull.rows.rows()},
                {"started", pull.started},
                {"sweep_rpm", {pull.sweep_rpm.low, pull.sweep_rpm.high}},
                {"peak_power", nullptr}};
    if (const auto peak = rawPeak(curve ? curveTableOf(file, air_kpa) : tableOf(file, pull, air_kpa)))
        out["peak_power"] = {{"value", peak->power_kw}, {"rpm", peak->rpm}};
    return out;
}

Json fileJson(const Imported& imported) {
    const GatheredFile& gathered = *imported.file.gathered;
    constexpr size_t kLeftOutTold = 1000;
    Json out = {{"file", imported.file.name}, {"pulls", Json::array()}, {"columns", Json::array()},
                {"warnings", Json::array()},  {"notes", Json::array()}, {"left_out", Json::array()}};
    for (size_t i = 0; i < gathered.pulls.size(); ++i) {
        Json pull = {{"id", i < imported.ids.size() ? Json(imported.ids[i]) : Json()}};
        pull.update(pullJson(gathered, gathered.pulls[i], imported.file.builds[i], ambient_kpa(imported.file),
                             isCurve(imported.file)));
        out["pulls"].push_back(pull);
    }
    for (const GatheredColumn& column : gathered.columns)
        out["columns"].push_back({{"header", column.header},
                                  {"channel", column.channel},
                                  {"unit", column.unit},
                                  {"gauge", column.gauge},
                                  {"guessed", column.guessed}});
    for (const GatherNote& note : gathered.notes)
        out[isDoubt(note.code) ? "warnings" : "notes"].push_back(
            {{"code", gatherCodeName(note.code)},
             {"place", Voice::forFiles().place(note.place)},
             {"text", Voice::forFiles().say(gatherStatement(note))}});
    for (const LeftOutLine& line : gathered.table.leftOut)
        if (out["left_out"].size() < kLeftOutTold)
            out["left_out"].push_back({{"line", line.line}, {"why", Voice::forFiles().say(Statement{line.why})}});
    return out;
}

void tell(const std::vector<Imported>& all, const Options& o) {
    if (!o.json) {
        for (const Imported& imported : all)
            describe(imported, o.explain);
        return;
    }
    Json files = Json::array();
    for (const Imported& imported : all)
        files.push_back(fileJson(imported));
    fmt::print("{}\n", dumpJson({{"files", files}}));
}

/// Only says what would be understood.
void explainOnly(const Options& o) {
    std::vector<Imported> all;
    auto files = readAll(o, {});
    tellDoubts(files, false);
    for (ImportFile& file : files) {
        if (!o.json)
            fmt::print("{}:\n", shownText(file.name));
        all.push_back({std::move(file), {}});
    }
    tell(all, o);
    if (o.strict)
        for (const Imported& imported : all)
            if (const auto doubts = doubtsOf(imported.file.gathered->notes); !doubts.empty())
                throw DataError(Problem::Doubted, {std::to_string(doubts.size())});
}

void run(const Options& o) {
    if (o.day.empty() && !o.explain)
        throw WrongUse(said("cli.into_day_is_missing"));
    if (o.onto.empty() && o.lag_s)
        throw WrongUse(said("cli.lag_s_goes_with"));
    if (!o.onto.empty() && o.day.empty())
        throw WrongUse(said("cli.onto_needs_into_day"));
    const bool pullsOnly = !o.build.empty() || o.temperature || o.pressure || o.humidity || o.explain;
    if (!o.onto.empty() && pullsOnly)
        throw WrongUse(said("cli.build_explain_and_the"));
    if (!o.onto.empty())
        return layOnto({o.files, o.day, o.onto, o.mapping, o.lag_s, o.strict, o.json});
    if (o.day.empty())
        return explainOnly(o);
    (void)givenWeather(o);
    const fs::path target = fs::path(o.day).filename() == "day.json" ? fs::path(o.day).parent_path() : fs::path(o.day);
    if (!isZipPath(target) && !fs::exists(target))
        makeFolders(target);                      // the lock lives in it
    const FileLock lock = lockDayBriefly(target); // from reading to the last byte
    TestDay day = openOrBegin(target);
    auto files = readAll(o, day); // all are read before anything is written
    tellDoubts(files, o.strict);
    std::vector<Imported> all;
    std::vector<std::string> added;
    for (ImportFile& file : files) {
        const auto ids = addImported(day, file, target);
        added.insert(added.end(), ids.begin(), ids.end());
        all.push_back({std::move(file), ids});
    }
    for (const auto& group : pullsWithSameRows(day)) // said, not refused: the operator may mean it
        if (std::any_of(group.begin(), group.end(),
                        [&](const std::string& id) { return std::count(added.begin(), added.end(), id) > 0; }))
            fmt::print(stderr, "hillrun-cli: {}\n", said("cli.same_rows", {namesOf(group)}));
    if (!lock.holds())
        throw DataError(Problem::DayTakenOver, {Statement{"cli.nothing_imported"}}, {.file = o.day});
    saveDay(day, target, dayIsThere(target) ? std::optional<fs::path>(target) : std::nullopt);
    tell(all, o);
}

} // namespace

void addImport(CLI::App& app) {
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("import", said("cli.put_loggers_files_into"));
    command->add_option("files", o->files, said("cli.text_files_of_a"))->required();
    command->add_option("--into", o->day, said("cli.day_folder_or_zip"));
    command->add_option("--map", o->mapping, said("cli.a_mapping_kept_before"));
    command->add_flag("--explain", o->explain, said("cli.tell_what_was_understood"));
    command->add_flag("--strict", o->strict, said("cli.refuse_exit_1_what"));
    command->add_flag("--json", o->json, said("cli.what_was_understood_as"));
    command->add_option("--build", o->build, said("cli.build_of_these_pulls"));
    command->add_option("--onto", o->onto, said("cli.the_files_are_logs"))->delimiter(',');
    command->add_option("--lag-s", o->lag_s, said("cli.with_onto_pull_what"));
    command->add_option("--corrected-to", o->correctedTo, said("cli.of_a_curve_by"));
    command->add_option("--smoothing-rpm", o->smoothing_rpm, said("cli.of_such_a_curve"))
        ->check(CLI::Range(0.0, 2000.0));
    command->add_option("--measured-at", o->measuredAt, said("cli.of_such_a_curve_crank"))
        ->check(CLI::IsMember({"crank", "hub", "wheel"}));
    command->add_option("--temperature-c", o->temperature, said("cli.weather_of_these_pulls"));
    command->add_option("--pressure-kpa", o->pressure);
    command->add_option("--humidity-pct", o->humidity);
    command->footer(said("cli.example_import_a_1"));
    command->callback([o] { run(*o); });
}

} // namespace hillrun::cli
