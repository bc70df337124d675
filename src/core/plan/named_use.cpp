// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/named_use.h"

namespace hillrun {

void nameUse(TestDay& day, const std::optional<RpmRange>& use) {
    day.plan.use_rpm = use;
    day.plan.useAfterLooking = use && !day.pulls.empty();
}

} // namespace hillrun
