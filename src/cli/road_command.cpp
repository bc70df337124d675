// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/errors/shown_text.h"
#include "core/road/timed_run.h"
#include "core/units/road_speed.h"
#include "formats/course_file.h"
#include "formats/day_store.h"
#include "formats/file_io.h"
#include "formats/json_writer.h"
#include "formats/road_json.h"

#include <fmt/format.h>

namespace hillrun::cli {
namespace {

struct RoadOptions {
    std::string day;
    std::string course;
    AnswerOptions answer;
    std::vector<std::string> from, to;
    std::string writeCourse, fit, build;
    TimedRun timed;
    std::optional<double> endSpeed_kmh;
    bool json = false;
};

/// One number of the vehicle by a run that was timed; nothing when it was not asked for.
std::optional<RunFit> fitted(const RoadOptions& o, const DayRoad& road, const DayAnalysis& analysis) {
    if (o.fit.empty())
        return std::nullopt;
    TimedRun timed = o.timed;
    if (o.endSpeed_kmh)
        timed.endSpeed_ms = *o.endSpeed_kmh / kKmhPerMs;
    const std::string build = !o.build.empty() || road.builds.empty() ? o.build : road.builds.front().id;
    const auto engine = courseCurve(road, analysis, build);
    if (!engine)
        throw DataError(Problem::UnknownBuild, {build});
    return fitToRun(road, *engine, o.fit == "launch" ? FittedNumber::Launch : FittedNumber::DragArea, timed);
}

/// The pairs asked for take the place of the usual ones.
void takePairs(const RoadOptions& o, const TestDay& day, AnalysisSettings& settings) {
    if (o.from.size() != o.to.size())
        throw WrongUse(said("cli.from_and_to_come"));
    for (size_t i = 0; i < o.from.size(); ++i) {
        for (const std::string& build : {o.from[i], o.to[i]})
            if (!findBuild(day, build))
                throw DataError(Problem::UnknownBuild, {build});
        settings.pairs.emplace_back(o.from[i], o.to[i]);
    }
}

void tell(const DayRoad& road) {
    for (const RoadBuild& build : road.builds)
        if (build.run.finished())
            fmt::print("{}\n", said("road.time", {build.id, decimals(build.run.time_s, 2, "s"),
                                                  decimals(build.run.endSpeed_ms * kKmhPerMs, 0, "km/h")}));
        else
            fmt::print("{}: {}\n", build.id, said(build.run.whyNot));
    for (const RoadDifference& difference : road.differences)
        fmt::print("{}\n", said(roadSummary(road, difference)));
    if (!road.whyNoDifference.empty())
        fmt::print("{}\n", said(road.whyNoDifference));
    if (!road.taken.empty())
        fmt::print("  {}\n", said(road.taken));
    fmt::print("  {}\n", said("road.model"));
}

/// Nothing moves: what only a road has is refused.
void runHeld(const RoadOptions& o, const TestDay& day, const DayAnalysis& analysis, const Course& course) {
    if (!o.writeCourse.empty())
        throw WrongUse(said("cli.road_no_table"));
    if (!o.fit.empty())
        throw WrongUse(said("cli.road_held_no_fit"));
    const HeldAnswer answer = heldAnswer(day, analysis, course);
    if (!answer.whyNot.empty())
        throw DataError(Problem::NothingToCompare, {Several{{answer.whyNot}}});
    if (o.json) {
        fmt::print("{}\n", dumpJson(heldJson(answer)));
        return;
    }
    for (const HeldBuild& build : answer.builds)
        fmt::print("{}\n", said("road.held_power", {build.id, Power{.value_w = build.power_w}}));
    for (const HeldDifference& difference : answer.differences)
        fmt::print("{}\n", said(heldSummary(answer, difference)));
}

void runRoad(const RoadOptions& o) {
    AnalysisSettings settings = o.answer.settings();
    TestDay day = readDay(o.day);
    o.answer.takePlan(day);
    takePairs(o, day, settings);
    const Course course = courseNamed(o.course);
    DayEngine engine;
    const auto analysis = analyseOrThrow(day, settingsFor(day, settings), engine);
    if (course.held)
        return runHeld(o, day, *analysis, course);
    const DayRoad road = dayRoad(day, *analysis, course);
    if (!road.whyNot.empty())
        throw DataError(Problem::NothingToCompare, {Several{{road.whyNot}}});
    if (!o.writeCourse.empty() && course.isRolling())
        throw WrongUse(said("cli.road_no_table"));
    if (!o.writeCourse.empty())
        writeFileSafely(o.writeCourse, courseAsCsv(course));
    const auto fit = fitted(o, road, *analysis);
    if (o.json) {
        Json out = roadAnswer(road);
        if (fit)
            out["fit"] = {{"what", o.fit}, {"value", optionalJson(fit->value)}, {"summary", said(fit->said)}};
        fmt::print("{}\n", dumpJson(out));
        return;
    }
    tell(road);
    if (fit)
        fmt::print("{}\n", said(fit->said));
}

} // namespace

void addRoad(CLI::App& app) {
    auto o = std::make_shared<RoadOptions>();
    CLI::App* command = app.add_subcommand("road", said("cli.road"));
    command->add_option("day", o->day, said("cli.day_folder_day_json"))->required();
    command->add_option("--course", o->course, said("cli.course"))->required();
    o->answer.addTo(*command);
    command->add_option("--from", o->from, said("cli.build_to_compare_from"))->allow_extra_args(false);
    command->add_option("--to", o->to, said("cli.build_to_compare_to"))->allow_extra_args(false);
    command->add_option("--write-course", o->writeCourse, said("cli.road_write_course"));
    command->add_option("--fit", o->fit, said("cli.road_fit"))->check(CLI::IsMember({"drag-area", "launch"}));
    command->add_option("--timed", o->timed.time_s, said("cli.road_timed"))->check(CLI::PositiveNumber);
    command->add_option("--end-speed", o->endSpeed_kmh, said("cli.road_end_speed"))->check(CLI::PositiveNumber);
    command->add_option("--build", o->build, said("cli.road_fit_build"));
    command->add_flag("--json", o->json, said("cli.one_json_document_and"));
    command->footer(said("cli.examples_road"));
    command->callback([o] { runRoad(*o); });
}

} // namespace hillrun::cli
