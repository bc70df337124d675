// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"
#include "core/history/cell_history.h"
#include "core/history/days_together.h"
#include "core/history/over_days.h"
#include "day_support.h"
#include "english.h"

#include <boost/random/mersenne_twister.hpp>
#include <boost/random/normal_distribution.hpp>
#include <catch2/catch.hpp>
#include <cmath>
#include <deque>

using namespace hillrun;
using hillrun::test::inEnglish;

namespace {

/// Makes records of days whose builds carry parts by their letters; ten points from 3000 rpm.
class Workshop {
public:
    explicit Workshop(unsigned seed) : m_generator(seed) {}
    double pullSd = 0.004;
    double refitSd = 0.0;
    double daySd = 0.01;

    /// A day such as "ABA", three pulls a set.
    DayRecord& day(const std::string& id, const std::string& date, const std::string& order,
                   const std::string& article = "Flat twin") {
        DayRecord& out = m_days.emplace_back();
        out.id = id;
        out.date = date;
        out.name = id;
        out.article = article;
        out.cell = "Larkfell shed";
        out.cellKind = "engine_brake";
        out.measuredAt = "crank";
        out.standard = "sae-j1349";
        out.levelSd = pullSd;
        out.freedom = static_cast<double>(2 * order.size());
        const double ofDay = daySd * m_normal(m_generator);
        int set = 0;
        for (const char letter : order) {
            if (!std::any_of(out.builds.begin(), out.builds.end(),
                             [&](auto& b) { return b.id == std::string(1, letter); })) {
                BuildRecord build;
                build.id = std::string(1, letter);
                build.parts = {{"pipe", std::string("pipe ") + letter}};
                out.builds.push_back(build);
            } else {
                out.protectedFromDrift = true;
            }
            const double ofVisit = refitSd * m_normal(m_generator);
            for (int pull = 0; pull < 3; ++pull) {
                const double level =
                    std::log(40000.0) + ofDay + ofVisit + 0.02 * (letter - 'A') + pullSd * m_normal(m_generator);
                PullRecord one{std::string(1, letter), 0.4 * set + 0.08 * pull, set, 3000.0, {}};
                for (int i = 0; i < 10; ++i)
                    one.power_w.push_back(static_cast<float>(std::exp(level + 0.05 * i)));
                out.pulls.push_back(one);
            }
            ++set;
        }
        return out;
    }
    /// A day of which there is a sheet only: one curve of that level, from 3000 rpm on.
    DayRecord& sheet(const std::string& id, const std::string& date, double level, int points = 10) {
        DayRecord& out = day(id, date, "Z");
        out.pulls.clear();
        out.levelSd.reset();
        out.freedom = 0.0;
        PaperCurve paper{{"Z", 0.0, 0, 3000.0, {}}, {"given.smoothing_unknown"}};
        for (int i = 0; i < points; ++i)
            paper.curve.power_w.push_back(static_cast<float>(std::exp(level + 0.05 * i)));
        out.papers.push_back(paper);
        return out;
    }
    [[nodiscard]] std::vector<const DayRecord*> all() const {
        std::vector<const DayRecord*> out;
        for (const DayRecord& day : m_days)
            out.push_back(&day);
        return out;
    }
    [[nodiscard]] std::vector<const DayRecord*> named(const std::vector<std::string>& ids) const {
        std::vector<const DayRecord*> out;
        for (const DayRecord* day : all())
            if (std::find(ids.begin(), ids.end(), day->id) != ids.end())
                out.push_back(day);
        return out;
    }

private:
    boost::random::mt19937_64 m_generator;
    boost::random::normal_distribution<double> m_normal;
    std::deque<DayRecord> m_days; // addresses stay
};

} // namespace

TEST_CASE("builds of different days are the same by their parts and settings, or because one says so") {
    Workshop shop(1);
    shop.day("d2", "2026-05-02", "ACA");
    DayRecord& first = shop.day("d1", "2026-05-01", "ABA");
    first.builds[0].parts = {{" Pipe", "PIPE A "}, {"air box", ""}}; // as people write it; an empty value says nothing
    DayRecord& third = shop.day("d3", "2026-05-03", "XY");
    third.builds[0].parts.clear();
    third.builds[0].sameAs = "d1:B";
    third.builds[1].parts.clear();
    const auto net = articleNet(shop.all());
    REQUIRE(net);
    CHECK(net->days[0]->id == "d1"); // in order of date
    CHECK(net->net.builds == 4);
    CHECK(net->find({"d1", "A"}) == net->find({"d2", "A"}));
    CHECK(net->find({"d3", "X"}) == net->find({"d1", "B"}));
    CHECK(net->find({"d3", "Y"}) != net->find({"d1", "B"}));
    CHECK_FALSE(net->find({"d3", "B"}));
    CHECK(net->net.visits.size() == 8);
    CHECK(net->within.freedom == 16.0);
    CHECK(net->net.visits[1].time_h == Approx(0.48));
    CHECK(net->rpm.low == 3000.0);
    CHECK(net->rpm.high == 3450.0);

    third.builds[0].sameAs = "d3:Y"; // in a circle
    third.builds[1].sameAs = "d3:X";
    CHECK(articleNet(shop.all())->net.builds >= 4);
    third.builds[0].parts = third.builds[1].parts = {{"pipe", "pipe A"}};
    third.builds[0].sameAs = third.builds[1].sameAs = {};
    const auto twins = articleNet(shop.all());
    CHECK(twins->find({"d3", "X"}) == twins->find({"d1", "A"}));
    CHECK(twins->find({"d3", "Y"}) != twins->find({"d3", "X"})); // two builds of one day are two
}

