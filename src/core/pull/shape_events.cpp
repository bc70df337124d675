// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/channels/channels.h"
#include "core/pull/event_list.h"
#include "core/pull/local_regression.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

// Thresholds: common practice, then set on simulated pulls (docs/method.md).
constexpr double kBump = 0.018;     ///< of the torque, against the curve on both sides
constexpr double kWide_rpm = 900.0; ///< wider than a bump, narrower than an engine's own course
constexpr double kLongest_rpm = 900.0;

/// What a channel that moves at a dip (or, the other way round, at a hump) has to do with it.
struct Cause {
    const char* channel;
    double moves; ///< at a dip it goes up (+1) or down (-1); 0: either
    double least; ///< smallest move worth naming, in the channel's unit
};
constexpr Cause kCauses[] = {
    {"bypass_valve", 1.0, 5.0},       {"knock_retard", 1.0, 0.5},    {"ignition_advance", -1.0, 0.7},
    {"manifold_pressure", -1.0, 1.2}, {"wastegate_duty", -1.0, 4.0}, {"throttle", -1.0, 0.8},
    {"lambda", 0.0, 0.012},           {"air_fuel_ratio", 0.0, 0.18}, {"fuel_pressure", -1.0, 6.0},
    {"spark_current", -1.0, 2.0},     {"absorber_load", 1.0, 4.0},   {"exhaust_back_pressure", 1.0, 4.0},
    {"airbox_pressure", -1.0, 0.15},
};

/// A curve minus itself smoothed wide: what rises and falls within a few hundred rpm. Smoothed twice over (twicing,
/// Tukey 1977), so that a knee or a bend is no bump.
std::vector<double> bumpsOf(const std::vector<double>& rpm, const std::vector<double>& values, bool relative) {
    const LocalRegression wide(rpm, rpm, kWide_rpm);
    std::vector<double> out = wide.apply(values);
    std::vector<double> rest(values.size());
    for (size_t i = 0; i < rest.size(); ++i)
        rest[i] = values[i] - out[i];
    const std::vector<double> again = wide.apply(rest);
    for (size_t i = 0; i < out.size(); ++i)
        out[i] += again[i];
    for (size_t i = 0; i < out.size(); ++i)
        out[i] = relative ? values[i] / out[i] - 1.0 : values[i] - out[i];
    return out;
}

/// What of a bump the other pulls show too: the median of theirs.
std::vector<double> usualBumps(const EventSheet& sheet) {
    const auto& rpm = sheet.curve.rpm;
    std::vector<std::vector<double>> all(rpm.size());
    for (const EventReference& other : sheet.context.references) {
        if (other.curve->rpm.size() < 8 || rpm.size() < 2)
            continue;
        const std::vector<double> theirs = bumpsOf(other.curve->rpm, other.curve->torque_nm, true);
        for (size_t i = 0; i < rpm.size(); ++i) {
            const auto at = std::llround((rpm[i] - other.curve->rpm.front()) / (rpm[1] - rpm[0]));
            if (at >= 0 && at < static_cast<long long>(theirs.size()) && std::isfinite(theirs[static_cast<size_t>(at)]))
                all[i].push_back(theirs[static_cast<size_t>(at)]);
        }
    }
    std::vector<double> out(rpm.size(), std::nan(""));
    for (size_t i = 0; i < out.size(); ++i)
        if (!all[i].empty())
            out[i] = median(std::move(all[i]));
    return out;
}

double meanIn(const std::vector<double>& rpm, const std::vector<double>& values, const RpmRange& range) {
    double sum = 0.0;
    double count = 0.0;
    for (size_t i = 0; i < rpm.size(); ++i)
        if (range.holds(rpm[i]) && std::isfinite(values[i])) {
            sum += values[i];
            count += 1.0;
        }
    return count > 0.0 ? sum / count : 0.0;
}

