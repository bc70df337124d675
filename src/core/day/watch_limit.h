// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string>

namespace hillrun {

enum class LimitSide { Above, Below };

/// What a channel may not pass while a pull runs.
struct WatchLimit {
    std::string channel;
    LimitSide side = LimitSide::Above;
    double value = 0.0; ///< in the channel's unit of the pull file
    std::string unknownKeys{};
    [[nodiscard]] bool passedBy(double reading) const {
        return side == LimitSide::Above ? reading > value : reading < value;
    }
    bool operator==(const WatchLimit&) const = default;
};

} // namespace hillrun
