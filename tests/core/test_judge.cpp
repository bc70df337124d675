// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/judge.h"
#include "core/compare/sentence.h"
#include "english.h"

#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

/// Numbers as people type them: no-break spaces and signs made plain.
std::string plain(std::string text) {
    for (const auto& [from, to] : {std::pair{"\xC2\xA0", " "}, std::pair{"\xC2\xB1", "+-"},
                                   std::pair{"\xE2\x88\x92", "-"}, std::pair{"\xE2\x80\x93", "-"}})
        for (size_t at; (at = text.find(from)) != std::string::npos;)
            text.replace(at, std::string(from).size(), to);
    return text;
}

Comparison base() {
    Comparison c;
    c.from = "A";
    c.to = "B";
    c.hasInterval = true;
    BandResult whole;
    whole.range_rpm = {2500, 8000};
    whole.base_w = 50000;
    whole.delta_w = 400;
    whole.low_w = -500;
    whole.high_w = 1300;
    whole.low90_w = -300;
    whole.high90_w = 1100;
    c.bands = {whole};
    return c;
}

Region region(double low, double high, RegionKind kind, double mean, double half) {
    return {{low, high}, kind, {mean, half, mean * 1.2, half}, {}};
}

std::string sentence(Comparison c, Quantity quantity = Quantity::Power) {
    c.verdict = judge(c);
    return plain(inEnglish(summary(c, {}, quantity)));
}

} // namespace

TEST_CASE("numbers are rounded by their own uncertainty") {
    const struct {
        double value, half;
        const char* text;
    } rows[] = {{1.6234, 0.47, "+1.6 +- 0.5 kW"},     {1.6234, 0.147, "+1.62 +- 0.15 kW"},
                {-0.84, 0.3, "-0.8 +- 0.3 kW"},       {-205.3, 186.0, "-205 +- 186 kW"},
                {0.02, 0.3, "0.0 +- 0.3 kW"},         {12.34, std::nan(""), "+12.3 kW"},
                {71.957, 0.0995, "+71.96 +- 0.10 kW"}};
    for (const auto& row : rows)
        CHECK(plain(Voice().interval(row.value, row.half, "kW", true)) == row.text);
    CHECK(plain(Voice().interval(std::nan(""), 0.1, "kW", false)) == "- kW");
    CHECK(plain(rpmText(4500)) == "4 500");
    CHECK(plain(rpmText(950)) == "950");
}

TEST_CASE("the sentence says where it gives and where it costs") {
    Comparison c = base();
    c.regions = {region(2500, 3800, RegionKind::Loss, -600, 200), region(3850, 4450, RegionKind::Unresolved, 0, 0),
                 region(4500, 7500, RegionKind::Gain, 1600, 480), region(7550, 8000, RegionKind::Unresolved, 0, 0)};
    CHECK(sentence(c) ==
          "B gives 1.6 +- 0.5 kW at the crank over 4 500-7 500 rpm and costs up to 0.7 +- 0.2 kW below 3 800 rpm.");
    c.regions.erase(c.regions.begin());
    CHECK(sentence(c) == "B gives 1.6 +- 0.5 kW at the crank over 4 500-7 500 rpm.");
    c.regions = {region(2500, 8000, RegionKind::Loss, -900, 300)};
    CHECK(sentence(c) == "B costs 0.9 +- 0.3 kW at the crank over the whole range, 2 500-8 000 rpm.");
}

TEST_CASE("when torque is shown, the sentence speaks of torque") {
    Comparison c = base();
    c.bands[0].deltaTorque_nm = 1.2;
    c.bands[0].lowTorque_nm = 0.4;
    c.bands[0].highTorque_nm = 2.0;
    CHECK(sentence(c, Quantity::Torque) ==
          "Cannot tell yet: B against A is +1.2 +- 0.8 N\u00B7m at the crank on average over 2 500-8 000 rpm.");
    c.regions = {region(2500, 3800, RegionKind::Loss, -600, 200), region(4500, 7500, RegionKind::Gain, 1600, 480)};
    c.regions[0].torque_nm = {-1.8, 0.6, -2.4, 0.7};
    c.regions[1].torque_nm = {2.6, 0.8, 3.0, 0.8};
    c.regions.push_back(region(7550, 8000, RegionKind::Unresolved, 0, 0));
    CHECK(sentence(c, Quantity::Torque) ==
          "B gives 2.6 +- 0.8 N\u00B7m at the crank over 4 500-7 500 rpm and costs up to "
          "2.4 +- 0.7 N\u00B7m below 3 800 rpm.");
    // Printed as "0.3 +- 0.3" in torque alone: then the mean torque speaks, which claims by its own interval.
    c.regions = {region(3000, 4000, RegionKind::Gain, 1600, 480)};
    c.regions[0].torque_nm = {0.30, 0.28, 0.35, 0.3};
    CHECK(sentence(c, Quantity::Torque).starts_with("B gives 1.2 +- 0.8 N\u00B7m at the crank on average"));
    c.bands[0].lowTorque_nm = -0.4;
    c.bands[0].highTorque_nm = 2.8;
    CHECK(sentence(c, Quantity::Torque).starts_with("B against A is +1.2 +- 1.6 N\u00B7m"));
}

