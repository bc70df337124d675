// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Which parts a day's builds tell apart, and what weights of the builds give each its credit.

#include "core/answer/part_facts.h"
#include "core/compare/day_credit.h"
#include "core/compare/part_words.h"
#include "english.h"

#include <algorithm>
#include <array>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/uniform_real_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>
#include <numeric>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace hillrun;

namespace {

Build build(const std::string& id, const NamedValues& parts, const NamedValues& settings = {}) {
    Build out;
    out.id = id;
    out.parts = parts;
    out.settings = settings;
    return out;
}

std::vector<PartSet> everySet(size_t parts) {
    std::vector<PartSet> out(size_t{1} << parts);
    std::iota(out.begin(), out.end(), 0U);
    return out;
}

/// The share of a part as it is defined: its mean step over all orders.
double shapley(const std::vector<double>& worth, size_t parts, size_t part) {
    std::vector<size_t> order(parts);
    std::iota(order.begin(), order.end(), size_t{0});
    double sum = 0.0;
    int orders = 0;
    do {
        PartSet fitted = 0;
        for (const size_t next : order) {
            if (next == part)
                sum += worth[fitted | 1U << next] - worth[fitted];
            fitted |= 1U << next;
        }
        ++orders;
    } while (std::next_permutation(order.begin(), order.end()));
    return sum / orders;
}

WhyNoCredit whyOf(const std::vector<Build>& builds) { return partSetsOf(builds).why; }

} // namespace

TEST_CASE("parts are what the builds have beyond the base, and what was never told apart is one") {
    const auto found = partSetsOf({build("A", {{"pipe", "std"}, {"airbox", "std"}}, {{"map_table", "m1"}}),
                                   build("B", {{"pipe", "big"}, {"airbox", "std"}}, {{"map_table", "m1"}}),
                                   build("C", {{"pipe", "std"}, {"airbox", "open"}}, {{"map_table", "m2"}}),
                                   build("D", {{"pipe", "big"}, {"airbox", "open"}}, {{"map_table", "m2"}})});
    CHECK(found.kind == CreditKind::Lattice);
    REQUIRE(found.parts.size() == 2);
    CHECK(found.parts[0].name == "pipe");
    CHECK(found.parts[0].changes == std::vector<Change>{{"pipe", "std", "big"}});
    CHECK(found.parts[1].name == "airbox + map table");
    CHECK(found.ofBuild == std::vector<PartSet>{0, 1, 2, 3});
}

TEST_CASE("ladder, lattice, holes, sweep and what cannot be answered are told apart") {
    const auto kindOf = [](const std::vector<Build>& builds) { return partSetsOf(builds).kind; };
    const Build base = build("A", {});
    const Build x = build("B", {{"x", "1"}});
    const Build y = build("C", {{"y", "1"}});
    const Build xy = build("D", {{"x", "1"}, {"y", "1"}});
    const Build xyz = build("E", {{"x", "1"}, {"y", "1"}, {"z", "1"}});
    CHECK(kindOf({base, x}) == CreditKind::Ladder);
    CHECK(kindOf({base, x, xy, xyz}) == CreditKind::Ladder);
    CHECK(kindOf({base, xyz, xy, x}) == CreditKind::Ladder); // whatever their order
    CHECK(kindOf({base, x, y, xy}) == CreditKind::Lattice);
    CHECK(kindOf({base, x, y, xyz}) == CreditKind::Partial);
    CHECK(kindOf({base, x, y}) == CreditKind::Partial);
    CHECK(whyOf({base}) == WhyNoCredit::OneBuild);
    CHECK(whyOf({base, build("B", {})}) == WhyNoCredit::NothingNoted);
    CHECK(whyOf({base, x, build("C", {{"x", "1"}})}) == WhyNoCredit::SameTwice);
    CHECK(whyOf({base, x, build("C", {{"x", "2"}, {"y", "1"}})}) == WhyNoCredit::Alternatives);
    const auto timing = [](const std::string& id, const std::string& text) {
        return build(id, {}, {{"timing", text}});
    };
    CHECK(kindOf({timing("A", "24\u00b0"), timing("B", "26\u00b0"), timing("C", "28\u00b0")}) == CreditKind::Sweep);
    CHECK(kindOf({timing("A", "24"), timing("B", "26")}) == CreditKind::Ladder); // two steps are a change
    CHECK(whyOf({timing("A", "std"), timing("B", "early"), timing("C", "late")}) == WhyNoCredit::Alternatives);
    CHECK(whyOf({timing("A", "24"), timing("B", "26"), timing("C", "24.0")}) == WhyNoCredit::Alternatives);
    std::vector<Build> many{base};
    for (char part = 'a'; part < 'h'; ++part)
        many.push_back(build(std::string(1, part), {{std::string(1, part), "new"}}));
    CHECK(whyOf(many) == WhyNoCredit::TooMany);
}

