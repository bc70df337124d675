// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// A made-up day of five builds with a return to base, and what an independent program (numpy) made of it. Quantities
// from draws carry that program's own scatter: 0.02 of a critical value, 0.01 of a chance, 0.0001 of a shortfall.
// Dunnett's two-sided 5 % points for ten degrees of freedom (Dunnett 1964), from memory.

#include "core/answer/best_of.h"
#include "made_up_day.h"

#include <array>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;

namespace {

constexpr std::array kBuilds{0, 0, 0, 1, 1, 1, 2, 2, 2, 3, 3, 3, 4, 4, 4, 0, 0, 0};
constexpr std::array kHours{0.0, 0.1, 0.2, 0.866667, 0.966667, 1.066667, 1.733333, 1.833333, 1.933333,
                            2.6, 2.7, 2.8, 3.466667, 3.566667, 3.666667, 4.333333, 4.433333, 4.533333};
// clang-format off
constexpr double kPower_kw[18][23] = {
    {69.7366, 80.7739, 92.527, 104.193, 114.931, 120.452, 123.316, 139.215, 158.157, 173.106, 186.93, 200.372, 213.173, 225.078, 233.353, 240.923, 245.782, 249.582, 248.144, 238.477, 229.08, 216.548, 202.662},
    {70.0508, 80.8144, 92.2561, 103.852, 114.767, 121.427, 124.685, 140.632, 160.054, 173.746, 186.475, 199.937, 215.447, 228.94, 237.148, 242.374, 247.258, 252.337, 249.857, 240.963, 230.302, 218.241, 206.232},
    {70.5788, 81.0259, 92.3769, 104.739, 115.666, 122.746, 126.758, 141.927, 161.899, 177.107, 190.691, 205.353, 219.8, 233.134, 241.291, 243.889, 248.905, 251.778, 250.119, 239.555, 230.199, 219.709, 205.001},
    {69.4465, 80.4877, 92.2063, 104.01, 115.307, 122.788, 126.693, 143.136, 162.081, 175.833, 189.441, 204.984, 220.254, 233.596, 241.47, 246.62, 246.95, 249.212, 248.521, 241.192, 229.414, 216.891, 204.729},
    {70.3936, 81.4336, 93.4628, 104.271, 115.723, 123.222, 126.551, 142.109, 162.251, 175.931, 190.849, 205.305, 219.822, 232.305, 240.641, 247.952, 249.666, 252.44, 250.667, 243.779, 232.608, 219.576, 205.47},
    {70.9003, 81.9652, 93.5605, 105.317, 115.318, 122.388, 126.841, 142.711, 162.423, 176.999, 191.272, 206.44, 222.269, 232.546, 241.182, 244.109, 246.135, 252.06, 252.429, 240.774, 228.133, 217.33, 205.122},
    {70.5468, 81.3332, 92.6246, 104.615, 115.115, 122.219, 124.782, 139.484, 160.219, 175.422, 188.715, 203.882, 220.355, 235.134, 244.694, 250.691, 255.805, 259.41, 257.191, 249.006, 236.885, 223.282, 209.237},
    {69.8925, 81.0121, 92.6913, 104.865, 115.577, 121.222, 124.635, 141.56, 162.61, 176.906, 190.995, 206.403, 222.189, 234.117, 244.029, 249.687, 251.921, 256.362, 259.409, 248.947, 235.141, 222.647, 209.327},
    {70.1346, 81.3813, 92.4901, 103.943, 115.26, 122.499, 125.317, 141.329, 161.204, 176, 189.106, 203.192, 218.37, 233.611, 243.346, 248.129, 250.531, 256.094, 258.897, 247.514, 236.022, 222.97, 208.72},
    {71.7925, 83.1044, 94.6761, 107.677, 119.344, 125.382, 129.233, 144.532, 165.196, 179.603, 190.038, 203.244, 218.227, 229.658, 241.229, 245.113, 247.238, 250.554, 248.772, 239.291, 231.16, 219.797, 205.098},
    {72.1192, 82.9996, 95.2563, 107.363, 118.96, 125.149, 128.192, 143.694, 163.81, 176.957, 189.016, 203.016, 216.301, 227.466, 236.154, 241.481, 246.249, 252.595, 250.234, 238.652, 228.028, 216.757, 204.49},
    {71.9745, 83.4707, 95.6873, 108.358, 119.387, 124.838, 128.686, 143.866, 163.568, 178.344, 191.682, 204.85, 216.541, 229.022, 238.196, 244.538, 247.531, 249.505, 249.626, 238.976, 228.171, 216.112, 206.294},
    {69.7163, 80.5604, 91.9435, 103.634, 114.822, 121.639, 124.968, 140.915, 159.253, 172.591, 183.948, 199.678, 214.901, 227.067, 235.732, 241.547, 244.886, 247.952, 247.285, 239.443, 229.633, 218.473, 205.253},
    {70.8231, 81.9941, 92.55, 104.111, 116.646, 122.637, 125.923, 141.849, 160.367, 176.305, 189.155, 203.572, 217.322, 228.606, 235.757, 241.759, 245.163, 247.807, 250.061, 243.027, 232.693, 220.316, 207.631},
    {70.3701, 81.3624, 92.5061, 104.552, 113.765, 120.924, 124.529, 139.855, 160.526, 173.541, 186.634, 200.182, 214.447, 226.044, 235.714, 238.622, 242.553, 249.983, 249.156, 237.533, 227.963, 217.926, 206.326},
    {70.5826, 81.8421, 93.069, 105.031, 115.779, 121.734, 126.181, 143.015, 160.609, 175.587, 189.546, 204.709, 219.156, 231.683, 241.31, 243.675, 247.367, 253.359, 251.275, 238.355, 229.898, 218.969, 206.138},
    {70.9239, 81.8183, 93.7711, 105.27, 116.557, 123.226, 126.584, 143.268, 163.109, 175.319, 188.399, 202.636, 218.337, 228.993, 237.764, 243.966, 248.985, 253.958, 252.267, 241.499, 230.454, 219.075, 205.63},
    {69.5125, 80.9051, 92.8472, 105.044, 114.746, 121.099, 126.242, 141.654, 160.824, 174.944, 188.045, 202.846, 219.26, 231.057, 239.851, 242.468, 245.167, 249.174, 248.865, 237.803, 229.804, 218.126, 204.703}};
// clang-format on

FitInput fiveBuilds() { return test::madeUpDay(kBuilds, kHours, 3, kPower_kw); }

/// Log of the mean power for a use around 5500 rpm, weighted by a bell of 700 rpm.
Eigen::VectorXd scores(const FitInput& input) {
    Eigen::VectorXd weight(23);
    for (int p = 0; p < 23; ++p)
        weight(p) = std::exp(-0.5 * std::pow((input.rpm[static_cast<size_t>(p)] - 5500.0) / 700.0, 2));
    const Eigen::MatrixXd power = input.logPower.array().exp();
    return (power * weight / weight.sum()).array().log();
}

/// One number a pull of builds with so many pulls each, one set a build, no drift in it.
NumbersOfBuilds unequal(const std::vector<int>& pulls) {
    FitInput input;
    input.builds = static_cast<int>(pulls.size());
    for (int p = 0; p < 20; ++p)
        input.rpm.push_back(3000.0 + 50.0 * p);
    std::vector<double> numbers;
    for (int build = 0; build < input.builds; ++build)
        for (int i = 0; i < pulls[static_cast<size_t>(build)]; ++i) {
            input.pulls.push_back({build, 0.1 * static_cast<double>(numbers.size()), build});
            numbers.push_back(0.001 * i);
        }
    const Eigen::VectorXd values =
        Eigen::Map<Eigen::VectorXd>(numbers.data(), static_cast<Eigen::Index>(numbers.size()));
    input.logPower = (4.0 + values.array()).matrix().replicate(1, 20);
    return numbersOfBuilds(fitDay(input), values, {DriftAllowance::Steady, 0.0});
}

NumbersOfBuilds balanced(int treatments, int pulls) {
    return unequal(std::vector<int>(static_cast<size_t>(treatments) + 1, pulls));
}

std::optional<std::vector<BuildScore>> best(const NumbersOfBuilds& numbers, BuildColumn base) {
    DrawCache cache;
    return bestOf(numbers, base, cache);
}

} // namespace

