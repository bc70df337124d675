// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// A made-up day of a base, two parts, both together and the return, and what an independent program (numpy) made of it.

#include "core/answer/credit.h"
#include "core/fit/drift.h"
#include "made_up_day.h"

#include <array>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

constexpr std::array kCreditBuild{0, 0, 1, 1, 3, 3, 2, 2, 0, 0}; // base, x, y, both
constexpr std::array kCreditHours{0.0, 0.1, 0.766667, 0.866667, 1.533333, 1.633333, 2.3, 2.4, 3.066667, 3.166667};
// clang-format off
constexpr double kCreditPower_kw[10][23] = {
    {70.4146, 81.7301, 93.3648, 104.6609, 115.0274, 121.2321, 125.7001, 141.7876, 161.1664, 174.5634, 188.3298, 203.0054, 217.6934, 229.4299, 237.9766, 244.078, 248.2143, 251.3391, 250.4918, 241.7814, 230.0485, 216.2445, 204.7749},
    {70.2246, 81.0824, 92.306, 103.9439, 115.2913, 121.142, 124.9729, 142.1903, 161.7512, 174.6728, 188.3243, 203.6734, 218.1177, 230.6337, 240.2599, 245.1287, 247.1394, 252.325, 251.8248, 243.1505, 231.2233, 217.435, 204.3961},
    {69.7739, 80.9227, 92.6917, 104.1916, 115.4232, 122.7262, 126.4222, 142.6399, 162.7725, 177.931, 191.4919, 207.6694, 223.0901, 237.3228, 248.4216, 254.4919, 258.8632, 263.8405, 259.7653, 248.4549, 235.9211, 222.8032, 207.537},
    {70.2328, 82.0262, 93.6737, 105.3957, 115.9691, 123.35, 128.6883, 142.7865, 162.9759, 179.2803, 193.4454, 208.5276, 225.626, 239.2778, 249.8921, 258.7823, 260.3732, 260.8451, 259.8422, 248.8091, 239.0626, 226.5081, 210.3243},
    {70.9969, 82.871, 95.3858, 107.6435, 118.5856, 125.6567, 129.7028, 145.5609, 165.9127, 180.4235, 194.2714, 208.4919, 223.5396, 236.0496, 244.3237, 253.8748, 257.9868, 259.583, 259.7787, 249.6973, 238.5039, 223.054, 207.895},
    {70.0608, 82.314, 95.4271, 107.0292, 116.928, 123.8247, 128.4323, 144.1049, 164.5544, 178.9534, 193.313, 207.1424, 223.351, 235.9332, 245.5978, 249.4763, 251.6971, 257.9739, 257.0041, 246.748, 235.0446, 221.92, 207.6323},
    {72.0202, 83.2758, 95.1559, 107.1463, 118.7164, 125.5789, 129.9616, 146.7055, 167.5599, 180.9483, 192.3026, 205.9233, 221.5887, 232.8565, 242.4504, 245.0898, 247.5833, 253.0564, 253.6701, 244.8706, 234.2675, 220.2505, 205.8484},
    {71.5884, 83.6074, 95.7029, 107.9394, 119.8405, 126.1613, 130.4499, 146.6805, 167.0705, 181.9901, 194.8868, 209.2739, 222.7607, 233.9654, 241.4448, 245.2435, 248.8075, 252.0675, 250.8308, 242.1322, 231.0365, 218.6056, 205.257},
    {69.9771, 81.1336, 92.5815, 103.8092, 115.4803, 122.2255, 124.5731, 140.8368, 160.972, 175.7695, 187.649, 200.9635, 215.9875, 229.9658, 237.7375, 242.7501, 246.9864, 250.469, 250.2961, 241.0706, 231.4229, 219.3032, 206.7642},
    {70.9476, 81.9354, 93.2333, 105.2328, 115.6508, 122.3077, 126.4236, 141.6591, 161.3291, 176.9939, 190.9955, 202.9488, 218.0486, 230.0153, 239.997, 244.5762, 246.1936, 250.4818, 249.1228, 240.9344, 230.1098, 216.5956, 204.4093}};
