// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <string>

namespace hillrun {

/// The result of a pull; null when the analysis does not know it.
inline const PullResult* findResult(const DayAnalysis& analysis, const std::string& pull) {
    for (const PullResult& result : analysis.pulls)
        if (result.id == pull)
            return &result;
    return nullptr;
}

} // namespace hillrun
