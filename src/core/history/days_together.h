// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/days/odd_days.h"
#include "core/history/cell_nets.h"

#include <optional>
#include <span>
#include <string>
#include <vector>

namespace hillrun {

/// A build of a day that lies off what it gave on its other days.
struct OddBuild {
    BuildOfDay build;
    double off = 0.0;
    bool onlyTwo = false; ///< it ran on two days: which of them is odd cannot be told
};

/// A build that is known from curves off paper only. It takes no part in the net.
struct PaperBuild {
    BuildOfDay build;
    double step_rpm = 50.0;
    const PaperCurve* paper = nullptr;
};

/// Days as one net, and what their cell has taught: any two builds of it can be held against each other.
struct DaysTogether {
    ArticleNet net;
    CellNets cell;                  ///< the net's article last
    std::optional<CellModel> model; ///< nothing: one pull a build, nothing repeats
    std::vector<OddBuild> odd;
    std::vector<const DayRecord*> days; ///< of the net, and those that papers stand for; in order of date
    std::vector<PaperBuild> papers;
    /// Null when the day is none of these.
    [[nodiscard]] const DayRecord* dayOf(const BuildOfDay& build) const;
    [[nodiscard]] const BuildRecord* recordOf(const BuildOfDay& build) const;
    [[nodiscard]] const PaperBuild* paperOf(const BuildOfDay& build) const; ///< null for one that ran
};
/// `named` are the days of the net; `cell` all days of the same dyno, those named among them or not, which must outlive
/// what is made of them. Throws DataError: NotComparable for days of several dynos, NothingToCompare without a pull.
DaysTogether daysTogether(std::span<const DayRecord* const> named, std::span<const DayRecord* const> cell);

/// Two engines by what they give for their size.
struct ForTheirSize {
    double from_kw_per_litre = 0.0; ///< at the peak
    double to_kw_per_litre = 0.0;
    std::optional<double> from_bmep_bar; ///< mean effective pressure at the peak of torque; nothing: strokes not known
    std::optional<double> to_bmep_bar;
    double logSize = 0.0; ///< log of the displacement of `from` over that of `to`: to be added to a difference of power
};

/// Two builds against each other over days.
struct AcrossAnswer {
    BuildOfDay from;
    BuildOfDay to;
    AcrossKind kind = AcrossKind::Unknown;
    double estimate = 0.0;
    std::optional<AcrossDays> interval;       ///< nothing while nothing can be said
    std::vector<BuildOfDay> through;          ///< the builds that join them, of days that they ran on
    std::optional<double> daySd;              ///< with which builds that nothing joins are compared
    int cellDays = 0;                         ///< days of the cell that taught it
    bool otherArticle = false;                ///< they are builds of two articles
    std::optional<ForTheirSize> forTheirSize; ///< of two articles whose displacements are known
    std::vector<Change> differs;              ///< parts and settings
    bool refitKnown = true;                   ///< else the interval allows for refitting as for a stranger
    std::vector<OddBuild> odd;
    std::vector<std::string> unprotected; ///< days of these builds whose drift is not told from the parts
    std::vector<std::string> leftOut;     ///< days that share too few speeds
    std::vector<std::string> outsideAir;  ///< days of these builds whose air the standard is not made for
    std::vector<Statement> onPaper;       ///< which of the two is not recorded, and what it is; no interval then
    RpmRange over{};                      ///< the speeds of which it is the mean
    [[nodiscard]] bool proven() const { return interval && (interval->low > 0.0 || interval->high < 0.0); }
};

/// Builds of two articles are told apart by the dyno alone. Throws DataError: UnknownBuild when a build has no pulls in
/// the common speeds, NothingToCompare for one and the same.
AcrossAnswer compareAcross(const DaysTogether& days, const BuildOfDay& from, const BuildOfDay& to,
                           double probability = 0.95);
AcrossAnswer compareAcross(const BuildOfDay& from, const BuildOfDay& to, std::span<const DayRecord* const> named,
                           std::span<const DayRecord* const> cell);

/// What is known of the shapes of these days' curves.
struct ShapesTogether {
    VisitShapes visits;
    CellModel model;
};
/// Nothing where no pull was repeated.
std::optional<ShapesTogether> shapesTogether(const DaysTogether& days);
/// The same along rpm. Nothing where no interval can be given.
std::optional<CurveAcross> curveAcross(const DaysTogether& days, const ShapesTogether& shapes, const BuildOfDay& from,
                                       const BuildOfDay& to, DrawCache& draws);

/// "B of 2026-05-16"
Statement buildPhrase(const BuildOfDay& build);
/// The answer in sentences, the first the headline.
std::vector<Statement> acrossSummary(const AcrossAnswer& answer);
/// What it rests on: through what, which days are odd or open to drift.
std::vector<Statement> acrossNotes(const AcrossAnswer& answer);

} // namespace hillrun
