// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/course.h"

#include <string>
#include <string_view>

namespace hillrun {

/// Reads a track of places with heights (GPX 1.1) as a course: gradients out of the heights, corners out of the way the
/// track bends. How it is smoothed stands in docs/method.md; a bend wider than 150 m counts as straight. `name` becomes
/// the course's. Throws DataError for what holds no track, several, one without heights or with a gap.
Course courseFromGpx(std::string_view text, const std::string& file, const std::string& name);

} // namespace hillrun
