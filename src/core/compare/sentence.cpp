// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/sentence.h"

#include "core/channels/channels.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <fmt/ranges.h>

namespace hillrun {
namespace {

constexpr const char* kPlusMinus = "\xC2\xB1";
constexpr const char* kMinus = "\xE2\x88\x92";
constexpr const char* kDash = "\xE2\x80\x93";
constexpr const char* kSpace = "\xC2\xA0"; // does not break
constexpr double kWorthSaying_rpm = 300.0; ///< a narrower stretch is no headline

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

/// A stretch that can stand in a headline: wide enough, and more than its own uncertainty, also as it is printed.
bool worthSaying(const Region& region, double value_w, double half_w, const DisplayUnits& units) {
    const RoundedPair printed =
        roundedByInterval(std::abs(powerIn(units.power, value_w)), powerIn(units.power, half_w));
    return region.range_rpm.high - region.range_rpm.low >= kWorthSaying_rpm && std::abs(value_w) > half_w &&
           printed.value != printed.half;
}

/// The proven stretches of a kind that are worth saying, the widest first.
std::vector<Region> stretchesOf(const Comparison& c, RegionKind kind, const DisplayUnits& units) {
    std::vector<Region> out;
    std::copy_if(c.regions.begin(), c.regions.end(), std::back_inserter(out),
                 [&](const Region& r) { return r.kind == kind && worthSaying(r, r.mean_w, r.meanHalf_w, units); });
    std::stable_sort(out.begin(), out.end(), [](const Region& a, const Region& b) {
        return a.range_rpm.high - a.range_rpm.low > b.range_rpm.high - b.range_rpm.low;
    });
    return out;
}

/// The widest stretch with its mean; for the lesser side the largest value instead.
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

/// ", with a small loss around 2 100 rpm": a proven stretch of the other kind that is no headline is not kept quiet.
std::string smallOther(const Comparison& c, RegionKind other) {
    for (const Region& region : c.regions)
        if (region.kind == other)
            return fmt::format(", with a small {} around {}{}rpm", other == RegionKind::Gain ? "gain" : "loss",
                               rpmText(std::round(0.5 * (region.range_rpm.low + region.range_rpm.high) / 50.0) * 50.0),
                               kSpace);
    return "";
}

/// What is proven along the curve, without its full stop; empty when no stretch is worth saying.
std::string provenClause(const Comparison& c, const DisplayUnits& units) {
    const auto gains = stretchesOf(c, RegionKind::Gain, units);
    const auto losses = stretchesOf(c, RegionKind::Loss, units);
    if (!gains.empty() && !losses.empty())
        return fmt::format("{} {} and {}{}", c.to, meanClause(c, "gives", gains.front(), units),
                           worstClause(c, "costs", losses.front(), units), more(gains.size() + losses.size() - 2));
    if (!gains.empty())
        return fmt::format("{} {}{}", c.to, meanClause(c, "gives", gains.front(), units),
                           more(gains.size() - 1) + smallOther(c, RegionKind::Loss));
    if (!losses.empty())
        return fmt::format("{} {}{}", c.to, meanClause(c, "costs", losses.front(), units),
                           more(losses.size() - 1) + smallOther(c, RegionKind::Gain));
    return "";
}

/// The mean that speaks when no stretch does: over the use, when the day names one, else over the whole range.
const BandResult& speakingBand(const Comparison& c) {
    if (c.use_rpm)
        for (const BandResult& band : c.bands)
            if (band.asked >= 0 && band.range_rpm.low >= c.use_rpm->low && band.range_rpm.high <= c.use_rpm->high)
                return band;
    return c.bands.front();
}

double halfOf(const Comparison& c, const BandResult& band) {
    return c.hasInterval ? 0.5 * (band.high_w - band.low_w) : std::nan("");
}

std::string onAverage(const Comparison& c, const DisplayUnits& units) {
    const BandResult& band = speakingBand(c);
    return fmt::format("{} on average over {}", placedPower(c, band.delta_w, halfOf(c, band), units, true),
                       rangeText(band.range_rpm));
}

/// "a gain around 7 300 rpm": the proven stretches that are too narrow or too uncertain for a headline.
std::string lesserPlaces(const Comparison& c) {
    std::vector<std::string> out;
    for (const Region& region : c.regions) {
        if (region.kind == RegionKind::Unresolved)
            continue;
        const double middle = 0.5 * (region.range_rpm.low + region.range_rpm.high);
        out.push_back(fmt::format("a {} around {}{}rpm", region.kind == RegionKind::Gain ? "gain" : "loss",
                                  rpmText(std::round(middle / 50.0) * 50.0), kSpace));
    }
    if (out.size() > 2) {
        const size_t others = out.size() - 2;
        out.resize(2);
        return fmt::format("{}, {} and {} more", out[0], out[1], others);
    }
    return fmt::format("{}", fmt::join(out, " and "));
}

/// When something is proven, but no stretch is worth a headline: the mean speaks.
std::string averageClause(const Comparison& c, const DisplayUnits& units) {
    const BandResult& band = speakingBand(c);
    const Claim claim = claimOf(c, band.low_w, band.high_w);
    const bool stretches = std::any_of(c.regions.begin(), c.regions.end(),
                                       [](const Region& r) { return r.kind != RegionKind::Unresolved; });
    if (!stretches) // a pair that stands on its mean alone
        return fmt::format("{} {} {} on average over {}; where along the curve cannot be told yet", c.to,
                           c.verdict == VerdictKind::Gain ? "gives" : "costs",
                           placedPower(c, std::abs(c.bands.front().delta_w), halfOf(c, c.bands.front()), units),
                           rangeText(c.bands.front().range_rpm));
    if (claim == Claim::Unresolved)
        return fmt::format("{} against {} is {}: the mean cannot be told from nothing; only short stretches stand out "
                           "({})",
                           c.to, c.from, onAverage(c, units), lesserPlaces(c));
    return fmt::format(
        "{} {} {} on average over {}; by itself only {} stands out", c.to, claim == Claim::Gain ? "gives" : "costs",
        placedPower(c, std::abs(band.delta_w), halfOf(c, band), units), rangeText(band.range_rpm), lesserPlaces(c));
}

/// How a reader says that a channel lay elsewhere: "leaner by 0.06", "with 3 deg more timing".
std::string otherwiseText(const LikeForLike& row) {
    const double size = std::abs(row.difference);
    const bool up = row.difference > 0.0;
    if (row.channel == "lambda" || row.channel == "air_fuel_ratio")
        return fmt::format("{} by {:.2g}", up ? "leaner" : "richer", size);
    if (row.channel == "ignition_advance")
        return fmt::format("with {:.2g}\xC2\xB0 {} timing", size, up ? "more" : "less");
    std::string label = channelLabel(row.channel);
    label.front() = static_cast<char>(std::tolower(static_cast<unsigned char>(label.front())));
    const std::string unit = row.unit == "1" || row.unit.empty() ? ""
                                                                 : kSpace + (row.unit == "C" ? "\xC2\xB0"
                                                                                               "C"
                                                                                             : row.unit);
    return fmt::format("with {} {:.2g}{} {}", label, size, unit, up ? "higher" : "lower");
}

std::string listed(const std::vector<std::string>& items) {
    if (items.size() <= 1)
        return items.empty() ? "" : items.front();
    return fmt::format("{} and {}", fmt::join(items.begin(), items.end() - 1, ", "), items.back());
}

std::string allTogether(size_t count) {
    constexpr std::array names{"two", "three", "four", "five", "six", "seven", "eight", "nine"};
    if (count == 2)
        return "both together";
    return fmt::format("all {} together", count - 2 < names.size() ? names.at(count - 2) : std::to_string(count));
}

/// What else differed, so that the part alone did not earn it: ", but it ran leaner by 0.06: the gain belongs to both
/// together". Empty when one thing changed and all else matched.
std::string jointClause(const Comparison& c) {
    std::vector<std::string> otherwise;
    for (const LikeForLike& row : c.likeForLike)
        if (row.verdict == LikeVerdict::Differs && row.channel != "gear")
            otherwise.push_back(otherwiseText(row));
    const size_t parts = std::max<size_t>(1, c.changed.size());
    const size_t count = parts + otherwise.size();
    if (count < 2)
        return "";
    std::string text = ", but ";
    if (parts > 1) {
        std::vector<std::string> names;
        for (const Change& change : c.changed)
            names.push_back(change.part);
        for (std::string& name : names)
            std::replace(name.begin(), name.end(), '_', ' ');
        if (names.size() > 3)
            text += fmt::format("{} things were changed at once", parts);
        else
            text += listed(names) + " were changed at once";
        if (!otherwise.empty())
            text += " and ";
    }
    if (!otherwise.empty())
        text += "it ran " + listed(otherwise);
    const char* what =
        c.verdict == VerdictKind::Mixed ? "difference" : (c.verdict == VerdictKind::Gain ? "gain" : "loss");
    return text + fmt::format(": the {} belongs to {}", what, allTogether(count));
}

/// "B is a curve only, corrected to SAE J1349, smoothing not known".
std::string givenWords(const Comparison& c) {
    std::vector<std::string> out;
    for (const GivenBuild& one : c.given)
        out.push_back(fmt::format("{} is {}", one.build, one.text));
    return listed(out);
}

std::string cannotTellSentence(const Comparison& c, const DisplayUnits& units) {
    if (c.bands.empty())
        return "Cannot tell yet: the builds share no range of speed.";
    if (!c.given.empty())
        return fmt::format("Cannot tell: {}. {} against {} reads {}; how well that repeats nobody knows.",
                           givenWords(c), c.to, c.from, onAverage(c, units));
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

std::string placesText(const std::set<MeasuredAt>& places) {
    std::vector<std::string> names;
    for (const MeasuredAt place : places)
        names.push_back(fmt::format("the {}", measuredAtName(place)));
    return listed(names);
}

std::string notComparableSentence(const Comparison& c) {
    if (!c.samePlace())
        return fmt::format("{} and {} cannot be compared: one was measured at {}, the other at {}; the difference "
                           "would hold the losses between.",
                           c.from, c.to, placesText(c.measuredAtFrom), placesText(c.measuredAtTo));
    for (const LikeForLike& row : c.likeForLike)
        if (row.key)
            return fmt::format("{} and {} cannot be compared: {} was {:.4g} against {:.4g}{}.", c.from, c.to,
                               row.channel, row.to, row.from,
                               row.unit == "1" || row.unit.empty() ? "" : kSpace + row.unit);
    return fmt::format("{} and {} cannot be compared.", c.from, c.to);
}

std::string answerSentence(const Comparison& c, const DisplayUnits& units) {
    if (c.verdict == VerdictKind::NotComparable)
        return notComparableSentence(c);
    if (c.verdict == VerdictKind::CannotTell)
        return cannotTellSentence(c, units);
    if (c.verdict == VerdictKind::NoDifference)
        return fmt::format("No difference that matters: {} against {} is {}, within {}{} with 95{}% confidence.", c.to,
                           c.from, onAverage(c, units), kPlusMinus, powerText(*c.matters_w, std::nan(""), units),
                           kSpace);
    std::string text = provenClause(c, units);
    if (text.empty())
        text = averageClause(c, units);
    text += jointClause(c) + ".";
    if (!c.protectedFromDrift && c.boundDeclared)
        text += " This holds only if drift stayed within the declared bound.";
    return text;
}

std::string pullsText(const PullsToSettle& one, const DisplayUnits& units) {
    const std::string difference =
        fmt::format("{:.2g}{}{}", powerIn(units.power, one.difference_w), kSpace, powerUnitText(units.power));
    if (!one.pullsPerSet)
        return fmt::format("30 pulls a set would not do to see {}", difference);
    std::string text = fmt::format("{} pulls a set, about {:.0f}{}min, to see {} on four days of five",
                                   *one.pullsPerSet, std::ceil(one.minutes / 5.0) * 5.0, kSpace, difference);
    if (one.returnAdded)
        text += ", with a return to base";
    return text;
}

} // namespace

RoundedPair roundedByInterval(double value, double half) {
    if (!std::isfinite(value))
        return {"\xE2\x80\x93", ""};
    if (!std::isfinite(half) || half <= 0.0)
        return {fmt::format("{:.{}f}", value, std::abs(value) < 1.0 ? 2 : (std::abs(value) < 100.0 ? 1 : 0)), ""};
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

std::string settleText(const Comparison& c, const DisplayUnits& units) {
    if (!c.toSettle || (!c.toSettle->matters && !c.toSettle->seen))
        return "";
    std::string text = "What would settle it: ";
    if (c.toSettle->matters)
        text += pullsText(*c.toSettle->matters, units);
    if (c.toSettle->seen)
        text += (c.toSettle->matters ? "; " : "") + pullsText(*c.toSettle->seen, units) +
                ", if it is as large as it now looks, which flatters it";
    return text + ".";
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
