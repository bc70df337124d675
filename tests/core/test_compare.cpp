// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/compare/day_stages.h"
#include "core/compare/schools.h"
#include "core/compare/sentence.h"
#include "core/errors/data_error.h"
#include "core/plan/pulls_needed.h"
#include "core/units/units.h"
#include "day_support.h"
#include "english.h"
#include "support.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
using test::smallDay;

namespace {
DayAnalysis analysed(const TestDay& day, const AnalysisSettings& settings = {}) {
    DrawCache cache;
    return analyse(day, settings, cache);
}
} // namespace

TEST_CASE("a whole simulated day finds the effect that was put in") {
    const DayAnalysis a = analysed(smallDay("A3 B3 A3", 3.0));
    const Comparison* c = a.find("A", "B");
    REQUIRE(c);
    CHECK(c->verdict == VerdictKind::Gain);
    CHECK(c->protectedFromDrift);
    const BandResult& whole = c->bands.front();
    CHECK(whole.percent == Approx(3.0).margin(0.8));
    CHECK(whole.low_w < 0.03 * whole.base_w);
    CHECK(whole.high_w > 0.03 * whole.base_w);
    CHECK(c->peakPower_w.low < 0.03 * 66000.0);
    CHECK(c->peakPower_w.high > 0.03 * 60000.0);
    CHECK(c->changed == std::vector<Change>{{"collector", "450 mm", "600 mm"}});
}

TEST_CASE("the spread of one pull is the model's, around the middle of all pulls") {
    const DayAnalysis a = analysed(smallDay("A3 B3 A3", 3.0));
    const DayModel& model = *a.model;
    for (size_t p = 0; p < a.rpm.size(); p += 7) {
        const auto i = static_cast<Eigen::Index>(p);
        long double product = 1.0L; // a geometric mean, by multiplication
        int pulls = 0;
        for (Eigen::Index row = 0; row < model.input.logPower.rows(); ++row)
            if (std::isfinite(model.input.logPower(row, i))) {
                product *= std::exp(static_cast<long double>(model.input.logPower(row, i)));
                ++pulls;
            }
        REQUIRE(pulls == 9);
        const double middle_w = static_cast<double>(std::pow(product, 1.0L / pulls));
        CHECK(a.pooledSd_w[p] == Approx(middle_w * std::hypot(model.levelSd, std::sqrt(model.shapeVariance(i)))));
    }
}

TEST_CASE("bands: the whole common range, its thirds, then those asked for") {
    AnalysisSettings settings;
    settings.bands = {{4000.0, 5000.0}, {9000.0, 9500.0}, {6000.0, 8000.0}};
    const DayAnalysis a = analysed(smallDay("A2 B2 A2"), settings);
    const auto& bands = a.find("A", "B")->bands;
    REQUIRE(bands.size() == 6); // the one at 9000 rpm lies outside
    CHECK(bands[1].range_rpm.low == bands[0].range_rpm.low);
    CHECK(bands[3].range_rpm.high == Approx(bands[0].range_rpm.high));
    CHECK(bands[4].range_rpm == RpmRange{4000.0, 5000.0});
    CHECK(bands[4].asked == 0);
    CHECK(bands[5].asked == 2);
    CHECK(bands[5].range_rpm.high == bands[0].range_rpm.high); // cut to what there is
}

TEST_CASE("a band's torque difference has an interval of its own, also where the power difference is nothing") {
    sim::CellSpec spec = test::cellSpec("A3 B3 A3", 0.0);
    spec.effects["B"].torque_pct = {{3000.0, -5.0}, {4500.0, 0.0}, {6500.0, 4.0}}; // takes below, gives on top
    const DayAnalysis a = analysed(sim::simulateDay(spec, 5));
    for (const BandResult& band : a.find("A", "B")->bands) {
        const double relativePower = (band.high_w - band.low_w) / band.base_w;
        const double meanTorque_nm = band.base_w / angularSpeed(0.5 * (band.range_rpm.low + band.range_rpm.high));
        const double relativeTorque = (band.highTorque_nm - band.lowTorque_nm) / meanTorque_nm;
        CHECK(band.lowTorque_nm < band.deltaTorque_nm);
        CHECK(band.deltaTorque_nm < band.highTorque_nm);
        CHECK(relativeTorque > 0.4 * relativePower); // of the same order, never none and never absurd
        CHECK(relativeTorque < 2.5 * relativePower);
    }
}

