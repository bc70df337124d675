// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/errors/shown_text.h"
#include "core/history/across_ladder.h"
#include "core/history/cell_history.h"
#include "core/units/log_percent.h"
#include "formats/across_json.h"
#include "formats/day_store.h"
#include "formats/record_json.h"
#include "logbook/damaged.h"
#include "logbook/log_days.h"
#include "logbook/outbox.h"
#include "logbook/sql_library.h"

#include <array>
#include <csignal>
#include <filesystem>
#include <fmt/format.h>

namespace hillrun::cli {
namespace {

namespace fs = std::filesystem;

volatile std::sig_atomic_t stopAsked = 0;

struct LogbookOptions {
    std::string db;
    bool json = false;
    bool replace = false;
    std::vector<std::string> words;
    std::string article, part, operatorName, since, until, sort = "newest";
    int limit = 0;
    std::vector<std::string> places;
    std::string id, package;
    std::string from, to;
    std::vector<std::string> days;
};

LogbookAddress addressOf(const LogbookOptions& o) { return o.db.empty() ? defaultLogbook() : logbookAddress(o.db); }

/// Opens the logbook, and sends what waited for it.
std::unique_ptr<Logbook> openLogbook(const LogbookAddress& address) {
    auto out = std::make_unique<Logbook>(address);
    const Outbox::Sent sent = Outbox(outboxFolder()).send(*out);
    if (sent.taken > 0)
        fmt::print(stderr, "hillrun-cli: {}\n", said("logbook.sent", {Count{static_cast<long>(sent.taken)}}));
    for (const FoundDay& day : sent.conflicts)
        fmt::print(stderr, "hillrun-cli: {}\n", said("logbook.conflict", {shownText(day.id), day.host, day.path}));
    for (const auto& [id, error] : sent.refused)
        fmt::print(stderr, "hillrun-cli: {}: {}\n", shownText(id), said(error));
    return out;
}

/// What became of days that were to enter.
struct Entered {
    std::vector<std::string> added, updated, unchanged, waiting;
    std::vector<FoundDay> conflicts;
    std::vector<std::pair<std::string, std::string>> failed; ///< place, why
};

void count(const std::string& id, const PutResult& result, Entered& out) {
    switch (result.kind) {
    case PutKind::Added:
        return out.added.push_back(id);
    case PutKind::Updated:
        return out.updated.push_back(id);
    case PutKind::Unchanged:
        return out.unchanged.push_back(id);
    case PutKind::Conflict:
        return out.conflicts.push_back(*result.other);
    }
}

void enter(Logbook& logbook, const fs::path& place, bool replace, Entered& out) {
    const LogbookEntry entry = entryOf(place);
    std::optional<int> seen;
    if (const auto there = replace ? logbook.find(entry.record.id) : std::nullopt)
        seen = there->revision;
    count(entry.record.id, logbook.put(entry, seen, packageOf), out);
}

int tell(const LogbookOptions& o, const Entered& all) {
    for (const FoundDay& day : all.conflicts)
        fmt::print(stderr, "hillrun-cli: {}\n", said("logbook.conflict", {shownText(day.id), day.host, day.path}));
    for (const auto& [place, why] : all.failed)
        fmt::print(stderr, "hillrun-cli: {}\n", why.starts_with(place) ? why : shownText(place) + ": " + why);
    if (o.json) {
        Json conflicts = Json::array();
        for (const FoundDay& day : all.conflicts)
            conflicts.push_back({{"id", day.id}, {"host", day.host}, {"path", day.path}, {"revision", day.revision}});
        Json failed = Json::array();
        for (const auto& [place, why] : all.failed)
            failed.push_back({{"path", place}, {"why", why}});
        fmt::print("{}\n", dumpJson(Json{{"added", all.added},
                                         {"updated", all.updated},
                                         {"unchanged", all.unchanged},
                                         {"waiting", all.waiting},
                                         {"conflicts", std::move(conflicts)},
                                         {"failed", std::move(failed)}}));
    } else {
        fmt::print("{}\n", said("logbook.entered",
                                {Count{static_cast<long>(all.added.size())}, decimals(double(all.updated.size()), 0),
                                 decimals(double(all.unchanged.size()), 0)}));
        if (!all.waiting.empty())
            fmt::print("{}\n", said("logbook.waiting", {Count{static_cast<long>(all.waiting.size())}}));
    }
    return all.conflicts.empty() && all.failed.empty() ? 0 : 1;
}

/// The server is away: what was to enter waits.
void keepWaiting(const LogbookAddress& address, const std::vector<std::string>& places, Entered& out) {
    Outbox outbox(outboxFolder());
    for (const std::string& place : places) {
        const LogbookEntry entry = entryOf(place);
        outbox.keep(address, entry);
        out.waiting.push_back(entry.record.id);
    }
}

int runAdd(const LogbookOptions& o) {
    const LogbookAddress address = addressOf(o);
    Entered all;
    std::unique_ptr<Logbook> logbook;
    try {
        logbook = openLogbook(address);
    } catch (const DataError& error) {
        if (error.problem() != Problem::LogbookUnreachable || !address.onServer)
            throw;
        fmt::print(stderr, "hillrun-cli: {}\n", said(error));
        keepWaiting(address, o.places, all);
        return tell(o, all);
    }
    for (const std::string& place : o.places) {
        try {
            enter(*logbook, place, o.replace, all);
        } catch (const DataError& error) {
            if (error.problem() == Problem::LogbookUnreachable && address.onServer) // it went away meanwhile
                keepWaiting(address, {place}, all);
            else
                all.failed.emplace_back(place, said(error));
        }
    }
    return tell(o, all);
}

int runRebuild(const LogbookOptions& o) {
    const LogbookAddress address = addressOf(o);
    if (const auto aside = setDamagedAside(address))
        fmt::print(stderr, "hillrun-cli: {}\n", said("logbook.set_aside", {address.text(), aside->string()}));
    const auto logbook = openLogbook(address);
    std::vector<fs::path> places;
    for (const std::string& folder : o.places) {
        if (std::error_code error; !fs::exists(folder, error))
            throw DataError(Problem::FileMissing, {}, {.file = folder});
        for (fs::path& place : daysBelow(folder))
            places.push_back(std::move(place));
    }
    std::signal(SIGINT, [](int) { stopAsked = 1; }); // after the day at hand; a later run goes on from there
    Entered all;
    size_t done = 0;
    for (const fs::path& place : places) {
        if (stopAsked)
            break;
        const auto known = logbook->findPlace(thisBench(), placeOf(place));
        try {
            if (known && known->isCurrent && known->stamp == dayStamp(place))
                all.unchanged.push_back(known->id);
            else
                enter(*logbook, place, o.replace, all);
        } catch (const DataError& error) {
            if (error.problem() == Problem::LogbookUnreachable)
                throw;
            all.failed.emplace_back(place.string(), said(error));
        }
        ++done;
        if (::isatty(STDERR_FILENO))
            fmt::print(stderr, "\r{} / {}", done, places.size());
    }
    if (::isatty(STDERR_FILENO))
        fmt::print(stderr, "\n");
    const int status = tell(o, all);
    if (!stopAsked)
        return status;
    fmt::print(stderr, "hillrun-cli: {}\n", said("logbook.stopped", {Count{static_cast<long>(places.size() - done)}}));
    return 1;
}

Json foundJson(const FoundDay& day) {
    Json builds = Json::array();
    for (const FoundBuild& build : day.builds)
        builds.push_back(build.text());
    return {{"id", day.id},
            {"name", day.name},
            {"date", day.date},
            {"article", day.article},
            {"cell", day.cell},
            {"operator", day.operatorName},
            {"builds", std::move(builds)},
            {"summary", day.summary},
            {"peak_power_kw", day.peak_kw ? Json(*day.peak_kw) : Json(nullptr)},
            {"path", day.path},
            {"host", day.host},
            {"revision", day.revision}};
}

DaySort sortNamed(const std::string& name) {
    const std::map<std::string, DaySort> all{{"newest", DaySort::Newest},
                                             {"oldest", DaySort::Oldest},
                                             {"name", DaySort::Name},
                                             {"article", DaySort::Article},
                                             {"power", DaySort::Power}};
    return all.at(name);
}

int runFind(const LogbookOptions& o) {
    QStringList typed;
    for (const std::string& word : o.words)
        typed << QString::fromStdString(word);
    DayQuery query = queryFrom(typed.join(QLatin1Char(' ')));
    query.article = QString::fromStdString(o.article);
    query.part = QString::fromStdString(o.part);
    query.operatorName = QString::fromStdString(o.operatorName);
    query.since = QString::fromStdString(o.since);
    query.until = QString::fromStdString(o.until);
    query.sort = sortNamed(o.sort);
    query.limit = o.limit;
    const auto logbook = openLogbook(addressOf(o));
    const std::vector<FoundDay> found = logbook->find(query);
    if (o.json) {
        Json days = Json::array();
        for (const FoundDay& day : found)
            days.push_back(foundJson(day));
        fmt::print("{}\n", dumpJson(Json{{"days", std::move(days)}}));
        return 0;
    }
    if (found.empty())
        fmt::print("{}\n", said("logbook.nothing_found"));
    for (const FoundDay& day : found)
        fmt::print("{}  {}  {}\n  {}\n", day.id, shownText(day.name), shownText(day.article),
                   shownText(answerText(day, currentVoice())));
    return 0;
}

int runShow(const LogbookOptions& o) {
    const auto logbook = openLogbook(addressOf(o));
    const auto day = logbook->find(o.id);
    const auto record = logbook->record(o.id);
    if (!day || !record)
        throw DataError(Problem::UnknownDay, {o.id});
    if (!o.package.empty()) {
        const auto package = logbook->package(o.id);
        if (!package)
            throw DataError(Problem::LogbookBroken, {Statement{"logbook.no_package"}});
        writeFileSafely(o.package, {package->constData(), static_cast<size_t>(package->size())});
    }
    if (o.json) {
        Json out = foundJson(*day);
        out["record"] = parseJson(recordToJson(*record), o.id);
        fmt::print("{}\n", dumpJson(out));
        return 0;
    }
    fmt::print("{}\n{}  {}\n{}\n", shownText(day->name), day->date, shownText(day->article), shownText(day->path));
    for (const FoundBuild& build : day->builds)
        fmt::print("  {}\n", shownText(build.text()));
    fmt::print("{}\n", shownText(day->summary));
    return 0;
}

int runForget(const LogbookOptions& o) {
    const auto logbook = openLogbook(addressOf(o));
    if (!logbook->forget(o.id))
        throw DataError(Problem::UnknownDay, {o.id});
    fmt::print("{}\n", said("logbook.forgotten", {o.id}));
    return 0;
}

std::vector<const DayRecord*> pointersTo(const std::vector<DayRecord>& records) {
    std::vector<const DayRecord*> out;
    for (const DayRecord& record : records)
        out.push_back(&record);
    return out;
}

int runCell(const LogbookOptions& o) {
    const auto logbook = openLogbook(addressOf(o));
    const std::vector<DayRecord> records = logbook->recordsOfCell(o.id);
    if (records.empty())
        throw DataError(Problem::UnknownDay, {o.id});
    const CellHistory cell = cellHistory(daysOfDyno(records));
    if (o.json) {
        fmt::print("{}\n", dumpJson(cellAnswer(cell)));
        return 0;
    }
    fmt::print("{}\n", said("logbook.cell_days", {o.id, Count{static_cast<long>(cell.days.size())}}));
    for (const Statement& line : cellFigures(cell.repeatability, cell.refit, cell.dayToDay))
        fmt::print("{}\n", said(line));
    if (const Statement state = cellStatement(cell.chart, cell.runs); !state.empty())
        fmt::print("{}\n", said(state));
    return 0;
}

/// A day of the logbook, or one that lies in a folder.
DayRecord recordNamed(Logbook& logbook, const std::string& idOrPath) {
    if (auto record = logbook.record(idOrPath))
        return *record;
    std::error_code error;
    if (!fs::exists(idOrPath, error))
        throw DataError(Problem::UnknownDay, {idOrPath});
    LogbookEntry entry = entryOf(idOrPath);
    entry.record.cell = logbook.cellName(entry.record.cell, entry.host);
    return std::move(entry.record);
}

/// "DAY:BUILD" at the last colon, for a path may hold some.
std::pair<std::string, std::string> dayAndBuild(const std::string& text) {
    const size_t colon = text.rfind(':');
    if (colon == std::string::npos || colon == 0 || colon + 1 == text.size())
        throw WrongUse(said("cli.day_and_build", {text}));
    return {text.substr(0, colon), text.substr(colon + 1)};
}

int runCompare(const LogbookOptions& o) {
    const auto [fromDay, fromBuild] = dayAndBuild(o.from);
    const auto [toDay, toBuild] = dayAndBuild(o.to);
    const auto logbook = openLogbook(addressOf(o));
    std::vector<DayRecord> named;
    const auto take = [&](const std::string& text) {
        DayRecord record = recordNamed(*logbook, text);
        const std::string id = record.id;
        if (std::none_of(named.begin(), named.end(), [&](const DayRecord& one) { return one.id == id; }))
            named.push_back(std::move(record));
        return id;
    };
    const BuildOfDay from{take(fromDay), fromBuild, {}};
    const BuildOfDay to{take(toDay), toBuild, {}};
    for (const std::string& day : o.days)
        take(day);
    const std::vector<DayRecord> ofCell = logbook->recordsOfCell(named.front().cell);
    const std::vector<const DayRecord*> cell = daysOfDyno(ofCell, &named.front());
    const std::vector<const DayRecord*> net = pointersTo(named);
    const DaysTogether together = daysTogether(net, cell);
    const AcrossAnswer answer = compareAcross(together, from, to);
    if (!o.json) {
        fmt::print("{}\n  {}\n", said(acrossSummary(answer)), said(acrossNotes(answer)));
        return 0;
    }
    DrawCache draws;
    const auto shapes = shapesTogether(together);
    fmt::print("{}\n", dumpJson(acrossAnswer(answer, together.net,
                                             shapes ? curveAcross(together, *shapes, from, to, draws) : std::nullopt)));
    return 0;
}

/// The ladder of the first day's article over the days named; of one day over all days of its article on its dyno.
int runLadder(const LogbookOptions& o) {
    const auto logbook = openLogbook(addressOf(o));
    std::vector<DayRecord> named;
    for (const std::string& text : o.days)
        named.push_back(recordNamed(*logbook, text));
    const std::vector<DayRecord> ofCell = logbook->recordsOfCell(named.front().cell);
    const std::vector<const DayRecord*> cell = daysOfDyno(ofCell, &named.front());
    std::vector<const DayRecord*> net = pointersTo(named);
    if (named.size() == 1)
        for (const DayRecord* day : cell)
            if (day->id != named.front().id && byArticle(std::array{day, net.front()}).size() == 1)
                net.push_back(day);
    const DaysTogether together = daysTogether(net, cell);
    const AcrossLadder ladder = acrossLadder(together, articleKey(named.front()));
    if (o.json) {
        fmt::print("{}\n", dumpJson(ladderAnswer(ladder)));
        return 0;
    }
    fmt::print("{}\n", said(ladderSummary(ladder)));
    for (const AcrossAnswer& step : ladder.steps)
        fmt::print("  {}\n", said(acrossSummary(step)));
    if (!ladder.steps.empty())
        fmt::print("  {}\n", said(ladderNotes(ladder)));
    return 0;
}

/// Runs a command under the library that the database drivers are found by, and ends with its status.
template <class Run> std::function<void()> withLibrary(std::shared_ptr<LogbookOptions> o, Run run) {
    return [o, run] {
        const SqlLibrary library;
        if (const int status = run(*o); status != 0)
            throw Ended{status};
    };
}

} // namespace

void addLogbook(CLI::App& app) {
    auto o = std::make_shared<LogbookOptions>();
    CLI::App* logbook = app.add_subcommand("logbook", said("cli.logbook"));
    logbook->add_option("--db", o->db, said("cli.logbook_address"));
    logbook->require_subcommand(1);
    logbook->fallthrough();
    logbook->footer(said("cli.examples_logbook"));
    const auto command = [&](const char* name, const char* what) {
        CLI::App* out = logbook->add_subcommand(name, said(what));
        out->add_flag("--json", o->json, said("cli.one_json_document_and"));
        return out;
    };
    CLI::App* add = command("add", "cli.logbook_add");
    add->add_option("days", o->places, said("cli.day_folder_day_json"))->required();
    add->add_flag("--replace", o->replace, said("cli.logbook_replace"));
    add->callback(withLibrary(o, runAdd));

    CLI::App* rebuild = command("rebuild", "cli.logbook_rebuild");
    rebuild->add_option("folders", o->places, said("cli.logbook_folders"))->required();
    rebuild->add_flag("--replace", o->replace, said("cli.logbook_replace"));
    rebuild->callback(withLibrary(o, runRebuild));

    CLI::App* find = command("find", "cli.logbook_find");
    find->add_option("words", o->words, said("cli.logbook_words"));
    find->add_option("--article", o->article, said("cli.logbook_article"));
    find->add_option("--part", o->part, said("cli.logbook_part"));
    find->add_option("--operator", o->operatorName, said("cli.logbook_operator"));
    find->add_option("--since", o->since, said("cli.logbook_since"));
    find->add_option("--until", o->until, said("cli.logbook_until"));
    find->add_option("--sort", o->sort, said("cli.logbook_sort"))
        ->check(CLI::IsMember({"newest", "oldest", "name", "article", "power"}));
    find->add_option("--limit", o->limit, said("cli.logbook_limit"))->check(CLI::NonNegativeNumber);
    find->callback(withLibrary(o, runFind));

    CLI::App* show = command("show", "cli.logbook_show");
    show->add_option("id", o->id, said("cli.logbook_id"))->required();
    show->add_option("--package", o->package, said("cli.logbook_package"));
    show->callback(withLibrary(o, runShow));

    CLI::App* forget = command("forget", "cli.logbook_forget");
    forget->add_option("id", o->id, said("cli.logbook_id"))->required();
    forget->callback(withLibrary(o, runForget));

    CLI::App* cell = command("cell", "cli.logbook_cell");
    cell->add_option("name", o->id, said("cli.logbook_cell_name"))->required();
    cell->callback(withLibrary(o, runCell));

    CLI::App* compare = command("compare", "cli.logbook_compare");
    compare->add_option("from", o->from, said("cli.logbook_from"))->required();
    compare->add_option("to", o->to, said("cli.logbook_to"))->required();
    compare->add_option("days", o->days, said("cli.logbook_days"));
    compare->callback(withLibrary(o, runCompare));

    CLI::App* ladder = command("ladder", "cli.logbook_ladder");
    ladder->add_option("days", o->days, said("cli.logbook_ladder_days"))->required();
    ladder->callback(withLibrary(o, runLadder));
}

} // namespace hillrun::cli
