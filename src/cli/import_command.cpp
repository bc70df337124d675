// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/errors/shown_text.h"
#include "core/weather/humid_air.h"
#include "formats/day_lock.h"
#include "formats/day_store.h"
#include "formats/import_files.h"

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
    std::optional<double> temperature, pressure, humidity;
};

constexpr std::chrono::seconds kWaitForOthers{60};

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

void describe(const ImportFile& file, const std::string& pull) {
    fmt::print("{}: pull {} of build {}\n", shownText(fs::path(file.path).filename().string()), pull,
               shownText(file.build));
    for (const ColumnMeaning& meaning : file.meanings)
        fmt::print("  {} [{}]{}{}\n", shownText(meaning.header), shownText(meaning.unit),
                   meaning.channel == meaning.header ? "" : " -> " + shownText(meaning.channel),
                   meaning.guessed ? (meaning.gauge ? " (guessed, gauge pressure)" : " (guessed)") : "");
}

void run(const Options& o) {
    const int given = int(o.temperature.has_value()) + int(o.pressure.has_value()) + int(o.humidity.has_value());
    if (given != 0 && given != 3)
        throw WrongUse("--temperature-c, --pressure-kpa and --humidity-pct belong together");
    std::optional<ColumnMapping> mapping;
    if (!o.mapping.empty())
        mapping = loadMapping(o.mapping);
    const fs::path target = fs::path(o.day).filename() == "day.json" ? fs::path(o.day).parent_path() : fs::path(o.day);
    if (!isZipPath(target) && !fs::exists(target))
        makeFolders(target);                                      // the lock lives in it
    const FileLock lock = lockDayBriefly(target, kWaitForOthers); // from reading to the last byte
    if (given == 3)
        (void)humidAir(Atmosphere{*o.temperature,
                                  *o.pressure * 1000.0,
                                  {HumidityKind::RelativeHumidity_pct, *o.humidity}}); // such air exists
    TestDay day = openOrBegin(target);
    std::vector<std::string> added;
    for (const std::string& path : o.files) { // all are read before anything is written
        ImportFile file = openForImport(path, day, mapping ? &*mapping : nullptr);
        if (!o.build.empty())
            file.build = o.build;
        if (given == 3)
            file.weather =
                Atmosphere{*o.temperature, *o.pressure * 1000.0, {HumidityKind::RelativeHumidity_pct, *o.humidity}};
        added.push_back(addImported(day, file, target));
        describe(file, added.back());
    }
    for (const auto& group : pullsWithSameRows(day)) // said, not refused: the operator may mean it
        if (std::any_of(group.begin(), group.end(),
                        [&](const std::string& id) { return std::count(added.begin(), added.end(), id) > 0; }))
            fmt::print(stderr, "hillrun-cli: {} hold the same rows to the digit\n", fmt::join(group, " and "));
    if (!lock.holds())
        throw DataError(Problem::DayTakenOver, {"nothing was imported"}, {.file = o.day});
    saveDay(day, target, dayIsThere(target) ? std::optional<fs::path>(target) : std::nullopt);
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