TEST_CASE("the family: base to each and neighbour to neighbour, or only the pairs named; all others outside it") {
    const TestDay day = smallDay("A2 B2 C2 D2 A2");
    auto pairs = [](const DayAnalysis& a) {
        std::string out;
        for (const Comparison& c : a.comparisons)
            out += c.from + c.to + " ";
        return out;
    };
    AnalysisSettings settings;
    CHECK(pairs(analysed(day)) == "AB AC AD BC CD ");
    const DayAnalysis usual = analysed(day);
    REQUIRE(usual.find("B", "D"));
    CHECK(usual.find("B", "D")->judgedBy == JudgedBy::AllPairs);
    CHECK(usual.otherPairs.size() == 12 - 5); // every ordered pair has its answer
    settings.pairs = {{"D", "B"}};
    const DayAnalysis named = analysed(day, settings);
    CHECK(pairs(named) == "DB ");
    CHECK(named.comparisons.front().judgedBy == JudgedBy::Itself);
    CHECK(named.find("A", "B")->judgedBy == JudgedBy::AllPairs);
    // All pairs together need a wider band than the family, the family a wider one than a pair by itself.
    const auto width = [](const Edges& band) { return band.high[40] - band.low[40]; };
    const Comparison* inside = usual.find("A", "B");
    CHECK(width(inside->family95_w) > 1.05 * width(inside->simultaneous95_w));
    CHECK(width(named.find("A", "B")->family95_w) > 1.002 * width(inside->family95_w));
}

TEST_CASE("a stretch is sized in power and in torque, point by point") {
    const DayAnalysis a = analysed(smallDay("A3 B3 A3"));
    const Comparison* c = a.find("A", "B");
    REQUIRE((c && !c->regions.empty()));
    const Region& region = c->regions.front();
    double power = 0.0, torque = 0.0, half = 0.0, halfTorque = 0.0, most = 0.0, mostTorque = 0.0, mostHalf = 0.0;
    double points = 0.0;
    for (size_t i = 0; i < c->rpm.size(); ++i) {
        if (c->rpm[i] < region.range_rpm.low || c->rpm[i] > region.range_rpm.high)
            continue;
        const double omega = c->rpm[i] * 3.14159265358979 / 30.0;
        const double halfHere = 0.5 * (c->judgedBand().high[i] - c->judgedBand().low[i]);
        points += 1.0;
        power += c->delta_w[i];
        torque += c->delta_w[i] / omega;
        half += halfHere;
        halfTorque += halfHere / omega;
        if (std::abs(c->delta_w[i]) > std::abs(most)) {
            most = c->delta_w[i];
            mostHalf = halfHere;
        }
        if (std::abs(c->delta_w[i] / omega) > std::abs(mostTorque))
            mostTorque = c->delta_w[i] / omega;
    }
    CHECK(region.power_w.mean == Approx(power / points));
    CHECK(region.power_w.meanHalf == Approx(half / points));
    CHECK(region.power_w.extreme == Approx(most));
    CHECK(region.power_w.extremeHalf == Approx(mostHalf));
    CHECK(region.torque_nm.mean == Approx(torque / points));
    CHECK(region.torque_nm.meanHalf == Approx(halfTorque / points));
    CHECK(region.torque_nm.extreme == Approx(mostTorque));
}

