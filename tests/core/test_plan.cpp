// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/answer/credit.h"
#include "core/plan/cautions.h"
#include "core/plan/design.h"
#include "core/plan/gear_check.h"
#include "core/plan/named_use.h"
#include "core/plan/progress.h"
#include "core/plan/pulls_needed.h"
#include "english.h"
#include "fit_support.h"

#include <algorithm>
#include <boost/math/distributions/students_t.hpp>
#include <catch2/catch.hpp>
#include <fmt/format.h>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

std::string joined(const std::vector<std::string>& order) { return fmt::format("{}", fmt::join(order, "")); }

TestDay dayOf(const std::vector<std::string>& ids) {
    TestDay day;
    for (const std::string& id : ids)
        day.builds.push_back({.id = id, .parts = {{"part", "number " + id}}});
    return day;
}

void addPull(TestDay& day, const std::string& build, bool use = true) {
    Pull pull;
    pull.id = fmt::format("p{:02}", day.pulls.size() + 1);
    pull.build = build;
    pull.use = use;
    pull.started = isoTimeOf(1.79e9 + 300.0 * static_cast<double>(day.pulls.size()));
    day.pulls.push_back(pull);
}

std::vector<std::string> letters(const std::string& text) {
    std::vector<std::string> out;
    for (const char c : text)
        out.emplace_back(1, c);
    return out;
}

} // namespace

TEST_CASE("designs write the order of the pulls") {
    const struct {
        const char* design;
        std::vector<std::string> builds;
        int pulls;
        const char* order;
    } rows[] = {
        {"a-b", {"A", "B"}, 3, "AAABBB"},
        {"ABA", {"A", "B"}, 2, "AABBAA"},
        {"a-b-a", {"A", "B", "C"}, 1, "ABACA"},
        {"A-B-B-A", {"A", "B"}, 1, "ABBA"},
        {"abba", {"A", "B", "C"}, 1, "ABCCBA"},
        {"ladder", {"A", "B", "C"}, 2, "AABBCCAA"},
        {"2x2", {"A", "B", "C", "D"}, 1, "ABCDA"},
        {"sweep", {"A", "B", "C", "D", "E"}, 1, "ABCDEA"},
        {"r-r", {"A", "B"}, 2, "AAAA"},
    };
    for (const auto& row : rows) {
        const DesignInfo* info = designNamed(row.design);
        REQUIRE(info);
        CHECK(joined(orderOf(info->kind, row.builds, row.pulls)) == row.order);
    }
    CHECK_FALSE(designNamed("zigzag"));
}

TEST_CASE("a plan's weakness is said in words") {
    TestDay day = dayOf({"A", "B"});
    const auto words = [&](const char* order) { return inEnglish(planWeaknesses(day, letters(order))); };
    CHECK(words("AAABBBAAA").empty());
    CHECK(words("AAABBB").find("No return to base: drift cannot be told from the part.") == 0);
    CHECK(words("AABBAA").find("nobody can say which is wrong") != std::string::npos);
    CHECK(words("ABA").find("cannot be seen at all") != std::string::npos);
    CHECK(words("BBB").find("The base A is not run") == 0);
    CHECK(words("BBBAAABBB").find("does not begin with the base") != std::string::npos);
    day.builds[1].settings = {{"map", "m13"}};
    CHECK(words("AAABBBAAA").find("B differs from A in 2 things at once") != std::string::npos);
    day.builds[1] = {.id = "B", .parts = day.builds[0].parts};
    CHECK(words("AAABBBAAA").find("Nothing is noted that differs between A and B") != std::string::npos);
}

TEST_CASE("a ladder step is held against the step below it") {
    TestDay day = dayOf({"A", "B", "C"});
    day.builds[0].parts = {{"pipe", "1"}, {"box", "1"}};
    day.builds[1].parts = {{"pipe", "2"}, {"box", "1"}};
    day.builds[2].parts = {{"pipe", "2"}, {"box", "2"}};
    CHECK(planWeaknesses(day, letters("AAABBBCCCAAA")).empty());
    CHECK(inEnglish(changesPhrase(day, day.builds[0])) == "base");
    CHECK(inEnglish(changesPhrase(day, day.builds[1])) == "1 change");
    CHECK(inEnglish(changesPhrase(day, day.builds[2])) == "2 changes together");
}