TEST_CASE("the numbers of a setting's text are read, with what stands behind each") {
    using Numbers = std::vector<NumberInText>;
    CHECK(numbersIn("28\u00b0") == Numbers{{28.0, "\u00b0"}});
    CHECK(numbersIn("160 mm") == Numbers{{160.0, " mm"}});
    CHECK(numbersIn("-1.5 deg") == Numbers{{-1.5, " deg"}});
    CHECK(numbersIn("+2") == Numbers{{2.0, ""}});
    CHECK(numbersIn("1,5 bar") == Numbers{{1.5, " bar"}});
    CHECK(numbersIn("0.75") == Numbers{{0.75, ""}});
    CHECK(numbersIn("95/40 jets") == Numbers{{95.0, "/"}, {40.0, " jets"}});
    CHECK(numbersIn("10-12") == Numbers{{10.0, "-"}, {12.0, ""}}); // a dash between two is no sign
    CHECK(numbersIn("10 -12") == Numbers{{10.0, " "}, {-12.0, ""}});
    CHECK(numbersIn("28\u00b0 at 3000 rpm") == Numbers{{28.0, "\u00b0 at "}, {3000.0, " rpm"}});
    for (const char* const none : {"1,500 rpm", "12/1,500", "std", ""}) // a comma may be either
        CHECK(numbersIn(none).empty());
}

TEST_CASE("of a setting with two numbers the one that was changed counts; of two that were, the one that is said") {
    const auto jets = [](const std::string& id, const std::string& text) {
        return build(id, {}, {{"main_jets", text}});
    };
    const PartSets one = partSetsOf(
        {jets("A", "95/40 jets"), jets("B", "92/40 jets"), jets("C", "90/40 jets"), jets("D", "90/40 jets")});
    REQUIRE(one.sweep);
    CHECK(one.sweep->name == "main jets");
    CHECK(one.sweep->ofBuild == std::vector<double>{95.0, 92.0, 90.0, 90.0});
    CHECK(one.sweep->unit == " jets");
    REQUIRE(one.numbers);
    CHECK(one.numbers->taken == size_t{0});

    const std::vector<Build> both{jets("A", "20\u00b0 at 3000 rpm"), jets("B", "22\u00b0 at 3500 rpm"),
                                  jets("C", "24\u00b0 at 4000 rpm")};
    const PartSets open = partSetsOf(both);
    CHECK_FALSE(open.sweep);
    CHECK(open.why == WhyNoCredit::WhichNumber);
    REQUIRE(open.numbers);
    CHECK(open.numbers->changing == std::vector<size_t>{0, 1});
    CHECK_FALSE(open.numbers->taken);
    CreditNotes notes;
    notes.numberOf["main_jets"] = 1;
    const PartSets first = partSetsOf(both, notes);
    REQUIRE(first.sweep);
    CHECK(first.sweep->unit == "\u00b0");
    CHECK(first.sweep->ofBuild == std::vector<double>{20.0, 22.0, 24.0});
    notes.numberOf["main_jets"] = 2;
    CHECK(partSetsOf(both, notes).sweep->ofBuild == std::vector<double>{3000.0, 3500.0, 4000.0});
    CHECK(partSetsOf(both, notes).sweep->unit == " rpm");
    for (const size_t no : {size_t{0}, size_t{3}}) {
        notes.numberOf["main_jets"] = no;
        CHECK(partSetsOf(both, notes).why == WhyNoCredit::WhichNumber);
    }
    // Neither number tells all steps apart, or a text holds fewer: shapes, not steps.
    CHECK(whyOf({jets("A", "95/40"), jets("B", "95/42"), jets("C", "92/42")}) == WhyNoCredit::Alternatives);
    CHECK(whyOf({jets("A", "95/40"), jets("B", "92"), jets("C", "90/40")}) == WhyNoCredit::Alternatives);
    CHECK(whyOf({jets("A", "95/40"), jets("B", "92/38")}) == WhyNoCredit::None); // a change
}

