// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Three builds and more: uses, who leads where, the sentence, and how often the named build is right.

#include "core/compare/analyse.h"
#include "core/plan/named_use.h"
#include "english.h"
#include "fit_support.h"

#include <catch2/catch.hpp>
#include <limits>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

/// Log curves of some builds, three pulls a set, the base first and last; `shape(build, rpm)` in per cent.
template <class Shape>
FitInput dayOf(const std::string& sets, unsigned seed, const Shape& shape, double noise_pct = 0.3) {
    FitInput out = test::sketchDay({sets, 0.0, 0.0, noise_pct, noise_pct, seed});
    for (size_t i = 0; i < out.pulls.size(); ++i)
        for (size_t p = 0; p < out.rpm.size(); ++p)
            out.logPower(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(p)) +=
                shape(out.pulls[i].build, out.rpm[p]) / 100.0;
    return out;
}

std::vector<std::string> names(int builds) {
    std::vector<std::string> out;
    for (int i = 0; i < builds; ++i)
        out.emplace_back(1, static_cast<char>('A' + i));
    return out;
}

Field fieldOfDay(const FitInput& input, const Use& use, const DriftSettings& drift = {}) {
    const DayModel model = fitDay(input);
    std::vector<Eigen::VectorXd> asked;
    for (int i = 0; i < input.builds; ++i)
        for (int j = i + 1; j < input.builds; ++j)
            asked.push_back(pairContrast(model, i, j));
    DrawCache cache;
    const auto field =
        fieldOf(model, names(input.builds), use, judgeContrasts(model, asked, 1, drift, cache), drift, cache);
    REQUIRE(field);
    return *field;
}

const Use kWhole{{2500.0, 7000.0}, {}};

} // namespace

TEST_CASE("a use weighs the power of each pull") {
    FitInput input;
    input.rpm = {2000.0, 3000.0, 4000.0, 5000.0};
    input.logPower.resize(2, 4);
    input.logPower.row(0) << std::log(10.0), std::log(20.0), std::log(40.0), std::log(30.0);
    input.logPower.row(1) << std::log(10.0), std::log(20.0), std::numeric_limits<double>::quiet_NaN(), std::log(30.0);
    const auto mean = [&](const Use& use, int pull) { return meanPower(input, use).ofPull(pull); };
    CHECK(mean({{2000.0, 5000.0}, {}}, 0) == Approx(25.0));
    CHECK(mean({{3000.0, 4000.0}, {}}, 0) == Approx(30.0));
    CHECK(mean(useOf({{2000.0, 1.0}, {3000.0, 3.0}}), 0) == Approx(17.5));
    CHECK(mean(useOf({{2000.0, 1.0}, {4000.0, 3.0}}), 0) == Approx((10.0 + 2.0 * 20.0 + 3.0 * 40.0) / 6.0)); // between
    CHECK(mean(useOf({{1000.0, 0.0}, {2000.0, 0.0}, {3000.0, 1.0}, {4000.0, 0.0}}), 0) == Approx(20.0));
    CHECK(mean(useOf({{2000.0, 0.0}, {4000.0, 2.0}, {5000.0, 0.0}}), 0) == Approx((1.0 * 20.0 + 2.0 * 40.0) / 3.0));
    CHECK(std::isnan(mean({{2000.0, 5000.0}, {}}, 1))); // it does not cover it
    CHECK(mean({{2000.0, 3000.0}, {}}, 1) == Approx(15.0));
    CHECK(std::isnan(mean({{2100.0, 2900.0}, {}}, 0))); // no point of the grid
    CHECK(useOf({{1000.0, 0.0}, {2000.0, 2.0}, {2500.0, 1.0}, {3000.0, 0.0}}).range_rpm == RpmRange{1000.0, 3000.0});
    CHECK_THROWS_AS(useOf({}), DataError);
    CHECK_THROWS_AS(useOf({{2000.0, 0.0}}), DataError);
    CHECK_THROWS_AS(useOf({{2000.0, 1.0}, {2000.0, 1.0}}), DataError);
    CHECK_THROWS_AS(useOf({{2000.0, -1.0}, {3000.0, 1.0}}), DataError);
    CHECK_THROWS_AS(useOf({{2000.0, std::nan("")}, {3000.0, 1.0}}), DataError);
}

