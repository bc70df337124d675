// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/short_pull.h"
#include "english.h"

#include "core/compare/analyse.h"
#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "day_support.h"
#include "fit_support.h"

#include <catch2/catch.hpp>
#include <limits>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

/// Takes the data of a pull away outside a range.
void cut(FitInput& fit, size_t pull, double low, double high) {
    for (size_t p = 0; p < fit.rpm.size(); ++p)
        if (fit.rpm[p] < low || fit.rpm[p] > high)
            fit.logPower(static_cast<Eigen::Index>(pull), static_cast<Eigen::Index>(p)) =
                std::numeric_limits<double>::quiet_NaN();
}

std::optional<ShortReach> found(const FitInput& fit) {
    return findShortPull(fit, std::vector<char>(fit.pulls.size(), 1));
}

} // namespace

TEST_CASE("the pull that shortens the shared range, as a table") {
    struct Row {
        const char* what;
        size_t pull;
        double low, high;
        std::optional<ShortReach> expected;
    };
    // The sketch reaches from 2500 to 7000 rpm.
    const Row rows[] = {
        {"ends early", 4, 2500.0, 3700.0, ShortReach{4, true, 3700.0, 7000.0}},
        {"begins late", 2, 4000.0, 7000.0, ShortReach{2, false, 4000.0, 2500.0}},
        {"a little short", 4, 2500.0, 6700.0, std::nullopt}, // 300 of 4500 rpm
        {"short enough", 4, 2500.0, 6500.0, ShortReach{4, true, 6500.0, 7000.0}},
        {"just under a tenth", 4, 2500.0, 6600.0, std::nullopt}, // 400 of 4500 rpm
        {"whole", 4, 2500.0, 7000.0, std::nullopt},
    };
    for (const Row& row : rows) {
        INFO(row.what);
        FitInput fit = test::sketchDay({});
        cut(fit, row.pull, row.low, row.high);
        CHECK(found(fit) == row.expected);
    }
}

TEST_CASE("two that end together are no single pull's doing, of two the shorter is named") {
    FitInput fit = test::sketchDay({});
    cut(fit, 1, 2500.0, 4000.0);
    cut(fit, 4, 2500.0, 4000.0);
    CHECK_FALSE(found(fit));
    cut(fit, 4, 2500.0, 3000.0);
    CHECK(found(fit) == ShortReach{4, true, 3000.0, 4000.0});
}

TEST_CASE("the only pull of its build is not named, nor one that does not count") {
    FitInput fit = test::sketchDay({.design = "AAABAA"});
    cut(fit, 3, 2500.0, 3700.0);
    CHECK_FALSE(found(fit));
    FitInput other = test::sketchDay({});
    cut(other, 4, 2500.0, 3700.0);
    std::vector<char> counts(other.pulls.size(), 1);
    counts[4] = 0;
    CHECK_FALSE(findShortPull(other, counts));
}

TEST_CASE("an answer over a shortened range says so, with the pull's name") {
    TestDay day = sim::simulateDay(test::cellSpec("A3 B3 A3", 3.0), 3);
    DrawCache cache;
    const auto whole = analyse(day, {}, cache);
    REQUIRE(whole.find("A", "B"));
    CHECK_FALSE(whole.find("A", "B")->shortPull);
    CHECK(inEnglish(shortPullStatement(*whole.find("A", "B"))).empty());
    Pull& pull = day.pulls[4];
    auto rows = std::make_shared<ChannelTable>(*pull.raw); // the link was lost at 4 000 rpm
    const auto& speed = rows->find("engine_speed")->values;
    const auto at = std::find_if(speed.begin(), speed.end(), [](double n) { return n > 4000.0; }) - speed.begin();
    for (Column& column : rows->columns)
        column.values.resize(static_cast<size_t>(at));
    pull.raw = rows;
    const auto analysis = analyse(day, {}, cache);
    const Comparison* c = analysis.find("A", "B");
    REQUIRE(c);
    REQUIRE(c->shortPull);
    CHECK(c->shortPull->pull == pull.id);
    CHECK(c->shortPull->own_rpm == Approx(3900.0).margin(150.0));
    CHECK(c->shortPull->reach_rpm > 6000.0);
    CHECK(inEnglish(summary(*c, {})).find(pull.id + " ends at ") != std::string::npos);
    day.pulls[4].use = false;
    CHECK_FALSE(analyse(day, {}, cache).find("A", "B")->shortPull);
}