TEST_CASE("levels are means of log power over the speeds that all pulls share") {
    Workshop shop(2);
    shop.pullSd = shop.daySd = 0.0;
    DayRecord& one = shop.day("d1", "2026-05-01", "AB");
    one.pulls[0].low_rpm = 3100.0; // it begins two steps later
    const auto net = articleNet(shop.all());
    CHECK(net->rpm.low == 3100.0);
    CHECK(net->net.visits[1].level == Approx(std::log(40000.0) + 0.02 + 0.05 * 5.5).epsilon(1e-7)); // points 2 to 9
    CHECK(net->net.visits[1].level - net->net.visits[0].level == Approx(0.02 + 0.05 * 2.0 / 3.0).epsilon(1e-5));
}

TEST_CASE("a day with too few speeds is left out and named") {
    Workshop shop(3);
    shop.day("d1", "2026-05-01", "ABA");
    shop.day("d2", "2026-05-02", "ACA");
    DayRecord& narrow = shop.day("d3", "2026-05-03", "ADA");
    for (PullRecord& pull : narrow.pulls)
        pull.power_w.resize(3);
    const auto net = articleNet(shop.all());
    REQUIRE(net->leftOut.size() == 1);
    CHECK(net->leftOut.front()->id == "d3");
    CHECK(net->net.days == 2);
    const AcrossAnswer answer = compareAcross({"d1", "B"}, {"d2", "C"}, shop.all(), shop.all());
    CHECK(answer.leftOut == std::vector<std::string>{"2026-05-03"});
    CHECK_THROWS_AS(compareAcross({"d1", "B"}, {"d3", "D"}, shop.all(), shop.all()), DataError);
}

TEST_CASE("an old base is used again through what ran on both days") {
    Workshop shop(4);
    shop.day("d1", "2025-05-01", "ABA");
    shop.day("d2", "2026-05-02", "ACA");
    for (int i = 0; i < 8; ++i)
        shop.day("h" + std::to_string(i), "2026-01-0" + std::to_string(i + 1), "AA", "Reference single");
    const AcrossAnswer answer = compareAcross({"d1", "B"}, {"d2", "C"}, shop.named({"d1", "d2"}), shop.all());
    CHECK(answer.kind == AcrossKind::Inside);
    CHECK(answer.through == std::vector<BuildOfDay>{{"d1", "A"}});
    REQUIRE(answer.interval);
    CHECK(answer.interval->low < 0.02);
    CHECK(answer.interval->high > 0.02);
    CHECK(answer.refitKnown);
    CHECK(inEnglish(acrossSummary(answer)).find("C of 2026-05-02") != std::string::npos);
    CHECK(inEnglish(acrossNotes(answer))
              .find("Through A of 2025-05-01, which ran on both sides. Mean power over 3 000") == 0);

    // Turned round it is negated.
    const AcrossAnswer turned = compareAcross({"d2", "C"}, {"d1", "B"}, shop.named({"d1", "d2"}), shop.all());
    CHECK(turned.estimate == Approx(-answer.estimate));
    CHECK(turned.interval->low == Approx(-answer.interval->high).margin(1e-9));

    // Without history refitting is not known.
    const AcrossAnswer alone =
        compareAcross({"d1", "B"}, {"d2", "C"}, shop.named({"d1", "d2"}), shop.named({"d1", "d2"}));
    CHECK_FALSE(alone.refitKnown);
    CHECK(alone.interval->high - alone.interval->low > answer.interval->high - answer.interval->low);
    CHECK(inEnglish(acrossNotes(alone)).find("Refitting is not known") != std::string::npos);
}

TEST_CASE("without anything in common nothing is said, or what the dyno's own days allow") {
    Workshop shop(5);
    shop.day("d1", "2025-05-01", "A");
    shop.day("d2", "2026-05-02", "B");
    const AcrossAnswer unknown = compareAcross({"d1", "A"}, {"d2", "B"}, shop.all(), shop.all());
    CHECK(unknown.kind == AcrossKind::Unknown);
    CHECK_FALSE(unknown.interval);
    CHECK(unknown.estimate != 0.0);
    const std::string said = inEnglish(acrossSummary(unknown));
    CHECK(said.find("nothing can be said") != std::string::npos);
    CHECK(said.find("would explain all of it") != std::string::npos);

    for (int i = 0; i < 6; ++i)
        shop.day("h" + std::to_string(i), "2026-01-0" + std::to_string(i + 1), "AA", "Reference single");
    const AcrossAnswer known = compareAcross({"d1", "A"}, {"d2", "B"}, shop.named({"d1", "d2"}), shop.all());
    CHECK(known.kind == AcrossKind::ByTheCell);
    REQUIRE(known.interval);
    CHECK(known.daySd);
    CHECK(inEnglish(acrossNotes(known)).find("Nothing in common but the dyno") != std::string::npos);
}

