// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "english.h"
#include "formats/kept_days.h"

#include "formats/day_store.h"
#include "formats/pull_file.h"
#include "formats/pull_repair.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <csignal>
#include <fstream>
#include <sys/resource.h>
#include <sys/wait.h>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
namespace fs = std::filesystem;

namespace {

KeptNote noteOf(const fs::path& day) {
    return {day.string(), "Demo", "2026-05-16T10:00:00Z", "stamp", {"Set aside p01"}};
}

TestDay unsavedDay() {
    TestDay day = readDay(test::demoDay());
    day.pulls.resize(3);
    for (Pull& pull : day.pulls)
        pull.sha256.clear(); // as imported: they lie nowhere yet
    return day;
}

} // namespace

TEST_CASE("a killed program leaves the whole state, rows and all") {
    const test::TemporaryFolder root;
    const pid_t child = ::fork();
    if (child == 0) {
        DayKeeper keeper(root.path());
        TestDay day = unsavedDay();
        keeper.keep(day, noteOf({}));
        day.pulls[0].use = false;
        day.bands = {{3000.0, 4000.0}};
        keeper.keep(day, noteOf({}));
        ::raise(SIGKILL);
    }
    ::waitpid(child, nullptr, 0);
    const auto kept = findKept(root.path());
    REQUIRE(kept.size() == 1);
    CHECK(kept[0].note.edits == std::vector<std::string>{"Set aside p01"});
    CHECK(kept[0].pulls == 3);
    CHECK(kept[0].unsaved == 3);
    const TestDay day = readKept(kept[0]);
    CHECK_FALSE(day.pulls[0].use);
    CHECK(day.bands == std::vector<RpmRange>{{3000.0, 4000.0}});
    CHECK(sameRows(*day.pulls[2].raw, *readDay(test::demoDay()).pulls[2].raw));
    FileLock mine;
    FileLock late;
    CHECK(claimKept(kept[0], mine));
    CHECK_FALSE(claimKept(kept[0], late)); // one window takes it, not two
    CHECK(findKept(root.path()).empty());
    mine.release();
    removeKept(kept[0]);
    CHECK(findKept(root.path()).empty());
    CHECK(fs::is_empty(root.path()));
}

TEST_CASE("edits of a day in a package are kept before its rows are copied") {
    const test::TemporaryFolder folder;
    const fs::path package = folder.path() / "day.zip";
    (void)saveDay(readDay(test::demoDay()), package, test::demoDay());
    const pid_t child = ::fork();
    if (child == 0) { // room for the edits, none for a pull: as if the kill came in between
        const rlimit little{20000, 20000};
        ::setrlimit(RLIMIT_FSIZE, &little);
        std::signal(SIGXFSZ, SIG_IGN);
        DayKeeper keeper(folder.path() / "kept");
        TestDay day = readDay(package);
        day.pulls[0].use = false;
        try {
            keeper.keep(day, noteOf(package));
        } catch (const DataError&) {
        }
        ::raise(SIGKILL);
    }
    ::waitpid(child, nullptr, 0);
    const auto kept = findKept(folder.path() / "kept");
    REQUIRE(kept.size() == 1);
    const TestDay day = readKept(kept[0]);
    const TestDay original = readDay(package);
    CHECK_FALSE(day.pulls[0].use);
    REQUIRE(day.pulls.size() == original.pulls.size());
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        INFO(day.pulls[i].id << ": " << inEnglish(day.pulls[i].problem));
        REQUIRE(day.pulls[i].raw);
        CHECK(sameRows(*day.pulls[i].raw, *original.pulls[i].raw));
    }
    fs::remove(package); // without the place the rows are missed, and it is said
    CHECK_FALSE(readKept(kept[0]).pulls[0].raw);
    CHECK_FALSE(readKept(kept[0]).pulls[0].problem.empty());
}

TEST_CASE("what a living program keeps is offered to nobody, what it drops is gone") {
    const test::TemporaryFolder root;
    DayKeeper keeper(root.path());
    keeper.keep(unsavedDay(), noteOf({}));
    CHECK(findKept(root.path()).empty());
    CHECK(readDay(keeper.folder()).pulls.size() == 3);
    keeper.drop();
    CHECK(fs::is_empty(root.path()));
    keeper.keep(unsavedDay(), noteOf({})); // and begins anew
    CHECK(fs::exists(keeper.folder() / "day.json"));
}

