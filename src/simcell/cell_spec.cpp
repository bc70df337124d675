// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "simcell/cell_spec.h"

#include "formats/day_json.h"
#include "formats/json_reader.h"

#include <algorithm>

namespace hillrun::sim {
namespace {

/// [[rpm, value], ...] under a key of the original JSON.
Points pointsOf(const Json& object, const char* key, const std::string& file) {
    Points out;
    if (!object.contains(key))
        return out;
    for (const Json& point : object.at(key)) {
        if (!point.is_array() || point.size() != 2 || !point[0].is_number() || !point[1].is_number())
            throw DataError(Problem::WrongType, {Statement{"expected.rpm_values"}}, {.file = file, .key = key});
        out.emplace_back(point[0].get<double>(), point[1].get<double>());
    }
    return out;
}

EngineSpec readEngine(const Json& json, const std::string& file) {
    ObjectReader in(json, file, "engine");
    EngineSpec out;
    out.torque_nm = pointsOf(json, "torque_nm", file);
    if (out.torque_nm.size() < 2)
        throw DataError(Problem::MissingKey, {}, in.place("torque_nm"));
    out.friction_nm = in.number("friction_nm").value_or(out.friction_nm);
    out.friction_nm_per_krpm = in.number("friction_nm_per_krpm").value_or(out.friction_nm_per_krpm);
    out.displacement_cc = in.number("displacement_cc").value_or(out.displacement_cc);
    out.turbo = in.flag("turbo", false);
    out.baseBoost_kpa = pointsOf(json, "boost_kpa", file);
    out.ignition_deg = pointsOf(json, "ignition_deg", file);
    out.lambda = in.number("lambda").value_or(out.lambda);
    return out;
}

BuildEffect readEffect(const Json& json, const std::string& file) {
    ObjectReader in(json, file, "effects");
    BuildEffect out;
    out.torque_pct = pointsOf(json, "torque_pct", file);
    out.boost_kpa = pointsOf(json, "boost_kpa", file);
    out.lambdaShift = in.number("lambda_shift").value_or(0.0);
    out.ignitionShift_deg = in.number("ignition_shift_deg").value_or(0.0);
    return out;
}

Protocol readProtocol(ObjectReader in) {
    Protocol out;
    out.start_rpm = in.number("start_rpm").value_or(out.start_rpm);
    out.end_rpm = in.number("end_rpm").value_or(out.end_rpm);
    out.rate_rpm_per_s = in.number("rate_rpm_per_s").value_or(out.rate_rpm_per_s);
    out.sample_hz = in.number("sample_hz").value_or(out.sample_hz);
    out.gear = in.integer("gear");
    out.roadSpeed_kmh_per_krpm = in.number("road_speed_kmh_per_krpm");
    out.ratio = in.number("ratio");
    out.step_rpm = in.number("step_rpm").value_or(out.step_rpm);
    out.hold_s = in.number("hold_s").value_or(out.hold_s);
    out.coastDown_s = in.number("coast_down_s").value_or(0.0);
    out.retarder_nm = in.number("retarder_nm").value_or(0.0);
    out.engineSpeed = in.flag("engine_speed", true);
    if (!(out.step_rpm > 0.0 && out.hold_s > 0.0 && out.ratio.value_or(1.0) > 0.0))
        throw DataError(Problem::BadValue, {std::string("protocol"), Statement{"not_allowed.steps_holds"}},
                        in.place("step_rpm"));
    if (!(out.end_rpm > out.start_rpm && out.rate_rpm_per_s > 0.0 && out.sample_hz > 0.0))
        throw DataError(Problem::BadValue, {std::string("protocol"), Statement{"not_allowed.speeds_rates"}},
                        in.place("end_rpm"));
    return out;
}

void readConditions(CellSpec& out, ObjectReader& in) {
    ObjectReader noise = in.object("noise");
    out.noise.pullGain_pct = noise.number("pull_gain_pct").value_or(out.noise.pullGain_pct);
    out.noise.wiggle_pct = noise.number("wiggle_pct").value_or(out.noise.wiggle_pct);
    out.noise.wiggleLength_rpm = noise.number("wiggle_length_rpm").value_or(out.noise.wiggleLength_rpm);
    out.noise.sample_pct = noise.number("sample_pct").value_or(out.noise.sample_pct);
    ObjectReader losses = in.object("losses");
    out.losses = {losses.number("constant_nm").value_or(0.0), losses.number("linear_nm_s").value_or(0.0),
                  losses.number("quadratic_nm_s2").value_or(0.0)};
    ObjectReader drift = in.object("drift");
    out.drift.linear_pct_per_h = drift.number("linear_pct_per_h").value_or(0.0);
    out.drift.settling_pct = drift.number("settling_pct").value_or(0.0);
    out.drift.settling_h = drift.number("settling_h").value_or(0.5);
    out.drift.step_pct = drift.number("step_pct").value_or(0.0);
    out.drift.step_h = drift.number("step_h").value_or(0.0);
    for (ObjectReader& point : in.objects("weather"))
        out.weather.push_back({point.number("at_h").value_or(0.0), point.number("temperature_c").value_or(20.0),
                               point.number("pressure_kpa").value_or(98.0),
                               point.number("humidity_pct").value_or(50.0)});
    if (out.weather.empty())
        out.weather.emplace_back();
}

void readOrder(CellSpec& out, ObjectReader& in) {
    for (ObjectReader& set : in.objects("order")) {
        SetSpec spec;
        spec.build = set.requiredText("build");
        if (!findBuild(out.day, spec.build))
            throw DataError(Problem::UnknownBuild, {spec.build}, set.place("build"));
        spec.pulls = set.integer("pulls").value_or(3);
        spec.changeMinutes = set.number("change_minutes").value_or(0.0);
        spec.betweenMinutes = set.number("between_minutes").value_or(4.0);
        out.order.push_back(spec);
    }
    for (ObjectReader& fault : in.objects("faults")) {
        FaultSpec spec;
        spec.pull = fault.requiredText("pull");
        spec.kind = faultKinds()[fault.choice("kind", faultKinds())];
        spec.at_rpm = fault.number("at_rpm").value_or(0.0);
        spec.size_pct = fault.number("size_pct").value_or(8.0);
        spec.channel = fault.text("channel", "lambda");
        out.faults.push_back(spec);
    }
    out.adaptation_pct = in.number("adaptation_pct").value_or(out.adaptation_pct);
    for (const auto& [pull, reason] : in.namedTexts("set_aside"))
        out.setAside[pull] = reason;
}

} // namespace

const std::vector<const char*>& faultKinds() {
    static const std::vector<const char*> kinds{
        "start_spike", "breakup",     "collapse",       "limiter",       "absorber_full",   "dropout",
        "noise",       "frozen",      "slip",           "boost_leak",    "lost_connection", "throttle_short",
        "lift",        "mixture",     "knock",          "timing_pulled", "bypass",          "wrong_unit",
        "wrong_gear",  "clutch_slip", "converter_slip", "resonance",     "spike",           "gap",
        "oil_starved", "exhaust_hot"};
    return kinds;
}

CellSpec readCellSpec(std::string_view text, const std::string& file) {
    const Json json = parseJson(text, file);
    ObjectReader in(json, file);
    if (in.text("format") != "hill-run-cell")
        throw DataError(Problem::BadValue, {in.text("format"), Statement{"not_allowed.cell_format"}},
                        in.place("format"));
    if (const int version = in.integer("version").value_or(1); version > 1)
        throw DataError(Problem::NewerVersion, {std::to_string(version), std::string("1")}, in.place("version"));
    CellSpec out;
    if (!json.contains("day") || !json.contains("engine"))
        throw DataError(Problem::MissingKey, {}, in.place(json.contains("day") ? "engine" : "day"));
    Json day = json.at("day"); // the same keys as in day.json
    day["format"] = "hill-run-day";
    day["version"] = kDayVersion;
    out.day = dayFromJson(dumpJson(day), file);
    out.firstPull = in.text("first_pull", out.firstPull);
    if (!secondsOf(out.firstPull))
        throw DataError(Problem::BadValue, {out.firstPull, Statement{"not_allowed.time"}}, in.place("first_pull"));
    out.engine = readEngine(json.at("engine"), file);
    if (json.contains("effects"))
        for (const auto& [build, effect] : json.at("effects").items())
            out.effects[build] = readEffect(effect, file);
    out.protocol = readProtocol(in.object("protocol"));
    readConditions(out, in);
    readOrder(out, in);
    if (out.day.cell.kind == CellKind::ChassisInertia &&
        (!out.protocol.ratio || out.day.cell.rollerInertia_kgm2.value_or(0.0) <= 0.0))
        throw DataError(Problem::MissingKey, {}, in.place(out.protocol.ratio ? "roller_inertia_kgm2" : "ratio"));
    return out;
}

WeatherPoint weatherAt(const std::vector<WeatherPoint>& points, double at_h) {
    if (at_h <= points.front().at_h)
        return points.front();
    for (size_t i = 1; i < points.size(); ++i) {
        if (at_h > points[i].at_h)
            continue;
        const WeatherPoint& a = points[i - 1];
        const WeatherPoint& b = points[i];
        const double share = (at_h - a.at_h) / std::max(1e-9, b.at_h - a.at_h);
        auto mix = [share](double x, double y) { return x + share * (y - x); };
        return {at_h, mix(a.temperature_c, b.temperature_c), mix(a.pressure_kpa, b.pressure_kpa),
                mix(a.humidity_pct, b.humidity_pct)};
    }
    return points.back();
}

} // namespace hillrun::sim
