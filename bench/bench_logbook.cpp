// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// bench_logbook [--db ADDRESS] [--days N]: fills a logbook with made-up days and times adding, opening and searching.

#include "core/history/cell_history.h"
#include "logbook/logbook.h"

#include <algorithm>
#include <chrono>
#include <CLI/CLI.hpp>
#include <cstdio>
#include <fmt/format.h>
#include <QCoreApplication>
#include <QTemporaryDir>
#include <random>

namespace {

using namespace hillrun;
using Clock = std::chrono::steady_clock;

double milliseconds(Clock::time_point since) {
    return std::chrono::duration<double, std::milli>(Clock::now() - since).count();
}

constexpr const char* kParts[] = {"collector", "airbox", "pipe", "map", "turbo", "intercooler", "valve", "jets"};
constexpr const char* kArticles[] = {"Flat-twin sidecar engine", "Three-cylinder hill buggy", "Recovery tractor",
                                     "Two-stroke single", "Parallel twin"};
constexpr const char* kOperators[] = {"M. Tarn", "J. Corrie", "A. Quill"};

LogbookEntry madeUp(int number, std::mt19937& random) {
    const auto pick = [&](int count) { return static_cast<size_t>(random() % static_cast<unsigned>(count)); };
    LogbookEntry out;
    DayRecord& record = out.record;
    record.id =
        fmt::format("{:04}-{:02}-{:02}-{:06}", 1990 + number / 3000, 1 + number / 250 % 12, 1 + number % 28, number);
    record.date = record.id.substr(0, 10);
    record.article = fmt::format("{} {}", kArticles[pick(5)], pick(200));
    record.cell = fmt::format("Cell {}", 1 + pick(20));
    record.cellKind = "engine_brake";
    record.measuredAt = "crank";
    record.standard = "sae-j1349";
    record.operatorName = kOperators[pick(3)];
    const char* part = kParts[pick(8)];
    record.name = fmt::format("{} {}, evening {}", part, pick(900), number);
    const double level = 10.0 + 0.3 * static_cast<double>(pick(10));
    for (const char* build : {"A", "B"}) {
        BuildRecord one;
        one.id = build;
        one.name = fmt::format("{} {} mm", part, 300 + 10 * pick(40));
        one.parts = {{part, fmt::format("{} mm", 300 + 10 * pick(40))}};
        one.peakPower_w = 1.2 * std::exp(level);
        record.builds.push_back(one);
    }
    for (int pull = 0; pull < 9; ++pull) {
        PullRecord one{pull / 3 == 1 ? "B" : "A", 0.1 * pull, pull / 3, 2500.0, {}};
        for (int i = 0; i < 100; ++i)
            one.power_w.push_back(
                static_cast<float>(std::exp(level + 0.01 * i + 1e-5 * static_cast<double>(pick(900)))));
        record.pulls.push_back(one);
    }
    record.levelSd = 0.003;
    record.freedom = 6.0;
    record.summary = {{"answer.gives",
                       {std::string("B"), Power{100.0 * static_cast<double>(1 + pick(60)), 400.0},
                        Statement{"place.crank"}, Statement{"stretch.over", {RpmRange{4200.0, 7250.0}}}}}};
    out.summary = Voice::forFiles().say(record.summary);
    out.host = "bench-1";
    out.path = "/days/" + record.id;
    out.stamp = fmt::format("{:08x}", random());
    return out;
}

void timeSearches(Logbook& logbook) {
    const char* const queries[] = {"",
                                   "c",
                                   "co",
                                   "collector",
                                   "collector 5",
                                   "flat sidecar tarn",
                                   "over 200 kW",
                                   "2005-03",
                                   "evening",
                                   "b gives",
                                   "zzz",
                                   "turbo under 100 kW corrie"};
    for (const char* typed : queries) {
        DayQuery query = queryFrom(QString::fromUtf8(typed));
        query.limit = 100;
        std::vector<double> times;
        long total = 0;
        for (int repeat = 0; repeat < 5; ++repeat) {
            const auto start = Clock::now();
            const auto found = logbook.find(query);
            total = logbook.count(query);
            times.push_back(milliseconds(start));
        }
        std::sort(times.begin(), times.end());
        fmt::print("search {:28} {:7} found, median {:7.1f} ms, worst {:7.1f} ms\n", fmt::format("\"{}\"", typed),
                   total, times[2], times.back());
    }
}

/// As the list asks when somebody drags it to its end.
void timeScrolling(Logbook& logbook) {
    DayQuery query;
    query.limit = 100;
    const long all = logbook.count(query);
    for (const double share : {0.1, 0.5, 1.0}) {
        query.offset = std::max(0, static_cast<int>(share * static_cast<double>(all)) - query.limit);
        const auto start = Clock::now();
        const auto found = logbook.find(query);
        fmt::print("a hundred days from {}: {} in {:.1f} ms\n", query.offset, found.size(), milliseconds(start));
    }
}

void timeCell(Logbook& logbook, const std::string& cell) {
    auto start = Clock::now();
    const std::vector<DayRecord> records = logbook.recordsOfCell(cell);
    const double read = milliseconds(start);
    start = Clock::now();
    (void)logbook.recordsOfCell(cell);
    const double again = milliseconds(start);
    std::vector<const DayRecord*> days;
    for (const DayRecord& record : records)
        days.push_back(&record);
    days.resize(std::min<size_t>(days.size(), 667)); // 2000 visits
    start = Clock::now();
    const CellHistory history = cellHistory(days);
    fmt::print("cell: {} days read in {:.0f} ms, again in {:.0f} ms; {} days, {} visits learned in {:.0f} ms\n",
               records.size(), read, again, history.days.size(), 3 * history.days.size(), milliseconds(start));
}

} // namespace

int main(int argc, char** argv) {
    const QCoreApplication library(argc, argv);
    CLI::App app{"Times a logbook of many days"};
    const QTemporaryDir folder;
    std::string address = folder.filePath(QStringLiteral("book.sqlite")).toStdString();
    int days = 100000;
    app.add_option("--db", address, "logbook to fill; default: a new file");
    app.add_option("--days", days, "0: times what is there")->capture_default_str();
    CLI11_PARSE(app, argc, argv);
    std::setvbuf(stdout, nullptr, _IOLBF, 0);
    std::mt19937 random(5);
    if (days > 0) {
        Logbook logbook(logbookAddress(address));
        const auto start = Clock::now();
        for (int i = 0; i < days; ++i)
            logbook.put(madeUp(i, random));
        const double took = milliseconds(start);
        fmt::print("added {} days in {:.1f} s, {:.2f} ms a day\n", days, took / 1000.0, took / days);
    }
    const auto start = Clock::now();
    Logbook logbook(logbookAddress(address));
    fmt::print("opened in {:.1f} ms\n", milliseconds(start));
    timeSearches(logbook);
    timeScrolling(logbook);
    timeCell(logbook, "Cell 1");
    return 0;
}
