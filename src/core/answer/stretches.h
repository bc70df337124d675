// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/effect.h"

#include <vector>

namespace hillrun {

/// Runs of gain, loss and unresolved along rpm, without their sizes: gain where the lower edge lies above zero, loss
/// where the upper one lies below. Points without a value belong to none. Without `mayClaim` all are unresolved.
std::vector<Region> stretchesOf(const std::vector<double>& rpm, const std::vector<double>& value, const Edges& band,
                                bool mayClaim);

} // namespace hillrun
