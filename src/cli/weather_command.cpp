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
        throw DataError(Problem::WrongType, {"a list of cases"}, {.file = file});
    Json answers = Json::array();
    for (const Json& one : cases) {
        try {
            answers.push_back(weatherCase(one));
        } catch (const DataError& error) {
            answers.push_back({{"error", error.what()}});
        }
    }
    fmt::print("{}\n", dumpJson(answers));
}

void runOne(const Options& o) {
    if (o.pressure && o.setting)
        throw WrongUse("give --pressure-kpa, or --altimeter-setting-kpa with --altitude-m, not both");
    if (o.setting && !o.altitude)
        throw WrongUse("an altimeter setting needs --altitude-m");
    if (o.friction.has_value() != o.power.has_value())
        throw WrongUse("measured friction needs both --friction-power-kw and --power-kw");
    if (o.standard.empty() || !o.temperature || !(o.pressure || o.setting))
        throw WrongUse("give --standard, --temperature-c, --pressure-kpa and one humidity, or --batch FILE");
    const int humidities = int(o.humidity.has_value()) + int(o.dewPoint.has_value()) + int(o.wetBulb.has_value()) +
                           int(o.vapour.has_value());
    if (humidities != 1)
        throw WrongUse("give exactly one of --humidity-pct, --dew-point-c, --wet-bulb-c, --vapour-pressure-kpa");
    try {
        (void)standardNamed(o.standard);
    } catch (const DataError& error) {
        throw WrongUse(error.what());
    }
    const Json answer = weatherCase(caseOf(o));
    if (o.json) {
        fmt::print("{}\n", dumpJson(answer));
        return;
    }
    if (const std::string sea = seaLevelWarning(o.pressure.value_or(0.0), o.altitude); !sea.empty())
        fmt::print(stderr, "{}\n", sea);
    fmt::print("{}: factor {:.4f}, density altitude {:.0f} m{}\n", standardInfo(standardNamed(o.standard)).title,
               answer["factor"].get<double>(), answer["density_altitude_m"].get<double>(),
               answer["validity_note"].get<std::string>().empty() ? ""
                                                                  : "; " + answer["validity_note"].get<std::string>());
}

} // namespace

void addWeather(CLI::App& app) {
    auto o = std::make_shared<Options>();
    CLI::App* command = app.add_subcommand("weather", "correction factor, density and density altitude of the air");
    command->add_option("--standard", o->standard,
                        "uncorrected, sae-j1349, sae-j607, iso-1585, ece-r85, din-70020, jis-d1001 or iso-15550");
    command->add_option("--temperature-c", o->temperature, "at the intake");
    command->add_option("--pressure-kpa", o->pressure, "station pressure, not reduced to sea level");
    command->add_option("--humidity-pct", o->humidity, "relative humidity");
    command->add_option("--dew-point-c", o->dewPoint);
    command->add_option("--wet-bulb-c", o->wetBulb, "ventilated");
    command->add_option("--vapour-pressure-kpa", o->vapour);
    command->add_option("--ignition", o->ignition)->check(CLI::IsMember({"spark", "compression"}));
    command->add_option("--aspiration", o->aspiration)
        ->check(CLI::IsMember({"natural", "turbocharged", "supercharged"}));
    command->add_option("--mechanical-efficiency", o->efficiency);
    command->add_option("--fuel-mg-per-litre-cycle", o->fuel, "compression ignition only");
    command->add_option("--boost-pressure-ratio", o->boost, "compression ignition, boosted");
    command->add_option("--boost-correction", o->school, "boosted engines: what is done with the factor")
        ->check(CLI::IsMember({"standard", "full", "held", "temperature_only"}));
    command->add_option("--charge-cooling", o->cooling, "compression ignition, turbocharged")
        ->check(CLI::IsMember({"none", "air", "liquid"}));
    command->add_flag("--boost-held-absolute", o->boostHeld, "the controller holds the absolute manifold pressure");
    command->add_option("--friction-power-kw", o->friction,
                        "measured friction power, with --power-kw: full form of J1349");
    command->add_option("--power-kw", o->power, "observed power at the same speed");
    command->add_option("--altimeter-setting-kpa", o->setting, "in place of the station pressure, with --altitude-m");
    command->add_option("--altitude-m", o->altitude, "of the station; questions a sea-level pressure");
    command->add_option("--batch", o->batch, "JSON file: an array of cases in, an array of answers out");
    command->add_flag("--json", o->json, "one JSON document and nothing else");
    command->footer("Example:\n  hillrun-cli weather --standard sae-j1349 --temperature-c 30 --pressure-kpa 97 "
                    "--humidity-pct 40 --json");
    command->callback([o] { o->batch.empty() ? runOne(*o) : runBatch(o->batch); });
}

} // namespace hillrun::cli