TEST_CASE("a comparison turned round is the same one with the other sign") {
    const DayAnalysis a = analysed(smallDay("A3 B3 A3"));
    const Comparison* there = a.find("A", "B");
    const Comparison* back = a.find("B", "A");
    REQUIRE((there && back));
    for (size_t i = 0; i < there->rpm.size(); ++i) {
        CHECK(there->delta_w[i] == -back->delta_w[i]);
        CHECK(there->family95_w.low[i] == -back->family95_w.high[i]);
        CHECK(there->pointwise95_w.high[i] == -back->pointwise95_w.low[i]);
    }
    REQUIRE(there->bands.size() == back->bands.size());
    for (size_t i = 0; i < there->bands.size(); ++i) {
        CHECK(there->bands[i].low_w == -back->bands[i].high_w);
        CHECK(there->bands[i].lowTorque_nm == -back->bands[i].highTorque_nm);
        CHECK(there->bands[i].low90_w == -back->bands[i].high90_w);
        CHECK((1.0 + there->bands[i].percent / 100.0) * (1.0 + back->bands[i].percent / 100.0) == Approx(1.0));
        CHECK(back->bands[i].base_w == Approx(there->bands[i].base_w + there->bands[i].delta_w));
    }
    CHECK(there->peakPower_w.low == -back->peakPower_w.high);
    CHECK(there->peakPowerShift_rpm.delta == -back->peakPowerShift_rpm.delta);
    CHECK(there->verdict == VerdictKind::Gain);
    CHECK(back->verdict == VerdictKind::Loss);
    CHECK(back->regions.front().kind == RegionKind::Loss);
    for (size_t i = 0; i < there->regions.size(); ++i)
        for (const Quantity quantity : {Quantity::Power, Quantity::Torque}) {
            CHECK(back->regions[i].size(quantity).mean == -there->regions[i].size(quantity).mean);
            CHECK(back->regions[i].size(quantity).extreme == -there->regions[i].size(quantity).extreme);
            CHECK(back->regions[i].size(quantity).meanHalf == there->regions[i].size(quantity).meanHalf);
        }
    CHECK(back->crossovers_rpm == there->crossovers_rpm);
}

TEST_CASE("pulls set aside, unreadable or without weather are left out with their reason") {
    TestDay day = smallDay("A3 B3 A3");
    day.pulls[0].use = false;
    day.pulls[0].reason = "not warm";
    day.pulls[1].weather.reset();
    day.pulls[3].raw.reset();
    day.pulls[3].problem = {"problem.file_empty", {}, {.file = "pulls/p04.csv"}};
    const DayAnalysis a = analysed(day);
    CHECK(inEnglish(a.pulls[0].whyLeftOut) == "not warm");
    CHECK(a.pulls[0].curve); // still drawn
    CHECK(inEnglish(a.pulls[1].whyLeftOut).find("weather") != std::string::npos);
    CHECK(inEnglish(a.pulls[3].whyLeftOut).find("empty") != std::string::npos);
    CHECK(a.findBuild("A")->pullsUsed == std::vector<std::string>{"p03", "p07", "p08", "p09"});
}

TEST_CASE("days that allow nothing say so instead of failing") {
    CHECK(inEnglish(analysed(TestDay{}).whyNoComparison) == "no pull is in use");
    const DayAnalysis single = analysed(smallDay("A3"));
    CHECK(single.comparisons.empty());
    CHECK(inEnglish(single.whyNoComparison) == "only one build has pulls in use");
    CHECK(single.builds.size() == 1);
    AnalysisSettings unknown;
    unknown.pairs = {{"A", "Z"}};
    CHECK(test::messageOf([&] { analysed(smallDay("A2 B2"), unknown); }).find("no build \"Z\"") != std::string::npos);
    AnalysisSettings bad;
    bad.bands = {{5000.0, 4000.0}};
    CHECK(test::messageOf([&] { analysed(smallDay("A2 B2"), bad); }).find("5000:4000") != std::string::npos);
}

TEST_CASE("another gear or a far mixture makes a pair not comparable, unless the mixture is what changed") {
    sim::CellSpec spec = test::cellSpec("A3 B3 A3", 2.0);
    spec.effects["B"].lambdaShift = 0.12;
    TestDay day = sim::simulateDay(spec, 3);
    CHECK(analysed(day).find("A", "B")->verdict == VerdictKind::NotComparable);
    day.builds[1].parts.emplace_back("main jet", "145");
    CHECK(analysed(day).find("A", "B")->verdict != VerdictKind::NotComparable);
    TestDay gears = smallDay("A3 B3 A3");
    for (Pull& pull : gears.pulls)
        pull.gear = pull.build == "A" ? 4 : 3;
    CHECK(analysed(gears).find("A", "B")->verdict == VerdictKind::NotComparable);
}

