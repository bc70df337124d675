// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/plan_json.h"

#include "core/plan/named_use.h"
#include "formats/course_json.h"
#include "formats/json_writer.h"

#include <fmt/format.h>

namespace hillrun {
namespace {

PullProtocol readProtocol(ObjectReader in) {
    PullProtocol out;
    out.start_rpm = in.number("start_rpm");
    out.end_rpm = in.number("end_rpm");
    out.rate_rpm_per_s = in.number("rate_rpm_per_s");
    out.gear = in.integer("gear");
    out.unknownKeys = in.unknownKeys();
    return out;
}

HeldSpeed readHeld(ObjectReader& in, double rpm) {
    const HeldSpeed out{rpm, in.number("half_width_rpm").value_or(HeldSpeed{}.halfWidth_rpm)};
    if (!(out.halfWidth_rpm > 0.0))
        throw DataError(Problem::BadValue, {significant(out.halfWidth_rpm, 6), Statement{"not_allowed.not_above_zero"}},
                        in.place("half_width_rpm"));
    return out;
}

SpeedWeights readWeights(ObjectReader& in) {
    SpeedWeights out;
    for (const std::vector<double>& row : in.rowsOfNumbers("weights")) {
        if (row.size() != 2)
            throw DataError(Problem::BadValue, {std::to_string(row.size()), Statement{"not_allowed.use_weights"}},
                            in.place("weights"));
        out.push_back({row[0], row[1]});
    }
    (void)useOf(out); // throws for what cannot be meant
    return out;
}

/// A range stands in a key of its own, which older versions know.
void readUse(Plan& out, ObjectReader& in) {
    if (const auto range = in.range("use_rpm"))
        out.use = *range;
    ObjectReader use = in.object("use");
    if (const auto held = use.number("held_rpm"))
        out.use = readHeld(use, *held);
    else if (const auto gear = use.integer("gear"))
        out.use = ShiftToShift{*gear};
    else if (use.has("weights"))
        out.use = readWeights(use);
    out.unknownUseKeys = use.unknownKeys();
}

Json useToJson(const Plan& plan) {
    Json out = Json::object();
    if (const auto* held = std::get_if<HeldSpeed>(&plan.use))
        out = {{"held_rpm", held->rpm}, {"half_width_rpm", held->halfWidth_rpm}};
    else if (const auto* shifts = std::get_if<ShiftToShift>(&plan.use))
        out = {{"gear", shifts->gear}};
    else if (const auto* weights = std::get_if<SpeedWeights>(&plan.use))
        for (const RpmWeight& one : *weights)
            out["weights"].push_back({one.rpm, one.weight});
    addUnknown(out, plan.unknownUseKeys);
    return out;
}

/// Entered, or equally likely ones that the cell has taught, with their degrees of freedom.
RefitSd readRefit(ObjectReader& in) {
    constexpr double kMost_pct = 20.0;
    RefitSd out;
    out.likely_pct = in.numbers("refit_sd_likely_pct");
    out.freedom = in.number("refit_degrees_of_freedom").value_or(0.0);
    if (const auto entered = in.number("refit_sd_pct"))
        out = {{*entered}, 0.0};
    for (const double sd_pct : out.likely_pct)
        if (!(sd_pct >= 0.0 && sd_pct <= kMost_pct))
            throw DataError(Problem::BadValue, {significant(sd_pct, 6), Statement{"not_allowed.refit"}},
                            in.place("refit_sd_pct"));
    if (!(out.freedom >= 0.0))
        throw DataError(Problem::BadValue, {significant(out.freedom, 6), Statement{"not_allowed.not_above_zero"}},
                        in.place("refit_degrees_of_freedom"));
    return out;
}

void putRefit(Json& out, const RefitSd& refit) {
    if (refit.likely_pct.empty())
        return;
    if (refit.likely_pct.size() == 1) {
        out["refit_sd_pct"] = refit.likely_pct.front();
        return;
    }
    out["refit_sd_likely_pct"] = refit.likely_pct;
    out["refit_degrees_of_freedom"] = refit.freedom;
}

EarlierRepeats readEarlier(ObjectReader in) {
    const auto within = [&in](const char* key, double least, double most) {
        const double value = in.number(key).value_or(-1.0);
        if (!(value >= least && value <= most))
            throw DataError(Problem::BadValue, {significant(value, 6), Statement{"not_allowed.earlier_repeats"}},
                            in.place(key));
        return value;
    };
    constexpr double kLeastSd_pct = 1e-4;
    constexpr double kMostSd_pct = 100.0;
    constexpr double kMostFreedom = 1e6;
    EarlierRepeats out;
    out.sd_pct = within("sd_pct", kLeastSd_pct, kMostSd_pct);
    out.freedom = within("degrees_of_freedom", 1e-6, kMostFreedom);
    out.cautious = std::min(out.freedom, within("degrees_of_freedom_alone", 0.0, kMostFreedom));
    out.low_rpm = within("shape_low_rpm", 0.0, 1e6);
    out.step_rpm = within("shape_step_rpm", 1.0, 1e5);
    out.shapeSd_pct = in.numbers("shape_sd_pct");
    out.correlation_rpm = within("correlation_rpm", 1.0, 1e5);
    out.nugget = within("nugget", 0.0, 1.0);
    if (out.shapeSd_pct.empty() || !std::all_of(out.shapeSd_pct.begin(), out.shapeSd_pct.end(), [](double sd_pct) {
            return sd_pct >= kLeastSd_pct && sd_pct <= kMostSd_pct;
        }))
        throw DataError(Problem::BadValue, {std::string("shape_sd_pct"), Statement{"not_allowed.earlier_repeats"}},
                        in.place("shape_sd_pct"));
    return out;
}

Json earlierJson(const EarlierRepeats& earlier) {
    return {{"sd_pct", earlier.sd_pct},
            {"degrees_of_freedom", earlier.freedom},
            {"degrees_of_freedom_alone", earlier.cautious},
            {"shape_low_rpm", earlier.low_rpm},
            {"shape_step_rpm", earlier.step_rpm},
            {"shape_sd_pct", earlier.shapeSd_pct},
            {"correlation_rpm", earlier.correlation_rpm},
            {"nugget", earlier.nugget}};
}

Plan readPlan(ObjectReader in) {
    Plan out;
    out.design = in.text("design");
    out.pullsPerSet = in.integer("pulls_per_set").value_or(out.pullsPerSet);
    if (out.pullsPerSet < 1)
        throw DataError(Problem::BadValue, {std::to_string(out.pullsPerSet), Statement{"not_allowed.one_or_more"}},
                        in.place("pulls_per_set"));
    out.order = in.texts("order");
    for (const double pull : in.numbers("refit_before")) // from 1; the first pull has nothing before it
        if (pull >= 2.0 && pull <= static_cast<double>(out.order.size()))
            out.refits.push_back(static_cast<size_t>(pull) - 1);
    out.matters_pct = in.number("matters_pct");
    out.repeatability_pct = in.number("repeatability_pct");
    out.coolDown_min = in.number("cool_down_min");
    out.change_min = in.number("change_min");
    for (ObjectReader& pair : in.objects("pairs"))
        out.pairs.emplace_back(pair.requiredText("from"), pair.requiredText("to"));
    out.driftBound_pct = in.number("drift_bound_pct");
    if (out.driftBound_pct && !(*out.driftBound_pct > 0.0))
        throw DataError(Problem::BadValue,
                        {significant(*out.driftBound_pct, 6), Statement{"not_allowed.not_above_zero"}},
                        in.place("drift_bound_pct"));
    out.refitSd = readRefit(in);
    if (in.has("earlier_repeats"))
        out.earlierRepeats = readEarlier(in.object("earlier_repeats"));
    for (ObjectReader& one : in.objects("earlier_builds"))
        out.earlier.push_back({one.requiredText("day"), one.requiredText("build"), one.text("date")});
    readUse(out, in);
    if (in.has("course"))
        out.course = courseFromJson(in.object("course"));
    out.useAfterLooking = in.flag("use_after_looking", false);
    out.protocol = readProtocol(in.object("protocol"));
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json protocolJson(const PullProtocol& protocol) {
    Json out = Json::object();
    putKnown(out, "start_rpm", protocol.start_rpm);
    putKnown(out, "end_rpm", protocol.end_rpm);
    putKnown(out, "rate_rpm_per_s", protocol.rate_rpm_per_s);
    putKnown(out, "gear", protocol.gear);
    addUnknown(out, protocol.unknownKeys);
    return out;
}

Json planJson(const Plan& plan) {
    Json out;
    putKnown(out, "design", plan.design);
    out["pulls_per_set"] = plan.pullsPerSet;
    out["order"] = plan.order;
    for (const size_t pull : plan.refits)
        out["refit_before"].push_back(pull + 1);
    putKnown(out, "matters_pct", plan.matters_pct);
    putKnown(out, "repeatability_pct", plan.repeatability_pct);
    putKnown(out, "cool_down_min", plan.coolDown_min);
    putKnown(out, "change_min", plan.change_min);
    for (const auto& [from, to] : plan.pairs)
        out["pairs"].push_back({{"from", from}, {"to", to}});
    putKnown(out, "drift_bound_pct", plan.driftBound_pct);
    putRefit(out, plan.refitSd);
    if (plan.earlierRepeats.known())
        out["earlier_repeats"] = earlierJson(plan.earlierRepeats);
    for (const BuildOfDay& one : plan.earlier)
        out["earlier_builds"].push_back({{"day", one.day}, {"build", one.build}, {"date", one.date}});
    if (const auto* range = std::get_if<RpmRange>(&plan.use))
        out["use_rpm"] = {range->low, range->high};
    if (const Json use = useToJson(plan); !use.empty())
        out["use"] = use;
    if (plan.course)
        out["course"] = courseToJson(*plan.course);
    if (plan.use != WantedUse{} && plan.useAfterLooking)
        out["use_after_looking"] = true;
    out["protocol"] = protocolJson(plan.protocol);
    addUnknown(out, plan.unknownKeys);
    return out;
}

void checkOrder(const TestDay& day, ObjectReader& in) {
    for (const std::string& build : day.plan.order)
        if (!findBuild(day, build))
            throw DataError(Problem::UnknownBuild, {build}, in.place("plan.order"));
    for (const auto& [from, to] : day.plan.pairs)
        for (const std::string& build : {from, to})
            if (!findBuild(day, build))
                throw DataError(Problem::UnknownBuild, {build}, in.place("plan.pairs"));
}

} // namespace

void readPlanned(TestDay& day, ObjectReader& in) {
    day.plan = readPlan(in.object("plan"));
    checkOrder(day, in);
    for (ObjectReader& tick : in.objects("cautions")) {
        CautionTick out{tick.requiredText("id"), tick.text("who"), tick.text("when"), {}};
        out.unknownKeys = tick.unknownKeys();
        day.cautions.push_back(std::move(out));
    }
    for (ObjectReader& change : in.objects("changes")) {
        BuildChange out{change.text("when"), change.text("from"), change.text("to"), change.text("note"), {}};
        out.refitted = change.flag("refitted", false);
        out.unknownKeys = change.unknownKeys();
        day.changes.push_back(std::move(out));
    }
}

void addPlanned(Json& out, const TestDay& day) {
    if (day.plan != Plan{})
        out["plan"] = planJson(day.plan);
    for (const CautionTick& tick : day.cautions) {
        Json one{{"id", tick.id}, {"who", tick.who}, {"when", tick.when}};
        addUnknown(one, tick.unknownKeys);
        out["cautions"].push_back(one);
    }
    for (const BuildChange& change : day.changes) {
        Json one{{"when", change.when}, {"from", change.from}, {"to", change.to}, {"note", change.note}};
        if (change.refitted)
            one["refitted"] = true;
        addUnknown(one, change.unknownKeys);
        out["changes"].push_back(one);
    }
}

} // namespace hillrun
