// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// bench_road: one course driven once.

#include "core/road/road_run.h"

#include <benchmark/benchmark.h>
#include <cmath>

namespace {

using namespace hillrun;

RoadVehicle buggy() {
    RoadVehicle out;
    out.mass_kg = 690.0;
    out.tyreRadius_m = 0.29;
    out.finalDrive = 4.1;
    out.gears = {3.4, 2.05, 1.36, 1.03, 0.84};
    out.dragArea_m2 = 0.85;
    out.rollingResistance = 0.018;
    out.tyreGrip = 1.05;
    out.wheelbase_m = 2.05;
    out.centreOfMassHeight_m = 0.45;
    out.frontShare = 0.42;
    out.efficiency = 0.9;
    out.shiftTime_s = 0.35;
    out.launch_rpm = 4200.0;
    out.engineInertia_kgm2 = 0.12;
    return out;
}

EngineCurve hump() {
    EngineCurve out;
    for (double rpm = 2000.0; rpm <= 7000.0; rpm += 50.0) {
        out.rpm.push_back(rpm);
        out.torque_nm.push_back(120.0 - 45.0 * std::pow((rpm - 4600.0) / 2600.0, 2));
    }
    return out;
}

void drive(benchmark::State& state, const Course& course) {
    const RoadVehicle vehicle = buggy();
    const EngineCurve engine = hump();
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
