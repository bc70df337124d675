// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/course.h"

#include <optional>
#include <string>
#include <vector>

namespace hillrun {

/// The courses that are built in, by name: "standing-quarter-mile", "standing-400m", "standing-1000m", "60-100",
/// "80-120" (km/h) and "larkfell-hill", a made-up hill climb.
std::vector<std::string> builtInCourses();
/// Nothing for a name that is not built in.
std::optional<Course> builtInCourse(const std::string& name);

} // namespace hillrun
