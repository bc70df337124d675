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

constexpr std::array kBuild{0, 0, 1, 1, 3, 3, 2, 2, 0, 0}; // base, x, y, both
constexpr std::array kHours{0.0, 0.1, 0.766667, 0.866667, 1.533333, 1.633333, 2.3, 2.4, 3.066667, 3.166667};
// clang-format off
constexpr double kPower_kw[10][23] = {
    {70.4146, 81.7301, 93.3648, 104.661, 115.027, 121.232, 125.7, 141.788, 161.166, 174.563, 188.33, 203.005, 217.693, 229.43, 237.977, 244.078, 248.214, 251.339, 250.492, 241.781, 230.048, 216.244, 204.775},
    {70.2246, 81.0824, 92.306, 103.944, 115.291, 121.142, 124.973, 142.19, 161.751, 174.673, 188.324, 203.673, 218.118, 230.634, 240.26, 245.129, 247.139, 252.325, 251.825, 243.15, 231.223, 217.435, 204.396},
    {69.7739, 80.9227, 92.6917, 104.192, 115.423, 122.726, 126.422, 142.64, 162.773, 177.931, 191.492, 207.669, 223.09, 237.323, 248.422, 254.492, 258.863, 263.841, 259.765, 248.455, 235.921, 222.803, 207.537},
    {70.2328, 82.0262, 93.6737, 105.396, 115.969, 123.35, 128.688, 142.786, 162.976, 179.28, 193.445, 208.528, 225.626, 239.278, 249.892, 258.782, 260.373, 260.845, 259.842, 248.809, 239.063, 226.508, 210.324},
    {70.9969, 82.871, 95.3858, 107.644, 118.586, 125.657, 129.703, 145.561, 165.913, 180.423, 194.271, 208.492, 223.54, 236.05, 244.324, 253.875, 257.987, 259.583, 259.779, 249.697, 238.504, 223.054, 207.895},
    {70.0608, 82.314, 95.4271, 107.029, 116.928, 123.825, 128.432, 144.105, 164.554, 178.953, 193.313, 207.142, 223.351, 235.933, 245.598, 249.476, 251.697, 257.974, 257.004, 246.748, 235.045, 221.92, 207.632},
    {72.0202, 83.2758, 95.1559, 107.146, 118.716, 125.579, 129.962, 146.706, 167.56, 180.948, 192.303, 205.923, 221.589, 232.857, 242.45, 245.09, 247.583, 253.056, 253.67, 244.871, 234.268, 220.25, 205.848},
    {71.5884, 83.6074, 95.7029, 107.939, 119.841, 126.161, 130.45, 146.68, 167.071, 181.99, 194.887, 209.274, 222.761, 233.965, 241.445, 245.244, 248.808, 252.067, 250.831, 242.132, 231.036, 218.606, 205.257},
    {69.9771, 81.1336, 92.5815, 103.809, 115.48, 122.225, 124.573, 140.837, 160.972, 175.769, 187.649, 200.964, 215.988, 229.966, 237.738, 242.75, 246.986, 250.469, 250.296, 241.071, 231.423, 219.303, 206.764},
    {70.9476, 81.9354, 93.2333, 105.233, 115.651, 122.308, 126.424, 141.659, 161.329, 176.994, 190.995, 202.949, 218.049, 230.015, 239.997, 244.576, 246.194, 250.482, 249.123, 240.934, 230.11, 216.596, 204.409}};
// clang-format on

FitInput twoByTwo() { return test::madeUpDay(kBuild, kHours, 2, kPower_kw); }

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
        CHECK(along.overDay(place.point) == Approx(place.overDay).margin(1.5e-6)); // six decimals, the last rounded
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
    } items[] = {{credit->shares[0].amount, 0.0175807468258, 0.002562562665},
                 {credit->shares[1].amount, 0.0076789785732, 0.002562562457},
                 {credit->interactions[0].amount, -0.0189615248011, 0.004794910366},
                 {*credit->total, 0.025259725399, 0.003139005672}};
    for (const auto& item : items) {
        CHECK(item.amount.log == Approx(item.log).epsilon(1e-8));
        CHECK(item.amount.standardError == Approx(item.standardError).epsilon(1e-8));
    }
    CHECK(credit->shares[0].amount.p == Approx(1.005505134e-03).epsilon(1e-6));
    CHECK(credit->shares[1].amount.p == Approx(3.021704179e-02).epsilon(1e-6));
    CHECK(credit->interactions[0].amount.p == Approx(1.080191878e-02).epsilon(1e-6));
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
