// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/pull/observe.h"

namespace hillrun {

/// A curve by engine speed, without rows over time, on the grid: straight through its points (modified Akima; two or
/// three are joined by straight lines), nothing smoothed, nothing beyond its ends. Torque where it is known, else from
/// power. Throws DataError (NoSpeedChannel, NoTorqueChannel, TooFewPoints, ImplausibleSpeed).
Observed observeGiven(const Pull& pull, const GridSettings& grid);

/// Whether a pull's power stands in the air of the standard, or can be brought there: always for a recorded pull; for a
/// given curve when it was corrected to that standard, or not at all.
bool standsIn(const Pull& pull, Standard standard);
/// "a curve only, corrected to SAE J1349, smoothing not known"; empty for a recorded pull.
Statement givenPhrase(const Pull& pull);

} // namespace hillrun
