// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/pull_file.h"

#include "core/channels/channels.h"
#include "core/errors/data_error.h"
#include "core/errors/shown_text.h"

#include <algorithm>
#include <cctype>
#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <set>

namespace hillrun {
namespace {

/// Letters and digits only, so that "Engine Speed" and "engine_speed" agree.
std::string bare(std::string_view text) {
    std::string out;
    for (const char c : text)
        if (std::isalnum(static_cast<unsigned char>(c)))
            out += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    return out;
}

bool isOneOf(std::string_view wanted, std::string_view list) {
    while (!list.empty()) {
        const size_t bar = list.find('|');
        if (list.substr(0, bar) == wanted)
            return true;
        if (bar == std::string_view::npos)
            break;
        list.remove_prefix(bar + 1);
    }
    return false;
}

/// The unit a name like "MPH" or "kW" carries in itself.
std::string unitInName(const std::string& bareName) {
    for (const char* name : {"rpm", "hp", "kw", "ps", "mph", "kmh", "bhp"})
        if (bareName == name)
            return name;
    return "";
}

ColumnMeaning guessMeaning(const std::string& header, const std::string& unitText) {
    ColumnMeaning out;
    out.header = header;
    out.channel = header;
    out.unit = unitText;
    const std::string name = bare(header);
    const auto unit = parseUnit(unitText);
    if (const ChannelInfo* exact = channelInfo(header)) {
        out.channel = exact->name;
        out.guessed = unitText.empty() && exact->dimension != Dimension::None;
    } else {
        for (const ChannelInfo& channel : standardChannels()) {
            if (name != bare(channel.name) && !isOneOf(name, channel.otherNames))
                continue;
            // "speed [km/h]" is road speed, not engine speed: the unit must fit.
            if (unit && !unitText.empty() && !asUnitOf(*unit, channel.dimension))
                continue;
            out.channel = channel.name;
            out.guessed = true;
            break;
        }
    }
    const ChannelInfo* info = channelInfo(out.channel);
    if (info && out.unit.empty()) {
        out.unit = unitInName(name);
        if (out.unit.empty())
            out.unit = canonicalUnitText(info->dimension);
    }
    const bool boostName = name.find("boost") != std::string::npos || name.find("gauge") != std::string::npos;
    const auto known = parseUnit(out.unit);
    out.gauge = (known && known->gauge) || (boostName && known && known->dimension == Dimension::Pressure);
    return out;
}

Unit unitOf(const ColumnMeaning& meaning, const std::string& file, long headerLine) {
    const Place place{.file = file, .line = headerLine, .column = meaning.header};
    const ChannelInfo* info = channelInfo(meaning.channel);
    const auto unit = parseUnit(meaning.unit);
    if (!info)
        return unit.value_or(Unit{});
    if (!unit)
        throw DataError(Problem::UnknownUnit, {meaning.unit}, place);
    const bool wordless = unit->dimension == Dimension::None && (meaning.unit.empty() || meaning.unit == "1");
    const auto fitting = asUnitOf(*unit, info->dimension);
    if (!fitting && !wordless)
        throw DataError(Problem::WrongUnitKind, {meaning.unit, ChannelName{info->name, true}}, place);
    return fitting.value_or(*unit);
}

/// "torque" twice is an error in our own spelling; elsewhere the second keeps a name of its own. `next` remembers the
/// number each name goes on with, so that thousands of one name cost no more than others.
std::string freeName(const std::string& wanted, const std::set<std::string>& taken, std::map<std::string, int>& next) {
    if (!taken.contains(wanted))
        return wanted;
    int& number = next.try_emplace(wanted, 2).first->second;
    std::string name;
    do
        name = fmt::format("{}_{}", wanted, number++);
    while (taken.contains(name));
    return name;
}

/// A name or unit that a header line can carry: what would end a cell or begin a unit becomes a blank.
std::string headerWord(std::string_view text) {
    std::string out;
    for (const char c : keptText(text)) {
        const bool blank = std::string_view(" ,;\"[]|").find(c) != std::string_view::npos;
        if (!blank)
            out += c;
        else if (!out.empty() && out.back() != ' ')
            out += ' ';
    }
    while (!out.empty() && out.back() == ' ')
        out.pop_back();
    return out.substr(out.find_first_not_of('#') == std::string::npos ? out.size() : out.find_first_not_of('#'));
}

void checkTime(const ChannelTable& table, const std::string& file) {
    const Column* time = table.find("time");
    if (!time)
        throw DataError(Problem::NoTimeChannel, {}, {.file = file});
    double last = -std::numeric_limits<double>::infinity();
    for (const double t : time->values) {
        if (t < last)
            throw DataError(Problem::TimeRunsBack, {fmt::format("{}", last), fmt::format("{}", t)},
                            {.file = file, .column = "time"});
        if (std::isfinite(t))
            last = t;
    }
}

} // namespace

std::vector<ColumnMeaning> guessMeanings(const CsvTable& table) {
    std::vector<ColumnMeaning> out;
    std::set<std::string> taken;
    for (size_t i = 0; i < table.names.size(); ++i) {
        ColumnMeaning meaning = guessMeaning(table.names[i], table.units[i]);
        if (channelInfo(meaning.channel) && taken.contains(meaning.channel)) {
            if (meaning.channel == meaning.header) {
                out.push_back(meaning); // spelled the same twice: toChannels says so
                continue;
            }
            meaning.channel = meaning.header.empty() ? fmt::format("column_{}", i + 1) : meaning.header;
            meaning.guessed = true;
        }
        taken.insert(meaning.channel);
        out.push_back(meaning);
    }
    return out;
}

ChannelTable toChannels(CsvTable table, const std::vector<ColumnMeaning>& meanings, double ambient_kpa,
                        const std::string& file) {
    ChannelTable out;
    std::set<std::string> taken;
    std::map<std::string, int> next;
    for (size_t i = 0; i < meanings.size(); ++i) {
        const ColumnMeaning& meaning = meanings[i];
        if (meaning.channel.empty())
            continue;
        const bool standard = channelInfo(meaning.channel) != nullptr;
        if (standard && taken.contains(meaning.channel))
            throw DataError(Problem::ColumnTwice, {meaning.channel},
                            {.file = file, .line = table.headerLine, .column = meaning.header});
        const Unit unit = unitOf(meaning, file, table.headerLine);
        Column column;
        const std::string word = standard ? meaning.channel : headerWord(meaning.channel);
        column.name = freeName(word.empty() ? fmt::format("column_{}", i + 1) : word, taken, next);
        taken.insert(column.name);
        column.values = std::move(table.columns[i]);
        if (standard) {
            column.unit = canonicalUnitText(channelInfo(meaning.channel)->dimension);
            const double offset = meaning.gauge && unit.dimension == Dimension::Pressure ? ambient_kpa : 0.0;
            if (unit.scale != 1.0 || unit.offset != 0.0 || offset != 0.0)
                for (double& value : column.values)
                    value = unit.toCanonical(value) + offset;
        } else {
            column.unit = headerWord(meaning.unit); // a channel of its own keeps its unit
        }
        out.columns.push_back(std::move(column));
    }
    return out;
}

void checkPull(const ChannelTable& table, const std::string& file) {
    checkTime(table, file);
    const bool roller = table.find("roller_speed") != nullptr;
    if (!table.find("engine_speed") && !roller)
        throw DataError(Problem::NoSpeedChannel, {}, {.file = file});
    if (!table.find("torque") && !table.find("power") && !roller)
        throw DataError(Problem::NoTorqueChannel, {}, {.file = file});
}

void checkCurve(const ChannelTable& table, const std::string& file) {
    constexpr size_t kFewestPoints = 2; // the peaks of power and torque
    if (!table.find("engine_speed"))
        throw DataError(Problem::NoSpeedChannel, {}, {.file = file});
    if (!table.find("torque") && !table.find("power"))
        throw DataError(Problem::NoTorqueChannel, {}, {.file = file});
    if (table.rows() < kFewestPoints)
        throw DataError(Problem::TooFewPoints, {std::to_string(table.rows())}, {.file = file});
}

ChannelTable readCurveText(std::string_view text, const std::string& file, double ambient_kpa) {
    CsvTable csv = parseCsv(text, file);
    const std::vector<ColumnMeaning> meanings = guessMeanings(csv);
    ChannelTable table = toChannels(std::move(csv), meanings, ambient_kpa, file);
    checkCurve(table, file);
    return table;
}

ChannelTable readLogText(std::string_view text, const std::string& file) {
    CsvTable csv = parseCsv(text, file);
    const std::vector<ColumnMeaning> meanings = guessMeanings(csv);
    ChannelTable table = toChannels(std::move(csv), meanings, 0.0, file);
    for (const auto& [channel, problem] :
         {std::pair{"time", Problem::NoTimeChannel}, std::pair{"engine_speed", Problem::NoSpeedChannel}})
        if (!table.find(channel))
            throw DataError(problem, {}, {.file = file});
    return table;
}

ChannelTable readPullText(std::string_view text, const std::string& file, double ambient_kpa) {
    CsvTable csv = parseCsv(text, file);
    const std::vector<ColumnMeaning> meanings = guessMeanings(csv);
    ChannelTable table = toChannels(std::move(csv), meanings, ambient_kpa, file);
    checkPull(table, file);
    return table;
}

std::string writePullText(const ChannelTable& table) {
    std::string out;
    out.reserve(table.rows() * table.columns.size() * 8);
    for (size_t i = 0; i < table.columns.size(); ++i)
        out += fmt::format("{}{} [{}]", i ? "," : "", headerWord(table.columns[i].name),
                           headerWord(table.columns[i].unit));
    out += '\n';
    char digits[32];
    for (size_t row = 0; row < table.rows(); ++row) {
        for (size_t i = 0; i < table.columns.size(); ++i) {
            if (i)
                out += ',';
            const double value = table.columns[i].values[row];
            if (std::isfinite(value))
                out.append(digits, std::to_chars(digits, digits + sizeof digits, value).ptr);
        }
        out += '\n';
    }
    return out;
}

} // namespace hillrun
