// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/cell_check_json.h"
#include "formats/record_json.h"
#include "formats/weather_json.h"
#include "support.h"

#include <catch2/catch.hpp>

using namespace hillrun;

namespace {

LoadCellCheck loadCellFrom(const char* text) {
    return loadCellCheckFromJson(ObjectReader(Json::parse(text), "day.json"));
}
StationCheck stationFrom(const char* text) { return stationCheckFromJson(ObjectReader(Json::parse(text), "day.json")); }

const char* const kStation = R"({"date": "2026-05-16",
    "station": {"temperature_c": 20, "pressure_kpa": 99.5, "humidity_pct": 50, "instrument": "wall"},
    "reference": {"temperature_c": 19, "pressure_kpa": 99.0, "dew_point_c": 8}, "by": "club"})";

} // namespace

TEST_CASE("checks of a cell go through a day's JSON unchanged, with what this version does not know") {
    const LoadCellCheck check = loadCellFrom(
        R"({"date": "2026-05-16", "arm_m": 0.75, "arm_within_mm": 0.5, "mass_within_pct": 0.02, "gravity_ms2": 9.81,
            "hung": [{"mass_kg": 0, "read_nm": 0.1}, {"mass_kg": 20, "read_nm": 147.5}], "masses": "cast iron"})");
    CHECK(check.arm_m == 0.75);
    CHECK(check.hung == std::vector<HungMass>{{0.0, 0.1}, {20.0, 147.5}});
    CHECK(check.unknownKeys.find("cast iron") != std::string::npos);
    CHECK(loadCellCheckFromJson(ObjectReader(loadCellCheckToJson(check), "day.json")) == check);
    const LoadCellCheck bare = loadCellFrom(R"({"arm_m": 1})");
    CHECK(bare.hung.empty());
    CHECK_FALSE(bare.armWithin_mm);
    CHECK(loadCellCheckFromJson(ObjectReader(loadCellCheckToJson(bare), "day.json")) == bare);

    const StationCheck station = stationFrom(kStation);
    CHECK(station.reference.humidity == Humidity{HumidityKind::DewPoint_c, 8.0});
    const Json back = stationCheckToJson(station);
    CHECK(stationCheckFromJson(ObjectReader(back, "day.json")) == station);
    CHECK(back["station"]["instrument"] == "wall");
    CHECK(back["by"] == "club");
}

TEST_CASE("checks that nobody can have made are refused with their key") {
    const auto refused = [](const char* text) { return test::messageOf([&] { (void)loadCellFrom(text); }); };
    CHECK(refused("{}").find("arm_m") != std::string::npos);
    Json many{{"arm_m", 1.0}, {"hung", Json::array()}};
    for (int i = 0; i < 40; ++i)
        many["hung"].push_back({{"mass_kg", i}, {"read_nm", i}});
    CHECK(loadCellFrom(many.dump().c_str()).hung.size() == 40);
    many["hung"].push_back({{"mass_kg", 1}, {"read_nm", 1}});
    CHECK(refused(many.dump().c_str()).find("40 readings") != std::string::npos);
    CHECK(refused(R"({"arm_m": 1, "date": "16 May"})").find("2026-05-16") != std::string::npos);
    CHECK(refused(R"({"arm_m": 1, "date": "2026-13-01"})").find("2026-05-16") != std::string::npos);
    CHECK(refused(R"({"arm_m": 0})").find("arm_m") != std::string::npos);
    CHECK(refused(R"({"arm_m": 1, "arm_within_mm": -1})").find("arm_within_mm") != std::string::npos);
    CHECK(refused(R"({"arm_m": 1, "mass_within_pct": -1})").find("mass_within_pct") != std::string::npos);
    CHECK(refused(R"({"arm_m": 1, "gravity_ms2": 0})").find("gravity_ms2") != std::string::npos);
    CHECK(refused(R"({"arm_m": 1, "hung": [{"mass_kg": -1, "read_nm": 0}]})").find("mass_kg") != std::string::npos);
    CHECK(refused(R"({"arm_m": 1, "hung": [{"mass_kg": 1}]})").find("read_nm") != std::string::npos);
    CHECK(refused(R"({"arm_m": 1, "hung": [{"read_nm": 1}]})").find("mass_kg") != std::string::npos);
    const auto station = [](const char* text) { return test::messageOf([&] { (void)stationFrom(text); }); };
    CHECK(station("{}").find("station") != std::string::npos);
    CHECK(station(R"({"station": {"temperature_c": 20, "pressure_kpa": 99, "humidity_pct": 50}})").find("reference") !=
          std::string::npos);
    CHECK(station(R"({"station": {"temperature_c": 20, "pressure_kpa": 99, "humidity_pct": 150},
                      "reference": {"temperature_c": 20, "pressure_kpa": 99, "humidity_pct": 50}})")
              .find("station") != std::string::npos);
}

TEST_CASE("a day's record keeps curves off paper, and that the air was outside the standard") {
    DayRecord record;
    record.id = "d1";
    record.outsideAir = true;
    record.papers.push_back({{"A", 0.0, 0, 3000.0, {20000.0F, 21000.0F}}, {"given.smoothing_unknown"}});
    const DayRecord back = recordFromJson(recordToJson(record), "logbook");
    CHECK(back.papers == record.papers);
    CHECK(back.outsideAir);
    const DayRecord plain = recordFromJson(R"({"id": "d1"})", "logbook");
    CHECK(plain.papers.empty());
    CHECK_FALSE(plain.outsideAir);
}

TEST_CASE("a day's record keeps displacement and checks") {
    DayRecord record;
    record.id = "d1";
    record.displacement_cc = 1170.0;
    record.strokes = 4;
    record.loadCell = CheckRecord{"2026-05-16", 0.8};
    record.station = CheckRecord{"2026-05-17", -0.3};
    const DayRecord back = recordFromJson(recordToJson(record), "logbook");
    CHECK(back.displacement_cc == 1170.0);
    CHECK(back.strokes == 4);
    CHECK(back.loadCell == record.loadCell);
    CHECK(back.station == record.station);
    CHECK_FALSE(recordFromJson(R"({"id": "d1"})", "logbook").loadCell);
}
