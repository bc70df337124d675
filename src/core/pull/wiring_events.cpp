// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/channels/channels.h"
#include "core/pull/event_list.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr double kAbsorberFull_pct = 99.0;
constexpr double kNoiseTimesSet = 4.0; ///< noise of a channel against the other pulls

ChannelMotion motionOf(const std::string& channel) {
    const ChannelInfo* info = channelInfo(channel);
    return info ? info->motion : ChannelMotion::Usual;
}

void absorber(EventSheet& sheet) {
    const Column* load = sheet.raw.find("absorber_load");
    if (!load)
        return;
    const auto values = sheet.s.part(*load);
    const Run run = longestRun(values, [](double v) { return v >= kAbsorberFull_pct; });
    if (run.rows < sheet.s.rowsIn(0.2))
        return;
    const size_t to = run.first + run.rows - 1;
    sheet.add(EventKind::AbsorberFull, run.first, to, 1.0, {"event.absorber", {sheet.between(run.first, to)}});
}

void dropout(EventSheet& sheet, const Column& column) {
    if (column.name == "time")
        return;
    const auto values = sheet.s.part(column);
    if (std::all_of(values.begin(), values.end(), [](double v) { return std::isfinite(v); }))
        return;
    const Run run = longestRun(values, [](double v) { return !std::isfinite(v); });
    if (run.rows < std::max<size_t>(3, sheet.s.rowsIn(0.05)) || run.rows == values.size())
        return; // a channel without any value was never there
    const size_t to = run.first + run.rows - 1;
    sheet.add(EventKind::Dropout, run.first, to, sheet.s.time_s[to] - sheet.s.time_s[run.first],
              {"event.dropout", {ChannelName{column.name, true}, sheet.between(run.first, to)}});
}

std::optional<double> usualNoise(const EventSheet& sheet, const std::string& channel) {
    std::vector<double> sds;
    for (const EventReference& other : sheet.context.references)
        if (const auto same = other.curve->seen->traits.find(channel); same != other.curve->seen->traits.end())
            sds.push_back(same->second.noise);
    if (sds.empty())
        return std::nullopt;
    return median(sds);
}

std::optional<double> noiseLimit(const std::string& channel) {
    const ChannelInfo* info = channelInfo(channel);
    return info && info->noise > 0.0 ? std::optional(info->noise) : std::nullopt;
}

void noise(EventSheet& sheet, const Column& column) {
    if (column.name == "time" || column.name == "engine_speed")
        return;
    const double sd = sheet.curve.seen->traits.at(column.name).noise;
    const auto limit = noiseLimit(column.name);
    const auto usual = usualNoise(sheet, column.name);
    const bool abovePulls = usual && *usual > 0.0 && sd > kNoiseTimesSet * *usual && (!limit || sd > 0.3 * *limit);
    const bool aboveLimit = limit && sd > *limit && (!usual || sd > 2.0 * *usual);
    if (!(abovePulls || aboveLimit) || (sheet.brokenUp && !aboveLimit))
        return;
    sheet.add(EventKind::Noise, 0, sheet.s.rows() - 1, sd,
              usual && *usual > 0.0
                  ? Statement{"event.noise_times",
                              {ChannelName{column.name}, significant(sd, 3, column.unit), decimals(sd / *usual, 0)}}
                  : Statement{"event.noise", {ChannelName{column.name}, significant(sd, 3, column.unit)}});
}

/// It stands still although it moved before, or in the other pulls, or must move in any engine.
void frozen(EventSheet& sheet, const Column& column) {
    if (motionOf(column.name) == ChannelMotion::MayStandStill)
        return;
    const auto values = sheet.s.part(column);
    if (sheet.curve.seen->traits.at(column.name).longestStill < values.size() / 4)
        return;
    const Run run = longestStill(values);
    const double seconds = static_cast<double>(run.rows) * sheet.s.step_s;
    if (seconds < 1.5 || run.rows < values.size() / 4)
        return;
    size_t usual = 0;
    for (const EventReference& other : sheet.context.references)
        if (const auto same = other.curve->seen->traits.find(column.name); same != other.curve->seen->traits.end())
            usual = std::max(usual, same->second.longestStill);
    const bool movesElsewhere = usual > 0 && 4 * usual < run.rows;
    const bool movedBefore =
        run.first > sheet.s.rowsIn(0.5) && 8 * longestStill(values.first(run.first)).rows < run.rows;
    const bool mustMove =
        motionOf(column.name) == ChannelMotion::MustMove && run.rows > values.size() / 2 && usual == 0;
    if (!movesElsewhere && !movedBefore && !mustMove)
        return;
    const size_t to = run.first + run.rows - 1;
    sheet.add(EventKind::Frozen, run.first, to, seconds,
              {"event.frozen",
               {ChannelName{column.name}, significant(values[run.first], 4, column.unit), decimals(seconds, 1, "s"),
                sheet.between(run.first, to)}});
}

} // namespace

void findWiringEvents(EventSheet& sheet) {
    absorber(sheet);
    for (const Column& column : sheet.raw.columns) {
        dropout(sheet, column);
        if (sheet.context.steps) // between holds everything may stand still or jump
            continue;
        noise(sheet, column);
        frozen(sheet, column);
    }
}

} // namespace hillrun
