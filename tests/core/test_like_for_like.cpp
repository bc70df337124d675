// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/like_for_like.h"

#include "core/compare/judge.h"
#include "day_support.h"

#include <catch2/catch.hpp>

using namespace hillrun;

namespace {

/// What came of each channel, as "lambda matched, ..." for the channels asked about.
std::string verdicts(const TestDay& day, std::initializer_list<const char*> channels) {
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    std::string out;
    for (const char* channel : channels)
        for (const LikeForLike& row : analysis.find("A", "B")->likeForLike)
            if (row.channel == channel)
                out += (out.empty() ? "" : ", ") + row.channel + " " + likeVerdictName(row.verdict);
    return out;
}

TestDay dayWith(const sim::BuildEffect& effect) {
    sim::CellSpec spec = test::cellSpec("A3 B3 A3", 1.0);
    spec.effects["B"] = effect;
    return sim::simulateDay(spec, 6);
}

} // namespace

TEST_CASE("channels within their tolerance match, others differ") {
    CHECK(verdicts(dayWith({}), {"lambda", "ignition_advance", "coolant_temperature"}) ==
          "lambda matched, ignition_advance matched, coolant_temperature matched");
    sim::BuildEffect shifted;
    shifted.lambdaShift = 0.03;
    shifted.ignitionShift_deg = -2.0;
    CHECK(verdicts(dayWith(shifted), {"lambda", "ignition_advance"}) == "lambda differs, ignition_advance differs");
}

TEST_CASE("a channel that only one build recorded is said") {
    TestDay day = dayWith({});
    for (Pull& pull : day.pulls) {
        if (pull.build != "B")
            continue;
        ChannelTable table = *pull.raw;
        std::erase_if(table.columns, [](const Column& column) { return column.name == "oil_pressure"; });
        pull.raw = std::make_shared<const ChannelTable>(table);
    }
    CHECK(verdicts(day, {"oil_pressure", "oil_temperature"}) == "oil_pressure not_recorded, oil_temperature matched");
}

TEST_CASE("pressures that follow a noted change of boost are explained by it") {
    TestDay day = dayWith({});
    for (Pull& pull : day.pulls) {
        if (pull.build != "B")
            continue;
        ChannelTable table = *pull.raw;
        for (Column& column : table.columns)
            if (column.name == "manifold_pressure")
                for (double& value : column.values)
                    value += 15.0;
        pull.raw = std::make_shared<const ChannelTable>(table);
    }
    CHECK(verdicts(day, {"manifold_pressure"}) == "manifold_pressure differs");
    day.builds[0].settings.emplace_back("boost", "60 kPa");
    day.builds[1].settings.emplace_back("boost", "75 kPa");
    CHECK(verdicts(day, {"manifold_pressure"}) == "manifold_pressure explained");
}

TEST_CASE("a fuel temperature nobody recorded is not judged") {
    CHECK(verdicts(dayWith({}), {"exhaust_back_pressure", "bypass_valve"}).empty());
}

TEST_CASE("a build's own pulls in two gears are pointed out") {
    TestDay day = dayWith({});
    for (Pull& pull : day.pulls)
        pull.gear = 4;
    CHECK(verdicts(day, {"gear"}) == "gear matched");
    day.pulls[4].gear = 3;
    CHECK(verdicts(day, {"gear"}) == "gear differs");
}

TEST_CASE("the role of a changed part tells what it explains, and can be corrected") {
    sim::BuildEffect shifted;
    shifted.lambdaShift = 0.03;
    shifted.ignitionShift_deg = -2.0;
    TestDay day = dayWith(shifted);
    const auto changing = [&](const char* part) {
        day.builds[0].parts = {{part, "1"}};
        day.builds[1].parts = {{part, "2"}};
        return verdicts(day, {"lambda", "ignition_advance"});
    };
    CHECK(changing("collector") == "lambda differs, ignition_advance differs");
    CHECK(changing("main jet") == "lambda explained, ignition_advance differs");
    CHECK(changing("ignition_map") == "lambda differs, ignition_advance explained");
    CHECK(changing("map") == "lambda explained, ignition_advance explained");
    CHECK(changing("throat") == "lambda differs, ignition_advance differs");
    day.partRoles["throat"] = PartRole::Jets; // somebody calls his needles so
    CHECK(changing("throat") == "lambda explained, ignition_advance differs");
    day.partRoles["main jet"] = PartRole::Other;
    CHECK(changing("main jet") == "lambda differs, ignition_advance differs");
}

TEST_CASE("roles are guessed from names as people write them") {
    const std::pair<const char*, PartRole> names[] = {{"Main Jet", PartRole::Jets},
                                                      {"needle", PartRole::Jets},
                                                      {"fuel", PartRole::Fuel},
                                                      {"map", PartRole::Map},
                                                      {"ignition_map", PartRole::Ignition},
                                                      {"spark plugs", PartRole::Ignition},
                                                      {"boost", PartRole::Boost},
                                                      {"wastegate spring", PartRole::Boost},
                                                      {"airbox", PartRole::Intake},
                                                      {"intake manifold", PartRole::Intake},
                                                      {"exhaust manifold", PartRole::Exhaust},
                                                      {"collector", PartRole::Exhaust},
                                                      {"exhaust cam", PartRole::ValveTrain},
                                                      {"rocker-arms", PartRole::ValveTrain},
                                                      {"paint", PartRole::Other},
                                                      {"", PartRole::Other}};
    for (const auto& [name, role] : names) {
        INFO(name);
        CHECK(guessedRole(name) == role);
    }
}
