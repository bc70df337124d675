// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_json.h"

#include "formats/article_json.h"
#include "formats/cell_check_json.h"
#include "formats/credit_notes_json.h"
#include "formats/json_writer.h"
#include "formats/plan_json.h"
#include "formats/weather_json.h"
#include "words/voice.h"

#include <set>

namespace hillrun {
namespace {

constexpr double kMostLogDrift = 0.05; ///< of a second log's clock

const std::vector<const char*> kCellKinds{"engine_brake", "hub_brake", "chassis_brake", "chassis_inertia"};
const std::vector<const char*> kMeasuredAt{"crank", "hub", "wheel"};
const std::vector<const char*> kSweeps{"up", "down", "steps"};

Cell readCell(ObjectReader in) {
    Cell out;
    out.name = in.text("name");
    out.kind = static_cast<CellKind>(in.choice("kind", kCellKinds));
    out.measuredAt = static_cast<MeasuredAt>(in.choice("measured_at", kMeasuredAt));
    out.sweep = static_cast<SweepDirection>(in.choice("sweep", kSweeps));
    out.rollerInertia_kgm2 = in.number("roller_inertia_kgm2");
    out.rollerRadius_m = in.number("roller_radius_m");
    out.rollerLimit_kmh = in.number("roller_limit_kmh");
    out.altitude_m = in.number("altitude_m");
    if (in.has("load_cell_check"))
        out.loadCellCheck = loadCellCheckFromJson(in.object("load_cell_check"));
    if (in.has("station_check"))
        out.stationCheck = stationCheckFromJson(in.object("station_check"));
    out.unknownKeys = in.unknownKeys();
    return out;
}

const std::vector<const char*> kPullGrades{"recorded", "curve_only", "traced"};
const std::vector<const char*> kBoostSchools{"standard", "full", "held", "temperature_only"};
const std::vector<const char*> kLossMethods{"none", "coast_down", "percent"};

LossSettings readLoss(ObjectReader in) {
    LossSettings out;
    out.method = static_cast<LossMethod>(in.choice("method", kLossMethods));
    out.percent = in.number("percent").value_or(out.percent);
    out.to = static_cast<MeasuredAt>(in.choice("to", kMeasuredAt));
    if (!(out.percent >= 0.0 && out.percent < 60.0))
        throw DataError(Problem::BadValue, {std::to_string(out.percent), Statement{"not_allowed.loss_percent"}},
                        in.place("percent"));
    out.unknownKeys = in.unknownKeys();
    return out;
}

Build readBuild(ObjectReader in) {
    Build out;
    out.id = in.requiredText("id");
    out.name = in.text("name");
    out.parts = in.namedTexts("parts");
    out.settings = in.namedTexts("settings");
    out.cost = in.number("cost");
    out.currency = in.text("currency");
    out.mass_kg = in.number("mass_kg");
    out.note = in.text("note");
    out.attachments = in.texts("attachments");
    out.sameAs = in.text("same_as");
    out.reference = in.flag("reference", false);
    out.unknownKeys = in.unknownKeys();
    return out;
}

ControlWindow readControlWindow(ObjectReader in) {
    ControlWindow out;
    out.channel = in.requiredText("channel");
    out.at = in.text("at", "start");
    out.low = in.number("low");
    out.high = in.number("high");
    out.unit = in.text("unit");
    out.unknownKeys = in.unknownKeys();
    return out;
}

/// Weather needs temperature, pressure and one humidity; less is "not known".
MeasuredAt measuredAtNamed(const std::string& name, const Place& place) {
    for (size_t i = 0; i < kMeasuredAt.size(); ++i)
        if (name == kMeasuredAt[i])
            return static_cast<MeasuredAt>(i);
    throw DataError(Problem::BadValue, {name, Statement{"not_allowed.place"}}, place);
}

std::string lowerHex(std::string text) {
    for (char& c : text)
        c = c >= 'A' && c <= 'F' ? static_cast<char>(c - 'A' + 'a') : c;
    return text;
}

std::optional<Standard> readCorrected(ObjectReader& in) {
    const std::string name = in.text("corrected_to");
    return name.empty() ? std::nullopt : std::optional(standardNamed(name));
}

GivenCurve readGiven(ObjectReader in) {
    GivenCurve out;
    out.corrected = readCorrected(in);
    out.smoothing_rpm = in.number("smoothing_rpm");
    if (out.smoothing_rpm && *out.smoothing_rpm < 0.0)
        throw DataError(Problem::BadValue, {std::to_string(*out.smoothing_rpm), Statement{"not_allowed.below_zero"}},
                        in.place("smoothing_rpm"));
    out.reading_pct = in.number("reading_pct");
    out.picture = in.text("picture");
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json givenJson(const GivenCurve& given) {
    Json out;
    out["corrected_to"] = given.corrected ? Json(standardInfo(*given.corrected).name) : Json(nullptr);
    out["smoothing_rpm"] = optionalJson(given.smoothing_rpm);
    putKnown(out, "reading_pct", given.reading_pct);
    if (!given.picture.empty())
        out["picture"] = given.picture;
    addUnknown(out, given.unknownKeys);
    return out;
}

LaidLog readLog(ObjectReader in) {
    LaidLog out;
    out.name = in.text("name");
    out.file = in.requiredText("file");
    out.sha256 = lowerHex(in.text("sha256"));
    out.clock = {in.number("lag_s").value_or(0.0), in.number("drift").value_or(0.0)};
    if (std::abs(out.clock.drift) > kMostLogDrift)
        throw DataError(Problem::BadValue, {std::to_string(out.clock.drift), Statement{"not_allowed.clock"}},
                        in.place("drift"));
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json logJson(const LaidLog& log) {
    Json out = {{"name", log.name}, {"file", log.file}};
    putKnown(out, "sha256", log.sha256);
    out["lag_s"] = log.clock.lag_s;
    out["drift"] = log.clock.drift;
    addUnknown(out, log.unknownKeys);
    return out;
}

Pull readPull(ObjectReader in) {
    Pull out;
    out.id = in.requiredText("id");
    out.build = in.requiredText("build");
    out.file = in.requiredText("file");
    out.sha256 = lowerHex(in.text("sha256"));
    out.started = in.text("started");
    if (!out.started.empty() && !secondsOf(out.started))
        throw DataError(Problem::BadValue, {out.started, Statement{"not_allowed.time"}}, in.place("started"));
    out.weather = weatherFromJson(in.object("weather"), out.unknownWeatherKeys);
    out.gear = in.integer("gear");
    out.ratio = in.number("ratio");
    if (const std::string at = in.text("measured_at"); !at.empty())
        out.measuredAt = measuredAtNamed(at, in.place("measured_at"));
    out.torqueFactor = in.number("torque_factor");
    if (out.torqueFactor && !(*out.torqueFactor > 0.0))
        throw DataError(Problem::BadValue, {std::to_string(*out.torqueFactor), Statement{"not_allowed.not_above_zero"}},
                        in.place("torque_factor"));
    out.grade = static_cast<PullGrade>(in.choice("grade", kPullGrades));
    out.given = readGiven(in.object("given"));
    out.window_rpm = in.range("window_rpm");
    out.use = in.flag("use", true);
    out.refitted = in.flag("refitted", false);
    out.reason = in.text("reason");
    out.reasonCode = in.text("reason_code");
    if (out.reasonCode.empty() && !out.reason.empty()) // files of before there were codes
        out.reasonCode = reasonCodeOf(out.reason, Voice());
    out.note = in.text("note");
    for (ObjectReader& log : in.objects("logs"))
        out.logs.push_back(readLog(log));
    out.unknownKeys = in.unknownKeys();
    return out;
}

void checkIds(const TestDay& day, const std::string& file) {
    std::set<std::string> builds;
    for (const Build& build : day.builds)
        if (!builds.insert(build.id).second)
            throw DataError(Problem::DuplicateId, {build.id}, {.file = file, .key = "builds"});
    std::set<std::string> pulls;
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        const std::string key = "pulls[" + std::to_string(i) + "]";
        if (!pulls.insert(day.pulls[i].id).second)
            throw DataError(Problem::DuplicateId, {day.pulls[i].id}, {.file = file, .key = key + ".id"});
        if (!builds.contains(day.pulls[i].build))
            throw DataError(Problem::UnknownBuild, {day.pulls[i].build}, {.file = file, .key = key + ".build"});
    }
}

Json cellJson(const Cell& cell) {
    Json out;
    out["name"] = cell.name;
    out["kind"] = cellKindName(cell.kind);
    out["measured_at"] = measuredAtName(cell.measuredAt);
    out["sweep"] = sweepName(cell.sweep);
    out["roller_inertia_kgm2"] = optionalJson(cell.rollerInertia_kgm2);
    out["roller_radius_m"] = optionalJson(cell.rollerRadius_m);
    putKnown(out, "roller_limit_kmh", cell.rollerLimit_kmh);
    putKnown(out, "altitude_m", cell.altitude_m);
    if (cell.loadCellCheck)
        out["load_cell_check"] = loadCellCheckToJson(*cell.loadCellCheck);
    if (cell.stationCheck)
        out["station_check"] = stationCheckToJson(*cell.stationCheck);
    addUnknown(out, cell.unknownKeys);
    return out;
}

Json namedJson(const NamedValues& values) {
    Json out = Json::object();
    for (const auto& [name, value] : values)
        out[name] = value;
    return out;
}

Json buildJson(const Build& build) {
    Json out;
    out["id"] = build.id;
    out["name"] = build.name;
    out["parts"] = namedJson(build.parts);
    out["settings"] = namedJson(build.settings);
    out["cost"] = optionalJson(build.cost);
    out["currency"] = build.currency;
    out["mass_kg"] = optionalJson(build.mass_kg);
    out["note"] = build.note;
    if (!build.attachments.empty())
        out["attachments"] = build.attachments;
    putKnown(out, "same_as", build.sameAs);
    if (build.reference)
        out["reference"] = true;
    addUnknown(out, build.unknownKeys);
    return out;
}

Json windowJson(const ControlWindow& window) {
    Json out;
    out["channel"] = window.channel;
    out["at"] = window.at;
    out["low"] = optionalJson(window.low);
    out["high"] = optionalJson(window.high);
    out["unit"] = window.unit;
    addUnknown(out, window.unknownKeys);
    return out;
}

Json pullJson(const Pull& pull) {
    Json weather = pull.weather ? weatherToJson(*pull.weather) : Json::object();
    addUnknown(weather, pull.unknownWeatherKeys);
    Json out;
    out["id"] = pull.id;
    out["build"] = pull.build;
    out["file"] = pull.file;
    putKnown(out, "sha256", pull.sha256);
    out["started"] = pull.started.empty() ? Json(nullptr) : Json(pull.started);
    out["weather"] = weather.empty() ? Json(nullptr) : weather;
    out["gear"] = optionalJson(pull.gear);
    out["ratio"] = optionalJson(pull.ratio);
    if (pull.measuredAt)
        out["measured_at"] = measuredAtName(*pull.measuredAt);
    putKnown(out, "torque_factor", pull.torqueFactor);
    out["grade"] = pullGradeName(pull.grade);
    if (pull.grade != PullGrade::Recorded)
        out["given"] = givenJson(pull.given);
    out["window_rpm"] = pull.window_rpm ? Json::array({pull.window_rpm->low, pull.window_rpm->high}) : Json(nullptr);
    out["use"] = pull.use;
    if (pull.refitted)
        out["refitted"] = true;
    out["reason"] = pull.reason;
    if (!pull.reasonCode.empty())
        out["reason_code"] = pull.reasonCode;
    out["note"] = pull.note;
    for (const LaidLog& log : pull.logs)
        out["logs"].push_back(logJson(log));
    addUnknown(out, pull.unknownKeys);
    return out;
}

/// Roles of parts where the guess was corrected.
void readRoles(TestDay& day, ObjectReader& in) {
    for (const auto& entry : in.namedTexts("part_roles")) {
        const std::string& name = entry.second;
        const auto roles = partRoles();
        const auto role =
            std::find_if(roles.begin(), roles.end(), [&](PartRole one) { return name == partRoleName(one); });
        if (role == roles.end())
            throw DataError(Problem::BadValue, {name, Statement{"not_allowed.role"}}, in.place("part_roles"));
        day.partRoles[entry.first] = *role;
    }
}

void checkVersion(ObjectReader& in) {
    if (in.text("format") != "hill-run-day")
        throw DataError(Problem::NotADay, {}, in.place("format"));
    const int version = in.integer("version").value_or(0);
    if (version < 1)
        throw DataError(Problem::MissingKey, {}, in.place("version"));
    if (version > kDayVersion)
        throw DataError(Problem::NewerVersion, {std::to_string(version), std::to_string(kDayVersion)},
                        in.place("version"));
}

} // namespace

TestDay dayFromJson(std::string_view text, const std::string& file) {
    ObjectReader in(parseJson(text, file), file);
    checkVersion(in);
    TestDay day;
    day.id = in.text("id");
    day.name = in.text("name");
    day.date = in.text("date");
    day.operatorName = in.text("operator");
    day.note = in.text("note");
    day.cell = readCell(in.object("cell"));
    day.article = readArticle(in.object("article"));
    for (ObjectReader& build : in.objects("builds"))
        day.builds.push_back(readBuild(build));
    for (ObjectReader& window : in.objects("control_windows"))
        day.controlWindows.push_back(readControlWindow(window));
    for (ObjectReader& pull : in.objects("pulls"))
        day.pulls.push_back(readPull(pull));
    day.boostSchool = static_cast<BoostSchool>(in.choice("boost_correction", kBoostSchools));
    day.loss = readLoss(in.object("loss"));
    for (const std::vector<double>& band : in.rowsOfNumbers("bands_rpm")) {
        if (band.size() != 2 || !(band[0] >= 0.0 && band[1] > band[0]))
            throw DataError(Problem::WrongType, {Statement{"expected.ranges"}}, in.place("bands_rpm"));
        day.bands.push_back({band[0], band[1]});
    }
    readRoles(day, in);
    for (ObjectReader& one : in.objects("attachments"))
        day.attachments.push_back({one.requiredText("file"), lowerHex(one.text("sha256"))});
    readPlanned(day, in);
    day.credit = readCreditNotes(in.object("credit"));
    day.unknownKeys = in.unknownKeys();
    checkIds(day, file);
    return day;
}

std::string pullToJson(const Pull& pull) { return dumpJson(pullJson(pull)); }

Pull pullFromJson(std::string_view text, const std::string& file) {
    return readPull(ObjectReader(parseJson(text, file), file));
}

std::string dayToJson(const TestDay& day) {
    Json out;
    out["format"] = "hill-run-day";
    out["version"] = kDayVersion;
    putKnown(out, "id", day.id);
    out["name"] = day.name;
    out["date"] = day.date;
    out["operator"] = day.operatorName;
    out["note"] = day.note;
    out["cell"] = cellJson(day.cell);
    out["article"] = articleJson(day.article);
    out["builds"] = Json::array();
    for (const Build& build : day.builds)
        out["builds"].push_back(buildJson(build));
    out["control_windows"] = Json::array();
    for (const ControlWindow& window : day.controlWindows)
        out["control_windows"].push_back(windowJson(window));
    out["pulls"] = Json::array();
    for (const Pull& pull : day.pulls)
        out["pulls"].push_back(pullJson(pull));
    if (day.boostSchool != BoostSchool::StandardsRule)
        out["boost_correction"] = kBoostSchools[static_cast<size_t>(day.boostSchool)];
    if (day.loss != LossSettings{}) {
        out["loss"] = {{"method", kLossMethods[static_cast<size_t>(day.loss.method)]},
                       {"percent", day.loss.percent},
                       {"to", measuredAtName(day.loss.to)}};
        addUnknown(out["loss"], day.loss.unknownKeys);
    }
    for (const RpmRange& band : day.bands)
        out["bands_rpm"].push_back({band.low, band.high});
    for (const auto& [part, role] : day.partRoles)
        out["part_roles"][part] = partRoleName(role);
    for (const Attachment& one : day.attachments)
        out["attachments"].push_back({{"file", one.file}, {"sha256", one.sha256}});
    addPlanned(out, day);
    if (day.credit != CreditNotes{})
        out["credit"] = creditNotesJson(day.credit);
    addUnknown(out, day.unknownKeys);
    return dumpJson(out, 2) + "\n";
}

} // namespace hillrun
