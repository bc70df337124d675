// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/chart.h"
#include "core/days/repeatability.h"
#include "core/history/articles.h"

#include <memory>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// A figure that the cell has taught, with its 80 % limits, log scale.
struct CellFigure {
    double value = 0.0;
    double low = 0.0;
    double high = 0.0;
    double freedom = 0.0;
};

/// One run of the reference build.
struct ReferenceRun {
    std::string day; ///< id
    std::string date;
    double level = 0.0; ///< log scale, less the mean of all runs
};

/// A check of the load cell or the weather station, as its days keep it.
struct DatedCheck {
    std::string date;
    bool ofLoadCell = true; ///< else of the weather station
    double off_pct = 0.0;   ///< torque, or corrected power, comes out too high by so much
    bool operator==(const DatedCheck&) const = default;
};

/// What the days of one dyno have taught.
struct CellHistory {
    std::vector<const DayRecord*> days;      ///< in order of date
    std::optional<CellFigure> repeatability; ///< of one pull
    std::optional<CellFigure> refit;
    std::vector<double> likelyRefits; ///< equally likely ones, log scale; none while `refit` is open
    std::optional<CellFigure> dayToDay;
    std::optional<BuildOfDay> reference; ///< first of the days that it ran on; nothing: no build ran twice
    std::vector<ReferenceRun> runs;
    ControlChart chart;
    std::vector<DatedCheck> checks; ///< each once, in order of date
};
/// All days must be of one dyno (`sameDyno`). Figures stay open while too few days tell them.
CellHistory cellHistory(std::vector<const DayRecord*> days);

/// The state of the cell, when its chart says something: it has moved, or look at it. Empty: nothing.
Statement cellStatement(const ControlChart& chart, const std::vector<ReferenceRun>& runs);
/// The last check of each instrument in one line; none without.
std::vector<Statement> checkLines(const std::vector<DatedCheck>& checks);
/// What it repeats within, what refitting and what a day adds; each known, or what would tell it.
std::vector<Statement> cellFigures(const std::optional<CellFigure>& repeatability,
                                   const std::optional<CellFigure>& refit, const std::optional<CellFigure>& dayToDay);

} // namespace hillrun
