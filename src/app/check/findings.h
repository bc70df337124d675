// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/compare/analyse.h"
#include "core/pull/events.h"
#include "core/slip/pull_slip.h"

#include <QString>
#include <QStringList>

// Everything worth saying about a pull, made from the analysis without any widget.

namespace hillrun {

/// One thing found, and what can be done about it. Nothing is done before it is asked for.
struct Finding {
    SlipWeight weight = SlipWeight::Fine;
    QString text;
    std::optional<double> at_rpm; ///< where to look
    EventRemedy remedy;
    std::optional<DayDoubt> doubt{}; ///< of the whole day, that this pull is part of
};

/// Warnings first, then what fits. `trims` and the basis of its figures come last.
std::vector<Finding> findingsOf(const TestDay& day, const DayAnalysis& analysis, const std::string& pull);

/// The same as one line for a table: what was left out, what was found, what was trimmed.
QString remarksOf(const PullResult* result);

} // namespace hillrun