TEST_CASE("the variance and freedom of a planned difference are those of the algebra") {
    // A3 B3: 1/3 + 1/3, 6 - 2 pulls. A3 B3 A3 with a drift column: 1/6 + 1/3 by symmetry, 9 - 3.
    const auto ab = plannedContrast(letters("AAABBB"), "A", "B");
    REQUIRE(ab);
    CHECK(ab->variance == Approx(2.0 / 3.0));
    CHECK(ab->degreesOfFreedom == 4);
    CHECK_FALSE(ab->driftIdentified);
    const auto aba = plannedContrast(letters("AAABBBAAA"), "A", "B");
    REQUIRE(aba);
    CHECK(aba->variance == Approx(0.5));
    CHECK(aba->degreesOfFreedom == 6);
    CHECK(aba->driftIdentified);
    CHECK_FALSE(plannedContrast(letters("AAA"), "A", "B"));
}

TEST_CASE("the chance to see an effect is the one found by simulating the t test") {
    const struct {
        const char* order;
        double effect, sd;
    } rows[] = {
        {"AAABBB", 0.01, 0.005}, {"AAABBBAAA", 0.01, 0.005}, {"AABB", 0.02, 0.005}, {"AAAABBBBAAAA", 0.005, 0.004}};
    boost::random::mt19937_64 generator(17);
    boost::random::normal_distribution<double> normal;
    for (const auto& row : rows) {
        const auto order = letters(row.order);
        const auto contrast = plannedContrast(order, "A", "B");
        REQUIRE(contrast);
        std::vector<int> all(order.size());
        for (size_t i = 0; i < all.size(); ++i)
            all[i] = static_cast<int>(i);
        const FitInput input = planInput(order);
        const Design design =
            makeDesign(input, all, contrast->driftIdentified, 0.5 * static_cast<double>(order.size() - 1));
        Eigen::VectorXd k = Eigen::VectorXd::Zero(design.x.cols());
        k(0) = -1.0;
        k(1) = 1.0;
        const Eigen::VectorXd a = *design.contrastWeights(k);
        const double nu = contrast->degreesOfFreedom;
        const double critical = boost::math::quantile(boost::math::students_t(nu), 0.975);
        int found = 0;
        constexpr int kDays = 8000;
        for (int day = 0; day < kDays; ++day) {
            Eigen::VectorXd y(order.size());
            for (Eigen::Index i = 0; i < y.size(); ++i)
                y(i) = row.sd * normal(generator) +
                       (input.pulls[static_cast<size_t>(i)].build == 1 ? std::log1p(row.effect) : 0.0);
            const double s = std::sqrt(design.residuals(y).squaredNorm() / nu);
            found += a.dot(y) > critical * s * a.norm() ? 1 : 0;
        }
        INFO(row.order);
        CHECK(chanceToSee(*contrast, row.effect, {row.sd}) == Approx(found / double(kDays)).margin(0.02));
    }
}

TEST_CASE("pulls needed: enough, and not one more than needed") {
    for (const double effect : {0.005, 0.01, 0.02}) {
        const auto n = pullsPerSetNeeded({"A", "B", "A"}, "A", "B", effect, {0.005});
        REQUIRE(n);
        const auto order = [](int pulls) {
            const size_t k = static_cast<size_t>(pulls);
            return std::string(k, 'A') + std::string(k, 'B') + std::string(k, 'A');
        };
        CHECK(chanceToSee(*plannedContrast(letters(order(*n)), "A", "B"), effect, {0.005}) >= 0.80);
        if (*n > 1)
            CHECK(chanceToSee(*plannedContrast(letters(order(*n - 1)), "A", "B"), effect, {0.005}) < 0.80);
    }
    CHECK_FALSE(pullsPerSetNeeded({"A", "B"}, "A", "B", 0.0005, {0.01}));
    const auto contrast = plannedContrast(letters("AAABBBAAA"), "A", "B");
    const auto smallest = smallestSeen(*contrast, {0.005});
    REQUIRE(smallest);
    CHECK(chanceToSee(*contrast, *smallest, {0.005}) == Approx(0.80).margin(1e-6));
    CHECK_FALSE(smallestSeen(*plannedContrast(letters("AB"), "A", "B"), {0.005}));
    // chi-square table: the 20 % point for 4 degrees of freedom is 1.649.
    CHECK(upperLimit80(1.0, 4) == Approx(std::sqrt(4.0 / 1.649)).epsilon(1e-3));
}

