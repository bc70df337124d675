// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// What the engine keeps and what it works again, counted stage by stage; that nothing it keeps is ever stale; that
// threads change no digit; that a stop is heard.

#include "core/slip/day_doubts.h"
#include "core/slip/day_events.h"
#include "engine/day_engine.h"
#include "engine/lean_day.h"
#include "english.h"
#include "formats/answers_json.h"
#include "formats/day_store.h"
#include "support.h"

#include <atomic>
#include <boost/random/mersenne_twister.hpp>
#include <boost/random/uniform_int_distribution.hpp>
#include <catch2/catch.hpp>
#include <thread>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;

namespace {

/// What `analyse` gives when everything is worked anew, by the plain road.
std::string anew(const TestDay& day, const AnalysisSettings& settings) {
    DrawCache cache;
    DayAnalysis analysis = analyse(day, settings, cache);
    addEvents(day, analysis.pulls);
    analysis.doubts = dayDoubts(day, analysis);
    return analyseAnswer(analysis).dump();
}

std::string answerOf(const DayAnalysis& analysis) { return analyseAnswer(analysis).dump(); }

/// The stages worked since the last look: "observed corrected fitted answered searched".
struct Steps {
    DayEngine& engine;
    StageCounts before{};
    std::string since() {
        const StageCounts now = engine.counts();
        const StageCounts was = std::exchange(before, now);
        std::string out;
        for (const size_t count : {now.observed - was.observed, now.corrected - was.corrected, now.fitted - was.fitted,
                                   now.answered - was.answered, now.searched - was.searched})
            out += (out.empty() ? "" : " ") + std::to_string(count);
        return out;
    }
};

} // namespace

TEST_CASE("an edit costs what it changes") {
    TestDay day = readDay(test::demoDay()); // 11 pulls, one of them set aside
    AnalysisSettings settings;
    DayEngine engine(1);
    Steps steps{engine};
    const auto first = engine.analyse(day, settings);
    CHECK(steps.since() == "11 11 1 1 11");

    SECTION("nothing") {
        CHECK(engine.analyse(day, settings) == first);
        CHECK(steps.since() == "0 0 0 0 0");
    }
    SECTION("names, notes and a ticked caution") {
        day.name = "Another name";
        day.note = "Rain in the afternoon";
        day.pulls[2].note = "smelled of clutch";
        day.cell.name = "Cell 2";
        day.cautions.push_back({"gloves", "me", "2026-05-16T09:00:00Z", {}});
        CHECK(engine.analyse(day, settings) == first);
        CHECK(steps.since() == "0 0 0 0 0");
    }
    SECTION("the standard") {
        settings.reduce.standard = Standard::Iso1585;
        CHECK(engine.analyse(day, settings) != first);
        CHECK(steps.since() == "0 11 1 1 11");
        settings.reduce.standard = AnalysisSettings{}.reduce.standard; // and back again
        CHECK(answerOf(*engine.analyse(day, settings)) == answerOf(*first));
        CHECK(steps.since() == "0 0 1 1 0");
    }
    SECTION("the weather of one pull") {
        day.pulls[4].weather->temperature_c += 2.0;
        (void)engine.analyse(day, settings);
        CHECK(steps.since() == "0 1 1 1 4"); // looked through again: it and the three others of its set
    }
    SECTION("a trim") {
        day.pulls[4].window_rpm = RpmRange{3100.0, 7400.0};
        (void)engine.analyse(day, settings);
        CHECK(steps.since() == "1 1 1 1 4");
    }
    SECTION("a pull set aside, and taken back") {
        day.pulls[4].use = false;
        (void)engine.analyse(day, settings);
        CHECK(steps.since() == "0 0 1 1 3");
        day.pulls[4].use = true;
        CHECK(answerOf(*engine.analyse(day, settings)) == answerOf(*first));
        CHECK(steps.since() == "0 0 1 1 0"); // the events of the round before last are still known
    }
    SECTION("smoothing") {
        settings.reduce.smoothing_rpm = 150.0;
        (void)engine.analyse(day, settings);
        CHECK(steps.since() == "11 11 1 1 11");
    }
    SECTION("what matters, bands and the drift allowance") {
        settings.matters_w = 500.0;
        settings.bands = {{4000.0, 5000.0}};
        settings.drift.allowance = DriftAllowance::Jumps;
        (void)engine.analyse(day, settings);
        CHECK(steps.since() == "0 0 0 1 0");
    }
    SECTION("one more pull") {
        Pull more = day.pulls.back();
        more.id = "p99";
        more.raw = std::make_shared<const ChannelTable>(*more.raw);
        day.pulls.push_back(more);
        (void)engine.analyse(day, settings);
        CHECK(steps.since() == "1 1 1 1 4");
    }
}

