// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "english.h"
#include "formats/day_lock.h"

#include "formats/file_io.h"
#include "support.h"

#include <array>
#include <catch2/catch.hpp>
#include <csignal>
#include <fstream>
#include <sys/wait.h>
#include <thread>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
namespace fs = std::filesystem;

TEST_CASE("one has the lock, the other is told who") {
    const test::TemporaryFolder folder;
    const fs::path file = dayLockFile(folder.path());
    FileLock first;
    REQUIRE(first.acquire(file, "hillrun"));
    CHECK(first.holds());
    FileLock second;
    CHECK_FALSE(second.acquire(file, "hillrun"));
    REQUIRE(second.other());
    CHECK(second.other()->process == ::getpid());
    CHECK(second.other()->program == "hillrun");
    CHECK(inEnglish(ownerPhrase(*second.other())).find("process " + std::to_string(::getpid())) != std::string::npos);
    REQUIRE(lockOwner(file));
    first.release();
    CHECK_FALSE(fs::exists(file));
    CHECK_FALSE(lockOwner(file));
    CHECK(second.acquire(file, "hillrun"));
}

TEST_CASE("what a killed process left is taken without asking") {
    const test::TemporaryFolder folder;
    const fs::path file = dayLockFile(folder.path());
    const pid_t child = ::fork();
    if (child == 0) {
        FileLock lock;
        (void)lock.acquire(file, "hillrun");
        ::raise(SIGKILL);
    }
    ::waitpid(child, nullptr, 0);
    REQUIRE(fs::exists(file)); // it had no time to clear up
    CHECK_FALSE(lockOwner(file));
    FileLock lock;
    CHECK(lock.acquire(file, "hillrun"));
}

TEST_CASE("whoever is taken over notices, and lets the new lock alone") {
    const test::TemporaryFolder folder;
    const fs::path file = dayLockFile(folder.path());
    FileLock first;
    REQUIRE(first.acquire(file, "hillrun"));
    FileLock second;
    REQUIRE(second.acquire(file, "hillrun", true));
    CHECK(second.holds());
    CHECK_FALSE(first.holds());
    first.release();
    CHECK(fs::exists(file));
    CHECK(second.holds());
    FileLock third;
    CHECK_FALSE(third.acquire(file, "hillrun"));
}

TEST_CASE("a lock of another host counts until it is taken over") {
    const test::TemporaryFolder folder;
    const fs::path file = dayLockFile(folder.path());
    std::ofstream(file)
        << R"({"host":"some-other-bench","process":12,"since":"2026-05-16T09:00:00Z","program":"hillrun"})";
    FileLock lock;
    CHECK_FALSE(lock.acquire(file, "hillrun"));
    REQUIRE(lock.other());
    CHECK(lock.other()->host == "some-other-bench");
    CHECK(lock.acquire(file, "hillrun", true));
}

TEST_CASE("rubbish in a lock file hinders nobody, a folder that cannot be written has words") {
    const test::TemporaryFolder folder;
    std::ofstream(dayLockFile(folder.path())) << "\xFF{{{";
    FileLock lock;
    CHECK(lock.acquire(dayLockFile(folder.path()), "hillrun"));
    FileLock nowhere;
    CHECK_FALSE(nowhere.acquire("/proc/no/day.lock", "hillrun"));
    CHECK_FALSE(nowhere.other());
    CHECK_FALSE(nowhere.problem().empty());
    CHECK_FALSE(nowhere.holds());
}

TEST_CASE("a program that comes and goes waits for its like, not for a window") {
    const test::TemporaryFolder folder;
    FileLock window;
    REQUIRE(window.acquire(dayLockFile(folder.path()), kWindowProgram));
    CHECK(test::messageOf([&] {
              (void)lockDayBriefly(folder.path(), std::chrono::seconds(5));
          }).find("open for writing: hillrun on ") != std::string::npos);
    window.release();
    FileLock other;
    REQUIRE(other.acquire(dayLockFile(folder.path()), kCommandLineProgram));
    CHECK(test::messageOf([&] {
              (void)lockDayBriefly(folder.path(), std::chrono::milliseconds(50));
          }).find("open for writing") != std::string::npos);
    other.release();
    CHECK(lockDayBriefly(folder.path(), std::chrono::milliseconds(50)).holds());
}

TEST_CASE("whoever waits its turn is not refused while the turn goes on") {
    const test::TemporaryFolder folder;
    const fs::path file = dayLockFile(folder.path());
    std::array<FileLock, 3> others;
    REQUIRE(others[0].acquire(file, kCommandLineProgram));
    std::thread turns([&] {
        const std::chrono::milliseconds turn(800);
        for (size_t i = 1; i < others.size(); ++i) {
            std::this_thread::sleep_for(turn);
            others[i].acquire(file, kCommandLineProgram, true); // without a moment in which it is free
        }
        std::this_thread::sleep_for(turn);
        others.back().release();
    });
    CHECK_NOTHROW(lockDayBriefly(folder.path(), std::chrono::milliseconds(1500)).holds());
    turns.join();
}

TEST_CASE("locks lie in the folder, or beside the zip") {
    CHECK(dayLockFile("/a/day") == "/a/day/day.lock");
    CHECK(dayLockFile("/a/day/day.json") == "/a/day/day.lock");
    CHECK(dayLockFile("/a/day.zip") == "/a/day.zip.lock");
}

TEST_CASE("a lock moves with its object") {
    const test::TemporaryFolder folder;
    FileLock first;
    REQUIRE(first.acquire(dayLockFile(folder.path()), "hillrun"));
    FileLock second = std::move(first);
    CHECK(second.holds());
    CHECK_FALSE(first.holds());
    CHECK_FALSE(second.placeGone());
    fs::remove_all(folder.path());
    CHECK(second.placeGone());
    CHECK_FALSE(second.holds());
}
