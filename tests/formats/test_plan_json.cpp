// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/plan/named_use.h"
#include "formats/article_json.h"
#include "formats/day_json.h"
#include "formats/day_store.h"
#include "formats/register_map.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <fmt/format.h>

using namespace hillrun;

namespace {

TestDay plannedDay() {
    TestDay day;
    day.name = "Plan";
    day.builds = {{.id = "A"}, {.id = "B", .attachments = {"attachments/port.jpg"}}};
    day.cell.rollerLimit_kmh = 220.0;
    day.cell.altitude_m = 640.0;
    day.article.name = "Hill tractor";
    day.article.engine.redLine_rpm = 2400.0;
    day.article.engine.limiter_rpm = 2550.0;
    day.article.vehicle.tyreLimit_kmh = 40.0;
    day.article.fuel = {FuelKind::Diesel, "winter", 52.0, "drum 3", {}};
    day.article.nitrous = true;
    day.article.statedPower_kw = 61.5;
    day.plan.design = "a-b-a";
    day.plan.pullsPerSet = 2;
    day.plan.order = {"A", "A", "B", "B", "A", "A"};
    day.plan.refits = {1, 5};
    day.plan.matters_pct = 1.0;
    day.plan.repeatability_pct = 0.4;
    day.plan.coolDown_min = 5.0;
    day.plan.change_min = 25.0;
    day.plan.pairs = {{"A", "B"}, {"B", "A"}};
    day.plan.driftBound_pct = 0.8;
    day.plan.earlierRepeats = {0.45, 21.5, 9.0, 1200.0, 100.0, {0.3, 0.35, 0.5}, 310.0, 0.12};
    day.plan.use = RpmRange{1400.0, 2200.0};
    day.plan.useAfterLooking = true;
    day.partRoles = {{"throat", PartRole::Intake}, {"cam belt", PartRole::Other}};
    day.plan.protocol = {1200.0, 2400.0, 100.0, 3, {}};
    day.cautions = {{"emergency_stop", "M. Tarn", "2026-05-16T08:50:00+01:00", {}}};
    day.changes = {{"2026-05-16T10:00:00+01:00", "A", "B", "longer pipe; plug gap too", {}},
                   {"2026-05-16T11:00:00+01:00", "B", "B", "", {}, true}};
    return day;
}

} // namespace

TEST_CASE("what was planned and done comes back as it was written") {
    const TestDay day = plannedDay();
    CHECK(dayFromJson(dayToJson(day), "day.json") == day);
}

TEST_CASE("every way to say a use comes back, with what another version says beside it") {
    for (const WantedUse& use : {WantedUse{HeldSpeed{5500.0, 120.0}}, WantedUse{ShiftToShift{3}},
                                 WantedUse{SpeedWeights{{3000.0, 0.0}, {4500.0, 1.5}}}, WantedUse{}}) {
        TestDay day = plannedDay();
        nameUse(day, use);
        day.plan.unknownUseKeys = R"({"course":"short hill"})";
        CHECK(dayFromJson(dayToJson(day), "day.json") == day);
    }
    const auto withUse = [](const std::string& use) {
        return dayFromJson(R"({"format": "hill-run-day", "version": 1, "plan": {"use": )" + use + "}}", "day.json");
    };
    CHECK(withUse(R"({"held_rpm": 5500})").plan.use == WantedUse{HeldSpeed{5500.0, 150.0}});
    for (const char* wrong : {R"({"held_rpm": 5500, "half_width_rpm": 0})", R"({"weights": [[3000]]})",
                              R"({"weights": [[3000, 1], [3000, 1]]})", R"({"weights": [[3000, 0]]})",
                              R"({"weights": []})", R"({"gear": "third"})"})
        CHECK_THROWS_AS(withUse(wrong), DataError);
}