TEST_CASE("after any edits the engine says what a fresh start says") {
    boost::random::mt19937 generator(7);
    const auto draw = [&](size_t below) {
        return boost::random::uniform_int_distribution<size_t>(0, below - 1)(generator);
    };
    const std::filesystem::path demo = test::dataFolder() / "demo";
    for (const char* name : {"day-2-boost-buggy", "day-4-buggy-rollers"}) {
        TestDay day = readDay(demo / name);
        const TestDay original = day;
        AnalysisSettings settings;
        DayEngine engine;
        for (int round = 0; round < 14; ++round) {
            Pull& pull = day.pulls[draw(day.pulls.size())];
            const size_t what = draw(12);
            switch (what) {
            case 0:
                pull.use = !pull.use;
                break;
            case 1:
                pull.window_rpm = RpmRange{3600.0 + 50.0 * static_cast<double>(draw(8)), 6600.0};
                break;
            case 2:
                pull.weather->pressure_pa -= 300.0;
                break;
            case 3:
                settings.reduce.standard = static_cast<Standard>(draw(8));
                break;
            case 4:
                pull.torqueFactor = 1.0 + 0.01 * static_cast<double>(draw(5));
                break;
            case 5:
                day.article.engine.inertia_kgm2 = 0.05 * static_cast<double>(draw(3));
                break;
            case 6:
                pull.build = day.builds[draw(day.builds.size())].id;
                break;
            case 7:
                day.loss.method = static_cast<LossMethod>(draw(3));
                break;
            case 8:
                day.boostSchool = static_cast<BoostSchool>(draw(4));
                break;
            case 9:
                day.builds[0].parts.emplace_back("extra", std::to_string(round));
                break;
            case 10:
                day.cell.rollerInertia_kgm2 = 20.0 + static_cast<double>(draw(10));
                break;
            default:
                day = original;
                break;
            }
            INFO(name << ", round " << round << ", edit " << what);
            const auto kept = engine.analyse(day, settings);
            CHECK(answerOf(*kept) == anew(day, settings));
        }
    }
}

TEST_CASE("threads change no digit") {
    for (const auto& path : {test::boostDay(), test::rollerDay()}) {
        const TestDay day = readDay(path);
        DayEngine one(1);
        DayEngine four(4);
        CHECK(answerOf(*one.analyse(day, {})) == answerOf(*four.analyse(day, {})));
    }
}

TEST_CASE("a stop is heard, and what was finished is kept") {
    const TestDay day = readDay(test::demoDay());
    DayEngine engine(1);
    std::stop_source stop;
    double last = 0.0;
    const auto stopped = engine.analyse(day, {}, stop.get_token(), [&](double share) {
        last = share;
        if (share > 0.2)
            stop.request_stop();
    });
    CHECK_FALSE(stopped);
    CHECK(last < 0.5);
    const size_t done = engine.counts().observed;
    CHECK(done > 0);
    CHECK(done < day.pulls.size());
    CHECK(engine.analyse(day, {}));
    CHECK(engine.counts().observed == day.pulls.size()); // none was observed twice
}

TEST_CASE("progress runs from the first pull to the end") {
    const TestDay day = readDay(test::demoDay());
    DayEngine engine(1);
    std::vector<double> shares;
    (void)engine.analyse(day, {}, {}, [&](double share) { shares.push_back(share); });
    REQUIRE(shares.size() > day.pulls.size());
    CHECK(std::is_sorted(shares.begin(), shares.end()));
    CHECK(shares.back() == 1.0);
}

TEST_CASE("workers do every piece once, hear a stop and hand on the first failure") {
    for (const unsigned threads : {1U, 2U, 5U}) {
        Workers workers(threads);
        std::vector<std::atomic<int>> done(1000);
        CHECK(workers.forEach(done.size(), [&](size_t i) { ++done[i]; }));
        CHECK(std::all_of(done.begin(), done.end(), [](const auto& count) { return count == 1; }));
        CHECK(workers.forEach(0, [](size_t) { throw std::logic_error("never called"); }));

        std::stop_source stop;
        std::atomic<int> begun = 0;
        CHECK_FALSE(workers.forEach(
            1000,
            [&](size_t) {
                if (++begun == 10)
                    stop.request_stop();
                while (begun >= 10 && !stop.stop_requested()) // the stop counts from when it was said
                    std::this_thread::yield();
            },
            stop.get_token()));
        CHECK(begun < 10 + static_cast<int>(threads));

        std::string caught;
        try {
            workers.forEach(100, [](size_t i) {
                if (i % 10 == 3)
                    throw std::runtime_error(std::to_string(i));
            });
        } catch (const std::runtime_error& error) {
            caught = inEnglish(error);
        }
        CHECK(caught == "3");
        CHECK(workers.forEach(3, [](size_t) {})); // and goes on working
    }
}

