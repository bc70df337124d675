// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/chart.h"
#include "core/days/odd_days.h"
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

/// What the days of one dyno have taught.
struct CellHistory {
    std::vector<const DayRecord*> days;      ///< in order of date
    std::optional<CellFigure> repeatability; ///< of one pull
    std::optional<CellFigure> refit;
    std::optional<CellFigure> dayToDay;
    std::optional<BuildOfDay> reference; ///< first of the days that it ran on; nothing: no build ran twice
    std::vector<ReferenceRun> runs;
    ControlChart chart;
};
/// All days must be of one dyno (`sameDyno`). Figures stay open while too few days tell them.
CellHistory cellHistory(std::vector<const DayRecord*> days);

/// A build of a day that lies off what it gave on its other days.
struct OddBuild {
    BuildOfDay build;
    double off = 0.0;
    bool onlyTwo = false; ///< it ran on two days: which of them is odd cannot be told
};

/// Two builds against each other over days.
struct AcrossAnswer {
    BuildOfDay from;
    BuildOfDay to;
    AcrossKind kind = AcrossKind::Unknown;
    double estimate = 0.0;
    std::optional<AcrossDays> interval; ///< nothing while nothing can be said
    std::vector<BuildOfDay> through;    ///< the builds that join them, of days that they ran on
    std::optional<double> daySd;        ///< with which builds that nothing joins are compared
    int cellDays = 0;                   ///< days of the cell that taught it
    bool otherArticle = false;          ///< they are builds of two articles
    bool refitKnown = true;             ///< else the interval allows for refitting as for a stranger
    std::vector<OddBuild> odd;
    std::vector<std::string> unprotected; ///< days whose drift is not told from the parts
    std::vector<std::string> leftOut;     ///< days that share too few speeds
    [[nodiscard]] bool proven() const { return interval && (interval->low > 0.0 || interval->high < 0.0); }
};

/// `named` are the days of the net; `cell` all days of the same dyno, those named among them or not. Builds of two
/// articles are told apart by the dyno alone. Throws DataError: NotComparable for days of several dynos,
/// NothingToCompare, UnknownBuild when a build has no pulls in the common speeds.
AcrossAnswer compareAcross(const BuildOfDay& from, const BuildOfDay& to, std::span<const DayRecord* const> named,
                           std::span<const DayRecord* const> cell);

/// The state of the cell, when its chart says something: it has moved, or look at it. Empty: nothing.
Statement cellStatement(const ControlChart& chart, const std::vector<ReferenceRun>& runs);
/// What it repeats within, what refitting and what a day adds; each known, or what would tell it.
std::vector<Statement> cellFigures(const std::optional<CellFigure>& repeatability,
                                   const std::optional<CellFigure>& refit, const std::optional<CellFigure>& dayToDay);

/// The answer in sentences, the first the headline.
std::vector<Statement> acrossSummary(const AcrossAnswer& answer);
/// What it rests on: through what, which days are odd or open to drift.
std::vector<Statement> acrossNotes(const AcrossAnswer& answer);

} // namespace hillrun
