// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/frame/page.h"

namespace hillrun {

PageSpec creditSpec();

} // namespace hillrun