TEST_CASE("the time a plan takes") {
    Plan plan;
    CHECK(planMinutes(plan, {}) == 0.0);
    CHECK(planMinutes(plan, letters("AAABBBAAA")) == Approx(9 * 0.5 + 6 * 4.0 + 2 * 20.0));
    plan.coolDown_min = 2.0;
    plan.change_min = 30.0;
    CHECK(planMinutes(plan, letters("AAB")) == Approx(1.5 + 2.0 + 30.0));
}

TEST_CASE("the day is led through its plan") {
    TestDay day = dayOf({"A", "B"});
    day.plan.order = letters("AAABBBAAA");
    CHECK(inEnglish(nextStep(planProgress(day))) == "Pull 1 of 3 \xC2\xB7 build A");
    addPull(day, "A");
    addPull(day, "A", false);
    CHECK(inEnglish(nextStep(planProgress(day))) == "Pull 2 of 3 \xC2\xB7 build A"); // one set aside is made again
    addPull(day, "A");
    addPull(day, "A");
    CHECK(inEnglish(nextStep(planProgress(day))) == "Fit build B");
    CHECK(planProgress(day).needsChange);
    day.changes.push_back({isoTimeOf(1.79e9 + 1000.0), "A", "B", "longer pipe", {}});
    CHECK(inEnglish(nextStep(planProgress(day))) == "Pull 1 of 3 \xC2\xB7 build B");
    addPull(day, "B");
    addPull(day, "B");
    addPull(day, "A"); // one of B was left out: it counts as passed over
    const PlanProgress progress = planProgress(day);
    CHECK(progress.skipped == 1);
    CHECK(inEnglish(nextStep(progress)) == "Pull 2 of 3 \xC2\xB7 build A");
    addPull(day, "A");
    addPull(day, "A");
    CHECK(inEnglish(nextStep(planProgress(day))) == "The plan is done");
    CHECK(inEnglish(nextStep(planProgress(TestDay{}))) == "No plan");
}

TEST_CASE("a build taken off and fitted again is a set of its own, and the day asks for it") {
    TestDay day = dayOf({"A"});
    day.plan.order = orderOf(DesignKind::RR, {"A"}, 2);
    day.plan.refits = refitsOf(DesignKind::RR, 2);
    CHECK(day.plan.refits == std::vector<size_t>{2});
    CHECK(refitsOf(DesignKind::ABA, 2).empty());
    const std::vector<PlannedSet> sets = plannedSets(day.plan.order, day.plan.refits);
    REQUIRE(sets.size() == 2);
    CHECK(sets[1] == PlannedSet{"A", 2, 2, true});
    CHECK_FALSE(sets[0].refit);
    CHECK(planInput(day.plan.order, day.plan.refits).pulls[2].set == 1);
    CHECK(planInput(day.plan.order).pulls[2].set == 0);
    CHECK(planWeaknesses(day, day.plan.order).size() == 1); // two pulls a set only

    addPull(day, "A");
    CHECK(inEnglish(nextStep(planProgress(day))) == "Pull 2 of 2 \xC2\xB7 build A");
    addPull(day, "A");
    CHECK(inEnglish(nextStep(planProgress(day))) == "Take build A off and fit it again");
    CHECK(planProgress(day).needsRefit);
    addPull(day, "A"); // nobody fitted it again: one more of the first set
    CHECK(planProgress(day).needsRefit);
    CHECK_FALSE(isRefittedNow(day, "A"));
    day.changes.push_back({isoTimeOf(1.79e9 + 100.0), "A", "A", "", {}, true}); // before the last pull
    CHECK_FALSE(isRefittedNow(day, "A"));
    day.changes.push_back({isoTimeOf(1.79e9 + 2000.0), "A", "A", "only a note", {}});
    CHECK_FALSE(isRefittedNow(day, "A"));
    day.changes.back().refitted = true;
    CHECK(isRefittedNow(day, "A"));
    CHECK_FALSE(isRefittedNow(day, "B"));
    day.changes.push_back({isoTimeOf(1.79e9 + 2100.0), "A", "A", "plug gap", {}}); // a note does not take it back
    CHECK(isRefittedNow(day, "A"));
    day.changes.push_back({isoTimeOf(1.79e9 + 2200.0), "A", "B", "", {}}); // another build does
    CHECK_FALSE(isRefittedNow(day, "A"));
    day.changes.pop_back();
    CHECK(inEnglish(nextStep(planProgress(day))) == "Pull 1 of 2 \xC2\xB7 build A");
    addPull(day, "A");
    day.pulls.back().started = isoTimeOf(1.79e9 + 2400.0);
    day.pulls.back().refitted = true;
    CHECK_FALSE(isRefittedNow(day, "A"));
    CHECK(inEnglish(nextStep(planProgress(day))) == "Pull 2 of 2 \xC2\xB7 build A");
    addPull(day, "A");
    day.pulls.back().started = isoTimeOf(1.79e9 + 2700.0);
    CHECK(inEnglish(nextStep(planProgress(day))) == "The plan is done");
    CHECK(planProgress(day).skipped == 0);

    setPullsPerSet(day.plan, 3);
    CHECK(joined(day.plan.order) == "AAAAAA");
    CHECK(day.plan.refits == std::vector<size_t>{3});
    day.plan.order = letters("AABBAA");
    day.plan.refits.clear();
    setPullsPerSet(day.plan, 1);
    CHECK(joined(day.plan.order) == "ABA");
    CHECK(day.plan.refits.empty());
}

