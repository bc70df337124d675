// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/credit_weights.h"
#include "core/answer/setting_sweep.h"
#include "core/answer/stretches.h"
#include "core/answer/use.h"

#include <vector>

// What each part really contributes: contrasts of one day's fit. Method and sources: docs/method.md.

namespace hillrun {

/// A gain for the use, on the log scale.
struct CreditAmount {
    double log = 0.0;
    double low = 0.0; ///< 95 %, over all items of its family at once
    double high = 0.0;
    double p = 1.0; ///< of this one alone
    /// W per unit of log, so that watts add up as logs do: the logarithmic mean of what it leads from and to.
    double scale_w = 0.0;
    bool protectedFromDrift = true;
    bool mayClaim = true; ///< protected, or with a declared bound
    double standardError = 0.0;
    [[nodiscard]] double watts() const { return scale_w * log; }
    /// It is above or below zero.
    [[nodiscard]] bool proven() const { return mayClaim && (low > 0.0 || high < 0.0); }
};

/// A gain along rpm, on the log scale.
struct CreditCurve {
    ContrastCurve curve;
    double simultaneous = 0.0; ///< critical value of its own band
    double family = 0.0;       ///< over all shares and the total at once
    Eigen::VectorXd scale_w;   ///< W per unit of log at each rpm
    /// Half width of the band over its family, log.
    [[nodiscard]] double familyHalf(Eigen::Index point) const {
        return family * curve.standardError(point) + curve.boundHalf;
    }
};

/// One part fitted onto a build that was run.
struct CreditStep {
    size_t from = 0; ///< build
    size_t to = 0;
    size_t part = 0;
    CreditAmount amount;
};

struct CreditShare {
    size_t part = 0;
    CreditAmount amount;
    double boundFactor = 0.0; ///< above zero: a fair share only if interactions that were not run are nil, or bounded
    CreditCurve curve;
    std::optional<CreditAmount> alone; ///< on the base
    std::optional<CreditAmount> onTop; ///< on all other parts
};

struct CreditInteraction {
    PartSet parts = 0;
    CreditAmount amount;
    CreditCurve curve;           ///< `family`: over all interactions at once
    std::vector<Region> regions; ///< where that band lies above or below zero
};

/// A part that is proven to give more for its money than another.
struct BetterValue {
    size_t more = 0;
    size_t less = 0;
};

/// Whether the parts give together what the sum of each alone says.
enum class AddsUp { CannotTell, AddsUp, More, Less };

struct Credit {
    std::vector<Build> builds; ///< as they were when it was worked, the base first
    PartSets sets;
    Use use;
    std::optional<CreditAmount> total; ///< of all parts; nothing when they never ran together
    std::optional<CreditCurve> totalCurve;
    std::vector<CreditStep> steps;
    std::vector<CreditShare> shares; ///< of the parts that were told apart
    std::vector<CreditInteraction> interactions;
    std::optional<CreditAmount> beyondSum;
    std::vector<BetterValue> betterValue; ///< of parts with a price and a fair share, all pairs judged together
    AddsUp addsUp = AddsUp::CannotTell;
    std::optional<double> interactionBound_pct; ///< as declared
    bool protectedFromDrift = true;
    long ordersRun = 0;                ///< in how many orders of fitting the parts every build in between was run
    std::optional<SettingSweep> sweep; ///< of a day with one setting in steps
    int degreesOfFreedom = 0;
    double base_w = 0.0; ///< power of the base for the use
};

/// What the reader declares.
struct CreditSettings {
    DriftSettings drift;
    std::optional<double> matters_pct; ///< parts "add up" when the gap is proven smaller than this
    CreditNotes notes;                 ///< what counts as one part, the declared bound
};

/// `builds` are the model's columns, the base first. Nothing when the day has no degrees of freedom, or the pulls do
/// not cover the use. A kind without parts (see PartSets) has no items.
std::optional<Credit> creditOf(const DayModel& model, const std::vector<Build>& builds, const Use& use,
                               const CreditSettings& settings, DrawCache& cache);

/// (b - a) / ln(b / a): what turns a sum of logs into a sum of powers.
double logarithmicMean(double a, double b);

} // namespace hillrun
