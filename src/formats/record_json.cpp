// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/record_json.h"

#include "formats/json_writer.h"
#include "formats/statement_json.h"

#include <cmath>

namespace hillrun {
namespace {

constexpr int kRecordVersion = 1;
constexpr double kWattSteps = 10.0;

Json wattsJson(const std::vector<float>& power_w) {
    Json out = Json::array();
    for (const float power : power_w)
        out.push_back(std::isfinite(power) ? std::lround(kWattSteps * static_cast<double>(power)) : 0L);
    return out;
}

std::vector<float> wattsOf(const std::vector<double>& steps) {
    std::vector<float> out;
    for (const double one : steps)
        out.push_back(static_cast<float>(one / kWattSteps));
    return out;
}

Json namedJson(const NamedValues& values) {
    Json out = Json::object();
    for (const auto& [name, value] : values)
        out[name] = value;
    return out;
}

Json buildJson(const BuildRecord& build) {
    Json out;
    out["id"] = build.id;
    putKnown(out, "name", build.name);
    out["parts"] = namedJson(build.parts);
    out["settings"] = namedJson(build.settings);
    putKnown(out, "note", build.note);
    putKnown(out, "same_as", build.sameAs);
    if (build.reference)
        out["reference"] = true;
    putKnown(out, "peak_power_w", build.peakPower_w);
    putKnown(out, "peak_torque_nm", build.peakTorque_nm);
    return out;
}

BuildRecord readBuild(ObjectReader in) {
    BuildRecord out;
    out.id = in.requiredText("id");
    out.name = in.text("name");
    out.parts = in.namedTexts("parts");
    out.settings = in.namedTexts("settings");
    out.note = in.text("note");
    out.sameAs = in.text("same_as");
    out.reference = in.flag("reference", false);
    out.peakPower_w = in.number("peak_power_w");
    out.peakTorque_nm = in.number("peak_torque_nm");
    return out;
}

Json pullJson(const PullRecord& pull) {
    return {{"build", pull.build},
            {"time_h", pull.time_h},
            {"set", pull.set},
            {"low_rpm", pull.low_rpm},
            {"power_dw", wattsJson(pull.power_w)}};
}

PullRecord readPull(ObjectReader in) {
    PullRecord out;
    out.build = in.requiredText("build");
    out.time_h = in.number("time_h").value_or(0.0);
    out.set = in.integer("set").value_or(0);
    out.low_rpm = in.number("low_rpm").value_or(0.0);
    out.power_w = wattsOf(in.numbers("power_dw"));
    return out;
}

Json paperJson(const PaperCurve& paper) {
    return {{"curve", pullJson(paper.curve)}, {"what", statementsJson({paper.what})}};
}

PaperCurve readPaper(ObjectReader in) {
    PaperCurve out;
    out.curve = readPull(in.object("curve"));
    for (const Statement& what : readStatements(in, "what"))
        out.what = what;
    return out;
}

void putCheck(Json& out, const char* key, const std::optional<CheckRecord>& check) {
    if (check)
        out[key] = {{"date", check->date}, {"off_pct", check->off_pct}};
}

std::optional<CheckRecord> readCheck(ObjectReader& in, const char* key) {
    if (!in.has(key))
        return std::nullopt;
    ObjectReader one = in.object(key);
    return CheckRecord{one.text("date"), one.number("off_pct").value_or(0.0)};
}

} // namespace

std::string recordToJson(const DayRecord& record) {
    Json out;
    out["version"] = kRecordVersion;
    out["id"] = record.id;
    out["name"] = record.name;
    out["date"] = record.date;
    out["article"] = record.article;
    putKnown(out, "displacement_cc", record.displacement_cc);
    putKnown(out, "strokes", record.strokes);
    out["cell"] = record.cell;
    out["cell_kind"] = record.cellKind;
    out["measured_at"] = record.measuredAt;
    out["standard"] = record.standard;
    putKnown(out, "operator", record.operatorName);
    putKnown(out, "note", record.note);
    out["step_rpm"] = record.step_rpm;
    out["builds"] = Json::array();
    for (const BuildRecord& build : record.builds)
        out["builds"].push_back(buildJson(build));
    out["pulls"] = Json::array();
    for (const PullRecord& pull : record.pulls)
        out["pulls"].push_back(pullJson(pull));
    if (!record.papers.empty())
        out["papers"] = Json::array();
    for (const PaperCurve& paper : record.papers)
        out["papers"].push_back(paperJson(paper));
    if (record.outsideAir)
        out["outside_air"] = true;
    putKnown(out, "level_sd", record.levelSd);
    out["degrees_of_freedom"] = record.freedom;
    out["shape_variance_low_rpm"] = record.varianceLow_rpm;
    out["shape_variance"] = record.shapeVariance;
    out["correlation_rpm"] = record.correlation.length_rpm;
    out["nugget"] = record.correlation.nugget;
    out["protected_from_drift"] = record.protectedFromDrift;
    putKnown(out, "temperature_c", record.temperature_c);
    putKnown(out, "pressure_kpa", record.pressure_kpa);
    putCheck(out, "load_cell_check", record.loadCell);
    putCheck(out, "station_check", record.station);
    out["answer"] = statementsJson(record.summary);
    return dumpJson(out);
}

DayRecord recordFromJson(std::string_view text, const std::string& from) {
    ObjectReader in(parseJson(text, from), from);
    if (const int version = in.integer("version").value_or(1); version > kRecordVersion)
        throw DataError(Problem::NewerVersion, {decimals(version, 0), decimals(kRecordVersion, 0)}, {.file = from});
    DayRecord out;
    out.id = in.requiredText("id");
    out.name = in.text("name");
    out.date = in.text("date");
    out.article = in.text("article");
    out.displacement_cc = in.number("displacement_cc");
    out.strokes = in.integer("strokes");
    out.cell = in.text("cell");
    out.cellKind = in.text("cell_kind");
    out.measuredAt = in.text("measured_at");
    out.standard = in.text("standard");
    out.operatorName = in.text("operator");
    out.note = in.text("note");
    out.step_rpm = in.number("step_rpm").value_or(50.0);
    if (!(out.step_rpm > 0.0))
        throw DataError(Problem::BadValue, {std::string("step_rpm")}, {.file = from, .key = "step_rpm"});
    for (ObjectReader& one : in.objects("builds"))
        out.builds.push_back(readBuild(std::move(one)));
    for (ObjectReader& one : in.objects("pulls"))
        out.pulls.push_back(readPull(std::move(one)));
    for (ObjectReader& one : in.objects("papers"))
        out.papers.push_back(readPaper(std::move(one)));
    out.outsideAir = in.flag("outside_air", false);
    out.levelSd = in.number("level_sd");
    out.freedom = in.number("degrees_of_freedom").value_or(0.0);
    out.varianceLow_rpm = in.number("shape_variance_low_rpm").value_or(0.0);
    for (const double one : in.numbers("shape_variance"))
        out.shapeVariance.push_back(static_cast<float>(one));
    out.correlation = {in.number("correlation_rpm").value_or(250.0), in.number("nugget").value_or(0.0)};
    out.protectedFromDrift = in.flag("protected_from_drift", false);
    out.temperature_c = in.number("temperature_c");
    out.pressure_kpa = in.number("pressure_kpa");
    out.loadCell = readCheck(in, "load_cell_check");
    out.station = readCheck(in, "station_check");
    out.summary = readStatements(in, "answer");
    return out;
}

} // namespace hillrun
