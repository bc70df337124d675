// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string>

namespace hillrun {

/// A number and its half width rounded by that half width: "1.62", "0.45" -> {"1.6", "0.5"}; two digits where the
/// first is 1. Without a positive, finite half width: three significant digits and an empty second text.
struct RoundedPair {
    std::string value;
    std::string half;
};
RoundedPair roundedByInterval(double value, double half);

} // namespace hillrun
