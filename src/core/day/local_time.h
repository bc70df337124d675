// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string>

namespace hillrun {

/// A moment (seconds since 1970 UTC) as local time with this offset: "+01:00", "-03:30" or "Z". Any other offset counts
/// as UTC.
std::string localTimeText(double seconds, const std::string& offset);

} // namespace hillrun
