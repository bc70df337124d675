// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

namespace hillrun {

/// How a build's curve is shown. Only the mean has an interval; differences always come from all used pulls.
enum class CurveSchool { Mean, Best, Median, LastSettled };

/// A build's curve after one school. `pull` names the single pull it is; empty for the mean.
struct SchoolCurve {
    std::string pull;
    std::vector<double> rpm;
    std::vector<double> power_w;
    std::vector<double> torque_nm;
};

/// Best: highest band mean; median: the pull in the middle by band mean (the lower of two); last settled: the last used
/// pull of the day's last set of this build. Empty when the build has no used pull.
SchoolCurve schoolCurve(const DayAnalysis& analysis, const std::string& build, CurveSchool school);

/// "mean", "best", "median", "last"
const char* schoolName(CurveSchool school);

} // namespace hillrun
