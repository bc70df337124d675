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

Statement separatorPhrase(char separator) {
    switch (separator) {
    case '\t':
        return {"separator.tabs"};
    case ';':
        return {"separator.semicolons"};
    case '|':
        return {"separator.bars"};
    case ' ':
        return {"separator.blanks"};
    default:
        return {"separator.commas"};
    }
}

Statement encodingPhrase(TextEncoding encoding) {
    constexpr const char* ids[] = {"encoding.utf8", "encoding.utf16_little", "encoding.utf16_big", "encoding.windows"};
    return {ids[static_cast<size_t>(encoding)]};
}

bool usesDecimalComma(const RawTable& table) {
    return std::any_of(table.columns.begin(), table.columns.end(),
                       [](const RawColumn& column) { return column.style.decimal == ','; });
}

Argument meaningOf(const std::string& channel) {
    for (const std::string_view role :
         {role::kDate, role::kSample, role::kRun, role::kAirTemperature, role::kAirPressure, role::kHumidity})
        if (channel == role)
            return Statement{"role." + std::string(role.substr(1))};
    return ChannelName{channel, true};
}

Statement columnStatement(const GatheredColumn& column) {
    const Argument header =
        column.header.empty() ? Argument(Statement{"column.no_name"}) : Argument(shownText(column.header));
    if (column.channel.empty())
        return {"column.left_out", {header}};
    const bool known = channelInfo(column.channel) || column.channel.starts_with('#');
    Several facts;
    if (!column.unit.empty() && column.unit != "1")
        facts.items.push_back({"column.unit", {shownText(column.unit)}});
    if (column.gauge)
        facts.items.push_back({"column.gauge"});
    if (column.factor != 1.0)
        facts.items.push_back({"column.factor", {significant(column.factor, 6)}});
    if (column.guessed)
        facts.items.push_back({"column.guessed"});
    const Statement what =
        known ? Statement{"column.is", {header, meaningOf(column.channel)}} : Statement{"column.own_name", {header}};
    return facts.items.empty() ? what : Statement{"column.with_facts", {what, facts}};
}

Statement pullStatement(const GatheredFile& file, size_t number) {
    const GatheredPull& pull = file.pulls[number];
    const auto line = [&](size_t row) { return std::to_string(file.table.lineOfRow[row]); };
    const std::string name =
        pull.label.empty() ? std::to_string(number + 1) : fmt::format("{} ({})", number + 1, shownText(pull.label));
    std::vector<Argument> holes{name, line(pull.rows.first), line(pull.rows.last)};
    if (!(pull.sweep_rpm.high > 0.0)) // rollers may be all that was recorded
        return {"explained.pull", holes};
    holes.insert(holes.end(), {pull.sweep_rpm, decimals(pull.sweep_s, 1, "s")});
    return {"explained.pull_with_sweep", holes};
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

std::vector<Statement> explained(const GatheredFile& file) {
    const RawTable& table = file.table;
    std::vector<Argument> holes{Count{static_cast<long>(table.rows())}, encodingPhrase(file.text.encoding),
                                separatorPhrase(table.separator),
                                Statement{usesDecimalComma(table) ? "mark.comma" : "mark.point"}};
    if (table.headerLine > 0)
        holes.emplace_back(std::to_string(table.headerLine));
    std::vector<Statement> out{{table.headerLine > 0 ? "explained.table" : "explained.table_without_names", holes}};
    for (const GatheredColumn& column : file.columns)
        out.push_back(columnStatement(column));
    for (size_t i = 0; i < file.pulls.size(); ++i)
        out.push_back(pullStatement(file, i));
    return out;
}

std::vector<Statement> noteStatements(const GatherNote& note) {
    Statement what = gatherStatement(note);
    what.place = note.place;
    if (Statement remedy = gatherRemedy(note.code); !remedy.empty())
        return {Statement{"note_before_remedy", {what}}, remedy};
    return {what};
}

} // namespace hillrun
