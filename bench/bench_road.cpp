// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// bench_road: one course driven once.

#include "../tests/core/road_support.h"
#include "core/road/built_in_courses.h"

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

} // namespace

BENCHMARK_MAIN();