TEST_CASE("what earlier days repeat within is read whole or refused") {
    const auto problem = [](const char* earlier) {
        const std::string text =
            std::string(R"({"format": "hill-run-day", "version": 1, "plan": {"earlier_repeats": )") + earlier + "}}";
        try {
            return dayFromJson(text, "day.json").plan.earlierRepeats.known() ? std::string("read")
                                                                             : std::string("none");
        } catch (const DataError& error) {
            return error.place().key;
        }
    };
    const auto with = [](const char* changed) {
        Json one = Json::parse(R"({"sd_pct": 0.4, "degrees_of_freedom": 20, "degrees_of_freedom_alone": 9,
            "shape_low_rpm": 2000, "shape_step_rpm": 100, "shape_sd_pct": [0.3], "correlation_rpm": 250, "nugget": 0})");
        one.merge_patch(Json::parse(changed));
        return one.dump();
    };
    CHECK(problem(with("{}").c_str()) == "read");
    CHECK(problem("null") == "none");
    for (const char* key : {"sd_pct", "degrees_of_freedom", "degrees_of_freedom_alone", "shape_low_rpm",
                            "shape_step_rpm", "shape_sd_pct", "correlation_rpm", "nugget"}) {
        CAPTURE(key);
        CHECK(problem(with(fmt::format(R"({{"{}": null}})", key).c_str()).c_str()) ==
              std::string("plan.earlier_repeats.") + key);
    }
    CHECK(problem(with(R"({"shape_step_rpm": 0})").c_str()) == "plan.earlier_repeats.shape_step_rpm");
    CHECK(problem(with(R"({"degrees_of_freedom": 1e12})").c_str()) == "plan.earlier_repeats.degrees_of_freedom");
    CHECK(problem(with(R"({"nugget": 1.5})").c_str()) == "plan.earlier_repeats.nugget");
    CHECK(problem(with(R"({"sd_pct": -0.4})").c_str()) == "plan.earlier_repeats.sd_pct");
    CHECK(problem(with(R"({"shape_sd_pct": [0.3, 0]})").c_str()) == "plan.earlier_repeats.shape_sd_pct");
    CHECK(problem(with(R"({"shape_sd_pct": "much"})").c_str()) == "plan.earlier_repeats.shape_sd_pct");
}

TEST_CASE("the limits of an article come back, also when it wants none") {
    TestDay day;
    CHECK(dayToJson(day).find("\"limits\"") == std::string::npos); // the usual ones
    day.article.limits = std::vector<WatchLimit>{};
    CHECK(dayFromJson(dayToJson(day), "day.json").article.limits == day.article.limits);
    day.article.limits = {{"oil_pressure", LimitSide::Below, 180.0},
                          {"lambda", LimitSide::Above, 0.97},
                          {"gearbox_temperature", LimitSide::Above, 120.5, R"({"why":"new seals"})"}};
    const std::string text = dayToJson(day);
    CHECK(dayFromJson(text, "day.json") == day);
    CHECK(articleCardFrom(articleCardText(day.article), "card.json") == day.article);
    CHECK(text.find("\"below\": 180") != std::string::npos);
    CHECK(text.find("\"unit\": \"kPa\"") != std::string::npos);
}

TEST_CASE("a limit that cannot be meant is refused with its place") {
    const auto problem = [](const char* limit) {
        const std::string text =
            std::string(R"({"format": "hill-run-day", "version": 1, "article": {"limits": [)") + limit + "]}}";
        try {
            (void)dayFromJson(text, "day.json");
        } catch (const DataError& error) {
            return error.place().key;
        }
        return std::string("read");
    };
    CHECK(problem(R"({"channel": "oil_pressure", "below": 150, "unit": "kPa"})") == "read");
    CHECK(problem(R"({"channel": "oil_pressure", "below": 150})") == "read");
    CHECK(problem(R"({"channel": "lambda", "above": 1.02, "unit": ""})") == "read");
    CHECK(problem(R"({"channel": "oil_pressure", "below": 1.5, "unit": "bar"})") == "article.limits[0].unit");
    CHECK(problem(R"({"channel": "oil_pressure"})") == "article.limits[0].above");
    CHECK(problem(R"({"channel": "oil_pressure", "below": 1, "above": 2})") == "article.limits[0].above");
    CHECK(problem(R"({"channel": "map", "below": 9}, {"channel": "map", "above": 99})") == "read");
    CHECK(problem(R"({"channel": "map", "above": 9}, {"channel": "map", "above": 99})") == "article.limits[1].channel");
    CHECK(problem(R"({"below": 150})") == "article.limits[0].channel");
    CHECK(problem(R"({"channel": "oil_pressure", "below": "low"})") == "article.limits[0].below");
}

TEST_CASE("a day without a plan gets no new keys") {
    TestDay day;
    day.name = "Plain";
    const std::string text = dayToJson(day);
    for (const char* key : {"\"plan\"", "\"cautions\"", "\"changes\"", "\"fuel\"", "\"attachments\"", "\"nitrous\"",
                            "\"pairs\"", "\"use_rpm\"", "\"part_roles\""})
        CHECK(text.find(key) == std::string::npos);
}

TEST_CASE("keys of another version inside the plan are kept") {
    const char* text = R"({"format": "hill-run-day", "version": 1, "name": "x", "builds": [{"id": "A"}],
        "plan": {"order": ["A"], "mood": "good", "protocol": {"gear": 2, "tow": 1}},
        "cautions": [{"id": "ears_eyes", "who": "M", "when": "", "lamp": true}],
        "article": {"fuel": {"kind": "alcohol", "colour": "none"}}})";
    const std::string again = dayToJson(dayFromJson(text, "day.json"));
    for (const char* key : {"mood", "tow", "lamp", "colour"})
        CHECK(again.find(key) != std::string::npos);
}