// clang-format on

FitInput twoByTwo() { return test::madeUpDay(kCreditBuild, kCreditHours, 2, kCreditPower_kw); }

std::vector<Build> builds() {
    std::vector<Build> out(4);
    const char* const ids[] = {"A", "B", "C", "D"};
    for (size_t b = 0; b < 4; ++b) {
        out[b].id = ids[b];
        out[b].parts = {{"pipe", b % 2 == 0 ? "std" : "big"}, {"map", b < 2 ? "m1" : "m2"}};
    }
    return out;
}

const Use kWhole{{2000.0, 7500.0}, {}};

} // namespace

TEST_CASE("credit of two parts as an independent program has it") {
    const DayModel model = fitDay(twoByTwo());
    DrawCache cache;
    const auto credit = creditOf(model, builds(), kWhole, {}, cache);
    REQUIRE(credit);
    CHECK(credit->sets.kind == CreditKind::Lattice);
    REQUIRE(credit->shares.size() == 2);
    REQUIRE(credit->total);
    REQUIRE(credit->interactions.size() == 1);
    const struct {
        const CreditAmount& amount;
        double log, standardError;
    } items[] = {{credit->shares[0].amount, 0.017581, 0.002562},
                 {credit->shares[1].amount, 0.007679, 0.002562},
                 {*credit->total, 0.025259, 0.003139}};
    for (const auto& item : items) {
        CHECK(item.amount.log == Approx(item.log).margin(1e-6));
        // max |t| of share, share and total, correlated -0.2495 and 0.6126, five degrees of freedom: 3.241 +- 0.0015 by
        // four million draws in R; 100 000 draws here have a standard error of 0.009.
        CHECK((item.amount.high - item.amount.log) / item.standardError == Approx(3.241).margin(0.03));
        CHECK(item.amount.protectedFromDrift);
    }
    CHECK(credit->interactions[0].amount.log == Approx(-0.018962).margin(1e-6));
    CHECK(credit->interactions[0].amount.high - credit->interactions[0].amount.log == Approx(0.012325).epsilon(0.01));
    CHECK(credit->interactions[0].amount.proven());
    CHECK(credit->addsUp == AddsUp::Less);
    CHECK(credit->shares[0].amount.log + credit->shares[1].amount.log == Approx(credit->total->log).margin(1e-9));
    CHECK(credit->shares[0].amount.watts() + credit->shares[1].amount.watts() ==
          Approx(credit->total->watts()).margin(1e-6));
    CHECK(credit->steps.size() == 4);
    CHECK(credit->shares[0].boundFactor == 0.0);
}

TEST_CASE("drift along rpm, and the refitting that would undo the total, as an independent program has them") {
    DayModel model = fitDay(twoByTwo());
    model.correlation = {199.92102816160397, 0.15}; // of that program: see below
    const DriftAlong along = driftAlong(model);
    const struct {
        Eigen::Index point;
        double overDay, error;
    } places[] = {{2, 0.002139, 0.004405}, {12, -0.000945, 0.004504}, {20, -0.00046, 0.004766}}; // 2500, 5000, 7000 rpm
    for (const auto& place : places) {
        CHECK(along.overDay(place.point) == Approx(place.overDay).margin(1e-6));
        CHECK(along.error(place.point) == Approx(place.error).margin(1e-6));
        CHECK(model.drift.allowanceAlong(place.point) == 0.0);
    }
    CHECK(model.drift.overDay == Approx(0.00013).margin(5e-6));
    CHECK(model.drift.allowanceSquared == 0.0);
    Eigen::VectorXd number(10);
    for (Eigen::Index i = 0; i < 10; ++i)
        number(i) = std::log(model.input.logPower.row(i).array().exp().mean());
    const auto total = estimateNumber(model, Eigen::Vector4d(-1.0, 0.0, 0.0, 1.0), number, {});
    REQUIRE(total->refitUndoes);
    CHECK(*total->refitUndoes == Approx(0.007603).margin(1e-6));
}

