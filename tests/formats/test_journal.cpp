// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "core/errors/data_error.h"
#include "english.h"
#include "formats/day_store.h"
#include "formats/pull_journal.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <csignal>
#include <fstream>
#include <limits>
#include <sys/resource.h>
#include <sys/wait.h>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
namespace fs = std::filesystem;

namespace {

const std::vector<Column> kColumns{{"time", "s", {}}, {"engine_speed", "rpm", {}}, {"torque", "N.m", {}}};

Pull startedPull() {
    Pull pull;
    pull.id = "p07";
    pull.build = "B";
    pull.file = "pulls/p07.csv";
    pull.started = "2026-05-16T10:12:00+01:00";
    pull.weather = Atmosphere{18.0, 98400.0, {HumidityKind::RelativeHumidity_pct, 60.0}};
    pull.gear = 4;
    return pull;
}

void giveRows(PullJournal& journal, int from, int to) {
    for (int i = from; i < to; ++i)
        journal.row(std::vector{0.01 * i, 2500.0 + i, i % 10 == 3 ? std::numeric_limits<double>::quiet_NaN() : 80.25});
}

} // namespace

TEST_CASE("a journal gives the pull back, with what was known of it") {
    test::TemporaryFolder folder;
    PullJournal journal;
    REQUIRE(journal.begin(folder.path(), startedPull(), kColumns));
    giveRows(journal, 0, 200);
    journal.note("event fuel drum 3");
    giveRows(journal, 200, 300);
    REQUIRE(journal.flush());
    CHECK(findJournals(folder.path()).empty()); // while it is being written it is nobody else's business
    Pull pull = readJournal(journal.path());
    REQUIRE(pull.raw);
    CHECK(pull.raw->rows() == 300);
    CHECK(pull.raw->find("engine_speed")->values.back() == 2799.0);
    CHECK(std::isnan(pull.raw->find("torque")->values[3]));
    pull.raw = nullptr;
    CHECK(pull == startedPull());
    journal.finish(kJournalComplete);
    REQUIRE(findJournals(folder.path()).size() == 1);
    CHECK(journalEnd(findJournals(folder.path()).front()) == "complete");
    CHECK(readJournal(findJournals(folder.path()).front()).raw->rows() == 300);
    journal.remove();
    CHECK(findJournals(folder.path()).empty());
}

TEST_CASE("half a last line is left out") {
    test::TemporaryFolder folder;
    PullJournal journal;
    REQUIRE(journal.begin(folder.path(), startedPull(), kColumns));
    giveRows(journal, 0, 100);
    journal.finish();
    const fs::path file = findJournals(folder.path()).front();
    std::ofstream(file, std::ios::app) << "1.00,26";
    CHECK(readJournal(file).raw->rows() == 100);
}

TEST_CASE("a journal that waits is never written over") {
    test::TemporaryFolder folder;
    for (int i = 0; i < 2; ++i) {
        PullJournal journal;
        REQUIRE(journal.begin(folder.path(), startedPull(), kColumns));
        giveRows(journal, 0, 50 * (i + 1));
        journal.finish();
    }
    CHECK(findJournals(folder.path()).size() == 2);
}

TEST_CASE("journals of a zipped day lie beside it") {
    test::TemporaryFolder folder;
    CHECK(journalFolder(folder.path() / "day.zip") == folder.path() / "day.zip.journal");
    CHECK(journalFolder(folder.path() / "day" / "day.json") == folder.path() / "day" / "journal");
    CHECK(findJournals(folder.path() / "nowhere").empty());
}

TEST_CASE("a file without a pull in it says so") {
    test::TemporaryFolder folder;
    fs::create_directories(folder.path() / "journal");
    const fs::path file = folder.path() / "journal" / "p01.csv";
    std::ofstream(file) << "#hill-run-journal 1\n#pu";
    CHECK(test::messageOf([&] { (void)readJournal(file); }) != "nothing");
    std::ofstream(file, std::ios::app) << "ll {\"id\": \"p01\", \"build\": \"A\", \"file\": \"pulls/p01.csv\"}\n";
    CHECK(test::messageOf([&] { (void)readJournal(file); }) != "nothing"); // begun, and no row yet
}

TEST_CASE("a folder that cannot be written is a state with words") {
    PullJournal journal;
    CHECK_FALSE(journal.begin("/proc/no-such-place", startedPull(), kColumns));
    CHECK_FALSE(journal.problem().empty());
    giveRows(journal, 0, 10);
    CHECK_FALSE(journal.flush());
    test::TemporaryFolder folder;
    CHECK_FALSE(journal.begin(folder.path() / "pulled out", startedPull(), kColumns));
    CHECK(inEnglish(journal.problem()) == "the folder of this day is gone");
    CHECK_FALSE(fs::exists(folder.path() / "pulled out"));
}

TEST_CASE("when the disk is full what was written stays readable") {
    test::TemporaryFolder folder;
    const pid_t child = ::fork();
    if (child == 0) { // a limit of 8 kB on any file stands for the full disk
        std::signal(SIGXFSZ, SIG_IGN);
        const rlimit limit{8192, 8192};
        ::setrlimit(RLIMIT_FSIZE, &limit);
        PullJournal journal;
        bool refused = !journal.begin(folder.path(), startedPull(), kColumns);
        for (int i = 0; i < 100; ++i) {
            giveRows(journal, 20 * i, 20 * (i + 1));
            refused = !journal.flush() || refused;
        }
        ::_exit(refused && !journal.problem().empty() ? 0 : 1);
    }
    int status = 0;
    REQUIRE(::waitpid(child, &status, 0) == child);
    CHECK(WEXITSTATUS(status) == 0);
    const Pull pull = readJournal(findJournals(folder.path()).front());
    CHECK(pull.raw->rows() > 300);
    CHECK(pull.raw->rows() < 700);
}
