// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/article_json.h"

#include "core/channels/channels.h"
#include "formats/json_writer.h"

namespace hillrun {
namespace {

const std::vector<const char*> kAspirations{"natural", "turbocharged", "supercharged"};
const std::vector<const char*> kIgnitions{"spark", "compression"};
const std::vector<const char*> kCoolings{"none", "air", "liquid"};
const std::vector<const char*> kAxles{"front", "rear", "all"};
const std::vector<const char*> kFuels{"petrol", "diesel", "alcohol", "gas", "other"};

/// [[rpm, kW], ...], rising rpm.
std::vector<FrictionPoint> readFriction(const std::vector<std::vector<double>>& rows, const Place& place) {
    std::vector<FrictionPoint> out;
    for (const auto& row : rows) {
        if (row.size() != 2 || !(row[1] >= 0.0) || (!out.empty() && !(row[0] > out.back().rpm)))
            throw DataError(Problem::WrongType, {Statement{"expected.friction"}}, place);
        out.push_back({row[0], row[1] * 1000.0});
    }
    return out;
}

EngineCard readEngine(ObjectReader in) {
    EngineCard out;
    out.strokes = in.integer("strokes");
    out.displacement_cc = in.number("displacement_cc");
    out.cylinders = in.integer("cylinders");
    out.stroke_mm = in.number("stroke_mm");
    out.aspiration = static_cast<Aspiration>(in.choice("aspiration", kAspirations));
    out.ignition = static_cast<Ignition>(in.choice("ignition", kIgnitions));
    out.mechanicalEfficiency = in.number("mechanical_efficiency");
    out.fuel_mg_per_litre_cycle = in.number("fuel_mg_per_litre_cycle");
    out.boostPressureRatio = in.number("boost_pressure_ratio");
    out.chargeCooling = static_cast<ChargeCooling>(in.choice("charge_cooling", kCoolings));
    out.redLine_rpm = in.number("red_line_rpm");
    out.limiter_rpm = in.number("limiter_rpm");
    out.inertia_kgm2 = in.number("inertia_kgm2");
    out.boostHeldAbsolute = in.flag("boost_held_absolute", false);
    out.friction = readFriction(in.rowsOfNumbers("friction_power_kw"), in.place("friction_power_kw"));
    if (out.mechanicalEfficiency && !(*out.mechanicalEfficiency > 0.0 && *out.mechanicalEfficiency <= 1.0))
        throw DataError(Problem::BadValue,
                        {std::to_string(*out.mechanicalEfficiency), Statement{"not_allowed.above_0_to_1"}},
                        in.place("mechanical_efficiency"));
    out.unknownKeys = in.unknownKeys();
    return out;
}

Vehicle readVehicle(ObjectReader in) {
    Vehicle out;
    out.mass_kg = in.number("mass_kg");
    out.tyreRadius_m = in.number("tyre_radius_m");
    out.finalDrive = in.number("final_drive");
    out.gears = in.numbers("gears");
    out.speedLimit_kmh = in.number("speed_limit_kmh");
    out.tyreLimit_kmh = in.number("tyre_limit_kmh");
    out.drivelineInertia_kgm2 = in.number("driveline_inertia_kgm2");
    const auto within = [&](const char* key, double low, double high, const char* why) {
        const auto value = in.number(key);
        if (value && !(*value >= low && *value <= high))
            throw DataError(Problem::BadValue, {significant(*value, 6), Statement{why}}, in.place(key));
        return value;
    };
    out.driverMass_kg = within("driver_mass_kg", 0.0, 1000.0, "not_allowed.vehicle");
    out.dragArea_m2 = within("drag_area_m2", 0.0, 20.0, "not_allowed.vehicle");
    out.rollingResistance = within("rolling_resistance", 0.0, 0.5, "not_allowed.vehicle");
    if (in.has("driven_axle"))
        out.drivenAxle = static_cast<DrivenAxle>(in.choice("driven_axle", kAxles));
    out.wheelbase_m = within("wheelbase_m", 0.1, 20.0, "not_allowed.vehicle");
    out.centreOfMassHeight_m = within("centre_of_mass_height_m", 0.0, 5.0, "not_allowed.vehicle");
    out.frontShare = within("front_share", 0.0, 1.0, "not_allowed.vehicle");
    out.tyreGrip = within("tyre_grip", 0.05, 3.0, "not_allowed.vehicle");
    out.drivelineEfficiency = within("driveline_efficiency", 0.3, 1.0, "not_allowed.vehicle");
    out.shiftTime_s = within("shift_time_s", 0.0, 10.0, "not_allowed.vehicle");
    out.launch_rpm = within("launch_rpm", 0.0, 30000.0, "not_allowed.vehicle");
    out.converterStall_rpm = within("converter_stall_rpm", 1.0, 30000.0, "not_allowed.vehicle");
    out.converterTorqueRatio = within("converter_torque_ratio", 1.0, 5.0, "not_allowed.vehicle");
    out.shift_rpm = in.numbers("shift_rpm");
    for (const double shift : out.shift_rpm)
        if (!(shift > 0.0) || out.shift_rpm.size() + 1 != out.gears.size())
            throw DataError(Problem::BadValue, {significant(shift, 6), Statement{"not_allowed.shifts"}},
                            in.place("shift_rpm"));
    out.unknownKeys = in.unknownKeys();
    return out;
}

Fuel readFuel(ObjectReader in) {
    Fuel out;
    out.kind = static_cast<FuelKind>(in.choice("kind", kFuels));
    out.name = in.text("name");
    out.octane = in.number("octane");
    out.batch = in.text("batch");
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json engineJson(const EngineCard& engine) {
    Json e;
    e["strokes"] = optionalJson(engine.strokes);
    e["displacement_cc"] = optionalJson(engine.displacement_cc);
    e["cylinders"] = optionalJson(engine.cylinders);
    e["stroke_mm"] = optionalJson(engine.stroke_mm);
    e["aspiration"] = kAspirations[static_cast<size_t>(engine.aspiration)];
    e["ignition"] = kIgnitions[static_cast<size_t>(engine.ignition)];
    e["mechanical_efficiency"] = optionalJson(engine.mechanicalEfficiency);
    putKnown(e, "fuel_mg_per_litre_cycle", engine.fuel_mg_per_litre_cycle);
    putKnown(e, "boost_pressure_ratio", engine.boostPressureRatio);
    if (engine.chargeCooling != ChargeCooling::None)
        e["charge_cooling"] = kCoolings[static_cast<size_t>(engine.chargeCooling)];
    putKnown(e, "red_line_rpm", engine.redLine_rpm);
    putKnown(e, "limiter_rpm", engine.limiter_rpm);
    putKnown(e, "inertia_kgm2", engine.inertia_kgm2);
    if (engine.boostHeldAbsolute)
        e["boost_held_absolute"] = true;
    for (const FrictionPoint& point : engine.friction)
        e["friction_power_kw"].push_back({point.rpm, point.power_w / 1000.0});
    addUnknown(e, engine.unknownKeys);
    return e;
}

Json vehicleJson(const Vehicle& vehicle) {
    Json v;
    v["mass_kg"] = optionalJson(vehicle.mass_kg);
    v["tyre_radius_m"] = optionalJson(vehicle.tyreRadius_m);
    v["final_drive"] = optionalJson(vehicle.finalDrive);
    v["gears"] = vehicle.gears;
    v["speed_limit_kmh"] = optionalJson(vehicle.speedLimit_kmh);
    putKnown(v, "tyre_limit_kmh", vehicle.tyreLimit_kmh);
    putKnown(v, "driveline_inertia_kgm2", vehicle.drivelineInertia_kgm2);
    putKnown(v, "driver_mass_kg", vehicle.driverMass_kg);
    putKnown(v, "drag_area_m2", vehicle.dragArea_m2);
    putKnown(v, "rolling_resistance", vehicle.rollingResistance);
    if (vehicle.drivenAxle)
        v["driven_axle"] = kAxles[static_cast<size_t>(*vehicle.drivenAxle)];
    putKnown(v, "wheelbase_m", vehicle.wheelbase_m);
    putKnown(v, "centre_of_mass_height_m", vehicle.centreOfMassHeight_m);
    putKnown(v, "front_share", vehicle.frontShare);
    putKnown(v, "tyre_grip", vehicle.tyreGrip);
    putKnown(v, "driveline_efficiency", vehicle.drivelineEfficiency);
    putKnown(v, "shift_time_s", vehicle.shiftTime_s);
    putKnown(v, "launch_rpm", vehicle.launch_rpm);
    putKnown(v, "converter_stall_rpm", vehicle.converterStall_rpm);
    putKnown(v, "converter_torque_ratio", vehicle.converterTorqueRatio);
    if (!vehicle.shift_rpm.empty())
        v["shift_rpm"] = vehicle.shift_rpm;
    addUnknown(v, vehicle.unknownKeys);
    return v;
}

Json fuelJson(const Fuel& fuel) {
    Json out;
    out["kind"] = kFuels[static_cast<size_t>(fuel.kind)];
    putKnown(out, "name", fuel.name);
    putKnown(out, "octane", fuel.octane);
    putKnown(out, "batch", fuel.batch);
    addUnknown(out, fuel.unknownKeys);
    return out;
}

/// "below" or "above", never both.
WatchLimit readLimit(ObjectReader in) {
    WatchLimit out;
    out.channel = in.requiredText("channel");
    const auto above = in.number("above");
    const auto below = in.number("below");
    if (above.has_value() == below.has_value())
        throw DataError(Problem::WrongType, {Statement{"expected.above_or_below"}}, in.place("above"));
    out.side = above ? LimitSide::Above : LimitSide::Below;
    out.value = above ? *above : *below;
    const ChannelInfo* info = channelInfo(out.channel);
    const std::string unit = info ? canonicalUnitText(info->dimension) : std::string();
    if (const std::string said = in.text("unit", unit); info && !said.empty() && said != unit)
        throw DataError(Problem::BadValue, {said, Statement{"not_allowed.unit_of_channel", {unit}}}, in.place("unit"));
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json limitJson(const WatchLimit& limit) {
    Json out;
    out["channel"] = limit.channel;
    out[limit.side == LimitSide::Above ? "above" : "below"] = limit.value;
    if (const ChannelInfo* info = channelInfo(limit.channel); info && info->dimension != Dimension::None)
        out["unit"] = canonicalUnitText(info->dimension);
    addUnknown(out, limit.unknownKeys);
    return out;
}

} // namespace

Article readArticle(ObjectReader in) {
    Article out;
    out.name = in.text("name");
    out.engine = readEngine(in.object("engine"));
    out.vehicle = readVehicle(in.object("vehicle"));
    out.fuel = readFuel(in.object("fuel"));
    out.nitrous = in.flag("nitrous", false);
    out.statedPower_kw = in.number("stated_power_kw");
    if (in.has("limits")) {
        out.limits.emplace();
        for (ObjectReader& one : in.objects("limits")) {
            const WatchLimit limit = readLimit(one);
            for (const WatchLimit& other : *out.limits)
                if (other.channel == limit.channel && other.side == limit.side)
                    throw DataError(Problem::DuplicateId, {limit.channel}, one.place("channel"));
            out.limits->push_back(limit);
        }
    }
    out.unknownKeys = in.unknownKeys();
    return out;
}

Json articleJson(const Article& article) {
    Json out;
    out["name"] = article.name;
    out["engine"] = engineJson(article.engine);
    out["vehicle"] = vehicleJson(article.vehicle);
    if (article.fuel != Fuel{})
        out["fuel"] = fuelJson(article.fuel);
    if (article.nitrous)
        out["nitrous"] = true;
    putKnown(out, "stated_power_kw", article.statedPower_kw);
    if (article.limits) {
        out["limits"] = Json::array();
        for (const WatchLimit& limit : *article.limits)
            out["limits"].push_back(limitJson(limit));
    }
    addUnknown(out, article.unknownKeys);
    return out;
}

std::string articleCardText(const Article& article) {
    Json out;
    out["format"] = "hill-run-article";
    out["version"] = 1;
    out["article"] = articleJson(article);
    return dumpJson(out, 2) + "\n";
}

Article articleCardFrom(std::string_view text, const std::string& file) {
    ObjectReader in(parseJson(text, file), file);
    if (in.text("format") != "hill-run-article")
        throw DataError(Problem::BadValue, {in.text("format"), Statement{"not_allowed.article_format"}},
                        in.place("format"));
    if (const int version = in.integer("version").value_or(1); version > 1)
        throw DataError(Problem::NewerVersion, {std::to_string(version), std::string("1")}, in.place("version"));
    return readArticle(in.object("article"));
}

} // namespace hillrun