TEST_CASE("shares of a complete lattice are the mean step over all orders, and add up") {
    rc::prop("shapley", [] {
        const auto parts = *rc::gen::inRange<size_t>(1, 5);
        const std::vector<PartSet> sets = everySet(parts);
        std::vector<double> worth;
        for (size_t i = 0; i < sets.size(); ++i)
            worth.push_back(*rc::gen::inRange(-1000, 1000) / 1000.0);
        const Eigen::Map<const Eigen::VectorXd> z(worth.data(), static_cast<Eigen::Index>(worth.size()));
        double sum = 0.0;
        for (size_t part = 0; part < parts; ++part) {
            const auto share = shareWeights(sets, parts, part);
            RC_ASSERT(share.has_value());
            RC_ASSERT(share->boundFactor == 0.0);
            RC_ASSERT(std::abs(share->ofBuild.dot(z) - shapley(worth, parts, part)) < 1e-9);
            RC_ASSERT(std::abs(share->ofBuild.sum()) < 1e-12);
            sum += share->ofBuild.dot(z);
        }
        RC_ASSERT(std::abs(sum - (worth.back() - worth.front())) < 1e-9);
    });
}

TEST_CASE("with two parts the share is the main effect, and the interaction what the sum lacks") {
    const std::vector<PartSet> sets{0, 1, 2, 3};
    CHECK(shareWeights(sets, 2, 0)->ofBuild.isApprox(Eigen::Vector4d(-0.5, 0.5, -0.5, 0.5), 1e-9));
    CHECK(*interactionWeights(sets, 2, 3U) == Eigen::Vector4d(1.0, -1.0, -1.0, 1.0));
    CHECK(*beyondSumWeights(sets, 2) == Eigen::Vector4d(1.0, -1.0, -1.0, 1.0));
    CHECK(*interactionWeights(sets, 2, 1U) == Eigen::Vector4d(-0.5, 0.5, -0.5, 0.5)); // one part: the main effect
    CHECK(*stepWeights(sets, 1U, 3U) == Eigen::Vector4d(0.0, -1.0, 0.0, 1.0));
    CHECK_FALSE(stepWeights({0, 1}, 1U, 3U));
}

TEST_CASE("with three parts the share is the main effect and a twelfth of the interaction of all three") {
    const std::vector<PartSet> sets = everySet(3);
    for (size_t part = 0; part < 3; ++part)
        CHECK(shareWeights(sets, 3, part)
                  ->ofBuild.isApprox(*interactionWeights(sets, 3, 1U << part) + *interactionWeights(sets, 3, 7U) / 12.0,
                                     1e-9));
}