TEST_CASE("days of another dyno, place or standard are not held against these") {
    Workshop shop(6);
    shop.day("d1", "2025-05-01", "ABA");
    DayRecord& other = shop.day("d2", "2026-05-02", "ACA");
    for (std::string DayRecord::*field :
         {&DayRecord::cell, &DayRecord::cellKind, &DayRecord::measuredAt, &DayRecord::standard}) {
        const std::string before = std::exchange(other.*field, "another");
        try {
            compareAcross({"d1", "B"}, {"d2", "C"}, shop.all(), shop.all());
            FAIL("it was compared");
        } catch (const DataError& error) {
            CHECK(error.problem() == Problem::NotComparable);
        }
        other.*field = before;
    }
    other.cell = " larkfell SHED"; // written otherwise
    CHECK(compareAcross({"d1", "B"}, {"d2", "C"}, shop.all(), shop.all()).interval);
    CHECK_THROWS_AS(compareAcross({"d1", "A"}, {"d2", "A"}, shop.all(), shop.all()), DataError); // the same build
    CHECK_THROWS_AS(compareAcross({"d1", "Q"}, {"d2", "A"}, shop.all(), shop.all()), DataError);
}

TEST_CASE("two articles beside each other carry their caution") {
    Workshop shop(7);
    shop.day("d1", "2026-05-01", "ABA", "Flat twin");
    shop.day("d2", "2026-05-02", "ACA", "Rival twin");
    for (int i = 0; i < 6; ++i)
        shop.day("h" + std::to_string(i), "2026-01-0" + std::to_string(i + 1), "AA", "Reference single");
    const AcrossAnswer answer = compareAcross({"d1", "A"}, {"d2", "A"}, shop.named({"d1", "d2"}), shop.all());
    CHECK(answer.otherArticle); // the same pipe does not make one engine the other
    CHECK(answer.kind == AcrossKind::ByTheCell);
    CHECK(inEnglish(acrossNotes(answer)).find("engines differ in more than the part") != std::string::npos);
    CHECK_FALSE(answer.forTheirSize); // no displacement is known
    CHECK(answer.differs.empty());    // the same pipe
}

TEST_CASE("two engines of known size are compared for their size first") {
    Workshop shop(7);
    DayRecord& small = shop.day("d1", "2026-05-01", "ABA", "Flat twin");
    DayRecord& large = shop.day("d2", "2026-05-02", "ACA", "Rival twin");
    for (int i = 0; i < 6; ++i)
        shop.day("h" + std::to_string(i), "2026-01-0" + std::to_string(i + 1), "AA", "Reference single");
    small.displacement_cc = 800.0;
    small.strokes = 4;
    large.displacement_cc = 1000.0;
    large.strokes = 2;
    for (DayRecord* day : {&small, &large})
        for (BuildRecord& build : day->builds) {
            build.peakPower_w = day == &small ? 48000.0 : 50000.0;
            build.peakTorque_nm = 80.0;
        }
    const AcrossAnswer answer = compareAcross({"d1", "A"}, {"d2", "C"}, shop.named({"d1", "d2"}), shop.all());
    REQUIRE(answer.forTheirSize);
    CHECK(answer.forTheirSize->from_kw_per_litre == Approx(60.0));
    CHECK(answer.forTheirSize->to_kw_per_litre == Approx(50.0));
    // BMEP = 2 pi T (strokes / 2) / V: 80 N.m of 0.8 l in four strokes, of 1.0 l in two
    CHECK(answer.forTheirSize->from_bmep_bar.value() == Approx(4.0 * M_PI * 80.0 / 0.8e-3 / 1e5));
    CHECK(answer.forTheirSize->to_bmep_bar.value() == Approx(2.0 * M_PI * 80.0 / 1.0e-3 / 1e5));
    CHECK(answer.forTheirSize->logSize == Approx(std::log(0.8)));
    REQUIRE(answer.differs.size() == 1);
    CHECK(answer.differs[0] == Change{"pipe", "pipe A", "pipe C"});
    const std::vector<Statement> said = acrossSummary(answer);
    REQUIRE(said.size() == 2);
    CHECK(inEnglish(said[0]).find("For its size, C of 2026-05-02 gives") == 0);
    CHECK(inEnglish(said[0]).find("50.0 kW/l against 60.0 kW/l") != std::string::npos);
    CHECK(inEnglish(acrossNotes(answer)).find("pipe A") != std::string::npos);
    CHECK(inEnglish(acrossNotes(answer)).find("Mean effective pressure") != std::string::npos);
    large.displacement_cc.reset();
    CHECK_FALSE(compareAcross({"d1", "A"}, {"d2", "C"}, shop.named({"d1", "d2"}), shop.all()).forTheirSize);
    // Builds of one article are not asked for their size.
    CHECK_FALSE(compareAcross({"d1", "A"}, {"d1", "B"}, shop.named({"d1"}), shop.all()).forTheirSize);
}

