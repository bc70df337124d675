// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
// The live road: telemetry in, recorder, journal, board.

#include "app/board/board.h"
#include "cell/pull_recorder.h"
#include "core/pull/channel_watch.h"
#include "core/slip/pull_slip.h"
#include "formats/day_store.h"
#include "formats/pull_journal.h"
#include "formats/telemetry.h"

#include <benchmark/benchmark.h>
#include <cmath>
#include <fmt/format.h>
#include <QApplication>
#include <unistd.h>

using namespace hillrun;
using namespace Qt::StringLiterals;

namespace {

std::vector<Column> columns24() {
    std::vector<Column> out{
        {"time", "s", {}}, {"engine_speed", "rpm", {}}, {"torque", "N.m", {}}, {"throttle", "%", {}}};
    while (out.size() < 24)
        out.push_back({fmt::format("sensor_{}", out.size()), "kPa", {}});
    return out;
}

/// A minute of 24 channels at 200 frames a second: idle, then one pull.
std::string minuteOfTelemetry() {
    std::string out = telemetryHead(columns24());
    for (int i = 0; i < 12000; ++i) {
        const double t = 0.005 * i;
        const bool pull = t > 20.0 && t < 31.0;
        out += fmt::format("{:.3f},{:.0f},{:.2f},{:.1f}", t, pull ? 2500.0 + 500.0 * (t - 20.0) : 1150.0,
                           pull ? 95.0 : 2.0, pull ? 100.0 : 6.0);
        for (int c = 4; c < 24; ++c)
            out += fmt::format(",{:.2f}", 100.0 + c + std::sin(t * c));
        out += '\n';
    }
    return out;
}

/// Parser, channel watch and recorder with its journal on disk, as the worker strings them together.
void framesThroughTheWholeRoad(benchmark::State& state) {
    const std::string text = minuteOfTelemetry();
    const auto folder = std::filesystem::temp_directory_path() / fmt::format("hillrun-bench-live-{}", ::getpid());
    std::filesystem::create_directories(folder);
    long frames = 0;
    for (auto _ : state) {
        PullJournal journal;
        Pull pull;
        pull.id = "p01";
        pull.build = "A";
        pull.file = "pulls/p01.csv";
        PullRecorder recorder({.started = [&](double) { journal.begin(folder, pull, columns24()); },
                               .row = [&](std::span<const double> values) { journal.row(values); },
                               .ended = [&](const Recording&) { journal.remove(); },
                               .dropped = [&] { journal.remove(); }});
        recorder.setColumns(columns24());
        recorder.arm();
        std::vector<std::string> names;
        for (const Column& column : columns24())
            names.push_back(column.name);
        ChannelWatch watch(names);
        TelemetryParser parser({.header = {},
                                .frame =
                                    [&](double time, std::span<const double> values) {
                                        watch.take(time, values);
                                        recorder.take(time, values);
                                        if (++frames % 10 == 0 && journal.isOpen())
                                            journal.flush(); // 20 a second
                                    },
                                .comment = {},
                                .problem = {}});
        parser.feed(text);
    }
    state.counters["frames/s"] = benchmark::Counter(static_cast<double>(frames), benchmark::Counter::kIsRate);
    std::filesystem::remove_all(folder);
}
BENCHMARK(framesThroughTheWholeRoad)->Unit(benchmark::kMillisecond)->UseRealTime();

/// From rows in hand to rows on disk, synced: ten rows of 24 channels.
void journalFlush(benchmark::State& state) {
    const auto folder = std::filesystem::temp_directory_path() / fmt::format("hillrun-bench-journal-{}", ::getpid());
    std::filesystem::create_directories(folder);
    PullJournal journal;
    Pull pull;
    pull.id = "p01";
    pull.build = "A";
    pull.file = "pulls/p01.csv";
    journal.begin(folder, pull, columns24());
    std::vector<double> row(24, 123.456);
    for (auto _ : state) {
        for (int i = 0; i < 10; ++i)
            journal.row(row);
        journal.flush();
    }
    journal.remove();
    std::filesystem::remove_all(folder);
}
BENCHMARK(journalFlush)->Unit(benchmark::kMillisecond)->UseRealTime();

/// One frame of the live board: the ghost, and a trace of so many points that grows.
void liveBoardFrame(benchmark::State& state) {
    Look look;
    Board board(look, u"benchLive"_s);
    board.resize(520, 540);
    board.show();
    BoardSeries ghost;
    for (double rpm = 2400.0; rpm < 7900.0; rpm += 50.0) {
        ghost.x.push_back(rpm);
        ghost.y.push_back(20.0 + 0.008 * rpm);
    }
    ghost.pen = QPen(look.theme().quietInk, 1.5, Qt::DashLine);
    ghost.label = u"p01"_s;
    const auto points = static_cast<size_t>(state.range(0));
    size_t shown = points / 2;
    for (auto _ : state) {
        BoardContent content;
        content.title = u"Power, kW"_s;
        content.xRange = RpmRange{2200.0, 8100.0};
        content.series.push_back(ghost);
        BoardSeries trace;
        trace.pen = QPen(look.theme().build(0), 2.6);
        shown = shown >= points ? points / 2 : shown + 1;
        for (size_t i = 0; i < shown; ++i) {
            trace.x.push_back(2400.0 + 5500.0 * static_cast<double>(i) / static_cast<double>(points));
            trace.y.push_back(20.0 + 0.008 * trace.x.back() + 0.3 * std::sin(0.7 * static_cast<double>(i)));
        }
        content.series.push_back(std::move(trace));
        board.setContent(std::move(content));
        board.replot(QCustomPlot::rpImmediateRefresh);
    }
}
BENCHMARK(liveBoardFrame)->Arg(700)->Unit(benchmark::kMillisecond);

/// The slip of the newest pull of a day that is already analysed.
void writeSlip(benchmark::State& state) {
    const char* data = std::getenv("HILLRUN_DATA");
    const TestDay day = readDay(std::filesystem::path(data ? data : "data") / "demo" / "day-1-flat-twin");
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    for (auto _ : state)
        benchmark::DoNotOptimize(pullSlip(day, analysis, "p11"));
}
BENCHMARK(writeSlip)->Unit(benchmark::kMillisecond);

} // namespace

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
