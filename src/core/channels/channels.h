// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/units/units.h"

#include <span>
#include <string_view>

namespace hillrun {

/// What a channel does in the sweep of any engine.
enum class ChannelMotion {
    Usual,
    MayStandStill, ///< a position or command
    MustMove,
};

/// A standard channel of the pull file, and all that is known of it.
struct ChannelInfo {
    const char* name;       ///< "manifold_pressure"
    Dimension dimension;    ///< its unit in the file is canonicalUnitText(dimension)
    const char* otherNames; ///< what loggers call it, normalised, separated by '|'
    double tolerance; ///< like for like: largest difference of two builds that still counts as matched; 0 = not judged
    double noise;     ///< largest scatter that passes when there is nothing to hold it against; 0 = not judged
    ChannelMotion motion;
    int screenOrder; ///< smallest first
};

std::span<const ChannelInfo> standardChannels();
/// The standard channel of that name, or nullptr.
const ChannelInfo* channelInfo(std::string_view name);

} // namespace hillrun