TEST_CASE("checks of the cell stand by their dates, each once") {
    Workshop shop(3);
    shop.day("d1", "2026-01-01", "AA").loadCell = CheckRecord{"2025-12-30", 0.8};
    shop.day("d2", "2026-02-01", "AA").loadCell = CheckRecord{"2025-12-30", 0.8};
    DayRecord& last = shop.day("d3", "2026-03-01", "AA");
    last.loadCell = CheckRecord{"2026-02-20", -0.1};
    last.station = CheckRecord{"2026-01-15", 0.3};
    const CellHistory cell = cellHistory(shop.all());
    REQUIRE(cell.checks.size() == 3);
    CHECK(cell.checks[0] == DatedCheck{"2025-12-30", true, 0.8});
    CHECK(cell.checks[1] == DatedCheck{"2026-01-15", false, 0.3});
    CHECK(cell.checks[2] == DatedCheck{"2026-02-20", true, -0.1});
    const std::string said = inEnglish(checkLines(cell.checks));
    CHECK(said.find("Load cell last checked 2026-02-20") != std::string::npos);
    CHECK(said.find("2025-12-30") == std::string::npos);
    CHECK(said.find("Weather station last checked 2026-01-15") != std::string::npos);
    CHECK(checkLines({}).empty());
}

TEST_CASE("a cell learns what it repeats within, what refitting and what a day adds") {
    Workshop shop(8);
    shop.refitSd = 0.006;
    shop.daySd = 0.015;
    CHECK_FALSE(cellHistory({}).repeatability);
    for (int i = 0; i < 24; ++i)
        shop.day("h" + std::to_string(i), "2026-01-" + std::to_string(10 + i), "AA", "Reference single");
    const CellHistory few = cellHistory(shop.named({"h0", "h1"}));
    CHECK_FALSE(few.repeatability);
    CHECK_FALSE(few.refit);
    CHECK_FALSE(few.dayToDay);
    const CellHistory cell = cellHistory(shop.all());
    REQUIRE(cell.repeatability);
    CHECK(cell.repeatability->value == Approx(0.004).epsilon(1e-6)); // every day says so
    REQUIRE(cell.refit);
    CHECK(cell.refit->freedom == 24.0);
    REQUIRE(cell.dayToDay);
    CHECK(cell.dayToDay->freedom == 23.0);
    CHECK(cell.runs.size() == 48);
    CHECK(cell.chart.points.size() == 48);
    CHECK(cell.reference == BuildOfDay{"h0", "A"});
}

TEST_CASE("the limits of what a cell has learned hold about as often as they say") {
    int refit = 0;
    int day = 0;
    constexpr int kCells = 20;
    for (unsigned seed = 1; seed <= kCells; ++seed) {
        Workshop shop(seed);
        shop.refitSd = 0.006;
        shop.daySd = 0.015;
        for (int i = 0; i < 24; ++i)
            shop.day("h" + std::to_string(i), "2026-01-" + std::to_string(10 + i), "AA", "Reference single");
        const CellHistory cell = cellHistory(shop.all());
        refit += cell.refit->low < 0.006 && 0.006 < cell.refit->high ? 1 : 0;
        day += cell.dayToDay->low < 0.015 && 0.015 < cell.dayToDay->high ? 1 : 0;
    }
    CHECK(refit >= 11); // 80 % of 20, less three binomial standard deviations
    CHECK(day >= 11);
}

TEST_CASE("the chart follows the build that is named, and tells that it moved") {
    Workshop shop(9);
    shop.daySd = 0.004;
    for (int i = 0; i < 20; ++i)
        shop.day("h" + std::to_string(i), "2026-01-" + std::to_string(10 + i), "A", "Reference single");
    for (int i = 0; i < 3; ++i)
        shop.day("f" + std::to_string(i), "2026-02-" + std::to_string(10 + i), "ABA").builds[1].reference = true;
    CHECK(cellHistory(shop.all()).reference == BuildOfDay{"f0", "B"});
    for (int i = 14; i < 20; ++i) {
        const auto days = shop.named({"h" + std::to_string(i)});
        for (PullRecord& pull : const_cast<DayRecord*>(days.front())->pulls)
            for (float& power : pull.power_w)
                power *= 0.97F;
    }
    std::vector<const DayRecord*> reference;
    for (const DayRecord* day : shop.all())
        if (day->id.front() == 'h')
            reference.push_back(day);
    const CellHistory cell = cellHistory(reference);
    REQUIRE(cell.chart.shift);
    CHECK(cell.runs[cell.chart.shift->since].day == "h14");
    CHECK(cell.chart.shift->size == Approx(std::log(0.97)).margin(0.006));
}

