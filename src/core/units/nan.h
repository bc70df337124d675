// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <limits>

namespace hillrun {

/// Stands where there is no number.
inline constexpr double kNaN = std::numeric_limits<double>::quiet_NaN();

} // namespace hillrun
