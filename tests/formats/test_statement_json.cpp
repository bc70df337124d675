// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/statement_json.h"

#include "core/units/nan.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

std::vector<Statement> thereAndBack(const std::vector<Statement>& statements) {
    const Json text = Json::parse(Json{{"said", statementsJson(statements)}}.dump());
    ObjectReader in(text, "test");
    return readStatements(in, "said");
}

} // namespace

TEST_CASE("what is to be said comes back as it was, whatever stands in it") {
    const std::vector<Statement> all{
        {"one",
         {std::string("B \"long\""), decimals(3.14159, 2, "kPa"), significant(0.042, 2), signedDecimals(-1.5, 1, "%")}},
        {"two", {Power{2500.0, 700.0, true, 3}, Torque{-3.5, 1.25, true}, Rpm{7050.0}, RpmRange{3000.0, 7000.0}}},
        {"three", {Count{7}, ChannelName{"lambda", true}, ChannelName{"boost"}, std::string()}},
        {"four", {Statement{"five", {Count{2}, namesOf({"jets", "pipe"})}}, Several{{{"six"}, {"seven"}}, true}}},
        {"eight"}};
    CHECK(thereAndBack(all) == all);
    CHECK(thereAndBack({}).empty());
}

TEST_CASE("a number that is not known stays so, and a half width too") {
    const auto back = thereAndBack({{"one", {Power{kNaN, std::numeric_limits<double>::infinity()}, Number{kNaN}}}});
    REQUIRE(back.size() == 1);
    CHECK(std::isnan(std::get<Power>(back[0].args[0]).value_w));
    CHECK_FALSE(std::isfinite(std::get<Power>(back[0].args[0]).half_w));
    CHECK(std::isnan(std::get<Number>(back[0].args[1]).value));
}

TEST_CASE("what only another version could say is not said by halves") {
    for (const char* text : {R"({})", R"({"said": []})", R"({"said": [{"id": "one", "holes": [{"is": "colour"}]}]})",
                             R"({"said": [{"id": "one"}, {"holes": []}]})", R"({"said": 7})",
                             R"({"said": [{"id": "one", "holes": [{"is": "count", "value": 1.5}]}]})"}) {
        ObjectReader in(Json::parse(text), "test");
        CHECK(readStatements(in, "said").empty());
    }
}