TEST_CASE("an odd day of a build is named with its size") {
    Workshop shop(10);
    shop.daySd = 0.003;
    for (int i = 0; i < 4; ++i)
        shop.day("d" + std::to_string(i), "2026-05-0" + std::to_string(i + 1), "ABA");
    for (int i = 0; i < 8; ++i)
        shop.day("h" + std::to_string(i), "2026-01-0" + std::to_string(i + 1), "AA", "Reference single");
    const std::vector<std::string> net{"d0", "d1", "d2", "d3"};
    CHECK(compareAcross({"d0", "A"}, {"d0", "B"}, shop.named(net), shop.all()).odd.empty());
    for (PullRecord& pull : const_cast<DayRecord*>(shop.named({"d2"}).front())->pulls)
        if (pull.build == "B")
            for (float& power : pull.power_w)
                power *= 1.05F;
    const AcrossAnswer answer = compareAcross({"d0", "A"}, {"d0", "B"}, shop.named(net), shop.all());
    REQUIRE_FALSE(answer.odd.empty());
    CHECK(std::any_of(answer.odd.begin(), answer.odd.end(), [](const auto& odd) {
        return odd.build == BuildOfDay{"d2", "B"} && std::abs(odd.off - std::log(1.05)) < 0.02 && !odd.onlyTwo;
    }));
}

TEST_CASE("an odd day is found among many") {
    Workshop shop(12);
    shop.daySd = 0.003;
    std::vector<std::string> net;
    for (int i = 0; i < 80; ++i) {
        net.push_back("d" + std::to_string(100 + i));
        shop.day(net.back(), "2026-" + std::to_string(100 + i), "ABA");
    }
    for (PullRecord& pull : const_cast<DayRecord*>(shop.named({"d170"}).front())->pulls)
        if (pull.build == "B")
            for (float& power : pull.power_w)
                power *= 1.04F;
    const DaysTogether together = daysTogether(shop.named(net), shop.all());
    const auto off = [&](const BuildOfDay& build) {
        for (const OddBuild& odd : together.odd)
            if (odd.build == build)
                return odd.off;
        return 0.0;
    };
    CHECK(off({"d170", "A"}) < 0.0); // of a day with two builds either may be the odd one
    CHECK(off({"d170", "B"}) == Approx(std::log(1.04)).margin(0.012));
    CHECK(together.odd.size() <= 3); // one good one in twenty such nets
}

TEST_CASE("a curve off paper stands on the ladder without an interval, and teaches nothing") {
    Workshop shop(12);
    const DayRecord first = shop.day("d1", "2024-05-01", "ABA");
    shop.day("d2", "2025-05-02", "BCB");
    double ofA = 0.0; // all visits of three pulls
    for (const PullRecord& pull : first.pulls)
        if (pull.build == "A")
            ofA += std::log(static_cast<double>(pull.power_w.front())) / 6.0;
    shop.sheet("s1", "2026-05-03", ofA + 0.05);
    shop.sheet("s2", "2026-06-03", ofA, 4); // a third of the speeds
    const std::vector<const DayRecord*> ran = shop.named({"d1", "d2"});
    const DaysTogether days = daysTogether(shop.all(), shop.all());
    const DaysTogether without = daysTogether(ran, ran);
    const AcrossLadder ladder = acrossLadder(days, "flat twin");
    const AcrossLadder measured = acrossLadder(without, "flat twin");
    REQUIRE(ladder.builds == std::vector<BuildOfDay>{{"d1", "A"}, {"d1", "B"}, {"d2", "C"}, {"s1", "Z"}});
    for (size_t i = 0; i < 2; ++i) { // what ran is told as without it
        CHECK(ladder.steps[i].interval->low == measured.steps[i].interval->low);
        CHECK(ladder.steps[i].interval->high == measured.steps[i].interval->high);
    }
    CHECK_FALSE(ladder.steps[2].interval);
    CHECK_FALSE(ladder.steps[2].proven());
    CHECK(ladder.fromBase[2].estimate == Approx(0.05).margin(1e-6));
    CHECK(ladder.fromBase[2].estimate == Approx(ladder.fromBase[1].estimate + ladder.steps[2].estimate).margin(1e-12));
    CHECK(ladder.steps[0].leftOut == std::vector<std::string>{"2026-06-03"});
    CHECK(inEnglish(ladderSummary(ladder)).find("without an interval") != std::string::npos);
    CHECK(inEnglish(ladderNotes(ladder)).find("Z of 2026-05-03 is smoothing not known") != std::string::npos);

    const AcrossAnswer answer = compareAcross(days, {"s1", "Z"}, {"d1", "A"});
    CHECK(answer.estimate == Approx(-0.05).margin(1e-6));
    CHECK(inEnglish(acrossSummary(answer)).find("Cannot tell: Z of 2026-05-03 is") == 0);
    REQUIRE(answer.differs.size() == 1);
    CHECK(answer.differs.front().from == "pipe Z");
    DrawCache draws;
    CHECK_FALSE(curveAcross(days, ShapesTogether{}, {"s1", "Z"}, {"d1", "A"}, draws));
    const auto problemOf = [&](const BuildOfDay& from, const BuildOfDay& to) {
        try {
            (void)compareAcross(days, from, to);
        } catch (const DataError& error) {
            return error.problem();
        }
        return Problem::BadValue;
    };
    CHECK(problemOf({"s1", "Z"}, {"d1", "X"}) == Problem::UnknownBuild);
    CHECK(problemOf({"s1", "Z"}, {"s1", "Z"}) == Problem::NothingToCompare);
    CHECK(problemOf({"s2", "Z"}, {"d1", "A"}) == Problem::NothingToCompare);
    CHECK(cellHistory(shop.all()).days.size() == 2);
}