TEST_CASE("holes: bounded shares as an independent program has them") {
    struct Case {
        std::vector<PartSet> sets;
        std::vector<std::vector<double>> weights;
        std::vector<double> bound;
        long orders;
    };
    const double third = 1.0 / 3.0;
    const std::vector<Case> cases{
        {{0, 1, 3, 7}, {{-1, 1, 0, 0}, {0, -1, 1, 0}, {0, 0, -1, 1}}, {4 * third, 4 * third, 5 * third}, 1},
        {{0, 1, 2, 4, 7},
         {{-third, 2 * third, -third, -third, third},
          {-third, -third, 2 * third, -third, third},
          {-third, -third, -third, 2 * third, third}},
         {2 * third, 2 * third, 2 * third},
         0},
        {{0, 1, 2, 3, 7},
         {{-0.5, 0.5, -0.5, 0.5, 0}, {-0.5, -0.5, 0.5, 0.5, 0}, {0, 0, 0, -1, 1}},
         {2.5 * third, 2.5 * third, 5 * third},
         2}};
    for (const Case& one : cases) {
        CHECK(ordersRun(one.sets, 3) == one.orders);
        for (size_t part = 0; part < 3; ++part) {
            const auto share = shareWeights(one.sets, 3, part);
            REQUIRE(share);
            CHECK(share->boundFactor == Approx(one.bound[part]).margin(1e-6));
            for (size_t b = 0; b < one.sets.size(); ++b)
                CHECK(share->ofBuild(static_cast<Eigen::Index>(b)) == Approx(one.weights[part][b]).margin(1e-6));
        }
    }
    CHECK(ordersRun(everySet(3), 3) == 6);
}

TEST_CASE("what was never run alone or apart has no share, no interaction, no sum") {
    CHECK_FALSE(shareWeights({0, 3}, 2, 0));
    CHECK_FALSE(shareWeights({1, 3}, 2, 1)); // no base
    CHECK_FALSE(interactionWeights({0, 1, 3}, 2, 3U));
    CHECK_FALSE(beyondSumWeights({0, 1, 3}, 2));
    CHECK(beyondSumWeights({0, 1, 2, 4, 7}, 3)); // singles and the full build are enough
    // No part alone, yet each pair: told apart all the same.
    const auto share = shareWeights({0, 3, 5, 6}, 3, 0);
    REQUIRE(share);
    CHECK(share->ofBuild.isApprox(Eigen::Vector4d(-0.5, 0.5, 0.5, -0.5), 1e-6));
}

TEST_CASE("the sentence says of parts only what drift cannot explain") {
    Credit credit;
    credit.sets = partSetsOf({build("A", {}), build("B", {{"pipe", "big"}}), build("C", {{"map", "new"}}),
                              build("D", {{"pipe", "big"}, {"map", "new"}})});
    const CreditAmount two{0.02, 0.01, 0.03, 0.01, 100000.0, true, true};
    CreditAmount open = two;
    open.protectedFromDrift = open.mayClaim = false;
    credit.total = CreditAmount{0.04, 0.03, 0.05, 0.001, 100000.0, true, true};
    credit.shares.resize(2);
    credit.shares[1].part = 1;
    credit.shares[0].amount = credit.shares[1].amount = two;
    const auto said = [&] { return test::inEnglish(creditSummary(credit)); };
    CHECK(said() == "Pipe and map together: +4.0 \u00B1 1.0 kW. By fair share: pipe +2.0 \u00B1 1.0 kW and map +2.0 "
                    "\u00B1 1.0 kW.");
    // Proven along rpm where the mean does not tell: the widest stretch of each kind.
    CreditInteraction between{3U, {0.002, -0.005, 0.009, 0.3, 100000.0}, {}, {}};
    between.regions = {{{3000, 3100}, RegionKind::Gain, {}, {}},
                       {{3150, 4000}, RegionKind::Unresolved, {}, {}},
                       {{4050, 4600}, RegionKind::Gain, {}, {}},
                       {{6000, 6200}, RegionKind::Loss, {}, {}}};
    credit.interactions = {between};
    const std::string along = said();
    INFO(along);
    CHECK(along.find("pipe and map give more together than each by itself.") != std::string::npos);
    CHECK(along.find("pipe and map give less together than each by itself.") != std::string::npos);
    CHECK(along.find("600") != std::string::npos);
    CHECK(along.find("100 rpm") == std::string::npos);
    credit.interactions[0].amount.low = 0.001; // the mean says it itself
    CHECK(said().find("each by itself") == std::string::npos);
    credit.interactions.clear();
    credit.shares[1].amount = open;
    credit.protectedFromDrift = false;
    CHECK(said() == "Pipe and map together: +4.0 \u00B1 1.0 kW.");
    credit.total->mayClaim = false;
    CHECK(said().find("drift may explain all of it") != std::string::npos);
    credit.shares[1].amount = two; // the total is open, the shares are not
    CHECK(said() == "By fair share: pipe +2.0 \u00B1 1.0 kW and map +2.0 \u00B1 1.0 kW.");
    credit.shares[0].boundFactor = 0.5;
    CHECK(said().find("if parts that never ran together do not act on each other") != std::string::npos);
}

