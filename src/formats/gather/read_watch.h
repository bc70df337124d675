// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <functional>

namespace hillrun {

/// Asked now and then while a file is read, with the share that is done; false stops the reading (ReadStopped).
using ReadWatch = std::function<bool(double share)>;

/// Thrown when a watch said so. No error: whoever asked for the reading does not want it any more.
struct ReadStopped {};

} // namespace hillrun
