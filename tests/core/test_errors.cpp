// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"
#include "english.h"

#include <catch2/catch.hpp>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

TEST_CASE("every problem has words and a remedy") {
    for (int i = 0; i < static_cast<int>(Problem::Count); ++i) {
        const auto problem = static_cast<Problem>(i);
        const DataError error(problem, {std::string("first"), std::string("second")}, {.file = "day.json", .line = 3});
        INFO(inEnglish(error));
        CHECK(Voice().problem(error).size() > 10);
        CHECK(Voice().problem(error).find('{') == std::string::npos);
        CHECK(Voice().remedy(problem).size() > 10);
        CHECK(inEnglish(error).starts_with("day.json, line 3: "));
    }
}

TEST_CASE("a place is said as far as it is known") {
    CHECK(Voice().place({}) == "");
    CHECK(Voice().place({.file = "p01.csv", .line = 17, .column = "torque"}) == "p01.csv, line 17, column torque");
    CHECK(Voice().place({.key = "pulls[2].build"}) == "key pulls[2].build");
    CHECK(DataError(Problem::FileEmpty, {}).inFile("a.csv").place().file == "a.csv");
    CHECK(DataError(Problem::FileEmpty, {}, {.file = "b.csv"}).inFile("a.csv").place().file == "b.csv");
}