TEST_CASE("mistakes in a plan are told with their place") {
    const auto message = [](const std::string& plan) {
        return test::messageOf([&] {
            (void)dayFromJson(R"({"format": "hill-run-day", "version": 1, "builds": [{"id": "A"}], "plan": )" + plan +
                                  "}",
                              "day.json");
        });
    };
    CHECK(message(R"({"order": ["A", "Q"]})").find("plan.order") != std::string::npos);
    CHECK(message(R"({"order": "AAB"})").find("a list of texts") != std::string::npos);
    CHECK(message(R"({"order": [1]})").find("a list of texts") != std::string::npos);
    CHECK(message(R"({"pulls_per_set": 0})").find("pulls_per_set") != std::string::npos);
}

TEST_CASE("an article is kept as a card and comes back") {
    const Article article = plannedDay().article;
    CHECK(articleCardFrom(articleCardText(article), "card.json") == article);
    CHECK(test::messageOf([] {
              (void)articleCardFrom(R"({"format": "hill-run-day"})", "card.json");
          }).find("hill-run-article") != std::string::npos);
    CHECK(test::messageOf([] {
              (void)articleCardFrom(R"({"format": "hill-run-article", "version": 7})", "c.json");
          }).find("7") != std::string::npos);
}

TEST_CASE("register maps are read, written and checked") {
    const RegisterMap map = simcellRegisters();
    CHECK(readRegisterMap(writeRegisterMap(map), "map.json") == map);
    const RegisterEntry temperature{"weather_temperature", "C", true, 10, 0.01, 0.0, true};
    CHECK(temperature.raw(-12.34) == 0xFB2E); // -1234 as two's complement
    CHECK(temperature.value(0xFB2E) == Approx(-12.34));
    CHECK(temperature.raw(1e9) == 0x7FFF);
    const RegisterEntry pressure{"weather_pressure", "kPa", true, 11, 0.01, 0.0, false};
    CHECK(pressure.value(pressure.raw(98.42)) == Approx(98.42));
    const auto message = [](const char* text) {
        return test::messageOf([&] { (void)readRegisterMap(text, "m.json"); });
    };
    CHECK(message(R"({"format": "hill-run-registers"})").find("registers") != std::string::npos);
    CHECK(message(R"({"format": "hill-run-registers", "registers": [{"channel": "x", "address": 70000}]})")
              .find("address") != std::string::npos);
    CHECK(message(R"({"format": "hill-run-registers", "registers": [{"channel": "x", "address": 1, "scale": 0}]})")
              .find("scale") != std::string::npos);
    CHECK(message(R"({"format": "no"})").find("hill-run-registers") != std::string::npos);
}

TEST_CASE("what somebody knows of parts is kept with the day, and read strictly") {
    TestDay day = plannedDay();
    day.credit.countsWith = {{"jets", "pipe"}, {"oil", ""}};
    day.credit.numberOf = {{"idle jets", 2}};
    day.credit.interactionBound_pct = 1.5;
    day.credit.parts["pipe"] = {900.0, -2.5, std::pair(2000.0, 3000.0), true, R"({"seen":1})"};
    day.credit.parts["head"].cost = 0.0;
    CHECK(dayFromJson(dayToJson(day), "day.json").credit == day.credit);
    day.credit = {};
    CHECK(dayToJson(day).find("\"credit\"") == std::string::npos);
    const auto message = [](const std::string& credit) {
        return test::messageOf([&] {
            (void)dayFromJson(R"({"format": "hill-run-day", "version": 1, "credit": )" + credit + "}", "day.json");
        });
    };
    CHECK(message(R"({"interaction_bound_pct": 0})").find("credit.interaction_bound_pct") != std::string::npos);
    for (const char* const wrong : {"0", "-1", "1.5", "\"first\"", "\"2x\""})
        CHECK(message(fmt::format(R"({{"number_of": {{"jets": {}}}}})", wrong)).find("credit.number_of") !=
              std::string::npos);
    CHECK(message(R"({"parts": [{"cost": 3}]})").find("part") != std::string::npos);
    CHECK(message(R"({"parts": [{"part": "x", "expected_kw": [3, 2]}]})").find("the lower first") != std::string::npos);
    CHECK(message(R"({"parts": [{"part": "x", "expected_kw": [3]}]})").find("expected_kw") != std::string::npos);
}
