// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/day/course.h"

namespace hillrun {

double Course::length_m() const {
    double out = 0.0;
    for (const CoursePiece& piece : pieces)
        out += piece.length_m;
    return out;
}

} // namespace hillrun
