// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/plan/named_use.h"
#include "core/road/day_road.h"
#include "formats/course_file.h"
#include "formats/csv_table.h"
#include "formats/day_store.h"

#include <algorithm>
#include <charconv>
#include <cmath>

namespace hillrun::cli {
namespace {

std::optional<double> numberIn(std::string_view text) {
    double out = 0.0;
    const auto read = std::from_chars(text.data(), text.data() + text.size(), out);
    const bool whole = read.ec == std::errc() && read.ptr == text.data() + text.size();
    return whole ? std::optional(out) : std::nullopt;
}

std::vector<RpmWeight> weightsIn(const std::string& file) {
    const CsvTable table = parseCsv(readFileText(file), file);
    const auto column = [&](const char* name) {
        const auto at = std::find(table.names.begin(), table.names.end(), name);
        if (at == table.names.end())
            throw DataError(Problem::MissingKey, {}, {.file = file, .key = name});
        return table.columns[static_cast<size_t>(at - table.names.begin())];
    };
    const std::vector<double> rpm = column("rpm");
    const std::vector<double> weight = column("weight");
    std::vector<RpmWeight> out;
    for (size_t i = 0; i < rpm.size(); ++i)
        out.push_back({rpm[i], weight[i]});
    return out;
}

} // namespace

std::optional<std::pair<double, double>> pairIn(std::string_view text) {
    const size_t colon = text.find(':');
    if (colon == std::string_view::npos)
        return std::nullopt;
    const auto first = numberIn(text.substr(0, colon));
    const auto second = numberIn(text.substr(colon + 1));
    if (!first || !second)
        return std::nullopt;
    return std::pair(*first, *second);
}

WantedUse wantedUse(const std::string& text) {
    if (text.starts_with("weights:"))
        return weightsIn(text.substr(8));
    if (text.starts_with("gear:"))
        if (const auto gear = numberIn(std::string_view(text).substr(5)); gear && *gear == std::floor(*gear))
            return ShiftToShift{static_cast<int>(std::clamp(*gear, 0.0, 99.0))};
    const bool held = text.starts_with("at:");
    const auto pair = pairIn(held ? std::string_view(text).substr(3) : std::string_view(text));
    if (!pair)
        throw WrongUse(said("cli.use", {text}));
    const RpmRange range =
        held ? RpmRange{pair->first - pair->second, pair->first + pair->second} : RpmRange{pair->first, pair->second};
    if (!(range.low >= 0.0 && range.high > range.low))
        throw WrongUse(said("cli.use", {text}));
    if (held)
        return HeldSpeed{pair->first, pair->second};
    return range;
}

/// "course:larkfell-hill", driven with the first build that arrives.
WantedUse AnswerOptions::useOfCourse(const TestDay& day) const {
    const Course course = courseNamed(use.substr(7));
    if (course.held)
        return *course.held;
    DayEngine engine;
    const DayRoad road = dayRoad(day, *analyseOrThrow(day, settingsFor(day, settings()), engine), course);
    SpeedWeights out = useOnCourse(road);
    if (out.empty())
        throw DataError(Problem::BadValue, {use, road.whyNothing()});
    return out;
}

void AnswerOptions::takePlan(TestDay& day) const {
    if (refit)
        day.plan.refitSd = {{*refit}, 0.0};
    if (use.empty())
        return;
    day.plan.use = use.starts_with("course:") ? useOfCourse(day) : wantedUse(use);
    day.plan.useAfterLooking = false;
    if (const Statement whyNot = usedSpeeds(day.plan.use, day.article).whyNot; !whyNot.empty())
        throw DataError(Problem::BadValue, {use, whyNot});
}

} // namespace hillrun::cli
