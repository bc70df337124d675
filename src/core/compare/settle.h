// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

namespace hillrun {

/// What it would take to tell these two apart with today's order of sets (a return to base added where there was
/// none): the difference that matters, and this one as large as it now looks, each seen on four days of five. Nothing
/// once something is told, without a measured repeatability, or when the builds cannot be compared.
std::optional<ToSettle> whatWouldSettle(const TestDay& day, const std::vector<PullResult>& pulls, const DayModel& model,
                                        const Comparison& comparison);

} // namespace hillrun