TEST_CASE("best of five builds as an independent program has it") {
    const FitInput input = fiveBuilds();
    const NumbersOfBuilds numbers = numbersOfBuilds(fitDay(input), scores(input), {});
    CHECK(numbers.sd == Approx(0.005458).margin(1e-6));
    CHECK(numbers.degreesOfFreedom == 12);
    const auto found = best(numbers, 0);
    REQUIRE(found);
    const std::array score{0.0, 0.010903, 0.021011, -2.6e-05, -0.011093};
    const std::array low{-0.03073, -0.02161, -0.00129, -0.03254, -0.04395};
    const std::array high{0.0, 0.00129, 0.02161, 0.0, 0.0};
    const std::array critical{2.475, 2.38, 2.402, 2.399, 2.37};
    const std::array chance{0.0, 0.031, 0.968, 0.001, 0.0};
    const std::array shortfall{0.01908, 0.00942, 0.00007, 0.01877, 0.02856};
    const std::array shrunk{-0.0039, 0.00576, 0.01511, -0.00359, -0.01338}; // from the mean of all
    for (size_t i = 0; i < 5; ++i) {
        INFO("build " << static_cast<char>('A' + i));
        const BuildScore& own = found->at(i);
        CHECK(own.gain == Approx(score[i]).margin(1e-6));
        CHECK(own.mayBeBest == (i == 1 || i == 2));
        CHECK(own.costsAtMost == Approx(-low[i]).margin(2e-4));
        CHECK(own.best == Approx(high[i]).margin(2e-4));
        CHECK(own.critical == Approx(critical[i]).margin(0.02));
        CHECK(own.chanceBest == Approx(chance[i]).margin(0.01));
        CHECK(own.shortfall == Approx(shortfall[i]).margin(1e-4));
        CHECK(own.shrunk == Approx(shrunk[i] - shrunk[0]).margin(2e-4));
    }
}

