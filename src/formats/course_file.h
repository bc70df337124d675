// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/course.h"
#include "core/statement/statement.h"

#include <string>
#include <string_view>

namespace hillrun {

/// Reads a course: a table with `length [m]`, `gradient [%]` and, when there are corners, `speed_limit [km/h]` or
/// `radius [m]` (blank: none), a line a piece of road. A line such as "#air 20 C 101.3 kPa 50 %" is its own air,
/// "#corner 4 Lower hairpin" the name of the fourth piece; other lines with # are comments. `name` becomes the
/// course's. Throws DataError.
Course courseFromCsv(std::string_view text, const std::string& file, const std::string& name);
/// The same table of a course, to be looked through and corrected by hand.
std::string courseAsCsv(const Course& course);

/// A built-in course by its name, "held:5500" or "held:5500:150" for one engine speed held, else a file: a table, or a
/// track with the ending .gpx. Throws DataError (FileMissing) for none of these.
Course courseNamed(const std::string& nameOrFile);

/// Throws DataError for a course that nobody can drive.
void checkCourse(const Course& course, const Place& place);
/// Throws DataError for a speed that nobody can hold.
void checkHeld(const HeldSpeed& held, const Place& place);

} // namespace hillrun
