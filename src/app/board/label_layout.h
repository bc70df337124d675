// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <utility>
#include <vector>

// Where words go on a board so that none covers another. Plain numbers, in pixels.

namespace hillrun {

/// The row of each word (left and right edge, rising left): the lowest in which its place is free, `apart` between
/// words.
std::vector<int> rowsOfWords(const std::vector<std::pair<double, double>>& spans, double apart);

/// Moves label positions (rising) until they stand `apart` and, where they fit, between top and bottom; order is kept.
void spreadLabels(std::vector<double>& pixels, double apart, double top, double bottom);

} // namespace hillrun