TEST_CASE("what somebody says counts with another part, or not at all, decides the parts") {
    const std::vector<Build> builds{build("A", {{"pipe", "std"}, {"jets", "110"}, {"oil", "old"}}),
                                    build("B", {{"pipe", "big"}, {"jets", "115"}, {"oil", "old"}}),
                                    build("C", {{"pipe", "std"}, {"jets", "120"}, {"oil", "new"}, {"head", "2"}}),
                                    build("D", {{"pipe", "big"}, {"jets", "125"}, {"oil", "new"}, {"head", "2"}})};
    CHECK(partSetsOf(builds).why == WhyNoCredit::Alternatives); // four jets
    CHECK(partSetsOf(builds).differing == std::vector<std::string>{"pipe", "jets", "oil", "head"});
    CreditNotes notes;
    notes.countsWith = {{"jets", "pipe"}, {"oil", ""}};
    const PartSets found = partSetsOf(builds, notes);
    CHECK(found.kind == CreditKind::Lattice);
    REQUIRE(found.parts.size() == 2);
    CHECK(found.parts[0].name == "pipe + jets");
    CHECK(found.parts[0].changes == std::vector<Change>{{"pipe", "std", "big"}});
    CHECK(found.parts[0].countedWith.size() == 3); // as it was in each build
    CHECK(found.parts[1].name == "head");
    CHECK(found.ofBuild == std::vector<PartSet>{0, 1, 2, 3});
    CHECK(found.differing.size() == 4);
}

TEST_CASE("notes that go in a circle, or name what is not there, say nothing") {
    const std::vector<Build> builds{build("A", {{"pipe", "1"}, {"jets", "1"}}),
                                    build("B", {{"pipe", "2"}, {"jets", "1"}}),
                                    build("C", {{"pipe", "2"}, {"jets", "2"}})};
    for (const std::map<std::string, std::string>& countsWith :
         {std::map<std::string, std::string>{{"jets", "pipe"}, {"pipe", "jets"}},
          std::map<std::string, std::string>{{"jets", "jets"}},
          std::map<std::string, std::string>{{"jets", "3"}, {"oil", ""}}}) {
        CreditNotes notes;
        notes.countsWith = countsWith;
        CHECK(partSetsOf(builds, notes).kind == CreditKind::Ladder);
        CHECK(partSetsOf(builds, notes).parts.size() == 2);
    }
}

TEST_CASE("what is left after the uncounted may be a sweep, or nothing") {
    std::vector<Build> builds;
    for (const char* const degrees : {"24", "26", "28"})
        builds.push_back(build(std::string(1, static_cast<char>('A' + builds.size())),
                               {{"plug", "p" + std::to_string(builds.size())}}, {{"timing", degrees}}));
    CreditNotes notes;
    notes.countsWith = {{"plug", ""}};
    const PartSets found = partSetsOf(builds, notes);
    CHECK(found.kind == CreditKind::Sweep);
    REQUIRE(found.sweep);
    CHECK(found.sweep->name == "timing");
    CHECK(found.sweep->unit.empty());
    CHECK(found.sweep->ofBuild == std::vector<double>{24.0, 26.0, 28.0});
    notes.countsWith["timing"] = "";
    CHECK(partSetsOf(builds, notes).why == WhyNoCredit::NothingNoted);
}

TEST_CASE("the unit of a sweep is what every build writes after its number") {
    const auto unitOf = [](const char* a, const char* b, const char* c) {
        return partSetsOf({build("A", {{"runner", a}}), build("B", {{"runner", b}}), build("C", {{"runner", c}})})
            .sweep->unit;
    };
    CHECK(unitOf("160 mm", "200 mm", "240 mm") == " mm");
    CHECK(unitOf("24\u00b0", "26\u00b0", "28\u00b0") == "\u00b0");
    CHECK(unitOf("160 mm", "200", "240 mm").empty());
}

