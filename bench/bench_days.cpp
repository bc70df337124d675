// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// bench_days: what one article over 200 days, and a cell over 2000 visits, cost to learn and to ask.

#include "core/history/across_ladder.h"
#include "core/history/cell_history.h"

#include <benchmark/benchmark.h>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <cmath>

namespace {

using namespace hillrun;

/// Days "A x A" of articles in turn, three pulls a set, 90 points; each day one of so many parts.
std::vector<DayRecord> madeUpDays(size_t count, size_t articles, size_t parts = 12) {
    boost::random::mt19937_64 generator(1);
    boost::random::normal_distribution<double> normal;
    std::vector<DayRecord> out(count);
    for (size_t d = 0; d < count; ++d) {
        DayRecord& day = out[d];
        day.id = "d" + std::to_string(1000 + d);
        day.date = "2026-" + std::to_string(1000 + d);
        day.article = "engine " + std::to_string(d % articles);
        day.cell = "bench";
        day.levelSd = 0.004;
        day.freedom = 5.0;
        day.shapeVariance.assign(90, 1e-5F);
        day.varianceLow_rpm = 2500.0;
        day.protectedFromDrift = true;
        const std::string part = std::to_string(d % parts);
        day.builds.resize(2);
        day.builds[0].id = "A";
        day.builds[0].parts = {{"pipe", "short"}};
        day.builds[1].id = "B";
        day.builds[1].parts = {{"pipe", part}};
        const double ofDay = 0.01 * normal(generator);
        for (int pull = 0; pull < 9; ++pull) {
            const int set = pull / 3;
            PullRecord one{set == 1 ? "B" : "A", 0.1 * pull, set, 2500.0, {}};
            const double level = std::log(40000.0) + ofDay + 0.004 * normal(generator);
            for (int p = 0; p < 90; ++p)
                one.power_w.push_back(static_cast<float>(std::exp(level + 0.01 * p + 0.003 * normal(generator))));
            day.pulls.push_back(one);
        }
    }
    return out;
}

std::vector<const DayRecord*> pointersTo(const std::vector<DayRecord>& days) {
    std::vector<const DayRecord*> out;
    for (const DayRecord& day : days)
        out.push_back(&day);
    return out;
}

/// The net of one article and its cell, and one difference.
void articleOver(benchmark::State& state) {
    const std::vector<DayRecord> days = madeUpDays(static_cast<size_t>(state.range(0)), 1);
    const auto all = pointersTo(days);
    for (auto _ : state) {
        const DaysTogether together = daysTogether(all, all);
        benchmark::DoNotOptimize(compareAcross(together, {"d1000", "B"}, {"d1001", "B"}).estimate);
    }
}
BENCHMARK(articleOver)->Arg(24)->Arg(60)->Arg(200)->Unit(benchmark::kMillisecond);

/// The same when every day tries a part that no other day has.
void articleOfNewParts(benchmark::State& state) {
    const auto count = static_cast<size_t>(state.range(0));
    const std::vector<DayRecord> days = madeUpDays(count, 1, count);
    const auto all = pointersTo(days);
    for (auto _ : state) {
        const DaysTogether together = daysTogether(all, all);
        benchmark::DoNotOptimize(compareAcross(together, {"d1000", "B"}, {"d1001", "B"}).estimate);
    }
}
BENCHMARK(articleOfNewParts)->Arg(24)->Arg(200)->Unit(benchmark::kMillisecond);

/// The same difference along rpm.
void curveOver(benchmark::State& state) {
    const std::vector<DayRecord> days = madeUpDays(static_cast<size_t>(state.range(0)), 1);
    const auto all = pointersTo(days);
    const DaysTogether together = daysTogether(all, all);
    for (auto _ : state) {
        DrawCache draws;
        const auto shapes = shapesTogether(together);
        benchmark::DoNotOptimize(curveAcross(together, *shapes, {"d1000", "B"}, {"d1001", "B"}, draws)->delta.sum());
    }
}
BENCHMARK(curveOver)->Arg(24)->Arg(200)->Unit(benchmark::kMillisecond);

/// All steps of a ladder of thirteen builds.
void ladderOver(benchmark::State& state) {
    const std::vector<DayRecord> days = madeUpDays(static_cast<size_t>(state.range(0)), 1);
    const auto all = pointersTo(days);
    const DaysTogether together = daysTogether(all, all);
    for (auto _ : state)
        benchmark::DoNotOptimize(acrossLadder(together, "engine 0").steps.size());
}
BENCHMARK(ladderOver)->Arg(24)->Arg(200)->Unit(benchmark::kMillisecond);

/// What a cell of three visits a day has taught.
void cellOver(benchmark::State& state) {
    const std::vector<DayRecord> days = madeUpDays(static_cast<size_t>(state.range(0)) / 3, 5);
    for (auto _ : state)
        benchmark::DoNotOptimize(cellHistory(pointersTo(days)).days.size());
}
BENCHMARK(cellOver)->Arg(72)->Arg(2000)->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
