// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/day/test_day.h"

#include "core/day/set_aside.h"

#include <algorithm>
#include <charconv>
#include <chrono>
#include <cmath>
#include <fmt/format.h>
#include <limits>
#include <numeric>

namespace hillrun {
namespace {

/// Reads exactly `digits` digits at `at`; moves on.
std::optional<int> digitsAt(const std::string& text, size_t& at, size_t digits) {
    int value = 0;
    if (at + digits > text.size())
        return std::nullopt;
    const auto [end, error] = std::from_chars(text.data() + at, text.data() + at + digits, value);
    if (error != std::errc() || end != text.data() + at + digits)
        return std::nullopt;
    at += digits;
    return value;
}

bool eat(const std::string& text, size_t& at, char wanted) {
    if (at >= text.size() || text[at] != wanted)
        return false;
    ++at;
    return true;
}

/// Offset from UTC in minutes; "Z" and nothing are zero.
std::optional<int> offsetAt(const std::string& text, size_t& at) {
    if (at == text.size() || eat(text, at, 'Z'))
        return 0;
    const char sign = text[at++];
    const auto hours = digitsAt(text, at, 2);
    eat(text, at, ':');
    const auto minutes = digitsAt(text, at, 2);
    if ((sign != '+' && sign != '-') || !hours || !minutes)
        return std::nullopt;
    return (sign == '-' ? -1 : 1) * (*hours * 60 + *minutes);
}

double fractionAt(const std::string& text, size_t& at) {
    double fraction = 0.0;
    if (!eat(text, at, '.'))
        return fraction;
    for (double place = 0.1; at < text.size() && text[at] >= '0' && text[at] <= '9'; ++at, place /= 10.0)
        fraction += place * (text[at] - '0');
    return fraction;
}

const std::string* valueOf(const NamedValues& values, const std::string& name) {
    for (const auto& [key, value] : values)
        if (key == name)
            return &value;
    return nullptr;
}

void addChanges(std::vector<Change>& out, const NamedValues& from, const NamedValues& to) {
    const std::string unknown; // not noted
    for (const auto& [name, value] : from) {
        const std::string* other = valueOf(to, name);
        if (!other || *other != value)
            out.push_back({name, value, other ? *other : unknown});
    }
    for (const auto& [name, value] : to)
        if (!valueOf(from, name))
            out.push_back({name, unknown, value});
}

} // namespace

namespace {

/// By the rows, or where they are not in memory by their checksums.
bool holdsSameRows(const Pull& a, const Pull& b) {
    if (a.raw && b.raw)
        return a.raw->rows() > 0 && sameRows(*ownRows(a), *ownRows(b));
    return !a.raw && !b.raw && a.problem.empty() && b.problem.empty() && !a.sha256.empty() && a.sha256 == b.sha256;
}

} // namespace

Statement reasonPhrase(const Pull& pull) {
    if (isSetAsideReason(pull.reasonCode)) // a newer program may know more
        return {"reason." + pull.reasonCode};
    if (!pull.reason.empty())
        return {"name", {pull.reason}};
    return {"reason.none_noted"};
}

Statement valuePhrase(const std::string& value) {
    return value.empty() ? Statement{"value.not_noted"} : Statement{"name", {value}};
}

std::vector<std::vector<std::string>> pullsWithSameRows(const TestDay& day) {
    std::vector<std::vector<std::string>> out;
    std::vector<char> grouped(day.pulls.size(), 0);
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        if (grouped[i])
            continue;
        std::vector<std::string> group{day.pulls[i].id};
        for (size_t j = i + 1; j < day.pulls.size(); ++j) {
            if (!holdsSameRows(day.pulls[i], day.pulls[j]))
                continue;
            grouped[j] = 1;
            group.push_back(day.pulls[j].id);
        }
        if (group.size() > 1)
            out.push_back(std::move(group));
    }
    return out;
}

