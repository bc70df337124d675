// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Raw files are written once: whatever was undone, killed or saved onto, no pull ever points at another's rows.

#include "english.h"
#include "formats/day_json.h"
#include "formats/day_store.h"
#include "formats/day_verify.h"
#include "formats/pull_file.h"
#include "support.h"

#include <catch2/catch.hpp>
#include <fstream>

using namespace hillrun;
using hillrun::test::eachInEnglish;
using hillrun::test::inEnglish;
namespace fs = std::filesystem;

namespace {

std::shared_ptr<const ChannelTable> rowsOf(double torque) {
    auto out = std::make_shared<ChannelTable>();
    out->columns = {{"time", "s", {}}, {"engine_speed", "rpm", {}}, {"torque", "N.m", {}}};
    for (int i = 0; i < 30; ++i) {
        out->columns[0].values.push_back(0.01 * i);
        out->columns[1].values.push_back(2000.0 + 10.0 * i);
        out->columns[2].values.push_back(torque + i);
    }
    return out;
}

Pull pullOf(const std::string& id, double torque) {
    Pull pull;
    pull.id = id;
    pull.build = "A";
    pull.file = "pulls/" + id + ".csv";
    pull.raw = rowsOf(torque);
    return pull;
}

TestDay dayOf(const std::vector<Pull>& pulls) {
    TestDay day;
    day.name = "Rows";
    day.builds = {{.id = "A"}};
    day.pulls = pulls;
    return day;
}

double firstTorque(const Pull& pull) { return pull.raw->find("torque")->values.front(); }
std::vector<std::string> linesOf(const Verification& found) {
    std::vector<std::string> out;
    for (const VerifiedFile& file : found.files)
        out.push_back(file.file + " " + fileStateName(file.state));
    return out;
}
void write(const fs::path& path, const std::string& text) { std::ofstream(path, std::ios::binary) << text; }
void copyDemo(const fs::path& target) { fs::copy(test::demoDay(), target, fs::copy_options::recursive); }

} // namespace

TEST_CASE("a pull that was undone keeps its file, and the next of that name gets another") {
    const test::TemporaryFolder folder;
    const fs::path place = folder.path() / (GENERATE(0, 1) ? "day.zip" : "day");
    const SavedDay first = saveDay(dayOf({pullOf("p01", 50.0)}), place);
    CHECK(first.day.pulls[0].file == "pulls/p01.csv");
    saveDay(dayOf({}), place, place); // undone and saved
    const SavedDay again = saveDay(dayOf({pullOf("p01", 70.0)}), place, place);
    CHECK(again.day.pulls[0].file == "pulls/p01-2.csv");
    CHECK(firstTorque(readDay(place).pulls[0]) == 70.0);
    CHECK(linesOf(verifyDay(place)) == std::vector<std::string>{"pulls/p01-2.csv fits", "pulls/p01.csv not_listed"});
    CHECK(verifyDay(place).good());
    const SavedDay redone = saveDay(dayOf({pullOf("p01", 50.0)}), place, place); // the first one is taken back
    CHECK(redone.day.pulls[0].file == "pulls/p01.csv");
    CHECK(firstTorque(readDay(place).pulls[0]) == 50.0);
}

TEST_CASE("another day's folder is refused, and left as it is") {
    const test::TemporaryFolder folder;
    saveDay(dayOf({pullOf("p01", 50.0)}), folder.path() / "one");
    const std::string before = readFileText(folder.path() / "one" / "day.json");
    CHECK(test::messageOf([&] {
              saveDay(dayOf({pullOf("p01", 70.0)}), folder.path() / "one");
          }).find("another day lives in that folder") != std::string::npos);
    CHECK(readFileText(folder.path() / "one" / "day.json") == before);
    CHECK(firstTorque(readDay(folder.path() / "one").pulls[0]) == 50.0);
}

TEST_CASE("rows that a killed save left are nobody's") {
    const test::TemporaryFolder folder;
    fs::create_directories(folder.path() / "day" / "pulls");
    write(folder.path() / "day" / "pulls" / "p01.csv", writePullText(*rowsOf(10.0)));
    fs::create_symlink("/etc/passwd", folder.path() / "day" / "pulls" / "p01-2.csv");
    const SavedDay saved = saveDay(dayOf({pullOf("p01", 70.0)}), folder.path() / "day");
    CHECK(saved.day.pulls[0].file == "pulls/p01-3.csv");
    CHECK(firstTorque(readDay(folder.path() / "day").pulls[0]) == 70.0);
}