TEST_CASE("a curve off paper that ends earlier is held against the same speeds of the others") {
    Workshop shop(14);
    const DayRecord ran = shop.day("d1", "2024-05-01", "AB");
    double ofA = 0.0;
    for (const PullRecord& pull : ran.pulls)
        if (pull.build == "A")
            ofA += std::log(static_cast<double>(pull.power_w.front())) / 3.0;
    shop.sheet("s1", "2026-05-03", ofA + 0.02, 7); // two thirds of the speeds, and power rises with speed
    const DaysTogether days = daysTogether(shop.all(), shop.all());
    const AcrossAnswer answer = compareAcross(days, {"d1", "A"}, {"s1", "Z"});
    CHECK(answer.over.low == 3000.0);
    CHECK(answer.over.high == 3300.0);
    CHECK(answer.estimate == Approx(0.02).margin(1e-6));
}

TEST_CASE("a ladder that begins on paper still adds up, and its measured steps hold") {
    Workshop shop(13);
    shop.sheet("s1", "2019-05-03", std::log(39000.0)).builds.front().name = "as bought";
    shop.day("d1", "2024-05-01", "ABA");
    shop.day("d2", "2025-05-02", "BCB").outsideAir = true;
    const DaysTogether days = daysTogether(shop.all(), shop.all());
    const AcrossLadder ladder = acrossLadder(days, "flat twin");
    REQUIRE(ladder.steps.size() == 3);
    CHECK(ladder.names.front() == "as bought");
    double sum = 0.0;
    for (size_t i = 0; i < 3; ++i) {
        sum += ladder.steps[i].estimate;
        CHECK(ladder.fromBase[i].estimate == Approx(sum).margin(1e-12));
        CHECK_FALSE(ladder.fromBase[i].interval);
    }
    const AcrossAnswer two = compareAcross(days, {"d1", "A"}, {"d1", "B"}, 0.975); // two intervals at once
    CHECK(ladder.steps[1].interval->low == Approx(two.interval->low));
    CHECK(inEnglish(ladderNotes(ladder)).find("The air of 2025-05-02 was outside") != std::string::npos);
    CHECK(two.outsideAir == std::vector<std::string>{"2025-05-02"}); // B ran there too
    CHECK(inEnglish(acrossNotes(two)).find("The air of 2025-05-02") != std::string::npos);
}

TEST_CASE("a ladder over days: its steps add up, its intervals hold together") {
    Workshop shop(11);
    shop.refitSd = 0.001;
    shop.day("d1", "2024-05-01", "ABA");
    shop.day("d2", "2025-05-02", "BCB").builds[1].name = "short pipe";
    shop.day("d3", "2026-05-03", "CD").builds[0].name = "pipe as last year"; // no return
    for (int i = 0; i < 8; ++i)
        shop.day("h" + std::to_string(i), "2026-01-0" + std::to_string(i + 1), "AA", "Reference single");
    const DaysTogether days = daysTogether(shop.named({"d1", "d2", "d3"}), shop.all());
    const AcrossLadder ladder = acrossLadder(days, "flat twin");
    REQUIRE(ladder.builds == std::vector<BuildOfDay>{{"d1", "A"}, {"d1", "B"}, {"d2", "C"}, {"d3", "D"}});
    CHECK(ladder.names == std::vector<std::string>{"", "", "short pipe", ""}); // of the day on which it first ran
    REQUIRE(ladder.steps.size() == 3);
    double sum = 0.0;
    for (size_t i = 0; i < 3; ++i) {
        sum += ladder.steps[i].estimate;
        CHECK(ladder.fromBase[i].estimate == Approx(sum).epsilon(1e-9));
        CHECK(ladder.steps[i].interval->low < 0.02);
        CHECK(ladder.steps[i].interval->high > 0.02);
    }
    // Wider than one by itself: five differences at once.
    const AcrossAnswer alone = compareAcross(days, ladder.builds[0], ladder.builds[1]);
    const AcrossDays& together = *ladder.steps[0].interval;
    CHECK(together.high - together.low > 1.1 * (alone.interval->high - alone.interval->low));
    const AcrossAnswer fifth = compareAcross(days, ladder.builds[0], ladder.builds[1], 0.99);
    CHECK(together.high - together.low == Approx(fifth.interval->high - fifth.interval->low));
    const std::string said = inEnglish(ladderSummary(ladder));
    CHECK(said.find("From A of 2024-05-01 to D of 2026-05-03") == 0);
    CHECK(said.find("3 steps") != std::string::npos);
    CHECK(inEnglish(ladderNotes(ladder)).find("2026-05-03") != std::string::npos); // unprotected
    CHECK(ladder.steps[0].unprotected.empty());
    CHECK(ladder.steps[2].unprotected == std::vector<std::string>{"2026-05-03"});
    CHECK(acrossLadder(days, "another").steps.empty());
    CHECK(inEnglish(ladderSummary({})).find("No ladder yet") == 0);
    CHECK(ladderNotes({}).empty());
}

