// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/judge.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr const char* kPlusMinus = "\xC2\xB1";
constexpr const char* kMinus = "\xE2\x88\x92";
constexpr const char* kDash = "\xE2\x80\x93";
constexpr const char* kSpace = "\xC2\xA0"; // does not break

bool hasRegion(const Comparison& c, RegionKind kind) {
    return std::any_of(c.regions.begin(), c.regions.end(), [&](const Region& r) { return r.kind == kind; });
}

/// The whole-range mean excludes zero, and drift is covered.
int provenMean(const Comparison& c) {
    if (!c.hasInterval || c.bands.empty() || !(c.protectedFromDrift || c.boundDeclared))
        return 0;
    const BandResult& whole = c.bands.front();
    return whole.low_w > 0.0 ? 1 : (whole.high_w < 0.0 ? -1 : 0);
}

bool isEquivalent(const Comparison& c) {
    if (!c.hasInterval || !c.matters_w || c.bands.empty() || !(c.protectedFromDrift || c.boundDeclared))
        return false;
    const BandResult& whole = c.bands.front();
    return whole.low90_w > -*c.matters_w && whole.high90_w < *c.matters_w;
}

/// Decimals that show a half width with one digit, two where the first is 1.
int decimalsFor(double half) {
    const double exponent = std::floor(std::log10(half));
    const double first = half / std::pow(10.0, exponent);
    const int digits = first < 1.95 ? 2 : 1;
    return std::clamp(digits - 1 - static_cast<int>(exponent), 0, 6);
}

std::string withMinusSign(std::string text, bool sign) {
    const bool negative = !text.empty() && text.front() == '-';
    if (negative)
        text.erase(0, 1);
    const bool zero = text.find_first_of("123456789") == std::string::npos;
    if (negative && !zero)
        return kMinus + text;
    return sign && !zero ? "+" + text : text;
}

std::string powerText(double value_w, double half_w, const DisplayUnits& units, bool sign = false) {
    return withInterval(powerIn(units.power, value_w), powerIn(units.power, half_w), powerUnitText(units.power), sign);
}

/// The same with where it was measured: the number alone says less than it seems.
std::string placedPower(const Comparison& c, double value_w, double half_w, const DisplayUnits& units,
                        bool sign = false) {
    return powerText(value_w, half_w, units, sign) + " " + placeText(c.place);
}

std::string rangeText(const RpmRange& range) {
    return rpmText(range.low) + kDash + rpmText(range.high) + kSpace + "rpm";
}

/// "over 4 500-7 500 rpm", "below 3 800 rpm", "above 6 900 rpm" or "over the whole range".
std::string stretchText(const Comparison& c, const RpmRange& range) {
    double low = range.low;
    double high = range.high;
    for (const Region& region : c.regions) {
        low = std::min(low, region.range_rpm.low);
        high = std::max(high, region.range_rpm.high);
    }
    const bool fromStart = range.low <= low;
    const bool toEnd = range.high >= high;
    if (fromStart && toEnd)
        return "over the whole range, " + rangeText(range);
    if (fromStart)
        return "below " + rpmText(range.high) + kSpace + "rpm";
    if (toEnd)
        return "above " + rpmText(range.low) + kSpace + "rpm";
    return "over " + rangeText(range);
}

std::vector<Region> regionsOf(const Comparison& c, RegionKind kind) {
    std::vector<Region> out;
    std::copy_if(c.regions.begin(), c.regions.end(), std::back_inserter(out),
                 [&](const Region& r) { return r.kind == kind; });
    std::stable_sort(out.begin(), out.end(), [](const Region& a, const Region& b) {
        return a.range_rpm.high - a.range_rpm.low > b.range_rpm.high - b.range_rpm.low;
    });
    return out;
}

/// The widest region with its mean; for the lesser side the largest value instead.
std::string meanClause(const Comparison& c, const char* verb, const Region& region, const DisplayUnits& units) {
    return fmt::format("{} {} {}", verb, placedPower(c, std::abs(region.mean_w), region.meanHalf_w, units),
                       stretchText(c, region.range_rpm));
}