TEST_CASE("no difference is only said with a difference that matters") {
    const TestDay day = smallDay("A6 B6 A6", 0.0, 8);
    CHECK(analysed(day).find("A", "B")->verdict == VerdictKind::CannotTell);
    AnalysisSettings settings;
    settings.matters_pct = 2.0;
    CHECK(analysed(day, settings).find("A", "B")->verdict == VerdictKind::NoDifference);
    settings.matters_pct = 0.05;
    CHECK(analysed(day, settings).find("A", "B")->verdict == VerdictKind::CannotTell);
}

TEST_CASE("the schools pick the pull they say") {
    const DayAnalysis a = analysed(smallDay("A3 B3 A3"));
    std::vector<std::pair<double, std::string>> byMean;
    for (const PullResult& pull : a.pulls)
        if (pull.build == "A")
            byMean.emplace_back(pull.bandMean_w, pull.id);
    std::sort(byMean.begin(), byMean.end());
    CHECK(schoolCurve(a, "A", CurveSchool::Mean).pull.empty());
    CHECK(schoolCurve(a, "A", CurveSchool::Best).pull == byMean.back().second);
    CHECK(schoolCurve(a, "A", CurveSchool::Median).pull == byMean[2].second);
    CHECK(schoolCurve(a, "A", CurveSchool::LastSettled).pull == "p09");
    CHECK(schoolCurve(a, "C", CurveSchool::Best).rpm.empty());
}

TEST_CASE("the correction standard moves all figures alike") {
    const TestDay day = smallDay("A3 B3 A3");
    AnalysisSettings settings;
    settings.reduce.standard = Standard::SaeJ607;
    const DayAnalysis older = analysed(day, settings);
    const DayAnalysis sae = analysed(day);
    const double ratio = older.findBuild("A")->peakPower_w.value / sae.findBuild("A")->peakPower_w.value;
    CHECK(ratio == Approx(1.04).margin(0.004)); // about 4 % higher, common practice
    CHECK(older.find("A", "B")->bands[0].percent == Approx(sae.find("A", "B")->bands[0].percent).margin(0.02));
}

TEST_CASE("what would settle a pair is worked out with the day's own sets") {
    TestDay day = smallDay("A3 B3 A3", 0.2, 8);
    day.plan.coolDown_min = 4.0;
    day.plan.change_min = 20.0;
    AnalysisSettings settings;
    settings.matters_pct = 0.8;
    const DayAnalysis a = analysed(day, settings);
    const Comparison* c = a.find("A", "B");
    REQUIRE(c->verdict == VerdictKind::CannotTell);
    REQUIRE((c->toSettle && c->toSettle->matters && c->toSettle->seen));
    const PullsToSettle& one = *c->toSettle->matters;
    CHECK(one.difference_w == Approx(0.008 * c->bands.front().base_w));
    REQUIRE((one.pullsPerSet && one.asMeasured));
    CHECK(*one.asMeasured <= *one.pullsPerSet); // the repeatability is known from few pulls
    CHECK_FALSE(one.returnAdded);
    const int pulls = *one.pullsPerSet;
    CHECK(one.minutes >= 3 * pulls * 4.0); // three sets and two changes at least
    const auto wanted = [&](int each) {
        std::vector<std::string> order;
        for (const char* build : {"A", "B", "A"})
            order.insert(order.end(), static_cast<size_t>(each), build);
        return chanceToSee(*plannedContrast(order, "A", "B"), 0.008,
                           {upperLimit80(a.model->levelSd, a.model->degreesOfFreedom)});
    };
    CHECK(wanted(pulls) >= 0.8);
    CHECK(wanted(pulls - 1) < 0.8);

    const DayAnalysis open = analysed(smallDay("A3 B3", 0.2, 8), settings);
    CHECK(open.find("A", "B")->toSettle->matters->returnAdded); // else drift could explain anything
    CHECK_FALSE(analysed(smallDay("A3 B3 A3", 6.0), settings).find("A", "B")->toSettle); // it is settled
    CHECK_FALSE(analysed(smallDay("A1 B1", 0.2), settings).find("A", "B")->toSettle);    // no repeatability
}

