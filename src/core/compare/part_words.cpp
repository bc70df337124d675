// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/part_words.h"

#include <cmath>

namespace hillrun {
namespace {

/// Two digits are enough for a price.
Number money(double value) {
    const double size = std::pow(10.0, std::floor(std::log10(value)) - 1.0);
    return decimals(std::round(value / size) * size, size < 1.0 ? static_cast<int>(-std::log10(size)) : 0);
}

} // namespace

Statement pricePhrase(const PartFacts& facts, const std::string& currency, DisplayUnits units) {
    if (!facts.leastPerWatt)
        return {};
    const double watts = 1.0 / powerIn(units.power, 1.0); // of one unit
    const std::string unit = currency + "/" + powerUnitText(units.power);
    if (!facts.mostPerWatt)
        return {"part.price_at_least", {money(*facts.leastPerWatt * watts), unit}};
    return {"part.price", {money(*facts.leastPerWatt * watts), money(*facts.mostPerWatt * watts), unit}};
}

Statement expectedPhrase(const PartFacts& facts, DisplayUnits units) {
    if (!facts.expected_w)
        return {};
    const auto [low, high] = *facts.expected_w;
    const std::string unit = powerUnitText(units.power);
    const Number from = significant(powerIn(units.power, low), 3);
    const Statement range = low < high
                                ? Statement{"part.range", {from, significant(powerIn(units.power, high), 3), unit}}
                                : Statement{"part.one", {from, unit}};
    constexpr const char* ids[] = {"part.expected_open", "part.as_expected", "part.more_than_expected",
                                   "part.less_than_expected"};
    return {ids[static_cast<size_t>(facts.verdict)], {range}};
}

Statement specificPhrase(const DayAnalysis& analysis, const Build& from, const Build& to) {
    const auto before = litresOf(from);
    const auto after = litresOf(to);
    const BuildResult* first = analysis.findBuild(from.id);
    const BuildResult* second = analysis.findBuild(to.id);
    if (!before || !after || *before == *after || !first || !second)
        return {};
    return {"part.specific",
            {Power{first->peakPower_w.value / *before, 0.0, false, 3}, from.id,
             Power{second->peakPower_w.value / *after, 0.0, false, 3}, to.id}};
}

} // namespace hillrun