std::string worstClause(const Comparison& c, const char* verb, const Region& region, const DisplayUnits& units) {
    return fmt::format("{} up to {} {}", verb, powerText(std::abs(region.extreme_w), region.extremeHalf_w, units),
                       stretchText(c, region.range_rpm));
}

std::string more(size_t others) {
    if (others == 0)
        return "";
    return others == 1 ? ", and in one more place" : fmt::format(", and in {} more places", others);
}

std::string provenSentence(const Comparison& c, const DisplayUnits& units) {
    const auto gains = regionsOf(c, RegionKind::Gain);
    const auto losses = regionsOf(c, RegionKind::Loss);
    if (!gains.empty() && !losses.empty()) {
        return fmt::format("{} {} and {}{}.", c.to, meanClause(c, "gives", gains.front(), units),
                           worstClause(c, "costs", losses.front(), units), more(gains.size() + losses.size() - 2));
    }
    if (!gains.empty())
        return fmt::format("{} {}{}.", c.to, meanClause(c, "gives", gains.front(), units), more(gains.size() - 1));
    if (!losses.empty())
        return fmt::format("{} {}{}.", c.to, meanClause(c, "costs", losses.front(), units), more(losses.size() - 1));
    return "";
}

std::string meanText(const Comparison& c, const DisplayUnits& units, bool sign) {
    const BandResult& whole = c.bands.front();
    const double half = c.hasInterval ? 0.5 * (whole.high_w - whole.low_w) : std::nan("");
    return placedPower(c, whole.delta_w, half, units, sign);
}

std::string onAverage(const Comparison& c, const DisplayUnits& units) {
    const BandResult& whole = c.bands.front();
    return fmt::format("{} on average over {}", meanText(c, units, true), rangeText(whole.range_rpm));
}

std::string cannotTellSentence(const Comparison& c, const DisplayUnits& units) {
    if (c.bands.empty())
        return "Cannot tell yet: the builds share no range of speed.";
    if (!c.hasInterval)
        return fmt::format("Cannot tell yet: no repeatability was measured today, so nothing can be proven. {} against "
                           "{} reads {}.",
                           c.to, c.from, onAverage(c, units));
    if (!c.protectedFromDrift && !c.boundDeclared) {
        std::string text = fmt::format("Cannot tell yet: there was no return to base, so drift cannot be told from the "
                                       "part. If nothing drifted, {} against {} is {}",
                                       c.to, c.from, onAverage(c, units));
        if (c.driftThatWouldExplain_pct)
            text += fmt::format("; a drift of {:.1f}{}% over the session would explain all of it",
                                *c.driftThatWouldExplain_pct, kSpace);
        return text + ".";
    }
    return fmt::format("Cannot tell yet: {} against {} is {}.", c.to, c.from, onAverage(c, units));
}

std::string notComparableSentence(const Comparison& c) {
    for (const LikeForLike& row : c.likeForLike)
        if (row.key && row.channel == "measured_at")
            return fmt::format("{} and {} cannot be compared: one was measured at the {}, the other at the {}; the "
                               "difference would hold the losses between.",
                               c.from, c.to, measuredAtName(static_cast<MeasuredAt>(std::lround(row.from))),
                               measuredAtName(static_cast<MeasuredAt>(std::lround(row.to))));
        else if (row.key)
            return fmt::format("{} and {} cannot be compared: {} was {:.4g} against {:.4g}{}.", c.from, c.to,
                               row.channel, row.to, row.from,
                               row.unit == "1" || row.unit.empty() ? "" : kSpace + row.unit);
    return fmt::format("{} and {} cannot be compared.", c.from, c.to);
}

} // namespace

