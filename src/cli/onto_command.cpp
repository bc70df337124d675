// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/onto_command.h"

#include "cli/commands.h"
#include "core/errors/shown_text.h"
#include "formats/day_lock.h"
#include "formats/day_store.h"
#include "formats/gather/gather_summary.h"
#include "formats/import_logs.h"
#include "formats/json_reader.h"

#include <algorithm>
#include <chrono>
#include <fmt/format.h>
#include <fmt/ranges.h>

namespace fs = std::filesystem;

namespace hillrun::cli {
namespace {

/// A log and where it lies.
struct Laid {
    ImportFile file;
    std::vector<LogOnPull> tried; ///< of the pulls asked for
};

ImportFile openLog(const std::string& path, const TestDay& day, const std::string& mapping) {
    std::optional<GatherMapping> known;
    if (!mapping.empty())
        known = loadMapping(mapping);
    auto files = openForImport(path, day, known ? &*known : nullptr, {}, GatherPurpose::Log);
    if (files.size() != 1)
        throw WrongUse(said("cli.an_archive_of_several"));
    return std::move(files.front());
}

DataError alikeError(const LogOnPull& one) {
    return {Problem::LogFitsSeveral, {namesOf(one.alike)}, {.key = one.pull}};
}

/// Where the log lies on the pulls asked for. A pull that was asked for by name keeps a log that fits others as well;
/// of all pulls none does.
std::vector<LogOnPull> place(const TestDay& day, const ImportFile& file, const ChannelTable& log,
                             const OntoOptions& o) {
    if (o.lag_s) {
        const Pull* pull = findPull(day, o.pulls.front());
        if (!pull || !ownRows(*pull))
            throw DataError(Problem::UnknownPull, {o.pulls.front()}, {.file = o.day});
        return {{pull->id, judgeLog(*ownRows(*pull), log, {*o.lag_s, 0.0}), {}, {}}};
    }
    std::vector<LogOnPull> out = tryLog(day, log, logZero_s(file));
    for (const std::string& id : o.pulls)
        if (!findPull(day, id) && id != "all")
            throw DataError(Problem::UnknownPull, {id}, {.file = o.day});
    if (o.pulls.front() == "all") {
        for (LogOnPull& one : out)
            if (one.fit && !one.alike.empty()) {
                one.fit.reset();
                one.whyNot = alikeError(one);
            }
        return out;
    }
    std::erase_if(out, [&](const LogOnPull& one) {
        return std::find(o.pulls.begin(), o.pulls.end(), one.pull) == o.pulls.end();
    });
    return out;
}

/// What the operator has to know besides: doubts of the file, and pulls that the log fits as well.
std::vector<std::string> doubtsOf(const Laid& laid) {
    std::vector<std::string> out;
    for (const GatherNote& note : hillrun::doubtsOf(laid.file.gathered->notes))
        out.push_back(said(noteStatements(note)));
    for (const LogOnPull& one : laid.tried)
        if (one.fit && !one.alike.empty())
            out.push_back(said(alikeError(one)));
    return out;
}

/// A pull that was asked for by name has to fit; of all of them one has to.
void refuse(const std::vector<LogOnPull>& tried, const std::string& file, bool all) {
    const auto fits = [](const LogOnPull& one) { return one.fit.has_value(); };
    if (all && std::any_of(tried.begin(), tried.end(), fits))
        return;
    for (const LogOnPull& one : tried)
        if (!one.fit)
            throw DataError(one.whyNot->problem(), one.whyNot->details(), {.file = shownText(file), .key = one.pull});
    if (tried.empty())
        throw DataError(Problem::NothingToCompare, {Statement{"cli.no_pulls"}}, {.file = file});
}

std::vector<std::string> channelsOf(const Pull& pull, const std::string& log) {
    std::vector<std::string> out;
    for (const JoinedColumn& column : joinedColumns(*ownRows(pull), pull.logs))
        if (pull.logs[column.log].name == log)
            out.push_back(column.name);
    return out;
}

Json logJson(const TestDay& day, const LogOnPull& one, const std::string& name) {
    if (!one.fit)
        return {{"pull", one.pull}, {"error", Voice::forFiles().say(*one.whyNot)}};
    return {{"pull", one.pull},
            {"fits_as_well", one.alike},
            {"lag_s", one.fit->clock.lag_s},
            {"drift_pct", 100.0 * one.fit->clock.drift},
            {"overlap_s", one.fit->overlap_s},
            {"misfit_rpm", one.fit->misfit_rpm},
            {"expected_rpm", one.fit->expected_rpm},
            {"channels", channelsOf(*findPull(day, one.pull), name)}};
}

void tell(const TestDay& day, const std::vector<Laid>& all, const OntoOptions& o) {
    Json files = Json::array();
    for (const Laid& laid : all) {
        const std::string name = logNameOf(laid.file);
        Json file = {{"file", laid.file.name}, {"logs", Json::array()}, {"warnings", Json::array()}};
        for (const LogOnPull& one : laid.tried) {
            file["logs"].push_back(logJson(day, one, name));
            if (!o.json && one.fit)
                fmt::print(
                    "{}\n  {}\n",
                    said("cli.onto",
                         {laid.file.name, one.pull, decimals(one.fit->clock.lag_s, 3, "s"),
                          signedDecimals(100.0 * one.fit->clock.drift, 3, "%"), decimals(one.fit->overlap_s, 1, "s"),
                          decimals(one.fit->misfit_rpm, 1, "rpm"), decimals(one.fit->expected_rpm, 1, "rpm")}),
                    said("cli.adds", {namesOf(channelsOf(*findPull(day, one.pull), name))}));
            else if (!one.fit)
                fmt::print(stderr, "hillrun-cli: {}\n", said("cli.not_onto", {one.pull, said(*one.whyNot)}));
        }
        for (const GatherNote& note : hillrun::doubtsOf(laid.file.gathered->notes))
            file["warnings"].push_back({{"code", gatherCodeName(note.code)},
                                        {"place", Voice::forFiles().place(note.place)},
                                        {"text", Voice::forFiles().say(gatherStatement(note))}});
        files.push_back(std::move(file));
    }
    if (o.json)
        fmt::print("{}\n", dumpJson({{"files", files}}));
}

} // namespace

void layOnto(const OntoOptions& o) {
    if (o.lag_s && (o.pulls.size() != 1 || o.pulls.front() == "all" || o.files.size() != 1))
        throw WrongUse(said("cli.lag_s_goes_with_one"));
    const fs::path target = fs::path(o.day).filename() == "day.json" ? fs::path(o.day).parent_path() : fs::path(o.day);
    const FileLock lock = lockDayBriefly(target);
    TestDay day = readDay(target, BadPulls::Keep);
    std::vector<Laid> all;
    for (const std::string& path : o.files) {
        Laid laid{openLog(path, day, o.mapping), {}};
        const auto rows = logRows(laid.file, ambient_kpa(laid.file));
        laid.tried = place(day, laid.file, *rows, o);
        refuse(laid.tried, path, o.pulls.front() == "all");
        const std::vector<std::string> doubts = doubtsOf(laid);
        for (const std::string& doubt : doubts)
            fmt::print(stderr, "hillrun-cli: {}\n", doubt);
        if (o.strict && !doubts.empty())
            throw DataError(Problem::Doubted, {std::to_string(doubts.size())});
        for (const LogOnPull& one : laid.tried)
            if (Pull* pull = findPull(day, one.pull); pull && one.fit)
                layOn(*pull, logFor(*pull, laid.file, one.fit->clock));
        all.push_back(std::move(laid));
    }
    if (!lock.holds())
        throw DataError(Problem::DayTakenOver, {Statement{"cli.nothing_imported"}}, {.file = o.day});
    saveDay(day, target, target);
    tell(day, all, o);
}

} // namespace hillrun::cli
