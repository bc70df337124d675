// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// bench_road: one course driven once, and what Road works out after an edit.

#include "../tests/core/day_support.h"
#include "../tests/core/road_support.h"
#include "core/compare/analyse.h"
#include "core/road/built_in_courses.h"
#include "core/road/lead_along.h"

#include <benchmark/benchmark.h>

namespace {

using namespace hillrun;

void drive(benchmark::State& state, const Course& course) {
    const RoadVehicle vehicle = test::buggy();
    const EngineCurve engine = test::hump();
    for (auto _ : state)
        benchmark::DoNotOptimize(driveCourse(vehicle, engine, course, 1.2).time_s);
}

void quarterMile(benchmark::State& state) { drive(state, *builtInCourse("standing-quarter-mile")); }
BENCHMARK(quarterMile)->Unit(benchmark::kMicrosecond);

/// The built-in hill twice and a bit: 3 km with nine corners.
void threeKilometreHill(benchmark::State& state) {
    const Course hill = *builtInCourse("larkfell-hill");
    Course course = hill;
    while (course.length_m() < 3000.0)
        course.pieces.insert(course.pieces.end(), hill.pieces.begin(), hill.pieces.end());
    drive(state, course);
}
BENCHMARK(threeKilometreHill)->Unit(benchmark::kMicrosecond);

/// All that the page works out anew of a day of 30 pulls that is analysed: every pull driven up the hill, every pair,
/// and the lead of one along the way.
void roadAfterAnEdit(benchmark::State& state) {
    TestDay day = test::smallDay("A6 B6 C6 B6 A6");
    day.article.vehicle = {.mass_kg = 690.0, .tyreRadius_m = 0.29, .finalDrive = 4.1};
    day.article.vehicle.gears = {3.4, 2.05, 1.36, 1.03, 0.84};
    day.article.vehicle.dragArea_m2 = 0.85;
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    const Course hill = *builtInCourse("larkfell-hill");
    for (auto _ : state) {
        const DayRoad road = dayRoad(day, analysis, hill);
        const LeadAlong lead = leadAlong(analysis, road, "A", "B");
        if (lead.low_s.empty())
            state.SkipWithError("nothing was driven");
        benchmark::DoNotOptimize(lead.later_s.data());
    }
}
BENCHMARK(roadAfterAnEdit)->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