TEST_CASE("the set to be run next is all together, then each alone, then the smallest") {
    CHECK(tellingNext({0, 1, 2}, 2) == PartSet{3});
    CHECK(tellingNext({0, 1, 7}, 3) == PartSet{2});
    CHECK(tellingNext({0, 1, 2, 4, 7}, 3) == PartSet{3});
    CHECK_FALSE(tellingNext(everySet(3), 3));
}

TEST_CASE("advice: the hole to be closed, the base again, what was never run apart") {
    Credit credit;
    credit.builds = {build("A", {})};
    credit.sets = partSetsOf({build("A", {}), build("B", {{"pipe", "1"}}), build("C", {{"box", "1"}, {"jets", "1"}})});
    CHECK(test::inEnglish(creditAdvice(credit)) ==
          "box and jets were never run apart: they count as one part. Not run yet: pipe and box + jets. It would tell "
          "most next; then the base again.");
    credit.sets = partSetsOf({build("A", {}), build("B", {{"pipe", "1"}})});
    CHECK(creditAdvice(credit).empty());
    credit.protectedFromDrift = false;
    CHECK(test::inEnglish(creditAdvice(credit)) == "Run A again at the end, so that drift can be told from the parts.");
}

TEST_CASE("what was expected is held against what was found") {
    using V = ExpectedVerdict;
    // t(10, 0.975) = 2.228, t(10, 0.95) = 1.812 (Student's table)
    CHECK(verdictOn({2.0, 2.0}, 4.3, 1.0, 10) == V::More); // 2.3 apart
    CHECK(verdictOn({2.0, 2.0}, 4.2, 1.0, 10) == V::Open); // 2.2 apart
    CHECK(verdictOn({2.0, 2.0}, -0.3, 1.0, 10) == V::Less);
    CHECK(verdictOn({2.0, 2.0}, 2.0, 1.0, 10) == V::Open);       // one number is never hit
    CHECK(verdictOn({0.0, 4.0}, 2.0, 1.0, 10) == V::AsExpected); // 2 +- 1.81
    CHECK(verdictOn({0.3, 3.7}, 2.0, 1.0, 10) == V::Open);
    CHECK(verdictOn({0.0, 4.0}, 2.0, 0.0, 10) == V::Open);
    // sd of the expectation 1, of the estimate 1: 10 * 2^2 = 40 degrees of freedom, t = 2.021, limit 2.858
    CHECK(verdictOn({2.0 - 1.959964, 2.0 + 1.959964}, 4.87, 1.0, 10) == V::More);
    CHECK(verdictOn({2.0 - 1.959964, 2.0 + 1.959964}, 4.84, 1.0, 10) == V::Open);
}

TEST_CASE("a displacement is read from what a build notes, in cubic centimetres or litres") {
    const auto litres = [](const char* value) { return litresOf(build("A", {{"displacement", value}})); };
    CHECK(litres("1 050 cc").value() == Approx(1.05));
    CHECK(litres("1,05 l").value() == Approx(1.05));
    CHECK(litres("998 cm3").value() == Approx(0.998));
    CHECK(litres("0.998").value() == Approx(0.998));
    CHECK_FALSE(litres("big"));
    CHECK_FALSE(litres("900/1000"));
    CHECK_FALSE(litresOf(build("A", {{"pipe", "998 cc"}})));
    CHECK(litresOf(build("A", {}, {{"displacement", "650 cc"}})).value() == Approx(0.65));
}

