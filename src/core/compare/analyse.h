// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/family.h"
#include "core/compare/comparison.h"
#include "core/compare/end_speeds.h"
#include "core/compare/field.h"
#include "core/errors/data_error.h"
#include "core/fit/contrast.h"
#include "core/fit/flags.h"

#include <memory>
#include <optional>
#include <string>
#include <utility>
#include <vector>

namespace hillrun {

struct Credit;
struct QuantityAnswer;

/// Everything a user may choose about the analysis of a day.
struct AnalysisSettings {
    ReduceSettings reduce;
    DriftSettings drift;
    std::vector<RpmRange> bands;     ///< asked for, besides the whole range and its thirds
    std::vector<BuildPair> pairs;    ///< named beforehand; empty: all usual ones
    std::optional<double> matters_w; ///< smallest difference that matters
    std::optional<double> matters_pct;
    std::optional<Use> use; ///< the speeds that count: the mean over them speaks when no stretch does
    std::string quantity;   ///< another curve that is wanted beside power and torque: "boost"; empty: none
    bool credit = false;    ///< what each part gives is wanted too
    bool operator==(const AnalysisSettings&) const = default;
};

/// What is left open is taken from the day: its bands before those given, pairs, what matters, a declared bound.
AnalysisSettings settingsFor(const TestDay& day, AnalysisSettings given);

/// What became of one pull.
struct PullResult {
    std::string id;
    std::string build;
    bool used = false;
    Statement whyLeftOut;               ///< empty when used
    std::shared_ptr<const Curve> curve; ///< also of pulls set aside, when they can be reduced
    std::vector<Event> events;          ///< found on it, once somebody looked for them
    std::vector<PullFlag> flags;
    double time_h = 0.0;
    int set = 0;
    double bandMean_w = 0.0;            ///< over the range that all used pulls share; NaN when it has no data there
    double differenceFromSet_pct = 0.0; ///< band mean against the mean of the used pulls of its set
};

enum class DoubtKind { Pressure, SeaLevel, Settling };
/// What makes figures of the whole day doubtful, and what can be done about it; nothing is done before it is asked for.
struct DayDoubt {
    DoubtKind kind = DoubtKind::Pressure;
    Statement text;
    std::vector<std::string> pulls;     ///< that it is about
    std::optional<double> pressure_kpa; ///< the first one's air pressure as it may be taken instead
    std::vector<std::string> setAside;  ///< pulls that may be set aside for it
    std::string reason;                 ///< the code to be noted with them
    bool operator==(const DayDoubt&) const = default;
};

/// A day, worked out. Immutable once made; views only read it.
struct DayAnalysis {
    AnalysisSettings settings;
    std::vector<PullResult> pulls; ///< in the day's order
    PowerPlace place;              ///< where the powers of the day are given
    Statement school;              ///< what is done with a boosted engine; empty for others
    std::optional<LossCurve> loss; ///< of the day's coast-downs, when the day asks for it
    std::vector<double> rpm;
    RpmRange common_rpm;                   ///< where every used pull has data
    std::shared_ptr<const DayModel> model; ///< null: nothing to fit
    std::vector<double> pooledSd_w;        ///< repeatability of one pull along rpm; NaN without degrees of freedom
    std::vector<BuildResult> builds;
    std::vector<Comparison> comparisons;            ///< the family: named beforehand or made from the day's builds
    std::vector<Comparison> otherPairs;             ///< every other pair, and each the other way round
    std::optional<Field> field;                     ///< all builds at once; of three and more
    std::shared_ptr<const QuantityAnswer> quantity; ///< the other curve, when two builds have it
    Statement whyNoQuantity;                        ///< why it is not there although it was wanted
    std::shared_ptr<const Credit> credit;           ///< when it was wanted, and the day can tell
    std::vector<EndSpeeds> endSpeeds;               ///< of builds whose end speed was raised step by step
    std::vector<DayDoubt> doubts; ///< weather that cannot be, a base that was still settling; once looked for
    std::vector<Statement> notes; ///< what else the reader must know: unknown clock, shrunk window ...
    Statement whyNoComparison;    ///< empty when there are comparisons
    /// Any pair of builds with pulls in use; null when the day cannot tell them apart.
    [[nodiscard]] const Comparison* find(const std::string& from, const std::string& to) const;
    [[nodiscard]] const BuildResult* findBuild(const std::string& id) const;
    /// Its place in the day's model; nothing for a build that was not fitted.
    [[nodiscard]] std::optional<BuildColumn> column(const std::string& id) const;
    [[nodiscard]] std::vector<DayDoubt> doubtsAbout(const std::string& pull) const;
};

/// The bands asked for; that of the use with its weights.
std::vector<Use> bandsAsked(const AnalysisSettings& settings);

/// What the builds are wanted for, as far as the day says; else the range that all pulls share.
Use useOfDay(const DayAnalysis& analysis);

/// To what every figure is corrected, and where it is measured: "SAE J1349, boosted: full factor, at the wheel".
Statement airPhrase(const DayAnalysis& analysis);
/// That, and whether the repeats are those of earlier days: what every figure of the day rests on.
Statement basisPhrase(const DayAnalysis& analysis);

/// The pulls of a day as curves; what cannot be reduced carries its reason.
struct ReducedDay {
    std::vector<PullResult> pulls;
    std::optional<LossCurve> loss;
    std::vector<Statement> notes; ///< why an estimate that was asked for could not be made
};
ReducedDay reduceDay(const TestDay& day, const ReduceSettings& settings);

/// Reduce, fit and compare, without looking for events. Pure; the cache only saves work. A day without anything to
/// compare gives an analysis without comparisons and says why. Throws DataError (UnknownBuild, BadBand) for settings
/// that do not fit the day.
DayAnalysis analyse(const TestDay& day, const AnalysisSettings& settings, DrawCache& cache);

} // namespace hillrun
