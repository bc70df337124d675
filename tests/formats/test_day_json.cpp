// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/day_json.h"

#include "formats/json_reader.h"
#include "support.h"

#include <catch2/catch.hpp>

using namespace hillrun;

namespace {

const char* const kDay = R"({
  "format": "hill-run-day", "version": 1, "name": "Collector", "date": "2026-05-16", "weather_station": "shed",
  "cell": {"name": "Cell 1", "kind": "hub_brake", "measured_at": "hub", "sweep": "down", "belt": "new"},
  "article": {"name": "Twin", "engine": {"strokes": 4, "displacement_cc": 1170, "aspiration": "turbocharged", "head": "late"},
              "vehicle": {"mass_kg": 265, "gears": [2.1, 1.4]}},
  "builds": [{"id": "A", "name": "short", "parts": {"collector": "450 mm"}, "settings": {"map": 12}, "cost": 10, "colour": "none"}],
  "control_windows": [{"channel": "coolant_temperature", "at": "start", "low": 82, "high": 88, "unit": "C"}],
  "pulls": [{"id": "p01", "build": "A", "file": "pulls/p01.csv", "started": "2026-05-16T09:12:00+01:00",
             "weather": {"temperature_c": 18.2, "pressure_kpa": 98.10, "dew_point_c": 9.5, "sky": "grey"},
             "gear": 4, "window_rpm": [3000, 7000], "use": false, "reason": "not warm", "sound": "p01.wav"}]
})";

std::string with(const std::string& from, const std::string& to) {
    std::string text = kDay;
    const size_t at = text.find(from);
    REQUIRE(at != std::string::npos);
    return text.replace(at, from.size(), to);
}

std::string dayProblem(const std::string& text) {
    return test::messageOf([&] { (void)dayFromJson(text, "day.json"); });
}

} // namespace

TEST_CASE("a day is read") {
    const TestDay day = dayFromJson(kDay, "day.json");
    CHECK(day.cell.kind == CellKind::HubBrake);
    CHECK(day.cell.sweep == SweepDirection::Down);
    CHECK(day.article.engine.aspiration == Aspiration::Turbocharged);
    CHECK(day.builds[0].settings == NamedValues{{"map", "12"}});
    const Pull& pull = day.pulls[0];
    CHECK(pull.weather == Atmosphere{18.2, 98100.0, {HumidityKind::DewPoint_c, 9.5}});
    CHECK(pull.window_rpm == RpmRange{3000.0, 7000.0});
    CHECK_FALSE(pull.use);
    CHECK_FALSE(pull.ratio);
}

TEST_CASE("a day survives the round trip, unknown keys too") {
    const TestDay day = dayFromJson(kDay, "day.json");
    CHECK(dayFromJson(dayToJson(day), "day.json") == day);
    const Json out = Json::parse(dayToJson(day));
    CHECK(out["weather_station"] == "shed");
    CHECK(out["cell"]["belt"] == "new");
    CHECK(out["article"]["engine"]["head"] == "late");
    CHECK(out["builds"][0]["colour"] == "none");
    CHECK(out["pulls"][0]["sound"] == "p01.wav");
    CHECK(out["pulls"][0]["weather"]["sky"] == "grey");
    CHECK_FALSE(out["pulls"][0].contains("refitted"));
    TestDay again = day;
    again.pulls[0].refitted = true;
    CHECK(Json::parse(dayToJson(again))["pulls"][0]["refitted"] == true);
    CHECK(dayFromJson(dayToJson(again), "day.json") == again);
}

TEST_CASE("what is wrong with a day is said with the key") {
    CHECK(dayProblem(with("\"version\": 1", "\"version\": 3"))
              .find("day.json, key version: the format is version 3, this program knows version 1") !=
          std::string::npos);
    CHECK(dayProblem(with("hill-run-day", "other")).find("not a day of Hill Run") != std::string::npos);
    CHECK(dayProblem(with("\"strokes\": 4", "\"strokes\": \"four\""))
              .find("key article.engine.strokes: expected a number") != std::string::npos);
    CHECK(dayProblem(with("\"pressure_kpa\": 98.10, ", ""))
              .find("key pulls[0].weather.pressure_kpa: the key is missing") != std::string::npos);
    CHECK(
        dayProblem(with("\"build\": \"A\"", "\"build\": \"Z\"")).find("key pulls[0].build: there is no build \"Z\"") !=
        std::string::npos);
    CHECK(dayProblem(with("hub_brake", "steam_brake"))
              .find("\"steam_brake\" is not allowed here: use one of engine_brake") != std::string::npos);
    CHECK(dayProblem(with("2026-05-16T09:12:00+01:00", "nine o'clock")).find("pulls[0].started") != std::string::npos);
    CHECK(dayProblem(with("[3000, 7000]", "[7000, 3000]")).find("pulls[0].window_rpm") != std::string::npos);
    CHECK(dayProblem("{\n \"format\": \n").find("day.json, line") != std::string::npos);
    CHECK(dayProblem("").find("the file is empty") != std::string::npos);
    CHECK(dayProblem("[1,2]").find("expected an object") != std::string::npos);
}