TEST_CASE("what is judged in power is said in power, also when torque is shown") {
    Comparison c = base();
    c.matters_w = 1500;
    CHECK(sentence(c, Quantity::Torque) == sentence(c));
    CHECK(sentence(c).find("B against A is +0.4 +- 0.9 kW") != std::string::npos);
    c = base();
    c.bands[0].low_w = 100;
    c.judgedBy = JudgedBy::Itself;
    CHECK(sentence(c, Quantity::Torque) == sentence(c));
    CHECK(sentence(c).find("kW") != std::string::npos);
}

TEST_CASE("what cannot be told is said with what it would take") {
    Comparison c = base();
    CHECK(sentence(c) ==
          "Cannot tell yet: B against A is +0.4 +- 0.9 kW at the crank on average over 2 500-8 000 rpm.");
    c.protectedFromDrift = false;
    c.driftThatWouldExplain_pct = 0.83;
    CHECK(sentence(c).find("no return to base") != std::string::npos);
    CHECK(sentence(c).find("If nothing drifted, B against A is +0.4 +- 0.9 kW") != std::string::npos);
    CHECK(sentence(c).find("a drift of 0.8 % over the session would explain all of it") != std::string::npos);
    c.hasInterval = false;
    CHECK(sentence(c).find("no repeatability was measured today") != std::string::npos);
    for (const std::string& text : {sentence(c), sentence(base())})
        CHECK(text.find("significant") == std::string::npos);
}

TEST_CASE("verdicts follow regions, mean, equivalence and like for like") {
    Comparison c = base();
    CHECK(judge(c) == VerdictKind::CannotTell);
    c.matters_w = 1500;
    CHECK(judge(c) == VerdictKind::NoDifference);
    CHECK(sentence(c).find("within +-1.5e+03") == std::string::npos);
    c.protectedFromDrift = false;
    CHECK(judge(c) == VerdictKind::CannotTell);
    c = base();
    c.bands[0].low_w = 100; // the mean excludes zero, no place on the curve does
    CHECK(judge(c) == VerdictKind::CannotTell);
    c.judgedBy = JudgedBy::Itself;
    CHECK(judge(c) == VerdictKind::Gain);
    CHECK(sentence(c).find("where along the curve cannot be told yet") != std::string::npos);
    c.regions = {region(3000, 4000, RegionKind::Loss, -500, 100), region(5000, 6000, RegionKind::Gain, 500, 100)};
    CHECK(judge(c) == VerdictKind::Mixed);
    c.likeForLike = {{"gear", "", 4, 3, -1, 0, LikeVerdict::Differs, true}};
    CHECK(judge(c) == VerdictKind::NotComparable);
    CHECK(sentence(c) == "A and B cannot be compared: gear was 3 against 4.");
}

TEST_CASE("the sentence speaks the reader's units") {
    const DisplayUnits kHorses{PowerUnit::Horsepower, TorqueUnit::PoundFoot};
    Comparison c = base();
    c.regions = {region(4500, 7500, RegionKind::Gain, 1600, 480)};
    c.verdict = judge(c);
    CHECK(plain(Voice().in(kHorses).say(summary(c, kHorses))) ==
          "B gives 2.1 +- 0.6 hp at the crank over the whole range, 4 500-7 500 rpm.");
}

TEST_CASE("a narrow stretch, or one as uncertain as it is large, is no headline: the mean speaks") {
    Comparison c = base();
    c.regions = {region(7300, 7300, RegionKind::Loss, -1500, 1500)};
    CHECK(judge(c) == VerdictKind::Loss);
    CHECK(sentence(c) == "B against A is +0.4 +- 0.9 kW at the crank on average over 2 500-8 000 rpm: the mean cannot "
                         "be told from nothing; only short stretches stand out (a loss around 7 300 rpm).");
    c.regions = {region(3450, 3500, RegionKind::Gain, 600, 600), region(5000, 5050, RegionKind::Gain, 700, 300),
                 region(6000, 6050, RegionKind::Loss, -700, 300)};
    CHECK(sentence(c).find("(a gain around 3 500 rpm, a gain around 5 050 rpm and 1 more)") != std::string::npos);
    c.bands[0].delta_w = 800;
    c.bands[0].low_w = 300;
    CHECK(
        sentence(c).starts_with("B gives 0.8 +- 0.5 kW at the crank on average over 2 500-8 000 rpm; by itself only"));
    // Wide enough, but printed as "0.3 +- 0.3".
    c = base();
    c.regions = {region(3000, 4000, RegionKind::Gain, 300, 280)};
    CHECK(sentence(c).find("0.3 +- 0.3") == std::string::npos);
    c.regions = {region(3000, 3300, RegionKind::Gain, 600, 280)}; // just wide enough
    CHECK(sentence(c).starts_with("B gives 0.6 +- 0.3 kW"));
    c.regions.push_back(region(6000, 6100, RegionKind::Loss, -500, 300));
    CHECK(sentence(c) ==
          "B gives 0.6 +- 0.3 kW at the crank below 3 300 rpm. There is a small loss around 6 050 rpm too.");
}