// R 4.2.2: y <- log(rowMeans(P)); x and m 0 or 1, h hours;
//   coef(summary(lm(y ~ I(x-.5)*I(m-.5) + h))); z <- lm(y ~ factor(build) + h), the contrast of build 3 by vcov(z).
TEST_CASE("shares, interaction and total are those of a linear model in R when drift is taken as straight") {
    const DayModel model = fitDay(twoByTwo());
    DrawCache cache;
    CreditSettings steady;
    steady.drift.allowance = DriftAllowance::Steady;
    const auto credit = creditOf(model, builds(), kWhole, steady, cache);
    REQUIRE(credit);
    const struct {
        const CreditAmount& amount;
        double log, standardError;
    } items[] = {{credit->shares[0].amount, 0.0175805691066, 0.002562441893},
                 {credit->shares[1].amount, 0.0076788845043, 0.002562441685},
                 {credit->interactions[0].amount, -0.0189615405067, 0.004794684385},
                 {*credit->total, 0.025259453611, 0.003138857732}};
    for (const auto& item : items) {
        CHECK(item.amount.log == Approx(item.log).epsilon(1e-8));
        CHECK(item.amount.standardError == Approx(item.standardError).epsilon(1e-8));
    }
    CHECK(credit->shares[0].amount.p == Approx(1.005334390e-03).epsilon(1e-6));
    CHECK(credit->shares[1].amount.p == Approx(3.021341121e-02).epsilon(1e-6));
    CHECK(credit->interactions[0].amount.p == Approx(1.079987146e-02).epsilon(1e-6));
}

TEST_CASE("credit along rpm as an independent program has it") {
    const DayModel model = fitDay(twoByTwo());
    DrawCache cache;
    const auto credit = creditOf(model, builds(), kWhole, {}, cache);
    REQUIRE(credit);
    REQUIRE(credit->totalCurve);
    const auto kwAt5000 = [](const CreditCurve& curve) { return curve.curve.delta(12) * curve.scale_w(12) / 1000.0; };
    CHECK(kwAt5000(credit->shares[0].curve) == Approx(3.8685).margin(1e-4));
    CHECK(kwAt5000(credit->shares[1].curve) == Approx(2.1167).margin(1e-4));
    CHECK(kwAt5000(*credit->totalCurve) == Approx(5.9852).margin(1e-4));
    for (Eigen::Index p = 0; p < 23; ++p)
        CHECK(credit->shares[0].curve.curve.delta(p) + credit->shares[1].curve.curve.delta(p) ==
              Approx(credit->totalCurve->curve.delta(p)).margin(1e-9));
    CHECK(credit->shares[0].curve.curve.worstJump == Approx(0.500663).margin(1e-6));
    CHECK(credit->totalCurve->curve.worstJump == Approx(0.5).margin(1e-6));
}

TEST_CASE("critical values along rpm as an independent program has them") {
    // At steps of 250 rpm a variogram has two lags, which many correlations meet: that program's is taken.
    DayModel model = fitDay(twoByTwo());
    model.correlation = {199.92102816160397, 0.15};
    const std::vector<PartSet> sets{0, 1, 2, 3};
    std::vector<ContrastCurve> curves;
    for (const Eigen::VectorXd& weights : {shareWeights(sets, 2, 0)->ofBuild, shareWeights(sets, 2, 1)->ofBuild,
                                           *stepWeights(sets, 0U, 3U), *interactionWeights(sets, 2, 3U)})
        curves.push_back(*evaluate(model, weights, {}));
    DrawCache cache;
    const CriticalValues critical = criticalValues(model, curves, 4, cache);
    // With five degrees of freedom 10 000 draws have a standard error of 0.03 here and there.
    const std::array own{3.457, 3.442, 3.484, 3.461};
    for (size_t i = 0; i < own.size(); ++i)
        CHECK(critical.own[i] == Approx(own[i]).margin(0.085));
    CHECK(critical.family == Approx(4.105).margin(0.1));
}

