// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <cmath>

namespace hillrun {

/// A difference of logarithms as per cent.
inline double percentOfLog(double log) { return 100.0 * std::expm1(log); }

/// Half of the width from one log difference to another, as per cent.
inline double halfPercent(double low, double high) { return 0.5 * (percentOfLog(high) - percentOfLog(low)); }

} // namespace hillrun
