// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "english.h"
#include "formats/day_store.h"

#include "support.h"

#include <catch2/catch.hpp>
#include <fstream>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
namespace fs = std::filesystem;

namespace {

void copyDemo(const fs::path& target) { fs::copy(test::demoDay(), target, fs::copy_options::recursive); }
void write(const fs::path& path, const std::string& text) { std::ofstream(path, std::ios::binary) << text; }
bool sameRaw(const TestDay& a, const TestDay& b) {
    for (size_t i = 0; i < a.pulls.size(); ++i)
        for (size_t c = 0; c < a.pulls[i].raw->columns.size(); ++c)
            if (a.pulls[i].raw->columns[c].values != b.pulls[i].raw->columns[c].values)
                return false;
    return true;
}

} // namespace

TEST_CASE("both demo days are read whole") {
    CHECK(readDay(test::demoDay()).pulls.size() == 11);
    CHECK(readDay(test::demoDay() / "day.json").pulls.size() == 11);
    const TestDay boost = readDay(test::boostDay());
    CHECK(boost.pulls.size() == 12);
    for (const Pull& pull : boost.pulls)
        CHECK(pull.raw->columns.size() >= 14);
}

TEST_CASE("folder to zip to folder keeps every byte of the raw files and attachments") {
    const test::TemporaryFolder temporary;
    copyDemo(temporary.path() / "day");
    fs::create_directories(temporary.path() / "day" / "attachments");
    write(temporary.path() / "day" / "attachments" / "photo.bin", std::string("\0\1\2", 3));
    const TestDay day = readDay(temporary.path() / "day");
    saveDay(day, temporary.path() / "day.zip", temporary.path() / "day");
    const TestDay zipped = readDay(temporary.path() / "day.zip");
    CHECK(sameRaw(day, zipped));
    saveDay(zipped, temporary.path() / "again", temporary.path() / "day.zip");
    for (const char* name : {"pulls/p01.csv", "pulls/p11.csv", "attachments/photo.bin"})
        CHECK(readFileText(temporary.path() / "again" / name) == readFileText(temporary.path() / "day" / name));
    saveDay(day, temporary.path() / "twin.zip", temporary.path() / "day");
    CHECK(readFileText(temporary.path() / "twin.zip") == readFileText(temporary.path() / "day.zip"));
}

TEST_CASE("saving in place changes day.json only") {
    const test::TemporaryFolder temporary;
    copyDemo(temporary.path() / "day");
    const auto raw = readFileText(temporary.path() / "day" / "pulls" / "p02.csv");
    TestDay day = readDay(temporary.path() / "day");
    day.pulls[1].use = false;
    day.pulls[1].reason = "not warm";
    saveDay(day, temporary.path() / "day", temporary.path() / "day");
    CHECK(readFileText(temporary.path() / "day" / "pulls" / "p02.csv") == raw);
    CHECK(readDay(temporary.path() / "day").pulls[1].reason == "not warm");
    CHECK_FALSE(fs::exists(temporary.path() / "day" / "day.json.part"));
}

TEST_CASE("a day with one bad pull is refused, or opened without it when asked") {
    const test::TemporaryFolder temporary;
    copyDemo(temporary.path() / "day");
    const auto message = [&] { return test::messageOf([&] { (void)readDay(temporary.path() / "day"); }); };
    write(temporary.path() / "day" / "pulls" / "p04.csv", "");
    CHECK(inEnglish(readDay(temporary.path() / "day").pulls[3].problem).find("checksum does not fit") !=
          std::string::npos);
    std::string json = readFileText(temporary.path() / "day" / "day.json"); // as an older program wrote it
    for (size_t at = json.find("\"sha256\""); at != std::string::npos; at = json.find("\"sha256\""))
        json.erase(at, json.find('\n', at) - at);
    write(temporary.path() / "day" / "day.json", json);
    CHECK(message().starts_with("pulls/p04.csv: the file is empty"));
    fs::remove(temporary.path() / "day" / "pulls" / "p04.csv");
    CHECK(message().starts_with("pulls/p04.csv: the file is missing"));
    const TestDay kept = readDay(temporary.path() / "day", BadPulls::Keep);
    CHECK_FALSE(kept.pulls[3].raw);
    CHECK(inEnglish(kept.pulls[3].problem).find("missing") != std::string::npos);
    CHECK(kept.pulls[4].raw);
}

TEST_CASE("what is no day, or points out of it, is refused") {
    const test::TemporaryFolder temporary;
    const auto message = [](const fs::path& path) { return test::messageOf([&] { (void)readDay(path); }); };
    CHECK(message(temporary.path() / "nowhere").find("missing") != std::string::npos);
    CHECK(message(temporary.path()).find("not a day of Hill Run") != std::string::npos);
    write(temporary.path() / "broken.zip", "PK but no more");
    CHECK(message(temporary.path() / "broken.zip").find("archive cannot be read") != std::string::npos);
    write(temporary.path() / "empty.zip", "");
    CHECK(message(temporary.path() / "empty.zip").find("empty") != std::string::npos);
    const std::string sneaky =
        R"({"format":"hill-run-day","version":1,"builds":[{"id":"A"}],"pulls":[{"id":"p","build":"A","file":"../../secret.csv"}]})";
    write(temporary.path() / "day.json", sneaky);
    CHECK(message(temporary.path()).find("points outside") != std::string::npos);
    CHECK(test::messageOf([&] {
              writeFileSafely(temporary.path() / "no" / "such" / "folder.txt", "x");
          }).find("cannot write") != std::string::npos);
}

TEST_CASE("a truncated archive is refused") {
    const test::TemporaryFolder temporary;
    saveDay(readDay(test::demoDay()), temporary.path() / "day.zip", test::demoDay());
    const std::string bytes = readFileText(temporary.path() / "day.zip");
    write(temporary.path() / "cut.zip", bytes.substr(0, bytes.size() / 3));
    CHECK(test::messageOf([&] { (void)readDay(temporary.path() / "cut.zip"); }) != "nothing");
}
