// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "core/answer/credit.h"

namespace hillrun {

/// What was found held against what was expected.
enum class ExpectedVerdict { Open, AsExpected, More, Less };

/// What a part costs and weighs, and what it was expected to give.
struct PartFacts {
    std::optional<double> cost;
    std::optional<double> mass_kg;
    /// Money for each W gained, 95 %: never the cost over the estimate. No upper end where nothing may have been
    /// gained.
    std::optional<double> leastPerWatt;
    std::optional<double> mostPerWatt;
    std::optional<std::pair<double, double>> expected_w;
    bool expectedAfterLooking = false;
    ExpectedVerdict verdict = ExpectedVerdict::Open;
};

/// What the day's notes know a part by: the first of its changes, so that its note stays when others count with it.
const std::string& noteKey(const CreditPart& part);

/// Of the part that `found` is about. What is typed for the part counts before the builds' own costs and masses.
PartFacts factsOf(const Credit& credit, const CreditNotes& notes, size_t part, const CreditAmount& found);

/// The builds' currency, when one of them names it.
std::string currencyOf(const std::vector<Build>& builds);

/// The displacement that a build notes among its parts or settings ("displacement": "1 050 cc", "1,05 l"), litres;
/// nothing when it notes none, or none that can be read.
std::optional<double> litresOf(const Build& build);

/// An expectation read as a 95 % range is held against an estimate with its standard error (Welch 1947, Satterthwaite
/// 1946): "as expected" only when the estimate's own 90 % interval lies in the range.
ExpectedVerdict verdictOn(const std::pair<double, double>& expected_w, double estimate_w, double standardError_w,
                          int degreesOfFreedom);

} // namespace hillrun
