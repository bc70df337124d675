// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/road/course_air.h"

namespace hillrun {

CourseAir courseAir(const TestDay& day, const DayAnalysis& analysis, const Course& course) {
    const Standard standard = analysis.settings.reduce.standard;
    const StandardInfo& info = standardInfo(standard);
    if (course.air) {
        const HumidAir air = humidAir(*course.air);
        return {air.density_kg_m3,
                standard == Standard::Uncorrected ? 1.0 : 1.0 / airFactor(standard, air, engineForAir(day)).factor};
    }
    const bool hasReference = info.referencePressure_pa > 0.0;
    const double temperature_c = hasReference ? info.referenceTemperature_c : 15.0;
    return {humidAir({temperature_c, hasReference ? info.referencePressure_pa : 101325.0, {}}).density_kg_m3, 1.0};
}

} // namespace hillrun