EngineForAir engineForAir(const TestDay& day) {
    const EngineCard& card = day.article.engine;
    EngineForAir out;
    out.ignition = card.ignition;
    out.aspiration = card.aspiration;
    out.mechanicalEfficiency = card.mechanicalEfficiency.value_or(0.85);
    out.fuel_mg_per_litre_cycle = card.fuel_mg_per_litre_cycle;
    out.boostPressureRatio = card.boostPressureRatio;
    out.chargeCooling = card.chargeCooling;
    out.boostSchool = day.boostSchool;
    out.boostHeldAbsolute = card.boostHeldAbsolute;
    out.friction = card.friction;
    return out;
}

std::optional<double> stationPressure_kpa(const Pull& pull) {
    return pull.weather ? std::optional(pull.weather->pressure_pa / 1000.0) : std::nullopt;
}

double gaugeReference_kpa(const Pull& pull) {
    constexpr double standard_kpa = 101.325;
    return stationPressure_kpa(pull).value_or(standard_kpa);
}

const std::shared_ptr<const ChannelTable>& ownRows(const Pull& pull) { return pull.own ? pull.own : pull.raw; }

void setOwnRows(Pull& pull, std::shared_ptr<const ChannelTable> rows) {
    pull.raw = std::move(rows);
    pull.own.reset();
    const bool joins = std::any_of(pull.logs.begin(), pull.logs.end(), [](const LaidLog& log) { return log.rows; });
    if (!pull.raw || !joins)
        return;
    pull.own = pull.raw;
    pull.raw = std::make_shared<const ChannelTable>(joinedTable(*pull.own, pull.logs));
}

void setLogs(Pull& pull, std::vector<LaidLog> logs) {
    pull.logs = std::move(logs);
    setOwnRows(pull, ownRows(pull));
}

std::optional<JoinedColumn> joinedColumn(const Pull& pull, const std::string& channel) {
    if (pull.own)
        for (const JoinedColumn& column : joinedColumns(*pull.own, pull.logs))
            if (column.name == channel)
                return column;
    return std::nullopt;
}

const Build* findBuild(const TestDay& day, const std::string& id) {
    const auto it = std::find_if(day.builds.begin(), day.builds.end(), [&](const Build& b) { return b.id == id; });
    return it == day.builds.end() ? nullptr : &*it;
}

size_t buildNumber(const TestDay& day, const std::string& id) {
    const Build* build = findBuild(day, id);
    return build ? static_cast<size_t>(build - day.builds.data()) : 0;
}

const Pull* findPull(const TestDay& day, const std::string& id) {
    const auto it = std::find_if(day.pulls.begin(), day.pulls.end(), [&](const Pull& p) { return p.id == id; });
    return it == day.pulls.end() ? nullptr : &*it;
}

Pull* findPull(TestDay& day, const std::string& id) {
    return const_cast<Pull*>(findPull(static_cast<const TestDay&>(day), id));
}

std::optional<double> secondsOf(const std::string& text) {
    size_t at = 0;
    const auto year = digitsAt(text, at, 4);
    const bool dash1 = eat(text, at, '-');
    const auto month = digitsAt(text, at, 2);
    const bool dash2 = eat(text, at, '-');
    const auto day = digitsAt(text, at, 2);
    if (!year || !month || !day || !dash1 || !dash2 || !(eat(text, at, 'T') || eat(text, at, ' ')))
        return std::nullopt;
    const auto hour = digitsAt(text, at, 2);
    const bool colon = eat(text, at, ':');
    const auto minute = digitsAt(text, at, 2);
    if (!hour || !minute || !colon)
        return std::nullopt;
    double second = 0.0;
    if (eat(text, at, ':')) {
        const auto whole = digitsAt(text, at, 2);
        if (!whole)
            return std::nullopt;
        second = *whole + fractionAt(text, at);
    }
    const auto offset = offsetAt(text, at);
    if (!offset || at != text.size())
        return std::nullopt;
    using namespace std::chrono;
    const year_month_day date{std::chrono::year{*year}, std::chrono::month{static_cast<unsigned>(*month)},
                              std::chrono::day{static_cast<unsigned>(*day)}};
    if (!date.ok() || *hour > 23 || *minute > 59 || second >= 61.0)
        return std::nullopt;
    const auto days = sys_days{date}.time_since_epoch().count();
    return static_cast<double>(days) * 86400.0 + *hour * 3600.0 + (*minute - *offset) * 60.0 + second;
}

