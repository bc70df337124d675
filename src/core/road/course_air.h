// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/day/course.h"

namespace hillrun {

/// The air of a course against that of the day's standard.
struct CourseAir {
    double density_kg_m3 = 0.0;
    double torqueFactor = 1.0; ///< what its oxygen does to corrected torque
};
/// A course without air of its own is driven in the standard's.
CourseAir courseAir(const TestDay& day, const DayAnalysis& analysis, const Course& course);

} // namespace hillrun