TEST_CASE("rows of a day that has a place survive the place") {
    const test::TemporaryFolder root;
    const test::TemporaryFolder folder;
    const fs::path place = folder.path() / "day";
    TestDay day = saveDay(readDay(test::demoDay()), place).day;
    {
        DayKeeper keeper(root.path());
        day.pulls[1].use = false;
        keeper.keep(day, noteOf(place));
    }
    fs::remove_all(place);
    const auto kept = findKept(root.path());
    REQUIRE(kept.size() == 1);
    CHECK(kept[0].unsaved == 0);
    const TestDay read = readKept(kept[0]);
    for (size_t i = 0; i < day.pulls.size(); ++i) {
        CHECK(sameRows(*read.pulls[i].raw, *day.pulls[i].raw));
        CHECK(read.pulls[i].sha256 == day.pulls[i].sha256);
    }
}

TEST_CASE("a file that was changed is not kept in the rows' place") {
    const test::TemporaryFolder root;
    const test::TemporaryFolder folder;
    const fs::path place = folder.path() / "day";
    const TestDay day = saveDay(readDay(test::demoDay()), place).day;
    std::ofstream(place / "pulls" / "p01.csv") << "something else";
    DayKeeper keeper(root.path());
    keeper.keep(day, noteOf(place));
    CHECK(sameRows(*readDay(keeper.folder()).pulls[0].raw, *day.pulls[0].raw));
}

TEST_CASE("two recordings of one name are kept apart") {
    const test::TemporaryFolder root;
    DayKeeper keeper(root.path());
    TestDay day = unsavedDay();
    day.pulls.resize(1);
    keeper.keep(day, noteOf({}));
    TestDay other = day; // undone, and recorded again
    other.pulls[0].raw = readDay(test::demoDay()).pulls[4].raw;
    keeper.keep(other, noteOf({}));
    CHECK(sameRows(*readDay(keeper.folder()).pulls[0].raw, *other.pulls[0].raw));
    keeper.keep(day, noteOf({}));
    CHECK(sameRows(*readDay(keeper.folder()).pulls[0].raw, *day.pulls[0].raw));
}

TEST_CASE("half a note is passed over") {
    const test::TemporaryFolder root;
    fs::create_directories(root.path() / "1");
    std::ofstream(root.path() / "1" / "day.json") << "{\"format\":";
    std::ofstream(root.path() / "1" / "kept.json") << "{";
    fs::create_directories(root.path() / "2");
    CHECK(findKept(root.path()).empty());
    CHECK(findKept(root.path() / "none").empty());
}

TEST_CASE("a pull that cannot be read is read as far as it goes") {
    std::string text = "time [s],engine_speed [rpm],torque [N.m]\n";
    for (int i = 0; i < 40; ++i)
        text += std::to_string(0.01 * (i < 25 ? i : i - 25)) + "," + std::to_string(2000 + 10 * i) + ",50\n";
    CHECK(test::messageOf([&] { (void)readPullText(text, "p.csv", 100.0); }).find("runs back") != std::string::npos);
    const RepairedPull anew = repairPullText(text, "p.csv", 100.0);
    CHECK(inEnglish(anew.done) == "The logger's clock ran back 1 time");
    CHECK(anew.table.rows() == 40);
    const auto& time = anew.table.find("time")->values;
    CHECK(std::is_sorted(time.begin(), time.end()));
    CHECK(time.back() == Approx(0.39).margin(0.011));
    const RepairedPull torn = repairPullText(text.substr(0, 700) + "\n0.3,oops,\n0.31,2", "p.csv", 100.0);
    CHECK(inEnglish(torn.done).find("rows could not be read") != std::string::npos);
    CHECK(torn.table.rows() > 20);
    const RepairedPull zeros = repairPullText(text.substr(0, 500) + std::string(4096, '\0'), "p.csv", 100.0);
    CHECK(zeros.table.rows() > 15);
    CHECK(test::messageOf([] { (void)repairPullText("nothing to be had", "p.csv", 100.0); }) != "nothing");
}
