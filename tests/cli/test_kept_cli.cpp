// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The command line under hard use: many at once, killed, on a full disk, with foreign bytes.

#include "cli_support.h"
#include "formats/day_lock.h"

#include <csignal>
#include <fmt/format.h>
#include <fstream>
#include <map>
#include <thread>
#include <unistd.h>

using namespace hillrun;
using test::quoted;
using test::run;
namespace fs = std::filesystem;

namespace {

const fs::path pullFile() { return test::demoDay() / "pulls" / "p01.csv"; }

pid_t startImport(const fs::path& file, const fs::path& day) {
    const std::string program = std::string(std::getenv("HILLRUN_BIN")) + "/hillrun-cli";
    const pid_t child = ::fork();
    if (child == 0) {
        const std::string sink = day.string() + ".log";
        if (!std::freopen(sink.c_str(), "w", stdout) || !std::freopen(sink.c_str(), "w", stderr))
            ::_exit(9);
        ::execl(program.c_str(), "hillrun-cli", "import", file.c_str(), "--into", day.c_str(), "--build", "A", nullptr);
        ::_exit(9);
    }
    return child;
}

} // namespace

TEST_CASE("a hundred imports at once: none reports success and is lost") {
    const test::TemporaryFolder folder;
    const fs::path day = folder.path() / "day";
    std::vector<pid_t> children;
    for (int i = 0; i < 100; ++i)
        children.push_back(startImport(pullFile(), day));
    size_t good = 0;
    for (const pid_t child : children) {
        int status = 0;
        REQUIRE(::waitpid(child, &status, 0) == child);
        REQUIRE(WIFEXITED(status));
        CHECK((WEXITSTATUS(status) == 0 || WEXITSTATUS(status) == 1));
        good += WEXITSTATUS(status) == 0 ? 1 : 0;
    }
    CHECK(good == 100); // each waited for its turn
    CHECK(readDay(day).pulls.size() == good);
    const auto answer = run("verify " + quoted(day) + " --json");
    CHECK(answer.status == 0);
    CHECK(answer.json()["same_rows"][0].size() == good);
    CHECK_FALSE(fs::exists(day / "day.lock"));
}

TEST_CASE("an import that is killed leaves all of it or nothing, and hinders no other") {
    const test::TemporaryFolder folder;
    for (int i = 0; i < 25; ++i) {
        const fs::path day = folder.path() / std::to_string(i);
        const pid_t child = startImport(pullFile(), day);
        ::usleep(static_cast<useconds_t>(1500 * i));
        ::kill(child, SIGKILL);
        ::waitpid(child, nullptr, 0);
        const size_t before = fs::exists(day / "day.json") ? readDay(day).pulls.size() : 0;
        CHECK(before <= 1);
        CHECK(run("import " + quoted(pullFile()) + " --into " + quoted(day)).status == 0);
        CHECK(readDay(day).pulls.size() == before + 1);
        CHECK(run("verify " + quoted(day)).status == 0);
    }
}

TEST_CASE("an import of which one file is bad changes nothing") {
    const test::TemporaryFolder folder;
    std::ofstream(folder.path() / "bad.csv") << "time,engine_speed\n0,oops\n";
    const fs::path day = folder.path() / "day";
    CHECK(run("import " + quoted(pullFile()) + " " + quoted(folder.path() / "bad.csv") + " --into " + quoted(day))
              .status == 1);
    CHECK_FALSE(fs::exists(day / "day.json"));
    CHECK(run("import " + quoted(pullFile()) + " --into " + quoted(day)).status == 0);
}

TEST_CASE("a day that a window writes is refused with its owner's name") {
    const test::TemporaryFolder folder;
    fs::copy(test::demoDay(), folder.path() / "day", fs::copy_options::recursive);
    FileLock window;
    REQUIRE(window.acquire(dayLockFile(folder.path() / "day"), kWindowProgram));
    const auto refused = run("import " + quoted(pullFile()) + " --into " + quoted(folder.path() / "day"));
    CHECK(refused.status == 1);
    CHECK(refused.error.find("open for writing: hillrun on ") != std::string::npos);
    CHECK(run("analyse " + quoted(folder.path() / "day")).status == 0); // reading is free
}