TEST_CASE("a file that was changed behind the day's back is never taken for the pull's") {
    const test::TemporaryFolder folder;
    const fs::path place = folder.path() / "day";
    const TestDay day = saveDay(dayOf({pullOf("p01", 50.0), pullOf("p02", 60.0)}), place).day;
    write(place / "pulls" / "p01.csv", writePullText(*rowsOf(99.0)));
    SECTION("while the day is open: the rows in memory get a file of their own") {
        const SavedDay saved = saveDay(day, place, place);
        CHECK(saved.day.pulls[0].file == "pulls/p01-2.csv");
        CHECK(firstTorque(readDay(place).pulls[0]) == 50.0);
    }
    SECTION("saved elsewhere: from memory, not from the file") {
        saveDay(day, folder.path() / "copy", place);
        CHECK(firstTorque(readDay(folder.path() / "copy").pulls[0]) == 50.0);
    }
    SECTION("when it is opened: named, kept and left out; the others go on") {
        const TestDay read = readDay(place);
        CHECK_FALSE(read.pulls[0].raw);
        CHECK(inEnglish(read.pulls[0].problem).find("checksum does not fit") != std::string::npos);
        CHECK(read.pulls[1].raw);
        CHECK(linesOf(verifyDay(place)) == std::vector<std::string>{"pulls/p01.csv differs", "pulls/p02.csv fits"});
        CHECK_FALSE(verifyDay(place).good());
        saveDay(read, place, place); // saving decides nothing
        CHECK_FALSE(verifyDay(place).good());
        Pull taken = read.pulls[0];
        takeAsItIs(taken, place); // somebody does
        CHECK(firstTorque(taken) == 99.0);
        TestDay decided = read;
        decided.pulls[0] = taken;
        saveDay(decided, place, place);
        CHECK(verifyDay(place).good());
        CHECK(firstTorque(readDay(place).pulls[0]) == 99.0);
    }
}

TEST_CASE("checksums stand in day.json and travel with packages") {
    const test::TemporaryFolder folder;
    copyDemo(folder.path() / "day");
    fs::create_directories(folder.path() / "day" / "attachments");
    write(folder.path() / "day" / "attachments" / "sound.bin", "brumm");
    const SavedDay saved = saveDay(readDay(folder.path() / "day"), folder.path() / "day", folder.path() / "day");
    const std::string p01 = readFileText(folder.path() / "day" / "pulls" / "p01.csv");
    CHECK(saved.day.pulls[0].sha256 == sha256Hex(p01));
    CHECK(readFileText(folder.path() / "day" / "day.json").find(sha256Hex(p01)) != std::string::npos);
    REQUIRE(saved.day.attachments.size() == 1);
    CHECK(saved.day.attachments[0] == Attachment{"attachments/sound.bin", sha256Hex("brumm")});
    saveDay(readDay(folder.path() / "day"), folder.path() / "day.zip", folder.path() / "day");
    CHECK(verifyDay(folder.path() / "day.zip").files.size() == 12);
    CHECK(verifyDay(folder.path() / "day.zip").good());
    write(folder.path() / "day" / "attachments" / "sound.bin", "brumm!");
    CHECK_FALSE(verifyDay(folder.path() / "day").good());
    fs::remove(folder.path() / "day" / "attachments" / "sound.bin");
    CHECK_FALSE(verifyDay(folder.path() / "day").good());
}

TEST_CASE("a pull file that is a link or no regular file is refused") {
    const test::TemporaryFolder folder;
    const fs::path place = folder.path() / "day";
    saveDay(dayOf({pullOf("p01", 50.0), pullOf("p02", 60.0)}), place);
    fs::rename(place / "pulls" / "p01.csv", folder.path() / "elsewhere.csv");
    fs::create_symlink(folder.path() / "elsewhere.csv", place / "pulls" / "p01.csv");
    CHECK(test::messageOf([&] { (void)readDay(place); }).starts_with("pulls/p01.csv: this is a link"));
    CHECK(inEnglish(readDay(place, BadPulls::Keep).pulls[0].problem).find("this is a link") != std::string::npos);
    CHECK(linesOf(verifyDay(place))[0] == "pulls/p01.csv unreadable");
    CHECK_FALSE(verifyDay(place).good());
}