TEST_CASE("the mean that speaks is the one over the use") {
    Comparison c = base();
    BandResult use = c.bands[0];
    use.range_rpm = {4000, 6000};
    use.asked = 0;
    use.delta_w = 900;
    use.low_w = -200;
    use.high_w = 2000;
    c.bands.push_back(use);
    c.use = Use{{4000, 6000}, {}};
    CHECK(sentence(c).find("+0.9 +- 1.1 kW at the crank on average over 4 000-6 000 rpm") != std::string::npos);
    c.use.reset();
    CHECK(sentence(c).find("over 2 500-8 000 rpm") != std::string::npos);
}

TEST_CASE("when more than one thing differs, none of them gets the gain alone") {
    Comparison c = base();
    c.regions = {region(4350, 7500, RegionKind::Gain, 1200, 900)};
    c.changed = {{"pipe", "1", "2"}};
    const auto row = [](const char* channel, const char* unit, double difference) {
        return LikeForLike{channel, unit, 1.0, 1.0 + difference, difference, 0.01, LikeVerdict::Differs, false};
    };
    c.likeForLike = {row("lambda", "1", 0.06), row("ignition_advance", "deg", 3.0)};
    const std::string gain = "B gives 1.2 +- 0.9 kW at the crank over the whole range, 4 350-7 500 rpm";
    CHECK(sentence(c) ==
          gain + ". But B ran leaner by 0.06 and with 3\xC2\xB0 more timing. The gain belongs to all three together.");
    c.likeForLike = {row("air_fuel_ratio", "1", -0.8)};
    CHECK(sentence(c) == gain + ". But B ran richer by 0.8. The gain belongs to both together.");
    c.likeForLike = {row("coolant_temperature", "C", -9.0)};
    CHECK(sentence(c).find(". But B ran with coolant temperature 9 \xC2\xB0"
                           "C lower. The gain") != std::string::npos);
    c.likeForLike.clear();
    c.changed = {{"pipe", "1", "2"}, {"main_jet", "1", "2"}};
    CHECK(sentence(c) == gain + ". But pipe and main jet were changed at once. The gain belongs to both together.");
    c.changed.resize(5, {"x", "1", "2"});
    CHECK(sentence(c).find(". But 5 things were changed at once. The gain belongs to all five together.") !=
          std::string::npos);
    c.regions = {region(4350, 7500, RegionKind::Loss, -1200, 900)};
    CHECK(sentence(c).find("The loss belongs to") != std::string::npos);
    c.regions.clear(); // nothing proven: nothing to share out
    CHECK(sentence(c).find("belongs") == std::string::npos);
}

TEST_CASE("what would settle it is said in pulls and minutes") {
    Comparison c = base();
    CHECK(inEnglish(settleStatement(c)).empty());
    c.toSettle =
        ToSettle{PullsToSettle{500.0, 6, 4, 127.0, false}, PullsToSettle{400.0, std::nullopt, 28, 600.0, true}};
    CHECK(plain(inEnglish(settleStatement(c))) ==
          "What would settle it: 6 pulls a set, about 130 min, to see 0.5 kW on four days of five; 30 pulls a set "
          "would not do to see 0.4 kW, if it is as large as it now looks, which flatters it.");
    c.toSettle->matters.reset();
    c.toSettle->seen = PullsToSettle{400.0, 9, 7, 200.0, true};
    CHECK(plain(inEnglish(settleStatement(c))) ==
          "What would settle it: 9 pulls a set, about 200 min, to see 0.4 kW on four days "
          "of five, with a return to base, if it is as large as it now looks, which "
          "flatters it.");
}

TEST_CASE("a number claims only what its interval and the drift allow") {
    Comparison c = base();
    CHECK(claimOf(c, 0.1, 0.9) == Claim::Gain);
    CHECK(claimOf(c, -0.9, -0.1) == Claim::Loss);
    CHECK(claimOf(c, 0.0, 0.9) == Claim::Unresolved);
    CHECK(claimOf(c, -0.9, 0.0) == Claim::Unresolved);
    c.protectedFromDrift = false;
    CHECK(claimOf(c, 0.1, 0.9) == Claim::Unresolved);
    c.boundDeclared = true;
    CHECK(claimOf(c, 0.1, 0.9) == Claim::Gain);
    c.hasInterval = false;
    CHECK(claimOf(c, 0.1, 0.9) == Claim::Unresolved);
}
