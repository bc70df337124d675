// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/part_facts.h"

#include <boost/math/distributions/students_t.hpp>
#include <cmath>

namespace hillrun {
namespace {

constexpr double kNormal975 = 1.959963985;

/// By how much two builds differ that this part alone lies between; nothing when the builds do not say.
std::optional<double> differenceOf(const Credit& credit, size_t part, std::optional<double> Build::*member) {
    for (const CreditStep& step : credit.steps)
        if (step.part == part && credit.builds[step.from].*member && credit.builds[step.to].*member)
            return *(credit.builds[step.to].*member) - *(credit.builds[step.from].*member);
    return std::nullopt;
}

double quantileOf(double degreesOfFreedom, double share) {
    return boost::math::quantile(boost::math::students_t(degreesOfFreedom), share);
}

} // namespace

const std::string& noteKey(const CreditPart& part) { return part.changes.front().part; }

std::string currencyOf(const std::vector<Build>& builds) {
    for (const Build& build : builds)
        if (!build.currency.empty())
            return build.currency;
    return {};
}

std::optional<double> litresOf(const Build& build) {
    constexpr double kSurelyCubicCentimetres = 20.0; // no engine here has so many litres
    for (const NamedValues* list : {&build.parts, &build.settings})
        for (const auto& [name, value] : *list) {
            if (name != "displacement")
                continue;
            std::string text = value;
            std::erase(text, ' '); // "1 050 cc"
            if (text.ends_with("cm3"))
                text.resize(text.size() - 3); // the 3 is none of its figures
            const auto numbers = numbersIn(text);
            if (numbers.size() == 1 && numbers.front().value > 0.0)
                return numbers.front().value > kSurelyCubicCentimetres ? numbers.front().value / 1000.0
                                                                       : numbers.front().value;
        }
    return std::nullopt;
}

ExpectedVerdict verdictOn(const std::pair<double, double>& expected_w, double estimate_w, double standardError_w,
                          int degreesOfFreedom) {
    if (!(standardError_w > 0.0) || degreesOfFreedom < 1)
        return ExpectedVerdict::Open;
    const auto nu = static_cast<double>(degreesOfFreedom);
    const auto [low, high] = expected_w;
    const double own = standardError_w * standardError_w;
    const double sd = (high - low) / (2.0 * kNormal975);
    const double both = own + sd * sd;
    const double apart = estimate_w - 0.5 * (low + high);
    if (std::abs(apart) > quantileOf(nu * both * both / (own * own), 0.975) * std::sqrt(both))
        return apart > 0.0 ? ExpectedVerdict::More : ExpectedVerdict::Less;
    const double half90 = quantileOf(nu, 0.95) * standardError_w;
    const bool inside = estimate_w - half90 >= low && estimate_w + half90 <= high;
    return inside ? ExpectedVerdict::AsExpected : ExpectedVerdict::Open;
}

PartFacts factsOf(const Credit& credit, const CreditNotes& notes, size_t part, const CreditAmount& found) {
    PartFacts out;
    const auto note = notes.parts.find(noteKey(credit.sets.parts[part]));
    if (note != notes.parts.end()) {
        out.cost = note->second.cost;
        out.mass_kg = note->second.mass_kg;
        out.expected_w = note->second.expected_w;
        out.expectedAfterLooking = note->second.expectedAfterLooking;
    }
    if (!out.cost)
        out.cost = differenceOf(credit, part, &Build::cost);
    if (!out.mass_kg)
        out.mass_kg = differenceOf(credit, part, &Build::mass_kg);
    if (out.cost && *out.cost > 0.0 && found.mayClaim && found.high > 0.0) {
        out.leastPerWatt = *out.cost / (found.scale_w * found.high);
        if (found.low > 0.0)
            out.mostPerWatt = *out.cost / (found.scale_w * found.low);
    }
    if (out.expected_w && found.mayClaim)
        out.verdict =
            verdictOn(*out.expected_w, found.watts(), found.scale_w * found.standardError, credit.degreesOfFreedom);
    return out;
}

} // namespace hillrun