TEST_CASE("builds of different displacement say what a litre gives beside their power") {
    DayAnalysis analysis;
    analysis.builds.resize(2);
    analysis.builds[0].id = "A";
    analysis.builds[0].peakPower_w.value = 71.9e3;
    analysis.builds[1].id = "B";
    analysis.builds[1].peakPower_w.value = 75e3;
    const Build a = build("A", {{"displacement", "1000 cc"}});
    CHECK(test::inEnglish(specificPhrase(analysis, a, build("B", {{"displacement", "1080 cc"}}))) ==
          "Peak power a litre: 71.9 kW with A, 69.4 kW with B"); // 75 / 1.08
    CHECK(specificPhrase(analysis, a, build("B", {{"displacement", "1.0 l"}})).empty());
    CHECK(specificPhrase(analysis, a, build("B", {})).empty());
}

TEST_CASE("a part's price is that of its interval, never of its estimate") {
    Credit credit;
    credit.degreesOfFreedom = 10;
    std::vector<Build> builds{build("A", {}), build("B", {{"pipe", "1"}})};
    builds[0].cost = 100.0;
    builds[1].cost = 1000.0;
    builds[1].currency = "EUR";
    builds[0].mass_kg = 5.0;
    builds[1].mass_kg = 3.5;
    credit.builds = builds;
    credit.sets = partSetsOf(builds);
    CreditAmount gain;
    gain.log = 0.03;
    gain.low = 0.01;
    gain.high = 0.05;
    gain.scale_w = 60000.0;
    gain.standardError = 0.009;
    credit.steps = {{0, 1, 0, gain}};
    PartFacts facts = factsOf(credit, {}, 0, gain);
    CHECK(facts.cost == 900.0);
    CHECK(facts.mass_kg == -1.5);
    CHECK(facts.leastPerWatt.value() == Approx(900.0 / 3000.0));
    CHECK(facts.mostPerWatt.value() == Approx(900.0 / 600.0));
    CHECK(currencyOf(builds) == "EUR");
    CreditNotes notes;
    notes.parts["pipe"].cost = 600.0;
    notes.parts["pipe"].expected_w = {3500.0, 4000.0};
    gain.low = -0.01;
    facts = factsOf(credit, notes, 0, gain);
    CHECK(facts.cost == 600.0);
    CHECK(facts.leastPerWatt.value() == Approx(600.0 / 3000.0));
    CHECK_FALSE(facts.mostPerWatt);                // perhaps nothing
    CHECK(facts.verdict == ExpectedVerdict::Less); // 1.8 against 3.75 +- .25, se .54
    gain.high = -0.001;
    CHECK_FALSE(factsOf(credit, notes, 0, gain).leastPerWatt);
    gain.high = 0.05;
    gain.mayClaim = false;
    facts = factsOf(credit, notes, 0, gain);
    CHECK_FALSE(facts.leastPerWatt);
    CHECK(facts.verdict == ExpectedVerdict::Open);
}

namespace {

/// Two parts in every combination and the base again, three pulls a set, 0.2 % of scatter: gains of the builds A to D
/// in per cent. `column` says which column of the fit each of them is.
FitInput latticeDay(const std::array<double, 4>& gain_pct, const std::array<int, 4>& column = {0, 1, 2, 3}) {
    FitInput out;
    out.builds = 4;
    out.rpm = {3000.0, 4000.0, 5000.0};
    out.logPower.resize(15, 3);
    for (int i = 0; i < 15; ++i) {
        const auto fitted = static_cast<size_t>(i / 3 % 4);
        out.pulls.push_back({column[fitted], 0.2 * i, i / 3});
        out.logPower.row(i).setConstant(11.0 + (gain_pct[fitted] + 0.2 * (i % 3 - 1)) / 100.0);
    }
    return out;
}

const std::vector<Build>& latticeBuilds() {
    static const std::vector<Build> builds{build("A", {}), build("B", {{"pipe", "big"}}), build("C", {{"map", "new"}}),
                                           build("D", {{"pipe", "big"}, {"map", "new"}})};
    return builds;
}

Credit creditOfDay(const FitInput& input, const std::vector<Build>& builds, const CreditSettings& settings = {}) {
    DrawCache cache;
    auto credit = creditOf(fitDay(input), builds, {{3000.0, 5000.0}, {}}, settings, cache);
    REQUIRE(credit);
    return std::move(*credit);
}

Credit pricedLattice(double pipe_pct, double pipeCost, double map_pct, double mapCost) {
    CreditSettings settings;
    settings.notes.parts["pipe"].cost = pipeCost;
    settings.notes.parts["map"].cost = mapCost;
    return creditOfDay(latticeDay({0.0, pipe_pct, map_pct, pipe_pct + map_pct}), latticeBuilds(), settings);
}

} // namespace