TEST_CASE("who leads where: proven, tied, and where the curves cross") {
    // B is better below 4750 rpm, C above it, by 6 % at the ends.
    const auto cross = [](int build, double rpm) {
        const double tilt = 6.0 * (rpm - 4750.0) / 2250.0;
        return build == 0 ? -8.0 : (build == 1 ? -tilt : tilt);
    };
    const Field field = fieldOfDay(dayOf("AAABBBCCCAAA", 7, cross), kWhole);
    REQUIRE(field.leads.size() == 3);
    CHECK(field.leads[0].builds == std::vector<std::string>{"B"});
    CHECK(field.leads[1].builds == std::vector<std::string>{"B", "C"});
    CHECK(field.leads[2].builds == std::vector<std::string>{"C"});
    CHECK(field.leads[0].range_rpm.low == 2500.0);
    CHECK(field.leads[2].range_rpm.high == 7000.0);
    CHECK(field.leads[1].range_rpm.low < 4750.0);
    CHECK(field.leads[1].range_rpm.high > 4750.0);
    // For a use at the bottom B is best, for one at the top C, whatever the whole range says.
    const FitInput day = dayOf("AAABBBCCCAAA", 7, cross);
    CHECK(fieldOfDay(day, {{2500.0, 4000.0}, {}}).named() == "B");
    CHECK(fieldOfDay(day, {{5500.0, 7000.0}, {}}).named() == "C");
    CHECK(fieldOfDay(day, useOf({{5000.0, 0.0}, {6000.0, 1.0}, {7000.0, 2.0}})).named() == "C");
}

TEST_CASE("the sentence of a field") {
    const auto summary = [](const Field& field) { return eachInEnglish(fieldSummary(field)); };
    const auto steps = [](int build, double) { return 5.0 * build; };
    CHECK(summary(fieldOfDay(dayOf("AAABBBCCCAAA", 3, steps), kWhole)) ==
          std::vector<std::string>{"For 2 500\u20137 000 rpm C is best; every other build is worse."});
    const auto two = [](int build, double) { return build >= 2 ? 6.0 : 0.0; };
    const auto tied = summary(fieldOfDay(dayOf("AAABBBCCCDDDAAA", 5, two), kWhole));
    REQUIRE(tied.size() == 2);
    CHECK((tied[0] == "For 2 500\u20137 000 rpm C is best, or D, which nobody can tell apart yet; A and B are worse." ||
           tied[0] == "For 2 500\u20137 000 rpm D is best, or C, which nobody can tell apart yet; A and B are worse."));
    CHECK(tied[1].find("gives away") != std::string::npos);
    const auto alike = [](int, double) { return 0.0; };
    const auto open = summary(fieldOfDay(dayOf("AAABBBCCCAAA", 11, alike), kWhole));
    REQUIRE(open.size() == 2);
    CHECK(open[0].find("nobody can tell yet which build is best") != std::string::npos);
    const Field noReturn = fieldOfDay(dayOf("AAABBBCCC", 3, steps), kWhole);
    CHECK_FALSE(noReturn.mayClaim());
    CHECK(noReturn.leads.front().builds.size() == 3); // drift may explain all of it
    CHECK(summary(noReturn).front().find("without a return to base drift may explain") != std::string::npos);
    const Field declared = fieldOfDay(dayOf("AAABBBCCC", 3, steps), kWhole, {DriftAllowance::Cautious, 0.2});
    CHECK(declared.mayClaim());
    CHECK(declared.named() == "C");
}

TEST_CASE("a constant factor on all powers changes no per cent") {
    const auto shape = [](int build, double) { return 1.0 * build; };
    FitInput input = dayOf("AAABBBCCCAAA", 9, shape);
    const Field before = fieldOfDay(input, kWhole);
    input.logPower.array() += 1.7;
    const Field after = fieldOfDay(input, kWhole);
    for (size_t i = 0; i < before.builds.size(); ++i) {
        CHECK(after.builds[i].gain == Approx(before.builds[i].gain).margin(1e-12));
        CHECK(after.builds[i].low == Approx(before.builds[i].low).margin(1e-12));
        CHECK(after.builds[i].costsAtMost == Approx(before.builds[i].costsAtMost).margin(1e-12));
    }
    CHECK(after.leads == before.leads);
}

TEST_CASE("two builds are no field") {
    const DayModel model = fitDay(test::sketchDay({}));
    DrawCache cache;
    const auto judged = judgeContrasts(model, {pairContrast(model, 0, 1)}, 1, {}, cache);
    CHECK_FALSE(fieldOf(model, {"A", "B"}, kWhole, judged, {}, cache));
}
