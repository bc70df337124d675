// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/day/local_time.h"
#include "core/day/test_day.h"

#include <catch2/catch.hpp>

using namespace hillrun;

namespace {

TestDay dayOf(const std::string& builds, bool times) {
    TestDay day;
    for (size_t i = 0; i < builds.size(); ++i) {
        Pull pull;
        pull.id = "p" + std::to_string(i + 1);
        pull.build = std::string(1, builds[i]);
        if (times)
            pull.started = isoTimeOf(1.78e9 + 240.0 * static_cast<double>(i));
        day.pulls.push_back(pull);
    }
    return day;
}

} // namespace

TEST_CASE("ISO times are read with their offset") {
    CHECK(secondsOf("1970-01-01T00:00:00Z") == 0.0);
    CHECK(secondsOf("2026-05-16T09:12:00+01:00") == secondsOf("2026-05-16T08:12:00Z"));
    CHECK(secondsOf("2026-05-16T09:12") == secondsOf("2026-05-16T09:12:00Z"));
    CHECK(*secondsOf("2026-05-16T09:12:00.375Z") - *secondsOf("2026-05-16T09:12:00Z") == Approx(0.375));
    CHECK(*secondsOf("2026-05-16T09:12:00.05+01:00") - *secondsOf("2026-05-16T08:12:00Z") == Approx(0.05));
    CHECK(*secondsOf("2000-03-01T00:00:00Z") == 951868800.0); // leap day before it; value of the Unix clock
    for (const char* bad :
         {"", "16.5.2026", "2026-13-01T00:00:00Z", "2026-05-16", "2026-05-16T25:00:00Z", "2026-05-16T09:12:00+1"})
        CHECK_FALSE(secondsOf(bad));
    CHECK(isoTimeOf(*secondsOf("2026-05-16T09:12:00+01:00")) == "2026-05-16T08:12:00Z");
}

TEST_CASE("a set is an unbroken run of pulls of one build, in time order") {
    TestDay day = dayOf("AABBA", true);
    CHECK(setNumbers(day, dayClock(day)) == std::vector<int>{0, 0, 1, 1, 2});
    std::swap(day.pulls[0], day.pulls[4]); // written down in another order
    CHECK(setNumbers(day, dayClock(day)) == std::vector<int>{2, 0, 1, 1, 0});
    TestDay again = dayOf("AAAB", true);
    again.pulls[2].refitted = true; // taken off and fitted again before it
    CHECK(setNumbers(again, dayClock(again)) == std::vector<int>{0, 0, 1, 2});
}

TEST_CASE("without times the order counts, and it is said") {
    CHECK(dayClock(dayOf("AAB", true)).clockKnown);
    const DayClock clock = dayClock(dayOf("AAB", false));
    CHECK_FALSE(clock.clockKnown);
    CHECK(clock.hours[1] == Approx(1.0 / 12.0));
}

TEST_CASE("changes list every part and setting that differs") {
    Build a{"A", "", {{"collector", "450 mm"}, {"airbox", "standard"}}, {{"map", "m12"}}, {}, "", {}, "", ""};
    Build b{"B", "", {{"collector", "600 mm"}, {"airbox", "standard"}, {"filter", "foam"}}, {}, {}, "", {}, "", ""};
    const std::vector<Change> expected{{"collector", "450 mm", "600 mm"}, {"filter", "", "foam"}, {"map", "m12", ""}};
    CHECK(changesBetween(a, b) == expected);
    CHECK(changesBetween(a, a).empty());
}

TEST_CASE("a moment is written in local time with its offset") {
    const double moment = secondsOf("2026-05-16T08:12:00Z").value();
    CHECK(localTimeText(moment, "+01:00") == "2026-05-16T09:12:00+01:00");
    CHECK(localTimeText(moment, "-03:30") == "2026-05-16T04:42:00-03:30");
    CHECK(localTimeText(moment, "Z") == "2026-05-16T08:12:00Z");
    CHECK(localTimeText(moment, "x1:00?") == "2026-05-16T08:12:00Z"); // not an offset
    CHECK(secondsOf(localTimeText(moment, "+05:45")) == moment);
}