TEST_CASE("verify names what does not fit, in words and as JSON") {
    const test::TemporaryFolder folder;
    const fs::path day = folder.path() / "day";
    saveDay(readDay(test::demoDay()), day);
    CHECK(run("verify " + quoted(day)).status == 0);
    std::ofstream(day / "pulls" / "p02.csv", std::ios::app) << " ";
    const auto differs = run("verify " + quoted(day));
    CHECK(differs.status == 1);
    CHECK(differs.out.find("pulls/p02.csv DIFFERS") != std::string::npos);
    CHECK(differs.out.find("pulls/p03.csv fits") != std::string::npos);
    CHECK(differs.error.find("pulls/p02.csv") != std::string::npos);
    const auto json = run("verify " + quoted(day) + " --json");
    CHECK(json.status == 1);
    CHECK_FALSE(json.json()["good"].get<bool>());
    CHECK(json.json()["files"][1]["state"] == "differs");
    CHECK(json.json()["files"][1]["pull"] == "p02");
    CHECK(json.json()["files"][1]["expected"] != json.json()["files"][1]["found"]);
    const auto analysed = run("analyse " + quoted(day) + " --json"); // named, and left out
    CHECK(analysed.status == 0);
    CHECK(analysed.error.find("p02 is left out") != std::string::npos);
    CHECK(analysed.json()["builds"][0]["pulls_left_out"].dump().find("checksum does not fit") != std::string::npos);
    fs::remove(day / "pulls" / "p02.csv");
    CHECK(run("verify " + quoted(day)).status == 1);
    CHECK(run("verify " + quoted(folder.path())).status == 1);
    CHECK(run("verify").status == 2);
}

TEST_CASE("one bad day of a batch gives its line, bytes that are no UTF-8 too") {
    const test::TemporaryFolder folder;
    const fs::path odd = folder.path() / "odd-\xFF-day";
    fs::create_directories(odd);
    std::ofstream(odd / "day.json") << "{\"name\":\"\xFF\"}";
    const fs::path latin = folder.path() / "latin";
    fs::copy(test::demoDay(), latin, fs::copy_options::recursive);
    std::string text = readFileText(latin / "pulls" / "p01.csv");
    text.replace(0, text.find('\n'), text.substr(0, text.find('\n')) + ",Temp\xE9rature [C]");
    std::string rows;
    for (size_t at = 0; at < text.size();) {
        const size_t end = text.find('\n', at);
        rows += text.substr(at, end - at) + (at == 0 ? "\n" : ",20\n");
        at = end + 1;
    }
    std::ofstream(latin / "pulls" / "p01.csv") << rows;
    std::ofstream(folder.path() / "list") << odd.string() << "\n"
                                          << latin.string() << "\n"
                                          << test::demoDay().string() << "\n";
    const auto result = run("analyse --batch " + quoted(folder.path() / "list") + " --json-lines");
    CHECK(result.status == 0);
    std::istringstream lines(result.out);
    std::vector<Json> days;
    for (std::string line; std::getline(lines, line);)
        days.push_back(Json::parse(line));
    REQUIRE(days.size() == 3);
    CHECK(days[0].contains("error"));
    CHECK(days[1].contains("comparisons"));
    CHECK(days[2].contains("comparisons"));
}

TEST_CASE("a file size limit is a message, not the end, and nothing half-written is left") {
    const test::TemporaryFolder folder;
    const auto result = run("export " + quoted(test::demoDay()) + " --to " + quoted(folder.path() / "day.zip"),
                            "hillrun-cli", "ulimit -f 8; ");
    CHECK(result.status == 1);
    CHECK(result.error.find("File too large") != std::string::npos);
    CHECK(fs::is_empty(folder.path()));
}

TEST_CASE("packages with names outside ASCII are read without a locale") {
    const test::TemporaryFolder folder;
    const fs::path day = folder.path() / "Z\xC3\xBCge";
    fs::copy(test::demoDay(), day, fs::copy_options::recursive);
    fs::create_directories(day / "attachments");
    std::ofstream(day / "attachments" / "Kr\xC3\xBCmmer \xE2\x82\xAC.txt") << "x";
    const fs::path zip = folder.path() / "Z\xC3\xBCge.zip";
    CHECK(run("export " + quoted(day) + " --to " + quoted(zip), "hillrun-cli", "LC_ALL=C ").status == 0);
    CHECK(run("verify " + quoted(zip), "hillrun-cli", "LC_ALL=C ").out.find("Kr\xC3\xBCmmer") != std::string::npos);
    CHECK(run("analyse " + quoted(zip), "hillrun-cli", "LC_ALL=C ").status == 0);
}

TEST_CASE("what a day is called cannot steer the terminal") {
    const test::TemporaryFolder folder;
    TestDay day = readDay(test::demoDay());
    day.name = "x\x1b[2Jy";
    for (Pull& pull : day.pulls)
        pull.reason = "r\x1b]0;t\x07";
    day.pulls[0].use = false;
    saveDay(day, folder.path() / "day");
    const auto result = run("analyse " + quoted(folder.path() / "day"));
    CHECK(result.status == 0);
    CHECK(result.out.find('\x1b') == std::string::npos);
    CHECK(result.out.find('\x07') == std::string::npos);
}
