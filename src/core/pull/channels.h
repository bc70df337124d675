// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/units/units.h"

#include <span>
#include <string_view>

namespace hillrun {

/// A standard channel of the pull file.
struct ChannelInfo {
    const char* name;       ///< "manifold_pressure"
    const char* label;      ///< "Manifold pressure"
    Dimension dimension;    ///< its unit in the file is canonicalUnitText(dimension)
    const char* otherNames; ///< what loggers call it, normalised, separated by '|'
    double tolerance; ///< like for like: largest difference of two builds that still counts as matched; 0 = not judged
};

std::span<const ChannelInfo> standardChannels();
/// The standard channel of that name, or nullptr.
const ChannelInfo* channelInfo(std::string_view name);
/// "Manifold pressure" for a standard channel, the name itself otherwise.
std::string channelLabel(std::string_view name);

} // namespace hillrun
