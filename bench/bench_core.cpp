// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "big_day.h"
#include "core/answer/best_of.h"
#include "core/answer/credit.h"
#include "core/slip/day_events.h"
#include "engine/day_engine.h"
#include "formats/answers_json.h"
#include "formats/pull_file.h"

#include <benchmark/benchmark.h>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cmath>

using namespace hillrun;

namespace {

/// Noise along rpm as a pull has it once it is smoothed over 100 rpm, of which a step is half.
std::vector<double> smoothNoise(boost::random::mt19937& random, int points, double sd) {
    boost::random::normal_distribution<double> normal;
    std::vector<double> raw(static_cast<size_t>(points) + 8);
    for (double& value : raw)
        value = normal(random);
    std::vector<double> out;
    for (size_t p = 4; p + 4 < raw.size(); ++p) {
        double sum = 0.0;
        double squares = 0.0;
        for (int k = -4; k <= 4; ++k) {
            const double weight = std::exp(-0.5 * k * k / 4.0);
            sum += weight * raw[p - 4 + static_cast<size_t>(k + 4)];
            squares += weight * weight;
        }
        out.push_back(sd * sum / std::sqrt(squares));
    }
    return out;
}

/// Ten builds of four pulls each, the base again at the end; 120 speeds.
FitInput tenBuilds() {
    boost::random::mt19937 random(7);
    boost::random::normal_distribution<double> normal;
    FitInput out;
    out.builds = 10;
    for (int p = 0; p < 120; ++p)
        out.rpm.push_back(2000.0 + 50.0 * p);
    out.logPower.resize(44, 120);
    for (int i = 0; i < 44; ++i) {
        out.pulls.push_back({i / 4 % 10, 0.1 * i, i / 4});
        const double level = 11.0 + 0.005 * normal(random);
        const std::vector<double> noise = smoothNoise(random, 120, 0.003);
        for (int p = 0; p < 120; ++p)
            out.logPower(i, p) = level + noise[static_cast<size_t>(p)];
    }
    return out;
}

/// Ten of the sixteen combinations of four parts, or ten steps of one setting.
std::vector<Build> tenOf(bool steps) {
    std::vector<Build> out(10);
    for (unsigned b = 0; b < 10; ++b) {
        out[b].id = std::string(1, static_cast<char>('A' + b));
        if (steps)
            out[b].parts = {{"runner", std::to_string(160 + 20 * b) + " mm"}};
        for (unsigned part = 0; !steps && part < 4; ++part)
            out[b].parts.emplace_back("part " + std::to_string(part), (b >> part & 1U) != 0U ? "on" : "off");
    }
    return out;
}

/// Fit and credit of a day: the first time, and after an edit that keeps the design and finds its draws again.
void creditOfTenBuilds(benchmark::State& state) {
    const FitInput input = tenBuilds();
    const std::vector<Build> builds = tenOf(state.range(0) != 0);
    const bool again = state.range(1) != 0;
    Workers workers;
    const ForEach forEach = [&](size_t count, const std::function<void(size_t)>& work) {
        workers.forEach(count, work);
    };
    DrawCache kept(forEach);
    for (auto _ : state) {
        DrawCache fresh(forEach);
        benchmark::DoNotOptimize(creditOf(fitDay(input), builds, {{3000.0, 7000.0}, {}}, {}, again ? kept : fresh));
    }
}
BENCHMARK(creditOfTenBuilds)
    ->ArgNames({"steps", "again"})
    ->ArgsProduct({{0, 1}, {0, 1}})
    ->Unit(benchmark::kMillisecond)
    ->UseRealTime();

void readCsv(benchmark::State& state) {
    const std::string text = readFileText(bench::bigDayFolder() / "pulls" / "p01.csv");
    for (auto _ : state)
        benchmark::DoNotOptimize(readPullText(text, "p01.csv", 98.0));
    state.SetBytesProcessed(static_cast<int64_t>(state.iterations()) * static_cast<int64_t>(text.size()));
}
BENCHMARK(readCsv)->Unit(benchmark::kMillisecond);

void analyseWholeDay(benchmark::State& state) { // read, observe, correct, fit, compare, events; nothing kept
    for (auto _ : state) {
        DayEngine engine;
        benchmark::DoNotOptimize(engine.analyse(readDay(bench::bigDayFolder()), {}));
    }
}
BENCHMARK(analyseWholeDay)->Unit(benchmark::kMillisecond)->UseRealTime();

void readWholeDay(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(readDay(bench::bigDayFolder()));
}
BENCHMARK(readWholeDay)->Unit(benchmark::kMillisecond);

void reduceWholeDay(benchmark::State& state) {
    const TestDay day = readDay(bench::bigDayFolder());
    for (auto _ : state)
        benchmark::DoNotOptimize(reduceDay(day, {}));
}
BENCHMARK(reduceWholeDay)->Unit(benchmark::kMillisecond);

void reduceThousandPulls(benchmark::State& state) { // 24 channels, 100 samples/s, air, sweep, trims, smoothing
    const TestDay day = readDay(bench::bigDayFolder());
    const Dyno dyno = dynoOf(day);
    for (auto _ : state)
        for (size_t i = 0; i < 1000; ++i)
            benchmark::DoNotOptimize(reduce(day.pulls[i % day.pulls.size()], dyno, {}));
}
BENCHMARK(reduceThousandPulls)->Unit(benchmark::kMillisecond);

void eventsOfWholeDay(benchmark::State& state) { // everything found on 30 pulls, each held against its set
    const TestDay day = readDay(bench::bigDayFolder());
    ReducedDay reduced = reduceDay(day, {});
    for (auto _ : state) {
        addEvents(day, reduced.pulls);
        benchmark::DoNotOptimize(reduced);
    }
}
BENCHMARK(eventsOfWholeDay)->Unit(benchmark::kMillisecond);

void changedStandard(benchmark::State& state) { // what the window works out when a choice changes, events too
    const TestDay day = readDay(bench::bigDayFolder());
    DayEngine engine;
    AnalysisSettings settings;
    int round = 0;
    for (auto _ : state) {
        settings.reduce.standard = ++round % 2 ? Standard::SaeJ607 : Standard::SaeJ1349;
        benchmark::DoNotOptimize(engine.analyse(day, settings));
    }
}
BENCHMARK(changedStandard)->Unit(benchmark::kMillisecond)->UseRealTime();

/// A trim is dragged, what depends on it is worked out again, events too.
void dragTrim(benchmark::State& state, TestDay day) {
    DayEngine engine;
    double low = 2600.0;
    for (auto _ : state) {
        low = low > 2900.0 ? 2600.0 : low + 10.0;
        day.pulls[3].window_rpm = RpmRange{low, 7400.0};
        benchmark::DoNotOptimize(engine.analyse(day, {}));
    }
}

void changedTrim(benchmark::State& state) { dragTrim(state, readDay(bench::bigDayFolder())); }
BENCHMARK(changedTrim)->Unit(benchmark::kMillisecond)->UseRealTime();

void bestOfTenBuilds(benchmark::State& state) { // 44 pulls; the first time, and after an edit that keeps the design
    const bool again = state.range(0) != 0;
    FitInput input;
    for (int p = 0; p < 100; ++p)
        input.rpm.push_back(2500.0 + 50.0 * p);
    input.builds = 10;
    input.logPower.resize(44, 100);
    for (int i = 0; i < 44; ++i) { // ten builds and the return to the first
        input.pulls.push_back({i / 4 % 10, 0.1 * i, i / 4});
        input.logPower.row(i).setConstant(10.0 + 0.01 * (i / 4 % 10) + 0.003 * (i % 4));
    }
    const DayModel model = fitDay(input);
    const NumbersOfBuilds numbers = numbersOfBuilds(model, model.level, {});
    DrawCache kept;
    for (auto _ : state) {
        DrawCache fresh;
        benchmark::DoNotOptimize(bestOf(numbers, 0, again ? kept : fresh));
    }
}
BENCHMARK(bestOfTenBuilds)->Arg(0)->Arg(1)->Unit(benchmark::kMillisecond);

void changedTrimOnTheDemoDay(benchmark::State& state) {
    const char* data = std::getenv("HILLRUN_DATA");
    dragTrim(state, readDay(std::filesystem::path(data ? data : "data") / "demo" / "day-1-flat-twin"));
}
BENCHMARK(changedTrimOnTheDemoDay)->Unit(benchmark::kMillisecond)->UseRealTime();

} // namespace

BENCHMARK_MAIN();
