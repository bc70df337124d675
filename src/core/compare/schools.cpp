// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/schools.h"

#include <algorithm>
#include <cmath>

namespace hillrun {

SchoolCurve schoolCurve(const DayAnalysis& analysis, const std::string& build, CurveSchool school) {
    SchoolCurve out;
    if (school == CurveSchool::Mean) {
        if (const BuildResult* result = analysis.findBuild(build))
            out = {"", analysis.rpm, result->power_w, result->torque_nm};
        return out;
    }
    std::vector<const PullResult*> pulls;
    for (const PullResult& pull : analysis.pulls)
        if (pull.used && pull.build == build)
            pulls.push_back(&pull);
    if (pulls.empty())
        return out;
    const auto rank = [school](const PullResult* pull) {
        const double value = school == CurveSchool::LastSettled ? pull->time_h : pull->bandMean_w;
        return std::isfinite(value) ? value : -1.0;
    };
    std::stable_sort(pulls.begin(), pulls.end(), [&](const auto* a, const auto* b) { return rank(a) < rank(b); });
    const PullResult* chosen = school == CurveSchool::Median ? pulls[(pulls.size() - 1) / 2] : pulls.back();
    return {chosen->id, chosen->curve->rpm, chosen->curve->power_w, chosen->curve->torque_nm};
}

const char* schoolName(CurveSchool school) {
    constexpr const char* names[] = {"mean", "best", "median", "last"};
    return names[static_cast<size_t>(school)];
}

} // namespace hillrun