TEST_CASE("a part gives more for its money only where the difference of gain over cost is proven") {
    const Credit credit = pricedLattice(4.0, 200.0, 1.0, 1000.0);
    REQUIRE(credit.betterValue.size() == 1);
    CHECK(credit.sets.parts[credit.betterValue[0].more].name == "pipe");
    CHECK(test::inEnglish(creditAdvice(credit)) == "For its money pipe gives more than map.");
    CHECK(pricedLattice(4.0, 2e4, 1.0, 1e5).betterValue.size() == 1); // whatever the money is counted in
    const Credit other = pricedLattice(1.0, 1000.0, 4.0, 200.0);
    REQUIRE(other.betterValue.size() == 1);
    CHECK(other.sets.parts[other.betterValue[0].more].name == "map");
    CHECK(pricedLattice(4.0, 400.0, 1.0, 100.0).betterValue.empty()); // as much for the money
    CHECK(pricedLattice(4.0, 0.0, 1.0, 100.0).betterValue.empty());   // what costs nothing has no price
}

TEST_CASE("a factor on all powers and another order of the builds change no share; shares and steps add up") {
    boost::random::mt19937 random(11);
    const boost::random::uniform_real_distribution<double> spread(-5.0, 5.0);
    const auto percent = [&] { return spread(random); };
    for (int round = 0; round < 12; ++round) {
        const std::array<double, 4> gains{0.0, percent(), percent(), percent()};
        const Credit credit = creditOfDay(latticeDay(gains), latticeBuilds());
        REQUIRE(credit.shares.size() == 2U);
        CHECK(std::abs(credit.shares[0].amount.log + credit.shares[1].amount.log - credit.total->log) < 1e-12);
        FitInput louder = latticeDay(gains);
        louder.logPower.array() += 0.4 * percent();
        const Credit scaled = creditOfDay(louder, latticeBuilds());
        // D second in the file, then C, then B
        const std::vector<Build>& builds = latticeBuilds();
        const Credit turned =
            creditOfDay(latticeDay(gains, {0, 3, 2, 1}), {builds[0], builds[3], builds[2], builds[1]});
        for (const CreditShare& share : credit.shares)
            for (const Credit* other : {&scaled, &turned})
                for (const CreditShare& same : other->shares)
                    if (other->sets.parts[same.part].name == credit.sets.parts[share.part].name) {
                        CHECK(std::abs(same.amount.log - share.amount.log) < 1e-9);
                        CHECK(std::abs((same.amount.high - same.amount.low) / (share.amount.high - share.amount.low) -
                                       1.0) < 0.01); // the critical values are drawn
                    }
    }
}

TEST_CASE("the steps of a ladder add up to the whole") {
    boost::random::mt19937 random(11);
    const boost::random::uniform_real_distribution<double> spread(-5.0, 5.0);
    const auto percent = [&] { return spread(random); };
    for (int round = 0; round < 12; ++round) {
        const std::array<double, 4> gains{0.0, percent(), percent(), percent()};
        const std::vector<Build> ladder{build("A", {}), build("B", {{"pipe", "big"}}),
                                        build("C", {{"pipe", "big"}, {"map", "new"}}),
                                        build("D", {{"pipe", "big"}, {"map", "new"}, {"cam", "long"}})};
        const Credit credit = creditOfDay(latticeDay(gains), ladder);
        CHECK(credit.sets.kind == CreditKind::Ladder);
        CHECK(credit.steps.size() == 3U);
        double sum = 0.0;
        for (const CreditStep& step : credit.steps)
            sum += step.amount.log;
        CHECK(std::abs(sum - credit.total->log) < 1e-12);
    }
}