TEST_CASE("an unplanned pull does not upset the plan") {
    TestDay day = dayOf({"A", "B", "C"});
    day.plan.order = letters("AABB");
    addPull(day, "A");
    addPull(day, "C");
    addPull(day, "A");
    CHECK(planProgress(day).build == "B");
    addPull(day, "A"); // one more than planned
    CHECK(planProgress(day).build == "B");
}

TEST_CASE("the gear check finds the gear nearest direct drive under every limit") {
    TestDay day;
    day.cell.kind = CellKind::ChassisBrake;
    CHECK(inEnglish(checkGears(day).why) ==
          "Needs gear ratios, tyre radius, final drive and end speed or red line of the article.");
    day.article.engine.redLine_rpm = 6500;
    day.article.vehicle = {.tyreRadius_m = 0.30, .finalDrive = 4.0, .gears = {3.0, 2.0, 1.4, 1.0, 0.8}};
    GearCheck check = checkGears(day);
    REQUIRE(check.rows.size() == 5);
    // By hand: 6500 rpm is 680.68 rad/s; over 4.0 and 0.30 m that is 51.05 m/s = 183.8 km/h in direct drive.
    CHECK(check.rows[3].speedAtEnd_kmh == Approx(183.78).epsilon(1e-4));
    CHECK(check.best == 4);
    day.article.vehicle.speedLimit_kmh = 180.0;
    check = checkGears(day);
    CHECK(check.best == 3);
    CHECK(eachInEnglish(check.rows[3].over) == std::vector<std::string>{"the speed limiter"});
    day.plan.protocol.gear = 4;
    CHECK(inEnglish(checkGears(day).warning) == "Gear 4 reaches 184 km/h: above the limit of the speed limiter.");
    day.article.vehicle.tyreLimit_kmh = 60.0;
    CHECK(checkGears(day).best == 0);
    day.cell.kind = CellKind::EngineBrake;
    day.article.engine.limiter_rpm = 6400;
    CHECK(inEnglish(checkGears(day).warning).find("limiter cuts in at 6 400") != std::string::npos);
}

TEST_CASE("cautions fit the cell, the fuel and the article") {
    TestDay day;
    const auto has = [&](const char* id) {
        const auto list = cautionsFor(day);
        return std::any_of(list.begin(), list.end(), [&](const Caution& c) { return std::string(c.id) == id; });
    };
    day.cell.kind = CellKind::EngineBrake;
    CHECK(has("shaft_guard"));
    CHECK_FALSE(has("straps"));
    CHECK_FALSE(has("alcohol_flame"));
    day.cell.kind = CellKind::ChassisBrake;
    CHECK(has("straps"));
    CHECK_FALSE(has("shaft_guard"));
    day.cell.kind = CellKind::HubBrake;
    CHECK(has("hub_bolts"));
    CHECK_FALSE(has("tyres"));
    day.article.fuel.kind = FuelKind::Alcohol;
    day.article.nitrous = true;
    CHECK(has("alcohol_flame"));
    CHECK(has("nitrous_bottle"));
    const size_t open = cautionsOpen(day).size();
    day.cautions.push_back({"alcohol_flame", "M. Tarn", "2026-05-16T08:50:00+01:00", {}});
    CHECK(cautionsOpen(day).size() == open - 1);
    CHECK(inEnglish(Statement{"cautions.preface"}).find("no safety device") != std::string::npos);
}