TEST_CASE("a piece of work may have pieces of its own") {
    for (const unsigned threads : {1U, 2U, 5U}) {
        Workers workers(threads);
        std::vector<std::atomic<int>> done(60);
        std::atomic<int> whole = 0; // a check belongs on the test's own thread
        CHECK(workers.forEach(3, [&](size_t outer) {
            whole += workers.forEach(20, [&](size_t inner) { ++done[20 * outer + inner]; }) ? 1 : 0;
        }));
        CHECK(whole == 3);
        CHECK(std::all_of(done.begin(), done.end(), [](const auto& count) { return count == 1; }));
        CHECK_THROWS_WITH(workers.forEach(3,
                                          [&](size_t outer) {
                                              workers.forEach(4, [&](size_t inner) {
                                                  if (outer == 1 && inner == 2)
                                                      throw std::runtime_error("the inner one");
                                              });
                                          }),
                          "the inner one");
    }
}

TEST_CASE("a day whose rows are not held gives the same answer to the digit") {
    for (const auto& path : {test::demoDay(), test::rollerDay(), test::boostDay()}) {
        TestDay day = readDay(path);
        day.pulls[2].use = false;
        AnalysisSettings settings;
        settings.matters_pct = 1.0;
        TestDay bare = day;
        for (Pull& pull : bare.pulls)
            pull.raw.reset();
        std::atomic<int> reads = 0;
        const LeanAnswer lean = analyseLean(bare, settings, [&](size_t number) {
            ++reads;
            return day.pulls[number];
        });
        CHECK(answerOf(*lean.analysis) == anew(day, settings));
        CHECK(reads == 2 * static_cast<int>(day.pulls.size()));
        for (const Pull& pull : lean.day.pulls)
            CHECK_FALSE(pull.raw);
    }
}

TEST_CASE("a pull that cannot be had is left out of a day that is not held, with its reason") {
    const TestDay day = readDay(test::demoDay());
    TestDay bare = day;
    for (Pull& pull : bare.pulls)
        pull.raw.reset();
    const LeanAnswer lean = analyseLean(bare, {}, [&](size_t number) {
        Pull pull = day.pulls[number];
        if (number == 4) {
            pull.raw.reset();
            pull.problem = {"problem.checksum_differs"};
        }
        return pull;
    });
    CHECK(inEnglish(lean.analysis->pulls[4].whyLeftOut) == inEnglish(Statement{"problem.checksum_differs"}));
    CHECK_FALSE(lean.analysis->pulls[4].curve);
    CHECK(lean.analysis->find("A", "B"));
    CHECK_THROWS_AS(analyseLean(bare, {}, [](size_t) -> Pull { throw DataError(Problem::FileMissing, {}); }),
                    DataError);
}

TEST_CASE("a pull whose file changes between the two readings is an error, never another pull's events") {
    const TestDay day = readDay(test::demoDay());
    TestDay bare = day;
    for (Pull& pull : bare.pulls)
        pull.raw.reset();
    for (const bool gone : {true, false}) {
        std::atomic<size_t> reads = 0;
        const auto read = [&](size_t number) {
            Pull pull = day.pulls[number];
            if (++reads > day.pulls.size() && number == 4) {
                if (gone)
                    pull.raw.reset();
                else
                    pull.sha256 = std::string(64, '0');
            }
            return pull;
        };
        CHECK_THROWS_AS(analyseLean(bare, {}, read), DataError);
    }
}

TEST_CASE("a day without pulls is worked out again and again") { // its fit has no values: nothing to compare
    TestDay day = readDay(test::demoDay());
    day.pulls.clear();
    DayEngine engine(1);
    const auto first = engine.analyse(day, {});
    day.plan.matters_pct = 1.0;
    const auto second = engine.analyse(day, {});
    REQUIRE((first && second));
    CHECK(first->comparisons.empty());
    CHECK(second->whyNoComparison == first->whyNoComparison);
}