TEST_CASE("the interval over all builds is Dunnett's") {
    // Two-sided, 10 degrees of freedom, 1 to 5 treatments against a control of the same size.
    const std::array published{2.23, 2.57, 2.76, 2.89, 2.99};
    for (int treatments = 1; treatments <= 5; ++treatments) {
        // Ten degrees of freedom are had with 10 = (k + 1)(n - 1); where n is no whole number the table's own is used.
        NumbersOfBuilds numbers = balanced(treatments, 3);
        numbers.degreesOfFreedom = 10;
        const auto found = best(numbers, 0);
        REQUIRE(found);
        const double half = found->at(1).high - found->at(1).gain;
        INFO(treatments << " treatments");
        CHECK(half / numbers.standardError(1, 0) ==
              Approx(published[static_cast<size_t>(treatments) - 1]).margin(0.025));
    }
}

TEST_CASE("critical values as R's mvtnorm has them") {
    // R 4.2, mvtnorm 1.1-3: qmvt(0.95, tail, df = nu, corr = r), r_jk = (1/n_i) / (s_j s_k) with
    // s_j = sqrt(1/n_i + 1/n_j), i the build that is held against all others; GenzBretz(maxpts = 500000, abseps =
    // 1e-6).
    struct Day {
        std::vector<int> pulls;
        int degreesOfFreedom;
        std::vector<double> oneSided; ///< of each build against all others
        double twoSided;              ///< of the first
    };
    const std::array days{Day{{6, 3, 3, 3, 3}, 12, {2.4661, 2.3926, 2.3926, 2.3926, 2.3926}, 2.8552},
                          Day{{4, 2, 5, 3}, 10, {2.3579, 2.2730, 2.3765, 2.3277}, 2.7767}};
    for (const Day& day : days) {
        NumbersOfBuilds numbers = unequal(day.pulls);
        numbers.degreesOfFreedom = day.degreesOfFreedom;
        const auto found = best(numbers, 0);
        REQUIRE(found);
        for (size_t i = 0; i < day.pulls.size(); ++i)
            CHECK(found->at(i).critical == Approx(day.oneSided[i]).margin(0.02));
        CHECK((found->at(1).high - found->at(1).gain) / numbers.standardError(1, 0) ==
              Approx(day.twoSided).margin(0.025));
    }
}

