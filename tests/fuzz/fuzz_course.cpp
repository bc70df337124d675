// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Any text as a course, a table or a track: refused with a reason, or driven to an end.

#include "../core/road_support.h"
#include "core/errors/data_error.h"
#include "core/road/day_road.h"
#include "formats/course_file.h"
#include "formats/gpx_course.h"

#include <cstdint>
#include <cstdlib>

using namespace hillrun;

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    for (const auto read : {courseFromCsv, courseFromGpx}) {
        Course course;
        try {
            course = read(text, "course", "course");
        } catch (const DataError&) {
            continue;
        }
        if (course.pieces.size() > 300)
            continue;
        const RoadRun run = driveCourse(test::buggy(), test::hump(), withCornerSpeeds(course, 1.0), 1.2);
        if (run.finished() && !(run.time_s > 0.0))
            std::abort();
        (void)courseFromCsv(courseAsCsv(course), "again", "course");
    }
    return 0;
}