TEST_CASE("dynos, losses, friction and the school of boosted engines survive the round trip") {
    std::string text = with("\"head\": \"late\"",
                            R"("inertia_kgm2": 0.12, "boost_held_absolute": true, "charge_cooling": "liquid",
                               "friction_power_kw": [[2000, 3.5], [4000, 9]])");
    const size_t at = text.find("\"pulls\"");
    text.insert(at,
                R"("boost_correction": "temperature_only", "loss": {"method": "coast_down", "percent": 18, "to": "hub"},
                       )");
    text.insert(text.find("\"gear\": 4"), R"("measured_at": "wheel", "torque_factor": 1.3558, )");
    const TestDay day = dayFromJson(text, "day.json");
    CHECK(day.article.engine.inertia_kgm2 == 0.12);
    CHECK(day.article.engine.boostHeldAbsolute);
    CHECK(day.article.engine.chargeCooling == ChargeCooling::Liquid);
    CHECK(day.article.engine.friction == std::vector<FrictionPoint>{{2000.0, 3500.0}, {4000.0, 9000.0}});
    CHECK(day.boostSchool == BoostSchool::TemperatureOnly);
    CHECK(day.loss == LossSettings{LossMethod::CoastDown, 18.0, MeasuredAt::Hub, {}});
    CHECK(day.pulls[0].measuredAt == MeasuredAt::Wheel);
    CHECK(day.pulls[0].torqueFactor == 1.3558);
    CHECK(dayFromJson(dayToJson(day), "day.json") == day);
    CHECK(dayProblem(with("\"head\": \"late\"", R"("friction_power_kw": [[4000, 9], [2000, 3]])")).find("rising rpm") !=
          std::string::npos);
    CHECK(dayProblem(with("\"gear\": 4", R"("torque_factor": 0, "gear": 4)")).find("above zero") != std::string::npos);
    CHECK(dayProblem(with("\"gear\": 4", R"("measured_at": "moon", "gear": 4)")).find("crank, hub or wheel") !=
          std::string::npos);
    CHECK(dayProblem(with("\"builds\"", R"("loss": {"method": "percent", "percent": 80}, "builds")")).find("percent") !=
          std::string::npos);
}

TEST_CASE("a vehicle for the road survives the round trip, and what no vehicle has is refused") {
    const auto vehicle = [](const std::string& keys) {
        return with(R"("mass_kg": 265, "gears": [2.1, 1.4])", R"("mass_kg": 265, "gears": [2.1, 1.4], )" + keys);
    };
    const TestDay day = dayFromJson(
        vehicle(R"("driver_mass_kg": 80, "drag_area_m2": 0.7, "rolling_resistance": 0.02, "driven_axle": "all",
                   "wheelbase_m": 2, "centre_of_mass_height_m": 0.5, "front_share": 0.45, "tyre_grip": 1.1,
                   "driveline_efficiency": 0.92, "shift_time_s": 0.3, "launch_rpm": 4000, "shift_rpm": [6800])"),
        "day.json");
    const Vehicle& v = day.article.vehicle;
    CHECK(v.driverMass_kg == 80.0);
    CHECK(v.drivenAxle == DrivenAxle::All);
    CHECK(v.frontShare == 0.45);
    CHECK(v.shift_rpm == std::vector<double>{6800.0});
    CHECK(dayFromJson(dayToJson(day), "day.json") == day);
    for (const char* keys :
         {R"("driven_axle": "middle")", R"("tyre_grip": 0)", R"("tyre_grip": 3.1)", R"("front_share": 1.01)",
          R"("driveline_efficiency": 0.2)", R"("driveline_efficiency": 1.1)", R"("shift_time_s": -1)",
          R"("drag_area_m2": 21)", R"("rolling_resistance": 0.6)", R"("wheelbase_m": 0)", R"("launch_rpm": 30001)",
          R"("driver_mass_kg": 1001)", R"("centre_of_mass_height_m": 6)", R"("shift_rpm": [6000, 7000])",
          R"("shift_rpm": [0])"}) {
        INFO(keys);
        CHECK_THROWS_AS(dayFromJson(vehicle(keys), "day.json"), DataError);
    }
}

TEST_CASE("what is known of refitting, and builds of other days, are kept with the plan") {
    TestDay day = dayFromJson(kDay, "day.json");
    CHECK(day.plan.refitSd == RefitSd{});
    CHECK(dayToJson(day).find("refit") == std::string::npos);
    const auto again = [](const TestDay& one) { return dayFromJson(dayToJson(one), "day.json").plan; };
    day.plan.refitSd = {{0.3}, 0.0};
    day.plan.earlier = {{"2025-05-01-abc", "B", "2025-05-01"}};
    CHECK(again(day).refitSd == day.plan.refitSd);
    CHECK(again(day).earlier == day.plan.earlier);
    CHECK(again(day).earlier.front().date == "2025-05-01");
    day.plan.refitSd = {{0.1, 0.2, 0.35}, 12.0};
    CHECK(again(day).refitSd == day.plan.refitSd);
    const auto refused = [](const std::string& plan) {
        const std::string text = with("\"pulls\":", "\"plan\": " + plan + ", \"pulls\":");
        CHECK_THROWS_AS(dayFromJson(text, "day.json"), DataError);
    };
    refused(R"({"refit_sd_pct": -0.1})");
    refused(R"({"refit_sd_pct": 20.1})");
    refused(R"({"refit_sd_likely_pct": [0.1, 25]})");
    refused(R"({"refit_sd_likely_pct": [0.1, 0.2], "refit_degrees_of_freedom": -1})");
    refused(R"({"earlier_builds": [{"day": "d1"}]})");
    CHECK(dayFromJson(with("\"pulls\":", R"("plan": {"refit_sd_pct": 20}, "pulls":)"), "day.json")
              .plan.refitSd.likely_pct == std::vector<double>{20.0});
}
