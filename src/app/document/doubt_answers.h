// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"

#include <functional>
#include <QString>
#include <vector>

namespace hillrun {

class DayDocument;

/// One edit that answers a doubt; only ever offered.
struct DoubtAnswer {
    QString text; ///< of its button
    QString tip;
    std::function<void(DayDocument&)> edit;
};
std::vector<DoubtAnswer> answersTo(const DayDoubt& doubt);

/// Whether the day was worked out and has too few repeats of its own: earlier days may count in.
bool hasFewRepeats(const DayAnalysis* analysis);

} // namespace hillrun
