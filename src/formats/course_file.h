// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/road/course.h"

#include <string>
#include <string_view>

namespace hillrun {

/// Reads a course: a table with `length [m]`, `gradient [%]` and `speed_limit [km/h]` (blank: none), a line a piece of
/// road; a line such as "#air 20 C 101.3 kPa 50 %" is its own air, other lines with # are comments. `name` becomes the
/// course's. Throws DataError.
Course courseFromCsv(std::string_view text, const std::string& file, const std::string& name);

/// A built-in course by its name, else a file. Throws DataError (FileMissing) for neither.
Course courseNamed(const std::string& nameOrFile);

} // namespace hillrun
