// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "app/credit/credit_content.h"

// What the Credit page shows of a setting that was run in steps, made from the answer without any widget.

namespace hillrun {

/// The steps of a sweep as rows: "240 mm", its gain over the lowest, what it gives away at most.
std::vector<PartRow> levelRows(const DayAnalysis& analysis);

/// Gain over the setting with its band; the steps as they were measured.
BoardContent sweepCurve(const SettingSweep& sweep, size_t chosen, const Theme& theme);
/// The best setting by speed.
BoardContent bestByRpm(const SettingSweep& sweep, const Theme& theme);

/// What is known of a sweep beside its boards.
QStringList sweepLines(const SettingSweep& sweep);
} // namespace hillrun
