// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/trace/picture.h"

#include <vector>

namespace hillrun {

/// A place on a drawn line.
struct LinePoint {
    PicturePoint at;
    double halfWidth_px = 0.0; ///< how far the middle may be off: half of what the line covers upright, 95 %
};

/// A line of one colour, from left to right, a point for each column of pixels where it is seen: the middle of the
/// pixels of that colour, weighted by how much of it each has (the rim of a drawn line is mixed with the paper). It is
/// followed both ways from `start`, past gaps of up to 30 columns (dashes, lines that cross over it, grid), going on
/// as it went. Where two lines of one colour cross, the one that goes on straight is taken. Empty where nothing but
/// paper lies within 4 pixels of `start`.
std::vector<LinePoint> followLine(const Picture& picture, PicturePoint start);

} // namespace hillrun
