// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

namespace hillrun {

struct RpmRange {
    double low = 0.0;
    double high = 0.0;
    [[nodiscard]] bool holds(double rpm) const { return rpm >= low && rpm <= high; }
    bool operator==(const RpmRange&) const = default;
};

} // namespace hillrun