std::string isoTimeOf(double seconds) {
    using namespace std::chrono;
    const auto whole = static_cast<long long>(std::llround(seconds));
    const sys_days date = floor<days>(sys_seconds{std::chrono::seconds{whole}});
    const year_month_day ymd{date};
    const long long rest = whole - static_cast<long long>(date.time_since_epoch().count()) * 86400;
    return fmt::format("{:04}-{:02}-{:02}T{:02}:{:02}:{:02}Z", static_cast<int>(ymd.year()),
                       static_cast<unsigned>(ymd.month()), static_cast<unsigned>(ymd.day()), rest / 3600,
                       rest / 60 % 60, rest % 60);
}

DayClock dayClock(const TestDay& day) {
    constexpr double kApart_s = 300.0;
    const auto recorded = [](const Pull& pull) { return pull.grade == PullGrade::Recorded; };
    DayClock out;
    for (const Pull& pull : day.pulls)
        out.clockKnown = out.clockKnown && (!recorded(pull) || secondsOf(pull.started));
    std::vector<double> seconds;
    double last = std::numeric_limits<double>::lowest();
    for (const Pull& pull : day.pulls) {
        const double byNumber = kApart_s * static_cast<double>(seconds.size());
        seconds.push_back(out.clockKnown ? secondsOf(pull.started).value_or(0.0) : byNumber);
        if (recorded(pull))
            last = std::max(last, seconds.back());
    }
    // Curves without rows were made some other day: they stand behind what was recorded, whatever date they carry.
    if (last == std::numeric_limits<double>::lowest())
        last = -kApart_s; // there is nothing else
    for (size_t i = 0; i < seconds.size(); ++i)
        if (!recorded(day.pulls[i]))
            seconds[i] = last += kApart_s;
    out.order.resize(seconds.size());
    std::iota(out.order.begin(), out.order.end(), size_t{0});
    std::stable_sort(out.order.begin(), out.order.end(), [&](size_t a, size_t b) { return seconds[a] < seconds[b]; });
    const double first = out.order.empty() ? 0.0 : seconds[out.order.front()];
    for (const double s : seconds)
        out.hours.push_back((s - first) / 3600.0);
    return out;
}

std::vector<int> setNumbers(const TestDay& day, const DayClock& clock) {
    std::vector<int> out(day.pulls.size(), 0);
    int set = -1;
    const std::string* fitted = nullptr;
    for (const size_t i : clock.order) {
        if (!fitted || *fitted != day.pulls[i].build || day.pulls[i].refitted)
            ++set;
        fitted = &day.pulls[i].build;
        out[i] = set;
    }
    return out;
}

std::vector<Change> changesBetween(const Build& from, const Build& to) {
    std::vector<Change> out;
    addChanges(out, from.parts, to.parts);
    addChanges(out, from.settings, to.settings);
    return out;
}

PartRole roleOf(const TestDay& day, const std::string& part) {
    const auto it = day.partRoles.find(part);
    return it == day.partRoles.end() ? guessedRole(part) : it->second;
}

const char* cellKindName(CellKind kind) {
    constexpr const char* names[] = {"engine_brake", "hub_brake", "chassis_brake", "chassis_inertia"};
    return names[static_cast<size_t>(kind)];
}
const char* measuredAtName(MeasuredAt at) {
    constexpr const char* names[] = {"crank", "hub", "wheel"};
    return names[static_cast<size_t>(at)];
}
const char* pullGradeName(PullGrade grade) {
    switch (grade) {
    case PullGrade::Recorded:
        return "recorded";
    case PullGrade::CurveOnly:
        return "curve_only";
    case PullGrade::Traced:
        return "traced";
    }
    return "";
}

const char* sweepName(SweepDirection sweep) {
    constexpr const char* names[] = {"up", "down", "steps"};
    return names[static_cast<size_t>(sweep)];
}

} // namespace hillrun