/// A fault of the torque itself lies so near that it makes the bump.
bool explained(const EventSheet& sheet, const RpmRange& range) {
    constexpr double near_rpm = 0.5 * kWide_rpm;
    return std::any_of(sheet.events.begin(), sheet.events.end(), [&](const Event& event) {
        return (event.kind == EventKind::Spike || event.kind == EventKind::Collapse ||
                event.kind == EventKind::StartSpike || event.kind == EventKind::Gap) &&
               event.range_rpm.low < range.high + near_rpm && event.range_rpm.high > range.low - near_rpm;
    });
}

/// "bypass valve +40 % (an open bypass lets charge escape)" for each channel that moved the way that explains it.
Several causesOf(const EventSheet& sheet, const RpmRange& range, double sign) {
    Several out;
    for (const Cause& cause : kCauses) {
        const auto* values = sheet.channel(cause.channel);
        if (!values)
            continue;
        const double move = meanIn(sheet.curve.rpm, bumpsOf(sheet.curve.rpm, *values, false), range);
        const double towards = cause.moves == 0.0 ? std::abs(move) : move * cause.moves * -sign;
        if (towards < cause.least)
            continue;
        const ChannelInfo* info = channelInfo(cause.channel);
        const std::string unit = info && info->dimension != Dimension::None ? canonicalUnitText(info->dimension) : "";
        out.items.push_back({std::string("cause.") + cause.channel,
                             {ChannelName{cause.channel, true}, signedSignificant(move, 2, unit)}});
    }
    return out;
}

/// A stretch of the curve that stands out, with its height in parts of the torque.
struct Bump {
    RpmRange range;
    double size = 0.0;
};

std::vector<Bump> bumpsIn(const std::vector<double>& rpm, const std::vector<double>& own) {
    std::vector<Bump> out;
    const double margin_rpm = 0.25 * kWide_rpm; // at the ends the wide line follows the curve
    for (const double sign : {1.0, -1.0}) {
        for (const RpmRange& range : stretches(rpm, 0.0, [&](size_t i) { return sign * own[i] > kBump; })) {
            Bump bump{range, 0.0};
            for (size_t i = 0; i < rpm.size(); ++i)
                if (range.holds(rpm[i]) && std::abs(own[i]) > std::abs(bump.size))
                    bump.size = own[i];
            if (range.low >= rpm.front() + margin_rpm && range.high <= rpm.back() - margin_rpm &&
                range.high - range.low <= kLongest_rpm)
                out.push_back(bump);
        }
    }
    return out;
}

/// Beside a bump the wide line lies off the other way: such a shadow is no bump of its own.
bool isShadow(const Bump& bump, const std::vector<Bump>& all) {
    return std::any_of(all.begin(), all.end(), [&](const Bump& other) {
        return bump.size * other.size < 0.0 && std::abs(bump.size) < 0.75 * std::abs(other.size) &&
               bump.range.low < other.range.high + kWide_rpm && bump.range.high > other.range.low - kWide_rpm;
    });
}

} // namespace

void findShapeEvents(EventSheet& sheet) {
    const auto& rpm = sheet.curve.rpm;
    if (rpm.size() < 30 || sheet.context.steps || sheet.brokenUp)
        return;
    const std::vector<Bump> bumps = bumpsIn(rpm, bumpsOf(rpm, sheet.curve.torque_nm, true));
    if (bumps.empty())
        return;
    const std::vector<double> usual = usualBumps(sheet);
    for (const Bump& bump : bumps) {
        if (isShadow(bump, bumps) || explained(sheet, bump.range))
            continue;
        const double sign = bump.size > 0.0 ? 1.0 : -1.0;
        const bool shared = sign * meanIn(rpm, usual, bump.range) > 0.5 * kBump;
        const Several causes = causesOf(sheet, bump.range, sign);
        const char* alone = sheet.context.references.empty() ? "event.bump" : "event.bump_here";
        std::string id = shared ? "event.bump_everywhere" : alone;
        if (!causes.items.empty())
            id += "_with";
        sheet.addRange(
            sign > 0.0 ? EventKind::Hump : EventKind::Dip, bump.range, bump.size,
            {id, {signedDecimals(100.0 * bump.size, 1, "%"), Rpm{0.5 * (bump.range.low + bump.range.high)}, causes}});
    }
}

} // namespace hillrun