namespace {

/// A record as the day that it was made of, with the builds and the order of its pulls as its plan.
TestDay dayOf(const DayRecord& record) {
    TestDay out;
    out.id = record.id;
    out.date = record.date;
    for (const BuildRecord& build : record.builds) {
        out.builds.push_back({});
        out.builds.back().id = build.id;
        out.builds.back().parts = build.parts;
    }
    for (const PullRecord& pull : record.pulls)
        out.plan.order.push_back(pull.build);
    return out;
}

std::vector<DayRecord> copied(const std::vector<const DayRecord*>& days) {
    std::vector<DayRecord> out;
    for (const DayRecord* day : days)
        out.push_back(*day);
    return out;
}

} // namespace

TEST_CASE("builds of other days stand beside today's with their curves, and with what the plan would tell") {
    Workshop shop(12);
    DayRecord& old = shop.day("d1", "2025-05-01", "ABA");
    const DayRecord today = shop.day("d2", "2026-05-02", "ACA");
    for (int i = 0; i < 8; ++i)
        shop.day("h" + std::to_string(i), "2026-01-0" + std::to_string(i + 1), "AA", "Reference single");
    old.shapeVariance.assign(10, 1e-5F);
    old.varianceLow_rpm = 3000.0;
    TestDay day = dayOf(today);
    const BuildOfDay b{"d1", "B", "2025-05-01"};
    day.plan.earlier = {b, {"d9", "A", "2020-01-01"}};
    DayRecord& other = shop.day("d3", "2025-07-01", "ABA");
    other.measuredAt = "wheel";
    day.plan.earlier.push_back({"d3", "A", "2025-07-01"});
    const std::vector<DayRecord> known = copied(shop.all());
    const OverDays over = overDays(day, today, known, {true, true});
    REQUIRE(over.find(b, "C"));
    CHECK(over.find(b, "A")); // B of then against A of now
    CHECK_FALSE(over.find(b, "Q"));
    const EarlierPair& pair = *over.find(b, "C");
    const auto ofDyno = daysOfDyno(known, &today); // without the day at the wheel
    CHECK(pair.answer.estimate == compareAcross(b, {"d2", "C"}, shop.named({"d1", "d2"}), ofDyno).estimate);
    REQUIRE(pair.curve);
    CHECK(pair.curve->delta.mean() == Approx(pair.answer.estimate).epsilon(1e-9));
    REQUIRE(over.curves.size() == 2);
    CHECK(over.curves[0].rpm.size() == 10);
    CHECK(over.curves[0].power_w.front() == Approx(40000.0 * std::exp(0.02)).epsilon(0.02));
    REQUIRE(over.whyNot.size() == 2);
    CHECK(inEnglish({over.whyNot[0]}) == "A of 2020-01-01 is not in the logbook.");
    CHECK(inEnglish({over.whyNot[1]}).find("another dyno") != std::string::npos);
    CHECK(over.ladder.steps.size() == 2);
    CHECK(over.days == std::vector<std::string>{"2025-05-01", "2026-05-02"});

    // Before a pull is made: half of what the interval turned out to be, and less when B itself runs again.
    DayRecord planned = today;
    planned.pulls.clear();
    const OverDays before = overDays(day, planned, known, {});
    CHECK(before.pairs.empty());
    REQUIRE_FALSE(before.planned.empty());
    const PlannedAcross& plan = before.planned.front();
    REQUIRE(plan.half);
    CHECK(plan.build == "C");
    CHECK(*plan.half == Approx(0.5 * (pair.answer.interval->high - pair.answer.interval->low)).epsilon(0.15));
    REQUIRE(plan.halfAgain);
    CHECK(*plan.halfAgain < *plan.half);
}

TEST_CASE("a plan that nothing joins to an earlier build says so, and what would") {
    Workshop shop(13);
    shop.day("d1", "2025-05-01", "ABA");
    DayRecord today = shop.day("d2", "2026-05-02", "CDC");
    TestDay day = dayOf(today);
    today.pulls.clear();
    day.plan.earlier = {{"d1", "A", "2025-05-01"}};
    const OverDays over = overDays(day, today, copied(shop.named({"d1"})), {});
    REQUIRE(over.planned.size() == 1);
    CHECK_FALSE(over.planned[0].half);
    CHECK(over.planned[0].build == "C");
    CHECK(over.planned[0].halfAgain);
}

TEST_CASE("a day's record holds what the day gave") {
    TestDay day = test::smallDay("A3 B3 A3", 3.0);
    for (Pull& pull : day.pulls)
        pull.sha256 = std::string(64, pull.id.back());
    day.article.engine.displacement_cc = 1170.0;
    day.article.engine.strokes = 4;
    day.cell.loadCellCheck = LoadCellCheck{"2026-05-01", 1.0, {}, {}, 1.0, {{0.0, 0.0}, {50.0, 50.5}}, {}};
    day.cell.stationCheck = StationCheck{"2026-05-02", {25.0, 100000.0, {}}, {25.0, 99000.0, {}}, {}, {}, {}};
    DrawCache cache;
    const DayAnalysis analysis = analyse(day, {}, cache);
    const DayRecord record = recordOf(day, analysis);
    CHECK(record.pulls.size() == 9);
    CHECK(record.protectedFromDrift);
    CHECK(record.levelSd == analysis.model->levelSd);
    CHECK(record.freedom == analysis.model->degreesOfFreedom);
    CHECK(record.displacement_cc == 1170.0);
    CHECK(record.strokes == 4);
    REQUIRE(record.loadCell);
    CHECK(record.loadCell->date == "2026-05-01");
    CHECK(record.loadCell->off_pct == Approx(1.0));
    REQUIRE(record.station);
    CHECK(record.station->off_pct == Approx(-1.18).margin(0.01)); // SAE J1349: -118 (1 - 99/100)
    CHECK(record.builds.size() == 2);
    CHECK(record.peakPower_w().value() > 60000.0);
    CHECK_FALSE(record.summary.empty());
    CHECK(record.shapeVariance.size() > 20);
    const std::vector<const DayRecord*> one{&record};
    const AcrossAnswer answer = compareAcross({record.id, "A"}, {record.id, "B"}, one, one);
    CHECK(answer.estimate == Approx(0.03).margin(0.008));
    CHECK(answer.kind == AcrossKind::Inside);
    CHECK(inEnglish(acrossNotes(answer)).find("same day") != std::string::npos);
}