TEST_CASE("pulls with the same rows are named in groups") {
    TestDay day = dayOf({pullOf("p01", 50.0), pullOf("p02", 60.0), pullOf("p03", 50.0), pullOf("p04", 60.0),
                         pullOf("p05", 50.0), pullOf("p06", 51.0)});
    CHECK(pullsWithSameRows(day) == std::vector<std::vector<std::string>>{{"p01", "p03", "p05"}, {"p02", "p04"}});
    day.pulls[2].raw = nullptr;
    CHECK(pullsWithSameRows(day).front() == std::vector<std::string>{"p01", "p05"});
    auto other = std::make_shared<ChannelTable>(*rowsOf(51.0));
    other->columns[2].unit = "lb-ft";
    day.pulls[0].raw = other;
    CHECK(pullsWithSameRows(day).size() == 1); // another unit is another measurement
    CHECK(pullsWithSameRows(dayOf({})).empty());
}

TEST_CASE("when the folder is gone, what is in memory can be saved elsewhere") {
    const test::TemporaryFolder folder;
    copyDemo(folder.path() / "day");
    fs::create_directories(folder.path() / "day" / "attachments");
    write(folder.path() / "day" / "attachments" / "sound.bin", "brumm");
    const TestDay day = saveDay(readDay(folder.path() / "day"), folder.path() / "day", folder.path() / "day").day;
    fs::remove_all(folder.path() / "day"); // the stick is pulled out
    const fs::path target = folder.path() / (GENERATE(0, 1) ? "rescued.zip" : "rescued");
    const SavedDay saved = saveDay(day, target, folder.path() / "day");
    CHECK(eachInEnglish(saved.leftBehind) == std::vector<std::string>{"attachments/sound.bin"});
    const TestDay read = readDay(target);
    for (size_t i = 0; i < day.pulls.size(); ++i)
        CHECK(sameRows(*read.pulls[i].raw, *day.pulls[i].raw));
    CHECK(verifyDay(target).good());
}

TEST_CASE("two pulls that name one file are told apart when they are saved") {
    const test::TemporaryFolder folder;
    Pull twin = pullOf("p02", 60.0);
    twin.file = "pulls/p01.csv";
    const fs::path place = folder.path() / (GENERATE(0, 1) ? "day.zip" : "day");
    saveDay(dayOf({pullOf("p01", 50.0), twin}), place);
    const TestDay read = readDay(place);
    CHECK(firstTorque(read.pulls[0]) == 50.0);
    CHECK(firstTorque(read.pulls[1]) == 60.0);
    CHECK(read.pulls[1].file == "pulls/p01-2.csv");
}

TEST_CASE("the stamp tells that a day was changed on disk") {
    const test::TemporaryFolder folder;
    for (const char* name : {"day", "day.zip"}) {
        const fs::path place = folder.path() / name;
        const SavedDay saved = saveDay(dayOf({pullOf("p01", 50.0)}), place);
        CHECK(openDay(place).stamp == saved.stamp);
        CHECK(dayStamp(place) == saved.stamp);
        TestDay other = saved.day;
        other.note = "somebody else's";
        saveDay(other, place, place);
        CHECK(dayStamp(place) != saved.stamp);
    }
    CHECK(dayStamp(folder.path() / "none") == "");
}

TEST_CASE("ids are never used again, not even of files that no pull names") {
    const test::TemporaryFolder folder;
    CHECK(freePullId(dayOf({})) == "p01");
    CHECK(freePullId(dayOf({pullOf("p01", 1.0), pullOf("p07", 1.0)})) == "p08");
    saveDay(dayOf({pullOf("p12", 1.0)}), folder.path());
    CHECK(freePullId(dayOf({}), folder.path()) == "p13");
    CHECK(freePullId(dayOf({}), folder.path() / "day.json") == "p13");
    CHECK(freePullId(dayOf({pullOf("p99999999999999999999", 1.0)})) == "p01");
    CHECK(freePullId(dayOf({pullOf("warm-up", 1.0)})) == "p01");
}