TEST_CASE("a ladder's steps add up to its total, and a declared bound widens what was never run") {
    FitInput input = twoByTwo(); // base, x, both, base: two rungs
    std::vector<int> rows{0, 1, 2, 3, 4, 5, 8, 9};
    FitInput ladder = input;
    ladder.pulls.clear();
    ladder.builds = 3;
    ladder.logPower.resize(8, 23);
    for (int i = 0; i < 8; ++i) {
        FitPull pull = input.pulls[static_cast<size_t>(rows[static_cast<size_t>(i)])];
        pull.build = pull.build == 3 ? 2 : pull.build;
        ladder.pulls.push_back(pull);
        ladder.logPower.row(i) = input.logPower.row(rows[static_cast<size_t>(i)]);
    }
    std::vector<Build> three = builds();
    three.erase(three.begin() + 2);
    DrawCache cache;
    const DayModel model = fitDay(ladder);
    const auto plain = creditOf(model, three, kWhole, {}, cache);
    REQUIRE(plain);
    CHECK(plain->sets.kind == CreditKind::Ladder);
    REQUIRE(plain->steps.size() == 2);
    CHECK(plain->steps[0].amount.watts() + plain->steps[1].amount.watts() ==
          Approx(plain->total->watts()).margin(1e-6));
    CHECK(plain->interactions.empty());
    CHECK_FALSE(plain->beyondSum);
    REQUIRE(plain->shares.size() == 2);
    CHECK(plain->shares[0].boundFactor == Approx(0.5).margin(1e-6));
    CHECK_FALSE(plain->shares[1].alone);
    CreditSettings bounded;
    bounded.notes.interactionBound_pct = 1.0;
    const auto declared = creditOf(model, three, kWhole, bounded, cache);
    REQUIRE(declared);
    CHECK(declared->shares[0].amount.high - plain->shares[0].amount.high == Approx(0.005).margin(1e-9));
    CHECK(declared->total->high == Approx(plain->total->high).margin(1e-12));
}

TEST_CASE("without a second pull there is no credit, without parts none to give") {
    FitInput one = twoByTwo();
    one.pulls = {one.pulls[0], one.pulls[2], one.pulls[4], one.pulls[6]};
    const Eigen::MatrixXd all = one.logPower;
    one.logPower = all(std::vector<int>{0, 2, 4, 6}, Eigen::all);
    DrawCache cache;
    CHECK_FALSE(creditOf(fitDay(one), builds(), kWhole, {}, cache));
    CHECK_FALSE(creditOf(fitDay(twoByTwo()), builds(), {{8000.0, 9000.0}, {}}, {}, cache)); // not covered
    std::vector<Build> alike = builds();
    for (Build& build : alike)
        build.parts.clear();
    const auto none = creditOf(fitDay(twoByTwo()), alike, kWhole, {}, cache);
    REQUIRE(none);
    CHECK(none->sets.why == WhyNoCredit::NothingNoted);
    CHECK(none->shares.empty());
    CHECK_FALSE(none->total);
}

TEST_CASE("how the builds repeat against each other as an independent program has it") {
    DayModel model = fitDay(twoByTwo());
    model.correlation = {199.92102816160397, 0.15}; // of that program
    const NoiseOfBuilds noise = noiseOfBuilds(model, shapeResiduals(model));
    REQUIRE(noise.builds.size() == 4);
    constexpr double kRatio[] = {0.970455, 0.894268, 1.201306, 0.876598}; // base, x, y, both
    for (size_t b = 0; b < 4; ++b) {
        CHECK(noise.builds[b].ratio == Approx(kRatio[b]).margin(1e-6));
        CHECK(noise.builds[b].degreesOfFreedom == Approx(b == 0 ? 31.11 : 15.535).margin(5e-4));
    }
    CHECK(noise.smallestP == 1.0);
    CHECK_FALSE(noise.unequal);
    CHECK(noise.ofPulls.size() == 0);
}