TEST_CASE("what is claimed is taken from the day, unless it is given") {
    TestDay day = smallDay("A3 B3 A3");
    day.plan.pairs = {{"A", "B"}, {"A", "Z"}};
    day.plan.matters_pct = 1.5;
    day.plan.driftBound_pct = 0.7;
    day.plan.use = RpmRange{4000.0, 6000.0};
    day.bands = {{3500.0, 4500.0}};
    const AnalysisSettings own = settingsFor(day, {});
    CHECK(own.pairs == std::vector<std::pair<std::string, std::string>>{{"A", "B"}}); // Z is no build of the day
    CHECK(own.matters_pct == 1.5);
    CHECK(own.drift.declaredBound_pct == 0.7);
    CHECK(own.use == Use{{4000.0, 6000.0}, {}});
    CHECK(own.bands == std::vector<RpmRange>{{4000.0, 6000.0}, {3500.0, 4500.0}});
    AnalysisSettings given;
    given.pairs = {{"B", "A"}};
    given.matters_w = 300.0;
    given.drift.declaredBound_pct = 2.0;
    given.bands = {{3500.0, 4500.0}, {5000.0, 5500.0}};
    const AnalysisSettings both = settingsFor(day, given);
    CHECK(both.pairs == given.pairs);
    CHECK_FALSE(both.matters_pct);
    CHECK(both.drift.declaredBound_pct == 2.0);
    CHECK(both.bands == std::vector<RpmRange>{{4000.0, 6000.0}, {3500.0, 4500.0}, {5000.0, 5500.0}});
}

TEST_CASE("what cannot be meant is refused, and what the day lacks is said") {
    const TestDay day = smallDay("A3 B3");
    const auto problemOf = [&](const AnalysisSettings& settings) -> std::optional<Problem> {
        try {
            checkSettings(day, settings);
            return std::nullopt;
        } catch (const DataError& error) {
            return error.problem();
        }
    };
    AnalysisSettings settings;
    settings.bands = {{4000.0, 5000.0}};
    CHECK_FALSE(problemOf(settings));
    for (const RpmRange& band : {RpmRange{5000.0, 4000.0}, RpmRange{4000.0, 4000.0}, RpmRange{-1.0, 4000.0}}) {
        settings.bands = {band};
        CHECK(problemOf(settings) == Problem::BadBand);
    }
    settings.bands.clear();
    settings.pairs = {{"A", "Z"}};
    CHECK(problemOf(settings) == Problem::UnknownBuild);
    settings.pairs = {{"A", "A"}};
    CHECK(problemOf(settings) == Problem::BadValue);

    const auto says = [](const DayAnalysis& analysis, const char* words) {
        return std::any_of(analysis.notes.begin(), analysis.notes.end(),
                           [&](const Statement& note) { return inEnglish(note).find(words) != std::string::npos; });
    };
    CHECK(says(analysed(day), "No return to base"));
    CHECK_FALSE(says(analysed(smallDay("A3 B3 A3")), "No return to base"));
    CHECK_FALSE(says(analysed(smallDay("A6")), "No return to base")); // one build: nothing to tell apart
    CHECK(says(analysed(smallDay("A1 B1")), "No repeatability"));
    CHECK_FALSE(says(analysed(day), "No repeatability"));
}

