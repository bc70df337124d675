// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "cli/commands.h"
#include "core/weather/altitude.h"
#include "formats/answers_json.h"
#include "formats/day_store.h"

#include <fmt/format.h>
#include <memory>

namespace hillrun::cli {
namespace {

struct Options {
    std::string standard;
    std::string batch;
    std::string ignition = "spark";
    std::string aspiration = "natural";
    std::optional<double> temperature, pressure, humidity, dewPoint, wetBulb, vapour, efficiency, fuel, boost, friction,
        power, setting, altitude;
    std::string school = "standard";
    std::string cooling = "none";
    bool boostHeld = false;
    bool json = false;
};

Json caseOf(const Options& o) {
    Json out{{"standard", o.standard}, {"ignition", o.ignition}, {"aspiration", o.aspiration}};
    auto put = [&out](const char* key, const std::optional<double>& value) {
        if (value)
            out[key] = *value;
    };
    put("temperature_c", o.temperature);
    put("pressure_kpa", o.pressure);
    put("humidity_pct", o.humidity);
    put("dew_point_c", o.dewPoint);
    put("wet_bulb_c", o.wetBulb);
    put("vapour_pressure_kpa", o.vapour);
    put("mechanical_efficiency", o.efficiency);
    put("fuel_mg_per_litre_cycle", o.fuel);
    put("boost_pressure_ratio", o.boost);
    put("friction_power_kw", o.friction);
    put("power_kw", o.power);
    put("altimeter_setting_kpa", o.setting);
    put("altitude_m", o.altitude);
    out["boost_correction"] = o.school;
    out["charge_cooling"] = o.cooling;
    out["boost_held_absolute"] = o.boostHeld;
    return out;
}

void runBatch(const std::string& file) {
    const Json cases = parseJson(readFileText(file), file);
    if (!cases.is_array())
        throw DataError(Problem::WrongType, {Statement{"expected.cases"}}, {.file = file});
    Json answers = Json::array();
    for (const Json& one : cases) {
        try {
            answers.push_back(weatherCase(one));
        } catch (const DataError& error) {
            answers.push_back({{"error", Voice::forFiles().say(error)}});
        }
    }
    fmt::print("{}\n", dumpJson(answers));
}

void runOne(const Options& o) {
    if (o.pressure && o.setting)
        throw WrongUse(said("cli.give_pressure_kpa_or"));
    if (o.setting && !o.altitude)
        throw WrongUse(said("cli.an_altimeter_setting_needs"));
    if (o.friction.has_value() != o.power.has_value())
        throw WrongUse(said("cli.measured_friction_needs_both"));
    if (o.standard.empty() || !o.temperature || !(o.pressure || o.setting))
        throw WrongUse(said("cli.give_standard_temperature_c"));
    const int humidities = int(o.humidity.has_value()) + int(o.dewPoint.has_value()) + int(o.wetBulb.has_value()) +
                           int(o.vapour.has_value());
    if (humidities != 1)
        throw WrongUse(said("cli.give_exactly_one_of"));
    try {
        (void)standardNamed(o.standard);
    } catch (const DataError& error) {
        throw WrongUse(said(error));
    }
    const WeatherFound found = findWeather(caseOf(o));
    if (o.json) {
        fmt::print("{}\n", dumpJson(weatherAnswer(found.standard, found.air, found.factor)));
        return;
    }
    if (const Statement sea = seaLevelWarning(o.pressure.value_or(0.0), o.altitude); !sea.empty())
        fmt::print(stderr, "{}\n", said(sea));
    fmt::print("{}\n",
               said("cli.weather", {std::string(standardInfo(found.standard).title), decimals(found.factor.factor, 4),
                                    decimals(found.air.densityAltitude_m, 0, "m")}));
    for (const Statement& note : found.factor.validityNotes)
        fmt::print("{}\n", said(note));
}

} // namespace

void addWeather(CLI::App& app) {
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("weather", said("cli.correction_factor_density_and"));
    command->add_option("--standard", o->standard, said("cli.uncorrected_sae_j1349_sae"));
    command->add_option("--temperature-c", o->temperature, said("cli.at_the_intake"));
    command->add_option("--pressure-kpa", o->pressure, said("cli.station_pressure_not_reduced"));
    command->add_option("--humidity-pct", o->humidity, said("cli.relative_humidity"));
    command->add_option("--dew-point-c", o->dewPoint);
    command->add_option("--wet-bulb-c", o->wetBulb, said("cli.ventilated"));
    command->add_option("--vapour-pressure-kpa", o->vapour);
    command->add_option("--ignition", o->ignition)->check(CLI::IsMember({"spark", "compression"}));
    command->add_option("--aspiration", o->aspiration)
        ->check(CLI::IsMember({"natural", "turbocharged", "supercharged"}));
    command->add_option("--mechanical-efficiency", o->efficiency);
    command->add_option("--fuel-mg-per-litre-cycle", o->fuel, said("cli.compression_ignition_only"));
    command->add_option("--boost-pressure-ratio", o->boost, said("cli.compression_ignition_boosted"));
    command->add_option("--boost-correction", o->school, said("cli.boosted_engines_what_is"))
        ->check(CLI::IsMember({"standard", "full", "held", "temperature_only"}));
    command->add_option("--charge-cooling", o->cooling, said("cli.compression_ignition_turbocharged"))
        ->check(CLI::IsMember({"none", "air", "liquid"}));
    command->add_flag("--boost-held-absolute", o->boostHeld, said("cli.the_controller_holds_the"));
    command->add_option("--friction-power-kw", o->friction, said("cli.measured_friction_power_with"));
    command->add_option("--power-kw", o->power, said("cli.observed_power_at_the"));
    command->add_option("--altimeter-setting-kpa", o->setting, said("cli.in_place_of_the"));
    command->add_option("--altitude-m", o->altitude, said("cli.of_the_station_questions"));
    command->add_option("--batch", o->batch, said("cli.json_file_an_array"));
    command->add_flag("--json", o->json, said("cli.one_json_document_and"));
    command->footer(said("cli.example_weather_standard_sae"));
    command->callback([o] { o->batch.empty() ? runOne(*o) : runBatch(o->batch); });
}

} // namespace hillrun::cli
