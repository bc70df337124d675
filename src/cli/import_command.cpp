// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "formats/day_store.h"
#include "formats/import_files.h"

#include <fmt/format.h>
#include <memory>

namespace fs = std::filesystem;

namespace hillrun::cli {
namespace {

struct Options {
    std::vector<std::string> files;
    std::string day;
    std::string mapping;
    std::string build;
    std::optional<double> temperature, pressure, humidity;
};

TestDay openOrBegin(const fs::path& path) {
    if (fs::exists(path / "day.json") || fs::is_regular_file(path))
        return readDay(path);
    if (fs::exists(path) && !fs::is_empty(path))
        throw DataError(Problem::NotADay, {}, {.file = path.string()});
    TestDay day;
    day.name = path.stem().string();
    return day;
}

void describe(const ImportFile& file, const std::string& pull) {
    fmt::print("{}: pull {} of build {}\n", fs::path(file.path).filename().string(), pull, file.build);
    for (const ColumnMeaning& meaning : file.meanings)
        fmt::print("  {} [{}]{}{}\n", meaning.header, meaning.unit,
                   meaning.channel == meaning.header ? "" : " -> " + meaning.channel,
                   meaning.guessed ? (meaning.gauge ? " (guessed, gauge pressure)" : " (guessed)") : "");
}

void run(const Options& o) {
    const int given = int(o.temperature.has_value()) + int(o.pressure.has_value()) + int(o.humidity.has_value());
    if (given != 0 && given != 3)
        throw WrongUse("--temperature-c, --pressure-kpa and --humidity-pct belong together");
    std::optional<ColumnMapping> mapping;
    if (!o.mapping.empty())
        mapping = loadMapping(o.mapping);
    TestDay day = openOrBegin(o.day);
    const bool existed = fs::exists(o.day);
    for (const std::string& path : o.files) { // all are read before anything is written
        ImportFile file = openForImport(path, day, mapping ? &*mapping : nullptr);
        if (!o.build.empty())
            file.build = o.build;
        if (given == 3)
            file.weather =
                Atmosphere{*o.temperature, *o.pressure * 1000.0, {HumidityKind::RelativeHumidity_pct, *o.humidity}};
        describe(file, addImported(day, file));
    }
    saveDay(day, o.day,
            existed && (fs::is_regular_file(o.day) || fs::exists(fs::path(o.day) / "day.json"))
                ? std::optional<fs::path>(o.day)
                : std::nullopt);
}

} // namespace

void addImport(CLI::App& app) {
    auto o = std::make_shared<Options>();
    CLI::App* command =
        app.add_subcommand("import", "put loggers' files into a day; a new day is begun where there is none");
    command->add_option("files", o->files, "text exports of a logger, one pull each")->required();
    command->add_option("--into", o->day, "day folder or zip")->required();
    command->add_option("--map", o->mapping, "a column mapping saved before");
    command->add_option("--build", o->build, "build of these pulls; else it is guessed from the file names");
    command->add_option("--temperature-c", o->temperature, "weather of these pulls");
    command->add_option("--pressure-kpa", o->pressure);
    command->add_option("--humidity-pct", o->humidity);
    command->footer("Example:\n  hillrun-cli import A_1.csv A_2.csv B_1.csv B_2.csv --into day-folder");
    command->callback([o] { run(*o); });
}

} // namespace hillrun::cli