TEST_CASE("a pair that was asked for the other way round is the same, turned") {
    const TestDay day = smallDay("A3 B3 A3");
    AnalysisSettings turned;
    turned.pairs = {{"B", "A"}};
    const DayAnalysis there = analysed(day, turned);
    REQUIRE(there.comparisons.size() == 1);
    CHECK(there.comparisons.front().from == "B");
    AnalysisSettings straight;
    straight.pairs = {{"A", "B"}};
    const DayAnalysis back = analysed(day, straight);
    REQUIRE(back.comparisons.size() == 1);
    for (size_t p = 0; p < back.comparisons.front().delta_w.size(); ++p)
        if (std::isfinite(back.comparisons.front().delta_w[p]))
            CHECK(there.comparisons.front().delta_w[p] == -back.comparisons.front().delta_w[p]);
}

TEST_CASE("where two builds cross is where the difference that was put in changes its sign") {
    TestDay day = smallDay("A3 B3 A3", 0.0);
    for (Pull& pull : day.pulls) {
        if (pull.build != "B")
            continue;
        auto raw = std::make_shared<ChannelTable>(*pull.raw);
        const std::vector<double> speed = raw->find("engine_speed")->values;
        for (Column& column : raw->columns)
            if (column.name == "torque")
                for (size_t row = 0; row < speed.size(); ++row)
                    column.values[row] *= 1.0 + 0.05 * (5000.0 - speed[row]) / 2500.0;
        pull.raw = raw;
    }
    const DayAnalysis a = analysed(day);
    const Comparison* c = a.find("A", "B");
    REQUIRE(c);
    REQUIRE(c->crossovers_rpm.size() == 1);
    CHECK(c->crossovers_rpm.front() == Approx(5000.0).margin(150.0));
    CHECK(c->verdict == VerdictKind::Mixed);
}

TEST_CASE("a declared bound of drift is said with the answer, and only then") {
    AnalysisSettings settings;
    settings.drift.declaredBound_pct = 0.7;
    CHECK(analysed(smallDay("A3 B3"), settings).find("A", "B")->boundDeclared);
    CHECK_FALSE(analysed(smallDay("A3 B3")).find("A", "B")->boundDeclared);
}

TEST_CASE("what the model cannot fit is the geometric mean of the pulls that are there") {
    TestDay day = smallDay("A3 B3 A3");
    for (size_t number = 0; number < day.pulls.size(); ++number)
        if (number != 0) // one pull alone reaches the top: level and drift cannot both be told from it
            day.pulls[number].window_rpm = RpmRange{3200.0, 5800.0};
    const DayAnalysis a = analysed(day);
    const BuildResult* build = a.findBuild("A");
    REQUIRE(build);
    int seen = 0;
    for (size_t i = 0; i < a.model->input.rpm.size(); ++i) {
        const double rpm = a.model->input.rpm[i];
        if (rpm < 6000.0 || !std::isfinite(build->power_w[i]))
            continue;
        const Curve& curve = *a.pulls[0].curve;
        const auto at = std::find(curve.rpm.begin(), curve.rpm.end(), rpm);
        REQUIRE(at != curve.rpm.end());
        ++seen;
        CHECK(build->power_w[i] == Approx(curve.power_w[static_cast<size_t>(at - curve.rpm.begin())]).epsilon(1e-9));
    }
    CHECK(seen > 3);
}

TEST_CASE("a build that surely repeats worse is said, and only that one") {
    DayAnalysis a;
    CHECK(widthStatements(a).empty());
    DayModel model;
    model.noise.builds = {{0.9, 30.0, 0.2}, {2.56, 15.0, 0.01}, {0.25, 15.0, 0.04}};
    a.builds.resize(3);
    a.builds[0].id = "A";
    a.builds[1].id = "B";
    a.builds[2].id = "C";
    a.model = std::make_shared<DayModel>(model);
    CHECK(widthStatements(a).empty());
    model.noise.unequal = true;
    a.model = std::make_shared<DayModel>(model);
    CHECK(eachInEnglish(widthStatements(a)) ==
          std::vector<std::string>{"B repeats worse than the other builds, 1.6 times as far from pull to pull: its "
                                   "intervals are wider for it.",
                                   "C repeats better than the other builds, 0.5 times as far from pull to pull: its "
                                   "intervals are narrower for it."});
}