TEST_CASE("two builds: the best of them is a plain t test, one-sided") {
    NumbersOfBuilds numbers = balanced(1, 6);
    numbers.degreesOfFreedom = 10;
    const auto found = best(numbers, 0);
    REQUIRE(found);
    CHECK(found->at(0).critical == Approx(1.812).margin(0.02)); // Student's t, 95 %, 10 degrees of freedom
    CHECK(found->at(1).critical == Approx(1.812).margin(0.02));
}

TEST_CASE("what cannot be told from drift makes no build best") {
    FitInput input = fiveBuilds(); // without the return: 15 pulls
    input.pulls.resize(15);
    input.logPower.conservativeResize(15, 23);
    const DayModel model = fitDay(input);
    const auto open = best(numbersOfBuilds(model, scores(input), {}), 0);
    REQUIRE(open);
    for (const BuildScore& own : *open) {
        CHECK(own.mayBeBest);
        CHECK(std::isnan(own.costsAtMost));
    }
    const auto declared = best(numbersOfBuilds(model, scores(input), {DriftAllowance::Cautious, 0.1}), 0);
    REQUIRE(declared);
    CHECK_FALSE(declared->at(4).mayBeBest);
    const auto large = best(numbersOfBuilds(model, scores(input), {DriftAllowance::Cautious, 30.0}), 0);
    CHECK(large->at(4).mayBeBest);
    CHECK(large->at(2).costsAtMost > declared->at(2).costsAtMost);
}

TEST_CASE("the order of the builds changes nothing, a build without pulls is left out") {
    const FitInput input = fiveBuilds();
    const auto straight = best(numbersOfBuilds(fitDay(input), scores(input), {}), 0);
    FitInput turned = input; // E D C B A
    for (FitPull& pull : turned.pulls)
        pull.build = 4 - pull.build;
    const auto back = best(numbersOfBuilds(fitDay(turned), scores(turned), {}), 4);
    REQUIRE(back);
    for (size_t i = 0; i < 5; ++i) {
        CHECK(back->at(4 - i).gain == Approx(straight->at(i).gain).margin(1e-12));
        CHECK(back->at(4 - i).mayBeBest == straight->at(i).mayBeBest);
        CHECK(back->at(4 - i).critical == Approx(straight->at(i).critical).margin(0.05)); // two sets of draws
        CHECK(back->at(4 - i).chanceBest == Approx(straight->at(i).chanceBest).margin(0.015));
    }
    Eigen::VectorXd some = scores(input); // the pulls of D do not cover the use
    some.segment(9, 3).setConstant(std::nan(""));
    const auto without = best(numbersOfBuilds(fitDay(input), some, {}), 0);
    REQUIRE(without);
    CHECK(std::isnan(without->at(3).gain));
    CHECK_FALSE(without->at(3).mayBeBest);
    CHECK(without->at(2).mayBeBest);
    CHECK(without->at(2).chanceBest + without->at(1).chanceBest > 0.9);
    CHECK_FALSE(best(numbersOfBuilds(fitDay(input), some, {}), 3)); // no base, no gains
}
