// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/page.h"

#include <vector>

namespace hillrun {

/// Every page of the window, in the order of the rail, in the reader's language.
std::vector<PageSpec> everyPage();

} // namespace hillrun