VerdictKind judge(const Comparison& c) {
    if (std::any_of(c.likeForLike.begin(), c.likeForLike.end(), [](const LikeForLike& row) { return row.key; }))
        return VerdictKind::NotComparable;
    const bool gain = hasRegion(c, RegionKind::Gain);
    const bool loss = hasRegion(c, RegionKind::Loss);
    if (gain && loss)
        return VerdictKind::Mixed;
    if (isEquivalent(c) && !gain && !loss)
        return VerdictKind::NoDifference;
    // A pair named beforehand may stand on its mean alone; among several comparisons only the family band decides.
    const int mean = c.namedBeforehand ? provenMean(c) : 0;
    if (gain || (mean > 0 && !loss))
        return VerdictKind::Gain;
    if (loss || mean < 0)
        return VerdictKind::Loss;
    return VerdictKind::CannotTell;
}

const char* verdictName(VerdictKind verdict) {
    constexpr const char* names[] = {"gain", "loss", "mixed", "no_difference", "cannot_tell", "not_comparable"};
    return names[static_cast<size_t>(verdict)];
}

const char* regionName(RegionKind kind) {
    constexpr const char* names[] = {"gain", "loss", "unresolved"};
    return names[static_cast<size_t>(kind)];
}

const char* likeVerdictName(LikeVerdict verdict) {
    constexpr const char* names[] = {"matched", "differs", "not_recorded", "explained"};
    return names[static_cast<size_t>(verdict)];
}

RoundedPair roundedByInterval(double value, double half) {
    if (!std::isfinite(value))
        return {"\xE2\x80\x93", ""};
    if (!std::isfinite(half) || half <= 0.0)
        return {fmt::format("{:.3g}", value), ""};
    const int decimals = decimalsFor(half);
    return {fmt::format("{:.{}f}", value, decimals), fmt::format("{:.{}f}", half, decimals)};
}

std::string withInterval(double value, double half, const std::string& unit, bool sign) {
    const RoundedPair pair = roundedByInterval(value, half);
    std::string text = withMinusSign(pair.value, sign);
    if (!pair.half.empty())
        text += std::string(kSpace) + kPlusMinus + kSpace + pair.half;
    return text + kSpace + unit;
}

std::string rpmText(double rpm) {
    std::string text = fmt::format("{:.0f}", rpm);
    const size_t digits = text.size() - (text.starts_with('-') ? 1 : 0);
    if (digits > 3)
        text.insert(text.size() - 3, kSpace);
    return text;
}

static std::string answerSentence(const Comparison& c, const DisplayUnits& units) {
    if (c.verdict == VerdictKind::NotComparable)
        return notComparableSentence(c);
    if (c.verdict == VerdictKind::CannotTell)
        return cannotTellSentence(c, units);
    if (c.verdict == VerdictKind::NoDifference)
        return fmt::format("No difference that matters: {} against {} is {}, within {}{} with 95{}% confidence.", c.to,
                           c.from, onAverage(c, units), kPlusMinus, powerText(*c.matters_w, std::nan(""), units),
                           kSpace);
    std::string text = provenSentence(c, units);
    if (text.empty())
        text = fmt::format("{} {} {} on average over {}; where along the curve cannot be told yet.", c.to,
                           c.verdict == VerdictKind::Gain ? "gives" : "costs",
                           placedPower(c, std::abs(c.bands.front().delta_w),
                                       0.5 * (c.bands.front().high_w - c.bands.front().low_w), units),
                           rangeText(c.bands.front().range_rpm));
    if (!c.protectedFromDrift && c.boundDeclared)
        text += " This holds only if drift stayed within the declared bound.";
    return text;
}

std::string shortPullText(const Comparison& c) {
    if (!c.shortPull)
        return "";
    const ShortPull& one = *c.shortPull;
    return one.atTop ? fmt::format("{} ends at {}{}rpm: without it the comparison reaches {}{}rpm.", one.pull,
                                   rpmText(one.own_rpm), kSpace, rpmText(one.reach_rpm), kSpace)
                     : fmt::format("{} begins only at {}{}rpm: without it the comparison reaches down to {}{}rpm.",
                                   one.pull, rpmText(one.own_rpm), kSpace, rpmText(one.reach_rpm), kSpace);
}

std::string summary(const Comparison& c, const DisplayUnits& units) {
    const std::string more = shortPullText(c);
    return answerSentence(c, units) + (more.empty() ? "" : " " + more);
}

} // namespace hillrun
