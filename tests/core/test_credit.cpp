// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Which parts a day's builds tell apart, and what weights of the builds give each its credit.

#include "core/compare/day_credit.h"
#include "english.h"

#include <algorithm>
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
    const auto whyOf = [](const std::vector<Build>& builds) { return partSetsOf(builds).why; };
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

TEST_CASE("a number is read out of a setting's text, two are none") {
    CHECK(numberIn("28\u00b0") == 28.0);
    CHECK(numberIn("160 mm") == 160.0);
    CHECK(numberIn("-1.5 deg") == -1.5);
    CHECK(numberIn("+2") == 2.0);
    CHECK(numberIn("1,5 bar") == 1.5);
    CHECK(numberIn("0.75") == 0.75);
    CHECK_FALSE(numberIn("1,500 rpm")); // either
    CHECK_FALSE(numberIn("95/40"));
    CHECK_FALSE(numberIn("10-12"));
    CHECK_FALSE(numberIn("std"));
    CHECK_FALSE(numberIn(""));
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
    CHECK(said() == "pipe and map together: +4.0 \u00B1 1.0 kW. By fair share: pipe +2.0 \u00B1 1.0 kW and map +2.0 "
                    "\u00B1 1.0 kW.");
    credit.shares[1].amount = open;
    credit.protectedFromDrift = false;
    CHECK(said() == "pipe and map together: +4.0 \u00B1 1.0 kW.");
    credit.total->mayClaim = false;
    CHECK(said().find("drift may explain all of it") != std::string::npos);
    credit.shares[1].amount = two; // the total is open, the shares are not
    CHECK(said() == "By fair share: pipe +2.0 \u00B1 1.0 kW and map +2.0 \u00B1 1.0 kW.");
    credit.shares[0].boundFactor = 0.5;
    CHECK(said().find("if parts that never ran together do not act on each other") != std::string::npos);
}