TEST_CASE("a day that counts on earlier ones teaches only what it measured, and says what it assumes") {
    TestDay day = test::smallDay("A1 B1", 3.0);
    for (Pull& pull : day.pulls)
        pull.sha256 = std::string(64, pull.id.back());
    DrawCache cache;
    CHECK_FALSE(recordOf(day, analyse(day, {}, cache)).levelSd);
    day.plan.earlierRepeats = {0.3, 20.0, 12.0, 2000.0, 100.0, std::vector<double>(60, 0.3), 250.0, 0.1};
    const DayAnalysis analysis = analyse(day, {}, cache);
    CHECK(analysis.model->degreesOfFreedom == 12);
    CHECK(analysis.comparisons.front().hasInterval);
    const DayRecord record = recordOf(day, analysis);
    CHECK_FALSE(record.levelSd);
    CHECK(record.freedom == 0.0);
    CHECK(record.shapeVariance.empty());
    CHECK(record.summary.back().id == "note.repeats_as_earlier");
    CHECK(eachInEnglish(analysis.notes).front().find("(0.3 %, 12 degrees of freedom)") != std::string::npos);
    CHECK(inEnglish(basisPhrase(analysis)).find("as on earlier days") != std::string::npos);
}

TEST_CASE("a day that compares nothing says why, and a curve off paper what it is") {
    DrawCache cache;
    TestDay day = test::smallDay("A3");
    CHECK(inEnglish(recordOf(day, analyse(day, {}, cache)).summary) ==
          "Nothing to compare yet: only one build has pulls in use.");
    day = test::smallDay("A1 B3");
    day.pulls.front().grade = PullGrade::CurveOnly;
    day.pulls.front().given.corrected = Standard::SaeJ1349;
    const DayAnalysis analysis = analyse(day, {}, cache);
    const DayRecord record = recordOf(day, analysis);
    CHECK(record.pulls.size() == 3);
    REQUIRE(record.papers.size() == 1);
    const PaperCurve& paper = record.papers.front();
    const BuildResult& build = *analysis.findBuild("A");
    CHECK(paper.curve.build == "A");
    CHECK(inEnglish(paper.what).find("a curve only, corrected to SAE J1349") == 0);
    const auto at = std::find(analysis.rpm.begin(), analysis.rpm.end(), paper.curve.low_rpm) - analysis.rpm.begin();
    CHECK(paper.curve.power_w.front() == static_cast<float>(build.power_w[static_cast<size_t>(at)]));
    CHECK(paper.curve.power_w.size() ==
          static_cast<size_t>(std::count_if(build.power_w.begin(), build.power_w.end(),
                                            [](double power) { return std::isfinite(power); })));
    CHECK(record.builds.front().peakPower_w);
}

TEST_CASE("the air of a day is the mean over its pulls in use") {
    TestDay day = test::smallDay("A4");
    const Humidity dry{HumidityKind::RelativeHumidity_pct, 0.0};
    day.pulls[0].weather = Atmosphere{20.0, 99000.0, dry};
    day.pulls[1].weather = Atmosphere{30.0, 98000.0, dry};
    day.pulls[2].weather = Atmosphere{90.0, 90000.0, dry};
    day.pulls[2].use = false;
    day.pulls[3].weather.reset();
    DrawCache cache;
    const DayRecord record = recordOf(day, analyse(day, {}, cache));
    CHECK(record.temperature_c == Approx(25.0));
    CHECK(record.pressure_kpa == Approx(98.5));
}

TEST_CASE("a day's id is its own, else its date and first pull's, whatever it is called") {
    TestDay day = test::smallDay("A2 B2");
    for (Pull& pull : day.pulls)
        pull.sha256 = std::string(64, pull.id.back());
    day.date = "2026-05-16";
    const std::string id = dayId(day);
    CHECK(id == "2026-05-16-" + std::string(10, day.pulls.front().id.back()));
    day.name = "Another name";
    std::reverse(day.pulls.begin(), day.pulls.end());
    CHECK(dayId(day) == id);
    day.id = "mine";
    CHECK(dayId(day) == "mine");
    day.id.clear();
    day.pulls.clear();
    CHECK(dayId(day).empty());
}
