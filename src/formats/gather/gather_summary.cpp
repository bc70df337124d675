// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/gather_summary.h"

#include "core/channels/channels.h"
#include "core/errors/shown_text.h"
#include "core/units/units.h"
#include "formats/gather/column_words.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun {
namespace {

constexpr size_t kPeakRows = 9; ///< rows of the mean

std::string separatorWords(char separator) {
    switch (separator) {
    case '\t':
        return "tabs";
    case ';':
        return "semicolons";
    case '|':
        return "bars";
    case ' ':
        return "blanks";
    default:
        return "commas";
    }
}

bool usesDecimalComma(const RawTable& table) {
    return std::any_of(table.columns.begin(), table.columns.end(),
                       [](const RawColumn& column) { return column.style.decimal == ','; });
}

std::string roleWords(const std::string& channel) {
    if (channel == role::kDate)
        return "the date";
    if (channel == role::kSample)
        return "the row's number";
    if (channel == role::kRun)
        return "the run";
    if (channel == role::kAirTemperature)
        return "the surrounding air's temperature";
    if (channel == role::kAirPressure)
        return "the surrounding air's pressure";
    if (channel == role::kHumidity)
        return "the surrounding air's humidity";
    return channelLabel(channel);
}

std::string columnWords(const GatheredColumn& column) {
    const std::string header = column.header.empty() ? "(no name)" : shownText(column.header);
    if (column.channel.empty())
        return header + ": left out";
    const bool known = channelInfo(column.channel) || column.channel.starts_with('#');
    std::string out = header + (known ? " is " + roleWords(column.channel) : " keeps its own name");
    if (!column.unit.empty() && column.unit != "1")
        out += " in " + shownText(column.unit);
    if (column.gauge)
        out += ", above the surrounding air";
    if (column.factor != 1.0)
        out += fmt::format(", times {:g}", column.factor);
    if (column.guessed)
        out += " (guessed)";
    return out;
}

} // namespace

std::optional<RawPeak> rawPeak(const ChannelTable& table) {
    const Column* speed = table.find("engine_speed");
    const Column* power = table.find("power");
    const Column* torque = table.find("torque");
    if (!speed || (!power && !torque))
        return std::nullopt;
    const size_t together = table.find("time") ? kPeakRows : 1; // the points of a curve are means already
    std::optional<RawPeak> best;
    double sum = 0.0;
    double speeds = 0.0;
    size_t rows = 0;
    for (size_t row = 0; row < table.rows(); ++row) {
        const double rpm = speed->values[row];
        const double kw = power ? power->values[row] : torque->values[row] * angularSpeed(rpm) / 1000.0;
        if (!std::isfinite(kw) || !std::isfinite(rpm))
            continue;
        sum += kw;
        speeds += rpm;
        if (++rows < together)
            continue;
        const auto count = static_cast<double>(together);
        const RawPeak mean{sum / count, speeds / count};
        if (!best || mean.power_kw > best->power_kw)
            best = mean;
        sum = 0.0;
        speeds = 0.0;
        rows = 0;
    }
    return best;
}

std::vector<std::string> explained(const GatheredFile& file) {
    const RawTable& table = file.table;
    std::vector<std::string> out;
    out.push_back(fmt::format("{}, separated by {}, {}; {} rows; {}", encodingName(file.text.encoding),
                              separatorWords(table.separator),
                              usesDecimalComma(table) ? "decimal comma" : "decimal point", table.rows(),
                              table.headerLine > 0 ? fmt::format("names in line {}", table.headerLine) : "no names"));
    for (const GatheredColumn& column : file.columns)
        out.push_back(columnWords(column));
    for (size_t i = 0; i < file.pulls.size(); ++i) {
        const GatheredPull& pull = file.pulls[i];
        std::string line = fmt::format("pull {}{}: lines {} to {}", i + 1,
                                       pull.label.empty() ? "" : " (" + shownText(pull.label) + ")",
                                       table.lineOfRow[pull.rows.first], table.lineOfRow[pull.rows.last]);
        if (pull.sweep_rpm.high > 0.0) // rollers may be all that was recorded
            line += fmt::format(", {:.0f} to {:.0f} rpm in {:.1f} s", pull.sweep_rpm.low, pull.sweep_rpm.high,
                                pull.sweep_s);
        out.push_back(std::move(line));
    }
    return out;
}

std::string noteLine(const GatherNote& note) {
    const std::string place = placeText(note.place);
    const std::string remedy = gatherRemedyText(note.code);
    return shownText(place) + (place.empty() ? "" : ": ") + gatherNoteText(note) +
           (remedy.empty() ? "" : ". " + remedy);
}

} // namespace hillrun