TEST_CASE("a lattice is ordered by its parts, however its builds stand, and no contrast is left to drift") {
    TestDay day;
    for (const unsigned parts : {0U, 7U, 3U, 1U, 2U, 4U, 5U, 6U}) { // B has everything
        Build build{.id = std::string(1, static_cast<char>('A' + day.builds.size()))};
        for (unsigned part = 0; part < 3; ++part)
            build.parts.emplace_back("part " + std::to_string(part), (parts >> part & 1U) != 0U ? "new" : "old");
        day.builds.push_back(std::move(build));
    }
    day.plan.pullsPerSet = 2;
    const std::vector<std::string> order = orderOf(DesignKind::TwoByTwoByTwo, day);
    CHECK(joined(order) == "AADDHHEEGGFFCCBBAA"); // x, yz, y, xz, z, xy, all
    FitInput input;
    input.builds = 8;
    input.rpm = {3000.0, 4000.0, 5000.0};
    input.logPower.resize(static_cast<Eigen::Index>(order.size()), 3);
    for (size_t i = 0; i < order.size(); ++i) {
        input.pulls.push_back({order[i][0] - 'A', 0.2 * static_cast<double>(i), static_cast<int>(i / 2)});
        input.logPower.row(static_cast<Eigen::Index>(i)).setConstant(11.0 + 0.002 * (i % 2 == 0 ? 1.0 : -1.0));
    }
    DrawCache cache;
    const auto credit = creditOf(fitDay(input), day.builds, {{3000.0, 5000.0}, {}}, {}, cache);
    REQUIRE(credit);
    REQUIRE(credit->shares.size() == 3);
    CHECK(credit->protectedFromDrift); // shares, steps and interactions
    day.builds.resize(4);              // of three parts no lattice any more: as they stand
    CHECK(joined(orderOf(DesignKind::TwoByTwo, day)) == "AABBCCDDAA");
}

TEST_CASE("a use comes down to speeds") {
    TestDay day;
    CHECK_FALSE(usedSpeeds(day));
    day.plan.use = HeldSpeed{5500.0, 150.0};
    CHECK(usedSpeeds(day) == Use{{5350.0, 5650.0}, {}});
    CHECK(inEnglish(usePhrase(day, *usedSpeeds(day))) == "5 500 rpm held, \u00B1 150 rpm");
    day.plan.use = ShiftToShift{3};
    CHECK(usedSpeeds(day.plan.use, day.article).whyNot.id == "use.no_red_line");
    day.article.engine.redLine_rpm = 7000.0;
    CHECK(usedSpeeds(day.plan.use, day.article).whyNot.id == "use.no_such_gear");
    day.article.vehicle.gears = {3.2, 2.0, 1.4};
    CHECK(usedSpeeds(day)->range_rpm.low == Approx(4900.0)); // 7000 * 1.4 / 2.0
    CHECK(usedSpeeds(day)->range_rpm.high == 7000.0);
    for (const int none : {-1, 0, 1, 4})
        CHECK(usedSpeeds(ShiftToShift{none}, day.article).whyNot.id == "use.no_such_gear");
    day.article.vehicle.gears = {1.4, 1.4};
    CHECK_FALSE(usedSpeeds(ShiftToShift{2}, day.article).use); // the shift lands where it was made
    day.plan.use = SpeedWeights{{2000.0, 0.0}, {3000.0, 0.0}, {4000.0, 2.0}};
    CHECK(usedSpeeds(day) == Use{{3000.0, 4000.0}, {{3000.0, 0.0}, {4000.0, 2.0}}});
    CHECK(inEnglish(usePhrase(day, *usedSpeeds(day))).ends_with(", weighted"));
    CHECK(usePhrase(day, Use{{1.0, 2.0}, {}}).id == "use.range"); // another one, given from outside
}

TEST_CASE("a use that is named when pulls are there is called chosen after looking") {
    TestDay day;
    nameUse(day, RpmRange{3000, 5000});
    CHECK(day.plan.use == WantedUse{RpmRange{3000, 5000}});
    CHECK_FALSE(day.plan.useAfterLooking);
    day.pulls.emplace_back();
    nameUse(day, RpmRange{3000, 6000});
    CHECK(day.plan.useAfterLooking);
    nameUse(day, {});
    CHECK(day.plan.use == WantedUse{});
    CHECK_FALSE(day.plan.useAfterLooking);
}
