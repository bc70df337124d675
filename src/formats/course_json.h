// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/day/course.h"
#include "formats/json_reader.h"

namespace hillrun {

/// A course as a day keeps it: of a built-in one only its name. Throws DataError.
Course courseFromJson(ObjectReader in);
Json courseToJson(const Course& course);

} // namespace hillrun
